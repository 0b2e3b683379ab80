package app.yellowtab.edit.repage;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.History;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.json.BundleJson;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.HandCut;
import app.yellowtab.model.cut.HandDrop;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
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
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/**
 * Files are read anew and replaced, numbers issued, documents taken out and put back, in whatever order: what was said of a page
 * is said of that page. The key of a reading lists what is on its pages: a letter, and how often that page has changed.
 */
class RepagingProperties {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final int STEPS = 30;

    private final Random random = new Random();
    private int letters;

    private static Source read(Source source, List<String> pages) {
        return new Source(source.id(), source.fileName(), source.storedName(), source.kind(), source.bytes(), source.sha256(),
                source.checksum(), pages.size(), source.bookmarks(), source.proposedTitle(), source.proposedDate(),
                source.about(),
                Optional.of(new ConversionKey(String.join(" ", pages))));
    }

    private static List<String> contents(String key) {
        return List.of(key.split(" "));
    }

    private List<String> fresh(int count) {
        List<String> pages = new ArrayList<>();
        for (int i = 0; i < count; i++) pages.add("p" + letters++ + ":0");
        return pages;
    }

    /** {@return a version in which pages have come, gone, changed and moved} */
    private List<String> varied(List<String> pages) {
        List<String> now = new ArrayList<>();
        for (String page : pages) {
            int what = random.nextInt(8);
            if (what == 0) now.addAll(fresh(1));
            if (what == 2) now.add(page.split(":")[0] + ":" + ++letters);
            else if (what != 1) now.add(page);
        }
        if (now.isEmpty() || random.nextInt(5) == 0) now.addAll(fresh(2));
        if (random.nextInt(3) == 0) now.add(random.nextInt(now.size()), now.remove(random.nextInt(now.size())));
        return now;
    }

    private static Repaging repaging(Source before, Source after) {
        List<String> old = contents(before.pagesKey());
        List<String> now = contents(after.pagesKey());
        return Repaging.of(before, after, PagePairs.find(old.size(), now.size(), (i, j) -> old.get(i - 1).equals(now.get(j - 1))
                ? 1 : old.get(i - 1).split(":")[0].equals(now.get(j - 1).split(":")[0]) ? 0.8 : 0));
    }

    private <T> Optional<T> any(List<T> list) {
        return list.isEmpty() ? Optional.empty() : Optional.of(list.get(random.nextInt(list.size())));
    }

