package app.yellowtab.source;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PageText;
import app.yellowtab.finding.Progress;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.TextReader;
import app.yellowtab.inspect.WordsFile;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.recognise.CodeReader;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    /** So many pages are read by one opened file; opening it costs as much as reading some of them. */
    private static final int FEWEST = 50;
    /** A separator sheet says few words: four sides each, of this many at most. */
    private static final int MOST_SIDES = 4 * 120;

    private final SourceFiles files;
    private final Source source;
    private final boolean codes;
    private final Progress progress;
    private final BooleanSupplier stop;
    private final AtomicInteger done = new AtomicInteger();

    private BatchPages(SourceFiles files, Source source, boolean codes, Progress progress, BooleanSupplier stop) {
        this.files = files;
        this.source = source;
        this.codes = codes;
        this.progress = progress;
        this.stop = stop;
    }

    /**
     * Reads the pages of a source, or takes what is kept of them.
     *
     * @param codes    whether separator sheets are looked for too, which takes a picture of every page
     * @param progress is told after every page, on several threads
     * @param stop     asked at every page; what is not read then has no words
     * @return its pages in order; one that cannot be read has no words
     * @throws IOException if the file is gone, is locked or cannot be made out
     */
    public static List<BatchPage> read(SourceFiles files, SourceId id, boolean codes, Progress progress, BooleanSupplier stop)
            throws IOException {
        return new BatchPages(files, files.source(id), codes, progress, stop).known();
    }

    private List<BatchPage> known() throws IOException {
        return withRecognised(own());
    }

    /** Pages without words of their own have those that were read in their pictures. */
    private List<BatchPage> withRecognised(List<BatchPage> pages) {
        Optional<RecognisedPages> recognised = RecognisedPages.of(files, source.id());
        if (recognised.isEmpty()) return pages;
        List<BatchPage> all = new ArrayList<>(pages);
        for (int i = 0; i < all.size(); i++) {
            BatchPage page = all.get(i);
            if (recognised.get().has(i + 1)) all.set(i, recognised.get().page(i + 1).map(page::withRecognised).orElse(page));
        }
        return all;
    }

    private List<BatchPage> own() throws IOException {
        Optional<Path> file = files.wordsFile(source.id());
        Optional<WordsFile.Kept> kept = file.flatMap(WordsFile::read)
                .filter(known -> known.pages().size() == source.pageCount() && (known.hasCodes() || !codes));
        if (kept.isPresent()) return withBookmarks(kept.get().pages());
        List<BatchPage> pages = read();
        if (file.isPresent() && !stop.getAsBoolean()) keep(file.get(), pages);
        return withBookmarks(pages);
    }

    /** What cannot be kept is read again the next time. */
    private void keep(Path file, List<BatchPage> pages) {
        try {
            WordsFile.write(file, new WordsFile.Kept(pages, codes));
        } catch (IOException | RuntimeException full) {
            LoggerFactory.getLogger(BatchPages.class).warn("words not kept: {}", file, full);
        }
    }

    private List<BatchPage> withBookmarks(List<BatchPage> pages) {
        Map<Integer, List<BatchPage.Bookmark>> marks = new HashMap<>();
        for (SourceBookmark own : source.bookmarks())
            marks.computeIfAbsent(own.page(), page -> new ArrayList<>()).add(new BatchPage.Bookmark(own.level(), own.title()));
        List<BatchPage> all = new ArrayList<>();
        for (BatchPage page : pages) all.add(page.withBookmarks(marks.getOrDefault(all.size() + 1, List.of())));
        return all;
    }

    private List<BatchPage> read() throws IOException {
        int count = source.pageCount();
        int threads = Math.clamp(count / FEWEST, 1, Runtime.getRuntime().availableProcessors());
        List<BatchPage> all = new ArrayList<>();
        try (ExecutorService workers =
                Executors.newFixedThreadPool(threads, Thread.ofPlatform().daemon().name("words-", 1).factory())) {
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
            BoundedRenderer renderer = new BoundedRenderer(input.document());
            for (int page = first; page <= last; page++) {
                pages.add(read(input, reader, renderer, page));
                progress.report(done.incrementAndGet(), source.pageCount());
            }
        }
        return pages;
    }

    private BatchPage read(PdfInput input, TextReader reader, BoundedRenderer renderer, int page) {
        PageShape shape = PageShape.A4;
        TextReader.Read read = new TextReader.Read(PageText.NONE, false);
        try {
            shape = PageFrame.of(new PDPage(input.pages().get(page - 1))).shape();
            if (!stop.getAsBoolean()) read = reader.read(page);
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(BatchPages.class).info("page {} of {} has no words", page, source.fileName(), unreadable);
        }
        boolean mayBeSheet = codes && !read.isBlank() && read.text().sides().length <= MOST_SIDES && !stop.getAsBoolean();
        return new BatchPage(read.text(), read.isBlank(), shape.seenWidthPt() * Length.MM_PER_PT,
                shape.seenHeightPt() * Length.MM_PER_PT,
                List.of()).withSheet(mayBeSheet ? sheet(input, renderer, page) : Optional.empty());
    }

    private Optional<SheetCode> sheet(PdfInput input, BoundedRenderer renderer, int page) {
        try {
            return BoundedRenderer
                    .within(source.bytes(), () -> CodeReader.read(renderer.draw(page - 1, CodeReader.WIDTH_PX).image()))
                    .flatMap(SheetCode::read);
        } catch (IOException | RuntimeException | Error undrawable) {
            LoggerFactory.getLogger(BatchPages.class).info("page {} of {} is not looked at for a code", page, source.fileName(),
                    undrawable);
            return Optional.empty();
        }
    }
}
