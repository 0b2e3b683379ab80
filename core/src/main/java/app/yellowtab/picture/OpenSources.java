package app.yellowtab.picture;

import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.RedactedPicture;
import app.yellowtab.carry.part.Targets;
import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.input.PdfInput;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.redact.RedactedPages;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.pdmodel.DefaultResourceCache;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.slf4j.LoggerFactory;

/**
 * The sources that pictures are drawn from. One that is drawn from again and again is opened once for each thread. Safe to share
 * between threads; what is lent is for one of them.
 */
final class OpenSources implements Closeable {
    /** So many may be open that nobody draws from, and of no more pages and bytes than this; chosen by us. */
    private static final int MOST_IDLE = 12;
    private static final long MOST_IDLE_PAGES = 12_000;
    private static final long MOST_IDLE_BYTES = 48L << 20;
    /** Of larger files only a part is in the memory. */
    private static final long WHOLE_UP_TO = 12L << 20;
    /** After so many pictures a file is opened anew, so that what is remembered of it does not grow with its pages. */
    private static final int MOST_PICTURES = 400;
    /** A picture of more pixels is drawn once, and not remembered for the next page. */
    private static final int LARGE_PIXELS = 500_000;

    private final SourceFiles sources;
    /** What was given back last is at the end. */
    private final List<Lent> idle = new ArrayList<>();
    private boolean closed;

    OpenSources(SourceFiles sources) {
        this.sources = sources;
    }

    /** Which file is open, and how its pages are carried. */
    private record Which(SourceId source, String file, Comments comments) {}

    /** An open source. Its pages are drawn in a document of their own, which shares fonts between them. */
    static final class Lent {
        private final Which which;
        private final Source source;
        private final PdfInput input;
        private final PageCarrier carrier;
        private final PDDocument stage = new PDDocument();
        private int pictures;

        private Lent(Which which, Source source, PdfInput input) throws IOException {
            this.which = which;
            this.source = source;
            this.input = input;
            this.carrier = input.whole(() -> new PageCarrier(input, Targets.NONE, which.comments, MarkSetter.NONE));
            stage.setResourceCache(new SmallThings());
        }

        PdfInput input() {
            return input;
        }

        /**
         * {@return a page as it is carried}
         *
         * @throws LostPageException if it cannot be had
         */
        COSDictionary carried(int page, PageLook look, RedactedPages redacted) throws IOException {
            pictures++;
            if (page > input.pages().size()) throw new IOException("page " + page + " is missing");
            try {
                Optional<RedactedPicture> instead = look.redactions().isEmpty() ? Optional.empty()
                        : Optional.of(
                                redacted.page(which.source, input, carrier, page, look.redactions(), which.comments).picture());
                return input.page(() -> carrier.toBeDrawn(page, look, instead));
            } catch (IOException | RuntimeException | Error e) {
                throw new LostPageException(e);
            }
        }

        /** @param withText whether the words of the page are drawn too */
        DrawnPage draw(COSDictionary page, int widthPx, boolean withText) throws IOException {
            stage.addPage(new PDPage(page));
            try {
                return (withText ? new BoundedRenderer(stage) : BoundedRenderer.withoutText(stage)).draw(0, widthPx);
            } finally {
                stage.removePage(0);
            }
        }

        void close() {
            try {
                stage.close();
                input.close();
            } catch (IOException | RuntimeException | Error e) {
                // The thread that draws goes on with other files.
                LoggerFactory.getLogger(OpenSources.class).warn("not closed: {}", source.fileName(), e);
            }
        }
    }

    /** Remembers what pages share, such as fonts, and not the pictures that fill them. */
    private static final class SmallThings extends DefaultResourceCache {
        @Override
        public void put(COSObject indirect, PDXObject drawn) {
            if (drawn instanceof PDImageXObject image && (long) image.getWidth() * image.getHeight() > LARGE_PIXELS) return;
            super.put(indirect, drawn);
        }
    }

    /**
     * {@return a source, opened; to be given back, or closed when it failed}
     *
     * @throws IOException if it is gone, locked or cannot be made out
     */
    Lent borrow(SourceId id, Comments comments) throws IOException {
        Source source = sources.source(id);
        Which which = new Which(id, source.conversion().map(ConversionKey::value).orElse(source.sha256()), comments);
        synchronized (idle) {
            for (int i = idle.size() - 1; i >= 0; i--) if (idle.get(i).which.equals(which)) return idle.remove(i);
        }
        PdfInput input = sources.open(id);
        try {
            return new Lent(which, source, input);
        } catch (IOException | RuntimeException | Error e) {
            input.close();
            throw e;
        }
    }

    /** Takes a source back that was drawn from without a fault. */
    void giveBack(Lent lent) {
        List<Lent> done = new ArrayList<>();
        synchronized (idle) {
            if (closed || lent.pictures >= MOST_PICTURES) done.add(lent);
            else idle.add(lent);
            while (idle.size() > 1 && isTooMuch()) done.add(idle.removeFirst());
        }
        done.forEach(Lent::close);
    }

    private boolean isTooMuch() {
        long bytes = 0;
        long pages = 0;
        for (Lent lent : idle) {
            bytes += Math.min(lent.source.bytes(), WHOLE_UP_TO);
            pages += lent.source.pageCount();
        }
        return idle.size() > MOST_IDLE || pages > MOST_IDLE_PAGES || bytes > MOST_IDLE_BYTES;
    }

    void closeIdle() {
        List<Lent> done;
        synchronized (idle) {
            done = List.copyOf(idle);
            idle.clear();
        }
        done.forEach(Lent::close);
    }

    @Override
    public void close() {
        synchronized (idle) {
            closed = true;
        }
        closeIdle();
    }
}
