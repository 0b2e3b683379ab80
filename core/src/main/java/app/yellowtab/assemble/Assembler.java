package app.yellowtab.assemble;

import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;

/** Carries out plans. It decides nothing: order, numbers and links are the plan's. */
public interface Assembler {
    /**
     * Writes a bundle and its ledger: whole, or not at all. Both are
     * drafted there and moved into place, and so are the files that go along with the bundle
     * ({@link app.yellowtab.ledger.Ledger#filesBeside}).
     *
     * @param plan     with at least one document
     * @param output   which of its leaves the file holds
     * @param sources  where the plan's sources lie
     * @param target   the PDF to write; what stands there is replaced
     * @param ledger   where its ledger goes
     * @param progress is told after every leaf
     * @param stop     asked at every leaf
     * @return what was written, or that it was stopped
     * @throws FindingException if a source is gone or unreadable, another file is in the way of one that goes along, the target
     *         is not writable, or the disk is full
     */
    Outcome assemble(Plan plan, Output output, SourceFiles sources, Path target, LedgerPlace ledger, Progress progress,
            BooleanSupplier stop) throws FindingException;

    /** Writes a bundle with its ledger beside it. */
    default Outcome assemble(Plan plan, Output output, SourceFiles sources, Path target, Progress progress, BooleanSupplier stop)
            throws FindingException {
        return assemble(plan, output, sources, target, LedgerPlace.BESIDE, progress, stop);
    }

    /** Writes the set of a bundle that is read on a screen, with its ledger beside it. */
    default Outcome assemble(Plan plan, SourceFiles sources, Path target, Progress progress, BooleanSupplier stop)
            throws FindingException {
        return assemble(plan, Output.screen(plan), sources, target, progress, stop);
    }

    /** {@return the assembler in use} */
    static Assembler standard() {
        return new StreamingAssembler();
    }
}
