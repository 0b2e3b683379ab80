package app.yellowtab.sheet;

import app.yellowtab.cover.CoverPart;
import app.yellowtab.cover.CoverSetter;
import app.yellowtab.index.IndexLook;
import app.yellowtab.index.SlipWords;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Draws our own leaves on upright A4 pages. For one thread. */
public final class SheetSetter {
    private static final float MIDDLE = Units.A4_WIDTH_PT / 2;
    /** Lines of cover and title pages break at this width. */
    private static final float MEASURE = CoverSetter.MEASURE;
    /** The number stands below. */
    private static final float BOTTOM = Units.mm(24);

    private final FontSet fonts;
    private final Plan plan;

    public SheetSetter(FontSet fonts, Plan plan) {
        this.fonts = fonts;
        this.plan = plan;
    }

    /** {@return an empty page of a leaf's size, upright A4 unless it is a blank page of another, not yet in the document} */
    public static PDPage newPage(Leaf leaf) {
        boolean own = leaf.content() instanceof Content.Blank blank && !blank.look().sheet().equals(Sheet.A4);
        Sheet sheet = own ? ((Content.Blank) leaf.content()).look().sheet() : Sheet.A4;
        return new PDPage(own ? new PDRectangle(Units.mm((float) sheet.widthMm()), Units.mm((float) sheet.heightMm()))
                : new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
    }

    /**
     * Draws what a leaf of ours shows; a source's page is not drawn here.
     *
     * @param document that the page's content is made in
     */
    public void draw(Leaf leaf, PDDocument document, PDPage page) throws IOException {
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            switch (leaf.content()) {
                case Content.Cover c -> cover(canvas, c.sheet());
                case Content.IndexSheet i -> new IndexSheetSetter(plan).draw(i.sheet(), canvas);
                case Content.SectionTitle s -> title(canvas, s.label(), s.title());
                case Content.Divider d -> title(canvas, d.tab() == 0 ? "" : String.valueOf(d.tab()), d.title());
                case Content.TabSheet t -> tab(canvas, t);
                case Content.Blank b -> blank(canvas, b.look());
                case Content.Slip s -> slip(canvas, s.lines());
                case Content.Withheld w -> slip(canvas, SlipWords.withheld(w.reason()));
                case Content.FrontSheet f -> frontSheet(canvas, f);
                case Content.FileSheet f -> slip(canvas, Stream.concat(Stream.of(f.title()), f.lines().stream()).toList());
                case Content.SourcePage s -> throw new IllegalArgumentException("a source's page is copied, not drawn");
            }
        }
    }

    /**
     * Draws a slip in place of a source's page that could not be had.
     *
     * @param document that the page's content is made in
     * @param number   the page in its file, counted from 1
     */
    public void slip(PDDocument document, PDPage page, String fileName, int number) throws IOException {
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            slip(canvas, SlipWords.lost(fileName, number));
        }
    }

    /** Says something in the upper half of a page, its first line larger. */
    private static void slip(Canvas canvas, List<String> words) throws IOException {
        float y = lines(canvas, words.getFirst(), Typeface.SERIF_BOLD, 20, Units.A4_HEIGHT_PT * 0.6f);
        for (String line : words.subList(1, words.size())) y = lines(canvas, line, Typeface.SERIF, 13, y - 10);
    }

    private static void frontSheet(Canvas canvas, Content.FrontSheet sheet) throws IOException {
        float y = IndexLook.TOP - 20;
        for (String line : sheet.above()) y = lines(canvas, line, Typeface.SERIF, 12, y) - 4;
        y = Math.min(y - 40, Units.A4_HEIGHT_PT * 0.56f);
        y = lines(canvas, "Exhibit " + sheet.mark(), Typeface.SERIF_BOLD, 34, y);
        canvas.rule(MIDDLE - 60, MIDDLE + 60, y + 16, 0.7f);
        y -= 24;
        for (String line : sheet.below()) y = lines(canvas, line, Typeface.SERIF, 14, y) - 8;
    }

    private static void blank(Canvas canvas, BlankLook look) throws IOException {
        float width = Units.mm((float) look.sheet().widthMm());
        float height = Units.mm((float) look.sheet().heightMm());
        if (!look.tint().isEmpty()) canvas.fill(0, 0, width, height, Integer.parseInt(look.tint(), 16));
        if (look.words().isBlank()) return;
        float measure = width * 0.7f;
        float y = height * 0.6f;
        for (String line : Typeface.SERIF.wrap(look.words(), 22, measure)) {
            canvas.centre(line, Typeface.SERIF, 22, width / 2, y);
            y -= 22 * 1.3f;
        }
    }

    private void cover(Canvas canvas, int sheet) throws IOException {
        for (CoverPart part : plan.coverSheets().get(sheet)) {
            if (part.text().isEmpty()) canvas.rule(MIDDLE - MEASURE / 2, MIDDLE + MEASURE / 2, part.y(), 0.7f);
            else if (part.right()) canvas.right(part.text(), part.face(), part.sizePt(), MIDDLE + MEASURE / 2, part.y());
            else canvas.centre(part.text(), part.face(), part.sizePt(), MIDDLE, part.y());
        }
    }

    /**
     * What the tab says stands where the tab is, at the right; what is meant for the person at the printer, small at the foot.
     */
    private static void tab(Canvas canvas, Content.TabSheet tab) throws IOException {
        float right = Units.A4_WIDTH_PT - Units.mm(12);
        canvas.right(tab.label(), Typeface.SERIF_BOLD, 44, right, Units.A4_HEIGHT_PT * 0.8f);
        float y = Units.A4_HEIGHT_PT * 0.8f - 40;
        for (String line : Typeface.SERIF.wrap(tab.title(), 16, MEASURE)) {
            canvas.right(line, Typeface.SERIF, 16, right, y);
            y -= 21;
        }
        float foot = BOTTOM;
        for (String line : Typeface.SERIF_ITALIC.wrap(tab.note(), 11, MEASURE).reversed()) {
            canvas.left(line, Typeface.SERIF_ITALIC, 11, Units.mm(22), foot);
            foot += 15;
        }
    }

    private static void title(Canvas canvas, String label, String title) throws IOException {
        float y = Units.A4_HEIGHT_PT * 0.62f;
        if (!label.isEmpty()) {
            canvas.centre(label, Typeface.SERIF_BOLD, 44, MIDDLE, y);
            canvas.rule(MIDDLE - 24, MIDDLE + 24, y - 18, 0.7f);
        }
        // A very long title is set smaller, so that all of it is on its page.
        float size = 22;
        while (size > 4 && Typeface.SERIF.wrap(title, size, MEASURE).size() * size * 1.3f > y - 52 - BOTTOM) size -= 1;
        lines(canvas, title, Typeface.SERIF, size, y - 52);
    }

    /** Sets a text in centred lines; {@return the base line for what follows} */
    private static float lines(Canvas canvas, String text, Typeface face, float sizePt, float top) throws IOException {
        if (text.isBlank()) return top;
        float y = top;
        for (String line : face.wrap(text, sizePt, MEASURE)) {
            canvas.centre(line, face, sizePt, MIDDLE, y);
            y -= sizePt * 1.3f;
        }
        return y;
    }
}
