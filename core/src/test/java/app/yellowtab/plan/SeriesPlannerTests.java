package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Moves;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.AlikeFiles;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.register.NumberRegister;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Documents "a" (3 pages, in section A), "b" (2) and "c" (4, in section B). */
class SeriesPlannerTests {
    private static final SeriesId ID = new SeriesId("bates");
    private static final Bundle START = bundle(section("A", document("a", 3), document("b", 2)), section("B", document("c", 4)));

    private static Series series(String first, String... entries) {
        return new Series(ID, first, new MarkSetting(Spot.OPPOSITE, false, MarkLook.SERIES,
                MarkedPages.of(Arrays.stream(entries).map(EntryId::new).toList())));
    }

    /** {@return the numbers of the series in the order of the bundle} */
    private static List<String> numbers(Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        return plan.leaves().stream().flatMap(leaf -> plan.marksOn(leaf).stream()).filter(mark -> mark.series().equals("bates"))
                .map(Mark::words).toList();
    }

    private static Bundle issued(Bundle bundle) {
        return NumberEdits.issued(bundle, Planner.plan(bundle).numbersOf(bundle, ID));
    }

    @ParameterizedTest
    @CsvSource({"TH-000101, TH-000102, 2", "000101/D, 000102/D, 2", "AL-2031-000123, AL-2031-000124, 2", "99, 100, 2",
            "A1B22C, A1B23C, 2"})
    void aNumberCountsOnAsItWasTyped(String first, String second, int count) {
        assertThat(SerialNumber.read(first).orElseThrow().plus(count - 1).shown()).isEqualTo(second);
    }

    @ParameterizedTest
    @CsvSource({"TH-", "''", "1234567890123456", "TH\u202E-1", "'TH\n1'", "\u05D01"})
    void whatIsNoNumberIsRefused(String typed) {
        assertThat(SerialNumber.read(typed.replace("\\u202E", "\u202E").replace("\\u05D0", "\u05D0").replace("\\n", "\n")))
                .isEmpty();
        assertThat(SerialNumber.read("TH-98").orElseThrow().room()).isEqualTo(2);
    }

    @Test
    void pagesBearTheirNumbersInTheOrderOfTheBundleAndCopiesRepeatThem() {
        Bundle all = NumberEdits.with(START, series("TH-008"));
        assertThat(numbers(all)).containsExactly("TH-008", "TH-009", "TH-010", "TH-011", "TH-012", "TH-013", "TH-014", "TH-015",
                "TH-016");
        Bundle copied = Entries.copy(all, Set.of(new EntryId("b")), new Place(Optional.empty(), 0)).bundle();
        assertThat(numbers(copied)).hasSize(11).startsWith("TH-008", "TH-009").doesNotContain("TH-017");
        assertThat(numbers(NumberEdits.with(START, series("1", "B")))).as("of one section").containsExactly("1", "2", "3", "4");
        assertThat(numbers(NumberEdits.without(all, ID))).isEmpty();
        assertThat(Planner.plan(all).leafNumbered("th-010")).map(Leaf::index)
                .contains(Planner.plan(all).leafNumbered("TH-008").orElseThrow().index() + 2);
    }

    @Test
    void whatWasIssuedStaysAndWhatComesLaterGoesOnFromTheLast() {
        Bundle fixed = issued(NumberEdits.with(START, series("TH-1", "a", "b")));
        Bundle moved = Moves.up(fixed, Set.of(new EntryId("b")));
        assertThat(numbers(moved)).as("b stands before a now").containsExactly("TH-4", "TH-5", "TH-1", "TH-2", "TH-3");
        Bundle more = NumberEdits.with(moved, series("TH-1", "a", "b", "c"));
        assertThat(numbers(more)).endsWith("TH-6", "TH-7", "TH-8", "TH-9");
        List<PageKey> keys = new ArrayList<>();
        for (Run run : START.contents().allDocuments().getFirst().runs()) keys.add(run.key(1));
        assertThat(numbers(PageEdits.takenOut(more, Set.copyOf(keys)))).as("gaps stay").doesNotContain("TH-1").contains("TH-2",
                "TH-9");
        assertThat(Planner.plan(more).marking().series().getFirst().fixed()).isEqualTo(5);
    }

