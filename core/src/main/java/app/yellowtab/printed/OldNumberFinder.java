package app.yellowtab.printed;

import app.yellowtab.facts.PageText.Word;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Finds the numbers that pages carried before they came in: at the head or the foot, running on over at least three pages.
 * Stateless.
 */
public final class OldNumberFinder {
    /** "12", "- 12 -", "Page 12 of 80", "p. 12", "12/80", "TH-000123", "000123/D", "(12)". */
    private static final Pattern NUMBER = Pattern.compile(
            "[\\s\\-–—|\\[(]*(?<prefix>(?:page|pg|p)\\.?\\s*|[A-Za-z]{1,8}(?:[-_ .:/]{0,2}[A-Za-z]{1,4})?[-_ "
                    + ".:/]{0,2}|)(?<number>\\d{1,9})(?<suffix>(?:\\s*(?:of|/)\\s*\\d{1,6})?|/?[A-Z]{1,3})[\\s\\-–—|\\])]*",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern PAGE = Pattern.compile("(?:page|pg|p)\\.?\\s*", Pattern.CASE_INSENSITIVE);
    private static final int LONGEST = 40;
    private static final int FEWEST = 3;
    /** So deep from the edges, as a share of the page's height. */
    private static final double EDGE = 0.14;
    /** Words that are further apart than so many times their height are said for themselves. */
    private static final double WIDE_GAP = 2;
    /** Pages without one may stand between those that have it. */
    private static final int MOST_MISSED = 3;
    private static final float MARGIN_MM = 0.6f;

    private OldNumberFinder() {}

    /** What is the same all through a series. */
    private record Key(String prefix, String suffix, boolean foot, long offset) {}

    /** One that may be of a series. */
    private record Seen(int page, long number, OldNumbers.Place place) {}

    /** {@return the series that the pages of a file carry, by the page on which each begins; {@code handling} is "left"} */
    public static List<OldNumbers> in(SourceId source, List<BatchPage> pages) {
        Map<Key, List<Seen>> found = new LinkedHashMap<>();
        for (int page = 1; page <= pages.size(); page++) {
            Set<Key> onPage = new HashSet<>();
            BatchPage read = pages.get(page - 1);
            for (List<Word> words : atEdges(read)) seen(page, words, middle(words) > read.heightMm() / 2, found, onPage);
        }
        List<OldNumbers> series = new ArrayList<>();
        for (List<Seen> seen : found.values()) for (List<Seen> run : runs(seen)) series.add(
                new OldNumbers(source, run.getFirst().place().words(), Handling.LEFT, run.stream().map(Seen::place).toList()));
        series.sort((a, b) -> Integer.compare(a.places().getFirst().page(), b.places().getFirst().page()));
        return series;
    }

    /**
     * {@return what was decided about the numbers of a file, for those of the same words that a newer version of it carries}
     *
     * @param newer   the newer version, of which {@code pages} are
     * @param decided about the older one
     */
    public static List<OldNumbers> again(SourceId newer, List<BatchPage> pages, List<OldNumbers> decided) {
        if (decided.isEmpty()) return List.of();
        List<OldNumbers> left = new ArrayList<>(in(newer, pages));
        List<OldNumbers> again = new ArrayList<>();
        for (OldNumbers older : decided) {
            Set<String> known = words(older);
            List<OldNumbers> theirs = left.stream()
                    .filter(found -> found.places().stream().anyMatch(place -> known.contains(place.words()))).toList();
            left.removeAll(theirs);
            for (OldNumbers found : theirs) again.add(found.withHandling(older.handling()));
            if (older.handling() != Handling.IDENTITY) continue;
            // Identities need not run on: a page of them may be gone, or stand alone.
            Set<Integer> has = theirs.stream().flatMap(found -> found.places().stream()).map(OldNumbers.Place::page)
                    .collect(Collectors.toSet());
            List<OldNumbers.Place> alone = IntStream.rangeClosed(1, pages.size()).filter(page -> !has.contains(page)).boxed()
                    .flatMap(page -> carried(page, pages.get(page - 1), known).stream()).toList();
            if (!alone.isEmpty()) again.add(new OldNumbers(newer, alone.getFirst().words(), Handling.IDENTITY, alone));
        }
        return again;
    }

    /** {@return the numbers of the other side that pages carry, by the page, counted from 1} */
    public static Map<Integer, String> identities(List<BatchPage> pages, List<OldNumbers> decided) {
        Set<String> known = new HashSet<>();
        for (OldNumbers each : decided) if (each.handling() == Handling.IDENTITY) known.addAll(words(each));
        Map<Integer, String> numbers = new HashMap<>();
        if (known.isEmpty()) return numbers;
        for (int page = 1; page <= pages.size(); page++)
            carried(page, pages.get(page - 1), known).ifPresent(place -> numbers.put(place.page(), place.words()));
        return numbers;
    }

    private static Set<String> words(OldNumbers numbers) {
        return numbers.places().stream().map(OldNumbers.Place::words).collect(Collectors.toSet());
    }

    private static Optional<OldNumbers.Place> carried(int page, BatchPage read, Set<String> known) {
        return atEdges(read).stream().filter(words -> known.contains(text(words))).findFirst()
                .map(words -> new OldNumbers.Place(page, text(words), around(words)));
    }

    private static void seen(int page, List<Word> words, boolean foot, Map<Key, List<Seen>> found, Set<Key> onPage) {
        String text = text(words);
        if (text.length() > LONGEST) return;
        Matcher number = NUMBER.matcher(text);
        if (!number.matches()) return;
        long value = Long.parseLong(number.group("number"));
        boolean isPage = PAGE.matcher(number.group("prefix")).matches();
        String suffix =
                number.group("suffix").matches("\\s*(?i:of|/)\\s*\\d+") ? "of" : number.group("suffix").toUpperCase(Locale.ROOT);
        Key key = new Key(isPage ? "" : number.group("prefix").toUpperCase(Locale.ROOT), suffix, foot, value - page);
        if (onPage.add(key)) found.computeIfAbsent(key, its -> new ArrayList<>())
                .add(new Seen(page, value, new OldNumbers.Place(page, text, around(words))));
    }

    /** {@return stretches of at least three numbers with few pages between them} */
    private static Collection<List<Seen>> runs(List<Seen> seen) {
        List<List<Seen>> runs = new ArrayList<>();
        List<Seen> run = new ArrayList<>();
        for (Seen one : seen) {
            if (!run.isEmpty() && one.page() - run.getLast().page() > MOST_MISSED) {
                if (run.size() >= FEWEST) runs.add(run);
                run = new ArrayList<>();
            }
            run.add(one);
        }
        if (run.size() >= FEWEST) runs.add(run);
        return runs;
    }

    private static String text(List<Word> words) {
        return String.join(" ", words.stream().map(Word::text).toList());
    }

    private static double middle(List<Word> words) {
        return words.getFirst().topMm() + words.getFirst().heightMm() / 2;
    }

    /** {@return the pieces at the head and the foot of a page} */
    private static List<List<Word>> atEdges(BatchPage page) {
        return pieces(page).stream()
                .filter(words -> middle(words) > page.heightMm() * (1 - EDGE) || middle(words) < page.heightMm() * EDGE).toList();
    }

    /** {@return the words of a page in the pieces that stand for themselves} */
    private static List<List<Word>> pieces(BatchPage page) {
        List<List<Word>> pieces = new ArrayList<>();
        for (List<Word> line : page.text().lines()) {
            List<Word> piece = new ArrayList<>();
            for (Word word : line) {
                boolean apart =
                        !piece.isEmpty() && word.leftMm() - piece.getLast().rightMm() > WIDE_GAP * Math.max(1, word.heightMm());
                if (apart) {
                    pieces.add(piece);
                    piece = new ArrayList<>();
                }
                piece.add(word);
            }
            pieces.add(piece);
        }
        return pieces;
    }

    private static Area around(List<Word> words) {
        float left = Float.MAX_VALUE;
        float top = Float.MAX_VALUE;
        float right = 0;
        float bottom = 0;
        for (Word word : words) {
            left = Math.min(left, word.leftMm());
            top = Math.min(top, word.topMm());
            right = Math.max(right, word.rightMm());
            bottom = Math.max(bottom, word.topMm() + word.heightMm() * 1.25f);
        }
        return new Area(left - MARGIN_MM, top - MARGIN_MM, right - left + 2 * MARGIN_MM, bottom - top + 2 * MARGIN_MM);
    }
}
