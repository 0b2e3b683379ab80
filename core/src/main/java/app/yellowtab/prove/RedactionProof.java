package app.yellowtab.prove;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.TextReader;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.output.MadeStream;
import app.yellowtab.recognise.PageReading;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.redact.SeenWords;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.slf4j.LoggerFactory;

/**
 * Proves that nothing is left on a page of what was taken out of it: it draws with one picture and nothing else, that is black
 * inside of the areas, no word touches one, and no annotation does. For one thread.
 */
final class RedactionProof {
    /** A photograph's packing leaves a trace of what stands beside an area, so many dots inside of it. */
    private static final int RIM = 8;
    private static final int BLACK = 64;
    /** Words at the very edge of an area are told by a box that is a little too large. */
    private static final double NEAR_PT = 0.2;

    /** Shorter words may be higher than wide however they run. */
    private static final int SHORT = 3;
    /** Letters may be seen so far beside the box of their word, in its heights. */
    private static final double LOOSE = 0.5;

    private final PdfInput input;
    private final TextRecogniser recogniser;

    /** @param recogniser reads the pictures; where it cannot, only words that stand on nothing are found to be out of place */
    RedactionProof(PdfInput input, TextRecogniser recogniser) {
        this.input = input;
        this.recogniser = recogniser;
    }

    /** {@return what is left, in a few words; empty for nothing} */
    Optional<String> fault(PageLook look, COSDictionary page) throws IOException {
        COSDictionary resources = page.getCOSDictionary(COSName.RESOURCES);
        COSDictionary drawn = resources == null ? null : resources.getCOSDictionary(COSName.XOBJECT);
        if (drawn == null || drawn.size() != 1
                || !(drawn.getDictionaryObject(drawn.keySet().iterator().next()) instanceof COSStream picture)
                || !COSName.IMAGE.equals(picture.getCOSName(COSName.SUBTYPE)))
            return Optional.of("it is not one picture");
        if (resources.containsKey(COSName.PATTERN) || resources.containsKey(COSName.SHADING)
                || resources.containsKey(COSName.PROPERTIES))
            return Optional.of("it draws with more than its picture");
        AffineTransform placed = PicturePlace.of(new PDPage(page));
        if (placed == null) return Optional.of("its picture is not drawn once");
        // One unit of the picture's square is the page as it came.
        double unit = LookedPage.keepsItsCoordinates(look) ? page.getFloat("UserUnit", 1) : 1;
        double wide = Math.hypot(placed.getScaleX(), placed.getShearY()) * unit / look.scale();
        double high = Math.hypot(placed.getScaleY(), placed.getShearX()) * unit / look.scale();
        BufferedImage image = new PDImageXObject(new PDStream(picture), null).getImage();
        if (placed.getDeterminant() == 0) return Optional.of("its picture is flat");
        List<Word> words = words(page, placed, wide, high);
        for (Redaction redaction : look.redactions()) {
            Rectangle2D area =
                    LookedPage.asCame(redaction.area(), high).createIntersection(new Rectangle2D.Double(0, 0, wide, high));
            if (!(area.getWidth() > 0 && area.getHeight() > 0)) continue;
            if (!isBlack(image, area, wide, high)) return Optional.of("its picture is not black in an area");
            AffineTransform onPage = new AffineTransform(placed);
            onPage.scale(1 / wide, 1 / high);
            Shape own = onPage.createTransformedShape(area);
            Optional<String> word =
                    words.stream().filter(one -> box(one, high, NEAR_PT).intersects(area)).map(Word::text).findFirst();
            if (word.isPresent()) return Optional.of("a word touches an area");
            if (annotationTouches(page, own)) return Optional.of("an annotation touches an area");
        }
        return foreign(words, image, wide, high);
    }

    /**
     * {@return what tells that the words are not those of the picture} A page has words behind its picture, and where they stand
     * elsewhere than they are seen, the areas are over other words than those that somebody redacted.
     */
    private Optional<String> foreign(List<Word> words, BufferedImage image, double wide, double high) {
        double wideMm = wide / Length.PT_PER_MM;
        double highMm = high / Length.PT_PER_MM;
        List<SeenWords.Said> said = new ArrayList<>();
        for (Word word : words) {
            double loose = LOOSE * word.heightMm();
            if (!SeenWords.isSeen(image, new Rectangle2D.Double((word.leftMm() - loose) / wideMm, (word.topMm() - loose) / highMm,
                    (word.widthMm() + 2 * loose) / wideMm, (word.heightMm() + 2 * loose) / highMm)))
                return Optional.of("a word stands where nothing is seen");
            said.add(new SeenWords.Said(word.text(),
                    new Rectangle2D.Double(word.leftMm(), word.topMm(), word.widthMm(), word.heightMm())));
        }
        if (said.isEmpty()) return Optional.empty();
        try {
            RecognisedPage read = isLevel(words) ? PageReading.readLevel(image, wide, recogniser)
                    : PageReading.read(image, wide, recogniser);
            return SeenWords.belong(said, read, wideMm, highMm) ? Optional.empty()
                    : Optional.of("the words behind its picture are not those that are seen in it");
        } catch (IOException | RuntimeException | Error none) {
            LoggerFactory.getLogger(RedactionProof.class).warn("a picture was not read", none);
            return Optional.empty();
        }
    }

