package app.yellowtab.edit.cut;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.Pieces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.facts.About;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.PageText;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.words.BatchPage;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A batch becomes documents, and is cut again. */
class CutEditsTests {
    private static final List<BatchPage> PAGES = Collections.nCopies(6, new BatchPage(PageText.NONE, false, 210, 297, List.of()));
    private final Bundle start =
            Edits.takeOut(bundle(document("post", 6), section("A", document("x", 1))), Set.of(new EntryId("post")))
                    .withSetAside(List.of());
    private final Source post = start.sources().getFirst();

    private static Bundle ruled(Bundle bundle, Source source, CutRule... rules) {
        return CutEdits.change(bundle, source, batch -> batch.withRules(new CutRules(List.of(rules), 1, List.of()), List.of()));
    }

    private static List<Document> pieces(Bundle bundle, Source source) {
        Batch batch = CutEdits.batchOf(bundle, source);
        Cutting cutting = Cutter.cut(PAGES, batch.rules(), Pieces.byHand(batch));
        return Pieces.documents(batch, cutting, Pieces.names(batch, PAGES, cutting, "post.pdf", false));
    }

    private static Bundle make(Bundle bundle, Source source) {
        return CutEdits.make(bundle, source, pieces(bundle, source), new PiecePlace.Tray(), true);
    }

    @Test
    void theHandIsKeptUnderTheNamesOfPages() {
        Bundle ruled = ruled(start, post, new CutRule.EveryPages(3, 1));
        List<PageKey> keys = CutEdits.batchOf(ruled, post).keys();
        Bundle hand = CutEdits.change(ruled, post, batch -> batch.withCut(keys.get(1), true).withDrop(keys.get(2), true)
                .withCut(keys.get(3), false).withName(keys.get(1), " Letter "));
        assertThat(pieces(hand, post)).extracting(Document::title, Document::pageCount).containsExactly(tuple("post 001", 1),
                tuple("Letter", 4));
        assertThat(hand.batches()).hasSize(1);
        assertThat(CutEdits.change(hand, post, batch -> batch.withName(keys.get(1), "")).batches().getFirst().names()).isEmpty();
        assertThat(CutEdits.change(start, post, batch -> batch)).as("nothing is done").isSameAs(start);
    }

    @Test
    void piecesLieInTheTrayOrStandInASectionAndTheBatchDoesNotLieThereAnyMore() {
        Bundle ruled = ruled(start, post, new CutRule.EveryPages(2, 1));
        Bundle made = make(ruled, post);
        assertThat(made.setAside()).extracting(Document::title).containsExactly("post 001", "post 002", "post 003");
        assertThat(made.tray()).hasSize(3);
        Bundle placed = CutEdits.make(ruled, post, pieces(ruled, post), new PiecePlace.InSection(new EntryId("A")), true);
        assertThat(order(placed)).isEqualTo("A(x post 001 post 002 post 003)");
    }

    @Test
    void cutAgainWhatNobodyChangedIsReplacedAndWhatWasChangedStays() {
        Bundle made = make(ruled(start, post, new CutRule.EveryPages(2, 1)), post);
        Bundle put = Edits.putInIndex(made, List.of(made.setAside().get(1).id().value()), new Place(Optional.empty(), 0));
        Bundle edited = Edits.changeDocument(put, made.setAside().get(1).id(), document -> document.withTitle("Mine"));
        Bundle again = make(ruled(edited, post, new CutRule.EveryPages(3, 1)), post);
        assertThat(order(again)).isEqualTo("Mine A(x)");
        assertThat(again.setAside()).extracting(Document::title, Document::pageCount).containsExactly(tuple("post 001", 3),
                tuple("post 002", 3));
    }

    @Test
    void piecesStandInSectionsByTitleOrWhereTheirSheetsSay() {
        Bundle ruled = ruled(start, post, new CutRule.EveryPages(2, 1));
        List<Document> three = pieces(ruled, post);
        Bundle titled = CutEdits.make(ruled, post, three, new PiecePlace.Titled(" Invoices "), true);
        assertThat(titled.contents().sections().getLast().title()).isEqualTo("Invoices");
        assertThat(titled.contents().sections().getLast().contents().documents()).hasSize(3);
        String there = start.contents().sections().getFirst().title();
        Bundle sheets = CutEdits.make(ruled, post, three,
                new PiecePlace.BySheets(List.of(there.toUpperCase(Locale.ROOT), "", "Letters")), true);
        assertThat(sheets.setAside()).extracting(Document::title).containsExactly("post 002");
        assertThat(sheets.contents().sections()).extracting(Section::title).containsExactly(there, "Letters");
        assertThat(order(sheets)).contains("x post 001", "post 003");
    }

