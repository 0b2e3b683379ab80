package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a viewer would not show or print on opening the source is not in the bundle. */
class LayersTests extends OneSource {
    private COSDictionary shown = new COSDictionary();
    private COSDictionary hidden = new COSDictionary();
    private final COSDictionary standard = new COSDictionary();

    @BeforeEach
    void layers() {
        shown = group("Shown");
        hidden = group("Hidden");
        standard.setItem(COSName.OFF, array(hidden));
    }

    private static COSDictionary group(String name) {
        COSDictionary group = new COSDictionary();
        group.setItem(COSName.TYPE, COSName.OCG);
        group.setItem(COSName.NAME, new COSString(name));
        return group;
    }

    private static COSArray array(COSBase... members) {
        return new COSArray(List.of(members));
    }

    private static COSName name(String name) {
        return COSName.getPDFName(name);
    }

    private static COSDictionary with(COSDictionary dictionary, Object... namesAndValues) {
        for (int i = 0; i < namesAndValues.length; i += 2)
            dictionary.setItem(name((String) namesAndValues[i]), (COSBase) namesAndValues[i + 1]);
        return dictionary;
    }

    /** Gives a page content of its own, in which L is a layer, and X a form that draws "IN FORM". */
    private PDPage page(PDDocument document, COSDictionary layer, String operators) throws IOException {
        document.getDocumentCatalog().getCOSObject().setItem(COSName.OCPROPERTIES,
                with(new COSDictionary(), "OCGs", array(shown, hidden), "D", standard));
        PDPage page = document.getPage(0);
        PDResources resources = new PDResources();
        page.setResources(resources);
        resources.put(COSName.HELV, new PDType1Font(Standard14Fonts.FontName.HELVETICA));
        COSDictionary fonts = resources.getCOSObject().getCOSDictionary(COSName.FONT);
        resources.getCOSObject().setItem(COSName.PROPERTIES, with(new COSDictionary(), "L", layer));
        COSStream form = document.getDocument().createCOSStream();
        with(form, "Type", COSName.XOBJECT, "Subtype", COSName.FORM, "BBox", page.getMediaBox().getCOSArray(), "Resources",
                with(new COSDictionary(), "Font", fonts));
        try (var out = form.createOutputStream()) {
            out.write("BT /Helv 20 Tf 100 300 Td (IN FORM) Tj ET".getBytes());
        }
        resources.getCOSObject().setItem(COSName.XOBJECT, with(new COSDictionary(), "X", form));
        content(document, operators);
        return page;
    }

    private void assertNothingIsLeft(String words) throws IOException {
        assertThat(allObjects()).doesNotContain(words).doesNotContain("OCG").doesNotContain("COSName{OC}");
    }

    @Test
    void markedContentIsTakenOutAndReported() throws IOException {
        Outcome.Written written = produce(1, document -> page(document, hidden,
                "/OC /L BDC BT /Helv 20 Tf 100 500 Td (PRIVILEGED) Tj ET 10 10 300 300 re f EMC BT /Helv 20 Tf 100 600 Td "
                        + "(seen) Tj ET"));
        assertLooksTheSame();
        assertThat(codes(written)).containsExactly(Code.HIDDEN_LAYERS);
        assertNothingIsLeft("PRIVILEGED");
    }

    @Test
    void textAfterHiddenTextStaysWhereItWas() throws IOException {
        produce(1,
                document -> page(document, hidden,
                        "BT /Helv 20 Tf 2 Tc 5 Tw 100 500 Td (before ) Tj /OC /L BDC (hidden words) Tj [(a) -300 (b c)] TJ EMC "
                                + "( after) Tj 14 TL /OC /L BDC (next line) ' 1 1 (and next) \" EMC (end) Tj ET"));
        assertLooksTheSame();
        assertNothingIsLeft("hidden words");
    }

    @Test
    void whatIsShownStaysWithoutItsSwitch() throws IOException {
        Outcome.Written written =
                produce(1, document -> page(document, shown, "/OC /L BDC BT /Helv 20 Tf 100 500 Td (stays) Tj ET EMC"));
        assertLooksTheSame();
        assertThat(codes(written)).isEmpty();
        assertThat(allObjects()).contains("stays");
        assertNothingIsLeft("/OC /L");
    }

