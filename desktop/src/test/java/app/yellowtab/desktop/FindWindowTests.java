package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.model.page.Area;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.sample.paper.RehearsalScanner;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Finding and copying words in the reader, on a scan. */
class FindWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    @Test
    void wordsOfAScanAreFoundMarkedAndCopied(FxRobot robot) throws IOException {
        when(engines.start(any())).thenAnswer(call -> new ProcessRecogniser(Languages.ofUser(), call.getArgument(0)));
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.files(any())).thenReturn(List.of(RehearsalScanner.deliver(temp, 2, 2, RehearsalScanner.Form.PDF)));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFiles");
        until(() -> workspace().bundle().sources().stream().anyMatch(source -> !source.about().recognised().isEmpty()));
        robot.interact(() -> workspace().edit(bundle -> Edits.putInIndex(bundle,
                List.of(bundle.sources().getFirst().id().value()), new Place(Optional.empty(), 0))));
        robot.press(KeyCode.CONTROL).push(KeyCode.F).release(KeyCode.CONTROL).write("cold stores").push(KeyCode.ENTER);
        Label said = robot.lookup("#find-said").queryAs(Label.class);
        until(() -> said.getText().startsWith("1 of ") && said.getText().contains("Brightwick Cold Stores Ltd"));
        PagePane page = robot.lookup(".reader .page").queryAs(PagePane.class);
        until(() -> page.isShowing() && page.marked(Styles.LOOKED_WORDS).size() == 1);
        int first = workspace().leaf();
        robot.push(KeyCode.ENTER);
        until(() -> said.getText().startsWith("2 of ") && workspace().leaf() > first);
        until(() -> page.isShowing() && page.marked(Styles.LOOKED_WORDS).size() == 1);
        // The hit that is marked is chosen with the mouse, word for word, and copied.
        Area hit = page.marked(Styles.LOOKED_WORDS).getFirst();
        robot.moveTo(page);
        Node picture = page.lookup(".image-view");
        Bounds at = picture.localToScreen(picture.getLayoutBounds());
        double perMm = at.getWidth() / 210;
        double y = at.getMinY() + (hit.topMm() + hit.heightMm() / 2) * perMm;
        Label chosen = robot.lookup("#chosen-words").queryAs(Label.class);
        until(() -> {
            robot.drag(at.getMinX() + (hit.leftMm() + 1) * perMm, y, MouseButton.PRIMARY)
                    .dropTo(at.getMinX() + (hit.leftMm() + hit.widthMm() - 1) * perMm, y);
            return chosen.getText().equals("Chosen: Cold Stores");
        });
        robot.press(KeyCode.CONTROL).push(KeyCode.C).release(KeyCode.CONTROL);
        AtomicReference<String> copied = new AtomicReference<>("");
        robot.interact(() -> copied.set(Clipboard.getSystemClipboard().getString()));
        assertThat(copied.get()).isEqualTo("Cold Stores");
        robot.press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL);
        until(() -> chosen.getText().contains("Brightwick Cold Stores Ltd"));
    }
}
