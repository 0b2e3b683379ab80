package app.yellowtab.output;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;

/**
 * Puts one object into its written form (ISO 32000-1:2008, 7.3), always in the same way: names in order, entries without a
 * value and the length of streams left out. Where it refers to another object, a gap is left.
 */
final class ObjectText {
    /** Direct objects nested deeper than the parser allows are no honest file's. */
    private static final int DEEPEST = 600;

    private final ObjectGraph graph;
    private final ByteSink out;
    private final List<Gap> gaps;

    /**
     * Where an object refers to another.
     *
     * @param at     how many bytes of the text stand before it
     * @param target an {@link ObjectNumber}, a {@link FontReference}, or the dictionary, array or stream itself
     */
    record Gap(int at, COSBase target) {}

    /** @param gaps is filled in the order of the text */
    ObjectText(ObjectGraph graph, ByteSink out, List<Gap> gaps) {
        this.graph = graph;
        this.out = out;
        this.gaps = gaps;
    }

    /** Writes what an object itself holds; of a stream, its dictionary. */
    void write(COSBase object, int depth) throws IOException {
        if (depth > DEEPEST) throw new IOException("objects are nested too deeply");
        if (object instanceof COSDictionary dictionary) dictionary(dictionary, depth);
        else if (object instanceof COSArray array) array(array, depth);
        else if (object instanceof COSName name) name.writePDF(out);
        else if (object instanceof COSInteger integer) out.number(integer.longValue());
        else if (object instanceof COSFloat number) number.writePDF(out);
        else if (object instanceof COSString string) string(string.getBytes());
        else if (object instanceof COSBoolean truth) out.text(truth.getValue() ? "true" : "false");
        else out.text("null");
    }

    private void array(COSArray array, int depth) throws IOException {
        out.write('[');
        for (int i = 0; i < array.size(); i++) {
            if (i > 0) out.write(' ');
            COSBase item = array.get(i);
            item(item, graph.resolve(item), depth);
        }
        out.write(']');
    }

    private void dictionary(COSDictionary dictionary, int depth) throws IOException {
        COSName[] names = dictionary.keySet().toArray(new COSName[0]);
        Arrays.sort(names);
        out.text("<<");
        for (COSName name : names) {
            if (graph.leavesBehind(dictionary, name)) continue;
            COSBase item = dictionary.getItem(name);
            COSBase real = graph.resolve(item);
            if (real == COSNull.NULL) continue;
            graph.enters(name, real);
            name.writePDF(out);
            out.write(' ');
            item(item, real, depth);
        }
        out.text(">>");
    }

    private void item(COSBase item, COSBase real, int depth) throws IOException {
        boolean number = real instanceof ObjectNumber || real instanceof FontReference;
        if (number || standsAlone(item, real)) gaps.add(new Gap(out.size(), real));
        else write(real, depth + 1);
    }

    /** {@return whether an item is written as a reference} */
    private static boolean standsAlone(COSBase item, COSBase real) {
        return real instanceof COSStream
                || item instanceof COSObject && (real instanceof COSDictionary || real instanceof COSArray);
    }

    /** As a literal string (7.3.4.2); line ends are escaped, since a bare one may be read as another. */
    private void string(byte[] bytes) {
        out.write('(');
        for (byte b : bytes) {
            if (b == '(' || b == ')' || b == '\\') out.write('\\');
            if (b == '\r') out.text("\\r");
            else if (b == '\n') out.text("\\n");
            else out.write(b);
        }
        out.write(')');
    }
}
