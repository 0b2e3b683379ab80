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
     * Writes files and their ledger: all of them, or none. They are drafted beside their targets, and moved into place with the
     * files that go along ({@link app.yellowtab.ledger.Ledger#filesBeside}); what a program was doing at the same targets when it
     * was killed is finished or taken back before.
     *
     * @param sources  where the plans' sources lie
     * @param progress is told after every leaf
     * @param stop     asked at every leaf
     * @return what was written, or that it was stopped
     * @throws FindingException if a source is gone or unreadable, another file is in the way of one that goes along, a target
     *         is not writable, or the disk is full; what stood there stands there still
     */
    Outcome deliver(Delivery delivery, SourceFiles sources, Progress progress, BooleanSupplier stop) throws FindingException;

    /** Writes one file and its ledger. */
    default Outcome assemble(Plan plan, Output output, SourceFiles sources, Path target, LedgerPlace ledger, Progress progress,
            BooleanSupplier stop) throws FindingException {
        return deliver(Delivery.of(plan, output, target, ledger), sources, progress, stop);
    }

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