    private Optional<PageKey> anyPage(Bundle bundle) {
        List<PageKey> keys = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments())
            for (Run run : document.runs())
                if (run instanceof SourcePages) for (int n = 1; n <= run.pageCount(); n++) keys.add(run.key(n));
        return any(keys);
    }

    private Bundle start() {
        Bundle bundle = Edits.addSources(bundle(document("a", 4), document("b", 6), document("c", 1)),
                List.of(source("n", 4), source("m", 5)));
        bundle = bundle.withSources(bundle.sources().stream().map(one -> read(one, fresh(one.pageCount()))).toList());
        return NumberEdits.with(bundle, new Series(BATES, "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
    }

    /** {@return what is on a page of a run} */
    private static String on(Bundle bundle, SourcePages run, int page) {
        return contents(bundle.sourcesById().get(run.source()).pagesKey()).get(page - 1);
    }

    private void act(History history) {
        Bundle now = history.present();
        Optional<PageKey> page = anyPage(now);
        Optional<Document> document = any(now.contents().allDocuments());
        switch (random.nextInt(14)) {
            case 0, 1 -> {
                Source before = any(now.sources()).orElseThrow();
                Source after = read(before, varied(contents(before.pagesKey())));
                // A reading is learned where the file was read so, or is read so by a choice that was made before.
                history.learn(
                        state -> Edits.changeSources(state, Map.of(before.id(), its -> read(its, contents(after.pagesKey()))),
                                List.of(repaging(before, after))));
                assertCarried(now, history.present());
            }
            case 2 -> document.ifPresent(its -> {
                SourceId older = its.sources().isEmpty() ? new SourceId("a") : its.sources().getFirst();
                Source newer = any(now.sources()).orElseThrow();
                if (!older.equals(newer.id())) history.step(Replacing.replaced(now, its.id(), older, newer.id(),
                        repaging(now.sourcesById().get(older), newer).pairs()));
            });
            case 3 -> history.promise(its -> NumberEdits.issued(its, Planner.plan(its).numbersOf(its, BATES)));
            case 4 -> history.undo();
            case 5 -> history.redo();
            case 6 -> document.ifPresent(its -> history.step(Edits.takeOut(now, Set.of(its.id()))));
            case 7 -> any(now.tray()).map(InTray::id)
                    .ifPresent(id -> history.step(Edits.putInIndex(now, List.of(id), new Place(Optional.empty(), 0))));
            case 8 -> document.ifPresent(its -> history.step(
                    Entries.divide(now, its.id(), 1 + random.nextInt(its.pageCount()), EntryId.fresh(), "part")));
            case 9 -> page.ifPresent(key -> history.step(PageEdits.turned(now, Set.of(key), 1)));
            case 10 -> page.ifPresent(key -> history.step(redacted(now, key)));
            case 12 -> history.step(cutAgain(now));
            case 11 -> any(now.numbering().given())
                    .ifPresent(given -> history.promise(its -> NumberEdits.takenBack(its, List.of(given))));
            default ->
                    any(Planner.plan(now).toLookAt(Planner.plan(now).leaves())).ifPresent(again -> history.step(again.numbered()
                            ? Looking.numbered(now, again, isSamePage(now, again))
                            : Looking.seen(isSamePage(now, again) ? now : shown(now, again), again)));
        }
    }

    /** {@return the bundle with a file cut before another page, and its pieces made once more} */
    private Bundle cutAgain(Bundle now) {
        Source source = any(now.sources()).orElseThrow();
        boolean there = random.nextInt(3) > 0;
        Bundle cut = CutEdits.change(now, source, batch -> {
            PageKey at = any(batch.keys()).orElseThrow();
            return batch.withCut(at, there).withDrop(at, !there);
        });
        Batch batch = CutEdits.batchOf(cut, source);
        Set<PageKey> cuts = batch.cuts().stream().filter(HandCut::there).map(HandCut::before).collect(Collectors.toSet());
        List<List<Run>> pieces = new ArrayList<>();
        for (SourcePages run : batch.runs()) for (int page = run.first(); page <= run.last(); page++) {
            if (pieces.isEmpty() || cuts.contains(new PageKey(run.id(), page))) pieces.add(new ArrayList<>());
            pieces.getLast().add(run.part(page, page));
        }
        return CutEdits.make(cut, source, pieces.stream()
                .map(runs -> document("piece" + letters++, 1).withRuns(Runs.merged(runs))).toList(), new PiecePlace.Tray(), true);
    }

    /** {@return what is redacted in a document, by what is on the pages} */
    private static Map<String, Boolean> redacted(Bundle bundle, Document document) {
        Map<String, Boolean> redacted = new HashMap<>();
        for (Run run : document.runs())
            if (run instanceof SourcePages pages) for (int page = pages.first(); page <= pages.last(); page++)
                redacted.merge(on(bundle, pages, page), !pages.look().redactions().isEmpty(), Boolean::logicalAnd);
        return redacted;
    }

    /** What was redacted is redacted still where it is the same, wherever it stands, and otherwise somebody must look. */
    private static void assertCarried(Bundle before, Bundle after) {
        Set<String> there = new HashSet<>();
        after.sources().forEach(source -> there.addAll(contents(source.pagesKey())));
        Map<EntryId, Document> now = new HashMap<>();
        after.contents().allDocuments().forEach(document -> now.put(document.id(), document));
        for (Document document : before.contents().allDocuments()) {
            Map<String, Boolean> still = redacted(after, now.get(document.id()));
            redacted(before, document).forEach((page, hidden) -> {
                if (hidden && there.contains(page)) assertThat(still).as("%s is hidden still", page).containsEntry(page, true);
                else if (hidden) assertThat(after.toLookAt()).as("%s is not hidden any more", page)
                        .anyMatch(again -> again.document().equals(document.id()) && again.hidden());
            });
        }
    }

    private static Bundle shown(Bundle bundle, LookAgain again) {
        return again.page().map(key -> PageEdits.looked(bundle, Set.of(key), look -> look.withRedactions(List.of())))
                .orElse(bundle);
    }

    /** {@return what somebody sees who looks: whether it is the same page, changed} */
    private static boolean isSamePage(Bundle bundle, LookAgain again) {
        String was = contents(again.before().pagesKey()).get(again.was() - 1);
        for (Document document : bundle.contents().allDocuments())
            for (Run run : document.runs())
                if (run instanceof SourcePages pages && again.page().filter(key -> key.run().equals(pages.id())
                        && pages.first() <= key.page() && key.page() <= pages.last()).isPresent())
                    return on(bundle, pages, again.page().get().page()).split(":")[0].equals(was.split(":")[0]);
        return false;
    }

    /** Says in the reason what is on the page. */
    private static Bundle redacted(Bundle bundle, PageKey key) {
        for (Document document : bundle.contents().allDocuments())
            for (Run run : document.runs())
                if (run instanceof SourcePages pages && pages.id().equals(key.run()) && pages.first() <= key.page()
                        && key.page() <= pages.last())
                    return PageEdits.looked(bundle, Set.of(key), look -> look.withRedactions(
                            List.of(new Redaction(new Area(1, 2, 3, 4), on(bundle, pages, key.page()), false))));
        return bundle;
    }

    private static void assertSound(Bundle bundle, Map<String, String> issued) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        Set<PageKey> asked = new HashSet<>();
        for (LookAgain again : bundle.toLookAt()) again.page().ifPresent(asked::add);
        List<Document> documents = new ArrayList<>(bundle.contents().allDocuments());
        documents.addAll(bundle.setAside());
        for (Document document : documents) {
            for (Run run : document.runs()) {
                if (!(run instanceof SourcePages pages)) continue;
                assertThat(pages.last()).as("within its reading").isLessThanOrEqualTo(sources.get(pages.source()).pageCount());
                for (int page = pages.first(); page <= pages.last(); page++)
                    for (Redaction redaction : pages.look().redactions())
                        if (!asked.contains(new PageKey(pages.id(), page)))
                            assertThat(redaction.reason().split(":")[0]).as("the redaction of that page, maybe changed")
                                    .isEqualTo(on(bundle, pages, page).split(":")[0]);
            }
        }
        for (Batch batch : bundle.batches()) {
            for (SourcePages pages : batch.runs())
                assertThat(pages.last()).as("of a batch").isLessThanOrEqualTo(sources.get(pages.source()).pageCount());
            assertThat(batch.keys()).doesNotHaveDuplicates().containsAll(batch.cuts().stream().map(HandCut::before).toList())
                    .containsAll(batch.drops().stream().map(HandDrop::page).toList());
        }
        for (GivenNumber given : bundle.numbering().given()) {
            String page = contents(given.pagesKey()).get(given.page() - 1);
            String known = issued.putIfAbsent(given.number(), page.split(":")[0]);
            assertThat(page.split(":")[0]).as("%s is of one page for ever", given.number()).isEqualTo(known == null ? page.split(
                    ":")[0] : known);
        }
        Plan plan = Planner.plan(bundle);
        assertThat(plan.leaves()).isNotEmpty();
        for (GivenNumber back : bundle.numbering().takenBack())
            assertThat(plan.numbersOf(bundle, BATES)).as("taken back").noneMatch(one -> one.number().equals(back.number()));
    }

    @Property
    void whatIsSaidOfAPageIsSaidOfThatPageWhateverBecomesOfItsFile(@ForAll @LongRange(min = 0) long seed) {
        random.setSeed(seed);
        letters = 0;
        Bundle start = start();
        History history = new History(start);
        Map<String, String> issued = new HashMap<>();
        Set<GivenNumber> promised = new HashSet<>();
        for (int n = 0; n < STEPS; n++) {
            act(history);
            if (n % 10 == 9) history = new History(reopened(history.present()));
            assertSound(history.present(), issued);
            // A number that a changed page was said to keep may be taken from it again as long as that is still being asked.
            if (history.present().toLookAt().isEmpty()) promised.clear();
            promised.removeAll(history.present().numbering().takenBack());
            assertThat(history.present().numbering().given()).containsAll(promised);
            promised.addAll(history.present().toLookAt().isEmpty() ? history.present().numbering().given() : List.of());
        }
        Bundle last = history.present();
        assertThat(reopened(last)).as("kept in bundle.json").isEqualTo(last);
        while (history.canUndo()) {
            history.undo();
            assertSound(history.present(), issued);
        }
        assertThat(history.present().numbering().given()).containsAll(last.numbering().given());
        while (history.canRedo()) history.redo();
        assertSound(history.present(), issued);
    }

    private static Bundle reopened(Bundle bundle) {
        return BundleJson.read(BundleJson.write(bundle, facts(bundle)), key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN));
    }

    private static Map<PageFacts, String> facts(Bundle bundle) {
        Map<PageFacts, String> facts = new HashMap<>();
        bundle.sources().forEach(known -> facts.put(known.about().pages(), "f"));
        return facts;
    }
}
