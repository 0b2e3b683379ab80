package app.yellowtab.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageText;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.BatchPages;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WordsFileTests {
    @TempDir
    private Path folder;

    private static PageText text() {
        return new PageText(List.of(
                List.of(new PageText.Word("Invoice", 10.25f, 20.5f, 30, 4), new PageText.Word("BC-412", 41, 20.5f, 12.01f, 4)),
                List.of(new PageText.Word("Ödön", 10, 30, 20, 4))));
    }

    @Test
    void whatIsKeptComesBack() throws IOException {
        Path file = folder.resolve("words/a.json.gz");
        WordsFile.write(file, new WordsFile.Kept(List.of(new BatchPage(text(), false, 210.001, 297, List.of()),
                new BatchPage(PageText.NONE, true, 210, 297, List.of())
                        .withSheet(Optional.of(new SheetCode("A \"name\"", Optional.empty(), "S")))),
                true));
        WordsFile.Kept kept = WordsFile.read(file).orElseThrow();
        assertThat(kept.hasCodes()).isTrue();
        assertThat(kept.pages().getFirst().text().lines()).isEqualTo(text().lines());
        assertThat(kept.pages().getFirst().widthMm()).isEqualTo(210.001);
        assertThat(kept.pages().get(1).isBlank()).isTrue();
        assertThat(kept.pages().get(1).sheet().orElseThrow().name()).isEqualTo("A \"name\"");
    }

    @Test
    void aDamagedFileIsAsIfThereWereNone() throws IOException {
        Path file = folder.resolve("a.json.gz");
        WordsFile.write(file, new WordsFile.Kept(List.of(new BatchPage(text(), false, 210, 297, List.of())), false));
        byte[] bytes = Files.readAllBytes(file);
        for (int end = 0; end < bytes.length; end += 7) {
            Files.write(file, Arrays.copyOf(bytes, end));
            assertThat(WordsFile.read(file)).as("broken off at " + end).isEmpty();
        }
        assertThat(WordsFile.read(folder.resolve("none.json.gz"))).isEmpty();
    }

    @Test
    void theWordsOfABundlesFileAreReadOnce() throws IOException {
        Pdfs.write(folder, "post", 3);
        try (BundleFolder bundle = BundleFolder.create(folder.resolve("bundle"), Bundle.EMPTY)) {
            Source post = new Intake(bundle, List.of(), Reading.STANDARD)
                    .bringIn(FoundFolder.of(List.of(folder.resolve("post.pdf")), new ArrayList<>()), Intake.Listener.NONE,
                            () -> false)
                    .sources().getFirst();
            bundle.know(List.of(post));
            List<BatchPage> read = BatchPages.read(bundle, post.id(), false, Progress.NONE, () -> false);
            assertThat(read.get(2).text().text()).contains("post-3");
            assertThat(folder.resolve("bundle/words/" + post.sha256() + ".json.gz")).exists();
            bundle.original(post.id()).toFile().setWritable(true);
            Files.delete(bundle.original(post.id()));
            List<BatchPage> again = BatchPages.read(bundle, post.id(), false, Progress.NONE, () -> false);
            assertThat(again).extracting(page -> page.text().lines())
                    .isEqualTo(read.stream().map(page -> page.text().lines()).toList());
        }
    }
}
