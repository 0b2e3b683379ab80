package app.yellowtab.stamp;

import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.pdf.Face;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Which marks the pages of one loose file get. */
final class StampMarks {
    private final StampOrder order;
    private final String fileName;
    private final int pages;
    /** How many pages were numbered before this file. */
    private final int done;
    /** How many pages are numbered altogether. */
    private final int all;

    /**
     * @param done pages of the files before it; 0 where each begins anew
     * @param all  pages of all files together; those of this one where each begins anew
     */
    StampMarks(StampOrder order, String fileName, int pages, int done, int all) {
        this.order = order;
        this.fileName = fileName;
        this.pages = pages;
        this.done = done;
        this.all = all;
    }

    /** {@return the marks of a page, counted from 1} */
    List<Mark> on(int page) {
        List<Mark> marks = new ArrayList<>();
        order.number()
                .ifPresent(number -> marks.add(
                        new Mark(Mark.BUNDLE_NUMBER, shown(number, page) + (number.total() ? " of " + written(number, all) : ""),
                                spot(number.setting(), page), number.setting().look())));
        order.series().ifPresent(
                series -> marks.add(new Mark(series.id().value(), series.setting().look().face().showable(serial(series, page)),
                        spot(series.setting(), page), series.setting().look())));
        for (RunningLine line : order.lines()) {
            String words = line.setting().look().face().showable(words(line, page));
            if (!words.isBlank())
                marks.add(Mark.line(line.id().value(), words, spot(line.setting(), page), line.setting().look()));
        }
        marks.sort(Comparator.<Mark, Spot.Row>comparing(mark -> mark.spot().row()).thenComparing(mark -> mark.spot().column()));
        return marks;
    }

    /** {@return the number that a page is called by: the Bates number, or the running one; empty where it has none} */
    String name(int page) {
        return order.series().map(series -> serial(series, page)).or(() -> order.number().map(number -> shown(number, page)))
                .orElse("");
    }

    private String serial(Series series, int page) {
        return SerialNumber.read(series.first()).orElseThrow().plus(done + page - 1L).shown();
    }

    private String shown(BundleNumber number, int page) {
        return written(number, done + page);
    }

    private static String written(BundleNumber number, int page) {
        return number.style().write(number.start() + page - 1);
    }

    private Spot spot(MarkSetting setting, int page) {
        return setting.mirrored() && page % 2 == 0 ? setting.spot().mirrored() : setting.spot();
    }

    private String words(RunningLine line, int page) {
        StringBuilder words = new StringBuilder();
        for (LinePart part : line.parts()) {
            words.append(switch (part) {
                case LinePart.Typed typed -> typed.words();
                case LinePart.Field field -> value(field, page);
            });
        }
        return words.toString().strip();
    }

    /** What only a bundle has is left out. */
    private String value(LinePart.Field field, int page) {
        return switch (field.of()) {
            case PAGE -> order.number().map(number -> shown(number, page)).orElse(String.valueOf(done + page));
            case PAGES -> order.number().map(number -> written(number, all)).orElse(String.valueOf(all));
            case DOCUMENT_PAGE -> String.valueOf(page);
            case DOCUMENT_PAGES -> String.valueOf(pages);
            case FILE_NAME -> fileName;
            case DOCUMENT -> fileName.replaceFirst("\\.[^.]*$", "");
            case PRODUCED -> LinePart.Field.shown(field.form(), order.produced());
            case BUNDLE_TITLE, CASE_NUMBER, PARTIES, COURT, PREPARED_BY, SECTION, TAB, DOCUMENT_DATE -> "";
        };
    }

    /** {@return all letters that its marks are made of, by typeface} */
    Map<Face, Set<Integer>> letters() {
        Map<Face, Set<Integer>> letters = new HashMap<>();
        for (int page = 1; page <= pages; page++) {
            for (Mark mark : on(page)) {
                Set<Integer> own = letters.computeIfAbsent(mark.look().face(), face -> new TreeSet<>());
                mark.words().codePoints().forEach(own::add);
                if (mark.line()) " …".chars().forEach(own::add);
            }
        }
        return letters;
    }

    /** {@return the first number of which the digits are more than were typed; empty where all have room} */
    static Optional<String> outgrown(StampOrder order, int pages) {
        return order.series().flatMap(series -> SerialNumber.read(series.first())).filter(first -> pages > first.room())
                .map(first -> first.plus(first.room() - 1).shown());
    }
}
