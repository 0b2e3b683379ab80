package app.yellowtab.agree;

import app.yellowtab.agree.Columns.Role;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.Agreement.Standing;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.table.IndexTable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Makes lines of an index of the rows of a table. */
final class LineReader {
    private static final Pattern LETTER = Pattern.compile("(?<letter>[A-Z]{1,2}(?:\\.\\d+)*)\\.?");
    private static final Pattern HEADED = Pattern
            .compile("(?:Section|Part|Divider)\\s+(?<letter>[A-Z]{1,2}|\\d+)\\b[\\s:.–-]*(?<title>.*)", Pattern.CASE_INSENSITIVE);
    private static final Pattern PAGES =
            Pattern.compile("(?<from>\\d{1,6})(?:\\s*[-–—]\\s*(?<to>\\d{1,6}))?(?:\\s*(?:pp?|pages?)\\.?)?");
    private static final int MOST_PAGES = 9_999;

    private final Columns columns;
    private final boolean monthFirst;
    private final List<IndexLine> lines = new ArrayList<>();
    private final List<EntryId> open = new ArrayList<>();
    private final Map<String, EntryId> named = new HashMap<>();
    private final Set<String> used = new HashSet<>();

    private LineReader(Columns columns, boolean monthFirst) {
        this.columns = columns;
        this.monthFirst = monthFirst;
    }

    /** @param monthFirst whether 4/3/2031 is the third of April */
    static List<IndexLine> read(IndexTable table, Columns columns, boolean monthFirst) {
        LineReader reader = new LineReader(columns, monthFirst);
        for (IndexTable.Row row : table.rows()) if (row.number() > columns.head()) reader.add(row);
        return reader.lines;
    }

    private void add(IndexTable.Row row) {
        String title = columns.in(row, Role.TITLE);
        if (title.isEmpty() && row.spans() && row.filled().size() == 1) title = row.filled().getFirst();
        Matcher headed = HEADED.matcher(title.isEmpty() && row.filled().size() == 1 ? row.filled().getFirst() : title);
        String tab = columns.in(row, Role.TAB);
        boolean letter = LETTER.matcher(tab).matches();
        boolean alone = row.filled().size() == 1;
        boolean section = isBare(row) && (letter || alone && (row.spans() || headed.matches()));
        if (title.isEmpty() && !headed.matches()) return;
        if (section) {
            boolean words = headed.matches() && !headed.group("title").isBlank();
            section(row, words ? headed.group("title").strip() : title.isEmpty() ? headed.group() : title, depthOf(tab));
            return;
        }
        inNamedSection(row);
        lines.add(new IndexLine(row.number(), reference(row), isReferred(row), false, open.size(),
                open.isEmpty() ? Optional.empty() : Optional.of(open.getLast()), title, date(row), pages(row), agreement(row)));
    }

    /** {@return whether a row says nothing that only a document has} */
    private boolean isBare(IndexTable.Row row) {
        return columns.in(row, Role.DATE).isEmpty() && columns.in(row, Role.PAGES).isEmpty();
    }

    private static int depthOf(String tab) {
        return (int) tab.replaceFirst("\\.$", "").chars().filter(sign -> sign == '.').count();
    }

    private void section(IndexTable.Row row, String title, int depth) {
        while (open.size() > depth) open.removeLast();
        IndexLine line = new IndexLine(row.number(), reference(row), isReferred(row), true, open.size(),
                open.isEmpty() ? Optional.empty() : Optional.of(open.getLast()), title, Optional.empty(), 0, Optional.empty());
        lines.add(line);
        open.add(line.id());
    }

    /**
     * Where the table has a column for it, a document's section is the one that it names there; each is begun where it is first
     * named.
     */
    private void inNamedSection(IndexTable.Row row) {
        String name = columns.in(row, Role.SECTION);
        if (columns.where().get(Role.SECTION) == null) return;
        open.clear();
        if (name.isEmpty()) return;
        EntryId known = named.get(name);
        if (known == null) {
            known = EntryId.fresh();
            named.put(name, known);
            lines.add(new IndexLine(row.number(), known, false, true, 0, Optional.empty(), name, Optional.empty(), 0,
                    Optional.empty()));
        }
        open.add(known);
    }

    private boolean isReferred(IndexTable.Row row) {
        return !columns.in(row, Role.REFERENCE).isEmpty();
    }

    /** {@return the entry that a row names; one that stands twice is a new one the second time} */
    private EntryId reference(IndexTable.Row row) {
        String reference = columns.in(row, Role.REFERENCE);
        return reference.isEmpty() || !used.add(reference) ? EntryId.fresh() : new EntryId(reference);
    }

    private Optional<DocumentDate> date(IndexTable.Row row) {
        if (columns.where().get(Role.DATE) == null) return Optional.empty();
        return DateReader.read(columns.in(row, Role.DATE), monthFirst);
    }

    private int pages(IndexTable.Row row) {
        Matcher count = PAGES.matcher(columns.in(row, Role.PAGES));
        if (count.matches()) {
            int from = Integer.parseInt(count.group("from"));
            return Math.min(MOST_PAGES,
                    count.group("to") == null ? from : Math.max(1, Integer.parseInt(count.group("to")) - from + 1));
        }
        Matcher span = PAGES.matcher(columns.in(row, Role.PAGE));
        boolean both = span.matches() && span.group("to") != null;
        return both
                ? Math.clamp(Integer.parseInt(span.group("to")) - (long) Integer.parseInt(span.group("from")) + 1, 1, MOST_PAGES)
                : 0;
    }

    private Optional<Agreement> agreement(IndexTable.Row row) {
        if (columns.where().get(Role.STANDING) == null && columns.where().get(Role.REMARK) == null) return Optional.empty();
        String word = columns.in(row, Role.STANDING);
        String remark = columns.in(row, Role.REMARK);
        Optional<Standing> standing = standing(word);
        if (standing.isPresent()) return Optional.of(new Agreement(standing.get(), remark));
        return Optional.of(new Agreement(Standing.OPEN, remark.isEmpty() ? word : word + "; " + remark));
    }

    /** {@return what somebody means by a word or two; empty where it is a remark} */
    static Optional<Standing> standing(String word) {
        String plain = word.toLowerCase(Locale.ROOT).strip();
        if (plain.isEmpty()) return Optional.of(Standing.OPEN);
        if (plain.matches("(not agreed|disput|object|oppos|refus|no$).*")) return Optional.of(Standing.DISPUTED);
        if (plain.matches("(agree|yes$|y$|ok$|✓|accept).*")) return Optional.of(Standing.AGREED);
        if (plain.matches("(await|to follow|tbc|to be confirmed|pending).*")) return Optional.of(Standing.AWAITED);
        return Optional.empty();
    }
}
