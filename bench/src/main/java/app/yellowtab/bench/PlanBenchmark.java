package app.yellowtab.bench;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.SortOrder;
import app.yellowtab.edit.Sorting;
import app.yellowtab.facts.About;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Planning 20,000 pages in 2,000 documents, beside merely listing that many leaves. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class PlanBenchmark {
    private static final int DOCUMENTS = 2000;
    private static final int PAGES_EACH = 10;

    private final Bundle bundle = bundle();
    private final Plan plan = Planner.plan(bundle);
    private final Set<EntryId> sections = bundle.contents().sections().stream().map(Section::id).collect(Collectors.toSet());
    private final EntryId middle = bundle.contents().allDocuments().get(DOCUMENTS / 2).id();
    private int edits;

    @Benchmark
    public Plan plan() {
        return Planner.plan(bundle);
    }

    /** A title typed, until all numbers stand. */
    @Benchmark
    public Plan rename() {
        return Planner.plan(Edits.changeDocument(bundle, middle, document -> document.withTitle("Letter " + edits++)), plan);
    }

    /** Every section sorted, until all numbers stand. */
    @Benchmark
    public Plan sortAll() {
        return Planner.plan(Sorting.sorted(bundle, sections, edits++ % 2 == 0 ? SortOrder.TITLE : SortOrder.DATE), plan);
    }

    /** A document divided, until all numbers stand. */
    @Benchmark
    public Plan divide() {
        return Planner.plan(Entries.divide(bundle, middle, PAGES_EACH / 2, new EntryId("second"), "Second part"), plan);
    }

    /** A section of a hundred documents moved into another, until all numbers stand. */
    @Benchmark
    public Plan moveSection() {
        List<Section> all = bundle.contents().sections();
        return Planner.plan(Entries.moveTo(bundle, Set.of(all.getFirst().id()), Optional.of(all.getLast().id())), plan);
    }

    @Benchmark
    public List<Leaf> baseline() {
        EntryId document = new EntryId("d");
        SourceId source = new SourceId("s");
        List<Leaf> leaves = new ArrayList<>();
        for (int i = 1; i <= DOCUMENTS * PAGES_EACH; i++) leaves.add(new Leaf(i - 1, Optional.empty(), Optional.empty(), false,
                new Content.SourcePage(document, source, i, PageLook.PLAIN)));
        return leaves;
    }

    static Bundle bundle() {
        return bundle(DOCUMENTS);
    }

    /** @param count of documents, in twenty sections */
    static Bundle bundle(int count) {
        List<Source> sources = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (int s = 0; s < 20; s++) {
            List<Document> documents = new ArrayList<>();
            for (int d = 0; d < count / 20; d++) {
                String name = "Letter of the claimant to the defendant about chamber " + s + ", bin " + d * 61 % 100;
                Source source = new Source(SourceId.fresh(), name, name, SourceKind.PDF, 1, "", "", PAGES_EACH, List.of(), name,
                        DocumentDate.UNDATED, About.UNKNOWN, Optional.empty());
                sources.add(source);
                LocalDate day = LocalDate.of(2030, 1, 1).plusDays(d * 37L % 365);
                documents.add(Document.of(source).withDate(new DocumentDate.Day(day)));
            }
            sections.add(new Section(EntryId.fresh(), "Section " + s, new Contents(documents, List.of())));
        }
        return Bundle.EMPTY.withSources(sources).withContents(new Contents(List.of(), sections));
    }
}
