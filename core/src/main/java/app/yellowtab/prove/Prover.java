package app.yellowtab.prove;

import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.recognise.LazyRecogniser;
import app.yellowtab.recognise.TextRecogniser;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/** Opens a produced bundle anew and proves it against its ledger, knowing nothing else of how it was made. */
public interface Prover {
    /**
     * Proves a bundle; its file is only read.
     *
     * @param ledger of the bundle
     * @param stop asked for every few pages
     * @return what was proved and what is wrong; empty if it was stopped
     * @throws FindingException if the bundle or its ledger cannot be read
     */
    Optional<Proof> prove(Path bundle, Path ledger, Progress progress, BooleanSupplier stop) throws FindingException;

    /** Proves a bundle against the ledger beside it. */
    default Optional<Proof> prove(Path bundle, Progress progress, BooleanSupplier stop) throws FindingException {
        return prove(bundle, Ledger.beside(bundle), progress, stop);
    }

    /** {@return one that reads the pictures of redacted pages with the engine that comes with the program} */
    static Prover standard() {
        return by(LazyRecogniser::ofUser);
    }

    /** @param recognisers gives what reads the pictures of redacted pages in one proof, which closes it */
    static Prover by(Supplier<TextRecogniser> recognisers) {
        return new LedgerProver(recognisers);
    }
}
