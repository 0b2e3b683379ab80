package app.yellowtab.convert.word;

import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.poi.hwpf.HWPFDocumentCore;
import org.apache.poi.hwpf.converter.WordToHtmlConverter;
import org.apache.poi.hwpf.converter.WordToHtmlUtils;
import org.apache.poi.hwpf.usermodel.CharacterRun;
import org.apache.poi.hwpf.usermodel.Section;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Sets a document of the older binary kind on pages, as far as the library makes it out. */
final class DocPages {
    private static final String SHEET = "div { margin: 0 !important; } p { margin: 0 0 6pt 0; } h1, h2, h3 { font-size: 13pt; } "
            + "td { border: 0.5pt solid #808080; padding: 1pt 5pt; } table { width: 98%; }";

    /** A class of paragraphs whose first line hangs out: the page setter knows no indent below nought. */
    private static final Pattern HANGING = Pattern.compile("\\.([a-z]\\d+)\\s*\\{[^}]*text-indent:\\s*-([\\d.]+[a-z]+)");

    private DocPages() {}

    static void add(PDDocument document, Path file, boolean showChanges, Notes notes) throws IOException {
        HWPFDocumentCore read = WordToHtmlUtils.loadDoc(file.toFile());
        Reader reader = new Reader(showChanges);
        reader.setPicturesManager((content, type, name, width, height) -> PictureData.of(content, notes).orElse(""));
        reader.processDocument(read);
        Document html = Jsoup.parse(W3CDom.asString(reader.getDocument(), W3CDom.OutputXml()));
        html.select("img[src=]").remove();
        for (Element style : html.select("style")) {
            for (Matcher rule = HANGING.matcher(style.data()); rule.find(); ) {
                html.select("." + rule.group(1)).forEach(p -> p.prependElement("span").attr("style", "margin-left:-" + rule.group(2)));
            }
            style.html(ours(style.data()).replaceAll("text-indent:\\s*-[^;}]*;?", ""));
        }
        html.select("[style]").forEach(e -> e.attr("style", ours(e.attr("style"))));
        html.head().appendElement("style").appendText(SHEET + page(read.getRange().getSection(0)));
        notes.lost("headers, footers and page breaks of the older kind of document");
        if (reader.changes > 0) notes.say(showChanges ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED, String.valueOf(reader.changes));
        HtmlPages.add(document, html, 1, notes);
    }

    private static String ours(String css) {
        return css.replace("Calibri", "Carlito").replace("Arial", "Arimo").replace("Cambria", "Caladea").replace("Times New Roman", "Tinos").replace("text-align:end", "text-align:right")
                .replace("text-align:start", "text-align:left");
    }

    private static String page(Section section) {
        return String.format(Locale.ROOT, "@page { size: %.1fpt %.1fpt; margin: %.1fpt %.1fpt %.1fpt %.1fpt; }", section.getPageWidth() / 20.0, section.getPageHeight() / 20.0,
                section.getMarginTop() / 20.0, section.getMarginRight() / 20.0, section.getMarginBottom() / 20.0, section.getMarginLeft() / 20.0);
    }

    /** The library's reader, which knows nothing of tracked changes. */
    private static final class Reader extends WordToHtmlConverter {
        private final boolean showChanges;
        private int changes;

        private Reader(boolean showChanges) throws IOException {
            super(empty());
            this.showChanges = showChanges;
        }

        private static org.w3c.dom.Document empty() throws IOException {
            try {
                return DocumentBuilderFactory.newDefaultInstance().newDocumentBuilder().newDocument();
            } catch (ParserConfigurationException e) {
                throw new IOException(e);
            }
        }

        @Override
        protected void outputCharacters(org.w3c.dom.Element block, CharacterRun run, String text) {
            if (!run.isMarkedDeleted() && !run.isMarkedInserted()) {
                super.outputCharacters(block, run, text);
                return;
            }
            changes++;
            if (run.isMarkedDeleted() && !showChanges) return;
            org.w3c.dom.Element changed = block.getOwnerDocument().createElement("span");
            if (showChanges) changed.setAttribute("style", run.isMarkedDeleted() ? "color:#a63d2f;text-decoration:line-through" : "color:#2f5d7c;text-decoration:underline");
            block.appendChild(changed);
            super.outputCharacters(changed, run, text);
        }
    }
}
