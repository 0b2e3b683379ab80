package app.yellowtab.desktop.look;

import java.util.List;
import javafx.css.PseudoClass;

/** The names that the style sheet knows; what they look like is said in app.css only. */
public final class Styles {
    public static final String RAIL = "rail";
    public static final String RAIL_BUTTON = "rail-button";
    public static final String STATUS = "status-bar";
    public static final String MAIN_ACTION = "main-action";
    public static final String QUIET = "quiet";
    public static final String TITLE = "screen-title";
    public static final String SMALL = "small";
    public static final String TRAY = "tray";
    public static final String TRAY_LIST = "tray-list";
    public static final String DESK = "desk";
    public static final String INDEX_SHEET = "index-sheet";
    public static final String SHEET = "sheet";
    public static final String SHEET_COLUMNS = "sheet-columns";
    public static final String STAGE = "stage";
    public static final String DOCUMENT_LINE = "document-line";
    public static final String HEADING_PARTIES = "heading-parties";
    public static final String HEADING_TITLE = "heading-title";
    public static final String HEADING_FORM = "heading-form";
    public static final String SHEET_HEADING = "sheet-heading";
    public static final String SHEET_LIST = "sheet-list";
    public static final String ROW = "sheet-row";
    public static final String IN_PLACE = "in-place";
    public static final String FORE_EDGE = "fore-edge";
    public static final String BAND = "band";
    public static final String FREE_BAND = "free-band";
    public static final String PARTING = "parting";
    public static final String OFFER = "offer";
    public static final String SHELF = "shelf";
    public static final String SPINE = "spine";
    public static final String SPINE_TAB = "spine-tab";
    public static final String SPINE_TITLE = "spine-title";
    public static final String SPINE_PARTIES = "spine-parties";
    public static final String EMPTY_SPINE = "empty-spine";
    public static final String PAGE_NUMBER = "page-number";
    public static final String SHEET_LINE = "sheet-line";
    public static final String REFERENCE = "reference";
    public static final String EDGE_TAB = "edge-tab";
    public static final String FRAME = "leaf-frame";
    public static final String READER = "reader";
    public static final String PAGE = "page";
    public static final String CARD = "card";
    public static final String FORM_LABEL = "form-label";
    public static final String NOTICE = "notice";
    public static final String DONE = "done";
    public static final String WRONG = "wrong";
    public static final String CONTENTS = "contents-table";
    public static final String GATHER = "gather";
    public static final String FILTER = "filter";
    public static final String SOURCE_LIST = "source-list";
    public static final String EMPTY = "empty-list";
    public static final String EMPTY_TITLE = "empty-title";
    public static final String EMPTY_TEXT = "empty-text";
    public static final String GLANCE = "glance";
    public static final String GLANCE_WORDS = "glance-words";
    public static final String SMALL_PAGE = "small-page";
    public static final String FOUND_WORDS = "found-words";
    public static final String REPEATED = "repeated-words";
    public static final String AROUND_REPEATED = "around-repeated";
    public static final String LOOKED_WORDS = "looked-words";
    public static final String CHOSEN_WORDS = "chosen-words";
    public static final String FACT = "fact";
    public static final String OVERLAY = "overlay";
    public static final String LIGHT_TABLE = "light-table";
    public static final String PAGE_TILE = "page-tile";
    public static final String CUT_TAB = "cut-tab";
    public static final String CUT_RULES = "cut-rules";
    public static final String CUT_WORK = "cut-work";
    public static final String LARGE_PAGE = "large-page";
    public static final String RULE = "rule";
    public static final String SENTENCE = "sentence";
    public static final String CHIP = "chip";
    public static final String PIECES = "pieces-table";
    public static final String AREA_PAGES = "area-pages";
    public static final String AREA = "area-frame";
    public static final String NUMBER = "number-stage";
    public static final String NUMBER_SIDE = "number-side";
    public static final String SERIES_LINE = "series-line";
    public static final String PLACES = "small-places";
    public static final String NUMBER_PART = "number-part";
    public static final String SEGMENTS = "segments";
    public static final String LINE_EDITOR = "line-editor";
    public static final String LINE_WORDS = "line-words";
    public static final String LINE_BLOCK = "line-block";
    public static final String HELP_LINE = "help-line";
    public static final String OLD_NUMBER = "old-number";
    public static final String LOOSE = "loose";
    public static final String LOOSE_FILES = "loose-files";
    public static final String LOOSE_SIDE = "loose-side";
    public static final String READER_SIDE = "reader-side";
    public static final String REDACT_BAR = "redact-bar";
    /** What will be redacted, and which of it is chosen; a hit that may be. */
    public static final String GLASS = "redact-glass";
    public static final String GLASS_CHOSEN = "redact-glass-chosen";
    public static final String HIT_AREA = "redact-hit-area";

