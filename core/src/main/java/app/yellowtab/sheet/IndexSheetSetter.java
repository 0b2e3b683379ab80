package app.yellowtab.sheet;

import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.plan.IndexLook;
import app.yellowtab.plan.IndexRow;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import app.yellowtab.plan.PlannedEntry.PlannedDocument;
import app.yellowtab.plan.PlannedEntry.PlannedSection;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDBorderStyleDictionary;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;

/** Draws one page of the index, and lays a link over each of its rows. */
public final class IndexSheetSetter {
    private final PDDocument document;
    private final FontSet fonts;
    private final Plan plan;

    IndexSheetSetter(PDDocument document, FontSet fonts, Plan plan) {
        this.document = document;
        this.fonts = fonts;
        this.plan = plan;
    }

    void draw(int sheet, PDPage page) throws IOException {
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            float y = head(canvas);
            for (IndexRow row : plan.indexSheets().get(sheet)) {
                row(canvas, row, y);
                y -= row.heightPt();
            }
        }
    }

    /**
     * Lays the links of an index page, each over the whole width of its row.
     *
     * @param pages gives the page of a bundle number; it need not be drawn yet
     */
    public static void link(Plan plan, int sheet, PDPage page, IntFunction<PDPage> pages) throws IOException {
        float y = firstRowTop(plan);
        List<PDAnnotationLink> links = new ArrayList<>();
        for (IndexRow row : plan.indexSheets().get(sheet)) {
            PDAnnotationLink link = new PDAnnotationLink();
            float bottom = y - row.heightPt();
            link.setRectangle(new PDRectangle(IndexLook.LEFT, bottom, IndexLook.RIGHT - IndexLook.LEFT, y - bottom));
            PDPageXYZDestination destination = new PDPageXYZDestination();
            destination.setPage(pages.apply(row.entry().firstPage()));
            link.setDestination(destination);
            PDBorderStyleDictionary none = new PDBorderStyleDictionary();
            none.setWidth(0);
            link.setBorderStyle(none);
            link.setContents(row.entry().title());
            link.setPrinted(true);
            link.setPage(page);
            links.add(link);
            y = bottom;
        }
        page.getAnnotations().addAll(links);
    }

    private static float firstRowTop(Plan plan) {
        return IndexLook.TOP - plan.headingLines().size() * IndexLook.HEADING_LINE_PT - IndexLook.COLUMNS_PT;
    }

    private float head(Canvas canvas) throws IOException {
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
        canvas.left("Date", Typeface.SERIF_ITALIC, 9, IndexLook.DATE_LEFT, base);
        canvas.right("Page", Typeface.SERIF_ITALIC, 9, IndexLook.RIGHT, base);
        canvas.rule(IndexLook.LEFT, IndexLook.RIGHT, base - 5, 0.6f);
        return firstRowTop(plan);
    }

    /** Draws a row in reading order, so that copied text and screen readers have it in that order too. */
    private static void row(Canvas canvas, IndexRow row, float top) throws IOException {
        PlannedEntry entry = row.entry();
        switch (entry) {
            case PlannedSection section -> {
                float y = top - IndexLook.SECTION_GAP_PT + 2;
                int depth = section.depth() + 1;
                tab(canvas, section.label(), IndexLook.SECTION_FACE, depth, y);
                lines(canvas, row.titleLines(), IndexLook.SECTION_FACE, IndexLook.SIZE_PT, IndexLook.LINE_PT, depth, y);
                String span = section.firstPage() == section.lastPage() ? String.valueOf(section.firstPage())
                        : section.firstPage() + "–" + section.lastPage();
                canvas.right(span, IndexLook.SECTION_FACE, IndexLook.SIZE_PT, IndexLook.RIGHT, y - IndexLook.LINE_PT + 4);
            }
            case PlannedDocument document -> {
                float y = top - IndexLook.ROW_GAP_PT / 2;
                int depth = document.depth();
                tab(canvas, String.valueOf(document.tab()), IndexLook.FACE, depth, y);
                float below = lines(canvas, row.titleLines(), IndexLook.FACE, IndexLook.SIZE_PT, IndexLook.LINE_PT, depth, y);
                lines(canvas, row.descriptionLines(), IndexLook.FACE, IndexLook.SMALL_PT, IndexLook.SMALL_LINE_PT, depth, below);
                float base = y - IndexLook.LINE_PT + 4;
                date(canvas, document.document().date().shown(), base);
                canvas.right(String.valueOf(document.firstPage()), IndexLook.FACE, IndexLook.SIZE_PT, IndexLook.RIGHT, base);
            }
        }
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

    /** A long range is set smaller rather than run into the page column. */
    private static void date(Canvas canvas, String date, float base) throws IOException {
        float width = IndexLook.FACE.width(date, IndexLook.SIZE_PT);
        float room = IndexLook.DATE_WIDTH + IndexLook.PAGE_WIDTH - 40;
        float size = width <= room ? IndexLook.SIZE_PT : IndexLook.SIZE_PT * room / width;
        canvas.left(date, IndexLook.FACE, size, IndexLook.DATE_LEFT, base);
    }
}
