package app.yellowtab.keep;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.finding.FindingException;
import app.yellowtab.json.BundleJson;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NumberPresetsTests {
    private static final RunningLine LINE = new RunningLine(new SeriesId("line"), new MarkSetting(Spot.LINE, MarkLook.LINE),
            LineEdits.read("{title}, {date:d MMM yyyy}"));
    private static final Series BATES =
            new Series(new SeriesId("bates"), "TH-000101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES));
    private static final NumberPreset OURS =
            new NumberPreset(BundleNumber.STANDARD.withFront(Optional.of(NumberStyle.SMALL_ROMAN)).withIndexPages(3),
                    List.of(BATES), List.of(LINE));
    @TempDir
    private Path folder;

    @Test
    void presetsAreKeptAndOneIsForNewBundles() throws FindingException {
        NumberPresets presets = new NumberPresets(folder.resolve("user"));
        assertThat(presets.list()).isEmpty();
        assertThat(presets.ofNewBundles()).isEqualTo(NumberPreset.STANDARD);
        presets.keep(new NumberPresets.Named("County Court", OURS));
        presets.makeStandard(Optional.of("County Court"));
        assertThat(new NumberPresets(folder.resolve("user")).ofNewBundles()).isEqualTo(OURS);
        presets.forget("County Court");
        assertThat(presets.ofNewBundles()).as("what is gone is no standard").isEqualTo(NumberPreset.STANDARD);
        presets.makeStandard(Optional.empty());
        assertThat(presets.standardName()).isEmpty();
    }

    @Test
    void whatIsGivenAwayIsAsTheSchemaSays() throws IOException {
        Path file = folder.resolve("numbers.json");
        NumberPresets.write(file, new NumberPresets.Named("County Court", OURS));
        String published = Files.readString(Path.of("../docs/numbers.schema.json"));
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(published)
                .validate(BundleJson.MAPPER.readTree(file))).isEmpty();
        for (String shared : List.of("markLook", "markSetting", "bundleNumber", "series", "line", "spot")) {
            for (String other : List.of("bundle", "template")) {
                assertThat(BundleJson.MAPPER.readTree(published).path("$defs").path(shared))
                        .as("as in a " + other + ": " + shared)
                        .isEqualTo(BundleJson.MAPPER.readTree(Files.readString(Path.of("../docs/" + other + ".schema.json")))
                                .path("$defs").path(shared));
            }
        }
        assertThat(NumberPresets.read(file)).isEqualTo(new NumberPresets.Named("County Court", OURS));
        Files.writeString(file, Files.readString(file).replace("\"indexPages\" : 3", "\"indexPages\" : 900"));
        assertThatThrownBy(() -> NumberPresets.read(file)).hasMessageContaining("numbers.json")
                .hasMessageContaining("\"indexPages\" must be 0 to 200, got 900");
        Files.writeString(file, "{\"sections\": []}");
        assertThatThrownBy(() -> NumberPresets.read(file)).hasMessageContaining("it holds no numbers and lines");
    }

    @Test
    void aPresetTakesThePlaceOfLinesAndStandsBesideWhatWasGiven() {
        Bundle start = NumberEdits.with(NumberEdits.with(bundle(document("a", 2)), BATES),
                new RunningLine(new SeriesId("old"), new MarkSetting(Spot.LINE, MarkLook.LINE), LineEdits.read("{file}")));
        Bundle set = OURS.on(start);
        assertThat(set.numbering().series()).as("a series that it has already is not put on twice").containsExactly(BATES);
        assertThat(set.numbering().lines()).hasSize(1);
        assertThat(set.numbering().lines().getFirst().parts()).isEqualTo(LINE.parts());
        Bundle some =
                NumberEdits.with(start, BATES.withSetting(BATES.setting().withPages(MarkedPages.of(List.of(new EntryId("a"))))));
        assertThat(NumberPreset.of(some).series()).as("what some documents bear alone means nothing without these").isEmpty();
        assertThat(NumberPreset.of(set).number()).isEqualTo(OURS.number());
    }
}
