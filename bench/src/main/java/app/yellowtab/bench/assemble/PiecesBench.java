package app.yellowtab.bench.assemble;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.bench.Corpus;
import app.yellowtab.bench.Measure;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** One large batch produced whole, beside the same batch cut into many documents, in one run and in turn. */
public final class PiecesBench {
    private static final int ROUNDS = 3;
    private static final int WARM_UPS = 2;

    private final List<Path> files;
    private final int pieces;
    private final Path target;

    public PiecesBench(Corpus corpus, int pieces, Path folder) throws IOException {
        this.files = corpus.write();
        this.pieces = pieces;
        this.target = folder.resolve("pieces.pdf");
    }

    /** Measures, and prints medians and their ratio. */
    public void run() throws IOException {
        try (InPlace place = new InPlace()) {
            Intake.Taken taken =
                    new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false);
            place.know(taken.sources());
            Source batch = taken.sources().getFirst();
            Plan whole = plan(batch, 1);
            Plan cut = plan(batch, pieces);
            List<Measure> wholes = new ArrayList<>();
            List<Measure> cuts = new ArrayList<>();
            for (int round = -WARM_UPS; round < ROUNDS; round++) {
                Measure first = measure(whole, place);
                Measure second = measure(cut, place);
                if (round < 0) continue;
                wholes.add(first);
                cuts.add(second);
            }
            System.out.printf(Locale.ROOT,
                    "%n%,d pages in one file of %,d MB%nwhole        %6.2f s%n%d pieces   %6.2f s   %.2f times%nmost of the "
                            + "heap in use after a collection: %,.0f MB and %,.0f MB%n",
                    batch.pageCount(), batch.bytes() / 1_000_000, median(wholes), pieces, median(cuts),
                    median(cuts) / median(wholes), live(wholes), live(cuts));
        }
    }

    private static Plan plan(Source batch, int pieces) {
        List<Document> documents = new ArrayList<>();
        for (int i = 0; i < pieces; i++) {
            int first = (int) ((long) batch.pageCount() * i / pieces) + 1;
            int last = (int) ((long) batch.pageCount() * (i + 1) / pieces);
            documents.add(
                    Document.of(batch).withTitle("Piece " + (i + 1)).withRuns(List.of(SourcePages.of(batch.id(), first, last))));
        }
        return Planner.plan(Bundle.EMPTY.withSources(List.of(batch)).withContents(new Contents(documents, List.of())));
    }

    private Measure measure(Plan plan, InPlace place) throws IOException {
        Files.deleteIfExists(target);
        Files.deleteIfExists(Ledger.beside(target));
        return Measure.of(() -> Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false));
    }

    private static double median(List<Measure> measures) {
        return measures.stream().map(Measure::seconds).sorted(Comparator.naturalOrder()).toList().get(ROUNDS / 2);
    }

    private static double live(List<Measure> measures) {
        return measures.stream().mapToDouble(Measure::liveBytes).max().orElse(0) / 1e6;
    }
}
