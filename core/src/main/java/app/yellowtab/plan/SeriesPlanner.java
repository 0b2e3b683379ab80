package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.AlikeFiles;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.GivenNumber.Half;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking.PlannedSeries;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Gives the pages of sources the numbers of their series, in the order of the bundle. A number belongs to the page of the source,
 * or to its half: copies repeat it. What was given for ever stays; what comes later goes on from the last.
 */
final class SeriesPlanner {
    private SeriesPlanner() {}

    /** A page of a source, or a half of it. */
    private record Place(SourceId source, int page, Half half) {}

    /**
     * {@return the series of a bundle, worded for the leaves of its plan}
     *
     * @param before an earlier plan, of which numbers are taken over that cannot have changed, which is quicker
     */
    static List<PlannedSeries> plan(Bundle bundle, List<Leaf> leaves, List<PlannedEntry> entries, Optional<Plan> before) {
        if (bundle.numbering().series().isEmpty()) return List.of();
        List<PlannedSeries> planned = new ArrayList<>();
        boolean sameLeaves = before.filter(plan -> showTheSame(plan.leaves(), leaves)).isPresent();
        for (Series series : bundle.numbering().series()) {
            Basis basis = new Basis(series.first(), series.setting().pages(), bundle.numbering().given(), bundle.sources(),
                    bundle.numbering().alike(), bundle.numbering().takenBack());
            Optional<PlannedSeries> known = sameLeaves ? before.flatMap(plan -> plan.marking().series().stream()
                    .filter(one -> one.id().equals(series.id()) && one.basis().filter(basis::holdsLike).isPresent()).findFirst())
                    : Optional.empty();
            planned.add(known.map(one -> one.with(series.setting())).orElseGet(() -> plan(series, basis, leaves, entries)));
        }
        return planned;
    }

    private static boolean showTheSame(List<Leaf> some, List<Leaf> others) {
        if (some.size() != others.size()) return false;
        for (int i = 0; i < some.size(); i++)
            if (some.get(i) != others.get(i) && !some.get(i).content().equals(others.get(i).content())) return false;
        return true;
    }

    /** What the numbers of a series follow from, beside the leaves. */
    record Basis(String first, MarkedPages pages, List<GivenNumber> given, List<Source> sources, List<AlikeFiles> alike,
            List<GivenNumber> takenBack) {
        /**
         * {@return whether the same numbers follow from another} Typed ranges and sections look at more than what leaves show.
         */
        boolean holdsLike(Basis other) {
            return given == other.given && takenBack == other.takenBack && sources == other.sources && alike.equals(other.alike)
                    && first.equals(other.first)
                    && pages.equals(other.pages)
                    && pages.entries().isEmpty()
                    && pages.numbers().isBlank();
        }
    }

    private static PlannedSeries plan(Series series, Basis basis, List<Leaf> leaves, List<PlannedEntry> entries) {
        Optional<SerialNumber> first = SerialNumber.read(series.first());
        if (first.isEmpty()) return new PlannedSeries(series.id(), series.setting(), List.of(), 0, 0, "", Optional.empty());
        Reach reach = Reach.of(series.setting().pages(), leaves, entries);
        Map<Place, String> known = new HashMap<>();
        SerialNumber next = first.get();
        long last = -1;
        Map<SourceId, String> readings = readings(basis.sources());
        Map<SourceId, SourceId> same = same(basis.alike(), basis.sources());
        // A series that was taken off has given them, and they stay so.
        Set<String> taken = new HashSet<>();
        for (GivenNumber given : basis.takenBack()) taken.add(given.number());
        for (GivenNumber given : basis.given()) {
            if (!given.series().equals(series.id())) {
                taken.add(given.number());
                continue;
            }
            if (given.pagesKey().equals(readings.get(given.source())))
                known.putIfAbsent(place(given, same), given.number());
            last = Math.max(last, next.figuresOf(given.number()));
        }
        if (last >= next.value()) next = next.plus(last - next.value() + 1);
        int fixed = known.size();
        List<String> words = new ArrayList<>(leaves.size());
        Set<Place> seen = new HashSet<>();
        long most = -1;
        String highest = "";
        for (Leaf leaf : leaves) {
            Optional<Place> found = reach.has(leaf.index()) ? place(leaves, leaf, same) : Optional.empty();
            if (found.isEmpty()) {
                words.add("");
                continue;
            }
            Place place = found.get();
            String number = known.get(place);
            if (number == null) {
                while (taken.contains(next.shown())) next = next.plus(1);
                number = next.shown();
                next = next.plus(1);
                known.put(place, number);
            }
            words.add(number);
            seen.add(place);
            long figures = next.figuresOf(number);
            if (figures <= most) continue;
            most = figures;
            highest = number;
        }
        return new PlannedSeries(series.id(), series.setting(), List.copyOf(words), fixed, seen.size(), highest,
                Optional.of(basis));
    }

