package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.leaf.PlannedEntry;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;

/** A text typed in its place: Enter and leaving take it over, Escape drops it, Tab goes on to the next. */
final class InPlaceField extends TextField {
    private final Arrangement arrangement;
    private final PlannedEntry entry;
    private final Field field;
    private final Consumer<Field> next;
    private boolean ended;

    InPlaceField(Arrangement arrangement, PlannedEntry entry, Field field, Consumer<Field> next) {
        super(arrangement.typedText(entry, field));
        this.arrangement = arrangement;
        this.entry = entry;
        this.field = field;
        this.next = next;
        setId("in-place");
        getStyleClass().add(Styles.IN_PLACE);
        setAccessibleText(Words.of("sheet.field." + field));
        setPromptText(Words.of("sheet.field." + field));
        addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
        focusedProperty().subscribe((before, now) -> {
            if (before && !now) leave();
        });
    }

    void begin() {
        requestFocus();
        selectAll();
    }

    private void onKey(KeyEvent event) {
        switch (event.getCode()) {
            case ENTER -> finish(arrangement::endEditing);
            case TAB -> finish(() -> next.accept(field));
            case ESCAPE -> {
                ended = true;
                arrangement.endEditing();
            }
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void finish(Runnable then) {
        if (ended) return;
        ended = true;
        Optional<String> wrong = arrangement.commit(entry, field, getText());
        if (wrong.isEmpty()) {
            then.run();
            return;
        }
        ended = false;
        getStyleClass().remove(Styles.WRONG);
        getStyleClass().add(Styles.WRONG);
        Tooltip help = new Tooltip(wrong.get());
        setTooltip(help);
        var below = localToScreen(0, getHeight() + 4);
        help.setAutoHide(true);
        help.setHideOnEscape(false);    // Escape is the field's, which closes and takes the hint along
        help.show(this, below.getX(), below.getY());
    }

    /**
     * A click elsewhere keeps what was typed, unless something is wrong with it. Where another window came before ours, it is
     * kept, too, and one types on when one is back.
     */
    private void leave() {
        if (ended) return;
        if (Controls.isWhereOneTypes(this)) {
            arrangement.commit(entry, field, getText());
            return;
        }
        ended = true;
        arrangement.commit(entry, field, getText());
        arrangement.endEditing();
    }
}
