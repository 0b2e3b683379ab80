package app.yellowtab.desktop.batch;

import app.yellowtab.deliver.PieceSizes;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.facts.PageText;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.source.BatchPages;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is known of the pages of batches, read in the background. For the JavaFX thread. */
final class BatchReading {
    /** The words of so many pages stay known, and always those of the batches that are laid open. */
    private static final int MOST_PAGES = 12_000;

    /**
     * What must be known of pages beside their words.
     *
     * @param codes   whether they are separator sheets
     * @param weights how much they take in a file
     */
    public record Needs(boolean codes, boolean weights) {
        Needs and(Needs other) {
            return new Needs(codes || other.codes, weights || other.weights);
        }

        boolean covers(Needs other) {
            return (codes || !other.codes) && (weights || !other.weights);
        }
    }

    private record Known(List<BatchPage> pages, Needs has) {}

    private final Workspace workspace;
    /** By the file that the pages are of. */
    private final Map<String, Known> known = new LinkedHashMap<>();
    /** Files whose words cannot be had, or are not wanted for now. */
    private final Set<String> unreadable = new HashSet<>();
    /** What is being read, by the file. */
    private final Map<String, Jobs.Job> reading = new HashMap<>();

    public BatchReading(Workspace workspace) {
        this.workspace = workspace;
    }

    public void stop() {
        reading.values().forEach(Jobs.Job::stop);
    }

    /** Tries again what could not be read before. */
    public void forgetFailures() {
        unreadable.clear();
    }

    /** {@return what tells what can be known of a source's pages from all else: its file, and what was read in their pictures} */
    public static String key(Source source) {
        return source.pagesKey() + source.about().recognised();
    }

    /** {@return whether all that is needed of a source's pages is known} */
    public boolean isKnown(Source source, Needs needs) {
        return Optional.ofNullable(known.get(key(source))).filter(its -> its.has().covers(needs)).isPresent();
    }

    public boolean isUnreadable(Source source) {
        return unreadable.contains(key(source));
    }

    /** {@return what is known of a source's pages; of those that nobody has read, their bookmarks} */
    public List<BatchPage> pages(Source source) {
        Known its = known.get(key(source));
        return its == null ? unread(source) : its.pages();
    }

    private static List<BatchPage> unread(Source source) {
        Map<Integer, List<BatchPage.Bookmark>> marks = new LinkedHashMap<>();
        for (SourceBookmark own : source.bookmarks())
            marks.computeIfAbsent(own.page(), page -> new ArrayList<>()).add(new BatchPage.Bookmark(own.level(), own.title()));
        List<BatchPage> pages = new ArrayList<>();
        for (int page = 1; page <= source.pageCount(); page++)
            pages.add(new BatchPage(PageText.NONE, false, 1, 1, marks.getOrDefault(page, List.of())));
        return pages;
    }

    /**
     * Reads a source's pages, unless that is under way or cannot be done.
     *
     * @param laidOpen the files that are laid open, which stay known
     * @param ended    is run when there is something new to show
     */
    public void read(Source source, Needs needs, Set<String> laidOpen, Runnable ended) {
        String file = key(source);
        if (unreadable.contains(file) || reading.containsKey(file)) return;
        Known before = known.get(file);
        Needs all = before == null ? needs : needs.and(before.has());
        Jobs.Job job = workspace.jobs().start((progress, stop) -> {
            List<BatchPage> pages = before != null && before.has().codes() == all.codes() ? before.pages() : BatchPages.read(
                    workspace.folder(), source.id(), all.codes(),
                    (done, total) -> progress.accept(
                            new Jobs.JobProgress(Words.of("cut.reading", source.fileName(), done, total), (double) done / total)),
                    stop);
            if (!all.weights()) return pages;
            List<PageWeight> weights = PieceSizes.read(workspace.folder(), source.id(),
                    workspace.bundle().fromSources().comments(),
                    (done, total) -> progress.accept(
                            new Jobs.JobProgress(Words.of("cut.measuring", source.fileName(), done, total),
                                    (double) done / total)),
                    stop);
            List<BatchPage> weighed = new ArrayList<>();
            for (BatchPage page : pages) weighed.add(page.withWeight(weights.get(weighed.size())));
            return weighed;
        }, pages -> {
            Jobs.Job its = reading.remove(file);
            if (its == null || !its.isStopped()) keep(file, new Known(pages, all), laidOpen);
            else unreadable.add(file);
            ended.run();
        }, failure -> {
            reading.remove(file);
            unreadable.add(file);
            ended.run();
        });
        if (!job.ended().isDone()) reading.put(file, job);
    }

    private void keep(String file, Known its, Set<String> laidOpen) {
        known.remove(file);
        known.put(file, its);
        for (String eldest : List.copyOf(known.keySet())) {
            if (known.values().stream().mapToInt(one -> one.pages().size()).sum() <= MOST_PAGES) return;
            if (!laidOpen.contains(eldest) && !eldest.equals(file)) known.remove(eldest);
        }
    }
}
