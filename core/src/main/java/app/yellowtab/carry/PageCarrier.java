package app.yellowtab.carry;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.Comments;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.stamp.NumberStamp;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jspecify.annotations.Nullable;

/**
 * Makes pages of one source ready to be written into a bundle. They look as they did; what belongs to the old document,
 * runs something or is hidden is left behind. Changes the open document; its file is not touched. For one thread.
 */
public final class PageCarrier {
    /** Entries that belong to the old document or to the program that made it, not to what is seen. */
    private static final Set<COSName> LEFT_BEHIND = Set.of(COSName.STRUCT_PARENT, COSName.STRUCT_PARENTS, COSName.METADATA,
            COSName.getPDFName("PieceInfo"), COSName.getPDFName("LastModified"), COSName.AA, COSName.getPDFName("Thumb"),
            COSName.OC, COSName.getPDFName("OPI"), COSName.getPDFName("AF"));
    /** The structure tree describes the old document, and what layers there were is settled before. */
    private static final Set<COSName> NOT_SEEN = Set.of(COSName.getPDFName("StructTreeRoot"), COSName.getPDFName("StructElem"),
            COSName.OCG, COSName.getPDFName("OCMD"));
    private static final List<COSName> BOXES = List.of(COSName.BLEED_BOX, COSName.TRIM_BOX, COSName.ART_BOX);

    private final PdfInput input;
    private final NumberStamp stamp;
    private final ObjectGraph graph;
    private final Layers layers;
    private final LayerRemover remover;
    private final Annotations annotations;
    private final Notes ofFile = new Notes();

    /**
     * Takes an open source; at once its form fields are given what they lack to be drawn.
     *
     * @param leaves gives the bundle number of a page of the source, counted from 1; 0 for one that is not in the bundle
     */
    public PageCarrier(PdfInput input, IntUnaryOperator leaves, Comments comments, NumberStamp stamp) {
        this.input = input;
        this.stamp = stamp;
        Destinations destinations = new Destinations(input.document(), input.pages(), leaves);
        FormAppearances.complete(input.document());
        WholeFile.look(input.document().getDocumentCatalog().getCOSObject(), ofFile);
        this.layers = Layers.of(input.document().getDocumentCatalog().getCOSObject());
        this.remover = new LayerRemover(input.document(), layers);
        this.annotations = new Annotations(input.document(), layers, destinations, comments);
        this.graph = new ObjectGraph(item -> standIn(item, destinations), LEFT_BEHIND);
    }

    private static @Nullable COSBase standIn(COSBase item, Destinations destinations) {
        if (destinations.isPage(item)) return destinations.leaf(item).<COSBase>map(leaf -> leaf).orElse(COSNull.NULL);
        COSBase real = item instanceof COSObject reference ? reference.getObject() : item;
        if (!(real instanceof COSDictionary dictionary) || real instanceof COSStream) return null;
        if (real instanceof ObjectNumber || real instanceof FontReference) return null;
        COSBase type = dictionary.getDictionaryObject(COSName.TYPE);
        return COSName.PAGE.equals(type) || COSName.PAGES.equals(type) || COSName.CATALOG.equals(type) || type instanceof COSName name && NOT_SEEN.contains(name) ? COSNull.NULL : null;
    }

    /** {@return what of the file as a whole was left behind} */
    public Notes ofFile() {
        return ofFile;
    }

    /**
     * Makes a page ready.
     *
     * @param page   in the source, counted from 1
     * @param number its bundle number
     * @throws IOException      if it cannot be had; the pages before and after it are not touched by that
     * @throws RuntimeException of any kind, for the same reason
     */
    public CarriedPage carry(int page, int number, Notes notes) throws IOException {
        COSDictionary from = input.pages().get(page - 1);
        if (!COSName.PAGE.equals(from.getDictionaryObject(COSName.TYPE))) throw new IOException("the page is no page");
        notes.add(Code.ACTIONS_REMOVED, Actions.countIn(from));
        if (layers.any() && remover.clear(from)) notes.add(Code.HIDDEN_LAYERS);
        Annotations.Settled settled = annotations.settle(from, notes);
        PDPage source = new PDPage(from);
        PDPage leaf = new PDPage(new COSDictionary());
        COSDictionary to = leaf.getCOSObject();
        to.setItem(COSName.TYPE, COSName.PAGE);
        leaf.setMediaBox(copyOf(source.getMediaBox()));
        leaf.setCropBox(copyOf(source.getCropBox()));
        if (source.getRotation() != 0) leaf.setRotation(source.getRotation());
        for (COSName box : BOXES) if (from.getCOSArray(box) != null) to.setItem(box, from.getItem(box));
        if (from.getFloat("UserUnit", 1) > 0 && from.containsKey("UserUnit")) to.setFloat("UserUnit", from.getFloat("UserUnit", 1));
        if (from.getCOSDictionary(COSName.GROUP) != null) to.setItem(COSName.GROUP, from.getItem(COSName.GROUP));
        COSDictionary resources = source.getResources() == null ? new COSDictionary() : new COSDictionary(source.getResources().getCOSObject());
        resources.removeItem(COSName.PROC_SET);
        to.setItem(COSName.RESOURCES, resources);
        if (settled.kept().size() > 0) to.setItem(COSName.ANNOTS, settled.kept());
        List<COSStream> contents = PageContents.of(from);
        int unreadable = graph.unreadable();
        CarriedPage carried = Leaves.close(number, to, contents, ContentBalance.of(PageContents.unpacked(contents)), drawn(settled.drawings(), resources), stamp, graph);
        notes.add(Code.PART_LOST, graph.unreadable() - unreadable);
        return carried;
    }

    private static String drawn(List<Drawing> drawings, COSDictionary resources) {
        StringBuilder operators = new StringBuilder();
        for (Drawing drawing : drawings) operators.append(drawing.operators(Leaves.add(resources, COSName.XOBJECT, drawing.form())));
        return operators.toString();
    }

    private static PDRectangle copyOf(PDRectangle box) {
        return new PDRectangle(box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight());
    }
}
