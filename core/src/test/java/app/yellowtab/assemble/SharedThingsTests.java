package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.pdf.Typeface;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.testing.Pdfs;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.junit.jupiter.api.Test;

/** Nothing is written twice, and nothing that no page needs. */
class SharedThingsTests extends OneSource {
    /** A font, a picture and a colour profile that all sources have in common. */
    private static void common(PDDocument document) {
        try (InputStream font = Typeface.MONO.open()) {
            PDType0Font embedded = PDType0Font.load(document, font, false);
            PDICCBased profile = new PDICCBased(document);
            try (var out = profile.getPDStream().createOutputStream()) {
                new ByteArrayInputStream(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData()).transferTo(out);
            }
            for (int i = 0; i < document.getNumberOfPages(); i++) {
                Pdfs.picture(document, document.getPage(i), 70);
                document.getPage(i).getResources().add(profile);
                try (var content =
                        new PDPageContentStream(document, document.getPage(i), PDPageContentStream.AppendMode.APPEND, true)) {
                    content.beginText();
                    content.setFont(embedded, 12);
                    content.newLineAtOffset(100, 200);
                    content.showText("shared");
                    content.endText();
                }
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void whatSourcesHaveInCommonIsWrittenOnce() throws IOException {
        Pdfs.write(matter, "S", 2, SharedThingsTests::common);
        Pdfs.write(matter, "T", 3, SharedThingsTests::common);
        produce();
        int pictures = 0;
        int fonts = 0;
        int profiles = 0;
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(7);
            for (COSObjectKey key : document.getDocument().getXrefTable().keySet()) {
                if (!(document.getDocument().getObjectFromPool(key).getObject() instanceof COSStream stream)) continue;
                if (COSName.IMAGE.equals(stream.getCOSName(COSName.SUBTYPE))) pictures++;
                if (stream.getInt("Length1") > 100_000) fonts++;
                if (stream.getInt(COSName.N) == 3 && !stream.containsKey(COSName.FIRST)) profiles++;
            }
        }
        assertThat(pictures).isEqualTo(1);
        assertThat(fonts).isEqualTo(1);
        assertThat(profiles).isLessThanOrEqualTo(1);
    }

    @Test
    void nothingIsWrittenThatNothingLeadsTo() throws IOException {
        for (String part : List.of("B - Witness statements", "D - The agreement", "F - Records"))
            SampleMatter.writeFolder(matter, part);
        produce();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            Set<Long> reached = new HashSet<>();
            Deque<COSBase> open = new ArrayDeque<>(Set.of(document.getDocument().getTrailer()));
            while (!open.isEmpty()) {
                COSBase next = open.pop();
                if (next instanceof COSObject reference) {
                    if (reached.add(reference.getKey().getNumber()) && reference.getObject() != null)
                        open.push(reference.getObject());
                } else if (next instanceof COSDictionary dictionary) {
                    dictionary.keySet().forEach(name -> open.push(dictionary.getItem(name)));
                } else if (next instanceof COSArray array) {
                    for (int i = 0; i < array.size(); i++) if (array.get(i) != null) open.push(array.get(i));
                }
            }
            assertThat(reached).hasSizeGreaterThan(300);
            for (COSObjectKey key : document.getDocument().getXrefTable().keySet()) {
                COSBase object = document.getDocument().getObjectFromPool(key).getObject();
                boolean structure = object instanceof COSDictionary dictionary
                        && (COSName.OBJ_STM.equals(dictionary.getItem(COSName.TYPE))
                                || COSName.XREF.equals(dictionary.getItem(COSName.TYPE)));
                if (!structure) assertThat(reached).as("object %s: %s", key, object).contains(key.getNumber());
            }
        }
    }
}
