package app.yellowtab.carry;

import app.yellowtab.finding.Finding.Code;
import java.util.EnumMap;
import java.util.Map;

/** What happened to the things of one page, counted by kind. */
public final class Notes {
    private final Map<Code, Integer> counts = new EnumMap<>(Code.class);

    void add(Code code) {
        add(code, 1);
    }

    void add(Code code, int count) {
        if (count > 0) counts.merge(code, count, Integer::sum);
    }

    /** {@return the counts; kinds that did not happen are not in it} */
    public Map<Code, Integer> counts() {
        return Map.copyOf(counts);
    }
}
