package app.yellowtab.edit.page;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Planner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Pages of "a" (5), "b" (3) and "c" (1). */
class PageEditsTests {
    private final Bundle start = bundle(section("A", document("a", 5), document("b", 3)), section("B", document("c", 1)));

    private static Document find(Bundle bundle, String name) {
        return bundle.contents().allDocuments().stream().filter(document -> document.id().value().equals(name)).findFirst()
                .orElseThrow();
    }

    /** {@return the keys of pages of a document, counted from 1 through it} */
    private static Set<PageKey> keys(Bundle bundle, String name, int... pages) {
        List<PageKey> all = new ArrayList<>();
        for (Run run : find(bundle, name).runs()) for (int n = 1; n <= run.pageCount(); n++) all.add(run.key(n));
        Set<PageKey> keys = new HashSet<>();
        for (int page : pages) keys.add(all.get(page - 1));
        return keys;
    }

    private static PageKey key(Bundle bundle, String name, int page) {
        return keys(bundle, name, page).iterator().next();
    }

    /** {@return the pages of all documents as they follow each other, such as "a: a1 a2>1"; a turned page says how often} */
    private static String pages(Bundle bundle) {
        List<String> all = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments()) {
            StringBuilder pages = new StringBuilder(document.title() + ":");
            for (Run run : document.runs()) {
                for (int n = 1; n <= run.pageCount(); n++) {
                    pages.append(' ')
                            .append(run instanceof SourcePages its
                                    ? its.source().value() + its.key(n).page()
                                            + (its.look().turns() > 0 ? ">" + its.look().turns() : "")
                                    : run instanceof BlankPages ? "blank" : "ours");
                }
            }
            all.add(pages.toString());
        }
        return String.join(", ", all);
    }

    @Test
    void pagesAreTurnedEachByItself() {
        Set<PageKey> some = keys(start, "a", 2, 3, 5);
        Bundle once = PageEdits.turned(start, some, 1);
        assertThat(pages(once)).isEqualTo("a: a1 a2>1 a3>1 a4 a5>1, b: b1 b2 b3, c: c1");
        assertThat(pages(PageEdits.turned(once, keys(start, "a", 1, 2), -1)))
                .isEqualTo("a: a1>3 a2 a3>1 a4 a5>1, b: b1 b2 b3, c: c1");
        assertThat(PageEdits.turned(PageEdits.turned(once, some, 2), some, 1)).as("four quarters").isEqualTo(start);
        Bundle cropped =
                PageEdits.looked(once, some, look -> look.withCrop(Optional.of(new Area(10, 10, 50, 50))).withStraightening(2));
        assertThat(PageEdits.asTheyCame(cropped, some)).isEqualTo(start);
    }

    @Test
    void pagesAreTakenOutAndADocumentWithoutAnyLiesInTheTrayAsItWas() {
        Bundle turned = PageEdits.turned(start, keys(start, "c", 1), 1);
        Set<PageKey> gone = new HashSet<>(keys(start, "a", 1, 4));
        gone.addAll(keys(start, "c", 1));
        Bundle left = PageEdits.takenOut(turned, gone);
        assertThat(pages(left)).isEqualTo("a: a2 a3 a5, b: b1 b2 b3");
        assertThat(left.setAside()).singleElement().isEqualTo(find(turned, "c"));
        assertThat(left.unplacedPages(find(start, "a").sources().getFirst()).shown()).isEqualTo("1, 4");
        assertThat(pages(PageEdits.keptOnly(start, keys(start, "a", 2, 3)))).isEqualTo("a: a2 a3, b: b1 b2 b3, c: c1");
    }

    @Test
    void pagesGoTheOtherWayRoundAmongTheirPlaces() {
        assertThat(pages(PageEdits.reversed(start, keys(start, "a", 1, 2, 3, 4, 5))))
                .isEqualTo("a: a5 a4 a3 a2 a1, b: b1 b2 b3, c: c1");
        assertThat(pages(PageEdits.reversed(start, keys(start, "a", 1, 3, 5))))
                .isEqualTo("a: a5 a2 a3 a4 a1, b: b1 b2 b3, c: c1");
    }

    @Test
    void pagesAreMovedWithinADocumentAndIntoAnother() {
        assertThat(pages(
                PageEdits.moved(start, keys(start, "a", 4, 5), new PageSpot(new EntryId("a"), Optional.of(key(start, "a", 2))))))
                .isEqualTo("a: a1 a4 a5 a2 a3, b: b1 b2 b3, c: c1");
        assertThat(
                PageEdits.moved(start, keys(start, "a", 2, 3), new PageSpot(new EntryId("a"), Optional.of(key(start, "a", 3)))))
                .as("onto themselves").isEqualTo(start);
        Bundle over =
                PageEdits.moved(start, keys(start, "a", 1, 3), new PageSpot(new EntryId("b"), Optional.of(key(start, "b", 3))));
        assertThat(pages(over)).isEqualTo("a: a2 a4 a5, b: b1 b2 a1 a3 b3, c: c1");
        assertThat(key(over, "b", 3)).as("they keep their names").isEqualTo(key(start, "a", 1));
        Bundle tied = Entries.tie(start, Set.of(new EntryId("a")), new EntryId("c"));
        Bundle emptied = PageEdits.moved(tied, keys(start, "c", 1), new PageSpot(new EntryId("b"), Optional.empty()));
        assertThat(pages(emptied)).isEqualTo("a: a1 a2 a3 a4 a5, b: b1 b2 b3 c1");
        assertThat(find(emptied, "a").belongsTo()).isEmpty();
        assertThat(emptied.setAside()).isEmpty();
    }

    @Test
    void copiesHaveNamesOfTheirOwn() {
        Bundle copied = PageEdits.copied(start, keys(start, "a", 2, 4), new PageSpot(new EntryId("c"), Optional.empty()));
        assertThat(pages(copied)).isEqualTo("a: a1 a2 a3 a4 a5, b: b1 b2 b3, c: c1 a2 a4");
        assertThat(pages(PageEdits.turned(copied, keys(copied, "c", 2), 1)))
                .isEqualTo("a: a1 a2 a3 a4 a5, b: b1 b2 b3, c: c1 a2>1 a4");
    }

    @Test
    void blankPagesArePutInMovedAndTakenOutOneByOne() {
        Bundle with = PageEdits.inserted(start, new PageSpot(new EntryId("a"), Optional.of(key(start, "a", 3))),
                List.of(new BlankPages(RunId.fresh(), 3, BlankLook.PLAIN, true, BlankPages.Sets.BOTH)));
        assertThat(pages(with)).isEqualTo("a: a1 a2 blank blank blank a3 a4 a5, b: b1 b2 b3, c: c1");
        assertThat(Planner.plan(with).leaves().stream().filter(leaf -> leaf.content() instanceof Content.Blank)
                .allMatch(leaf -> leaf.number().isPresent())).isTrue();
        assertThat(pages(PageEdits.takenOut(with, keys(with, "a", 4))))
                .isEqualTo("a: a1 a2 blank blank a3 a4 a5, b: b1 b2 b3, c: c1");
        assertThat(pages(
                PageEdits.moved(with, keys(with, "a", 3, 5), new PageSpot(new EntryId("c"), Optional.of(key(start, "c", 1))))))
                .isEqualTo("a: a1 a2 blank a3 a4 a5, b: b1 b2 b3, c: blank blank c1");
        assertThat(
                pages(PageEdits.moved(with, keys(with, "a", 1), new PageSpot(new EntryId("a"), Optional.of(key(with, "a", 5))))))
                .isEqualTo("a: a2 blank blank a1 blank a3 a4 a5, b: b1 b2 b3, c: c1");
    }

    @Test
    void whatIsOursStaysWithItsDocument() {
        Bundle marked = Entries.withFrontSheet(start, new EntryId("b"), "OF1");
        assertThat(pages(PageEdits.moved(marked, keys(marked, "b", 1, 2), new PageSpot(new EntryId("c"), Optional.empty()))))
                .isEqualTo("a: a1 a2 a3 a4 a5, b: ours b2 b3, c: c1 b1");
        assertThat(pages(PageEdits.takenOut(marked, keys(marked, "b", 1)))).isEqualTo(pages(start));
        Bundle free =
                Edits.insertDocuments(start, List.of(Placeholders.placeholder("To follow", 2)), new Place(Optional.empty(), 0));
        String id = free.contents().documents().getFirst().id().value();
        assertThat(PageEdits.turned(free, keys(free, id, 1), 1)).as("a reserved page has no way up").isEqualTo(free);
        assertThat(pages(PageEdits.takenOut(free, keys(free, id, 1)))).startsWith("To follow: ours, ");
    }

    @Test
    void whatTheBundleDoesNotHaveIsPassedOver() {
        Set<PageKey> strange = Set.of(new PageKey(find(start, "a").runs().getFirst().id(), 99));
        PageSpot end = new PageSpot(new EntryId("a"), Optional.empty());
        assertThat(List.of(PageEdits.turned(start, strange, 1), PageEdits.takenOut(start, strange),
                PageEdits.reversed(start, strange), PageEdits.moved(start, strange, end), PageEdits.copied(start, strange, end),
                PageEdits.keptOnly(start, strange)))
                .allMatch(start::equals);
        assertThat(PageEdits.moved(start, keys(start, "a", 1), new PageSpot(new EntryId("none"), Optional.empty())))
                .isEqualTo(start);
    }
}
