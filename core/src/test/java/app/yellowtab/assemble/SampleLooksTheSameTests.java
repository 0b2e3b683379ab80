package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.SampleFiles;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

/** Pages of the sample matter look in the bundle as they did: each, but of a batch that was scanned every fifth. */
class SampleLooksTheSameTests extends OneSource {
    /** A file of so many pages is a batch. */
    private static final int BATCH = 30;

    @Test
    void everyDocument() throws IOException {
        Plan plan = Planner.plan(Folder.bundle(place, SampleFiles.folder()));
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        int looked = 0;
        Map<String, PDDocument> sources = new HashMap<>();
        try (PDDocument produced = Loader.loadPDF(target.toFile())) {
            for (Leaf leaf : plan.leaves()) {
                if (!(leaf.content() instanceof Content.SourcePage page)) continue;
                if (page.page() % 5 != 1 && place.source(page.source()).pageCount() >= BATCH) continue;
                PDDocument source = sources.get(page.source().value());
                if (source == null) sources.put(page.source().value(),
                        source = Loader.loadPDF(place.readable(page.source()).toFile(), "orchard"));
                Pdfs.assertSamePage(source, page.page(), produced, leaf.index() + 1);
                looked++;
            }
        } finally {
            for (PDDocument source : sources.values()) source.close();
        }
        assertThat(looked).isGreaterThan(80);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }
}
