package app.yellowtab.index;

import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;

/**
 * The measures of the printed index, in points on an upright A4 page. Chosen by us: 11 pt text is read without effort at
 * arm's length, and the foot leaves room for the stamped number.
 */
public final class IndexLook {
    public static final Typeface FACE = Typeface.SERIF;
    public static final Typeface SECTION_FACE = Typeface.SERIF_BOLD;
    public static final float SIZE_PT = 11;
    public static final float SMALL_PT = 9;
    public static final float LINE_PT = 14;
    public static final float SMALL_LINE_PT = 11.5f;
    public static final float ROW_GAP_PT = 6;
    public static final float SECTION_GAP_PT = 14;
    public static final float LEFT = Units.mm(22);
    public static final float RIGHT = Units.A4_WIDTH_PT - Units.mm(20);
    /** One level of sections moves tab number and title this far to the right. */
    public static final float INDENT = 14;
    /** From the tab number's left edge to the title's; holds four figures, or a letter such as "B.12". */
    public static final float TAB_WIDTH = 34;
    /** The right edge of the page column is {@link #RIGHT}; a span such as "10,001–20,000" has room. */
    public static final float PAGE_WIDTH = 78;
    public static final float DATE_WIDTH = 96;
    /** Of the column that says in which volume an entry lies, where there are several; it ends where the page column begins. */
    public static final float VOLUME_WIDTH = 46;
    public static final float TOP = Units.A4_HEIGHT_PT - Units.mm(22);
    public static final float BOTTOM = Units.mm(24);
    public static final float HEADING_LINE_PT = 16;
    /** Column heads and the rule below them. */
    public static final float COLUMNS_PT = 26;
    /** Deeper sections are not moved any further, or their titles would have no room. */
    private static final int DEEPEST_INDENT = 5;

    private IndexLook() {}

    /** {@return where a row's tab number begins} */
    public static float tabLeft(int depth) {
        return LEFT + INDENT * Math.min(Math.max(depth - 1, 0), DEEPEST_INDENT);
    }

    /** {@return where a row's title begins} */
    public static float titleLeft(int depth) {
        return tabLeft(depth) + TAB_WIDTH;
    }

    /** {@return where the date column begins} */
    public static float dateLeft(boolean volumes) {
        return RIGHT - PAGE_WIDTH - DATE_WIDTH - (volumes ? VOLUME_WIDTH : 0);
    }

    /**
     * {@return how wide a title may be; a section's runs on into the date column, which it does not use}
     *
     * @param volumes whether there is a column for volumes
     */
    public static float titleWidth(int depth, boolean section, boolean volumes) {
        return dateLeft(volumes) + (section ? DATE_WIDTH : 0) - 8 - titleLeft(depth);
    }
}
