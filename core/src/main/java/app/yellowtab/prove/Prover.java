package app.yellowtab.prove;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.recognise.LazyRecogniser;
import app.yellowtab.recognise.TextRecogniser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/** Opens a produced bundle anew and proves it against its ledger, knowing nothing else of how it was made. */
public interface Prover {
    /**
     * Proves a file; it is only read. What a program was putting into place there when it was killed is finished first.
     *
     * @param ledger of the file, and of those that were produced with it
     * @param stop asked for every few pages
     * @return what was proved and what is wrong; empty if it was stopped
     * @throws FindingException if the bundle or its ledger cannot be read
     */
    Optional<Proof> prove(Path bundle, Path ledger, Progress progress, BooleanSupplier stop) throws FindingException;

    /**
     * {@return all files that a ledger is of, in its order, as they lie beside one of them; that alone where there is no ledger}
     *
     * @throws FindingException if the ledger cannot be read
     */
    static List<Path> filesOf(Path one, Path ledger) throws FindingException {
        if (!Files.isReadable(ledger)) return List.of(one);
        try {
            Ledger read = LedgerReader.read(ledger);
            return read.files().size() == 1 ? List.of(one)
                    : read.files().stream().map(file -> one.resolveSibling(file.name())).toList();
        } catch (IOException e) {
            throw new FindingException(Finding.of(Code.LEDGER_DAMAGED, ledger), e);
        }
    }

    /**
     * Proves several files of one ledger; what is found says in which. One that is not there, or cannot be read, is a finding,
     * and the others are proved all the same.
     *
     * @param files at least one
     * @return as of one file; empty if it was stopped
     * @throws FindingException if none of them, or not their ledger, can be read
     */
    default Optional<Proof> proveAll(List<Path> files, Path ledger, Progress progress, BooleanSupplier stop)
            throws FindingException {
        Optional<Proof> all = Optional.empty();
        List<Finding> missing = new ArrayList<>();
        Optional<FindingException> failure = Optional.empty();
        for (Path file : files) {
            try {
                Optional<Proof> one = prove(file, ledger, progress, stop);
                if (one.isEmpty()) return one;
                all = Optional.of(all.map(before -> before.and(one.get())).orElse(one.get()));
            } catch (FindingException unproved) {
                failure = Optional.of(unproved);
                missing.add(unproved.finding());
            }
        }
        if (all.isEmpty() && failure.isPresent()) throw failure.get();
        return all.map(proof -> proof.with(missing));
    }

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
