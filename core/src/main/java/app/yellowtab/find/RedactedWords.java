package app.yellowtab.find;

import app.yellowtab.edit.page.Redacting;
import app.yellowtab.facts.PageText;
import app.yellowtab.find.Passage.Telling;
import app.yellowtab.find.Recurrences.Recurrence;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.BooleanSupplier;
import java.util.function.UnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;

/**
 * Where a bundle still says what is redacted on one of its pages: on other pages, in all that was typed, in bookmarks, names and
 * comments, and in files that go along.
 */
public final class RedactedWords {
    private static final String INSTEAD = "[redacted]";
    private static final Pattern WORD = Pattern.compile("\\S+");

    private final Bundle bundle;
    private final Plan plan;
    private final BundleWords words;
    private final Recurrences recurrences;
    private final PassageFinder finder;
    private final List<Leak> leaks = new ArrayList<>();
    private final List<Finding> remarks = new ArrayList<>();

    private RedactedWords(Bundle bundle, Plan plan, BundleWords words, Recurrences recurrences, PassageFinder finder) {
        this.recurrences = recurrences;
        this.bundle = bundle;
        this.plan = plan;
        this.words = words;
        this.finder = finder;
    }

    /**
     * Something that gives away what is redacted.
     *
     * @param page on which it is to be seen; empty where it is on none of a source
     * @param fix  what helps; empty where only the user can
     */
    public record Leak(Finding finding, Optional<PageKey> page, Optional<UnaryOperator<Bundle>> fix) {
        Leak(Finding finding, Optional<UnaryOperator<Bundle>> fix) {
            this(finding, Optional.empty(), fix);
        }
    }

    /**
     * What was found.
     *
     * @param leaks       other than words on pages, in the order of the bundle
     * @param recurrences words on other pages, but for pages that are among the leaks as a whole
     * @param remarks     what need not be decided, and should be known
     */
    public record Found(List<Leak> leaks, Recurrences.Found recurrences, List<Finding> remarks) {
        public static final Found NOTHING = new Found(List.of(), Recurrences.Found.NOTHING, List.of());

        public Found {
            leaks = List.copyOf(leaks);
            remarks = List.copyOf(remarks);
        }

        /** {@return all that somebody must decide before anything goes out, each with what helps} */
        public List<Leak> open() {
            return Stream.concat(leaks.stream(), recurrences.open().stream().map(RedactedWords::leak)).toList();
        }

        /**
         * Lets no pages out of which something is not decided.
         *
         * @param pages  that would be written
         * @param target what would be written
         * @throws FindingException if there is such a page; it says how many places there are
         */
        public void refuseUndecided(Set<PageKey> pages, Path target) throws FindingException {
            refuse(open().stream().filter(leak -> leak.page().filter(pages::contains).isPresent()).count(), target);
        }

        /**
         * Lets no bundle out of which something is not decided.
         *
         * @param goOn   whether it goes out although something other than words on pages is not
         * @param target what would be written
         * @throws FindingException if there is anything; it says how many places there are
         */
        public void refuseUndecided(boolean goOn, Path target) throws FindingException {
            refuse(goOn ? recurrences.open().size() : open().size(), target);
        }

        private static void refuse(long places, Path target) throws FindingException {
            if (places > 0) throw new FindingException(
                    new Finding(Code.REDACTED_UNDECIDED, Subject.OfProduced.of(target, 0), String.valueOf(places)), null);
        }
    }

    private static Leak leak(Recurrence one) {
        return new Leak(new Finding(Code.REDACTED_AGAIN, new Subject.OfThing(one.label()),
                "\"" + one.words() + "\", which is redacted on page " + one.there()),
                Optional.of(one.page()),
                Optional.of(now -> Redacting.redactedLike(now, one.page(), one.areas(), one.like())));
    }