    @Test
    void theBundlesNumberStandsWhereItIsPutAndOnePageMayDiffer() {
        Spot head = new Spot(Spot.Row.HEAD, Spot.Column.MIDDLE, 0, 8);
        Bundle put = NumberEdits.withNumber(START, new BundleNumber(
                new MarkSetting(head, false, MarkLook.NUMBER.withSize(20), MarkedPages.ALL.without(PageKind.COVER, true))));
        Plan plan = Planner.plan(put);
        assertThat(plan.marksOn(plan.leaf(0))).as("the cover").isEmpty();
        assertThat(plan.leaf(0).label()).isEqualTo("1");
        assertThat(plan.marksOn(plan.leaf(4))).singleElement().satisfies(mark -> {
            assertThat(mark.spot()).isEqualTo(head);
            assertThat(mark.look().sizePt()).isEqualTo(20);
        });
        PageKey page = plan.leaf(4).key().orElseThrow();
        Bundle moved = NumberEdits.moved(put, page, Marking.BUNDLE, Optional.of(Spot.STANDARD));
        Plan after = Planner.plan(moved);
        assertThat(after.marksOn(after.leaf(4)).getFirst().spot()).isEqualTo(Spot.STANDARD);
        assertThat(after.marksOn(after.leaf(5)).getFirst().spot()).isEqualTo(head);
        assertThat(NumberEdits.moved(moved, page, Marking.BUNDLE, Optional.empty())).isEqualTo(put);
    }

    @Test
    void theRegisterTellsEveryPage(@TempDir Path folder) throws IOException {
        Bundle numbered = NumberEdits.with(START, series("TH-1"));
        Path target = folder.resolve("register.csv");
        assertThat(NumberRegister.write(Planner.plan(numbered), numbered.sourcesById(), ID, target)).isEqualTo(9);
        assertThat(Files.readAllLines(target)).hasSize(10).last().asString().startsWith("TH-9,");
    }

    @Property
    void numbersAreUniqueOverAnyMovesAndThoseThatWereIssuedNeverChange(@ForAll @LongRange(min = 0) long seed) {
        Random random = new Random(seed);
        Bundle now = NumberEdits.with(START, series("TH-0098"));
        Map<String, String> fixed = new HashMap<>();
        for (int n = 0; n < 15; n++) {
            List<EntryId> ids = now.contents().allDocuments().stream().map(document -> document.id()).toList();
            Set<EntryId> one = Set.of(ids.get(random.nextInt(ids.size())));
            Plan before = Planner.plan(now);
            now = switch (random.nextInt(7)) {
                case 0 -> Moves.up(now, one);
                case 1 -> Moves.down(now, one);
                case 2 -> Entries.copy(now, one, new Place(Optional.empty(), 0)).bundle();
                case 3 -> Entries.moveTo(now, one, now.contents().sections().stream().findFirst().map(section -> section.id()));
                case 4 -> NumberEdits.set(now, ID,
                        setting -> setting.withSpot(new Spot(Spot.Row.HEAD, Spot.Column.LEFT, random.nextInt(20), 10)));
                case 5 -> NumberEdits.withNumber(now, BundleNumber.STANDARD.withStart(random.nextInt(90)));
                default -> issued(now);
            };
            assertThat(Planner.plan(now, before).marking().series()).as("what is taken over of the plan before")
                    .isEqualTo(Planner.plan(now).marking().series());
            Map<String, String> pages = pages(now);
            assertThat(new HashSet<>(pages.values())).as("no number stands on two pages of files").hasSize(pages.size());
            fixed.forEach((page, number) -> assertThat(pages.getOrDefault(page, number)).isEqualTo(number));
            if (!now.numbering().given().isEmpty()) fixed.putAll(pages);
            fixed.keySet().retainAll(
                    now.numbering().given().stream().map(given -> given.source().value() + " " + given.page()).toList());
        }
    }

