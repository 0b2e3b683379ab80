package app.yellowtab.desktop.produce;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.LedgerFinder;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Proving the produced file, and how that stands. Knows no node. */
final class Proving {
    /** How proving stands. */
    sealed interface ProvingState {
        record Offered() implements ProvingState {}

        record Running(Jobs.Job job) implements ProvingState {}

        record Done(Proof proof) implements ProvingState {}

        record Failed(String message) implements ProvingState {}
    }

    private final Jobs jobs;
    private final Prover prover;
    private final ReadOnlyObjectWrapper<ProvingState> state =
            new ReadOnlyObjectWrapper<>(this, "state", new ProvingState.Offered());

    Proving(Jobs jobs, Prover prover) {
        this.jobs = jobs;
        this.prover = prover;
    }

    ReadOnlyObjectProperty<ProvingState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /**
     * Begins to prove produced files; when it is stopped, that is offered again.
     *
     * @param files   of one production
     * @param ledgers the folder in which ledgers are kept that do not lie beside their file
     */
    void start(List<Path> files, Path ledgers) {
        if (state.get() instanceof ProvingState.Running) return;
        Jobs.Job job = jobs.start(
                (progress, stop) -> prover.proveAll(files, LedgerFinder.find(files.getFirst(), List.of(ledgers)),
                        (done, total) -> progress.accept(
                                new Jobs.JobProgress(Words.of("produce.proving", done, total), (double) done / total)),
                        stop),
                (Optional<Proof> proof) -> state
                        .set(proof.<ProvingState>map(ProvingState.Done::new).orElseGet(ProvingState.Offered::new)),
                failure -> state.set(new ProvingState.Failed(
                        failure instanceof FindingException known ? known.getMessage() : Words.of("produce.unproved"))));
        if (jobs.running().contains(job)) state.set(new ProvingState.Running(job));
    }
}
