package app.yellowtab.desktop.agree;

import app.yellowtab.agree.Change;
import app.yellowtab.agree.FileMatches.Match;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.Agreement;

/** Changes and matches in words. */
final class AgreeWords {
    private AgreeWords() {}

    /** {@return what is different, in words} */
    static String of(Change change) {
        return switch (change) {
            case Change.Added added -> added.line().isSection() ? Words.of("change.section")
                    : Words.of(
                            added.line().date().map(date -> date.shown()).orElse("").isEmpty() ? "change.added"
                                    : "change.addedDated",
                            added.line().pages(), added.line().row(), added.line().date().map(date -> date.shown()).orElse(""));
            case Change.TakenOut gone -> Words.of(gone.isSection() ? "change.sectionGone" : "change.gone");
            case Change.Retitled now -> Words.of("change.now", now.now());
            case Change.Redated now -> Words.of("change.fromTo", shown(now.was().shown()), shown(now.now().shown()));
            case Change.Resized now -> Words.of("change.pages", now.was(), now.now());
            case Change.Moved moved -> Words.of("change.moved");
            case Change.Stands now -> Words.of("change.fromTo", said(now.was()), said(now.now()));
        };
    }

    private static String shown(String date) {
        return date.isEmpty() ? Words.of("change.noDate") : date;
    }

    private static String said(Agreement agreement) {
        return agreement.shown().isEmpty() ? Words.of("change.nothingSaid") : agreement.shown();
    }

    /** {@return what was found, and whether its date and its length agree} */
    static String of(Match match) {
        int pages = Placeholders.pages(match.item());
        int free = Placeholders.reserved(match.placeholder());
        String length = match.samePages() ? Words.of("agree.samePages", pages) : Words.of("agree.otherPages", pages, free);
        return Words.of(match.sameDate() ? "agree.matchDated" : "agree.match", name(match.item()), length);
    }

    static String name(InTray item) {
        return switch (item) {
            case InTray.File file -> file.source().fileName();
            case InTray.SetAside aside -> aside.document().title();
        };
    }
}
