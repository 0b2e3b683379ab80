package app.yellowtab.leaf;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.mark.NumberStyle;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PageNumberTests {
    @ParameterizedTest
    @CsvSource({"FIGURES, 412, 412", "SMALL_ROMAN, 1, i", "SMALL_ROMAN, 4, iv", "SMALL_ROMAN, 49, xlix",
            "LARGE_ROMAN, 1994, MCMXCIV", "LARGE_ROMAN, 3888, MMMDCCCLXXXVIII"})
    void isWrittenInItsStyle(NumberStyle style, int value, String words) {
        assertThat(new PageNumber(0, "", value, style, "").shown()).isEqualTo(words);
    }

    @Test
    void standsWhereItsPageStandsWhateverItSays() {
        List<PageNumber> numbers =
                List.of(new PageNumber(0, "", 45, NumberStyle.FIGURES, ""), new PageNumber(1, "", 45, NumberStyle.FIGURES, "A"),
                        new PageNumber(2, "", 46, NumberStyle.FIGURES, ""), new PageNumber(3, "B", 2, NumberStyle.FIGURES, ""));
        List<PageNumber> mixed = IntStream.of(3, 1, 0, 2).mapToObj(numbers::get).sorted().toList();
        assertThat(mixed).extracting(PageNumber::shown).containsExactly("45", "45A", "46", "B2");
    }
}
