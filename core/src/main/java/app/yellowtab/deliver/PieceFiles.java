package app.yellowtab.deliver;

import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.PieceWriter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Pieces;
import app.yellowtab.cut.Reason;
import app.yellowtab.files.CsvLine;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.Comments;
import app.yellowtab.model.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.PiecePlanner;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Writes the pieces of a batch as files in a folder of its own, with a table of what became of every page. */
public final class PieceFiles {
    /** The table beside the pieces. */
    public static final String TABLE = "cuts.csv";
    private static final String ENDING = ".pdf";

    private final SourceFiles sources;
    private final Source batch;
    private final Cutting cutting;
    private final List<Named> names;
    private final Comments comments;

    /** @param names of the pieces, in order */
    public PieceFiles(SourceFiles sources, Source batch, Cutting cutting, List<Named> names, Comments comments) {
        if (names.size() != cutting.pieces().size()) throw new IllegalArgumentException("as many names as pieces are needed");
        this.sources = sources;
        this.batch = batch;
        this.cutting = cutting;
        this.names = List.copyOf(names);
        this.comments = comments;
    }

    /**
     * What was written.
     *
     * @param pieces   how many files there are
     * @param isWhole  whether that is all; otherwise it was stopped, and the table tells of those that there are
     * @param findings what must be known of them
     */
    public record Written(Path folder, int pieces, int pages, long bytes, boolean isWhole, List<Finding> findings) {
        public Written {
            findings = List.copyOf(findings);
        }
    }

    /**
     * Writes the pieces, and the table last.
     *
     * @param folder made if it is not there; must be empty
     * @throws FindingException if the batch cannot be read or the folder not be written; pieces that were written are there still,
     *                          and the table tells of them
     */
    public Written write(Path folder, Progress progress, BooleanSupplier stop) throws FindingException {
        begin(folder);
        List<Plan> plans = new ArrayList<>();
        for (Document piece : Pieces.documents(Batch.of(batch), cutting, names)) plans.add(PiecePlanner.plan(piece, Map.of(batch.id(), batch), comments, Integer.MAX_VALUE));
        FileNames fileNames = new FileNames();
        fileNames.take(TABLE);
        List<Outcome.Written> written = new ArrayList<>();
        int pages = 0;
        boolean stopped = false;
        List<Finding> findings = List.of();
        try (PieceWriter writer = new PieceWriter(sources, plans)) {
            for (int i = 0; i < plans.size() && !stopped; i++) {
                int before = pages;
                Path target = folder.resolve(fileNames.next(names.get(i).words(), ENDING));
                Outcome outcome = writer.write(plans.get(i), target, (done, total) -> progress.report(before + done, batch.pageCount()), stop);
                if (outcome instanceof Outcome.Written one) written.add(one);
                else stopped = true;
                pages += plans.get(i).pageCount();
            }
            findings = writer.findings();
        } finally {
            table(folder, written);
        }
        return new Written(folder, written.size(), written.stream().mapToInt(Outcome.Written::pages).sum(), written.stream().mapToLong(Outcome.Written::bytes).sum(), !stopped, findings);
    }

    private static void begin(Path folder) throws FindingException {
        try {
            Files.createDirectories(folder);
            try (Stream<Path> there = Files.list(folder)) {
                if (there.findAny().isPresent()) throw failure(folder, "there are files in it already", null);
            }
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw failure(folder, String.valueOf(e.getMessage()), e);
        }
    }

    private static FindingException failure(Path target, String detail, @Nullable IOException cause) {
        Code code = cause != null && DiskFull.is(cause, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE;
        return new FindingException(new Finding(code, Subject.OfProduced.of(target, 0), detail), cause);
    }

    private void table(Path folder, List<Outcome.Written> written) throws FindingException {
        StringBuilder table = new StringBuilder(CsvLine.of("batch", "piece", "file", "pages", "page count", "title", "date", "bytes", "cut because"));
        for (int i = 0; i < written.size(); i++) {
            Piece piece = cutting.pieces().get(i);
            Outcome.Written file = written.get(i);
            table.append(CsvLine.of(batch.fileName(), i + 1, file.file().getFileName(), stretches(piece.pages()), piece.pages().size(), names.get(i).words(), names.get(i).date().shown(), file.bytes(),
                    String.join("; ", piece.reasons().stream().map(Reason::words).toList())));
        }
        for (Cutting.Dropped dropped : cutting.dropped()) table.append(CsvLine.of(batch.fileName(), "", "", dropped.page(), 1, "", "", "", "dropped: " + dropped.reason().words()));
        try {
            Files.writeString(folder.resolve(TABLE), table);
        } catch (IOException e) {
            throw failure(folder.resolve(TABLE), String.valueOf(e.getMessage()), e);
        }
    }

    /** {@return pages in few words, such as "1-3, 5"} */
    public static String stretches(List<Integer> pages) {
        StringBuilder words = new StringBuilder();
        for (int i = 0; i < pages.size(); ) {
            int end = i;
            while (end + 1 < pages.size() && pages.get(end + 1) == pages.get(end) + 1) end++;
            words.append(words.isEmpty() ? "" : ", ").append(pages.get(i)).append(end > i ? "-" + pages.get(end) : "");
            i = end + 1;
        }
        return words.toString();
    }
}
