package app.yellowtab.carry;

import app.yellowtab.output.ObjectNumber;
import java.io.IOException;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDNamedDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.slf4j.LoggerFactory;

/** Where links of a source lead in the bundle (ISO 32000-1:2008, 12.3.2). For one thread. */
final class Destinations {
    private final PDDocument document;
    private final IntUnaryOperator leaves;
    private final Map<COSBase, Integer> pageNumbers = new IdentityHashMap<>();

    /** @param leaves gives the bundle number of a page of the source, counted from 1; 0 for one that is not in the bundle */
    Destinations(PDDocument document, List<COSDictionary> pages, IntUnaryOperator leaves) {
        this.document = document;
        this.leaves = leaves;
        for (int i = 0; i < pages.size(); i++) pageNumbers.putIfAbsent(pages.get(i), i + 1);
    }

    /** {@return the leaf that a page dictionary of the source has become} */
    Optional<ObjectNumber> leaf(COSBase page) {
        Integer number = pageNumbers.get(page);
        return number == null ? Optional.empty() : leaf((int) number);
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
            PDDestination destination = PDDestination.create(wanted);
            if (destination instanceof PDNamedDestination named) destination = document.getDocumentCatalog().findNamedDestinationPage(named);
            return destination instanceof PDPageDestination to ? explicit(to.getCOSObject()) : Optional.empty();
        } catch (IOException | RuntimeException | StackOverflowError senseless) {
            LoggerFactory.getLogger(Destinations.class).info("a link without a sensible target", senseless);
            return Optional.empty();
        }
    }

    private Optional<COSArray> explicit(COSArray original) {
        COSBase page = original.getObject(0);
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
