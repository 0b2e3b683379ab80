package app.yellowtab.index;

import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.List;

/** Breaks the index into lines and pages. None of it depends on the numbers, so the index's length is known first. */
public final class IndexSetter {
    /** Heading, title and description together fit on one page whatever they say. */
    private static final int MOST_HEADING_LINES = 14;
    private static final int MOST_TITLE_LINES = 18;
    private static final int MOST_DESCRIPTION_LINES = 12;
    private static final int MOST_AGREEMENT_LINES = 3;
    private static final int MOST_FILE_LINES = 3;

    private final float firstPt;
    private final List<Integer> rowsPerSheet = new ArrayList<>();
    private float leftPt;
    private int rows;

    /** @param headingLines how many lines the heading takes at the top of every index page */
    public IndexSetter(int headingLines) {
        firstPt = IndexLook.TOP - IndexLook.BOTTOM - headingLines * IndexLook.HEADING_LINE_PT - IndexLook.COLUMNS_PT;
        leftPt = firstPt;
    }

    /** {@return the heading of the index pages: who against whom, then the title of the bundle} */
    public static List<String> headingLines(CaseHeading heading) {
        List<String> lines = new ArrayList<>();
        float width = IndexLook.RIGHT - IndexLook.LEFT;
        if (!heading.shortName().isEmpty()) lines.addAll(IndexLook.FACE.wrap(heading.shortName(), IndexLook.SIZE_PT, width));
        String title = heading.title().isBlank() ? "Index" : heading.title() + " · Index";
        lines.addAll(IndexLook.SECTION_FACE.wrap(title, IndexLook.SIZE_PT + 1, width));
        return bounded(lines, MOST_HEADING_LINES);
    }

    /** What is longer than a page could hold ends in three points; all of it is on the cover, the divider or the title page. */
    private static List<String> bounded(List<String> lines, int most) {
        if (lines.size() <= most) return lines;
        List<String> first = new ArrayList<>(lines.subList(0, most));
        first.set(most - 1, first.getLast().replaceFirst(".{0,2}$", "") + " …");
        return first;
    }

    public static List<String> sectionLines(String title, int depth, boolean volumes) {
        return bounded(IndexLook.SECTION_FACE.wrap(title, IndexLook.SIZE_PT, IndexLook.titleWidth(depth + 1, true, volumes)),
                MOST_TITLE_LINES);
    }

    public static List<String> titleLines(Document document, int depth, boolean volumes) {
        return bounded(IndexLook.FACE.wrap(document.title(), IndexLook.SIZE_PT, IndexLook.titleWidth(depth, false, volumes)),
                MOST_TITLE_LINES);
    }

    /**
     * @param agreement whether it says how the document stands between the parties
     * @param volumes   whether there is a column for volumes
     * @param files     what is said of files that go along with it
     */
    public static List<String> descriptionLines(Document document, int depth, boolean agreement, boolean volumes,
            List<String> files) {
        List<String> lines = new ArrayList<>();
        float width = IndexLook.titleWidth(depth, false, volumes);
        if (!document.description().isBlank())
            lines.addAll(bounded(IndexLook.FACE.wrap(document.description(), IndexLook.SMALL_PT, width), MOST_DESCRIPTION_LINES));
        int reserved = document.runs().stream().filter(ReservedPages.class::isInstance).mapToInt(Run::pageCount).sum();
        if (reserved > 0) lines.addAll(
                IndexLook.FACE.wrap(SlipWords.toFollow(reserved, reserved == document.pageCount()), IndexLook.SMALL_PT, width));
        int withheld =
                document.runs().stream().filter(run -> run instanceof SourcePages pages && pages.look().withheld().isPresent())
                        .mapToInt(Run::pageCount).sum();
        if (withheld > 0) lines.addAll(IndexLook.FACE.wrap(SlipWords.withheldPages(withheld), IndexLook.SMALL_PT, width));
        for (String file : files) lines.addAll(bounded(IndexLook.FACE.wrap(file, IndexLook.SMALL_PT, width), MOST_FILE_LINES));
        if (agreement && !document.agreement().shown().isEmpty()) lines.addAll(
                bounded(IndexLook.FACE.wrap(document.agreement().shown(), IndexLook.SMALL_PT, width), MOST_AGREEMENT_LINES));
        return lines;
    }

    /** Takes up the next row. A section's heading never stands last on a page. */
    public void add(boolean section, int titleLines, int descriptionLines) {
        float height = IndexRow.heightPt(section, titleLines, descriptionLines);
        float needed = section ? height + IndexLook.LINE_PT + IndexLook.ROW_GAP_PT : height;
        if (needed > leftPt && rows > 0) {
            rowsPerSheet.add(rows);
            rows = 0;
            leftPt = firstPt;
        }
        rows++;
        leftPt -= height;
    }

    /** {@return how many rows stand on each index page; at least one page} */
    public List<Integer> sheets() {
        List<Integer> all = new ArrayList<>(rowsPerSheet);
        all.add(rows);
        return all;
    }
}
