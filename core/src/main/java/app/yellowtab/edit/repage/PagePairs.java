package app.yellowtab.edit.repage;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Which pages of two versions of a file stand for each other, in the order of the newer one.
 *
 * @param pairs every page of both versions stands in one of them; what is gone stands where it was
 */
public record PagePairs(List<Pair> pairs) {
    /** Less alike than this, pages are taken for different ones. */
    private static final double LEAST = 0.35;
    /**
     * Where more pairs than this would have to be looked at between pages that are the same, pages are paired by their numbers.
     */
    private static final long MOST_LOOKED_AT = 250_000;
    /** So many pages of the other version are compared with one that may be the same, the nearest: blank pages are alike. */
    private static final int MOST_LIKE_ONE = 64;

    public PagePairs {
        pairs = List.copyOf(pairs);
    }

    /**
     * Pages that stand for each other.
     *
     * @param before in the older version, counted from 1; 0 for one that is new
     * @param after  in the newer version, counted from 1; 0 for one that is gone
     * @param same   whether nothing on it has changed
     * @param moved  whether it is the same, and stands before or behind others than it did
     */
    public record Pair(int before, int after, boolean same, boolean moved) {
        public Pair {
            if (before < 0 || after < 0 || before + after == 0)
                throw new IllegalArgumentException("a pair needs a page, got " + before + " and " + after);
        }

        /** Pages that stand for each other in the same order as others do. */
        public Pair(int before, int after, boolean same) {
            this(before, after, same, false);
        }
    }

    /** How alike two pages are; both counted from 1. */
    @FunctionalInterface
    public interface Likeness {
        /** {@return from 0 to 1; 1 where nothing has changed} */
        double of(int before, int after);

        /** {@return whether nothing has changed} */
        default boolean isSame(int before, int after) {
            return of(before, after) >= 1;
        }

        /**
         * {@return the pages of the newer version that may be the same as one of the older, in order; others are not asked for}
         */
        default int[] likeOne(int before, int pages) {
            return IntStream.rangeClosed(1, pages).toArray();
        }

        /** {@return whether they may be the same page, changed; not where it is known that they are different ones} */
        default boolean canBe(int before, int after) {
            return true;
        }
    }

    /**
     * Finds which pages stand for each other: as many as can be that are the same without changing their order, then those that
     * are the same and have moved, then those most alike in their order.
     *
     * @param before how many pages the older version has
     * @param after  how many pages the newer version has
     */
    public static PagePairs find(int before, int after, Likeness likeness) {
        PagePairs ordered = inOrder(before, after, likeness);
        List<Pair> moved = moved(ordered, after, likeness);
        if (moved.isEmpty()) return ordered;
        int[] olds = without(before, moved.stream().mapToInt(Pair::before));
        int[] news = without(after, moved.stream().mapToInt(Pair::after));
        Deque<Pair> coming = new ArrayDeque<>(moved);
        List<Pair> pairs = new ArrayList<>();
        for (Pair pair : inOrder(olds.length, news.length, new Left(likeness, olds, news)).pairs()) {
            int newer = pair.after() == 0 ? 0 : news[pair.after() - 1];
            while (!coming.isEmpty() && coming.getFirst().after() < newer) pairs.add(coming.removeFirst());
            pairs.add(new Pair(pair.before() == 0 ? 0 : olds[pair.before() - 1], newer, pair.same()));
        }
        pairs.addAll(coming);
        return new PagePairs(pairs);
    }

    /** {@return pages that are the same and have moved, in the newer order; of several that are alike the first is the first} */
    private static List<Pair> moved(PagePairs ordered, int after, Likeness likeness) {
        BitSet open = new BitSet();
        for (Pair pair : ordered.differences()) open.set(pair.after());
        open.clear(0);
        List<Pair> moved = new ArrayList<>();
        for (Pair pair : ordered.differences()) {
            if (pair.before() == 0 || open.isEmpty()) continue;
            int[] left = Arrays.stream(likeness.likeOne(pair.before(), after)).filter(open::get).toArray();
            for (int page : nearest(left, pair.before(), 0, after)) {
                if (!likeness.isSame(pair.before(), page)) continue;
                moved.add(new Pair(pair.before(), page, true, true));
                open.clear(page);
                break;
            }
        }
        moved.sort(Comparator.comparingInt(Pair::after));
        return moved;
    }

