package app.yellowtab.carry.annotation;

import app.yellowtab.carry.part.Actions;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.carry.part.Destinations;
import app.yellowtab.carry.part.Layers;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Comments;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Settles what becomes of a page's annotations: links are led to their leaves, comments treated as the bundle says, and
 * what runs, fetches or plays something loses that and keeps its look. Works on copies, since a page may stand in a bundle twice.
 */
public final class Annotations {
    private static final COSName POPUP = COSName.POPUP;
    private static final COSName IN_REPLY_TO = COSName.getPDFName("IRT");
    private static final COSName FILE_ACTION = COSName.getPDFName("PA");
    private static final List<COSName> PLAYED = List.of(COSName.getPDFName("RichMediaContent"),
            COSName.getPDFName("RichMediaSettings"),
            COSName.getPDFName("Movie"), COSName.getPDFName("Sound"), COSName.getPDFName("3DD"), COSName.getPDFName("3DV"));

    private final PDDocument document;
    private final Layers layers;
    private final Destinations destinations;
    private final Comments comments;

    public Annotations(PDDocument document, Layers layers, Destinations destinations, Comments comments) {
        this.document = document;
        this.layers = layers;
        this.destinations = destinations;
        this.comments = comments;
    }

    /** What is left of a page's annotations, and what of them is to be drawn on the page instead. */
    public record Settled(COSArray kept, List<Drawing> drawings) {}

    /**
     * @param areas that are taken out of the page, in its own coordinates: what touches them goes, but for the look of fields,
     *         which is part of the page
     */
    public Settled settle(COSDictionary page, List<Rectangle2D> areas, CarryNotes notes) {
        Settled settled = new Settled(new COSArray(), new ArrayList<>());
        COSArray all = page.getCOSArray(COSName.ANNOTS);
        Map<COSBase, COSObject> copies = new IdentityHashMap<>();
        Set<COSBase> kept = Collections.newSetFromMap(new IdentityHashMap<>());
        Set<COSBase> gone = areas.isEmpty() ? Set.of() : gone(all, areas);
        List<PDRectangle> marks = new ArrayList<>();
        for (int i = 0; all != null && i < all.size(); i++) {
            if (!(all.getObject(i) instanceof COSDictionary original) || copies.containsKey(original)) continue;
            COSDictionary annotation = new COSDictionary(original);
            copies.put(original, new COSObject(annotation));
            String kind = Optional.ofNullable(annotation.getNameAsString(COSName.SUBTYPE)).orElse("");
            List<Drawing> drawings = new ArrayList<>();
            boolean stays = settle(annotation, kind, drawings, notes);
            if (gone.contains(original)) {
                stays = false;
                if (!kind.equals("Widget") && !AnnotationKinds.MEDIA.contains(kind)) drawings.clear();
            }
            if (stays) {
                settled.kept.add(copies.get(original));
                kept.add(original);
            }
            if (stays && AnnotationKinds.COMMENTS.contains(kind) && Drawing.isSeen(annotation))
                marks.add(new PDRectangle(annotation.getCOSArray(COSName.RECT)));
            for (Drawing drawing : drawings) {
                // What is drawn on the page lies under all annotations: what lay over one must stay one.
                PDRectangle place = new PDRectangle(annotation.getCOSArray(COSName.RECT));
                if (marks.stream().noneMatch(mark -> overlap(mark, place))) {
                    settled.drawings.add(drawing);
                } else {
                    settled.kept.add(drawing.asAnnotation(annotation));
                    marks.add(place);
                }
            }
        }
        for (int i = 0; i < settled.kept.size(); i++) leadToCopies((COSDictionary) settled.kept.getObject(i), kept, copies);
        return settled;
    }

