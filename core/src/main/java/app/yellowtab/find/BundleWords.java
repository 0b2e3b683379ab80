package app.yellowtab.find;

import app.yellowtab.facts.PageText;
import app.yellowtab.find.WordFinder.Hit;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.SeenPages;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * The words on the pages of a bundle, where they are seen: those that pages have of their own, and those that were read in their
 * pictures. Safe to share between threads.
 */
public final class BundleWords {
    /** As much of the memory as words may take; what does not fit is read again. */
    private static final long MOST_BYTES = Runtime.getRuntime().maxMemory() / 8;
    /** What would end a line within a word. */
    private static final Pattern CONTROLS = Pattern.compile("[\\p{Cntrl}\\p{Zl}\\p{Zp}]");
    private static final int BYTES_A_PAGE = 400;
    /** What a line takes beside its letters. */
    private static final int BYTES_A_LINE = 64;
    private static final int BYTES_A_SIDE = 4;

    private final SourceFiles files;
    /** By what tells the words of a file's pages from all others. */
    private final Cache<String, List<BatchPage>> kept = Caffeine.newBuilder().executor(Runnable::run).maximumWeight(MOST_BYTES)
            .weigher((String key, List<BatchPage> pages) -> weight(pages)).build();
    /** What is searched: of every page its words as they are compared, in one line. */
    private final Cache<String, List<String>> plain = Caffeine.newBuilder().executor(Runnable::run).maximumWeight(MOST_BYTES)
            .weigher((String key, List<String> pages) -> weightOf(pages)).build();
    /** One thread at a time makes the lines of a source. */
    private final Map<String, Object> locks = new ConcurrentHashMap<>();

    public BundleWords(SourceFiles files) {
        this.files = files;
    }

    private static int weight(List<BatchPage> pages) {
        long bytes = 0;
        for (BatchPage page : pages)
            bytes += BYTES_A_PAGE + page.text().text().length() + (long) BYTES_A_SIDE * page.text().sides().length;
        return (int) Math.min(Integer.MAX_VALUE, bytes);
    }

    private static int weightOf(List<String> pages) {
        long bytes = 0;
        for (String page : pages) bytes += BYTES_A_LINE + page.length();
        return (int) Math.min(Integer.MAX_VALUE, bytes);
    }

    /**
     * What was found on a page.
     *
     * @param leaf its place in the plan, counted from 0
     * @param hits the words around each, in the order of the page
     */
    public record Found(int leaf, List<String> hits) {
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
     * {@return the words of a page, in millimetres from the upper left of what is seen of it} Pages that are made by us have
     * none.
     *
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    public PageText of(Leaf leaf) throws IOException {
        if (!(leaf.content() instanceof Content.SourcePage page)) return PageText.NONE;
        List<BatchPage> pages = pages(page.source(), () -> false);
        return page.page() > pages.size() ? PageText.NONE : SeenPages.seen(pages.get(page.page() - 1), page.look()).text();
    }

    /**
     * {@return what is read on a page of a source as it came; empty where it has no such page}
     *
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    public Optional<BatchPage> page(SourceId id, int page) throws IOException {
        List<BatchPage> pages = pages(id, () -> false);
        return page > pages.size() ? Optional.empty() : Optional.of(pages.get(page - 1));
    }

    /**
     * {@return the words of a page of a source as {@link WordFinder#plainLine} makes them, in one line; empty where it has no
     * such page}
     *
     * @param stop asked at every page
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    String line(SourceId id, int page, BooleanSupplier stop) throws IOException {
        List<String> lines = plain(id, stop);
        return page > lines.size() ? "" : lines.get(page - 1);
    }

    /** {@return the name of a source's file} */
    String fileName(SourceId id) {
        return files.source(id).fileName();
    }

