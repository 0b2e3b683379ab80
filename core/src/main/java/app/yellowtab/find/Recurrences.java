package app.yellowtab.find;

import app.yellowtab.facts.PageText.Word;
import app.yellowtab.find.Passage.Telling;
import app.yellowtab.find.PassageFinder.Hit;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Spared;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.redact.TakenOut;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import org.slf4j.LoggerFactory;

/**
 * Where words that are redacted on one page of a bundle stand openly on others, or beside the area on the same page. What is
 * compared are the words of all pages, also those that were read in their pictures.
 */
public final class Recurrences {
    private static final int AROUND = 6;
    private static final int LEAST_RARE = 3;
    /** A name out of a long passage that stands on more than one page in so many is no news. */
    private static final int RARE = 20;

    private final Plan plan;
    private final BundleWords words;
    private final BooleanSupplier stop;
    private final Set<SourceId> unread = new HashSet<>();
    /** On how many pages a name stands alone that is redacted within a longer passage. */
    private final Map<List<String>, Integer> pagesOf = new HashMap<>();

    /** @param stop asked at every page */
    Recurrences(Plan plan, BundleWords words, BooleanSupplier stop) {
        this.plan = plan;
        this.words = words;
        this.stop = stop;
    }

    /**
     * Words that stand openly, and are redacted elsewhere.
     *
     * @param page   on which they stand
     * @param leaf   its place in the plan, counted from 0
     * @param label  what that page is called
     * @param areas  where they stand, in millimetres from the upper left of the page as it came
     * @param before the words before them
     * @param words  as they stand there
     * @param after  the words after them
     * @param there  what the page is called on which they are redacted
     * @param like   the redaction there
     * @param spared what was decided of them, area by area; empty where nothing was
     */
    public record Recurrence(PageKey page, int leaf, String label, List<Area> areas, String before, String words, String after,
            String there, Redaction like, List<Spared> spared) {
        public Recurrence {
            areas = List.copyOf(areas);
            spared = List.copyOf(spared);
        }

        public boolean isDecided() {
            return !spared.isEmpty();
        }
    }

    /**
     * What came of looking.
     *
     * @param all      in the order of the pages
     * @param wordless how many pages have no words that could be read
     */
    public record Found(List<Recurrence> all, int wordless) {
        public static final Found NOTHING = new Found(List.of(), 0);

        public Found {
            all = List.copyOf(all);
        }

        /** {@return those of which nothing is decided} */
        public List<Recurrence> open() {
            return all.stream().filter(one -> !one.isDecided()).toList();
        }
    }

    /** {@return whether anything is redacted at all; where nothing is, no page needs to be read} */
    boolean isAnyRedacted() {
        return plan.leaves().stream().anyMatch(Recurrences::isRedacted);
    }

    private static boolean isRedacted(Leaf leaf) {
        return page(leaf).filter(its -> !its.look().redactions().isEmpty()).isPresent();
    }

    /** {@return what is redacted, in the order of the pages} */
    List<Passage> passages() {
        List<Passage> passages = new ArrayList<>();
        for (Leaf leaf : plan.leaves())
            if (isRedacted(leaf)) read(leaf).ifPresent(its -> passages.addAll(passages(leaf, its)));
        return passages;
    }

