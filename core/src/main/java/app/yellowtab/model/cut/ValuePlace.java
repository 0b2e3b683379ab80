package app.yellowtab.model.cut;

import app.yellowtab.model.page.Area;
import java.util.Objects;

/** Where a value stands on a page, such as an invoice's number. */
public sealed interface ValuePlace {
    /** The words in an area. */
    record InArea(Area area) implements ValuePlace {
        public InArea {
            Objects.requireNonNull(area, "area");
        }
    }

    /**
     * What stands behind some words.
     *
     * @param words such as "Invoice no."; whatever the case of their letters
     * @param until where it ends; empty for the end of the line
     */
    record AfterWords(String words, String until) implements ValuePlace {
        public AfterWords {
            Objects.requireNonNull(until, "until");
            if (words.isBlank()) throw new IllegalArgumentException("\"words\" must not be blank");
        }
    }
}
