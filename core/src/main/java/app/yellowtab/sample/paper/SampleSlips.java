package app.yellowtab.sample.paper;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Slips and invoices of the sample matter, printed and scanned. */
final class SampleSlips {
    private static final int DPI = 150;
    private static final int WIDTH_PX = 1240;
    private static final double MOST_DEGREES = 0.6;
    private static final int FIRST_INVOICE = 2207;
    private static final int FIRST_SLIP = 418;
    private static final int FIRST_WEEK = 38;
    private static final int KG_A_BIN = 320;

    private SampleSlips() {}

    /** {@return a scanned slip or invoice in black and white, a little askew and dirty} */
    static BufferedImage scan(int number, boolean invoice, int seed) throws IOException {
        Random random = new Random(seed + number);
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A4);
            document.addPage(page);
            try (Canvas canvas = new Canvas(document, page, FontSet.forSaving(document))) {
                print(canvas, number, invoice, random);
            }
            // The fonts are complete once they are written.
            ByteArrayOutputStream printed = new ByteArrayOutputStream();
            document.save(printed);
            double degrees = (random.nextDouble() * 2 - 1) * MOST_DEGREES;
            try (PDDocument sheet = Loader.loadPDF(printed.toByteArray())) {
                return RehearsalScan.scanned(new BoundedRenderer(sheet).draw(0, WIDTH_PX).image(), degrees,
                        new Manner(DPI, Ink.BLACK_AND_WHITE, MOST_DEGREES, true), random);
            }
        }
    }

    private static void print(Canvas canvas, int number, boolean invoice, Random random) throws IOException {
        float left = Units.mm(20);
        float y = Units.mm(268);
        canvas.left("Brightwick Cold Stores Ltd", Typeface.SANS_BOLD, 20, left, y);
        canvas.left(invoice ? "Invoice " + (FIRST_INVOICE + number) : "Weighbridge slip " + (FIRST_SLIP + number), Typeface.SANS,
                17, left, y - Units.mm(18));
        canvas.rule(left, Units.mm(190), y - Units.mm(28), 1);
        for (int row = 0; row < (invoice ? 9 : 5); row++) {
            int bins = 8 + random.nextInt(20);
            float line = y - Units.mm(42 + 15 * row);
            canvas.left(invoice ? "Week " + (FIRST_WEEK + row) : "Load " + (row + 1), Typeface.SERIF, 14, left, line);
            canvas.right(bins + " bins", Typeface.SERIF, 14, Units.mm(90), line);
            canvas.right(bins * KG_A_BIN + " kg", Typeface.SERIF, 14, Units.mm(140), line);
        }
    }
}