    /**
     * {@return the numbers of a series as the pages bear them at present, and those that pages bear for ever which are no more in
     * the bundle}
     */
    static List<GivenNumber> numbers(Plan plan, Bundle bundle, SeriesId id) {
        Map<SourceId, String> readings = readings(bundle.sources());
        Set<GivenNumber> numbers = new LinkedHashSet<>();
        Set<Place> known = new HashSet<>();
        for (GivenNumber given : bundle.numbering().given()) {
            if (!given.series().equals(id)) continue;
            numbers.add(given);
            if (given.pagesKey().equals(readings.get(given.source())))
                known.add(new Place(given.source(), given.page(), given.half()));
        }
        for (PlannedSeries series : plan.marking().series()) {
            if (!series.id().equals(id)) continue;
            for (Leaf leaf : plan.leaves()) {
                String words = series.words(leaf.index());
                Optional<Place> found = words.isEmpty() ? Optional.empty() : place(plan.leaves(), leaf, Map.of());
                if (found.isEmpty() || !known.add(found.get())) continue;
                Place place = found.get();
                numbers.add(new GivenNumber(id, place.source(), readings.getOrDefault(place.source(), ""), place.page(),
                        place.half(), words));
            }
        }
        return List.copyOf(numbers);
    }

    /** {@return by source, how it is read now} */
    private static Map<SourceId, String> readings(List<Source> sources) {
        Map<SourceId, String> readings = new HashMap<>();
        for (Source source : sources) readings.put(source.id(), source.pagesKey());
        return readings;
    }

    /** {@return by file, that whose numbers it has: both are one document, and still have the same pages} */
    private static Map<SourceId, SourceId> same(List<AlikeFiles> alike, List<Source> sources) {
        Map<SourceId, SourceId> same = new HashMap<>();
        if (alike.isEmpty()) return same;
        Map<SourceId, Source> byId = new HashMap<>();
        for (Source source : sources) byId.put(source.id(), source);
        for (AlikeFiles files : alike) {
            Source some = byId.get(files.one());
            Source others = byId.get(files.other());
            if (!files.oneDocument() || some == null || others == null || !some.showsTheSameAs(others)) continue;
            SourceId one = same.getOrDefault(files.one(), files.one());
            SourceId other = same.getOrDefault(files.other(), files.other());
            same.replaceAll((file, its) -> its.equals(other) ? one : its);
            same.put(other, one);
            same.remove(one);
        }
        return same;
    }

    private static Place place(GivenNumber given, Map<SourceId, SourceId> same) {
        return new Place(same.getOrDefault(given.source(), given.source()), given.page(), given.half());
    }

    /** {@return the page of a source that a leaf shows, or that it stands for because it is withheld} */
    private static Optional<Place> place(List<Leaf> leaves, Leaf leaf, Map<SourceId, SourceId> same) {
        return switch (leaf.content()) {
            case Content.SourcePage page -> Optional.of(new Place(same.getOrDefault(page.source(), page.source()), page.page(),
                    half(leaves, leaf.index(), page)));
            case Content.Withheld page ->
                    Optional.of(new Place(same.getOrDefault(page.source(), page.source()), page.page(), Half.WHOLE));
            default -> Optional.empty();
        };
    }

    /** {@return which half of its sheet a page is: two crops of one page stand beside each other} */
    static Half half(List<Leaf> leaves, int at, Content.SourcePage page) {
        if (page.look().crop().isEmpty()) return Half.WHOLE;
        if (at + 1 < leaves.size() && isOther(page, leaves.get(at + 1))) return Half.LEFT;
        return at > 0 && isOther(page, leaves.get(at - 1)) ? Half.RIGHT : Half.WHOLE;
    }

    private static boolean isOther(Content.SourcePage page, Leaf beside) {
        return beside.content() instanceof Content.SourcePage other && other.source().equals(page.source())
                && other.page() == page.page() && crop(other.look()) && !other.look().equals(page.look());
    }

    private static boolean crop(PageLook look) {
        return look.crop().isPresent();
    }
}
