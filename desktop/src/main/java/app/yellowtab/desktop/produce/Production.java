package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.plan.Plan;
import java.nio.file.Path;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Producing the bundle, and how that stands. Knows no node. */
final class Production {
    /** How producing stands. */
    sealed interface State {
        record Ready() implements State {}

        record Running(Jobs.Job job) implements State {}

        record Written(Outcome.Written outcome, double seconds) implements State {}

        record Stopped() implements State {}

        record Failed(String message) implements State {}
    }

    private final Workspace workspace;
    private final Assembler assembler;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", new State.Ready());

    Production(Workspace workspace, Assembler assembler) {
        this.workspace = workspace;
        this.assembler = assembler;
    }

    ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return the file to write, unless the user says otherwise: named after the bundle, in its folder} */
    Path suggested() {
        CaseHeading heading = workspace.bundle().heading();
        String name = heading.title().isBlank() ? Words.of("produce.defaultName") : heading.title();
        String safe = name.replaceAll("[\\p{Cntrl}/\\\\:*?\"<>|]", " ").strip();
        return workspace.folder().path().resolve((safe.isEmpty() ? Words.of("produce.defaultName") : safe) + ".pdf");
    }

    /** Begins to produce the bundle as it is now; edits made meanwhile are not in it. */
    void start(Path target) {
        if (state.get() instanceof State.Running) return;
        Plan plan = workspace.plan();
        long begun = System.nanoTime();
        Jobs.Job job = workspace.jobs().start((progress, stop) -> assembler.assemble(plan, workspace.folder(), target,
                (done, total) -> progress.accept(done < total
                        ? new Jobs.State(Words.of("produce.page", done, total), (double) done / total)
                        : new Jobs.State(Words.of("produce.saving"), -1)), stop),
                outcome -> state.set(switch (outcome) {
                    case Outcome.Written written -> new State.Written(written, (System.nanoTime() - begun) / 1e9);
                    case Outcome.Stopped stopped -> new State.Stopped();
                }),
                failure -> state.set(new State.Failed(failure instanceof FindingException known ? known.getMessage()
                        : Words.of("produce.unexpected"))));
        if (workspace.jobs().running().contains(job)) state.set(new State.Running(job));
    }
}
