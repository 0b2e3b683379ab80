package app.yellowtab.picture;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.redact.RedactedPages;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.write.OwnLeafFile;
import java.io.Closeable;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.slf4j.LoggerFactory;

/**
 * Draws pages as they will be produced, but for their marks. What was opened for one page serves the next, and pictures of
 * sources are kept on the disk, but for those of locked files. Safe to share between threads.
 */
public final class PageRenderer implements Closeable {
    /** Of an A4 page about a pixel to a millimetre. */
    private static final int SKETCH_PX = 210;

    private final SourceFiles sources;
    private final PictureFiles kept;
    private final OpenSources open;
    private final RedactedPages redacted;

    /** @param kept where pictures are kept */
    public PageRenderer(SourceFiles sources, PictureFiles kept) {
        this.sources = sources;
        this.kept = kept;
        this.open = new OpenSources(sources);
        this.redacted = RedactedPages.toBeSeen(sources);
    }

    /** A picture that may be drawn, and the way to it. */
    public record Order(PictureKey key, Drawing drawing) {}

    /** Draws a picture. */
    @FunctionalInterface
    public interface Drawing {
        /** @throws IOException if its source is gone, or cannot be read */
        Drawn draw() throws IOException;
    }

    /**
     * What was drawn.
     *
     * @param lasts whether it is what the page will be at the next start too, and may be on the disk
     */
    public record Drawn(DrawnPage page, boolean lasts) {}

    /** {@return the picture of a leaf} */
    public Order leaf(Plan plan, Leaf leaf, int widthPx) {
        if (!(leaf.content() instanceof Content.SourcePage page)) {
            return new Order(new PictureKey(new PictureKey.Shown.Own(leaf.content(), words(plan, leaf.content())), widthPx),
                    () -> drawn(OwnLeafFile.of(plan, leaf), widthPx));
        }
        return new Order(key(page.source(), page.page(), page.look(), plan.comments(), widthPx), () -> {
            try {
                return draw(page.source(), page.page(), page.look(), plan.comments(), widthPx, true);
            } catch (LostPageException lost) {
                LoggerFactory.getLogger(PageRenderer.class).warn("page lost: {} {}", page.source(), page.page(), lost);
                String name = String.valueOf(sources.original(page.source()).getFileName());
                return drawn(OwnLeafFile.slip(plan, leaf, name, page.page()), widthPx);
            }
        });
    }

    /**
     * {@return the picture of a source's page}
     *
     * @param page counted from 1
     */
    public Order page(SourceId source, int page, PageLook look, Comments comments, int widthPx) {
        return new Order(key(source, page, look, comments, widthPx), () -> draw(source, page, look, comments, widthPx, true));
    }

    /**
     * A small picture that tells where something is drawn on a page, words aside, and what tells it from others.
     *
     * @param key of the picture; the same page has the same
     */
    public record Sketching(Object key, Drawing drawing) {}

    /** {@return a sketch of a leaf, a pixel to about a millimetre; on leaves of ours words are drawn too} */
    public Sketching sketch(Plan plan, Leaf leaf) {
        if (!(leaf.content() instanceof Content.SourcePage page)) {
            return new Sketching(List.of(leaf.content(), words(plan, leaf.content())),
                    () -> drawn(OwnLeafFile.of(plan, leaf), SKETCH_PX));
        }
        return new Sketching(List.of(key(page.source(), page.page(), page.look(), plan.comments(), SKETCH_PX)),
                () -> draw(page.source(), page.page(), page.look(), plan.comments(), SKETCH_PX, false));
    }

    private PictureKey key(SourceId id, int page, PageLook look, Comments comments, int widthPx) {
        Source source = sources.source(id);
        String file = source.conversion().map(ConversionKey::value).orElse(source.sha256());
        return new PictureKey(new PictureKey.Shown.OfSource(file, page, look, comments), widthPx);
    }

    private static Drawn drawn(byte[] ours, int widthPx) throws IOException {
        try (PDDocument document = Loader.loadPDF(ours)) {
            return new Drawn(BoundedRenderer.within(ours.length, () -> new BoundedRenderer(document).draw(0, widthPx)), false);
        }
    }

    private static Object words(Plan plan, Content content) {
        return switch (content) {
            case Content.Cover cover -> plan.coverSheets().get(cover.sheet());
            case Content.IndexSheet index -> List.of(plan.headingLines(), plan.indexSheets().get(index.sheet()));
            case Content.SectionTitle s -> "";
            case Content.Blank b -> "";
            case Content.Divider d -> "";
            case Content.TabSheet t -> "";
            case Content.Slip s -> "";
            case Content.Withheld w -> "";
            case Content.FrontSheet f -> "";
            case Content.FileSheet f -> "";
            case Content.SourcePage s -> "";
        };
    }

    /**
     * Takes a picture from the disk, or draws it.
     *
     * @throws IOException if the source is gone, is locked, or the page cannot be drawn
     */
    public DrawnPage draw(Order order) throws IOException {
        Optional<String> name = order.key.name();
        Optional<DrawnPage> known = name.flatMap(kept::read);
        if (known.isPresent()) return known.get();
        try {
            Drawn drawn = order.drawing.draw();
            if (drawn.lasts) name.ifPresent(file -> kept.keep(file, drawn.page));
            return drawn.page;
        } catch (Error e) {
            // A picture that does not fit into the memory, or a part of the library that is missing.
            throw new IOException("the page cannot be drawn", e);
        }
    }

    private Drawn draw(SourceId id, int page, PageLook look, Comments comments, int widthPx, boolean withText)
            throws IOException {
        Source source = sources.source(id);
        OpenSources.Lent lent = open.borrow(id, comments);
        boolean isSound = false;
        try {
            COSDictionary toBeDrawn = lent.carried(page, look, redacted);
            DrawnPage drawn = BoundedRenderer.within(source.bytes(), () -> lent.draw(toBeDrawn, widthPx, withText));
            isSound = true;
            boolean locked = lent.input().neededPassword() || source.about().pages().locked();
            return new Drawn(drawn, drawn.picturesMissing() == 0 && !locked);
        } finally {
            if (isSound) open.giveBack(lent);
            else lent.close();
        }
    }

    /** Closes what nobody draws from at the moment. */
    public void rest() {
        open.closeIdle();
    }

    @Override
    public void close() {
        open.close();
    }
}
