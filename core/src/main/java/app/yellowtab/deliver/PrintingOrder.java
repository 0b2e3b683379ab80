package app.yellowtab.deliver;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Binder;
import app.yellowtab.sets.Output;
import app.yellowtab.table.TableWriter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import org.slf4j.LoggerFactory;

/**
 * What the person at the printer must know: how many sets, on which sides, which pages in colour or on larger sheets, where tab
 * sheets go, which pages go into which binder.
 */
public final class PrintingOrder {
    private static final List<String> HEADS = List.of("What", "Which");
    private static final List<Integer> WIDTHS = List.of(26, 70);
    /** Wide enough that a signature in blue is seen. */
    private static final int COLOUR_PX = 200;
    /** A dot whose brightest and darkest parts differ by so much, of 255, is coloured; scans of paper are warmer than grey. */
    private static final int LEAST_DIFFERENCE = 60;
    private static final int FEWEST_DOTS = 12;
    private static final double ALIKE_MM = 3;

    private final CaseHeading heading;
    private final PaperSet set;
    private final Plan plan;
    private final Output output;

    /** @param output the set to be printed of the plan */
    public PrintingOrder(CaseHeading heading, PaperSet set, Plan plan, Output output) {
        this.heading = heading;
        this.set = set;
        this.plan = plan;
        this.output = output;
    }

    /** {@return the set, divided into binders} */
    public List<Binder> binders() {
        return Binder.of(plan, output, set.twoSided(), set.binderSheets());
    }

    /**
     * Writes it, whole or not at all.
     *
     * @param coloured the pages in colour, by their places in the printed file, counted from 1
     * @param target   its ending says how: .docx, .xlsx or .csv
     * @throws FindingException if it cannot be written
     */
    public void write(Map<SourceId, Source> sources, Set<Integer> coloured, Path target) throws FindingException {
        List<List<String>> rows = new ArrayList<>();
        List<Binder> binders = binders();
        int sheets = binders.stream().mapToInt(Binder::sheets).sum();
        rows.add(List.of("Sets", set.copies() == 1 ? "1 set" : set.copies() + " sets"));
        rows.add(List.of("Sides", set.twoSided() ? "both sides of the paper, turned at the long edge" : "one side of the paper"));
        rows.add(List.of("Pages and sheets",
                output.size() + " pages in the file on " + sheets + (sheets == 1 ? " sheet" : " sheets") + " of paper a set"));
        rows.add(List.of("In colour", coloured.isEmpty() ? "no page" : places(coloured.stream().sorted().toList())));
        sizes(sources).forEach((size, places) -> rows.add(List.of("On " + size, places(places))));
        List<Integer> tabs = new ArrayList<>();
        for (int at = 1; at <= output.size(); at++)
            if (output.leaves().get(at - 1).content() instanceof Content.TabSheet) tabs.add(at);
        if (!tabs.isEmpty()) rows.add(List.of("Tab sheets", places(tabs)));
        for (Binder binder : binders)
            rows.add(List.of("Binder " + binder.number() + (binders.size() == 1 ? "" : " of " + binders.size()),
                    "pages " + binder.first() + " to " + binder.last() + " of the file, numbered " + binder.from() + " to "
                            + binder.to() + ", " + binder.sheets() + (binder.sheets() == 1 ? " sheet" : " sheets")));
        String title = heading.title().isBlank() ? "Printing order" : heading.title() + ": printing order";
        new TableWriter(title, HEADS, WIDTHS, rows, Set.of()).write(target);
    }

    /** {@return the places of pages that are larger than A4, by their size in words} */
    private Map<String, List<Integer>> sizes(Map<SourceId, Source> sources) {
        Map<String, List<Integer>> larger = new LinkedHashMap<>();
        for (int at = 1; at <= output.size(); at++) {
            int place = at;
            LeafSheet.of(output.leaves().get(at - 1), sources).filter(PrintingOrder::isLarger)
                    .ifPresent(sheet -> larger.computeIfAbsent(name(sheet), size -> new ArrayList<>()).add(place));
        }
        return larger;
    }

    private static boolean isLarger(Sheet sheet) {
        return Math.min(sheet.widthMm(), sheet.heightMm()) > Sheet.A4.widthMm() + ALIKE_MM * 3
                || Math.max(sheet.widthMm(), sheet.heightMm()) > Sheet.A4.heightMm() + ALIKE_MM;
    }

    private static String name(Sheet sheet) {
        double small = Math.min(sheet.widthMm(), sheet.heightMm());
        double large = Math.max(sheet.widthMm(), sheet.heightMm());
        double a = Sheet.A4.widthMm();
        double b = Sheet.A4.heightMm();
        for (int n = 3; n >= 0; n--) {
            double next = b;
            b = 2 * a;
            a = next;
            if (Math.abs(small - a) < ALIKE_MM && Math.abs(large - b) < ALIKE_MM) return "A" + n;
        }
        return Math.round(small) + " × " + Math.round(large) + " mm";
    }

    /**
     * {@return pages by their places in the file, each with the number that it bears, those that follow each other as one
     * stretch}
     */
    private String places(List<Integer> places) {
        List<String> stretches = new ArrayList<>();
        for (int i = 0; i < places.size();) {
            int end = i;
            while (end + 1 < places.size() && places.get(end + 1) == places.get(end) + 1) end++;
            stretches.add(end == i ? place(places.get(i)) : place(places.get(i)) + " to " + place(places.get(end)));
            i = end + 1;
        }
        return String.join(", ", stretches);
    }

    private String place(int place) {
        Leaf leaf = output.leaves().get(place - 1);
        return leaf.label().isEmpty() || leaf.label().equals(String.valueOf(place)) ? String.valueOf(place)
                : place + " (numbered " + leaf.label() + ")";
    }

    /** {@return the places of pages in colour; those that cannot be drawn count as such, so that nothing is lost} */
    public Set<Integer> coloured(PageRenderer renderer, Progress progress, BooleanSupplier stop) {
        Set<Integer> coloured = new TreeSet<>();
        for (int at = 1; at <= output.size() && !stop.getAsBoolean(); at++) {
            Leaf leaf = output.leaves().get(at - 1);
            if (leaf.content() instanceof Content.SourcePage && isColoured(renderer, leaf)) coloured.add(at);
            progress.report(at, output.size());
        }
        return coloured;
    }

    private boolean isColoured(PageRenderer renderer, Leaf leaf) {
        try {
            DrawnPage drawn = renderer.draw(renderer.leaf(plan, leaf, COLOUR_PX));
            int dots = 0;
            for (int y = 0; y < drawn.image().getHeight(); y++) {
                for (int x = 0; x < drawn.image().getWidth(); x++) {
                    int rgb = drawn.image().getRGB(x, y);
                    int red = rgb >> 16 & 255;
                    int green = rgb >> 8 & 255;
                    int blue = rgb & 255;
                    if (Math.max(red, Math.max(green, blue)) - Math.min(red, Math.min(green, blue)) > LEAST_DIFFERENCE
                            && ++dots >= FEWEST_DOTS)
                        return true;
                }
            }
            return false;
        } catch (IOException | RuntimeException | Error undrawable) {
            LoggerFactory.getLogger(PrintingOrder.class).info("not looked at for colour: {}", leaf.index(), undrawable);
            return true;
        }
    }
}
