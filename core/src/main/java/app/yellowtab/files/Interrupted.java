package app.yellowtab.files;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.slf4j.LoggerFactory;

/** What a program was putting into place when it was killed: finished, or taken back, before anything else is done there. */
public final class Interrupted {
    private Interrupted() {}

    /**
     * Finishes what was begun at a place.
     *
     * @param isHeld whether the lock of the place is held by the caller
     * @throws FindingException if it cannot be finished now, or another program is still at it
     */
    public static void finish(Path place, boolean isHeld) throws FindingException {
        Path folder = place.toAbsolutePath().getParent();
        if (folder == null) return;
        Handover.clearDone(folder);
        for (Path journal : Handover.pending(place)) {
            try {
                if (isHeld) Handover.settle(journal, Drafts::move);
                else finish(journal);
            } catch (IOException held) {
                throw new FindingException(new Finding(Code.INTERRUPTED, Subject.OfProduced.of(place, 0),
                        String.valueOf(held.getMessage())), held);
            }
        }
    }

    private static void finish(Path journal) throws IOException {
        TargetLock.holding(Handover.places(journal), () -> {
            Handover.settle(journal, Drafts::move);
            return journal;
        });
    }

    /** Finishes what can be finished of all that a folder tells of; what cannot is left for later. */
    public static void finishIn(List<Path> folders) {
        for (Path folder : folders) {
            for (Path journal : Handover.pendingIn(folder)) {
                try {
                    finish(journal);
                } catch (IOException | RuntimeException later) {
                    LoggerFactory.getLogger(Interrupted.class).warn("not finished yet: {}", journal, later);
                }
            }
        }
    }
}
