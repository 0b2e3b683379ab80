package app.yellowtab.assemble;

import app.yellowtab.fetch.SourceSessions;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;

/** Drafts bundle and ledger beside the target, and moves them into place. Stateless; each assembly is an {@link AssemblyRun}. */
final class StreamingAssembler implements Assembler {
    /** A run of a source's leaves is ready in well under a second; what takes this long never ends. Chosen by us. */
    private static final Duration LIMIT = Duration.ofSeconds(90);

    private final DraftOpener opener;
    private final Mover mover;
    private final Duration limit;

    StreamingAssembler() {
        this(DraftFile::open, Drafts::move, LIMIT);
    }

    /**
     * For tests.
     *
     * @param opener opens the draft for writing; a test passes a full disk
     * @param mover  moves a draft into place; a test refuses, as Windows does while a viewer holds the target
     * @param limit  how long nothing may come from a source before it is given up
     */
    StreamingAssembler(DraftOpener opener, Mover mover, Duration limit) {
        this.opener = opener;
        this.mover = mover;
        this.limit = limit;
    }

    @Override
    public Outcome assemble(Plan plan, Output output, SourceFiles sources, Path target, LedgerPlace ledger, Progress progress,
            BooleanSupplier stop) throws FindingException {
        if (plan.documentCount() == 0) throw failure(Code.NOTHING_TO_PRODUCE, target, "", null);
        if (sources.isOriginal(target)) throw failure(Code.TARGET_IS_SOURCE, target, "", null);
        AssemblyRun.refuseUnseen(plan, output, sources);
        checkFolder(target);
        makeReady(ledger, sources);
        try {
            return TargetLock.holding(target, () -> draftAndMove(plan, output, sources, target, ledger, progress, stop));
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw targetFailure(target, e);
        } catch (JacksonException e) {
            // The JSON library's own wrapping of a failure to write the ledger.
            throw targetFailure(target, e.getCause() instanceof IOException cause ? cause : new IOException(e.getMessage(), e));
        }
    }

    private Outcome draftAndMove(Plan plan, Output output, SourceFiles sources, Path target, LedgerPlace place, Progress progress,
            BooleanSupplier stop) throws IOException {
        try (Draft pdfDraft = Draft.beside(target); Draft ledgerDraft = Draft.beside(place.drafted(target));
                EnclosedFiles files = new EnclosedFiles(plan.enclosures(), sources, target, place.folders())) {
            if (!files.draft(stop)) return new Outcome.Stopped(0);
            Outcome outcome = write(plan, output, sources, target, place, progress, stop, pdfDraft.path(), ledgerDraft.path());
            if (outcome instanceof Outcome.Written written) {
                files.moveIntoPlace(mover);
                moveBoth(pdfDraft.path(), ledgerDraft.path(), target, written.ledger());
                files.clearAway();
                if (place instanceof LedgerPlace.House house) house.takeIn(target);
            }
            return outcome;
        }
    }

    /**
     * The old ledger goes out of the way first, so that no file that is held open elsewhere leaves a bundle beside another's
     * ledger.
     */
    private void moveBoth(Path pdfDraft, Path ledgerDraft, Path target, Optional<Path> ledger) throws IOException {
        if (ledger.isEmpty()) {
            mover.move(pdfDraft, target);
            return;
        }
        try (Draft aside = Draft.beside(ledger.get())) {
            boolean isThere = Files.exists(ledger.get());
            if (isThere) mover.move(ledger.get(), aside.path());
            try {
                mover.move(ledgerDraft, ledger.get());
                mover.move(pdfDraft, target);
            } catch (IOException refused) {
                if (isThere) Drafts.move(aside.path(), ledger.get());
                else Files.deleteIfExists(ledger.get());
                throw refused;
            }
        }
    }

    private Outcome write(Plan plan, Output output, SourceFiles sources, Path target, LedgerPlace place, Progress progress,
            BooleanSupplier stop, Path pdfDraft, Path ledgerDraft)
            throws IOException {
        Report report = new Report();
        try (DraftFile pdf = opener.open(pdfDraft);
                OutputStream ledger = new BufferedOutputStream(Files.newOutputStream(ledgerDraft), 1 << 16);
                SourceSessions sessions = new SourceSessions(sources, List.of(output.leaves()));
                AssemblyRun run = new AssemblyRun(plan, output, String.valueOf(target.getFileName()), sessions, report, progress,
                        stop, pdf, ledger, limit)) {
            Optional<Outcome.Stopped> stopped = run.write();
            if (stopped.isPresent()) return stopped.get();
            return new Outcome.Written(target, plan.documentCount(), output.size(), Files.size(pdfDraft),
                    plan.enclosures().size(), report.findings(), place.file(target, run.identity()));
        }
    }

    private static void makeReady(LedgerPlace ledger, SourceFiles sources) throws FindingException {
        if (ledger instanceof LedgerPlace.At(Path chosen)) {
            if (sources.isOriginal(chosen)) throw failure(Code.TARGET_IS_SOURCE, chosen, "", null);
            checkFolder(chosen);
        }
        for (Path folder : ledger.folders()) {
            try {
                Files.createDirectories(folder);
            } catch (IOException e) {
                throw targetFailure(folder, e);
            }
        }
    }

    private static void checkFolder(Path target) throws FindingException {
        Path folder = target.toAbsolutePath().getParent();
        if (Files.isDirectory(target)) throw failure(Code.TARGET_NOT_WRITABLE, target, "it is a folder", null);
        if (folder == null || !Files.isDirectory(folder))
            throw failure(Code.TARGET_NOT_WRITABLE, target, "there is no such folder", null);
    }

    private static FindingException targetFailure(Path target, IOException e) {
        if (DiskFull.is(e, target)) return failure(Code.NO_SPACE, target, "", e);
        String reason = e instanceof AccessDeniedException ? "you are not allowed to write there"
                : e instanceof FileSystemException f && f.getReason() != null ? f.getReason() : String.valueOf(e.getMessage());
        return failure(Code.TARGET_NOT_WRITABLE, target, reason, e);
    }

    private static FindingException failure(Code code, Path file, String detail, @Nullable Throwable cause) {
        return new FindingException(new Finding(code, Subject.OfProduced.of(file, 0), detail), cause);
    }

    /** Opens a draft for writing. */
    @FunctionalInterface
    interface DraftOpener {
        DraftFile open(Path draft) throws IOException;
    }

    /** Moves a draft into place. */
    @FunctionalInterface
    interface Mover {
        void move(Path draft, Path target) throws IOException;
    }
}
