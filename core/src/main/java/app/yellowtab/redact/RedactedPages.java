package app.yellowtab.redact;

import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.RedactedPicture;
import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.Inspection;
import app.yellowtab.inspect.TextReader;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.recognise.PageReading;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.source.SourceFiles;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collections;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.slf4j.LoggerFactory;

/**
 * Makes pages from which areas are taken out, for the screen and for production. Each is made once and kept under what made it,
 * where the sources have a place for it; those of locked files are not kept. Stateless, but for the disk.
 */
public final class RedactedPages {
    /** Raised when pages are made another way, so that they are made anew. */
    private static final int WAY = 2;
    private static final double DPI = 300;
    private static final double PT_A_INCH = 72;
    /** A page larger than A2 is drawn coarser, so that it fits into the memory; chosen by us. */
    private static final double MOST_DOTS = 36e6;
    private static final int KEY_BYTES = 16;
    /** Words behind a scan may stand so far beside what is seen of them. */
    private static final double LOOSE_MM = 1;
    private static final RecognisedPage NO_WORDS = new RecognisedPage(PageText.NONE, List.of(), "", "", SheetState.SOUND);
    /** Certainties are told of words that were read in pictures; the page's own are certain. */
    private static final int CERTAIN = 100;

    private final SourceFiles sources;
    private final Optional<TextRecogniser> recogniser;

    /** @param recogniser reads blackened pictures of paper */
    public RedactedPages(SourceFiles sources, TextRecogniser recogniser) {
        this(sources, Optional.of(recogniser));
    }

    private RedactedPages(SourceFiles sources, Optional<TextRecogniser> recogniser) {
        this.sources = sources;
        this.recogniser = recogniser;
    }

    /** {@return those that are only looked at: they are there sooner, and some lack their words} */
    public static RedactedPages toBeSeen(SourceFiles sources) {
        return new RedactedPages(sources, Optional.empty());
    }

    /**
     * A page made.
     *
     * @param dpi             how many dots its picture has to the inch
     * @param picturesMissing how many pictures on the page could not be drawn, and are missing in its picture
     * @param isUnread        whether it is a picture of paper that could not be read, so that it has no words
     */
    public record Made(RedactedPicture picture, double dpi, int picturesMissing, boolean isUnread) {
        /** {@return whether it is coarser than a page of usual size} */
        public boolean isCoarse() {
            return dpi < DPI - 1;
        }
    }

    /**
     * {@return what a page shows once areas were taken out of it}
     *
     * @param open    its source, opened
     * @param carrier of the open source
     * @param page    counted from 1
     * @throws IOException      if it cannot be drawn
     * @throws RuntimeException of any kind, for the same reason
     */
    public Made page(SourceId id, PdfInput open, PageCarrier carrier, int page, List<Redaction> redactions, Comments comments)
            throws IOException {
        Source source = sources.source(id);
        boolean isLocked = open.neededPassword() || source.about().pages().locked();
        Optional<Path> file = isLocked ? Optional.empty() : sources.redactedFolder()
                .map(folder -> folder.resolve(RedactedFile.name(key(source, page, redactions, comments))));
        Optional<Made> kept = file.flatMap(RedactedFile::read);
        if (kept.isPresent()) return kept.get();
        Made made = make(id, open, carrier, page, redactions);
        if (file.isPresent() && !made.isUnread()) {
            try {
                RedactedFile.write(file.get(), made);
            } catch (IOException full) {
                LoggerFactory.getLogger(RedactedPages.class).warn("not kept: {}", file.get(), full);
            }
        }
        return made;
    }

