package app.yellowtab.sample.paper;

import app.yellowtab.facts.Length;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.pdf.BilevelPicture;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * What becomes of printed sheets before anybody cuts them: faxed, photographed, laid on a copier's dark glass, opened as a
 * spread, scanned in two runs.
 */
public final class RehearsalSheets {
    /** Of a fax in its fine manner: dots across and down (ITU-T T.4). */
    private static final double FAX_ACROSS = 204;
    private static final double FAX_DOWN = 196;
    private static final int FAX_THRESHOLD = 140;
    private static final int WHITE = 255;

    private RehearsalSheets() {}

    /**
     * {@return a sheet as it comes out of a fax, in black and white at the resolution it had, with a line of its sender's above}
     */
    public static BufferedImage faxed(BufferedImage sheet, int dpi, Random random) {
        int across = (int) Math.round(sheet.getWidth() * FAX_ACROSS / dpi);
        int down = (int) Math.round(sheet.getHeight() * FAX_DOWN / dpi);
        BufferedImage sent = GreyPicture.scaled(sheet, across, down);
        BufferedImage bits = new BufferedImage(across, down, BufferedImage.TYPE_BYTE_GRAY);
        int[] row = new int[across];
        for (int y = 0; y < down; y++) {
            sent.getRaster().getSamples(0, y, across, 1, 0, row);
            // A line is lost now and then.
            boolean lost = random.nextInt(400) == 0;
            for (int x = 0; x < across; x++) row[x] = lost || row[x] >= FAX_THRESHOLD ? WHITE : 0;
            bits.getRaster().setSamples(0, y, across, 1, 0, row);
        }
        return blackAndWhite(GreyPicture.scaled(bits, sheet.getWidth(), sheet.getHeight()));
    }

    /** {@return a sheet as a telephone takes it from above: in grey, in perspective, in uneven light, on a table} */
    public static BufferedImage photographed(BufferedImage sheet, Random random) {
        int width = sheet.getWidth();
        int height = sheet.getHeight();
        BufferedImage photo = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        double narrow = 0.02 + random.nextDouble() * 0.03;
        double shade = 0.25 + random.nextDouble() * 0.25;
        double margin = 0.02;
        int[] row = new int[width];
        Noise noise = new Noise(random);
        for (int y = 0; y < height; y++) {
            double down = (double) y / height;
            for (int x = 0; x < width; x++) {
                double across = (double) x / width;
                // The far end is narrower and closer together.
                double half = 0.5 - margin - narrow * (1 - down);
                double u = (across - 0.5) / half / 2 + 0.5;
                double v = (down - margin) / (1 - 2 * margin);
                v = v * (1 + narrow * (1 - v));
                int grey = u < 0 || u >= 1 || v < 0 || v >= 1 ? 60 : sheet.getRaster()
                        .getSample(Math.min(width - 1, (int) (u * width)), Math.min(height - 1, (int) (v * height)), 0);
                row[x] = Math.clamp((int) (grey * (1 - shade * across * down) + noise.next() * 4), 0, WHITE);
            }
            photo.getRaster().setSamples(0, y, width, 1, 0, row);
        }
        return photo;
    }

    /**
     * {@return a sheet as it lies on a dark ground: edges of so many millimetres on all sides, wedges where it lies askew}
     *
     * @param degrees by how much it lies askew, clockwise
     */
    public static BufferedImage onDark(BufferedImage sheet, int dpi, double edgeMm, double degrees) {
        int edge = (int) Math.round(edgeMm * dpi / Length.MM_PER_INCH);
        BufferedImage dark =
                new BufferedImage(sheet.getWidth() + 2 * edge, sheet.getHeight() + 2 * edge, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = dark.createGraphics();
        g.setColor(new Color(24, 24, 24));
        g.fillRect(0, 0, dark.getWidth(), dark.getHeight());
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        AffineTransform place =
                AffineTransform.getRotateInstance(Math.toRadians(degrees), dark.getWidth() / 2.0, dark.getHeight() / 2.0);
        place.translate(edge, edge);
        g.drawImage(sheet, place, null);
        g.dispose();
        return dark;
    }

    /** {@return two pages as they lie beside one another in an open book, with or without the shadow of the fold} */
    public static BufferedImage spread(BufferedImage left, BufferedImage right, int dpi, boolean hasShadow) {
        BufferedImage both = new BufferedImage(left.getWidth() + right.getWidth(), Math.max(left.getHeight(), right.getHeight()),
                BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = both.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, both.getWidth(), both.getHeight());
        g.drawImage(left, 0, 0, null);
        g.drawImage(right, left.getWidth(), 0, null);
        int wide = (int) (3 * dpi / Length.MM_PER_INCH);
        for (int x = -wide; hasShadow && x <= wide; x++) {
            g.setColor(new Color(0, 0, 0, 130 * (wide - Math.abs(x)) / wide));
            g.drawLine(left.getWidth() + x, 0, left.getWidth() + x, both.getHeight());
        }
        g.dispose();
        return both;
    }

    /**
     * {@return the sides of sheets as a device delivers them that takes one side at a time: all fronts, and then all backs}
     *
     * @param sides     front and back of each sheet; the last back may be missing
     * @param turnsOver whether the pile was turned over for the second run, so that the backs come from the last sheet on
     */
    public static <T> List<T> inTwoRuns(List<T> sides, boolean turnsOver) {
        List<T> fronts = new ArrayList<>();
        List<T> backs = new ArrayList<>();
        for (int i = 0; i < sides.size(); i++) (i % 2 == 0 ? fronts : backs).add(sides.get(i));
        fronts.addAll(turnsOver ? backs.reversed() : backs);
        return fronts;
    }

    /** {@return a picture in black and white} */
    public static BufferedImage blackAndWhite(BufferedImage grey) {
        int[] tones = grey.getRaster().getSamples(0, 0, grey.getWidth(), grey.getHeight(), 0, (int[]) null);
        return BilevelPicture.cut(grey.getWidth(), grey.getHeight(), at -> tones[at], RehearsalScan.THRESHOLD);
    }
}
