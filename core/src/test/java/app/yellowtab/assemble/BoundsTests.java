package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.facts.Note;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Planner;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.LeafPictures;
import app.yellowtab.testing.Pdfs;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No source can make it work without end, or take memory without bound; the rest of the bundle is always produced. */
@Timeout(60)
class BoundsTests extends OneSource {
    private static final COSName MARK = COSName.getPDFName("Mark");

    /** Writes a source by hand: a page with a content stream, and further objects from number 5 on. */
    private void write(String page, String contentFilter, byte[] content, String... more) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StringBuilder table = new StringBuilder("xref\n0 " + (5 + more.length) + "\n0000000000 65535 f \n");
        out.writeBytes("%PDF-1.4\n".getBytes());
        List<String> bodies = List.of("<</Type/Catalog/Pages 2 0 R>>", "<</Type/Pages/Kids[3 0 R]/Count 1>>",
                "<</Type/Page/Parent 2 0 R/MediaBox[0 0 500 700]/Contents 4 0 R" + page + ">>");
        for (int i = 0; i < 4 + more.length; i++) {
            table.append(String.format(Locale.ROOT, "%010d 00000 n \n", out.size()));
            out.writeBytes(((i + 1) + " 0 obj\n").getBytes());
            if (i == 3) {
                out.writeBytes(("<</Length " + content.length + contentFilter + ">>\nstream\n").getBytes());
                out.writeBytes(content);
                out.writeBytes("\nendstream".getBytes());
            } else {
                out.writeBytes((i < 3 ? bodies.get(i) : more[i - 4]).getBytes(StandardCharsets.ISO_8859_1));
            }
            out.writeBytes("\nendobj\n".getBytes());
        }
        int start = out.size();
        out.writeBytes((table + "trailer\n<</Size " + (5 + more.length) + "/Root 1 0 R>>\nstartxref\n" + start + "\n%%EOF\n")
                .getBytes());
        Files.write(matter.resolve("S.pdf"), out.toByteArray());
        Pdfs.write(matter, "T", 1);
    }

    private static byte[] zeros(int megabytes) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed)) {
            byte[] part = new byte[1 << 20];
            for (int i = 0; i < megabytes; i++) out.write(part);
        }
        return packed.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/FlateDecode", "[/FlateDecode]", "[/ASCIIHexDecode/FlateDecode]"})
    void aStreamThatUnpacksToFarTooMuch(String filter) throws IOException {
        byte[] packed = zeros(200);
        write("", "/Filter" + filter, filter.contains("Hex") ? HexFormat.of().formatHex(packed).getBytes() : packed);
        Outcome.Written written = produce();
        assertThat(codes(written)).containsExactly(Code.PAGE_TOO_MUCH);
        assertThat(Pdfs.pages(target)).endsWith("T-1 4");
    }

    @Test
    void aPageOfManyStreamsThatEachUnpackToTheirLimit() throws IOException {
        byte[] packed = zeros(90);
        write("/Contents[" + "4 0 R ".repeat(3000) + "]", "/Filter/FlateDecode", packed);
        Bundle bundle = Folder.bundle(place, matter);
        assertThat(bundle.sources().getFirst().about().notes()).extracting(Note::code).contains(Code.PAGES_TOO_MUCH);
        assertThat(codes(produce())).containsExactly(Code.PAGE_TOO_MUCH);
        assertThat(Pdfs.pages(target)).endsWith("T-1 4");
    }

    @Test
    void formsThatDrawEachOtherManyTimes() throws IOException {
        String[] forms = new String[9];
        for (int i = 0; i < forms.length; i++) {
            String content = i == forms.length - 1 ? "0 0 1 1 re f " : "/F Do ".repeat(20);
            String resources = i == forms.length - 1 ? "" : "/Resources<</XObject<</F " + (i + 6) + " 0 R>>>>";
            forms[i] = "<</Type/XObject/Subtype/Form/BBox[0 0 500 500]" + resources + "/Length " + content.length()
                    + ">>\nstream\n" + content + "\nendstream";
        }
        write("/Resources<</XObject<</F 5 0 R>>>>", "", "/F Do ".repeat(20).getBytes(), forms);
        Outcome.Written written = produce();
        assertThat(written.pages()).isEqualTo(4);
        Bundle bundle = Folder.bundle(place, matter);
        assertThatThrownBy(() -> LeafPictures.draw(Planner.plan(bundle), place, 2, 200))
                .hasMessageContaining("more work than any honest one");
    }

    @Test
    void aLoopInThePageTree() throws IOException {
        produce(3, document -> {
            COSDictionary tree = document.getPages().getCOSObject();
            tree.getCOSArray(COSName.KIDS).add(tree);
        });
        assertThat(Pdfs.pages(target)).endsWith("S-1 3", "S-2 4", "S-3 5");
    }

    @Test
    void thingsThatLeadToThemselves() throws IOException {
        produce(2, document -> {
            COSDictionary own = new COSDictionary();
            own.setItem(MARK, own);
            COSDictionary other = new COSDictionary();
            COSArray round = new COSArray(List.of(own, other));
            other.setItem(MARK, round);
            for (int i = 0; i < 2; i++) document.getPage(i).getResources().getCOSObject().setItem(MARK, round);
        });
        assertLooksTheSame();
    }

    @ParameterizedTest
    @ValueSource(strings = {"[", "<</Mark "})
    void nestedAHundredThousandDeep(String opening) throws IOException {
        String closing = opening.equals("[") ? "]" : ">>";
        write("/Resources<</Mark 5 0 R>>", "", "0 0 50 50 re f".getBytes(),
                opening.repeat(100_000) + "1" + closing.repeat(100_000));
        produce();
        assertThat(Pdfs.pages(target)).endsWith("T-1 4");
    }

    @Test
    void aChainAHundredThousandLong() throws IOException {
        String[] chain = new String[100_000];
        for (int i = 0; i < chain.length; i++) chain[i] = i + 1 < chain.length ? "<</Mark " + (i + 6) + " 0 R>>" : "<<>>";
        write("/Resources<</Mark 5 0 R>>", "", "0 0 50 50 re f".getBytes(), chain);
        produce();
        assertThat(Pdfs.pages(target)).endsWith("T-1 4");
        assertThat(Pdfs.pageCount(target)).isEqualTo(4);
    }

    @Test
    void bookmarksAndFieldsThatGoRound() throws IOException {
        produce(1, document -> {
            COSDictionary round = new COSDictionary();
            for (COSName name : List.of(COSName.FIRST, COSName.NEXT, COSName.KIDS, COSName.PARENT)) round.setItem(name, round);
            COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
            catalog.setItem(COSName.OUTLINES, round);
            COSDictionary form = new COSDictionary();
            form.setItem(COSName.FIELDS, new COSArray(List.of(round)));
            catalog.setItem(COSName.ACRO_FORM, form);
        });
        assertThat(Pdfs.pages(target)).endsWith("S-1 3");
    }
}
