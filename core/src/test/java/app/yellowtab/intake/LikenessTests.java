package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.About;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.intake.Likeness.Kind;
import app.yellowtab.intake.Likeness.Like;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LikenessTests {
    private static Source source(String name, String sha256, long... prints) {
        ByteBuffer bytes = ByteBuffer.allocate(8 * prints.length);
        for (long print : prints) bytes.putLong(print);
        PageFacts pages = new PageFacts(List.of(), List.of(), PageSet.NONE, PageSet.NONE, Optional.empty(), 0, 0, 0, 0, 0, 0, 0,
                List.of(), List.of(), false, false,
                Base64.getEncoder().encodeToString(bytes.array()), 1);
        About was = About.UNKNOWN;
        About about = new About(was.way(), Optional.empty(), List.of(), "", was.titleFrom(), was.dateFrom(), Optional.empty(),
                Optional.empty(), false, pages, "", 0);
        return new Source(new SourceId(name), name, name, SourceKind.PDF, 1, sha256, "", Math.max(1, prints.length), List.of(),
                name, DocumentDate.NOT_GIVEN, about, Optional.empty());
    }

    private static Like like(String other, Kind kind, int pages) {
        return new Like(new SourceId(other), kind, pages);
    }

    @Test
    void theSameFileAndTheSamePagesAreToldApartAndSaidOfBoth() {
        Map<SourceId, List<Like>> found =
                Likeness.of(List.of(source("a", "1", 7, 8), source("b", "1", 7, 8), source("c", "2", 7, 8), source("d", "3", 9)));
        assertThat(found.get(new SourceId("a"))).containsExactly(like("b", Kind.SAME_FILE, 2), like("c", Kind.SAME_PAGES, 2));
        assertThat(found.get(new SourceId("c"))).containsExactly(like("a", Kind.SAME_PAGES, 2), like("b", Kind.SAME_PAGES, 2));
        assertThat(found).doesNotContainKey(new SourceId("d"));
    }

    @Test
    void aFileThatIsMostlyInAnotherIsSaid() {
        Map<SourceId, List<Like>> found = Likeness.of(List.of(source("whole", "1", 1, 2, 3, 4, 5, 6),
                source("part", "2", 3, 4, 99), source("one page", "3", 5, 77, 78)));
        assertThat(found.get(new SourceId("part"))).containsExactly(like("whole", Kind.SHARED_PAGES, 2));
        assertThat(found).doesNotContainKey(new SourceId("one page"));
    }

    @Test
    void pagesThatEverybodyHasOrNobodyCouldReadTellNothing() {
        List<Source> sources = new ArrayList<>();
        for (int i = 0; i < 20; i++) sources.add(source("s" + i, "x" + i, 0, 0, 555, 666, 1000 + i));
        assertThat(Likeness.of(sources)).isEmpty();
    }
}
