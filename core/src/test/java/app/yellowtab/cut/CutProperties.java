package app.yellowtab.cut;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.files.FileNames;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** What holds for every batch, whatever the rules and the hand. */
class CutProperties {
    @Provide
    Arbitrary<List<BatchPage>> batches() {
        Arbitrary<BatchPage> page = Arbitraries.oneOf(Arbitraries.just(Pages.blank()),
                Arbitraries.of("Invoice no. 1", "Invoice no. 2", "1 of 2", "2 of 2", "text").map(Pages::page),
                Arbitraries.of("one", "two").map(title -> Pages.marked(1, title, "x")));
        Arbitrary<PageWeight> weight = Combinators
                .combine(Arbitraries.longs().between(1, 4), Arbitraries.longs().between(5, 9),
                        Arbitraries.longs().between(1, 9000))
                .as((shared, own, bytes) -> new PageWeight(new long[] {shared, own}, new long[] {1500, bytes}));
        return Combinators.combine(page, weight).as(BatchPage::withWeight).list().ofMinSize(1).ofMaxSize(25);
    }

    @Provide
    Arbitrary<CutRules> rules() {
        Arbitrary<CutRule> rule = Arbitraries.oneOf(
                Combinators.combine(Arbitraries.integers().between(1, 9), Arbitraries.integers().between(1, 9))
                        .as(CutRule.EveryPages::new),
                Arbitraries.of(new CutRule.Bookmarks(1), new CutRule.BlankSheets(true), new CutRule.BlankSheets(false),
                        new CutRule.NumberingRestarts(), new CutRule.SizeChanges(), new CutRule.FirstPages(40),
                        new CutRule.UpTo(9_000),
                        new CutRule.WordsFound("text", false, false, true, Optional.empty(), true),
                        new CutRule.ValueChanges(new ValuePlace.AfterWords("Invoice no.", ""))));
        return Combinators.combine(rule.list().ofMaxSize(4), Arbitraries.integers().between(1, 4))
                .as((all, least) -> new CutRules(all.stream().distinct().toList(), least, List.of()));
    }

    @Provide
    Arbitrary<ByHand> hands() {
        Arbitrary<Map<Integer, Boolean>> some =
                Arbitraries.maps(Arbitraries.integers().between(1, 30), Arbitraries.of(true, false)).ofMaxSize(4);
        return Combinators.combine(some, some).as(ByHand::new);
    }

    @Property(tries = 300)
    void everyPageIsInOnePieceOrDroppedAndTheOrderIsKept(@ForAll("batches") List<BatchPage> pages,
            @ForAll("rules") CutRules rules, @ForAll("hands") ByHand hand) {
        Cutting cutting = Cutter.cut(pages, rules, hand);
        List<Integer> joined = new ArrayList<>(cutting.pieces().stream().flatMap(piece -> piece.pages().stream()).toList());
        assertThat(joined).as("joined again, the pieces are the batch").isSorted().doesNotHaveDuplicates();
        List<Integer> dropped = cutting.dropped().stream().map(Cutting.Dropped::page).toList();
        joined.addAll(dropped);
        assertThat(joined).containsExactlyInAnyOrderElementsOf(IntStream.rangeClosed(1, pages.size()).boxed().toList());
        hand.drops().forEach((page, gone) -> {
            if (page <= pages.size()) assertThat(dropped.contains(page)).isEqualTo(gone);
        });
        for (Cutting.Piece piece : cutting.pieces()) {
            assertThat(piece.reasons()).isNotEmpty();
            for (int page : piece.pages().subList(1, piece.pages().size()))
                assertThat(hand.cuts()).as("a cut by hand is a cut").doesNotContainEntry(page, true);
        }
        assertThat(PieceNames.of(pages, cutting, rules, "batch.pdf", false)).hasSameSizeAs(cutting.pieces())
                .allSatisfy(name -> assertThat(name.words()).isNotBlank());
    }

    @Property(tries = 200)
    void whereTheHandIsAwayNoPieceButTheOnlyOneIsTooShort(@ForAll("batches") List<BatchPage> pages,
            @ForAll("rules") CutRules rules) {
        Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
        List<CutRule.UpTo> most =
                rules.rules().stream().filter(CutRule.UpTo.class::isInstance).map(CutRule.UpTo.class::cast).toList();
        if (cutting.pieces().size() > 1 && most.isEmpty()) assertThat(cutting.pieces())
                .allSatisfy(piece -> assertThat(piece.pages()).hasSizeGreaterThanOrEqualTo(rules.leastPages()));
        for (CutRule.UpTo rule : most) {
            assertThat(cutting.pieces())
                    .allSatisfy(piece -> assertThat(piece.pages().size() == 1 || weight(pages, piece.pages()) <= rule.bytes())
                            .as("takes too much").isTrue());
        }
    }

    private static long weight(List<BatchPage> pages, List<Integer> its) {
        PageWeight.Sum sum = new PageWeight.Sum();
        its.forEach(page -> sum.add(pages.get(page - 1).weight()));
        return sum.bytes();
    }

    @Property(tries = 400)
    void typedRangesNeverThrow(@ForAll("typed") String typed, @ForAll @IntRange(min = 1, max = 60) int pages) {
        PageRanges read = PageRanges.read(typed, pages);
        assertThat(read.ranges()).allSatisfy(range -> assertThat(range.first()).isBetween(1, range.last()));
        assertThat(read.ranges()).allSatisfy(range -> assertThat(range.last()).isLessThanOrEqualTo(pages));
        read.mistake().ifPresent(mistake -> assertThat(mistake.at()).isBetween(0, typed.length()));
        if (read.mistake().isEmpty()) assertThat(read.ranges()).hasSize((int) typed.chars().filter(c -> c == ',').count() + 1);
    }

    @Provide
    Arbitrary<String> typed() {
        return Arbitraries.oneOf(Arbitraries.strings().withChars("0123456789-–, x").ofMaxLength(14),
                Arbitraries.strings().ofMaxLength(6));
    }

    @Property(tries = 300)
    void namesOfFilesAreSafeAndOnceOnly(@ForAll("names") List<String> words) {
        FileNames names = new FileNames();
        Set<String> taken = new HashSet<>();
        for (String each : words) {
            String name = names.next(each, ".pdf");
            assertThat(taken.add(name.toLowerCase(Locale.ROOT))).as("%s is there already", name).isTrue();
            assertThat(name).endsWith(".pdf").doesNotContainPattern("[<>:\"/\\\\|?*\\p{Cntrl}\\p{Cf}]")
                    .doesNotMatch("(?i)(con|prn|aux|nul|com\\d|lpt\\d)(\\..*)?").doesNotStartWith(" ").doesNotStartWith(".");
            assertThat(name.substring(0, name.length() - 4)).isNotBlank().doesNotEndWith(" ").doesNotEndWith(".");
            assertThat(name.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(230);
            try {
                assertThat(Path.of(name).getNameCount()).isEqualTo(1);
            } catch (InvalidPathException e) {
                throw new AssertionError(name, e);
            }
        }
    }

    @Provide
    Arbitrary<List<String>> names() {
        Arbitrary<String> hard = Arbitraries.of("CON", "nul.txt", "Com1 .x", "a/b", "..", " x. ", "\u202Eabc", "Straße",
                "STRASSE", "é", "e\u0301", "A", "a", "", "x".repeat(400), "\uD83C\uDF4E".repeat(90), "(2)", "a (2)");
        return Arbitraries.oneOf(hard, Arbitraries.strings().ofMaxLength(8)).list().ofMaxSize(12);
    }
}
