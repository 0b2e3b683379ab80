package app.yellowtab.convert.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

class DashBoundTests {
    private static BufferedImage line(float dash, double length) {
        BufferedImage image = new BufferedImage(100, 20, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = new DashBound(image.createGraphics());
        graphics.setColor(Color.WHITE);
        graphics.setStroke(new BasicStroke(4, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 10, new float[] {dash}, 0));
        graphics.draw(new Line2D.Double(0, 10, length, 10));
        graphics.dispose();
        return image;
    }

    @Test
    void dashesStayDashes() {
        BufferedImage image = line(10, 100);
        assertThat(image.getRGB(5, 10)).isEqualTo(Color.WHITE.getRGB());
        assertThat(image.getRGB(15, 10)).isEqualTo(Color.BLACK.getRGB());
    }

    @Test
    void dashesWithoutEndBecomeALine() {
        BufferedImage image = Assertions.assertTimeoutPreemptively(Duration.ofSeconds(20), () -> line(1e-5f, 1e7));
        for (int x = 0; x < 100; x++) assertThat(image.getRGB(x, 10)).isEqualTo(Color.WHITE.getRGB());
    }
}
