package app.yellowtab.sample.paper;

import app.yellowtab.facts.Length;
import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/**
 * Sheets with hardly anything on them, as the scanner to rehearse with delivers them: blank backs with every kind of dirt, and
 * such as are not blank.
 */
public final class RehearsalBacks {
    private static final int WIDTH_MM = 210;
    private static final int HEIGHT_MM = 297;
    private static final int PAPER = 244;

    private RehearsalBacks() {}

    /** What is on a sheet. */
    public enum Kind {
        CLEAN(true), DUST(true), HOLES(true), STAPLE(true), EDGES(true), SCANNER_LINE(true), SHOW_THROUGH(true), ALL_DIRT(true),
        PENCIL_TICK(false), PAGE_NUMBER(false), STAMP(false), SIGNATURE(false), PENCIL_LINE(false);

        private final boolean blank;

        Kind(boolean blank) {
            this.blank = blank;
        }

        /** {@return whether such a sheet is blank} */
        public boolean isBlank() {
            return blank;
        }
    }

    /** {@return a sheet of A4, in grey} */
    public static BufferedImage sheet(Kind kind, int dpi, long seed) {
        Random random = new Random(seed * 31 + kind.ordinal());
        double mm = dpi / Length.MM_PER_INCH;
        BufferedImage sheet = new BufferedImage((int) (WIDTH_MM * mm), (int) (HEIGHT_MM * mm), BufferedImage.TYPE_BYTE_GRAY);
        Noise noise = new Noise(random);
        int[] row = new int[sheet.getWidth()];
        for (int y = 0; y < sheet.getHeight(); y++) {
            for (int x = 0; x < row.length; x++) row[x] = Math.clamp(PAPER + (int) (noise.next() * 3), 0, 255);
            sheet.getRaster().setSamples(0, y, row.length, 1, 0, row);
        }
        Graphics2D g = sheet.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(mm, mm);
        boolean all = kind == Kind.ALL_DIRT;
        if (all || kind == Kind.DUST) dust(g, random);
        if (all || kind == Kind.HOLES) holes(g, random);
        if (all || kind == Kind.STAPLE) staple(g, random);
        if (all || kind == Kind.EDGES) edges(g, random);
        if (all || kind == Kind.SCANNER_LINE) line(g, random);
        if (all || kind == Kind.SHOW_THROUGH) showThrough(g, random);
        if (!kind.isBlank()) dust(g, random);
        switch (kind) {
            case PENCIL_TICK -> tick(g, random);
            case PAGE_NUMBER -> number(g);
            case STAMP -> stamp(g, random);
            case SIGNATURE -> signature(g, random);
            case PENCIL_LINE -> pencil(g, random);
            default -> {}
        }
        g.dispose();
        return sheet;
    }

    private static void dust(Graphics2D g, Random random) {
        g.setColor(new Color(70, 70, 70));
        for (int i = 0; i < 30 + random.nextInt(150); i++) {
            double size = 0.1 + random.nextDouble() * 0.4;
            g.fill(new Ellipse2D.Double(random.nextDouble() * WIDTH_MM, random.nextDouble() * HEIGHT_MM, size, size));
        }
    }

    private static void holes(Graphics2D g, Random random) {
        g.setColor(new Color(60, 60, 60));
        double left = 10 + random.nextDouble() * 3;
        for (double y : new double[] {108.5, 188.5}) g.fill(new Ellipse2D.Double(left - 3, y - 3, 5.5, 5.5));
    }

    private static void staple(Graphics2D g, Random random) {
        g.setColor(new Color(110, 110, 110));
        g.setStroke(new BasicStroke(0.8f));
        double left = 1 + random.nextDouble() * 2;
        Path2D staple = new Path2D.Double();
        staple.moveTo(left, 5);
        staple.lineTo(left + 3.5, 2);
        g.draw(staple);
    }

    private static void edges(Graphics2D g, Random random) {
        for (int i = 0; i < 5; i++) {
            g.setColor(new Color(0, 0, 0, 110 - 20 * i));
            double wide = 0.6 * (i + 1);
            if (random.nextBoolean()) g.fillRect(0, 0, (int) Math.ceil(wide), HEIGHT_MM);
            else g.fillRect(0, 0, WIDTH_MM, (int) Math.ceil(wide));
        }
    }

    private static void line(Graphics2D g, Random random) {
        g.setColor(new Color(90, 90, 90));
        g.setStroke(new BasicStroke(0.2f));
        double x = 30 + random.nextDouble() * 150;
        g.draw(new Line2D.Double(x, 0, x, HEIGHT_MM));
    }

    /** The other side, turned round and pale. */
    private static void showThrough(Graphics2D g, Random random) {
        g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, 0.055f));
        g.setColor(Color.BLACK);
        for (double y = 30; y < 260; y += 6)
            for (double x = 25; x < 180; x += 2.5) if (random.nextInt(5) > 0) g.fill(new Ellipse2D.Double(x, y, 1.8, 2.4));
        g.setComposite(AlphaComposite.SrcOver);
    }

    private static void tick(Graphics2D g, Random random) {
        g.setColor(new Color(188, 188, 188));
        g.setStroke(new BasicStroke(0.5f));
        double x = 30 + random.nextDouble() * 140;
        double y = 30 + random.nextDouble() * 220;
        Path2D tick = new Path2D.Double();
        tick.moveTo(x, y);
        tick.lineTo(x + 2, y + 3);
        tick.lineTo(x + 7, y - 4);
        g.draw(tick);
    }

    private static void number(Graphics2D g) {
        g.setColor(new Color(40, 40, 40));
        g.setStroke(new BasicStroke(0.35f));
        g.draw(new Arc2D.Double(104, 283, 1.7, 1.4, -90, 230, Arc2D.OPEN));
        g.draw(new Arc2D.Double(104, 284.4, 1.8, 1.6, -150, 240, Arc2D.OPEN));
    }

    private static void stamp(Graphics2D g, Random random) {
        g.setColor(new Color(170, 170, 170));
        g.setStroke(new BasicStroke(0.6f));
        g.rotate((random.nextDouble() - 0.5) * 0.4, 120, 150);
        g.draw(new Rectangle2D.Double(100, 140, 40, 14));
        for (int i = 0; i < 8; i++) g.draw(new Ellipse2D.Double(104 + 4 * i, 144, 2.6, 4));
    }

    private static void signature(Graphics2D g, Random random) {
        g.setColor(new Color(60, 60, 90));
        g.setStroke(new BasicStroke(0.4f));
        Path2D name = new Path2D.Double();
        double x = 60 + random.nextDouble() * 60;
        double y = 120 + random.nextDouble() * 100;
        name.moveTo(x, y);
        for (int i = 1; i < 9; i++)
            name.quadTo(x + 4 * i - 2, y + random.nextDouble() * 14 - 7, x + 4 * i, y + random.nextDouble() * 6 - 3);
        g.draw(name);
    }

    private static void pencil(Graphics2D g, Random random) {
        g.setColor(new Color(196, 196, 196));
        g.setStroke(new BasicStroke(0.35f));
        double y = 60 + random.nextDouble() * 150;
        g.draw(new Line2D.Double(60, y, 75, y + 1));
    }
}
