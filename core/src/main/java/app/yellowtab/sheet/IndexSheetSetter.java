package app.yellowtab.sheet;

import app.yellowtab.index.IndexLook;
import app.yellowtab.index.IndexRow;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Draws one page of the index, and says where each of its rows lies. */
public final class IndexSheetSetter {
    /** What stands in the page column of an entry that has no page. */
    private static final String AS_FILE = "file";
    /** What stands on a page that the index does not need yet. */
    private static final String KEPT_FREE = "This page is kept free for the index.";
    private static final float VOLUME_RIGHT = IndexLook.RIGHT - IndexLook.PAGE_WIDTH - 6;
    private static final float VOLUME_ROOM = IndexLook.VOLUME_WIDTH - 10;
    private final Plan plan;

    IndexSheetSetter(Plan plan) {
        this.plan = plan;
    }

    /**
     * A row where it lies.
     *
     * @param volume which it lies in; empty where there is one file
     * @param area   the whole width of the row, in points
     */
    public record PlacedRow(IndexRow row, String volume, PDRectangle area) {
        /**
         * {@return its words in reading order, as they are drawn but for their spacing, and with boxes for letters that are not
         * in our fonts}
         */
        public String text() {
            PlannedEntry entry = row.entry();
            List<String> words = new ArrayList<>(List.of(label(entry)));
            words.addAll(row.titleLines());
            words.addAll(row.descriptionLines());
            if (entry instanceof PlannedDocument document) words.add(document.document().date().shown());
            words.add(volume);
            words.add(pages());
            return (entry instanceof PlannedSection ? IndexLook.SECTION_FACE : IndexLook.FACE)
                    .showable(String.join(" ", words.stream().filter(word -> !word.isEmpty()).toList()));
        }

        /** {@return what stands in its page column} */
        public String pages() {
            return IndexSheetSetter.pages(row.entry());
        }
    }

    /** {@return the rows of an index page, from the top down} */
    public static List<PlacedRow> rows(Plan plan, int sheet) {
        List<PlacedRow> rows = new ArrayList<>();
        float top = firstRowTop(plan);
        for (IndexRow row : plan.indexSheets().get(sheet)) {
            float bottom = top - row.heightPt();
            rows.add(new PlacedRow(row, plan.parting().shown(row.entry()),
                    new PDRectangle(IndexLook.LEFT, bottom, IndexLook.RIGHT - IndexLook.LEFT, top - bottom)));
            top = bottom;
        }
        return rows;
    }

    void draw(int sheet, Canvas canvas) throws IOException {
        if (sheet > 0 && plan.indexSheets().get(sheet).isEmpty()) {
            canvas.centre(KEPT_FREE, IndexLook.FACE, IndexLook.SIZE_PT, (IndexLook.LEFT + IndexLook.RIGHT) / 2,
                    IndexLook.TOP - 15);
            return;
        }
        head(canvas);
        for (PlacedRow row : rows(plan, sheet)) row(canvas, row, row.area().getUpperRightY());
    }

    private static float firstRowTop(Plan plan) {
        return IndexLook.TOP - plan.headingLines().size() * IndexLook.HEADING_LINE_PT - IndexLook.COLUMNS_PT;
    }

    private void head(Canvas canvas) throws IOException {
        float middle = (IndexLook.LEFT + IndexLook.RIGHT) / 2;
        float y = IndexLook.TOP;
        List<String> heading = plan.headingLines();
        int named = plan.heading().shortName().isEmpty() ? 0
                : IndexLook.FACE.wrap(plan.heading().shortName(), IndexLook.SIZE_PT, IndexLook.RIGHT - IndexLook.LEFT).size();
        for (int i = 0; i < heading.size(); i++) {
            boolean title = i >= named;
            canvas.centre(heading.get(i), title ? IndexLook.SECTION_FACE : IndexLook.FACE,
                    title ? IndexLook.SIZE_PT + 1 : IndexLook.SIZE_PT, middle, y - 11);
            y -= IndexLook.HEADING_LINE_PT;
        }
        float base = y - 15;
        canvas.left("Tab", Typeface.SERIF_ITALIC, 9, IndexLook.LEFT, base);
        canvas.left("Document", Typeface.SERIF_ITALIC, 9, IndexLook.titleLeft(0), base);
        canvas.left("Date", Typeface.SERIF_ITALIC, 9, dateLeft(), base);
        if (!plan.parting().volumes().isEmpty()) canvas.right("Volume", Typeface.SERIF_ITALIC, 9, VOLUME_RIGHT, base);
        canvas.right("Page", Typeface.SERIF_ITALIC, 9, IndexLook.RIGHT, base);
        canvas.rule(IndexLook.LEFT, IndexLook.RIGHT, base - 5, 0.6f);
    }

