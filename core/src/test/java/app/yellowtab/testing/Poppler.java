package app.yellowtab.testing;

import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** Words with their boxes as poppler's {@code pdftotext} reads them: another reader than the library that wrote them. */
public final class Poppler {
    private static final double MM = 72 / 25.4;
    private static final Pattern WORD =
            Pattern.compile("<word xMin=\"(\\S+)\" yMin=\"(\\S+)\" xMax=\"(\\S+)\" yMax=\"(\\S+)\">(.*?)</word>");
    private static final boolean THERE = runs();

    private Poppler() {}

    /**
     * A word and its box from the upper left of what is seen of the page, in millimetres; the box is as high as the line, not as
     * the letters.
     */
    public record Word(String words, double left, double top, double right, double bottom) {}

    /** {@return the words of a page in the order of reading; the test is skipped where poppler is not installed} */
    public static List<Word> words(Path pdf, int page) {
        assumeTrue(THERE, "pdftotext is not installed: ./yellowtab test installs it (poppler-utils)");
        String at = Integer.toString(page);
        return WORD.matcher(run("pdftotext", "-bbox", "-cropbox", "-f", at, "-l", at, pdf.toString(), "-")).results()
                .map(Poppler::word).toList();
    }

    private static Word word(MatchResult found) {
        return new Word(found.group(5), mm(found, 1), mm(found, 2), mm(found, 3), mm(found, 4));
    }

    private static double mm(MatchResult found, int group) {
        return Double.parseDouble(found.group(group)) / MM;
    }

    private static boolean runs() {
        try {
            return new ProcessBuilder("pdftotext", "-v").redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start().waitFor() >= 0;
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static String run(String... command) {
        try {
            Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
            return new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
