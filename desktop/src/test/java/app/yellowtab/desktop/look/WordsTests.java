package app.yellowtab.desktop.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class WordsTests {
    private static final Pattern ASKED = Pattern.compile("(?:Words\\.of|WaitingView\\.of|editSoon)\\(\\s*\"([\\w.]+)\"\\s*[,)]");

    /** A key without words would throw where somebody presses a button. */
    @Test
    void everythingThatIsSaidHasItsWords() throws IOException {
        Properties words = new Properties();
        try (InputStream in = Words.class.getResourceAsStream("/app/yellowtab/desktop/words.properties")) {
            words.load(in);
        }
        Set<String> asked = new TreeSet<>();
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            for (Path source : sources.filter(file -> file.toString().endsWith(".java")).toList()) {
                Matcher found = ASKED.matcher(Files.readString(source));
                while (found.find()) asked.add(found.group(1));
            }
        }
        assertThat(asked).hasSizeGreaterThan(400).contains("edit.sort").isSubsetOf(words.stringPropertyNames());
    }
}