    @Test
    void madeTwiceThePagesOfTheSecondDocumentsAreCopies() {
        Bundle once = make(ruled(start, post, new CutRule.EveryPages(3, 1)), post);
        Bundle twice = CutEdits.make(once, post, pieces(once, post), new PiecePlace.Tray(), false);
        assertThat(twice.setAside()).hasSize(4);
        Set<PageKey> keys = new HashSet<>();
        for (Document piece : twice.setAside()) for (Run run : piece.runs())
            for (int n = 1; n <= run.pageCount(); n++) assertThat(keys.add(run.key(n))).as("each name once").isTrue();
    }

    @Test
    void pagesKeepTheirNamesAndAPageInTwoPiecesIsACopyInTheSecond() {
        Bundle ruled = ruled(start, post, new CutRule.Ranges("1-3, 3-4", false));
        List<Document> made = pieces(ruled, post);
        Set<PageKey> keys = new HashSet<>();
        for (Document piece : made) {
            for (Run run : piece.runs())
                for (int n = 1; n <= run.pageCount(); n++) assertThat(keys.add(run.key(n))).as("each name once").isTrue();
        }
        List<PageKey> batch = CutEdits.batchOf(ruled, post).keys();
        assertThat(keys).contains(batch.get(0), batch.get(1), batch.get(2), batch.get(3));
        assertThat(made.get(1).runs()).extracting(run -> ((SourcePages) run).first()).containsExactly(3, 4);
    }

    @Test
    void pagesThatAreTurnedKeepTheirNamesAndGoTurnedIntoThePieces() {
        Bundle ruled = ruled(start, post, new CutRule.EveryPages(3, 1));
        List<PageKey> keys = CutEdits.batchOf(ruled, post).keys();
        PageLook about = PageLook.PLAIN.withTurns(2);
        Bundle turned = CutEdits.change(ruled, post, batch -> batch.withLooks(Map.of(keys.get(1), about, keys.get(2), about)));
        assertThat(CutEdits.batchOf(turned, post).keys()).isEqualTo(keys);
        assertThat(CutEdits.batchOf(turned, post).runs())
                .extracting(SourcePages::first, SourcePages::last, run -> run.look().turns())
                .containsExactly(tuple(1, 1, 0), tuple(2, 3, 2), tuple(4, 6, 0));
        assertThat(pieces(turned, post)).extracting(piece -> piece.runs().size()).containsExactly(2, 1);
        Bundle back = CutEdits.change(turned, post,
                batch -> batch.withLooks(Map.of(keys.get(1), PageLook.PLAIN, keys.get(2), PageLook.PLAIN)));
        assertThat(CutEdits.batchOf(back, post).runs()).as("together again").hasSize(1);
    }

    @Test
    void aLongScanWaitsUntilSomethingIsMadeOfIt() {
        Source plain = source("scan", 20);
        PageFacts scanned = new PageFacts(List.of(), List.of(), new PageSet("1-15"), PageSet.NONE, Optional.empty(), 0, 0, 0, 0,
                0, 0, 0, List.of(), List.of(), false, false, "", 2);
        About about = plain.about();
        Source scan = plain.withAbout(new About(about.way(), about.trouble(), about.notes(), about.attachedTo(),
                about.titleFrom(), about.dateFrom(), about.modified(), about.made(), false, scanned, "", 0));
        Bundle bundle = start.withSources(List.of(post, scan));
        assertThat(CutEdits.waiting(bundle)).containsExactly(scan);
        PageFacts often = new PageFacts(List.of(), List.of(), PageSet.NONE, PageSet.NONE, Optional.empty(), 5, 0, 0, 0, 0, 0, 0,
                List.of(), List.of(), false, false, "", 2);
        Source batch = plain.withAbout(new About(about.way(), about.trouble(), about.notes(), about.attachedTo(),
                about.titleFrom(), about.dateFrom(), about.modified(), about.made(), false, often, "", 0));
        assertThat(CutEdits.waiting(start.withSources(List.of(post, batch)))).as("page numbers begin again and again")
                .containsExactly(batch);
        assertThat(CutEdits.waiting(Edits.putInIndex(bundle, List.of("scan"), new Place(Optional.empty(), 0)))).isEmpty();
    }

    @Test
    void aBatchGoesWithItsSource() {
        Bundle ruled = ruled(start, post, new CutRule.EveryPages(2, 1));
        assertThat(Edits.removeSources(ruled, Set.of(post.id())).batches()).isEmpty();
    }
}
