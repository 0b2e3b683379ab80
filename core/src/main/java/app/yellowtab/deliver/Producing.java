package app.yellowtab.deliver;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.assemble.VolumeWeights;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * Produces sets of a bundle: what is to be at most so large is divided by what its pages really take, and measured again where it
 * came out larger all the same. For one production.
 */
public final class Producing {
    /** Where a volume came out too large all the same, all are divided by so much less, and not by less than the least. */
    private static final double LESS = 0.05;
    private static final double LEAST = 0.8;

    private final Assembler assembler;
    private final SourceFiles sources;
    private final Progress weighing;
    private final Progress writing;
    private final BooleanSupplier stop;

    /**
     * @param weighing is told how many pages were measured
     * @param writing  is told how many pages were written
     */
    public Producing(Assembler assembler, SourceFiles sources, Progress weighing, Progress writing, BooleanSupplier stop) {
        this.assembler = assembler;
        this.sources = sources;
        this.weighing = weighing;
        this.writing = writing;
        this.stop = stop;
    }

    /**
     * What was produced.
     *
     * @param starts where its volumes began, to be kept
     */
    public record Produced(Outcome outcome, Delivery delivery, List<Volumes.Start> starts) {
        public Produced {
            starts = List.copyOf(starts);
        }
    }

    /**
     * Produces sets of a bundle as it is planned at a time.
     *
     * @param goOn whether it is produced although a volume will be larger than asked for
     * @throws FindingException if one will, and that is not wanted; nothing was written
     */
    public Produced produce(Bundle bundle, BundleSets sets, LocalDateTime now, Path target, LedgerPlace ledger, boolean goOn)
            throws IOException {
        Volumes volumes = bundle.layout().volumes();
        if (sets == BundleSets.PAPER) return delivered(sets.of(bundle, now, target, ledger));
        if (volumes.by() != Volumes.Division.SIZE) {
            look(VolumeCheck.of(Planner.plan(bundle, now), volumes, Optional.empty()), goOn);
            return delivered(sets.of(bundle, now, target, ledger));
        }
        if (!volumes.kept().isEmpty()) {
            Produced kept = delivered(sets.of(bundle, now, target, ledger).atMost(volumes.most()));
            if (!(kept.outcome() instanceof Outcome.TooLarge)) return kept;
        }
        Plan plan = Planner.plan(bundle, now);
        Optional<VolumeWeights> weights = VolumeWeights.of(plan, sources, weighing, stop);
        if (weights.isEmpty()) return new Produced(new Outcome.Stopped(0), sets.of(bundle, now, target, ledger), List.of());
        for (double share = 1;; share -= LESS) {
            long most = (long) (share * volumes.most());
            Bundle divided = bundle.withLayout(bundle.layout().withVolumes(
                    volumes.withKept(plan.starts(volumes, first -> weights.get().fits(first, most)))));
            List<Finding> over = VolumeCheck.of(Planner.plan(divided, now), volumes, weights);
            look(over, goOn);
            boolean isLast = !over.isEmpty() || share < LEAST;
            Delivery delivery = sets.of(divided, now, target, ledger);
            Produced produced = delivered(isLast ? delivery : delivery.atMost(volumes.most()));
            if (!(produced.outcome() instanceof Outcome.TooLarge)) return produced;
        }
    }

    private static void look(List<Finding> found, boolean goOn) throws FindingException {
        if (found.isEmpty() || goOn) return;
        Finding first = found.getFirst();
        int others = found.size() - 1;
        throw new FindingException(others == 0 ? first
                : new Finding(first.code(), first.subject(),
                        first.detail() + ", and " + (others == 1 ? "one other is too" : others + " others are too")),
                null);
    }

    private Produced delivered(Delivery delivery) throws IOException {
        Outcome outcome = assembler.deliver(delivery, sources, writing, stop);
        return new Produced(outcome, delivery, delivery.files().getFirst().plan().starts());
    }
}
