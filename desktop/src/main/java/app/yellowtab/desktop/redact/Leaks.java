package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords.Leak;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/** What still says what is redacted, as long as somebody looks; found in the background. Knows no node. For the JavaFX thread. */
public final class Leaks {
    private final Workspace workspace;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<List<Leak>> found = new ReadOnlyObjectWrapper<>(this, "found", List.of());
    private final Subscription subscription;
    private boolean looks;
    private boolean searches;

    public Leaks(Workspace workspace, BundleWords words) {
        this.workspace = workspace;
        this.words = words;
        subscription = workspace.onPlan(plan -> search());
    }

    public void dispose() {
        looks = false;
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<List<Leak>> foundProperty() {
        return found.getReadOnlyProperty();
    }

    /** Looks for it from now on, or no more. */
    public void look(boolean on) {
        boolean begins = on && !looks;
        looks = on;
        if (begins) search();
    }

    private void search() {
        if (!looks || searches) return;
        searches = true;
        Bundle bundle = workspace.bundle();
        Plan plan = workspace.plan();
        workspace.jobs().quietly(() -> RedactedWords.in(bundle, plan, words), leaks -> {
            searches = false;
            if (!looks) return;
            found.set(leaks);
            searchIfChanged(bundle);
        }, failure -> {
            searches = false;
            searchIfChanged(bundle);
        });
    }

    private void searchIfChanged(Bundle searched) {
        if (workspace.bundle() != searched) search();
    }

    /** Does what helps against one of them. */
    public void mend(Leak leak) {
        leak.fix().ifPresent(workspace::edit);
    }
}
