package app.yellowtab.agree;

import app.yellowtab.edit.Placeholders;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.ReservedPages;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Which of the things in the tray are the documents that placeholders wait for, by their titles, names, dates and lengths.
 *
 * @param matches   the surest first, each placeholder and each thing at most once
 * @param waiting   placeholders for which nothing in the tray was found
 * @param unmatched what lies in the tray and is waited for by none
 */
public record FileMatches(List<Match> matches, List<Document> waiting, List<InTray> unmatched) {
    /** Surer than this, a match may be taken without a look; chosen by us: title and date agree, or title and length. */
    public static final int SURE = 80;
    /** Less sure than this, it is none. */
    private static final int LEAST = 45;
    private static final int TITLE = 65;
    private static final int DATE = 20;
    private static final int PAGES = 15;
    private static final Set<String> LITTLE =
            Set.of("the", "of", "to", "a", "an", "and", "in", "on", "for", "from", "by", "with", "at");

    public FileMatches {
        matches = List.copyOf(matches);
        waiting = List.copyOf(waiting);
        unmatched = List.copyOf(unmatched);
    }

    /**
     * A placeholder and what may fill it.
     *
     * @param percent   how sure it is, 0 to 100
     * @param sameDate  whether the dates agree
     * @param samePages whether it has as many pages as are kept free
     */
    public record Match(Document placeholder, InTray item, int percent, boolean sameDate, boolean samePages) {
        public boolean isSure() {
            return percent >= SURE;
        }
    }

    /** {@return the matches of a bundle as it is now} */
    public static FileMatches of(Bundle bundle) {
        List<Document> free = bundle.contents().allDocuments().stream().filter(FileMatches::isFree).toList();
        List<InTray> tray = bundle.tray();
        List<List<String>> titles = free.stream().map(document -> words(document.title())).toList();
        List<Match> all = new ArrayList<>();
        for (InTray item : tray) {
            List<String> words = words(title(item));
            for (int i = 0; i < free.size(); i++) {
                Match match = match(free.get(i), titles.get(i), item, words);
                if (match.percent >= LEAST) all.add(match);
            }
        }
        all.sort(Comparator.comparingInt(Match::percent).reversed());
        List<Match> taken = new ArrayList<>();
        Set<EntryId> placeholders = new HashSet<>();
        Set<String> items = new HashSet<>();
        for (Match match : all) {
            if (placeholders.contains(match.placeholder.id()) || items.contains(match.item.id())) continue;
            placeholders.add(match.placeholder.id());
            items.add(match.item.id());
            taken.add(unsureIfRivalled(match, all));
        }
        return new FileMatches(taken, free.stream().filter(document -> !placeholders.contains(document.id())).toList(),
                tray.stream().filter(item -> !items.contains(item.id())).toList());
    }

    private static boolean isFree(Document document) {
        return document.runs().stream().anyMatch(ReservedPages.class::isInstance);
    }

    /** Where another is as good, or nearly, nobody can be sure. */
    private static Match unsureIfRivalled(Match match, List<Match> all) {
        boolean rivalled = all.stream()
                .anyMatch(other -> other != match
                        && (other.placeholder.id().equals(match.placeholder.id()) || other.item.id().equals(match.item.id()))
                        && other.percent > match.percent - 8);
        return rivalled && match.isSure() ? new Match(match.placeholder, match.item, SURE - 1, match.sameDate, match.samePages)
                : match;
    }

    private static Match match(Document placeholder, List<String> wanted, InTray item, List<String> words) {
        int pages = Placeholders.pages(item);
        DocumentDate date = switch (item) {
            case InTray.File file -> file.source().proposedDate();
            case InTray.SetAside aside -> aside.document().date();
        };
        boolean dated = placeholder.date().firstDay().isPresent() && date.firstDay().isPresent();
        boolean sameDate = dated && placeholder.date().equals(date);
        boolean samePages = pages == Placeholders.reserved(placeholder);
        double title = likeness(wanted, words);
        int percent =
                (int) Math.round(title * TITLE + (sameDate ? DATE : dated ? -DATE : title * DATE / 2) + (samePages ? PAGES : 0));
        return new Match(placeholder, item, Math.clamp(title == 0 ? 0 : percent, 0, 100), sameDate, samePages);
    }

    private static String title(InTray item) {
        return switch (item) {
            case InTray.File file -> file.source().proposedTitle();
            case InTray.SetAside aside -> aside.document().title();
        };
    }

    private static List<String> words(String title) {
        return Arrays.stream(title.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty() && !LITTLE.contains(word)).toList();
    }

    /** {@return how many of the words of both they share, from 0 to 1; longer words count for more} */
    private static double likeness(List<String> one, List<String> other) {
        Set<String> both = new HashSet<>(one);
        both.retainAll(new HashSet<>(other));
        Set<String> all = new HashSet<>(one);
        all.addAll(other);
        double shared = both.stream().mapToInt(String::length).sum();
        double whole = all.stream().mapToInt(String::length).sum();
        return whole == 0 ? 0 : shared / whole;
    }
}
