package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.testing.Listener;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.poi.common.usermodel.HyperlinkType;
import org.apache.poi.openxml4j.opc.PackageRelationshipTypes;
import org.apache.poi.openxml4j.opc.TargetMode;
import org.apache.poi.sl.usermodel.PictureData;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openxmlformats.schemas.presentationml.x2006.main.CTPicture;

/** Files that ask for something from elsewhere: their pages come without it, and nobody hears that they were read. */
class NothingLeavesTests extends TakingIn {
    private Listener listener;
    private String there;

    @BeforeEach
    void listen() throws IOException {
        listener = new Listener();
        there = listener.address();
    }

    @AfterEach
    void stop() throws IOException {
        listener.close();
    }

    private void assertNothingAsked(Path... files) {
        Intake.Taken taken = take(files);
        assertThat(taken.sources()).hasSize(files.length).allMatch(source -> source.isRead());
        assertThat(listener.asked()).as("connections").isZero();
    }

    @Test
    void textDocuments() throws IOException {
        String picture = "<w:p>" + WordFile.run("text")
                + "<w:r><w:drawing><wp:inline><a:blip r:link=\"pic\"/></wp:inline></w:drawing></w:r></w:p><w:altChunk "
                + "r:id=\"chunk\"/>";
        Path docx = new WordFile(picture).relationship("pic", there + "a.png", true).relationship("chunk", there + "b.html", true)
                .relationship("template", there + "c.dotm", true)
                .part("settings", "settings", "<w:attachedTemplate r:id=\"template\"/>").write(folder, "letter.docx");
        Path rtf = Files.writeString(folder.resolve("letter.rtf"),
                "{\\rtf1\\ansi{\\*\\template " + there + "t.dot}\\pard text {\\field{\\*\\fldinst INCLUDEPICTURE \"" + there
                        + "p.png\" \\\\d}{\\fldrslt }}"
                        + "{\\field{\\*\\fldinst INCLUDETEXT \"" + there + "x.docx\"}{\\fldrslt kept}}\\par}");
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("mimetype", bytes("application/vnd.oasis.opendocument.text"));
        parts.put("content.xml", bytes(
                "<?xml version=\"1.0\"?><office:document-content "
                        + "xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                        + "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" "
                        + "xmlns:draw=\"urn:oasis:names:tc:opendocument:xmlns:drawing:1.0\" "
                        + "xmlns:xlink=\"http://www.w3.org/1999/xlink\"><office:body><office:text><text:p>text<draw:frame>"
                        + "<draw:image xlink:href=\""
                        + there
                        + "a.png\"/></draw:frame></text:p><text:section><text:section-source xlink:href=\"" + there
                        + "s.odt\"/></text:section></office:text></office:body></office:document-content>"));
        assertNothingAsked(docx, rtf, WordFile.zip(folder.resolve("letter.odt"), parts));
    }

    @Test
    void entitiesOfTextDocuments() throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("word/document.xml", bytes("<?xml version=\"1.0\"?><!DOCTYPE w [<!ENTITY % p SYSTEM \"" + there
                + "e.dtd\"> %p; <!ENTITY x SYSTEM \"" + there + "e.txt\">]>"
                + "<w:document "
                + "xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\"><w:body><w:p><w:r><w:t>&x;</w:t></"
                + "w:r></w:p></w:body></w:document>"));
        parts.put("[Content_Types].xml", bytes(
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Override "
                        + "PartName=\"/word/document.xml\" "
                        + "ContentType=\"application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml\"/></"
                        + "Types>"));
        List<Code> codes = new ArrayList<>();
        take(WordFile.zip(folder.resolve("e.docx"), parts)).findings().stream().map(Finding::code).forEach(codes::add);
        assertThat(codes).as("refused, not half read").containsExactly(Code.NOT_CONVERTED);
        assertThat(listener.asked()).isZero();
    }

    @Test
    void sheetsAndSlides() throws IOException {
        Path xlsx = folder.resolve("sums.xlsx");
        try (XSSFWorkbook book = new XSSFWorkbook(); OutputStream out = Files.newOutputStream(xlsx)) {
            var cell = book.createSheet("Sums").createRow(0).createCell(0);
            cell.setCellFormula("WEBSERVICE(\"" + there + "f\")");
            cell.setCellValue("kept");
            var link = book.getCreationHelper().createHyperlink(HyperlinkType.URL);
            link.setAddress(there + "h");
            cell.setHyperlink(link);
            book.write(out);
        }
        Path pptx = folder.resolve("talk.pptx");
        try (XMLSlideShow show = new XMLSlideShow(); OutputStream out = Files.newOutputStream(pptx)) {
            var slide = show.createSlide();
            slide.createTextBox().setText("kept");
            slide.getPackagePart().addRelationship(URI.create(there + "p.png"), TargetMode.EXTERNAL,
                    PackageRelationshipTypes.IMAGE_PART, "rIdFar");
            var picture = slide.createPicture(show.addPicture(new byte[] {1, 2, 3}, PictureData.PictureType.PNG));
            ((CTPicture) picture.getXmlObject()).getBlipFill().getBlip().setLink("rIdFar");
            show.write(out);
        }
        assertNothingAsked(xlsx, pptx);
    }

    @Test
    void pagesThatLookElsewhere() throws IOException {
        String html = "<html><head><base href='" + there + "'><meta http-equiv='refresh' content='0;url=" + there
                + "'><link rel='preload' href='p'><style>@font-face{font-family:F;src:url(" + there + "f.ttf)}"
                + "p{font-family:F;list-style-image:url(" + there + "l.png);content:url(" + there
                + "c.png)}</style></head><body><p style=\"background:url('" + there
                + "b.png')\">kept</p><img srcset='s.png 2x' src='r.png'>"
                + "<svg><image href='" + there + "v.png'/></svg><form action='" + there
                + "'><input type=image src='i.png'></form><video poster='v.png'></video></body></html>";
        Path mail = Files.writeString(folder.resolve("m.eml"),
                "Subject: s\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\nContent-Type: text/html\r\n\r\n" + html
                        + "\r\n--b\r\nContent-Type: message/external-body; access-type=URL; URL=\"" + there
                        + "x\"\r\n\r\nContent-Type: text/plain\r\n\r\n--b--\r\n");
        Path page = Files.writeString(folder.resolve("page.html"), html);
        take(mail);
        assertNothingAsked(page);
    }
}
