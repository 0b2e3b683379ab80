package app.yellowtab.leaf;

import java.util.List;
import java.util.Optional;

/**
 * How the set for the screen is divided into files. Immutable.
 *
 * @param inIndex whether the index has a column that says in which volume an entry lies
 * @param volumes in order; none where all is in one file
 */
public record Parting(boolean inIndex, List<PlannedVolume> volumes) {
    /** All in one file. */
    public static final Parting NONE = new Parting(false, List.of());

    public Parting {
        volumes = List.copyOf(volumes);
    }

    /** {@return the volume that a leaf lies in; empty for cover and index, and where all is in one file} */
    public Optional<PlannedVolume> of(int leaf) {
        return volumes.stream().filter(volume -> volume.first() <= leaf && leaf <= volume.last()).findFirst();
    }

    /** {@return the volumes that an entry lies in, such as "2" or "1–2"; empty where all is in one file} */
    public String shown(PlannedEntry entry) {
        PlannedEntry.Span span = entry.span();
        String first = of(span.first()).map(PlannedVolume::name).orElse("");
        String last = span.isEmpty() ? first : of(span.last()).map(PlannedVolume::name).orElse("");
        return first.equals(last) || last.isEmpty() ? first : first + "–" + last;
    }
}
