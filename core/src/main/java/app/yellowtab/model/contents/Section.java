package app.yellowtab.model.contents;

import app.yellowtab.model.entry.EntryId;
import java.util.Objects;

/**
 * A lettered group of documents. Its letter is not kept: it follows from its place.
 *
 * @param id       its lasting identity
 * @param title    as its title page and the index print it; never blank
 * @param contents its documents, then its sub-sections
 */
public record Section(EntryId id, String title, Contents contents) {
    public Section {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(contents, "contents");
        if (title.isBlank()) throw new IllegalArgumentException("a section's title must not be blank");
    }

    /** {@return a new section without documents} */
    public static Section titled(String title) {
        return new Section(EntryId.fresh(), title, Contents.EMPTY);
    }

    public Section withTitle(String newTitle) {
        return new Section(id, newTitle, contents);
    }

    public Section withContents(Contents newContents) {
        return newContents.equals(contents) ? this : new Section(id, title, newContents);
    }
}