    /** Draws a row in reading order, so that copied text and screen readers have it in that order too. */
    private void row(Canvas canvas, PlacedRow placed, float top) throws IOException {
        IndexRow row = placed.row();
        PlannedEntry entry = row.entry();
        switch (entry) {
            case PlannedSection section -> {
                float y = top - IndexLook.SECTION_GAP_PT + 2;
                int depth = section.depth() + 1;
                tab(canvas, label(section), IndexLook.SECTION_FACE, depth, y);
                lines(canvas, row.titleLines(), IndexLook.SECTION_FACE, IndexLook.SIZE_PT, IndexLook.LINE_PT, depth, y);
                volume(canvas, placed, IndexLook.SECTION_FACE, y - IndexLook.LINE_PT + 4);
                canvas.right(pages(section), IndexLook.SECTION_FACE, IndexLook.SIZE_PT, IndexLook.RIGHT,
                        y - IndexLook.LINE_PT + 4);
            }
            case PlannedDocument document -> {
                float y = top - IndexLook.ROW_GAP_PT / 2;
                int depth = document.depth();
                tab(canvas, label(document), IndexLook.FACE, depth, y);
                float below = lines(canvas, row.titleLines(), IndexLook.FACE, IndexLook.SIZE_PT, IndexLook.LINE_PT, depth, y);
                lines(canvas, row.descriptionLines(), IndexLook.FACE, IndexLook.SMALL_PT, IndexLook.SMALL_LINE_PT, depth, below);
                float base = y - IndexLook.LINE_PT + 4;
                date(canvas, document.document().date().shown(), base);
                volume(canvas, placed, IndexLook.FACE, base);
                canvas.right(pages(document), IndexLook.FACE, IndexLook.SIZE_PT, IndexLook.RIGHT, base);
            }
        }
    }

    private static String label(PlannedEntry entry) {
        return switch (entry) {
            case PlannedSection section -> section.label();
            case PlannedDocument document -> String.valueOf(document.tab());
        };
    }

    private static String pages(PlannedEntry entry) {
        if (entry.span().isEmpty()) return AS_FILE;
        return entry instanceof PlannedSection ? entry.span().shown() : entry.span().from();
    }

    private static float lines(Canvas canvas, List<String> lines, Typeface face, float size, float leading, int depth, float top)
            throws IOException {
        float y = top;
        for (String line : lines) {
            canvas.left(line, face, size, IndexLook.titleLeft(depth), y - leading + 4);
            y -= leading;
        }
        return y;
    }

    private static void tab(Canvas canvas, String label, Typeface face, int depth, float top) throws IOException {
        float room = IndexLook.TAB_WIDTH - 4;
        float size = Math.min(IndexLook.SIZE_PT, IndexLook.SIZE_PT * room / face.width(label, IndexLook.SIZE_PT));
        canvas.left(label, face, size, IndexLook.tabLeft(depth), top - IndexLook.LINE_PT + 4);
    }

    private float dateLeft() {
        return IndexLook.dateLeft(plan.parting().inIndex());
    }

    /** The names of many volumes are set smaller rather than run into the dates. */
    private static void volume(Canvas canvas, PlacedRow placed, Typeface face, float base) throws IOException {
        if (placed.volume().isEmpty()) return;
        float width = face.width(placed.volume(), IndexLook.SIZE_PT);
        canvas.right(placed.volume(), face, Math.min(IndexLook.SIZE_PT, IndexLook.SIZE_PT * VOLUME_ROOM / width), VOLUME_RIGHT,
                base);
    }

    /** A long range is set smaller rather than run into the page column. */
    private void date(Canvas canvas, String date, float base) throws IOException {
        float width = IndexLook.FACE.width(date, IndexLook.SIZE_PT);
        float room = IndexLook.DATE_WIDTH
                + (plan.parting().inIndex() ? IndexLook.VOLUME_WIDTH - VOLUME_ROOM : IndexLook.PAGE_WIDTH - 40);
        float size = width <= room ? IndexLook.SIZE_PT : IndexLook.SIZE_PT * room / width;
        canvas.left(date, IndexLook.FACE, size, dateLeft(), base);
    }
}
