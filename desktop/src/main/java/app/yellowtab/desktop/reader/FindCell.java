package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.reader.FindDesk.Row;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import javafx.scene.control.ListCell;
import org.jspecify.annotations.Nullable;

/** A line of what was found. */
final class FindCell extends ListCell<Row> {
    FindCell() {
        setPrefWidth(1);
    }

    @Override
    protected void updateItem(@Nullable Row row, boolean empty) {
        super.updateItem(row, empty);
        boolean blank = empty || row == null;
        setText(blank ? "" : words(row));
        pseudoClassStateChanged(Styles.NESTED, !blank && row instanceof Row.Place);
        pseudoClassStateChanged(Styles.SECTION, !blank && row instanceof Row.Within);
    }

    private static String words(Row row) {
        return switch (row) {
            case Row.ToPage page -> Words.of("find.toPage", page.number());
            case Row.Entry found -> switch (found.entry()) {
                case PlannedSection section -> Words.of("find.section", section.label(), section.title(), section.span().from());
                case PlannedDocument planned ->
                        Words.of("find.entry", planned.title(), planned.document().date().shown(), planned.span().from());
            };
            case Row.Within document -> Words.of("find.within", document.title(), document.count());
            case Row.Place place ->
                    place.number().isEmpty() ? place.around() : Words.of("find.place", place.number(), place.around());
        };
    }
}
