package app.yellowtab.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ModelTests {
    @Test
    void partiesAreReadWithTheirRoles() {
        assertThat(Party.parseAll("A (Trading) Ltd (Claimant); B Ltd(Defendant) ;; C"))
                .containsExactly(new Party("A (Trading) Ltd", "Claimant"), new Party("B Ltd", "Defendant"), new Party("C", ""));
        assertThat(Party.parseAll(" ")).isEmpty();
    }

    @Test
    void theShortNameIsTheFirstTwoParties() {
        CaseHeading heading = new CaseHeading("", "", Party.parseAll("A; B; C"), "T", Optional.of(LocalDate.of(2031, 10, 6)), "");
        assertThat(heading.shortName()).isEqualTo("A v B");
        assertThat(CaseHeading.EMPTY.shortName()).isEmpty();
    }

    @Test
    void recordsSayWhatIsWrongWithThem() {
        SourceId source = new SourceId("s");
        assertThatThrownBy(() -> SourcePages.of(source, 0, 3)).hasMessage("\"first\" must be >= 1, got 0");
        assertThatThrownBy(() -> SourcePages.of(source, 3, 2)).hasMessage("\"last\" must be >= 3, got 2");
        assertThatThrownBy(() -> Section.titled(" ")).hasMessage("a section's title must not be blank");
        assertThatThrownBy(
                () -> new Document(EntryId.fresh(), "Lease", "", DocumentDate.UNDATED, true, Optional.empty(), List.of()))
                .hasMessage("a document needs at least one run of pages: Lease");
        assertThatThrownBy(() -> new DocumentDate.Range(LocalDate.of(2031, 1, 2), LocalDate.of(2031, 1, 2)))
                .hasMessage("a range must end after 2031-01-02, got 2031-01-02");
    }

    @ParameterizedTest
    @EnumSource
    void everyFindingNamesItsFileAndIsASentence(Finding.Code code) {
        String message = new Finding(code, Subject.OfSource.of("s1", Path.of("/case/lease.pdf"), 1412), "detail").message();
        assertThat(message).endsWith(".").doesNotContain("{", "1,412");
        boolean listedUnderItsFile = code.name().startsWith("PROOF_") && message.contains("age 1412");
        if (!listedUnderItsFile) assertThat(message).contains("lease.pdf");
    }
}
