package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.work.Lookout;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.find.RedactedWords.Leak;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What still says what is redacted, as long as somebody looks; found in the background. Knows no node. For the JavaFX thread. */
public final class Leaks {
    private final Workspace workspace;
    private final Lookout<List<Leak>> lookout;

    public Leaks(Workspace workspace, BundleWords words) {
        this.workspace = workspace;
        lookout = new Lookout<>(workspace, List.of(),
                (now, far, stop) -> RedactedWords.in(now.bundle(), now.plan(), words));
    }

    public void dispose() {
        lookout.dispose();
    }

    public ReadOnlyObjectProperty<List<Leak>> foundProperty() {
        return lookout.foundProperty();
    }

    /** Looks for it from now on, or no more. */
    public void look(boolean on) {
        lookout.look(this, on);
    }

    /** Does what helps against one of them. */
    public void mend(Leak leak) {
        leak.fix().ifPresent(workspace::edit);
    }
}
