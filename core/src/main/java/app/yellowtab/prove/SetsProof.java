package app.yellowtab.prove;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holds a set to be read on a screen and the set to be printed against each other: the same numbers on the same pages. That each
 * ledger says what its file is, is the matter of the proof of each. Stateless.
 */
public final class SetsProof {
    private SetsProof() {}

    /**
     * {@return the first page in which they differ; nothing where they agree}
     *
     * @param screen      the ledger of the set for the screen, in one file or in volumes
     * @param paper       the set to be printed
     * @param paperLedger its ledger; may be the same
     * @throws IOException if one of the ledgers cannot be read
     */
    public static List<Finding> prove(Path screen, Path paper, Path paperLedger) throws IOException {
        try (Counted one = new Counted(screen, false); Counted other = new Counted(paperLedger, true)) {
            while (true) {
                Optional<Ledger.Page> onScreen = one.next();
                Optional<Ledger.Page> onPaper = other.next();
                if (onScreen.isEmpty() && onPaper.isEmpty()) return List.of();
                if (onScreen.isEmpty() || onPaper.isEmpty())
                    return List.of(differs(paper, onPaper.or(() -> Optional.empty()), onScreen, "one of the two ends before it"));
                Ledger.Page left = onScreen.get();
                Ledger.Page right = onPaper.get();
                List<String> wrong = new ArrayList<>();
                if (!left.number().equals(right.number()))
                    wrong.add("on the screen it bears " + left.number().orElse("no number"));
                // Cover and index of a volume say in which one is.
                boolean isFront = left.kind().equals("cover") || left.kind().equals("index");
                if (!(isFront && one.isVolume(left)) && !left.contentPrint().equals(right.contentPrint()))
                    wrong.add("it shows something else than on the screen");
                if (!wrong.isEmpty()) return List.of(differs(paper, onPaper, onScreen, String.join(", and ", wrong)));
            }
        }
    }

    /** The counted leaves of one of the sets, each once, though cover and index stand in every volume. */
    private static final class Counted implements AutoCloseable {
        private final List<Ledger.ProducedFile> files;
        private final boolean paper;
        private final LedgerReader leaves;
        private int first = -1;

        Counted(Path ledger, boolean paper) throws IOException {
            this.files = LedgerReader.read(ledger).files();
            this.paper = paper;
            this.leaves = LedgerReader.leaves(ledger);
        }

        boolean isVolume(Ledger.Page leaf) {
            return files.get(leaf.file()).output().equals("volume");
        }

        Optional<Ledger.Page> next() throws IOException {
            while (true) {
                Optional<Ledger.Page> next = leaves.next();
                if (next.isEmpty()) return next;
                Ledger.Page leaf = next.get();
                if (paper != files.get(leaf.file()).output().equals("paper")) continue;
                if (first < 0) first = leaf.file();
                boolean again = leaf.file() != first && (leaf.kind().equals("cover") || leaf.kind().equals("index"));
                if (leaf.number().isPresent() && !again) return next;
            }
        }

        @Override
        public void close() throws IOException {
            leaves.close();
        }
    }

    private static Finding differs(Path paper, Optional<Ledger.Page> onPaper, Optional<Ledger.Page> onScreen, String why) {
        int position = onPaper.map(Ledger.Page::position).orElse(0);
        return new Finding(Code.PROOF_SETS, Subject.OfProduced.of(paper, position),
                onPaper.or(() -> onScreen).flatMap(Ledger.Page::number).orElse("") + ": " + why);
    }
}
