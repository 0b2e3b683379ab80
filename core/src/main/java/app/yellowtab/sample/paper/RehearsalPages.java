package app.yellowtab.sample.paper;

import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Made-up pages to be scanned, whose words are known: numbered statements, reports in two columns and tables, in several
 * typefaces and sizes.
 */
public final class RehearsalPages {
    private static final String[] WORDS =
            ("the of and to in that was is for on with as by at from which be this had not are but have or were their has an "
                    + "been they "
                    + "chamber store apples bins temperature cooling fan motor alarm engineer orchard farm agreement schedule "
                    + "clause notice invoice payment storage season October November morning evening "
                    + "claimant defendant witness statement exhibit paragraph court judge hearing order costs damages interest "
                    + "loss breach contract term condition reasonable evidence expert report opinion "
                    + "telephone message letter received sent replied asked opened closed found warm soft brown fruit weighed "
                    + "loaded trailer driver gate yard records readings printed chart hour night failed "
                    + "repaired replaced inspected maintained available possible necessary immediately approximately together "
                    + "through without against because although whether between before after during")
                    .split(" ");
    private static final String[] NAMES = {"Tarn Hollow Orchards Ltd", "Brightwick Cold Stores Ltd", "Orla Fennick",
            "Tobias Wrenfield", "Maud Ashgrove", "Piers Dunnock", "Dr Selwyn Carrow"};
    private static final Typeface[] FACES = {Typeface.SERIF, Typeface.SANS, Typeface.MONO};
    private static final float LEFT_PT = Units.mm(25);
    private static final float RIGHT_PT = Units.mm(185);
    private static final float TOP_PT = Units.mm(270);
    private static final float BOTTOM_PT = Units.mm(30);
    private static final float LINE = 1.45f;

    private RehearsalPages() {}

    /**
     * Writes pages.
     *
     * @param seed the same one gives the same pages
     * @return the words of each page, in the order in which they are read
     */
    public static List<List<String>> write(Path target, int pages, long seed) throws IOException {
        List<List<String>> truth = new ArrayList<>();
        Random random = new Random(seed);
        try (PDDocument document = new PDDocument()) {
            FontSet fonts = FontSet.forSaving(document);
            for (int n = 0; n < pages; n++) {
                PDPage page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                List<String> words = new ArrayList<>();
                Typeface face = FACES[random.nextInt(FACES.length)];
                float size = 9.5f + random.nextInt(6) / 2f;
                try (Canvas canvas = new Canvas(document, page, fonts)) {
                    int kind = random.nextInt(8);
                    if (kind == 7) for (float left : new float[] {LEFT_PT, Units.mm(110)})
                        text(canvas, face, size - 1, left, left + Units.mm(75), random, words);
                    else if (kind < 3) table(canvas, face, size, random, words);
                    else text(canvas, face, size, LEFT_PT, RIGHT_PT, random, words);
                }
                truth.add(words);
            }
            document.setDocumentId(seed);
            document.save(target.toFile());
        }
        return truth;
    }

    private static void text(Canvas canvas, Typeface face, float size, float left, float right, Random random, List<String> truth)
            throws IOException {
        int paragraph = 1;
        float y = TOP_PT;
        while (y > BOTTOM_PT) {
            StringBuilder line = new StringBuilder(paragraph++ + ".");
            int length = 30 + random.nextInt(60);
            for (int word = 0; word < length && y > BOTTOM_PT; word++) {
                String next = word(random) + (word == length - 1 ? "." : random.nextInt(12) == 0 ? "," : "");
                if (face.width(line + " " + next, size) > right - left) {
                    y = set(canvas, line.toString(), face, size, left, y, truth);
                    line.setLength(0);
                }
                line.append(line.isEmpty() ? "" : " ").append(next);
            }
            y = set(canvas, line.toString(), face, size, left, y, truth) - size;
        }
    }

    private static String word(Random random) {
        return switch (random.nextInt(30)) {
            case 0 -> NAMES[random.nextInt(NAMES.length)];
            case 1 -> (1 + random.nextInt(28)) + " October 2030";
            case 2 -> String.format(Locale.UK, "£%,.2f", random.nextInt(900_000) / 100.0);
            case 3 -> "BC-" + (400 + random.nextInt(300));
            default -> WORDS[random.nextInt(WORDS.length)];
        };
    }

    private static float set(Canvas canvas, String line, Typeface face, float size, float left, float y, List<String> truth)
            throws IOException {
        canvas.left(line, face, size, left, y);
        truth.addAll(List.of(line.split(" ")));
        return y - LINE * size;
    }

    private static void table(Canvas canvas, Typeface face, float size, Random random, List<String> truth) throws IOException {
        float y = set(canvas, "Invoice BC-" + random.nextInt(1_000), face, size + 3, LEFT_PT, TOP_PT, truth) - size;
        canvas.rule(LEFT_PT, RIGHT_PT, y + size, 0.7f);
        while (y > BOTTOM_PT) {
            String goods = WORDS[random.nextInt(WORDS.length)] + " " + WORDS[random.nextInt(WORDS.length)];
            String count = String.valueOf(1 + random.nextInt(90));
            String sum = String.format(Locale.UK, "£%,.2f", random.nextInt(500_000) / 100.0);
            set(canvas, goods, face, size, LEFT_PT, y, truth);
            canvas.right(count, face, size, Units.mm(140), y);
            canvas.right(sum, face, size, RIGHT_PT, y);
            truth.addAll(List.of(count, sum));
            y -= 1.9f * size;
        }
    }
}
