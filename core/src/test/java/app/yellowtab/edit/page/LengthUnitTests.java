package app.yellowtab.edit.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LengthUnitTests {
    @ParameterizedTest
    @CsvSource(quoteCharacter = '`', value = {"12 mm,MM", "1.2cm,CM", "0.5 in,INCH", "0.5\",INCH", "36 pt,PT", "2 inches,INCH"})
    void aLengthSaysItsUnit(String typed, LengthUnit unit) {
        assertThat(LengthUnit.of(typed)).contains(unit);
    }

    @ParameterizedTest
    @CsvSource({"MM,12.5,12.5 mm", "MM,10,10 mm", "CM,15,1.5 cm", "INCH,25.4,1 in", "PT,25.4,72 pt", "MM,10.04,10 mm"})
    void aLengthIsShownWithoutNoughtsThatSayNothing(LengthUnit unit, double mm, String shown) {
        assertThat(unit.shown(mm)).isEqualTo(shown);
    }

    @Test
    void aBareNumberSaysNone() {
        assertThat(LengthUnit.of("12")).isEmpty();
        assertThat(LengthUnit.of("cm")).isEmpty();
    }
}
