package app.yellowtab.convert.word;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ListNumberingTests {
    @ParameterizedTest
    @CsvSource({"1,decimal,1", "9,decimalZero,09", "10,decimalZero,10", "1,lowerLetter,a", "26,lowerLetter,z",
            "27,lowerLetter,aa", "53,upperLetter,AAA", "4,lowerRoman,iv",
            "1999,upperRoman,MCMXCIX", "4000,upperRoman,4000", "1,ordinal,1st", "2,ordinal,2nd", "13,ordinal,13th",
            "23,ordinal,23rd", "0,lowerLetter,0", "7,unheardOf,7"})
    void numbersAreWrittenAsTheFormatSays(int number, String format, String written) {
        assertThat(ListNumbering.write(number, format)).isEqualTo(written);
    }
}
