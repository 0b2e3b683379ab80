package app.yellowtab.ink;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** Which dots of a page belong together. */
class InkProperties {
    private static final int WIDTH = 23;

    @Property(tries = 200)
    void spotsAreDotsThatTouch(@ForAll @Size(17 * WIDTH) boolean[] dark, @ForAll @IntRange(max = 3) int paler) {
        for (int at = 0; at < dark.length; at++) if (paler > 0 && at % (paler + 1) == 0) dark[at] = false;
        Ink ink = new Ink(new GreyPicture(WIDTH, 17, 100, new byte[dark.length]));
        List<int[]> wanted = new ArrayList<>();
        boolean[] left = dark.clone();
        for (int at = 0; at < left.length; at++) {
            int[] spot = {WIDTH, 17, 0, 0, 0};
            take(left, at % WIDTH, at / WIDTH, spot);
            if (spot[4] > 0) wanted.add(spot);
        }
        assertThat(ink.spots(dark)).usingElementComparator(Arrays::compare).isEqualTo(wanted);
    }

    private static void take(boolean[] left, int x, int y, int[] spot) {
        if (x < 0 || x >= WIDTH || y < 0 || y >= 17 || !left[y * WIDTH + x]) return;
        left[y * WIDTH + x] = false;
        spot[0] = Math.min(spot[0], x);
        spot[1] = Math.min(spot[1], y);
        spot[2] = Math.max(spot[2], x);
        spot[3] = Math.max(spot[3], y);
        spot[4]++;
        for (int beside = 0; beside < 9; beside++) take(left, x + beside % 3 - 1, y + beside / 3 - 1, spot);
    }
}
