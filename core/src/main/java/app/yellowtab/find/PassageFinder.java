package app.yellowtab.find;

import app.yellowtab.find.Passage.Telling;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds where passages, or parts of them, stand in other words: letter by letter, with a wrong letter in a long word, with
 * letters for figures as pictures are read, with one word in four another, parted at the end of a line, or figures parted
 * otherwise. For one thread.
 */
final class PassageFinder {
    /** Two words as long as this are alike if they differ in one letter. */
    private static final int LEAST_ALIKE = 6;
    /** One word may be another after so many that are alike. */
    private static final int ALIKE_TO_ODD = 3;
    /** Figures of so many digits in all are known however they are parted. */
    private static final int LEAST_DIGITS = 5;

    private final Map<String, List<Place>> exact = new HashMap<>();
    private final Map<String, List<Place>> folded = new HashMap<>();
    /** By the word with one letter less. */
    private final Map<String, List<Place>> shortened = new HashMap<>();
    /** By the first part of a word. */
    private final Map<String, List<Parted>> parted = new HashMap<>();
    private final Map<String, Place> figures = new HashMap<>();
    private final Map<String, List<Place>> met = new HashMap<>();

    private record Place(Passage passage, int at) {}

    private record Parted(String rest, Place place) {}

    /**
     * Words that were found.
     *
     * @param first  the first of them in the text, counted from 0
     * @param last   the last
     * @param passage of which they are
     * @param telling how much they tell
     */
    record Hit(int first, int last, Passage passage, Telling telling) {
        boolean holds(Hit other) {
            return first <= other.first && other.last <= last;
        }
    }

    PassageFinder(List<Passage> passages) {
        for (Passage passage : passages) {
            for (int i = 0; i < passage.tokens().size(); i++) {
                String token = passage.tokens().get(i);
                if (!Passage.isGrammar(token)) add(token, new Place(passage, i));
            }
            figures(passage);
        }
    }

    private void add(String token, Place place) {
        exact.computeIfAbsent(token, text -> new ArrayList<>(1)).add(place);
        folded.computeIfAbsent(Tokens.folded(token), text -> new ArrayList<>(1)).add(place);
        if (token.length() < LEAST_ALIKE || Tokens.isFigure(token)) return;
        shortened.computeIfAbsent(token, text -> new ArrayList<>(1)).add(place);
        for (int i = 0; i < token.length(); i++)
            shortened.computeIfAbsent(without(token, i), text -> new ArrayList<>(1)).add(place);
        for (int i = 2; i <= token.length() - 2; i++)
            parted.computeIfAbsent(token.substring(0, i), text -> new ArrayList<>(1)).add(new Parted(token.substring(i), place));
    }

    private void figures(Passage passage) {
        for (int i = 0; i < passage.tokens().size(); i++) {
            int end = endOfDigits(passage.tokens(), i);
            if (end == i) continue;
            String digits = String.join("", passage.tokens().subList(i, end));
            if (digits.length() >= LEAST_DIGITS) figures.putIfAbsent(digits, new Place(passage, i));
            i = end;
        }
    }

    private static int endOfDigits(List<String> tokens, int from) {
        int end = from;
        while (end < tokens.size() && !tokens.get(end).isEmpty() && tokens.get(end).chars().allMatch(Character::isDigit)) end++;
        return end;
    }

    /**
     * {@return what is found in words, in order; nothing that lies within something else}
     *
     * @param words   as they stand; an empty one ends what stands together
     * @param inTitle whether they are a title or another short text
     */
    List<Hit> in(List<String> words, boolean inTitle) {
        Tokens tokens = new Tokens(words);
        List<Hit> hits = new ArrayList<>();
        for (int i = 0; i < tokens.size(); i++) {
            for (Place place : places(tokens.text(i))) add(hits, run(tokens, i, i, place, inTitle));
            if (i + 1 == tokens.size()) break;
            for (Parted two : parted.getOrDefault(tokens.text(i), List.of()))
                if (two.rest.equals(tokens.text(i + 1))) add(hits, run(tokens, i, i + 1, two.place, inTitle));
        }
        if (!figures.isEmpty()) digits(tokens, hits);
        hits.sort((one, other) -> Integer.compare(one.first, other.first));
        return hits;
    }

