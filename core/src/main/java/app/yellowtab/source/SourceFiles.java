package app.yellowtab.source;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.SourceId;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Knows where the sources of a bundle lie. Safe to share between threads. */
public interface SourceFiles {
    /**
     * {@return the file as it was brought in; it need not exist any more}
     *
     * @throws IllegalArgumentException if there is no such source
     */
    Path original(SourceId id);

    /** {@return the PDF with the source's pages: the original itself, or what it was converted to} */
    Path readable(SourceId id) throws IOException;

    /** {@return whether a file is one of the originals, by whatever path it is named} */
    boolean isOriginal(Path file);

    /**
     * Opens a source's pages.
     *
     * @return an open document, to be closed by the caller
     * @throws FindingException if the file is gone or cannot be read
     */
    default PDDocument open(SourceId id) throws FindingException {
        Path original = original(id);
        try {
            Path file = readable(id);
            if (!Files.exists(file)) throw new FindingException(Finding.of(Code.SOURCE_MISSING, original), null);
            return Loader.loadPDF(file.toFile());
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw new FindingException(Finding.of(Code.DAMAGED, original, "its pages cannot be opened"), e);
        }
    }
}
