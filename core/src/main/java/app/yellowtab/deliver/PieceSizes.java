package app.yellowtab.deliver;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.carry.part.Targets;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.finding.Progress;
import app.yellowtab.input.PdfInput;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.sets.Way;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.PageWeight;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.slf4j.LoggerFactory;

/** Measures what pages will take as they are written, by making them ready for it. */
public final class PieceSizes {
    /** So many pages are made ready by one opened file, so that memory does not grow with the batch. */
    private static final int AT_ONCE = 400;
    /** What the page tree, the table of objects and a bookmark take for a page. */
    private static final long PAGE_BYTES = 250;

    private PieceSizes() {}

    /**
     * {@return what each page of a source takes; unknown where it cannot be had, and where it was stopped}
     *
     * @throws IOException if the file is gone, is locked or cannot be made out
     */
    public static List<PageWeight> read(SourceFiles files, SourceId id, Comments comments, Progress progress,
            BooleanSupplier stop) throws IOException {
        int count = files.source(id).pageCount();
        List<PageWeight> weights = new ArrayList<>();
        Optional<RecognisedPages> recognised = RecognisedPages.of(files, id);
        for (int first = 1; first <= count; first += AT_ONCE) {
            try (PdfInput input = files.open(id)) {
                PageCarrier carrier = input.whole(() -> new PageCarrier(input,
                        page -> Optional.of(new Targets.Target(new Way.Within(page), PageLook.PLAIN)), comments,
                        MarkSetter.NONE));
                for (int page = first; page < first + AT_ONCE && page <= count; page++) {
                    weights.add(stop.getAsBoolean() ? PageWeight.UNKNOWN : weight(files, id, input, carrier, page, recognised));
                    progress.report(page, count);
                }
            }
        }
        return weights;
    }

    private static PageWeight weight(SourceFiles files, SourceId id, PdfInput input, PageCarrier carrier, int page,
            Optional<RecognisedPages> recognised) {
        try {
            Optional<RecognisedPage> words = recognised.flatMap(all -> all.page(page));
            CarriedPage carried =
                    input.page(() -> carrier.carry(page, PageLook.PLAIN, words, Optional.empty(), List.of(), new CarryNotes()));
            ObjectGraph.Sizes sizes = carried.leaf().sizes(PAGE_BYTES);
            return new PageWeight(sizes.things(), sizes.bytes());
        } catch (IOException | RuntimeException | Error lost) {
            LoggerFactory.getLogger(PieceSizes.class).info("page {} of {} is not measured", page, files.source(id).fileName(),
                    lost);
            // A slip will stand for it.
            return new PageWeight(new long[] {page}, new long[] {PAGE_BYTES});
        }
    }
}
