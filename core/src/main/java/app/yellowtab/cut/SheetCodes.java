package app.yellowtab.cut;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.run.ReservedPages;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What separator sheets say, as somebody types it or as the index knows it. */
public final class SheetCodes {
    private static final int PARTS = 3;

    private SheetCodes() {}

    /**
     * {@return what a line says: a name, and if wanted behind upright strokes a date and a section, such as "Witness statement |
     * 3 October 2030 | Statements"}
     *
     * @throws IllegalArgumentException if the date is none, or there are more parts; its message says so
     */
    public static SheetCode typed(String line, boolean monthFirst) {
        String[] parts = line.split("\\|", -1);
        if (parts.length > PARTS)
            throw new IllegalArgumentException("“" + line.strip() + "” has more than a name, a date and a section");
        return new SheetCode(parts[0],
                parts.length > 1 && !parts[1].isBlank() ? Optional.of(day(parts[1].strip(), monthFirst)) : Optional.empty(),
                parts.length == PARTS ? parts[2] : "");
    }

    private static LocalDate day(String typed, boolean monthFirst) {
        if (DateReader.read(typed, monthFirst).orElse(DocumentDate.NOT_GIVEN) instanceof DocumentDate.Day day) return day.day();
        throw new IllegalArgumentException("“" + typed + "” is no day, such as 3 October 2030");
    }

    /** {@return a sheet for each document of the index that is still to come, in order} */
    public static List<SheetCode> placeholders(Bundle bundle) {
        List<SheetCode> sheets = new ArrayList<>();
        collect(bundle.contents(), "", sheets);
        return sheets;
    }

    private static void collect(Contents contents, String section, List<SheetCode> sheets) {
        for (Document document : contents.documents()) {
            if (document.runs().stream().noneMatch(ReservedPages.class::isInstance)) continue;
            sheets.add(new SheetCode(document.title(),
                    document.date() instanceof DocumentDate.Day day ? Optional.of(day.day()) : Optional.empty(), section));
        }
        for (Section inner : contents.sections()) collect(inner.contents(), inner.title(), sheets);
    }
}
