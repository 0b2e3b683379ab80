package app.yellowtab.sample.paper;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * One file of the sample matter as its description gives it.
 *
 * @param path    below the matter's folder, with slashes
 * @param options words such as "landscape" and "pages=9"
 * @param lines   its text
 */
public record SampleFile(String path, Set<String> options, List<String> lines) {
    public boolean has(String option) {
        return options.contains(option);
    }

    /** {@return the number given with an option, or another if the option is absent} */
    public int number(String option, int otherwise) {
        return options.stream().filter(given -> given.startsWith(option + "="))
                .map(given -> Integer.parseInt(given.substring(option.length() + 1))).findFirst().orElse(otherwise);
    }

    /** {@return every file of the matter, in the order of its description} */
    public static List<SampleFile> all() throws IOException {
        List<SampleFile> files = new ArrayList<>();
        for (String part : resource("matter.txt").split("(?m)^=== ")) {
            if (part.isBlank() || part.startsWith("#")) continue;
            List<String> lines = part.stripTrailing().lines().toList();
            String[] head = lines.getFirst().split("\\|", 2);
            files.add(new SampleFile(head[0].strip(), Set.copyOf(Arrays.asList(head[1].strip().split(" +"))),
                    lines.subList(1, lines.size())));
        }
        return files;
    }

    public static String resource(String name) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(SampleFile.class.getResourceAsStream("/app/yellowtab/sample/" + name), name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
