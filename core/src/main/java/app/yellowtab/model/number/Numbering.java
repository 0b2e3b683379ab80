package app.yellowtab.model.number;

import app.yellowtab.model.run.LookAgain;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * The numbers and lines that the pages of a bundle bear.
 *
 * @param bundle the numbers that run through it
 * @param series others, such as Bates numbers
 * @param lines  at head and foot
 * @param moves  marks that stand elsewhere than their series does
 * @param given  numbers that pages keep for ever
 * @param served numbers under which pages have been served
 * @param old    numbers that pages carried before they came in
 * @param register the file in which all bundles of the matter keep which numbers they gave; empty for none
 * @param alike  what was said of files with the same pages
 * @param takenBack numbers that pages had for ever until this was taken back; no page gets them again
 */
public record Numbering(BundleNumber bundle, List<Series> series, List<RunningLine> lines, List<MarkMove> moves,
        List<GivenNumber> given, List<ServedNumber> served, List<OldNumbers> old, String register, List<AlikeFiles> alike,
        List<GivenNumber> takenBack) {
    /** The numbers that run through the bundle, as they usually are, and nothing else. */
    public static final Numbering NONE =
            new Numbering(BundleNumber.STANDARD, List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), "", List.of(),
                    List.of());

    public Numbering {
        Objects.requireNonNull(bundle, "bundle");
        series = List.copyOf(series);
        lines = List.copyOf(lines);
        moves = List.copyOf(moves);
        given = List.copyOf(given);
        served = List.copyOf(served);
        old = List.copyOf(old);
        Objects.requireNonNull(register, "register");
        alike = List.copyOf(alike);
        takenBack = List.copyOf(takenBack);
    }

    /** {@return what is still to be looked at: whether a page keeps its numbers only as long as it was given some} */
    public List<LookAgain> stillAsked(List<LookAgain> all) {
        List<LookAgain> asked = new ArrayList<>();
        for (LookAgain one : all) {
            boolean numbered = one.numbered()
                    && given.stream().anyMatch(number -> number.isOf(one.before()) && number.page() == one.was());
            if (one.hidden() || numbered)
                asked.add(new LookAgain(one.document(), one.page(), one.before(), one.was(), one.hidden(), numbered));
        }
        return asked;
    }

    public Numbering withBundle(BundleNumber newBundle) {
        return new Numbering(newBundle, series, lines, moves, given, served, old, register, alike, takenBack);
    }

    public Numbering withSeries(List<Series> newSeries) {
        return new Numbering(bundle, newSeries, lines, moves, given, served, old, register, alike, takenBack);
    }

    public Numbering withLines(List<RunningLine> newLines) {
        return new Numbering(bundle, series, newLines, moves, given, served, old, register, alike, takenBack);
    }

    public Numbering withMoves(List<MarkMove> newMoves) {
        return new Numbering(bundle, series, lines, newMoves, given, served, old, register, alike, takenBack);
    }

    public Numbering withGiven(List<GivenNumber> newGiven) {
        return new Numbering(bundle, series, lines, moves, newGiven, served, old, register, alike, takenBack);
    }

    public Numbering withServed(List<ServedNumber> newServed) {
        return new Numbering(bundle, series, lines, moves, given, newServed, old, register, alike, takenBack);
    }

    public Numbering withOld(List<OldNumbers> newOld) {
        return new Numbering(bundle, series, lines, moves, given, served, newOld, register, alike, takenBack);
    }

    public Numbering withRegister(String newRegister) {
        return new Numbering(bundle, series, lines, moves, given, served, old, newRegister, alike, takenBack);
    }

    public Numbering withAlike(List<AlikeFiles> newAlike) {
        return new Numbering(bundle, series, lines, moves, given, served, old, register, newAlike, takenBack);
    }

    public Numbering withTakenBack(List<GivenNumber> newTakenBack) {
        return new Numbering(bundle, series, lines, moves, given, served, old, register, alike, newTakenBack);
    }
}
