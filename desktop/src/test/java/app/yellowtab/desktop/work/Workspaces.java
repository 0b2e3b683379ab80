package app.yellowtab.desktop.work;

import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.util.concurrent.Executor;

/** Workspaces without a window. */
public final class Workspaces {
    private Workspaces() {}

    /** {@return one in which all is done at once, and nothing is saved} */
    public static Workspace of(BundleFolder folder, Bundle start) {
        return of(folder, start, saved -> {}, Runnable::run);
    }

    /** @param background runs what is not for the JavaFX thread */
    public static Workspace of(BundleFolder folder, Bundle start, Autosave.Saver saver, Executor background) {
        return new Workspace(folder, start, Planner.plan(start), new Autosave(saver, Runnable::run, Runnable::run),
                new Jobs(background, Runnable::run));
    }
}
