package app.yellowtab.sheet;

import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.DocumentDate;
import app.yellowtab.model.Party;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Draws our own leaves on upright A4 pages. For one thread. */
public final class SheetSetter {
    private static final float MIDDLE = Units.A4_WIDTH_PT / 2;
    /** Lines of cover and title pages break at this width. */
    private static final float MEASURE = Units.mm(150);

    private final FontSet fonts;
    private final Plan plan;

    public SheetSetter(FontSet fonts, Plan plan) {
        this.fonts = fonts;
        this.plan = plan;
    }

    /** {@return an empty upright A4 page, not yet in the document} */
    public static PDPage newPage() {
        return new PDPage(new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
    }

    /**
     * Draws what a leaf of ours shows; a source's page is not drawn here.
     *
     * @param document that the page's content is made in
     */
    public void draw(Leaf leaf, PDDocument document, PDPage page) throws IOException {
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            switch (leaf) {
                case Leaf.Cover c -> cover(canvas);
                case Leaf.IndexSheet i -> new IndexSheetSetter(plan).draw(i.sheet(), canvas);
                case Leaf.SectionTitle s -> title(canvas, s.label(), s.title());
                case Leaf.Divider d -> title(canvas, d.tab() == 0 ? "" : String.valueOf(d.tab()), d.title());
                case Leaf.Blank b -> { }
                case Leaf.SourcePage s -> throw new IllegalArgumentException("a source's page is copied, not drawn");
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
            float y = lines(canvas, "This page could not be read", Typeface.SERIF_BOLD, 20, Units.A4_HEIGHT_PT * 0.6f);
            lines(canvas, "Page " + number + " of " + fileName + " is damaged.", Typeface.SERIF, 13, y - 10);
        }
    }

    private void cover(Canvas canvas) throws IOException {
        CaseHeading heading = plan.heading();
        float y = Units.A4_HEIGHT_PT - Units.mm(40);
        y = lines(canvas, heading.court(), Typeface.SERIF_BOLD, 13, y);
        if (!heading.caseNumber().isBlank()) {
            canvas.right("Case no. " + heading.caseNumber(), Typeface.SERIF, 12, MIDDLE + MEASURE / 2, y - 8);
            y -= 28;
        }
        y = parties(canvas, heading.parties(), y - Units.mm(14));
        y = Math.min(y - Units.mm(16), Units.A4_HEIGHT_PT * 0.46f);
        canvas.rule(MIDDLE - MEASURE / 2, MIDDLE + MEASURE / 2, y + 34, 0.7f);
        y = lines(canvas, heading.title().isBlank() ? "Bundle" : heading.title(), Typeface.SERIF_BOLD, 26, y - 4);
        canvas.rule(MIDDLE - MEASURE / 2, MIDDLE + MEASURE / 2, y + 10, 0.7f);
        y -= 24;
        if (heading.hearing().isPresent()) {
            y = lines(canvas, "Hearing: " + DocumentDate.Formats.full(heading.hearing().get()), Typeface.SERIF, 12, y);
        }
        if (!heading.preparedBy().isBlank()) lines(canvas, "Prepared by " + heading.preparedBy(), Typeface.SERIF_ITALIC, 11, Units.mm(34));
    }

    private static float parties(Canvas canvas, List<Party> parties, float top) throws IOException {
        float y = top;
        for (int i = 0; i < parties.size(); i++) {
            Party party = parties.get(i);
            boolean sides = i > 0 && !party.role().equals(parties.get(i - 1).role());
            if (sides) y = lines(canvas, "– and –", Typeface.SERIF_ITALIC, 11, y - 6) - 6;
            y = lines(canvas, party.name(), Typeface.SERIF_BOLD, 15, y);
            boolean lastOfItsSide = i == parties.size() - 1 || !party.role().equals(parties.get(i + 1).role());
            if (lastOfItsSide && !party.role().isBlank()) {
                canvas.right(party.role(), Typeface.SERIF_ITALIC, 11, MIDDLE + MEASURE / 2, y + 2);
                y -= 16;
            }
        }
        return y;
    }

    private static void title(Canvas canvas, String label, String title) throws IOException {
        float y = Units.A4_HEIGHT_PT * 0.62f;
        if (!label.isEmpty()) {
            canvas.centre(label, Typeface.SERIF_BOLD, 44, MIDDLE, y);
            canvas.rule(MIDDLE - 24, MIDDLE + 24, y - 18, 0.7f);
        }
        lines(canvas, title, Typeface.SERIF, 22, y - 52);
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
