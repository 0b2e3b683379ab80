package app.yellowtab.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PrintedSeries;
import app.yellowtab.facts.SheetSize;
import app.yellowtab.input.PdfInput;
import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What pages show, however their content is written down (ISO 32000-1:2008, 8 and 9). */
class PageScanTests {
    @TempDir
    private Path folder;

    /** Changes a page after its content is written. */
    private interface Change {
        void to(PDPage page, PDDocument document) throws IOException;
    }

    private Inspection inspect(int pages, IntFunction<String> content, Change change) throws IOException {
        Path file = folder.resolve("a.pdf");
        try (PDDocument document = new PDDocument()) {
            for (int i = 1; i <= pages; i++) {
                PDPage page = new PDPage(PDRectangle.A4);
                PDResources resources = new PDResources();
                resources.put(COSName.getPDFName("F"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
                page.setResources(resources);
                page.setContents(stream(document, content.apply(i)));
                document.addPage(page);
                change.to(page, document);
            }
            document.save(file.toFile());
        }
        try (PdfInput input = PdfInput.open(file, List.of())) {
            return Inspection.of(input);
        }
    }

    private static PDStream stream(PDDocument document, String content) throws IOException {
        PDStream stream = new PDStream(document);
        try (var out = stream.createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.ISO_8859_1));
        }
        return stream;
    }

    private PageFacts facts(int pages, IntFunction<String> content) throws IOException {
        return inspect(pages, content, (page, document) -> {}).facts();
    }

    private List<String> firstLines(String content) throws IOException {
        return inspect(1, page -> content, (page, document) -> {}).firstPage().stream().map(Inspection.FirstLine::text).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            BT /F 11 Tf 72 700 Td (In the County Court) Tj ET
            BT /F 11 Tf 1 0 0 1 72 700 Tm [(In the Cou) 20 (nty) -300 (Court)] TJ ET
            BT /F 1 Tf 11 0 0 11 72 700 Tm (In the ) Tj (County Court) Tj ET
            q 1 0 0 1 72 0 cm BT /F 11 Tf 0 700 Td <496E2074686520436F756E747920436F757274> Tj ET Q
            BT /F 11 Tf 14 TL 72 714 Td (In the County Court) ' ET
            BT /F 11 Tf 14 TL 72 728 TD T* 0 0 (In the County Court) " ET
            """)
    void wordsAreReadHoweverTheyArePlaced(String content) throws IOException {
        assertThat(firstLines(content)).containsExactly("In the County Court");
    }

    @Test
    void linesGoFromAboveAndEachFromTheLeft() throws IOException {
        assertThat(firstLines(
                "BT /F 11 Tf 300 500 Td (right) Tj ET BT /F 11 Tf 72 300 Td (last) Tj ET BT /F 11 Tf 72 500 Td (left) Tj ET BT "
                        + "/F 16 Tf 72 700 Td (first) Tj ET"))
                .containsExactly("first", "left right", "last");
    }

    @ParameterizedTest
    @CsvSource({"0, 290, 30", "90, 565, 290", "180, 290, 812", "270, 30, 500"})
    void theFootIsThatOfTheSheetAsItIsShown(int rotation, int x, int y) throws IOException {
        double angle = Math.toRadians(rotation);
        AffineTransform turned = AffineTransform.getRotateInstance(angle);
        String matrix = Math.round(turned.getScaleX()) + " " + Math.round(turned.getShearY()) + " "
                + Math.round(turned.getShearX()) + " " + Math.round(turned.getScaleY());
        PageFacts facts = inspect(5, page -> "BT /F 9 Tf " + matrix + " " + x + " " + y + " Tm (" + (page + 7) + ") Tj ET",
                (page, document) -> page.setRotation(rotation)).facts();
        assertThat(facts.printed()).contains(new PrintedSeries(8, 12, true, ""));
    }

    @Test
    void wordsInFormsAreReadAndAFormThatHoldsItselfEnds() throws IOException {
        Inspection found = inspect(1, page -> "q 1 0 0 1 0 200 cm /X Do Q", (page, document) -> {
            PDFormXObject form = new PDFormXObject(stream(document, "BT /F 11 Tf 72 500 Td (inside a form) Tj ET /X Do"));
            form.setBBox(PDRectangle.A4);
            form.setResources(page.getResources());
            page.getResources().put(COSName.getPDFName("X"), form);
        });
        assertThat(found.firstPage()).extracting(Inspection.FirstLine::text).containsExactly("inside a form");
        assertThat(found.firstPage().getFirst().heightShare()).as("where it is drawn").isBetween(0.82, 0.84);
    }

    @Test
    void aPictureInTheContentItselfIsAScanToo() throws IOException {
        String picture = "q 595 0 0 842 0 0 cm BI /W 1 /H 1 /CS /G /BPC 8 ID x EI Q";
        PageFacts facts = facts(2, page -> page == 1 ? picture
                : "q 60 0 0 80 0 0 cm BI /W 1 /H 1 /CS /G /BPC 8 ID x EI Q BT /F 11 Tf 72 700 Td (a page with a stamp) Tj ET");
        assertThat(facts.scanned().ranges()).isEqualTo("1");
        assertThat(facts.searchable().ranges()).isEqualTo("2");
    }

    @Test
    void manyStripsOfOneScanMakeAScan() throws IOException {
        StringBuilder strips = new StringBuilder();
        for (int i = 0; i < 20; i++)
            strips.append("q 595 0 0 42.1 0 ").append(i * 42.1).append(" cm BI /W 1 /H 1 /CS /G /BPC 8 ID x EI Q ");
        assertThat(facts(1, page -> strips.toString()).scanned().count()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            %d      | 1 | 8 | ''
            - %d -  | 1 | 8 | ''
            Page %d | 1 | 8 | ''
            TH%04d  | 1 | 8 | TH
            """)
    void numbersAreRecognisedInTheFormsThatTheyHave(String form, int first, int last, String prefix) throws IOException {
        PageFacts facts = facts(8, page -> "BT /F 9 Tf 280 25 Td (" + String.format(Locale.ROOT, form, page) + ") Tj ET");
        assertThat(facts.printed()).contains(new PrintedSeries(first, last, true, prefix));
    }