    /**
     * {@return what is redacted and stands openly elsewhere}
     *
     * @param finder knows what is redacted
     * @param except pages that are passed over
     */
    Found look(PassageFinder finder, Set<PageKey> except) {
        int wordless = 0;
        List<Leaf> candidates = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (stop.getAsBoolean()) break;
            if (page(leaf).isEmpty() || leaf.key().filter(except::contains).isPresent()) continue;
            List<String> line = line(page(leaf).get());
            if (line.isEmpty()) wordless++;
            List<Hit> hits = finder.in(line, false);
            if (hits.isEmpty()) continue;
            candidates.add(leaf);
            hits.stream().filter(hit -> hit.telling() == Telling.IF_RARE).map(hit -> tokens(line, hit)).distinct()
                    .forEach(name -> pagesOf.merge(name, 1, Integer::sum));
        }
        List<Recurrence> all = new ArrayList<>();
        for (Leaf leaf : candidates) {
            if (stop.getAsBoolean()) break;
            read(leaf).ifPresent(its -> all.addAll(on(leaf, its, finder)));
        }
        return new Found(all, wordless);
    }

    private static List<String> tokens(List<String> words, Hit hit) {
        Tokens tokens = new Tokens(words.subList(hit.first(), hit.last() + 1));
        List<String> all = new ArrayList<>();
        for (int i = 0; i < tokens.size(); i++) all.add(tokens.text(i));
        return all;
    }

    private static Optional<Content.SourcePage> page(Leaf leaf) {
        return leaf.content() instanceof Content.SourcePage page && leaf.key().isPresent() ? Optional.of(page) : Optional.empty();
    }

    /** {@return the words of a page as they are compared; none where they cannot be read} */
    private List<String> line(Content.SourcePage page) {
        if (unread.contains(page.source())) return List.of();
        try {
            String line = words.line(page.source(), page.page(), stop);
            return Arrays.stream(line.split(" ")).filter(word -> !word.isEmpty()).toList();
        } catch (IOException | RuntimeException | Error unreadable) {
            return unread(page, unreadable, List.of());
        }
    }

    /** {@return what is read on a page as it came; empty where it cannot be read} */
    private Optional<BatchPage> read(Leaf leaf) {
        Content.SourcePage page = page(leaf).orElseThrow();
        if (unread.contains(page.source())) return Optional.empty();
        try {
            return words.page(page.source(), page.page());
        } catch (IOException | RuntimeException | Error unreadable) {
            return unread(page, unreadable, Optional.empty());
        }
    }

    private <T> T unread(Content.SourcePage page, Throwable why, T otherwise) {
        LoggerFactory.getLogger(Recurrences.class).info("not compared: {}", page.source().value(), why);
        unread.add(page.source());
        return otherwise;
    }

    private static Optional<Redaction> taking(Word word, BatchPage read, Content.SourcePage page) {
        return page.look().redactions().stream()
                .filter(its -> TakenOut.takes(its.area(), word, read.state(), read.widthMm(), read.heightMm())).findFirst();
    }

    /** {@return what is redacted on a page: words that follow each other} */
    private static List<Passage> passages(Leaf leaf, BatchPage read) {
        Content.SourcePage page = page(leaf).orElseThrow();
        PageKey key = leaf.key().orElseThrow();
        List<Passage> all = new ArrayList<>();
        List<String> together = new ArrayList<>();
        Optional<Redaction> first = Optional.empty();
        for (List<Word> line : read.text().lines()) for (Word word : line) {
            Optional<Redaction> by = taking(word, read, page);
            if (by.isPresent()) {
                if (together.isEmpty()) first = by;
                String before = together.isEmpty() ? "" : together.getLast();
                // What is parted at the end of a line is one word.
                if (word == line.getFirst() && before.endsWith("-") && Character.isLowerCase(word.text().codePointAt(0)))
                    together.set(together.size() - 1, before.substring(0, before.length() - 1) + word.text());
                else together.add(word.text());
            } else if (!together.isEmpty()) {
                all.add(new Passage(key, leaf.label(), first.orElseThrow(), together));
                together = new ArrayList<>();
            }
        }
        if (!together.isEmpty()) all.add(new Passage(key, leaf.label(), first.orElseThrow(), together));
        return all;
    }

    /** {@return whether words that were found tell something, as far as pages were looked through} */
    boolean tells(List<String> in, Hit hit) {
        return hit.telling() == Telling.MUCH
                || pagesOf.getOrDefault(tokens(in, hit), 0) <= Math.max(LEAST_RARE, plan.pageCount() / RARE);
    }

    /** {@return what is redacted elsewhere and stands on a page, that of a bundle or of a batch} */
    List<Recurrence> on(Leaf leaf, BatchPage read, PassageFinder finder) {
        Content.SourcePage page = page(leaf).orElseThrow();
        List<Word> all = read.text().lines().stream().flatMap(List::stream).toList();
        List<String> open = all.stream().map(word -> taking(word, read, page).isPresent() ? Tokens.END : word.text()).toList();
        List<Recurrence> found = new ArrayList<>();
        for (Hit hit : finder.in(open, false)) {
            if (!tells(open, hit)) continue;
            List<Area> areas = TakenOut.overLines(all.subList(hit.first(), hit.last() + 1), read.state(), read.widthMm(),
                    read.heightMm());
            String words = together(open, hit.first(), hit.last() + 1);
            List<Spared> spared = page.look().spared().stream().filter(its -> its.words().equals(words)
                    && areas.stream().anyMatch(area -> touch(area, its.area()))).toList();
            found.add(new Recurrence(leaf.key().orElseThrow(), leaf.index(), leaf.label(), areas,
                    together(open, Math.max(0, hit.first() - AROUND), hit.first()), words,
                    together(open, hit.last() + 1, Math.min(open.size(), hit.last() + 1 + AROUND)), hit.passage().label(),
                    hit.passage().redaction(), spared));
        }
        return found;
    }

    private static boolean touch(Area one, Area other) {
        return one.leftMm() < other.leftMm() + other.widthMm() && other.leftMm() < one.leftMm() + one.widthMm()
                && one.topMm() < other.topMm() + other.heightMm() && other.topMm() < one.topMm() + one.heightMm();
    }

    private static String together(List<String> words, int from, int to) {
        return words.subList(from, to).stream().filter(word -> !word.isEmpty()).collect(Collectors.joining(" "));
    }
}
