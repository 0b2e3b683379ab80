package app.yellowtab.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;
import org.apache.pdfbox.pdmodel.PDEmbeddedFilesNameTreeNode;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.filespecification.PDComplexFileSpecification;
import org.apache.pdfbox.pdmodel.common.filespecification.PDEmbeddedFile;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;

/** Makes PDFs whose pages say who they are, and reads produced ones back as a user would see them. */
public final class Pdfs {
    private Pdfs() {}

    /** Writes a PDF of A4 pages that say "A-1", "A-2" and so on. */
    public static Path write(Path folder, String name, int pages) throws IOException {
        return write(folder, name, pages, document -> {});
    }

    /** The same, changed before it is saved. */
    public static Path write(Path folder, String name, int pages, Consumer<PDDocument> change) throws IOException {
        Path file = folder.resolve(name + ".pdf");
        try (PDDocument document = new PDDocument()) {
            for (int i = 1; i <= pages; i++) say(document, addPage(document, PDRectangle.A4), name + "-" + i);
            change.accept(document);
            document.save(file.toFile());
        }
        return file;
    }

    public static PDPage addPage(PDDocument document, PDRectangle size) {
        PDPage page = new PDPage(size);
        document.addPage(page);
        return page;
    }

    public static void say(PDDocument document, PDPage page, String words) throws IOException {
        say(document, page, words, 18, 100, 400);
    }

