package app.yellowtab.prove;

import app.yellowtab.files.Interrupted;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.input.PdfInput;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.recognise.TextRecogniser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Proves first the file as a whole, then its leaves in stretches, each on a thread of its own that opens the file anew: so
 * memory does not grow with the number of leaves. Stateless; safe to share between threads.
 */
final class LedgerProver implements Prover {
    /** So many leaves are proved before the file is opened anew and what was read of it forgotten. */
    private static final int STRETCH = 250;
    private static final int THREADS = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 4);

    private final Supplier<TextRecogniser> recognisers;

    LedgerProver(Supplier<TextRecogniser> recognisers) {
        this.recognisers = recognisers;
    }

    @Override
    public Optional<Proof> prove(Path bundle, Path ledgerFile, Progress progress, BooleanSupplier stop) throws FindingException {
        Interrupted.finish(bundle, false);
        if (!Files.isReadable(bundle))
            throw new FindingException(new Finding(Code.PROOF_NO_BUNDLE, Subject.OfProduced.of(bundle, 0), ""), null);
        if (!Files.isReadable(ledgerFile)) throw new FindingException(
                new Finding(Code.LEDGER_MISSING, Subject.OfProduced.of(bundle, 0), String.valueOf(ledgerFile.getFileName())),
                null);
        Ledger whole = read(ledgerFile);
        Ledger ledger;
        int number;
        PageTable pages;
        List<Finding> findings;
        try (PdfInput input = PdfInput.open(bundle, List.of())) {
            pages = PageTable.of(input);
            number = which(whole, bundle, input);
            ledger = whole.of(number);
            findings = new ArrayList<>(new WholeProof(bundle, number, ledger, input, pages).prove(ledgerFile));
        } catch (IOException | RuntimeException | StackOverflowError e) {
            throw new FindingException(
                    new Finding(Code.PROOF_NO_PDF, Subject.OfProduced.of(bundle, 0), String.valueOf(e.getMessage())), e);
        }
        try (TextRecogniser recogniser = recognisers.get();
                Leaves leaves = new Leaves(new Produced(bundle, number, ledger, pages, Crossings.of(number, whole, ledgerFile)),
                        recogniser, progress, stop)) {
            if (!leaves.prove(ledgerFile, findings)) return Optional.empty();
            findings.sort(Comparator.comparingInt(finding -> finding.subject().page()));
            int rows = ledger.index().stream().mapToInt(page -> page.rows().size()).sum();
            return Optional.of(new Proof(bundle, ledger.pages(), rows, ledger.bookmarks().size(), leaves.links,
                    ledger.enclosed().size(), findings));
        } catch (IOException e) {
            throw new FindingException(Finding.of(Code.LEDGER_DAMAGED, ledgerFile), e);
        }
    }

    /** {@return which of the files of a ledger a file is: by its identifier, or else by its name} */
    private static int which(Ledger ledger, Path bundle, PdfInput input) {
        for (int i = 0; i < ledger.files().size(); i++)
            if (WholeProof.isIdentified(input, ledger.files().get(i))) return i;
        for (int i = 0; i < ledger.files().size(); i++)
            if (bundle.endsWith(ledger.files().get(i).name())) return i;
        return 0;
    }

    private static Ledger read(Path ledgerFile) throws FindingException {
        try {
            return LedgerReader.read(ledgerFile);
        } catch (IOException e) {
            throw new FindingException(Finding.of(Code.LEDGER_DAMAGED, ledgerFile), e);
        }
    }

    /** The leaves of one proof, in stretches. For one thread, which has others work for it. */
    private static final class Leaves implements AutoCloseable {
        private final Produced produced;
        private final TextRecogniser recogniser;
        private final Progress progress;
        private final BooleanSupplier stop;
        private final Map<Integer, List<Ledger.Row>> rows;
        private final ExecutorService threads = Executors.newFixedThreadPool(THREADS, work -> {
            Thread thread = new Thread(work, "proof");
            thread.setDaemon(true);
            return thread;
        });
        private final Deque<Stretch> underway = new ArrayDeque<>();
        private int links;

        Leaves(Produced produced, TextRecogniser recogniser, Progress progress, BooleanSupplier stop) {
            this.produced = produced;
            this.recogniser = recogniser;
            this.progress = progress;
            this.stop = stop;
            this.rows = produced.ledger().index().stream()
                    .collect(Collectors.toMap(page -> page.place().position(), Ledger.IndexPage::rows));
        }

        private record Stretch(int last, Future<List<Finding>> work) {}

        /** {@return whether it came to the end} */
        boolean prove(Path ledgerFile, List<Finding> findings) throws IOException {
            int read = 0;
            try (LedgerReader reader = LedgerReader.leaves(ledgerFile)) {
                for (List<Ledger.Page> next; !(next = next(reader)).isEmpty();) {
                    List<Ledger.Page> leaves = next;
                    read = leaves.getLast().position();
                    underway.add(new Stretch(read, threads.submit(() -> prove(leaves))));
                    if (underway.size() > THREADS && !finish(findings)) return false;
                }
            }
            while (!underway.isEmpty()) if (!finish(findings)) return false;
            int pages = produced.ledger().pages();
            if (read != pages) throw new IOException("the ledger has " + read + " leaves instead of " + pages);
            return true;
        }

        private List<Ledger.Page> next(LedgerReader reader) throws IOException {
            List<Ledger.Page> leaves = new ArrayList<>();
            while (leaves.size() < STRETCH) {
                Optional<Ledger.Page> leaf = reader.next();
                if (leaf.isEmpty()) break;
                if (leaf.get().file() != produced.number()) continue;
                links += leaf.get().links().size();
                leaves.add(leaf.get());
            }
            return leaves;
        }

        private List<Finding> prove(List<Ledger.Page> leaves) throws IOException {
            try (PdfInput input = PdfInput.open(produced.file(), List.of())) {
                LeafProof proof = new LeafProof(produced, input, new OwnFonts(produced.ledger().fonts()), rows, recogniser);
                for (Ledger.Page leaf : leaves) {
                    if (stop.getAsBoolean()) return List.of();
                    if (leaf.position() <= produced.pages().count()) proof.prove(leaf);
                }
                return proof.findings();
            }
        }

        private boolean finish(List<Finding> findings) throws IOException {
            Stretch first = underway.remove();
            try {
                findings.addAll(first.work.get());
            } catch (ExecutionException e) {
                @Nullable Throwable cause = e.getCause();
                if (cause instanceof IOException failure) throw failure;
                throw new IllegalStateException(cause);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
            progress.report(Math.min(first.last, produced.ledger().pages()), produced.ledger().pages());
            return !stop.getAsBoolean();
        }

        @Override
        public void close() {
            threads.shutdownNow();
        }
    }
}
