package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.pages.LightTable;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.model.contents.Document;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.sample.paper.RehearsalScanner;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** A batch is cut at the window, and its pieces are in the produced PDF. */
class CutWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    /** {@return the tabs, in the order of the pages} */
    private static List<String> tabs(FxRobot robot) {
        return robot.lookup(".cut-tab").queryAllAs(Label.class).stream().filter(Label::isVisible)
                .sorted(Comparator.comparing(tab -> pages(tab).replaceAll("\u2013.*", ""),
                        Comparator.comparingInt(Integer::parseInt)))
                .map(tab -> tab.getText() + "   " + pages(tab)).toList();
    }

    private static String pages(Label tab) {
        return ((Label) tab.getGraphic()).getText();
    }

    private void openBatch(FxRobot robot) throws IOException {
        open(robot, app.yellowtab.desktop.work.Stage.CUT, bundle -> bundle, Pdfs.write(temp, "post", 6));
        until(() -> tabs(robot).equals(List.of("post 001   1–6")));
    }

    @Test
    void rulesAndTheHandCutAndThePiecesAreDocumentsOfThePdf(FxRobot robot) throws IOException {
        openBatch(robot);
        robot.clickOn("#cut-every").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("2")
                .push(KeyCode.ENTER);
        until(() -> tabs(robot).equals(List.of("post 001   1–2", "post 002   3–4", "post 003   5–6")));
        LightTable table = robot.lookup((Node node) -> node instanceof LightTable).query();
        robot.interact(table::requestFocus);
        robot.push(KeyCode.HOME).push(KeyCode.RIGHT).push(KeyCode.SPACE);
        until(() -> tabs(robot).equals(List.of("post 001   1", "post 002   2", "post 003   3–4", "post 004   5–6")));
        robot.push(KeyCode.N).push(KeyCode.DELETE).push(KeyCode.RIGHT).push(KeyCode.F2);
        until(() -> robot.lookup("#piece-name").query().isFocused());
        robot.press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("Letter of claim").push(KeyCode.ENTER);
        until(() -> tabs(robot).equals(List.of("post 001   1", "post 002   2", "Letter of claim   4", "post 004   5–6")));
        robot.press(KeyCode.CONTROL).push(KeyCode.Z).release(KeyCode.CONTROL);
        until(() -> tabs(robot).contains("post 003   4"));
        robot.press(KeyCode.CONTROL).push(KeyCode.Y).release(KeyCode.CONTROL);
        until(() -> tabs(robot).contains("Letter of claim   4"));
        robot.clickOn("#cut-go");
        TableView<?> list = robot.lookup("#pieces").queryAs(TableView.class);
        until(() -> list.isVisible() && list.getItems().size() == 4);
        assertThat(list.getColumns().get(2).getCellData(2)).isEqualTo("Letter of claim");
        assertThat(list.getColumns().get(3).getCellData(3)).isEqualTo("5–6");
        until(() -> String.valueOf(list.getColumns().get(5).getCellData(0)).endsWith("KB"));
        Path folder = temp.resolve("pieces");
        robot.clickOn("#cut-files").doubleClickOn("#cut-folder").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL)
                .write(folder.toString()).clickOn("#cut-mails").clickOn("#cut-make");
        until(() -> robot.lookup("#cut-report").tryQuery().isPresent());
        assertThat(Pdfs.pages(folder.resolve("post/Letter of claim.pdf"))).containsExactly("post-4");
        assertThat(folder.resolve("post/Letter of claim.eml")).exists();
        when(dialogs.saveAs(any(), any())).thenReturn(Optional.of(temp.resolve("report.csv")));
        robot.clickOn("#cut-report");
        until(() -> Files.exists(temp.resolve("report.csv")));
        assertThat(Files.readString(temp.resolve("report.csv")))
                .contains("post.pdf,3,4,1,Letter of claim,,in the tray,Letter of claim.pdf,,Letter of claim.eml,")
                .contains("post.pdf,,3,1,,,,,,,,dropped: by hand");
        until(() -> workspace().bundle().setAside().size() == 4);
        assertThat(workspace().bundle().setAside()).extracting(Document::title).containsExactly("post 001", "post 002",
                "Letter of claim", "post 004");
        robot.clickOn("#stage-arrange").clickOn("Letter of claim").push(KeyCode.ENTER);
        until(() -> order().equals("Letter of claim"));
        robot.clickOn("#status-produce");
        until(() -> robot.lookup("#produce-start").queryAs(ButtonBase.class).isFocused());
        robot.push(KeyCode.ENTER);
        until(() -> robot.lookup("#produce-openFile").tryQuery().isPresent());
        assertThat(Pdfs.pages(temp.resolve("bundle/Trial bundle.pdf"))).last().asString().contains("post-4");
    }

    @Test
    void rulesAreKeptAndUsedAgainAndSeparatorSheetsAreMade(FxRobot robot) throws IOException {
        openBatch(robot);
        robot.clickOn("#cut-every").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("2")
                .push(KeyCode.ENTER);
        until(() -> tabs(robot).size() == 3);
        robot.clickOn("#cut-kept").clickOn("Keep these rules under a name").write("Two and two").push(KeyCode.ENTER);
        until(() -> robot.lookup("Kept as \u201CTwo and two\u201D.").tryQuery().isPresent());
        robot.clickOn("#rule-every");
        until(() -> tabs(robot).size() == 1);
        robot.clickOn("#cut-kept").clickOn("Two and two");
        until(() -> tabs(robot).size() == 3);
        Path sheets = temp.resolve("sheets.pdf");
        when(dialogs.saveAs(any(), any())).thenReturn(Optional.of(sheets));
        robot.clickOn("#cut-sheets").clickOn("#sheet-lines").write("Letter of claim | 3 October 2030 | Letters\nDefence");
        until(() -> robot.lookup("#cut-sheets-make").queryAs(ButtonBase.class).getText().startsWith("Make 2 sheets"));
        robot.clickOn("#cut-sheets-make");
        until(() -> Files.exists(sheets));
        assertThat(Pdfs.pages(sheets)).satisfiesExactly(
                first -> assertThat(first).contains("Letter of claim", "3 October 2030", "Section: Letters"),
                second -> assertThat(second).contains("Defence"));
    }

    @Test
    void aScannedBatchIsReadTurnedStraightenedFreedOfItsBlanksAndCutByItsWords(FxRobot robot) throws IOException {
        when(engines.start(any())).thenAnswer(call -> new ProcessRecogniser(Languages.ofUser(), call.getArgument(0)));
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.files(any())).thenReturn(List.of(RehearsalScanner.deliver(temp, 1, 3, RehearsalScanner.Form.PDF)));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFiles");
        until(() -> workspace().bundle().sources().stream().anyMatch(source -> !source.about().recognised().isEmpty()));
        assertThat(workspace().bundle().sources().getFirst().proposedTitle()).as("from its first page")
                .isEqualTo("Brightwick Cold Stores Ltd");
        robot.press(KeyCode.CONTROL).push(KeyCode.DIGIT2).release(KeyCode.CONTROL);
        until(() -> robot.lookup("1 page stands the wrong way").tryQuery().isPresent()
                && robot.lookup("Scanned on both sides: 3 blank backs").tryQuery().isPresent());
        robot.clickOn("#sheet-turn");
        until(() -> robot.lookup("#sheet-turn").tryQuery().isEmpty());
        robot.clickOn("#sheet-straighten");
        until(() -> robot.lookup("#sheet-straighten").tryQuery().isEmpty());
        robot.clickOn("#sheet-backs");
        until(() -> !robot.lookup("#sheet-proposals").query().isVisible());
        robot.doubleClickOn("#cut-words").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("Cold Stores Ltd")
                .push(KeyCode.ENTER);
        until(() -> tabs(robot).size() == 3);
        robot.clickOn("#cut-go");
        Path folder = temp.resolve("pieces");
        until(() -> robot.lookup("#pieces").queryAs(TableView.class).getItems().size() == 3);
        robot.clickOn("#cut-files").doubleClickOn("#cut-folder").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL)
                .write(folder.toString()).clickOn("#cut-make");
        until(() -> robot.lookup("#cut-report").tryQuery().isPresent());
        assertThat(Pdfs.pages(folder.resolve("scan-0001/scan-0001 003.pdf"))).as("it was upside down").singleElement().asString()
                .contains("Invoice 2216", "Week 38");
    }

    @Test
    void aPageIsShownLargeWithItsWords(FxRobot robot) throws IOException {
        openBatch(robot);
        robot.push(KeyCode.RIGHT).push(KeyCode.ENTER);
        until(() -> robot.lookup("#large-page").query().isVisible());
        until(() -> robot.lookup("#large-page .text-area").queryAs(TextArea.class).getText().strip().equals("post-2"));
        until(() -> robot.lookup("#large-page .page").queryAs(PagePane.class).isShowing());
        robot.push(KeyCode.RIGHT);
        until(() -> robot.lookup("#large-page .text-area").queryAs(TextArea.class).getText().strip().equals("post-3"));
        robot.push(KeyCode.ESCAPE);
        until(() -> !robot.lookup("#large-page").query().isVisible());
    }

    @Test
    void anAreaDrawnOnThePageCutsAndNames(FxRobot robot) throws IOException {
        openBatch(robot);
        robot.push(KeyCode.ENTER);
        PagePane large = robot.lookup("#large-page .page").queryAs(PagePane.class);
        until(large::isShowing);
        until(() -> robot.lookup("#large-page .text-area").queryAs(TextArea.class).getText().strip().equals("post-1"));
        Bounds page = large.localToScreen(large.getLayoutBounds());
        robot.drag(page.getMinX() + 5, page.getMinY() + 3, MouseButton.PRIMARY).dropTo(page.getMaxX() - 5,
                page.getMinY() + page.getWidth() * 1.3);
        until(() -> robot.lookup("#area-words").queryAs(Label.class).getText().equals("In the area stands \u201Cpost-1\u201D"));
        until(() -> robot.lookup("#area-pages").queryListView().getItems().size() == 6);
        assertThat(robot.lookup("#area-pages").queryListView().getItems()).last().isEqualTo("6: post-6");
        robot.clickOn("#area-left").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("400")
                .push(KeyCode.ENTER);
        until(() -> robot.lookup("#area-words").queryAs(Label.class).getText()
                .startsWith("The area lies off this page, which is "));
        robot.press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("5").push(KeyCode.ENTER);
        until(() -> robot.lookup("#area-words").queryAs(Label.class).getText().contains("post-1"));
        robot.clickOn("#cut-area-value");
        robot.clickOn("#cut-area-name").push(KeyCode.ESCAPE);
        until(() -> tabs(robot)
                .equals(List.of("post-1   1", "post-2   2", "post-3   3", "post-4   4", "post-5   5", "post-6   6")));
    }
}
