package app.yellowtab.find;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.redact.TakenOut;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.LoggerFactory;

/** Where a bundle still says what is redacted on one of its pages: in titles, in bookmarks, and on the same page elsewhere. */
public final class RedactedWords {
    private static final String INSTEAD = "[redacted]";
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}]+(?:['’.-][\\p{L}\\p{N}]+)*");
    /** A single word tells something if it is as long as this; two that follow each other, if each is as long as that. */
    private static final int LEAST_LETTERS = 4;
    private static final int LEAST_OF_TWO = 3;
    /** Of an area with more words than this a single one tells nothing, unless it has a figure. */
    private static final int FEW = 3;

    private RedactedWords() {}

    /**
     * Something that gives away what is redacted.
     *
     * @param fix what helps; empty where only the user can
     */
    public record Leak(Finding finding, Optional<UnaryOperator<Bundle>> fix) {}

    /** {@return all that is found, in the order of the bundle; pages whose words cannot be read are passed over} */
    public static List<Leak> in(Bundle bundle, Plan plan, BundleWords words) {
        List<List<String>> taken = taken(plan, words);
        List<Leak> leaks = new ArrayList<>(elsewhere(bundle, plan));
        if (taken.isEmpty()) return leaks;
        for (Document document : bundle.contents().allDocuments()) {
            repeated(document.description(), taken).ifPresent(clean -> leaks.add(new Leak(
                    new Finding(Code.REDACTED_IN_TITLE, new Subject.OfEntry(document.id().value(), document.description()),
                            clean),
                    Optional.of(now -> Edits.changeDocument(now, document.id(), its -> its.withDescription(clean))))));
            repeated(document.title(), taken).ifPresent(clean -> leaks.add(new Leak(
                    new Finding(Code.REDACTED_IN_TITLE, new Subject.OfEntry(document.id().value(), document.title()), clean),
                    Optional.of(now -> Edits.changeDocument(now, document.id(), its -> its.withTitle(clean))))));
        }
        Set<SourceId> used = new HashSet<>();
        for (Document document : bundle.contents().allDocuments()) used.addAll(document.sources());
        for (Source source : bundle.sources()) {
            if (!used.contains(source.id())) continue;
            if (repeated(source.fileName().replace('_', ' '), taken).isPresent()) leaks.add(new Leak(
                    new Finding(Code.REDACTED_IN_NAME, new Subject.OfSource(source.id().value(), source.fileName(), "", 0), ""),
                    Optional.empty()));
            for (SourceBookmark own : new LinkedHashSet<>(source.bookmarks())) {
                repeated(own.title(), taken)
                        .ifPresent(
                                clean -> leaks
                                        .add(new Leak(
                                                new Finding(Code.REDACTED_IN_BOOKMARK,
                                                        new Subject.OfSource(source.id().value(), source.fileName(), "",
                                                                own.page()),
                                                        "\"" + own.title() + "\", which could be \"" + clean + "\""),
                                                Optional.of(now -> renamed(now, source.id(), own, clean)))));
            }
        }
        return leaks;
    }

    private static Bundle renamed(Bundle bundle, SourceId id, SourceBookmark own, String clean) {
        return bundle.withSources(bundle.sources().stream().map(source -> source.id().equals(id)
                ? source.withBookmarks(source.bookmarks().stream()
                        .map(one -> one.equals(own) ? new SourceBookmark(own.level(), clean, own.page(), own.look()) : one)
                        .toList())
                : source).toList());
    }

    /** {@return the words of every area that is redacted} */
    private static List<List<String>> taken(Plan plan, BundleWords words) {
        List<List<String>> all = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page) || page.look().redactions().isEmpty()) continue;
            try {
                words.page(page.source(), page.page()).ifPresent(its -> {
                    for (Redaction redaction : page.look().redactions()) {
                        List<String> area = new ArrayList<>();
                        for (String word : TakenOut.words(its.text(), its.state(), redaction.area(), its.widthMm(),
                                its.heightMm()))
                            area.addAll(words(word));
                        if (!area.isEmpty()) all.add(area);
                    }
                });
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(RedactedWords.class).info("not compared: {}", page.source().value(), unreadable);
            }
        }
        return all;
    }

    private static List<String> words(String text) {
        return WORD.matcher(text).results().map(found -> found.group().toLowerCase(Locale.ROOT)).toList();
    }

    /** {@return a title with what it repeats of redacted words left out; empty where it repeats nothing that tells anything} */
    static Optional<String> repeated(String title, List<List<String>> taken) {
        List<int[]> places = new ArrayList<>();
        List<String> own = new ArrayList<>();
        Matcher matcher = WORD.matcher(title);
        while (matcher.find()) {
            places.add(new int[] {matcher.start(), matcher.end()});
            own.add(matcher.group().toLowerCase(Locale.ROOT));
        }
        boolean[] gone = new boolean[own.size()];
        boolean any = false;
        for (List<String> area : taken) {
            for (int i = 0; i < own.size(); i++) {
                for (int at = 0; at < area.size(); at++) {
                    int same = 0;
                    while (i + same < own.size() && at + same < area.size() && own.get(i + same).equals(area.get(at + same)))
                        same++;
                    if (!tells(own.subList(i, i + same), area.size())) continue;
                    for (int n = 0; n < same; n++) gone[i + n] = true;
                    any = true;
                }
            }
        }
        if (!any) return Optional.empty();
        StringBuilder clean = new StringBuilder();
        int from = 0;
        for (int i = 0; i < gone.length; i++) {
            if (!gone[i]) continue;
            int end = i;
            while (end + 1 < gone.length && gone[end + 1]) end++;
            clean.append(title, from, places.get(i)[0]).append(INSTEAD);
            from = places.get(end)[1];
            i = end;
        }
        return Optional.of(clean.append(title.substring(from)).toString());
    }

    private static boolean tells(List<String> same, int ofArea) {
        if (same.isEmpty()) return false;
        if (same.size() > 1) return same.stream().filter(word -> word.length() > LEAST_OF_TWO).count() > 1;
        String word = same.getFirst();
        boolean figure = word.chars().anyMatch(Character::isDigit);
        return word.length() >= LEAST_LETTERS && (figure || ofArea <= FEW);
    }

    /** {@return pages that show the same, of the same file or of another, with more of it to be seen} */
    private static List<Leak> elsewhere(Bundle bundle, Plan plan) {
        Map<String, List<Leaf>> same = new HashMap<>();
        Map<SourceId, Source> sources = bundle.sourcesById();
        Set<SourceId> redacted = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            if (leaf.content() instanceof Content.SourcePage page && !page.look().redactions().isEmpty())
                redacted.add(page.source());
        }
        List<Leak> leaks = new ArrayList<>();
        if (redacted.isEmpty()) return leaks;
        for (Leaf leaf : plan.leaves()) if (leaf.content() instanceof Content.SourcePage page)
            same.computeIfAbsent(shown(page, sources), name -> new ArrayList<>(1)).add(leaf);
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page) || page.look().redactions().isEmpty()) continue;
            for (Leaf other : same.getOrDefault(shown(page, sources), List.of())) {
                if (!(other.content() instanceof Content.SourcePage its) || areas(its).containsAll(areas(page))
                        || leaf.key().isEmpty() || other.key().isEmpty())
                    continue;
                PageKey key = leaf.key().get();
                PageKey there = other.key().get();
                leaks.add(new Leak(new Finding(Code.REDACTED_ELSEWHERE, new Subject.OfThing(leaf.label()), other.label()),
                        Optional.of(now -> Redacting.alsoOn(now, key, Set.of(there)))));
            }
        }
        for (Document document : bundle.contents().allDocuments()) {
            if (document.enclosed().filter(file -> redacted.contains(file.source())).isEmpty()) continue;
            leaks.add(new Leak(
                    new Finding(Code.REDACTED_GOES_ALONG, new Subject.OfEntry(document.id().value(), document.title()), ""),
                    Optional.empty()));
        }
        return leaks;
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
