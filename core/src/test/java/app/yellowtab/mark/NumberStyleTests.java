package app.yellowtab.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberStyleTests {
    /** As ISO 32000-1:2008, table 159, has them: after Z come AA to ZZ. */
    @ParameterizedTest
    @CsvSource({"FIGURES,412,412", "FIGURES,0,0", "SMALL_ROMAN,4,iv", "LARGE_ROMAN,1999,MCMXCIX", "SMALL_LETTERS,1,a",
            "SMALL_LETTERS,26,z", "LARGE_LETTERS,27,AA", "LARGE_LETTERS,53,AAA", "SMALL_LETTERS,30,dd"})
    void eachIsWrittenAsTheStandardHasIt(NumberStyle style, int value, String written) {
        assertThat(style.write(value)).isEqualTo(written);
    }

    @Test
    void aColourIsReadAsItIsWritten() {
        assertThat(Ink.read("#C8102E").written()).isEqualTo("#c8102e");
        assertThat(Ink.read("000000")).isEqualTo(Ink.BLACK);
        assertThatThrownBy(() -> Ink.read("red")).hasMessageContaining("must be like #c8102e, got red");
        assertThatThrownBy(() -> new Ink(-1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatNoMarkCanBeIsRefused() {
        assertThatThrownBy(() -> MarkLook.NUMBER.withSize(0)).hasMessageContaining("size must be more than 0");
        assertThatThrownBy(() -> MarkLook.NUMBER.withOpacity(0)).hasMessageContaining("opacity must be more than 0");
        assertThatThrownBy(() -> MarkLook.NUMBER.withTurn(200)).hasMessageContaining("turn must be -180 to 180");
        assertThatThrownBy(() -> new Mark("n", "", Spot.STANDARD, MarkLook.NUMBER)).hasMessageContaining("a mark needs words");
    }
}
