package app.yellowtab.intake;

import app.yellowtab.finding.Finding;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Tests that bring files in, each into a place of its own. */
public abstract class TakingIn {
    @TempDir
    Path folder;
    InPlace place;

    @BeforeEach
    void open() throws IOException {
        place = new InPlace();
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    /** Brings files and folders in; what is said of the folders comes first. */
    Intake.Taken take(Path... files) {
        List<Finding> findings = new ArrayList<>();
        Intake.Taken taken =
                new Intake(place).bringIn(FoundFolder.of(List.of(files), findings), Intake.Listener.NONE, () -> false);
        findings.addAll(taken.findings());
        place.know(taken.sources());
        return new Intake.Taken(taken.sources(), taken.contents(), findings);
    }

    /** {@return the one source that a file became} */
    Source taken(Path file) {
        List<Source> sources = take(file).sources();
        if (sources.size() != 1) throw new AssertionError(file + " became " + sources.size() + " sources");
        return sources.getFirst();
    }

    static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
