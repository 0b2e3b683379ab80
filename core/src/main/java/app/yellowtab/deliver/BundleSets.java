package app.yellowtab.deliver;

import app.yellowtab.assemble.Delivery;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.sets.Output;
import java.nio.file.Path;
import java.time.LocalDateTime;

/** Which sets of a bundle are produced, at once and with one ledger. */
public enum BundleSets {
    SCREEN, PAPER, BOTH;

    public boolean hasPaper() {
        return this != SCREEN;
    }

    /**
     * {@return the files of the sets of a bundle}
     *
     * @param target that of the set for the screen, after which the others are named
     */
    public Delivery of(Bundle bundle, LocalDateTime now, Path target, LedgerPlace ledger) {
        if (this == SCREEN) return screen(bundle, now, target, ledger);
        Plan plan = Planner.paper(bundle, now);
        Delivery.File paper = new Delivery.File(plan, Output.paper(plan), PaperFiles.beside(target).file());
        return this == PAPER ? Delivery.of(plan, paper.output(), paper.target(), ledger)
                : screen(bundle, now, target, ledger).with(paper);
    }

    private static Delivery screen(Bundle bundle, LocalDateTime now, Path target, LedgerPlace ledger) {
        return Delivery.screen(Planner.plan(bundle, now), target, ledger);
    }
}
