package app.yellowtab.printed;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class OldNumberFinderTests {
    private static final SourceId FILE = new SourceId("f");

    /** Words at the head, in the middle, and at the foot of a page. */
    private static BatchPage page(String head, String middle, String foot) {
        List<List<Word>> lines = new ArrayList<>();
        line(head, 20, 12, lines);
        line(middle, 20, 140, lines);
        line(foot, 95, 285, lines);
        return new BatchPage(new PageText(lines), false, 210, 297, List.of());
    }

    private static void line(String words, float left, float top, List<List<Word>> lines) {
        List<Word> line = new ArrayList<>();
        float at = left;
        for (String word : words.split(" ")) {
            if (word.isEmpty()) continue;
            line.add(new Word(word, at, top, word.length() * 2, 4));
            at += word.length() * 2 + 1;
        }
        if (!line.isEmpty()) lines.add(line);
    }

    private static List<String> found(int pages, IntFunction<BatchPage> page) {
        return OldNumberFinder.in(FILE, IntStream.rangeClosed(1, pages).mapToObj(page).toList()).stream()
                .map(series -> series.first() + " on " + series.places().getFirst().page() + " to "
                        + series.places().getLast().words() + " on " + series.places().getLast().page())
                .toList();
    }

    @Test
    void everyUsualFormIsFound() {
        assertThat(found(5, n -> page("Letter", "text " + n, "" + n))).containsExactly("1 on 1 to 5 on 5");
        assertThat(found(5, n -> page("Letter", "", "- " + (n + 30) + " -"))).containsExactly("- 31 - on 1 to - 35 - on 5");
        assertThat(found(4, n -> page("Page " + n + " of 4", "text", "")))
                .containsExactly("Page 1 of 4 on 1 to Page 4 of 4 on 4");
        assertThat(found(3, n -> page("", "text", "TH-00010" + n))).containsExactly("TH-000101 on 1 to TH-000103 on 3");
        assertThat(found(3, n -> page("", "text", "00010" + n + "/D"))).containsExactly("000101/D on 1 to 000103/D on 3");
        assertThat(found(3, n -> page("", "text", n + "/3"))).containsExactly("1/3 on 1 to 3/3 on 3");
    }

    @Test
    void twoSeriesOnThePagesAreTwo() {
        assertThat(found(4, n -> page("BC-00" + (40 + n), "text", "" + n)))
                .containsExactlyInAnyOrder("BC-0041 on 1 to BC-0044 on 4", "1 on 1 to 4 on 4");
    }

    @Test
    void whatDoesNotRunOnIsNone() {
        assertThat(found(6, n -> page("17", "" + n, "2031"))).isEmpty();
        assertThat(found(2, n -> page("", "", "" + n))).as("two pages are too few").isEmpty();
        assertThat(found(6, n -> page("", "", "" + n * 2))).isEmpty();
    }

    @Test
    void documentsRunTogetherAreSeriesOfTheirOwnAndMissingNumbersDoNotEndOne() {
        assertThat(found(9, n -> page("", "", "" + (n <= 4 ? n : n - 4)))).containsExactly("1 on 1 to 4 on 4",
                "1 on 5 to 5 on 9");
        assertThat(found(8, n -> page("", "text", n == 4 || n == 5 ? "" : "" + n))).containsExactly("1 on 1 to 8 on 8");
    }

    @Test
    void thePlaceHoldsAllOfTheNumber() {
        OldNumbers.Place place =
                OldNumberFinder.in(FILE, IntStream.rangeClosed(1, 3).mapToObj(n -> page("", "", "Page " + n)).toList()).getFirst()
                        .places().getFirst();
        assertThat(place.area().leftMm()).isLessThan(95);
        assertThat(place.area().leftMm() + place.area().widthMm()).isGreaterThan(95 + 11);
        assertThat(place.area().topMm()).isLessThan(285);
    }
}
