package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Words;
import javafx.scene.input.KeyCombination;
import org.kordamp.ikonli.feather.Feather;

/** A stage of the work, in their order; each is one screen, and each is reached by Ctrl and its number. */
public enum Stage {
    GATHER(Feather.INBOX, Beside.NOTHING), CUT(Feather.SCISSORS, Beside.NOTHING), ARRANGE(Feather.LIST, Beside.READER),
    NUMBER(Feather.HASH, Beside.FORE_EDGE), PRODUCE(Feather.FILE_TEXT, Beside.READER);

    /** What stands beside a stage of the page in view. */
    public enum Beside {
        /** It has pages of its own to look at, which have no number yet. */
        NOTHING,
        /** The page itself is in the middle. */
        FORE_EDGE,
        /** The fore-edge, and the page in the reader. */
        READER
    }

    private final Feather icon;
    private final Beside beside;

    Stage(Feather icon, Beside beside) {
        this.icon = icon;
        this.beside = beside;
    }

    public Feather icon() {
        return icon;
    }

    public Beside beside() {
        return beside;
    }

    public KeyCombination keys() {
        return KeyCombination.valueOf("Shortcut+" + (ordinal() + 1));
    }

    /** {@return what it is called on the screen} */
    public String shown() {
        return Words.of("stage." + name());
    }
}
