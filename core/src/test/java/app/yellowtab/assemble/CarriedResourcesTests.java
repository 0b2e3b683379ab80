package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.files.Folders;
import app.yellowtab.finding.Progress;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.constraints.Size;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a page does not use stays in its file; what it uses comes along, by whatever way. */
class CarriedResourcesTests extends OneSource {
    private static final COSName GROUP = COSName.G;

    /** A picture of one shade that no other picture in the file has: its width says which it is. */
    private static COSStream picture(PDDocument document, int width) throws IOException {
        return LosslessFactory.createFromImage(document, new BufferedImage(width, 5, BufferedImage.TYPE_INT_RGB)).getCOSObject();
    }

    private static COSStream stream(PDDocument document, String content, COSDictionary resources, String... entries)
            throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        for (int i = 0; i < entries.length; i += 2) stream.setItem(COSName.getPDFName(entries[i]), value(entries[i + 1]));
        if (resources != null) stream.setItem(COSName.RESOURCES, resources);
        try (OutputStream out = stream.createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.ISO_8859_1));
        }
        return stream;
    }

    private static COSBase value(String words) {
        if (words.startsWith("/")) return COSName.getPDFName(words.substring(1));
        if (!words.startsWith("[")) return COSInteger.get(Integer.parseInt(words));
        COSArray array = new COSArray();
        Arrays.stream(words.substring(1, words.length() - 1).split(" "))
                .forEach(word -> array.add(COSInteger.get(Integer.parseInt(word))));
        return array;
    }

    private static COSStream form(PDDocument document, String content, COSDictionary resources) throws IOException {
        return stream(document, content, resources, "Type", "/XObject", "Subtype", "/Form", "BBox", "[0 0 500 500]");
    }

    private static COSDictionary resources(String kind, Object... namesAndThings) {
        COSDictionary resources = new COSDictionary();
        and(resources, kind, namesAndThings);
        return resources;
    }

    private static COSDictionary and(COSDictionary resources, String kind, Object... namesAndThings) {
        COSDictionary named = new COSDictionary();
        for (int i = 0; i < namesAndThings.length; i += 2)
            named.setItem(COSName.getPDFName((String) namesAndThings[i]), (COSBase) namesAndThings[i + 1]);
        resources.setItem(COSName.getPDFName(kind), named);
        return resources;
    }

    private void draw(PDDocument document, String operators, COSDictionary resources) throws IOException {
        content(document, operators);
        document.getPage(0).getCOSObject().setItem(COSName.RESOURCES, resources);
    }

    /** {@return the widths of all pictures in the produced file} */
    private List<Integer> pictures() throws IOException {
        List<Integer> widths = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            for (var key : document.getDocument().getXrefTable().keySet()) {
                if (document.getDocument().getObjectFromPool(key).getObject() instanceof COSStream stream
                        && stream.containsKey(COSName.WIDTH))
                    widths.add(stream.getInt(COSName.WIDTH));
            }
        }
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        return widths.stream().sorted().toList();
    }

    @Test
    void picturesOfOtherPagesStayBehind() throws IOException {
        produce(1, document -> draw(document, "q 50 0 0 50 0 0 cm /A Do Q",
                resources("XObject", "A", picture(document, 11), "B", picture(document, 12))));
        assertThat(pictures()).containsExactly(11);
        assertLooksTheSame();
    }

    @Test
    void nestedFormsWithAndWithoutResourcesOfTheirOwn() throws IOException {
        produce(1, document -> {
            COSStream inner = form(document, "q 9 0 0 9 0 0 cm /A Do Q",
                    resources("XObject", "A", picture(document, 21), "Z", picture(document, 31)));
            COSStream borrowing = form(document, "/Inner Do q 9 0 0 9 50 0 cm /B Do Q", null);
            COSStream lacking = form(document, "/C Do", resources("XObject", "Z", picture(document, 32)));
            draw(document, "/F Do /L Do", resources("XObject", "F", borrowing, "L", lacking, "Inner", inner, "B",
                    picture(document, 22), "C", picture(document, 23), "Z", picture(document, 33)));
        });
        assertThat(pictures()).as("a form that lacks something may find it in the page's, in some viewers").containsExactly(21,
                22, 23);
        assertLooksTheSame();
    }

    @Test
    void patternsSoftMasksGlyphsAndAppearances() throws IOException {
        produce(1, document -> {
            COSStream pattern = stream(document, "9 0 0 9 0 0 cm /A Do",
                    resources("XObject", "A", picture(document, 21), "Z", picture(document, 31)),
                    "Type", "/Pattern", "PatternType", "1", "PaintType", "1", "TilingType", "1", "BBox", "[0 0 9 9]", "XStep",
                    "9", "YStep", "9");
            COSStream group = form(document, "9 0 0 9 0 0 cm /A Do",
                    resources("XObject", "A", picture(document, 22), "Z", picture(document, 32)));
            COSDictionary mask = new COSDictionary();
            mask.setItem(COSName.S, COSName.getPDFName("Luminosity"));
            mask.setItem(GROUP, group);
            COSDictionary state = new COSDictionary();
            state.setItem(COSName.SMASK, mask);
            COSDictionary glyphs = new COSDictionary();
            glyphs.setItem(COSName.getPDFName("a"), stream(document, "1000 0 d0 900 0 0 900 0 0 cm /A Do", null));
            COSDictionary font = resources("Unused");
            font.removeItem(COSName.getPDFName("Unused"));
            font.setItem(COSName.TYPE, COSName.FONT);
            font.setItem(COSName.SUBTYPE, COSName.TYPE3);
            font.setItem(COSName.getPDFName("CharProcs"), glyphs);
            font.setItem(COSName.getPDFName("FontMatrix"), new COSArray(List.of(new COSFloat(0.001f), COSInteger.ZERO,
                    COSInteger.ZERO, new COSFloat(0.001f), COSInteger.ZERO, COSInteger.ZERO)));
            font.setItem(COSName.getPDFName("FontBBox"), value("[0 0 1000 1000]"));
            font.setInt(COSName.FIRST_CHAR, 97);
            font.setInt(COSName.LAST_CHAR, 97);
            font.setItem(COSName.WIDTHS, value("[1000]"));
            COSDictionary encoding = new COSDictionary();
            encoding.setItem(COSName.DIFFERENCES, new COSArray(List.of(COSInteger.get(97), COSName.getPDFName("a"))));
            font.setItem(COSName.ENCODING, encoding);
            font.setItem(COSName.RESOURCES, resources("XObject", "A", picture(document, 23), "Z", picture(document, 33)));
            COSDictionary all = resources("XObject", "Z", picture(document, 34));
            and(all, "Pattern", "P", pattern);
            and(all, "ExtGState", "G", state, "Y", new COSDictionary());
            and(all, "Font", "T", font);
            draw(document, "/Pattern cs /P scn 0 0 90 90 re f q /G gs 100 100 90 90 re f Q BT /T 20 Tf 200 200 Td (a) Tj ET",
                    all);
            COSDictionary note = new COSDictionary();
            note.setItem(COSName.SUBTYPE, COSName.getPDFName("Stamp"));
            note.setItem(COSName.RECT, value("[300 300 400 400]"));
            note.setItem(COSName.AP, new COSDictionary());
            note.getCOSDictionary(COSName.AP).setItem(COSName.N, form(document, "9 0 0 9 0 0 cm /A Do",
                    resources("XObject", "A", picture(document, 24), "Z", picture(document, 35))));
            document.getPage(0).getCOSObject().setItem(COSName.ANNOTS, new COSArray(List.of(note)));
        });
        assertThat(pictures()).containsExactly(21, 22, 23, 24);
        assertLooksTheSame();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/A Do what", "/F Do"})
    void whatCannotBeFollowedKeepsAll(String operators) throws IOException {
        produce(1, document -> draw(document, operators, resources("XObject", "A", picture(document, 11), "B",
                picture(document, 12), "F", form(document, "/A Do )", null))));
        assertThat(pictures()).containsExactly(11, 12);
    }

    @Test
    void aFormThatDrawsItself() throws IOException {
        produce(1, document -> {
            COSStream form = form(document, "/F Do 0 0 50 50 re f", new COSDictionary());
            form.setItem(COSName.RESOURCES, resources("XObject", "F", form, "Z", picture(document, 31)));
            draw(document, "/F Do", resources("XObject", "F", form));
        });
        assertThat(pictures()).isEmpty();
    }

    /** The library fills in some of what may be missing when it reads. */
    @Property(tries = 24, shrinking = ShrinkingMode.OFF)
    void aBundleIsProvedWhateverOptionalEntriesAreMissing(@ForAll @Size(12) List<Boolean> missing) throws IOException {
        folder = Files.createTempDirectory("optional-");
        open();
        produce(2, document -> {
            COSStream picture = picture(document, 11);
            COSStream form = form(document, "9 0 0 9 0 0 cm /A Do", resources("XObject", "A", picture));
            COSStream appearance = form(document, "/F Do", resources("XObject", "F", form));
            COSDictionary note = new COSDictionary();
            note.setItem(COSName.TYPE, COSName.ANNOT);
            note.setItem(COSName.SUBTYPE, COSName.getPDFName("Stamp"));
            note.setItem(COSName.RECT, value("[300 300 400 400]"));
            note.setItem(COSName.AP, new COSDictionary());
            note.getCOSDictionary(COSName.AP).setItem(COSName.N, appearance);
            COSDictionary state = new COSDictionary();
            state.setItem(COSName.TYPE, COSName.EXT_G_STATE);
            COSDictionary mask = new COSDictionary();
            mask.setItem(COSName.TYPE, COSName.MASK);
            mask.setItem(COSName.S, COSName.getPDFName("Alpha"));
            mask.setItem(GROUP, appearance);
            state.setItem(COSName.SMASK, mask);
            COSDictionary all = resources("XObject", "F", form, "A", picture);
            and(all, "ExtGState", "G", state);
            COSDictionary page = document.getPage(0).getCOSObject();
            draw(document, "/G gs /F Do /A Do", all);
            page.setItem(COSName.ANNOTS, new COSArray(List.of(note)));
            PDPage second = document.getPage(1);
            second.getCOSObject().setItem(COSName.RESOURCES, all);
            second.getCOSObject().setItem(COSName.CONTENTS, page.getItem(COSName.CONTENTS));
            second.setCropBox(new PDRectangle(10, 10, 400, 400));
            List<COSDictionary> holders = List.of(picture, form, appearance, note, state, mask, page);
            for (int i = 0; i < holders.size(); i++) if (missing.get(i)) holders.get(i).removeItem(COSName.TYPE);
            if (missing.get(7)) form.removeItem(COSName.RESOURCES);
            if (missing.get(8)) picture.removeItem(COSName.getPDFName("Intent"));
            if (missing.get(9)) form.removeItem(COSName.SUBTYPE);
            if (missing.get(10)) page.removeItem(COSName.CROP_BOX);
            if (missing.get(11)) all.removeItem(COSName.XOBJECT);
        });
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        close();
        Folders.delete(folder);
    }
}