    /** {@return the name under which a page is kept: of what makes it what it is, the reasons apart} */
    public static String key(Source source, int page, List<Redaction> redactions, Comments comments) {
        List<String> areas = redactions.stream().map(one -> one.area().toString()).sorted().distinct().toList();
        try {
            String all =
                    WAY + " " + source.pagesKey() + " " + page + " " + comments + " " + areas + " " + source.about().recognised();
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(all.getBytes(StandardCharsets.UTF_8)), 0,
                    KEY_BYTES);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    private Made make(SourceId id, PdfInput open, PageCarrier carrier, int page, List<Redaction> redactions) throws IOException {
        List<Area> areas = redactions.stream().map(Redaction::area).toList();
        COSDictionary whole = open.page(() -> carrier.toBeRedacted(page, redactions));
        Optional<RecognisedPage> ours = RecognisedPages.of(sources, id).flatMap(pages -> pages.page(page));
        RecognisedPage words = ours.isPresent() ? ours.get() : own(id, open, page, whole);
        boolean isPaper = isPaper(id, open, page, whole);
        whole.removeItem(COSName.ANNOTS);
        DrawnPage drawn = BoundedRenderer.within(sources.source(id).bytes(), () -> draw(whole));
        blacken(drawn, areas);
        boolean isUnread = false;
        if (ours.isEmpty() && isPaper && !words.text().isEmpty()) {
            // Nobody knows whether words behind a picture that others read stand where they are seen.
            Optional<RecognisedPage> read = read(id, page, drawn);
            isUnread = read.isEmpty();
            words = read.orElse(NO_WORDS);
        }
        RecognisedPage left =
                TakenOut.wordsLeft(words, areas, drawn.widthPt() / Length.PT_PER_MM, drawn.heightPt() / Length.PT_PER_MM,
                        isPaper ? LOOSE_MM : 0);
        COSStream picture = PicturePacker.pack(drawn.image());
        if (!left.text().isEmpty()) left = TakenOut.wordsSeen(left,
                new PDImageXObject(new PDStream(picture), null).getImage(), drawn.widthPt() / Length.PT_PER_MM,
                drawn.heightPt() / Length.PT_PER_MM);
        return new Made(new RedactedPicture(picture, left), drawn.image().getWidth() * PT_A_INCH / drawn.widthPt(),
                drawn.picturesMissing(), isUnread);
    }

    /** {@return whether a page may be a picture of paper, with words behind it or beneath it that somebody read there} */
    private boolean isPaper(SourceId id, PdfInput open, int page, COSDictionary whole) {
        if (sources.source(id).about().pages().scanned().pages().get(page)) return true;
        try {
            return open.page(() -> Inspection.isCovered(whole));
        } catch (IOException | RuntimeException | Error unknown) {
            LoggerFactory.getLogger(RedactedPages.class).info("not looked through: {} {}", sources.original(id), page, unknown);
            return true;
        }
    }

    /** {@return what is read in a page's picture, areas black in it; empty where nobody can} */
    private Optional<RecognisedPage> read(SourceId id, int page, DrawnPage drawn) {
        if (recogniser.isEmpty()) return Optional.empty();
        try {
            return Optional.of(PageReading.read(drawn.image(), drawn.widthPt(), recogniser.get()));
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(RedactedPages.class).warn("not read: {} {}", sources.original(id), page, unreadable);
            return Optional.empty();
        }
    }

    /** {@return the words that a page has of its own} */
    private RecognisedPage own(SourceId id, PdfInput open, int page, COSDictionary whole) throws IOException {
        PageText text;
        try (TextReader reader = new TextReader(open)) {
            text = reader.read(whole).text();
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(RedactedPages.class).warn("no words were read: {} {}", sources.original(id), page,
                    unreadable);
            text = PageText.NONE;
        }
        return new RecognisedPage(text, Collections.nCopies(text.sides().length / 4, CERTAIN), "", "", SheetState.SOUND);
    }

    private static DrawnPage draw(COSDictionary page) throws IOException {
        try (PDDocument stage = new PDDocument()) {
            stage.addPage(new PDPage(page));
            PageFrame frame = PageFrame.of(stage.getPage(0));
            double dots = frame.widthPt() * frame.heightPt() * DPI * DPI / PT_A_INCH / PT_A_INCH;
            double dpi = DPI * Math.min(1, Math.sqrt(MOST_DOTS / dots));
            return new BoundedRenderer(stage).draw(0, Math.max(1, (int) Math.round(frame.widthPt() * dpi / PT_A_INCH)));
        }
    }

    /** Fills areas with black, to the next whole dot outside. */
    private static void blacken(DrawnPage drawn, List<Area> areas) {
        BufferedImage image = drawn.image();
        double across = image.getWidth() * Length.PT_PER_MM / drawn.widthPt();
        double down = image.getHeight() * Length.PT_PER_MM / drawn.heightPt();
        Graphics2D on = image.createGraphics();
        on.setColor(Color.BLACK);
        for (Area area : areas) {
            int left = (int) Math.floor(Math.clamp(area.leftMm() * across, -1, image.getWidth()));
            int top = (int) Math.floor(Math.clamp(area.topMm() * down, -1, image.getHeight()));
            int right = (int) Math.ceil(Math.clamp((area.leftMm() + area.widthMm()) * across, -1, image.getWidth()));
            int bottom = (int) Math.ceil(Math.clamp((area.topMm() + area.heightMm()) * down, -1, image.getHeight()));
            if (right > left && bottom > top) on.fillRect(left, top, right - left, bottom - top);
        }
        on.dispose();
    }
}
