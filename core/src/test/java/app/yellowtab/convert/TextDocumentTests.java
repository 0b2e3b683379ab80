package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Running text of the other kinds: rich text, OpenDocument, plain text. */
class TextDocumentTests {
    @TempDir
    private Path folder;

    private Conversions.Result rtf(String body, Reading reading) throws IOException {
        Path file = Files.writeString(folder.resolve("letter.rtf"),
                "{\\rtf1\\ansi\\ansicpg1252\\deff0{\\fonttbl{\\f0 Times New Roman;}{\\f1 Arial;}}" + body + "}");
        return Conversions.of(file, SourceKind.RTF, reading);
    }

    private Conversions.Result rtf(String body) throws IOException {
        return rtf(body, Reading.STANDARD);
    }

    @Test
    void richTextKeepsParagraphsNumbersTablesAndLetters() throws IOException {
        Conversions.Result result =
                rtf("\\pard First \\b bold\\b0 caf\\'e9 \\u8211? dash\\par {\\listtext 1.1\\tab}Numbered\\par "
                        + "\\trowd\\cellx2000\\cellx4000\\intbl left\\cell right\\cell\\row\\pard After\\page New page\\par");
        assertThat(result.page(1)).isEqualTo("First boldcafé – dash 1.1 Numbered left right After");
        assertThat(result.page(2)).isEqualTo("New page");
    }

    @Test
    void richTextKeepsHeadersPageNumbersAndFootnotes() throws IOException {
        Conversions.Result result = rtf(
                "{\\header \\pard Reedmoor & Vale\\par}{\\footer \\pard Page {\\field{\\*\\fldinst PAGE}{\\fldrslt 7}} of "
                        + "{\\field{\\*\\fldinst NUMPAGES}{\\fldrslt 7}}\\par}"
                        + "\\pard Text{\\footnote \\pard small print\\par}\\par\\page More\\par");
        assertThat(result.page(1)).contains("Reedmoor & Vale", "Text1", "1 small print", "Page 1 of 2");
        assertThat(result.page(2)).contains("Reedmoor & Vale", "More", "Page 2 of 2").doesNotContain("small print");
    }

    @Test
    void richTextShowsTheSheetItWasWrittenFor() throws IOException {
        Conversions.Result result = rtf("\\paperw16838\\paperh11906\\pard wide\\par");
        try (PDDocument document = Loader.loadPDF(result.pdf().toFile())) {
            assertThat(document.getPage(0).getMediaBox().getWidth()).isGreaterThan(document.getPage(0).getMediaBox().getHeight());
        }
    }

    @Test
    void whatReviewersTookOutOfRichTextIsGoneOrMarked() throws IOException {
        String text = "\\pard The store keeps {\\deleted two}{\\revised three} degrees.\\par";
        Conversions.Result accepted = rtf(text);
        assertThat(accepted.page(1)).isEqualTo("The store keeps three degrees.");
        assertThat(accepted.codes()).containsExactly(Code.CHANGES_ACCEPTED);
        Conversions.Result shown = rtf(text, new Reading(false, true, false));
        assertThat(shown.page(1)).isEqualTo("The store keeps twothree degrees.");
        assertThat(shown.codes()).containsExactly(Code.CHANGES_SHOWN);
    }

    @Test
    void whatIsNoTextOfTheDocumentIsNotShown() throws IOException {
        assertThat(rtf(
                "{\\info{\\author Somebody}}{\\stylesheet{\\s0 Normal;}}{\\*\\unheardof{\\par secret;}}{\\v hidden}\\pard "
                        + "shown\\par")
                .page(1)).isEqualTo("shown");
    }

