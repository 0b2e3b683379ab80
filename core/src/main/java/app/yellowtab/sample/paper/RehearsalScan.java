package app.yellowtab.sample.paper;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * The scanner to rehearse with: makes a scan of the pages of a PDF, as a device delivers it, so that what stands on each is
 * known.
 */
public final class RehearsalScan {
    private static final int PT_AN_INCH = 72;
    static final int THRESHOLD = 150;

    private RehearsalScan() {}

    /** What the device keeps of the colours. */
    public enum Ink { BLACK_AND_WHITE, GREY, COLOUR }

    /**
     * How it scans.
     *
     * @param dpi         pixels an inch
     * @param mostDegrees sheets lie askew by up to this, to either side
     * @param isDirty     whether there are specks, noise, pale print and the shadow of an edge
     */
    public record Manner(int dpi, Ink ink, double mostDegrees, boolean isDirty) {}

    /**
     * Scans all pages.
     *
     * @param seed the same one gives the same scan
     * @return by how many degrees each page lies askew, clockwise
     */
    public static List<Double> of(Path printed, Path target, Manner manner, long seed) throws IOException {
        List<Double> angles = new ArrayList<>();
        try (PDDocument from = Loader.loadPDF(printed.toFile()); PDDocument to = new PDDocument()) {
            BoundedRenderer renderer = new BoundedRenderer(from);
            for (int page = 0; page < from.getNumberOfPages(); page++) {
                Random random = new Random(seed * 1_000 + page);
                double degrees = (random.nextDouble() * 2 - 1) * manner.mostDegrees();
                float width = from.getPage(page).getCropBox().getWidth();
                BufferedImage sheet = renderer.draw(page, Math.round(width / PT_AN_INCH * manner.dpi())).image();
                RehearsalFile.add(to, scanned(sheet, degrees, manner, random),
                        manner.ink() == Ink.BLACK_AND_WHITE ? Packing.CCITT : Packing.JPEG, manner.dpi());
                angles.add(degrees);
            }
            to.setDocumentId(0L);
            to.save(target.toFile());
        }
        return angles;
    }

    /**
     * {@return a printed sheet as the device delivers it}
     *
     * @param sheet   in the manner's dots an inch
     * @param degrees by how much it lies askew, clockwise
     */
    public static BufferedImage scanned(BufferedImage sheet, double degrees, Manner manner, Random random) {
        int width = sheet.getWidth();
        int height = sheet.getHeight();
        BufferedImage scan = new BufferedImage(width, height,
                manner.ink() == Ink.COLOUR ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = scan.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, width, height);
        g.rotate(Math.toRadians(degrees), width / 2.0, height / 2.0);
        g.drawImage(sheet, 0, 0, null);
        g.dispose();
        if (manner.isDirty()) soil(scan, manner.dpi(), random);
        return manner.ink() == Ink.BLACK_AND_WHITE ? RehearsalSheets.blackAndWhite(scan) : scan;
    }

    private static void soil(BufferedImage scan, int dpi, Random random) {
        int width = scan.getWidth();
        int height = scan.getHeight();
        int pale = 20 + random.nextInt(50);
        Noise noise = new Noise(random);
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            scan.getRaster().getSamples(0, y, width, 1, 0, row);
            for (int x = 0; x < width; x++)
                row[x] = Math.clamp(pale + row[x] * (245 - pale) / 255 + (int) (noise.next() * 9), 0, 255);
            for (int band = 0; band < scan.getRaster().getNumBands(); band++)
                scan.getRaster().setSamples(0, y, width, 1, band, row);
        }
        Graphics2D g = scan.createGraphics();
        g.setColor(Color.DARK_GRAY);
        int dot = Math.max(1, dpi / 120);
        for (int speck = 0; speck < 60 + random.nextInt(120); speck++)
            g.fillRect(random.nextInt(width), random.nextInt(height), 1 + random.nextInt(dot), 1 + random.nextInt(dot));
        int edge = dpi / 12;
        for (int x = 0; x < edge; x++) {
            g.setColor(new Color(0, 0, 0, 120 * (edge - x) / edge));
            g.drawLine(x, 0, x, height);
        }
        g.dispose();
    }
}
