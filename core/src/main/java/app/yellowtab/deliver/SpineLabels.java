package app.yellowtab.deliver;

import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.sets.Binder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Labels for the spines of binders, three to an upright A4 page, to be cut out. */
public final class SpineLabels {
    private static final int ON_A_PAGE = 3;
    private static final float WIDE = Units.mm(55);
    private static final float HIGH = Units.mm(190);
    private static final float LEFT = Units.mm(18);
    private static final float BOTTOM = Units.mm(60);
    private static final float PADDING = Units.mm(4);
    private static final float HAIR = 0.4f;
    private static final int TALLEST_TITLE = 6;

    private SpineLabels() {}

    /**
     * Writes them, whole or not at all.
     *
     * @throws FindingException if they cannot be written
     */
    public static void write(CaseHeading heading, List<Binder> binders, Path target) throws FindingException {
        try (PDDocument document = new PDDocument()) {
            FontSet fonts = FontSet.forSaving(document);
            for (int from = 0; from < binders.size(); from += ON_A_PAGE) {
                PDPage page = new PDPage(new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
                document.addPage(page);
                try (Canvas canvas = new Canvas(document, page, fonts)) {
                    for (int n = 0; n < ON_A_PAGE && from + n < binders.size(); n++)
                        label(canvas, heading, binders.get(from + n), binders.size(), LEFT + n * WIDE);
                }
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            Drafts.write(target, bytes.toByteArray());
        } catch (IOException e) {
            throw new FindingException(
                    new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
        }
    }

    private static void label(Canvas canvas, CaseHeading heading, Binder binder, int count, float left) throws IOException {
        float right = left + WIDE;
        float middle = left + WIDE / 2;
        canvas.rule(left, right, BOTTOM, HAIR);
        canvas.rule(left, right, BOTTOM + HIGH, HAIR);
        canvas.upright(left, BOTTOM, BOTTOM + HIGH, HAIR);
        canvas.upright(right, BOTTOM, BOTTOM + HIGH, HAIR);
        float y = BOTTOM + HIGH - Units.mm(12);
        y = lines(canvas, heading.caseNumber(), Typeface.SERIF, 10, middle, y);
        y = lines(canvas, heading.shortName(), Typeface.SERIF_BOLD, 12, middle, y - 6);
        lines(canvas, heading.title(), Typeface.SERIF, 14, middle, y - 10);
        canvas.centre(String.valueOf(binder.number()), Typeface.SANS_BOLD, 64, middle, BOTTOM + HIGH * 0.36f);
        if (count > 1) canvas.centre("of " + count, Typeface.SANS, 14, middle, BOTTOM + HIGH * 0.36f - 26);
        float foot = BOTTOM + Units.mm(14);
        if (!binder.from().isEmpty())
            canvas.centre(binder.from().equals(binder.to()) ? binder.from() : binder.from() + "–" + binder.to(),
                    Typeface.SANS_BOLD, 18, middle, foot);
        if (!binder.sections().isEmpty())
            canvas.centre(String.join(" ", binder.sections()), Typeface.SANS, 13, middle, foot + 28);
    }

    private static float lines(Canvas canvas, String words, Typeface face, float size, float middle, float top)
            throws IOException {
        float y = top;
        if (words.isBlank()) return y;
        for (String line : face.wrap(words, size, WIDE - 2 * PADDING).stream().limit(TALLEST_TITLE).toList()) {
            canvas.centre(line, face, size, middle, y);
            y -= size * 1.25f;
        }
        return y;
    }
}
