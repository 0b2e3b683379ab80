package app.yellowtab.desktop.clash;

import app.yellowtab.clash.ClashFinder;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Lookout;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.find.BundleWords;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.printed.OldSeries;
import app.yellowtab.register.TheirNumbers;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.slf4j.LoggerFactory;

/** The numbers that pages carried before, and what is decided about them. Knows no node. For the JavaFX thread. */
public final class OldDesk {
    private final Workspace workspace;
    private final BundleWords words;
    private final ClashFinder finder;
    private final Lookout<List<OldSeries>> lookout;
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
    /** What files carry, found once. */
    private final Map<String, List<OldNumbers>> known = new ConcurrentHashMap<>();

    public OldDesk(Workspace workspace, BundleWords words, ClashFinder finder) {
        this.workspace = workspace;
        this.words = words;
        this.finder = finder;
        lookout = new Lookout<>(workspace, List.of(),
                (now, far, stop) -> OldSeries.in(now.bundle(), now.plan(), words, known, stop));
    }

    public void dispose() {
        lookout.dispose();
    }

    public ReadOnlyObjectProperty<List<OldSeries>> foundProperty() {
        return lookout.foundProperty();
    }

    /** {@return what came of what was asked for} */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** Looks for them as long as somebody looks on. */
    public void look(Object viewer, boolean on) {
        lookout.look(viewer, on);
    }

    /** {@return where the numbers are seen that the page in view carried before; in millimetres from the upper left} */
    public List<Area> onPage() {
        Plan plan = workspace.plan();
        if (!(plan.leaf(Math.min(workspace.leaf(), plan.pageCount() - 1)).content() instanceof Content.SourcePage page))
            return List.of();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        return foundProperty().get().stream()
                .filter(series -> series.numbers().source().equals(page.source())
                        && series.numbers().handling() != Handling.COVERED)
                .flatMap(series -> series.numbers().places().stream())
                .filter(place -> place.page() == page.page()).flatMap(place -> seen(page, place.area(), sources).stream())
                .toList();
    }

    private static Optional<Area> seen(Content.SourcePage page, Area came, Map<SourceId, Source> sources) {
        return sources.get(page.source()).about().pages().shape(page.page())
                .flatMap(shape -> Redacting.seen(shape, page.look(), came));
    }

    /** Goes to the first page that carries one of them. */
    public void goTo(OldSeries series) {
        workspace.goTo(series.leaves().getFirst());
    }

    /** Decides about them. */
    public void decide(OldSeries series, Handling handling) {
        if (handling == Handling.AVOIDED) avoid(series);
        else workspace.edit(bundle -> NumberEdits.decided(bundle, series.numbers().withHandling(handling)));
    }

    /** Writes the table from the numbers of the other side to the bundle's pages, in the background. */
    public void writeTable(Path target) {
        Bundle bundle = workspace.bundle();
        Plan plan = workspace.plan();
        workspace.jobs().start((progress, stopped) -> TheirNumbers.write(bundle, plan, target),
                count -> said.set(Words.of("number.registered", count, String.valueOf(target.getFileName()))),
                failure -> said.set(String.valueOf(failure.getMessage())));
    }

    /** Puts the bundle's numbers at the other edge of the pages that carry others at the same one. */
    private void avoid(OldSeries series) {
        Plan plan = workspace.plan();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        workspace.jobs().start((progress, stopped) -> {
            Map<PageKey, Spot> spots = new HashMap<>();
            for (int i = 0; i < series.leaves().size() && !stopped.getAsBoolean(); i++) {
                progress.accept(new Jobs.JobProgress(Words.of("old.avoiding", i + 1, series.leaves().size()),
                        (double) i / series.leaves().size()));
                away(plan, plan.leaf(series.leaves().get(i)), series, sources, spots);
            }
            return spots;
        }, spots -> {
            workspace.edit(bundle -> NumberEdits.decided(NumberEdits.moved(bundle, spots, Marking.BUNDLE),
                    series.numbers().withHandling(Handling.AVOIDED)));
            said.set(Words.of("old.avoided", spots.size()));
        }, failure -> said.set(String.valueOf(failure.getMessage())));
    }

    private void away(Plan plan, Leaf leaf, OldSeries series, Map<SourceId, Source> sources, Map<PageKey, Spot> spots) {
        if (!(leaf.content() instanceof Content.SourcePage page) || leaf.key().isEmpty()) return;
        double height = LeafSheet.of(leaf, sources).map(Sheet::heightMm).orElse(0.0);
        boolean foot = series.numbers().places().stream().filter(place -> place.page() == page.page())
                .flatMap(place -> seen(page, place.area(), sources).stream()).anyMatch(area -> area.topMm() > height / 2);
        for (Mark mark : plan.marksOn(leaf)) {
            if (!mark.series().equals(Mark.BUNDLE_NUMBER)) continue;
            try {
                finder.away(plan, leaf, mark, foot, sources).ifPresent(spot -> spots.put(leaf.key().get(), spot));
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(OldDesk.class).info("not moved on {}", leaf.index(), unreadable);
            }
        }
    }
}
