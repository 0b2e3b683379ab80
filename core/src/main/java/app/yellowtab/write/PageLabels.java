package app.yellowtab.write;

import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Writes page labels (ISO 32000-1:2008, 12.4.2): one range for labels that count on, whatever stands before their figures. */
final class PageLabels {
    /** The first code of UTF-16 text in a string (7.9.2.2). */
    private static final String BYTE_ORDER_MARK = "feff";
    private static final Pattern COUNTING = Pattern.compile("(.*?)([1-9]\\d{0,8})");

    private PageLabels() {}

    /** {@return the number tree's entries for labels, the first for the first page} */
    static String of(List<String> labels) {
        StringBuilder ranges = new StringBuilder();
        String prefix = "";
        int value = -2;
        for (int i = 0; i < labels.size(); i++) {
            Matcher counting = COUNTING.matcher(labels.get(i));
            if (!counting.matches()) {
                ranges.append(i).append("<</P").append(string(labels.get(i))).append(">>");
                value = -2;
                continue;
            }
            int now = Integer.parseInt(counting.group(2));
            if (now != value + 1 || !counting.group(1).equals(prefix)) {
                prefix = counting.group(1);
                ranges.append(i).append("<</S/D/St ").append(now).append(prefix.isEmpty() ? "" : "/P" + string(prefix))
                        .append(">>");
            }
            value = now;
        }
        return ranges.toString();
    }

    private static String string(String text) {
        return "<" + BYTE_ORDER_MARK + HexFormat.of().formatHex(text.getBytes(StandardCharsets.UTF_16BE)) + ">";
    }
}
