package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.page.ToSheet;
import app.yellowtab.model.page.Sheet;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;

/** Which sheets pages are brought to. */
final class PaperBar extends TableBar {
    private static final double PERCENT = 100;

    /** A size of sheets. */
    private enum Size {
        A4(Sheet.A4), LETTER(ToSheet.LETTER);

        private final Sheet sheet;

        Size(Sheet sheet) {
            this.sheet = sheet;
        }
    }

    private final ChoiceBox<Size> size = choice("paper-size", List.of(Size.values()));

    PaperBar(PagesWork work) {
        super("paper", Words.of("paper.how"));
        CheckBox enlarges = new CheckBox(Words.of("paper.enlarge"));
        enlarges.setId("paper-enlarge");
        CheckBox drawings = new CheckBox(Words.of("paper.drawings"));
        drawings.setId("paper-drawings");
        lay(new Label(Words.of("paper.bring")), size, enlarges, drawings, Controls.button("paper.do", () -> {
            if (!work.hasChosen()) {
                say(Words.of("paper.none"));
                return;
            }
            work.toSheet(size.getValue().sheet, enlarges.isSelected(), drawings.isSelected(),
                    fitted -> say(Words.of("paper.done", fitted.brought())
                            + (fitted.least() < 1 ? " " + Words.of("paper.least", Math.floor(fitted.least() * PERCENT)) : "")
                            + (fitted.left() > 0 ? " " + Words.of("paper.left", fitted.left()) : "")));
        }), Controls.button("paper.off", () -> {
            work.sheetOff();
            say("");
        }));
    }

    @Override
    Node first() {
        return size;
    }
}
