package app.yellowtab.model.source;

import java.util.Objects;
import java.util.UUID;

/** The lasting identity of a source within its bundle. */
public record SourceId(String value) {
    public SourceId {
        Objects.requireNonNull(value, "value");
        if (value.isBlank()) throw new IllegalArgumentException("a source's id must not be blank");
    }

    /** {@return an id that no other source has} */
    public static SourceId fresh() {
        return new SourceId("s" + UUID.randomUUID().toString().replace("-", "").substring(0, 14));
    }
}
