package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.work.Lookout;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.Recurrences.Recurrence;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.find.RedactedWords.Leak;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.page.Spared;
import java.util.List;
import java.util.function.BiFunction;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What still says what is redacted, as long as somebody looks; found in the background. Knows no node. For the JavaFX thread. */
public final class Leaks {
    private final Workspace workspace;
    private final Lookout<RedactedWords.Found> lookout;

    public Leaks(Workspace workspace, BundleWords words) {
        this.workspace = workspace;
        lookout = new Lookout<>(workspace, RedactedWords.Found.NOTHING,
                (now, far, stop) -> RedactedWords.in(now.bundle(), now.plan(), words, stop));
    }

    public void dispose() {
        lookout.dispose();
    }

    public ReadOnlyObjectProperty<RedactedWords.Found> foundProperty() {
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

    /** Redacts words as they are redacted elsewhere. */
    void redact(List<Recurrence> all) {
        edit(all, (now, one) -> Redacting.redactedLike(now, one.page(), one.areas(), one.like()));
    }

    /** Leaves words to be seen, for a reason. */
    void leave(List<Recurrence> all, String reason) {
        edit(all, (now, one) -> Redacting.spared(now, one.page(),
                one.areas().stream().map(area -> new Spared(area, one.words(), reason)).toList()));
    }

    /** Takes back that words are left to be seen. */
    void decideAnew() {
        edit(foundProperty().get().recurrences().all(),
                (now, one) -> one.isDecided() ? Redacting.undecided(now, one.page(), one.spared()) : now);
    }

    private void edit(List<Recurrence> all, BiFunction<Bundle, Recurrence, Bundle> change) {
        workspace.editSoon("edit.repeated", bundle -> {
            Bundle now = bundle;
            for (Recurrence one : all) now = change.apply(now, one);
            return now;
        });
    }

    /** Shows the page on which words stand. */
    void show(Recurrence one) {
        workspace.goTo(one.leaf());
    }
}
