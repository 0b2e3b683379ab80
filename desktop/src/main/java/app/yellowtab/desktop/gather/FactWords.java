package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.facts.Note;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PrintedSeries;
import app.yellowtab.facts.SheetSize;
import app.yellowtab.facts.Way;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Says in words what is known of a source. */
final class FactWords {
    private static final int MOST_PARTS = 4;

    private FactWords() {}

    /**
     * {@return what matters of a source, in one line}
     *
     * @param left how many of its pages are still to be recognised
     */
    static String line(Source source, int left) {
        if (source.isWithoutPages()) return trouble(source);
        if (!source.isRead()) return Words.of("fact.unread", trouble(source));
        List<String> parts = new ArrayList<>();
        parts.add(Words.of("fact.kindPages", Words.of("kind." + source.kind().name()), source.pageCount()));
        parts.addAll(striking(source, left));
        return parts.stream().limit(MOST_PARTS).collect(Collectors.joining("  ·  "));
    }

    /** {@return why a source's pages cannot be had, in a few words} */
    static String trouble(Source source) {
        return source.about().trouble().map(note -> Words.of("trouble." + note.code().name(), note.detail())).orElse("");
    }

    /**
     * {@return everything worth knowing, each in a line of its own}
     *
     * @param left how many of its pages are still to be recognised
     */
    static List<String> all(Source source, int left) {
        List<String> lines = new ArrayList<>();
        PageFacts pages = source.about().pages();
        lines.add(Words.of("fact.file", source.fileName(), Words.size(source.bytes())));
        if (!source.isRead()) {
            // That a password is wanted stands beside the field for it.
            source.about().trouble().filter(note -> note.code() != Finding.Code.PASSWORD_NEEDED)
                    .ifPresent(note -> lines.add(note.about(source.fileName()).message()));
            return lines;
        }
        if (!pages.sizes().isEmpty()) {
            lines.add(pages.sizes().size() == 1 ? pages.sizes().getFirst().shown()
                    : pages.sizes().stream().limit(4).map(size -> Words.of("fact.sizePages", size.shown(), size.pages()))
                            .collect(Collectors.joining(", ")));
        }
        lines.addAll(strikingWithin(source, left));
        if (pages.fields() > 0) lines.add(Words.of("fact.fields", pages.fields()));
        if (pages.layers() > 0 && pages.hiddenLayers() == 0) lines.add(Words.of("fact.layers", pages.layers()));
        if (!pages.fontsMissing().isEmpty()) lines.add(Words.of("fact.fonts",
                pages.fontsMissing().stream().limit(3).collect(Collectors.joining(", ")), pages.fontsMissing().size()));
        if (source.about().way() == Way.BUILT_IN && source.kind().isOffice()) lines.add(Words.of("fact.builtIn"));
        if (source.about().way() == Way.OFFICE_SUITE) lines.add(Words.of("fact.officeSuite"));
        source.about().notes().stream().map(note -> note.about(source.fileName()).message()).forEach(lines::add);
        return lines;
    }

    /** {@return what is out of the ordinary, the weightiest first} */
    private static List<String> striking(Source source, int left) {
        List<String> parts = strikingWithin(source, left);
        List<SheetSize> odd = source.about().pages().sizes().stream().filter(size -> !size.shown().startsWith("A4")).toList();
        if (!odd.isEmpty() && !source.isConverted()) parts.add(odd.getFirst().shown());
        return parts;
    }

    /** {@return the same but for the size of the sheets} */
    private static List<String> strikingWithin(Source source, int left) {
        List<String> parts = new ArrayList<>();
        PageFacts pages = source.about().pages();
        if (pages.repaired()) parts.add(Words.of("fact.repaired"));
        int scanned = pages.scanned().count();
        int unsearchable = source.pageCount() - pages.searchable().count();
        if (isScan(source)) {
            String kind = scanned == source.pageCount() ? "fact.scanned" : "fact.mixed";
            parts.add(Words.of(kind, scanned, source.pageCount()) + searchable(source, unsearchable, left));
        }
        pages.printed().ifPresent(series -> parts.add(series(series)));
        if (pages.locked()) parts.add(Words.of("fact.locked"));
        if (pages.signatures() > 0) parts.add(Words.of("fact.signatures", pages.signatures()));
        if (pages.comments() > 0) parts.add(Words.of("fact.comments", pages.comments()));
        if (pages.hiddenLayers() > 0) parts.add(Words.of("fact.hiddenLayers", pages.hiddenLayers()));
        if (!pages.attachments().isEmpty()) parts.add(Words.of("fact.attachments", pages.attachments().size()));
        if (pages.scripts() > 0) parts.add(Words.of("fact.scripts", pages.scripts()));
        if (source.about().notes().stream().map(Note::code).anyMatch(FactWords::isLoss)) parts.add(Words.of("fact.loss"));
        return parts;
    }

    private static String searchable(Source source, int unsearchable, int left) {
        if (left > 0) return Words.of("fact.beingRead", left);
        if (!source.about().recognised().isEmpty()) return Words.of("fact.read");
        return Words.of(unsearchable == source.pageCount() ? "fact.notSearchable"
                : unsearchable > 0 ? "fact.partlySearchable" : "fact.searchable");
    }

    /** {@return whether there are scans in it; a photograph is none, though it fills its page} */
    static boolean isScan(Source source) {
        return switch (source.kind()) {
            case JPEG, PNG, GIF, BMP, WEBP, JP2 -> false;
            default -> source.about().pages().scanned().count() > 0;
        };
    }

    private static boolean isLoss(Finding.Code code) {
        return code == Finding.Code.CONVERSION_LOST || code == Finding.Code.NOT_FETCHED || code == Finding.Code.HIDDEN_LEFT_OUT;
    }

    private static String series(PrintedSeries series) {
        return Words.of(series.atFoot() ? "fact.numbersFoot" : "fact.numbersHead", series.prefix() + series.first(),
                String.valueOf(series.last()));
    }
}
