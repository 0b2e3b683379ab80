package app.yellowtab.keep;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.Template;
import app.yellowtab.finding.FindingException;
import app.yellowtab.json.BundleJson;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleBounds;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TemplatesTests {
    private final Bundle bundle = Edits
            .insertDocuments(bundle(document("x", 2), section("Letters", document("a", 3), section("Old"))),
                    List.of(Placeholders.placeholder("Index of letters", 4)),
                    new Place(Optional.of(new EntryId("Letters")), 1))
            .withLayout(new Layout(false, Separators.TITLED).withAgreement(true));
    @TempDir
    private Path folder;

    @Test
    void threeShipWithTheProgramAndEachBeginsABundle() {
        List<Template> ours = new Templates(folder).list();
        assertThat(ours).extracting(Template::called).containsExactly("Trial bundle", "Hearing of an application", "Appeal");
        for (Template template : ours) {
            Bundle begun = template.begun("Bundle for 6 October");
            assertThat(begun.heading().title()).isEqualTo("Bundle for 6 October");
            assertThat(begun.contents().allDocuments()).isNotEmpty().allMatch(Document::isPlaceholder);
            assertThat(Planner.plan(begun).documentCount()).isEqualTo(begun.contents().allDocuments().size());
            BundleBounds.check(begun);
        }
        assertThat(ours.getFirst().begun("a").contents().allDocuments().getFirst().id()).as("each bundle has entries of its own")
                .isNotEqualTo(ours.getFirst().begun("a").contents().allDocuments().getFirst().id());
    }

    @Test
    void theStructureOfABundleIsKeptWithoutItsFiles() {
        Template structure = Template.of(bundle, "Ours", false);
        assertThat(order(structure.begun("t"))).isEqualTo("Letters(Index of letters Old())");
        assertThat(structure.begun("t").layout()).isEqualTo(bundle.layout());
        assertThat(Placeholders.reserved(structure.begun("t").contents().allDocuments().getFirst())).isEqualTo(4);
        Template all = Template.of(bundle, "Ours", true);
        assertThat(order(all.begun("t"))).isEqualTo("x Letters(a Index of letters Old())");
        assertThat(all.begun("t").sources()).isEmpty();
    }

    @Test
    void templatesAreKeptUnderTheirNamesAndGivenAway() throws IOException {
        Templates templates = new Templates(folder.resolve("user"));
        templates.keep(Template.of(bundle, "Our: structure", false));
        templates.keep(Template.of(bundle, "Our: structure", true));
        assertThat(templates.list()).hasSize(4).last().isEqualTo(Template.of(bundle, "Our: structure", true));
        Path given = folder.resolve("given.json");
        Templates.write(given, Template.of(bundle, "Given", false));
        assertThat(templates.bringIn(given).called()).isEqualTo("Given");
        assertThat(templates.list()).extracting(Template::called).endsWith("Given", "Our: structure");
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/template.schema.json"))).validate(BundleJson.MAPPER.readTree(given)))
                .isEmpty();
    }

    @Test
    void theNumbersThatRunOverAllPagesAreKept() throws IOException {
        Series all = new Series(new SeriesId("all"), "TH-000101", new MarkSetting(Spot.STANDARD, MarkLook.NUMBER));
        Series some = new Series(new SeriesId("some"), "X1",
                new MarkSetting(Spot.STANDARD, false, MarkLook.NUMBER, MarkedPages.of(List.of(new EntryId("a")))));
        Bundle numbered = bundle.withNumbering(Numbering.NONE.withSeries(List.of(all, some)));
        Path given = folder.resolve("given.json");
        Templates.write(given, Template.of(numbered, "Given", false));
        assertThat(Templates.read(given).begun("t").numbering().series()).as("what only some documents bear is theirs")
                .containsExactly(all);
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/template.schema.json"))).validate(BundleJson.MAPPER.readTree(given)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
            "{\"bundleTemplate\": 2, \"called\": \"x\"} | it is of a version that this program does not know",
            "{\"cutRules\": 1} | it holds no template",
            "{\"bundleTemplate\": 1, \"called\": | it breaks off or is no JSON",
            "{\"bundleTemplate\": 1, \"called\": \"x\", \"about\": \"\", \"layout\": {\"cover\": true, \"separators\": "
                    + "\"none\", \"agreement\": false}, \"fromSources\": {\"comments\": \"kept\", \"bookmarkLevels\": 1}, "
                    + "\"entries\": [{\"title\": \"t\", \"pages\": 0}], \"sections\": []} | \"entries[1]\" is refused: "
                    + "\"pages\" must be >= 1, got 0"})
    void whatIsNoTemplateIsToldWithItsFile(String content, String why) throws IOException {
        Path file = Files.writeString(folder.resolve("odd.json"), content);
        assertThatThrownBy(() -> Templates.read(file)).isInstanceOf(FindingException.class).hasMessageContaining("odd.json")
                .hasMessageContaining(why);
    }
}
