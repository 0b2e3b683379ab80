package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.work.Stage.Beside;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** One walk through all stages, which serves all rules about the window. */
class StageWalkTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    @Test
    void everyStageIsReachedByItsKeyAndSignAndShowsOfThePageWhatItSays(FxRobot robot) throws IOException {
        open(robot, app.yellowtab.desktop.work.Stage.ARRANGE,
                bundle -> bundle.withContents(new Contents(List.of(Document.of(bundle.sources().getFirst())), List.of())),
                Pdfs.write(temp, "P", 2), Pdfs.write(temp, "T", 3));
        for (var stage : app.yellowtab.desktop.work.Stage.values()) {
            robot.press(KeyCode.CONTROL).push(KeyCode.getKeyCode(String.valueOf(stage.ordinal() + 1))).release(KeyCode.CONTROL);
            until(() -> workspace().stageProperty().get() == stage);
            ToggleButton sign = robot.lookup("#stage-" + stage.name().toLowerCase(Locale.ROOT)).queryAs(ToggleButton.class);
            assertThat(sign.isSelected()).as("%s", stage).isTrue();
            assertThat(sign.getText()).startsWith(stage.shown() + "\n");
            assertThat(robot.lookup("#fore-edge").query().isVisible()).as("fore-edge beside %s", stage)
                    .isEqualTo(stage.beside() != Beside.NOTHING);
            assertThat(robot.lookup("#reader").query().isVisible()).as("reader beside %s", stage)
                    .isEqualTo(stage.beside() == Beside.READER);
            for (ButtonBase button : robot.lookup(node -> node instanceof ButtonBase && isShown(node))
                    .queryAllAs(ButtonBase.class)) {
                assertThat(says(button)).as("what %s says beside %s", button, stage).isNotBlank();
                if (button.lookup(".text") instanceof Text drawn && !button.getText().isEmpty())
                    assertThat(drawn.getText()).as("words of a button of %s", stage).isEqualTo(button.getText());
            }
        }
    }

    private static boolean isShown(Node node) {
        for (Node at = node; at != null; at = at.getParent()) if (!at.isVisible()) return false;
        return node.getScene() != null && node.getLayoutBounds().getWidth() > 0;
    }

    /** {@return its words, or those that are shown or read out where the pointer or the keyboard comes to it} */
    private static String says(ButtonBase button) {
        return button.getText() + Objects.requireNonNullElse(button.getAccessibleText(), "")
                + (button.getTooltip() == null ? "" : button.getTooltip().getText());
    }
}
