package app.yellowtab.convert;

import static app.yellowtab.testing.WordFile.p;
import static app.yellowtab.testing.WordFile.run;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is text in a document, and what only looks like it in the file. */
class DocxTextTests {
    @TempDir
    private Path folder;

    private Conversions.Result convert(WordFile file) throws IOException {
        return Conversions.of(file.write(folder, "letter.docx"), SourceKind.DOCX);
    }

    private String words(String body) throws IOException {
        return convert(new WordFile(body)).page(1);
    }

    private static String field(String instruction, String result) {
        return "<w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText xml:space=\"preserve\"> " + instruction
                + " </w:instrText></w:r><w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>"
                + run(result) + "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>";
    }

    @Test
    void fieldsShowWhatTheyShowedAndNotTheirInstruction() throws IOException {
        String date = "<w:fldSimple w:instr=\" DATE \\@ &quot;d MMMM yyyy&quot; \">" + run("9 June 2031") + "</w:fldSimple>";
        String link = "<w:hyperlink r:id=\"out\">" + run("the schedule") + "</w:hyperlink>";
        String nested = field("IF " + "1 = 1", "see clause " + "</w:t></w:r>" + field("REF _Ref1 \\r \\h", "4.2") + "<w:r><w:t>");
        assertThat(words("<w:p>" + run("On ") + date + run(", under ") + link + run(", ") + nested + run(".") + "</w:p>"))
                .isEqualTo("On 9 June 2031, under the schedule, see clause 4.2.");
    }

    @Test
    void controlsAndTagsAroundTextAreSeenThrough() throws IOException {
        String control = "<w:sdt><w:sdtPr><w:alias w:val=\"Client\"/></w:sdtPr><w:sdtContent>" + p("Orla Fennick")
                + "</w:sdtContent></w:sdt>";
        String inline = "<w:p><w:sdt><w:sdtContent>" + run("of ") + "</w:sdtContent></w:sdt><w:smartTag>" + run("Tarn Hollow")
                + "</w:smartTag></w:p>";
        assertThat(words(control + inline)).isEqualTo("Orla Fennick of Tarn Hollow");
    }

    @Test
    void whatIsSaidInTwoWaysForOlderProgramsShowsOnce() throws IOException {
        String both =
                "<w:p><w:r><mc:AlternateContent "
                        + "xmlns:mc=\"http://schemas.openxmlformats.org/markup-compatibility/2006\"><mc:Choice "
                        + "Requires=\"wps\"><w:drawing><w:txbxContent>"
                        + p("in the box")
                        + "</w:txbxContent></w:drawing></mc:Choice><mc:Fallback><w:pict><w:txbxContent>" + p("in the box")
                        + "</w:txbxContent></w:pict></mc:Fallback></mc:AlternateContent></w:r>" + run("beside") + "</w:p>";
        assertThat(words(both)).containsOnlyOnce("in the box").contains("beside");
    }

    @Test
    void tablesStandInCellsOfTables() throws IOException {
        String inner = WordFile.table("deep left|deep right");
        String outer = "<w:tbl><w:tblGrid><w:gridCol w:w=\"6000\"/><w:gridCol w:w=\"3000\"/></w:tblGrid><w:tr><w:tc>"
                + p("before") + inner + p("after") + "</w:tc><w:tc>" + p("right") + "</w:tc></w:tr></w:tbl>";
        assertThat(words(outer + p("below"))).isEqualTo("before deep left deep right after right below");
    }

    @Test
    void signsThatAreNoLettersAreShownAsLetters() throws IOException {
        assertThat(words(
                "<w:p><w:r><w:t>non</w:t><w:noBreakHyphen/><w:t>stop "
                        + "co</w:t><w:softHyphen/><w:t>oling</w:t><w:tab/><w:t>a</w:t><w:br/><w:t>b</w:t><w:cr/><w:t>c</w:t></"
                        + "w:r></w:p>"))
                .isEqualTo("non‑stop cooling a b c");
    }

    @ParameterizedTest
    @CsvSource({"caps, THE KEEPER", "smallCaps, THE KEEPER", "strike, the Keeper", "vanish, ''"})
    void lettersAreAsTheirLooksSay(String property, String shown) throws IOException {
        String text = words("<w:p><w:r><w:rPr><w:" + property + "/></w:rPr><w:t>the Keeper</w:t></w:r></w:p>" + p("."));
        assertThat(text.replace(".", "").strip()).isEqualToIgnoringCase(shown);
        if (!property.equals("smallCaps")) assertThat(text.replace(".", "").strip()).isEqualTo(shown);
    }

    @Test
    void pagesBreakWhereTheWriterBrokeThem() throws IOException {
        Conversions.Result result = convert(new WordFile(p("one") + "<w:p>" + run("two") + "<w:r><w:br w:type=\"page\"/></w:r>"
                + run("three") + "</w:p>" + p("<w:pageBreakBefore/>", "four")));
        assertThat(result.pages()).containsExactly("one two", "three", "four");
    }

    @ParameterizedTest
    @CsvSource({"<w:jc w:val='right'/>, 497, 523", "<w:jc w:val='center'/>, 285, 310", "<w:ind w:left='2880'/>, 216, 240",
            "<w:ind w:left='2880' w:hanging='1440'/>, 144, 168", "'', 72, 96"})
    void textStandsWhereItsParagraphSays(String properties, int left, int right) throws IOException {
        Path pdf = convert(new WordFile(p(properties, "words."))).pdf();
        int[] ink = Arrays.stream(Pdfs.ink(Pdfs.picture(pdf, 1, 216))).map(dots -> dots / 3).toArray();
        assertThat(ink[0]).as("in points from the edge of the sheet").isBetween(left - 2, left + 2);
        assertThat(ink[2]).isBetween(right - 2, right + 2);
    }

    @Test
    void endnotesComeAfterTheText() throws IOException {
        WordFile file = new WordFile(
                "<w:p>" + run("claimed") + "<w:r><w:endnoteReference w:id=\"2\"/></w:r>" + run(" and denied") + "</w:p>")
                .part("endnotes", "endnotes", "<w:endnote w:id=\"2\">" + p("See the defence.") + "</w:endnote>");
        String page = convert(file).page(1);
        assertThat(page).contains("claimed", "and denied", "See the defence.");
        assertThat(page.indexOf("See the defence")).isGreaterThan(page.indexOf("and denied"));
    }

    @Test
    void formulasAndChartsAreNotSilentlyMissing() throws IOException {
        String chart =
                "<w:p><w:r><w:drawing><wp:inline><a:graphic><a:graphicData><c:chart "
                        + "xmlns:c=\"http://schemas.openxmlformats.org/drawingml/2006/chart\" "
                        + "r:id=\"c1\"/></a:graphicData></a:graphic></wp:inline></w:drawing></w:r>"
                        + run("as the chart shows") + "</w:p>";
        String formula =
                "<w:p><m:oMath xmlns:m=\"http://schemas.openxmlformats.org/officeDocument/2006/math\"><m:r><m:t>Q = m c "
                        + "t</m:t></m:r></m:oMath></w:p>";
        Conversions.Result result = convert(new WordFile(chart + formula));
        assertThat(result.page(1)).isEqualTo("as the chart shows Q = m c t");
        assertThat(result.detail(Code.CONVERSION_LOST)).contains("chart", "formula");
    }
}