    /** {@return the pages of a version but some, in order} */
    private static int[] without(int pages, IntStream some) {
        Set<Integer> out = some.boxed().collect(Collectors.toSet());
        return IntStream.rangeClosed(1, pages).filter(page -> !out.contains(page)).toArray();
    }

    /** How alike pages are that have not moved, counted among themselves. */
    private record Left(Likeness all, int[] olds, int[] news) implements Likeness {
        @Override
        public double of(int before, int after) {
            return all.of(olds[before - 1], news[after - 1]);
        }

        @Override
        public int[] likeOne(int before, int pages) {
            return Arrays.stream(all.likeOne(olds[before - 1], news[news.length - 1]))
                    .map(page -> Arrays.binarySearch(news, page) + 1).filter(page -> page > 0).toArray();
        }

        @Override
        public boolean canBe(int before, int after) {
            return all.canBe(olds[before - 1], news[after - 1]);
        }
    }

    private static PagePairs inOrder(int before, int after, Likeness likeness) {
        int head = 0;
        while (head < Math.min(before, after) && likeness.isSame(head + 1, head + 1)) head++;
        int tail = 0;
        while (tail < Math.min(before, after) - head && likeness.isSame(before - tail, after - tail)) tail++;
        List<Pair> pairs = new ArrayList<>();
        for (int page = 1; page <= head; page++) pairs.add(new Pair(page, page, true));
        int fromBefore = head;
        int fromAfter = head;
        // Few pages are paired all at once; of many, first those that are the same.
        boolean few = (long) (before - head - tail) * (after - head - tail) <= MOST_LOOKED_AT;
        for (Pair same : few ? List.<Pair>of() : same(head, before - tail, after - tail, after, likeness)) {
            pairs.addAll(between(fromBefore, same.before() - 1 - fromBefore, fromAfter, same.after() - 1 - fromAfter, likeness));
            pairs.add(same);
            fromBefore = same.before();
            fromAfter = same.after();
        }
        pairs.addAll(between(fromBefore, before - tail - fromBefore, fromAfter, after - tail - fromAfter, likeness));
        for (int left = tail - 1; left >= 0; left--) pairs.add(new Pair(before - left, after - left, true));
        return new PagePairs(pairs);
    }

    /** The last pair of as many as there can be in order, and the one before it. */
    private record Chain(Pair last, @Nullable Chain before) {}

    /**
     * {@return as many pages as can be that are the same, without changing their order} By J. W. Hunt and T. G. Szymanski, "A
     * fast algorithm for computing longest common subsequences" (1977): what it takes grows with the pages that are the same.
     */
    private static List<Pair> same(int head, int lastBefore, int lastAfter, int after, Likeness likeness) {
        List<Chain> chains = new ArrayList<>();
        for (int page = head + 1; page <= lastBefore; page++) {
            int[] alike = nearest(likeness.likeOne(page, after), page, head, lastAfter);
            for (int n = alike.length - 1; n >= 0; n--) {
                if (!likeness.isSame(page, alike[n])) continue;
                int length = length(chains, alike[n]);
                Chain chain = new Chain(new Pair(page, alike[n], true), length == 0 ? null : chains.get(length - 1));
                if (length == chains.size()) chains.add(chain);
                else chains.set(length, chain);
            }
        }
        List<Pair> pairs = new ArrayList<>();
        for (Chain chain = chains.isEmpty() ? null : chains.getLast(); chain != null; chain = chain.before())
            pairs.add(chain.last());
        return pairs.reversed();
    }

