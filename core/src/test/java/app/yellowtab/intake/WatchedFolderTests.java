package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.source.Source;
import app.yellowtab.sample.paper.RehearsalScanner;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class WatchedFolderTests {
    @TempDir
    private Path folder;

    @Test
    void aFileIsTakenWhenItHasStoppedGrowingAndNeverTwice() throws IOException {
        WatchedFolder watched = new WatchedFolder(folder, file -> false);
        Path scan = Files.writeString(folder.resolve("scan.pdf"), "begin");
        assertThat(watched.look()).as("seen once").isEmpty();
        Files.writeString(scan, " and more", StandardOpenOption.APPEND);
        assertThat(watched.look()).as("it has grown").isEmpty();
        assertThat(watched.look()).as("it is complete").containsExactly(scan);
        assertThat(watched.look()).as("it was taken").isEmpty();
    }

    @Test
    void aNewFileUnderAnOldNameIsTakenToo() throws IOException {
        WatchedFolder watched = new WatchedFolder(folder, file -> false);
        Path scan = Files.writeString(folder.resolve("scan.pdf"), "first");
        watched.look();
        assertThat(watched.look()).hasSize(1);
        Files.writeString(scan, "second scan");
        Files.setLastModifiedTime(scan, FileTime.fromMillis(Files.getLastModifiedTime(scan).toMillis() + 5000));
        watched.look();
        assertThat(watched.look()).containsExactly(scan);
    }

    @Test
    void whatIsKnownHiddenEmptyOrHalfWrittenIsLeft() throws IOException {
        Files.writeString(folder.resolve("known.pdf"), "x");
        Files.writeString(folder.resolve(".hidden.pdf"), "x");
        Files.writeString(folder.resolve("coming.pdf.part"), "x");
        Files.createFile(folder.resolve("empty.pdf"));
        Files.createDirectory(folder.resolve("inner"));
        Files.writeString(folder.resolve("10.pdf"), "x");
        Files.writeString(folder.resolve("2.pdf"), "x");
        WatchedFolder watched = new WatchedFolder(folder, file -> file.getFileName().toString().equals("known.pdf"));
        watched.look();
        assertThat(watched.look()).extracting(file -> file.getFileName().toString()).containsExactly("2.pdf", "10.pdf");
    }

    @ParameterizedTest
    @EnumSource
    void theRehearsalScannerDeliversBothSidesOfEverySheetAndOneTwice(RehearsalScanner.Form form) throws IOException {
        Path batch = RehearsalScanner.deliver(folder, 1, RehearsalScanner.SHEETS, form);
        try (InPlace place = new InPlace()) {
            List<Source> sources = new Intake(place)
                    .bringIn(FoundFolder.of(List.of(batch), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources();
            assertThat(sources).singleElement().satisfies(source -> {
                assertThat(source.pageCount()).isEqualTo(16);
                assertThat(source.about().pages().scanned().count()).isEqualTo(16);
                assertThat(source.about().pages().searchable().count()).isZero();
            });
        }
    }
}
