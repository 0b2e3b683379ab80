package app.yellowtab.model.cut;

import java.util.UUID;

/** The identity of a batch, kept for its whole life. */
public record BatchId(String value) {
    public BatchId {
        if (value.isBlank()) throw new IllegalArgumentException("a batch's id must not be blank");
    }

    /** {@return an id that nothing else has} */
    public static BatchId fresh() {
        return new BatchId(UUID.randomUUID().toString());
    }
}
