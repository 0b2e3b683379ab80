package app.yellowtab.prove;

import app.yellowtab.carry.LeafCloser;
import app.yellowtab.carry.part.Actions;
import app.yellowtab.carry.part.PageContents;
import app.yellowtab.content.ContentScan;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.input.PdfInput;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.Place;
import app.yellowtab.output.Reached;
import app.yellowtab.prove.OwnText.Letter;
import app.yellowtab.recognise.TextRecogniser;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Proves leaves of one open file. For one thread. */
final class LeafProof {
    /** A number may stand this far from where the ledger has it: less than a printer's dot at 300 dpi. */
    private static final float TOLERANCE_PT = 0.2f;

    private final Produced produced;
    private final PdfInput input;
    private final Map<Integer, List<Ledger.Row>> rows;
    private final OwnFonts fonts;
    private final OwnText text;
    private final RedactionProof redaction;
    private final ObjectGraph graph;
    private final List<Finding> findings = new ArrayList<>();

    LeafProof(Produced produced, PdfInput input, OwnFonts fonts, Map<Integer, List<Ledger.Row>> rows,
            TextRecogniser recogniser) {
        this.produced = produced;
        this.input = input;
        this.rows = rows;
        this.fonts = fonts;
        this.text = new OwnText(fonts);
        this.redaction = new RedactionProof(input, recogniser);
        this.graph = new ObjectGraph(item -> standIn(item, fonts), Set.of());
    }

    private @Nullable COSBase standIn(COSBase item, OwnFonts fonts) {
        if (!(item instanceof COSObject reference) || reference.getKey() == null) return null;
        int place = produced.pages().place(reference.getKey().getNumber());
        return place > 0 ? new ObjectNumber(place) : fonts.standIn(item).orElse(null);
    }

    List<Finding> findings() {
        return findings;
    }

    /** Proves the page that stands where a leaf should. */
    void prove(Ledger.Page leaf) {
        try {
            input.page(() -> {
                proveWithin(leaf);
                return leaf;
            });
        } catch (IOException | RuntimeException | Error e) {
            LoggerFactory.getLogger(LeafProof.class).warn("page {} of {} cannot be read", leaf.position(), produced.file(), e);
            report(leaf, Code.PROOF_UNREADABLE, String.valueOf(e.getMessage()));
        }
    }

    private void proveWithin(Ledger.Page leaf) throws IOException {
        COSObject object =
                input.document().getDocument().getObjectFromPool(new COSObjectKey(produced.pages().object(leaf.position()), 0));
        if (!(object.getObject() instanceof COSDictionary dictionary)
                || !COSName.PAGE.equals(dictionary.getCOSName(COSName.TYPE)) || dictionary.containsKey(COSName.KIDS)) {
            throw new IOException("the page is no page");
        }
        // First of all: while text is read, the library completes what it reads.
        COSDictionary alone = new COSDictionary(dictionary);
        alone.removeItem(COSName.PARENT);
        ObjectGraph.Reach reach = graph.reach(alone);
        String fingerprint = graph.fingerprintOf(reach);
        String shownPrint =
                graph.fingerprintOf(graph.reach(LeafCloser.content(dictionary, item -> fonts.faceOf(item).isPresent())));
        if (leaf.kind().equals("page") && !leaf.look().redactions().isEmpty())
            redaction.fault(leaf.look(), dictionary).ifPresent(fault -> report(leaf, Code.PROOF_REDACTION, fault));
        marks(leaf, text.marks(dictionary));
        rows(leaf, dictionary);
        List<Place> links = links(dictionary);
        if (!links.equals(leaf.links())) report(leaf, Code.PROOF_LINKS, difference(leaf.links(), links));
        AtomicBoolean damaged = new AtomicBoolean();
        ContentScan scan = ContentScan.of(PageContents.unpacked(PageContents.of(dictionary), () -> damaged.set(true)));
        if (damaged.get() || !scan.isSound()) report(leaf, Code.PROOF_CONTENT, "");
        boolean isContent = leaf.shownPrint().isEmpty() || shownPrint.equals(leaf.shownPrint());
        if (!fingerprint.equals(leaf.pagePrint()) || !isContent) report(leaf, Code.PROOF_PAGE, "");
        boolean acts = acts(alone);
        for (Reached reached : reach.fresh()) acts |= acts(reached.base());
        if (acts) report(leaf, Code.PROOF_ACTION, "");
    }

    /** @param found the letters of each mark on the page */
    private void marks(Ledger.Page leaf, List<List<Letter>> found) {
        List<Ledger.Mark> expected = leaf.marks().stream().filter(mark -> !mark.words().isEmpty()).toList();
        for (int i = 0; i < Math.max(found.size(), expected.size()); i++) {
            String words = i < found.size() ? found.get(i).stream().map(Letter::text).collect(Collectors.joining()) : "nothing";
            if (i >= expected.size() || !words.equals(expected.get(i).words())) {
                report(leaf, Code.PROOF_NUMBER, words);
                return;
            }
            if (!isInPlace(expected.get(i), found.get(i))) report(leaf, Code.PROOF_PLACE, "");
        }
    }

