package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.prove.Prover;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What runs or fetches something is taken out wherever it is, and reported; what is signed or filled in keeps its look. */
class ActionsTests extends OneSource {
    private static COSDictionary dictionary(Object... namesAndValues) {
        COSDictionary dictionary = new COSDictionary();
        for (int i = 0; i < namesAndValues.length; i += 2)
            dictionary.setItem(COSName.getPDFName((String) namesAndValues[i]), (COSBase) namesAndValues[i + 1]);
        return dictionary;
    }

    private static COSDictionary action(String kind) {
        return dictionary("S", COSName.getPDFName(kind), "JS", new COSString("EVIL"), "F", new COSString("EVIL"));
    }

    private static COSArray array(COSBase... items) {
        return new COSArray(List.of(items));
    }

    private static COSDictionary annotation(PDDocument document, String kind) {
        COSDictionary annotation = dictionary("Type", COSName.ANNOT, "Subtype", COSName.getPDFName(kind), "F", COSInteger.get(4),
                "Rect", new PDRectangle(100, 500, 120, 40).getCOSArray());
        COSDictionary page = document.getPage(0).getCOSObject();
        COSArray all = page.getCOSArray(COSName.ANNOTS) == null ? new COSArray() : page.getCOSArray(COSName.ANNOTS);
        all.add(annotation);
        page.setItem(COSName.ANNOTS, all);
        return annotation;
    }

    private static COSStream look(PDDocument document) throws IOException {
        COSStream look = document.getDocument().createCOSStream();
        look.setItem(COSName.TYPE, COSName.XOBJECT);
        look.setItem(COSName.SUBTYPE, COSName.FORM);
        look.setItem(COSName.BBOX, new PDRectangle(0, 0, 60, 20).getCOSArray());
        try (var out = look.createOutputStream()) {
            out.write("0 0 1 RG 2 2 56 16 re S".getBytes());
        }
        return look;
    }

    @ParameterizedTest
    @ValueSource(strings = {"JavaScript", "Launch", "SubmitForm", "ImportData", "ResetForm", "Rendition", "Movie", "Sound",
            "Hide", "SetOCGState", "Named", "RichMediaExecute"})
    void actionsOfEveryKindEverywhere(String kind) throws IOException {
        Outcome.Written written = produce(1, document -> {
            COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
            catalog.setItem(COSName.OPEN_ACTION, action(kind));
            catalog.setItem(COSName.AA, dictionary("WS", action(kind)));
            catalog.setItem(COSName.NAMES,
                    dictionary("JavaScript", dictionary("Names", array(new COSString("start"), action(kind)))));
            catalog.setItem(COSName.OUTLINES, dictionary("First", dictionary("Title", new COSString("Run"), "A", action(kind))));
            COSDictionary widget = annotation(document, "Widget");
            widget.setItem(COSName.A, action(kind));
            catalog.setItem(COSName.ACRO_FORM, dictionary("Fields",
                    array(dictionary("T", new COSString("f"), "AA", dictionary("K", action(kind)), "Kids", array(widget)))));
            document.getPage(0).getCOSObject().setItem(COSName.AA, dictionary("O", action(kind)));
            annotation(document, "Link").setItem(COSName.A, action(kind));
            annotation(document, "Square").setItem(COSName.AA, dictionary("E", action(kind)));
        });
        assertThat(written.findings()).extracting(Finding::message).filteredOn(message -> message.contains("scripts"))
                .singleElement().asString()
                .contains("9, on page 1 and for the file as a whole");
        assertThat(allObjects()).doesNotContain("EVIL").doesNotContain(kind);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"RichMedia", "Movie", "Sound", "Screen", "3D"})
    void whatPlaysKeepsItsStillPicture(String kind) throws IOException {
        Outcome.Written written =
                produce(1, document -> annotation(document, kind).setItem(COSName.AP, dictionary("N", look(document))));
        assertThat(codes(written)).containsExactly(Code.MEDIA_REMOVED);
        assertLooksTheSame();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getAnnotations()).isEmpty();
        }
    }

    @Test
    void signaturesKeepTheirLookAndAreReported() throws IOException {
        Outcome.Written written = produce(1, document -> {
            COSDictionary widget = annotation(document, "Widget");
            widget.setItem(COSName.AP, dictionary("N", look(document)));
            widget.setItem(COSName.FT, COSName.SIG);
            widget.setItem(COSName.V, dictionary("Type", COSName.SIG, "Name", new COSString("Orla Fennick")));
            document.getDocumentCatalog().getCOSObject().setItem(COSName.ACRO_FORM, dictionary("Fields", array(widget)));
        });
        assertThat(codes(written)).containsExactly(Code.SIGNATURES);
        assertLooksTheSame();
        assertThat(allObjects()).doesNotContain("Orla Fennick");
    }

    @Test
    void hiddenFieldsStayHidden() throws IOException {
        produce(1, document -> {
            for (int flags : new int[] {2, 32}) {
                COSDictionary widget = annotation(document, "Widget");
                widget.setItem(COSName.AP, dictionary("N", look(document)));
                widget.setInt(COSName.F, flags);
            }
        });
        assertLooksTheSame();
    }

    @Test
    void attachedFilesAreLeftOutAndReported() throws IOException {
        Outcome.Written written = produce(1, document -> document.getDocumentCatalog().getCOSObject().setItem(COSName.NAMES,
                dictionary("EmbeddedFiles", dictionary("Kids",
                        array(dictionary("Names", array(new COSString("a"), dictionary(), new COSString("b"), dictionary())))))));
        assertThat(written.findings()).extracting(Finding::message).containsExactly(
                "S.pdf: files attached to it were left out (2). If they belong in the bundle, save them and add them.");
    }

    @Test
    void privateThingsAreLeftBehind() throws IOException {
        produce(1, document -> {
            COSDictionary page = document.getPage(0).getCOSObject();
            for (String name : List.of("PieceInfo", "Metadata", "Thumb", "LastModified"))
                page.setItem(COSName.getPDFName(name), dictionary("Private", new COSString("EVIL")));
            page.setInt(COSName.STRUCT_PARENTS, 0);
            document.getDocumentCatalog().getCOSObject().setItem(COSName.getPDFName("Perms"),
                    dictionary("UR3", new COSString("EVIL")));
            document.getDocumentInformation().setKeywords("EVIL");
        });
        assertThat(allObjects()).doesNotContain("EVIL").doesNotContain("StructParents");
        assertLooksTheSame();
    }
}
