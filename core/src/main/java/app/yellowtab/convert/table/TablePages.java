package app.yellowtab.convert.table;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Sets spreadsheets on pages: every visible sheet, cells as they are shown. */
public final class TablePages {
    private TablePages() {}

    /**
     * Adds a workbook of the newer or the older kind (.xlsx, .xls).
     *
     * @param monthFirst how dates are written that leave it to the reader
     */
    public static void addWorkbook(PDDocument document, Path file, boolean monthFirst, Notes notes) throws IOException {
        add(document, WorkbookReader.read(file, monthFirst, notes), notes);
    }

    /** Adds an OpenDocument spreadsheet. */
    public static void addOds(PDDocument document, Path file, Notes notes) throws IOException {
        add(document, OdsReader.read(file, notes), notes);
    }

    /** Adds a list of separated values, as decoded text. */
    public static void addValues(PDDocument document, String text, Notes notes) throws IOException {
        add(document, List.of(ValuesReader.read(text)), notes);
    }

    private static void add(PDDocument document, List<Grid> grids, Notes notes) throws IOException {
        FontSet fonts = FontSet.forSaving(document);
        int missing = 0;
        for (Grid grid : grids) {
            if (grid.rows.isEmpty()) continue;
            GridPages.add(document, fonts, grid, grids.size() > 1 ? grid.name : "", notes);
            for (var row : grid.rows)
                missing += row.values().stream().mapToInt(cell -> Typeface.SANS.missingIn(cell.text())).sum();
        }
        if (missing > 0) notes.say(Code.CHARACTERS_NOT_SHOWN, String.valueOf(missing));
    }
}
