package app.yellowtab.clash;

import app.yellowtab.mark.Mark;

/**
 * A mark that stands on something.
 *
 * @param leaf its page, by its index in the plan
 * @param kind what it stands on
 * @param words of what it stands on, with a space between them; empty for what is drawn
 */
public record Clash(int leaf, Mark mark, Kind kind, String words) {
    /** What a mark can stand on. */
    public enum Kind {
        /** Words of the page, its own number among them. */
        WORDS,
        /** A line, or a dark part of a picture. */
        DRAWN,
        /** Another mark. */
        MARK,
        /** Nothing, but it is a line that was cut because it is too long. */
        CUT
    }
}
