package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.mark.Spot;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Numbers are dragged, typed and put on with the real mouse and keys, and read in the PDF that comes of it. */
class NumberWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    private PagePane page(FxRobot robot) {
        return robot.lookup(".number-stage .page").queryAs(PagePane.class);
    }

    private Node mark(FxRobot robot, String words) {
        return page(robot).getChildrenUnmodifiable().stream()
                .filter(node -> node instanceof Text text && text.getText().equals(words)).findFirst().orElseThrow();
    }

    @Test
    void aNumberIsDraggedABatesSeriesPutOnAndBothArePrinted(FxRobot robot) throws IOException {
        Path files = Files.createDirectories(temp.resolve("A - Letters"));
        Pdfs.write(files, "P", 3);
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 1);
        robot.clickOn("#tray .list-cell").push(KeyCode.ENTER);
        until(() -> workspace().plan().documentCount() == 1);
        robot.interact(() -> workspace().goTo(2));
        robot.clickOn("#stage-number");
        until(() -> page(robot).marksShown().equals(List.of("3")));
        robot.clickOn("#number-part-LOOK").clickOn("#number-size").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL)
                .write("24").push(KeyCode.ENTER);
        until(() -> workspace().bundle().numbering().bundle().setting().look().sizePt() == 24);
        Bounds at = mark(robot, "3").localToScreen(mark(robot, "3").getLayoutBounds());
        Bounds paper = page(robot).lookup(".image-view").localToScreen(page(robot).lookup(".image-view").getLayoutBounds());
        robot.drag(at.getCenterX(), at.getCenterY(), MouseButton.PRIMARY).moveTo(paper.getCenterX() + 30, paper.getMinY() + 60)
                .moveTo(paper.getCenterX(), paper.getMinY() + 40).drop();
        until(() -> workspace().bundle().numbering().bundle().setting().spot().row() == Spot.Row.HEAD);
        assertThat(workspace().bundle().numbering().bundle().setting().spot().column()).isEqualTo(Spot.Column.MIDDLE);
        robot.clickOn("#number-part-WHERE").clickOn("#number-down").press(KeyCode.CONTROL).push(KeyCode.A)
                .release(KeyCode.CONTROL).write("1.5 cm").push(KeyCode.ENTER);
        until(() -> Math.abs(workspace().bundle().numbering().bundle().setting().spot().down() - 15) < 0.01);
        robot.clickOn("#number-add").clickOn("#number-part-WHAT").clickOn("#number-first").press(KeyCode.CONTROL).push(KeyCode.A)
                .release(KeyCode.CONTROL).write("TH-000101").push(KeyCode.ENTER);
        until(() -> page(robot).marksShown().contains("TH-000101"));
        robot.clickOn("#number-part-WHERE").clickOn("#place-HEAD-LEFT");
        until(() -> workspace().bundle().numbering().series().getFirst().setting().spot().row() == Spot.Row.HEAD);
        robot.clickOn("#number-part-WHAT").clickOn("#number-issue");
        until(() -> workspace().bundle().numbering().given().size() == 3);
        robot.press(KeyCode.CONTROL).push(KeyCode.G).release(KeyCode.CONTROL).write("TH-000103").push(KeyCode.ENTER);
        until(() -> workspace().leaf() == 4);
        ToggleButton line = robot.lookup(".series-line").nth(1).queryAs(ToggleButton.class);
        robot.clickOn(line).clickOn(line);
        assertThat(line.isSelected()).isTrue();
        robot.clickOn("#number-takeBack");
        assertThat(robot.lookup("#number-takeBack-page").queryButton().getText()).isEqualTo("Take back TH-000103");
        robot.clickOn("#number-takeBack-page");
        until(() -> page(robot).marksShown().contains("TH-000104"));
        assertThat(workspace().bundle().numbering().given()).hasSize(2);
        robot.clickOn("#stage-produce").clickOn("#produce-target").push(KeyCode.END).clickOn("#produce-start");
        Path target = temp.resolve("bundle/Trial bundle.pdf");
        until(() -> Files.exists(target) && jobs.running().isEmpty());
        assertThat(Pdfs.pages(target).get(4)).contains("5").contains("TH-000104").contains("P-3");
    }

    @Test
    void aLineIsTypedWithBlocksInItWhichAreDeletedWhole(FxRobot robot) {
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        robot.clickOn("#stage-number").clickOn("#line-add");
        until(() -> page(robot).marksShown().contains("Trial bundle"));
        robot.clickOn("#line-editor .line-words:last-child").write(", page ");
        robot.clickOn("#line-put").clickOn("#line-put-PAGE");
        until(() -> page(robot).marksShown().contains("Trial bundle, page 1"));
        robot.write(" in all");
        until(() -> page(robot).marksShown().contains("Trial bundle, page 1 in all"));
        for (int i = 0; i < " in all".length() + 1; i++) robot.push(KeyCode.BACK_SPACE);
        until(() -> page(robot).marksShown().contains("Trial bundle, page"));
        assertThat(workspace().bundle().numbering().lines().getFirst().parts()).hasSize(2);
    }

    @Test
    void looseFilesAreNumberedInAViewOfTheirOwn(FxRobot robot) throws IOException {
        Path file = Pdfs.write(temp, "L", 2);
        // The shelf is read in the background.
        until(() -> robot.lookup("#start-loose").tryQuery().isPresent());
        robot.clickOn("#start-loose");
        when(dialogs.files(any())).thenReturn(List.of(file));
        robot.clickOn("#loose-addFiles");
        until(() -> robot.lookup("#loose-files .list-cell").queryAll().stream()
                .anyMatch(cell -> cell.lookup(".small") instanceof Label more && more.getText().contains("2 pages")));
        robot.clickOn("#loose-first").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("TH-000101")
                .push(KeyCode.ENTER);
        until(() -> robot.lookup(".loose .page").queryAs(PagePane.class).marksShown().contains("TH-000101"));
        robot.clickOn("#loose-stamp");
        Path copy = temp.resolve("Numbered/L numbered.pdf");
        until(() -> Files.exists(copy));
        assertThat(Pdfs.pages(copy).get(1)).contains("TH-000102");
        robot.clickOn("#loose-back");
        until(() -> robot.lookup("#start-loose").tryQuery().isPresent());
    }
}
