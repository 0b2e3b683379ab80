package app.yellowtab.model.cut;

import java.util.List;

/**
 * The rules by which batches are cut, and what the pieces are called.
 *
 * @param rules     one that stands alone, or any of the others
 * @param leastPages fewer pages than this no rule makes a piece of; at least 1
 * @param name      the parts of the names, in order
 */
public record CutRules(List<CutRule> rules, int leastPages, List<NamePart> name) {
    /** Cuts nothing. */
    public static final CutRules NONE = new CutRules(List.of(), 1, List.of());

    public CutRules {
        rules = List.copyOf(rules);
        name = List.copyOf(name);
        if (leastPages < 1) throw new IllegalArgumentException("\"leastPages\" must be >= 1, got " + leastPages);
        if (rules.size() > 1 && rules.stream().anyMatch(CutRule::isAlone))
            throw new IllegalArgumentException("ranges, and odd and even pages, stand beside no other rule");
    }
}
