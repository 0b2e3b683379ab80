package app.yellowtab.desktop.batch;

import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.ValuePlace;
import java.util.Optional;

/** The kinds of rule that a user can switch on, each as it stands before anything is filled in. */
public enum RuleKind {
    EVERY(new CutRule.EveryPages(10, 1)), SIZE(new CutRule.UpTo(5_000_000)), BOOKMARKS(new CutRule.Bookmarks(1)),
    BLANKS(new CutRule.BlankSheets(true)),
    WORDS(new CutRule.WordsFound("1 of", false, false, true, Optional.empty(), false)),
    VALUE(new CutRule.ValueChanges(new ValuePlace.AfterWords("No.", ""))),
    FIRST(new CutRule.FirstPages(50)), SHEETS(new CutRule.SeparatorSheets()), NUMBERING(new CutRule.NumberingRestarts()),
    SIZES(new CutRule.SizeChanges()), RANGES(new CutRule.Ranges("1-", true)), SIDES(new CutRule.OddAndEven(false));

    private final CutRule usual;

    RuleKind(CutRule usual) {
        this.usual = usual;
    }

    public CutRule usual() {
        return usual;
    }

    public static RuleKind of(CutRule rule) {
        return switch (rule) {
            case CutRule.EveryPages r -> EVERY;
            case CutRule.UpTo r -> SIZE;
            case CutRule.Bookmarks r -> BOOKMARKS;
            case CutRule.BlankSheets r -> BLANKS;
            case CutRule.WordsFound r -> WORDS;
            case CutRule.ValueChanges r -> VALUE;
            case CutRule.NumberingRestarts r -> NUMBERING;
            case CutRule.SeparatorSheets r -> SHEETS;
            case CutRule.FirstPages r -> FIRST;
            case CutRule.SizeChanges r -> SIZES;
            case CutRule.Ranges r -> RANGES;
            case CutRule.OddAndEven r -> SIDES;
        };
    }
}
