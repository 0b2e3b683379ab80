package app.yellowtab.sets;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Which leaves of a plan a file holds, and where they stand in it. What is counted stands in every set. Immutable. */
public final class Output {
    /** What a file is for. */
    public enum Kind { SCREEN, PAPER, VOLUME }

    private final Kind kind;
    private final List<Leaf> leaves;
    /** By the index of the leaf; 0 where nothing leads. */
    private final int[] positions;
    private final List<PlannedBookmark> bookmarks;

    /** @param reached whether what leads to a leaf leads into this file */
    private Output(Kind kind, Plan plan, Predicate<Leaf> reached) {
        this.kind = kind;
        this.positions = new int[plan.leaves().size()];
        List<Leaf> held = new ArrayList<>(positions.length);
        for (Leaf leaf : plan.leaves()) {
            if (!reached.test(leaf)) continue;
            positions[leaf.index()] = held.size() + 1;
            if (kind == Kind.PAPER || !leaf.onlyPaper()) held.add(leaf);
        }
        this.leaves = List.copyOf(held);
        this.bookmarks = held.size() == positions.length ? plan.bookmarks() : reached(plan.bookmarks());
    }

    /** {@return the set to be read on a screen: all leaves but those that only paper has} */
    public static Output screen(Plan plan) {
        return new Output(Kind.SCREEN, plan, leaf -> true);
    }

    /** {@return the set to be printed: all leaves} */
    public static Output paper(Plan plan) {
        return new Output(Kind.PAPER, plan, leaf -> true);
    }

    /**
     * A part of the set to be read on a screen, behind the cover and the whole index.
     *
     * @param first the index of its first leaf, counted from 0
     * @param last  the index of its last leaf
     * @throws IllegalArgumentException if there are no such leaves, or only paper has them
     */
    public static Output volume(Plan plan, int first, int last) {
        if (first < 0 || last < first || last >= plan.leaves().size())
            throw new IllegalArgumentException("a volume must have leaves of the plan, got " + first + " to " + last);
        if (plan.leaves().subList(first, last + 1).stream().allMatch(Leaf::onlyPaper))
            throw new IllegalArgumentException("a volume must have leaves that a screen shows, got " + first + " to " + last);
        return new Output(Kind.VOLUME, plan, leaf -> leaf.index() >= first && leaf.index() <= last
                || leaf.content() instanceof Content.Cover || leaf.content() instanceof Content.IndexSheet);
    }

    /** {@return one of the volumes of a plan} */
    public static Output of(Plan plan, PlannedVolume volume) {
        return volume(plan, volume.first(), volume.last());
    }

    public Kind kind() {
        return kind;
    }

    /** {@return the leaves in order; never none} */
    public List<Leaf> leaves() {
        return leaves;
    }

    public int size() {
        return leaves.size();
    }

    /**
     * {@return the place in the file, counted from 1, of what leads to a leaf: its own, or that of the next where only paper has
     * it; 0 where that is in another file}
     *
     * @param index of the leaf in the plan, counted from 0
     */
    public int position(int index) {
        return Math.min(positions[index], leaves.size());
    }

    /** {@return the bookmarks that lead into the file, in order} */
    public List<PlannedBookmark> bookmarks() {
        return bookmarks;
    }

    /** A bookmark whose parent leads into another file rises to the nearest one that stays. */
    private List<PlannedBookmark> reached(List<PlannedBookmark> all) {
        List<PlannedBookmark> kept = new ArrayList<>();
        List<Integer> levels = new ArrayList<>();
        for (PlannedBookmark bookmark : all) {
            while (!levels.isEmpty() && levels.getLast() >= bookmark.level()) levels.removeLast();
            if (position(bookmark.target().leaf()) == 0) continue;
            levels.add(bookmark.level());
            kept.add(new PlannedBookmark(levels.size(), bookmark.title(), bookmark.target(), bookmark.look()));
        }
        return List.copyOf(kept);
    }
}
