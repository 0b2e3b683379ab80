package app.yellowtab.source;

import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;

/** Where sources are kept once they have been brought in. */
public interface Depot {
    /**
     * Takes a file in; the file itself is not touched.
     *
     * @param file readable, not empty
     */
    Kept keep(Path file) throws IOException;

    /** Makes sources known, so that their pages can be had. */
    void know(Collection<Source> taken);

    /** {@return where a PDF can be written that is going to be kept as a conversion, or else deleted; nothing is there yet} */
    Path conversionDraft() throws IOException;

    /**
     * Takes a conversion that was written to a draft; one that is there already under its key is never overwritten, and the draft
     * deleted instead.
     *
     * @return where it is kept
     */
    Path keepConversion(Path draft, ConversionKey key) throws IOException;

    /** {@return a new folder for files that are taken out of others, to be brought in from there} */
    Path workFolder() throws IOException;

    /** {@return a file or folder on the disk that copies and conversions are written to} */
    Path place();

    /** Tells that the files in a work folder have all been brought in. */
    void doneWith(Path workFolder) throws IOException;

    /** Forgets a file that turned out to be unreadable. */
    void drop(Kept kept);

    /**
     * A file that was taken in.
     *
     * @param storedName its name where it is kept
     * @param path       where it can be read
     * @param bytes      its size in bytes
     * @param fingerprint of its bytes
     */
    record Kept(String storedName, Path path, long bytes, Fingerprint.Both fingerprint) {}
}
