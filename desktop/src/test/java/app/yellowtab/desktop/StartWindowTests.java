package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import java.io.IOException;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The shelf: a bundle begun from a template, closed, and found again as a spine. */
class StartWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    @Test
    void aBundleIsBegunFromATemplateAndStandsOnTheShelfThen(FxRobot robot) {
        until(() -> robot.lookup("#new-title").tryQuery().filter(Node::isFocused).isPresent());
        robot.write("Appeal of the orchards");
        robot.interact(() -> robot.lookup("#new-place").queryAs(TextField.class).setText(temp.toString()));
        robot.clickOn("#new-kind").clickOn("Appeal").clickOn("#start-create");
        until(() -> desk.workspace().isPresent());
        assertThat(workspace().bundle().contents().sections()).extracting(Section::title).startsWith("The appeal",
                "The decision below");
        assertThat(workspace().bundle().contents().allDocuments()).isNotEmpty().allMatch(Document::isPlaceholder);
        int pages = workspace().plan().pageCount();
        robot.clickOn("#rail-leave");
        until(() -> robot.lookup(".spine").tryQuery().filter(Node::isFocused).isPresent());
        assertThat(robot.lookup(".spine").queryAs(Button.class).getAccessibleText()).startsWith("Appeal of the orchards")
                .contains(pages + " pages");
        robot.push(KeyCode.ENTER);
        until(() -> desk.workspace().isPresent());
        assertThat(workspace().folder().path()).isEqualTo(temp.resolve("Appeal of the orchards"));
    }
}