    /** Sets words of a size somewhere on a page; in points from its lower left corner. */
    public static void say(PDDocument document, PDPage page, String words, float size, float x, float y) throws IOException {
        try (var content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.APPEND, true)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), size);
            content.newLineAtOffset(x, y);
            content.showText(words);
            content.endText();
        }
    }

    /** Draws a small grey picture on a page. */
    public static void picture(PDDocument document, PDPage page, int grey) {
        BufferedImage picture = new BufferedImage(30, 20, BufferedImage.TYPE_BYTE_GRAY);
        for (int x = 0; x < 30; x++)
            for (int y = 0; y < 20; y++) picture.getRaster().setSample(x, y, 0, (grey + 5 * x + y) % 256);
        try (var content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.APPEND, true)) {
            content.drawImage(LosslessFactory.createFromImage(document, picture), 100, 500, 150, 100);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** {@return the words of each page on one line, its stamped number last} */
    public static List<String> pages(Path file) throws IOException {
        return pagesFrom(file, 1);
    }

    public static int pageCount(Path file) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return document.getNumberOfPages();
        }
    }

    /** {@return the same for the pages from a number on} */
    public static List<String> pagesFrom(Path file, int first) throws IOException {
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            PDFTextStripper stripper = new PDFTextStripper();
            for (int i = first; i <= document.getNumberOfPages(); i++) {
                stripper.setStartPage(i);
                stripper.setEndPage(i);
                pages.add(stripper.getText(document).strip().replaceAll("\\s+", " "));
            }
        }
        return pages;
    }

    /** {@return every bookmark, indented by its depth, with the page it leads to} */
    public static List<String> bookmarks(Path file) throws IOException {
        List<String> found = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            collect(document, document.getDocumentCatalog().getDocumentOutline(), "", found);
        }
        return found;
    }

    private static void collect(PDDocument document, PDOutlineNode node, String indent, List<String> found) throws IOException {
        for (PDOutlineItem item : node.children()) {
            found.add(indent + item.getTitle() + " > " + (document.getPages().indexOf(item.findDestinationPage(document)) + 1));
            collect(document, item, indent + "  ", found);
        }
    }

    /** {@return the pages that a page's links lead to, from the top of the page down; links without a target are passed over} */
    public static List<Integer> linkTargets(Path file, int page) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return links(document, page).stream().filter(link -> link.getCOSObject().containsKey(COSName.DEST))
                    .map(link -> target(document, link)).toList();
        }
    }

    /** {@return the areas of a page's links, from the top down} */
    public static List<PDRectangle> linkAreas(Path file, int page) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return links(document, page).stream().map(PDAnnotation::getRectangle).toList();
        }
    }

    private static List<PDAnnotationLink> links(PDDocument document, int page) throws IOException {
        return document.getPage(page - 1).getAnnotations().stream().filter(PDAnnotationLink.class::isInstance)
                .map(PDAnnotationLink.class::cast)
                .sorted((a, b) -> Float.compare(b.getRectangle().getUpperRightY(), a.getRectangle().getUpperRightY())).toList();
    }

    private static int target(PDDocument document, PDAnnotationLink link) {
        try {
            PDPageDestination destination = (PDPageDestination) link.getDestination();
            return document.getPages().indexOf(destination.getPage()) + 1;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Asserts that two pages look the same at 100 dpi, but for the corner where the number stands. */
    public static void assertSamePage(PDDocument before, int page, PDDocument after, int number) throws IOException {
        BufferedImage was = new PDFRenderer(before).renderImageWithDPI(page - 1, 100, ImageType.RGB);
        BufferedImage is = new PDFRenderer(after).renderImageWithDPI(number - 1, 100, ImageType.RGB);
        assertThat(is.getWidth()).isEqualTo(was.getWidth());
        assertThat(is.getHeight()).isEqualTo(was.getHeight());
        int left = was.getWidth() - Math.min(100, was.getWidth() / 2);
        int top = was.getHeight() - Math.min(80, was.getHeight() / 2);
        for (BufferedImage picture : List.of(was, is)) {
            for (int x = left; x < was.getWidth(); x++) for (int y = top; y < was.getHeight(); y++) picture.setRGB(x, y, 0);
        }
        assertThat(other(dots(was), dots(is))).as("dots of page %d that are other ones on leaf %d", page, number).isZero();
    }

    private static int[] dots(BufferedImage picture) {
        return ((DataBufferInt) picture.getRaster().getDataBuffer()).getData();
    }

    /** One level of 255, which nobody sees, may come of the rounding of a width. */
    private static long other(int[] was, int[] is) {
        long other = 0;
        for (int i = 0; i < was.length; i++) {
            boolean differs = was[i] != is[i] && (Math.abs((was[i] >> 16 & 0xFF) - (is[i] >> 16 & 0xFF)) > 1
                    || Math.abs((was[i] >> 8 & 0xFF) - (is[i] >> 8 & 0xFF)) > 1
                    || Math.abs((was[i] & 0xFF) - (is[i] & 0xFF)) > 1);
            if (differs) other++;
        }
        return other;
    }

    /** {@return a page as it is seen, in shades of grey} */
    public static BufferedImage picture(Path file, int page, int dpi) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return new PDFRenderer(document).renderImageWithDPI(page - 1, dpi, ImageType.GRAY);
        }
    }

    /** {@return the smallest box around everything dark in a picture: left, top, right, bottom, in pixels} */
    public static int[] ink(BufferedImage picture) {
        int[] box = {picture.getWidth(), picture.getHeight(), 0, 0};
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                if ((picture.getRGB(x, y) & 0xFF) > 128) continue;
                box[0] = Math.min(box[0], x);
                box[1] = Math.min(box[1], y);
                box[2] = Math.max(box[2], x + 1);
                box[3] = Math.max(box[3], y + 1);
            }
        }
        return box;
    }

    /** Puts a file into a document. */
    public static void attach(PDDocument document, String name, byte[] content) {
        try {
            PDComplexFileSpecification inside = new PDComplexFileSpecification();
            inside.setFile(name);
            inside.setEmbeddedFile(new PDEmbeddedFile(document, new ByteArrayInputStream(content)));
            PDEmbeddedFilesNameTreeNode tree = new PDEmbeddedFilesNameTreeNode();
            tree.setNames(Map.of("inside", inside));
            PDDocumentNameDictionary names = new PDDocumentNameDictionary(document.getDocumentCatalog());
            names.setEmbeddedFiles(tree);
            document.getDocumentCatalog().setNames(names);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
