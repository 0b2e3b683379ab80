package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Frame;
import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.HWPFDocumentCore;
import org.apache.poi.hwpf.converter.WordToHtmlConverter;
import org.apache.poi.hwpf.converter.WordToHtmlUtils;
import org.apache.poi.hwpf.usermodel.CharacterRun;
import org.apache.poi.hwpf.usermodel.Range;
import org.apache.poi.hwpf.usermodel.Section;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Sets a document of the older binary kind on pages, as far as the library makes it out. */
final class DocPages {
    private static final String BREAK = "page-break";
    private static final String SHEET = "p { margin: 0 0 6pt 0; } h1, h2, h3 { font-size: 13pt; } "
            + "td { border: 0.5pt solid #808080; padding: 1pt 5pt; } table { width: 98%; } ." + BREAK
            + " { page-break-after: always; margin: 0; }";

    /** A class of paragraphs whose first line hangs out: the page setter knows no indent below nought. */
    private static final Pattern HANGING = Pattern.compile("\\.([a-z]\\d+)\\s*\\{[^}]*text-indent:\\s*-([\\d.]+[a-z]+)");

    private static final Pattern FONT = Pattern.compile("font-family\\s*:\\s*([^;}]+)");

    private DocPages() {}

    static void add(PDDocument document, Path file, boolean showChanges, Notes notes) throws IOException {
        HWPFDocumentCore read = WordToHtmlUtils.loadDoc(file.toFile());
        Reader reader = new Reader(showChanges);
        reader.setPicturesManager((content, type, name, width, height) -> PictureData.of(content, notes).orElse(""));
        reader.processDocument(read);
        Document html = Jsoup.parse(W3CDom.asString(reader.getDocument(), W3CDom.OutputXml()));
        html.select("img[src=]").remove();
        html.select("span").textNodes().forEach(text -> text.text(text.text().replace("\u200B", "")));
        StringBuilder styles = new StringBuilder(SHEET);
        for (Element style : html.select("style")) {
            for (Matcher rule = HANGING.matcher(style.data()); rule.find();) {
                html.select("." + rule.group(1))
                        .forEach(p -> p.prependElement("span").attr("style", "margin-left:-" + rule.group(2)));
            }
            styles.append(ours(style.data()).replaceAll("text-indent:\\s*-[^;}]*;?", ""));
        }
        html.select("[style]").forEach(e -> e.attr("style", ours(e.attr("style"))));
        DocMargins margins = read instanceof HWPFDocument newer ? DocMargins.of(newer) : DocMargins.NONE;
        List<Frame> frames = new ArrayList<>();
        Range range = read.getRange();
        List<Element> sections = range.numSections() > 1 ? html.body().children() : List.of(html.body());
        for (int i = 0; i < sections.size(); i++) frames
                .add(frame(sections.get(i), range.getSection(Math.min(i, range.numSections() - 1)), styles.toString(), margins));
        Frame.addAll(document, frames, margins.countsPages(), notes);
        if (read instanceof HWPFDocument newer) report(newer, margins, notes);
        else notes.lost("headers, footers and drawn shapes of the oldest kind of document");
        if (reader.changes > 0)
            notes.say(showChanges ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED, String.valueOf(reader.changes));
    }

    private static void report(HWPFDocument document, DocMargins margins, Notes notes) {
        if (margins.differElsewhere()) notes.lost("headers and footers other than those of the first pages");
        if (!document.getOfficeDrawingsMain().getOfficeDrawings().isEmpty()) notes.lost("drawn shapes");
        if (!document.getMainTextboxRange().text().isBlank()) notes.lost("text boxes");
        Range comments = document.getCommentsRange();
        if (!comments.text().isBlank()) notes.say(Code.COMMENTS_DROPPED, String.valueOf(comments.numParagraphs()));
    }

    private static Frame frame(Element content, Section section, String styles, DocMargins margins) {
        Frame frame = new Frame(section.getPageWidth() / 20.0, section.getPageHeight() / 20.0, section.getMarginTop() / 20.0,
                section.getMarginRight() / 20.0,
                section.getMarginBottom() / 20.0, section.getMarginLeft() / 20.0);
        margins.placeIn(frame);
        Element body = frame.body();
        frame.style(styles);
        // The mark at the end of a section looks like a page break.
        while (content.childrenSize() > 0 && content.lastElementChild().hasClass(BREAK)) content.lastElementChild().remove();
        List.copyOf(content.childNodes()).forEach(body::appendChild);
        return frame;
    }

    private static String ours(String css) {
        return FONT.matcher(css).replaceAll(font -> Matcher.quoteReplacement(Face.named(font.group(1)).css()))
                .replace("text-align:end", "text-align:right")
                .replace("text-align:start", "text-align:left").replace("break-before:page", "page-break-before:always")
                .replace("table-layout:fixed", "");
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
        protected void processPageBreak(HWPFDocumentCore read, org.w3c.dom.Element flow) {
            org.w3c.dom.Element mark = flow.getOwnerDocument().createElement("p");
            mark.setAttribute("class", BREAK);
            flow.appendChild(mark);
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
            if (showChanges) changed.setAttribute("style", run.isMarkedDeleted() ? "color:#a63d2f;text-decoration:line-through"
                    : "color:#2f5d7c;text-decoration:underline");
            block.appendChild(changed);
            super.outputCharacters(changed, run, text);
        }
    }
}
