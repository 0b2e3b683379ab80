package app.yellowtab.find;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Finds words on pages as a reader would: capitals, accents and the marks around words do not matter, nor where lines end. */
public final class WordFinder {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final int AROUND = 6;

    private final List<String> sought = new ArrayList<>();

    /** @param typed what is looked for; its first and last word may be parts of words */
    public WordFinder(String typed) {
        for (String word : typed.strip().split("\\s+")) if (!plain(word).isEmpty()) sought.add(plain(word));
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
        if (isEmpty() || page.isEmpty() || !mayHave(page)) return List.of();
        List<Word> all = page.lines().stream().flatMap(List::stream).toList();
        List<String> plain = all.stream().map(word -> plain(word.text())).toList();
        List<Hit> hits = new ArrayList<>();
        for (int at = 0; at + sought.size() <= plain.size(); at++) {
            if (!isAt(plain, at)) continue;
            int end = at + sought.size();
            hits.add(new Hit(all.subList(at, end), around(all, at, end)));
            at = end - 1;
        }
        return hits;
    }

    /** A quick look that tells most pages apart: its letters, if it has no accents, are there. */
    private boolean mayHave(PageText page) {
        String first = sought.getFirst();
        String text = page.text();
        for (int at = 0; at < text.length(); at++) {
            if (text.charAt(at) > 127 || text.regionMatches(true, at, first, 0, first.length())) return true;
        }
        return false;
    }

    private boolean isAt(List<String> words, int at) {
        int last = sought.size() - 1;
        if (last == 0) return words.get(at).contains(sought.getFirst());
        if (!words.get(at).endsWith(sought.getFirst()) || !words.get(at + last).startsWith(sought.get(last))) return false;
        for (int i = 1; i < last; i++) if (!words.get(at + i).equals(sought.get(i))) return false;
        return true;
    }

    private static String around(List<Word> all, int from, int to) {
        StringBuilder around = new StringBuilder(from > AROUND ? "…" : "");
        for (int i = Math.max(0, from - AROUND); i < Math.min(all.size(), to + AROUND); i++) around.append(around.isEmpty() ? "" : " ").append(all.get(i).text());
        return around + (to + AROUND < all.size() ? " …" : "");
    }

    /** {@return a word in small letters, without accents and without marks at its ends} */
    private static String plain(String word) {
        String plain = word;
        for (int i = 0; i < word.length(); i++) {
            if (word.charAt(i) <= 127) continue;
            plain = ACCENTS.matcher(Normalizer.normalize(word, Normalizer.Form.NFKD)).replaceAll("");
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
