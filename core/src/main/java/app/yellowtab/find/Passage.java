package app.yellowtab.find;

import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;

/** Words that are redacted together on a page, and which of them tell something where they stand elsewhere. Immutable. */
final class Passage {
    /** A passage of no more words than this is taken for a name or a figure: each of its words tells something. */
    private static final int FEW = 3;
    /** A word tells something if it is as long as this. */
    private static final int LEAST_LETTERS = 4;
    private static final int LEAST_DIGITS = 4;
    /** So many words that follow each other are no chance. */
    private static final int RUN = 4;
    /** A name that stands alone, out of a longer passage, is as long as this. */
    private static final int LEAST_OF_NAME = 5;
    private static final String SENTENCE_ENDS = ".!?:;";
    private static final Set<String> GRAMMAR = Set.of(("a about after again all also an and any are as at be because been before "
            + "being between but by can could did do does each for from had has have he her here him his how i if in into is it "
            + "its made make many may me might more most much must my no nor not now of on only or other our over said same says "
            + "shall she should since so some such than that the their them then there these they this those to under until upon "
            + "us very was we well were what when where which while who whom whose why will with within without would yes you "
            + "your").split(" "));
    /** What dates are made of tells nothing alone. */
    private static final Set<String> CALENDAR =
            Set.of(("january february march april june july august september october november "
                    + "december jan feb mar apr jun jul aug sept oct nov dec monday tuesday wednesday thursday friday saturday "
                    + "sunday").split(" "));

    private final PageKey page;
    private final String label;
    private final Redaction redaction;
    private final List<String> tokens = new ArrayList<>();
    private final BitSet names = new BitSet();

    /**
     * @param page      on which they are redacted
     * @param label     of that page
     * @param redaction that takes the first of them out
     * @param words     as they stand there
     */
    Passage(PageKey page, String label, Redaction redaction, List<String> words) {
        this.page = page;
        this.label = label;
        this.redaction = redaction;
        Tokens all = new Tokens(words);
        for (int i = 0; i < all.size(); i++) {
            int word = all.word(i);
            boolean begins = word > 0 && SENTENCE_ENDS.indexOf(words.get(word - 1).charAt(words.get(word - 1).length() - 1)) >= 0;
            if (!begins && Character.isUpperCase(words.get(word).codePointAt(0))) names.set(tokens.size());
            tokens.add(all.text(i));
        }
    }

    PageKey page() {
        return page;
    }

    String label() {
        return label;
    }

    Redaction redaction() {
        return redaction;
    }

    List<String> tokens() {
        return tokens;
    }

    static boolean isGrammar(String token) {
        return GRAMMAR.contains(token);
    }

    /** How much a part of a passage tells where it stands elsewhere. */
    enum Telling { NOTHING, IF_RARE, MUCH }

    /**
     * {@return how much a part tells}
     *
     * @param from    its first token, counted from 0
     * @param to      its last
     * @param inTitle whether it stands in a title or another short text, where less is no chance
     */
    Telling tells(int from, int to, boolean inTitle) {
        int telling = 0;
        int named = 0;
        boolean meaning = false;
        for (int i = from; i <= to; i++) {
            String token = tokens.get(i);
            if (isTellingFigure(token)) return Telling.MUCH;
            meaning |= !isGrammar(token);
            if (token.length() < LEAST_LETTERS || isGrammar(token) || CALENDAR.contains(token) || Tokens.isFigure(token))
                continue;
            telling++;
            if (names.get(i)) named++;
        }
        int count = to - from + 1;
        if (tokens.size() <= FEW) return telling > 0 || count == tokens.size() && meaning ? Telling.MUCH : Telling.NOTHING;
        if (telling >= 2 && (inTitle || count >= RUN || named >= 2)) return Telling.MUCH;
        return count == 1 && named == 1 && tokens.get(from).length() >= LEAST_OF_NAME ? Telling.IF_RARE : Telling.NOTHING;
    }

    private boolean isTellingFigure(String token) {
        if (!Tokens.isFigure(token)) return false;
        if (tokens.size() == 1) return true;
        boolean isYear = token.length() == 4 && (token.startsWith("19") || token.startsWith("20"));
        return token.chars().filter(Character::isDigit).count() >= LEAST_DIGITS && !isYear;
    }
}
