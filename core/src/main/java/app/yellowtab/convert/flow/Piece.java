package app.yellowtab.convert.flow;

import app.yellowtab.convert.page.Face;
import java.util.Locale;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/**
 * One thing in a line of text.
 *
 * @param text    of a text; empty otherwise
 * @param css     its look
 * @param face    what it is set in
 * @param widthPt how wide it is, in one line
 * @param markup  of a thing that is no text; null otherwise
 */
public record Piece(Kind kind, String text, String css, Face face, double widthPt, @Nullable Element markup) {
    public enum Kind { TEXT, TAB, LINE_BREAK, PAGE_BREAK, MARKUP }

    public static Piece text(String text, String css, Face face, Props run) {
        String shown = run.on("caps") || run.on("smallCaps") ? text.toUpperCase(Locale.ROOT) : text;
        return new Piece(Kind.TEXT, text, css, face, face.width(shown, Look.size(run), run.on("b"), run.on("i")), null);
    }

    public static Piece tab() {
        return new Piece(Kind.TAB, "", "", Face.TINOS, 0, null);
    }

    public static Piece lineBreak() {
        return new Piece(Kind.LINE_BREAK, "", "", Face.TINOS, 0, null);
    }

    public static Piece pageBreak() {
        return new Piece(Kind.PAGE_BREAK, "", "", Face.TINOS, 0, null);
    }

    public static Piece markup(Element element, double widthPt) {
        return new Piece(Kind.MARKUP, "", "", Face.TINOS, widthPt, element);
    }
}
