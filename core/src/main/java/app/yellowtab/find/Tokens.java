package app.yellowtab.find;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Words as they are compared: in small letters, without accents and marks; what is joined by a mark comes apart, a figure
 * stands in one. Immutable.
 */
final class Tokens {
    /** What ends a run: nothing is like it. */
    static final String END = "";
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final Pattern MARKS = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final Pattern OWNING = Pattern.compile("['’]s$");
    /** Letters that are read for figures in pictures, and as what. */
    private static final String LOOKS_LIKE = "oilsb";
    private static final String FIGURES = "01158";

    private final List<String> texts = new ArrayList<>();
    private final List<Integer> words = new ArrayList<>();

    /** @param words as they stand; an empty one ends a run */
    Tokens(List<String> words) {
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i);
            if (word.isEmpty() || isLetters(word)) add(plain(word), i);
            else if (word.chars().anyMatch(Character::isDigit)) add(MARKS.matcher(plain(word)).replaceAll(""), i);
            else for (String part : MARKS.split(OWNING.matcher(plain(word)).replaceAll(""))) if (!part.isEmpty()) add(part, i);
        }
    }

    /** Most words are: they need no taking apart. */
    private static boolean isLetters(String word) {
        for (int i = 0; i < word.length(); i++) if (!Character.isLetter(word.charAt(i))) return false;
        return true;
    }

    private void add(String text, int word) {
        texts.add(text);
        words.add(word);
    }

    private static String plain(String word) {
        for (int i = 0; i < word.length(); i++) {
            if (word.charAt(i) > 127)
                return ACCENTS.matcher(Normalizer.normalize(word, Normalizer.Form.NFKD)).replaceAll("").toLowerCase(Locale.ROOT);
        }
        return word.toLowerCase(Locale.ROOT);
    }

    int size() {
        return texts.size();
    }

    String text(int at) {
        return texts.get(at);
    }

    /** {@return of which word a token is, counted from 0} */
    int word(int at) {
        return words.get(at);
    }

    /** {@return whether a token has a figure in it} */
    static boolean isFigure(String token) {
        return token.chars().anyMatch(Character::isDigit);
    }

    /** {@return a token in figures, where letters that are taken for them in pictures are told apart no more} */
    static String folded(String token) {
        StringBuilder folded = new StringBuilder(token);
        for (int i = 0; i < folded.length(); i++) {
            int at = LOOKS_LIKE.indexOf(folded.charAt(i));
            if (at >= 0) folded.setCharAt(i, FIGURES.charAt(at));
        }
        return folded.toString();
    }
}
