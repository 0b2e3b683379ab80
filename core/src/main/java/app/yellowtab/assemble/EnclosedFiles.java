package app.yellowtab.assemble;

import app.yellowtab.files.Handover;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Enclosure;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Puts the files that go along with a bundle into a folder beside it. What lies there and was not put there by an earlier
 * production is never written over; what was, and does not go along any more, is taken away. For one thread.
 */
final class EnclosedFiles implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(EnclosedFiles.class);

    private final List<Enclosure> enclosures;
    private final SourceFiles sources;
    private final Path target;
    private final Path folder;
    /** What the production before put there. */
    private final List<Ledger.Enclosed> before;
    private final List<Copy> copies = new ArrayList<>();

    private record Copy(Draft draft, Path place) {}

    /**
     * @param target  that the folder is named after
     * @param ledger of the production before; need not exist
     */
    EnclosedFiles(List<Enclosure> enclosures, SourceFiles sources, Path target, Path ledger) {
        this.enclosures = enclosures;
        this.sources = sources;
        this.target = target;
        this.folder = Ledger.filesBeside(target);
        this.before = Files.isDirectory(folder) ? putBefore(ledger) : List.of();
    }

    private static List<Ledger.Enclosed> putBefore(Path ledger) {
        try {
            if (!Files.exists(ledger)) return List.of();
            // A name that leads out of the folder is none that we gave, and nothing out there is ours to take away.
            return LedgerReader.read(ledger).enclosed().stream()
                    .filter(put -> !put.name().contains("/") && !put.name().contains("\\") && !put.name().equals("..")).toList();
        } catch (IOException damaged) {
            LOG.warn("it is not known what was put beside the bundle before: {}", ledger, damaged);
            return List.of();
        }
    }

    /**
     * Copies the files as drafts.
     *
     * @return whether it came to the end
     * @throws FindingException if one is gone or changed, or another file is in its way
     */
    boolean draft(BooleanSupplier stop) throws IOException {
        for (Enclosure enclosure : enclosures) {
            Path original = sources.original(enclosure.source());
            if (!Files.exists(original)) throw failure(Code.SOURCE_MISSING, enclosure);
            Path place = folder.resolve(enclosure.name());
            if (Files.exists(place)) {
                if (isSame(place, enclosure.bytes(), enclosure.sha256())) continue;
                if (!wasPut(place)) throw new FindingException(new Finding(Code.ENCLOSED_IN_WAY, Subject.OfProduced.of(target, 0),
                        folder.getFileName() + " / " + enclosure.name()), null);
            }
            Draft draft = Draft.beside(target);
            copies.add(new Copy(draft, place));
            Optional<Fingerprint.Both> copied = copied(original, draft.path(), stop);
            if (copied.isEmpty()) return false;
            if (!copied.get().sha256().equals(enclosure.sha256())) throw failure(Code.SOURCE_CHANGED, enclosure);
        }
        return !stop.getAsBoolean();
    }

    private static Optional<Fingerprint.Both> copied(Path original, Path draft, BooleanSupplier stop) throws IOException {
        try (OutputStream out = Files.newOutputStream(draft)) {
            return Fingerprint.copying(original, out, stop);
        }
    }

    private FindingException failure(Code code, Enclosure enclosure) {
        return new FindingException(new Finding(code, sources.subject(enclosure.source(), 0), ""), null);
    }

    /** {@return whether a file is still what an earlier production put there} */
    private boolean wasPut(Path place) throws IOException {
        for (Ledger.Enclosed put : before)
            if (folder.resolve(put.name()).equals(place)) return isSame(place, put.bytes(), put.sha256());
        return false;
    }

    private static boolean isSame(Path file, long bytes, String sha256) throws IOException {
        return Files.isRegularFile(file) && Files.size(file) == bytes && Fingerprint.of(file).equals(sha256);
    }

    /**
     * {@return what becomes of the folder} What went along before and does not any more is taken away, unless somebody has
     * changed it.
     *
     * @throws IOException if the folder cannot be made
     */
    List<Handover.Change> changes() throws IOException {
        if (!copies.isEmpty()) Files.createDirectories(folder);
        List<Handover.Change> changes = new ArrayList<>();
        for (Copy copy : copies) changes.add(Handover.Change.put(copy.draft().path(), copy.place()));
        Set<String> now = enclosures.stream().map(Enclosure::name).collect(Collectors.toSet());
        for (Ledger.Enclosed put : before) {
            Path place = folder.resolve(put.name());
            if (!now.contains(put.name()) && wasPut(place)) changes.add(Handover.Change.empty(place));
        }
        return changes;
    }

    /** Takes the folder away where nothing is in it. */
    void tidy() {
        try {
            if (Files.isDirectory(folder) && isEmpty(folder)) Files.delete(folder);
        } catch (IOException held) {
            LOG.warn("an empty folder could not be taken away: {}", folder, held);
        }
    }

    private static boolean isEmpty(Path folder) throws IOException {
        try (Stream<Path> inside = Files.list(folder)) {
            return inside.findAny().isEmpty();
        }
    }

    /** Forgets the drafts, where they are not in place. */
    @Override
    public void close() {
        copies.forEach(copy -> copy.draft().close());
    }
}
