package app.yellowtab.model.cut;

import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Puts the pages of batches in another order, and divides sheets. Pages keep their names, so that cuts, drops and names stay with
 * them.
 */
public final class BatchOrder {
    private BatchOrder() {}

    /** {@return the pages of a batch, each a run of its own} */
    public static List<SourcePages> singles(Batch batch) {
        List<SourcePages> singles = new ArrayList<>();
        for (SourcePages run : batch.runs())
            for (int page = run.first(); page <= run.last(); page++) singles.add(run.part(page, page));
        return singles;
    }

    /** {@return what is done to each page of a batch, in order} */
    public static List<PageLook> looks(Batch batch) {
        return singles(batch).stream().map(SourcePages::look).toList();
    }

    /** {@return the sources that a batch has pages of, in the order of their first pages} */
    public static List<SourceId> sources(Batch batch) {
        Set<SourceId> sources = new LinkedHashSet<>();
        for (SourcePages run : batch.runs()) sources.add(run.source());
        return List.copyOf(sources);
    }

    /** {@return whether the pages of a batch are those of one source as they came, each once} */
    public static boolean isAsCame(Batch batch) {
        int next = 1;
        for (SourcePages run : batch.runs()) {
            if (!run.source().equals(batch.runs().getFirst().source()) || run.first() != next) return false;
            next = run.last() + 1;
        }
        return true;
    }

    private static Batch with(Batch batch, List<SourcePages> singles) {
        List<SourcePages> runs = new ArrayList<>();
        for (SourcePages page : singles) {
            if (!runs.isEmpty() && runs.getLast().isFollowedBy(page)) runs.set(runs.size() - 1, runs.getLast().to(page.last()));
            else runs.add(page);
        }
        return batch.withRuns(runs);
    }

    /** {@return a batch with its last page first} */
    public static Batch reversed(Batch batch) {
        return with(batch, singles(batch).reversed());
    }

    /**
     * {@return a batch whose first half are fronts, and whose second half are backs, with each back behind its front; the last
     * back may be missing}
     *
     * @param turnedOver whether the backs come from the last sheet on, as a pile does that was turned over
     */
    public static Batch interleaved(Batch batch, boolean turnedOver) {
        List<SourcePages> all = singles(batch);
        int fronts = (all.size() + 1) / 2;
        return with(batch, interleaved(all.subList(0, fronts), all.subList(fronts, all.size()), turnedOver));
    }

    /**
     * {@return fronts and backs that are batches of their own as one batch, with each back behind its front}
     *
     * @param turnedOver whether the backs come from the last sheet on
     * @throws IllegalArgumentException if there are not as many backs as fronts, or one less; its message says so
     */
    public static Batch interleaved(Batch fronts, Batch backs, boolean turnedOver) {
        List<SourcePages> first = singles(fronts);
        List<SourcePages> second = singles(backs);
        if (second.size() != first.size() && second.size() != first.size() - 1)
            throw new IllegalArgumentException(count(first.size(), "front") + " and " + count(second.size(), "back")
                    + ": there must be as many, or one back less");
        Batch both = new Batch(fronts.id(), fronts.runs(), fronts.rules(), fronts.resting(), both(fronts.cuts(), backs.cuts()),
                both(fronts.drops(), backs.drops()), both(fronts.names(), backs.names()), both(fronts.made(), backs.made()));
        return with(both, interleaved(first, second, turnedOver));
    }

    private static String count(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    private static <T> List<T> both(List<T> one, List<T> other) {
        List<T> both = new ArrayList<>(one);
        both.addAll(other);
        return both;
    }

    private static List<SourcePages> interleaved(List<SourcePages> fronts, List<SourcePages> backs, boolean turnedOver) {
        List<SourcePages> its = turnedOver ? backs.reversed() : backs;
        List<SourcePages> all = new ArrayList<>();
        for (int i = 0; i < fronts.size(); i++) {
            all.add(fronts.get(i));
            if (i < its.size()) all.add(its.get(i));
        }
        return all;
    }

    /**
     * {@return the pages of each source of a batch as a batch, in the order in which they came; the first keeps the batch's name,
     * its rules and what was made of it}
     */
    public static List<Batch> asCame(Batch batch) {
        Map<SourceId, List<SourcePages>> pages = new LinkedHashMap<>();
        for (SourcePages page : singles(batch)) pages.computeIfAbsent(page.source(), source -> new ArrayList<>()).add(page);
        List<Batch> apart = new ArrayList<>();
        pages.forEach((source, its) -> {
            its.sort(Comparator.comparingInt(SourcePages::first));
            Batch own = apart.isEmpty() ? batch : new Batch(BatchId.fresh(), its, batch.rules(), batch.resting(), batch.cuts(),
                    batch.drops(), batch.names(), List.of());
            apart.add(with(own, its));
        });
        return apart;
    }

    /** The parts of a sheet that holds two pages, measured on the page as it came. */
    public record Halves(Area first, Area second) {}

    /** {@return a batch some of whose sheets are divided in two; the first half keeps the page's name} */
    public static Batch divided(Batch batch, Map<PageKey, Halves> sheets) {
        List<SourcePages> all = new ArrayList<>();
        // Second halves that follow one another are of one run.
        Map<RunId, RunId> seconds = new LinkedHashMap<>();
        for (SourcePages page : singles(batch)) {
            Halves halves = sheets.get(page.key(1));
            if (halves == null) {
                all.add(page);
                continue;
            }
            all.add(page.withLook(page.look().withCrop(Optional.of(halves.first()))));
            RunId second = seconds.computeIfAbsent(page.id(), run -> RunId.fresh());
            all.add(new SourcePages(second, page.source(), page.first(), page.last(),
                    page.look().withCrop(Optional.of(halves.second()))));
        }
        return with(batch, all);
    }

    /** {@return a batch in which the sheets of some pages are whole again} */
    public static Batch undivided(Batch batch, Set<PageKey> pages) {
        List<SourcePages> all = new ArrayList<>();
        for (SourcePages page : singles(batch)) {
            if (!all.isEmpty() && page.isOtherHalfOf(all.getLast())
                    && (pages.contains(page.key(1)) || pages.contains(all.getLast().key(1))))
                all.set(all.size() - 1, all.getLast().withLook(all.getLast().look().withCrop(Optional.empty())));
            else all.add(page);
        }
        return with(batch, all);
    }
}
