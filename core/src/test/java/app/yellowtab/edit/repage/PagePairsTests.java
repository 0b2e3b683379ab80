package app.yellowtab.edit.repage;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.pages;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.PagePick;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two versions of a file, each page a letter: the same letter is the same page, a capital one a changed page. */
class PagePairsTests {
    static double alike(char before, char after) {
        return before == after ? 1 : Character.toLowerCase(before) == Character.toLowerCase(after) ? 0.8 : 0;
    }

    private static PagePairs find(String before, String after) {
        return PagePairs.find(before.length(), after.length(), (i, j) -> alike(before.charAt(i - 1), after.charAt(j - 1)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            abcd  | abcd   | 1=1 2=2 3=3 4=4
            abcd  | aBcd   | 1=1 2~2 3=3 4=4
            abcd  | abxcd  | 1=1 2=2 0~3 3=4 4=5
            abcd  | acd    | 1=1 2~0 3=2 4=3
            abcd  | xyabcd | 0~1 0~2 1=3 2=4 3=5 4=6
            abc   | aybC   | 1=1 0~2 2=3 3~4
            abc   | axc    | 1=1 2~2 3=3
            abcd  | cxaB   | 3=1 0~2 1=3 2~4 4~0
            abcd  | bcda   | 2=1 3=2 4=3 1=4
            abaca | bacxa  | 1~0 2=1 3=2 4=3 0~4 5=5
            abcd  | dXcba  | 4=1 0~2 3=3 2=4 1=5
            a     | xyz    | 1~0 0~1 0~2 0~3
            """)
    void everyPageStandsInOnePair(String before, String after, String expected) {
        String found = find(before, after).pairs().stream().map(pair -> pair.before() + (pair.same() ? "=" : "~") + pair.after())
                .collect(Collectors.joining(" "));
        assertThat(found).isEqualTo(expected);
    }

    @Property(tries = 200)
    void noPageIsLostAndOnlyWhatHasMovedIsOutOfOrder(@ForAll @Size(max = 12) List<@IntRange(max = 4) Integer> before,
            @ForAll @Size(max = 12) List<@IntRange(max = 4) Integer> after) {
        PagePairs pairs =
                PagePairs.find(before.size(), after.size(), (i, j) -> before.get(i - 1).equals(after.get(j - 1)) ? 1 : 0);
        assertThat(pairs.pairs().stream().mapToInt(PagePairs.Pair::before).filter(page -> page > 0))
                .containsExactlyInAnyOrder(numbers(before.size()));
        assertThat(pairs.pairs().stream().filter(pair -> !pair.moved()).mapToInt(PagePairs.Pair::before).filter(page -> page > 0))
                .isSorted();
        List<Integer> gone = pairs.pairs().stream().filter(pair -> !pair.same() && pair.before() > 0)
                .map(pair -> before.get(pair.before() - 1)).toList();
        assertThat(pairs.pairs()).as("what is still there is not called gone or changed")
                .noneMatch(pair -> !pair.same() && pair.after() > 0 && gone.contains(after.get(pair.after() - 1)));
        assertThat(pairs.pairs().stream().mapToInt(PagePairs.Pair::after).filter(page -> page > 0))
                .containsExactly(numbers(after.size()));
        assertThat(pairs.pairs()).filteredOn(PagePairs.Pair::same)
                .allMatch(pair -> before.get(pair.before() - 1).equals(after.get(pair.after() - 1)));
        assertThat(pairs.unchanged() + pairs.changed() + pairs.gone()).isEqualTo(before.size());
        assertThat(pairs.unchanged() + pairs.changed() + pairs.added()).isEqualTo(after.size());
    }

    private static Integer[] numbers(int count) {
        Integer[] numbers = new Integer[count];
        for (int i = 0; i < count; i++) numbers[i] = i + 1;
        return numbers;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1-4      | abcd | aBcd   | n1 n2 n3 n4       | 1 3 4
            1-4      | abcd | xabcdy | n1 n2 n3 n4 n5 n6 | 2 3 4 5
            1, 3     | abcd | abxcyd | n1 n4 n5          | 1 4
            2        | abcd | aXbcd  | n3                | 3
            1-4      | abcd | ad     | n1 n2             | 1 2
            2        | abcd | acd    | o2                | 2
            """)
    void theDocumentHasWhatStandsForItsPagesAndUnchangedOnesKeepTheirLooks(String had, String before, String after,
            String expected, String turned) {
        Bundle start =
                Edits.addSources(bundle(section("A", document("o", before.length()))), List.of(source("n", after.length())));
        EntryId id = new EntryId("o");
        Bundle some = PagePick.pick(start, id, PageRanges.read(had, before.length()).ranges());
        Bundle looked = Edits.changeDocument(some, id, document -> document.withRuns(document.runs().stream()
                .map(run -> ((SourcePages) run).withLook(PageLook.PLAIN.withTurns(1))).<Run>map(run -> run).toList()));
        Document now = Replacing.replaced(looked, id, new SourceId("o"), new SourceId("n"), find(before, after)).contents()
                .allDocuments().getFirst();
        assertThat(pages(now)).isEqualTo(expected);
        assertThat(now.title()).isEqualTo("o");
        String looks = now.runs().stream().map(SourcePages.class::cast).filter(run -> run.look().turns() == 1)
                .flatMapToInt(run -> IntStream.rangeClosed(run.first(), run.last()))
                .mapToObj(String::valueOf).collect(Collectors.joining(" "));
        assertThat(looks).isEqualTo(turned);
    }
}
