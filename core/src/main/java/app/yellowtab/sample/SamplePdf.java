package app.yellowtab.sample;

import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.sample.paper.SampleFile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;
import org.apache.pdfbox.pdmodel.PDEmbeddedFilesNameTreeNode;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.filespecification.PDComplexFileSpecification;
import org.apache.pdfbox.pdmodel.common.filespecification.PDEmbeddedFile;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;

/** Sets one PDF of the sample matter. */
final class SamplePdf {
    private static final float SIZE = 11.5f;
    private static final float LEADING = 16;

    private final SampleFile file;
    private final List<String> sentences;
    private final Random random;
    private final PDDocument document = new PDDocument();
    private final FontSet fonts = FontSet.forSaving(document);
    private final PDDocumentOutline outline = new PDDocumentOutline();
    private final List<PDPage> pages = new ArrayList<>();
    /** Opens the locked file of the matter. */
    private static final String PASSWORD = "orchard";

    private final float margin;
    private Canvas canvas;
    private float y;
    private final Map<String, String> attachments = new TreeMap<>();
    private int paragraph;

    private SamplePdf(SampleFile file) throws IOException {
        this.file = file;
        this.sentences = SampleFile.resource("sentences.txt").lines().toList();
        this.random = new Random(file.path().hashCode());
        this.margin = Units.mm(file.has("cropped") ? 38 : 25);
        this.canvas = newPage();
    }

    static void write(SampleFile file, Path target) throws IOException {
        new SamplePdf(file).write(target);
    }

    private void write(Path target) throws IOException {
        List<String> headings = file.lines().stream().filter(line -> line.startsWith("# ")).toList();
        for (String line : file.lines()) {
            if (line.startsWith("# ")) {
                heading(line.substring(2));
                fill(headings.indexOf(line) + 1, headings.size());
            } else if (line.startsWith(". ")) {
                centre(line.substring(2));
            } else if (line.startsWith("inside: ")) {
                String[] inside = line.substring(8).split(": ", 2);
                attachments.put(inside[0], inside[1]);
            } else if (line.startsWith("> ")) {
                room(LEADING * 2);
                canvas.right(line.substring(2), Typeface.SERIF_ITALIC, SIZE, right(), y);
                y -= LEADING * 1.5f;
            } else {
                text(line);
            }
        }
        if (headings.isEmpty()) fill(1, 1);
        if (file.has("plan")) plan();
        canvas.close();
        if (file.has("bookmarks")) document.getDocumentCatalog().setDocumentOutline(outline);
        document.setDocumentId((long) file.path().hashCode());
        if (!attachments.isEmpty()) attach();
        if (file.has("locked")) lock();
        if (file.has("cut")) document.save(target.toFile(), CompressParameters.NO_COMPRESSION);
        else document.save(target.toFile());
        document.close();
        if (file.has("cut")) {
            byte[] whole = Files.readAllBytes(target);
            Files.write(target, Arrays.copyOf(whole, whole.length - 300));
        }
    }

    private void attach() throws IOException {
        Map<String, PDComplexFileSpecification> names = new TreeMap<>();
        for (Map.Entry<String, String> one : attachments.entrySet()) {
            PDEmbeddedFile content =
                    new PDEmbeddedFile(document, new ByteArrayInputStream(one.getValue().getBytes(StandardCharsets.UTF_8)));
            PDComplexFileSpecification inside = new PDComplexFileSpecification();
            inside.setFile(one.getKey());
            inside.setEmbeddedFile(content);
            names.put(one.getKey(), inside);
        }
        PDEmbeddedFilesNameTreeNode tree = new PDEmbeddedFilesNameTreeNode();
        tree.setNames(names);
        PDDocumentNameDictionary dictionary = new PDDocumentNameDictionary(document.getDocumentCatalog());
        dictionary.setEmbeddedFiles(tree);
        document.getDocumentCatalog().setNames(dictionary);
    }

    /** An older lock, which needs no random numbers, so that the file comes out the same every time. */
    private void lock() throws IOException {
        StandardProtectionPolicy policy = new StandardProtectionPolicy("owner of " + PASSWORD, PASSWORD, new AccessPermission());
        policy.setEncryptionKeyLength(128);
        policy.setPreferAES(false);
        COSArray identity = new COSArray();
        for (int i = 0; i < 2; i++) identity.add(new COSString("sample " + file.path().hashCode()));
        document.getDocument().setDocumentID(identity);
        document.protect(policy);
    }

