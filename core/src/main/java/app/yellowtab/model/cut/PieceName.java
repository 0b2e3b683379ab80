package app.yellowtab.model.cut;

import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.run.PageKey;
import java.util.Objects;
import java.util.Optional;

/**
 * What was typed for the piece that begins with a page.
 *
 * @param words its name; empty where the rules name it
 * @param date  its date; empty where what its first page says holds
 */
public record PieceName(PageKey first, String words, Optional<DocumentDate> date) {
    public PieceName {
        Objects.requireNonNull(first, "first");
        Objects.requireNonNull(date, "date");
        if (words.isBlank() && date.isEmpty())
            throw new IllegalArgumentException("\"words\" must not be blank where no date was typed");
    }
}
