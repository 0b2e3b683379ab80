package app.yellowtab.sets;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.List;

/**
 * A part of the set to be printed that lies in one binder.
 *
 * @param number counted from 1
 * @param first  the place of its first page in the printed file, counted from 1
 * @param last   of its last
 * @param from   the first number that a page of it bears; empty where none does
 * @param to     the last one
 * @param sheets how many sheets of paper it is
 * @param sections the letters of the outermost sections that have pages in it, in order
 */
public record Binder(int number, int first, int last, String from, String to, int sheets, List<String> sections) {
    /** A binder that is filled less than this is not ended for a section's sake. */
    private static final double ENOUGH = 0.6;

    public Binder {
        sections = List.copyOf(sections);
    }

    /**
     * {@return the set to be printed, divided into binders} Each ends before a section where that leaves it filled enough,
     * otherwise before a document, and within one only where that alone is longer than a binder.
     *
     * @param output the set
     * @param sheets that fit into a binder; 0 for all in one
     */
    public static List<Binder> of(Plan plan, Output output, boolean twoSided, int sheets) {
        int perSheet = twoSided ? 2 : 1;
        int most = sheets == 0 ? Integer.MAX_VALUE : sheets * perSheet;
        List<Binder> binders = new ArrayList<>();
        for (int first = 1; first <= output.size();) {
            int last = output.size() - first < most ? output.size() : end(plan, output, first, most, perSheet);
            binders.add(binder(plan, output, binders.size() + 1, first, last, perSheet));
            first = last + 1;
        }
        return binders;
    }

    /** {@return the place of the last page of a binder that begins at a place} */
    private static int end(Plan plan, Output output, int first, int most, int perSheet) {
        int beforeDocument = 0;
        for (int next = first + most; next > first + perSheet; next -= perSheet) {
            // A binder begins with a sheet of its own.
            Leaf begin = output.leaves().get(next - 1);
            boolean section = begins(plan, output, next, Content.SectionTitle.class);
            if (section && next - first >= ENOUGH * most) return next - 1;
            if (beforeDocument == 0 && (section || begins(plan, output, next, Content.Divider.class) || isFirst(plan, begin)))
                beforeDocument = next - 1;
        }
        return beforeDocument > 0 ? beforeDocument : first + most - 1;
    }

    /** {@return whether a page of a kind stands at a place, or behind the tab sheet that stands there} */
    private static boolean begins(Plan plan, Output output, int place, Class<? extends Content> kind) {
        for (int at = place - 1; at < output.size(); at++) {
            Content content = output.leaves().get(at).content();
            if (kind.isInstance(content)) return true;
            if (!(content instanceof Content.TabSheet) && !(output.leaves().get(at).onlyPaper() && at > place - 1)) return false;
        }
        return false;
    }

    private static boolean isFirst(Plan plan, Leaf leaf) {
        if (leaf.content() instanceof Content.TabSheet) return true;
        return plan.entryAt(leaf.index()).filter(entry -> entry.span().first() == leaf.index()).isPresent();
    }

    private static Binder binder(Plan plan, Output output, int number, int first, int last, int perSheet) {
        List<String> labels = new ArrayList<>();
        List<String> sections = new ArrayList<>();
        for (int at = first; at <= last; at++) {
            Leaf leaf = output.leaves().get(at - 1);
            if (leaf.number().isPresent()) labels.add(leaf.label());
            String letter = plan.letterAt(leaf.index());
            if (!letter.isEmpty() && !sections.contains(letter)) sections.add(letter);
        }
        return new Binder(number, first, last, labels.isEmpty() ? "" : labels.getFirst(),
                labels.isEmpty() ? "" : labels.getLast(), (last - first + perSheet) / perSheet, sections);
    }
}
