package app.yellowtab.convert;

import static app.yellowtab.testing.WordFile.p;
import static app.yellowtab.testing.WordFile.run;
import static app.yellowtab.testing.WordFile.section;
import static app.yellowtab.testing.WordFile.table;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a court looks at in a letter or an agreement. */
class DocxTests {
    private static final String LEVELS = """
            <w:abstractNum w:abstractNumId="0">
              <w:lvl w:ilvl="0"><w:start w:val="1"/><w:numFmt w:val="decimal"/><w:lvlText w:val="%1."/></w:lvl>
              <w:lvl w:ilvl="1"><w:start w:val="1"/><w:numFmt w:val="decimal"/><w:lvlText w:val="%1.%2"/></w:lvl>
              <w:lvl w:ilvl="2"><w:start w:val="1"/><w:numFmt w:val="lowerLetter"/><w:lvlText w:val="(%3)"/></w:lvl>
              <w:lvl w:ilvl="3"><w:start w:val="1"/><w:numFmt w:val="lowerRoman"/><w:lvlText w:val="(%4)"/></w:lvl>
            </w:abstractNum>
            <w:abstractNum w:abstractNumId="1"><w:lvl w:ilvl="0"><w:start w:val="3"/>\
            <w:numFmt w:val="upperRoman"/><w:lvlText w:val="Part %1"/></w:lvl></w:abstractNum>
            <w:abstractNum w:abstractNumId="2"><w:lvl w:ilvl="0">\
            <w:numFmt w:val="bullet"/><w:lvlText w:val="&#xF0B7;"/></w:lvl></w:abstractNum>
            <w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num>
            <w:num w:numId="2"><w:abstractNumId w:val="0"/>\
            <w:lvlOverride w:ilvl="0"><w:startOverride w:val="1"/></w:lvlOverride></w:num>
            <w:num w:numId="3"><w:abstractNumId w:val="1"/></w:num>
            <w:num w:numId="4"><w:abstractNumId w:val="2"/></w:num>
            """;
    private static final String LANDSCAPE =
            "<w:pgSz w:w=\"16838\" w:h=\"11906\"/><w:pgMar w:top=\"1000\" w:right=\"1000\" w:bottom=\"1000\" w:left=\"1000\"/>";
    private static final String UPRIGHT =
            "<w:pgSz w:w=\"11906\" w:h=\"16838\"/><w:pgMar w:top=\"1440\" w:right=\"1440\" w:bottom=\"1440\" w:left=\"1440\" "
                    + "w:header=\"700\" w:footer=\"700\"/>";

    @TempDir
    private Path folder;

    private Conversions.Result convert(WordFile file) throws IOException {
        return convert(file, Reading.STANDARD);
    }

    private Conversions.Result convert(WordFile file, Reading reading) throws IOException {
        return Conversions.of(file.write(folder, "letter.docx"), SourceKind.DOCX, reading);
    }

    private static String item(int list, int level, String words) {
        return p("<w:numPr><w:ilvl w:val=\"" + level + "\"/><w:numId w:val=\"" + list + "\"/></w:numPr>", words);
    }

    @Test
    void paragraphsAreNumberedAsTheWriterSawThem() throws IOException {
        Conversions.Result result = convert(new WordFile(
                item(1, 0, "alpha") + item(1, 1, "beta") + item(1, 2, "gamma") + item(1, 2, "delta") + item(1, 3, "epsilon")
                        + item(1, 1, "zeta") + item(1, 2, "eta") + item(1, 0, "theta") + item(1, 1, "iota"))
                .part("numbering", "numbering", LEVELS));
        assertThat(result.page(1))
                .isEqualTo("1. alpha 1.1 beta (a) gamma (b) delta (i) epsilon 1.2 zeta (a) eta 2. theta 2.1 iota");
        assertThat(result.findings()).isEmpty();
    }

    @Test
    void aListThatStartsAnewBeginsAtItsStart() throws IOException {
        Conversions.Result result = convert(new WordFile(item(1, 0, "one") + item(1, 0, "two") + item(2, 0, "anew")
                + item(2, 0, "next") + item(3, 0, "third") + item(3, 0, "fourth")
                + item(4, 0, "dot")).part("numbering", "numbering", LEVELS));
        assertThat(result.page(1)).isEqualTo("1. one 2. two 1. anew 2. next Part III third Part IV fourth • dot");
    }

