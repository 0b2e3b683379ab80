package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Pages are redacted with the real mouse and keys, and what is under the glass is looked for in the PDF that comes of it. */
class RedactWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    private static void line(PDDocument document, int page, int y, String words) {
        try (PDPageContentStream content =
                new PDPageContentStream(document, document.getPage(page), PDPageContentStream.AppendMode.APPEND, true)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.COURIER), 14);
            content.newLineAtOffset(100, y);
            content.showText(words);
            content.endText();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private List<Redaction> onPageInView() {
        return workspace().plan().leaf(workspace().leaf()).content() instanceof Content.SourcePage page ? page.look().redactions()
                : List.of();
    }

    private PagePane page(FxRobot robot) {
        return robot.lookup(".reader .page").queryAs(PagePane.class);
    }

    /** Clicks at a place of the page, in points from its lower left corner. */
    private void click(FxRobot robot, double x, double y) {
        Bounds at = paper(robot);
        robot.clickOn(at.getMinX() + x / 595 * at.getWidth(), at.getMaxY() - y / 842 * at.getHeight());
    }

    private Bounds paper(FxRobot robot) {
        Node picture = page(robot).lookup(".image-view");
        return picture.localToScreen(picture.getLayoutBounds());
    }

    /** {@return what a node is scrolled in} */
    private static ScrollPane scroll(Node node) {
        Node above = node;
        while (!(above instanceof ScrollPane)) above = above.getParent();
        return (ScrollPane) above;
    }

    @Test
    void wordsAndAreasAreRedactedTakenBackAndGoneFromTheFile(FxRobot robot) throws IOException {
        Path files = Files.createDirectories(temp.resolve("A - Letters"));
        Pdfs.write(files, "P", 3, document -> {
            line(document, 0, 500, "Zanzibar kept Quagmire here");
            line(document, 1, 500, "again Quagmire stands");
            line(document, 2, 500, "and Quagmire once more");
        });
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 1);
        robot.clickOn("#tray .list-cell").push(KeyCode.ENTER);
        until(() -> workspace().plan().documentCount() == 1);
        robot.interact(() -> workspace().goTo(2));
        until(() -> page(robot).isShowing());
        robot.clickOn("#reader-redact");
        until(() -> robot.lookup("#redact-bar").query().isVisible());
        robot.clickOn("#redact-reason").write("Privileged").clickOn("#redact-printed");
        // The words of the page come in the background.
        robot.moveTo(page(robot));
        until(() -> {
            click(robot, 120, 505);
            return !onPageInView().isEmpty();
        });
        assertThat(onPageInView()).singleElement().satisfies(one -> {
            assertThat(one.reason()).isEqualTo("Privileged");
            assertThat(one.printed()).isTrue();
            assertThat(one.area().widthMm()).as("Zanzibar, and no more").isBetween(22.0, 26.0);
        });
        until(() -> page(robot).marked(Styles.GLASS).size() == 1);
        Bounds at = paper(robot);
        robot.moveTo(at.getMinX() + 60, at.getMaxY() - 80).press(MouseButton.PRIMARY).moveBy(20, 20).moveBy(30, 20)
                .release(MouseButton.PRIMARY);
        until(() -> onPageInView().size() == 2);
        robot.push(KeyCode.DELETE);
        until(() -> onPageInView().size() == 1);
        robot.clickOn("#find-words").write("quagmire").push(KeyCode.ENTER);
        until(() -> robot.lookup("#find-redact").query().isVisible());
        robot.clickOn("#find-redact");
        until(() -> robot.lookup("#redact-hitWords").queryAs(Label.class).getText().startsWith("Hit 1 of 3"));
        until(() -> !page(robot).marked(Styles.HIT_AREA).isEmpty());
        robot.clickOn("#redact-hit");
        until(() -> robot.lookup("#redact-hitWords").queryAs(Label.class).getText().startsWith("Hit 2 of 3"));
        robot.clickOn("#redact-leave").clickOn("#redact-hit");
        until(() -> robot.lookup("#redact-said").queryAs(Label.class).getText().equals("All 3 seen, 2 redacted."));
        Path schedule = temp.resolve("schedule.csv");
        when(dialogs.saveAs(any(), any())).thenReturn(Optional.of(schedule));
        robot.clickOn("#redact-more").clickOn("#redact-schedule");
        until(() -> Files.exists(schedule));
        assertThat(Files.readAllLines(schedule)).hasSize(4).last().asString().contains("5").contains("Privileged");
        Document letter = workspace().bundle().contents().allDocuments().getFirst();
        LookAgain again = new LookAgain(letter.id(), Optional.of(letter.runs().getFirst().key(1)),
                workspace().bundle().sources().getFirst().asRead(), 1, true, false);
        robot.interact(() -> workspace().edit(bundle -> bundle.withToLookAt(List.of(again))));
        robot.clickOn("#status-produce");
        until(() -> robot.lookup("#again").query().isVisible());
        assertThat(robot.lookup("#produce-start").query().isDisabled()).isTrue();
        robot.clickOn("#again-seen");
        until(() -> robot.lookup("#repeats-leave").tryQuery().isPresent());
        assertThat(robot.lookup("#produce-start").query().isDisabled()).as("one Quagmire is not decided").isTrue();
        robot.interact(() -> scroll(robot.lookup("#produce-start").query()).setVvalue(1));
        robot.clickOn("#repeats-leave");
        assertThat(robot.lookup("#repeats-reason").match(Node::isFocused).tryQuery().isPresent()).as("a reason is wanted first")
                .isTrue();
        robot.clickOn("#repeats-reason").write("Quoted in the order").clickOn("#repeats-leave");
        until(() -> !robot.lookup("#produce-start").query().isDisabled());
        robot.clickOn("#produce-target").push(KeyCode.END).clickOn("#produce-start");
        Path target = temp.resolve("bundle/Trial bundle.pdf");
        until(() -> Files.exists(target) && jobs.running().isEmpty());
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.get(2)).contains("kept", "here").doesNotContain("Zanzibar", "Quagmire");
        assertThat(pages.get(3)).contains("Quagmire");
        assertThat(pages.get(4)).contains("once more").doesNotContain("Quagmire");
        assertThat(Files.readString(target, StandardCharsets.ISO_8859_1)).doesNotContain("Zanzibar");
        robot.interact(() -> {
            workspace().undo();
            workspace().undo();
            assertThat(workspace().bundle().toLookAt()).containsExactly(again);
            workspace().undo();
            workspace().undo();
        });
        until(() -> onPageInView().isEmpty());
    }
}