    /** Fills each heading's share of the wanted pages with numbered paragraphs. */
    private void fill(int share, int of) throws IOException {
        int wanted = file.number("pages", 0);
        float until = (float) wanted * share / of;
        while (wanted > 0 && filledPages() < until - 0.12f) {
            StringBuilder words = new StringBuilder((++paragraph) + ". ");
            for (int i = 0; i < 2 + random.nextInt(3); i++) {
                words.append(sentences.get(random.nextInt(sentences.size()))).append(' ');
            }
            text(words.toString());
        }
    }

    private float filledPages() {
        float height = page().getMediaBox().getHeight() - 2 * margin;
        return pages.size() - (y - margin) / height;
    }

    private void heading(String title) throws IOException {
        room(LEADING * 4);
        y -= LEADING * 0.6f;
        canvas.left(title, Typeface.SERIF_BOLD, 14, margin, y);
        y -= LEADING * 1.6f;
        PDOutlineItem item = new PDOutlineItem();
        PDPageFitDestination destination = new PDPageFitDestination();
        destination.setPage(page());
        item.setTitle(title);
        item.setDestination(destination);
        outline.addLast(item);
    }

    private void centre(String words) throws IOException {
        for (String line : Typeface.SERIF_BOLD.wrap(words, 12.5f, right() - margin)) {
            room(LEADING);
            canvas.centre(line, Typeface.SERIF_BOLD, 12.5f, (margin + right()) / 2, y);
            y -= LEADING * 1.2f;
        }
    }

    private void text(String words) throws IOException {
        for (String line : Typeface.SERIF.wrap(words, SIZE, right() - margin)) {
            room(LEADING);
            canvas.left(line, Typeface.SERIF, SIZE, margin, y);
            y -= LEADING;
        }
        y -= LEADING * 0.5f;
    }

    /** The six chambers of the store, drawn as boxes. */
    private void plan() throws IOException {
        float width = (right() - margin) / 3;
        for (int chamber = 0; chamber < 6; chamber++) {
            float left = margin + chamber % 3 * width;
            float top = y - 40 - chamber / 3 * 260;
            for (float line : new float[] {top, top - 220}) canvas.rule(left, left + width - 30, line, 2);
            for (float edge : new float[] {left, left + width - 30}) canvas.upright(edge, top - 220, top, 2);
            canvas.centre("Chamber " + (chamber + 1), Typeface.SERIF_BOLD, 18, left + width / 2 - 15, top - 115);
        }
    }

    private void room(float needed) throws IOException {
        if (y - needed > margin) return;
        canvas.close();
        canvas = newPage();
    }

    private Canvas newPage() throws IOException {
        PDRectangle size = file.has("a3") ? PDRectangle.A3 : file.has("letter") ? PDRectangle.LETTER : PDRectangle.A4;
        boolean sideways = file.has("landscape");
        PDPage page = new PDPage(sideways ? new PDRectangle(size.getHeight(), size.getWidth()) : size);
        if (file.has("turned")) page.setRotation(90);
        if (file.has("cropped")) {
            float cut = Units.mm(15);
            page.setCropBox(new PDRectangle(cut, cut, size.getWidth() - 2 * cut, size.getHeight() - 2 * cut));
        }
        document.addPage(page);
        pages.add(page);
        y = page.getMediaBox().getHeight() - margin;
        Canvas fresh = new Canvas(document, page, fonts);
        if (file.has("letterhead") && pages.size() == 1) {
            fresh.left(file.path().contains("Brightwick to") || file.path().contains("response") ? "Brightwick Cold Stores Ltd"
                    : "Tarn Hollow Orchards Ltd", Typeface.SANS_BOLD, 16, margin, y);
            fresh.rule(margin, page.getMediaBox().getWidth() - margin, y - 8, 1.2f);
            y -= 50;
        }
        carried(fresh, page.getMediaBox().getWidth());
        return fresh;
    }

    /**
     * What stands at the foot already: numbers that count otherwise than those of any bundle, and a note where numbers are put.
     */
    private void carried(Canvas fresh, float wide) throws IOException {
        if (file.has("numbered")) fresh.centre("- " + pages.size() + " -", Typeface.SERIF, 10, wide / 2, Units.mm(12));
        int filed = file.number("filed", -1);
        if (filed >= 0) fresh.left(String.format(Locale.ROOT, "SC-%04d", filed + pages.size() - 1), Typeface.SANS, 9,
                Units.mm(12), Units.mm(11));
        if (file.has("footnote") && pages.size() == 1)
            fresh.right("Copy to the insurer, ref. 88/2031", Typeface.SERIF_ITALIC, 9, wide - Units.mm(8), Units.mm(11));
    }

    private PDPage page() {
        return pages.getLast();
    }

    private float right() {
        return page().getMediaBox().getWidth() - margin;
    }
}
