package app.yellowtab.write;

import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.PdfWriter;
import java.io.IOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;

/** Writes the names by which other files lead to leaves, as a name tree (ISO 32000-1:2008, 7.9.6). */
final class NameTree {
    private static final int FAN_OUT = 64;

    private final List<COSString> names;

    /** @param names of all leaves, in order; no two are the same */
    NameTree(List<String> names) {
        this.names = names.stream().map(COSString::new).toList();
    }

    /** {@return the number of its root} */
    int write(PdfWriter writer) throws IOException {
        List<Integer> sorted = IntStream.range(0, names.size()).boxed()
                .sorted(Comparator.comparing(leaf -> names.get(leaf).getBytes(), Arrays::compareUnsigned)).toList();
        COSArray kids = new COSArray();
        for (int from = 0; from < sorted.size(); from += FAN_OUT) {
            List<Integer> some = sorted.subList(from, Math.min(from + FAN_OUT, sorted.size()));
            COSArray limits = new COSArray(List.of(names.get(some.getFirst()), names.get(some.getLast())));
            COSArray pairs = new COSArray();
            for (int leaf : some) {
                pairs.add(names.get(leaf));
                pairs.add(BundleFile.top(leaf + 1));
            }
            COSDictionary kid = new COSDictionary();
            kid.setItem(COSName.LIMITS, limits);
            kid.setItem(COSName.NAMES, pairs);
            kids.add(new ObjectNumber(write(writer, kid)));
        }
        COSDictionary root = new COSDictionary();
        root.setItem(COSName.KIDS, kids);
        return write(writer, root);
    }

    private static int write(PdfWriter writer, COSDictionary node) throws IOException {
        int number = writer.newNumber();
        writer.write(number, ObjectGraph.plain().reach(node));
        return number;
    }
}
