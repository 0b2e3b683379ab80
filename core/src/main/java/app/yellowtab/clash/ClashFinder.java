package app.yellowtab.clash;

import app.yellowtab.facts.PageText.Word;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.mark.Box;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Placed;
import app.yellowtab.mark.Placing;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.Units;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Plan;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.slf4j.LoggerFactory;

/**
 * Finds the marks that would stand on words, on lines, on dark parts of pictures, or on each other. What pages have is kept page
 * by page. Safe to share between threads.
 */
public final class ClashFinder {
    /** Letters reach below the line that they stand on, by so much of their height. */
    private static final double BELOW = 0.25;
    private static final long MOST_BYTES = Runtime.getRuntime().maxMemory() / 16;
    /** Of spots that are tried along an edge; in millimetres. */
    private static final double STEP_MM = 10;
    private static final int MOST_STEPS = 5;
    private static final int MOST_RESULTS = 60_000;
    private static final double[] SCALES = {0.97, 0.95, 0.93, 0.9, 0.87, 0.85, 0.8};

    private final BundleWords words;
    private final PageRenderer renderer;
    /** What was found, by what is on the page and which marks are set on it. */
    private final Cache<Object, List<Clash>> results =
            Caffeine.newBuilder().executor(Runnable::run).maximumSize(MOST_RESULTS).build();
    private final Cache<Object, PageInk> ink = Caffeine.newBuilder().executor(Runnable::run).maximumWeight(MOST_BYTES)
            .weigher((Object key, PageInk its) -> its.bytes()).build();

    public ClashFinder(BundleWords words, PageRenderer renderer) {
        this.words = words;
        this.renderer = renderer;
    }

    /** What is on a page beneath its marks, and how large it is. */
    private record Beneath(float widthPt, float heightPt, List<Under> words, PageInk drawn) {}

    /** A word where it stands on the page. */
    private record Under(String text, Box box) {}

    /**
     * {@return the marks of a page that stand on something, in their order}
     *
     * @throws IOException if the page's file is gone, is locked or cannot be made out
     */
    public List<Clash> on(Plan plan, Leaf leaf, Map<SourceId, Source> sources) throws IOException {
        List<Mark> marks = plan.marksOn(leaf);
        Optional<Sheet> sheet = LeafSheet.of(leaf, sources);
        if (marks.isEmpty() || sheet.isEmpty()) return List.of();
        // The words of a scan come when it has been read.
        String read = leaf.content() instanceof Content.SourcePage page && sources.get(page.source()) != null
                ? sources.get(page.source()).about().recognised() : "";
        List<Object> key = List.of(renderer.sketch(plan, leaf).key(), marks, read);
        List<Clash> known = results.getIfPresent(key);
        if (known == null) results.put(key, known = on(leaf, marks, beneath(plan, leaf, sheet.get())));
        return known.stream().map(clash -> new Clash(leaf.index(), clash.mark(), clash.kind(), clash.words())).toList();
    }

    /**
     * Finds all of a plan, page by page; pages that cannot be read are passed over.
     *
     * @param found is given those of each page that has any, in the order of the pages, on the calling thread
     * @param stop  asked at every page
     */
    public void all(Plan plan, Map<SourceId, Source> sources, Consumer<List<Clash>> found, Progress progress,
            BooleanSupplier stop) {
        for (Leaf leaf : plan.leaves()) {
            if (stop.getAsBoolean()) return;
            try {
                List<Clash> clashes = on(plan, leaf, sources);
                if (!clashes.isEmpty()) found.accept(clashes);
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(ClashFinder.class).info("not looked at: {}", leaf.index(), unreadable);
            }
            progress.report(leaf.index() + 1, plan.pageCount());
        }
    }

    private static List<Clash> on(Leaf leaf, List<Mark> marks, Beneath beneath) {
        List<Clash> clashes = new ArrayList<>();
        List<Placed> placed = Placing.of(marks, beneath.widthPt(), beneath.heightPt());
        List<Box> covered = placed.stream().filter(its -> its.mark().covers().isPresent()).map(Placed::box).toList();
        for (int i = 0; i < placed.size(); i++) {
            Mark mark = placed.get(i).mark();
            if (mark.covers().isPresent()) continue;
            Box box = mark.look().hasGround() ? placed.get(i).wholePt() : placed.get(i).inkPt();
            List<String> under = beneath.words().stream()
                    .filter(word -> word.box().meets(box) && covered.stream().noneMatch(its -> its.meets(word.box())))
                    .map(Under::text).toList();
            Optional<Mark> other = placed.subList(i + 1, placed.size()).stream().filter(its -> its.wholePt().meets(box))
                    .map(Placed::mark).findFirst();
            if (!under.isEmpty()) clashes.add(new Clash(leaf.index(), mark, Clash.Kind.WORDS, String.join(" ", under)));
            else if (other.isPresent()) clashes.add(new Clash(leaf.index(), mark, Clash.Kind.MARK, other.get().words()));
            else if (!mark.look().hasGround() && beneath.drawn().isIn(box))
                clashes.add(new Clash(leaf.index(), mark, Clash.Kind.DRAWN, ""));
            else if (placed.get(i).cut()) clashes.add(new Clash(leaf.index(), mark, Clash.Kind.CUT, ""));
        }
        return clashes;
    }

