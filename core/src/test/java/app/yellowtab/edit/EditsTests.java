package app.yellowtab.edit;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.Origin;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.testing.Bundles;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EditsTests {
    private final Bundle start = bundle(document("x", 1), section("A", document("a", 1), document("b", 2), document("c", 3)),
            section("B", document("d", 1), section("B1", document("e", 1))), section("C"));

    private static Set<EntryId> ids(String names) {
        return Arrays.stream(names.split(" ")).map(EntryId::new).collect(Collectors.toSet());
    }

    private static Optional<EntryId> id(String name) {
        return Optional.of(new EntryId(name));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            b     | x A(b a c) B(d B1(e)) C()
            a b   | x a b A(c) B(d B1(e)) C()
            x     | x A(a b c) B(d B1(e)) C()
            d     | x A(a b c d) B(B1(e)) C()
            e     | x A(a b c) B(d e B1()) C()
            b c   | x A(b c a) B(d B1(e)) C()
            a c   | x a c A(b) B(d B1(e)) C()
            B     | x B(d B1(e)) A(a b c) C()
            A     | x A(a b c) B(d B1(e)) C()
            B C   | x B(d B1(e)) C() A(a b c)
            """)
    void moveUp(String chosen, String expected) {
        assertThat(order(Moves.up(start, ids(chosen)))).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a     | x A(b a c) B(d B1(e)) C()
            c     | x A(a b) B(c d B1(e)) C()
            b c   | x A(a) B(b c d B1(e)) C()
            x     | A(x a b c) B(d B1(e)) C()
            e     | x A(a b c) B(d B1()) C(e)
            A     | x B(d B1(e)) A(a b c) C()
            C     | x A(a b c) B(d B1(e)) C()
            a b   | x A(c a b) B(d B1(e)) C()
            """)
    void moveDown(String chosen, String expected) {
        assertThat(order(Moves.down(start, ids(chosen)))).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            B   | x A(a b c B(d B1(e))) C()
            A   | x A(a b c) B(d B1(e)) C()
            B C | x A(a b c B(d B1(e)) C())
            d   | x A(a b c) B(B1(d e)) C()
            x   | A(x a b c) B(d B1(e)) C()
            a   | x A(a b c) B(d B1(e)) C()
            """)
    void nest(String chosen, String expected) {
        assertThat(order(Moves.in(start, ids(chosen)))).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            B1 | x A(a b c) B(d) B1(e) C()
            A  | x A(a b c) B(d B1(e)) C()
            e  | x A(a b c) B(d e B1()) C()
            b  | x b A(a c) B(d B1(e)) C()
            x  | x A(a b c) B(d B1(e)) C()
            """)
    void unNest(String chosen, String expected) {
        assertThat(order(Moves.out(start, ids(chosen)))).isEqualTo(expected);
    }

    @Test
    void aSectionIsNotMovedIntoItself() {
        assertThat(Edits.moveSections(start, ids("B"), new Place(id("B1"), 0))).isSameAs(start);
    }

    @Test
    void documentsKeepTheirOrderWhenMovedTogether() {
        Bundle moved = Edits.moveDocuments(start, ids("e a x"), new Place(id("C"), 0));
        assertThat(order(moved)).isEqualTo("A(b c) B(d B1()) C(x a e)");
    }

    @Test
    void aMoveWithinASectionCountsThePlaceBeforeTheMove() {
        assertThat(order(Edits.moveDocuments(start, ids("a"), new Place(id("A"), 3)))).isEqualTo("x A(b c a) B(d B1(e)) C()");
        assertThat(order(Edits.moveDocuments(start, ids("c"), new Place(id("A"), 0)))).isEqualTo("x A(c a b) B(d B1(e)) C()");
    }

    @Test
    void whatIsTakenOutReturnsToTheTray() {
        Bundle without = Edits.takeOut(start, ids("B a"));
        assertThat(order(without)).isEqualTo("x A(b c) C()");
        assertThat(without.tray()).extracting(InTray::id).containsExactly("a", "d", "e");
        assertThat(without.unplaced()).extracting(Source::fileName).containsExactly("a.pdf", "d.pdf", "e.pdf");
    }

    @Test
    void takingOutAndPuttingBackLosesNothing() {
        Bundle typed = Edits.changeDocument(start, new EntryId("c"),
                document -> document.withTitle("Lease").withDate(DocumentDate.UNDATED)
                        .withRuns(List.of(SourcePages.of(new SourceId("c"), 2, 3), SourcePages.of(new SourceId("b"), 1, 1))));
        Bundle out = Edits.takeOut(typed, ids("c"));
        assertThat(out.unplacedPages(new SourceId("c")).shown()).isEqualTo("1-3");
        assertThat(typed.unplacedPages(new SourceId("c")).shown()).isEqualTo("1");
        Bundle back = Edits.putInIndex(out, List.of("c", "nobody"), new Place(id("A"), 2));
        assertThat(back).isEqualTo(typed);
        assertThat(Edits.dropFromTray(out, Set.of("c")).sources()).as("source b is in use").extracting(Source::fileName)
                .doesNotContain("c.pdf").contains("b.pdf");
    }

    @Test
    void whatBelongsToAnEntryMovesAndGoesWithIt() {
        Bundle start = Edits.changeDocument(this.start, new EntryId("e"), document -> document.withBelongsTo(id("c")));
        assertThat(order(Edits.moveDocuments(start, ids("c"), new Place(Optional.empty(), 0))))
                .isEqualTo("c e x A(a b) B(d B1()) C()");
        assertThat(order(Edits.moveDocuments(start, ids("e"), new Place(Optional.empty(), 0)))).as("but not the other way")
                .isEqualTo("e x A(a b c) B(d B1()) C()");
        Bundle out = Edits.takeOut(start, ids("c"));
        assertThat(order(out)).isEqualTo("x A(a b) B(d B1()) C()");
        assertThat(out.setAside()).extracting(Document::title).containsExactly("c", "e");
    }

    @Test
    void anAttachmentBelongsToItsMail() {
        Source mail = source("mail", 1);
        Source attached = source("attached", 2).withAbout(source("attached", 2).about().withAttachedTo("mail"));
        Bundle tray = Edits.addSources(start, List.of(mail, attached));
        Bundle placed = Edits.putInIndex(tray, List.of("mail", "attached"), new Place(Optional.empty(), 0));
        assertThat(placed.contents().documents().get(1).belongsTo()).contains(placed.contents().documents().getFirst().id());
        assertThat(Edits.putInIndex(tray, List.of("attached"), new Place(Optional.empty(), 0)).contents().documents().getFirst()
                .belongsTo()).isEmpty();
    }

    @Test
    void onlyTheTrayCanBeThrownAway() {
        Bundle withLoose = Edits.addSources(start, List.of(source("loose", 2)));
        Bundle emptied = Edits.dropFromTray(withLoose, Set.of("loose", "a"));
        assertThat(emptied.sources()).isEqualTo(start.sources());
    }

    @Test
    void placesBelowARow() {
        assertThat(Outline.documentPlaceBelow(start, Optional.empty())).isEqualTo(new Place(Optional.empty(), 0));
        assertThat(Outline.documentPlaceBelow(start, id("b"))).isEqualTo(new Place(id("A"), 2));
        assertThat(Outline.documentPlaceBelow(start, id("B1"))).isEqualTo(new Place(id("B1"), 0));
        assertThat(Outline.sectionPlaceBelow(start, id("b"), 0)).isEqualTo(new Place(Optional.empty(), 1));
        assertThat(Outline.sectionPlaceBelow(start, id("b"), 1)).isEqualTo(new Place(id("A"), 0));
        assertThat(Outline.sectionPlaceBelow(start, id("e"), 1)).isEqualTo(new Place(id("B"), 1));
        assertThat(Outline.sectionPlaceBelow(start, id("x"), 2)).isEqualTo(new Place(Optional.empty(), 0));
    }

    @Test
    void anEditThatChangesNothingGivesTheSameBundle() {
        assertThat(Edits.renameSection(start, new EntryId("A"), "A")).isSameAs(start);
        assertThat(Edits.takeOut(start, ids("nobody"))).isEqualTo(start);
    }

    @Test
    void undoGoesBackToTheOpeningAndRedoForthAgain() {
        History history = new History(start);
        history.step(Moves.up(start, ids("b")));
        history.step(history.present());
        history.step(Edits.takeOut(history.present(), ids("b")));
        history.undo();
        assertThat(order(history.present())).isEqualTo("x A(b a c) B(d B1(e)) C()");
        history.undo();
        history.undo();
        assertThat(history.present()).isSameAs(start);
        assertThat(history.canUndo()).isFalse();
        history.redo();
        history.redo();
        assertThat(order(history.present())).isEqualTo("x A(a c) B(d B1(e)) C()");
        history.undo();
        history.step(start);
        assertThat(history.canRedo()).isFalse();
    }

    @Test
    void whatBackgroundWorkFoundKeepsWhatWasTypedMeanwhile() {
        Bundle bundle = Bundles.bundle(Bundles.document("x", 2));
        SourceId id = new SourceId("x");
        Bundle typed = Edits.propose(bundle, id, now -> now.withTitle("Lease", Origin.USER));
        assertThat(typed.contents().documents().getFirst().title()).isEqualTo("Lease");
        Bundle read = Edits.changeSources(typed,
                Map.of(id,
                        now -> new Source(now.id(), now.fileName(), now.storedName(), now.kind(), now.bytes(), now.sha256(),
                                now.checksum(), 5,
                                now.bookmarks(), now.proposedTitle(), now.proposedDate(), now.about(), now.conversion()),
                        new SourceId("gone"), now -> now));
        assertThat(read.sources().getFirst().proposedTitle()).isEqualTo("Lease");
        assertThat(read.contents().documents().getFirst().pageCount()).isEqualTo(5);
    }

    @Test
    void whatIsFoundOutIsNoStepAndIsKnownInEveryState() {
        History history = new History(start);
        history.step(Edits.takeOut(history.present(), ids("b")));
        history.step(Edits.takeOut(history.present(), ids("d")));
        history.undo();
        history.learn(bundle -> Edits.changeSources(bundle,
                Map.of(new SourceId("a"), now -> now.withTitle("Unlocked", Origin.FIRST_PAGE))));
        assertThat(order(history.present())).isEqualTo("x A(a c) B(d B1(e)) C()");
        for (int i = 0; i < 2; i++) {
            history.undo();
            assertThat(order(history.present())).isEqualTo("x A(a b c) B(d B1(e)) C()");
            assertThat(history.present().sourcesById().get(new SourceId("a")).proposedTitle()).isEqualTo("Unlocked");
            history.redo();
            history.redo();
            assertThat(order(history.present())).isEqualTo("x A(a c) B(B1(e)) C()");
            assertThat(history.present().sourcesById().get(new SourceId("a")).proposedTitle()).isEqualTo("Unlocked");
            history.undo();
        }
        history.step(Edits.takeOut(history.present(), ids("x")));
        assertThat(history.canRedo()).isFalse();
    }
}
