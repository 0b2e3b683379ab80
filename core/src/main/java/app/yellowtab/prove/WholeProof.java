package app.yellowtab.prove;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.input.PdfInput;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.Place;
import app.yellowtab.output.Reached;
import app.yellowtab.source.Fingerprint;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;

/**
 * Proves what concerns a file as a whole: its pages' count and labels, its bookmarks, its fonts, its catalog, the files that go
 * along. For one thread.
 */
final class WholeProof {
    /** Ours has two levels. */
    private static final int DEEPEST_NAMES = 8;

    private final Path file;
    private final int number;
    private final Ledger ledger;
    private final PdfInput input;
    private final PageTable pages;
    private final List<Finding> findings = new ArrayList<>();

    WholeProof(Path file, int number, Ledger ledger, PdfInput input, PageTable pages) {
        this.file = file;
        this.number = number;
        this.ledger = ledger;
        this.input = input;
        this.pages = pages;
    }

    List<Finding> prove(Path ledgerFile) throws IOException {
        int counted = input.document().getNumberOfPages();
        if (pages.count() != ledger.pages()) report(Code.PROOF_COUNT, 0, String.valueOf(pages.count()));
        else if (counted != ledger.pages()) report(Code.PROOF_COUNT, 0, String.valueOf(counted));
        if (!isIdentified(input, ledger.files().getFirst())) report(Code.PROOF_OTHER_FILE, 0, "");
        labels(ledgerFile);
        bookmarks();
        fonts();
        enclosed();
        if (acts()) report(Code.PROOF_ACTION_OF_FILE, 0, "");
        return findings;
    }

    static boolean isIdentified(PdfInput input, Ledger.ProducedFile file) {
        COSArray identity = input.document().getDocument().getDocumentID();
        if (identity == null || identity.size() < 2) return false;
        for (int i = 0; i < 2; i++) {
            if (!(identity.getObject(i) instanceof COSString part)
                    || !HexFormat.of().formatHex(part.getBytes()).equals(file.identity()))
                return false;
        }
        return true;
    }

    private void labels(Path ledgerFile) throws IOException {
        PDPageLabels labels = input.document().getDocumentCatalog().getPageLabels();
        Map<String, Integer> names = names();
        String[] shown = labels == null ? new String[0] : labels.getLabelsByPageIndices();
        try (LedgerReader leaves = LedgerReader.leaves(ledgerFile)) {
            for (Optional<Ledger.Page> leaf; (leaf = leaves.next()).isPresent();) {
                if (leaf.get().file() != number) continue;
                int position = leaf.get().position();
                String name = leaf.get().name();
                if (!name.isEmpty() && names.getOrDefault(name, 0) != position) report(Code.PROOF_NAME, position, name);
                String label = position <= shown.length ? shown[position - 1] : "none";
                if (position <= pages.count() && !label.equals(leaf.get().label())) report(Code.PROOF_LABEL, position, label);
            }
        }
    }

    /** {@return where the names lead by which other files lead to pages of this one} */
    private Map<String, Integer> names() throws IOException {
        Map<String, Integer> all = new HashMap<>();
        COSDictionary named = input.document().getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.NAMES);
        COSDictionary destinations = named == null ? null : named.getCOSDictionary(COSName.DESTS);
        if (destinations != null) names(destinations, 0, all);
        return all;
    }

    private void names(COSDictionary node, int depth, Map<String, Integer> all) throws IOException {
        if (depth > DEEPEST_NAMES) throw new IOException("a tree of names without an end");
        COSArray kids = node.getCOSArray(COSName.KIDS);
        for (int i = 0; kids != null && i < kids.size(); i++)
            if (kids.getObject(i) instanceof COSDictionary kid) names(kid, depth + 1, all);
        COSArray pairs = node.getCOSArray(COSName.NAMES);
        for (int i = 0; pairs != null && i + 1 < pairs.size(); i += 2)
            if (pairs.getObject(i) instanceof COSString name) all.put(name.getString(), pages.target(pairs.getObject(i + 1)));
    }

    private void bookmarks() {
        List<Ledger.Bookmark> found = new ArrayList<>();
        PDDocumentOutline outline = input.document().getDocumentCatalog().getDocumentOutline();
        if (outline != null) collect(outline, 1, found);
        for (int i = 0; i < ledger.bookmarks().size(); i++) {
            Ledger.Bookmark bookmark = ledger.bookmarks().get(i);
            if (i >= found.size() || !found.get(i).equals(bookmark)) {
                report(Code.PROOF_BOOKMARK, bookmark.to().position(), bookmark.title());
                return;
            }
        }
        if (found.size() > ledger.bookmarks().size())
            report(Code.PROOF_BOOKMARK, found.getLast().to().position(), found.getLast().title());
    }

    private void collect(PDOutlineNode node, int level, List<Ledger.Bookmark> found) {
        for (PDOutlineItem item : node.children()) {
            if (found.size() > ledger.bookmarks().size()) return;
            found.add(new Ledger.Bookmark(number, level, String.valueOf(item.getTitle()),
                    new Place(number, pages.target(item.getCOSObject().getDictionaryObject(COSName.DEST)))));
            collect(item, level + 1, found);
        }
    }

    private void fonts() throws IOException {
        for (Ledger.Font font : ledger.fonts()) {
            COSBase object = input.document().getDocument().getObjectFromPool(new COSObjectKey(font.object(), 0)).getObject();
            OwnFonts.fault(font, object).ifPresent(fault -> report(Code.PROOF_FONT, 0, font.name() + ": " + fault));
        }
    }

    /** The files that go along lie beside the bundle as they were put there. */
    private void enclosed() {
        for (Ledger.Enclosed its : ledger.enclosed()) {
            Path place = ledger.filesOf(file).resolve(its.name());
            try {
                if (!Files.isRegularFile(place)) report(Code.PROOF_FILE_MISSING, 0, its.name());
                else if (Files.size(place) != its.bytes() || !Fingerprint.of(place).equals(its.sha256()))
                    report(Code.PROOF_FILE_CHANGED, 0, its.name());
            } catch (IOException unreadable) {
                report(Code.PROOF_FILE_MISSING, 0, its.name());
            }
        }
    }

    /** {@return whether anything that the catalog reaches acts, pages aside} */
    private boolean acts() throws IOException {
        COSDictionary catalog = new COSDictionary(input.document().getDocumentCatalog().getCOSObject());
        catalog.removeItem(COSName.PAGES);
        ObjectGraph graph = new ObjectGraph(item -> item instanceof COSObject reference && reference.getKey() != null
                && pages.place(reference.getKey().getNumber()) > 0 ? COSNull.NULL : null, Set.of());
        boolean acts = LeafProof.acts(catalog);
        for (Reached object : graph.reach(catalog).fresh()) acts |= LeafProof.acts(object.base());
        return acts;
    }

    private void report(Code code, int page, String detail) {
        findings.add(new Finding(code, Subject.OfProduced.of(file, page), detail));
    }
}
