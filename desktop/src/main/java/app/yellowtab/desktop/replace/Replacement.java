package app.yellowtab.desktop.replace;

import app.yellowtab.compare.DifferenceList;
import app.yellowtab.compare.FileComparison;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.PagePick;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.repage.PagePairs;
import app.yellowtab.edit.repage.Replacing;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.picture.PageRenderer;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;

/** Puts a newer file in place of a document's own, after a look at what differs. Knows no node. For the JavaFX thread. */
public final class Replacement {
    /** How a replacement stands. */
    public sealed interface ReplaceState {
        /** Nothing is being replaced. */
        record None() implements ReplaceState {}

        /** The two files are being compared. */
        record Comparing(String newer) implements ReplaceState {}

        /** They were compared, and it waits for a decision; the numbers are those that pages of the newer one carried before. */
        record Ready(EntryId document, Source older, Source newer, PagePairs pairs, List<OldNumbers> numbers)
                implements ReplaceState {}

        /** It did not come about. */
        record Failed(String words) implements ReplaceState {}
    }

    private static final ReplaceState NONE = new ReplaceState.None();
    private final Workspace workspace;
    private final Intakes intakes;
    private final PageRenderer renderer;
    private final ReadOnlyObjectWrapper<ReplaceState> state = new ReadOnlyObjectWrapper<>(this, "state", NONE);
    private final ReadOnlyObjectWrapper<String> said = new ReadOnlyObjectWrapper<>(this, "said", "");
    private Jobs.@Nullable Job job;
    private int asked;

    public Replacement(Workspace workspace, Intakes intakes, PageRenderer renderer) {
        this.workspace = workspace;
        this.intakes = intakes;
        this.renderer = renderer;
    }

    public ReadOnlyObjectProperty<ReplaceState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what came of keeping the list; empty for nothing} */
    ReadOnlyObjectProperty<String> saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** {@return whether a document is made of one file, which can be replaced} */
    public static boolean isPossible(Document document) {
        return PagePick.onlySource(document).isPresent();
    }

    /** Brings a file in, and compares it with that of a document. */
    public void begin(EntryId document, Path file) {
        intakes.bringIn(List.of(file), taken -> bundle -> Edits.addSources(bundle, taken.sources()), taken -> {
            if (!taken.sources().isEmpty()) begin(document, taken.sources().getFirst().id());
        });
    }

    /** Compares a file that was brought in with that of a document. */
    public void begin(EntryId document, SourceId file) {
        cancel();
        Optional<Source> older =
                workspace.bundle().contents().allDocuments().stream().filter(there -> there.id().equals(document)).findFirst()
                        .flatMap(PagePick::onlySource).flatMap(this::source);
        Optional<Source> newer = source(file);
        if (older.isEmpty() || newer.isEmpty()) return;
        if (!newer.get().isRead()) {
            state.set(new ReplaceState.Failed(Words.of("replace.unread", newer.get().fileName())));
            return;
        }
        int mine = ++asked;
        state.set(new ReplaceState.Comparing(newer.get().fileName()));
        List<OldNumbers> decided =
                workspace.bundle().numbering().old().stream().filter(its -> its.source().equals(older.get().id())).toList();
        job = workspace.jobs().start((progress, stop) -> {
            FileComparison.Compared compared = FileComparison.compare(renderer, workspace.folder(), older.get(), newer.get(),
                    decided,
                    (done, total) -> progress.accept(
                            new Jobs.JobProgress(Words.of("replace.comparing", newer.get().fileName(), done),
                                    (double) done / total)),
                    stop);
            // What was stopped takes pages for changed ones that nobody has looked at.
            return stop.getAsBoolean() ? Optional.<FileComparison.Compared>empty() : Optional.of(compared);
        }, compared -> {
            if (mine == asked) compared.ifPresentOrElse(
                    found -> state
                            .set(new ReplaceState.Ready(document, older.get(), newer.get(), found.pairs(), found.numbers())),
                    this::cancel);
        }, failure -> {
            if (mine == asked) state.set(new ReplaceState.Failed(failure instanceof FindingException known
                    ? String.valueOf(known.getMessage()) : Words.of("replace.failed", newer.get().fileName())));
        });
    }

    private Optional<Source> source(SourceId id) {
        return workspace.bundle().sources().stream().filter(source -> source.id().equals(id)).findFirst();
    }

    /** Puts the newer file in place of the older one. */
    void accept() {
        if (!(state.get() instanceof ReplaceState.Ready ready)) return;
        cancel();
        workspace.editSoon("edit.replace", bundle -> {
            Bundle replaced = Replacing.replaced(bundle, ready.document(), ready.older().id(), ready.newer().id(), ready.pairs());
            for (OldNumbers numbers : ready.numbers()) replaced = NumberEdits.decided(replaced, numbers);
            return replaced;
        }, worked -> sayReplaced(ready));
    }

    private void sayReplaced(ReplaceState.Ready ready) {
        if (workspace.bundle().toLookAt().stream().anyMatch(again -> again.before().equals(ready.older().asRead())))
            workspace.findings().add(Finding.about(Finding.Code.LOOK_AGAIN, ready.newer().fileName(), ""));
    }

    /** Leaves all as it is; the newer file lies in the tray. */
    public void cancel() {
        asked++;
        if (job != null) job.stop();
        job = null;
        said.set("");
        state.set(NONE);
    }

    /** Keeps the list of what differs in a file. */
    void keepList(Path target) {
        if (!(state.get() instanceof ReplaceState.Ready ready)) return;
        String table = DifferenceList.of(ready.older().fileName(), ready.newer().fileName(), ready.pairs());
        workspace.jobs().start((progress, stop) -> {
            DifferenceList.write(table, target);
            return target;
        }, written -> said.set(Words.of("replace.kept", written)), failure -> said.set(failure instanceof FindingException known
                ? String.valueOf(known.getMessage()) : Words.of("replace.notKept", target)));
    }

    /** {@return what differs, in one sentence} */
    static String summary(PagePairs pairs) {
        if (pairs.differences().isEmpty()) return Words.of("replace.nothing", pairs.unchanged());
        return Words.of("replace.summary", pairs.unchanged(), pairs.moved(), pairs.changed(), pairs.added(),
                pairs.gone());
    }
}