    /**
     * {@return what comments on pages of one source say}
     *
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    List<String> comments(List<Content.SourcePage> pages) throws IOException {
        return CommentWords.on(pages, files);
    }

    /**
     * {@return what is read on the pages of a source as they came}
     *
     * @param stop asked at every page
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    public List<BatchPage> pagesOf(SourceId id, BooleanSupplier stop) throws IOException {
        return pages(id, stop);
    }

    /**
     * Makes ready what is searched of a source, so that it is found at once; nothing if it is ready.
     *
     * @param stop asked at every page
     * @throws IOException if its file is gone, is locked or cannot be made out
     */
    public void learn(SourceId id, BooleanSupplier stop) throws IOException {
        plain(id, stop);
    }

    /**
     * Looks for words on all pages, in their order. What has been {@link #learn learned} takes a few milliseconds for a thousand
     * pages.
     *
     * @param found    is told of every page on which they stand
     * @param progress is told after every page
     * @param stop     asked at every page
     */
    public Searched search(Plan plan, WordFinder finder, Consumer<Found> found, Progress progress, BooleanSupplier stop) {
        Set<SourceId> unread = new HashSet<>();
        Lines lines = new Lines();
        for (Leaf leaf : plan.leaves()) {
            if (stop.getAsBoolean()) return new Searched(unread.size(), true);
            if (leaf.content() instanceof Content.SourcePage page && !unread.contains(page.source())) {
                try {
                    List<String> hits = page.look().isPlain() ? lines.find(page, finder, stop)
                            : finder.on(of(leaf)).stream().map(Hit::around).toList();
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

    /** The lines of the source that is searched at present. */
    private final class Lines {
        private @Nullable SourceId source;
        private List<String> plain = List.of();
        private List<String> whole = List.of();

        List<String> find(Content.SourcePage page, WordFinder finder, BooleanSupplier stop) throws IOException {
            if (!page.source().equals(source)) {
                plain = plain(page.source(), stop);
                whole = List.of();
                source = page.source();
            }
            if (page.page() > plain.size() || !finder.standsIn(plain.get(page.page() - 1))) return List.of();
            if (whole.isEmpty()) whole = whole(page.source(), stop);
            return finder.in(whole.get(page.page() - 1), plain.get(page.page() - 1));
        }
    }

    private List<String> plain(SourceId id, BooleanSupplier stop) throws IOException {
        String key = key(files.source(id));
        List<String> known = plain.getIfPresent(key);
        if (known != null) return known;
        synchronized (locks.computeIfAbsent(key, name -> new Object())) {
            known = plain.getIfPresent(key);
            if (known != null) return known;
            List<String> made = whole(id, stop).stream().map(WordFinder::plainLine).toList();
            // What was stopped has pages that nobody has read.
            if (!stop.getAsBoolean()) plain.put(key, made);
            return made;
        }
    }

    /** {@return the words of a source's pages, of each in one line} */
    private List<String> whole(SourceId id, BooleanSupplier stop) throws IOException {
        Optional<Path> file = files.linesFile(id);
        Optional<List<String>> written = file.flatMap(lines -> LinesFile.read(lines, files.source(id).pageCount()));
        if (written.isPresent()) return written.get();
        // The words with their places are many, and of most pages never asked for again where their lines are kept.
        List<BatchPage> known = kept.getIfPresent(key(files.source(id)));
        List<BatchPage> pages = known != null ? known
                : file.isPresent() ? BatchPages.read(files, id, false, Progress.NONE, stop) : pages(id, stop);
        List<String> lines = pages.stream()
                .map(page -> CONTROLS.matcher(page.text().text().replace('\n', ' ')).replaceAll("").stripTrailing()).toList();
        if (file.isPresent() && !stop.getAsBoolean()) LinesFile.write(file.get(), lines);
        return lines;
    }

    private static String key(Source source) {
        return source.pagesKey() + source.about().recognised();
    }

    private List<BatchPage> pages(SourceId id, BooleanSupplier stop) throws IOException {
        Source source = files.source(id);
        String key = key(source);
        List<BatchPage> known = kept.getIfPresent(key);
        if (known != null) return known;
        List<BatchPage> pages = BatchPages.read(files, id, false, Progress.NONE, stop);
        // What was stopped has pages that nobody has read.
        if (!stop.getAsBoolean()) kept.put(key, pages);
        return pages;
    }
}
