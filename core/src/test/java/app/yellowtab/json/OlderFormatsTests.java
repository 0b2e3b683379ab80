package app.yellowtab.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.facts.About;
import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bundles that older versions have saved. */
class OlderFormatsTests {
    @TempDir
    private Path folder;

    private Bundle opened(int format) throws IOException {
        try (InputStream saved =
                Objects.requireNonNull(OlderFormatsTests.class.getResourceAsStream("bundle-" + format + ".json"))) {
            Files.write(folder.resolve("bundle.json"), saved.readAllBytes());
        }
        return again();
    }

    private Bundle again() throws FindingException {
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (BundleFolder place = opened.folder()) {
            place.save(opened.bundle());
            return opened.bundle();
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void haveTheSamePagesUnderTheSameNumbers(int format) throws IOException {
        Bundle bundle = opened(format);
        assertThat(Bundles.order(bundle))
                .startsWith("Statements of case(Claim form Particulars of claim (amended)) Witness statements(Orla Fennick");
        Plan plan = Planner.plan(bundle);
        assertThat(plan.entries()).extracting(PlannedEntry::title, entry -> entry.span().shown()).contains(
                tuple("Claim form", "4"), tuple("Particulars of claim (amended)", "5–7"));
        List<Run> runs = bundle.contents().allDocuments().get(1).runs();
        assertThat(runs).extracting(run -> ((SourcePages) run).first() + "-" + ((SourcePages) run).last()).containsExactly("1-2",
                "1-1");
        assertThat(runs).allSatisfy(run -> assertThat(((SourcePages) run).look()).isSameAs(PageLook.PLAIN));
        assertThat(runs).extracting(Run::id).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void areTheSameWhenTheyAreOpenedOnceMoreInTodaysForm(int format) throws IOException {
        Bundle first = opened(format);
        assertThat(Files.readString(folder.resolve("bundle.json"))).contains("\"format\" : 4");
        assertThat(again()).isEqualTo(first);
    }

    @Test
    void keepWhatOtherProgramsHavePutThere() throws IOException {
        opened(2);
        assertThat(Files.readString(folder.resolve("bundle.json"))).contains("fromAnotherProgram");
    }

    @Test
    void numbersThatWereIssuedAreOfThePagesAsTheyWereReadThen() throws IOException {
        Bundle bundle = opened(3);
        Map<SourceId, Source> sources = bundle.sourcesById();
        assertThat(bundle.numbering().given()).isNotEmpty()
                .allMatch(given -> given.pagesKey().equals(sources.get(given.source()).pagesKey()));
        assertThat(Planner.plan(bundle).leafNumbered("TH-000101").map(Leaf::label)).contains("4");
        assertThat(Planner.plan(bundle).marking().series().getFirst().fixed()).isEqualTo(bundle.numbering().given().size());
    }

    @Test
    void whatWasNotKnownThenIsUnknown() throws IOException {
        Bundle bundle = opened(1);
        assertThat(bundle.sources()).extracting(Source::about).containsOnly(About.UNKNOWN);
        assertThat(bundle.reading()).isEqualTo(Reading.STANDARD);
        assertThat(bundle.fromSources()).isEqualTo(FromSources.STANDARD);
        assertThat(bundle.setAside()).isEmpty();
        assertThat(bundle.contents().allDocuments()).extracting(Document::belongsTo).allMatch(Optional::isEmpty);
    }
}