    /** {@return how many pairs there can be before one with a page of the newer version} */
    private static int length(List<Chain> chains, int page) {
        int low = 0;
        int high = chains.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (chains.get(middle).last().after() < page) low = middle + 1;
            else high = middle;
        }
        return low;
    }

    /** {@return those pages between two that are the nearest to one, in order} */
    private static int[] nearest(int[] pages, int page, int after, int last) {
        int from = 0;
        int to = pages.length;
        while (from < to && pages[from] <= after) from++;
        while (to > from && pages[to - 1] > last) to--;
        while (to - from > MOST_LIKE_ONE) {
            if (page - pages[from] > pages[to - 1] - page) from++;
            else to--;
        }
        return Arrays.copyOfRange(pages, from, to);
    }

    /** Pairs what stands between pages that are the same, as the most alike that there can be without changing their order. */
    private static List<Pair> between(int fromBefore, int before, int fromAfter, int after, Likeness likeness) {
        if ((long) before * after == 0 || (long) before * after > MOST_LOOKED_AT)
            return gap(fromBefore, before, fromAfter, after, likeness);
        float[][] best = new float[before + 1][after + 1];
        float[][] gain = new float[before + 1][after + 1];
        for (int i = before - 1; i >= 0; i--) {
            for (int j = after - 1; j >= 0; j--) {
                double alike = likeness.of(fromBefore + i + 1, fromAfter + j + 1);
                // Pages that are the same count for more than any number of others that are merely alike.
                gain[i][j] = alike >= 1 ? 1 + Math.min(before, after) : alike >= LEAST ? (float) alike : 0;
                best[i][j] = Math.max(gain[i][j] + best[i + 1][j + 1], Math.max(best[i + 1][j], best[i][j + 1]));
            }
        }
        List<Pair> pairs = new ArrayList<>();
        int i = 0;
        int j = 0;
        int openI = 0;
        int openJ = 0;
        while (i < before && j < after) {
            if (gain[i][j] > 0 && best[i][j] == gain[i][j] + best[i + 1][j + 1]) {
                pairs.addAll(gap(fromBefore + openI, i - openI, fromAfter + openJ, j - openJ, likeness));
                pairs.add(new Pair(fromBefore + i + 1, fromAfter + j + 1, gain[i][j] >= 1));
                openI = ++i;
                openJ = ++j;
            } else if (best[i][j] == best[i + 1][j]) {
                i++;
            } else {
                j++;
            }
        }
        pairs.addAll(gap(fromBefore + openI, before - openI, fromAfter + openJ, after - openJ, likeness));
        return pairs;
    }

    /**
     * Pages between others that stand for each other: as many on both sides have changed one by one, otherwise they are gone and
     * new.
     */
    private static List<Pair> gap(int fromBefore, int before, int fromAfter, int after, Likeness likeness) {
        List<Pair> pairs = new ArrayList<>();
        if (before == after && IntStream.rangeClosed(1, before).allMatch(n -> likeness.canBe(fromBefore + n, fromAfter + n))) {
            for (int n = 1; n <= before; n++) pairs.add(new Pair(fromBefore + n, fromAfter + n, false));
            return pairs;
        }
        for (int n = 1; n <= before; n++) pairs.add(new Pair(fromBefore + n, 0, false));
        for (int n = 1; n <= after; n++) pairs.add(new Pair(0, fromAfter + n, false));
        return pairs;
    }

    /** {@return how many pages have not changed} */
    public int unchanged() {
        return (int) pairs.stream().filter(Pair::same).count();
    }

    /** {@return how many pages have not changed, and stand before or behind others than they did} */
    public int moved() {
        return (int) pairs.stream().filter(Pair::moved).count();
    }

    /** {@return how many pages have changed} */
    public int changed() {
        return (int) pairs.stream().filter(pair -> !pair.same() && pair.before() > 0 && pair.after() > 0).count();
    }

    /** {@return how many pages are new} */
    public int added() {
        return (int) pairs.stream().filter(pair -> pair.before() == 0).count();
    }

    /** {@return how many pages are gone} */
    public int gone() {
        return (int) pairs.stream().filter(pair -> pair.after() == 0).count();
    }

    /** {@return what is not the same any more, or does not stand where it stood} */
    public List<Pair> differences() {
        return pairs.stream().filter(pair -> !pair.same() || pair.moved()).toList();
    }

    /** {@return by the page of the older version, counted from 1, what stands for it; nothing at 0} */
    Pair[] byBefore() {
        int most = pairs.stream().mapToInt(Pair::before).max().orElse(0);
        Pair[] by = new Pair[most + 1];
        Arrays.fill(by, new Pair(0, 1, false));
        for (Pair pair : pairs) if (pair.before() > 0) by[pair.before()] = pair;
        return by;
    }
}
