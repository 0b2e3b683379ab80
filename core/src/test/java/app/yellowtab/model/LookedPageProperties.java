package app.yellowtab.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Of pages of any size, with any look. */
class LookedPageProperties {
    private static final double MM = 25.4 / 72;
    private static final double HAIR = 1e-6;

    /** A page, a look, and two points in the part that it is cropped to, in shares of that. */
    private record Case(double width, double height, PageLook look, double x1, double y1, double x2, double y2) {
        Point2D point(boolean first) {
            Rectangle2D area = LookedPage.asCame(look.crop().orElseThrow(), height);
            return new Point2D.Double(area.getX() + (first ? x1 : x2) * area.getWidth(),
                    area.getY() + (first ? y1 : y2) * area.getHeight());
        }

        LookedPage looked() {
            return LookedPage.of(width, height, look);
        }
    }

    @Provide
    Arbitrary<Case> cases() {
        Arbitrary<Double> shares = Arbitraries.doubles().between(0, 1);
        Arbitrary<Optional<Sheet>> sheets = Arbitraries.of(Optional.empty(), Optional.of(new Sheet(2500, 2500)));
        Arbitrary<double[]> pages = Combinators
                .combine(Arbitraries.doubles().between(30, 3000), Arbitraries.doubles().between(0.5, 2),
                        Arbitraries.doubles().between(0.3, 0.5), Arbitraries.doubles().between(0.3, 0.5))
                .as((width, slender, left, top) -> new double[] {width, width * slender, left, top});
        Arbitrary<PageLook> looks = Combinators
                .combine(Arbitraries.integers().between(0, 3), Arbitraries.doubles().between(-10, 10), sheets,
                        Arbitraries.doubles().between(0.3, 1.0))
                .as((turns, degrees, sheet, scale) -> new PageLook(turns, degrees, Optional.empty(), sheet, scale, List.of()));
        return Combinators.combine(pages, looks, shares, shares, shares, shares)
                .as((page, look, x1, y1, x2, y2) -> new Case(page[0], page[1], look.withCrop(Optional.of(
                        new Area(page[2] * page[0] * MM, page[3] * page[1] * MM, 0.2 * page[0] * MM, 0.2 * page[1] * MM))), x1,
                        y1, x2, y2));
    }

    @Property(tries = 200)
    void whatWasInsideAnAreaIsInsideItAfterwards(@ForAll("cases") Case one) {
        Point2D now = one.looked().of(one.point(true).getX(), one.point(true).getY());
        Rectangle2D shown = one.looked().shown();
        assertThat(now.getX()).isBetween(shown.getMinX() - HAIR, shown.getMaxX() + HAIR);
        assertThat(now.getY()).isBetween(shown.getMinY() - HAIR, shown.getMaxY() + HAIR);
        assertThat(shown.getMinX()).isGreaterThanOrEqualTo(-HAIR);
        assertThat(shown.getMaxX()).isLessThanOrEqualTo(one.looked().widthPt() + HAIR);
    }

    @Property(tries = 200)
    void nothingIsBentAndOnlyTheScaleChangesSizes(@ForAll("cases") Case one) {
        Point2D first = one.point(true);
        Point2D second = one.point(false);
        double now = one.looked().of(first.getX(), first.getY()).distance(one.looked().of(second.getX(), second.getY()));
        assertThat(now).isCloseTo(one.look().scale() * first.distance(second), within(1e-6));
        assertThat(one.looked().matrix().getDeterminant()).as("not mirrored").isPositive();
    }

    @Property(tries = 100)
    void turnedAndTurnedBackItIsAsItCame(@ForAll("cases") Case one) {
        int turns = one.look().turns();
        LookedPage turned = LookedPage.of(one.width(), one.height(), PageLook.PLAIN.withTurns(turns));
        Point2D there = turned.of(one.point(true).getX(), one.point(true).getY());
        Point2D back = LookedPage.of(turned.widthPt(), turned.heightPt(), PageLook.PLAIN.withTurns((4 - turns) % 4))
                .of(there.getX(), there.getY());
        assertThat(back.distance(one.point(true))).isLessThan(HAIR);
    }

    @Property(tries = 20)
    void aQuarterTurnGoesClockwise(@ForAll("cases") Case one) {
        LookedPage turned = LookedPage.of(one.width(), one.height(), PageLook.PLAIN.withTurns(1));
        assertThat(turned.of(0, one.height()).distance(turned.widthPt(), turned.heightPt()))
                .as("what was above on the left is above on the right").isLessThan(HAIR);
    }
}
