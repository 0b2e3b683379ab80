package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.FindingException;
import app.yellowtab.find.BundleWords;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a locked Word file says is read with its password alone, wherever in the bundle folder it lies. */
class LockedOfficeTests {
    private static final String SECRET = "Quillfeather";
    @TempDir
    private Path temp;

    private static void assertNothingReadable(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                assertThat(new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1)).as("%s", file)
                        .doesNotContain(SECRET);
                if (file.toString().endsWith(".pdf"))
                    assertThatThrownBy(() -> Loader.loadPDF(file.toFile()).close()).isInstanceOf(InvalidPasswordException.class);
            }
        }
        assertThat(folder.resolve("words")).satisfiesAnyOf(none -> assertThat(none).doesNotExist(),
                empty -> assertThat(empty).isEmptyDirectory());
    }

    private static String words(BundleFolder place, SourceId id) throws IOException {
        return new BundleWords(place).page(id, 1).orElseThrow().text().text();
    }

    @Test
    void nothingOfItIsReadableWithoutThePassword() throws Exception {
        Path letter = new WordFile(WordFile.p(SECRET + " will settle")).writeLocked(temp, "letter.docx", "orchard");
        Path folder = temp.resolve("bundle");
        SourceId id;
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            place.tryPasswords(List.of("orchard"));
            Source source = new Intake(place, List.of("orchard"), Reading.STANDARD)
                    .bringIn(FoundFolder.of(List.of(letter), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            id = source.id();
            place.know(List.of(source));
            place.save(Bundle.EMPTY.withSources(List.of(source)));
            assertThat(words(place, id)).contains(SECRET);
            assertThat(source.pageCount()).isEqualTo(1);
        }
        assertNothingReadable(folder);
        try (BundleFolder place = BundleFolder.open(folder).folder()) {
            assertThatThrownBy(() -> place.open(id).close()).isInstanceOf(FindingException.class)
                    .hasMessageContaining("password");
            assertThat(place.isShut(id)).isTrue();
            place.tryPasswords(List.of("orchard"));
            assertThat(words(place, id)).contains(SECRET);
            Files.delete(place.readable(id));
            assertThat(words(place, id)).as("made again").contains(SECRET);
        }
        assertNothingReadable(folder);
    }
}
