package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PrintedSeries;
import app.yellowtab.facts.ShapedPages;
import app.yellowtab.facts.SheetSize;
import app.yellowtab.json.BundleJson;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.Ink;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.AlikeFiles;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.number.ServedNumber;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Spared;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceReading;
import app.yellowtab.pdf.SystemFace;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.testing.Bundles;
import com.networknt.schema.Schema;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The published schema and what the program writes say the same. */
class BundleSchemaTests {
    private final Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(Path.of("../docs/bundle.schema.json")));
    private final Bundle bundle =
            Bundles.bundle(Bundles.document("x", 2), Bundles.section("A", Bundles.section("B", Bundles.document("b", 1))))
                    .withHeading(SampleMatter.HEADING);

    @TempDir
    private Path folder;

    BundleSchemaTests() throws IOException {}

    private ObjectNode write(Bundle written) throws IOException {
        return BundleJson.write(written, new FactsFiles(folder).write(written.sources()));
    }

    @Test
    void whatPagesAreLikeIsAsItsOwnSchemaSays() throws IOException {
        Schema facts = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/facts.schema.json")));
        PageFacts unknown = PageFacts.UNKNOWN;
        PageFacts known = new PageFacts(List.of(new ShapedPages(2, new PageShape(-3, 4.5, 595.3, 842, 90, 1))),
                List.of(new SheetSize(297, 210, 2)), new PageSet("1"), new PageSet("2"),
                Optional.of(new PrintedSeries(4, 5, true, "TH-")), 7, 1, 2, 3, 4, 5, 6, List.of("a.pdf"), List.of("Font"), true,
                true, "AAAAAAAAAAA=", 1);
        for (PageFacts each : List.of(unknown, known)) {
            JsonNode written = BundleJson.MAPPER.valueToTree(each);
            assertThat(facts.validate(written)).isEmpty();
            assertThat(BundleJson.MAPPER.treeToValue(written, PageFacts.class)).isEqualTo(each);
        }
        String text = BundleJson.MAPPER.writeValueAsString(known);
        assertThat(facts.validate(BundleJson.MAPPER.readTree(text.replace("\"turn\":90", "\"turn\":45")))).isNotEmpty();
    }

    @Test
    void whatIsWrittenIsValid() throws IOException {
        for (String date : new String[] {"", "undated", "March 2031", "4 March 2031", "1 to 4 March 2031"}) {
            Bundle dated = Edits.changeDocument(bundle, new EntryId("b"),
                    document -> document.withDate(DateReader.read(date).orElseThrow()));
            assertThat(schema.validate(write(dated))).isEmpty();
        }
    }

    @Test
    void whatIsLeftToBeSeenIsKept() throws IOException {
        PageKey page = bundle.contents().allDocuments().getFirst().runs().getFirst().key(1);
        Bundle spared = Redacting.spared(bundle, page, List.of(new Spared(new Area(1, 2, 3, 4), "Whitlow", "in the order")));
        JsonNode written = write(spared);
        assertThat(schema.validate(written)).isEmpty();
        assertThat(written.toString()).contains("in the order");
        assertThat(BundleJson.read(written, key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN)).contents())
                .isEqualTo(spared.contents());
    }

    @Test
    void aBundleWithFrontSheetsSaysThatItNeedsThem() throws IOException {
        Bundle marked = Entries.withFrontSheet(bundle, new EntryId("b"), "OF1");
        JsonNode written = write(marked);
        assertThat(schema.validate(written)).isEmpty();
        assertThat(written.path("needs").toString()).isEqualTo("[\"front_sheets\"]");
        assertThat(BundleJson.read(written, key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN)).contents())
                .isEqualTo(marked.contents());
    }

    @Test
    void numbersThatPagesWereGivenAreKept() throws IOException {
        SeriesId series = new SeriesId("bates");
        PageKey page = new PageKey(new RunId("r"), 3);
        MarkSetting setting = new MarkSetting(Spot.STANDARD, true,
                new MarkLook(new SystemFace("Some Face"), 12.5f, Ground.FRAME, Ink.read("#c8102e"), 0.5, -90),
                new MarkedPages("4-25", List.of(new EntryId("x")), List.of(new SourceId("x")), List.of(PageKind.COVER)));
        BundleNumber number =
                new BundleNumber(setting, NumberStyle.FIGURES, 3, true, true, Optional.of(NumberStyle.SMALL_ROMAN), 4);
        RunningLine line = new RunningLine(new SeriesId("line"), setting,
                List.of(new LinePart.Typed("Page "), LinePart.Field.of(LineField.PAGE), LinePart.Field.of(LineField.PRODUCED)));
        Numbering numbering = new Numbering(number, List.of(new Series(series, "TH-000101", setting)), List.of(line),
                List.of(new MarkMove(page, series, new Spot(Spot.Row.HEAD, Spot.Column.LEFT, 4.5, 3))),
                List.of(new GivenNumber(series, new SourceId("x"), "k", 2, GivenNumber.Half.LEFT, "TH-000102")),
                List.of(new ServedNumber(page, "45A")),
                List.of(new OldNumbers(new SourceId("x"), "12", OldNumbers.Handling.COVERED,
                        List.of(new OldNumbers.Place(1, "12", new Area(1, 2, 3, 4))))),
                "/matter/register.csv", List.of(new AlikeFiles(new SourceId("x"), new SourceId("y"), true)),
                List.of(new GivenNumber(series, new SourceId("x"), "k", 3, GivenNumber.Half.WHOLE, "TH-000103")));
        Bundle numbered = new Bundle(bundle.heading(), bundle.layout(), bundle.fromSources(), bundle.reading(), bundle.sources(),
                bundle.contents(), bundle.setAside(), numbering, List.of(), bundle.recognition(),
                List.of(new LookAgain(new EntryId("x"), Optional.of(page), new SourceReading(new SourceId("x"), "k"), 2, true,
                        true)));
        JsonNode written = write(numbered);
        assertThat(schema.validate(written)).isEmpty();
        assertThat(written.path("needs").toString()).isEqualTo("[\"marks\",\"taken_back\"]");
        assertThat(BundleJson.read(written, key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN)).numbering())
                .isEqualTo(numbering);
        String text = BundleJson.MAPPER.writeValueAsString(written);
        assertThat(schema.validate(BundleJson.MAPPER.readTree(text.replace("\"half\":\"left\"", "\"half\":\"upper\""))))
                .isNotEmpty();
    }

    @Test
    void howABatchIsCutIsKept() throws IOException {
        Area area = new Area(10, 20, 30.5, 40);
        List<CutRule> all = List.of(new CutRule.EveryPages(3, 2), new CutRule.Bookmarks(2), new CutRule.BlankSheets(true),
                new CutRule.WordsFound("1 of", true, true, false, Optional.of(area), true),
                new CutRule.ValueChanges(new ValuePlace.AfterWords("no.", "/")),
                new CutRule.ValueChanges(new ValuePlace.InArea(area)), new CutRule.NumberingRestarts(), new CutRule.SizeChanges(),
                new CutRule.SeparatorSheets(), new CutRule.UpTo(5_000_000), new CutRule.FirstPages(60));
        List<NamePart> parts = List.of(new NamePart.Bookmark(), new NamePart.Value(new ValuePlace.InArea(area)),
                new NamePart.FileName(), new NamePart.Number(3, 1), new NamePart.FirstDate(), new NamePart.Typed("x"));
        Source source = bundle.sources().getFirst();
        Bundle cut = CutEdits.change(bundle, source, batch -> batch
                .withRules(new CutRules(all, 2, parts), List.of(new CutRule.Ranges("1-", true), new CutRule.OddAndEven(true)))
                .withCut(batch.keys().get(1), true).withDrop(batch.keys().get(0), false).withName(batch.keys().get(0), "Letter")
                .withMade(bundle.contents().documents()));
        JsonNode written = write(cut);
        assertThat(schema.validate(written)).isEmpty();
        Bundle read = BundleJson.read(written, key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN));
        assertThat(read.batches()).isEqualTo(cut.batches());
        BundleBounds.check(read);
        assertThat(schema.validate(BundleJson.MAPPER
                .readTree(BundleJson.MAPPER.writeValueAsString(written).replace("\"kind\":\"bookmarks\"", "\"kind\":\"moon\""))))
                .isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            "format":4         | "format":2
            "separators":"none" | "separators":"sometimes"
            "hearing":"2031-10-06" | "hearing":"soon"
            "inIndex":true     | "shown":true
            "first":1          | "first":0
            "comments":"kept"  | "comments":"printed"
            "bookmarkLevels":12 | "bookmarkLevels":13
            "date":""          | "date":"4 March 2031"
            "monthFirst":false | "monthFirst":"no"
            "way":"as_it_is"   | "way":"by hand"
            "titleFrom":"file_name" | "titleFrom":"a guess"
            """)
    void whatTheProgramWouldNotWriteIsInvalid(String written, String instead) throws IOException {
        String text = BundleJson.MAPPER.writeValueAsString(write(bundle));
        assertThat(text).contains(written);
        assertThat(schema.validate(BundleJson.MAPPER.readTree(text.replace(written, instead)))).isNotEmpty();
    }
}
