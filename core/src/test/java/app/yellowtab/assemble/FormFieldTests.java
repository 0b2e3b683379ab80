package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The value of a form field is on the page, whatever its file lacks to show it. */
class FormFieldTests extends OneSource {
    private static final COSName FIELD_FLAGS = COSName.FF;
    private static final int MULTI_LINE = 1 << 12;
    private static final int PASSWORD = 1 << 13;
    private static final int RADIO = 1 << 15;
    private static final int COMBO = 1 << 17;

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) array.add(new COSFloat((float) value));
        return array;
    }

    /**
     * A form with one field, merged with its widget, which is set in a standard font that stands in the form's resources only.
     */
    private static COSDictionary field(PDDocument document, String type, String value) {
        COSDictionary field = new COSDictionary();
        field.setItem(COSName.TYPE, COSName.ANNOT);
        field.setItem(COSName.SUBTYPE, COSName.WIDGET);
        field.setItem(COSName.FT, COSName.getPDFName(type));
        field.setItem(COSName.T, new COSString("weighbridge"));
        field.setItem(COSName.RECT, numbers(100, 600, 300, 640));
        field.setInt(COSName.F, 4);
        if (!value.isEmpty()) field.setItem(COSName.V, type.equals("Btn") ? COSName.getPDFName(value) : new COSString(value));
        field.setItem(COSName.DA, new COSString("/Helv 12 Tf 0.1 0 0.1 rg"));
        COSArray annotations = document.getPage(0).getCOSObject().getCOSArray(COSName.ANNOTS);
        if (annotations == null) document.getPage(0).getCOSObject().setItem(COSName.ANNOTS, annotations = new COSArray());
        annotations.add(field);
        PDResources resources = new PDResources();
        resources.put(COSName.getPDFName("Helv"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
        COSDictionary form = new COSDictionary();
        form.setItem(COSName.FIELDS, new COSArray(List.of(field)));
        form.setItem(COSName.DR, resources.getCOSObject());
        form.setBoolean(COSName.NEED_APPEARANCES, true);
        document.getDocumentCatalog().getCOSObject().setItem(COSName.ACRO_FORM, form);
        return field;
    }

    private static void emptyAppearance(PDDocument document, COSDictionary field) {
        PDAppearanceStream empty = new PDAppearanceStream(document);
        empty.setBBox(new PDRectangle(200, 40));
        PDAppearanceDictionary appearances = new PDAppearanceDictionary();
        appearances.setNormalAppearance(empty);
        field.setItem(COSName.AP, appearances.getCOSObject());
    }

    private static COSArray pairs(String... values) {
        COSArray options = new COSArray();
        for (int i = 0; i < values.length; i += 2)
            options.add(new COSArray(List.of(new COSString(values[i]), new COSString(values[i + 1]))));
        return options;
    }

    private String page() throws IOException {
        return Pdfs.pages(target).get(2);
    }

    private BufferedImage seen() throws IOException {
        return Pdfs.picture(target, 3, 72);
    }

    private static int shade(BufferedImage page, int x, int fromBottom) {
        return page.getRaster().getSample(x, page.getHeight() - fromBottom, 0);
    }

    @Test
    void aChoiceIsShownInTheWordsOfItsList() throws IOException {
        produce(1, document -> {
            COSDictionary field = field(document, "Ch", "2");
            field.setInt(FIELD_FLAGS, COMBO);
            field.setItem(COSName.OPT, pairs("1", "Aldermere", "2", "Brightwick"));
            emptyAppearance(document, field);
        });
        assertThat(page()).contains("Brightwick").doesNotContain("Aldermere");
    }

    @Test
    void whatIsChosenFarDownALongListIsSeen() throws IOException {
        produce(1, document -> {
            COSDictionary field = field(document, "Ch", "k9");
            COSArray options = new COSArray();
            for (int i = 0; i < 12; i++) options.add(new COSArray(List.of(new COSString("k" + i), new COSString("store " + i))));
            field.setItem(COSName.OPT, options);
            emptyAppearance(document, field);
        });
        assertThat(page()).contains("store 9").doesNotContain("store 1 ");
    }

    @ParameterizedTest
    @CsvSource({"Tx, true", "Ch, true", "Tx, false"})
    void aLetterThatTheFieldsFontLacks(String type, boolean withResources) throws IOException {
        Outcome.Written written = produce(1, document -> {
            COSDictionary field = field(document, type, "Bożena Łąka, 340 bins");
            if (type.equals("Ch")) field.setInt(FIELD_FLAGS, COMBO);
            if (!withResources)
                document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.ACRO_FORM).removeItem(COSName.DR);
        });
        assertThat(page()).contains("Bożena Łąka, 340 bins");
        assertThat(written.findings()).isEmpty();
        assertThat(Pdfs.ink(seen().getSubimage(90, 190, 250, 70))[0]).as("it stands at the left of its field").isBetween(8, 20);
    }

    @Test
    void whatNoFontHasIsSaidWithTheFieldsName() throws IOException {
        Outcome.Written written = produce(1, document -> field(document, "Tx", "cold \u4ED3\u5E93 store"));
        assertThat(page()).contains("cold", "store");
        assertThat(codes(written)).containsExactly(Code.FIELD_NOT_SHOWN);
        assertThat(written.findings().getFirst().message()).contains("S.pdf", "weighbridge");
    }

    @Test
    void severalLinesStaySeveral() throws IOException {
        produce(1, document -> {
            COSDictionary field = field(document, "Tx", "Łąka\nBrightwick");
            field.setInt(FIELD_FLAGS, MULTI_LINE);
        });
        assertThat(page()).contains("Łąka Brightwick");
        int[] ink = Pdfs.ink(seen().getSubimage(95, 195, 250, 60));
        assertThat(ink[3] - ink[1]).as("height of two lines").isGreaterThan(20);
    }

    @Test
    void aPasswordIsNotGivenAway() throws IOException {
        produce(1, document -> field(document, "Tx", "orchard").setInt(FIELD_FLAGS, PASSWORD));
        assertThat(page()).contains("*******").doesNotContain("orchard");
        assertThat(allObjects()).doesNotContain("orchard");
    }

    @ParameterizedTest
    @CsvSource({"0, Yes, true", "0, Off, false", "32768, Yes, true"})
    void aButtonWithoutAppearance(int flags, String value, boolean marked) throws IOException {
        Outcome.Written written = produce(1, document -> field(document, "Btn", value).setInt(FIELD_FLAGS, flags));
        int[] ink = Pdfs.ink(seen().getSubimage(101, 203, 198, 36));
        assertThat(ink[2] > ink[0]).isEqualTo(marked);
        assertThat(written.findings()).isEmpty();
    }

    @Test
    void aButtonWhoseStateIsKnownByItsValueOnly() throws IOException {
        produce(1, document -> {
            COSDictionary field = field(document, "Btn", "Yes");
            PDAppearanceStream on = new PDAppearanceStream(document);
            on.setBBox(new PDRectangle(10, 10));
            try (var out = on.getStream().createOutputStream()) {
                out.write("0 0 10 10 re f".getBytes());
            }
            COSDictionary states = new COSDictionary();
            states.setItem(COSName.YES, on.getCOSObject());
            COSDictionary appearances = new COSDictionary();
            appearances.setItem(COSName.N, states);
            field.setItem(COSName.AP, appearances);
        });
        assertThat(shade(seen(), 200, 620)).isLessThan(20);
    }

    @Test
    void radioButtonsThatDoNotSayWhichIsOn() throws IOException {
        Outcome.Written written = produce(1, document -> {
            COSDictionary first = field(document, "Btn", "");
            COSDictionary parent = new COSDictionary();
            parent.setItem(COSName.FT, COSName.BTN);
            parent.setInt(FIELD_FLAGS, RADIO);
            parent.setItem(COSName.T, new COSString("which store"));
            parent.setItem(COSName.V, COSName.getPDFName("2"));
            COSDictionary second = new COSDictionary(first);
            parent.setItem(COSName.KIDS, new COSArray(List.of(first, second)));
            for (COSDictionary kid : List.of(first, second)) {
                kid.removeItem(COSName.T);
                kid.removeItem(COSName.FT);
                kid.setItem(COSName.PARENT, parent);
            }
            document.getPage(0).getCOSObject().getCOSArray(COSName.ANNOTS).add(second);
            document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.ACRO_FORM).setItem(COSName.FIELDS,
                    new COSArray(List.of(parent)));
        });
        assertThat(written.findings()).singleElement()
                .satisfies(finding -> assertThat(finding.message()).contains("which store"));
    }

    @Test
    void groundAndBorderStay() throws IOException {
        produce(1, document -> {
            COSDictionary look = new COSDictionary();
            look.setItem(COSName.BG, numbers(0.5, 0.5, 0.5));
            look.setItem(COSName.BC, numbers(0, 0, 0));
            COSDictionary field = field(document, "Tx", "Łąka");
            field.setItem(COSName.MK, look);
            field.setItem(COSName.AP, null);
        });
        assertThat(shade(seen(), 290, 610)).isBetween(120, 136);
        assertThat(page()).contains("Łąka");
    }

    @Test
    void aCommentUnderAFieldStaysUnderIt() throws IOException {
        produce(1, document -> {
            PDAnnotationSquare comment = new PDAnnotationSquare();
            comment.setRectangle(new PDRectangle(90, 590, 220, 60));
            comment.setInteriorColor(new PDColor(new float[] {0, 0, 0}, PDDeviceRGB.INSTANCE));
            comment.constructAppearances(document);
            document.getPage(0).getAnnotations().add(comment);
            COSDictionary look = new COSDictionary();
            look.setItem(COSName.BG, new COSArray(List.of(COSInteger.ONE, COSInteger.ONE, COSInteger.ONE)));
            field(document, "Tx", "seen above").setItem(COSName.MK, look);
        });
        assertThat(shade(seen(), 290, 610)).as("the field's own ground").isGreaterThan(240);
        assertThat(shade(seen(), 95, 595)).as("the comment beside it").isLessThan(20);
        assertThat(Pdfs.ink(seen().getSubimage(102, 206, 196, 32))[2]).as("its words").isGreaterThan(40);
        assertThat(allObjects()).doesNotContain("Widget");
    }
}
