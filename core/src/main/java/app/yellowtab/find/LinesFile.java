package app.yellowtab.find;

import app.yellowtab.files.Drafts;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/**
 * The words of a source's pages, one page a line, kept so that they can be searched at once: a few kilobytes a page, and quickly
 * read.
 */
final class LinesFile {
    /** Raised when words are read another way, so that older files are not taken for new ones. */
    private static final String HEAD = "yellowtab lines 1";

    private LinesFile() {}

    /**
     * {@return what a file holds; empty where there is none, or it is of another form}
     *
     * @param pages how many lines there must be
     */
    static Optional<List<String>> read(Path file, int pages) {
        try {
            if (!Files.exists(file)) return Optional.empty();
            List<String> lines = Files.readAllLines(file, StandardCharsets.UTF_8);
            return lines.size() == pages + 1 && lines.getFirst().equals(HEAD) ? Optional.of(lines.subList(1, pages + 1))
                    : Optional.empty();
        } catch (IOException damaged) {
            LoggerFactory.getLogger(LinesFile.class).warn("the words are read anew: {}", file, damaged);
            return Optional.empty();
        }
    }

    /** Writes the lines of pages, in one step. What cannot be kept is made again the next time. */
    static void write(Path file, List<String> lines) {
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            Path draft = Drafts.beside(file);
            try {
                try (BufferedWriter out = Files.newBufferedWriter(draft, StandardCharsets.UTF_8)) {
                    out.write(HEAD + "\n");
                    for (String line : lines) {
                        out.write(line);
                        out.write('\n');
                    }
                }
                Drafts.move(draft, file);
            } finally {
                Files.deleteIfExists(draft);
            }
        } catch (IOException | RuntimeException full) {
            LoggerFactory.getLogger(LinesFile.class).warn("words not kept: {}", file, full);
        }
    }
}
