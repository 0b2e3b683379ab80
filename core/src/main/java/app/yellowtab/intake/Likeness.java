package app.yellowtab.intake;

import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Finds sources that are the same file, or show the same pages though the files differ. */
public final class Likeness {
    /** A page that so many files show, such as a blank one, tells nothing. */
    private static final int TOO_COMMON = 12;
    private static final int FEWEST_SHARED = 2;

    private Likeness() {}

    /** How two sources are alike. */
    public enum Kind {
        SAME_FILE, SAME_PAGES,
        /** At least half of one is in the other. */
        SHARED_PAGES
    }

    /**
     * A source that another is like.
     *
     * @param pages how many pages they share
     */
    public record Like(SourceId other, Kind kind, int pages) {}

    /** {@return by source, those it is like, the most alike first; sources that are like none are left out} */
    public static Map<SourceId, List<Like>> of(List<Source> sources) {
        Map<SourceId, List<Like>> found = new LinkedHashMap<>();
        Set<String> paired = new HashSet<>();
        shared(same(sources, paired, found), paired, found);
        found.values().forEach(likes -> likes.sort(Comparator.comparing(Like::kind).thenComparing(like -> -like.pages())));
        return found;
    }

    /** {@return by source, those with the same pages, which is quickly found; sources with pages of their own are left out} */
    public static Map<SourceId, List<Like>> samePages(List<Source> sources) {
        Map<SourceId, List<Like>> found = new LinkedHashMap<>();
        same(sources, new HashSet<>(), found);
        return found;
    }

    /** {@return the sources whose pages are known} */
    private static List<Source> same(List<Source> sources, Set<String> paired, Map<SourceId, List<Like>> found) {
        group(sources, Source::sha256).forEach(same -> pairUp(same, Kind.SAME_FILE, paired, found));
        List<Source> read =
                sources.stream().filter(source -> source.isRead() && !source.about().pages().prints().isEmpty()).toList();
        // Bundles of older versions have shorter fingerprints.
        boolean mixed = read.stream().map(source -> source.about().pages().printWay()).distinct().count() > 1;
        group(read, source -> mixed ? Arrays.toString(source.about().pages().likePrints()) : source.about().pages().prints())
                .forEach(same -> pairUp(same, Kind.SAME_PAGES, paired, found));
        return read;
    }

    private static List<List<Source>> group(List<Source> sources, Function<Source, String> by) {
        Map<String, List<Source>> groups = new LinkedHashMap<>();
        for (Source source : sources) groups.computeIfAbsent(by.apply(source), key -> new ArrayList<>()).add(source);
        return groups.values().stream().filter(group -> group.size() > 1).toList();
    }

    private static void pairUp(List<Source> same, Kind kind, Set<String> paired, Map<SourceId, List<Like>> found) {
        for (int i = 0; i < same.size(); i++) {
            for (int j = i + 1; j < Math.min(same.size(), i + TOO_COMMON); j++) if (kind == Kind.SAME_FILE
                    || same.get(i).showsTheSameAs(same.get(j)))
                pair(same.get(i), same.get(j), kind, same.get(i).pageCount(), paired, found);
        }
    }

    private static void pair(Source one, Source other, Kind kind, int pages, Set<String> paired,
            Map<SourceId, List<Like>> found) {
        String key = one.id().value().compareTo(other.id().value()) < 0 ? one.id().value() + " " + other.id().value()
                : other.id().value() + " " + one.id().value();
        if (!paired.add(key)) return;
        found.computeIfAbsent(one.id(), id -> new ArrayList<>()).add(new Like(other.id(), kind, pages));
        found.computeIfAbsent(other.id(), id -> new ArrayList<>()).add(new Like(one.id(), kind, pages));
    }

    private static void shared(List<Source> sources, Set<String> paired, Map<SourceId, List<Like>> found) {
        Map<Long, List<Source>> holders = new HashMap<>();
        Map<SourceId, Set<Long>> prints = new HashMap<>();
        for (Source source : sources) {
            Set<Long> own = prints(source);
            prints.put(source.id(), own);
            for (Long print : own) holders.computeIfAbsent(print, key -> new ArrayList<>()).add(source);
        }
        for (Source source : sources) {
            Map<SourceId, Integer> counts = new HashMap<>();
            Map<SourceId, Source> others = new HashMap<>();
            for (Long print : prints.getOrDefault(source.id(), Set.of())) {
                List<Source> all = holders.getOrDefault(print, List.of());
                if (all.size() > TOO_COMMON) continue;
                for (Source other : all) {
                    if (other == source) continue;
                    counts.merge(other.id(), 1, Integer::sum);
                    others.put(other.id(), other);
                }
            }
            counts.forEach((id, count) -> {
                int smaller =
                        Math.min(prints.getOrDefault(source.id(), Set.of()).size(), prints.getOrDefault(id, Set.of()).size());
                if (count >= FEWEST_SHARED && 2 * count >= smaller)
                    pair(source, others.get(id), Kind.SHARED_PAGES, count, paired, found);
            });
        }
    }

    /** {@return the fingerprints of a source's pages; those of pages that could not be looked through are left out} */
    private static Set<Long> prints(Source source) {
        Set<Long> prints = new HashSet<>();
        for (long print : source.about().pages().likePrints()) if (print != 0) prints.add(print);
        return prints;
    }
}
