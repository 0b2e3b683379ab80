package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A user at the screen where files are gathered, and with the sample matter. */
class GatherWindowTests extends AtTheWindow {
    @Start
    void begin(Stage stage) throws IOException {
        start(stage);
    }

    /** Begins a new bundle at the Gather screen, with a folder of files of many kinds to be added. */
    private void gather(FxRobot robot) throws IOException {
        Path files = Files.createDirectories(temp.resolve("From the client"));
        Path letters = Files.createDirectories(files.resolve("B - Letters"));
        Path plain = Pdfs.write(letters, "lease", 2);
        Files.copy(plain, letters.resolve("lease, copy.pdf"));
        Pdfs.write(files, "terms", 3, document -> {
            try {
                document.protect(new StandardProtectionPolicy("owner", "orchard", new AccessPermission()));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        new WordFile(WordFile.p("Dear Idris") + WordFile.p("<w:pageBreakBefore/>", "second page")).write(files,
                "Letter 4 March 2031.docx");
        Files.write(files.resolve("film.mov"), new byte[] {0, 0, 0, 20, 'f', 't', 'y', 'p', 'q', 't', ' ', ' '});
        when(dialogs.folder(any())).thenReturn(Optional.of(files));
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        assertThat(robot.lookup("#gathered").queryListView().getItems()).isEmpty();
        robot.clickOn("#gather-addFolder");
        until(() -> workspace().bundle().sources().size() == 5);
    }

    private List<String> gathered(FxRobot robot) {
        return robot.lookup("#gathered .list-cell").queryAll().stream()
                .filter(cell -> !((ListCell<?>) cell).isEmpty() && cell.isVisible())
                .sorted(Comparator.comparingDouble(Node::getLayoutY))
                .map(cell -> String.join(" | ", texts(cell).stream().filter(words -> !words.isBlank()).toList())).toList();
    }

    private void choose(FxRobot robot, String title) {
        robot.clickOn(robot.lookup("#gathered .list-cell .label").queryAllAs(Label.class).stream()
                .filter(label -> label.getText().equals(title)).findFirst().orElseThrow());
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void whatIsGatheredIsKnownAtAGlance(FxRobot robot) throws IOException {
        gather(robot);
        until(() -> gathered(robot).size() == 5);
        assertThat(gathered(robot)).containsExactly("film | no pages (video)",
                "Letter | Word document  ·  2 pages | 4 Mar 2031 | from its name",
                "terms | cannot be read: locked with a password",
                "lease, copy | the same file twice  ·  PDF  ·  2 pages", "lease | the same file twice  ·  PDF  ·  2 pages");
        robot.clickOn("#filter-UNREAD");
        until(() -> gathered(robot).size() == 2);
        robot.clickOn("#filter-ALL").clickOn("#gather-search").write("lea");
        until(() -> gathered(robot).size() == 2);
    }

    @Test
    void aPasswordIsTypedOnceAndTheFileIsThere(FxRobot robot) throws IOException {
        gather(robot);
        choose(robot, "terms");
        robot.clickOn("#glance-password").write("wrong").push(KeyCode.ENTER);
        until(() -> robot.lookup("#glance .small").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().contains("does not open it")));
        robot.clickOn("#glance-password").push(KeyCode.SHORTCUT, KeyCode.A).write("orchard").push(KeyCode.ENTER);
        until(() -> gathered(robot).stream().anyMatch(row -> row.startsWith("terms | PDF  ·  3 pages")));
    }

    @Test
    void titlesAreTypedFoldersBecomeSectionsAndUndoTakesTheIntakeBack(FxRobot robot) throws IOException {
        gather(robot);
        choose(robot, "Letter");
        robot.push(KeyCode.F2).push(KeyCode.SHORTCUT, KeyCode.A).write("Letter before claim").push(KeyCode.ENTER);
        until(() -> gathered(robot).stream().anyMatch(row -> row.startsWith("Letter before claim | ")));
        robot.clickOn("#gather-offer-make");
        until(() -> order().equals("From the client(Letter before claim Letters(lease, copy lease))"));
        choose(robot, "lease");
        robot.clickOn("#glance-keepBoth");
        until(() -> gathered(robot).stream().noneMatch(row -> row.contains("the same file twice")));
        choose(robot, "film");
        robot.clickOn("#gather-put");
        until(() -> order().startsWith("film"));
        for (int i = 0; i < 6; i++) robot.push(KeyCode.SHORTCUT, KeyCode.Z);
        until(() -> workspace().bundle().sources().isEmpty());
    }

    @Test
    void theKeyboardStaysWhereItIsWhileTitlesAreTyped(FxRobot robot) throws IOException {
        robot.interact(() -> desk.create(temp.resolve("bundle"), "Trial bundle"));
        until(() -> desk.workspace().isPresent());
        when(dialogs.files(any())).thenReturn(List.of(Pdfs.write(temp, "one", 1), Pdfs.write(temp, "two", 1)));
        robot.clickOn("#gather-addFiles");
        until(() -> workspace().bundle().sources().size() == 2);
        choose(robot, "one");
        until(() -> robot.lookup("#glance-title").tryQuery().isPresent());
        robot.clickOn("#glance-title").push(KeyCode.SHORTCUT, KeyCode.A).write("Lease").push(KeyCode.TAB);
        until(() -> workspace().bundle().sources().getFirst().proposedTitle().equals("Lease"));
        until(() -> robot.lookup("#glance-date").query().isFocused());
        robot.write("4 March 2031");
        choose(robot, "two");
        until(() -> workspace().bundle().sources().getFirst().proposedDate().shown().equals("4 Mar 2031"));
        assertThat(workspace().bundle().sources().get(1).proposedDate().shown()).isEmpty();
        assertThat(robot.lookup("#glance-title").queryAs(TextField.class).getText()).isEqualTo("two");
    }

    @Test
    void theSampleMatterIsMadeWhileItIsOpenAndGoesOnWhereItWasLeft(FxRobot robot) {
        until(() -> robot.lookup("#start-sample").tryQuery().isPresent());
        robot.clickOn("#start-sample");
        until(() -> desk.workspace().isPresent());
        assertThat(workspace().bundle().heading().shortName()).as("its heading is there at once").startsWith("Tarn Hollow");
        until(() -> !workspace().bundle().sources().isEmpty());
        robot.interact(() -> workspace().edit(bundle -> bundle.withHeading(bundle.heading().withTitle("Bundle of my own"))));
        robot.interact(desk::leave);
        until(() -> desk.workspace().isEmpty() && robot.lookup("#start-sample").tryQuery().isPresent());
        robot.clickOn("#start-sample");
        until(() -> desk.workspace().isPresent());
        until(() -> jobs.running().isEmpty() && workspace().bundle().sources().size() > 60);
        assertThat(workspace().bundle().heading().title()).as("what was done meanwhile stays").isEqualTo("Bundle of my own");
        assertThat(workspace().bundle().sources()).as("nothing came in twice").hasSize(70);
        assertThat(workspace().plan().documentCount()).isGreaterThan(30);
        assertThat(robot.lookup("#tray").queryListView().getItems()).hasSize(35);
        robot.push(KeyCode.F1);
        until(() -> robot.lookup("#help-close").query().isVisible());
        robot.push(KeyCode.ESCAPE);
        until(() -> !robot.lookup(".overlay").query().isVisible());
    }
}
