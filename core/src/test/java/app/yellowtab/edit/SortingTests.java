package app.yellowtab.edit;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.ids;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SortingTests {
    private static Document dated(String name, String date) {
        return document(name, 2).withDate(DateReader.read(date, false).orElseThrow());
    }

    private static Document of(String name, String owner) {
        return document(name, 1).withBelongsTo(Optional.of(new EntryId(owner)));
    }

    private final Bundle start = bundle(section("A", dated("letter 10", "4 March 2031"), dated("letter 2", "12 Oct 2030"),
            of("z of 2", "letter 2"), of("y of 2", "letter 2"),
            dated("note", ""), dated("Advice", "March 2031"), section("A1", dated("q", "2 Jan 2031"), dated("p", "1 Jan 2031"))),
            section("B", dated("d", "3 Feb 2031"), dated("c", "1 Feb 2031")));

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            A                  | DATE  | A(letter 2 z of 2 y of 2 Advice letter 10 note A1(p q)) B(d c)
            A                  | TITLE | A(Advice letter 2 z of 2 y of 2 letter 10 note A1(p q)) B(d c)
            note               | TITLE | A(Advice letter 2 z of 2 y of 2 letter 10 note A1(q p)) B(d c)
            letter 10, Advice  | TITLE | A(Advice letter 2 z of 2 y of 2 note letter 10 A1(q p)) B(d c)
            letter 10, Advice, d, c | DATE | A(Advice letter 2 z of 2 y of 2 note letter 10 A1(q p)) B(c d)
            z of 2, y of 2     | TITLE | A(letter 10 letter 2 y of 2 z of 2 note Advice A1(q p)) B(d c)
            """)
    void whatIsChosenIsSortedAndWhatBelongsToADocumentGoesWithIt(String chosen, SortOrder by, String expected) {
        assertThat(order(Sorting.sorted(start, ids(chosen), by))).isEqualTo(expected);
    }

    @Test
    void filesStandAgainAsTheyCame() {
        Bundle byTitle = Sorting.sorted(start, ids("A, B"), SortOrder.TITLE);
        Bundle asCame = Sorting.sorted(Edits.insertDocuments(byTitle, List.of(Placeholders.placeholder("to come", 2)),
                new Place(Optional.of(new EntryId("A")), 0)), ids("A, B"), SortOrder.AS_CAME);
        assertThat(order(asCame)).isEqualTo(order(start).replace("Advice A1", "Advice to come A1"));
        assertThat(order(Sorting.sorted(asCame, ids("B"), SortOrder.FILE_NAME))).endsWith("B(c d)");
        assertThat(Sorting.sorted(start, ids("A, B"), SortOrder.AS_CAME)).isSameAs(start);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1 Jan 2031, 2 Jan 2031, 9 Feb 2031, 3 Jan 2031, 4 Jan 2031     | 2
            9 Jan 2031, 8 Jan 2031, 7 Jan 2031, 3 Feb 2031, undated, 6 Jan 2031 | 3
            1 Jan 2031, 5 Jan 2031, 2 Jan 2031                             |
            1 Jan 2031, 9 Jan 2031, 2 Jan 2031, 8 Jan 2031, 3 Jan 2031     |
            30 Jan 2031, January 2031, 31 Jan 2031, 2 Feb 2031             |
            1 Jan 2031, February 2031, 3 Jan 2031, 4 Jan 2031              | 1
            """)
    void onlySlipsInAnOrderOfDatesAreMarked(String dates, String marked) {
        List<Document> documents = new ArrayList<>();
        for (String date : dates.split(", ")) documents.add(dated(String.valueOf(documents.size()), date));
        Bundle one = bundle(section("A", documents.toArray()));
        String found =
                DateOrder.outOfOrder(one.contents()).stream().map(EntryId::value).sorted().collect(Collectors.joining(", "));
        assertThat(found).isEqualTo(marked == null ? "" : marked);
    }

    @Test
    void exhibitsDoNotBreakTheOrderOfTheirStatements() {
        List<Document> documents = new ArrayList<>(Collections.nCopies(5, dated("s", "3 Mar 2031")));
        documents.add(2, of("x", "s").withDate(DateReader.read("1 May 1999", false).orElseThrow()));
        assertThat(DateOrder.outOfOrder(bundle(section("A", documents.toArray())).contents())).isEmpty();
    }
}
