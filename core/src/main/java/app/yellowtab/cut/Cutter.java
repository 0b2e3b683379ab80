package app.yellowtab.cut;

import app.yellowtab.cut.Cutting.Count;
import app.yellowtab.cut.Cutting.Dropped;
import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.facts.PageText;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import app.yellowtab.words.PrintedPage;
import app.yellowtab.words.TextFinder;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/** Cuts batches. Pure: the same pages, rules and hand give the same pieces. All pages are counted from 1. */
public final class Cutter {
    /** Pages whose sides differ by less are of one size. */
    private static final double SAME_MM = 3;
    private static final long MEGA = 1_000_000;

    private final List<BatchPage> pages;
    /** Before which page there is a cut, and why. */
    private final SortedMap<Integer, List<Reason>> cuts = new TreeMap<>();
    private final SortedMap<Integer, Reason> drops = new TreeMap<>();

    private Cutter(List<BatchPage> pages) {
        this.pages = pages;
    }

    /**
     * Cuts a batch.
     *
     * @param pages at least one
     * @throws IllegalArgumentException if a rule cannot be followed, such as a pattern that is none; its message says why
     */
    public static Cutting cut(List<BatchPage> pages, CutRules rules, ByHand hand) {
        if (pages.isEmpty()) throw new IllegalArgumentException("a batch needs pages");
        Cutter cutter = new Cutter(pages);
        if (rules.rules().size() == 1 && rules.rules().getFirst().isAlone()) return cutter.alone(rules.rules().getFirst(), hand);
        rules.rules().forEach(cutter::propose);
        hand.drops().forEach((page, dropped) -> {
            if (dropped) cutter.drops.put(page, Reason.HAND);
            else cutter.drops.remove(page);
        });
        cutter.drops.keySet().removeIf(page -> page < 1 || page > pages.size());
        Map<CutRule, Count> counts = cutter.counts(rules.rules());
        cutter.setLeast(rules.leastPages(), hand);
        hand.cuts().forEach((page, cut) -> {
            if (cut) cutter.cuts.put(page, List.of(Reason.HAND));
            else cutter.cuts.remove(page);
        });
        for (CutRule rule : rules.rules()) if (rule instanceof CutRule.UpTo most) counts.put(rule, cutter.upTo(most, hand));
        return new Cutting(cutter.pieces(), cutter.dropped(), counts);
    }

    /** Cuts pieces that take too much; {@return how often} Nothing is cut as long as nobody has measured the pages. */
    private Count upTo(CutRule.UpTo rule, ByHand hand) {
        int made = 0;
        if (pages.stream().anyMatch(page -> page.weight() == PageWeight.UNKNOWN)) return new Count(0, 0);
        PageWeight.Sum sum = new PageWeight.Sum();
        boolean empty = true;
        for (int page = 1; page <= pages.size(); page++) {
            if (cuts.containsKey(page)) {
                sum.clear();
                empty = true;
            }
            if (drops.containsKey(page)) continue;
            PageWeight weight = pages.get(page - 1).weight();
            if (!empty && sum.with(weight) > rule.bytes() && !hand.cuts().containsKey(page)) {
                cutBefore(page, rule, "with this page it would be more than " + size(rule.bytes()));
                made++;
                sum.clear();
            }
            sum.add(weight);
            empty = false;
        }
        return new Count(made, made);
    }

    private static String size(long bytes) {
        return bytes >= MEGA
                ? new DecimalFormat("#,##0.##", DecimalFormatSymbols.getInstance(Locale.UK)).format(bytes / (double) MEGA) + " MB"
                : String.format(Locale.UK, "%,d bytes", bytes);
    }

    private List<Dropped> dropped() {
        return drops.entrySet().stream().map(drop -> new Dropped(drop.getKey(), drop.getValue())).toList();
    }

    private Cutting alone(CutRule rule, ByHand hand) {
        List<Piece> pieces = new ArrayList<>();
        switch (rule) {
            case CutRule.Ranges ranges -> ranges(ranges, pieces);
            case CutRule.OddAndEven sides -> oddAndEven(sides, pieces);
            default -> throw new IllegalArgumentException("stands beside others: " + rule);
        }
        hand.drops().forEach((page, dropped) -> {
            if (dropped && page >= 1 && page <= pages.size()) drops.put(page, Reason.HAND);
        });
        List<Piece> kept = new ArrayList<>();
        for (Piece piece : pieces) {
            List<Integer> left = piece.pages().stream().filter(page -> !drops.containsKey(page)).toList();
            if (!left.isEmpty()) kept.add(new Piece(left, piece.reasons()));
        }
        return new Cutting(kept, dropped(), Map.of());
    }