    @Test
    void aStyleBringsItsNumberAndItsLook() throws IOException {
        String styles = "<w:style w:type=\"paragraph\" w:styleId=\"Base\"><w:pPr><w:jc w:val=\"right\"/></w:pPr></w:style>"
                + "<w:style w:type=\"paragraph\" w:styleId=\"Clause\"><w:basedOn w:val=\"Base\"/><w:pPr><w:numPr><w:numId "
                + "w:val=\"1\"/></w:numPr></w:pPr><w:rPr><w:caps/></w:rPr></w:style>";
        Conversions.Result result = convert(new WordFile(p("<w:pStyle w:val=\"Clause\"/>", "rent")
                + p("<w:pStyle w:val=\"Clause\"/>", "term") + p("<w:pStyle w:val=\"Base\"/>", "right"))
                .part("numbering", "numbering", LEVELS).part("styles", "styles", styles));
        assertThat(result.page(1)).isEqualTo("1. RENT 2. TERM right");
        int[] ink = Pdfs.ink(Pdfs.picture(result.pdf(), 1, 30));
        assertThat(ink[0]).as("all of it stands to the right").isGreaterThan(80);
    }

    @Test
    void headersFootersAndPageNumbersStandOnEveryPage() throws IOException {
        String layout =
                "<w:headerReference w:type=\"default\" r:id=\"header1\"/><w:footerReference w:type=\"default\" r:id=\"footer1\"/>"
                        + UPRIGHT;
        String number = "<w:p>" + run("Page ")
                + "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText> PAGE </w:instrText></w:r><w:r><w:fldChar "
                + "w:fldCharType=\"separate\"/></w:r>"
                + run("9") + "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>" + run(" of ") + "<w:fldSimple w:instr=\"NUMPAGES\">"
                + run("9") + "</w:fldSimple></w:p>";
        Conversions.Result result = convert(new WordFile(p("first") + "<w:p><w:r><w:br w:type=\"page\"/></w:r></w:p>"
                + p("second") + section(layout) + p("third") + "<w:sectPr>"
                + LANDSCAPE + "</w:sectPr>").part("header1", "hdr", p("Tarn Hollow v Brightwick"))
                .part("footer1", "ftr", number));
        assertThat(result.pages()).hasSize(3);
        assertThat(result.page(1)).contains("Tarn Hollow v Brightwick", "first", "Page 1 of 3");
        assertThat(result.page(2)).contains("Tarn Hollow v Brightwick", "second", "Page 2 of 3");
        assertThat(result.page(3)).contains("third", "Page 3 of 3");
    }

    @Test
    void aFirstPageMayHaveAHeaderOfItsOwn() throws IOException {
        String layout =
                "<w:headerReference w:type=\"default\" r:id=\"header1\"/><w:headerReference w:type=\"first\" "
                        + "r:id=\"header2\"/><w:titlePg/>"
                        + UPRIGHT;
        Conversions.Result result =
                convert(new WordFile(p("one") + p("<w:pageBreakBefore/>", "two") + "<w:sectPr>" + layout + "</w:sectPr>")
                        .part("header1", "hdr", p("later pages")).part("header2", "hdr", p("first page")));
        assertThat(result.page(1)).contains("first page").doesNotContain("later pages");
        assertThat(result.page(2)).contains("later pages").doesNotContain("first page");
    }

    @Test
    void sectionsKeepTheirSheets() throws IOException {
        Conversions.Result result =
                convert(new WordFile(p("upright") + section(UPRIGHT) + p("wide") + "<w:sectPr>" + LANDSCAPE + "</w:sectPr>"));
        try (PDDocument document = Loader.loadPDF(result.pdf().toFile())) {
            assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(595, Offset.offset(1f));
            assertThat(document.getPage(1).getMediaBox().getWidth()).isCloseTo(842, Offset.offset(1f));
        }
    }

