package app.yellowtab.cli;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Pieces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.NameReading;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** A bundle that pieces become documents of. Saved after every batch. */
final class IntoBundle implements AutoCloseable {
    private final BundleFolder folder;
    private Bundle bundle;

    private IntoBundle(BundleFolder folder, Bundle bundle) {
        this.folder = folder;
        this.bundle = bundle;
    }

    static IntoBundle open(Path path) throws FindingException {
        BundleFolder.Opened opened = opened(path);
        return new IntoBundle(opened.folder(), opened.bundle());
    }

    /** {@return the bundle in a folder; a new one, called like the folder, where there is none} */
    static BundleFolder.Opened opened(Path path) throws FindingException {
        if (Files.exists(path.resolve(BundleFolder.FILE))) return BundleFolder.open(path);
        Bundle fresh = Bundle.EMPTY.withHeading(
                CaseHeading.EMPTY.withTitle(NameReading.sectionTitle(String.valueOf(path.toAbsolutePath().getFileName()))));
        return new BundleFolder.Opened(BundleFolder.create(path, fresh), fresh);
    }

    Plan plan() {
        return Planner.plan(bundle);
    }

    BundleFolder folder() {
        return folder;
    }

    /** {@return a batch of which pages are redacted and withheld as the bundle has them, whose file is in it or not yet} */
    Batch hiding(Source source) {
        return Redacting.alsoIn(Edits.addSources(bundle, List.of(source)), Batch.of(source));
    }

    /** Takes a batch into the bundle, its pieces as documents. */
    void add(Source source, CutRules rules, ByHand hand, Cutting cutting, List<Named> names, PiecePlace place)
            throws FindingException {
        Bundle ruled = CutEdits.change(Edits.addSources(bundle, List.of(source)), source, batch -> {
            Batch changed = batch.withRules(rules, List.of());
            for (Map.Entry<Integer, Boolean> drop : hand.drops().entrySet())
                changed = changed.withDrop(batch.keys().get(drop.getKey() - 1), drop.getValue());
            return changed;
        });
        bundle = CutEdits.make(ruled, source,
                Pieces.documents(Redacting.alsoIn(ruled, CutEdits.batchOf(ruled, source)), cutting, names), place, true);
        folder.save(bundle);
    }

    @Override
    public void close() {
        folder.close();
    }
}
