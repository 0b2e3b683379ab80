package app.yellowtab.sample.paper;

import app.yellowtab.files.Drafts;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * Stands in for a scanner, to rehearse with: each batch holds made-up slips and invoices as a real device delivers them, both
 * sides of every sheet, a little askew and dirty, with blank backs, a sheet upside down and one twice.
 */
public final class RehearsalScanner {
    /** The form of a batch. */
    public enum Form { TIFF, PDF }

    private static final int DPI = 150;
    /** How many sheets a batch has. */
    public static final int SHEETS = 7;
    private static final int UPSIDE_DOWN = 2;
    private static final int TWICE = 4;

    private RehearsalScanner() {}

    /**
     * Delivers a batch.
     *
     * @param number of the batch; the same number gives the same pages
     * @param sheets how many of its sheets, from its first
     * @return the new file, which appears in the folder whole
     */
    public static Path deliver(Path folder, int number, int sheets, Form form) throws IOException {
        String name = String.format(Locale.ROOT, "scan-%04d.%s", number, form == Form.TIFF ? "tif" : "pdf");
        Path draft = folder.resolve("." + name + ".part");
        Path target = folder.resolve(name);
        try {
            List<BufferedImage> sides = sides(number, sheets);
            if (form == Form.TIFF) SamplePictures.writeTiff(sides, draft);
            else RehearsalFile.write(sides, Packing.CCITT, DPI, draft);
            return Drafts.move(draft, target);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private static List<BufferedImage> sides(int batch, int sheets) throws IOException {
        List<BufferedImage> sides = new ArrayList<>();
        for (int sheet = 0; sheet < sheets; sheet++) {
            BufferedImage front = SampleSlips.scan(sheet + batch * SHEETS, sheet % 3 == 2, batch * 31 + 7);
            if (sheet == UPSIDE_DOWN) front = upsideDown(front);
            sides.add(front);
            sides.add(back(batch * 100 + sheet));
            if (sheet == TWICE) {
                sides.add(front);
                sides.add(back(batch * 100 + sheet));
            }
        }
        return sides;
    }

    public static BufferedImage upsideDown(BufferedImage image) {
        BufferedImage turned = new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
        Graphics2D g = turned.createGraphics();
        g.rotate(Math.PI, image.getWidth() / 2.0, image.getHeight() / 2.0);
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return turned;
    }

    /** The back of a sheet: blank, but for dust and the shadow of an edge. */
    public static BufferedImage back(int seed) {
        BufferedImage image = new BufferedImage(1240, 1754, BufferedImage.TYPE_BYTE_BINARY);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 1240, 1754);
        g.setColor(Color.BLACK);
        Random random = new Random(seed);
        for (int speck = 0; speck < 25 + random.nextInt(40); speck++)
            g.fillRect(random.nextInt(1240), random.nextInt(1754), 1 + random.nextInt(2), 1 + random.nextInt(2));
        if (random.nextInt(3) == 0) g.fillRect(0, 0, 3, 1754);
        g.dispose();
        return image;
    }
}