    /**
     * {@return all that is found} Pages whose words cannot be read are passed over.
     *
     * @param stop asked at every page
     */
    public static Found in(Bundle bundle, Plan plan, BundleWords words, BooleanSupplier stop) {
        Recurrences recurrences = new Recurrences(plan, words, stop);
        if (!recurrences.isAnyRedacted()) return Found.NOTHING;
        PassageFinder finder = new PassageFinder(recurrences.passages());
        RedactedWords all = new RedactedWords(bundle, plan, words, recurrences, finder);
        Set<PageKey> whole = all.elsewhere();
        Recurrences.Found onPages = recurrences.look(finder, whole);
        if (!stop.getAsBoolean()) all.around();
        if (onPages.wordless() > 0)
            all.remarks.add(Finding.about(Code.REDACTED_NOT_COMPARED, "The bundle", String.valueOf(onPages.wordless())));
        return new Found(all.leaks, onPages, all.remarks);
    }

    private void around() {
        for (Around.Text text : Around.of(bundle)) repeated(text.words()).ifPresent(clean -> leaks.add(new Leak(
                Finding.about(Code.REDACTED_AROUND, text.what(), couldBe(text.words(), clean)),
                text.fix().map(fix -> now -> fix.apply(now, clean)))));
        Map<SourceId, List<Content.SourcePage>> used = new LinkedHashMap<>();
        for (Leaf leaf : plan.leaves()) if (leaf.content() instanceof Content.SourcePage page)
            used.computeIfAbsent(page.source(), id -> new ArrayList<>()).add(page);
        Set<SourceId> named = new HashSet<>(used.keySet());
        for (Document document : bundle.contents().allDocuments()) named.addAll(document.sources());
        for (Source source : bundle.sources()) if (named.contains(source.id())) {
            names(source);
            if (used.containsKey(source.id())) comments(source, used.get(source.id()));
        }
        for (Document document : bundle.contents().allDocuments())
            document.enclosed().ifPresent(file -> inside(document, file.source()));
    }

    private void names(Source source) {
        if (repeated(source.fileName().replace('_', ' ')).isPresent()) {
            Finding named = new Finding(Code.REDACTED_IN_NAME, of(source, 0), "");
            if (bundle.contents().allDocuments().stream().anyMatch(document -> document.enclosed()
                    .filter(file -> file.source().equals(source.id())).isPresent()))
                leaks.add(new Leak(named, Optional.empty()));
            else remarks.add(named);
        }
        for (SourceBookmark own : new LinkedHashSet<>(source.bookmarks())) repeated(own.title())
                .ifPresent(clean -> leaks.add(new Leak(
                        new Finding(Code.REDACTED_IN_BOOKMARK, of(source, own.page()), couldBe(own.title(), clean)),
                        Optional.of(now -> renamed(now, source.id(), own, clean)))));
    }

    private void comments(Source source, List<Content.SourcePage> pages) {
        if (source.about().pages().comments() == 0 || bundle.fromSources().comments() == Comments.DROPPED) return;
        try {
            for (String said : words.comments(pages)) if (repeated(said).isPresent())
                leaks.add(new Leak(new Finding(Code.REDACTED_IN_COMMENT, of(source, 0), "\"" + said + "\""), Optional.empty()));
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(RedactedWords.class).info("comments not compared: {}", source.id(), unreadable);
            remarks.add(new Finding(Code.REDACTED_NOT_LOOKED, of(source, 0), "its comments"));
        }
    }

    /** Looks through a file that goes along as it is. */
    private void inside(Document document, SourceId file) {
        try {
            int page = 0;
            for (BatchPage read : words.pagesOf(file, () -> false)) {
                page++;
                if (finder.in(read.text().lines().stream().flatMap(List::stream).map(PageText.Word::text).toList(), false)
                        .stream().noneMatch(hit -> hit.telling() == Telling.MUCH))
                    continue;
                leaks.add(new Leak(new Finding(Code.REDACTED_IN_FILE, new Subject.OfEntry(document.id().value(),
                        document.title()), String.valueOf(page)), Optional.empty()));
                return;
            }
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(RedactedWords.class).info("file not compared: {}", file, unreadable);
            remarks.add(new Finding(Code.REDACTED_NOT_LOOKED,
                    new Subject.OfEntry(document.id().value(), document.title()), "the file that goes along"));
        }
    }

