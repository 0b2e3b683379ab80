package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntUnaryOperator;

/**
 * Divides the set for the screen into volumes: before documents and sections, within a document only where that alone is too long
 * and may be cut.
 */
final class VolumePlanner {
    /** A volume that is filled less than this is not ended for a section's sake. */
    private static final double ENOUGH = 0.6;

    private final Volumes volumes;
    private final List<Leaf> leaves;
    private final List<PlannedEntry> entries;
    /** How many leaves cover and index have, which stand in each volume. */
    private final int front;
    /** The indexes of leaves before which a volume may begin, in order; the first is where the first volume begins. */
    private final TreeSet<Integer> begins = new TreeSet<>();
    private final Set<Integer> outermost = new HashSet<>();

    private VolumePlanner(Volumes volumes, List<Leaf> leaves, List<PlannedEntry> entries) {
        this.volumes = volumes;
        this.leaves = leaves;
        this.entries = entries;
        this.front = (int) leaves.stream().takeWhile(leaf -> Reach.entry(leaf.content()).isEmpty()).count();
        Optional<EntryId> before = Optional.empty();
        boolean afterTitle = false;
        for (int at = front; at < leaves.size(); at++) {
            Optional<EntryId> entry = Reach.entry(leaves.get(at).content());
            // A title never stands last in a volume.
            if (!entry.equals(before) && !afterTitle) begins.add(at);
            before = entry;
            afterTitle = leaves.get(at).content() instanceof Content.SectionTitle;
        }
        for (PlannedEntry entry : entries)
            if (entry instanceof PlannedSection section && section.depth() == 0) outermost.add(section.span().first());
    }

    /** {@return the volumes in order; none where all is in one file} */
    static List<PlannedVolume> plan(Volumes volumes, List<Leaf> leaves, List<PlannedEntry> entries) {
        if (volumes.by() == Division.NOTHING) return List.of();
        VolumePlanner planner = new VolumePlanner(volumes, leaves, entries);
        if (planner.front == leaves.size()) return List.of();
        return planner.volumes(List.copyOf(planner.starts()));
    }

    /**
     * {@return the indexes of leaves before which volumes begin that are filled as far as goes}
     *
     * @param fits gives how far a volume reaches that begins with a leaf: the index of the first leaf that has no room in it
     */
    static List<Integer> starts(Plan plan, Volumes volumes, IntUnaryOperator fits) {
        VolumePlanner planner = new VolumePlanner(volumes, plan.leaves(), plan.entries());
        return planner.front == plan.leaves().size() ? List.of() : List.copyOf(planner.filled(fits));
    }

    private TreeSet<Integer> starts() {
        TreeSet<Integer> starts = new TreeSet<>(Set.of(front));
        switch (volumes.by()) {
            case NOTHING -> {}
            case SECTIONS -> starts.addAll(volumes.sections().isEmpty() ? outermost : chosen());
            case LETTERS -> starts.addAll(outermost);
            case SIZE -> starts.addAll(kept());
            case PAGES -> {
                long most = Math.max(1, volumes.most() - front);
                starts.addAll(filled(first -> (int) Math.min(first + most, leaves.size())));
            }
        }
        return starts;
    }

    /** {@return where volumes begin that are filled as far as goes, and begin where those began that were produced before} */
    private TreeSet<Integer> filled(IntUnaryOperator full) {
        TreeSet<Integer> starts = new TreeSet<>(kept());
        starts.add(front);
        for (int from : List.copyOf(starts)) {
            Integer next = starts.higher(from);
            fill(from, next == null ? leaves.size() : next, full, starts);
        }
        return starts;
    }

    private Set<Integer> chosen() {
        Set<EntryId> wanted = Set.copyOf(volumes.sections());
        Set<Integer> found = new HashSet<>();
        for (PlannedEntry entry : entries)
            if (entry instanceof PlannedSection && wanted.contains(entry.id()) && begins.contains(entry.span().first()))
                found.add(entry.span().first());
        return found;
    }

    /** {@return where those volumes begin that were produced before, as far as that is still in the bundle} */
    private Set<Integer> kept() {
        Set<EntryId> wholes = new HashSet<>();
        Set<PageKey> pages = new HashSet<>();
        for (Volumes.Start start : volumes.kept()) start.page().ifPresentOrElse(pages::add, () -> wholes.add(start.entry()));
        Set<Integer> found = new HashSet<>();
        for (int at : begins) if (Reach.entry(leaves.get(at).content()).filter(wholes::contains).isPresent()) found.add(at);
        for (Leaf leaf : leaves) if (leaf.key().filter(pages::contains).isPresent()) found.add(leaf.index());
        return found;
    }

    /** Divides a stretch of leaves by what fits into a volume. */
    private void fill(int from, int end, IntUnaryOperator fits, Set<Integer> starts) {
        for (int first = from;;) {
            int full = fits.applyAsInt(first);
            if (full >= end) return;
            int next = next(first, full);
            Integer another = begins.higher(first);
            if (next == first && volumes.cutLong()) next = Math.max(full, first + 1);
            else if (next == first) next = another == null ? end : another;
            if (next >= end) return;
            starts.add(next);
            first = next;
        }
    }

    /** {@return where the next volume begins at the latest, before a section where there is one; the same where nothing fits} */
    private int next(int first, int full) {
        int found = first;
        for (Integer at = begins.higher(first); at != null && at <= full; at = begins.higher(at)) {
            if (outermost.contains(at) && at - first >= ENOUGH * (full - first) || !outermost.contains(found)
                    || found - first < ENOUGH * (full - first))
                found = at;
        }
        return found;
    }

    private List<PlannedVolume> volumes(List<Integer> starts) {
        if (starts.size() < 2 && volumes.by() != Division.LETTERS) return List.of();
        List<PlannedVolume> all = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) {
            int first = starts.get(i);
            int last = (i + 1 < starts.size() ? starts.get(i + 1) : leaves.size()) - 1;
            List<Leaf> counted =
                    leaves.subList(first, last + 1).stream().filter(leaf -> leaf.number().isPresent()).toList();
            String from = counted.isEmpty() ? "" : counted.getFirst().label();
            String to = counted.isEmpty() ? "" : counted.getLast().label();
            boolean letters = volumes.by() == Division.LETTERS;
            all.add(new PlannedVolume(letters ? letter(first) : String.valueOf(i + 1), letters ? 0 : starts.size(), first, last,
                    from, to));
        }
        return all;
    }

    private String letter(int first) {
        for (PlannedEntry entry : entries)
            if (entry instanceof PlannedSection section && section.depth() == 0 && section.span().first() == first)
                return section.label();
        return PlannedVolume.FRONT;
    }
}
