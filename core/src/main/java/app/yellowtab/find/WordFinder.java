package app.yellowtab.find;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Finds words on pages as a reader would: capitals, accents and the marks around words do not matter, nor where lines end. */
public final class WordFinder {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final int AROUND = 6;

    private final List<String> sought = new ArrayList<>();
    private final String phrase;

    /** @param typed what is looked for; its first and last word may be parts of words */
    public WordFinder(String typed) {
        for (String word : typed.strip().split("\\s+")) if (!plain(word).isEmpty()) sought.add(plain(word));
        phrase = String.join(" ", sought);
    }

    /** {@return whether there is nothing to look for} */
    public boolean isEmpty() {
        return sought.isEmpty();
    }

    /**
     * Something that was found.
     *
     * @param words  it stands in, in order
     * @param around the words about it, in one line
     */
    public record Hit(List<Word> words, String around) {
        public Hit {
            words = List.copyOf(words);
        }
    }

    /** {@return where it stands on a page, in order; none twice} */
    public List<Hit> on(PageText page) {
        List<Word> all = page.lines().stream().flatMap(List::stream).toList();
        List<String> raw = all.stream().map(Word::text).toList();
        List<String> plain = raw.stream().map(WordFinder::plain).toList();
        List<Hit> hits = new ArrayList<>();
        for (int at = 0; at + sought.size() <= plain.size() && !isEmpty(); at++) {
            if (!isAt(plain, at)) continue;
            hits.add(new Hit(all.subList(at, at + sought.size()), around(raw, at, at + sought.size())));
            at += sought.size() - 1;
        }
        return hits;
    }

    /**
     * {@return the words around every place where it stands on a page}
     *
     * @param line      the words of the page, with a space between them
     * @param plainLine what {@link #plainLine} makes of it
     */
    List<String> in(String line, String plainLine) {
        List<String> raw = words(line);
        List<String> all = new ArrayList<>();
        int word = 0;
        int counted = 0;
        for (int at = plainLine.indexOf(phrase); at >= 0 && !isEmpty(); at = plainLine.indexOf(phrase, counted)) {
            for (; counted < at; counted++) if (plainLine.charAt(counted) == ' ') word++;
            all.add(around(raw, word, word + sought.size()));
            // No word is part of two hits.
            int end = plainLine.indexOf(' ', at + phrase.length());
            if (end < 0) break;
            counted = end + 1;
            word += sought.size();
        }
        return all;
    }

    /** {@return whether it stands on a page, of which the words are given as {@link #plainLine} makes them} */
    boolean standsIn(String plainLine) {
        return !isEmpty() && plainLine.contains(phrase);
    }

    /** {@return the words of a page as they are compared, with a space between them} */
    static String plainLine(String line) {
        return words(line).stream().map(WordFinder::plain).collect(Collectors.joining(" "));
    }

    private static List<String> words(String line) {
        List<String> words = new ArrayList<>();
        for (int from = 0; from < line.length();) {
            int end = line.indexOf(' ', from);
            if (end < 0) end = line.length();
            words.add(line.substring(from, end));
            from = end + 1;
        }
        return words;
    }

    private boolean isAt(List<String> words, int at) {
        int last = sought.size() - 1;
        if (last == 0) return words.get(at).contains(sought.getFirst());
        if (!words.get(at).endsWith(sought.getFirst()) || !words.get(at + last).startsWith(sought.get(last))) return false;
        for (int i = 1; i < last; i++) if (!words.get(at + i).equals(sought.get(i))) return false;
        return true;
    }

    private static String around(List<String> all, int from, int to) {
        StringBuilder around = new StringBuilder(from > AROUND ? "…" : "");
        for (int i = Math.max(0, from - AROUND); i < Math.min(all.size(), to + AROUND); i++)
            around.append(around.isEmpty() ? "" : " ").append(all.get(i));
        return around + (to + AROUND < all.size() ? " …" : "");
    }

    /** {@return a word in small letters, without accents and without marks at its ends} */
    private static String plain(String word) {
        String plain = word;
        for (int i = 0; i < word.length(); i++) {
            if (word.charAt(i) <= 127) continue;
            // A space that is part of a word does not end it.
            plain = ACCENTS.matcher(Normalizer.normalize(word, Normalizer.Form.NFKD)).replaceAll("").replace(' ', '\u00A0');
            break;
        }
        plain = plain.toLowerCase(Locale.ROOT);
        int from = 0;
        int to = plain.length();
        while (from < to && !Character.isLetterOrDigit(plain.charAt(from))) from++;
        while (to > from && !Character.isLetterOrDigit(plain.charAt(to - 1))) to--;
        return plain.substring(from, to);
    }
}
