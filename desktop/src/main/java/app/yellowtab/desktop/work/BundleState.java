package app.yellowtab.desktop.work;

import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;

/**
 * What the window shows, replaced as a whole, so that nobody ever sees a bundle with the plan of another. One state is equal to
 * itself alone: comparing two with twenty thousand leaves would be felt.
 *
 * @param plan of this bundle
 * @param leaf the index in the plan of the leaf that is read, counted from 0
 */
public record BundleState(Bundle bundle, Plan plan, int leaf) {
    BundleState withLeaf(int newLeaf) {
        return newLeaf == leaf ? this : new BundleState(bundle, plan, newLeaf);
    }

    @Override
    public boolean equals(Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(this);
    }
}
