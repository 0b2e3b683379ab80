package app.yellowtab.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TypefaceTests {
    @Test
    void figuresOfTheMonospacedFaceAreSixTenthsOfAnEm() {
        assertThat(Typeface.MONO.width("0123", 10)).isEqualTo(24f);
    }

    @ParameterizedTest
    @EnumSource
    void everyFaceHasTheLettersOfEnglishNamesAndDates(Typeface face) {
        assertThat(face.missingIn("Çelik & Søn – “Ærø”, £1.50 · 1½ °C … Zoë’s")).isZero();
    }

    @Test
    void missingLettersAreCountedAndShownAsABox() {
        assertThat(Typeface.SERIF.missingIn("合同 lease\u0000\u200B")).isEqualTo(2);
        assertThat(Typeface.SERIF.showable("合 a\tb\n\u0007c\u00A0d")).hasSize(9).endsWith(" a b c d").doesNotContain("合");
    }

    @Test
    void textBreaksAtSpacesAndLongWordsWhereTheyMust() {
        float width = Typeface.MONO.width("0123456789", 10);
        assertThat(Typeface.MONO.wrap("the quick brown fox", 10, width)).containsExactly("the quick", "brown fox");
        assertThat(Typeface.MONO.wrap("abcdefghijklmnop qr", 10, width)).containsExactly("abcdefghij", "klmnop qr");
        assertThat(Typeface.MONO.wrap("  ", 10, width)).containsExactly("");
    }
}
