package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Moves;
import app.yellowtab.edit.Place;
import app.yellowtab.index.IndexLook;
import app.yellowtab.index.IndexRow;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Reading;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** What holds for the plan of every bundle. */
class PlannerProperties {
    private static final List<Source> SOURCES = List.of(source("s1", 1), source("s2", 3), source("s3", 12));

    @Provide
    Arbitrary<Bundle> bundles() {
        return Combinators.combine(contents(3), Arbitraries.of(true, false), Arbitraries.of(Separators.class))
                .as((contents, cover, separators) -> new Bundle(Bundle.EMPTY.heading(), new Layout(cover, separators),
                        FromSources.STANDARD, Reading.STANDARD, SOURCES, contents, List.of(), Numbering.NONE, List.of(),
                        RecognitionChoice.STANDARD, List.of()));
    }

    /** Bundles with numbers of every kind. */
    @Provide
    Arbitrary<Bundle> numbered() {
        Arbitrary<BundleNumber> number = Combinators
                .combine(Arbitraries.of(NumberStyle.class), Arbitraries.integers().between(1, 900), Arbitraries.of(true, false),
                        Arbitraries.of(true, false),
                        Arbitraries.of(NumberStyle.class).optional(), Arbitraries.integers().between(0, 4))
                .as((style, start, bySection, total, front, indexPages) -> {
                    BundleNumber plain = BundleNumber.STANDARD.withStyle(style).withStart(start).withBySection(bySection)
                            .withTotal(total).withIndexPages(indexPages);
                    return plain.withFront(front.filter(own -> BundleNumber.goTogether(own, plain.style())));
                });
        return Combinators.combine(bundles(), number).as((bundle, how) -> bundle.withNumbering(Numbering.NONE.withBundle(how)));
    }

