package app.yellowtab.finding;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FindingTests {
    private static final ResourceBundle PATTERNS = ResourceBundle.getBundle("app.yellowtab.finding.findings", Locale.ROOT);

    @Test
    void everyCodeHasItsWordsOnceAndNoWordsAreLeftOver() throws IOException {
        try (var in = new BufferedReader(
                new InputStreamReader(Finding.class.getResourceAsStream("findings.properties"), StandardCharsets.UTF_8))) {
            List<String> keys = in.lines().filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .map(line -> line.substring(0, line.indexOf('='))).toList();
            assertThat(keys).containsExactlyInAnyOrderElementsOf(Arrays.stream(Code.values()).map(Code::name).toList());
        }
    }

    @ParameterizedTest
    @EnumSource(Code.class)
    void everyMessageIsWholeAndNamesItsFileWhereItHasOne(Code code) {
        String message = new Finding(code, Subject.OfSource.of("s1", Path.of("case", "letter.pdf"), 1412), "detail").message();
        assertThat(message).doesNotContain("{", "}").endsWith(".").hasSizeGreaterThan(20);
        boolean namesIt = PATTERNS.getString(code.name()).contains("{0}");
        assertThat(message.contains("letter.pdf")).isEqualTo(namesIt);
        assertThat(message).doesNotContain("1,412");
    }
}
