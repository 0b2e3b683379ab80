package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Words;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;

/** Why pages are withheld: a slip stands in the place of each. */
final class WithholdBar extends TableBar {
    private final TextField reason = new TextField();

    WithholdBar(PagesDesk desk) {
        super("withhold", Words.of("withhold.how"));
        reason.setId("withhold-reason");
        reason.setPromptText(Words.of("withhold.prompt"));
        reason.setAccessibleText(Words.of("withhold.prompt"));
        reason.setPrefColumnCount(20);
        lay(new Label(Words.of("withhold.because")), reason,
                Controls.button("withhold.do", () -> desk.withhold(Optional.of(reason.getText().strip()))),
                Controls.button("withhold.off", () -> desk.withhold(Optional.empty())));
    }

    @Override
    Node first() {
        return reason;
    }
}
