package app.yellowtab.assemble;

import app.yellowtab.finding.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** How an assembly ended. */
public sealed interface Outcome {
    /**
     * The bundle is written.
     *
     * @param bytes    the size of the file
     * @param enclosed how many files lie in the folder beside it
     * @param findings what the user must know of single sources and pages
     * @param ledger   where the ledger is; empty for none
     */
    record Written(Path file, int documents, int pages, long bytes, int enclosed, List<Finding> findings,
            Optional<Path> ledger) implements Outcome {
        public Written {
            findings = List.copyOf(findings);
        }
    }

    /** It was stopped; nothing was written, and what stood at the target before stands there still. */
    record Stopped(int pagesDone) implements Outcome {}
}
