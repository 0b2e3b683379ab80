package app.yellowtab.edit.repage;

import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The runs of a document or a batch, carried through a {@link Repaging} with the looks of their pages. */
final class CarriedRuns {
    private final Repaging repaging;
    private final UnaryOperator<RunId> names;
    private final Pair[] byBefore;
    private final BitSet added = new BitSet();

    /** @param names how runs are called that have other pages */
    CarriedRuns(Repaging repaging, UnaryOperator<RunId> names) {
        this.repaging = repaging;
        this.names = names;
        this.byBefore = repaging.pairs().byBefore();
        for (Pair pair : repaging.pairs().pairs()) if (pair.before() == 0) added.set(pair.after());
    }

    /** Told of every page of the earlier reading that there was in runs. */
    @FunctionalInterface
    interface Seen {
        /** @param now where it stands now; empty where it is gone */
        void of(SourcePages pages, int page, Optional<PageKey> now);
    }

    /** {@return whether a run has pages of the earlier reading} */
    boolean has(Run run) {
        return run instanceof SourcePages pages && pages.source().equals(repaging.before().source());
    }

    /**
     * {@return runs with what has become of the pages of the earlier reading}
     *
     * @param seen is told of each of these
     */
    List<Run> of(List<Run> before, Seen seen) {
        List<Run> runs = new ArrayList<>();
        Coming coming = new Coming(before);
        boolean first = true;
        for (int i = 0; i < before.size(); i++) {
            if (!(before.get(i) instanceof SourcePages pages) || !has(pages)) {
                runs.add(before.get(i));
                continue;
            }
            RunId name = names.apply(pages.id());
            if (first && pages.first() == 1) coming.add(runs, name, 1);
            first = false;
            for (int page = pages.first(); page <= pages.last(); page++) {
                Pair pair = pair(page);
                seen.of(pages, page,
                        pair.after() == 0 ? Optional.empty() : Optional.of(new PageKey(name, pair.after())));
                if (pair.after() == 0 || coming.isElsewhere(pair)) continue;
                runs.add(put(pages, pair, name));
                if (!halfFollows(before, i)) coming.add(runs, name, pair.after() + 1);
            }
        }
        return runs;
    }

    /** {@return what became of a page, counted from 1} */
    Pair pair(int page) {
        return page < byBefore.length ? byBefore[page] : new Pair(page, 0, false);
    }

    private static boolean halfFollows(List<Run> runs, int at) {
        return at + 1 < runs.size() && runs.get(at) instanceof SourcePages pages
                && runs.get(at + 1) instanceof SourcePages next && next.isOtherHalfOf(pages);
    }

    /** {@return the page that stands for one of a run} */
    private SourcePages put(SourcePages pages, Pair pair, RunId name) {
        return new SourcePages(name, repaging.after().source(), pair.after(), pair.after(),
                pair.same() ? pages.look() : hiding(pages.look()));
    }

    /**
     * What stands right behind the page that it follows in the later reading: pages that are new, and those that have moved, with
     * what was said of them. A page that has moved stays where it stands where the one that it follows is not in the same runs.
     */
    private final class Coming {
        private final BitSet left = (BitSet) added.clone();
        /** By the page of the later reading, what there is of it: one, or both halves. */
        private final Map<Integer, List<SourcePages>> moved = new LinkedHashMap<>();

        Coming(List<Run> before) {
            BitSet stay = new BitSet();
            Set<Integer> copies = new HashSet<>();
            boolean first = true;
            for (int i = 0; i < before.size(); i++) {
                if (!(before.get(i) instanceof SourcePages pages) || !has(pages)) continue;
                if (first && pages.first() == 1) stay.set(0);
                first = false;
                boolean half = i > 0 && halfFollows(before, i - 1);
                for (int page = pages.first(); page <= pages.last(); page++) {
                    Pair pair = pair(page);
                    if (pair.after() > 0 && !pair.moved()) stay.set(pair.after());
                    if (!pair.moved()) continue;
                    List<SourcePages> its = moved.computeIfAbsent(pair.after(), after -> new ArrayList<>());
                    // A copy was put where it stands, and so was the page that it is one of.
                    if (!its.isEmpty() && !half) copies.add(pair.after());
                    its.add(put(pages, pair, names.apply(pages.id())));
                }
            }
            copies.forEach(moved::remove);
            copies.forEach(stay::set);
            moved.keySet().forEach(left::set);
            BitSet reached = new BitSet();
            stay.stream().forEach(page -> reach(reached, page + 1));
            for (int page : List.copyOf(moved.keySet())) {
                if (reached.get(page)) continue;
                moved.remove(page);
                left.clear(page);
                reach(reached, page + 1);
            }
        }

        /** Notes what comes with a page. */
        private void reach(BitSet reached, int from) {
            for (int page = from; left.get(page); page++) reached.set(page);
        }

        /** {@return whether a page stands behind another one now} */
        boolean isElsewhere(Pair pair) {
            return pair.moved() && moved.containsKey(pair.after());
        }

        /** Adds what comes with a page, from one on. */
        void add(List<Run> runs, RunId name, int from) {
            for (int page = from; left.get(page); page++) {
                runs.addAll(moved.getOrDefault(page,
                        List.of(new SourcePages(name, repaging.after().source(), page, page, PageLook.PLAIN))));
                left.clear(page);
            }
        }
    }

    /** {@return what hides something of a page, and nothing else of its look} */
    private static PageLook hiding(PageLook look) {
        return PageLook.PLAIN.withCrop(look.crop()).withRedactions(look.redactions()).withWithheld(look.withheld());
    }
}
