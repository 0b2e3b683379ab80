package app.yellowtab.model.number;

import java.util.UUID;

/** The identity of a series of numbers, kept for its whole life. */
public record SeriesId(String value) {
    public SeriesId {
        if (value.isBlank()) throw new IllegalArgumentException("a series' id must not be blank");
    }

    /** {@return an id that nothing else has} */
    public static SeriesId fresh() {
        return new SeriesId(UUID.randomUUID().toString());
    }
}
