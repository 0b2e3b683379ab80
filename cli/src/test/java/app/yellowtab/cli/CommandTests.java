package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CommandTests extends AtTheCommandLine {
    @TempDir
    private Path temp;
    private Path matter;
    private Path target;

    @BeforeEach
    void gather() throws IOException {
        matter = Files.createDirectories(temp.resolve("Orchard case"));
        target = temp.resolve("out.pdf");
        Pdfs.write(matter, "1 Chronology 2031-03-04", 1);
        Path statements = Files.createDirectories(matter.resolve("B - Witness statements"));
        Pdfs.write(statements, "10 Wrenfield", 1);
        Pdfs.write(statements, "2 Fennick 9 June 2031", 2);
        Files.writeString(Files.createDirectories(matter.resolve("C - Letters")).resolve("note.txt"), "hello\n");
    }

    @Test
    void aFolderBecomesABundle() throws IOException {
        assertThat(run("assemble", matter, "-o", target)).isZero();
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.getFirst()).isEqualTo("Orchard case 1");
        assertThat(pages.get(1)).isEqualTo("Orchard case · Index Tab Document Date Page 1 Chronology 4 Mar 2031 3 "
                + "A Witness statements 4–7 2 Fennick 9 Jun 2031 5 3 Wrenfield 7 B Letters 8–9 4 note 9 2");
        assertThat(pages.subList(4, 9)).containsExactly("2 Fennick 9 June 2031-1 5", "2 Fennick 9 June 2031-2 6",
                "10 Wrenfield-1 7",
                "B Letters 8", "hello 9");
        assertThat(out.toString()).matches("(?s).*out.pdf: 4 documents, 9 pages, [0-9,]+ bytes, [0-9.]+ seconds\\s+");
        assertThat(err.toString()).isEmpty();
    }

    @Test
    void pagesGetBatesNumbersAndTheirOwnWhereTheyAreWanted() throws IOException {
        assertThat(run("assemble", matter, "-o", target, "--bates", "OC-0098/A", "--place", "top middle")).isZero();
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.get(4)).contains("OC-0099/A").contains("5");
        assertThat(pages.get(8)).contains("OC-0102/A");
        assertThat(run("prove", target)).isZero();
        assertThat(run("assemble", matter, "-o", target, "--bates", "none")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--place", "somewhere")).isEqualTo(2);
        assertThat(err.toString()).contains("is no number to begin with").contains("is no place");
    }

    @Test
    void theSameFolderGivesTheSameBytes() throws IOException {
        run("assemble", matter, "-o", target);
        byte[] first = Files.readAllBytes(target);
        run("assemble", matter, "-o", target);
        assertThat(Files.readAllBytes(target)).isEqualTo(first);
    }

    @Test
    void whatIsRedactedAndReadElsewhereIsSaidBeforeAnythingIsWritten() throws IOException {
        Path folder = temp.resolve("saved");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(matter), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            Bundle bundle = Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
            Document fennick = bundle.contents().allDocuments().stream().filter(its -> its.title().equals("Fennick")).findFirst()
                    .orElseThrow();
            bundle = Edits.changeDocument(bundle, fennick.id(), its -> its.withTitle("Statement of Fennick"));
            place.save(Redacting.redacted(bundle, fennick.runs().getFirst().key(1), List.of(new Area(10, 10, 180, 270)), "",
                    false));
        }
        assertThat(run("build", folder, "-o", target)).isEqualTo(3);
        assertThat(err.toString()).contains("The title of a document repeats words that are redacted", "Nothing was written");
        assertThat(target).doesNotExist();
        assertThat(run("build", folder, "-o", target, "--go-on")).isEqualTo(3);
        assertThat(target).exists();
    }

    @Test
    void headingAndSeparators() throws IOException {
        assertThat(run("assemble", matter, "-o", target, "--title", "Hearing bundle", "--court", "County Court", "--case", "AL-1",
                "--parties", "P Ltd (Claimant); Q Ltd (Defendant)", "--hearing", "6 October 2031", "--prepared-by", "Reedmoor",
                "--separators", "titled")).isZero();
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.getFirst()).isEqualTo("County Court Case no. AL-1 P Ltd Claimant – and – Q Ltd Defendant Hearing bundle "
                + "Hearing: 6 October 2031 Prepared by Reedmoor 1");
        assertThat(pages).contains("1 Chronology 3", "2 Fennick 6");
        run("assemble", matter, "-o", target, "--hearing", "10/6/2031", "--month-first");
        assertThat(Pdfs.pages(target).getFirst()).as("the month stands first").contains("Hearing: 6 October 2031");
        run("assemble", matter, "-o", target, "--title", "Hearing bundle", "--case", "AL-1");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Hearing bundle");
            assertThat(document.getDocumentInformation().getSubject()).isEqualTo("AL-1");
        }
    }

    @Test
    void withoutACoverThePagesBeginWithTheIndex() throws IOException {
        assertThat(run("assemble", matter, "-o", target, "--no-cover")).isZero();
        assertThat(Pdfs.pages(target).getFirst()).startsWith("Orchard case · Index").endsWith(" 1");
    }

    @Test
    void whatCannotBeReadIsNamedSkippedAndCounted() throws IOException {
        Files.write(matter.resolve("film.mov"), new byte[] {0, 0, 0, 20, 'f', 't', 'y', 'p', 'q', 't', ' ', ' '});
        Files.writeString(matter.resolve("broken.pdf"), "%PDF-1.4 broken");
        assertThat(run("assemble", matter, "-o", target)).isEqualTo(3);
        assertThat(err.toString()).contains("film.mov was left out: files of this kind have no pages that can be shown (video).")
                .contains("broken.pdf was left out: the file is damaged");
        assertThat(out.toString()).contains("4 documents").contains("2 left out or damaged");
        assertThat(Pdfs.pages(target)).hasSize(9);
    }

    @Test
    void nothingToProduceGivesOne() throws IOException {
        Path empty = Files.createDirectories(temp.resolve("empty"));
        assertThat(run("assemble", empty, "-o", target)).isEqualTo(1);
        assertThat(err.toString()).contains("there is no document to produce");
        assertThat(target).doesNotExist();
        assertThat(run("assemble", matter, "-o", temp.resolve("nowhere/out.pdf"))).isEqualTo(1);
        assertThat(err.toString()).contains("there is no such folder");
    }

    @Test
    void badArgumentsGiveTwo() {
        assertThat(run("assemble", matter)).isEqualTo(2);
        assertThat(run("assemble", temp.resolve("nothing"), "-o", target)).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--separators", "often")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--hearing", "soon")).isEqualTo(2);
        assertThat(run("juggle")).isEqualTo(2);
        assertThat(err.toString()).contains("--output").contains("is not a folder").contains("often").contains("soon is no date");
        assertThat(target).doesNotExist();
    }

    @Test
    void theOutputInTheFolderIsNoSourceTheSecondTime() throws IOException {
        Path inside = matter.resolve("bundle.pdf");
        assertThat(run("assemble", matter, "-o", inside)).isZero();
        assertThat(run("assemble", matter, "-o", inside)).isZero();
        assertThat(Pdfs.pages(inside)).hasSize(9);
    }

    @Test
    void aSavedBundleIsBuilt() throws IOException {
        Path folder = temp.resolve("saved");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(matter), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.save(Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle("Saved")).withSources(taken.sources())
                    .withContents(taken.contents()));
        }
        assertThat(run("build", folder, "-o", target)).isZero();
        assertThat(Pdfs.pages(target).getFirst()).isEqualTo("Saved 1");
        assertThat(Ledger.beside(target)).as("it names files of the house").doesNotExist();
        assertThat(run("prove", target)).isEqualTo(1);
        assertThat(run("prove", target, "--bundle", folder)).isZero();
        assertThat(run("build", folder, "-o", target, "--ledger", temp.resolve("l.json"))).isZero();
        assertThat(run("prove", target, "--ledger", temp.resolve("l.json"))).isZero();
        assertThat(run("build", folder, "-o", target, "--set", "both", "--ledger", "none")).isEqualTo(2);
        assertThat(run("build", folder, "-o", target, "--csv", "--ledger", "none")).isEqualTo(2);
        assertThat(run("build", folder, "-o", target, "--set", "both")).isZero();
        assertThat(run("prove", target, "--bundle", folder, "--paper", PaperFiles.beside(target).file())).isZero();
        assertThat(run("build", matter, "-o", target)).isEqualTo(1);
        assertThat(err.toString()).contains("Orchard case holds no bundle");
    }

    @Test
    void filesAreGatheredIntoABundleThatIsThenBuilt() throws IOException {
        Path folder = temp.resolve("gathered");
        Path letter = new WordFile(
                "<w:p><w:del><w:r><w:delText>two</w:delText></w:r></w:del><w:ins>" + WordFile.run("three") + "</w:ins></w:p>")
                .write(temp, "Letter 4.3.2031.docx");
        assertThat(run("gather", folder, letter)).isZero();
        assertThat(out.toString()).contains("1 of 1 file read, 1 page,");
        assertThat(run("gather", folder, matter, "--sections", "--month-first", "--show-changes")).isZero();
        BundleFolder.Opened opened = BundleFolder.open(folder);
        opened.folder().close();
        assertThat(opened.bundle().unplaced()).extracting(Source::proposedTitle).containsExactly("Letter");
        assertThat(opened.bundle().contents().sections()).isNotEmpty();
        assertThat(opened.bundle().reading()).isEqualTo(new Reading(true, true, false));
        assertThat(run("build", folder, "-o", target)).isZero();
        assertThat(String.join(" ", Pdfs.pages(target))).contains("Orchard case").doesNotContain("three");
        assertThat(run("gather", folder, temp.resolve("nothing.pdf"))).isEqualTo(1);
        assertThat(err.toString()).contains("nothing.pdf was left out");
    }

    @Test
    void aProducedBundleIsProvedUntilSomebodyChangesIt() throws IOException {
        run("assemble", matter, "-o", target, "--csv");
        assertThat(temp.resolve("out.ledger.csv")).isRegularFile();
        assertThat(run("prove", target)).isZero();
        assertThat(out.toString()).contains(
                "out.pdf: 9 pages proved: every number, label and page as it was produced, 6 rows of the index, 7 bookmarks, 6 "
                        + "links.");
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(target))) {
            document.getPage(5).setRotation(90);
            document.save(target.toFile());
        }
        assertThat(run("prove", target)).isEqualTo(1);
        assertThat(err.toString()).contains("Page 6: what it shows is not what was produced.").doesNotContain("Page 5");
        assertThat(run("prove", temp.resolve("nothing.pdf"))).isEqualTo(1);
        assertThat(err.toString()).contains("nothing.pdf cannot be proved: there is no such file");
    }

    @Test
    void aTableThatCannotBeWrittenIsNamedAndTheBundleIsThere() throws IOException {
        Files.createDirectories(temp.resolve("out.ledger.csv/in the way"));
        assertThat(run("assemble", matter, "-o", target, "--csv")).isEqualTo(3);
        assertThat(err.toString()).contains("out.ledger.csv could not be written").doesNotContain("nothing was written");
        assertThat(out.toString()).contains("9 pages");
        assertThat(run("prove", target)).isZero();
    }

    @Test
    void commentsBookmarksAndPasswordsAreChosen() throws IOException {
        Pdfs.write(matter, "locked", 1, document -> {
            try {
                PDAnnotationText comment = new PDAnnotationText();
                comment.setRectangle(new PDRectangle(10, 10, 20, 20));
                document.getPage(0).getAnnotations().add(comment);
                PDOutlineItem mark = new PDOutlineItem();
                mark.setTitle("own mark");
                mark.setDestination(document.getPage(0));
                document.getDocumentCatalog().setDocumentOutline(new PDDocumentOutline());
                document.getDocumentCatalog().getDocumentOutline().addLast(mark);
                document.protect(new StandardProtectionPolicy("owner", "orchard", new AccessPermission()));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(run("assemble", matter, "-o", target)).isEqualTo(3);
        assertThat(err.toString()).contains("locked.pdf was left out: it is locked with a password");
        assertThat(run("assemble", matter, "-o", target, "--password", "wrong", "--password", "orchard")).isZero();
        assertThat(err.toString()).contains("locked.pdf carries comments");
        assertThat(Pdfs.bookmarks(target)).contains("  own mark > 4");
        assertThat(
                run("assemble", matter, "-o", target, "--password", "orchard", "--comments", "dropped", "--bookmark-levels", "0"))
                .isZero();
        assertThat(err.toString()).contains("locked.pdf: its comments and other marks of reviewers were left out");
        assertThat(Pdfs.bookmarks(target)).noneMatch(mark -> mark.contains("own mark"));
        assertThat(run("assemble", matter, "-o", target, "--comments", "printed")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--bookmark-levels", "-1")).isEqualTo(2);
    }

    @Test
    void helpAndVersion() {
        assertThat(run("--help")).isZero();
        assertThat(run("assemble", "--help")).isZero();
        assertThat(run("prove", "--help")).isZero();
        assertThat(run("--version")).isZero();
        assertThat(out.toString()).contains("assemble", "build", "demo", "--separators", "Yellow Tab").doesNotContain("WARN");
    }
}