    @Property
    void noNumberStandsTwiceAndEachIsTheLabelThatItsPageShows(@ForAll("numbered") Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        Set<String> labels = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            if (leaf.number().isEmpty()) continue;
            assertThat(labels.add(leaf.label())).as(leaf.label()).isTrue();
            assertThat(plan.marksOn(leaf).getFirst().words().split(" of ")[0]).isEqualTo(leaf.label());
            assertThat(plan.leafNumbered(leaf.label())).contains(leaf);
        }
        assertThat(Planner.plan(bundle, plan)).isEqualTo(plan);
    }

    @Property
    void numbersCountOnWithinWhatStandsBeforeTheirFigures(@ForAll("numbered") Bundle bundle) {
        BundleNumber how = bundle.numbering().bundle();
        Map<String, Integer> last = new HashMap<>();
        for (Leaf leaf : Planner.plan(bundle).leaves()) {
            if (leaf.number().isEmpty()) continue;
            boolean front = how.front().isPresent()
                    && (leaf.content() instanceof Content.Cover || leaf.content() instanceof Content.IndexSheet);
            String run = front ? "front" : leaf.number().get().prefix();
            int first = front || !run.isEmpty() ? 1 : how.start();
            assertThat(leaf.number().get().value()).isEqualTo(last.merge(run, first, (before, begin) -> before + 1));
        }
    }

    private Arbitrary<Contents> contents(int levels) {
        Arbitrary<List<Document>> documents = document().list().ofMaxSize(12);
        Arbitrary<List<Section>> sections = levels == 0 ? Arbitraries.just(List.of())
                : Arbitraries.lazy(() -> Combinators.combine(title(), contents(levels - 1))
                        .as((title, contents) -> new Section(EntryId.fresh(), title, contents)).list().ofMaxSize(4));
        return Combinators.combine(documents, sections).as(Contents::new);
    }

    private Arbitrary<Document> document() {
        Arbitrary<List<Run>> runs = Arbitraries.of(SOURCES)
                .flatMap(source -> Arbitraries.integers().between(1, source.pageCount())
                        .<Run>map(first -> SourcePages.of(source.id(), first, source.pageCount())))
                .list().ofMinSize(1).ofMaxSize(3);
        return Combinators.combine(title(), runs, Arbitraries.of(true, true, true, false))
                .as((title, pages, listed) -> new Document(EntryId.fresh(), title, "", DocumentDate.NOT_GIVEN, listed,
                        Optional.empty(), pages));
    }

    private Arbitrary<String> title() {
        return Arbitraries.strings().alpha().withChars(' ', 'é', '漢').ofMinLength(1).ofMaxLength(140).map(text -> "T" + text);
    }

    @Property
    void numbersRunFromOneWithoutAGap(@ForAll("bundles") Bundle bundle) {
        List<Leaf> leaves = Planner.plan(bundle).leaves();
        for (int i = 0; i < leaves.size(); i++) assertThat(leaves.get(i).label()).isEqualTo(String.valueOf(i + 1));
    }

    @Property
    void everyPageOfEveryDocumentStandsOnceInTheOrderOfTheIndex(@ForAll("bundles") Bundle bundle) {
        List<String> wanted = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments()) {
            for (Run run : document.runs()) {
                if (!(run instanceof SourcePages pages)) continue;
                for (int page = pages.first(); page <= pages.last(); page++)
                    wanted.add(document.id() + " " + pages.source() + " " + page);
            }
        }
        List<String> planned =
                Planner.plan(bundle).leaves().stream().map(Leaf::content).filter(Content.SourcePage.class::isInstance)
                        .map(Content.SourcePage.class::cast)
                        .map(leaf -> leaf.document() + " " + leaf.source() + " " + leaf.page()).toList();
        assertThat(planned).isEqualTo(wanted);
    }

    @Property
    void everyRowLeadsToTheFirstPageOfItsDocument(@ForAll("bundles") Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        for (PlannedEntry entry : plan.entries()) {
            switch (entry) {
                case PlannedEntry.PlannedSection section -> assertThat(plan.leaf(section.span().first()).content())
                        .isEqualTo(new Content.SectionTitle(section.id(), section.label(), section.title()));
                case PlannedEntry.PlannedDocument document -> {
                    Run first = document.document().runs().getFirst();
                    assertThat(plan.leaf(document.span().first()).key()).contains(first.key(1));
                    assertThat(document.span().count()).isEqualTo(document.document().pageCount());
                }
            }
        }
    }

    @Property
    void tabsAreOneToNInTheOrderOfTheRows(@ForAll("bundles") Bundle bundle) {
        List<Integer> tabs = Planner.plan(bundle).indexSheets().stream().flatMap(List::stream).map(IndexRow::entry)
                .filter(PlannedEntry.PlannedDocument.class::isInstance).map(e -> ((PlannedEntry.PlannedDocument) e).tab())
                .toList();
        for (int i = 0; i < tabs.size(); i++) assertThat(tabs.get(i)).isEqualTo(i + 1);
        assertThat(tabs).hasSize((int) bundle.contents().allDocuments().stream().filter(Document::inIndex).count());
    }

    @Property
    void theIndexHasAsManyLeavesAsSheetsAndEachIsFilledWithinThePage(@ForAll("bundles") Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        assertThat(plan.leaves().stream().filter(leaf -> leaf.content() instanceof Content.IndexSheet).count())
                .isEqualTo(plan.indexSheets().size());
        float room =
                IndexLook.TOP - IndexLook.BOTTOM - plan.headingLines().size() * IndexLook.HEADING_LINE_PT - IndexLook.COLUMNS_PT;
        for (List<IndexRow> sheet : plan.indexSheets()) {
            float height = 0;
            for (IndexRow row : sheet) height += row.heightPt();
            assertThat(height).isLessThanOrEqualTo(Math.max(room, sheet.isEmpty() ? 0 : sheet.getFirst().heightPt()) + 0.01f);
        }
    }

    @Property
    void moreRowsMoveEveryDocumentByTheSameNumberOfPages(@ForAll("bundles") Bundle bundle,
            @ForAll @IntRange(min = 1, max = 80) int more) {
        Plan before = Planner.plan(bundle);
        List<Document> added = new ArrayList<>();
        for (int i = 0; i < more; i++) added.add(Document.of(SOURCES.getFirst()));
        Bundle longer = Edits.insertSections(bundle, List.of(new Section(EntryId.fresh(), "Z", new Contents(added, List.of()))),
                new Place(Optional.empty(), Integer.MAX_VALUE));
        Plan after = Planner.plan(longer);
        int shift = after.indexSheets().size() - before.indexSheets().size();
        for (int i = 0; i < before.entries().size(); i++) {
            assertThat(after.entries().get(i).span().first()).isEqualTo(before.entries().get(i).span().first() + shift);
        }
    }

    @Property
    void aPlanMadeWithTheHelpOfAnEarlierOneIsTheSame(@ForAll("bundles") Bundle bundle, @ForAll("bundles") Bundle other) {
        List<Document> documents = bundle.contents().allDocuments();
        Bundle edited = bundle;
        for (int i = 0; i < documents.size(); i++) {
            EntryId id = documents.get(i).id();
            if (i % 4 == 0) edited = Edits.changeDocument(edited, id,
                    document -> document.withTitle("Renamed " + document.title()).withDescription("new"));
            if (i % 4 == 1) edited = Moves.out(edited, Set.of(id));
            if (i % 4 == 2) edited = Edits.takeOut(edited, Set.of(id));
        }
        assertThat(Planner.plan(edited, Planner.plan(bundle))).isEqualTo(Planner.plan(edited));
        assertThat(Planner.plan(edited, Planner.plan(other))).isEqualTo(Planner.plan(edited));
    }

    @Property
    void bookmarksNeverSkipALevel(@ForAll("bundles") Bundle bundle) {
        int previous = 0;
        for (PlannedBookmark bookmark : Planner.plan(bundle).bookmarks()) {
            assertThat(bookmark.level()).isBetween(1, previous + 1);
            previous = bookmark.level();
        }
    }

    @Property
    void movesNeverLoseOrDoubleADocument(@ForAll("bundles") Bundle bundle, @ForAll @IntRange(max = 40) int choice) {
        List<EntryId> ids = new ArrayList<>(bundle.contents().allDocuments().stream().map(Document::id).toList());
        bundle.contents().forEachSection(section -> ids.add(section.id()));
        if (ids.isEmpty()) return;
        Set<EntryId> chosen = new HashSet<>(List.of(ids.get(choice % ids.size()), ids.get((choice * 7 + 3) % ids.size())));
        for (Bundle moved : List.of(Moves.up(bundle, chosen), Moves.down(bundle, chosen), Moves.in(bundle, chosen),
                Moves.out(bundle, chosen))) {
            assertThat(moved.contents().allDocuments()).containsExactlyInAnyOrderElementsOf(bundle.contents().allDocuments());
        }
    }
}
