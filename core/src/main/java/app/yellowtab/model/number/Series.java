package app.yellowtab.model.number;

import java.util.Objects;

/**
 * Numbers that run on from page to page of the files, such as Bates numbers.
 *
 * @param first the first number as it looks, such as "TH-000101"; the others count on from it
 */
public record Series(SeriesId id, String first, MarkSetting setting) {
    public Series {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(setting, "setting");
        if (first.isBlank()) throw new IllegalArgumentException("\"first\" must not be blank");
    }

    public Series withFirst(String newFirst) {
        return new Series(id, newFirst, setting);
    }

    public Series withSetting(MarkSetting newSetting) {
        return new Series(id, first, newSetting);
    }
}
