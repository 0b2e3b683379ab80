package app.yellowtab.model.number;

import java.util.List;
import java.util.Objects;

/** A line at the head or foot of pages. */
public record RunningLine(SeriesId id, MarkSetting setting, List<LinePart> parts) {
    public RunningLine {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(setting, "setting");
        parts = List.copyOf(parts);
    }

    public RunningLine withSetting(MarkSetting newSetting) {
        return new RunningLine(id, newSetting, parts);
    }

    public RunningLine withParts(List<LinePart> newParts) {
        return new RunningLine(id, setting, newParts);
    }
}
