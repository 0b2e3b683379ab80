package app.yellowtab.keep;

import app.yellowtab.files.Drafts;
import app.yellowtab.finding.FindingException;
import app.yellowtab.json.BundleJson;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.plan.Plan;
import app.yellowtab.register.Chronology;
import app.yellowtab.source.Fingerprint;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;

/**
 * A chronology that was written once, and is made anew whenever what it says has changed, such as the numbers of pages. A file
 * that somebody else has changed since is left as it is. What is remembered lies in the bundle's folder. For one thread at a
 * time.
 */
public final class KeptChronology {
    private final Path memory;

    /** @param folder of the bundle */
    public KeptChronology(Path folder) {
        memory = folder.resolve("chronology.json");
    }

    /**
     * What is remembered.
     *
     * @param file   that it was written to
     * @param sha256 of its bytes, as they were written
     * @param rows   what it says
     */
    record Memory(String file, String sha256, List<List<String>> rows) {
        Memory {
            rows = List.copyOf(rows);
        }
    }

    /** What came of looking whether it is still right. */
    public sealed interface Came {
        /** There is none, or it is right. */
        record Nothing() implements Came {}

        /** It was made anew. */
        record MadeAnew(Path file) implements Came {}

        /** It is not right any more, and was left, since somebody else has changed it. */
        record Left(Path file) implements Came {}
    }

    /**
     * Writes it, and remembers that.
     *
     * @param target its ending says how: .docx, .xlsx or .csv
     * @throws FindingException if it cannot be written
     */
    public void write(Plan plan, ReferenceForm form, Path target) throws FindingException {
        Chronology.write(plan, form, target);
        remember(target, Chronology.rows(plan, form));
    }

    private void remember(Path target, List<List<String>> rows) {
        try {
            Drafts.write(memory, BundleJson.MAPPER
                    .writeValueAsBytes(new Memory(target.toAbsolutePath().toString(), Fingerprint.of(target), rows)));
        } catch (IOException e) {
            LoggerFactory.getLogger(KeptChronology.class).warn("chronology not remembered: {}", target, e);
        }
    }

    /**
     * Makes it anew where it says something else by now.
     *
     * @throws FindingException if it cannot be written
     */
    public Came update(Plan plan, ReferenceForm form) throws FindingException {
        Optional<Memory> known = remembered();
        if (known.isEmpty()) return new Came.Nothing();
        List<List<String>> rows = Chronology.rows(plan, form);
        if (rows.equals(known.get().rows())) return new Came.Nothing();
        try {
            Path file = Path.of(known.get().file());
            // One that was taken away is not wanted any more.
            if (!Files.exists(file)) return new Came.Nothing();
            if (!Fingerprint.of(file).equals(known.get().sha256())) return new Came.Left(file);
            write(plan, form, file);
            return new Came.MadeAnew(file);
        } catch (FindingException refused) {
            throw refused;
        } catch (IOException | InvalidPathException unreadable) {
            LoggerFactory.getLogger(KeptChronology.class).warn("chronology not looked at: {}", known.get().file(), unreadable);
            return new Came.Nothing();
        }
    }

    private Optional<Memory> remembered() {
        if (!Files.isRegularFile(memory)) return Optional.empty();
        try {
            return Optional.of(BundleJson.MAPPER.readValue(memory, Memory.class));
        } catch (JacksonException damaged) {
            LoggerFactory.getLogger(KeptChronology.class).warn("chronology forgotten: {}", memory, damaged);
            return Optional.empty();
        }
    }
}
