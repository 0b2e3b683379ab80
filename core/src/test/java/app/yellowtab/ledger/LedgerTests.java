package app.yellowtab.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.finding.Progress;
import app.yellowtab.output.Place;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

class LedgerTests {
    @TempDir
    private Path folder;
    private Path target;

    @BeforeEach
    void produce() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "=SUM(A1), \"x\"", 2);
        Path letters = Files.createDirectories(matter.resolve("A - Letters"));
        Pdfs.write(letters, "P", 1);
        target = folder.resolve("Trial bundle.pdf");
        try (InPlace place = new InPlace()) {
            Assembler.standard().assemble(Planner.plan(Folder.bundle(place, matter)), place, target, Progress.NONE, () -> false);
        }
    }

    private List<Ledger.Page> leaves() throws IOException {
        List<Ledger.Page> all = new ArrayList<>();
        try (LedgerReader reader = LedgerReader.leaves(Ledger.beside(target))) {
            for (Optional<Ledger.Page> leaf; (leaf = reader.next()).isPresent();) all.add(leaf.get());
        }
        return all;
    }

    @Test
    void saysWhereEveryLeafComesFrom() throws IOException {
        Ledger ledger = LedgerReader.read(Ledger.beside(target));
        assertThat(ledger.pages()).isEqualTo(6);
        assertThat(leaves())
                .extracting(leaf -> leaf.position() + " " + leaf.number().orElse("-") + " " + leaf.label() + " " + leaf.kind()
                        + " " + leaf.from().map(from -> from.source() + " " + from.page()).orElse("ours"))
                .containsExactly("1 1 1 cover ours", "2 2 2 index ours", "3 3 3 page 0 1", "4 4 4 page 0 2", "5 5 5 section ours",
                        "6 6 6 page 1 1");
        assertThat(leaves()).extracting(Ledger.Page::pagePrint).doesNotHaveDuplicates();
        assertThat(ledger.sources().get(1))
                .isEqualTo(new Ledger.SourceFile("P.pdf", Fingerprint.of(folder.resolve("matter/A - Letters/P.pdf")), 1));
        assertThat(leaves().get(1).links()).containsExactly(new Place(0, 3), new Place(0, 5), new Place(0, 6));
        assertThat(ledger.index().getFirst().rows()).extracting(row -> row.to().position()).containsExactly(3, 5, 6);
    }

    @Test
    void isWhatThePublishedSchemaSays() throws IOException {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/ledger.schema.json")));
        String written = Files.readString(Ledger.beside(target));
        JsonMapper mapper = JsonMapper.builder().build();
        assertThat(schema.validate(mapper.readTree(written))).isEmpty();
        for (String word : List.of("contentPrint", "pagePrint", "marks", "place", "identity", "rows")) {
            assertThat(schema.validate(mapper.readTree(written.replaceFirst('"' + word + '"', "\"other\""))))
                    .as("without %s", word).isNotEmpty();
        }
    }

    @Test
    void canBeHadAsATableThatASpreadsheetReadsAsText() throws IOException {
        LedgerCsv.write(target, Ledger.beside(target));
        List<String> lines = Files.readAllLines(folder.resolve("Trial bundle.ledger.csv"));
        assertThat(lines).hasSize(7);
        assertThat(lines.getFirst()).startsWith("position,number,label,kind,file,file sha256,page,fingerprint");
        assertThat(lines.get(3)).startsWith("3,3,3,page,\"'=SUM(A1), \"\"x\"\".pdf\",");
        assertThat(lines.get(5)).startsWith("5,5,5,section,,,,");
    }
}
