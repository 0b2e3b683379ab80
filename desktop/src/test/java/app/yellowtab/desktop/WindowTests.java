package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.ScrollEvent;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A user at the real window, and the PDF that comes of it. */
class WindowTests extends AtTheWindow {
    private Workspace before;

    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    /** Makes section A (P, Q of 2 pages, R), section B (empty), and T in the tray, as a user does. */
    private void makeBundle(FxRobot robot) throws IOException {
        Path files = letters();
        Path loose = Pdfs.write(temp, "T", 3);
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        when(dialogs.files(any())).thenReturn(List.of(loose));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 3);
        robot.clickOn("#tray-addFiles");
        until(() -> workspace().bundle().tray().size() == 4);
        robot.clickOn("#sheet-addSection").write("Letters").push(KeyCode.ENTER);
        robot.clickOn("P.pdf").press(KeyCode.SHIFT).clickOn("R 2031-03-04.pdf").release(KeyCode.SHIFT).push(KeyCode.ENTER);
        until(() -> order().equals("Letters(P Q R)"));
        robot.clickOn("#sheet-addSection").write("Plans").push(KeyCode.ENTER);
        until(() -> order().equals("Letters(P Q R) Plans()"));
    }

    private Path letters() throws IOException {
        Path files = Files.createDirectories(temp.resolve("A - Letters"));
        Pdfs.write(files, "P", 1);
        Pdfs.write(files, "Q", 2);
        Pdfs.write(files, "R 2031-03-04", 1);
        return files;
    }

    /** Opens a bundle like the one that a user makes. */
    private void openBundle(FxRobot robot) throws IOException {
        open(robot, app.yellowtab.desktop.work.Stage.ARRANGE, bundle -> {
            List<Document> letters = bundle.sources().stream().skip(1).map(Document::of).toList();
            return bundle.withContents(new Contents(List.of(),
                    List.of(new Section(EntryId.fresh(), "Letters", new Contents(letters, List.of())),
                            new Section(EntryId.fresh(), "Plans", Contents.EMPTY))));
        }, letters(), Pdfs.write(temp, "T", 3));
        assertThat(order()).isEqualTo("Letters(P Q R) Plans()");
        assertThat(workspace().bundle().tray()).hasSize(1);
    }

    private ListCell<?> row(FxRobot robot, String title) {
        return robot.lookup(".sheet-row").<ListCell<?>>queryAllAs(castCell()).stream()
                .filter(cell -> cell.getItem() instanceof PlannedEntry entry && entry.title().equals(title)).findFirst()
                .orElseThrow();
    }

    @SuppressWarnings("unchecked")    // a class token for a wildcard type
    private static Class<ListCell<?>> castCell() {
        return (Class<ListCell<?>>) (Class<?>) ListCell.class;
    }

    private void select(FxRobot robot, String title) {
        robot.clickOn(row(robot, title));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void fromFilesToAProducedBundle(FxRobot robot) throws IOException {
        makeBundle(robot);
        select(robot, "R");
        robot.press(KeyCode.ALT).push(KeyCode.UP).push(KeyCode.UP).release(KeyCode.ALT);
        until(() -> order().equals("Letters(R P Q) Plans()"));
        robot.press(KeyCode.CONTROL).push(KeyCode.Z).release(KeyCode.CONTROL);
        until(() -> order().equals("Letters(P R Q) Plans()"));
        robot.push(KeyCode.F2);
        until(() -> robot.lookup("#in-place").tryQuery().isPresent());
        robot.write("Reply letter").push(KeyCode.TAB);
        until(() -> order().equals("Letters(P Reply letter Q) Plans()"));
        until(() -> robot.lookup("#in-place").queryAs(TextField.class).getText().equals("4 Mar 2031"));
        robot.write("5 March 2031").push(KeyCode.ENTER);
        until(() -> texts(row(robot, "Reply letter")).contains("5 Mar 2031"));
        assertThat(texts(row(robot, "Reply letter"))).containsExactly("2", "Reply letter", "5 Mar 2031", "5");

        robot.clickOn("#status-produce");
        until(() -> robot.lookup("#produce-start").queryAs(ButtonBase.class).isFocused());
        robot.push(KeyCode.ENTER);
        until(() -> robot.lookup("#produce-openFile").tryQuery().isPresent());
        Path target = temp.resolve("bundle/Trial bundle.pdf");
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.subList(1, 8)).containsExactly("Trial bundle · Index Tab Document Date Page A Letters 3–7 1 P 4 "
                + "2 Reply letter 5 Mar 2031 5 3 Q 6 B Plans 8 2", "A Letters 3", "P-1 4", "R 2031-03-04-1 5", "Q-1 6", "Q-2 7",
                "B Plans 8");
        assertThat(Pdfs.linkTargets(target, 2)).containsExactly(3, 4, 5, 6, 8);
        assertThat(Pdfs.bookmarks(target)).containsExactly("Index > 2", "A. Letters > 3", "  1. P > 4", "  2. Reply letter > 5",
                "  3. Q > 6", "B. Plans > 8");
        robot.clickOn("#produce-prove");
        until(() -> signs(robot).contains("8 pages proved"));
        robot.clickOn("#produce-openFile");
        verify(opener).open(target);
        robot.clickOn("#produce-openFolder");
        verify(opener).open(target.getParent());
    }

    @Test
    void whatIsWrongWithTheFileIsShownByPage(FxRobot robot) throws IOException {
        openBundle(robot);
        robot.clickOn("#status-produce");
        robot.clickOn("#comments-DROPPED");
        until(() -> workspace().bundle().fromSources().comments() == Comments.DROPPED);
        robot.clickOn("#produce-start");
        until(() -> robot.lookup("#produce-prove").tryQuery().isPresent());
        Path target = temp.resolve("bundle/Trial bundle.pdf");
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(target))) {
            document.getPage(4).setRotation(180);
            document.save(target.toFile());
        }
        robot.clickOn("#produce-prove");
        until(() -> signs(robot).stream()
                .anyMatch(sign -> sign.endsWith("wrong with this file. Do not send it out; produce it again.")));
        ListView<Finding> list = robot.lookup("#proof-findings").queryListView();
        assertThat(list.getItems()).extracting(finding -> finding.subject().page()).containsOnly(5);
        robot.clickOn("Page 5: what it shows is not what was produced.");
        until(() -> workspace().leaf() == 4);
    }

    private static List<String> signs(FxRobot robot) {
        return robot.lookup("#proof .label").queryAllAs(Label.class).stream().map(Label::getText).toList();
    }

    @Test
    void draggedFromTheTrayAndWithinTheSheet(FxRobot robot) throws IOException {
        openBundle(robot);
        robot.drag("T.pdf").moveTo(row(robot, "P")).moveBy(0, 10).drop();
        until(() -> order().equals("Letters(P T Q R) Plans()"));
        robot.drag(row(robot, "Q"), MouseButton.PRIMARY).moveTo(row(robot, "Plans")).moveBy(0, 10).drop();
        until(() -> order().equals("Letters(P T R) Plans(Q)"));
        select(robot, "T");
        robot.push(KeyCode.DELETE);
        until(() -> workspace().bundle().setAside().stream().map(Document::title).toList().equals(List.of("T")));
        robot.drag("taken out · 3 pages").moveTo(row(robot, "P")).moveBy(0, 10).drop();
        until(() -> order().equals("Letters(P T R) Plans(Q)"));
    }

    @Test
    void sectionsAreNestedAndTheirLettersFollow(FxRobot robot) throws IOException {
        openBundle(robot);
        select(robot, "Plans");
        assertThat(texts(row(robot, "Plans"))).startsWith("B");
        robot.press(KeyCode.ALT).push(KeyCode.RIGHT).release(KeyCode.ALT);
        until(() -> order().equals("Letters(P Q R Plans())"));
        assertThat(texts(row(robot, "Plans"))).startsWith("A.1");
        robot.press(KeyCode.ALT).push(KeyCode.LEFT).release(KeyCode.ALT);
        until(() -> texts(row(robot, "Plans")).getFirst().equals("B"));
    }

    @Test
    void aWrongDateIsRefusedWhereItIsTyped(FxRobot robot) throws IOException {
        openBundle(robot);
        Node date = robot.from(row(robot, "R")).lookup("4 Mar 2031").query();
        until(() -> {
            // On a busy machine a second click may come so late that it is none of a double click.
            robot.doubleClickOn(date);
            return robot.lookup("#in-place").tryQuery().isPresent();
        });
        robot.write("soon").push(KeyCode.ENTER);
        until(() -> robot.lookup("#in-place").queryAs(TextField.class).getStyleClass().contains("wrong"));
        robot.push(KeyCode.ESCAPE);
        until(() -> robot.lookup("#in-place").tryQuery().isEmpty());
        assertThat(texts(row(robot, "R"))).contains("4 Mar 2031");
    }

    @Test
    void theReaderShowsEveryLeafAndTheForeEdgeGoesAnywhere(FxRobot robot) throws IOException {
        openBundle(robot);
        robot.press(KeyCode.CONTROL).push(KeyCode.G).release(KeyCode.CONTROL).write("6").push(KeyCode.ENTER);
        until(() -> robot.lookup("#leaf-what").queryAs(Label.class).getText().equals("Q, page 2 of 2"));
        PagePane page = robot.lookup(".reader .page").queryAs(PagePane.class);
        until(() -> page.marksShown().equals(List.of("6")));
        Image drawn = robot.lookup(".reader .image-view").queryAs(ImageView.class).getImage();
        robot.interact(() -> workspace()
                .edit(bundle -> Edits.takeOut(bundle, Set.of(bundle.contents().allDocuments().getFirst().id()))));
        until(() -> page.marksShown().equals(List.of("5")));
        assertThat(robot.lookup(".reader .image-view").queryAs(ImageView.class).getImage())
                .as("another number draws nothing anew").isSameAs(drawn);
        robot.push(KeyCode.PAGE_DOWN);
        until(() -> robot.lookup("#leaf-what").queryAs(Label.class).getText().equals("R, page 1 of 1"));
        Bounds edge = robot.lookup("#fore-edge").query().localToScreen(robot.lookup("#fore-edge").query().getLayoutBounds());
        robot.clickOn(edge.getMinX() + 15, edge.getMaxY() - 20);
        until(() -> workspace().leaf() == workspace().plan().pageCount() - 1);
        robot.clickOn(edge.getMinX() + 15, edge.getMinY() + 20);
        until(() -> robot.lookup("#leaf-what").queryAs(Label.class).getText().equals("Cover"));
        robot.push(KeyCode.DOWN);
        until(() -> workspace().leaf() == 1);
        robot.moveTo("#sheet-pages").moveBy(1, 0);
        until(() -> Window.getWindows().stream().anyMatch(
                shown -> shown instanceof Tooltip tip && tip.isShowing() && tip.getText().contains(Shortcut.PAGES.shown())));
    }

    @Test
    void aLongListKeepsThePageKeysAndScrollingSidewaysTurnsNoPage(FxRobot robot) throws IOException {
        openBundle(robot);
        Path notes = Files.createDirectories(temp.resolve("Notes"));
        for (int i = 1; i <= 30; i++) Files.writeString(notes.resolve("note " + i + ".txt"), "Bin " + i);
        when(dialogs.folder(any())).thenReturn(Optional.of(notes));
        robot.clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 31);
        robot.clickOn("T.pdf").push(KeyCode.PAGE_DOWN);
        until(() -> robot.lookup("#tray").queryListView().getSelectionModel().getSelectedIndex() > 5);
        Node page = robot.lookup(".page").query();
        robot.interact(() -> page
                .fireEvent(new ScrollEvent(ScrollEvent.SCROLL, 0, 0, 0, 0, false, false, false, false, false, false, 40, 0, 40, 0,
                        ScrollEvent.HorizontalTextScrollUnits.NONE, 0, ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null)));
        assertThat(workspace().leaf()).as("the page that is read").isEqualTo(0);
    }

    @Test
    void theHeadingIsTypedOnTheSheet(FxRobot robot) throws IOException {
        openBundle(robot);
        robot.clickOn("#heading-edit");
        robot.clickOn("#heading-parties").write("Tarn Hollow Orchards Ltd (Claimant); Brightwick Cold Stores Ltd (Defendant)");
        robot.clickOn("#heading-hearing").write("soon").push(KeyCode.ENTER);
        assertThat(workspace().bundle().heading().parties()).as("the hearing is no date yet").isEmpty();
        robot.clickOn("#heading-hearing").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("6 October 2031")
                .push(KeyCode.ENTER);
        until(() -> workspace().bundle().heading().shortName().equals("Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd"));
        robot.clickOn("#sheet-undo");
        until(() -> workspace().bundle().heading().parties().isEmpty());
    }

    @Test
    void afterClosingOneGoesOnWhereOneWas(FxRobot robot) throws IOException {
        openBundle(robot);
        robot.interact(() -> workspace().goTo(4));
        robot.press(KeyCode.CONTROL).push(KeyCode.DIGIT5).release(KeyCode.CONTROL);
        until(() -> workspace().saveStateProperty().get() instanceof Autosave.SaveState.Saved);
        robot.interact(() -> {
            window.hide();
            desk = newDesk();
            desk.begin(FirstBundle.of(temp.resolve("user")));
            window.show();
        });
        until(() -> desk.workspace().isPresent());
        assertThat(order()).isEqualTo("Letters(P Q R) Plans()");
        assertThat(workspace().leaf()).isEqualTo(4);
        assertThat(robot.lookup("#produce-start").tryQuery()).isPresent();
    }

    @Test
    void aDamagedBundleIsNamedOnTheStartScreen(FxRobot robot) throws IOException {
        Path folder = Files.createDirectories(temp.resolve("cut"));
        Files.writeString(folder.resolve(BundleFolder.FILE), "{\"format\": 1, \"head");
        when(dialogs.folder(any())).thenReturn(Optional.of(folder));
        until(() -> robot.lookup("#start-open").tryQuery().isPresent());
        robot.clickOn("#start-open");
        until(() -> robot.lookup(".notice").tryQueryAs(Label.class).map(Label::getText).orElse("")
                .contains("bundle.json cannot be read"));
        assertThat(desk.workspace()).isEmpty();
    }

    @Test
    void filesThatCannotBeReadAreListedWithTheirReason(FxRobot robot) throws IOException {
        openBundle(robot);
        when(dialogs.files(any())).thenReturn(List.of(Files.createFile(temp.resolve("empty.pdf"))));
        robot.clickOn("#tray-addFiles");
        until(() -> robot.lookup("#status-findings").queryAs(ButtonBase.class).getText().equals("1 thing to look at"));
        robot.clickOn("#status-findings");
        until(() -> robot.lookup(".notice").queryAllAs(Label.class).stream()
                .anyMatch(notice -> notice.getText().contains("empty.pdf was left out")));
    }

    @Test
    void closingStopsWhatIsUnderWayAndSavesAllThatWasTyped(FxRobot robot) throws IOException {
        openBundle(robot);
        CountDownLatch begun = new CountDownLatch(1);
        robot.interact(() -> {
            jobs.start((progress, stop) -> {
                begun.countDown();
                while (!stop.getAsBoolean()) Thread.onSpinWait();
                return "late";
            }, late -> workspaceBefore().edit(bundle -> bundle.withHeading(bundle.heading().withTitle("Typed late"))),
                    failure -> {});
            before = workspace();
            desk.leave();
        });
        until(() -> robot.lookup("#start-open").tryQuery().isPresent());
        assertThat(begun.getCount()).isZero();
        robot.interact(() -> desk.open(temp.resolve("bundle")));
        until(() -> desk.workspace().isPresent());
        assertThat(workspace().bundle().heading().title()).isEqualTo("Typed late");
    }

    private Workspace workspaceBefore() {
        return before;
    }

    @Test
    void whatIsStillBeingWorkedOutWhenTheBundleIsClosedIsThereWhenItIsOpenedAgain(FxRobot robot) throws IOException {
        openBundle(robot);
        CountDownLatch slow = new CountDownLatch(1);
        robot.interact(() -> {
            workspace().editSoon("edit.sort", bundle -> {
                try {
                    slow.await(30, TimeUnit.SECONDS);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
                return bundle.withHeading(bundle.heading().withTitle("Sorted bundle"));
            });
            desk.leave();
        });
        assertThat(robot.lookup("#waiting").queryLabeled().getText()).startsWith("Stopping what is under way");
        slow.countDown();
        until(() -> robot.lookup("#start-open").tryQuery().isPresent());
        robot.interact(() -> desk.open(temp.resolve("bundle")));
        until(() -> desk.workspace().isPresent());
        assertThat(workspace().bundle().heading().title()).isEqualTo("Sorted bundle");
    }
}
