package app.yellowtab.model;

import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * How the set for the screen is divided into files.
 *
 * @param by       what it is divided by
 * @param most     at most so many bytes, or pages, a file; 0 where it is divided otherwise
 * @param sections the sections before which a volume begins; none for each outermost one
 * @param cutLong  whether a document that is too big for a volume is cut at a page; otherwise its volume is too big
 * @param kept     where volumes began that were produced; they begin there again
 */
public record Volumes(Division by, long most, List<EntryId> sections, boolean cutLong, List<Start> kept) {
    /** What a bundle is divided by. */
    public enum Division { NOTHING, SIZE, PAGES, SECTIONS, LETTERS }

    /**
     * Where a volume begins.
     *
     * @param entry the section or document that it begins with
     * @param page  the page of that document; empty for the whole of it, with what stands before it
     */
    public record Start(EntryId entry, Optional<PageKey> page) {
        public Start {
            Objects.requireNonNull(entry, "entry");
            Objects.requireNonNull(page, "page");
        }
    }

    /** All in one file. */
    public static final Volumes NONE = new Volumes(Division.NOTHING, 0, List.of(), false, List.of());

    public Volumes {
        Objects.requireNonNull(by, "by");
        sections = List.copyOf(sections);
        kept = List.copyOf(kept);
        boolean bounded = by == Division.SIZE || by == Division.PAGES;
        if (bounded ? most < 1 : most != 0)
            throw new IllegalArgumentException("\"most\" must be at least 1 by size and by pages, and 0 otherwise, got " + most);
    }

    /** {@return a division by size or by pages} */
    public static Volumes atMost(Division by, long most) {
        return new Volumes(by, most, List.of(), false, List.of());
    }

    /** {@return a division at sections, by letters, or none} */
    public static Volumes by(Division by) {
        return new Volumes(by, 0, List.of(), false, List.of());
    }

    public Volumes withSections(List<EntryId> newSections) {
        return new Volumes(by, most, newSections, cutLong, kept);
    }

    public Volumes withCutLong(boolean newCutLong) {
        return new Volumes(by, most, sections, newCutLong, kept);
    }

    public Volumes withKept(List<Start> newKept) {
        return new Volumes(by, most, sections, cutLong, newKept);
    }
}
