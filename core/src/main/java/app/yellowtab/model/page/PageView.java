package app.yellowtab.model.page;

import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.Locale;

/** Views of pages, in the PDF standard's words (ISO 32000-1:2008, table 151), such as "XYZ 72 700 null". */
public final class PageView {
    private static final String NULL = "null";

    private PageView() {}

    /**
     * {@return the view that shows the same of a page after it has been moved}
     *
     * @param view empty for the page's top
     * @param onto takes the page's coordinates to where they are now
     */
    public static String moved(String view, AffineTransform onto) {
        if (view.isEmpty() || onto.isIdentity()) return view;
        String[] words = view.split(" ");
        return switch (words[0]) {
            case "XYZ" -> {
                Point2D at = onto.transform(new Point2D.Double(number(words, 1), number(words, 2)), null);
                yield "XYZ " + (isGiven(words, 1) ? plain(at.getX()) : NULL) + " " + (isGiven(words, 2) ? plain(at.getY()) : NULL)
                        + " " + (isGiven(words, 3) ? words[3] : NULL);
            }
            case "FitH", "FitBH" -> isGiven(words, 1)
                    ? words[0] + " " + plain(onto.transform(new Point2D.Double(0, number(words, 1)), null).getY()) : view;
            case "FitV", "FitBV" -> isGiven(words, 1)
                    ? words[0] + " " + plain(onto.transform(new Point2D.Double(number(words, 1), 0), null).getX()) : view;
            case "FitR" -> {
                Rectangle2D area = new Rectangle2D.Double(number(words, 1), number(words, 2), number(words, 3) - number(words, 1),
                        number(words, 4) - number(words, 2));
                Rectangle2D now = onto.createTransformedShape(area).getBounds2D();
                yield "FitR " + plain(now.getMinX()) + " " + plain(now.getMinY()) + " " + plain(now.getMaxX()) + " "
                        + plain(now.getMaxY());
            }
            default -> view;
        };
    }

    private static boolean isGiven(String[] words, int n) {
        return n < words.length && !words[n].equals(NULL);
    }

    private static double number(String[] words, int n) {
        return isGiven(words, n) ? Double.parseDouble(words[n]) : 0;
    }

    /** Two places behind the point are finer than any screen. */
    private static String plain(double value) {
        String written = String.format(Locale.ROOT, "%.2f", value);
        return written.endsWith(".00") ? written.substring(0, written.length() - 3) : written;
    }
}
