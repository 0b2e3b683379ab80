package app.yellowtab.agree;

import app.yellowtab.finding.FindingException;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.table.IndexTable;
import app.yellowtab.table.TableReader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * An index as a table gives it, read from a file.
 *
 * @param name    of the file
 * @param table   the table that looks most like an index
 * @param columns what its columns hold; {@link #with} corrects it
 */
public record AgreedIndex(String name, IndexTable table, Columns columns) {
    /**
     * Reads an index from a spreadsheet (.xlsx, .xls), from separated values (.csv), or from a table in a Word file (.docx).
     *
     * @throws FindingException if the file cannot be read, or has no table
     */
    public static AgreedIndex read(Path file) throws FindingException {
        Comparator<IndexTable> likeness = Comparator.comparingInt(table -> Columns.of(table).where().size());
        IndexTable best =
                TableReader.read(file).stream().max(likeness.thenComparingInt(table -> table.rows().size())).orElseThrow();
        return new AgreedIndex(String.valueOf(file.getFileName()), best, Columns.of(best));
    }

    /** {@return the same with another column for what one holds; without it for none} */
    public AgreedIndex with(Columns.Role role, Optional<Integer> column) {
        return new AgreedIndex(name, table, columns.with(role, column));
    }

    /** {@return its lines: sections and documents, in order} */
    public List<IndexLine> lines(boolean monthFirst) {
        return LineReader.read(table, columns, monthFirst);
    }

    /** {@return the sections and documents of lines, each document with pages kept free for it} */
    public static Contents contents(List<IndexLine> lines) {
        return contents(lines, Optional.empty());
    }

    private static Contents contents(List<IndexLine> lines, Optional<EntryId> section) {
        List<Document> documents = new ArrayList<>();
        List<Section> sections = new ArrayList<>();
        for (IndexLine line : lines) {
            if (!line.section().equals(section)) continue;
            if (line.isSection()) sections.add(new Section(line.id(), line.title(), contents(lines, Optional.of(line.id()))));
            else documents.add(IndexChanges.placeholder(line));
        }
        return new Contents(documents, sections);
    }
}
