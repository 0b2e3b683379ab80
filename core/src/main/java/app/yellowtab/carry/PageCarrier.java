package app.yellowtab.carry;

import app.yellowtab.carry.annotation.Annotations;
import app.yellowtab.carry.annotation.Drawing;
import app.yellowtab.carry.annotation.FormAppearances;
import app.yellowtab.carry.annotation.RedactedContent;
import app.yellowtab.carry.part.Actions;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.carry.part.Destinations;
import app.yellowtab.carry.part.Layers;
import app.yellowtab.carry.part.PageContents;
import app.yellowtab.carry.part.Targets;
import app.yellowtab.content.ContentScan;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.input.PdfInput;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.MadeStream;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.pdfbox.cos.COSArray;
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
 * runs something or is hidden is left behind. CarryNotes the open document; its file is not touched. For one thread.
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
    /** Nobody sees a smaller page; chosen by us. */
    private static final float LEAST_EXTENT_PT = 1;
    /** A form's box cuts off what lies outside; nothing that is seen may touch its edge. */
    private static final float BLEED_PT = 72;

    private final PdfInput input;
    private final MarkSetter setter;
    private final ObjectGraph graph;
    private final Layers layers;
    private final LayerRemover remover;
    private final Annotations annotations;
    private final UsedResources usedResources = new UsedResources();
    private @Nullable COSDictionary wordsFont;
    private final CarryNotes ofFile = new CarryNotes();

    /**
     * Takes an open source; at once its form fields are given what they lack to be drawn.
     *
     * @param targets says where its pages stand in the file
     */
    public PageCarrier(PdfInput input, Targets targets, Comments comments, MarkSetter setter) {
        this.input = input;
        this.setter = setter;
        Destinations destinations = new Destinations(input.document(), input.pages(), targets);
        FormAppearances.complete(input.document(), ofFile);
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
        return COSName.PAGE.equals(type) || COSName.PAGES.equals(type) || COSName.CATALOG.equals(type)
                || type instanceof COSName name && NOT_SEEN.contains(name) ? COSNull.NULL : null;
    }

    /** {@return what of the file as a whole was left behind} */
    public CarryNotes ofFile() {
        return ofFile;
    }

    /**
     * Makes a page ready.
     *
     * @param page   in the source, counted from 1
     * @param look   what is done to it
     * @param words  that were read in its picture, which go behind it
     * @param instead what it shows where its look takes areas out, which is not empty then; words are those that are left there
     * @param marks  what is set on it
     * @throws IOException      if it cannot be had; the pages before and after it are not touched by that
     * @throws RuntimeException of any kind, for the same reason
     */
    public CarriedPage carry(int page, PageLook look, Optional<RecognisedPage> words, Optional<RedactedPicture> instead,
            List<Mark> marks, CarryNotes notes) throws IOException {
        int unreadable = graph.unreadable();
        Ready ready = ready(page, look, words, instead, notes);
        CarriedPage carried = LeafCloser.close(marks, ready.leaf, ready.shown, setter, graph);
        notes.add(Code.PART_LOST, graph.unreadable() - unreadable);
        return ready.isFollowed ? carried : carried.withAllResources();
    }

    /**
     * {@return a page as it is carried, to be drawn while its source is open: the same without marks}
     *
     * @param instead as {@link #carry} takes it
     * @throws IOException      as {@link #carry} does
     * @throws RuntimeException of any kind, for the same reason
     */
    public COSDictionary toBeDrawn(int page, PageLook look, Optional<RedactedPicture> instead) throws IOException {
        return toBeDrawn(ready(page, look, Optional.empty(), instead, new CarryNotes()));
    }

    /**
     * {@return a page as it came, to be drawn while its source is open, and have areas taken out of its picture then: without
     * what touches them and is no part of the page, and without what stays on it for itself}
     *
     * @throws IOException      as {@link #carry} does
     * @throws RuntimeException of any kind, for the same reason
     */
    public COSDictionary toBeRedacted(int page, List<Redaction> redactions) throws IOException {
        COSDictionary from = page(page);
        COSDictionary to = new COSDictionary();
        to.setItem(COSName.TYPE, COSName.PAGE);
        Annotations.Settled settled = begin(from, to, redactions, new CarryNotes());
        return toBeDrawn(ready(from, to, settled, PageLook.PLAIN, Optional.empty()));
    }

    private static COSDictionary toBeDrawn(Ready ready) {
        ready.leaf.setItem(COSName.CONTENTS, ready.shown.streams());
        return ready.leaf;
    }

    /**
     * A page ready to be closed.
     *
     * @param isFollowed whether its content could be followed, so that it holds only what it draws with
     */
    private record Ready(COSDictionary leaf, LeafCloser.Shown shown, boolean isFollowed) {}

    private Ready ready(int page, PageLook look, Optional<RecognisedPage> words, Optional<RedactedPicture> instead,
            CarryNotes notes)
            throws IOException {
        if (look.redactions().isEmpty() == instead.isPresent())
            throw new IllegalArgumentException("a page has a picture where areas are taken out of it, and nowhere else");
        COSDictionary from = page(page);
        COSDictionary to = new COSDictionary();
        to.setItem(COSName.TYPE, COSName.PAGE);
        Annotations.Settled settled = begin(from, to, look.redactions(), notes);
        PageFrame came = PageFrame.of(new PDPage(to));
        if (instead.isEmpty()) return ready(from, to, settled, look, words);
        notes.add(Code.REDACTED, look.redactions().size());
        Looks.Done looked = carryOut(look, to, settled);
        COSDictionary resources = new COSDictionary();
        to.setItem(COSName.RESOURCES, resources);
        String picture = LeafCloser.add(resources, COSName.XOBJECT, instead.get().picture());
        String hidden = hidden(HiddenWords.seen(instead.get().words(), came, look), came, resources);
        List<COSStream> contents = List.of(new MadeStream(RedactedContent.operators(look, came, picture)));
        return new Ready(to, new LeafCloser.Shown(looked.setUp() + hidden, contents, ContentScan.EMPTY, ""), true);
    }

    private COSDictionary page(int page) throws IOException {
        COSDictionary from = input.pages().get(page - 1);
        if (!COSName.PAGE.equals(from.getDictionaryObject(COSName.TYPE))) throw new IOException("the page is no page");
        return from;
    }

    /**
     * Gives a leaf its boxes; {@return what becomes of the page's annotations, of which those that touch what is taken out go}
     */
    private Annotations.Settled begin(COSDictionary from, COSDictionary to, List<Redaction> redactions, CarryNotes notes)
            throws IOException {
        notes.add(Code.ACTIONS_REMOVED, Actions.countIn(from));
        if (layers.any() && remover.clear(from)) notes.add(Code.HIDDEN_LAYERS);
        PDPage source = new PDPage(from);
        if (boxes(source, to)) notes.add(Code.PAGE_WITHOUT_SIZE);
        if (source.getRotation() != 0) to.setInt(COSName.ROTATE, source.getRotation());
        if (from.getFloat("UserUnit", 1) > 0 && from.containsKey("UserUnit"))
            to.setFloat("UserUnit", from.getFloat("UserUnit", 1));
        return annotations.settle(from,
                redactions.isEmpty() ? List.of() : RedactedContent.areas(redactions, PageFrame.of(new PDPage(to))), notes);
    }

    private static Looks.Done carryOut(PageLook look, COSDictionary to, Annotations.Settled settled) {
        Looks.Done looked = Looks.carryOut(look, to);
        Looks.move(settled.kept(), looked.onto());
        if (settled.kept().size() > 0) to.setItem(COSName.ANNOTS, settled.kept());
        return looked;
    }

    private Ready ready(COSDictionary from, COSDictionary to, Annotations.Settled settled, PageLook look,
            Optional<RecognisedPage> words) throws IOException {
        PDPage source = new PDPage(from);
        if (from.getCOSDictionary(COSName.GROUP) != null) to.setItem(COSName.GROUP, from.getItem(COSName.GROUP));
        PDRectangle media = new PDRectangle(to.getCOSArray(COSName.MEDIA_BOX));
        Looks.Done looked = carryOut(look, to, settled);
        List<COSStream> contents = PageContents.of(from);
        AtomicBoolean damaged = new AtomicBoolean();
        byte[] unpacked = PageContents.unpacked(contents, () -> damaged.set(true));
        ContentScan scan = ContentScan.of(unpacked);
        boolean alone = damaged.get() || !scan.isReadAlike();
        List<COSStream> appearances = Annotations.appearances(settled.kept());
        settled.drawings().forEach(drawing -> appearances.add(drawing.form()));
        COSDictionary whole = source.getResources() == null ? new COSDictionary() : source.getResources().getCOSObject();
        UsedResources.Left used = usedResources.of(whole, scan, appearances);
        to.setItem(COSName.RESOURCES, used.resources());
        if (alone) contents = shutIn(unpacked, media, to);
        String drawn = drawn(settled.drawings(), looked.setUp(), to.getCOSDictionary(COSName.RESOURCES));
        return new Ready(to,
                new LeafCloser.Shown(
                        looked.setUp() + (words.isEmpty() ? ""
                                : hidden(HiddenWords.seen(words.get(), PageFrame.of(source), look), PageFrame.of(source),
                                        to.getCOSDictionary(COSName.RESOURCES))),
                        contents, alone ? ContentScan.EMPTY : scan, drawn),
                used.isFollowed());
    }

    /** Sets a page's boxes; {@return whether it had no extent, so that it got the standard sheet's} */
    private static boolean boxes(PDPage source, COSDictionary to) {
        COSDictionary from = source.getCOSObject();
        PDRectangle media = source.getMediaBox();
        PDRectangle crop = source.getCropBox();
        boolean flat = isFlat(media);
        if (flat) media = new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT);
        to.setItem(COSName.MEDIA_BOX, copyOf(media));
        to.setItem(COSName.CROP_BOX, copyOf(flat || isFlat(crop) ? media : crop));
        for (COSName box : BOXES) if (!flat && from.getCOSArray(box) != null) to.setItem(box, from.getItem(box));
        return flat;
    }

    private static boolean isFlat(PDRectangle box) {
        return !(box.getWidth() >= LEAST_EXTENT_PT && box.getHeight() >= LEAST_EXTENT_PT);
    }

    /**
     * Puts content that not every viewer reads alike into a form of its own (ISO 32000-1:2008, 8.10), with the page's resources:
     * whatever a viewer makes of it ends with the form, and what stands after it is seen.
     *
     * @param media the page's largest box as it came
     * @param leaf  takes the form as its only resource
     * @return the content that draws the form
     */
    private List<COSStream> shutIn(byte[] content, PDRectangle media, COSDictionary leaf) throws IOException {
        COSStream form = input.document().getDocument().createCOSStream();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        form.setItem(COSName.BBOX, new PDRectangle(media.getLowerLeftX() - BLEED_PT, media.getLowerLeftY() - BLEED_PT,
                media.getWidth() + 2 * BLEED_PT, media.getHeight() + 2 * BLEED_PT));
        form.setItem(COSName.RESOURCES, leaf.getItem(COSName.RESOURCES));
        try (OutputStream out = form.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(content);
        }
        COSDictionary resources = new COSDictionary();
        leaf.setItem(COSName.RESOURCES, resources);
        return List.of(new MadeStream("/" + LeafCloser.add(resources, COSName.XOBJECT, form) + " Do"));
    }

    private String hidden(RecognisedPage words, PageFrame frame, COSDictionary resources) {
        if (words.text().isEmpty()) return "";
        COSDictionary font = wordsFont == null ? HiddenWords.font() : wordsFont;
        wordsFont = font;
        return HiddenWords.operators(words, frame, LeafCloser.add(resources, COSName.FONT, font));
    }

    private static String drawn(List<Drawing> drawings, String setUp, COSDictionary resources) {
        if (drawings.isEmpty()) return "";
        StringBuilder operators = new StringBuilder(setUp.isEmpty() ? "" : "q\n" + setUp);
        for (Drawing drawing : drawings)
            operators.append(drawing.operators(LeafCloser.add(resources, COSName.XOBJECT, drawing.form())));
        return operators.append(setUp.isEmpty() ? "" : "Q\n").toString();
    }

    private static COSArray copyOf(PDRectangle box) {
        return new PDRectangle(box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight()).getCOSArray();
    }
}
