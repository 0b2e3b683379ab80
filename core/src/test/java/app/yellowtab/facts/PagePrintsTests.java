package app.yellowtab.facts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Fingerprints of pages, of eight bytes as older bundles have them, and of sixteen. */
class PagePrintsTests {
    private static final String A = "a1a2a3a4a5a6a7a8";
    private static final String B = "b1b2b3b4b5b6b7b8";

    private static PageFacts facts(int way, String prints) {
        return new PageFacts(List.of(), List.of(), PageSet.NONE, PageSet.NONE, Optional.empty(), 0, 0, 0, 0, 0, 0, 0, List.of(),
                List.of(), false, false, Base64.getEncoder().encodeToString(HexFormat.of().parseHex(prints)), way);
    }

    @Test
    void pagesOfAnOlderBundleAreFoundAgainInANewerOne() {
        PageFacts older = facts(1, A + B);
        PageFacts newer = facts(2, A + B + B + A);
        assertThat(older.print(2)).contains(B);
        assertThat(newer.print(2)).contains(B + A);
        assertThat(newer.likePrint(2)).isEqualTo(older.likePrint(2)).contains(B);
        assertThat(newer.likePrints()).isEqualTo(older.likePrints()).hasSize(2);
        assertThat(newer.print(3)).isEmpty();
        assertThat(older.showTheSame(newer)).isTrue();
        assertThat(newer.showTheSame(older)).isTrue();
        assertThat(newer.showTheSame(facts(2, A + B + B + B))).as("they differ behind the first eight bytes").isFalse();
        assertThat(newer.showTheSame(facts(1, A + B + A))).isFalse();
    }

    @Test
    void whatIsNotKnownIsNotTheSame() {
        PageFacts unread = facts(2, A + A + "0".repeat(32));
        assertThat(unread.print(1)).isPresent();
        assertThat(unread.print(2)).isEmpty();
        assertThat(unread.showTheSame(unread)).isFalse();
        assertThat(facts(2, "").showTheSame(facts(2, ""))).isFalse();
    }
}
