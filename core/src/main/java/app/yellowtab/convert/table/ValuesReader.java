package app.yellowtab.convert.table;

import app.yellowtab.convert.table.Grid.Cell;
import java.io.IOException;
import java.util.List;
import java.util.SortedMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads separated values (RFC 4180), whichever separator they have. */
final class ValuesReader {
    private static final float LETTER_PT = 5;
    private static final int WIDEST = 60;

    private ValuesReader() {}

    static Grid read(String text) throws IOException {
        Grid grid = new Grid("");
        Grid.Count count = new Grid.Count();
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator(text)).setIgnoreEmptyLines(false)
                .setLenientEof(true).setTrailingData(true).get();
        try (CSVParser parser = CSVParser.parse(text, format)) {
            for (CSVRecord record : parser) {
                SortedMap<Integer, Cell> row = grid.addRow();
                for (int column = 0; column < record.size(); column++) {
                    String value = record.get(column).strip();
                    count.add(value);
                    if (value.isEmpty()) continue;
                    boolean number = value.matches("[-+(]?[£$€]?[\\d.,]+%?\\)?");
                    row.put(column, new Cell(value, number ? Cell.Align.RIGHT : Cell.Align.LEFT, false, -1, 1));
                    while (grid.widths.size() <= column) grid.widths.add(30f);
                    float wanted = Math.min(WIDEST, value.length()) * LETTER_PT + 8;
                    if (wanted > grid.widths.get(column)) grid.widths.set(column, wanted);
                }
            }
        }
        grid.finish();
        return grid;
    }

    /** {@return the sign that divides the first lines into the same number of values, most of them} */
    private static char separator(String text) {
        List<String> first = text.lines().limit(20).filter(line -> !line.isBlank()).toList();
        char best = ',';
        long most = 0;
        for (char candidate : new char[] {',', ';', '\t', '|'}) {
            long fewest = first.stream().mapToLong(line -> line.chars().filter(c -> c == candidate).count()).min().orElse(0);
            if (fewest > most) {
                most = fewest;
                best = candidate;
            }
        }
        return best;
    }
}
