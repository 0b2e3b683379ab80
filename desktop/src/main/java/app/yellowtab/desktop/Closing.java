package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.start.WaitingView;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Session;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * Closes a bundle: what is under way is stopped or waited for, then the last changes are saved. Should it take long, one is
 * asked, with the names of what would be lost; should saving fail, one may stay. For the JavaFX thread.
 */
final class Closing {
    /** So long what is under way may take before one is offered not to wait for it. */
    private static final Duration PATIENCE = Duration.seconds(8);

    private final DeskWindow window;
    private final OpenBundle bundle;

    Closing(DeskWindow window, OpenBundle bundle) {
        this.window = window;
        this.bundle = bundle;
    }

    /**
     * Begins to close.
     *
     * @param closed comes next when all is saved, or given up
     * @param stays  comes next where it could not be saved and the user stays
     */
    void begin(Runnable closed, Runnable stays) {
        Session session = bundle.session();
        boolean waits = session.isBusy();
        CompletableFuture<@Nullable Void> ended = session.ended();
        bundle.shell().dispose();
        WaitingView waiting = WaitingView.of(waits ? "close.stopping" : "close.saving", bundle.name());
        window.show(waiting, Words.of("app.name"));
        PauseTransition patience = new PauseTransition(PATIENCE);
        patience.setOnFinished(event -> {
            List<String> names = session.workspace().underWay();
            if (!names.isEmpty()) waiting.say(Words.of("close.underWay", String.join(", ", names)));
            waiting.offer("close.now", () -> ended.complete(null));
        });
        patience.play();
        ended.whenComplete((nothing, failure) -> Platform.runLater(() -> {
            patience.stop();
            bundle.autosave().finish(state -> {
                if (state instanceof Autosave.SaveState.Failed failed && !window.isGivenUp(failed)) stays.run();
                else closed.run();
            });
        }));
    }

    /** The window is gone without having asked, such as when the session ends: saves what can be saved. */
    void atOnce() {
        bundle.shell().dispose();
        bundle.session().jobs().running().forEach(Jobs.Job::stop);
        bundle.saving().shutdown();
        try {
            bundle.saving().awaitTermination(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        bundle.workspace().folder().close();
    }
}
