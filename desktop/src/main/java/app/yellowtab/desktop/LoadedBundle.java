package app.yellowtab.desktop;

import app.yellowtab.keep.Recents;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** A bundle that was opened, and what is remembered of it. */
record LoadedBundle(BundleFolder folder, Bundle bundle, Plan plan, List<String> passwords, Optional<Recents.Recent> recent) {
    /**
     * Plans what was opened.
     *
     * @param user the folder in which the program keeps what it remembers
     */
    static LoadedBundle of(BundleFolder.Opened opened, Path user) {
        Optional<Recents.Recent> recent =
                new Recents(user).list().stream().filter(known -> known.folder().equals(opened.folder().path())).findFirst();
        return new LoadedBundle(opened.folder(), opened.bundle(), Planner.plan(opened.bundle()),
                new RememberedPasswords(user).list(), recent);
    }
}
