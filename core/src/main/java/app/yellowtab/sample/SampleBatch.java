package app.yellowtab.sample;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import app.yellowtab.sample.paper.RehearsalScanner;
import app.yellowtab.sample.paper.SampleFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * The batch of the sample matter: invoices and weighbridge slips, printed and scanned on both sides one after the other, with
 * blank backs, a little askew, some sheets upside down and one twice.
 */
final class SampleBatch {
    private static final int SHEETS = 29;
    private static final int TWICE = 11;
    /** So many backs differ in their dust: enough for the eye, and the matter is made while one waits. */
    private static final int BACKS = 7;
    private static final List<Integer> UPSIDE_DOWN = List.of(4, 13, 22);
    private static final int FIRST_INVOICE = 412;
    private static final int FIRST_SLIP = 2291;
    private static final int[] LENGTHS = {3, 1, 2, 1, 1, 4, 1, 2};
    private static final String[] GOODS = {"Cold storage, bins, chamber 3", "Controlled air, bins", "Handling in and out, bins",
            "Fan motor, half share", "Readings printed on request"};
    private static final int DPI = 150;
    private static final int WIDTH_PX = 1240;
    private static final double MOST_DEGREES = 0.7;

    private final PDDocument document = new PDDocument();
    private final FontSet fonts = FontSet.forSaving(document);

    private SampleBatch() {}

    static void write(SampleFile file, Path target) throws IOException {
        SampleBatch batch = new SampleBatch();
        batch.print();
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        batch.document.save(printed);
        batch.document.close();
        Random random = new Random(file.path().hashCode());
        List<BufferedImage> backs = new ArrayList<>();
        for (int back = 0; back < BACKS; back++) backs.add(RehearsalScanner.back(FIRST_SLIP + back));
        List<BufferedImage> sides = new ArrayList<>();
        try (PDDocument sheets = Loader.loadPDF(printed.toByteArray())) {
            BoundedRenderer renderer = new BoundedRenderer(sheets);
            for (int sheet = 0; sheet < SHEETS; sheet++) {
                double degrees = (random.nextDouble() * 2 - 1) * MOST_DEGREES;
                BufferedImage front = RehearsalScan.scanned(renderer.draw(sheet, WIDTH_PX).image(), degrees,
                        new Manner(DPI, Ink.BLACK_AND_WHITE, MOST_DEGREES, false), random);
                if (UPSIDE_DOWN.contains(sheet)) front = RehearsalScanner.upsideDown(front);
                sides.add(front);
                sides.add(backs.get(sheet % BACKS));
                if (sheet == TWICE) sides.addAll(List.of(front, backs.getFirst()));
            }
        }
        RehearsalFile.write(sides, Packing.CCITT, DPI, target);
    }

    private void print() throws IOException {
        int invoice = FIRST_INVOICE;
        int slip = FIRST_SLIP;
        for (int n = 0; document.getNumberOfPages() < SHEETS; n++) {
            int length = Math.min(LENGTHS[n % LENGTHS.length], SHEETS - document.getNumberOfPages());
            String day = (1 + n % 28) + " October 2030";
            if (length == 1) slip(slip++, day);
            else invoice(invoice++, day, length);
        }
    }

    private Canvas newPage() throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        return new Canvas(document, page, fonts);
    }

    private void slip(int number, String day) throws IOException {
        try (Canvas canvas = newPage()) {
            float left = Units.mm(30);
            float y = Units.mm(260);
            canvas.left("Weighbridge at Upper Sedge", Typeface.SANS_BOLD, 18, left, y);
            String[] lines = {"Slip no. WS-" + number, "Date: " + day, "Vehicle: trailer " + (number % 4 + 1),
                    "Full: " + (14_000 + number % 97 * 10) + " kg", "Empty: " + (6_200 + number % 13 * 10) + " kg",
                    "Fruit: Bramley, " + (20 + number % 9) + " bins", "1 of 1"};
            for (String line : lines) {
                y -= 30;
                canvas.left(line, Typeface.SERIF, 14, left, y);
            }
        }
    }

    private void invoice(int number, String day, int pages) throws IOException {
        for (int page = 1; page <= pages; page++) {
            try (Canvas canvas = newPage()) {
                float left = Units.mm(25);
                float right = Units.mm(185);
                float y = Units.mm(270);
                canvas.left("Brightwick Cold Stores Ltd", Typeface.SANS_BOLD, 16, left, y);
                canvas.right("Page " + page + " of " + pages, Typeface.SANS, 10, right, y);
                canvas.rule(left, right, y - 8, 1);
                y -= 40;
                canvas.left("Invoice no. BC-" + number, Typeface.SERIF_BOLD, 13, left, y);
                if (page == 1) canvas.right(day, Typeface.SERIF, 12, right, y);
                y -= 20;
                canvas.left("To Tarn Hollow Orchards Ltd, Tarn Hollow Farm, Upper Sedge", Typeface.SERIF, 12, left, y);
                for (int line = 0; line < 14; line++) {
                    y -= 26;
                    int bins = 10 + (number * 7 + page * 5 + line * 3) % 90;
                    canvas.left(GOODS[(number + page + line) % GOODS.length], Typeface.SERIF, 12, left, y);
                    canvas.right(bins + "    " + String.format(Locale.UK, "£%,.2f", bins * 4.1), Typeface.SERIF, 12, right, y);
                }
                if (page == pages) canvas.right("Due within 30 days", Typeface.SERIF_ITALIC, 12, right, y - 40);
            }
        }
    }
}
