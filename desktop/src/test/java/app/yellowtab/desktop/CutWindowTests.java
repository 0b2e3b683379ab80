package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.pages.LightTable;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.model.Document;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
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
        return robot.lookup(".cut-tab").queryAllAs(Label.class).stream().filter(Label::isVisible).sorted(Comparator.comparing(tab -> pages(tab).replaceAll("\u2013.*", ""), Comparator.comparingInt(Integer::parseInt)))
                .map(tab -> tab.getText() + "   " + pages(tab)).toList();
    }

    private static String pages(Label tab) {
        return ((Label) tab.getGraphic()).getText();
    }

    private void openBatch(FxRobot robot) throws IOException {
        Path post = Pdfs.write(temp, "post", 6);
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.files(any())).thenReturn(List.of(post));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFiles");
        until(() -> workspace().bundle().tray().size() == 1);
        robot.press(KeyCode.CONTROL).push(KeyCode.DIGIT2).release(KeyCode.CONTROL);
        until(() -> tabs(robot).equals(List.of("post 001   1–6")));
    }

    @Test
    void rulesAndTheHandCutAndThePiecesAreDocumentsOfThePdf(FxRobot robot) throws IOException {
        openBatch(robot);
        robot.doubleClickOn("#cut-every").push(KeyCode.DELETE).write("2").push(KeyCode.ENTER);
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
        robot.clickOn("#cut-make");
        until(() -> workspace().bundle().setAside().size() == 4);
        assertThat(workspace().bundle().setAside()).extracting(Document::title).containsExactly("post 001", "post 002", "Letter of claim", "post 004");
        robot.clickOn("#stage-arrange").clickOn("Letter of claim").push(KeyCode.ENTER);
        until(() -> order().equals("Letter of claim"));
        robot.clickOn("#status-produce");
        until(() -> robot.lookup("#produce-start").queryAs(ButtonBase.class).isFocused());
        robot.push(KeyCode.ENTER);
        until(() -> robot.lookup("#produce-openFile").tryQuery().isPresent());
        assertThat(Pdfs.pages(temp.resolve("bundle/Trial bundle.pdf"))).last().asString().contains("post-4");
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
        robot.drag(page.getMinX() + 5, page.getMinY() + 3, MouseButton.PRIMARY).dropTo(page.getMaxX() - 5, page.getMinY() + page.getWidth() * 1.3);
        until(() -> robot.lookup("#area-words").queryAs(Label.class).getText().equals("In the area stands \u201Cpost-1\u201D"));
        robot.clickOn("#cut-area-value");
        robot.clickOn("#cut-area-name").push(KeyCode.ESCAPE);
        until(() -> tabs(robot).equals(List.of("post-1   1", "post-2   2", "post-3   3", "post-4   4", "post-5   5", "post-6   6")));
    }
}
