package app.yellowtab.inspect;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.Properties;
import app.yellowtab.facts.ShapedPages;
import app.yellowtab.facts.SheetSize;
import app.yellowtab.input.PageList;
import app.yellowtab.input.PdfInput;
import app.yellowtab.input.TooMuchException;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.pdf.PageFrame;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.BitSet;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What was found out about a PDF.
 *
 * @param pageCount  how many pages it has
 * @param bookmarks  its own bookmarks
 * @param facts      what its pages are like
 * @param firstPage  the lines of its first page, from above, largest letters known
 * @param properties what it says of itself
 * @param damaged    the pages of which something cannot be read
 * @param excessive  the pages that ask for more work than any honest one does, and were not looked through
 */
public record Inspection(int pageCount, List<SourceBookmark> bookmarks, PageFacts facts, List<FirstLine> firstPage,
        Properties properties, PageSet damaged,
        PageSet excessive) {
    private static final Logger LOG = LoggerFactory.getLogger(Inspection.class);
    private static final double EDGE = 0.11;
    /** A page that pictures cover so far, and which shows hardly a letter of its own, is a scan. */
    private static final double SCAN_SHARE = 0.5;
    private static final int FEW_LETTERS = 12;
    private static final int MOST_FIRST_LINES = 60;

    /**
     * A line of the first page.
     *
     * @param heightShare how far up the page it stands, from 0 to 1
     * @param sizePt      the height of its letters
     */
    public record FirstLine(String text, double heightShare, double sizePt) {}

    /** {@return the same without what the first page says} */
    public Inspection withoutFirstPage() {
        return new Inspection(pageCount, bookmarks, facts, List.of(), properties, damaged, excessive);
    }

    /** {@return the same with what the file says of itself that it was converted from} */
    public Inspection withProperties(Properties stated) {
        return new Inspection(pageCount, bookmarks, facts, firstPage, stated, damaged, excessive);
    }

    /**
     * {@return whether pictures cover a page so far that it may be one of paper, whatever letters it draws over or under them}
     *
     * @param page that has all that it inherits for itself
     * @throws IOException      if it cannot be looked through
     * @throws RuntimeException of any kind, for the same reason
     */
    public static boolean isCovered(COSDictionary page) throws IOException {
        return Reading.scan(new PDPage(page), new Letters(), new IdentityHashMap<>(), false,
                () -> {}).pictureShare >= SCAN_SHARE;
    }

    /** Reads all of it. */
    public static Inspection of(PdfInput input) throws IOException {
        return input.whole(() -> {
            PageList pages = input.pages().verified();
            Reading reading = new Reading(input, pages);
            reading.readPages();
            return new Inspection(pages.size(), SourceBookmarks.read(input.document(), pages), reading.facts(), reading.firstPage,
                    FileProperties.of(input.document()),
                    PageSet.of(reading.damaged), PageSet.of(reading.excessive));
        });
    }

    /** The reading of one document. */
    private static final class Reading {
        private final PdfInput input;
        private final PageList pages;
        private final Letters letters = new Letters();
        private final Map<COSStream, String> pictures = new IdentityHashMap<>();
        private final List<ShapedPages> shapes = new ArrayList<>();
        private final Map<String, SheetSize> sizes = new LinkedHashMap<>();
        private final BitSet scanned = new BitSet();
        private final BitSet searchable = new BitSet();
        private final BitSet damaged = new BitSet();
        private final BitSet excessive = new BitSet();
        private final PrintedNumbers series = new PrintedNumbers();
        private final Set<COSBase> fontsSeen = Collections.newSetFromMap(new IdentityHashMap<>());
        private final Set<String> fontsMissing = new TreeSet<>();
        private final ByteArrayOutputStream prints = new ByteArrayOutputStream();
        private final List<FirstLine> firstPage = new ArrayList<>();
        private final Carried carried = new Carried();

        Reading(PdfInput input, PageList pages) {
            this.input = input;
            this.pages = pages;
        }

        void readPages() {
            for (int i = 0; i < pages.size(); i++) {
                int number = i + 1;
                shape(number);
                try {
                    input.page(() -> {
                        readPage(number, new PDPage(pages.get(number - 1)));
                        return number;
                    });
                } catch (IOException | RuntimeException | Error unreadable) {
                    LOG.info("page {} cannot be looked through", number, unreadable);
                    if (unreadable instanceof TooMuchException || unreadable instanceof OutOfMemoryError) excessive.set(number);
                    else damaged.set(number);
                    prints.writeBytes(new byte[16]);
                }
            }
        }

        private void shape(int number) {
            PageShape shape;
            try {
                shape = PageFrame.of(new PDPage(pages.get(number - 1))).shape();
            } catch (RuntimeException | Error unreadable) {
                LOG.info("page {} has no shape", number, unreadable);
                shape = PageShape.A4;
            }
            boolean alike = !shapes.isEmpty() && shapes.getLast().shape().equals(shape);
            int before = alike ? shapes.removeLast().pages() : 0;
            shapes.add(new ShapedPages(before + 1, shape));
        }

        private void readPage(int number, PDPage page) throws IOException {
            Extent seen = Extent.of(page);
            double height = seen.height;
            double unit = Math.max(0.01, page.getUserUnit());
            int widthMm = (int) Math.round(seen.width * unit / Length.PT_PER_MM);
            int heightMm = (int) Math.round(height * unit / Length.PT_PER_MM);
            sizes.merge(widthMm + "x" + heightMm, new SheetSize(widthMm, heightMm, 1),
                    (a, b) -> new SheetSize(widthMm, heightMm, a.pages() + 1));
            COSDictionary resources = resources(page);
            PageScan scan = scan(page, letters, pictures, number == 1, () -> damaged.set(number));
            boolean isScan = scan.pictureShare >= SCAN_SHARE && scan.visibleCodes <= FEW_LETTERS;
            if (isScan) scanned.set(number);
            // A few stray words over a picture do not tell what is in it.
            if (scan.readableCodes > (isScan ? FEW_LETTERS : 0)) searchable.set(number);
            prints.writeBytes(scan.print());
            List<TextLines.Line> lines = TextLines.lines(scan.pieces);
            series.add(number, lines.stream().filter(line -> line.y() < height * EDGE || line.y() > height * (1 - EDGE)).toList(),
                    height / 2);
            if (number == 1) lines.stream().limit(MOST_FIRST_LINES)
                    .forEach(line -> firstPage.add(new FirstLine(line.text(), line.y() / height, line.sizePt())));
            fonts(resources);
            carried.page(page.getCOSObject());
        }

        /** What is seen of a page, in its own units. */
        private record Extent(double width, double height) {
            static Extent of(PDPage page) {
                PDRectangle box = page.getCropBox();
                boolean turned = page.getRotation() % 180 != 0;
                return new Extent(Math.max(1, turned ? box.getHeight() : box.getWidth()),
                        Math.max(1, turned ? box.getWidth() : box.getHeight()));
            }
        }

        private static PageScan scan(PDPage page, Letters letters, Map<COSStream, String> pictures, boolean everything,
                Runnable broken) throws IOException {
            Extent seen = Extent.of(page);
            PageScan scan = new PageScan(letters, pictures, shown(page.getCropBox(), page.getRotation()), seen.width, seen.height,
                    seen.height * EDGE, everything);
            scan.run(content(page, broken), resources(page));
            return scan;
        }

        private static @Nullable COSDictionary resources(PDPage page) {
            return page.getResources() == null ? null : page.getResources().getCOSObject();
        }

        private static AffineTransform shown(PDRectangle box, int rotation) {
            AffineTransform shown = switch (Math.floorMod(rotation, 360)) {
                case 90 -> new AffineTransform(0, -1, 1, 0, 0, box.getWidth());
                case 180 -> new AffineTransform(-1, 0, 0, -1, box.getWidth(), box.getHeight());
                case 270 -> new AffineTransform(0, 1, -1, 0, box.getHeight(), 0);
                default -> new AffineTransform();
            };
            shown.translate(-box.getLowerLeftX(), -box.getLowerLeftY());
            return shown;
        }

        private static byte[] content(PDPage page, Runnable broken) throws IOException {
            COSBase contents = page.getCOSObject().getDictionaryObject(COSName.CONTENTS);
            if (contents instanceof COSStream one) return PdfInput.unpacked(one, broken);
            ByteArrayOutputStream all = new ByteArrayOutputStream();
            if (contents instanceof COSArray several) {
                for (int i = 0; i < several.size(); i++) {
                    if (!(several.getObject(i) instanceof COSStream part)) continue;
                    all.writeBytes(PdfInput.unpacked(part, broken));
                    all.write('\n');
                }
            }
            return all.toByteArray();
        }

        /** Fonts without a program in the file look different on other machines (ISO 32000-1:2008, 9.9). */
        private void fonts(@Nullable COSDictionary resources) {
            COSDictionary fonts = resources == null ? null : resources.getCOSDictionary(COSName.FONT);
            if (fonts == null || !fontsSeen.add(fonts)) return;
            for (COSName name : fonts.keySet()) {
                COSDictionary font = fonts.getCOSDictionary(name);
                if (font == null || !fontsSeen.add(font) || COSName.TYPE3.equals(font.getCOSName(COSName.SUBTYPE))) continue;
                COSDictionary described = font;
                if (font.getDictionaryObject(COSName.DESCENDANT_FONTS) instanceof COSArray descendants
                        && descendants.getObject(0) instanceof COSDictionary descendant)
                    described = descendant;
                COSDictionary descriptor = described.getCOSDictionary(COSName.FONT_DESC);
                boolean embedded = descriptor != null && (descriptor.containsKey(COSName.FONT_FILE)
                        || descriptor.containsKey(COSName.FONT_FILE2) || descriptor.containsKey(COSName.FONT_FILE3));
                String base = font.getNameAsString(COSName.BASE_FONT);
                if (!embedded && fontsMissing.size() < 50) fontsMissing.add(base == null ? "a font without a name" : base);
            }
        }

        PageFacts facts() {
            carried.document(input.document());
            List<SheetSize> bySize =
                    sizes.values().stream().sorted((a, b) -> Integer.compare(b.pages(), a.pages())).limit(20).toList();
            return new PageFacts(shapes, bySize, PageSet.of(scanned), PageSet.of(searchable), series.best(), series.beginnings(),
                    carried.signatures, carried.comments, carried.fields,
                    carried.layers, carried.hiddenLayers, carried.scripts, carried.attachments, List.copyOf(fontsMissing),
                    input.neededPassword(),
                    false, Base64.getEncoder().encodeToString(prints.toByteArray()), PageFacts.PRINT_WAY);
        }
    }
}
