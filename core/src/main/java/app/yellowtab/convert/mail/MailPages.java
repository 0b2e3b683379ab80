package app.yellowtab.convert.mail;

import app.yellowtab.convert.page.Charsets;
import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Notes;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;

/** Sets e-mails and web pages on pages. Nothing is fetched, nothing runs. */
public final class MailPages {
    private static final String SHEET = """
            body { font-family: Arimo, Tinos; font-size: 10.5pt; }
            .mail-header { width: 100%; border-bottom: 1pt solid #000; \
            margin-bottom: 10pt; padding-bottom: 6pt; table-layout: fixed; }
            .mail-header td { padding: 1pt 0; } .mail-header td.name { width: 28mm; font-weight: 700; }
            .mail-plain { white-space: pre-wrap; }
            """;

    private MailPages() {}

    /** Adds a mail: the block that says who wrote what to whom and when, then its text. */
    public static void add(PDDocument document, Mail mail, Notes notes) throws IOException {
        Document html = Jsoup.parse(mail.isHtml() ? mail.body() : asHtml(mail.body()));
        WebBody.clean(html, mail.pictures(), notes);
        html.head().prependElement("style").appendText(SHEET);
        Element header = html.body().prependElement("table").addClass("mail-header");
        mail.header().forEach((name, value) -> {
            Element row = header.appendElement("tr");
            row.appendElement("td").addClass("name").text(name);
            row.appendElement("td").text(value);
        });
        HtmlPages.add(document, html, 1, notes);
    }

    /** {@return plain words as HTML, with their lines and spaces} */
    static String asHtml(String words) {
        return "<div class=\"mail-plain\">" + Entities.escape(words.stripTrailing().replace("\r", "")) + "</div>";
    }

    /** Adds a web page that was saved as a file. */
    public static void addWebPage(PDDocument document, byte[] bytes, Notes notes) throws IOException {
        String text = Charsets.decode(bytes, "");
        Document probe = Jsoup.parse(text);
        Element stated = probe.selectFirst("meta[charset]");
        if (stated != null) probe = Jsoup.parse(Charsets.decode(bytes, stated.attr("charset")));
        WebBody.clean(probe, Map.of(), notes);
        probe.head().prependElement("style").appendText("body { font-family: Arimo, Tinos; }");
        HtmlPages.add(document, probe, 1, notes);
    }
}
