package app.yellowtab.desktop.table;

import app.yellowtab.deliver.PageName;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;

/** How pages are saved as files, and what was saved, to be dragged to where it is wanted. */
final class SaveBar extends TableBar {
    /** In how many files. */
    private enum As { ONE, EACH }

    private final ChoiceBox<As> as = choice("save-as", List.of(As.values()));
    private final TextField name = new TextField(PageName.USUAL.words());
    private final Label drag = Controls.label("", Styles.CHIP);
    private List<Path> saved = List.of();

    SaveBar(PagesWork work, FileDialogs dialogs) {
        super("save", "");
        CheckBox numbered = new CheckBox(Words.of("save.numbered"));
        numbered.setId("save-numbered");
        numbered.setSelected(true);
        CheckBox takesOut = new CheckBox(Words.of("save.takeOut"));
        takesOut.setId("save-takeOut");
        name.setId("save-name");
        name.setAccessibleText(Words.of("save.name"));
        name.setPrefColumnCount(16);
        MenuButton gaps = new MenuButton(Words.of("save.gaps"));
        gaps.setId("save-gaps");
        for (String gap : PageName.GAPS) {
            MenuItem item = new MenuItem(Words.of("save.gap." + gap.replaceAll("[\\[\\] ]", "")));
            item.setOnAction(event -> name.replaceSelection(gap));
            gaps.getItems().add(item);
        }
        HBox names = new HBox(6, new Label(Words.of("save.called")), name, gaps);
        names.setAlignment(Pos.CENTER_LEFT);
        as.valueProperty().subscribe(how -> Controls.show(names, how == As.EACH));
        drag.setId("save-drag");
        drag.setOnDragDetected(event -> {
            ClipboardContent content = new ClipboardContent();
            content.putFiles(saved.stream().map(Path::toFile).toList());
            drag.startDragAndDrop(TransferMode.COPY).setContent(content);
            event.consume();
        });
        show(List.of());
        lay(new Label(Words.of("save.these")), as, names, numbered, takesOut, Controls.button("save.do", () -> {
            if (!work.hasChosen()) {
                say(Words.of("save.none"));
                return;
            }
            boolean each = as.getValue() == As.EACH;
            var target = each ? dialogs.folder(Words.of("save.folder")) : dialogs.saveAs(Words.of("save.file"), work.suggested());
            target.ifPresent(to -> work.save(
                    new PagesWork.Saving(each, numbered.isSelected(), takesOut.isSelected(), new PageName(name.getText())), to,
                    this::show, this::say));
        }), drag);
    }

    private void show(List<Path> files) {
        saved = List.copyOf(files);
        drag.setText(Words.of("save.drag", files.size()));
        Controls.show(drag, !files.isEmpty());
    }

    @Override
    Node first() {
        return as;
    }
}
