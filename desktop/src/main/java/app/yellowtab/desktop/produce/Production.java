package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.deliver.BundleSets;
import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.deliver.Producing;
import app.yellowtab.deliver.VolumeCheck;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.VolumeEdits;
import app.yellowtab.files.FileNames;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Volumes;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.SetsProof;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Producing the bundle, and how that stands. Knows no node. */
final class Production {
    /** How producing stands. */
    sealed interface ProductionState {
        record Ready() implements ProductionState {}

        record Running(Jobs.Job job) implements ProductionState {}

        /**
         * @param delivery which leaves are in which file
         * @param paper    the files of the set that is printed; empty where none was asked for
         * @param findings beside those of the outcome
         */
        record Written(Outcome.Written outcome, Delivery delivery, double seconds, Optional<PaperFiles> paper,
                List<Finding> findings)
                implements ProductionState {
            public Written {
                findings = List.copyOf(findings);
            }
        }

        record Stopped() implements ProductionState {}

        /** @param mayGoOn whether it can be produced all the same */
        record Failed(String message, boolean mayGoOn) implements ProductionState {}
    }

    /**
     * What a bundle is produced in spite of.
     *
     * @param telling that something other than words on pages still says what is redacted
     * @param large   that a volume will be larger than asked for
     */
    record Consent(boolean telling, boolean large) {
        static final Consent NONE = new Consent(false, false);
    }

    private final Workspace workspace;
    private final Assembler assembler;
    private final PageRenderer renderer;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<ProductionState> state =
            new ReadOnlyObjectWrapper<>(this, "state", new ProductionState.Ready());

    /** @param words of the bundle */
    Production(Workspace workspace, Assembler assembler, PageRenderer renderer, BundleWords words) {
        this.words = words;
        this.workspace = workspace;
        this.renderer = renderer;
        this.assembler = assembler;
    }

    ReadOnlyObjectProperty<ProductionState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return the file to write, unless the user says otherwise: named after the bundle, in its folder} */
    Path suggested() {
        CaseHeading heading = workspace.bundle().heading();
        String name = heading.title().isBlank() ? Words.of("produce.defaultName") : heading.title();
        return workspace.folder().path().resolve(FileNames.safe(name) + ".pdf");
    }

    /**
     * What the work came to.
     *
     * @param kept what is to be remembered of it
     */
    private record Done(Outcome outcome, Delivery delivery, Optional<PaperFiles> paper, List<Finding> findings,
            UnaryOperator<Bundle> kept) {}

    /**
     * Begins to produce the bundle as it is now; edits made meanwhile are not in it. Words on pages that are redacted elsewhere
     * must be decided before.
     *
     * @param consent what it is produced in spite of
     * @param beside whether its ledger goes beside it; otherwise into the bundle folder
     */
    void start(Path target, BundleSets sets, Consent consent, boolean beside) {
        if (state.get() instanceof ProductionState.Running) return;
        Bundle bundle = workspace.bundle();
        long begun = System.nanoTime();
        Jobs.Job job = workspace.jobs().start((progress, stop) -> produce(bundle, target, sets, consent, beside, progress, stop),
                done -> {
                    if (done.outcome() instanceof Outcome.Written written) {
                        workspace.learn(done.kept());
                        state.set(new ProductionState.Written(written, done.delivery(), (System.nanoTime() - begun) / 1e9,
                                done.paper(),
                                done.findings()));
                    } else {
                        state.set(new ProductionState.Stopped());
                    }
                },
                failure -> state.set(failure instanceof FindingException known
                        ? new ProductionState.Failed(known.getMessage(), VolumeCheck.isOf(known.finding()))
                        : new ProductionState.Failed(Words.of("produce.unexpected"), false)));
        if (workspace.jobs().running().contains(job)) state.set(new ProductionState.Running(job));
    }

    private Done produce(Bundle bundle, Path target, BundleSets sets, Consent consent, boolean beside,
            Consumer<Jobs.JobProgress> progress,
            BooleanSupplier stop)
            throws IOException {
        LocalDateTime now = LocalDateTime.now();
        progress.accept(new Jobs.JobProgress(Words.of("produce.lookingRedacted"), -1));
        RedactedWords.in(bundle, Planner.plan(bundle, now), words, stop).refuseUndecided(consent.telling(), target);
        LedgerPlace ledgers =
                beside ? LedgerPlace.BESIDE : new LedgerPlace.House(BundleFolder.produced(workspace.folder().path()), now);
        Producing.Produced produced = new Producing(assembler, workspace.folder(),
                (done, total) -> report(done, total, "produce.weighing", progress),
                (done, total) -> report(done, total, "produce.page", progress), stop)
                .produce(bundle, sets, now, target, ledgers, consent.large());
        Outcome outcome = produced.outcome();
        Volumes volumes = bundle.layout().volumes();
        UnaryOperator<Bundle> kept = later -> VolumeEdits.kept(later, volumes, produced.starts());
        if (!sets.hasPaper() || !(outcome instanceof Outcome.Written written))
            return new Done(outcome, produced.delivery(), Optional.empty(), List.of(), kept);
        PaperFiles files = PaperFiles.beside(target);
        files.writeOthers(bundle, produced.delivery().files().getLast().plan(), renderer,
                (done, total) -> report(done, total, "produce.colour", progress), stop);
        if (stop.getAsBoolean())
            return new Done(new Outcome.Stopped(0), produced.delivery(), Optional.empty(), List.of(), UnaryOperator.identity());
        Path ledger = written.ledger().orElseThrow();
        return new Done(outcome, produced.delivery(), Optional.of(files),
                sets == BundleSets.BOTH ? SetsProof.prove(ledger, files.file(), ledger) : List.of(), kept);
    }

    private static void report(int done, int total, String key, Consumer<Jobs.JobProgress> progress) {
        progress.accept(done < total ? new Jobs.JobProgress(Words.of(key, done, total), (double) done / total)
                : new Jobs.JobProgress(Words.of("produce.saving"), -1));
    }
}
