package app.yellowtab.files;

import java.util.Arrays;
import java.util.stream.Collectors;

/** Lines of tables of comma-separated values (RFC 4180). */
public final class CsvLine {
    private CsvLine() {}

    /** {@return a line with its end} */
    public static String of(Object... values) {
        return Arrays.stream(values).map(value -> quoted(String.valueOf(value))).collect(Collectors.joining(",")) + "\r\n";
    }

    /** {@return a value as a table has it; one that begins like a formula is kept from being taken for one by a spreadsheet} */
    public static String quoted(String value) {
        String safe = !value.isEmpty() && "=+-@\t\r".indexOf(value.charAt(0)) >= 0 ? "'" + value : value;
        return safe.chars().anyMatch(letter -> ",\"\r\n".indexOf(letter) >= 0) ? '"' + safe.replace("\"", "\"\"") + '"' : safe;
    }
}
