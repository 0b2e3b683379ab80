package app.yellowtab.store;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.agree.Change;
import app.yellowtab.agree.IndexChanges;
import app.yellowtab.agree.IndexLine;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.History;
import app.yellowtab.edit.Moves;
import app.yellowtab.edit.PagePick;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.edit.Sorting;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.page.PageSpot;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.edit.repage.PagePairs;
import app.yellowtab.edit.repage.Replacing;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.json.BundleJson;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Spared;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.util.ArrayList;
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

/** Whatever is done with documents, one thing after the other, in whatever order. */
class EditSequencesProperties {
    private static final int EDITS = 40;
    private static final Bundle START = Edits.addSources(
            bundle(document("x", 2), section("A", document("a", 6), document("b", 1), section("Inner", document("c", 3))),
                    section("B", document("d", 12))),
            List.of(source("t", 4), source("u", 9), source("newer", 5)));

    private final Random random = new Random();
    private Plan before = Planner.plan(START);

    private <T> Optional<T> any(List<T> list) {
        return list.isEmpty() ? Optional.empty() : Optional.of(list.get(random.nextInt(list.size())));
    }

    private Set<EntryId> some(List<Document> documents) {
        Set<EntryId> ids = new HashSet<>();
        for (int n = 1 + random.nextInt(3); n > 0; n--) any(documents).ifPresent(document -> ids.add(document.id()));
        return ids;
    }

    private Optional<EntryId> anySection(Bundle bundle) {
        List<EntryId> sections = new ArrayList<>();
        bundle.contents().forEachSection(section -> sections.add(section.id()));
        return random.nextInt(4) == 0 ? Optional.empty() : any(sections);
    }