    /** {@return the annotations that touch areas, and those that answer or belong to one of them} */
    private static Set<COSBase> gone(@Nullable COSArray all, List<Rectangle2D> areas) {
        Set<COSBase> gone = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int before = -1; before < gone.size();) {
            before = gone.size();
            for (int i = 0; all != null && i < all.size(); i++) {
                if (!(all.getObject(i) instanceof COSDictionary annotation)) continue;
                boolean belongs = gone.contains(annotation.getDictionaryObject(IN_REPLY_TO))
                        || gone.contains(annotation.getDictionaryObject(COSName.PARENT));
                if (belongs || RedactedContent.touches(annotation, areas)) gone.add(annotation);
            }
        }
        return gone;
    }

    private static boolean overlap(PDRectangle one, PDRectangle other) {
        return one.getLowerLeftX() < other.getUpperRightX() && other.getLowerLeftX() < one.getUpperRightX()
                && one.getLowerLeftY() < other.getUpperRightY() && other.getLowerLeftY() < one.getUpperRightY();
    }

    /** {@return whether it stays an annotation} */
    private boolean settle(COSDictionary annotation, String kind, List<Drawing> drawings, CarryNotes notes) {
        if (layers.isHidden(annotation.getDictionaryObject(COSName.OC))) {
            notes.add(Code.HIDDEN_LAYERS);
            return false;
        }
        notes.add(Code.ACTIONS_REMOVED, Actions.countIn(annotation));
        annotation.removeItem(COSName.P);
        if (AnnotationKinds.MEDIA.contains(kind) || kind.equals("Widget")) {
            if (!kind.equals("Widget")) notes.add(Code.MEDIA_REMOVED);
            else if (isSigned(annotation)) notes.add(Code.SIGNATURES);
            Drawing.of(annotation).ifPresent(drawings::add);
            return false;
        }
        PLAYED.forEach(annotation::removeItem);
        if (AnnotationKinds.NEVER.contains(kind)) return false;
        if (kind.equals("FileAttachment") && annotation.containsKey(COSName.FS)) {
            notes.add(Code.FILES_LEFT_OUT);
            annotation.removeItem(COSName.FS);
        }
        if (AnnotationKinds.COMMENTS.contains(kind) || kind.equals("Popup"))
            return settleComment(annotation, kind, drawings, notes);
        settleAction(annotation, kind, notes);
        return true;
    }

    /** {@return whether a widget shows a signature (ISO 32000-1:2008, 12.7.4.5); kind and value may be its field's} */
    private static boolean isSigned(COSDictionary widget) {
        COSDictionary field = widget.getCOSDictionary(COSName.PARENT);
        COSDictionary asked = widget.containsKey(COSName.FT) || field == null ? widget : field;
        return COSName.SIG.equals(asked.getCOSName(COSName.FT))
                && (widget.containsKey(COSName.V) || asked.containsKey(COSName.V));
    }

    private boolean settleComment(COSDictionary annotation, String kind, List<Drawing> drawings, CarryNotes notes) {
        for (COSName name : List.of(COSName.A, FILE_ACTION, COSName.DEST)) annotation.removeItem(name);
        boolean popup = kind.equals("Popup");
        switch (comments) {
            case KEPT -> {
                if (!popup) notes.add(Code.COMMENTS_KEPT);
                return true;
            }
            case FLATTENED -> {
                if (!popup) notes.add(Code.COMMENTS_FLATTENED);
                if (!popup) drawn(annotation).ifPresent(drawings::add);
            }
            case DROPPED -> {
                if (!popup) notes.add(Code.COMMENTS_DROPPED);
            }
        }
        return false;
    }

    /** What has no appearance of its own is given the one that a viewer would draw. */
    private Optional<Drawing> drawn(COSDictionary annotation) {
        if (!annotation.containsKey(COSName.AP)) {
            try {
                PDAnnotation.createAnnotation(annotation).constructAppearances(document);
            } catch (IOException | RuntimeException e) {
                LoggerFactory.getLogger(Annotations.class).warn("a comment that cannot be drawn", e);
            }
        }
        return Drawing.of(annotation);
    }

    private void settleAction(COSDictionary annotation, String kind, CarryNotes notes) {
        COSDictionary action = annotation.getDictionaryObject(COSName.A) instanceof COSDictionary dictionary ? dictionary : null;
        COSBase wanted = annotation.getDictionaryObject(COSName.DEST);
        if (wanted == null && Actions.kind(action).equals("GoTo") && action != null)
            wanted = action.getDictionaryObject(COSName.D);
        annotation.removeItem(FILE_ACTION);
        annotation.removeItem(COSName.A);
        annotation.removeItem(COSName.DEST);
        if (Actions.kind(action).equals("URI") && action != null) {
            annotation.setItem(COSName.A, webLink(action));
        } else if (kind.equals("Link")) {
            boolean isLed = wanted != null && destinations.lead(annotation, wanted);
            boolean remote = Actions.kind(action).startsWith("GoTo");
            if (!isLed && (wanted != null || remote)) notes.add(Code.LINK_DROPPED);
        }
    }

    private static COSDictionary webLink(COSDictionary action) {
        COSDictionary copy = new COSDictionary();
        copy.setItem(COSName.S, COSName.URI);
        copy.setItem(COSName.URI, action.getDictionaryObject(COSName.URI));
        return copy;
    }

    /** {@return all that annotations may draw, whatever state they are in} */
    public static List<COSStream> appearances(COSArray annotations) {
        List<COSStream> found = new ArrayList<>();
        for (int i = 0; i < annotations.size(); i++) {
            COSDictionary appearances =
                    annotations.getObject(i) instanceof COSDictionary annotation ? annotation.getCOSDictionary(COSName.AP) : null;
            if (appearances == null) continue;
            for (COSName kind : appearances.keySet()) {
                COSBase appearance = appearances.getDictionaryObject(kind);
                if (appearance instanceof COSStream stream) found.add(stream);
                else if (appearance instanceof COSDictionary states) for (COSName state : states.keySet())
                    if (states.getDictionaryObject(state) instanceof COSStream stream) found.add(stream);
            }
        }
        return found;
    }

    /**
     * Leads references between annotations to the copies; those to annotations that are not on the page lead to nothing that
     * anybody sees.
     */
    private static void leadToCopies(COSDictionary annotation, Set<COSBase> kept, Map<COSBase, COSObject> copies) {
        for (COSName name : List.of(POPUP, IN_REPLY_TO, COSName.PARENT)) {
            @Nullable COSBase other = annotation.getDictionaryObject(name);
            if (other == null) continue;
            if (kept.contains(other)) annotation.setItem(name, copies.get(other));
            else annotation.removeItem(name);
        }
    }
}