    private Path odt(String styles, String text) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("mimetype", "application/vnd.oasis.opendocument.text".getBytes(StandardCharsets.US_ASCII));
        StringBuilder spaces = new StringBuilder();
        for (String space : new String[] {"office", "style", "text", "table"}) spaces.append(" xmlns:").append(space)
                .append("=\"urn:oasis:names:tc:opendocument:xmlns:").append(space).append(":1.0\"");
        spaces.append(" xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\"");
        parts.put("content.xml",
                ("<office:document-content" + spaces + "><office:automatic-styles>" + styles
                        + "</office:automatic-styles><office:body><office:text>" + text
                        + "</office:text></office:body></office:document-content>").getBytes(StandardCharsets.UTF_8));
        return WordFile.zip(folder.resolve("text.odt"), parts);
    }

    @Test
    void openDocumentListsAreNumbered() throws IOException {
        String styles =
                "<text:list-style style:name=\"L\"><text:list-level-style-number text:level=\"1\" style:num-format=\"1\" "
                        + "style:num-suffix=\".\"/>"
                        + "<text:list-level-style-number text:level=\"2\" style:num-format=\"a\" style:num-prefix=\"(\" "
                        + "style:num-suffix=\")\"/></text:list-style>";
        String inner =
                "<text:list><text:list-item><text:p>one a</text:p></text:list-item><text:list-item><text:p>one "
                        + "b</text:p></text:list-item></text:list>";
        String list = "<text:list text:style-name=\"L\"><text:list-item><text:p>one</text:p>" + inner
                + "</text:list-item><text:list-item><text:p>two</text:p></text:list-item></text:list>";
        assertThat(Conversions.of(odt(styles, list), SourceKind.ODT).page(1)).isEqualTo("1. one (a) one a (b) one b 2. two");
    }

    @Test
    void openDocumentTablesSpacesTabsAndBreaksStay() throws IOException {
        String styles =
                "<style:style style:name=\"B\" style:family=\"paragraph\"><style:paragraph-properties "
                        + "fo:break-before=\"page\"/></style:style>";
        String text =
                "<text:p>a<text:s text:c=\"3\"/>b<text:line-break/>c</text:p><table:table><table:table-column "
                        + "table:number-columns-repeated=\"2\"/><table:table-row>"
                        + "<table:table-cell "
                        + "table:number-columns-spanned=\"2\"><text:p>wide</text:p></table:table-cell>"
                        + "<table:covered-table-cell/></table:table-row>"
                        + "<table:table-row><table:table-cell><text:p>l</text:p></table:table-cell><table:table-cell><text:p>"
                        + "r</text:p></table:table-cell></table:table-row></table:table>"
                        + "<text:p text:style-name=\"B\">next page</text:p>";
        Conversions.Result result = Conversions.of(odt(styles, text), SourceKind.ODT);
        assertThat(result.page(1)).isEqualTo("a b c wide l r");
        assertThat(result.page(2)).isEqualTo("next page");
    }

    @Test
    void openDocumentChangesAreAccepted() throws IOException {
        String changes =
                "<text:tracked-changes><text:changed-region><text:deletion><text:p>two</text:p></text:deletion></"
                        + "text:changed-region></text:tracked-changes>";
        Conversions.Result result =
                Conversions.of(odt("", changes + "<text:p>keeps <text:change/>three degrees</text:p>"), SourceKind.ODT);
        assertThat(result.page(1)).isEqualTo("keeps three degrees");
        assertThat(result.codes()).containsExactly(Code.CHANGES_ACCEPTED);
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252", "UTF-32LE"})
    void plainTextIsReadInAnyEncoding(String name) throws IOException {
        String words = "Café at Über – £12";
        String mark = name.startsWith("UTF-16") || name.startsWith("UTF-32") ? "\uFEFF" : "";
        Path file = Files.write(folder.resolve("note.txt"), (mark + words).getBytes(Charset.forName(name)));
        assertThat(Conversions.of(file, SourceKind.TEXT).page(1)).isEqualTo(words);
    }

    @Test
    void lettersThatNoFontOfOursHasAreCounted() throws IOException {
        assertThat(rtf("\\pard \\u20013?\\u25991?\\par").codes()).containsExactly(Code.CHARACTERS_NOT_SHOWN);
    }
}
