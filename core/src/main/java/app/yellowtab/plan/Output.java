package app.yellowtab.plan;

import java.util.ArrayList;
import java.util.List;

/** Which leaves of a plan a file holds, and where they stand in it. What is counted stands in every set. Immutable. */
public final class Output {
    /** What a file is for. */
    public enum Kind { SCREEN, PAPER }

    private final Kind kind;
    private final List<Leaf> leaves;
    /** By the index of the leaf. */
    private final int[] positions;

    private Output(Kind kind, Plan plan) {
        this.kind = kind;
        this.positions = new int[plan.leaves().size()];
        List<Leaf> held = new ArrayList<>(positions.length);
        for (Leaf leaf : plan.leaves()) {
            boolean isHeld = kind == Kind.PAPER || !leaf.onlyPaper();
            positions[leaf.index()] = held.size() + 1;
            if (isHeld) held.add(leaf);
        }
        this.leaves = List.copyOf(held);
    }

    /** {@return the set to be read on a screen: all leaves but those that only paper has} */
    public static Output screen(Plan plan) {
        return new Output(Kind.SCREEN, plan);
    }

    /** {@return the set to be printed: all leaves} */
    public static Output paper(Plan plan) {
        return new Output(Kind.PAPER, plan);
    }

    public Kind kind() {
        return kind;
    }

    /** {@return the leaves in order; never none} */
    public List<Leaf> leaves() {
        return leaves;
    }

    public int size() {
        return leaves.size();
    }

    /**
     * {@return the place of a leaf in the file, counted from 1; of one that the file does not hold, that of the next that it does}
     *
     * @param index of the leaf in the plan, counted from 0
     */
    public int position(int index) {
        return Math.min(positions[index], leaves.size());
    }
}
