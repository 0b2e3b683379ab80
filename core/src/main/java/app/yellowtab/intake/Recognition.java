package app.yellowtab.intake;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.recognise.PageReading;
import app.yellowtab.recognise.RecognisedFile;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.PrimitiveIterator;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.UnaryOperator;
import org.slf4j.LoggerFactory;

/**
 * Reads the pages of sources that are pictures of paper. What was read of a page is kept at once, so that nothing is lost by a
 * stop at any moment.
 */
public final class Recognition {
    private static final int MANY = 4;

    private final SourceFiles files;
    private final Path folder;
    private final TextRecogniser recogniser;
    private final int threads;

    /**
     * @param folder  where what is read is kept
     * @param threads how many pages are read at the same time
     */
    public Recognition(SourceFiles files, Path folder, TextRecogniser recogniser, int threads) {
        this.files = files;
        this.folder = folder;
        this.recogniser = recogniser;
        this.threads = threads;
    }

    /**
     * What became of a source.
     *
     * @param list    the key of the list of its words, for the source to name; empty where it was stopped, or none of many pages
     *         could be read
     * @param read    how many pages were read now
     * @param known   how many were read before, here or elsewhere
     * @param lost    the pages that could not be read, counted from 1
     */
    public record Done(String list, int read, int known, List<Integer> lost) {
        public Done {
            lost = List.copyOf(lost);
        }
    }

    /**
     * Reads the pages of a source that want it.
     *
     * @param progress is told after every page, on several threads
     * @param stop     asked at every page
     * @throws IOException if its file is gone or cannot be opened, or what was read cannot be kept
     */
    public Done read(SourceId id, Progress progress, BooleanSupplier stop) throws IOException {
        Source source = files.source(id);
        BitSet wanted = RecognisedPages.wanted(source);
        Work work = new Work(source, wanted.stream().iterator(), wanted.cardinality(), progress, stop);
        try (ExecutorService hands =
                Executors.newFixedThreadPool(threads, Thread.ofPlatform().daemon().name("recognition-", 1).factory())) {
            List<Future<?>> all = new ArrayList<>();
            for (int i = 0; i < Math.min(threads, wanted.cardinality()); i++) all.add(hands.submit(() -> {
                work.go();
                return null;
            }));
            for (Future<?> one : all) one.get();
        } catch (ExecutionException e) {
            throw e.getCause() instanceof IOException reason ? reason : new IOException("the pages cannot be read", e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
        // Where none at all could be read, it is not the pages that are at fault, and they are tried again another time.
        boolean none = work.lost.size() == wanted.cardinality() && wanted.cardinality() >= MANY;
        boolean whole = work.done.get() == wanted.cardinality() && !none;
        return new Done(whole ? RecognisedPages.keep(folder, work.keys) : "", work.read.get(), work.known.get(),
                work.lost.stream().sorted().toList());
    }

    /** {@return what must be known of pages that could not be read} */
    public List<Finding> findings(SourceId id, Done done) {
        if (done.lost().isEmpty()) return List.of();
        BitSet pages = new BitSet();
        done.lost().forEach(pages::set);
        return List.of(new Finding(Code.NOT_RECOGNISED, files.subject(id, 0),
                (done.lost().size() == 1 ? "page " : "pages ") + PageSet.of(pages).shown()));
    }

    /**
     * {@return what is learned of a source by what was read: the list that it names; and a title and a date, where its first page
     * says them and nothing better is known}
     *
     * @param monthFirst whether in figures the month stands before the day
     */
    public UnaryOperator<Source> lesson(SourceId id, Done done, boolean monthFirst) {
        Source source = files.source(id);
        Optional<RecognisedPage> first = !RecognisedPages.wanted(source).get(1) ? Optional.empty()
                : RecognisedFile.read(RecognisedPages.file(folder, RecognisedPages.key(source, 1, recogniser.languages())));
        return known -> {
            Source told = first.map(page -> Proposals.ofRecognised(known, page, monthFirst)).orElse(known);
            return told.withAbout(told.about().withRecognised(done.list()));
        };
    }

    /** The pages of one source, shared between threads. */
    private final class Work {
        private final Source source;
        private final PrimitiveIterator.OfInt pages;
        private final int count;
        private final Progress progress;
        private final BooleanSupplier stop;
        private final List<String> keys;
        private final AtomicInteger done = new AtomicInteger();
        private final AtomicInteger read = new AtomicInteger();
        private final AtomicInteger known = new AtomicInteger();
        private final List<Integer> lost = Collections.synchronizedList(new ArrayList<>());

        Work(Source source, PrimitiveIterator.OfInt pages, int count, Progress progress, BooleanSupplier stop) {
            this.source = source;
            this.pages = pages;
            this.count = count;
            this.progress = progress;
            this.stop = stop;
            this.keys = Collections.synchronizedList(new ArrayList<>(Collections.nCopies(source.pageCount(), "")));
        }

        /** {@return the next page, counted from 1; 0 for none} */
        private int next() {
            synchronized (pages) {
                return pages.hasNext() && !stop.getAsBoolean() ? pages.nextInt() : 0;
            }
        }

        void go() throws IOException {
            try (PdfInput input = files.open(source.id())) {
                BoundedRenderer renderer = new BoundedRenderer(input.document());
                for (int page = next(); page > 0; page = next()) {
                    one(renderer, page);
                    progress.report(done.incrementAndGet(), count);
                }
            }
        }

        private void one(BoundedRenderer renderer, int page) throws IOException {
            String key = RecognisedPages.key(source, page, recogniser.languages());
            Path file = RecognisedPages.file(folder, key);
            if (RecognisedFile.read(file).isPresent()) {
                known.incrementAndGet();
                keys.set(page - 1, key);
                return;
            }
            RecognisedPage words;
            try {
                words = PageReading.read(renderer, page, source.about().pages().shape(page).orElse(PageShape.A4), source.bytes(),
                        recogniser);
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(Recognition.class).warn("page {} of {} is not recognised", page, source.fileName(),
                        unreadable);
                lost.add(page);
                return;
            }
            RecognisedFile.write(file, words);
            read.incrementAndGet();
            keys.set(page - 1, key);
        }
    }
}