    private void ranges(CutRule.Ranges rule, List<Piece> pieces) {
        PageRanges read = PageRanges.read(rule.typed(), pages.size());
        read.mistake().ifPresent(mistake -> {
            throw new IllegalArgumentException(
                    "in “" + rule.typed() + "”, at letter " + (mistake.at() + 1) + ", should stand " + mistake.expected());
        });
        boolean[] named = new boolean[pages.size() + 1];
        for (PageRanges.Range range : read.ranges()) {
            List<Integer> its = new ArrayList<>();
            for (int page = range.first(); page <= range.last(); page++) {
                its.add(page);
                named[page] = true;
            }
            String words =
                    range.first() == range.last() ? "page " + range.first() : "pages " + range.first() + "–" + range.last();
            pieces.add(new Piece(its,
                    List.of(Reason.of(rule, words + (range.first() == range.last() ? " was" : " were") + " named"))));
        }
        List<Integer> rest = new ArrayList<>();
        for (int page = 1; page <= pages.size(); page++) if (!named[page]) rest.add(page);
        if (rule.restStays() && !rest.isEmpty()) pieces.add(new Piece(rest, List.of(Reason.of(rule, "what was not named"))));
        else rest.forEach(page -> drops.put(page, Reason.of(rule, "it was not named")));
    }

    private void oddAndEven(CutRule.OddAndEven rule, List<Piece> pieces) {
        List<Integer> odd = new ArrayList<>();
        List<Integer> even = new ArrayList<>();
        for (int page = 1; page <= pages.size(); page++) (page % 2 == 1 ? odd : even).add(page);
        pieces.add(new Piece(odd, List.of(Reason.of(rule, "the odd pages"))));
        if (!even.isEmpty()) pieces.add(new Piece(rule.evenFromBack() ? even.reversed() : even,
                List.of(Reason.of(rule, rule.evenFromBack() ? "the even pages, from the back" : "the even pages"))));
    }

    private void propose(CutRule rule) {
        switch (rule) {
            case CutRule.EveryPages every -> {
                for (int page = every.from(); page <= pages.size(); page += every.count())
                    cutBefore(page, rule, every.count() == 1 ? "every page" : "every " + every.count() + " pages");
            }
            case CutRule.Bookmarks bookmarks ->
                    each((page, before) -> page.bookmarks().stream().filter(mark -> mark.level() <= bookmarks.level()).findFirst()
                            .map(mark -> "bookmark “" + mark.title() + "”"), rule);
            case CutRule.BlankSheets blank -> blankSheets(blank);
            case CutRule.WordsFound words -> words(words);
            case CutRule.ValueChanges value -> values(value);
            case CutRule.NumberingRestarts r -> restarts(rule);
            case CutRule.FirstPages first -> {
                List<FirstPages.Look> looks = FirstPages.of(pages);
                for (int page = 2; page <= looks.size(); page++)
                    if (looks.get(page - 1).percent() >= first.leastPercent()) cutBefore(page, rule, looks.get(page - 1).words());
            }
            case CutRule.SeparatorSheets s -> separatorSheets(rule);
            case CutRule.UpTo u -> {
                // The other rules and the hand come first; see upTo.
            }
            case CutRule.SizeChanges s -> each((page, before) -> before.flatMap(other -> sizeChange(other, page)), rule);
            case CutRule.Ranges r -> throw new IllegalArgumentException("stands alone: " + rule);
            case CutRule.OddAndEven o -> throw new IllegalArgumentException("stands alone: " + rule);
        }
    }

    /** Says why there is a cut before a page. */
    @FunctionalInterface
    private interface Test {
        Optional<String> on(BatchPage page, Optional<BatchPage> before);
    }

    private void each(Test test, CutRule rule) {
        for (int page = 1; page <= pages.size(); page++) {
            int at = page;
            test.on(pages.get(page - 1), page == 1 ? Optional.empty() : Optional.of(pages.get(page - 2)))
                    .ifPresent(words -> cutBefore(at, rule, words));
        }
    }

    private void cutBefore(int page, CutRule rule, String words) {
        if (page >= 1 && page <= pages.size()) cuts.computeIfAbsent(page, p -> new ArrayList<>()).add(Reason.of(rule, words));
    }

    private void blankSheets(CutRule.BlankSheets rule) {
        for (int page = 1; page <= pages.size(); page++) {
            if (!pages.get(page - 1).isBlank()) continue;
            if (rule.dropped()) drops.put(page, Reason.of(rule, "it is blank"));
            if (page < pages.size() && !pages.get(page).isBlank()) cutBefore(page + 1, rule, "behind a blank sheet");
        }
    }

    /** The blank back of a sheet, as a scanner that takes both sides delivers it, goes with it. */
    private void separatorSheets(CutRule rule) {
        for (int page = 1; page <= pages.size(); page++) {
            Optional<SheetCode> sheet = pages.get(page - 1).sheet();
            if (sheet.isEmpty()) continue;
            drops.put(page, Reason.of(rule, "it is a separator sheet"));
            if (page < pages.size() && pages.get(page).isBlank())
                drops.put(++page, Reason.of(rule, "it is the back of a separator sheet"));
            if (page < pages.size() && pages.get(page).sheet().isEmpty()) cutBefore(page + 1, rule,
                    "behind a separator sheet" + (sheet.get().name().isEmpty() ? "" : ", “" + sheet.get().name() + "”"));
        }
    }

