package app.yellowtab.compare;

import app.yellowtab.edit.repage.PagePairs;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Comments;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.printed.OldNumberFinder;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.slf4j.LoggerFactory;

/**
 * Finds which pages of two versions of a file are the same, by what a reader sees: their words, and where these are the same,
 * their pictures; and by the numbers of the other side, which no other page bears. For one thread.
 */
public final class FileComparison implements PagePairs.Likeness {
    private final PageRenderer renderer;
    private final Version before;
    private final Version after;
    private final BooleanSupplier stop;
    private final Progress progress;
    private final Optional<PageObjects> olderObjects;
    private final Optional<PageObjects> newerObjects;
    private int drawn;

    /**
     * What was found.
     *
     * @param pairs   which pages stand for each other
     * @param numbers what was decided about the numbers that pages of the older version carried, for those of the newer one
     */
    public record Compared(PagePairs pairs, List<OldNumbers> numbers) {
        public Compared {
            numbers = List.copyOf(numbers);
        }
    }

    /** One of the two, with what is known of its pages by now; the numbers are those of the other side, by the page. */
    private record Version(Source source, List<String> words, List<Set<String>> sets, Map<Integer, String> numbers,
            Map<Integer, Optional<PageSight>> sights, Map<String, List<Integer>> byWords) {
        static Version of(Source source, List<BatchPage> pages, List<OldNumbers> decided) {
            List<String> words = pages.stream().map(page -> page.text().text().replaceAll("\\s+", " ").strip()).toList();
            return new Version(source, words,
                    words.stream().map(text -> (Set<String>) new HashSet<>(Arrays.asList(text.split(" ")))).toList(),
                    OldNumberFinder.identities(pages, decided), new HashMap<>(), IntStream.rangeClosed(1, words.size()).boxed()
                            .collect(Collectors.groupingBy(page -> words.get(page - 1))));
        }
    }

    private FileComparison(PageRenderer renderer, Version before, Version after, Optional<PageObjects> olderObjects,
            Optional<PageObjects> newerObjects, Progress progress, BooleanSupplier stop) {
        this.renderer = renderer;
        this.before = before;
        this.after = after;
        this.olderObjects = olderObjects;
        this.newerObjects = newerObjects;
        this.progress = progress;
        this.stop = stop;
    }

    /**
     * Compares two versions of a file.
     *
     * @param decided  about the numbers that pages of the older version carry
     * @param progress is told of every page whose picture was needed
     * @param stop     asked at every page; what is found then is of no use
     * @throws IOException if one of them is gone, is locked or cannot be made out
     */
    public static Compared compare(PageRenderer renderer, SourceFiles files, Source before, Source after,
            List<OldNumbers> decided, Progress progress, BooleanSupplier stop) throws IOException {
        List<BatchPage> older = BatchPages.read(files, before.id(), false, Progress.NONE, stop);
        List<BatchPage> newer = BatchPages.read(files, after.id(), false, Progress.NONE, stop);
        try (PageObjects olderObjects = PageObjects.of(files, before).orElse(null);
                PageObjects newerObjects = PageObjects.of(files, after).orElse(null)) {
            FileComparison comparison =
                    new FileComparison(renderer, Version.of(before, older, decided), Version.of(after, newer, decided),
                            Optional.ofNullable(olderObjects), Optional.ofNullable(newerObjects), progress, stop);
            return new Compared(PagePairs.find(before.pageCount(), after.pageCount(), comparison),
                    OldNumberFinder.again(after.id(), newer, decided));
        }
    }

    @Override
    public double of(int older, int newer) {
        if (!canBe(older, newer)) return 0;
        double alike = seen(older, newer);
        return before.numbers.containsKey(older) && after.numbers.containsKey(newer) ? Math.max(alike, 0.99) : alike;
    }

    /** Those with the same words. */
    @Override
    public int[] likeOne(int older, int pages) {
        return after.byWords.getOrDefault(before.words.get(older - 1), List.of()).stream().mapToInt(Integer::intValue).toArray();
    }

    /** No where both bear numbers of the other side that differ. */
    @Override
    public boolean canBe(int older, int newer) {
        String number = before.numbers.get(older);
        return number == null || number.equals(after.numbers.getOrDefault(newer, number));
    }

    private double seen(int older, int newer) {
        String words = before.words.get(older - 1);
        boolean sameWords = words.equals(after.words.get(newer - 1));
        if (!sameWords)
            return words.isEmpty() ? 0 : Math.min(shared(before.sets.get(older - 1), after.sets.get(newer - 1)), 0.99);
        if (areMadeOfTheSame(older, newer)) return 1;
        Optional<PageSight> one = sight(before, older);
        Optional<PageSight> other = sight(after, newer);
        if (one.isPresent() && other.isPresent() && one.get().isLike(other.get())) return 1;
        return words.isEmpty() ? 0 : 0.99;
    }

    /** Then they need not be drawn, which takes a hundred times as long. */
    private boolean areMadeOfTheSame(int older, int newer) {
        if (stop.getAsBoolean() || olderObjects.isEmpty() || newerObjects.isEmpty()) return false;
        Optional<String> print = olderObjects.get().print(older);
        return print.isPresent() && print.equals(newerObjects.get().print(newer));
    }

    /** {@return how many of the words of both stand in each} */
    private static double shared(Set<String> one, Set<String> other) {
        Set<String> fewer = one.size() < other.size() ? one : other;
        int both = 0;
        for (String word : fewer) if ((fewer == one ? other : one).contains(word)) both++;
        return (double) both / (one.size() + other.size() - both);
    }

    /** {@return what a page looks like; empty where it cannot be drawn, and then it is like no other} */
    private Optional<PageSight> sight(Version version, int page) {
        return version.sights.computeIfAbsent(page, number -> {
            if (stop.getAsBoolean()) return Optional.empty();
            progress.report(++drawn, before.source.pageCount() + after.source.pageCount());
            try {
                return Optional.of(PageSight.of(renderer
                        .draw(renderer.page(version.source.id(), number, PageLook.PLAIN, Comments.KEPT, PageSight.WIDTH_PX))
                        .image()));
            } catch (IOException | RuntimeException lost) {
                LoggerFactory.getLogger(FileComparison.class).info("not drawn: {} {}", version.source.fileName(), number, lost);
                return Optional.empty();
            }
        });
    }
}
