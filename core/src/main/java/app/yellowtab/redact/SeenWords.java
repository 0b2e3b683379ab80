package app.yellowtab.redact;

import app.yellowtab.facts.RecognisedPage;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Whether the words that are said to stand in a picture of a page are seen there. */
public final class SeenWords {
    /** Where no two dots differ by as much, nobody sees anything. */
    private static final int LEAST_CONTRAST = 32;
    /** What was read less surely says nothing. */
    private static final int SURE = 75;
    private static final int LONG_ENOUGH = 4;
    /** Fewer words tell nothing of a page. */
    private static final int ENOUGH = 3;
    /** Of small print so many times more words are misread than read. */
    private static final int MOST_MISREAD = 2;
    /** What covers so much of the smaller of two words stands where it stands. */
    private static final double SAME_PLACE = 0.3;
    /** Of so many letters one may be misread. */
    private static final int LETTERS_A_FAULT = 3;

    private SeenWords() {}

    /**
     * A word and where it is said to stand.
     *
     * @param box in millimetres from the upper left of the page
     */
    public record Said(String word, Rectangle2D box) {}

    /**
     * {@return whether anything is seen in a part of a picture}
     *
     * @param box as shares of its width and its height, from the upper left
     */
    public static boolean isSeen(BufferedImage picture, Rectangle2D box) {
        int left = Math.clamp((int) Math.floor(box.getMinX() * picture.getWidth()), 0, picture.getWidth());
        int right = Math.clamp((int) Math.ceil(box.getMaxX() * picture.getWidth()), 0, picture.getWidth());
        int top = Math.clamp((int) Math.floor(box.getMinY() * picture.getHeight()), 0, picture.getHeight());
        int bottom = Math.clamp((int) Math.ceil(box.getMaxY() * picture.getHeight()), 0, picture.getHeight());
        int[] darkest = {255, 255, 255};
        int[] lightest = {0, 0, 0};
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                int dot = picture.getRGB(x, y);
                for (int colour = 0; colour < 3; colour++) {
                    int tone = dot >> 8 * colour & 255;
                    darkest[colour] = Math.min(darkest[colour], tone);
                    lightest[colour] = Math.max(lightest[colour], tone);
                    if (lightest[colour] - darkest[colour] >= LEAST_CONTRAST) return true;
                }
            }
        }
        return false;
    }

    /**
     * {@return whether words belong to a picture: where it was read surely, no more than two of three are other words than were
     * read there} Few words tell nothing, nor do those of scripts that not every engine reads.
     *
     * @param read   what was read in the picture
     * @param wideMm how wide the page is
     * @param highMm how high
     */
    public static boolean belong(List<Said> words, RecognisedPage read, double wideMm, double highMm) {
        List<Said> seen = new ArrayList<>();
        int at = 0;
        for (var line : read.text().lines()) for (var word : line)
            if (read.certainties().get(at++) >= SURE && letters(word.text()).length() >= LONG_ENOUGH)
                seen.add(new Said(letters(word.text()), TakenOut.box(word, read.state(), wideMm, highMm)));
        int same = 0;
        int other = 0;
        for (Said said : words) {
            String word = letters(said.word);
            List<Said> there =
                    word.length() < LONG_ENOUGH || !isLatin(word) ? List.of()
                            : seen.stream().filter(one -> isSamePlace(one, said)).toList();
            if (there.isEmpty()) continue;
            if (there.stream().anyMatch(one -> isAlike(one.word, word))) same++;
            else other++;
        }
        return other < ENOUGH || same * MOST_MISREAD >= other;
    }

    private static boolean isLatin(String letters) {
        return letters.codePoints().allMatch(letter -> Character.UnicodeScript.of(letter) == Character.UnicodeScript.LATIN);
    }

    private static boolean isSamePlace(Said one, Said other) {
        Rectangle2D both = one.box.createIntersection(other.box);
        return both.getWidth() > 0 && both.getHeight() > 0
                && both.getWidth() * both.getHeight() >= SAME_PLACE * Math.min(area(one.box), area(other.box));
    }

    private static double area(Rectangle2D box) {
        return box.getWidth() * box.getHeight();
    }

    private static String letters(String word) {
        return word.toLowerCase(Locale.ROOT).codePoints().filter(Character::isLetter)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    }

    /** {@return whether one word may be what was read of another} */
    private static boolean isAlike(String one, String other) {
        return one.contains(other) || other.contains(one)
                || distance(one, other) <= Math.max(1, Math.max(one.length(), other.length()) / LETTERS_A_FAULT);
    }

    /** {@return how many letters must be put in, taken out or changed to make one word the other} */
    private static int distance(String one, String other) {
        int[] before = new int[other.length() + 1];
        for (int j = 0; j <= other.length(); j++) before[j] = j;
        for (int i = 1; i <= one.length(); i++) {
            int[] now = new int[other.length() + 1];
            now[0] = i;
            for (int j = 1; j <= other.length(); j++)
                now[j] = Math.min(Math.min(now[j - 1], before[j]) + 1,
                        before[j - 1] + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1));
            before = now;
        }
        return before[other.length()];
    }
}
