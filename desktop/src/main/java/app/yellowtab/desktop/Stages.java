package app.yellowtab.desktop;

import app.yellowtab.clash.ClashFinder;
import app.yellowtab.desktop.agree.AgreeMenu;
import app.yellowtab.desktop.arrange.ArrangeStage;
import app.yellowtab.desktop.clash.ClashDesk;
import app.yellowtab.desktop.clash.NumberNotes;
import app.yellowtab.desktop.clash.OldDesk;
import app.yellowtab.desktop.cut.CutStage;
import app.yellowtab.desktop.gather.GatherStage;
import app.yellowtab.desktop.gather.Gathering;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.number.NumberStage;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.produce.ProduceStage;
import app.yellowtab.desktop.work.BundleState;
import app.yellowtab.desktop.work.Placement;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.StagePart;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.find.BundleWords;
import app.yellowtab.model.cut.Batch;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** All stages of an open bundle in their order, and what several of them share. A stage is added here, and in {@link Stage}. */
final class Stages {
    private final Workspace workspace;
    private final Gathering gathering;
    private final ClashDesk clashes;
    private final OldDesk old;
    private final NumberNotes notes;
    private final SimpleStringProperty waiting = new SimpleStringProperty();
    private final Subscription counting;
    private final List<StagePart> parts;
    private @Nullable Placement placed;
    private @Nullable List<Batch> batches;

    /** @param loose shows loose files, to be numbered */
    Stages(Session session, PagePictures pictures, FrameWish framing, Runnable loose) {
        workspace = session.workspace();
        BundleWords words = new BundleWords(workspace.folder());
        ClashFinder finder = new ClashFinder(words, pictures.renderer());
        Session.Kept kept = session.kept();
        gathering = new Gathering(workspace, session.intakes(), session.recognising());
        clashes = new ClashDesk(workspace, finder);
        old = new OldDesk(workspace, words, finder);
        notes = new NumberNotes(clashes, old, workspace);
        counting = workspace.onBundle(bundle -> countWaiting());
        parts = List.of(
                part(Stage.GATHER, state -> state.bundle().sources().size(),
                        () -> new GatherStage(workspace, session.intakes(), gathering, session.dialogs(), pictures)),
                StagePart.of(Stage.CUT, waiting,
                        () -> new CutStage(workspace, pictures, session.dialogs(), session.opener(), kept.rules())),
                part(Stage.ARRANGE, state -> state.plan().documentCount(),
                        () -> new ArrangeStage(workspace, session.intakes(), session.dialogs(), pictures,
                                new AgreeMenu.Kept(kept.reference(), kept.templates()), framing)),
                part(Stage.NUMBER, state -> 1 + state.bundle().numbering().series().size(),
                        () -> new NumberStage(workspace, pictures, session.dialogs(), clashes, old,
                                new PresetStore(kept.presets()), loose)),
                part(Stage.PRODUCE, state -> state.plan().pageCount(), () -> new ProduceStage(workspace, pictures.renderer(),
                        notes, session.dialogs(), session.opener())));
    }

    private <V extends Node & StageView> StagePart part(Stage stage,
            Function<BundleState, Integer> count, Supplier<V> view) {
        ObservableValue<String> shown = workspace.stateProperty().map(state -> String.valueOf(count.apply(state)));
        return StagePart.of(stage, shown, view);
    }

    /** How many batches wait follows from what is placed, and from how it is cut; most edits are of titles. */
    private void countWaiting() {
        if (workspace.placement() == placed && workspace.bundle().batches() == batches) return;
        placed = workspace.placement();
        batches = workspace.bundle().batches();
        waiting.set(String.valueOf(CutEdits.waiting(workspace.bundle()).size()));
    }

    /** {@return the stage that was remembered under a name; none for one that this program does not have} */
    static Optional<Stage> named(String name) {
        return Stream.of(Stage.values()).filter(stage -> stage.name().equals(name)).findFirst();
    }

    /** {@return all, in the order of the work} */
    List<StagePart> all() {
        return parts;
    }

    /** {@return the one that is shown} */
    StagePart shown() {
        Stage shown = workspace.stageProperty().get();
        return parts.stream().filter(part -> part.stage() == shown).findFirst().orElseThrow();
    }

    void dispose() {
        counting.unsubscribe();
        parts.forEach(StagePart::dispose);
        gathering.dispose();
        notes.dispose();
        clashes.dispose();
        old.dispose();
    }
}
