package app.yellowtab.carry.part;

import app.yellowtab.input.NamedDestinations;
import app.yellowtab.input.PageList;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageView;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.pdf.PageFrame;
import java.awt.geom.AffineTransform;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.slf4j.LoggerFactory;

/** Where links of a source lead in the bundle (ISO 32000-1:2008, 12.3.2). For one thread. */
public final class Destinations {
    private final NamedDestinations names;
    private final PageList pages;
    private final Targets targets;

    public Destinations(PDDocument document, PageList pages, Targets targets) {
        this.names = new NamedDestinations(document);
        this.pages = pages;
        this.targets = targets;
    }

    /** {@return whether something, a reference or a dictionary, is a page of the source} */
    public boolean isPage(COSBase item) {
        return pages.numberOf(item) > 0;
    }

    /** {@return the leaf that a page of the source has become} */
    public Optional<ObjectNumber> leaf(COSBase page) {
        return targets.of(pages.numberOf(page)).map(target -> new ObjectNumber(target.position()));
    }

    /**
     * {@return the explicit destination in the bundle, or empty if the page is not in it} Named destinations lose their
     * name: two sources may use the same one.
     */
    public Optional<COSArray> resolve(COSBase wanted) {
        try {
            return names.explicit(wanted).flatMap(this::inBundle);
        } catch (RuntimeException | StackOverflowError senseless) {
            LoggerFactory.getLogger(Destinations.class).info("a link without a sensible target", senseless);
            return Optional.empty();
        }
    }

    private Optional<COSArray> inBundle(COSArray original) {
        COSBase wanted = original.get(0);
        int page = wanted instanceof COSNumber number ? number.intValue() + 1 : wanted == null ? 0 : pages.numberOf(wanted);
        return targets.of(page).map(target -> {
            COSArray explicit = new COSArray();
            explicit.add(new ObjectNumber(target.position()));
            for (int i = 1; i < Math.min(original.size(), 6); i++) {
                COSBase part = original.getObject(i);
                explicit.add(part instanceof COSNumber || part instanceof COSName ? part : COSNull.NULL);
            }
            return target.look().isPlain() ? explicit
                    : moved(explicit, LookedPage.onto(PageFrame.of(new PDPage(pages.get(page - 1))).shape(), target.look()));
        });
    }

    /** {@return a destination that shows the same of its page, which has another look} */
    private static COSArray moved(COSArray explicit, AffineTransform onto) {
        if (onto.isIdentity() || explicit.size() < 2) return explicit;
        StringBuilder view = new StringBuilder();
        for (int i = 1; i < explicit.size(); i++) {
            COSBase part = explicit.get(i);
            view.append(i > 1 ? " " : "").append(part instanceof COSName name ? name.getName()
                    : part instanceof COSNumber number ? String.valueOf(number.floatValue()) : "null");
        }
        COSArray moved = new COSArray();
        moved.add(explicit.get(0));
        for (String word : PageView.moved(view.toString(), onto).split(" ")) {
            moved.add(word.equals("null") ? COSNull.NULL
                    : Character.isLetter(word.charAt(0)) ? COSName.getPDFName(word) : new COSFloat(Float.parseFloat(word)));
        }
        return moved;
    }
}
