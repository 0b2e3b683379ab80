package app.yellowtab.desktop.number;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.leaf.Content;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.SystemFace;
import app.yellowtab.plan.Marking;
import app.yellowtab.register.MatterRegister;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents "a" (3 pages, in section A) and "c" (4, in section B), behind a cover, an index and two titles: 11 pages. */
class NumberDeskTests {
    private final Bundle start = bundle(section("A", document("a", 3)), section("B", document("c", 4)));
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private NumberDesk desk;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start);
        desk = new NumberDesk(workspace);
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private NumberState state() {
        return desk.stateProperty().get();
    }

    private List<String> marks(int leaf) {
        return workspace.plan().marksOn(workspace.plan().leaf(leaf)).stream().map(Mark::words).toList();
    }

    @Test
    void theBundlesNumberIsASentenceAndStandsWhereItIsPut() {
        assertThat(state().lines()).extracting(NumberState.Sentence::words)
                .containsExactly("Bundle number, 1 to 11, bottom right");
        desk.put(new Spot(Spot.Row.HEAD, Spot.Column.MIDDLE, 0, 12));
        desk.look(look -> look.withSize(18));
        desk.set(setting -> setting.withPages(setting.pages().without(PageKind.COVER, true)));
        assertThat(state().lines().getFirst().words()).endsWith("top middle");
        assertThat(marks(0)).isEmpty();
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(4)).getFirst().look().sizePt()).isEqualTo(18);
        workspace.undo();
        workspace.undo();
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void batesNumbersArePutOnSetIssuedAndTakenOff() throws IOException {
        desk.add();
        assertThat(state().isBundle()).isFalse();
        assertThat(state().series().orElseThrow().first()).isEqualTo("A-000001");
        assertThat(marks(3)).containsExactly("A-000001", "4");
        desk.first("TH-9");
        assertThat(desk.saidProperty().get()).as("seven pages from 9 on").contains("1 digits have room");
        desk.first("TH-000101");
        assertThat(marks(10)).containsExactly("TH-000107", "11");
        desk.first("TH-");
        assertThat(desk.saidProperty().get()).contains("“TH-” is no number");
        desk.pages(MarkedPages.of(List.of(new EntryId("B"))));
        assertThat(marks(3)).containsExactly("4");
        assertThat(state().lines().getLast().words()).isEqualTo("TH-000101 to TH-000104, bottom left");
        desk.issuing().issue();
        assertThat(state().fixed()).isEqualTo(4);
        desk.first("TH-000900");
        assertThat(desk.saidProperty().get()).contains("issued already");
        desk.pages(MarkedPages.ALL);
        assertThat(marks(3)).as("what comes later goes on from the last").containsExactly("TH-000105", "4");
        Path register = temp.resolve("register.csv");
        desk.issuing().writeRegister(register);
        assertThat(Files.readAllLines(register)).hasSize(8);
        desk.takeOff();
        assertThat(state().isBundle()).isTrue();
        assertThat(desk.saidProperty().get()).isEqualTo("4 numbers stay issued: no other page gets them.");
        workspace.undo();
        assertThat(marks(3)).containsExactly("TH-000105", "4");
    }

    @Test
    void oneNumberIsNotGivenTwice() {
        desk.add();
        desk.first("X-100");
        desk.add();
        desk.first("X-104");
        assertThat(desk.saidProperty().get()).contains("Numbers from X-100 to X-106 are in use already");
        desk.first("X-107");
        assertThat(desk.saidProperty().get()).isEmpty();
        assertThat(marks(3)).containsExactly("X-100", "X-107", "4");
    }

    @Test
    void onOnePageItMayStandElsewhere() {
        workspace.goTo(3);
        Spot head = new Spot(Spot.Row.HEAD, Spot.Column.LEFT, 5, 5);
        desk.putHere(Optional.of(head));
        assertThat(state().isMoved()).isTrue();
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(3)).getFirst().spot()).isEqualTo(head);
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(4)).getFirst().spot()).isEqualTo(Spot.STANDARD);
        desk.putHere(Optional.empty());
        assertThat(workspace.bundle()).isEqualTo(start);
        workspace.goTo(0);
        desk.putHere(Optional.of(head));
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(0)).getFirst().spot()).as("on a page of ours too")
                .isEqualTo(head);
        workspace.goTo(2);
        desk.putHere(Optional.of(head));
        String section = workspace.plan().entryAt(2).orElseThrow().title();
        workspace.edit(bundle -> Edits.insertDocuments(bundle, List.of(Placeholders.placeholder("free", 2)),
                new Place(Optional.empty(), 0)));
        assertThat(workspace.plan().leaf(workspace.leaf()).content()).as("it is still in view")
                .isInstanceOfSatisfying(Content.SectionTitle.class, title -> assertThat(title.title()).isEqualTo(section));
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(workspace.leaf())).getFirst().spot()).isEqualTo(head);
        PageSteps steps = new PageSteps(workspace, desk::say);
        steps.nextLandscape();
        assertThat(desk.saidProperty().get()).isEqualTo("No page is landscape.");
    }

    @Test
    void aNumberOtherThanThePagesIsSaidQuietly() {
        desk.start("101");
        assertThat(state().notice()).contains("The page called 101 is page 1 of the file");
        desk.start("-4");
        assertThat(desk.saidProperty().get()).contains("“-4” is no number to begin with; it is from 0 to");
        desk.number(number -> number.withStart(1).withIndexPages(1));
        assertThat(state().notice()).isEmpty();
        desk.number(number -> number.withStyle(NumberStyle.LARGE_ROMAN).withStart(3888));
        assertThat(state().notice()).contains("long to call out");
    }

    @Test
    void pagesAreNamedByTheirNumbers() {
        desk.pages(new MarkedPages("4-5, 99", List.of(), List.of(), List.of()));
        assertThat(desk.saidProperty().get()).contains("“99” names no pages");
        desk.pages(new MarkedPages("4-5", List.of(), List.of(), List.of()));
        assertThat(marks(3)).containsExactly("4");
        assertThat(marks(6)).isEmpty();
    }

    @Test
    void aLineIsPutOnWordedAndTakenOff() {
        desk.addLine();
        desk.parts(List.of(new LinePart.Typed("Page "), LinePart.Field.of(LineField.PAGE)));
        assertThat(state().lines().getLast().words()).isEqualTo("“Page 1”, top middle");
        assertThat(marks(3)).containsExactly("Page 4", "4");
        desk.parts(List.of(new LinePart.Typed("漢")));
        assertThat(desk.saidProperty().get()).contains("printed as boxes");
        desk.takeOff();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void numbersAreEnteredInTheRegisterOfTheMatterAndNoneIsGivenTwice() throws IOException {
        Path register = temp.resolve("matter.csv");
        MatterRegister.begin(register);
        MatterRegister.enter(register, List.of(new MatterRegister.Span(SerialNumber.read("TH-000101").orElseThrow(),
                SerialNumber.read("TH-000180").orElseThrow(), "Other bundle", LocalDate.of(2031, 3, 4), "other",
                Optional.empty(), Optional.empty())));
        desk.add();
        desk.first("TH-000170");
        desk.issuing().register(Optional.of(register));
        desk.issuing().issue();
        assertThat(desk.saidProperty().get()).contains("TH-000101 to TH-000180").contains("Other bundle");
        assertThat(state().fixed()).isZero();
        desk.issuing().goOn();
        assertThat(state().series().orElseThrow().first()).isEqualTo("TH-000181");
        desk.issuing().issue();
        assertThat(state().fixed()).isEqualTo(7);
        assertThat(Files.readString(register)).contains("TH-000181,").contains(",TH-000187");
    }

    @Test
    void issuedNumbersAreTakenBackOfAPageADocumentOrAllAndStayUsed() throws IOException {
        Path register = temp.resolve("matter.csv");
        MatterRegister.begin(register);
        desk.add();
        desk.first("TH-000101");
        desk.issuing().register(Optional.of(register));
        desk.issuing().issue();
        workspace.goTo(3);
        int ofDocument = desk.issuing().issued(Issuing.Of.DOCUMENT).size();
        assertThat(ofDocument).isBetween(2, 6);
        String gone = marks(3).getFirst();
        assertThat(desk.issuing().issued(Issuing.Of.PAGE)).extracting(GivenNumber::number).containsExactly(gone);
        desk.issuing().takeBack(Issuing.Of.PAGE);
        assertThat(desk.saidProperty().get()).isEqualTo("One number is taken back: no page gets it again.");
        assertThat(marks(3).getFirst()).isEqualTo("TH-000108");
        workspace.undo();
        workspace.redo();
        assertThat(state().fixed()).isEqualTo(6);
        assertThat(Files.readAllLines(register)).last().asString().startsWith(gone + "," + gone + ",");
        assertThat(desk.issuing().issued(Issuing.Of.DOCUMENT)).hasSize(ofDocument - 1);
        desk.issuing().takeBack(Issuing.Of.ALL);
        assertThat(state().fixed()).isZero();
        assertThat(state().lines().getLast().words()).startsWith("TH-000108 to TH-000114");
    }

    @Test
    void aTypefaceThatThisMachineLacksIsSaid() {
        desk.look(look -> look.withFace(new SystemFace("No Such Face")));
        assertThat(state().notice()).contains("does not have “No Such Face”").contains("ours is printed instead");
        assertThat(marks(3)).containsExactly("4");
    }

    @Test
    void whetherFilesWithTheSamePagesShareTheirNumbersIsAskedBeforeTheyAreIssued() {
        Source first = workspace.bundle().sources().getFirst();
        Source copy = first.under(new SourceId("copy"));
        workspace.edit(bundle -> Edits.append(Edits.addSources(bundle, List.of(copy)),
                new Contents(List.of(Document.of(copy)), List.of())));
        desk.add();
        assertThat(state().count()).isEqualTo(7 + copy.pageCount());
        NumberState.Alike asked = state().alike().orElseThrow();
        desk.issuing().issue();
        assertThat(desk.saidProperty().get()).startsWith("Say first");
        assertThat(state().fixed()).isZero();
        desk.answerAlike(asked, true);
        assertThat(state().count()).isEqualTo(7);
        assertThat(state().alike()).isEmpty();
        workspace.undo();
        desk.answerAlike(asked, false);
        desk.issuing().issue();
        assertThat(state().fixed()).isEqualTo(7 + copy.pageCount());
    }
}
