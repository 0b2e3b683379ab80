package app.yellowtab.cut;

import app.yellowtab.model.cut.CutRule;
import java.util.Optional;

/**
 * Why something is cut, or dropped.
 *
 * @param rule  by which; empty where it was done by hand, or is the beginning of the batch
 * @param words fit to be shown, such as "“1 of 4” is on it"
 */
public record Reason(Optional<CutRule> rule, String words) {
    /** The batch begins. */
    public static final Reason BEGINNING = new Reason(Optional.empty(), "the batch begins here");
    /** The user wants it so. */
    public static final Reason HAND = new Reason(Optional.empty(), "by hand");

    static Reason of(CutRule rule, String words) {
        return new Reason(Optional.of(rule), words);
    }
}
