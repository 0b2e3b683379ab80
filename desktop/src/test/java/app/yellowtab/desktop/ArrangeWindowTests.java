package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javafx.css.PseudoClass;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** What is done with documents on the sheet, with the real mouse and keys. */
class ArrangeWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    /** {@return a row, as soon as it is in sight: a list moves its cells about when rows change} */
    private Node row(FxRobot robot, String title) {
        AtomicReference<Node> found = new AtomicReference<>();
        until(() -> {
            Bounds list = robot.lookup("#index").query().localToScene(robot.lookup("#index").query().getLayoutBounds());
            robot.lookup(".sheet-row").queryAll().stream()
                    .filter(node -> node.isVisible() && node instanceof ListCell<?> cell
                            && cell.getItem() instanceof PlannedEntry entry && entry.title().equals(title))
                    .filter(node -> list.contains(node.localToScene(node.getLayoutBounds()))).findFirst().ifPresent(found::set);
            return found.get() != null;
        });
        return found.get();
    }

    private Document document(String title) {
        return workspace().bundle().contents().allDocuments().stream().filter(document -> document.title().equals(title))
                .findFirst().orElseThrow();
    }

    private static void keys(FxRobot robot, KeyCode... keys) {
        robot.press(keys).release(keys);
    }

    private void typed(FxRobot robot, String expected) {
        until(() -> robot.lookup("#in-place").tryQueryAs(TextField.class).map(TextField::getText).orElse("").equals(expected));
    }

    @Test
    void aPlaceholderIsFilledADocumentDividedAndSentToItsSection(FxRobot robot) throws IOException {
        Path files = Files.createDirectories(temp.resolve("A - Letters"));
        Pdfs.write(files, "P", 6);
        Pdfs.write(files, "Q", 1);
        Path late = Pdfs.write(temp, "T", 3);
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        when(dialogs.files(any())).thenReturn(List.of(late));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFolder");
        until(() -> workspace().bundle().tray().size() == 2);
        robot.clickOn("P.pdf").press(KeyCode.SHIFT).clickOn("Q.pdf").release(KeyCode.SHIFT).push(KeyCode.ENTER);
        until(() -> order().equals("P Q"));
        robot.clickOn("#tray-addFiles");
        until(() -> workspace().bundle().tray().size() == 1);

        robot.clickOn(row(robot, "P"));
        keys(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        typed(robot, "Document to follow");
        robot.write("Report").push(KeyCode.TAB);
        typed(robot, "");
        robot.push(KeyCode.TAB);
        typed(robot, "1");
        robot.write("3").push(KeyCode.ENTER);
        until(() -> order().equals("P Report Q") && document("Report").pageCount() == 3);
        robot.drag("T.pdf", MouseButton.PRIMARY).moveTo(row(robot, "Q")).moveTo(row(robot, "Report"))
                .dropTo(row(robot, "Report"));
        until(() -> !document("Report").isPlaceholder());
        assertThat(robot.lookup("#offer .fact").queryAs(Label.class).getText())
                .isEqualTo("“T.pdf” fills the reserved pages exactly. Nothing else has moved.");

        robot.clickOn(row(robot, "P"));
        keys(robot, KeyCode.CONTROL, KeyCode.G);
        robot.write("4").push(KeyCode.ENTER);
        until(() -> workspace().leaf() == 3);
        robot.clickOn(row(robot, "P"), MouseButton.SECONDARY).push(KeyCode.ESCAPE);
        robot.interact(() -> workspace().goTo(4));
        keys(robot, KeyCode.CONTROL, KeyCode.D);
        typed(robot, "P (continued)");
        robot.write("Enclosures").push(KeyCode.ENTER);
        until(() -> order().equals("P Enclosures Report Q"));
        assertThat(document("P").pageCount()).isEqualTo(2);
        until(() -> row(robot, "Enclosures").getPseudoClassStates().contains(PseudoClass.getPseudoClass("in-view")));

        robot.clickOn("#sheet-addSection").write("Annexes").push(KeyCode.ENTER);
        until(() -> order().equals("P Enclosures Report Q Annexes()"));
        robot.clickOn(row(robot, "Enclosures"));
        keys(robot, KeyCode.CONTROL, KeyCode.M);
        until(() -> robot.lookup("#section-name").query().isFocused());
        robot.write("ann").push(KeyCode.ENTER);
        until(() -> order().equals("P Report Q Annexes(Enclosures)"));
        keys(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
        AtomicReference<String> copied = new AtomicReference<>("");
        robot.interact(() -> copied.set(Clipboard.getSystemClipboard().getString()));
        assertThat(copied.get()).isEqualTo("[A/" + workspace().plan().leaf(workspace().leaf()).label() + "]");

        robot.clickOn(row(robot, "P")).press(KeyCode.SHIFT).clickOn(row(robot, "Q")).release(KeyCode.SHIFT);
        keys(robot, KeyCode.CONTROL, KeyCode.J);
        until(() -> order().equals("P Annexes(Enclosures)"));
        assertThat(document("P").pageCount()).isEqualTo(6);
        assertThat(workspace().plan().entry(document("Enclosures").id()).orElseThrow().span().from()).as("no page was lost")
                .isEqualTo("10");
    }

    @Test
    void anAgreedIndexIsReadInSentOutAndTakenBackChanged(FxRobot robot) throws IOException {
        Path agreed = Files.writeString(temp.resolve("agreed.csv"),
                "Tab,Document,Dated,No. of pages\nA,Letters,,\n1,Letter before claim,29 November 2030,3\n2,Letter of "
                        + "response,14 January 2031,2\n");
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.files(any())).thenReturn(List.of(Pdfs.write(temp, "Letter before claim 2030-11-29", 3)));
        robot.clickOn("#stage-arrange").clickOn("#tray-addFiles");
        until(() -> workspace().bundle().tray().size() == 1);

        when(dialogs.files(any())).thenReturn(List.of(agreed));
        robot.clickOn("#agree-menu").clickOn("#agree-readIn");
        until(() -> robot.lookup("#agree-main").tryQueryAs(Button.class)
                .filter(button -> button.getText().equals("Put it in the index, as placeholders")).isPresent());
        robot.clickOn("#agree-main");
        until(() -> order().equals("Letters(Letter before claim Letter of response)"));
        until(() -> robot.lookup("#agree-main").queryAs(Button.class).getText().equals("Take the sure one"));
        robot.clickOn("#agree-main");
        until(() -> !document("Letter before claim").isPlaceholder());
        robot.push(KeyCode.ESCAPE);

        Path out = temp.resolve("out.xlsx");
        when(dialogs.saveAs(any(), any())).thenReturn(Optional.of(out));
        until(() -> robot.lookup("#agree-menu").query().isVisible());
        robot.clickOn("#agree-menu").clickOn("#agree-writeOut");
        until(() -> robot.lookup("#agree-said").queryAs(Label.class).getText().equals("Written: " + out));
        try (XSSFWorkbook workbook = new XSSFWorkbook(Files.newInputStream(out));
                OutputStream back = Files.newOutputStream(temp.resolve("back.xlsx"))) {
            workbook.getSheetAt(0).getRow(3).getCell(2).setCellValue("Letter of response, with enclosures");
            workbook.getSheetAt(0).getRow(2).getCell(6).setCellValue("agreed");
            workbook.write(back);
        }
        when(dialogs.files(any())).thenReturn(List.of(temp.resolve("back.xlsx")));
        robot.clickOn("#agree-menu").clickOn("#agree-readIn");
        until(() -> robot.lookup("#agree-main").queryAs(Button.class).getText().equals("Show what differs from ours"));
        robot.clickOn("#agree-main");
        until(() -> robot.lookup("#agree-main").queryAs(Button.class).getText().equals("Accept all 2"));
        robot.clickOn("#changes").push(KeyCode.HOME).push(KeyCode.ENTER);
        until(() -> order().equals("Letters(Letter before claim Letter of response, with enclosures)"));
        robot.clickOn("#agree-main");
        until(() -> document("Letter before claim").agreement().standing() == Agreement.Standing.AGREED);
        robot.clickOn("#agree-close");
        until(() -> texts(row(robot, "Letter before claim")).contains("Agreed"));
    }

    @Test
    void whatIsTypedGoesOnWhereItWasWhenAnotherWindowCameBetween(FxRobot robot) throws IOException {
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        robot.clickOn("#stage-arrange");
        keys(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        typed(robot, "Document to follow");
        robot.write("Rep");
        Stage other = another(robot);
        robot.interact(() -> {
            other.close();
            window.requestFocus();
        });
        until(window::isFocused);
        typed(robot, "Rep");
        robot.write("ort").push(KeyCode.ENTER);
        until(() -> order().equals("Report"));
    }

    private Stage another(FxRobot robot) {
        Stage[] other = new Stage[1];
        robot.interact(() -> {
            other[0] = new Stage();
            other[0].show();
            other[0].requestFocus();
        });
        until(() -> !window.isFocused());
        return other[0];
    }

    @Test
    void theKeyThatOpensAFieldAndIsHeldDoesNotTypeIntoIt(FxRobot robot) throws IOException {
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        robot.clickOn("#stage-arrange").press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        typed(robot, "Document to follow");
        robot.interact(() -> {
            TextField field = robot.lookup("#in-place").queryAs(TextField.class);
            Event.fireEvent(field, new KeyEvent(KeyEvent.KEY_PRESSED, "", "p", KeyCode.P, false, false, false, false));
            Event.fireEvent(field, new KeyEvent(KeyEvent.KEY_TYPED, "p", "", KeyCode.UNDEFINED, false, false, false, false));
        });
        typed(robot, "Document to follow");
        Stage other = another(robot);
        robot.release(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        robot.interact(() -> {
            other.close();
            window.requestFocus();
        });
        until(window::isFocused);
        robot.write("papers").push(KeyCode.ENTER);
        until(() -> order().equals("papers"));
    }
}
