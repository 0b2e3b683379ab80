package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.LineEditor;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.RunningLine;
import java.util.List;
import javafx.scene.layout.VBox;

/** What a line at head or foot says. */
final class LinePanel extends VBox {
    private final LineEditor editor;

    LinePanel(NumberDesk desk) {
        super(10);
        editor = new LineEditor(desk::parts);
        getChildren().addAll(editor, editor.menu("line-put", List.of(LineField.values())),
                Controls.paragraph(Words.of("line.how"), Styles.SMALL));
    }

    void show(NumberState state) {
        editor.show(state.line().map(RunningLine::parts).orElse(List.of()));
    }
}
