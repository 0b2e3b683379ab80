package app.yellowtab.model.entry;

import java.util.Objects;
import java.util.UUID;

/** The lasting identity of a section or document: it stays when title, place or pages change. */
public record EntryId(String value) {
    public EntryId {
        Objects.requireNonNull(value, "value");
        if (value.isBlank()) throw new IllegalArgumentException("an entry's id must not be blank");
    }

    /** {@return an id that no other entry has} */
    public static EntryId fresh() {
        return new EntryId("e" + UUID.randomUUID().toString().replace("-", "").substring(0, 14));
    }
}
