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
     * @param screen      the ledger of the set for the screen
     * @param paper       the set to be printed
     * @param paperLedger its ledger
     * @throws IOException if one of the ledgers cannot be read
     */
    public static List<Finding> prove(Path screen, Path paper, Path paperLedger) throws IOException {
        try (LedgerReader one = LedgerReader.leaves(screen); LedgerReader other = LedgerReader.leaves(paperLedger)) {
            while (true) {
                Optional<Ledger.Page> onScreen = one.next();
                Optional<Ledger.Page> onPaper = counted(other);
                while (onScreen.filter(leaf -> leaf.number().isEmpty()).isPresent()) onScreen = one.next();
                if (onScreen.isEmpty() && onPaper.isEmpty()) return List.of();
                if (onScreen.isEmpty() || onPaper.isEmpty())
                    return List.of(differs(paper, onPaper.or(() -> Optional.empty()), onScreen, "one of the two ends before it"));
                Ledger.Page left = onScreen.get();
                Ledger.Page right = onPaper.get();
                List<String> wrong = new ArrayList<>();
                if (!left.number().equals(right.number()))
                    wrong.add("on the screen it bears " + left.number().orElse("no number"));
                if (!left.contentPrint().equals(right.contentPrint())) wrong.add("it shows something else than on the screen");
                if (!wrong.isEmpty()) return List.of(differs(paper, onPaper, onScreen, String.join(", and ", wrong)));
            }
        }
    }

    /** {@return the next leaf that is counted} */
    private static Optional<Ledger.Page> counted(LedgerReader leaves) throws IOException {
        Optional<Ledger.Page> next = leaves.next();
        while (next.filter(leaf -> leaf.number().isEmpty()).isPresent()) next = leaves.next();
        return next;
    }

    private static Finding differs(Path paper, Optional<Ledger.Page> onPaper, Optional<Ledger.Page> onScreen, String why) {
        int position = onPaper.map(Ledger.Page::position).orElse(0);
        return new Finding(Code.PROOF_SETS, Subject.OfProduced.of(paper, position),
                onPaper.or(() -> onScreen).flatMap(Ledger.Page::number).orElse("") + ": " + why);
    }
}