    private static boolean isBlack(BufferedImage image, Rectangle2D area, double wide, double high) {
        double across = image.getWidth() / wide;
        double down = image.getHeight() / high;
        int left = (int) Math.ceil(area.getMinX() * across);
        int right = (int) Math.floor(area.getMaxX() * across);
        int top = (int) Math.ceil((high - area.getMaxY()) * down);
        int bottom = (int) Math.floor((high - area.getMinY()) * down);
        int rimX = Math.min(RIM, (right - left) / 4);
        int rimY = Math.min(RIM, (bottom - top) / 4);
        for (int y = Math.max(0, top + rimY); y < Math.min(image.getHeight(), bottom - rimY); y++) {
            for (int x = Math.max(0, left + rimX); x < Math.min(image.getWidth(), right - rimX); x++) {
                int dot = image.getRGB(x, y);
                if ((dot >> 16 & 255) > BLACK || (dot >> 8 & 255) > BLACK || (dot & 255) > BLACK) return false;
            }
        }
        return true;
    }

    /** {@return whether most words run from left to right, and not up or down the picture} */
    private static boolean isLevel(List<Word> words) {
        return 2 * words.stream().filter(word -> word.widthMm() >= word.heightMm() || word.text().length() < SHORT).count()
                >= words
                        .size();
    }

    /**
     * {@return the words of a page as they stand on its picture} Where the page is straightened or scaled, the boxes of its words
     * as it is seen would reach to what they do not touch.
     */
    private List<Word> words(COSDictionary page, AffineTransform placed, double wide, double high) throws IOException {
        AffineTransform asCame = AffineTransform.getScaleInstance(wide, high);
        try {
            asCame.concatenate(placed.createInverse());
        } catch (NoninvertibleTransformException flat) {
            throw new IllegalArgumentException("a picture that has no extent", flat);
        }
        COSArray contents = page.getCOSArray(COSName.CONTENTS);
        COSArray below = new COSArray();
        below.add(new MadeStream(String.format(Locale.ROOT, "%f %f %f %f %f %f cm\n", asCame.getScaleX(), asCame.getShearY(),
                asCame.getShearX(), asCame.getScaleY(), asCame.getTranslateX(), asCame.getTranslateY())));
        // The marks stand in the last stream, and may stand on an area.
        for (int i = 0; contents != null && i < contents.size() - 1; i++) below.add(contents.get(i));
        COSDictionary picture = new COSDictionary();
        picture.setItem(COSName.TYPE, COSName.PAGE);
        picture.setItem(COSName.RESOURCES, page.getItem(COSName.RESOURCES));
        picture.setItem(COSName.MEDIA_BOX, new PDRectangle((float) wide, (float) high).getCOSArray());
        picture.setItem(COSName.CONTENTS, below);
        try (TextReader reader = new TextReader(input)) {
            PageText text = reader.read(picture).text();
            List<Word> words = new ArrayList<>();
            text.lines().forEach(words::addAll);
            return words;
        }
    }

    /** {@return where a word stands on the picture, in points from its lower left, smaller by so much on each side} */
    private static Rectangle2D box(Word word, double high, double byPt) {
        return new Rectangle2D.Double(word.leftMm() * Length.PT_PER_MM + byPt,
                high - (word.topMm() + word.heightMm()) * Length.PT_PER_MM + byPt,
                Math.max(0.1, word.widthMm() * Length.PT_PER_MM - 2 * byPt),
                Math.max(0.1, word.heightMm() * Length.PT_PER_MM - 2 * byPt));
    }

    private static boolean annotationTouches(COSDictionary page, Shape area) {
        COSArray annotations = page.getCOSArray(COSName.ANNOTS);
        for (int i = 0; annotations != null && i < annotations.size(); i++) {
            COSArray sides =
                    annotations.getObject(i) instanceof COSDictionary annotation ? annotation.getCOSArray(COSName.RECT) : null;
            if (sides == null || sides.size() < 4) return true;
            PDRectangle place = new PDRectangle(sides);
            if (area.intersects(place.getLowerLeftX(), place.getLowerLeftY(), place.getWidth(), place.getHeight())) return true;
        }
        return false;
    }
}