    /** {@return the separator sheet that a page stands right behind} */
    static Optional<SheetCode> sheetBefore(List<BatchPage> pages, int page) {
        for (int before = page - 1; before >= 1; before--) {
            BatchPage its = pages.get(before - 1);
            if (its.sheet().isPresent() || !its.isBlank()) return its.sheet();
        }
        return Optional.empty();
    }

    private void words(CutRule.WordsFound rule) {
        Function<PageText, Optional<String>> finder = TextFinder.finder(rule);
        // Looking through thousands of pages is felt, so that all processors do it.
        List<Optional<String>> all = pages.parallelStream().map(page -> finder.apply(page.text())).toList();
        for (int page = 1; page <= pages.size(); page++) {
            int at = rule.after() ? page + 1 : page;
            all.get(page - 1).ifPresent(found -> cutBefore(at, rule,
                    "“" + found.replace('\n', ' ') + "” is " + (rule.after() ? "on the page before" : "on it")));
        }
    }

    private void values(CutRule.ValueChanges rule) {
        Optional<String> before = Optional.empty();
        List<Optional<String>> all = pages.parallelStream().map(page -> TextFinder.value(page.text(), rule.place())).toList();
        for (int page = 1; page <= pages.size(); page++) {
            Optional<String> now = all.get(page - 1);
            if (now.isEmpty()) continue;
            if (!now.equals(before)) cutBefore(page, rule, "“" + now.get() + "” begins");
            before = now;
        }
    }

    private void restarts(CutRule rule) {
        Optional<PrintedPage> before = Optional.empty();
        List<Optional<PrintedPage>> all = pages.parallelStream().map(PrintedPage::of).toList();
        for (int page = 1; page <= pages.size(); page++) {
            Optional<PrintedPage> now = all.get(page - 1);
            if (now.isPresent() && now.get().begins(before))
                cutBefore(page, rule, "its numbering begins, “" + now.get().words() + "”");
            before = now;
        }
    }

    private static Optional<String> sizeChange(BatchPage before, BatchPage page) {
        boolean same =
                Math.abs(before.widthMm() - page.widthMm()) < SAME_MM && Math.abs(before.heightMm() - page.heightMm()) < SAME_MM;
        if (same) return Optional.empty();
        boolean turned =
                Math.abs(before.widthMm() - page.heightMm()) < SAME_MM && Math.abs(before.heightMm() - page.widthMm()) < SAME_MM;
        return Optional.of(turned ? "it lies the other way"
                : "it has another size, " + Math.round(page.widthMm()) + " × " + Math.round(page.heightMm()) + " mm");
    }

    /** {@return how often each rule cuts; where the batch begins there is nothing to cut} */
    private Map<CutRule, Count> counts(List<CutRule> rules) {
        Map<CutRule, int[]> counted = new LinkedHashMap<>();
        rules.forEach(rule -> counted.put(rule, new int[2]));
        cuts.forEach((page, reasons) -> {
            if (page == 1) return;
            for (Reason reason : reasons) {
                int[] count = counted.get(reason.rule().orElseThrow());
                count[0]++;
                if (reasons.size() == 1) count[1]++;
            }
        });
        Map<CutRule, Count> counts = new HashMap<>();
        counted.forEach((rule, count) -> counts.put(rule, new Count(count[0], count[1])));
        return counts;
    }

    /** Takes away cuts that would leave a piece of fewer pages; those by hand count, and stay. */
    private void setLeast(int least, ByHand hand) {
        if (least == 1) return;
        int begin = 1;
        for (int page : List.copyOf(cuts.keySet())) {
            boolean fixed = hand.cuts().containsKey(page);
            if (page > 1 && !fixed && kept(begin, page) < least) cuts.remove(page);
            else begin = page;
        }
        for (int last : List.copyOf(cuts.keySet()).reversed()) {
            if (kept(last, pages.size() + 1) >= least || hand.cuts().containsKey(last)) break;
            cuts.remove(last);
        }
    }

    /** {@return how many pages are not dropped, from one to before another} */
    private int kept(int from, int to) {
        return to - from - drops.subMap(from, to).size();
    }

    private List<Piece> pieces() {
        List<Piece> pieces = new ArrayList<>();
        List<Integer> its = new ArrayList<>();
        List<Reason> why = List.of(Reason.BEGINNING);
        for (int page = 1; page <= pages.size(); page++) {
            List<Reason> cut = cuts.get(page);
            if (cut != null) {
                if (!its.isEmpty()) pieces.add(new Piece(its, why));
                its = new ArrayList<>();
                why = cut;
            }
            if (!drops.containsKey(page)) its.add(page);
        }
        if (!its.isEmpty()) pieces.add(new Piece(its, why));
        return pieces;
    }
}
