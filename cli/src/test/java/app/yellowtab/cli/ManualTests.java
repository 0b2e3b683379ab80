package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The examples in the manual, run as they stand there, one after the other. */
class ManualTests extends AtTheCommandLine {
    private static final Path MANUAL = Path.of("..", "docs", "manual", "command-line.md");
    private static final Pattern EXAMPLE = Pattern.compile("```sh\n\\./yellowtab (.+)\n```");
    private static final Pattern WORD = Pattern.compile("\"([^\"]*)\"|(\\S+)");
    /** What the examples read and write; they lie in a folder of their own here. */
    private static final Set<String> PLACES = Set.of("trial files", "trial.pdf", "matter", "bundle.pdf", "bundle (paper).pdf",
            "divided.pdf", "divided (volume A).pdf", "post.pdf", "pieces", "sheets.pdf", "scan.pdf", "searchable", "some",
            "stamped");

    @TempDir
    private Path temp;

    private List<Object> words(String example) {
        List<Object> words = new ArrayList<>();
        for (Matcher word = WORD.matcher(example); word.find();) {
            String typed = word.group(1) == null ? word.group(2) : word.group(1);
            words.add(PLACES.contains(typed) ? temp.resolve(typed) : typed);
        }
        return words;
    }

    @Test
    void everyExampleDoesWhatItSays() throws IOException {
        Path files = Files.createDirectories(temp.resolve("trial files/A - Letters"));
        Pdfs.write(files, "1 Fennick 9 June 2031", 2);
        Pdfs.write(temp, "post", 6);
        Pdfs.write(temp, "scan", 1);
        List<String> examples = EXAMPLE.matcher(Files.readString(MANUAL)).results().map(found -> found.group(1)).toList();
        for (String example : examples) assertThat(run(words(example).toArray())).as("%s%n%s", example, err).isZero();
        assertThat(examples.stream().map(example -> example.split(" ")[0]).collect(Collectors.toSet()))
                .as("one for each command that opens no window")
                .containsExactlyInAnyOrderElementsOf(Main.commandLine().getSubcommands().keySet());
        assertThat(Pdfs.pages(temp.resolve("some/post.pdf"))).containsExactly("post-4", "post-5", "post-1");
        assertThat(temp.resolve("bundle (paper).pdf")).exists();
        assertThat(temp.resolve("sheets.pdf")).exists();
    }
}
