package app.yellowtab.files;

import java.text.Collator;
import java.util.Comparator;
import java.util.Locale;

/** Orders names as people number them: 2 before 10. Letters by the alphabet, whatever their case. */
public final class NaturalOrder implements Comparator<String> {
    private final Collator letters;

    public NaturalOrder() {
        letters = Collator.getInstance(Locale.UK);
        letters.setStrength(Collator.SECONDARY);
    }

    @Override
    public int compare(String a, String b) {
        int i = 0;
        int j = 0;
        while (i < a.length() && j < b.length()) {
            int endA = runEnd(a, i);
            int endB = runEnd(b, j);
            String partA = a.substring(i, endA);
            String partB = b.substring(j, endB);
            boolean figures = isFigure(partA.charAt(0)) && isFigure(partB.charAt(0));
            int order = figures ? compareFigures(partA, partB) : letters.compare(partA, partB);
            if (order != 0) return order;
            i = endA;
            j = endB;
        }
        int rest = Integer.compare(a.length() - i, b.length() - j);
        return rest != 0 ? rest : a.compareTo(b);
    }

    private static int runEnd(String text, int from) {
        boolean figures = isFigure(text.charAt(from));
        int end = from + 1;
        while (end < text.length() && isFigure(text.charAt(end)) == figures) end++;
        return end;
    }

    /** Compared as text, without leading zeros, because a number in a name may be of any length. */
    private static int compareFigures(String a, String b) {
        String left = a.replaceFirst("^0+(?=\\d)", "");
        String right = b.replaceFirst("^0+(?=\\d)", "");
        return left.length() != right.length() ? Integer.compare(left.length(), right.length()) : left.compareTo(right);
    }

    private static boolean isFigure(char c) {
        return c >= '0' && c <= '9';
    }
}
