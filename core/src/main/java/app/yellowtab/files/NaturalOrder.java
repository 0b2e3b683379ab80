package app.yellowtab.files;

import java.text.CollationKey;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Orders names as people number them: 2 before 10. Letters by the alphabet, whatever their case. It remembers what it has
 * compared, so that a long list is sorted soon: make one for every sort. Not for several threads.
 */
public final class NaturalOrder implements Comparator<String> {
    private final Collator letters;
    private final Map<String, Key> keys = new HashMap<>();
    /** Names in a list often begin alike. */
    private final Map<String, CollationKey> runs = new HashMap<>();

    public NaturalOrder() {
        letters = Collator.getInstance(Locale.UK);
        letters.setStrength(Collator.SECONDARY);
    }

    @Override
    public int compare(String a, String b) {
        int order = keys.computeIfAbsent(a, this::key).compareTo(keys.computeIfAbsent(b, this::key));
        return order != 0 ? order : a.compareTo(b);
    }

    private Key key(String text) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < text.length();) {
            int end = runEnd(text, i);
            String run = text.substring(i, end);
            // Compared as text, without leading zeros, because a number in a name may be of any length.
            boolean figures = isFigure(run.charAt(0));
            parts.add(new Part(figures ? withoutZeros(run) : "", runs.computeIfAbsent(run, letters::getCollationKey),
                    run.length()));
            i = end;
        }
        return new Key(parts);
    }

    private static String withoutZeros(String figures) {
        int from = 0;
        while (from < figures.length() - 1 && figures.charAt(from) == '0') from++;
        return figures.substring(from);
    }

    /** Neighbouring figures, or letters; without figures where it is letters. */
    private record Part(String figures, CollationKey letters, int length) implements Comparable<Part> {
        @Override
        public int compareTo(Part other) {
            if (figures.isEmpty() || other.figures.isEmpty()) return letters.compareTo(other.letters);
            return figures.length() != other.figures.length() ? Integer.compare(figures.length(), other.figures.length())
                    : figures.compareTo(other.figures);
        }
    }

    /** A name in its parts. */
    private record Key(List<Part> parts) implements Comparable<Key> {
        @Override
        public int compareTo(Key other) {
            int both = Math.min(parts.size(), other.parts.size());
            for (int i = 0; i < both; i++) {
                int order = parts.get(i).compareTo(other.parts.get(i));
                if (order != 0) return order;
            }
            return Integer.compare(left(both), other.left(both));
        }

        private int left(int from) {
            return parts.subList(from, parts.size()).stream().mapToInt(Part::length).sum();
        }
    }

    private static int runEnd(String text, int from) {
        boolean figures = isFigure(text.charAt(from));
        int end = from + 1;
        while (end < text.length() && isFigure(text.charAt(end)) == figures) end++;
        return end;
    }

    private static boolean isFigure(char c) {
        return c >= '0' && c <= '9';
    }
}
