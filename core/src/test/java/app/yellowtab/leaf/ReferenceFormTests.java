package app.yellowtab.leaf;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.keep.KeptReference;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReferenceFormTests {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            [B/45]             | [C/7]
            (Bundle B, p. 45)  | (Bundle C, p. 7)
            45 of tab B        | 7 of tab C
            p 45               | p 7
            B.45 at 45         | C.45 at 7
            [ABC/45]           | [ABC/7]
            """)
    void isLearnedFromWhatSomebodyWrote(String written, String other) {
        ReferenceForm form = ReferenceForm.of(written, "B", "45").orElseThrow();
        assertThat(form.of("B", "45")).isEqualTo(written);
        assertThat(form.of("C", "7")).isEqualTo(other);
    }

    @Test
    void aReferenceThatDoesNotNameThePageIsNone() {
        assertThat(ReferenceForm.of("[B/451]", "B", "45")).isEmpty();
        assertThat(ReferenceForm.of("", "B", "45")).isEmpty();
        assertThat(ReferenceForm.STANDARD.of("", "2")).isEqualTo("[2]");
    }

    @Test
    void aPageKnowsItsEntryAndTheLetterOfItsTopSection() {
        Plan plan = Planner.plan(bundle(document("x", 1), section("A", document("a", 2), section("B", document("b", 1)))));
        assertThat(plan.leaves().stream()
                .map(leaf -> plan.entryAt(leaf.index()).map(entry -> entry.id().value()).orElse("") + plan.letterAt(leaf.index()))
                .toList())
                .containsExactly("", "", "x", "AA", "aA", "aA", "BA", "bA");
        assertThat(plan.entryAt(3)).isEqualTo(plan.entry(new EntryId("A")));
    }

    @Test
    void isKeptForTheNextTime(@TempDir Path folder) throws IOException {
        ReferenceForm form = new ReferenceForm("(", " p ", ")", ReferenceForm.Order.SECTION_PAGE);
        new KeptReference(folder.resolve("user")).keep(form);
        assertThat(new KeptReference(folder.resolve("user")).form()).isEqualTo(form);
        Files.writeString(folder.resolve("user/reference.json"), "{\"before\": 3");
        assertThat(new KeptReference(folder.resolve("user")).form()).isEqualTo(ReferenceForm.STANDARD);
    }
}
