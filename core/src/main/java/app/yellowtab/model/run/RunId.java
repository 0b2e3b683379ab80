package app.yellowtab.model.run;

import java.util.Objects;
import java.util.UUID;

/** The lasting identity of a run of pages: its parts keep it when the run is divided, a copy gets another. */
public record RunId(String value) {
    public RunId {
        Objects.requireNonNull(value, "value");
        if (value.isBlank()) throw new IllegalArgumentException("a run's id must not be blank");
    }

    /** {@return an id that no other run has} */
    public static RunId fresh() {
        return new RunId("r" + UUID.randomUUID().toString().replace("-", "").substring(0, 14));
    }
}
