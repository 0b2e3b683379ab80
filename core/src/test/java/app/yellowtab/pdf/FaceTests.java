package app.yellowtab.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class FaceTests {
    @ParameterizedTest
    @EnumSource(Typeface.class)
    void oursAreFoundByTheirNamesInAnyCase(Typeface face) {
        assertThat(Face.of(face.key().toLowerCase(Locale.ROOT))).isEqualTo(face);
        assertThat(face.isPresent()).isTrue();
    }

    @Test
    void whatIsNoTypefaceIsRefused() {
        assertThatThrownBy(() -> Face.of("gothic")).hasMessageContaining("no such typeface: gothic");
        assertThatThrownBy(() -> new SystemFace(" ")).hasMessageContaining("must not be blank");
    }

    @Test
    void aTypefaceOfTheMachineIsMeasuredAndOpened() throws IOException {
        String name = SystemFaces.names().stream().filter(each -> each.startsWith("DejaVu Sans")).findFirst().orElseThrow();
        Face face = Face.of("system:" + name);
        assertThat(face.isPresent()).isTrue();
        assertThat(face.width("ab", 10)).isCloseTo(face.width("a", 10) + face.width("b", 10), within(0.001f));
        assertThat(face.missingIn("412/D")).isZero();
        assertThat(face.showable("4\uE00012")).isEqualTo("4?12");
        try (InputStream in = face.open()) {
            assertThat(in.readNBytes(4)).containsExactly(0, 1, 0, 0);
        }
    }

    @Test
    void oneThatTheMachineDoesNotHaveIsStoodInFor() throws IOException {
        Face gone = new SystemFace("No Such Face");
        assertThat(gone.isPresent()).isFalse();
        assertThat(gone.width("412", 14)).isEqualTo(Typeface.SANS.width("412", 14));
        assertThat(gone.showable("412")).isEqualTo("412");
        try (InputStream in = gone.open(); InputStream ours = Typeface.SANS.open()) {
            assertThat(in.readAllBytes()).isEqualTo(ours.readAllBytes());
        }
    }

    /**
     * Rights as a font file has them: none said, preview and print, editable, restricted, no parts, outlines only as pictures.
     */
    @ParameterizedTest
    @CsvSource({"0,true", "4,true", "8,true", "2,false", "256,false", "512,false", "260,false"})
    void itIsEmbeddedOnlyWhereItsMakerAllowsThat(int rights, boolean may) {
        assertThat(SystemFaces.mayBeEmbedded(rights)).isEqualTo(may);
    }
}
