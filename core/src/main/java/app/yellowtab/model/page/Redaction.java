package app.yellowtab.model.page;

import java.util.Objects;

/**
 * An area of which nothing is to be in the produced file.
 *
 * @param reason as the schedule of redactions gives it; may be empty
 */
public record Redaction(Area area, String reason) {
    public Redaction {
        Objects.requireNonNull(area, "area");
        Objects.requireNonNull(reason, "reason");
    }
}
