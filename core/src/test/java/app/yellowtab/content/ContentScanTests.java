package app.yellowtab.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ContentScanTests {
    private static ContentScan scan(String content) {
        return ContentScan.of(content.getBytes(StandardCharsets.ISO_8859_1));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            q Q                            | 0 | 0
            q q 1 0 0 1 5 5 cm             | 0 | 2
            Q Q                            | 2 | 0
            Q q                            | 1 | 1
            q (Q \\) q) Tj Q               | 0 | 0
            q <51> Tj /q gs /Q Do          | 0 | 1
            q % Q Q Q                      | 0 | 1
            BI /W 1 ID Q q Q EI Q          | 1 | 0
            /P << /q (Q) >> BDC EMC q      | 0 | 1
            [(q) 20 (Q)] TJ q              | 0 | 1
            """)
    void countsStatesLeftOpenOrClosedTooOften(String content, int missing, int open) {
        ContentScan scan = scan(content);
        assertThat(scan.isSound()).isTrue();
        assertThat(scan.missingSaves()).isEqualTo(missing);
        assertThat(scan.openSaves()).isEqualTo(open);
    }

    @ParameterizedTest
    @ValueSource(strings = {"xxx", "xxx 0 0 yyy 0 0 cm /Im0 Do", "1 0 0 1 5 cm", "0 0 0 1 0 0 1 cm", "(a) 5 Tj", "BT",
            "BT BT ET ET", "ET", "/P BMC", "EMC",
            "/P << /a 1 BDC EMC", "[(a) 20 TJ", "(a Tj", "<41 Tj", "<4x> Tj", "1 2 3", "--5 w", "1.2.3 w", "- w", "> q", "q ) Q",
            "[ ] ] d", "0 0 5 5 re", "5 5 m 6 6 l W",
            "BI /W 1 ID abc", "BI /W 1 (ID", "BI ID EI \u0001\u0002", "/a /b Do", "0 (x) rg", "scn", "qQ Q1 rQ", "[[[1 2 R] 0 d",
            "{ } q"})
    void contentThatIsNotSound(String content) {
        assertThat(scan(content).isSound()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "% only words", "BT /F1 12 Tf -.5 +3. Td (a\\)\\(b (c)) Tj <4 1 4> ' 1 2 (x) \" T* ET",
            "0 0 5 5 re W n", "0.1 .2 .3 /P1 scn 0.5 0.5 sc /P2 SCN",
            "[3 2] 0 d [] 0 d", "/Span<</Lang(en)/A[1 null true]>>BDC EMC /X /Y DP",
            "BI /W 2/H 1/CS/G/BPC 8 ID \u0001\u0002\u0003 EI Q q", "BX EX", "1 0 0 1 0 0 cm/Im0 Do"})
    void soundContent(String content) {
        assertThat(scan(content).isSound()).isTrue();
    }

    @Test
    void knowsWhatItDrawsWith() {
        String content =
                "/G1 gs /C#201 cs /C2 CS 0.5 /P1 scn /S1 sh /X1 Do BT /F1 12 Tf /F1 9 Tf ET /OC /L1 BDC EMC BI /CS /C3 ID x EI";
        assertThat(scan(content).names().stream().map(name -> name.kind().getName() + " " + name.name().getName())
                .collect(Collectors.toSet()))
                .containsExactlyInAnyOrder("ExtGState G1", "ColorSpace C 1", "ColorSpace C2", "ColorSpace C3", "Pattern P1",
                        "Shading S1", "XObject X1", "Font F1", "Properties L1");
    }

    @Test
    void dataOfAPictureThatLooksLikeItsEnd() {
        ContentScan scan = scan("BI /W 9 ID ab EI\u0001\u0002 EIq EI /X1 Do");
        assertThat(scan.isSound()).isTrue();
        assertThat(scan.names()).hasSize(1);
    }
}