    private static boolean isInPlace(Ledger.Mark mark, List<Letter> letters) {
        Letter first = letters.getFirst();
        double turn = Math.toRadians(-mark.turn());
        double halfWidth = mark.turn() == 0 ? 0 : (mark.box().right() - mark.box().left()) / 2;
        double halfHeight = mark.turn() == 0 ? 0 : (mark.box().top() - mark.box().bottom()) / 2;
        double x = mark.box().left() + halfWidth - halfWidth * Math.cos(turn) + halfHeight * Math.sin(turn);
        double y = mark.box().bottom() + halfHeight - halfWidth * Math.sin(turn) - halfHeight * Math.cos(turn);
        return letters.stream().allMatch(letter -> letter.isTurned(turn)) && Math.abs(first.x() - x) < TOLERANCE_PT
                && Math.abs(first.y() - y) < TOLERANCE_PT && Math.abs(first.sizePt() - mark.sizePt()) < TOLERANCE_PT;
    }

    private void rows(Ledger.Page leaf, COSDictionary page) throws IOException {
        List<Ledger.Row> expected = rows.getOrDefault(leaf.position(), List.of());
        if (expected.isEmpty()) return;
        List<Letter> letters = text.withoutMarks(page);
        COSArray annotations = page.getCOSArray(COSName.ANNOTS);
        int linked = 0;
        for (Ledger.Row row : expected) {
            String found =
                    bare(letters.stream().filter(letter -> letter.y() > row.area().bottom() && letter.y() < row.area().top())
                            .map(Letter::text).collect(Collectors.joining()));
            if (!found.endsWith(bare(row.pages()))) report(leaf, Code.PROOF_ROW_NUMBER, row.text());
            else if (!found.equals(bare(row.text()))) report(leaf, Code.PROOF_ROW, row.text());
            if (row.to().isNowhere()) continue;
            COSBase link = annotations == null || linked >= annotations.size() ? null : annotations.getObject(linked);
            linked++;
            if (!(link instanceof COSDictionary dictionary) || !target(dictionary).equals(row.to())
                    || !covers(dictionary, row.area())) {
                report(leaf, Code.PROOF_ROW_LINK, row.text());
            }
        }
    }

    /** Spaces are no letters of a page, but a matter of distance. */
    private static String bare(String words) {
        return words.replaceAll("\\s+", "");
    }

    private static boolean covers(COSDictionary link, Ledger.Area area) {
        COSArray sides = link.getCOSArray(COSName.RECT);
        if (sides == null || sides.size() < 4) return false;
        PDRectangle is = new PDRectangle(sides);
        return Math.abs(is.getLowerLeftX() - area.left()) < TOLERANCE_PT
                && Math.abs(is.getLowerLeftY() - area.bottom()) < TOLERANCE_PT
                && Math.abs(is.getUpperRightX() - area.right()) < TOLERANCE_PT
                && Math.abs(is.getUpperRightY() - area.top()) < TOLERANCE_PT;
    }

    private List<Place> links(COSDictionary page) {
        List<Place> links = new ArrayList<>();
        COSArray annotations = page.getCOSArray(COSName.ANNOTS);
        for (int i = 0; annotations != null && i < annotations.size(); i++) {
            if (annotations.getObject(i) instanceof COSDictionary annotation
                    && (annotation.containsKey(COSName.DEST) || crosses(annotation)))
                links.add(target(annotation));
        }
        return links;
    }

    private static boolean crosses(COSDictionary annotation) {
        return annotation.getDictionaryObject(COSName.A) instanceof COSDictionary action && Crossings.is(action);
    }

    /** {@return the page that a link leads to} */
    private Place target(COSDictionary from) {
        if (!from.containsKey(COSName.DEST) && from.getDictionaryObject(COSName.A) instanceof COSDictionary action
                && Crossings.is(action))
            return produced.crossings().of(action);
        int position = produced.pages().target(from.getDictionaryObject(COSName.DEST));
        return position == 0 ? Place.NOWHERE : new Place(produced.number(), position);
    }

    /** {@return the first link that differs, in words} */
    private String difference(List<Place> expected, List<Place> found) {
        if (expected.size() != found.size()) return found.size() + " instead of " + expected.size();
        for (int i = 0;; i++) {
            if (!expected.get(i).equals(found.get(i))) return "one leads to "
                    + (found.get(i).isNowhere() ? "no page" : "page " + shown(found.get(i))) + " instead of "
                    + shown(expected.get(i));
        }
    }

    private String shown(Place place) {
        return place.position() + (place.file() == produced.number() ? "" : " of the file " + (place.file() + 1));
    }

    /**
     * {@return whether an object holds a forbidden action in itself; objects that it refers to are looked at in their own turn}
     */
    static boolean acts(COSBase base) {
        if (base instanceof COSDictionary dictionary) {
            return Actions.isForbidden(dictionary) || dictionary.getValues().stream().anyMatch(LeafProof::acts);
        }
        if (!(base instanceof COSArray array)) return false;
        for (int i = 0; i < array.size(); i++) if (acts(array.get(i))) return true;
        return false;
    }

    private void report(Ledger.Page leaf, Code code, String detail) {
        findings.add(new Finding(code, Subject.OfProduced.of(produced.file(), leaf.position()), detail));
    }
}
