package app.yellowtab.source;

import app.yellowtab.cut.BatchPage;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PageText;
import app.yellowtab.finding.Progress;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.TextReader;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.PageFrame;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.apache.pdfbox.pdmodel.PDPage;
import org.slf4j.LoggerFactory;

/** What is known of a batch's pages, read from its file on several threads. */
public final class BatchPages {
    private static final double MM_PER_PT = 25.4 / 72;
    /** So many pages are read by one opened file; opening it costs as much as reading some of them. */
    private static final int FEWEST = 50;

    private final SourceFiles files;
    private final Source source;
    private final Progress progress;
    private final BooleanSupplier stop;
    private final AtomicInteger done = new AtomicInteger();

    private BatchPages(SourceFiles files, Source source, Progress progress, BooleanSupplier stop) {
        this.files = files;
        this.source = source;
        this.progress = progress;
        this.stop = stop;
    }

    /**
     * Reads the pages of a source.
     *
     * @param progress is told after every page, on several threads
     * @param stop     asked at every page; what is not read then has no words
     * @return its pages in order; one that cannot be read has no words
     * @throws IOException if the file is gone, is locked or cannot be made out
     */
    public static List<BatchPage> read(SourceFiles files, SourceId id, Progress progress, BooleanSupplier stop) throws IOException {
        return new BatchPages(files, files.source(id), progress, stop).read();
    }

    private List<BatchPage> read() throws IOException {
        int count = source.pageCount();
        int threads = Math.clamp(count / FEWEST, 1, Runtime.getRuntime().availableProcessors());
        List<BatchPage> all = new ArrayList<>();
        try (ExecutorService workers = Executors.newFixedThreadPool(threads, Thread.ofPlatform().daemon().name("words-", 1).factory())) {
            List<Future<List<BatchPage>>> parts = new ArrayList<>();
            for (int part = 0; part < threads; part++) {
                int first = 1 + count * part / threads;
                int last = count * (part + 1) / threads;
                parts.add(workers.submit(() -> read(first, last)));
            }
            for (Future<List<BatchPage>> part : parts) all.addAll(part.get());
        } catch (ExecutionException e) {
            throw e.getCause() instanceof IOException reason ? reason : new IOException("the pages cannot be read", e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
        return all;
    }

    private List<BatchPage> read(int first, int last) throws IOException {
        List<BatchPage> pages = new ArrayList<>();
        try (PdfInput input = files.open(source.id()); TextReader reader = new TextReader(input)) {
            for (int page = first; page <= last; page++) {
                pages.add(read(input, reader, page));
                progress.report(done.incrementAndGet(), source.pageCount());
            }
        }
        return pages;
    }

    private BatchPage read(PdfInput input, TextReader reader, int page) {
        PageShape shape = PageShape.A4;
        TextReader.Read read = new TextReader.Read(PageText.NONE, false);
        try {
            shape = PageFrame.of(new PDPage(input.pages().get(page - 1))).shape();
            if (!stop.getAsBoolean()) read = reader.read(page);
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(BatchPages.class).info("page {} of {} has no words", page, source.fileName(), unreadable);
        }
        List<BatchPage.Bookmark> bookmarks = new ArrayList<>();
        for (SourceBookmark own : source.bookmarks()) if (own.page() == page) bookmarks.add(new BatchPage.Bookmark(own.level(), own.title()));
        return new BatchPage(read.text(), read.isBlank(), shape.seenWidthPt() * MM_PER_PT, shape.seenHeightPt() * MM_PER_PT, bookmarks);
    }
}
