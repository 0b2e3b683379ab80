package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** The typefaces that ship with the program. Measuring needs no document, and is safe to share between threads. */
public enum Typeface implements Face {
    SERIF("SourceSerif4_400Regular"), SERIF_ITALIC("SourceSerif4_400Regular_Italic"),
    SERIF_BOLD("SourceSerif4_600SemiBold"), SANS("AtkinsonHyperlegibleNext_400Regular"),
    SANS_BOLD("AtkinsonHyperlegibleNext_700Bold"), MONO("NotoSansMono_400Regular");

    /** Stands for a letter that the typeface lacks. */
    private static final int MISSING_SIGN = '\u25A1';
    /** Where the measured letters end; none of the typefaces has letters of use to us beyond. */
    private static final int MEASURED = 0x2600;

    /** A word of more letters is wider than any line, and is not measured to find out. */
    private static final int LONG = 1000;

    private final String file;
    private volatile float @Nullable [] advances;

    Typeface(String file) {
        this.file = file;
    }

    @Override
    public String key() {
        return name();
    }

    @Override
    public boolean isPresent() {
        return true;
    }

    @Override
    public InputStream open() {
        return Objects.requireNonNull(Typeface.class.getResourceAsStream("fonts/" + file + ".ttf"), file);
    }

    @Override
    public float width(String text, float sizePt) {
        return sum(text, 0, advances()) * sizePt;
    }

    /** {@return the advance widths of a text, in em, added to those of what stands before it} */
    private static float sum(String text, float before, float[] advances) {
        float sum = before;
        for (int i = 0; i < text.length();) {
            int letter = text.codePointAt(i);
            sum += letter < MEASURED && advances[letter] > 0 ? advances[letter] : advances[fallback(advances)];
            i += Character.charCount(letter);
        }
        return sum;
    }

    /**
     * {@return the text, in composed letters (Unicode NFC), with every letter that the typeface lacks shown as a box, tabs and
     * breaks as spaces, other controls left out}
     */
    @Override
    public String showable(String text) {
        float[] advances = advances();
        if (isPlain(text, advances)) return text;
        StringBuilder shown = new StringBuilder(text.length());
        Normalizer.normalize(text, Normalizer.Form.NFC).codePoints().forEach(letter -> {
            if (Character.isWhitespace(letter) || letter == '\u00A0' || letter == '\u202F') shown.append(' ');
            else if (letter < MEASURED && advances[letter] > 0) shown.appendCodePoint(letter);
            else if (!isInvisible(letter)) shown.appendCodePoint(fallback(advances));
        });
        return shown.toString();
    }

    /** {@return whether a text is of letters that every typeface has and that nothing is to be done about; most are} */
    private static boolean isPlain(String text, float[] advances) {
        for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            if (letter < ' ' || letter > '~' || advances[letter] == 0) return false;
        }
        return true;
    }

    @Override
    public int missingIn(String text) {
        float[] advances = advances();
        return (int) Normalizer.normalize(text, Normalizer.Form.NFC).codePoints()
                .filter(letter -> !Character.isWhitespace(letter) && !isInvisible(letter)
                        && letter != '\u00A0' && letter != '\u202F' && !(letter < MEASURED && advances[letter] > 0))
                .count();
    }

    /**
     * Breaks a text into lines at spaces, and inside a word only where it is wider than a whole line.
     *
     * @return at least one line; the letters that the typeface lacks are already replaced
     */
    public List<String> wrap(String text, float sizePt, float widthPt) {
        String shown = showable(text).strip();
        if (!shown.contains("  ") && width(shown, sizePt) <= widthPt) return List.of(shown);
        List<String> lines = new ArrayList<>();
        float[] advances = advances();
        String line = "";
        float length = 0;
        for (int at = 0, next; at <= shown.length(); at = next + 1) {
            next = shown.indexOf(' ', at) < 0 ? shown.length() : shown.indexOf(' ', at);
            if (next == at && !shown.isEmpty()) continue;
            String word = shown.substring(at, next);
            if (word.length() <= LONG) {
                float longer = sum(word, line.isEmpty() ? 0 : sum(" ", length, advances), advances);
                if (longer * sizePt <= widthPt) {
                    line = line.isEmpty() ? word : line + " " + word;
                    length = longer;
                    continue;
                }
            }
            if (!line.isEmpty()) lines.add(line);
            int start = 0;
            for (int end; (end = start + fitting(word, start, sizePt, widthPt)) < word.length(); start = end)
                lines.add(word.substring(start, end));
            line = word.substring(start);
            length = sum(line, 0, advances);
        }
        lines.add(line);
        return lines;
    }

    /** {@return how much of a word from a place on is no wider than a line, at least one letter} */
    private int fitting(String word, int start, float sizePt, float widthPt) {
        float[] advances = advances();
        float sum = 0;
        int at = start;
        while (at < word.length()) {
            int letter = word.codePointAt(at);
            sum += letter < MEASURED && advances[letter] > 0 ? advances[letter] : advances[fallback(advances)];
            if (sum * sizePt > widthPt && at > start) break;
            at += Character.charCount(letter);
        }
        return at - start;
    }

    private static boolean isInvisible(int letter) {
        int type = Character.getType(letter);
        boolean selector = letter >= 0xFE00 && letter <= 0xFE0F || letter >= 0xE0100 && letter <= 0xE01EF || letter == 0x034F
                || letter >= 0x180B && letter <= 0x180F;
        return selector || type == Character.CONTROL || type == Character.FORMAT;
    }

    private static int fallback(float[] advances) {
        return advances[MISSING_SIGN] > 0 ? MISSING_SIGN : '?';
    }

    /** Advance widths in em by code point; 0 where the typeface has no such letter. Measured twice at worst. */
    private float[] advances() {
        float[] known = advances;
        if (known == null) advances = known = measure();
        return known;
    }

    private float[] measure() {
        try (InputStream in = open()) {
            return Advances.read(in, MEASURED);
        } catch (IOException damagedProgram) {
            throw new UncheckedIOException("a font that ships with the program cannot be read: " + file, damagedProgram);
        }
    }
}
