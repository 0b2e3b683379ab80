package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** More of what stands in OpenDocument and rich texts: notes, margins, pictures, comments, and what is not shown. */
class OpenTextTests {
    private static final List<String> SPACES = List.of("office", "style", "text", "table");

    @TempDir
    private Path folder;

    private static byte[] part(String root, String content) {
        StringBuilder spaces = new StringBuilder(
                " xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\" "
                        + "xmlns:draw=\"urn:oasis:names:tc:opendocument:xmlns:drawing:1.0\""
                        + " xmlns:svg=\"urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0\" "
                        + "xmlns:xlink=\"http://www.w3.org/1999/xlink\" xmlns:dc=\"http://purl.org/dc/elements/1.1/\"");
        for (String space : SPACES) spaces.append(" xmlns:").append(space).append("=\"urn:oasis:names:tc:opendocument:xmlns:")
                .append(space).append(":1.0\"");
        return ("<office:" + root + spaces + ">" + content + "</office:" + root + ">").getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] blackPicture() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), "png", png);
        return png.toByteArray();
    }

    private Conversions.Result odt(String automatic, String masters, String text) throws IOException {
        return odt(automatic, masters, text, Reading.STANDARD);
    }

    private Conversions.Result odt(String automatic, String masters, String text, Reading reading) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("mimetype", "application/vnd.oasis.opendocument.text".getBytes(StandardCharsets.US_ASCII));
        parts.put("styles.xml", part("document-styles", masters));
        parts.put("content.xml", part("document-content", "<office:automatic-styles>" + automatic
                + "</office:automatic-styles><office:body><office:text>" + text + "</office:text></office:body>"));
        parts.put("Pictures/a.png", blackPicture());
        return Conversions.of(WordFile.zip(folder.resolve("text.odt"), parts), SourceKind.ODT, reading);
    }

    private Conversions.Result rtf(String body) throws IOException {
        return rtf(body, Reading.STANDARD);
    }

    private Conversions.Result rtf(String body, Reading reading) throws IOException {
        Path file = Files.writeString(folder.resolve("letter.rtf"),
                "{\\rtf1\\ansi\\ansicpg1252\\deff0{\\fonttbl{\\f0 Arial;}}" + body + "}");
        return Conversions.of(file, SourceKind.RTF, reading);
    }

    @Test
    void headersFootersAndPageNumbersOfOpenTextStandOnEveryPage() throws IOException {
        String masters =
                "<office:automatic-styles><style:page-layout style:name=\"P\"><style:page-layout-properties "
                        + "fo:page-width=\"21cm\" fo:page-height=\"29.7cm\" fo:margin-top=\"2cm\" fo:margin-bottom=\"2cm\"/>"
                        + "</style:page-layout></office:automatic-styles><office:master-styles><style:master-page "
                        + "style:name=\"Standard\" style:page-layout-name=\"P\"><style:header><text:p>Cold "
                        + "store</text:p></style:header>"
                        + "<style:footer><text:p>Page <text:page-number>9</text:page-number> of "
                        + "<text:page-count>9</text:page-count></text:p></style:footer></style:master-page></"
                        + "office:master-styles>";
        Conversions.Result result = odt(
                "<style:style style:name=\"B\" style:family=\"paragraph\"><style:paragraph-properties "
                        + "fo:break-before=\"page\"/></style:style>",
                masters,
                "<text:p>first</text:p><text:p text:style-name=\"B\">second</text:p>");
        assertThat(result.page(1)).contains("Cold store", "first", "Page 1 of 2");
        assertThat(result.page(2)).contains("Cold store", "second", "Page 2 of 2");
    }

    @Test
    void notesOfOpenTextStandAtTheFoot() throws IOException {
        Conversions.Result result = odt("", "",
                "<text:p>claimed<text:note "
                        + "text:note-class=\"footnote\"><text:note-citation>1</text:note-citation><text:note-body><text:p>See "
                        + "the defence.</text:p></text:note-body></text:note>"
                        + " and denied</text:p>");
        assertThat(result.page(1)).contains("claimed1 and denied", "1 See the defence.");
    }

    @Test
    void commentsOfOpenTextAreLeftOutAndSaid() throws IOException {
        Conversions.Result result = odt("", "",
                "<text:p>keeps<office:annotation><dc:creator>O F</dc:creator><text:p>for us only</text:p></office:annotation> "
                        + "it cold</text:p>");
        assertThat(result.page(1)).isEqualTo("keeps it cold");
        assertThat(result.codes()).containsExactly(Code.COMMENTS_DROPPED);
    }

    @Test
    void picturesAndBoxesOfOpenTextAreShown() throws IOException {
        String frame = "<draw:frame svg:width=\"10cm\" svg:height=\"5cm\" text:anchor-type=\"as-char\">";
        Conversions.Result result = odt("", "",
                "<text:p>" + frame + "<draw:image xlink:href=\"Pictures/a.png\"/></draw:frame></text:p><text:p>" + frame
                        + "<draw:text-box><text:p>in the box</text:p></draw:text-box></draw:frame></text:p>");
        assertThat(result.page(1)).contains("in the box");
        int[] ink = Pdfs.ink(Pdfs.picture(result.pdf(), 1, 72));
        assertThat(ink[2] - ink[0]).as("ten centimetres in points").isBetween(280, 288);
    }

    @Test
    void hiddenOpenTextIsNotShown() throws IOException {
        String hidden =
                "<style:style style:name=\"H\" style:family=\"text\"><style:text-properties "
                        + "text:display=\"none\"/></style:style>";
        Conversions.Result result =
                odt(hidden, "", "<text:p>shown <text:span text:style-name=\"H\">for us only</text:span></text:p>"
                        + "<text:section text:name=\"S\" text:display=\"none\"><text:p>a hidden "
                        + "section</text:p></text:section><text:section text:name=\"T\"><text:p>an open "
                        + "section</text:p></text:section>");
        assertThat(result.page(1)).isEqualTo("shown an open section");
        assertThat(result.detail(Code.CONVERSION_LOST)).isEqualTo("hidden text");
    }

    private static String items(String list, String... words) {
        StringBuilder items = new StringBuilder("<text:list text:style-name=\"L\" " + list + ">");
        for (String word : words) items.append("<text:list-item><text:p>").append(word).append("</text:p></text:list-item>");
        return items.append("</text:list>").toString();
    }

    @Test
    void listsGoOnWhereTheyWereBrokenOff() throws IOException {
        String style =
                "<text:list-style style:name=\"L\"><text:list-level-style-number text:level=\"1\" style:num-format=\"1\" "
                        + "style:num-suffix=\".\"/></text:list-style>";
        Conversions.Result result = odt(style, "",
                items("xml:id=\"a\"", "one", "two") + "<text:p>between</text:p>"
                        + items("text:continue-numbering=\"true\" xml:id=\"b\"", "three")
                        + items("xml:id=\"c\"", "anew") + items("text:continue-list=\"a\"", "four")
                                .replace("<text:list-item><text:p>four", "<text:list-item text:start-value=\"9\"><text:p>four"));
        assertThat(result.page(1)).isEqualTo("1. one 2. two between 3. three 1. anew 9. four");
        assertThat(odt(style, "", items("", "one", "two") + items("", "anew")).page(1)).as("lists without a name of their own")
                .isEqualTo("1. one 2. two 1. anew");
    }

    @Test
    void headingsAreNumberedByTheirOutline() throws IOException {
        String outline =
                "<office:styles><text:outline-style style:name=\"Outline\"><text:outline-level-style text:level=\"1\" "
                        + "style:num-format=\"A\" style:num-suffix=\".\"/>"
                        + "<text:outline-level-style text:level=\"2\" style:num-format=\"1\" "
                        + "text:display-levels=\"2\"/><text:outline-level-style text:level=\"3\" "
                        + "style:num-format=\"\"/></text:outline-style></office:styles>";
        String[] levels = {"1", "2", "2", "3", "1", "2"};
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < levels.length; i++)
            text.append("<text:h text:outline-level=\"").append(levels[i]).append("\">h").append(i).append("</text:h>");
        assertThat(odt("", outline, text.toString()).page(1)).isEqualTo("A. h0 A.1 h1 A.2 h2 h3 B. h4 B.1 h5");
    }

    @Test
    void aFrameThatIsTiedToThePageIsNotLost() throws IOException {
        String frame =
                "<draw:frame svg:width=\"10cm\" svg:height=\"5cm\" text:anchor-type=\"page\"><draw:text-box><text:p>a "
                        + "stamp</text:p></draw:text-box></draw:frame>";
        assertThat(odt("", "", frame + "<text:p>text</text:p>").page(1)).isEqualTo("a stamp text");
    }

    @Test
    void commentsOfRichTextAreLeftOutAndSaid() throws IOException {
        Conversions.Result result = rtf(
                "\\pard keeps{\\*\\atnid OF}{\\*\\atnauthor Orla}\\chatn{\\*\\annotation \\pard for us only\\par} it cold\\par");
        assertThat(result.page(1)).isEqualTo("keeps it cold");
        assertThat(result.codes()).containsExactly(Code.COMMENTS_DROPPED);
    }

    @Test
    void changesOfOpenTextAreMarkedWhereThatIsChosen() throws IOException {
        String regions =
                "<text:tracked-changes><text:changed-region "
                        + "xml:id=\"d\"><text:deletion><text:p>two</text:p></text:deletion></text:changed-region>"
                        + "<text:changed-region xml:id=\"i\"><text:insertion/></text:changed-region></text:tracked-changes>";
        String text = regions
                + "<text:p>keeps <text:change text:change-id=\"d\"/><text:change-start "
                + "text:change-id=\"i\"/>three<text:change-end text:change-id=\"i\"/> degrees</text:p>";
        assertThat(odt("", "", text).page(1)).isEqualTo("keeps three degrees");
        Conversions.Result shown = odt("", "", text, new Reading(false, true, false));
        assertThat(shown.page(1)).isEqualTo("keeps twothree degrees");
        assertThat(shown.codes()).containsExactly(Code.CHANGES_SHOWN);
    }

    @Test
    void commentsStandInTheTextWhereThatIsChosen() throws IOException {
        Reading comments = new Reading(false, false, true);
        Conversions.Result open = odt("", "",
                "<text:p>keeps<office:annotation><dc:creator>Orla</dc:creator><text:p>since when?</text:p></office:annotation> "
                        + "it cold</text:p>",
                comments);
        assertThat(open.page(1)).isEqualTo("keeps[Orla: since when?] it cold");
        assertThat(open.codes()).containsExactly(Code.COMMENTS_KEPT);
        Conversions.Result rich = rtf(
                "\\pard keeps{\\*\\atnid OF}{\\*\\atnauthor Orla}\\chatn{\\*\\annotation \\pard since when?\\par} it cold\\par",
                comments);
        assertThat(rich.page(1)).isEqualTo("keeps[Orla: since when?] it cold");
        assertThat(rich.codes()).containsExactly(Code.COMMENTS_KEPT);
    }

    @Test
    void mergedCellsOfRichTextStandOnce() throws IOException {
        String wide = "\\trowd\\clmgf\\cellx2000\\clmrg\\cellx4000\\cellx6000\\intbl wide\\cell\\cell last\\cell\\row";
        String three = "\\trowd\\cellx2000\\cellx4000\\cellx6000\\intbl a\\cell b\\cell c\\cell\\row";
        assertThat(rtf("\\pard" + wide + "\\pard" + three + "\\pard after\\par").page(1)).isEqualTo("wide last a b c after");
    }

    @Test
    void picturesOfRichTextAreShownAsLargeAsItSays() throws IOException {
        String picture =
                "{\\pict\\pngblip\\picw40\\pich20\\picwgoal2880\\pichgoal1440 " + HexFormat.of().formatHex(blackPicture()) + "}";
        int[] ink = Pdfs.ink(Pdfs.picture(rtf("\\pard " + picture + "\\par").pdf(), 1, 72));
        assertThat(ink[2] - ink[0]).as("two inches").isBetween(142, 146);
    }

    @Test
    void richTextIsReadInItsCodePageAndInUnicode() throws IOException {
        assertThat(rtf("\\pard \\'80\\'93caf\\'e9\\'94 \\uc2\\u321??\\uc1 \\bullet\\~\\emdash\\rquote\\par").page(1))
                .isEqualTo("€“café” Ł• —’");
    }
}
