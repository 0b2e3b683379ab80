package app.yellowtab.cut;

import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.words.BatchPage;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Texts about pieces. In them {@code [name]}, {@code [date]} and {@code [pages]} stand for what a piece has, and the parts of
 * names, such as {@code [bookmark]} or {@code [after:Invoice no.]}, for what they are of that piece; other brackets stay as they
 * are.
 */
public final class PieceWords {
    private static final Pattern GAP = Pattern.compile("\\[([^\\[\\]]{1,200})]");
    /** So many values are listed of all pieces at once. */
    private static final int MOST_LISTED = 20;

    private final List<BatchPage> pages;
    private final Cutting cutting;
    private final List<Named> names;
    private final String fileName;

    /**
     * @param names    of the pieces, in order
     * @param fileName of the batch
     */
    public PieceWords(List<BatchPage> pages, Cutting cutting, List<Named> names, String fileName) {
        this.pages = pages;
        this.cutting = cutting;
        this.names = List.copyOf(names);
        this.fileName = fileName;
    }

    /**
     * {@return a text about one piece} What a piece does not have is left out.
     *
     * @param piece counted from 0
     */
    public String ofPiece(String text, int piece) {
        Named named = names.get(piece);
        return filled(text, named.words(), named.date().shown(), cutting.pieces().get(piece).pages().size(),
                part -> said(part, piece).orElse(""));
    }

    /**
     * {@return a text about all pieces: their number for the name, all of their pages, and the values that they have, each once}
     */
    public String ofAll(String text) {
        int sum = cutting.pieces().stream().mapToInt(piece -> piece.pages().size()).sum();
        return filled(text, fileName + ": " + names.size() + (names.size() == 1 ? " document" : " documents"), "", sum, part -> {
            List<String> values = IntStream.range(0, names.size()).mapToObj(piece -> said(part, piece)).flatMap(Optional::stream)
                    .distinct().toList();
            String listed = values.stream().limit(MOST_LISTED).collect(Collectors.joining(", "));
            return values.size() <= MOST_LISTED ? listed : listed + " and " + (values.size() - MOST_LISTED) + " more";
        });
    }

    private Optional<String> said(NamePart part, int piece) {
        return PieceNames.said(part, pages.get(cutting.pieces().get(piece).first() - 1), piece, fileName,
                Optional.of(names.get(piece).date()));
    }

    private static String filled(String text, String name, String date, int pages, Function<NamePart, String> value) {
        StringBuilder filled = new StringBuilder();
        Matcher gap = GAP.matcher(text);
        while (gap.find()) {
            String words = switch (gap.group(1)) {
                case "name" -> name;
                case "date" -> date;
                case "pages" -> pages == 1 ? "1 page" : pages + " pages";
                default -> part(gap.group(1)).map(value).orElse(gap.group());
            };
            gap.appendReplacement(filled, Matcher.quoteReplacement(words));
        }
        return gap.appendTail(filled).toString();
    }

    private static Optional<NamePart> part(String typed) {
        try {
            return Optional.of(NamePartReader.read(typed));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
