package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Words;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/**
 * Every key that does something beyond typing, but for those of the stages, which {@link Stage} numbers. The help page is made
 * from this table, and the views bind from it.
 */
public enum Shortcut {
    UNDO("Shortcut+Z"), REDO("Shortcut+Shift+Z"), REDO_TOO("Shortcut+Y"),
    ADD_FILES("Shortcut+O"), ADD_FOLDER("Shortcut+Shift+O"), PASTE("Shortcut+V"), PUT_IN_INDEX("Enter"),
    NEW_SECTION("Shortcut+Shift+N"), PLACEHOLDER("Shortcut+Shift+P"), DIVIDE("Shortcut+D"), JOIN("Shortcut+J"),
    MOVE_TO("Shortcut+M"), COPY_TO("Shortcut+Shift+M"),
    RENAME("F2"), TAKE_OUT("Delete"), SELECT_ALL("Shortcut+A"),
    MOVE_UP("Alt+Up"), MOVE_DOWN("Alt+Down"), NEST("Alt+Right"), UN_NEST("Alt+Left"),
    SET_CUT("Space"), NEXT_CUT("N"), PREVIOUS_CUT("P"), SHOW_LARGE("Enter"),
    PAGES("Shortcut+L"), REDACT("Shortcut+R"), TURN_LEFT("L"), TURN_RIGHT("R"),
    GO_TO("Shortcut+G"), FIND("Shortcut+F"), COPY("Shortcut+C"), COPY_REFERENCE("Shortcut+Shift+C"), NEXT_LEAF("Page Down"),
    PREVIOUS_LEAF("Page Up"),
    HELP("F1");

    private final KeyCombination keys;

    Shortcut(String keys) {
        this.keys = KeyCombination.valueOf(keys);
    }

    public KeyCombination keys() {
        return keys;
    }

    public boolean matches(KeyEvent event) {
        return keys.match(event);
    }

    /** {@return the keys as they are printed on a keyboard} */
    public String shown() {
        return keys.getDisplayText();
    }

    /** {@return what the keys do, in plain words} */
    public String meaning() {
        return Words.of("keys." + name());
    }
}
