package app.yellowtab.register;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.number.OldNumbers.Place;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TheirNumbersTests {
    private static final Area AREA = new Area(10, 280, 20, 5);
    @TempDir
    private Path temp;

    @Test
    void pagesAreFoundByTheNumbersOfTheOtherSideAndListedByThem() throws IOException {
        OldNumbers theirs = new OldNumbers(new SourceId("a"), "SC-0017", Handling.IDENTITY,
                List.of(new Place(1, "SC-0017", AREA), new Place(2, "SC-0018", AREA), new Place(3, "SC-0019", AREA)));
        Bundle bundle = NumberEdits.decided(bundle(document("x", 2), document("a", 3)), theirs);
        Plan plan = Planner.plan(bundle);
        assertThat(plan.leafNumbered("sc-0018").orElseThrow().label()).isEqualTo("6");
        Path table = temp.resolve("theirs.csv");
        assertThat(TheirNumbers.write(bundle, plan, table)).isEqualTo(3);
        assertThat(Files.readAllLines(table)).anyMatch(line -> line.startsWith("SC-0019,7,a,"));
        Bundle left = NumberEdits.decided(bundle, theirs.withHandling(Handling.LEFT));
        assertThat(Planner.plan(left).leafNumbered("SC-0018")).isEmpty();
        assertThat(plan.marksOn(plan.leaf(5))).as("nothing covers them").hasSize(1);
    }
}
