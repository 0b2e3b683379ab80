package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.DateReader;
import app.yellowtab.model.EntryId;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.testing.Bundles;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The published schema and what the program writes say the same. */
class BundleSchemaTests {
    private final Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(Path.of("../docs/bundle.schema.json")));
    private final Bundle bundle = Bundles.bundle(Bundles.document("x", 2), Bundles.section("A", Bundles.section("B", Bundles.document("b", 1))))
            .withHeading(SampleMatter.HEADING);

    BundleSchemaTests() throws IOException {}

    @Test
    void whatIsWrittenIsValid() {
        for (String date : new String[] {"", "undated", "March 2031", "4 March 2031", "1 to 4 March 2031"}) {
            Bundle dated = Edits.changeDocument(bundle, new EntryId("b"), document -> document.withDate(DateReader.read(date).orElseThrow()));
            assertThat(schema.validate(BundleJson.write(dated))).isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            "format":3         | "format":2
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
    void whatTheProgramWouldNotWriteIsInvalid(String written, String instead) {
        String text = BundleJson.MAPPER.writeValueAsString(BundleJson.write(bundle));
        assertThat(text).contains(written);
        assertThat(schema.validate(BundleJson.MAPPER.readTree(text.replace(written, instead)))).isNotEmpty();
    }
}
