package app.yellowtab.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.cut.SheetCodes;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.CodeReader;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.BatchPage;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sheets are written, scanned badly, and read again. */
class SeparatorSheetsTests {
    private static final SheetCode LETTER = new SheetCode("Letter of Ödön Szőke about the “cold” chamber",
            Optional.of(LocalDate.of(2030, 10, 3)), "Correspondence");

    @TempDir
    private Path folder;
    private Path sheets;

    @BeforeEach
    void write() throws IOException {
        sheets = folder.resolve("sheets.pdf");
        SeparatorSheets.write(sheets,
                List.of(LETTER, SheetCode.NAMELESS, new SheetCode("W".repeat(400), Optional.empty(), "S".repeat(400))));
    }

    /** {@return a sheet as a poor scanner takes it: grey, turned by some degrees, with specks, at so many dots an inch} */
    private BufferedImage scanned(int page, double degrees, int dpi) throws IOException {
        BufferedImage drawn = Pdfs.picture(sheets, page, dpi);
        int side = drawn.getHeight();
        BufferedImage scan = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D graphics = scan.createGraphics();
        graphics.setColor(new Color(225, 225, 225));
        graphics.fillRect(0, 0, side, side);
        graphics.rotate(Math.toRadians(degrees), side / 2.0, side / 2.0);
        graphics.drawImage(drawn, (side - drawn.getWidth()) / 2, 0, null);
        graphics.dispose();
        Random specks = new Random(7);
        for (int i = 0; i < side * side / 200; i++)
            scan.setRGB(specks.nextInt(side), specks.nextInt(side), specks.nextBoolean() ? 0x303030 : 0xF0F0F0);
        return scan;
    }

    @Test
    void aSheetSaysInWordsWhatItsCodeSays() throws IOException {
        assertThat(Pdfs.pages(sheets).getFirst()).contains("Letter of Ödön Szőke about the", "3 October 2030",
                "Section: Correspondence");
        assertThat(Pdfs.pages(sheets).get(1)).startsWith("Separator sheet");
    }

    @Test
    void codesAreReadHoweverTheSheetLies() throws IOException {
        for (double degrees : new double[] {0, 3, -7, 90, 180, 184, 270}) {
            assertThat(CodeReader.read(scanned(1, degrees, 100)).flatMap(SheetCode::read)).as("turned by " + degrees)
                    .contains(LETTER);
        }
        assertThat(CodeReader.read(scanned(2, 181, 75)).flatMap(SheetCode::read)).contains(SheetCode.NAMELESS);
        assertThat(CodeReader.read(scanned(3, 0, 150)).flatMap(SheetCode::read).orElseThrow().name()).hasSize(SheetCode.LONGEST);
        assertThat(CodeReader.read(new BufferedImage(800, 1100, BufferedImage.TYPE_BYTE_GRAY))).isEmpty();
    }

    @Test
    void aBatchIsCutAtItsSheetsAndNamedByThem() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        try (PDDocument batch = new PDDocument(); PDDocument printed = Loader.loadPDF(sheets.toFile())) {
            Pdfs.say(batch, Pdfs.addPage(batch, PDRectangle.A4), "lead");
            addPicture(batch, scanned(1, 182, 100));
            batch.addPage(new PDPage(PDRectangle.A4));
            Pdfs.say(batch, Pdfs.addPage(batch, PDRectangle.A4), "letter of 4 November 2031");
            Pdfs.say(batch, Pdfs.addPage(batch, PDRectangle.A4), "goes on");
            batch.importPage(printed.getPage(1));
            Pdfs.say(batch, Pdfs.addPage(batch, PDRectangle.A4), "other");
            batch.save(matter.resolve("post.pdf").toFile());
        }
        try (InPlace place = new InPlace()) {
            Source source = Folder.bundle(place, matter).sources().getFirst();
            CutRules rules = new CutRules(List.of(new CutRule.SeparatorSheets()), 1, List.of());
            List<BatchPage> pages = BatchPages.read(place, source.id(), true, Progress.NONE, () -> false);
            Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
            assertThat(cutting.pieces()).extracting(Cutting.Piece::pages).containsExactly(List.of(1), List.of(4, 5), List.of(7));
            assertThat(cutting.dropped()).extracting(drop -> drop.page() + " " + drop.reason().words())
                    .containsExactly("2 it is a separator sheet", "3 it is the back of a separator sheet",
                            "6 it is a separator sheet");
            List<PieceNames.Named> names = PieceNames.of(pages, cutting, rules, "post.pdf", false);
            assertThat(names).extracting(PieceNames.Named::words).containsExactly("post 001", LETTER.name(), "post 003");
            assertThat(names.get(1).date()).isEqualTo(new DocumentDate.Day(LocalDate.of(2030, 10, 3)));
            assertThat(names.get(1).section()).isEqualTo("Correspondence");
        }
    }

    private static void addPicture(PDDocument batch, BufferedImage scan) throws IOException {
        PDPage page = Pdfs.addPage(batch, new PDRectangle(842, 842));
        try (PDPageContentStream content = new PDPageContentStream(batch, page)) {
            content.drawImage(JPEGFactory.createFromImage(batch, scan, 0.4f), 0, 0, 842, 842);
        }
    }

    @Test
    void sheetsAreTypedWithDateAndSection() {
        assertThat(SheetCodes.typed(" Witness statement | 3.10.2030 | Statements", false))
                .isEqualTo(new SheetCode("Witness statement", Optional.of(LocalDate.of(2030, 10, 3)), "Statements"));
        assertThat(SheetCodes.typed("Only a name", false)).isEqualTo(new SheetCode("Only a name", Optional.empty(), ""));
        assertThatThrownBy(() -> SheetCodes.typed("A | soon", false)).hasMessageContaining("“soon” is no day");
        assertThatThrownBy(() -> SheetCodes.typed("A|||B", false)).hasMessageContaining("more than a name, a date and a section");
        assertThat(SheetCode.read("yellowtab-separator 1\nA\nsoon\nB")).contains(new SheetCode("A", Optional.empty(), "B"));
        assertThat(SheetCode.read("https://orchard.example")).isEmpty();
    }
}
