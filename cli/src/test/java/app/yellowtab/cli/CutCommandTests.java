package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.page.Redacting;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** A clerk with a week's post and a terminal. */
class CutCommandTests {
    @TempDir
    private Path temp;
    private Path post;
    private Path to;
    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void scan() throws IOException {
        to = temp.resolve("cut");
        post = Pdfs.write(temp, "post of the week", 6, document -> {
            String[][] words = {{"Invoice no. TH-1", "1 of 2"}, {"Invoice no. TH-1", "2 of 2"}, {"Invoice no. TH-2", "1 of 1"},
                    {"Invoice no. TH-3", "1 of 2"}, {"Invoice no. TH-3", "2 of 2"}, {}};
            for (int i = 0; i < words.length; i++) say(document, document.getPage(i), words[i]);
        });
    }

    private static void say(PDDocument document, PDPage page, String... lines) {
        try (var content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.OVERWRITE, true)) {
            for (int i = 0; i < lines.length; i++) {
                content.beginText();
                content.setFont(new PDType1Font(FontName.HELVETICA), 12);
                content.newLineAtOffset(72, 700 - 40 * i);
                content.showText(lines[i]);
                content.endText();
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private int run(Object... arguments) {
        CommandLine line = Main.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        return line.execute(Stream.concat(Stream.of("cut"), Stream.of(arguments).map(Object::toString)).toArray(String[]::new));
    }

    private List<String> written() throws IOException {
        try (Stream<Path> files = Files.walk(to)) {
            return files.filter(Files::isRegularFile).map(file -> to.relativize(file).toString()).sorted().toList();
        }
    }

    @Test
    void piecesAreAttachedToDraftedMails() throws IOException {
        assertThat(run(post, "-o", to, "--value-after", "invoice no.", "--emails", "each")).isZero();
        assertThat(written()).containsExactly("post of the week/TH-1.eml", "post of the week/TH-2.eml",
                "post of the week/TH-3.eml", "post of the week/cuts.csv");
    }

    @Test
    void piecesBecomeDocumentsOfABundleByRulesOfAFile() throws IOException {
        Path rules = temp.resolve("rules.json");
        KeptRules.write(rules, new KeptRules.Named("Invoices", new CutRules(
                List.of(new CutRule.ValueChanges(new ValuePlace.AfterWords("Invoice no.", "")), new CutRule.BlankSheets(true)), 1,
                List.of(new NamePart.Typed("Invoice"), new NamePart.Value(new ValuePlace.AfterWords("Invoice no.", ""))))));
        Path bundle = temp.resolve("Trial bundle");
        assertThat(run(post, "--rules", rules, "--into", bundle, "--section", "Invoices", "--drop", "3")).as(err.toString())
                .isZero();
        BundleFolder.Opened opened = BundleFolder.open(bundle);
        try (BundleFolder folder = opened.folder()) {
            Bundle saved = opened.bundle();
            assertThat(folder.path()).isEqualTo(bundle);
            assertThat(saved.contents().sections()).extracting(Section::title).containsExactly("Invoices");
            assertThat(saved.contents().sections().getFirst().contents().documents()).extracting(Document::title)
                    .containsExactly("Invoice TH-1", "Invoice TH-3");
            assertThat(saved.batches().getFirst().rules().rules()).hasSize(2);
            assertThat(saved.batches().getFirst().drops()).hasSize(1);
        }
        assertThat(run(post, "--rules", rules, "--every", "2", "--list")).isEqualTo(2);
        assertThat(err.toString()).contains("--rules stands beside no other rule.");
    }

    private static void redactFirstPage(Path bundle, Area area) throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(bundle);
        try (BundleFolder folder = opened.folder()) {
            PageKey first = opened.bundle().contents().allDocuments().getFirst().runs().getFirst().key(1);
            folder.save(Redacting.redacted(opened.bundle(), first, List.of(area), "", false));
        }
    }

    @Test
    void whatABundleHidesIsHiddenInItsPiecesToo() throws IOException {
        Path bundle = temp.resolve("Trial bundle");
        assertThat(run(post, "--every", "2", "--into", bundle, "--section", "Invoices")).isZero();
        redactFirstPage(bundle, new Area(10, 10, 180, 270));
        Path again = Files.copy(post, temp.resolve("post once more.pdf"));
        assertThat(run(again, "--every", "2", "--into", bundle, "--section", "Again", "-o", to)).isZero();
        try (Stream<Path> files = Files.walk(to)) {
            Path piece = files.filter(file -> file.toString().endsWith(".pdf")).sorted().findFirst().orElseThrow();
            assertThat(Pdfs.pages(piece).getFirst()).doesNotContain("Invoice");
            assertThat(Pdfs.pages(piece).get(1)).contains("Invoice");
        }
        BundleFolder.Opened both = BundleFolder.open(bundle);
        both.folder().close();
        assertThat(both.bundle().contents().allDocuments()).filteredOn(its -> Redacting.on(both.bundle(),
                its.runs().getFirst().key(1)).size() == 1).hasSize(2);
    }

    @Test
    void piecesThatWouldSayWhatIsRedactedWaitForAWord() throws IOException {
        Path batch = Pdfs.write(temp, "batch", 2, document -> {
            say(document, document.getPage(0), "Quillfeather said");
            say(document, document.getPage(1), "It was Quillfeather");
        });
        Path bundle = temp.resolve("Trial bundle");
        assertThat(run(batch, "--every", "2", "--into", bundle, "--section", "Post")).isZero();
        redactFirstPage(bundle, new Area(0, 0, 300, 300));
        Path again = Files.copy(batch, temp.resolve("batch once more.pdf"));
        assertThat(run(again, "--every", "2", "--into", bundle, "--section", "Again", "-o", to)).isEqualTo(3);
        assertThat(err.toString()).contains("Page 2 of batch once more.pdf says \"Quillfeather\", which is redacted on page",
                "--go-on");
        assertThat(to).doesNotExist();
        assertThat(run(again, "--every", "2", "--into", bundle, "--section", "Again", "-o", to, "--go-on")).isEqualTo(3);
        assertThat(to.resolve("batch once more")).isDirectory();
    }

    @Test
    void theListShowsThePiecesAndWritesNothing() {
        assertThat(run(post, "--value-after", "invoice no.", "--blanks", "--list")).isZero();
        assertThat(out.toString().replace("\r", "")).isEqualTo("""
                post of the week.pdf: 6 pages, 3 pieces, 1 dropped
                    1  pages 1-2  TH-1  [“TH-1” begins]
                    2  page 3  TH-2  [“TH-2” begins]
                    3  pages 4-5  TH-3  [“TH-3” begins]
                    –  page 6 is dropped  [it is blank]
                """);
        assertThat(to).doesNotExist();
    }

    @Test
    void thePiecesAreFilesNamedAsWanted() throws IOException {
        assertThat(run(post, "-o", to, "--restarts", "--blanks", "--name", "number:2", "--name", "text:Invoice", "--name",
                "after:Invoice no.")).isZero();
        assertThat(written()).containsExactly("post of the week/01 Invoice TH-1.pdf", "post of the week/02 Invoice TH-2.pdf",
                "post of the week/03 Invoice TH-3.pdf", "post of the week/cuts.csv");
        assertThat(Pdfs.pageCount(to.resolve("post of the week/01 Invoice TH-1.pdf"))).isEqualTo(2);
        assertThat(out.toString()).startsWith("post of the week.pdf: 6 pages, 3 pieces, 1 dropped, in ");
        assertThat(run(post, "-o", to, "--every", "2")).as("there are pieces already").isEqualTo(1);
        assertThat(err.toString()).contains("there are files in it already");
        assertThat(written()).hasSize(4);
    }

    @Test
    void rangesDropsAndAreas() throws IOException {
        assertThat(run(post, "-o", to, "--ranges", "4-, 1", "--drop", "6")).isZero();
        assertThat(Files.readString(to.resolve("post of the week/cuts.csv"))).contains("4-5", "it was not named", "by hand");
        assertThat(run(post, "--list", "--words", "1 OF", "--area", "0,50,210,30")).isZero();
        assertThat(out.toString()).contains("3 pieces", "pages 1-2", "page 3", "pages 4-6", "“1 of” is on it");
    }

    @Test
    void whatIsWrongIsSaidAtItsPlace() {
        assertThat(run(post, "--list")).isEqualTo(2);
        assertThat(err.toString()).contains("Say how to cut, such as --every 10");
        assertThat(run(post, "--every", "2")).isEqualTo(2);
        assertThat(err.toString()).contains("Say where to, with -o FOLDER");
        assertThat(run(post, "--list", "--ranges", "1-3, x")).isEqualTo(2);
        assertThat(err.toString()).contains("in “1-3, x”, at letter 6, should stand a page");
        assertThat(run(post, "--list", "--words", "(", "--pattern")).isEqualTo(2);
        assertThat(err.toString()).contains("“(” is no pattern");
        assertThat(run(post, "--list", "--words", "x", "--area", "1,2,3")).isEqualTo(2);
        assertThat(err.toString()).contains("write it as LEFT,TOP,WIDTH,HEIGHT in millimetres");
        assertThat(run(post, "--list", "--every", "0")).isEqualTo(2);
        assertThat(run(post, "--list", "--every", "2", "--ranges", "1")).isEqualTo(2);
        assertThat(err.toString()).contains("stand beside no other rule");
        assertThat(run(post, "--list", "--every", "2", "--name", "colour")).isEqualTo(2);
        assertThat(err.toString()).contains("colour is no part of a name");
        assertThat(run(temp.resolve("none.pdf"), "--list", "--every", "2")).isEqualTo(1);
        assertThat(err.toString()).contains("none.pdf");
    }

    @Test
    void aBatchWithoutWordsIsPointedOut() throws IOException {
        Path scans = Pdfs.write(temp, "scans", 2, document -> {
            for (PDPage page : document.getPages()) {
                page.setContents(List.of());
                Pdfs.picture(document, page, 90);
            }
        });
        assertThat(run(scans, "--list", "--restarts")).isZero();
        assertThat(err.toString()).contains("scans.pdf has no words that could be found");
    }
}
