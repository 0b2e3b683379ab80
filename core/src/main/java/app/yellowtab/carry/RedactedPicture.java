package app.yellowtab.carry;

import app.yellowtab.facts.RecognisedPage;
import java.util.Objects;
import org.apache.pdfbox.cos.COSStream;

/**
 * What a page shows from which areas were taken out: one picture, and the words that are left. Nothing of it leads back to the
 * page.
 *
 * @param picture of what is seen of the page as it came, as an image (ISO 32000-1:2008, 8.9.5)
 * @param words   that stand outside of the areas
 */
public record RedactedPicture(COSStream picture, RecognisedPage words) {
    public RedactedPicture {
        Objects.requireNonNull(picture, "picture");
        Objects.requireNonNull(words, "words");
    }
}