    @Test
    void mergedCellsStandOnce() throws IOException {
        Conversions.Result result = convert(new WordFile(
                table("{<w:gridSpan w:val=\"2\"/>}Wide|", "{<w:vMerge w:val=\"restart\"/>}Tall|b", "{<w:vMerge/>}|c")));
        assertThat(result.page(1)).isEqualTo("Wide Tall b c");
    }

    @Test
    void aHeadRowIsRepeated() throws IOException {
        StringBuilder rows = new StringBuilder();
        for (int i = 1; i <= 90; i++) rows.append("<w:tr><w:tc>").append(p("row " + i)).append("</w:tc></w:tr>");
        Conversions.Result result = convert(new WordFile(
                "<w:tbl><w:tblGrid><w:gridCol w:w=\"4000\"/></w:tblGrid><w:tr><w:trPr><w:tblHeader/></w:trPr><w:tc>" + p("HEAD")
                        + "</w:tc></w:tr>" + rows + "</w:tbl>"));
        assertThat(result.pages()).hasSizeGreaterThan(1).allMatch(page -> page.startsWith("HEAD"));
        assertThat(String.join(" ", result.pages())).contains("row 1 ", "row 45 ", "row 90");
    }

    @Test
    void footnotesStandAtTheFootOfTheirPage() throws IOException {
        String reference = "<w:p>" + run("Text") + "<w:r><w:footnoteReference w:id=\"2\"/></w:r></w:p>";
        Conversions.Result result = convert(new WordFile(reference + p("more text")).part("footnotes", "footnotes",
                "<w:footnote w:id=\"2\">" + p("see schedule") + "</w:footnote>"));
        assertThat(result.page(1)).matches("Text1 more text 1 ?see schedule");
    }

    private static String changed() {
        return "<w:p>" + run("The store keeps ") + "<w:del>" + "<w:r><w:delText>two</w:delText></w:r></w:del><w:ins>"
                + run("three") + "</w:ins>" + run(" degrees.")
                + "<w:r><w:commentReference w:id=\"1\"/></w:r></w:p>";
    }

    private static WordFile reviewed() {
        return new WordFile(changed()).part("comments", "comments",
                "<w:comment w:id=\"1\" w:author=\"Idris\">" + p("is this agreed?") + "</w:comment>");
    }

    @Test
    void trackedChangesAreAcceptedAndCommentsLeftOutAndBothAreSaid() throws IOException {
        Conversions.Result result = convert(reviewed());
        assertThat(result.page(1)).isEqualTo("The store keeps three degrees.");
        assertThat(result.codes()).containsExactlyInAnyOrder(Code.CHANGES_ACCEPTED, Code.COMMENTS_DROPPED);
        assertThat(result.detail(Code.CHANGES_ACCEPTED)).isEqualTo("1 put in, 1 taken out");
        assertThat(result.detail(Code.COMMENTS_DROPPED)).isEqualTo("1");
    }

    @Test
    void trackedChangesAndCommentsShowWhereThatIsChosen() throws IOException {
        Conversions.Result result = convert(reviewed(), new Reading(false, true, true));
        assertThat(result.page(1)).contains("twothree degrees.", "[Idris: is this agreed?]");
        assertThat(result.codes()).containsExactlyInAnyOrder(Code.CHANGES_SHOWN, Code.COMMENTS_KEPT);
    }

    @Test
    void aParagraphThatWasTakenOutTakesNoNumber() throws IOException {
        String gone =
                "<w:p><w:pPr><w:numPr><w:ilvl w:val=\"0\"/><w:numId "
                        + "w:val=\"1\"/></w:numPr><w:rPr><w:del/></w:rPr></w:pPr><w:del><w:r><w:delText>gone</w:delText></w:r>"
                        + "</w:del></w:p>";
        Conversions.Result result =
                convert(new WordFile(item(1, 0, "one") + gone + item(1, 0, "two")).part("numbering", "numbering", LEVELS));
        assertThat(result.page(1)).isEqualTo("1. one 2. two");
    }

