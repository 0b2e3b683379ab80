package app.yellowtab.sets;

import app.yellowtab.leaf.Leaf;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The names by which other files lead to leaves: after what is printed on them, so that the way still leads to the same page
 * where a file is produced again with other pages before it.
 */
final class LeafNames {
    private LeafNames() {}

    /** {@return a name for each leaf, by its index; no two have the same} */
    static List<String> of(Plan plan) {
        List<String> names = new ArrayList<>(plan.leaves().size());
        Set<String> taken = new HashSet<>();
        for (Leaf leaf : plan.leaves()) {
            String name = leaf.number().isPresent() ? "page " + leaf.label() : "leaf " + (leaf.index() + 1);
            if (!taken.add(name)) {
                name = "leaf " + (leaf.index() + 1);
                taken.add(name);
            }
            names.add(name);
        }
        return names;
    }
}
