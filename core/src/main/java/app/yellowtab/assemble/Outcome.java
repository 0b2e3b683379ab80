package app.yellowtab.assemble;

import app.yellowtab.finding.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** How an assembly ended. */
public sealed interface Outcome {
    /**
     * All is written.
     *
     * @param files    in order, at least one
     * @param enclosed how many files lie in the folder beside them
     * @param findings what the user must know of single sources and pages
     * @param ledger   where the ledger is; empty for none
     */
    record Written(List<WrittenFile> files, int documents, int enclosed, List<Finding> findings, Optional<Path> ledger)
            implements Outcome {
        public Written {
            files = List.copyOf(files);
            findings = List.copyOf(findings);
        }

        /** {@return the first of the files} */
        public Path file() {
            return files.getFirst().file();
        }

        /** {@return how many pages there are in all files} */
        public int pages() {
            return files.stream().mapToInt(WrittenFile::pages).sum();
        }

        /** {@return the size of all files} */
        public long bytes() {
            return files.stream().mapToLong(WrittenFile::bytes).sum();
        }
    }

    /** A file that was written. */
    record WrittenFile(Path file, int pages, long bytes) {}

    /** A file came out larger than it may be; nothing was written, and what stood at the targets stands there still. */
    record TooLarge() implements Outcome {}

    /** It was stopped; nothing was written, and what stood at the target before stands there still. */
    record Stopped(int pagesDone) implements Outcome {}
}
