package app.yellowtab.agree;

import app.yellowtab.table.IndexTable;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What the columns of a table hold.
 *
 * @param head  the number of the row with their heads, as the file counts; 0 where there is none
 * @param where each one's column, counted from 0; those that the table does not have are missing
 */
public record Columns(int head, Map<Role, Integer> where) {
    /** What a column holds. */
    public enum Role {
        REFERENCE("reference|ref|ref no|our reference"), TAB("tab|no|number|item|item no|nr|document no|doc no|#"),
        SECTION("section|part|divider"),
        TITLE("title|document|description|description of document|document description|name|particulars|documents"),
        DATE("date|dated|document date|date of document"),
        PAGES("pages|no of pages|number of pages|page count|pp|pgs|length"),
        PAGE("page|page no|page nos|page number|page numbers|bundle page|at page"),
        STANDING("status|agreed|agreed or disputed|position|standing"),
        REMARK("remark|remarks|comment|comments|objection|objections|notes|note|reason");

        private final Pattern heads;

        Role(String heads) {
            this.heads = Pattern.compile(heads);
        }

        private boolean isHead(String cell) {
            return heads.matcher(cell.toLowerCase(Locale.ROOT).replaceAll("[.:()/?*]", " ").replaceAll("\\s+", " ").strip())
                    .matches();
        }
    }

    /** Heads stand within so many rows; what is above them is a title of the whole. */
    private static final int MOST_ABOVE = 30;

    public Columns {
        where = Map.copyOf(where);
    }

    /** {@return the columns as their heads tell; without heads, the widest words are the titles} */
    static Columns of(IndexTable table) {
        Columns best = new Columns(0, Map.of());
        for (IndexTable.Row row : table.rows().stream().limit(MOST_ABOVE).toList()) {
            Map<Role, Integer> found = new EnumMap<>(Role.class);
            for (int column = 0; column < row.cells().size(); column++) {
                for (Role role : Role.values())
                    if (role.isHead(row.cell(column)) && !found.containsKey(role)) found.put(role, column);
            }
            if (found.containsKey(Role.TITLE) && found.size() > Math.max(1, best.where.size()))
                best = new Columns(row.number(), found);
        }
        return best.where.isEmpty() ? new Columns(0, Map.of(Role.TITLE, widest(table))) : best;
    }

    private static int widest(IndexTable table) {
        int best = 0;
        long most = -1;
        for (int column = 0; column < table.columns(); column++) {
            int here = column;
            long letters = table.rows().stream().mapToLong(row -> row.cell(here).length()).sum();
            if (letters > most) best = column;
            most = Math.max(most, letters);
        }
        return best;
    }

    /** {@return the same with another column for what one holds; without it for none} */
    public Columns with(Role role, Optional<Integer> column) {
        Map<Role, Integer> changed = new EnumMap<>(Role.class);
        changed.putAll(where);
        column.ifPresent(there -> changed.values().removeIf(there::equals));
        changed.remove(role);
        column.ifPresent(there -> changed.put(role, there));
        return new Columns(head, changed);
    }

    /** {@return the words of a row in the column with a role; empty where there is no such column} */
    String in(IndexTable.Row row, Role role) {
        Integer column = where.get(role);
        return column == null ? "" : row.cell(column);
    }

    /** {@return what the columns are called in tables of ours, in their order} */
    static List<String> heads() {
        return List.of("Reference", "Tab", "Title", "Date", "Pages", "Page", "Status", "Remarks");
    }
}
