package app.yellowtab.carry;

import app.yellowtab.input.NamedDestinations;
import app.yellowtab.input.PageList;
import app.yellowtab.output.ObjectNumber;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.slf4j.LoggerFactory;

/** Where links of a source lead in the bundle (ISO 32000-1:2008, 12.3.2). For one thread. */
final class Destinations {
    private final NamedDestinations names;
    private final PageList pages;
    private final IntUnaryOperator leaves;

    /** @param leaves gives the place in the file of a page of the source, both counted from 1; 0 for one that is not in the file */
    Destinations(PDDocument document, PageList pages, IntUnaryOperator leaves) {
        this.names = new NamedDestinations(document);
        this.pages = pages;
        this.leaves = leaves;
    }

    /** {@return whether something, a reference or a dictionary, is a page of the source} */
    boolean isPage(COSBase item) {
        return pages.numberOf(item) > 0;
    }

    /** {@return the leaf that a page of the source has become} */
    Optional<ObjectNumber> leaf(COSBase page) {
        int number = pages.numberOf(page);
        return number == 0 ? Optional.empty() : leaf(number);
    }

    private Optional<ObjectNumber> leaf(int page) {
        int leaf = leaves.applyAsInt(page);
        return leaf == 0 ? Optional.empty() : Optional.of(new ObjectNumber(leaf));
    }

    /**
     * {@return the explicit destination in the bundle, or empty if the page is not in it} Named destinations lose their
     * name: two sources may use the same one.
     */
    Optional<COSArray> resolve(COSBase wanted) {
        try {
            return names.explicit(wanted).flatMap(this::inBundle);
        } catch (RuntimeException | StackOverflowError senseless) {
            LoggerFactory.getLogger(Destinations.class).info("a link without a sensible target", senseless);
            return Optional.empty();
        }
    }

    private Optional<COSArray> inBundle(COSArray original) {
        COSBase page = original.get(0);
        Optional<ObjectNumber> leaf = page instanceof COSNumber number ? leaf(number.intValue() + 1) : page == null ? Optional.empty() : leaf(page);
        return leaf.map(reference -> {
            COSArray explicit = new COSArray();
            explicit.add(reference);
            for (int i = 1; i < Math.min(original.size(), 6); i++) {
                COSBase part = original.getObject(i);
                explicit.add(part instanceof COSNumber || part instanceof COSName ? part : COSNull.NULL);
            }
            return explicit;
        });
    }
}
