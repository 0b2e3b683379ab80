package app.yellowtab.printed;

import app.yellowtab.find.BundleWords;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.LoggerFactory;

/**
 * Numbers that pages of a bundle carried before, beside those that they bear in it.
 *
 * @param numbers   with what was decided about them; "left" where nothing was
 * @param isDecided whether something was
 * @param fileName  of the file that they stand in
 * @param leaves    the pages of the bundle that carry them, by their indexes, in order
 * @param differing on how many of these they are other numbers than the bundle's
 */
public record OldSeries(OldNumbers numbers, boolean isDecided, String fileName, List<Integer> leaves, int differing) {
    private static final Pattern FIGURES = Pattern.compile("\\d+");

    public OldSeries {
        leaves = List.copyOf(leaves);
    }

    /** {@return the first of the numbers that pages of the bundle carry} */
    public String first() {
        return numbers.places().getFirst().words();
    }

    /** {@return the last of them} */
    public String last() {
        return numbers.places().getLast().words();
    }

    /** {@return all that the files of a bundle carry, in its order; files that cannot be read are passed over} */
    public static List<OldSeries> in(Bundle bundle, Plan plan, BundleWords words, BooleanSupplier stop) {
        return in(bundle, plan, words, new HashMap<>(), stop);
    }

    /**
     * {@return the same}
     *
     * @param known what was found in files before, by what tells their words from all others; what is found now is put in
     */
    public static List<OldSeries> in(Bundle bundle, Plan plan, BundleWords words, Map<String, List<OldNumbers>> known,
            BooleanSupplier stop) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        Map<SourceId, Map<Integer, List<Leaf>>> shown = new HashMap<>();
        List<SourceId> order = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            if (!shown.containsKey(page.source())) order.add(page.source());
            shown.computeIfAbsent(page.source(), id -> new HashMap<>()).computeIfAbsent(page.page(), n -> new ArrayList<>(1))
                    .add(leaf);
        }
        List<OldSeries> all = new ArrayList<>();
        for (SourceId id : order) {
            if (stop.getAsBoolean()) break;
            try {
                String key = id.value() + sources.get(id).pagesKey() + sources.get(id).about().recognised();
                List<OldNumbers> its = known.get(key);
                if (its == null) its = OldNumberFinder.in(id, words.pagesOf(id, stop));
                // What was stopped has pages that nobody has read.
                if (!stop.getAsBoolean()) known.put(key, its);
                for (OldNumbers found : with(its, bundle, id))
                    of(found, bundle, shown.get(id), sources.get(id)).ifPresent(all::add);
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(OldSeries.class).info("not looked through for numbers: {}", id.value(), unreadable);
            }
        }
        return all;
    }

    /** {@return what was found in a file, and behind it what was decided about numbers that are not found by themselves} */
    private static List<OldNumbers> with(List<OldNumbers> found, Bundle bundle, SourceId file) {
        List<OldNumbers> all = new ArrayList<>(found);
        for (OldNumbers decided : bundle.numbering().old()) {
            if (decided.source().equals(file) && found.stream().noneMatch(its -> its.first().equals(decided.first())))
                all.add(decided);
        }
        return all;
    }

    private static Optional<OldSeries> of(OldNumbers found, Bundle bundle, Map<Integer, List<Leaf>> shown, Source source) {
        List<Integer> leaves = new ArrayList<>();
        int differing = 0;
        for (OldNumbers.Place place : found.places()) {
            for (Leaf leaf : shown.getOrDefault(place.page(), List.of())) {
                leaves.add(leaf.index());
                if (!isSame(place.words(), leaf.label())) differing++;
            }
        }
        if (leaves.isEmpty()) return Optional.empty();
        leaves.sort(null);
        Optional<OldNumbers> decided = bundle.numbering().old().stream()
                .filter(its -> its.source().equals(found.source()) && its.first().equals(found.first())).findFirst();
        return Optional.of(new OldSeries(decided.orElse(found), decided.isPresent(), source.fileName(), leaves, differing));
    }

    private static boolean isSame(String old, String ours) {
        Matcher figures = FIGURES.matcher(old);
        return figures.find() && figures.group().replaceFirst("^0+(?=\\d)", "").equals(ours);
    }

    /** {@return the pages of a plan that carry them, by their names} */
    public List<PageKey> keys(Plan plan) {
        return leaves.stream().flatMap(index -> plan.leaf(index).key().stream()).toList();
    }
}
