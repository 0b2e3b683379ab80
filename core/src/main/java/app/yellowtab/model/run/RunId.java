package app.yellowtab.model.run;

import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.UUID;

/** The lasting identity of a run of pages: its parts keep it when the run is divided, a copy gets another. */
public record RunId(String value) {
    private static final int LETTERS = 14;

    public RunId {
        Objects.requireNonNull(value, "value");
        if (value.isBlank()) throw new IllegalArgumentException("a run's id must not be blank");
    }

    /** {@return an id that no other run has} */
    public static RunId fresh() {
        return new RunId("r" + UUID.randomUUID().toString().replace("-", "").substring(0, LETTERS));
    }

    /**
     * {@return an id that no other run has, and that is the same whenever it is made of the same}
     *
     * @param of what, beside this run, it is made of
     */
    public RunId derived(String of) {
        return new RunId("r" + UUID.nameUUIDFromBytes((value + "\n" + of).getBytes(StandardCharsets.UTF_8)).toString()
                .replace("-", "").substring(0, LETTERS));
    }
}