    @Test
    void aHiddenFormIsTakenOutWithAllItHolds() throws IOException {
        Outcome.Written written = produce(1, document -> {
            PDPage page = page(document, shown, "/X Do BT /Helv 20 Tf 100 600 Td (seen) Tj ET");
            ((COSStream) page.getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT).getDictionaryObject(name("X")))
                    .setItem(COSName.OC, hidden);
        });
        assertLooksTheSame();
        assertThat(codes(written)).containsExactly(Code.HIDDEN_LAYERS);
        assertNothingIsLeft("IN FORM");
    }

    @Test
    void aFormDrawnOnlyByAHiddenLayerIsNotInTheFile() throws IOException {
        produce(1, document -> page(document, hidden, "/OC /L BDC /X Do EMC"));
        assertLooksTheSame();
        assertNothingIsLeft("IN FORM");
    }

    @Test
    void aFormThatBorrowsItsPagesResourcesKeepsWhatItDrawsAndNoMore() throws IOException {
        produce(1, document -> {
            COSDictionary objects = page(document, hidden, "/OC /L BDC /X Do EMC /Y Do").getResources().getCOSObject()
                    .getCOSDictionary(COSName.XOBJECT);
            for (String form : List.of("Y /Z Do", "Z BT /Helv 20 Tf 100 200 Td (BORROWED) Tj ET")) {
                COSStream stream = document.getDocument().createCOSStream();
                with(stream, "Type", COSName.XOBJECT, "Subtype", COSName.FORM, "BBox",
                        document.getPage(0).getMediaBox().getCOSArray());
                try (var out = stream.createOutputStream()) {
                    out.write(form.substring(2).getBytes());
                }
                objects.setItem(name(form.substring(0, 1)), stream);
            }
        });
        assertLooksTheSame();
        assertThat(allObjects()).contains("BORROWED");
        assertNothingIsLeft("IN FORM");
    }

    @ParameterizedTest
    @CsvSource({"AnyOn, false", "AllOn, true", "AnyOff, false", "AllOff, true"})
    void membershipOfOneShownAndOneHiddenLayer(String policy, boolean isHidden) throws IOException {
        Outcome.Written written = produce(1,
                document -> page(document,
                        with(new COSDictionary(), "Type", name("OCMD"), "OCGs", array(shown, hidden), "P", name(policy)),
                        "/OC /L BDC BT /Helv 20 Tf 100 500 Td (SOMETIMES) Tj ET EMC"));
        assertThat(codes(written)).isEqualTo(isHidden ? List.of(Code.HIDDEN_LAYERS) : List.of());
        if (isHidden) assertNothingIsLeft("SOMETIMES");
        else assertThat(allObjects()).contains("SOMETIMES");
    }

    @Test
    void anExpressionGoesBeforeThePolicy() throws IOException {
        COSArray neither = array(name("And"), shown, array(name("Not"), hidden));
        produce(1,
                document -> page(document, with(new COSDictionary(), "Type", name("OCMD"), "OCGs", array(hidden), "VE", neither),
                        "/OC /L BDC BT /Helv 20 Tf 100 500 Td (STAYS) Tj ET EMC"));
        assertThat(allObjects()).contains("STAYS");
    }

    @ParameterizedTest
    @CsvSource({"View", "Print"})
    void whatIsOffOnlyOnTheScreenOrOnlyOnPaper(String event) throws IOException {
        with(shown, "Usage", with(new COSDictionary(), event, with(new COSDictionary(), event + "State", COSName.OFF)));
        with(standard, "AS",
                array(with(new COSDictionary(), "Event", name(event), "OCGs", array(shown), "Category", array(name(event)))));
        Outcome.Written written =
                produce(1, document -> page(document, shown, "/OC /L BDC BT /Helv 20 Tf 100 500 Td (ONLY ONE WAY) Tj ET EMC"));
        assertThat(codes(written)).containsExactly(Code.HIDDEN_LAYERS);
        assertNothingIsLeft("ONLY ONE WAY");
    }

    @Test
    void namesOfResourcesThatLookLikeEntriesAreKept() throws IOException {
        produce(1, document -> {
            PDPage page = page(document, shown, "/OC Do /AA Do");
            COSDictionary objects = page.getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT);
            for (String odd : Set.of("OC", "AA", "Metadata")) objects.setItem(name(odd), objects.getItem(name("X")));
        });
        assertLooksTheSame();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getResources().getXObjectNames()).extracting(COSName::getName).contains("OC", "AA");
        }
    }
}
