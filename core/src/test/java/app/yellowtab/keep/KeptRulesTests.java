package app.yellowtab.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.FindingException;
import app.yellowtab.json.BundleJson;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
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

class KeptRulesTests {
    private static final CutRules RULES = new CutRules(
            List.of(new CutRule.WordsFound("1 of", false, true, true, Optional.of(new Area(10, 10, 80, 20)), false),
                    new CutRule.ValueChanges(new ValuePlace.AfterWords("No.", "/")),
                    new CutRule.BlankSheets(true), new CutRule.SeparatorSheets(), new CutRule.FirstPages(45),
                    new CutRule.EveryPages(4, 2)),
            2, List.of(new NamePart.Number(3, 1), new NamePart.Value(new ValuePlace.InArea(new Area(1, 2, 3, 4))),
                    new NamePart.Typed("of the clerk")));

    @TempDir
    private Path folder;

    @Test
    void rulesAreKeptUnderTheirNameReplacedAndForgotten() throws FindingException {
        KeptRules kept = new KeptRules(folder.resolve("user"));
        assertThat(kept.list()).isEmpty();
        kept.keep(new KeptRules.Named("Invoices: 2030/31", RULES));
        kept.keep(new KeptRules.Named("a scan", CutRules.NONE));
        kept.keep(new KeptRules.Named("Invoices: 2030/31", RULES));
        assertThat(kept.list()).containsExactly(new KeptRules.Named("a scan", CutRules.NONE),
                new KeptRules.Named("Invoices: 2030/31", RULES));
        kept.forget("a scan");
        assertThat(kept.list()).extracting(KeptRules.Named::name).containsExactly("Invoices: 2030/31");
    }

    @Test
    void whatIsGivenAwayIsAsTheSchemaSays() throws IOException {
        Path file = folder.resolve("rules.json");
        KeptRules.write(file, new KeptRules.Named("Invoices", RULES));
        String published = Files.readString(Path.of("../docs/cut-rules.schema.json"));
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(published)
                .validate(BundleJson.MAPPER.readTree(file))).isEmpty();
        for (String shared : List.of("valuePlace", "cutRule", "namePart")) {
            assertThat(BundleJson.MAPPER.readTree(published).path("$defs").path(shared)).as("as in bundles: " + shared)
                    .isEqualTo(BundleJson.MAPPER.readTree(Files.readString(Path.of("../docs/bundle.schema.json"))).path("$defs")
                            .path(shared));
        }
        assertThat(KeptRules.read(file)).isEqualTo(new KeptRules.Named("Invoices", RULES));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
            "{\"cutRules\": 1, \"rules\": [{\"kind\": \"every_pages\", \"count\": 0, \"from\": 1}], \"leastPages\": 1, "
                    + "\"name\": []} | \"rules[1]\" is refused: \"count\" must be >= 1, got 0",
            "{\"cutRules\": 1, \"rules\": [], \"name\": []} | \"leastPages\" is missing",
            "{\"cutRules\": 2, \"rules\": [], \"leastPages\": 1, \"name\": []} | of a version that this program does not know",
            "{\"sections\": []} | it holds no rules for cutting",
            "{\"cutRules\": 1, | it breaks off or is no JSON"})
    void whatIsWrongIsNamed(String content, String said) throws IOException {
        Path file = folder.resolve("rules.json");
        Files.writeString(file, content);
        assertThatThrownBy(() -> KeptRules.read(file)).isInstanceOf(FindingException.class).hasMessageContaining("rules.json")
                .hasMessageContaining(said);
    }
}
