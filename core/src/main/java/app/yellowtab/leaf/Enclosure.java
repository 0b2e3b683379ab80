package app.yellowtab.leaf;

import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;

/**
 * A file that is put beside the produced bundle as it is.
 *
 * @param name   that it bears there; no other has it
 * @param bytes  its size
 * @param sha256 of its bytes, in lower-case hexadecimal
 */
public record Enclosure(SourceId source, String name, long bytes, String sha256) {
    public static Enclosure of(Source source, String name) {
        return new Enclosure(source.id(), name, source.bytes(), source.sha256());
    }
}
