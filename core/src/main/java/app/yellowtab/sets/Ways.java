package app.yellowtab.sets;

import app.yellowtab.output.Place;
import app.yellowtab.plan.Plan;
import java.util.List;
import java.util.Optional;

/** Where what leads to leaves leads from one file: into itself, or into one of those that hold the rest of the same plan. */
public final class Ways {
    private final Output own;
    private final List<Other> others;
    private final List<String> names;

    /**
     * Another file.
     *
     * @param number which it is among those that are produced together, counted from 0
     */
    public record Other(int number, Output output, String fileName) {}

    private Ways(Output own, List<Other> others, List<String> names) {
        this.own = own;
        this.others = List.copyOf(others);
        this.names = names;
    }

    /** {@return the ways from a file that holds all that can be led to} */
    public static Ways within(Output own) {
        return new Ways(own, List.of(), List.of());
    }

    /** {@return the ways from one of several files of a plan} */
    public static Ways across(Plan plan, Output own, List<Other> others) {
        return new Ways(own, others, LeafNames.of(plan));
    }

    /**
     * {@return where what leads to a leaf leads; empty where no file has it}
     *
     * @param leaf its index in the plan, counted from 0
     */
    public Optional<Way> to(int leaf) {
        int position = own.position(leaf);
        if (position > 0) return Optional.of(new Way.Within(position));
        for (Other other : others) {
            int there = other.output().position(leaf);
            if (there > 0) {
                // Where only paper has the leaf, the next one is led to.
                String name = names.get(other.output().leaves().get(there - 1).index());
                return Optional.of(new Way.Across(new Place(other.number(), there), other.fileName(), name));
            }
        }
        return Optional.empty();
    }

    /** {@return the names by which other files lead to the leaves of this one, in its order; none where no other file does} */
    public List<String> names() {
        return names.isEmpty() ? List.of() : own.leaves().stream().map(leaf -> names.get(leaf.index())).toList();
    }
}
