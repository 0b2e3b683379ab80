package app.yellowtab.desktop.number;

import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.intake.Likeness;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Files with the same pages, and what must be said of them before numbers are issued. For one thread. */
final class SamePages {
    private List<Source> sources = List.of();
    private Map<SourceId, List<Likeness.Like>> likes = Map.of();

    /**
     * {@return two files with the same pages that a series numbers, of which it must be said whether they are one document,
     * before both have numbers}
     */
    Optional<NumberState.Alike> asked(Bundle bundle, Plan plan, Marking.PlannedSeries planned) {
        if (bundle.sources() != sources) {
            sources = bundle.sources();
            likes = Likeness.samePages(sources);
        }
        if (likes.isEmpty()) return Optional.empty();
        Set<SourceId> given = new HashSet<>();
        for (GivenNumber number : bundle.numbering().given())
            if (number.series().equals(planned.id())) given.add(number.source());
        Set<SourceId> numbered = new HashSet<>();
        for (Leaf leaf : plan.leaves()) if (leaf.content() instanceof Content.SourcePage page
                && !planned.words(leaf.index()).isEmpty())
            numbered.add(page.source());
        Map<SourceId, Source> byId = bundle.sourcesById();
        for (Map.Entry<SourceId, List<Likeness.Like>> its : likes.entrySet()) {
            for (Likeness.Like like : its.getValue()) {
                SourceId one = its.getKey();
                boolean open = numbered.contains(one) && numbered.contains(like.other())
                        && !(given.contains(one) && given.contains(like.other()))
                        && bundle.numbering().alike().stream().noneMatch(known -> known.isOf(one, like.other()));
                if (open) return Optional.of(new NumberState.Alike(one, like.other(), byId.get(one).fileName(),
                        byId.get(like.other()).fileName()));
            }
        }
        return Optional.empty();
    }
}
