package app.yellowtab.carry;

import app.yellowtab.output.ObjectGraph;
import app.yellowtab.stamp.NumberStamp;
import java.util.List;

/**
 * A page ready to be written.
 *
 * @param leaf        its dictionary, without a parent, and what it needs and no page before it needed
 * @param fingerprint of all that it holds and reaches
 * @param stamp       where its number stands
 * @param links       the bundle numbers that its links lead to, in order
 * @param allResources whether its content could not be followed, so that it holds all that it might draw with
 */
public record CarriedPage(ObjectGraph.Reach leaf, String fingerprint, NumberStamp.Place stamp, List<Integer> links, boolean allResources) {
    public CarriedPage {
        links = List.copyOf(links);
    }

    CarriedPage withAllResources() {
        return new CarriedPage(leaf, fingerprint, stamp, links, true);
    }
}