    @Test
    void numbersThatDoNotRunAreNoSeries() throws IOException {
        int[] unordered = {4, 17, 2, 90, 33, 8};
        assertThat(facts(6, page -> "BT /F 9 Tf 280 25 Td (" + unordered[page - 1] + ") Tj ET").printed()).isEmpty();
        assertThat(facts(6, page -> "BT /F 9 Tf 280 400 Td (" + page + ") Tj ET").printed()).as("in the middle of the page")
                .isEmpty();
    }

    @Test
    void aPartOfAPageThatIsShownIsItsSize() throws IOException {
        PageFacts facts = inspect(1, page -> "", (page, document) -> page.setCropBox(new PDRectangle(50, 50, 298, 420))).facts();
        assertThat(facts.sizes()).containsExactly(new SheetSize(105, 148, 1));
        PageFacts larger = inspect(1, page -> "", (page, document) -> page.setUserUnit(2)).facts();
        assertThat(larger.sizes()).extracting(SheetSize::shown).containsExactly("A2");
    }

    @Test
    void pagesThatLookTheSameButAreNotHaveOtherPrints() throws IOException {
        String one = facts(1, page -> "BT /F 9 Tf 280 25 Td (due on the 4th) Tj ET").prints();
        assertThat(facts(1, page -> "BT /F 9 Tf 280 25 Td (due on the 5th) Tj ET").prints()).isNotEqualTo(one);
        assertThat(facts(1, page -> "BT /F 9 Tf 280 25 Td (due on the 4th) Tj ET").prints()).isEqualTo(one);
    }

    @Test
    void contentThatIsNoneIsToldApartFromAnEmptyPage() throws IOException {
        Inspection found = inspect(3, page -> "", (page, document) -> {
            if (document.getNumberOfPages() != 2) return;
            COSStream broken = new PDStream(document).getCOSObject();
            broken.setItem(COSName.FILTER, COSName.getPDFName("NoSuchFilter"));
            try (var out = broken.createRawOutputStream()) {
                out.write(1);
            }
            page.getCOSObject().setItem(COSName.CONTENTS, broken);
        });
        assertThat(found.damaged().ranges()).isEqualTo("2");
        assertThat(found.pageCount()).isEqualTo(3);
    }
}
