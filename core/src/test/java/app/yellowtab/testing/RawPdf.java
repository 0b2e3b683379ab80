package app.yellowtab.testing;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/**
 * Writes a PDF of one page by hand, to have each kind of file structure (ISO 32000-1:2008, 7.5). The page says what it is told.
 */
public final class RawPdf {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final Map<Integer, Integer> offsets = new TreeMap<>();

    private RawPdf(String version) {
        text("%PDF-" + version + "\n");
    }

    /** {@return a file with a cross-reference table, in the given version of the standard} */
    public static byte[] plain(String version, String words) {
        RawPdf pdf = new RawPdf(version);
        for (int i = 1; i <= 5; i++) pdf.object(i, body(i, words));
        int table = pdf.table(1, 2, 3, 4, 5);
        return pdf.end("/Size 6/Root 1 0 R", table);
    }

    /** {@return a file whose page said something else before it was updated} */
    public static byte[] updated(String words) {
        RawPdf pdf = new RawPdf("1.4");
        for (int i = 1; i <= 5; i++) pdf.object(i, body(i, "earlier words"));
        int table = pdf.table(1, 2, 3, 4, 5);
        pdf.end("/Size 6/Root 1 0 R", table);
        pdf.object(4, body(4, words));
        int update = pdf.table(4);
        return pdf.end("/Size 6/Root 1 0 R/Prev " + table, update);
    }

    /** {@return a file that old readers find empty: its page and font are in an object stream (7.5.8.4)} */
    public static byte[] hybrid(String words) {
        RawPdf pdf = new RawPdf("1.5");
        for (int i : new int[] {1, 2, 4}) pdf.object(i, body(i, words));
        String page = body(3, words);
        String head = "3 0 5 " + (page.length() + 1) + " ";
        String packed = head + page + " " + body(5, words);
        pdf.object(6, "<</Type/ObjStm/N 2/First " + head.length() + "/Length " + packed.length() + ">>\nstream\n" + packed
                + "\nendstream");
        byte[] entries = {2, 0, 6, 0, 2, 0, 6, 1};
        int stream = pdf.out.size();
        pdf.object(7, "<</Type/XRef/Size 8/Index[3 1 5 1]/W[1 2 1]/Root 1 0 R/Length 8>>\nstream\n"
                + new String(entries, StandardCharsets.ISO_8859_1) + "\nendstream");
        int table = pdf.table(1, 2, 4, 6, 7);
        return pdf.end("/Size 8/Root 1 0 R/XRefStm " + stream, table);
    }

    /** {@return a file arranged for reading page by page over a network (annex F): its first table leads to one further on} */
    public static byte[] linearised(String words) {
        int main = 0;
        byte[] bytes = {};
        for (int pass = 0; pass < 2; pass++) {
            RawPdf pdf = new RawPdf("1.4");
            Map<Integer, Integer> known = pass == 0 ? Map.of(1, 0, 3, 0, 4, 0, 5, 0) : new TreeMap<>(pdf.offsetsOf(bytes));
            pdf.object(6, String.format(Locale.ROOT, "<</Linearized 1/L %010d/H[0 0]/O 3/E %010d/N 1/T %010d>>", bytes.length,
                    bytes.length, main));
            known.forEach(pdf.offsets::putIfAbsent);
            int first = pdf.table(1, 3, 4, 5, 6);
            pdf.text(String.format(Locale.ROOT, "trailer\n<</Size 7/Root 1 0 R/Prev %010d>>\nstartxref\n0\n%%%%EOF\n", main));
            for (int i : new int[] {1, 3, 4, 5, 2}) pdf.object(i, body(i, words));
            main = pdf.table(2);
            bytes = pdf.end("/Size 7", first);
        }
        return bytes;
    }

    private Map<Integer, Integer> offsetsOf(byte[] bytes) {
        String all = new String(bytes, StandardCharsets.ISO_8859_1);
        Map<Integer, Integer> found = new TreeMap<>();
        for (int i = 1; i <= 5; i++) found.put(i, all.indexOf("\n" + i + " 0 obj") + 1);
        return found;
    }

    private static String body(int number, String words) {
        String content = "BT /F 18 Tf 100 400 Td (" + words + ") Tj ET 1 0 0 rg 300 300 80 40 re f";
        return switch (number) {
            case 1 -> "<</Type/Catalog/Pages 2 0 R>>";
            case 2 -> "<</Type/Pages/Kids[3 0 R]/Count 1/MediaBox[0 0 500 700]>>";
            case 3 -> "<</Type/Page/Parent 2 0 R/Contents 4 0 R/Resources<</Font<</F 5 0 R>>>>>>";
            case 4 -> "<</Length " + content.length() + ">>\nstream\n" + content + "\nendstream";
            default -> "<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>";
        };
    }

    private void text(String text) {
        out.writeBytes(text.getBytes(StandardCharsets.ISO_8859_1));
    }

    private void object(int number, String body) {
        offsets.put(number, out.size());
        text(number + " 0 obj\n" + body + "\nendobj\n");
    }

    private int table(int... numbers) {
        int start = out.size();
        text("xref\n0 1\n0000000000 65535 f \n");
        for (int number : numbers) text(number + " 1\n" + String.format(Locale.ROOT, "%010d 00000 n \n", offsets.get(number)));
        return start;
    }

    private byte[] end(String trailer, int table) {
        text("trailer\n<<" + trailer + ">>\nstartxref\n" + table + "\n%%EOF\n");
        return out.toByteArray();
    }
}
