package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.Volumes.Division;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.filespecification.PDComplexFileSpecification;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionRemoteGoTo;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The set for the screen divided into volumes, at the real window. */
class VolumesWindowTests extends AtTheWindow {
    @Start
    @Override
    void start(Stage stage) throws IOException {
        super.start(stage);
    }

    private static void toEnd(FxRobot robot) {
        robot.interact(() -> {
            Node above = robot.lookup("#produce-start").query();
            while (!(above instanceof ScrollPane)) above = above.getParent();
            ((ScrollPane) above).layout();
            ((ScrollPane) above).setVvalue(1);
        });
    }

    @Test
    void volumesAreChosenProducedProvedAndKept(FxRobot robot) throws IOException {
        open(robot, app.yellowtab.desktop.work.Stage.PRODUCE,
                bundle -> bundle.withContents(new Contents(bundle.sources().stream().map(Document::of).toList(), List.of())),
                Pdfs.write(temp, "P", 3), Pdfs.write(temp, "Q", 3), Pdfs.write(temp, "R", 2));
        toEnd(robot);
        ChoiceBox<Division> by = robot.lookup("#volumes-by").query();
        robot.interact(() -> by.setValue(Division.PAGES));
        Spinner<Integer> most = robot.lookup("#volumes-most").query();
        toEnd(robot);
        robot.interact(() -> most.getEditor().requestFocus());
        robot.interact(() -> most.getEditor().setText("7")).push(KeyCode.ENTER);
        until(() -> workspace().plan().parting().volumes().size() == 2);
        assertThat(jobs.running()).as("Enter takes the number, and produces nothing").isEmpty();
        assertThat(((Label) robot.lookup("#volumes-sum").query()).getText())
                .isEqualTo("Volume 1 of 2, pages 3–5\nVolume 2 of 2, pages 6–10");
        toEnd(robot);
        robot.clickOn("#produce-start");
        Path one = temp.resolve("bundle/Trial bundle (volume 1).pdf");
        until(() -> Files.exists(one) && jobs.running().isEmpty() && robot.lookup("#produce-prove").tryQuery().isPresent());
        assertThat(workspace().bundle().layout().volumes().kept()).as("where they began is kept").hasSize(2);
        toEnd(robot);
        robot.clickOn("#produce-prove");
        until(() -> robot.lookup(node -> node instanceof Label label && label.getText().equals("12 pages proved")).tryQuery()
                .isPresent());
        try (PDDocument first = Loader.loadPDF(one.toFile())) {
            List<String> across = new ArrayList<>();
            for (PDAnnotation link : first.getPage(1).getAnnotations())
                if (((PDAnnotationLink) link).getAction() instanceof PDActionRemoteGoTo to)
                    across.add(((PDComplexFileSpecification) to.getFile()).getFileUnicode());
            assertThat(across).as("the rows of Q and R").hasSize(2).allMatch(name -> Files.exists(one.resolveSibling(name)));
        }
    }
}