    /** {@return the number of each page of a file} */
    private static Map<String, String> pages(Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        Map<String, String> pages = new HashMap<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            String number = plan.marking().series().getFirst().words(leaf.index());
            assertThat(pages.merge(page.source().value() + " " + page.page(), number, (before, again) -> before))
                    .as("a copy repeats it").isEqualTo(number);
        }
        return pages;
    }

    @Test
    void aPageThatIsWithheldKeepsItsNumbersOnASlip() {
        Bundle put = NumberEdits.with(START, series("TH-000101"));
        PageKey second = put.contents().allDocuments().getFirst().runs().getFirst().key(2);
        Bundle withheld = PageEdits.withheld(put, Set.of(second), Optional.of("Privileged"));
        Plan plan = Planner.plan(withheld);
        assertThat(numbers(withheld)).isEqualTo(numbers(put));
        Leaf slip = plan.leafNumbered("TH-000102").orElseThrow();
        assertThat(slip.content()).isInstanceOfSatisfying(Content.Withheld.class,
                page -> assertThat(page.reason()).isEqualTo("Privileged"));
        assertThat(slip.label()).isEqualTo(Planner.plan(put).leafNumbered("TH-000102").orElseThrow().label());
        assertThat(plan.indexSheets().getFirst().stream().flatMap(row -> row.descriptionLines().stream()))
                .contains("1 page is withheld");
        assertThat(PageEdits.withheld(withheld, Set.of(second), Optional.empty())).isEqualTo(put);
    }

    private static Source reading(Source source, String key) {
        return new Source(source.id(), source.fileName(), source.storedName(), source.kind(), source.bytes(), source.sha256(),
                source.checksum(), source.pageCount(), source.bookmarks(), source.proposedTitle(), source.proposedDate(),
                source.about(), Optional.of(new ConversionKey(key)));
    }

    @Test
    void filesWithTheSamePagesHaveTheSameNumbersWhereTheyAreOneDocument() {
        Bundle start = bundle(section("A", document("a", 2), document("b", 2)), section("B", document("c", 4)));
        start = start.withSources(start.sources().stream()
                .map(source -> source.pageCount() == 2 ? reading(source, "the same") : source).toList());
        Bundle all = NumberEdits.with(start, series("TH-1", "a", "b"));
        assertThat(numbers(all)).containsExactly("TH-1", "TH-2", "TH-3", "TH-4");
        AlikeFiles files = new AlikeFiles(new SourceId("a"), new SourceId("b"), true);
        Bundle one = NumberEdits.alike(all, files);
        assertThat(numbers(one)).containsExactly("TH-1", "TH-2", "TH-1", "TH-2");
        assertThat(Planner.plan(one, Planner.plan(all))).as("planned with what was planned before").isEqualTo(Planner.plan(one));
        assertThat(numbers(NumberEdits.with(issued(one), series("TH-1", "a", "b", "c")))).endsWith("TH-1", "TH-2", "TH-3", "TH-4",
                "TH-5", "TH-6");
        Bundle two = NumberEdits.alike(one, new AlikeFiles(files.other(), files.one(), false));
        Bundle given = issued(one);
        assertThat(numbers(Edits.removeSources(given, Set.of(new SourceId("a"))))).as("each page has its own promise")
                .containsExactly("TH-1", "TH-2");
        Bundle read = Edits.changeSources(one, Map.of(new SourceId("b"), now -> reading(now, "other words")));
        assertThat(numbers(read)).as("not alike any more").isEqualTo(numbers(all));
        assertThat(numbers(two)).isEqualTo(numbers(all));
    }
}