    private static Subject.OfSource of(Source source, int page) {
        return new Subject.OfSource(source.id().value(), source.fileName(), "", page);
    }

    private static String couldBe(String words, String clean) {
        return "\"" + words + "\", which could be \"" + clean + "\"";
    }

    private static Bundle renamed(Bundle bundle, SourceId id, SourceBookmark own, String clean) {
        return bundle.withSources(bundle.sources().stream().map(source -> source.id().equals(id)
                ? source.withBookmarks(source.bookmarks().stream()
                        .map(one -> one.equals(own) ? new SourceBookmark(own.level(), clean, own.page(), own.look()) : one)
                        .toList())
                : source).toList());
    }

    private Optional<String> repeated(String title) {
        return repeated(title, finder, recurrences::tells);
    }

    /** {@return a title with what it repeats of redacted words left out; empty where it repeats nothing that tells anything} */
    static Optional<String> repeated(String title, PassageFinder finder, BiPredicate<List<String>, PassageFinder.Hit> tells) {
        List<MatchResult> places = WORD.matcher(title).results().toList();
        List<String> all = places.stream().map(MatchResult::group).toList();
        List<PassageFinder.Hit> hits = finder.in(all, true).stream().filter(hit -> tells.test(all, hit)).toList();
        if (hits.isEmpty()) return Optional.empty();
        BitSet gone = new BitSet();
        hits.forEach(hit -> gone.set(hit.first(), hit.last() + 1));
        StringBuilder clean = new StringBuilder();
        int from = 0;
        for (int i = gone.nextSetBit(0); i >= 0; i = gone.nextSetBit(i)) {
            int end = gone.nextClearBit(i);
            clean.append(title, from, places.get(i).start()).append(INSTEAD);
            from = places.get(end - 1).end();
            i = end;
        }
        return Optional.of(clean.append(title.substring(from)).toString());
    }

    /** Adds pages that show the same, of the same file or of another, with more of it to be seen; {@return those pages} */
    private Set<PageKey> elsewhere() {
        Map<String, List<Leaf>> same = new HashMap<>();
        Map<SourceId, Source> sources = bundle.sourcesById();
        Set<SourceId> redacted = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            same.computeIfAbsent(shown(page, sources), name -> new ArrayList<>(1)).add(leaf);
            if (!page.look().redactions().isEmpty()) redacted.add(page.source());
        }
        Set<PageKey> found = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page) || page.look().redactions().isEmpty()) continue;
            for (Leaf other : same.getOrDefault(shown(page, sources), List.of())) {
                if (!(other.content() instanceof Content.SourcePage its) || areas(its).containsAll(areas(page))
                        || leaf.key().isEmpty() || other.key().isEmpty())
                    continue;
                PageKey key = leaf.key().get();
                PageKey there = other.key().get();
                leaks.add(new Leak(new Finding(Code.REDACTED_ELSEWHERE, new Subject.OfThing(leaf.label()), other.label()),
                        Optional.of(there),
                        Optional.of(now -> Redacting.alsoOn(now, key, Set.of(there)))));
                found.add(there);
            }
        }
        for (Document document : bundle.contents().allDocuments()) {
            if (document.enclosed().filter(file -> redacted.contains(file.source())).isEmpty()) continue;
            leaks.add(new Leak(
                    new Finding(Code.REDACTED_GOES_ALONG, new Subject.OfEntry(document.id().value(), document.title()), ""),
                    Optional.empty()));
        }
        return found;
    }

    /** {@return what tells a page from all that show something else; a file may have come in twice} */
    private static String shown(Content.SourcePage page, Map<SourceId, Source> sources) {
        Source source = sources.get(page.source());
        Optional<String> print = source == null ? Optional.empty() : source.about().pages().likePrint(page.page());
        return print.orElse(page.source().value() + " " + page.page());
    }

    private static List<Area> areas(Content.SourcePage page) {
        return page.look().redactions().stream().map(Redaction::area).toList();
    }
}
