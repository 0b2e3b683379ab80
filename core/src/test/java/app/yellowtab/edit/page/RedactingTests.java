package app.yellowtab.edit.page;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageShape;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RedactingTests {
    @Property(tries = 200)
    void whatIsDrawnOverOnThePageAsItIsSeenIsCoveredOnThePageAsItCame(@ForAll @IntRange(max = 3) int turns,
            @ForAll @IntRange(max = 3) int own, @ForAll @IntRange(max = 3) int slant,
            @ForAll boolean cropped, @ForAll boolean onSheet, @ForAll @DoubleRange(min = 20, max = 120) double left,
            @ForAll @DoubleRange(min = 20, max = 120) double top) {
        double degrees = slant == 3 ? 2.5 : 0;
        PageShape shape = new PageShape(10, 20, 595, 842, 90 * own, 1);
        PageLook look = new PageLook(turns, degrees, cropped ? Optional.of(new Area(5, 8, 180, 190)) : Optional.empty(),
                onSheet ? Optional.of(Sheet.A4) : Optional.empty(), onSheet ? 0.7 : 1, List.of());
        Area drawn = new Area(left, top, 40, 9);
        Optional<Area> seen = Redacting.came(shape, look, drawn).flatMap(came -> Redacting.seen(shape, look, came));
        LookedPage looked = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), look);
        Rectangle2D there = LookedPage.asCame(drawn, looked.heightPt()).createIntersection(looked.shown());
        Rectangle2D covered = seen.map(area -> LookedPage.asCame(area, looked.heightPt())).orElse(new Rectangle2D.Double());
        Shape page = looked.matrix()
                .createTransformedShape(new Rectangle2D.Double(0, 0, shape.seenWidthPt(), shape.seenHeightPt()));
        if (there.getWidth() < 1 || there.getHeight() < 1) return;
        for (double across = 0.05; across < 1; across += 0.15) {
            for (double down = 0.05; down < 1; down += 0.15) {
                double x = there.getX() + across * there.getWidth();
                double y = there.getY() + down * there.getHeight();
                if (page.contains(x - 0.5, y - 0.5, 1, 1))
                    assertThat(covered.contains(x, y)).as("%s covers %s, %s", covered, x, y).isTrue();
            }
        }
    }

    @Test
    void anAreaKeepsItsPlaceOnATurnedPage() {
        PageShape shape = new PageShape(0, 0, (float) (210 / 25.4 * 72), (float) (297 / 25.4 * 72), 0, 1);
        Area came = Redacting.came(shape, PageLook.PLAIN.withTurns(1), new Area(247, 30, 10, 50)).orElseThrow();
        assertThat(List.of(came.leftMm(), came.topMm(), came.widthMm(), came.heightMm()))
                .usingElementComparator((a, b) -> Math.abs(a - b) < 0.25 ? 0 : 1).containsExactly(30.0, 40.0, 50.0, 10.0);
        assertThat(Redacting.came(shape, PageLook.PLAIN, new Area(300, 10, 20, 20))).as("off the page").isEmpty();
    }
}
