package app.yellowtab.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ContentBalanceTests {
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
            << /q (Q) >> BDC q             | 0 | 1
            qQ Q1 rQ                       | 0 | 0
            [(q) 20 (Q)] TJ q              | 0 | 1
            """)
    void countsStatesLeftOpenOrClosedTooOften(String content, int missing, int open) {
        assertThat(ContentBalance.of(content.getBytes(StandardCharsets.ISO_8859_1))).isEqualTo(new ContentBalance(missing, open));
    }
}
