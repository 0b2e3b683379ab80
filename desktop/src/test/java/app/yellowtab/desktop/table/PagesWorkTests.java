package app.yellowtab.desktop.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.deliver.PageName;
import app.yellowtab.desktop.table.PagesDesk.Kind;
import app.yellowtab.desktop.table.PagesWork.Saving;
import app.yellowtab.desktop.table.PagesWork.Where;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.page.PageSpot;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.edit.page.ToSheet;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents "one" of three pages, of which the second is blank and the third lies, and "two" of two. */
class PagesWorkTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private PagesDesk desk;
    private PagesWork work;
    private final List<String> said = new ArrayList<>();

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        Intakes intakes = new Intakes(workspace, new RememberedPasswords(temp.resolve("user")));
        Path one = Pdfs.write(temp, "one", 3, document -> {
            document.getPage(1).setContents(List.of());
            document.getPage(2).setMediaBox(new PDRectangle(842, 595));
        });
        intakes.bringIn(List.of(one, Pdfs.write(temp, "two", 2)),
                taken -> bundle -> Edits.append(Edits.addSources(bundle, taken.sources()), taken.contents()), taken -> {});
        desk = new PagesDesk(workspace);
        work = new PagesWork(workspace, intakes, desk);
        desk.open(Set.of());
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private String pages() {
        StringBuilder pages = new StringBuilder();
        for (Document document : workspace.bundle().contents().allDocuments()) {
            pages.append(pages.isEmpty() ? "" : ", ").append(document.title()).append(':');
            for (Run run : document.runs()) for (int n = 1; n <= run.pageCount(); n++)
                pages.append(' ').append(run instanceof SourcePages ? String.valueOf(run.key(n).page()) : "-");
        }
        return pages.toString();
    }

    @Test
    void blankPagesAreChosenAtOnceAndPutInWhereTheyAreWanted() {
        desk.choose(Kind.BLANK);
        assertThat(desk.shownProperty().get().chosen()).hasSize(1);
        desk.takeOut();
        assertThat(pages()).isEqualTo("one: 1 3, two: 1 2");
        desk.choose(Kind.ALL);
        work.blanks(Where.BEHIND_DOCUMENTS, 2, "fff4cc", "end of a document");
        assertThat(pages()).isEqualTo("one: 1 3 - -, two: 1 2 - -");
        assertThat(workspace.bundle().contents().allDocuments().getFirst().runs().getLast())
                .isInstanceOfSatisfying(BlankPages.class, blank -> {
                    assertThat(blank.look().words()).isEqualTo("end of a document");
                    assertThat(blank.look().sheet().widthMm()).as("as large as the page before")
                            .isGreaterThan(blank.look().sheet().heightMm());
                });
        workspace.undo();
        desk.choose(1);
        work.blanks(Where.BEFORE, 1, "", "");
        assertThat(pages()).isEqualTo("one: - 1 3, two: 1 2");
    }

    @Test
    void pagesOfAFileArePutBetweenOthersOrInTheirPlaceInOneStep() throws IOException {
        Path more = Pdfs.write(temp, "more", 5);
        desk.choose(1);
        work.insert(more, "4-5", Where.BEHIND, said::add);
        assertThat(pages()).isEqualTo("one: 1 4 5 2 3, two: 1 2");
        assertThat(said).containsExactly("2 pages of more.pdf put in.");
        workspace.undo();
        assertThat(pages()).isEqualTo("one: 1 2 3, two: 1 2");
        desk.choose(4);
        desk.extendTo(5);
        work.insert(Pdfs.write(temp, "else", 1), "", Where.INSTEAD, said::add);
        assertThat(pages()).isEqualTo("one: 1 2 3, two: 1");
        work.insert(Pdfs.write(temp, "late", 1), "7", Where.BEHIND, said::add);
        assertThat(said).last().asString().contains("Choose the pages first");
        desk.choose(1);
        work.insert(Pdfs.write(temp, "short", 1), "7", Where.BEHIND, said::add);
        assertThat(said).last().asString().contains("“7” names no pages of short.pdf").contains("a page from 1 to 1");
        work.insertAt(List.of(Pdfs.write(temp, "dropped", 2)), 1, true);
        assertThat(pages()).startsWith("one: 1 2 1 2 3");
    }

    @Test
    void pagesOfSeveralFilesComeInTheOrderOfTheFiles() throws IOException {
        work.insertAt(List.of(Pdfs.write(temp, "first", 2), Pdfs.write(temp, "second", 1)), 1, false);
        List<Run> runs = workspace.bundle().contents().documents().getFirst().runs();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        assertThat(runs).extracting(run -> sources.get(((SourcePages) run).source()).fileName() + " " + run.pageCount())
                .containsExactly("one.pdf 1", "first.pdf 2", "second.pdf 1", "one.pdf 2");
    }

    @Test
    void whatLiesInTheTrayIsSavedAsItIs() throws IOException {
        desk.choose(1);
        desk.extendTo(3);
        desk.turn(1);
        desk.takeOut();
        InTray aside = workspace.bundle().tray().getFirst();
        Path target = temp.resolve("aside.pdf");
        work.save(aside, target, said::add);
        assertThat(said).containsExactly("3 pages saved as aside.pdf.");
        assertThat(Pdfs.pageCount(target)).isEqualTo(3);
    }

    @Test
    void whatIsRedactedInTheIndexIsSoInWhatIsSavedAndUndecidedPagesStay() throws IOException {
        Path again = Files.copy(temp.resolve("one.pdf"), temp.resolve("again.pdf"));
        PageKey first = workspace.bundle().contents().allDocuments().getFirst().runs().getFirst().key(1);
        workspace.edit(bundle -> Redacting.redacted(bundle, first, List.of(new Area(10, 10, 180, 270)), "", false));
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user"))).bringIn(List.of(again),
                taken -> bundle -> Edits.addSources(bundle, taken.sources()), taken -> {});
        Path target = temp.resolve("saved.pdf");
        work.save(workspace.bundle().tray().getFirst(), target, said::add);
        assertThat(Pdfs.pages(target).getFirst()).as("the same page in another file").doesNotContain("one-1");
        workspace.edit(bundle -> PageEdits.copied(bundle, Set.of(first),
                new PageSpot(workspace.bundle().contents().allDocuments().getFirst().id(), Optional.empty())));
        PageKey copy = workspace.bundle().contents().allDocuments().getFirst().runs().getLast().key(1);
        workspace.edit(bundle -> Redacting.allTakenBack(bundle, Set.of(copy)));
        desk.choose(Kind.ALL);
        Path all = temp.resolve("all.pdf");
        work.save(new Saving(false, false, false, PageName.USUAL), all, files -> {}, said::add);
        assertThat(said).last().asString().contains("all.pdf was not written", "still say what is redacted: 1");
        assertThat(all).doesNotExist();
    }

    @Test
    void aFrameOnThePageInViewSaysTheMargins() {
        desk.choose(1);
        Margins margins = work.margins(new Area(20, 30, 100, 200)).orElseThrow();
        assertThat(margins.leftMm()).isCloseTo(20, within(0.2));
        assertThat(margins.bottomMm()).isCloseTo(297 - 230, within(0.7));
        desk.choose(Kind.ALL);
        desk.crop(new Margins(30, 0, 10, 0), true, left -> {});
        List<Double> lefts = new ArrayList<>();
        for (Run run : workspace.bundle().contents().allDocuments().getLast().runs())
            lefts.add(((SourcePages) run).look().crop().orElseThrow().leftMm());
        assertThat(lefts).as("mirrored from one page to the next").hasSize(2).doesNotHaveDuplicates();
        workspace.goTo(0);
        assertThat(work.margins(new Area(1, 1, 1, 1))).as("a page of ours").isEmpty();
    }

    @Test
    void pagesAreBroughtToASheetAndSpreadsDivided() {
        desk.choose(Kind.ALL);
        List<ToSheet.Fitted> fitted = new ArrayList<>();
        work.toSheet(ToSheet.LETTER, false, true, fitted::add);
        assertThat(fitted.getFirst().brought()).isEqualTo(5);
        work.sheetOff();
        work.toSheet(Sheet.A4, false, false, fitted::add);
        desk.choose(3);
        List<Integer> left = new ArrayList<>();
        work.divide(left::add);
        assertThat(left).containsExactly(0);
        assertThat(pages()).isEqualTo("one: 1 2 3 3, two: 1 2");
    }

    @Test
    void pagesAreSavedTogetherOrEachAndTakenOutAfterwards() throws IOException {
        desk.choose(4);
        desk.extendTo(5);
        List<Path> files = new ArrayList<>();
        work.save(new Saving(false, true, false, PageName.USUAL), temp.resolve("both.pdf"), files::addAll, said::add);
        assertThat(said).containsExactly("2 pages saved as both.pdf.");
        String numbered = String.join(" ", Pdfs.pages(files.getFirst()));
        int first = desk.shownProperty().get().leaves().get(3).number().orElseThrow().value();
        assertThat(numbered).contains("two").contains(" " + first).contains(" " + (first + 1));
        work.save(new Saving(true, false, true, new PageName("[count] [title] [file page] of [file]")), temp.resolve("each"),
                files::addAll, said::add);
        assertThat(files).extracting(file -> file.getFileName().toString()).containsExactly("both.pdf", "001 two 1 of two.pdf",
                "002 two 2 of two.pdf");
        assertThat(Pdfs.pages(files.getLast())).singleElement().asString().doesNotContain(String.valueOf(first + 1));
        assertThat(pages()).as("taken out when they are saved").isEqualTo("one: 1 2 3");
        desk.choose(1);
        work.save(new Saving(false, false, true, PageName.USUAL), folder.original(workspace.bundle().sources().getFirst().id()),
                files::addAll, said::add);
        assertThat(said).last().asString().as("never over an original").contains("one.pdf");
        assertThat(Pdfs.pageCount(folder.original(workspace.bundle().sources().getFirst().id()))).isEqualTo(3);
        assertThat(pages()).isEqualTo("one: 1 2 3");
        Path gone = temp.resolve("no such folder/x.pdf");
        work.save(new Saving(false, false, true, PageName.USUAL), gone, files::addAll, said::add);
        assertThat(Files.exists(gone)).isFalse();
        assertThat(pages()).isEqualTo("one: 1 2 3");
    }
}
