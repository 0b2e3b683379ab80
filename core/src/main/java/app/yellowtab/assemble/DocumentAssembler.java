package app.yellowtab.assemble;

import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.pdf.Drafts;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Builds the bundle as one document and saves it. Stateless; each assembly is an {@link AssemblyRun}. */
final class DocumentAssembler implements Assembler {
    private final DraftOpener opener;

    DocumentAssembler() {
        this(Files::newOutputStream);
    }

    /** @param opener opens the draft for writing; tests pass a full disk */
    DocumentAssembler(DraftOpener opener) {
        this.opener = opener;
    }

    @Override
    public Outcome assemble(Plan plan, SourceFiles sources, Path target, Progress progress, BooleanSupplier stop)
            throws FindingException {
        if (plan.documentCount() == 0) throw failure(Code.NOTHING_TO_PRODUCE, target, "", null);
        if (sources.isOriginal(target)) throw failure(Code.TARGET_IS_SOURCE, target, "", null);
        Path draft = draftBeside(target);
        try (AssemblyRun run = new AssemblyRun(plan, sources, progress, stop)) {
            Optional<Outcome.Stopped> stopped = run.fill();
            if (stopped.isPresent()) return stopped.get();
            save(run, draft, target, stop);
            return new Outcome.Written(target, plan.documentCount(), plan.pageCount(), Files.size(target), run.findings());
        } catch (StoppableOutput.Stopped stopped) {
            return new Outcome.Stopped(plan.pageCount());
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw targetFailure(target, e);
        } finally {
            deleteQuietly(draft);
        }
    }

    private void save(AssemblyRun run, Path draft, Path target, BooleanSupplier stop) throws IOException {
        try (OutputStream out = new BufferedOutputStream(new StoppableOutput(opener.open(draft), stop), 1 << 16)) {
            run.save(out);
        }
        try {
            Files.move(draft, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(draft, target, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    private static Path draftBeside(Path target) throws FindingException {
        Path folder = target.toAbsolutePath().getParent();
        try {
            if (Files.isDirectory(target)) throw failure(Code.TARGET_NOT_WRITABLE, target, "it is a folder", null);
            if (folder == null || !Files.isDirectory(folder)) {
                throw failure(Code.TARGET_NOT_WRITABLE, target, "there is no such folder", null);
            }
            return Drafts.beside(target);
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw targetFailure(target, e);
        }
    }

    private static FindingException targetFailure(Path target, IOException e) {
        if (DiskFull.is(e)) return failure(Code.NO_SPACE, target, "", e);
        String reason = e instanceof AccessDeniedException ? "you are not allowed to write there"
                : e instanceof FileSystemException f && f.getReason() != null ? f.getReason() : String.valueOf(e.getMessage());
        return failure(Code.TARGET_NOT_WRITABLE, target, reason, e);
    }

    private static void deleteQuietly(Path draft) {
        try {
            Files.deleteIfExists(draft);
        } catch (IOException e) {
            LoggerFactory.getLogger(DocumentAssembler.class).warn("draft not deleted: {}", draft, e);
        }
    }

    private static FindingException failure(Code code, Path file, String detail, @Nullable Throwable cause) {
        return new FindingException(Finding.of(code, file, detail), cause);
    }

    /** Opens a new draft for writing. */
    @FunctionalInterface
    interface DraftOpener {
        OutputStream open(Path draft) throws IOException;
    }
}
