package app.yellowtab.assemble;

import app.yellowtab.fetch.SourceSessions;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.ledger.LedgerWriter;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * Writes documents as files of their own, without a ledger. Each source is checked once for all of them. Safe to share between
 * threads.
 */
public final class PieceWriter implements Closeable {

    private final SourceFiles sources;
    private final SourceSessions sessions;
    private final Report report = new Report();

    /** @param pieces all that will be written, in order */
    public PieceWriter(SourceFiles sources, List<Plan> pieces) {
        this.sources = sources;
        this.sessions = new SourceSessions(sources, pieces.stream().map(Plan::leaves).toList());
    }

    /**
     * Writes a piece: whole, or not at all.
     *
     * @param target the PDF to write; must not be there yet
     * @return what was written; what must be known of sources and pages is in {@link #findings}
     * @throws FindingException if a source is gone or unreadable, or the file cannot be written
     */
    public Outcome write(Plan piece, Path target, Progress progress, BooleanSupplier stop) throws FindingException {
        if (Files.exists(target)) throw failure(Code.TARGET_NOT_WRITABLE, target, "there is such a file already", null);
        Output screen = Output.screen(piece);
        AssemblyRun.refuseUnseen(piece, screen, sources);
        try (Draft draft = Draft.beside(target)) {
            Delivery delivery = Delivery.of(piece, screen, target, LedgerPlace.NONE);
            Map<SourceId, Integer> places = LedgerParts.sourcePlaces(delivery.files());
            int[] reached = {0};
            boolean whole;
            try (LedgerWriter none =
                    new LedgerWriter(OutputStream.nullOutputStream(), screen.size(), List.of(), List.of(), List.of());
                    DraftFile pdf = DraftFile.open(draft.path());
                    AssemblyRun run = new AssemblyRun(delivery, 0, 0, pdf,
                            new AssemblyRun.Shared(sessions, report, (done, total) -> {
                                reached[0] = done;
                                progress.report(done, total);
                            }, stop, none, places, StreamingAssembler.LIMIT))) {
                whole = run.write().isPresent();
            }
            if (!whole) return new Outcome.Stopped(reached[0]);
            long bytes = Files.size(draft.path());
            Files.move(draft.path(), target);
            return new Outcome.Written(List.of(new Outcome.WrittenFile(target, piece.pageCount(), bytes)), piece.documentCount(),
                    0,
                    List.of(), Optional.empty());
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw failure(DiskFull.is(e, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE, target,
                    String.valueOf(e.getMessage()), e);
        }
    }

    /** {@return what must be known of the sources and pages of all pieces written by now, each once} */
    public List<Finding> findings() {
        return report.findings();
    }

    private static FindingException failure(Code code, Path target, String detail, @Nullable Throwable cause) {
        return new FindingException(new Finding(code, Subject.OfProduced.of(target, 0), detail), cause);
    }

    @Override
    public void close() {
        sessions.close();
    }
}