    @Test
    void tabsLeadToTheirStops() throws IOException {
        String right = "<w:tabs><w:tab w:val=\"right\" w:pos=\"9000\"/></w:tabs>";
        Conversions.Result result =
                convert(new WordFile("<w:p><w:pPr>" + right + "</w:pPr>" + run("Signed") + "<w:r><w:tab/></w:r>" + run("Fennick")
                        + "</w:p>" + p("<w:ind w:right=\"26\"/><w:jc w:val=\"right\"/>", "Fennick")));
        int[] ink = Pdfs.ink(Pdfs.picture(result.pdf(), 1, 72));
        assertThat(ink[0]).as("the left edge of Signed").isBetween(70, 76);
        BufferedImage picture = Pdfs.picture(result.pdf(), 1, 72);
        assertThat(rightmostInk(picture, 70, 86)).as("the name before the stop").isCloseTo(rightmostInk(picture, 86, 105),
                Offset.offset(4));
    }

    private static int rightmostInk(BufferedImage picture, int fromY, int toY) {
        for (int x = picture.getWidth() - 1; x >= 0; x--) {
            for (int y = fromY; y < toY; y++) if ((picture.getRGB(x, y) & 0xFF) < 128) return x;
        }
        return -1;
    }

    @Test
    void picturesStandInTheText() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 40, BufferedImage.TYPE_INT_RGB), "png", png);
        String drawing =
                "<w:p><w:r><w:drawing><wp:inline><wp:extent cx=\"1270000\" cy=\"1270000\"/><a:blip "
                        + "r:embed=\"pic\"/></wp:inline></w:drawing></w:r></w:p>";
        Conversions.Result result = convert(
                new WordFile(drawing).bytes("word/media/a.png", png.toByteArray()).relationship("pic", "media/a.png", false));
        int[] ink = Pdfs.ink(Pdfs.picture(result.pdf(), 1, 72));
        assertThat(ink[2] - ink[0]).as("100 points wide").isBetween(97, 102);
        assertThat(result.findings()).isEmpty();
    }

    @Test
    void aPictureOnTheNetworkIsNotFetchedAndSaid() throws IOException {
        String drawing =
                "<w:p>" + run("text") + "<w:r><w:drawing><wp:inline><a:blip r:link=\"pic\"/></wp:inline></w:drawing></w:r></w:p>";
        Conversions.Result result = convert(new WordFile(drawing).relationship("pic", "http://127.0.0.1:9/a.png", true));
        assertThat(result.page(1)).isEqualTo("text");
        assertThat(result.codes()).containsExactly(Code.NOT_FETCHED);
    }

    @Test
    void whatIsLostIsSaid() throws IOException {
        String box = "<w:p>" + run("around") + "<w:r><w:pict><w:txbxContent>" + p("inside the box")
                + "</w:txbxContent></w:pict></w:r></w:p>";
        Conversions.Result result =
                convert(new WordFile(box + section("<w:cols w:num=\"2\"/>" + UPRIGHT) + p("<w:rPr><w:vanish/></w:rPr>", "x")
                        + "<w:p><w:r><w:rPr><w:vanish/></w:rPr><w:t>secret</w:t></w:r></w:p>"));
        assertThat(result.page(1)).contains("around", "inside the box");
        assertThat(String.join(" ", result.pages())).doesNotContain("secret");
        assertThat(result.detail(Code.CONVERSION_LOST)).contains("columns", "text boxes", "hidden text");
    }

    @Test
    void aLockedDocumentOpensWithItsPasswordOnly() throws Exception {
        Path locked = new WordFile(p("sealed terms")).writeLocked(folder, "locked.docx", "orchard");
        assertThatThrownBy(() -> Conversions.of(locked, SourceKind.DOCX, Reading.STANDARD, "wrong"))
                .isInstanceOf(LockedException.class);
        assertThat(Conversions.of(locked, SourceKind.DOCX, Reading.STANDARD, "wrong", "orchard").page(1))
                .isEqualTo("sealed terms");
    }

    @Test
    void theSameFileGivesTheSameBytes() throws IOException {
        byte[] first = Files.readAllBytes(convert(reviewed()).pdf());
        assertThat(Arrays.equals(Files.readAllBytes(convert(reviewed()).pdf()), first)).isTrue();
    }
}
