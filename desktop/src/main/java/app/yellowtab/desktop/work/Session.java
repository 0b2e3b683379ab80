package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.keep.Templates;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;

/**
 * An open bundle while one works on it: its state, what serves it, its jobs, and the edits that are being worked out. Made anew
 * when it is shown again. For the JavaFX thread.
 */
public final class Session {
    private final Workspace workspace;
    private final Kept kept;
    private final Around around;
    private final Intakes intakes;
    private final Recognising recognising;

    /** What is kept for the user beside the bundles. */
    public record Kept(RememberedPasswords passwords, KeptRules rules, NumberPresets presets, KeptReference reference,
            Templates templates) {
        /** {@return what is kept in the folder of a user} */
        public static Kept in(Path userFolder) {
            return new Kept(new RememberedPasswords(userFolder), new KeptRules(userFolder), new NumberPresets(userFolder),
                    new KeptReference(userFolder), new Templates(userFolder));
        }
    }

    /** What the program asks of the system around it. */
    public record Around(FileDialogs dialogs, Opener opener, Recognising.Engines engines) {}

    public Session(Workspace workspace, Kept kept, Around around) {
        this.workspace = workspace;
        this.kept = kept;
        this.around = around;
        this.intakes = new Intakes(workspace, kept.passwords());
        this.recognising = new Recognising(workspace, around.engines());
        workspace.jobs().onFailure(failure -> workspace.findings().add(new Finding(Code.NOT_WORKED_OUT,
                new Subject.OfThing(Words.of("edit.background")), failure.getClass().getSimpleName())));
    }

    public Workspace workspace() {
        return workspace;
    }

    public Jobs jobs() {
        return workspace.jobs();
    }

    public Kept kept() {
        return kept;
    }

    public FileDialogs dialogs() {
        return around.dialogs();
    }

    public Opener opener() {
        return around.opener();
    }

    public Intakes intakes() {
        return intakes;
    }

    public Recognising recognising() {
        return recognising;
    }

    /**
     * Asks all jobs to stop, and waits for them and for the edits that are being worked out, those included that come of jobs.
     *
     * @return completed on the JavaFX thread, when nothing is under way any more
     */
    public CompletableFuture<@Nullable Void> ended() {
        List<Jobs.Job> running = List.copyOf(jobs().running());
        running.forEach(Jobs.Job::stop);
        return CompletableFuture.allOf(running.stream().map(Jobs.Job::ended).toArray(CompletableFuture[]::new))
                .thenCompose(ended -> workspace.settled());
    }

    /** {@return whether anything is under way that closing has to wait for} */
    public boolean isBusy() {
        return !jobs().running().isEmpty() || !workspace.underWay().isEmpty();
    }

    public void dispose() {
        recognising.dispose();
    }
}
