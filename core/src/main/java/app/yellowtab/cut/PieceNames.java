package app.yellowtab.cut;

import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.LetterDate;
import app.yellowtab.words.TextFinder;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What pieces are called. */
public final class PieceNames {
    private static final int DIGITS = 3;

    private PieceNames() {}

    /**
     * A name and a date.
     *
     * @param words   never blank; where a part is missing, it says so
     * @param missing what is missing, in words; empty where all is there
     * @param date    of the separator sheet before it, or found on the piece's first page; "not given" where none is
     * @param section that it belongs in, as the separator sheet before it says; empty where none does
     */
    public record Named(String words, List<String> missing, DocumentDate date, String section) {
        public Named {
            missing = List.copyOf(missing);
        }
    }

    /**
     * {@return the name of each piece of a batch}
     *
     * @param fileName   of the batch
     * @param monthFirst whether in figures the month stands before the day
     */
    public static List<Named> of(List<BatchPage> pages, Cutting cutting, CutRules rules, String fileName, boolean monthFirst) {
        List<NamePart> parts = rules.name().isEmpty() ? usual(rules) : rules.name();
        List<Named> names = new ArrayList<>();
        boolean bySheets = rules.rules().stream().anyMatch(CutRule.SeparatorSheets.class::isInstance);
        for (Piece piece : cutting.pieces()) {
            Named named = named(pages.get(piece.first() - 1), parts, names.size(), fileName, monthFirst);
            names.add(bySheets ? Cutter.sheetBefore(pages, piece.first()).map(sheet -> said(sheet, named)).orElse(named) : named);
        }
        return names;
    }

    private static Named said(SheetCode sheet, Named found) {
        return new Named(sheet.name().isEmpty() ? found.words() : sheet.name(),
                sheet.name().isEmpty() ? found.missing() : List.of(),
                sheet.date().<DocumentDate>map(DocumentDate.Day::new).orElse(found.date()), sheet.section());
    }

    /** {@return the parts that suit the rules: what is cut by is a good name} */
    public static List<NamePart> usual(CutRules rules) {
        for (CutRule rule : rules.rules()) {
            if (rule instanceof CutRule.ValueChanges value) return List.of(new NamePart.Value(value.place()));
            if (rule instanceof CutRule.Bookmarks) return List.of(new NamePart.Bookmark());
        }
        return List.of(new NamePart.FileName(), new NamePart.Number(DIGITS, 1));
    }

    private static Named named(BatchPage page, List<NamePart> parts, int piece, String fileName, boolean monthFirst) {
        Optional<DocumentDate> date = LetterDate.of(page, monthFirst);
        List<String> words = new ArrayList<>();
        List<String> missing = new ArrayList<>();
        for (NamePart part : parts) {
            Optional<String> shown = said(part, page, piece, fileName, date);
            if (shown.isPresent()) {
                words.add(shown.get());
            } else if (!(part instanceof NamePart.Typed)) {
                missing.add(lack(part));
                words.add("(" + lack(part) + ")");
            }
        }
        String name = String.join(" ", words);
        return new Named(name.isEmpty() ? "(no name)" : name, name.isEmpty() ? List.of("no name") : missing,
                date.orElse(DocumentDate.NOT_GIVEN), "");
    }

    /** {@return what a part is of the piece that begins with a page; empty where there is nothing} */
    static Optional<String> said(NamePart part, BatchPage page, int piece, String fileName, Optional<DocumentDate> date) {
        Optional<String> said = switch (part) {
            case NamePart.Bookmark b -> page.bookmarks().stream().min(Comparator.comparingInt(BatchPage.Bookmark::level))
                    .map(BatchPage.Bookmark::title);
            case NamePart.Value value -> TextFinder.value(page.text(), value.place());
            case NamePart.FileName f -> Optional.of(stem(fileName));
            case NamePart.Number number ->
                    Optional.of(String.format(Locale.ROOT, "%0" + number.digits() + "d", number.start() + piece));
            case NamePart.FirstDate d -> date.filter(DocumentDate.Day.class::isInstance)
                    .map(day -> DateTimeFormatter.ISO_LOCAL_DATE.format(((DocumentDate.Day) day).day()));
            case NamePart.Typed typed -> Optional.of(typed.words());
        };
        return said.map(PieceNames::oneLine).filter(text -> !text.isEmpty());
    }

    private static String oneLine(String text) {
        return text.replaceAll("[\\s\\p{Cntrl}]+", " ").strip();
    }

    private static String lack(NamePart part) {
        return switch (part) {
            case NamePart.Bookmark b -> "no bookmark";
            case NamePart.Value value when value.place() instanceof ValuePlace.AfterWords after ->
                    "nothing after “" + after.words() + "”";
            case NamePart.Value value -> "nothing in the area";
            case NamePart.FirstDate d -> "no date";
            case NamePart.FileName f -> "no file name";
            case NamePart.Number n -> "no number";
            case NamePart.Typed t -> "no words";
        };
    }

    private static String stem(String fileName) {
        int dot = fileName.lastIndexOf('.');
        return dot > 0 ? fileName.substring(0, dot) : fileName;
    }
}
