package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The pages of documents on the light table, with the real mouse and keys, and the PDF that comes of it. */
class PagesWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    /** {@return the tile of a page by the number that it bears, as soon as it is in sight} */
    private Node tile(FxRobot robot, String number) {
        until(() -> find(robot, number).isPresent());
        return find(robot, number).orElseThrow();
    }

    private static Optional<Node> find(FxRobot robot, String number) {
        return robot.lookup("#pages-view .page-tile").queryAll().stream().filter(tile -> tile.lookupAll(".small").stream()
                .anyMatch(foot -> foot instanceof Label label && label.getText().equals(number))).findFirst();
    }

    /** {@return the pages of all documents by their places in their files, such as "P: 1 2, Q: 1"} */
    private String pages() {
        StringBuilder pages = new StringBuilder();
        for (Document document : workspace().bundle().contents().allDocuments()) {
            pages.append(pages.isEmpty() ? "" : ", ").append(document.title()).append(':');
            for (Run run : document.runs()) for (int n = 1; n <= run.pageCount(); n++)
                pages.append(' ').append(run instanceof SourcePages ? run.key(n).page() : "free");
        }
        return pages.toString();
    }

    private void drag(FxRobot robot, String from, String to, boolean before) {
        Bounds place = tile(robot, to).localToScreen(tile(robot, to).getLayoutBounds());
        double x = before ? place.getMinX() + 8 : place.getMaxX() - 8;
        robot.drag(tile(robot, from), MouseButton.PRIMARY).moveBy(12, 12).moveTo(x, place.getCenterY()).moveBy(1, 1).drop();
    }

    @Test
    void pagesAreTurnedDraggedBlankedInAndTakenOut(FxRobot robot) throws IOException {
        Path files = Files.createDirectories(temp.resolve("A - Letters"));
        Pdfs.write(files, "P", 4);
        Pdfs.write(files, "Q", 2);
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 2);
        robot.clickOn("#tray .list-cell").press(KeyCode.CONTROL, KeyCode.A).release(KeyCode.A, KeyCode.CONTROL)
                .push(KeyCode.ENTER);
        until(() -> pages().equals("P: 1 2 3 4, Q: 1 2"));
        // All documents, whatever row is chosen after they came.
        robot.interact(() -> workspace().goTo(0));
        robot.clickOn("#sheet-pages");
        until(() -> robot.lookup("#pages-view").query().isVisible());
        robot.clickOn(tile(robot, "4")).press(KeyCode.SHIFT).clickOn(tile(robot, "5")).release(KeyCode.SHIFT).push(KeyCode.R);
        until(() -> document("P").runs().size() == 3);
        assertThat(document("P").runs().get(1).pageCount()).as("the second and the third page").isEqualTo(2);
        drag(robot, "4", "8", true);
        until(() -> pages().equals("P: 1 4, Q: 1 2 3 2"));
        robot.clickOn("#pages-blank").clickOn("#blank-words").write("tab").clickOn("#blank-do");
        until(() -> pages().equals("P: 1 4, Q: 1 2 free 3 free 2"));
        robot.clickOn(tile(robot, "3")).push(KeyCode.DELETE);
        until(() -> pages().equals("P: 4, Q: 1 2 free 3 free 2"));
        robot.press(KeyCode.CONTROL).push(KeyCode.Z).release(KeyCode.CONTROL);
        until(() -> pages().equals("P: 1 4, Q: 1 2 free 3 free 2"));
        robot.clickOn(tile(robot, "4")).clickOn("#pages-crop").clickOn("#crop-top").write("2 cm").clickOn("#crop-bottom")
                .write("ten").push(KeyCode.ENTER);
        until(() -> robot.lookup("#crop-said").queryAs(Label.class).getText().contains("“ten” is no length"));
        robot.clickOn("#crop-bottom").press(KeyCode.CONTROL).push(KeyCode.A).release(KeyCode.CONTROL).write("10")
                .push(KeyCode.ENTER);
        until(() -> document("P").runs().getLast() instanceof SourcePages last
                && last.look().crop().filter(area -> Math.abs(area.heightMm() - 267) < 0.1).isPresent());
        Path saved = temp.resolve("saved.pdf");
        when(dialogs.saveAs(any(), any())).thenReturn(Optional.of(saved));
        robot.clickOn("#pages-save").clickOn("#save-do");
        until(() -> robot.lookup("#save-said").queryAs(Label.class).getText().equals("One page saved as saved.pdf."));
        assertThat(Pdfs.pages(saved)).singleElement().asString().contains("P").endsWith("4");
        Path more = Pdfs.write(temp, "more", 3);
        when(dialogs.files(any())).thenReturn(List.of(more));
        robot.clickOn("#pages-insert").clickOn("#insert-pages").write("2").clickOn("#insert-do");
        until(() -> pages().equals("P: 1 4 2, Q: 1 2 free 3 free 2"));
        robot.clickOn("#pages-back");
        until(() -> robot.lookup("#index").query().isVisible());
        robot.clickOn("#status-produce").clickOn("#produce-target").push(KeyCode.END).clickOn("#produce-start");
        Path target = temp.resolve("bundle/Trial bundle.pdf");
        until(() -> Files.exists(target) && jobs.running().isEmpty());
        // The words of a turned page are read one by one.
        assertThat(Pdfs.pages(target).subList(2, 10).stream().map(page -> page.replace(" -", "-"))).containsExactly("P-1 3",
                "P-4 4", "more-2 5", "Q-1 6", "P-2 7", "tab 8", "P-3 9", "tab 10");
    }

    private Document document(String title) {
        return workspace().bundle().contents().allDocuments().stream().filter(document -> document.title().equals(title))
                .findFirst().orElseThrow();
    }
}