    private Set<PageKey> somePages(Bundle bundle) {
        List<PageKey> all = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments())
            for (Run run : document.runs()) for (int n = 1; n <= run.pageCount(); n++) all.add(run.key(n));
        Set<PageKey> some = new HashSet<>();
        for (int n = 1 + random.nextInt(6); n > 0; n--) any(all).ifPresent(some::add);
        return some;
    }

    private Bundle edited(Bundle now) {
        List<Document> documents = now.contents().allDocuments();
        Optional<Document> one = any(documents);
        Set<EntryId> some = some(documents);
        Optional<EntryId> section = anySection(now);
        EntryId id = one.map(Document::id).orElse(new EntryId("none"));
        int pages = one.map(Document::pageCount).orElse(1);
        return switch (random.nextInt(28)) {
            case 0 -> Sorting.sorted(now, random.nextBoolean() ? some : section.map(Set::of).orElse(some),
                    SortOrder.values()[random.nextInt(4)]);
            case 1 -> one
                    .map(document -> PagePick.pick(now, id, PageRanges
                            .read((1 + random.nextInt(3)) + "-, 1", PagePick.pagesToChooseFrom(now, document)).ranges()))
                    .orElse(now);
            case 2 -> PagePick.takeRest(now, id, EntryId.fresh());
            case 3 -> Edits.insertDocuments(now, List.of(Placeholders.placeholder("free", 1 + random.nextInt(5))),
                    new Place(section, random.nextInt(3)));
            case 4 -> any(now.tray()).map(InTray::id)
                    .map(item -> Placeholders.fill(now, id, item, Placeholders.Rest.values()[random.nextInt(2)])).orElse(now);
            case 5 -> Placeholders.reserve(now, id, random.nextInt(6));
            case 6, 7 -> Entries.divide(now, id, 1 + random.nextInt(Math.max(1, pages)), EntryId.fresh(), "part");
            case 8 -> Entries.join(now, some);
            case 9 -> documents.size() > 40 ? now : Entries.copy(now, some, new Place(section, random.nextInt(4))).bundle();
            case 10 -> Entries.moveTo(now, some, section);
            case 11 -> Entries.ownerAbove(now, some).map(owner -> Entries.tie(now, some, owner)).orElse(now);
            case 12 -> Entries.withFrontSheet(now, id, random.nextInt(3) == 0 ? "" : "OF1");
            case 13 -> Edits.takeOut(now, some);
            case 14 -> any(now.tray())
                    .map(item -> Edits.putInIndex(now, List.of(item.id()), new Place(section, random.nextInt(3)))).orElse(now);
            case 18, 19 -> PageEdits.turned(now, somePages(now), 1 + random.nextInt(3));
            case 20 -> random.nextInt(3) == 0 ? PageEdits.keptOnly(now, somePages(now)) : PageEdits.takenOut(now, somePages(now));
            case 21 -> PageEdits.reversed(now, somePages(now));
            case 22 -> PageEdits.moved(now, somePages(now),
                    new PageSpot(id, random.nextInt(4) == 0 ? Optional.empty() : somePages(now).stream().findFirst()));
            case 23 -> documents.size() > 40 ? now
                    : PageEdits.copied(now, somePages(now), new PageSpot(id, somePages(now).stream().findFirst()));
            case 24 -> PageEdits.inserted(now, new PageSpot(id, somePages(now).stream().findFirst()),
                    List.of(new BlankPages(RunId.fresh(), 1 + random.nextInt(3), BlankLook.PLAIN, true, BlankPages.Sets.BOTH)));
            case 25 -> PageEdits.replaced(now, somePages(now),
                    List.of(SourcePages.of(new SourceId("u"), 1 + random.nextInt(4), 5 + random.nextInt(4))));
            case 26 -> PageEdits.looked(now, somePages(now), look -> look
                    .withSpared(random.nextBoolean() ? List.of() : List.of(new Spared(new Area(1, 2, 3, 4), "left", "")))
                    .withRedactions(List
                            .of(new Redaction(new Area(10, 10, 1 + random.nextInt(50), 5), "private", random.nextBoolean()))));
            case 27 -> somePages(now).stream().findFirst().map(page -> random.nextBoolean()
                    ? Redacting.alsoOn(now, page, somePages(now)) : Redacting.allTakenBack(now, Set.of(page))).orElse(now);
            case 16 -> Enclosing.enclose(now, id, random.nextBoolean());
            case 17 -> random.nextBoolean() ? Enclosing.withPages(now, id) : Enclosing.supply(now, id, "On a stick");
            case 15 -> one.flatMap(PagePick::onlySource)
                    .map(older -> Replacing.replaced(now, id, older, new SourceId("newer"), pairs(now, older))).orElse(now);
            default -> random.nextBoolean() ? Moves.up(now, some) : Moves.in(now, some);
        };
    }

    private PagePairs pairs(Bundle bundle, SourceId older) {
        int shift = random.nextInt(3);
        return PagePairs.find(bundle.sourcesById().get(older).pageCount(), 5, (i, j) -> i + shift == j ? 1 : 0);
    }

    private void assertSound(Bundle bundle) {
        BundleBounds.check(bundle);
        Plan plan = Planner.plan(bundle);
        assertThat(Planner.plan(bundle, before)).as("planned with what was planned before").isEqualTo(plan);
        before = plan;
        int[] sections = {0};
        bundle.contents().forEachSection(section -> sections[0]++);
        long ours = plan.leaves().stream()
                .filter(leaf -> leaf.content() instanceof Content.Cover || leaf.content() instanceof Content.IndexSheet).count();
        assertThat(plan.pageCount()).as("what the runs say").isEqualTo(
                (int) ours + sections[0] + bundle.contents().allDocuments().stream().mapToInt(Document::pageCount).sum());
        for (int i = 0; i < plan.pageCount(); i++) assertThat(plan.leaf(i).label()).isEqualTo(String.valueOf(i + 1));
    }

    @Property
    void theBundleStaysSoundAndUndoingAllGivesTheBeginning(@ForAll @LongRange(min = 0) long seed) {
        random.setSeed(seed);
        History history = new History(START);
        for (int n = 0; n < EDITS; n++) {
            history.step(edited(history.present()));
            assertSound(history.present());
        }
        Bundle last = history.present();
        Map<PageFacts, String> facts = new HashMap<>();
        last.sources().forEach(known -> facts.put(known.about().pages(), "f"));
        Bundle read = BundleJson.read(BundleJson.write(last, facts), key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN));
        assertThat(read).as("kept in bundle.json").isEqualTo(last);
        while (history.canUndo()) history.undo();
        assertThat(history.present()).isEqualTo(START);
        while (history.canRedo()) history.redo();
        assertThat(history.present()).isEqualTo(last);
    }

    /** {@return the lines that an index of a bundle would have} */
    private static List<IndexLine> lines(Bundle bundle) {
        List<IndexLine> lines = new ArrayList<>();
        collect(bundle.contents(), 0, Optional.empty(), lines);
        return lines;
    }

    private static void collect(Contents contents, int depth, Optional<EntryId> section, List<IndexLine> lines) {
        for (Document document : contents.documents()) {
            lines.add(new IndexLine(lines.size() + 1, document.id(), true, false, depth, section, document.title(),
                    Optional.of(document.date()), document.pageCount(), Optional.of(document.agreement())));
        }
        for (var inner : contents.sections()) {
            lines.add(new IndexLine(lines.size() + 1, inner.id(), true, true, depth, section, inner.title(), Optional.empty(), 0,
                    Optional.empty()));
            collect(inner.contents(), depth + 1, Optional.of(inner.id()), lines);
        }
    }

    @Property
    void takingAllChangesOverGivesTheIndexThatCameBack(@ForAll @LongRange(min = 0) long seed) {
        random.setSeed(seed);
        Bundle theirs = START;
        for (int n = 0; n < 12; n++) {
            theirs = edited(theirs);
            EntryId said = any(theirs.contents().allDocuments()).map(Document::id).orElse(new EntryId("none"));
            theirs = Edits.changeDocument(theirs, said,
                    document -> document.withTitle(document.title() + "!")
                            .withDate(DateReader.read("May 2031", false).orElseThrow())
                            .withAgreement(new Agreement(Agreement.Standing.DISPUTED, "no")));
        }
        List<IndexLine> lines = lines(theirs);
        Bundle ours = START;
        int steps = 0;
        for (List<Change> changes = IndexChanges.of(ours, lines); !changes.isEmpty(); changes = IndexChanges.of(ours, lines)) {
            ours = IndexChanges.accept(ours, changes.get(random.nextInt(changes.size())), lines);
            assertSound(ours);
            assertThat(++steps).as("it ends").isLessThan(400);
        }
        assertThat(lines(ours).stream().map(line -> line.depth() + line.title()))
                .isEqualTo(lines.stream().map(line -> line.depth() + line.title()).toList());
    }
}
