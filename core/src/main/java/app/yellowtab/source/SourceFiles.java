package app.yellowtab.source;

import app.yellowtab.convert.LockedException;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;

/** Knows where the sources of a bundle lie. Safe to share between threads. */
public interface SourceFiles {
    /**
     * {@return what is known of a source}
     *
     * @throws IllegalArgumentException if there is no such source
     */
    Source source(SourceId id);

    /** {@return the file as it was brought in; it need not exist any more} */
    Path original(SourceId id);

    /**
     * {@return a source as the subject of a finding}
     *
     * @param page counted from 1; 0 for the whole source
     */
    default Subject.OfSource subject(SourceId id, int page) {
        return Subject.OfSource.of(id.value(), original(id), page);
    }

    /** {@return the PDF with the source's pages: the original itself, or what it was converted to} */
    Path readable(SourceId id) throws IOException;

    /** {@return whether a file is one of the originals, by whatever path it is named} */
    boolean isOriginal(Path file);

    /** {@return the passwords to try on locked files, in order} */
    default List<String> passwords() {
        return List.of();
    }

    /** {@return the file that the words of a source's pages are kept in, which need not exist; empty where none are kept} */
    default Optional<Path> wordsFile(SourceId id) {
        return Optional.empty();
    }

    /**
     * {@return the file that the words of a source's pages are kept in to be searched, with those that were read in pictures of
     * them, which need not exist; empty where none are kept}
     */
    default Optional<Path> linesFile(SourceId id) {
        return Optional.empty();
    }

    /** {@return the folder in which words are kept that were read in pictures of pages; empty where none are kept} */
    default Optional<Path> recognisedFolder() {
        return Optional.empty();
    }

    /** {@return the folder in which pages are kept from which areas were taken out; empty where none are kept} */
    default Optional<Path> redactedFolder() {
        return Optional.empty();
    }

    /**
     * Opens a source's pages.
     *
     * @return an open document, to be closed by the caller
     * @throws FindingException if the file is gone or locked
     * @throws IOException      if it cannot be made out
     */
    default PdfInput open(SourceId id) throws IOException {
        try {
            Path file = readable(id);
            if (!Files.exists(file)) throw new FindingException(new Finding(Code.SOURCE_MISSING, subject(id, 0), ""), null);
            return PdfInput.open(file, passwords());
        } catch (InvalidPasswordException | LockedException locked) {
            throw new FindingException(new Finding(Code.PASSWORD_AGAIN, subject(id, 0), ""), locked);
        }
    }

    /** {@return whether a source is locked, and none of the passwords opens it} */
    default boolean isShut(SourceId id) {
        try {
            open(id).close();
            return false;
        } catch (FindingException refused) {
            return refused.finding().code() == Code.PASSWORD_AGAIN;
        } catch (IOException damaged) {
            return false;
        }
    }

    /**
     * {@return whether a source's original is still the file that was brought in, byte for byte}
     *
     * @param open  its pages, as they are being read
     * @param alive is run now and then while something is read
     * @throws IOException if it cannot be read
     */
    default boolean isUnchanged(SourceId id, PdfInput open, Runnable alive) throws IOException {
        Source source = source(id);
        Path original = original(id);
        if (!Files.exists(original)) throw new FindingException(new Finding(Code.SOURCE_MISSING, subject(id, 0), ""), null);
        if (source.checksum().isEmpty()) return Fingerprint.of(original).equals(source.sha256());
        return source.checksum().equals(original.equals(readable(id)) ? open.checksum() : Fingerprint.checksum(original, alive));
    }
}
