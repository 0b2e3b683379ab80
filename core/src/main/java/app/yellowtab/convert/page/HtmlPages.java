package app.yellowtab.convert.page;

import app.yellowtab.finding.Finding.Code;
import com.openhtmltopdf.extend.FSCacheEx;
import com.openhtmltopdf.extend.FSCacheValue;
import com.openhtmltopdf.extend.impl.FSDefaultCacheStore;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder.CacheStore;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.util.XRLog;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;

/**
 * Sets a tree of HTML on pages. Nothing is fetched: pictures are those that the tree itself carries as {@code data:}
 * addresses (RFC 2397), and no script runs.
 */
public final class HtmlPages {
    /** What every document starts from; a document's own style sheet comes after it. */
    private static final String GROUND = """
            @page { size: 210mm 297mm; margin: 20mm 20mm 22mm 20mm; }
            body { margin: 0; font-family: Tinos, Arimo; font-size: 11pt; line-height: 1.15; word-wrap: break-word; }
            p { margin: 0; } table { border-collapse: collapse; -fs-table-paginate: paginate; }
            td, th { vertical-align: top; text-align: left; font-weight: normal; }
            img { max-width: 100%; } a { color: inherit; text-decoration: none; }
            """;
    /** Chosen by us: some 2,000 pages; setting them takes a minute and half of the memory. */
    private static final int MOST_LETTERS = 6_000_000;
    private static final int MOST_ELEMENTS = 400_000;
    private static final FSCacheEx<String, FSCacheValue> METRICS = new FSDefaultCacheStore();

    static {
        XRLog.setLoggerImpl(new Slf4jLogger());
    }

    private HtmlPages() {}

    /**
     * Adds the pages that a tree fills.
     *
     * @param html        the tree; what it has of scripts is ignored
     * @param firstNumber what the page counter says on the first of them
     * @param notes       takes that letters are not in our fonts
     * @return how many pages were added
     */
    public static int add(PDDocument document, Document html, int firstNumber, Notes notes) throws IOException {
        if (html.getAllElements().size() > MOST_ELEMENTS) throw new TooLargeException("more than " + MOST_ELEMENTS + " parts");
        if (html.body().text().length() > MOST_LETTERS)
            throw new TooLargeException("more than " + MOST_LETTERS / 1_000_000 + " million letters");
        html.head().prependElement("style").appendText(GROUND);
        long missing =
                html.body().text().codePoints().filter(letter -> !Character.isWhitespace(letter) && !isShown(letter)).count();
        if (missing > 0) notes.say(Code.CHARACTERS_NOT_SHOWN, String.valueOf(missing));
        int before = document.getNumberOfPages();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        for (Face face : Face.values()) {
            for (int style = 0; style < 4; style++) {
                boolean bold = style >= 2;
                boolean italic = style % 2 == 1;
                builder.useFont(() -> face.open(bold, italic), face.family(), bold ? 700 : 400,
                        italic ? FontStyle.ITALIC : FontStyle.NORMAL, true);
            }
        }
        builder.useExternalResourceAccessControl((address, type) -> address.startsWith("data:"),
                ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
        builder.useCacheStore(CacheStore.PDF_FONT_METRICS, METRICS);
        builder.useReplacementText("\u25A1");
        builder.useInitialPageNumber(firstNumber);
        builder.usePDDocument(document);
        builder.withProducer("");
        builder.withW3cDocument(new W3CDom().fromJsoup(html), "data:,");
        PdfBoxRenderer renderer = builder.buildPdfRenderer();
        renderer.createPDFWithoutClosing();
        return document.getNumberOfPages() - before;
    }

    private static boolean isShown(int letter) {
        int type = Character.getType(letter);
        return type == Character.FORMAT || type == Character.CONTROL || letter == '\u00A0' || letter == '\u202F'
                || Face.TINOS.has(letter) || Face.ARIMO.has(letter);
    }
}