    /** Every name, for the test that the style sheet knows them all. */
    public static final List<String> ALL = List.of(RAIL, RAIL_BUTTON, STATUS, MAIN_ACTION, QUIET, TITLE, SMALL, TRAY, TRAY_LIST,
            DESK, SHEET, SHEET_HEADING, SHEET_LIST, ROW, IN_PLACE, FORE_EDGE, BAND, FREE_BAND, PARTING, REFERENCE, PAGE_NUMBER,
            SHEET_LINE,
            OFFER, SHELF, SPINE, SPINE_TAB, SPINE_TITLE, SPINE_PARTIES, EMPTY_SPINE, EDGE_TAB, FRAME, READER, PAGE, CARD,
            FORM_LABEL,
            NOTICE, DONE, WRONG, OVERLAY, CONTENTS, INDEX_SHEET, SHEET_COLUMNS, STAGE, DOCUMENT_LINE, HEADING_PARTIES,
            HEADING_TITLE, HEADING_FORM,
            GATHER, FILTER, SOURCE_LIST, EMPTY, EMPTY_TITLE, EMPTY_TEXT, GLANCE, GLANCE_WORDS, FACT, LIGHT_TABLE, PAGE_TILE,
            CUT_TAB, CUT_RULES, CUT_WORK, LARGE_PAGE, RULE, SENTENCE, CHIP, SMALL_PAGE, FOUND_WORDS, LOOKED_WORDS, CHOSEN_WORDS,
            AREA, AREA_PAGES, PIECES, NUMBER, NUMBER_SIDE, SERIES_LINE, PLACES, NUMBER_PART, SEGMENTS, LINE_EDITOR, LINE_WORDS,
            LINE_BLOCK, HELP_LINE, OLD_NUMBER, LOOSE, LOOSE_FILES, LOOSE_SIDE, READER_SIDE, REDACT_BAR, GLASS, GLASS_CHOSEN,
            HIT_AREA);

    public static final PseudoClass ODD_PIECE = PseudoClass.getPseudoClass("odd-piece");
    public static final PseudoClass EVEN_PIECE = PseudoClass.getPseudoClass("even-piece");
    public static final PseudoClass FADED = PseudoClass.getPseudoClass("faded");
    public static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    public static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    public static final PseudoClass BY_HAND = PseudoClass.getPseudoClass("by-hand");
    public static final PseudoClass SECTION = PseudoClass.getPseudoClass("section");
    public static final PseudoClass HIDDEN = PseudoClass.getPseudoClass("unlisted");
    public static final PseudoClass DROP_ABOVE = PseudoClass.getPseudoClass("drop-above");
    public static final PseudoClass DROP_BELOW = PseudoClass.getPseudoClass("drop-below");
    public static final PseudoClass DROP_INTO = PseudoClass.getPseudoClass("drop-into");
    public static final PseudoClass ARRIVING = PseudoClass.getPseudoClass("arriving");
    public static final PseudoClass TIED = PseudoClass.getPseudoClass("tied");
    public static final PseudoClass PLACEHOLDER = PseudoClass.getPseudoClass("placeholder");
    public static final PseudoClass IN_VIEW = PseudoClass.getPseudoClass("in-view");
    public static final PseudoClass UNREAD = PseudoClass.getPseudoClass("unread");
    public static final PseudoClass NESTED = PseudoClass.getPseudoClass("nested");
    public static final PseudoClass LARGE = PseudoClass.getPseudoClass("large");
    public static final PseudoClass LOOK = PseudoClass.getPseudoClass("look");

    private Styles() {}
}
