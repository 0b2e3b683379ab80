package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords.Leak;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import org.slf4j.LoggerFactory;

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
        workspace.jobs().quietly(() -> found(bundle, plan), leaks -> {
            searches = false;
            if (!looks) return;
            leaks.ifPresent(found::set);
            // It has changed meanwhile.
            if (workspace.bundle() != bundle) search();
        });
    }

    /** {@return what was found; empty where the search itself failed, so that the next can be begun} */
    private Optional<List<Leak>> found(Bundle bundle, Plan plan) {
        try {
            return Optional.of(RedactedWords.in(bundle, plan, words));
        } catch (RuntimeException | Error failure) {
            LoggerFactory.getLogger(Leaks.class).warn("not searched", failure);
            return Optional.empty();
        }
    }

    /** Does what helps against one of them. */
    public void mend(Leak leak) {
        leak.fix().ifPresent(workspace::edit);
    }
}
