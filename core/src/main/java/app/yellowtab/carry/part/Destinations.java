package app.yellowtab.carry.part;

import app.yellowtab.input.NamedDestinations;
import app.yellowtab.input.PageList;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageView;
import app.yellowtab.output.Crossing;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.sets.Way;
import java.awt.geom.AffineTransform;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
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
        return targets.of(pages.numberOf(page)).flatMap(target -> target.way() instanceof Way.Within within
                ? Optional.of(new ObjectNumber(within.position())) : Optional.empty());
    }

    /**
     * Leads a link to where its page is in the bundle. Named destinations lose their name: two sources may use the same one.
     *
     * @param wanted where it led in its own file
     * @return whether the page is in the bundle
     */
    public boolean lead(COSDictionary link, COSBase wanted) {
        try {
            return names.explicit(wanted).filter(explicit -> inBundle(link, explicit)).isPresent();
        } catch (RuntimeException | StackOverflowError senseless) {
            LoggerFactory.getLogger(Destinations.class).info("a link without a sensible target", senseless);
            return false;
        }
    }

    private boolean inBundle(COSDictionary link, COSArray original) {
        COSBase wanted = original.get(0);
        int page = wanted instanceof COSNumber number ? number.intValue() + 1 : wanted == null ? 0 : pages.numberOf(wanted);
        Optional<Targets.Target> found = targets.of(page);
        found.ifPresent(target -> {
            switch (target.way()) {
                case Way.Within within -> link.setItem(COSName.DEST, explicit(original, page, within.position(), target.look()));
                // A name leads to the page as a whole.
                case Way.Across across ->
                        link.setItem(COSName.A, new Crossing(across.place(), across.fileName(), across.name()));
            }
        });
        return found.isPresent();
    }

    private COSArray explicit(COSArray original, int page, int position, PageLook look) {
        COSArray explicit = new COSArray();
        explicit.add(new ObjectNumber(position));
        for (int i = 1; i < Math.min(original.size(), 6); i++) {
            COSBase part = original.getObject(i);
            explicit.add(part instanceof COSNumber || part instanceof COSName ? part : COSNull.NULL);
        }
        return look.isPlain() ? explicit
                : moved(explicit, LookedPage.onto(PageFrame.of(new PDPage(pages.get(page - 1))).shape(), look));
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
