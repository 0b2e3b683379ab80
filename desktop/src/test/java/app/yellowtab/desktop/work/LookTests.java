package app.yellowtab.desktop.work;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.css.Stylesheet;
import javafx.scene.input.KeyCodeCombination;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class LookTests {
    private static String sheet(String name) throws IOException {
        try (InputStream in = Objects.requireNonNull(LookTests.class.getResourceAsStream("/app/yellowtab/desktop/" + name))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void everyStyleNameHasItsRule() throws IOException {
        String css = sheet("app.css");
        assertThat(Styles.ALL).isNotEmpty().allSatisfy(name -> assertThat(css).contains("." + name));
    }

    /** The build writes each sheet down as JavaFX keeps it; that is what the window reads. */
    @ParameterizedTest
    @ValueSource(strings = {"app", "tokens"})
    void theSheetThatIsReadAtTheStartIsTheOneThatWasWritten(String name, @TempDir Path temp) throws IOException {
        URL kept = Objects.requireNonNull(LookTests.class.getResource("/app/yellowtab/desktop/" + name + ".bss"),
                "the build makes it");
        Path text = Files.writeString(temp.resolve(name + ".css"), sheet(name + ".css"));
        Path anew = temp.resolve(name + ".bss");
        Stylesheet.convertToBinary(text.toFile(), anew.toFile());
        assertThat(rules(Stylesheet.loadBinary(kept))).isNotEmpty()
                .isEqualTo(rules(Stylesheet.loadBinary(anew.toUri().toURL())));
    }

    /** Every rule with its values; arrays within arrays show no more than that they are there. */
    private static List<String> rules(Stylesheet sheet) {
        return sheet.getRules().stream()
                .map(rule -> rule.getSelectors() + " " + rule.getDeclarations().stream()
                        .map(one -> one.getProperty() + ": " + one.getParsedValue()).toList())
                .map(rule -> rule.replaceAll("@[0-9a-f]+", "")).toList();
    }

    @Test
    void noWordIsGivenTwice() throws IOException {
        Set<String> keys = new HashSet<>();
        sheet("words.properties").lines().filter(line -> line.contains("=") && !line.startsWith("#"))
                .map(line -> line.substring(0, line.indexOf('=')))
                .forEach(key -> assertThat(keys.add(key)).as(key).isTrue());
        assertThat(keys).isNotEmpty();
    }

    @Test
    void coloursStandInOnePlace() throws IOException {
        assertThat(Pattern.compile("#[0-9a-fA-F]{3,8}\\b|rgba?\\(").matcher(sheet("app.css")).find()).isFalse();
        Set<String> known = new HashSet<>();
        Matcher tokens = Pattern.compile("(?m)^\\s+(-yt-[a-z-]+):").matcher(sheet("tokens.css"));
        while (tokens.find()) known.add(tokens.group(1));
        Matcher used = Pattern.compile("-yt-[a-z-]+").matcher(sheet("app.css"));
        while (used.find()) assertThat(known).contains(used.group());
    }

    @Test
    void textCanBeReadOnEveryGround() throws IOException {
        for (String text : new String[] {"-yt-ink", "-yt-second", "-yt-brick", "-yt-slate", "-yt-moss"}) {
            for (String ground : new String[] {"-yt-ground", "-yt-sheet", "-yt-paper-edge", "-yt-yellow-pale"}) {
                assertThat(contrast(text, ground)).as("%s on %s", text, ground).isGreaterThanOrEqualTo(4.5);
            }
        }
        assertThat(contrast("-yt-ink", "-yt-yellow")).isGreaterThanOrEqualTo(4.5);
    }

    private static double contrast(String a, String b) throws IOException {
        double first = luminance(a);
        double second = luminance(b);
        return (Math.max(first, second) + 0.05) / (Math.min(first, second) + 0.05);
    }

    /** Relative luminance (WCAG 2.2). */
    private static double luminance(String token) throws IOException {
        Matcher colour = Pattern.compile(token + ": #([0-9A-F]{6});").matcher(sheet("tokens.css"));
        assertThat(colour.find()).isTrue();
        int rgb = Integer.parseInt(colour.group(1), 16);
        return 0.2126 * linear(rgb >> 16) + 0.7152 * linear(rgb >> 8) + 0.0722 * linear(rgb);
    }

    private static double linear(int channel) {
        double c = (channel & 0xFF) / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    @ParameterizedTest
    @EnumSource
    void everyShortcutSaysWhatItDoes(Shortcut shortcut) {
        assertThat(shortcut.meaning()).isNotBlank();
        assertThat(shortcut.shown()).isNotBlank();
        assertThat(shortcut.keys()).as("a key that there is").isInstanceOf(KeyCodeCombination.class);
    }

    @ParameterizedTest
    @CsvSource({"999, 999 bytes", "1500, 2 KB", "9940000, 9.9 MB", "61200000, 61 MB"})
    void sizesAsPeopleSayThem(long bytes, String shown) {
        assertThat(Words.size(bytes)).isEqualTo(shown);
    }

    @Test
    void oneAndMany() {
        assertThat(Words.of("status.facts", 1, 1, Words.of("status.bytes", "9 KB")))
                .isEqualTo("1 page  ·  1 document  ·  9 KB of sources");
        assertThat(Words.of("status.facts", 20412, 0, Words.of("status.bytes", "9 KB")))
                .startsWith("20,412 pages  ·  no documents");
    }
}
