package app.yellowtab.carry;

import app.yellowtab.mark.Placed;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.Place;
import java.util.List;

/**
 * A page ready to be written.
 *
 * @param leaf        its dictionary, without a parent, and what it needs and no page before it needed
 * @param contentPrint of its contents and what they need, without annotations and marks
 * @param pagePrint   of all that it holds and reaches
 * @param marks       what is set on it, and where
 * @param links       where its links lead, in order
 * @param allResources whether its content could not be followed, so that it holds all that it might draw with
 */
public record CarriedPage(ObjectGraph.Reach leaf, String contentPrint, String pagePrint, List<Placed> marks, List<Place> links,
        boolean allResources) {
    public CarriedPage {
        marks = List.copyOf(marks);
        links = List.copyOf(links);
    }

    CarriedPage withAllResources() {
        return new CarriedPage(leaf, contentPrint, pagePrint, marks, links, true);
    }
}
