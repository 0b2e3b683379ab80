package app.yellowtab.model.cut;

import app.yellowtab.model.page.Area;
import java.util.Objects;
import java.util.Optional;

/** Says where a batch is cut. */
public sealed interface CutRule {
    /** {@return whether it makes pieces by itself, beside no other rule; the others propose cuts, which are united} */
    default boolean isAlone() {
        return false;
    }

    /**
     * After every so many pages.
     *
     * @param count at least 1
     * @param from  the page that the first of them begins with, counted from 1
     */
    record EveryPages(int count, int from) implements CutRule {
        public EveryPages {
            if (count < 1) throw new IllegalArgumentException("\"count\" must be >= 1, got " + count);
            if (from < 1) throw new IllegalArgumentException("\"from\" must be >= 1, got " + from);
        }
    }

    /**
     * Stretches of pages, in the order in which they are named; a page may be in several.
     *
     * @param typed     such as "9-12, 13-29, 40-, 5"
     * @param restStays whether what is not named is a piece of its own; otherwise it is dropped
     */
    record Ranges(String typed, boolean restStays) implements CutRule {
        public Ranges {
            Objects.requireNonNull(typed, "typed");
        }

        @Override
        public boolean isAlone() {
            return true;
        }
    }

    /**
     * The odd pages in one piece, the even ones in another.
     *
     * @param evenFromBack whether the even pages are taken from the last to the first, as a pile is that was turned over
     */
    record OddAndEven(boolean evenFromBack) implements CutRule {
        @Override
        public boolean isAlone() {
            return true;
        }
    }

    /**
     * Before pages that bookmarks lead to.
     *
     * @param level down to which, 1 for the outermost
     */
    record Bookmarks(int level) implements CutRule {
        public Bookmarks {
            if (level < 1) throw new IllegalArgumentException("\"level\" must be >= 1, got " + level);
        }
    }

    /**
     * At blank sheets.
     *
     * @param dropped whether they go; otherwise each stays at the end of its piece
     */
    record BlankSheets(boolean dropped) implements CutRule {}

    /**
     * Where words stand.
     *
     * @param words       a text, or a regular expression; not blank
     * @param isPattern   whether it is an expression, in the form that runs in linear time (RE2)
     * @param caseMatters whether capitals are told from small letters
     * @param spacesMatter whether white space must be as it is typed; it never matters how much there is
     * @param area        where they stand on the page; empty for anywhere
     * @param after       whether the cut is behind the page; otherwise it is before it
     */
    record WordsFound(String words, boolean isPattern, boolean caseMatters, boolean spacesMatter, Optional<Area> area,
            boolean after) implements CutRule {
        public WordsFound {
            Objects.requireNonNull(area, "area");
            if (words.isBlank()) throw new IllegalArgumentException("\"words\" must not be blank");
        }
    }

    /** Where a value is another than on the page before; pages without one stay with the page before. */
    record ValueChanges(ValuePlace place) implements CutRule {
        public ValueChanges {
            Objects.requireNonNull(place, "place");
        }
    }

    /**
     * Before pages that look like the first of a document.
     *
     * @param leastPercent how sure that must be, from 1 to 100
     */
    record FirstPages(int leastPercent) implements CutRule {
        public FirstPages {
            if (leastPercent < 1 || leastPercent > 100)
                throw new IllegalArgumentException("\"leastPercent\" must be 1 to 100, got " + leastPercent);
        }
    }

    /** Where printed page numbers begin again. */
    record NumberingRestarts() implements CutRule {}

    /** At separator sheets of ours, which are dropped; the document behind one gets what the sheet says. */
    record SeparatorSheets() implements CutRule {}

    /**
     * So that no piece takes more, going back to the last whole page; a page that takes more by itself is a piece of its own.
     *
     * @param bytes at least 1
     */
    record UpTo(long bytes) implements CutRule {
        public UpTo {
            if (bytes < 1) throw new IllegalArgumentException("\"bytes\" must be >= 1, got " + bytes);
        }
    }

    /** Where pages have another size, or lie the other way. */
    record SizeChanges() implements CutRule {}
}
