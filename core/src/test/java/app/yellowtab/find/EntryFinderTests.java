package app.yellowtab.find;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EntryFinderTests {
    private static Document dated(String title, String date) {
        return document(title, 1).withDate(DateReader.read(date, false).orElseThrow());
    }

    private final Plan plan = Planner
            .plan(bundle(section("Letters", dated("Letter before claim", "29 Nov 2030"), dated("Café receipts", "5–13 Oct 2030"),
                    dated("Note", "undated").withDescription("of the Claim meeting"), dated("Log", "Oct 2030"))));

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            claim            | Letter before claim, Note
            CAFE  rec        | Café receipts
            letter           | Letters, Letter before claim
            29/11/2030       | Letter before claim
            November 2030    | Letter before claim
            7 October 2030   | Café receipts
            October 2030     | Café receipts, Log
            elephant         |
            ' '              |
            """)
    void entriesAreFoundByWhatTheySay(String typed, String found) {
        assertThat(new EntryFinder(typed, false).in(plan).stream().map(PlannedEntry::title).collect(Collectors.joining(", ")))
                .isEqualTo(found == null ? "" : found);
    }
}
