package app.yellowtab.compare;

import app.yellowtab.input.PageList;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.Source;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.pdmodel.PDPageTree;
import org.slf4j.LoggerFactory;

/**
 * What the pages of a file are made of, as fingerprints: pages of two versions that are made of the same objects look the same,
 * and none of them need be drawn. Pages may look the same that are not. For one thread.
 */
final class PageObjects implements Closeable {
    /** What a page has from those above it in the tree (ISO 32000-1:2008, 7.7.3.4). */
    private static final List<COSName> INHERITED =
            List.of(COSName.RESOURCES, COSName.MEDIA_BOX, COSName.CROP_BOX, COSName.ROTATE);
    /** What tells nothing of how a page looks. */
    private static final Set<COSName> ASIDE =
            Set.of(COSName.STRUCT_PARENTS, COSName.STRUCT_PARENT, COSName.METADATA, COSName.getPDFName("LastModified"),
                    COSName.getPDFName("PieceInfo"));

    private final PdfInput input;
    private final PageList pages;
    private final ObjectGraph graph;
    private final String layers;
    private final Map<Integer, Optional<String>> prints = new HashMap<>();

    private PageObjects(PdfInput input) throws IOException {
        this.input = input;
        this.pages = input.pages();
        this.graph = new ObjectGraph(item -> pages.numberOf(item) > 0 ? COSNull.NULL : null, ASIDE);
        COSDictionary ofLayers = new COSDictionary();
        COSBase shown = input.document().getDocumentCatalog().getCOSObject().getItem(COSName.OCPROPERTIES);
        if (shown != null) ofLayers.setItem(COSName.OCPROPERTIES, shown);
        this.layers = input.whole(() -> graph.fingerprintOf(graph.reach(ofLayers)));
    }

    /** {@return those of a source; empty where its objects cannot be made out} */
    static Optional<PageObjects> of(SourceFiles files, Source source) {
        try {
            PdfInput input = files.open(source.id());
            try {
                return Optional.of(new PageObjects(input));
            } catch (IOException | RuntimeException | Error unreadable) {
                input.close();
                throw unreadable;
            }
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(PageObjects.class).info("pages are drawn instead: {}", source.fileName(), unreadable);
            return Optional.empty();
        }
    }

    /** {@return the fingerprint of all that a page is made of, counted from 1; empty where some of it cannot be read} */
    Optional<String> print(int page) {
        return prints.computeIfAbsent(page, number -> {
            try {
                return Optional.of(input.page(() -> read(number)));
            } catch (IOException | RuntimeException | Error unreadable) {
                LoggerFactory.getLogger(PageObjects.class).info("drawn instead: page {}", number, unreadable);
                return Optional.empty();
            }
        });
    }

    private String read(int number) throws IOException {
        int unreadable = graph.unreadable();
        COSDictionary page = pages.get(number - 1);
        COSDictionary alone = new COSDictionary(page);
        alone.removeItem(COSName.PARENT);
        for (COSName name : INHERITED) {
            COSBase value = PDPageTree.getInheritableAttribute(page, name);
            if (value != null) alone.setItem(name, value);
        }
        String print = graph.fingerprintOf(graph.reach(alone));
        if (graph.unreadable() > unreadable) throw new IOException("something that it refers to cannot be read");
        return print + layers;
    }

    /** What was found out stays true if the file cannot be closed. */
    @Override
    public void close() {
        try {
            input.close();
        } catch (IOException e) {
            LoggerFactory.getLogger(PageObjects.class).info("not closed", e);
        }
    }
}