    private Beneath beneath(Plan plan, Leaf leaf, Sheet sheet) throws IOException {
        float wide = (float) sheet.widthMm() * Units.mm(1);
        float high = (float) sheet.heightMm() * Units.mm(1);
        List<Under> under = new ArrayList<>();
        for (List<Word> line : words.of(leaf).lines()) {
            for (Word word : line) {
                float height = (float) Math.max(0.1, word.heightMm() * (1 + BELOW)) * Units.mm(1);
                under.add(new Under(word.text(), new Box(word.leftMm() * Units.mm(1), high - word.topMm() * Units.mm(1) - height,
                        Math.max(0.1f, word.widthMm()) * Units.mm(1), height)));
            }
        }
        return new Beneath(wide, high, under, ink(plan, leaf));
    }

    /** What cannot be drawn has nothing on it but its words. */
    private PageInk ink(Plan plan, Leaf leaf) throws IOException {
        PageRenderer.Sketching sketching = renderer.sketch(plan, leaf);
        PageInk known = ink.getIfPresent(sketching.key());
        if (known != null) return known;
        var drawn = sketching.drawing().draw().page();
        PageInk made = PageInk.of(drawn.image(), drawn.widthPt(), drawn.heightPt());
        ink.put(sketching.key(), made);
        return made;
    }

    /**
     * {@return a place near the edge of a page where a mark stands on nothing; the nearest to where it stands now; empty where
     * there is none}
     *
     * @throws IOException if the page's file is gone, is locked or cannot be made out
     */
    public Optional<Spot> free(Plan plan, Leaf leaf, Mark mark, Map<SourceId, Source> sources) throws IOException {
        return tried(plan, leaf, mark, candidates(mark.spot()), sources);
    }

    /** {@return the first of some places where a mark stands on nothing} */
    private Optional<Spot> tried(Plan plan, Leaf leaf, Mark mark, List<Spot> spots, Map<SourceId, Source> sources)
            throws IOException {
        Optional<Sheet> sheet = LeafSheet.of(leaf, sources);
        if (sheet.isEmpty()) return Optional.empty();
        Beneath beneath = beneath(plan, leaf, sheet.get());
        List<Mark> others = plan.marksOn(leaf).stream().filter(its -> !its.series().equals(mark.series())).toList();
        for (Spot spot : spots) {
            List<Mark> tried = new ArrayList<>(others);
            tried.add(new Mark(mark.series(), mark.words(), spot, mark.look(), mark.line(), mark.covers()));
            if (on(leaf, tried, beneath).stream()
                    .noneMatch(clash -> clash.mark().series().equals(mark.series()) || clash.words().equals(mark.words())))
                return Optional.of(spot);
        }
        return Optional.empty();
    }

    /**
     * {@return a place at the other edge of a page, away from a number that it carried before, where a mark stands on nothing;
     * empty where it is away already, or there is none}
     *
     * @param foot whether the old number stands at the foot
     * @throws IOException if the page's file is gone, is locked or cannot be made out
     */
    public Optional<Spot> away(Plan plan, Leaf leaf, Mark mark, boolean foot, Map<SourceId, Source> sources) throws IOException {
        if (mark.spot().row() != (foot ? Spot.Row.FOOT : Spot.Row.HEAD)) return Optional.empty();
        Spot across =
                new Spot(foot ? Spot.Row.HEAD : Spot.Row.FOOT, mark.spot().column(), mark.spot().across(), mark.spot().down());
        Mark moved = new Mark(mark.series(), mark.words(), across, mark.look(), mark.line(), mark.covers());
        List<Spot> spots = new ArrayList<>(List.of(across));
        spots.addAll(candidates(across).stream().filter(spot -> spot.row() == across.row()).toList());
        return tried(plan, leaf, moved, spots, sources);
    }

    /** {@return places to try: first those beside where the mark stands, then the other corners and edges} */
    private static List<Spot> candidates(Spot now) {
        List<Spot> all = new ArrayList<>();
        for (int step = 1; step <= MOST_STEPS; step++) {
            if (now.row() != Spot.Row.MIDDLE)
                all.add(new Spot(now.row(), now.column(), now.across(), now.down() + step * STEP_MM / 2));
            if (now.column() != Spot.Column.MIDDLE)
                all.add(new Spot(now.row(), now.column(), now.across() + step * STEP_MM, now.down()));
        }
        for (Spot.Row row : List.of(now.row(), now.row() == Spot.Row.HEAD ? Spot.Row.FOOT : Spot.Row.HEAD)) {
            for (Spot.Column column : Spot.Column.values()) {
                Spot spot = new Spot(row, column, Spot.STANDARD.across(), Spot.STANDARD.down());
                if (row != Spot.Row.MIDDLE && !(row == now.row() && column == now.column())) all.add(spot);
            }
        }
        return all;
    }

    /**
     * {@return how much smaller a page must be shown on its sheet so that a mark stands on nothing; empty where that does not
     * help}
     *
     * @throws IOException if the page's file is gone, is locked or cannot be made out
     */
    public Optional<PageLook> shrunk(Plan plan, Leaf leaf, Mark mark, Map<SourceId, Source> sources) throws IOException {
        Optional<Sheet> sheet = LeafSheet.of(leaf, sources);
        if (!(leaf.content() instanceof Content.SourcePage page) || sheet.isEmpty()) return Optional.empty();
        for (double scale : SCALES) {
            PageLook look =
                    page.look().onSheet(Optional.of(page.look().sheet().orElse(sheet.get())), page.look().scale() * scale);
            Leaf tried = new Leaf(leaf.index(), leaf.key(), leaf.number(), leaf.onlyPaper(),
                    new Content.SourcePage(page.document(), page.source(), page.page(), look));
            if (on(tried, plan.marksOn(leaf), beneath(plan, tried, sheet.get())).stream()
                    .noneMatch(clash -> clash.mark().series().equals(mark.series())))
                return Optional.of(look);
        }
        return Optional.empty();
    }
}
