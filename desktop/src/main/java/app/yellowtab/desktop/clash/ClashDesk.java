package app.yellowtab.desktop.clash;

import app.yellowtab.clash.Clash;
import app.yellowtab.clash.ClashFinder;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberWords;
import app.yellowtab.desktop.work.BundleState;
import app.yellowtab.desktop.work.Lookout;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import org.slf4j.LoggerFactory;

/**
 * The marks that stand on something, looked for in the background as long as somebody looks, and what helps. Knows no node. For
 * the JavaFX thread.
 */
public final class ClashDesk {
    private static final int EVERY = 100;

    private final Workspace workspace;
    private final ClashFinder finder;
    private final Lookout<ClashState> lookout;

    public ClashDesk(Workspace workspace, ClashFinder finder) {
        this.workspace = workspace;
        this.finder = finder;
        lookout = new Lookout<>(workspace, ClashState.NONE, this::search);
    }

    /**
     * How far the search is.
     *
     * @param clashes in the order of the pages
     * @param looked  how many pages were looked at
     * @param pages   of how many
     */
    public record ClashState(List<Clash> clashes, int looked, int pages) {
        static final ClashState NONE = new ClashState(List.of(), 0, 0);

        public ClashState {
            clashes = List.copyOf(clashes);
        }

        /** {@return whether all pages were looked at} */
        public boolean isDone() {
            return looked == pages;
        }
    }

    /**
     * What helps against a clash.
     *
     * @param words  of the button
     * @param change to the bundle
     */
    public record Help(String words, UnaryOperator<Bundle> change) {}

    public void dispose() {
        lookout.dispose();
    }

    public ReadOnlyObjectProperty<ClashState> stateProperty() {
        return lookout.foundProperty();
    }

    /** Looks for them as long as somebody looks on. */
    public void look(Object viewer, boolean on) {
        lookout.look(viewer, on);
    }

    private ClashState search(BundleState now, Consumer<ClashState> far, BooleanSupplier stop) {
        List<Clash> found = new ArrayList<>();
        finder.all(now.plan(), now.bundle().sourcesById(), found::addAll, (done, of) -> {
            if (done % EVERY == 0 && done < of) far.accept(new ClashState(found, done, of));
        }, stop);
        return new ClashState(found, now.plan().pageCount(), now.plan().pageCount());
    }

    /** Goes to the page of the next clash, round and round; {@return whether there is one} */
    public boolean next() {
        List<Clash> all = stateProperty().get().clashes();
        if (all.isEmpty()) return false;
        workspace.goTo(all.stream().filter(clash -> clash.leaf() > workspace.leaf()).findFirst().orElse(all.getFirst()).leaf());
        return true;
    }

    /** Does what helps. */
    public void mend(Help help) {
        workspace.edit(help.change());
    }

    /** Works out what helps against a clash, in the background. */
    public void helps(Clash clash, Consumer<List<Help>> take) {
        Plan plan = workspace.plan();
        if (clash.leaf() >= plan.pageCount()) return;
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        workspace.jobs().quietly(() -> helps(plan, plan.leaf(clash.leaf()), clash, sources), take,
                failure -> take.accept(List.of()));
    }

    private List<Help> helps(Plan plan, Leaf leaf, Clash clash, Map<SourceId, Source> sources) {
        List<Help> helps = new ArrayList<>();
        SeriesId series = new SeriesId(clash.mark().series());
        try {
            if (clash.kind() == Clash.Kind.CUT) return List.of();
            Optional<Spot> free = finder.free(plan, leaf, clash.mark(), sources);
            Optional<PageKey> key = leaf.key();
            if (free.isPresent()) helps.add(new Help(Words.of("clash.here", where(free.get())),
                    bundle -> NumberEdits.moved(bundle, leaf.name(), series, free)));
            free.ifPresent(spot -> helps.add(new Help(Words.of("clash.everywhere", where(spot)),
                    bundle -> NumberEdits.set(bundle, series, setting -> setting.withSpot(spot)))));
            if (clash.kind() == Clash.Kind.DRAWN) helps.add(new Help(Words.of("clash.ground"), bundle -> NumberEdits.set(bundle,
                    series, setting -> setting.withLook(setting.look().withGround(Ground.WHITE)))));
            Optional<PageLook> shrunk = finder.shrunk(plan, leaf, clash.mark(), sources);
            if (shrunk.isPresent() && key.isPresent()) helps.add(shrink(key.get(), shrunk.get()));
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(ClashDesk.class).info("no help for {}", leaf.index(), unreadable);
        }
        return helps;
    }

    /** Only the size changes: what else was done to the page since this was worked out stays. */
    private static Help shrink(PageKey key, PageLook shrunk) {
        return new Help(Words.of("clash.shrink", Math.round(shrunk.scale() * 100)),
                bundle -> PageEdits.looked(bundle, Set.of(key),
                        look -> look.onSheet(look.sheet().or(shrunk::sheet), Math.min(look.scale(), shrunk.scale()))));
    }

    private static String where(Spot spot) {
        return Words.of("clash.where", NumberWords.place(spot), Math.round(spot.across()), Math.round(spot.down()));
    }
}
