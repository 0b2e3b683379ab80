package app.yellowtab.plan;

import app.yellowtab.leaf.PageNumber;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.model.number.BundleNumber;

/** Counts the numbers of a bundle while its leaves are placed one behind the other. */
final class NumberCounter {
    private final BundleNumber how;
    private boolean front;
    private String prefix = "";
    private int next;

    NumberCounter(BundleNumber how) {
        this.how = how;
        front = how.front().isPresent();
        next = front ? 1 : how.start();
    }

    /** Leaves cover and index behind: what they are numbered in for themselves ends here. */
    void endFront() {
        if (!front) return;
        front = false;
        next = how.start();
    }

    /** Comes to an outermost section. */
    void begin(String letter) {
        if (!how.bySection()) return;
        prefix = letter;
        next = 1;
    }

    /** {@return the number of the leaf that comes next, without counting it} */
    PageNumber peek(int place) {
        NumberStyle style = front ? how.front().orElse(how.style()) : how.style();
        return new PageNumber(place, front ? "" : prefix, next, style, "");
    }

    /** {@return the number of the leaf that comes next} */
    PageNumber take(int place) {
        PageNumber number = peek(place);
        next++;
        return number;
    }

    /** Counts leaves that are taken over. */
    void skip(int count) {
        next += count;
    }
}
