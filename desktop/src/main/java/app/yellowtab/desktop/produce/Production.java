package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.produce.PaperChoices.Sets;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.SetsProof;
import app.yellowtab.sets.Output;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Producing the bundle, and how that stands. Knows no node. */
final class Production {
    /** How producing stands. */
    sealed interface State {
        record Ready() implements State {}

        record Running(Jobs.Job job) implements State {}

        /**
         * @param paper    the files of the set that is printed; empty where none was asked for
         * @param findings beside those of the outcome
         */
        record Written(Outcome.Written outcome, double seconds, Optional<PaperFiles> paper, List<Finding> findings)
                implements State {
            public Written {
                findings = List.copyOf(findings);
            }
        }

        record Stopped() implements State {}

        record Failed(String message) implements State {}
    }

    private final Workspace workspace;
    private final Assembler assembler;
    private final PageRenderer renderer;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", new State.Ready());

    Production(Workspace workspace, Assembler assembler, PageRenderer renderer) {
        this.workspace = workspace;
        this.renderer = renderer;
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

    /** What the work came to. */
    private record Done(Outcome outcome, Optional<PaperFiles> paper, List<Finding> findings) {}

    /** Begins to produce the bundle as it is now; edits made meanwhile are not in it. */
    void start(Path target, Sets sets) {
        if (state.get() instanceof State.Running) return;
        Bundle bundle = workspace.bundle();
        long begun = System.nanoTime();
        Jobs.Job job = workspace.jobs().start((progress, stop) -> produce(bundle, target, sets, progress, stop),
                done -> state.set(switch (done.outcome()) {
                    case Outcome.Written written ->
                            new State.Written(written, (System.nanoTime() - begun) / 1e9, done.paper(), done.findings());
                    case Outcome.Stopped stopped -> new State.Stopped();
                }),
                failure -> state.set(new State.Failed(failure instanceof FindingException known ? known.getMessage()
                        : Words.of("produce.unexpected"))));
        if (workspace.jobs().running().contains(job)) state.set(new State.Running(job));
    }

    private Done produce(Bundle bundle, Path target, Sets sets, Consumer<Jobs.State> progress, BooleanSupplier stop)
            throws IOException {
        LocalDateTime now = LocalDateTime.now();
        Optional<Outcome> screen = Optional.empty();
        if (sets != Sets.PAPER) {
            Plan plan = Planner.plan(bundle, now);
            screen = Optional.of(assembler.assemble(plan, workspace.folder(), target,
                    (done, total) -> report(done, total, "produce.page", progress), stop));
            if (sets == Sets.SCREEN || screen.get() instanceof Outcome.Stopped)
                return new Done(screen.get(), Optional.empty(), List.of());
        }
        PaperFiles files = PaperFiles.beside(target);
        Plan plan = Planner.paper(bundle, now);
        Outcome paper = assembler.assemble(plan, Output.paper(plan), workspace.folder(), files.file(),
                (done, total) -> report(done, total, "produce.paperPage", progress), stop);
        if (paper instanceof Outcome.Stopped) return new Done(paper, Optional.empty(), List.of());
        files.writeOthers(bundle, plan, renderer, (done, total) -> report(done, total, "produce.colour", progress), stop);
        if (stop.getAsBoolean()) return new Done(new Outcome.Stopped(0), Optional.empty(), List.of());
        return new Done(screen.orElse(paper), Optional.of(files),
                screen.isPresent() ? SetsProof.prove(target, files.file()) : List.of());
    }

    private static void report(int done, int total, String key, Consumer<Jobs.State> progress) {
        progress.accept(done < total ? new Jobs.State(Words.of(key, done, total), (double) done / total)
                : new Jobs.State(Words.of("produce.saving"), -1));
    }
}
