package app.yellowtab.model.page;

import java.util.Objects;

/**
 * An area of which nothing is to be in the produced file.
 *
 * @param reason  as the schedule of redactions gives it; may be empty
 * @param printed whether the reason stands in the area
 */
public record Redaction(Area area, String reason, boolean printed) {
    public Redaction {
        Objects.requireNonNull(area, "area");
        Objects.requireNonNull(reason, "reason");
    }

    /** {@return what is printed in the area; empty for nothing} */
    public String printedWords() {
        return printed ? reason.strip() : "";
    }
}