    private static void add(List<Hit> hits, Hit hit) {
        if (hit.telling == Telling.NOTHING || hits.stream().anyMatch(known -> known.holds(hit))) return;
        hits.removeIf(hit::holds);
        hits.add(hit);
    }

    /** {@return the longest run of alike words about a place} */
    private static Hit run(Tokens tokens, int first, int found, Place place, boolean inTitle) {
        List<String> passage = place.passage.tokens();
        int at = found;
        int in = place.at;
        int alike = 1;
        int odd = 0;
        while (at + 1 < tokens.size() && in + 1 < passage.size()) {
            int step = isAlike(tokens.text(at + 1), passage.get(in + 1)) ? 1
                    : alike >= ALIKE_TO_ODD * (odd + 1) && at + 2 < tokens.size() && in + 2 < passage.size()
                            && !tokens.text(at + 1).equals(Tokens.END) && isAlike(tokens.text(at + 2), passage.get(in + 2)) ? 2
                                    : 0;
            if (step == 0) break;
            at += step;
            in += step;
            alike++;
            odd += step - 1;
        }
        int begin = first;
        int from = place.at;
        while (begin > 0 && from > 0 && isAlike(tokens.text(begin - 1), passage.get(from - 1))) {
            begin--;
            from--;
        }
        return new Hit(tokens.word(begin), tokens.word(at), place.passage, place.passage.tells(from, in, inTitle));
    }

    private List<Place> places(String token) {
        if (token.isEmpty() || Passage.isGrammar(token)) return List.of();
        return met.computeIfAbsent(token, this::alike);
    }

    private List<Place> alike(String token) {
        List<Place> all = new ArrayList<>(exact.getOrDefault(token, List.of()));
        for (Place place : folded.getOrDefault(Tokens.folded(token), List.of())) join(all, place, token);
        if (token.length() + 1 >= LEAST_ALIKE) {
            for (Place place : shortened.getOrDefault(token, List.of())) join(all, place, token);
            for (int i = 0; i < token.length(); i++)
                for (Place place : shortened.getOrDefault(without(token, i), List.of())) join(all, place, token);
        }
        return all.isEmpty() ? List.of() : all;
    }

    private static void join(List<Place> all, Place place, String token) {
        if (isAlike(token, place.passage.tokens().get(place.at)) && !all.contains(place)) all.add(place);
    }

    private static String without(String token, int letter) {
        return token.substring(0, letter) + token.substring(letter + 1);
    }

    /** {@return whether two words are the same but for what is misread or mistyped} */
    private static boolean isAlike(String one, String other) {
        if (one.equals(other)) return true;
        if (one.isEmpty() || other.isEmpty() || Math.abs(one.length() - other.length()) > 1) return false;
        if (Tokens.isFigure(one) || Tokens.isFigure(other)) return Tokens.folded(one).equals(Tokens.folded(other));
        if (Math.max(one.length(), other.length()) < LEAST_ALIKE) return false;
        int begin = 0;
        int least = Math.min(one.length(), other.length());
        while (begin < least && one.charAt(begin) == other.charAt(begin)) begin++;
        int end = 0;
        while (end < least - begin && one.charAt(one.length() - 1 - end) == other.charAt(other.length() - 1 - end)) end++;
        return Math.max(one.length(), other.length()) - begin - end <= 1;
    }

    /** Adds figures that are parted otherwise. */
    private void digits(Tokens tokens, List<Hit> hits) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < tokens.size(); i++) texts.add(tokens.text(i));
        for (int i = 0; i < texts.size(); i++) {
            int end = endOfDigits(texts, i);
            if (end == i) continue;
            String joined = String.join("", texts.subList(i, end));
            for (Map.Entry<String, Place> figure : figures.entrySet()) {
                int at = joined.indexOf(figure.getKey());
                if (at < 0) continue;
                int first = i;
                int begun = 0;
                while (begun + texts.get(first).length() <= at) begun += texts.get(first++).length();
                int last = first;
                while (begun + texts.get(last).length() < at + figure.getKey().length()) begun += texts.get(last++).length();
                add(hits, new Hit(tokens.word(first), tokens.word(last), figure.getValue().passage, Telling.MUCH));
            }
            i = end;
        }
    }
}
