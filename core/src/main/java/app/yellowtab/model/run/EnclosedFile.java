package app.yellowtab.model.run;

import app.yellowtab.model.source.SourceId;
import java.util.Objects;

/**
 * A file that goes along with the bundle as it is, such as a recording: beside the produced bundle, and not among its pages.
 *
 * @param source   the file
 * @param sheet    whether a sheet of ours stands for it among the pages, and bears a number
 * @param supplied how it is supplied, as the user says it, such as "On a memory stick"; empty for nothing particular
 */
public record EnclosedFile(RunId id, SourceId source, boolean sheet, String supplied) implements Run {
    public EnclosedFile {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(supplied, "supplied");
    }

    @Override
    public int pageCount() {
        return sheet ? 1 : 0;
    }

    @Override
    public PageKey key(int n) {
        return new PageKey(id, n);
    }

    @Override
    public EnclosedFile copy() {
        return new EnclosedFile(RunId.fresh(), source, sheet, supplied);
    }
}
