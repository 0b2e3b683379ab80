package app.yellowtab.model.cut;

import java.util.Objects;

/** A part of the names of pieces. */
public sealed interface NamePart {
    /** The title of the bookmark that leads to the piece's first page; the outermost, where several do. */
    record Bookmark() implements NamePart {}

    /** A value on the piece's first page. */
    record Value(ValuePlace place) implements NamePart {
        public Value {
            Objects.requireNonNull(place, "place");
        }
    }

    /** The name of the batch's file. */
    record FileName() implements NamePart {}

    /**
     * A number that counts the pieces.
     *
     * @param digits at least so many, with noughts before them
     * @param start  of the first piece
     */
    record Number(int digits, int start) implements NamePart {
        private static final int MOST = 9;

        public Number {
            if (digits < 1 || digits > MOST)
                throw new IllegalArgumentException("\"digits\" must be 1 to " + MOST + ", got " + digits);
            if (start < 0) throw new IllegalArgumentException("\"start\" must be >= 0, got " + start);
        }
    }

    /** The date of the piece's first page. */
    record FirstDate() implements NamePart {}

    /** Words that are the same in all names. */
    record Typed(String words) implements NamePart {
        public Typed {
            Objects.requireNonNull(words, "words");
        }
    }
}
