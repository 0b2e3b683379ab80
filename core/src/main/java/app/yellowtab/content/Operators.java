package app.yellowtab.content;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.cos.COSName;
import org.jspecify.annotations.Nullable;

/**
 * All operators (ISO 32000-1:2008, annex A), each with what must stand before it: n is a number, / a name, s a string, a an
 * array, p a name or a dictionary.
 */
final class Operators {
    /** One of these many colour operands, and a pattern's name after them where the operator takes one. */
    private static final String COLOURS = "colours";
    private static final String COLOURS_OR_PATTERN = "colours or pattern";

    private static final Map<String, String> OPERANDS =
            Map.ofEntries(Map.entry("b", ""), Map.entry("B", ""), Map.entry("b*", ""), Map.entry("B*", ""),
                    Map.entry("BDC", "/p"), Map.entry("BI", ""), Map.entry("BMC", "/"), Map.entry("BT", ""), Map.entry("BX", ""),
                    Map.entry("c", "nnnnnn"),
                    Map.entry("cm", "nnnnnn"), Map.entry("CS", "/"), Map.entry("cs", "/"), Map.entry("d", "an"),
                    Map.entry("d0", "nn"), Map.entry("d1", "nnnnnn"),
                    Map.entry("Do", "/"), Map.entry("DP", "/p"), Map.entry("EMC", ""), Map.entry("ET", ""), Map.entry("EX", ""),
                    Map.entry("f", ""), Map.entry("F", ""),
                    Map.entry("f*", ""), Map.entry("G", "n"), Map.entry("g", "n"), Map.entry("gs", "/"), Map.entry("h", ""),
                    Map.entry("i", "n"), Map.entry("j", "n"),
                    Map.entry("J", "n"), Map.entry("K", "nnnn"), Map.entry("k", "nnnn"), Map.entry("l", "nn"),
                    Map.entry("m", "nn"), Map.entry("M", "n"),
                    Map.entry("MP", "/"), Map.entry("n", ""), Map.entry("q", ""), Map.entry("Q", ""), Map.entry("re", "nnnn"),
                    Map.entry("RG", "nnn"),
                    Map.entry("rg", "nnn"), Map.entry("ri", "/"), Map.entry("s", ""), Map.entry("S", ""),
                    Map.entry("SC", COLOURS), Map.entry("sc", COLOURS),
                    Map.entry("SCN", COLOURS_OR_PATTERN), Map.entry("scn", COLOURS_OR_PATTERN), Map.entry("sh", "/"),
                    Map.entry("T*", ""), Map.entry("Tc", "n"),
                    Map.entry("Td", "nn"), Map.entry("TD", "nn"), Map.entry("Tf", "/n"), Map.entry("Tj", "s"),
                    Map.entry("TJ", "a"), Map.entry("TL", "n"),
                    Map.entry("Tm", "nnnnnn"), Map.entry("Tr", "n"), Map.entry("Ts", "n"), Map.entry("Tw", "n"),
                    Map.entry("Tz", "n"), Map.entry("v", "nnnn"),
                    Map.entry("w", "n"), Map.entry("W", ""), Map.entry("W*", ""), Map.entry("y", "nnnn"), Map.entry("'", "s"),
                    Map.entry("\"", "nns"));
    private static final Map<String, COSName> NAMING = Map.of("gs", COSName.EXT_G_STATE, "cs", COSName.COLORSPACE, "CS",
            COSName.COLORSPACE,
            "scn", COSName.PATTERN, "SCN", COSName.PATTERN, "sh", COSName.SHADING, "Do", COSName.XOBJECT, "Tf", COSName.FONT,
            "BDC", COSName.PROPERTIES, "DP", COSName.PROPERTIES);
    private static final Set<String> PATH = Set.of("m", "l", "c", "v", "y", "h", "re", "W", "W*");
    private static final Set<String> PAINT = Set.of("b", "B", "b*", "B*", "f", "F", "f*", "s", "S", "n");
    private static final int LONGEST = 3;
    private static final int SLOTS = 512;
    private static final @Nullable Operator[] TABLE = table();

    private Operators() {}

    /**
     * An operator.
     *
     * @param naming  what kind of resource its last name is looked up in; null if in none
     * @param isOpen  whether it begins or goes on with a path
     * @param isPaint whether it ends a path
     */
    record Operator(String name, String operands, @Nullable COSName naming, boolean isOpen, boolean isPaint) {
        private static Operator of(String name, String operands) {
            return new Operator(name, operands, NAMING.get(name), PATH.contains(name), PAINT.contains(name));
        }

        /** {@return whether operands of these kinds are what it takes} */
        boolean takes(byte[] kinds, int count) {
            if (operands == COLOURS || operands == COLOURS_OR_PATTERN) {
                int numbers = count > 0 && kinds[count - 1] == '/' && operands == COLOURS_OR_PATTERN ? count - 1 : count;
                for (int i = 0; i < numbers; i++) if (kinds[i] != 'n') return false;
                return count > 0;
            }
            if (count != operands.length()) return false;
            for (int i = 0; i < count; i++) {
                char wanted = operands.charAt(i);
                if (kinds[i] != wanted && !(wanted == 'p' && (kinds[i] == '/' || kinds[i] == 'd'))) return false;
            }
            return true;
        }
    }

    private static @Nullable Operator[] table() {
        @Nullable Operator[] table = new Operator[SLOTS];
        OPERANDS.forEach((name, operands) -> {
            byte[] bytes = name.getBytes(StandardCharsets.US_ASCII);
            int slot = slot(bytes, 0, bytes.length);
            while (table[slot] != null) slot = slot + 1 & SLOTS - 1;
            table[slot] = Operator.of(name, operands);
        });
        return table;
    }

    /** {@return the operator that stands somewhere, or null if there is none of that name} */
    static @Nullable Operator at(byte[] bytes, int start, int length) {
        if (length > LONGEST) return null;
        int slot = slot(bytes, start, length);
        while (true) {
            Operator operator = TABLE[slot];
            if (operator == null || isNamed(operator, bytes, start, length)) return operator;
            slot = slot + 1 & SLOTS - 1;
        }
    }

    private static boolean isNamed(Operator operator, byte[] bytes, int start, int length) {
        if (operator.name.length() != length) return false;
        for (int i = 0; i < length; i++) if (operator.name.charAt(i) != bytes[start + i]) return false;
        return true;
    }

    private static int slot(byte[] bytes, int start, int length) {
        int key = 0;
        for (int i = 0; i < length; i++) key = key * 31 + bytes[start + i];
        return (key ^ key >>> 7) & SLOTS - 1;
    }
}
