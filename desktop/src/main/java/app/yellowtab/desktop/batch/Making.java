package app.yellowtab.desktop.batch;

import app.yellowtab.cut.Pieces;
import app.yellowtab.deliver.CutReport;
import app.yellowtab.deliver.NewBundle;
import app.yellowtab.deliver.PieceFiles;
import app.yellowtab.deliver.Wanted;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.files.FileNames;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Making something of the pieces of batches, and how that stands. Knows no node. */
public final class Making {
    /** How it stands. */
    public sealed interface MakingState {
        record Ready() implements MakingState {}

        record Running(Jobs.Job job) implements MakingState {}

        /**
         * It is done, or was stopped.
         *
         * @param folders where files were written
         */
        record Done(List<CutReport> reports, List<Path> folders, boolean isWhole, List<Finding> findings)
                implements MakingState {}

        /**
         * Nothing was written: the pieces would still say what is redacted in the bundle.
         *
         * @param goOn writes them all the same
         */
        record Undecided(List<Finding> findings, Runnable goOn) implements MakingState {
            public Undecided {
                findings = List.copyOf(findings);
            }
        }

        /** Something went wrong; what was written before is in the folders. */
        record Failed(String message) implements MakingState {}
    }

    /**
     * What becomes of the pieces.
     *
     * @param documents where they are put as documents, batch by batch; empty for no documents
     * @param where     the same in words
     * @param replaced  whether documents that were made before, and that nobody has changed, go
     * @param newBundle where a bundle is begun with the documents; empty where they become documents of this one
     * @param folder    where a folder is made for each batch; empty where nothing is written
     * @param written   what is written there
     */
    public record Choice(Optional<Function<Shown, PiecePlace>> documents, Function<Shown, List<String>> where, boolean replaced,
            Optional<Path> newBundle, Optional<Path> folder, Wanted written) {}

    private final Workspace workspace;
    private final ReadOnlyObjectWrapper<MakingState> state = new ReadOnlyObjectWrapper<>(this, "state", new MakingState.Ready());

    public Making(Workspace workspace) {
        this.workspace = workspace;
    }

    public ReadOnlyObjectProperty<MakingState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Takes the report away. */
    public void reset() {
        if (!(state.get() instanceof MakingState.Running)) state.set(new MakingState.Ready());
    }

    /**
     * Begins to make what is wanted of batches as they are cut now: files first, and when they are there, the documents in one
     * step.
     */
    public void start(List<Shown> batches, Choice choice) {
        start(batches, choice, false);
    }

    private void start(List<Shown> batches, Choice choice, boolean goOn) {
        if (state.get() instanceof MakingState.Running || batches.isEmpty()) return;
        if (choice.folder().isEmpty() && choice.newBundle().isEmpty()) {
            done(batches, choice, new MakingState.Done(
                    batches.stream().map(shown -> report(workspace.bundle(), shown, choice)).toList(), List.of(), true,
                    List.of()));
            return;
        }
        Bundle bundle = workspace.bundle();
        Jobs.Job job = workspace.jobs().start((progress, stop) -> {
            List<Finding> leaks = goOn ? List.of() : leaks(batches, choice, bundle, progress, stop);
            return leaks.isEmpty() ? write(batches, choice, bundle, progress, stop)
                    : new MakingState.Undecided(leaks, () -> start(batches, choice, true));
        }, made -> {
            if (made instanceof MakingState.Done written) done(batches, choice, written);
            else state.set(made);
        },
                failure -> state.set(new MakingState.Failed(
                        failure instanceof FindingException known ? known.getMessage() : Words.of("cut.unexpected"))));
        if (workspace.jobs().running().contains(job)) state.set(new MakingState.Running(job));
    }

    /** What is redacted and withheld in the bundle is so in the pieces too. */
    private static CutReport report(Bundle bundle, Shown shown, Choice choice) {
        return new CutReport(shown.sources(), Redacting.alsoIn(bundle, shown.batch()), shown.cutting(), shown.names(),
                choice.documents().isPresent() ? choice.where().apply(shown) : List.of(), List.of());
    }

    /** {@return where files of pieces would still say what is redacted in the bundle} */
    private List<Finding> leaks(List<Shown> batches, Choice choice, Bundle bundle, Consumer<Jobs.JobProgress> progress,
            BooleanSupplier stop) {
        progress.accept(new Jobs.JobProgress(Words.of("produce.lookingRedacted"), -1));
        Plan plan = Planner.plan(bundle);
        BundleWords words = new BundleWords(workspace.folder());
        return batches.stream().flatMap(shown -> new PieceFiles(workspace.folder(), report(bundle, shown, choice), shown.pages(),
                bundle.fromSources().comments(),
                choice.folder().isPresent() ? choice.written() : Wanted.FILES).leaks(plan, words, stop).stream()).toList();
    }

    private MakingState.Done write(List<Shown> batches, Choice choice, Bundle bundle, Consumer<Jobs.JobProgress> progress,
            BooleanSupplier stop) throws FindingException {
        FileNames folders = new FileNames();
        List<CutReport> reports = new ArrayList<>();
        List<Path> written = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        for (Shown shown : choice.folder().isEmpty() ? List.<Shown>of() : batches) {
            String name = shown.source().fileName();
            int dot = name.lastIndexOf('.');
            Path folder = choice.folder().orElseThrow().resolve(folders.next(dot > 0 ? name.substring(0, dot) : name, ""));
            PieceFiles.Written its =
                    new PieceFiles(workspace.folder(), report(bundle, shown, choice), shown.pages(),
                            bundle.fromSources().comments(), choice.written())
                            .write(folder,
                                    (done, total) -> progress.accept(
                                            new Jobs.JobProgress(Words.of("cut.writing", name, done, total),
                                                    (double) done / total)),
                                    stop);
            reports.add(its.report());
            written.add(folder);
            findings.addAll(its.findings());
            if (!its.isWhole()) return new MakingState.Done(reports, written, false, findings);
        }
        if (choice.folder().isEmpty()) batches.forEach(shown -> reports.add(report(bundle, shown, choice)));
        if (choice.newBundle().isPresent()) {
            Function<Shown, PiecePlace> place = choice.documents().orElseThrow();
            List<NewBundle.Part> parts = new ArrayList<>();
            for (int i = 0; i < batches.size(); i++) parts.add(new NewBundle.Part(reports.get(i), place.apply(batches.get(i))));
            progress.accept(new Jobs.JobProgress(Words.of("cut.beginning"), -1));
            if (!NewBundle.begin(choice.newBundle().get(), workspace.folder(), parts, workspace.bundle().reading(), stop))
                return new MakingState.Done(reports, written, false, findings);
            written.add(choice.newBundle().get());
        }
        return new MakingState.Done(reports, written, true, findings);
    }

    /** Where files were stopped, no documents are made: nothing is half done without being told. */
    private void done(List<Shown> batches, Choice choice, MakingState.Done done) {
        if (choice.documents().isPresent() && choice.newBundle().isEmpty() && done.isWhole()) {
            Function<Shown, PiecePlace> place = choice.documents().get();
            workspace.edit(bundle -> {
                Bundle now = bundle;
                for (Shown shown : batches) {
                    List<Document> documents =
                            Pieces.documents(Redacting.alsoIn(bundle, shown.batch()), shown.cutting(), shown.names());
                    now = CutEdits.make(Objects.requireNonNull(now), shown.source(), documents, place.apply(shown),
                            choice.replaced());
                }
                return now;
            });
        }
        state.set(done);
    }
}
