package app.yellowtab.carry.part;

import app.yellowtab.finding.Finding.Code;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/** What happened to the things of one page, counted by kind. */
public final class CarryNotes {
    private final Map<Code, Set<String>> names = new EnumMap<>(Code.class);
    private final Map<Code, Integer> counts = new EnumMap<>(Code.class);

    public void add(Code code) {
        add(code, 1);
    }

    public void add(Code code, int count) {
        if (count > 0) counts.merge(code, count, Integer::sum);
    }

    /** Takes note of something that has a name. */
    public void add(Code code, String name) {
        names.computeIfAbsent(code, c -> new LinkedHashSet<>()).add(name);
    }

    /** {@return the things that have names, by kind} */
    public Map<Code, Set<String>> names() {
        return Map.copyOf(names);
    }

    /** {@return the counts; kinds that did not happen are not in it} */
    public Map<Code, Integer> counts() {
        return Map.copyOf(counts);
    }
}
