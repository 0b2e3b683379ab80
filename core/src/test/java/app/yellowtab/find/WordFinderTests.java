package app.yellowtab.find;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordFinderTests {
    private static PageText page(String... lines) {
        List<List<Word>> set = new ArrayList<>();
        float top = 20;
        for (String line : lines) {
            List<Word> words = new ArrayList<>();
            for (String word : line.split(" ")) words.add(new Word(word, 20 + 10 * words.size(), top, 9, 4));
            set.add(words);
            top += 6;
        }
        return new PageText(set);
    }

    private static final PageText PAGE = page("The cooling failed on (Monday), the fan", "motor burnt out. Mr Müller's COOLING",
            "unit cost £1,200.50 under BC-412.");

    @ParameterizedTest
    @CsvSource({"cool, 2", "COOLING, 2", "fan motor, 1", "muller, 1", "Müller, 1", "monday, 1", "'1,200.50', 1", "bc-412, 1",
            "fan  moto, 1", "burnt cooling, 0", "otor bur, 1", "heating, 0", "'(', 0"})
    void wordsAreFoundHoweverTheyAreTypedAndOverTheEndsOfLines(String typed, int times) {
        assertThat(new WordFinder(typed).on(PAGE)).hasSize(times);
    }

    @Test
    void aHitSaysWhereItStandsAndWhatIsAroundIt() {
        assertThat(new WordFinder("motor burnt").on(PAGE).getFirst().around()).startsWith("… cooling failed on");
        WordFinder.Hit hit = new WordFinder("fan motor").on(PAGE).getFirst();
        assertThat(hit.words()).extracting(Word::topMm).containsExactly(20f, 26f);
        assertThat(hit.around()).isEqualTo("The cooling failed on (Monday), the fan motor burnt out. Mr Müller's COOLING unit …");
    }

    /** Lines that were made ready give what the page itself gives. */
    @Property(tries = 300)
    void whatIsMadeReadyIsFoundAsOnThePage(@ForAll @Size(min = 1, max = 12) List<@From("pieces") String> words,
            @ForAll @Size(min = 1, max = 3) List<@From("pieces") String> typed) {
        PageText page = page(String.join(" ", words));
        WordFinder finder = new WordFinder(String.join(" ", typed));
        String line = String.join(" ", words);
        String plain = WordFinder.plainLine(line);
        List<String> around = finder.on(page).stream().map(WordFinder.Hit::around).toList();
        assertThat(finder.in(line, plain)).isEqualTo(around);
        assertThat(finder.standsIn(plain)).isEqualTo(!around.isEmpty());
    }

    @Provide
    Arbitrary<String> pieces() {
        return Arbitraries.of("a", "b", "ab", "ba", "\u2013", "M\u00FC", "mu", "a\u00A0b", "(b)", "bb,");
    }

    @Test
    void nothingTypedFindsNothing() {
        assertThat(new WordFinder("  ").isEmpty()).isTrue();
        assertThat(new WordFinder(" ").on(PAGE)).isEmpty();
        assertThat(new WordFinder("a").on(PageText.NONE)).isEmpty();
    }
}
