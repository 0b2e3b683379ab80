package app.yellowtab.model;

import java.util.List;

/**
 * Whether the words of scans are read, and in which languages.
 *
 * @param languages their codes, such as "eng"; at least one
 */
public record RecognitionChoice(boolean isOn, List<String> languages) {
    /** English is read. */
    public static final RecognitionChoice STANDARD = new RecognitionChoice(true, List.of("eng"));

    public RecognitionChoice {
        languages = List.copyOf(languages);
        if (languages.isEmpty() || !languages.stream().allMatch(code -> code.matches("[A-Za-z][A-Za-z_]{1,30}")))
            throw new IllegalArgumentException("\"languages\" must be codes such as \"eng\", got " + languages);
    }
}
