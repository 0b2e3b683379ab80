package app.yellowtab.find;

import app.yellowtab.cut.BatchPage;
import app.yellowtab.cut.SeenPages;
import app.yellowtab.facts.PageText;
import app.yellowtab.find.WordFinder.Hit;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.SourceFiles;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.slf4j.LoggerFactory;

/** The words on the pages of a bundle, where they are seen: those that pages have of their own, and those that were read in their pictures. Safe to share between threads. */
public final class BundleWords {
    /** As much of the memory as words may take; what does not fit is read again. */
    private static final long MOST_BYTES = Runtime.getRuntime().maxMemory() / 8;
    private static final int BYTES_A_PAGE = 400;
    private static final int BYTES_A_SIDE = 4;

    private final SourceFiles files;
    /** By what tells the words of a file's pages from all others. */
    private final Cache<String, List<BatchPage>> kept = Caffeine.newBuilder().executor(Runnable::run).maximumWeight(MOST_BYTES).weigher((String key, List<BatchPage> pages) -> weight(pages)).build();

    public BundleWords(SourceFiles files) {
        this.files = files;
    }

    private static int weight(List<BatchPage> pages) {
        long bytes = 0;
        for (BatchPage page : pages) bytes += BYTES_A_PAGE + page.text().text().length() + (long) BYTES_A_SIDE * page.text().sides().length;
        return (int) Math.min(Integer.MAX_VALUE, bytes);
    }

    /**
     * What was found on a page.
     *
     * @param leaf its place in the plan, counted from 0
     */
    public record Found(int leaf, List<Hit> hits) {
        public Found {
            hits = List.copyOf(hits);
        }
    }

    /**
     * What a search came to.
     *
     * @param unread  how many files could not be read
     * @param stopped whether it was stopped before its end
     */
    public record Searched(int unread, boolean stopped) {}

    /**
     * {@return the words of a page, in millimetres from the upper left of what is seen of it} Pages that are made by us have none.
     *
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    public PageText of(Leaf leaf) throws IOException {
        if (!(leaf.content() instanceof Content.SourcePage page)) return PageText.NONE;
        List<BatchPage> pages = pages(page.source(), () -> false);
        return page.page() > pages.size() ? PageText.NONE : SeenPages.seen(pages.get(page.page() - 1), page.look()).text();
    }

    /**
     * Looks for words on all pages, in their order.
     *
     * @param found    is told of every page on which they stand
     * @param progress is told after every page
     * @param stop     asked at every page
     */
    public Searched search(Plan plan, WordFinder finder, Consumer<Found> found, Progress progress, BooleanSupplier stop) {
        Set<SourceId> unread = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            if (stop.getAsBoolean()) return new Searched(unread.size(), true);
            if (leaf.content() instanceof Content.SourcePage page && !unread.contains(page.source())) {
                try {
                    pages(page.source(), stop);
                    List<Hit> hits = finder.on(of(leaf));
                    if (!hits.isEmpty()) found.accept(new Found(leaf.index(), hits));
                } catch (IOException | RuntimeException | Error unreadable) {
                    LoggerFactory.getLogger(BundleWords.class).info("not searched: {}", page.source().value(), unreadable);
                    unread.add(page.source());
                }
            }
            progress.report(leaf.index() + 1, plan.pageCount());
        }
        return new Searched(unread.size(), false);
    }

    private List<BatchPage> pages(SourceId id, BooleanSupplier stop) throws IOException {
        Source source = files.source(id);
        String key = source.pagesKey() + source.about().recognised();
        List<BatchPage> known = kept.getIfPresent(key);
        if (known != null) return known;
        List<BatchPage> pages = BatchPages.read(files, id, false, Progress.NONE, stop);
        // What was stopped has pages that nobody has read.
        if (!stop.getAsBoolean()) kept.put(key, pages);
        return pages;
    }
}
