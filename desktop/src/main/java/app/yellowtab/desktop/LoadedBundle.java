package app.yellowtab.desktop;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.Recents;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.register.MatterRegister;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.LoggerFactory;

/** A bundle that was opened, and what is remembered of it. */
record LoadedBundle(BundleFolder folder, Bundle bundle, Plan plan, List<String> passwords, Optional<Recents.Recent> recent) {
    /** A network drive that does not answer keeps nobody from a bundle. */
    private static final int MOST_SECONDS = 5;

    /**
     * Plans what was opened.
     *
     * @param user the folder in which the program keeps what it remembers
     */
    static LoadedBundle of(BundleFolder.Opened opened, Path user) {
        Optional<Recents.Recent> recent =
                new Recents(user).list().stream().filter(known -> known.folder().equals(opened.folder().path())).findFirst();
        Bundle bundle = withForgotten(opened);
        return new LoadedBundle(opened.folder(), bundle, Planner.plan(bundle), new RememberedPasswords(user).list(), recent);
    }

    /** Numbers are entered in the register first: a bundle that was not saved any more then has them from there. */
    private static Bundle withForgotten(BundleFolder.Opened opened) {
        Optional<Path> register = MatterRegister.of(opened.bundle(), opened.folder().path());
        if (register.isEmpty()) return opened.bundle();
        CompletableFuture<List<MatterRegister.Span>> reading = new CompletableFuture<>();
        Thread.ofPlatform().daemon().name("register").start(() -> {
            try {
                reading.complete(MatterRegister.read(register.get()));
            } catch (FindingException | RuntimeException unreadable) {
                reading.completeExceptionally(unreadable);
            }
        });
        try {
            return caughtUp(opened.bundle(), reading.get(MOST_SECONDS, TimeUnit.SECONDS), opened.folder().id());
        } catch (ExecutionException | TimeoutException unreachable) {
            LoggerFactory.getLogger(LoadedBundle.class).warn("no register", unreachable);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return opened.bundle();
    }

    private static Bundle caughtUp(Bundle bundle, List<MatterRegister.Span> spans, String id) {
        Bundle issued = NumberEdits.issued(bundle, MatterRegister.forgotten(spans, bundle, id));
        return NumberEdits.takenBack(issued, MatterRegister.takenBack(spans, issued, id));
    }
}
