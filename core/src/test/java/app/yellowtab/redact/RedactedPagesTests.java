package app.yellowtab.redact;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.when;

import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.part.Targets;
import app.yellowtab.input.PdfInput;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pages of a source that says "S-1", "S-2" and so on. */
class RedactedPagesTests {
    private static final List<Redaction> FAR_FROM_WORDS = List.of(new Redaction(new Area(150, 200, 30, 10), "privileged", true));
    @TempDir
    private Path folder;
    private Path kept;
    private InPlace place;
    private Source source;
    private final TextRecogniser recogniser = mock(TextRecogniser.class);

    @BeforeEach
    void bringIn() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "S", 2, document -> document.getPage(1).setMediaBox(new PDRectangle(14_000, 14_000)));
        place = spy(new InPlace(List.of()));
        Bundle bundle = Folder.bundle(place, matter);
        source = bundle.sources().getFirst();
        kept = folder.resolve("redacted");
        doReturn(Optional.of(kept)).when(place).redactedFolder();
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private RedactedPages.Made made(int page, List<Redaction> redactions) throws IOException {
        try (PdfInput open = place.open(source.id())) {
            PageCarrier carrier = open.whole(() -> new PageCarrier(open, Targets.NONE, Comments.KEPT, MarkSetter.NONE));
            return new RedactedPages(place, recogniser).page(source.id(), open, carrier, page, redactions, Comments.KEPT);
        }
    }

    private List<Path> files() throws IOException {
        try (Stream<Path> all = Files.list(kept)) {
            return all.toList();
        }
    }

    private static byte[] bytes(RedactedPages.Made made) throws IOException {
        try (var in = made.picture().picture().createRawInputStream()) {
            return in.readAllBytes();
        }
    }

    @Test
    void aPageIsMadeOnceAndComesFromTheDiskAfterwards() throws IOException {
        RedactedPages.Made first = made(1, FAR_FROM_WORDS);
        assertThat(first.picture().words().text().text()).contains("S-1");
        assertThat(files()).hasSize(1);
        Files.setLastModifiedTime(files().getFirst(), FileTime.fromMillis(1_000));
        RedactedPages.Made again = made(1, List.of(new Redaction(FAR_FROM_WORDS.getFirst().area(), "another reason", false)));
        assertThat(bytes(again)).isEqualTo(bytes(first));
        assertThat(new PDImageXObject(new PDStream(again.picture().picture()), null).getImage().getWidth())
                .isEqualTo(first.picture().picture().getInt("Width"));
        assertThat(again.picture().words()).usingRecursiveComparison().isEqualTo(first.picture().words());
        assertThat(Files.getLastModifiedTime(files().getFirst()).toMillis()).as("not written again").isEqualTo(1_000);
        made(1, List.of(new Redaction(new Area(1, 1, 5, 5), "", false)));
        assertThat(files()).as("another area is another page").hasSize(2);
    }

    @Test
    void whatIsDamagedOnTheDiskIsMadeAnew() throws IOException {
        byte[] first = bytes(made(1, FAR_FROM_WORDS));
        Files.write(files().getFirst(), new byte[] {'P', 'K', 3, 4, 0});
        assertThat(bytes(made(1, FAR_FROM_WORDS))).isEqualTo(first);
    }

    @Test
    void whereNothingCanBeKeptThePageIsMadeAllTheSame() throws IOException {
        Files.writeString(kept, "a file in the way");
        assertThat(bytes(made(1, FAR_FROM_WORDS))).isNotEmpty();
    }

    @Test
    void aPageOfFiveMetresIsDrawnCoarserAndSaysSo() throws IOException {
        RedactedPages.Made made = made(2, FAR_FROM_WORDS);
        assertThat(made.isCoarse()).isTrue();
        assertThat(made.picture().picture().getInt("Width")).isBetween(5_000, 7_000);
    }
}
