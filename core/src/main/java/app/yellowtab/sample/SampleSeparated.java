package app.yellowtab.sample;

import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import app.yellowtab.sample.paper.SampleFile;
import app.yellowtab.sheet.SeparatorSetter;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Sets the small batch of the sample matter: some letters with separator sheets of ours between them, one of which went through
 * the scanner upside down.
 */
final class SampleSeparated {
    /** A letter behind its sheet. */
    private record Letter(SheetCode sheet, List<String> pages) {}

    private static final List<Letter> LETTERS = List.of(
            new Letter(
                    new SheetCode("Letter of Tarn Hollow Orchards about chamber 3", Optional.of(LocalDate.of(2030, 10, 14)),
                            "Correspondence"),
                    List.of("Dear Ms Farrow|the fruit that came out of chamber 3 on Saturday was soft to the core.|Please let "
                            + "us know what the probe read in the week before.",
                            "We keep twenty bins as they are,|so that somebody may look at them.|For Tarn Hollow Orchards Ltd")),
            new Letter(
                    new SheetCode("Answer of Brightwick Cold Stores", Optional.of(LocalDate.of(2030, 10, 16)), "Correspondence"),
                    List.of("Dear Mr Holm|the readings of chamber 3 are with our engineer.|You will have a copy before the end "
                            + "of the week.")),
            new Letter(SheetCode.NAMELESS, List.of(
                    "Note of a telephone call|The engineer rang at ten.|The probe was changed on the second of the month.",
                    "He will write it down and send it.")),
            new Letter(new SheetCode("Engineer's report on the probe", Optional.of(LocalDate.of(2030, 10, 18)), "Reports"),
                    List.of("Report on the probe of chamber 3|The probe that was taken out reads 1.9 degrees too low.",
                            "Readings, taken beside a glass thermometer|0.0, read as -1.8|2.0, read as 0.1|4.0, read as 2.1",
                            "The probe is kept at the workshop.")));

    private SampleSeparated() {}

    static void write(SampleFile file, Path target) throws IOException {
        try (PDDocument document = new PDDocument()) {
            FontSet fonts = FontSet.forSaving(document);
            SeparatorSetter sheets = new SeparatorSetter(document, fonts);
            for (Letter letter : LETTERS) {
                sheets.add(letter.sheet());
                if (letter.sheet().equals(SheetCode.NAMELESS)) document.getPage(document.getNumberOfPages() - 1).setRotation(180);
                for (String page : letter.pages()) {
                    PDPage sheet = new PDPage(PDRectangle.A4);
                    document.addPage(sheet);
                    try (Canvas canvas = new Canvas(document, sheet, fonts)) {
                        float y = Units.mm(250);
                        for (String line : page.split("\\|")) {
                            canvas.left(line, Typeface.SERIF, 13, Units.mm(25), y);
                            y -= 26;
                        }
                    }
                }
            }
            document.setDocumentId((long) file.path().hashCode());
            document.save(target.toFile());
        }
    }
}
