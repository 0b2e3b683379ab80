package app.yellowtab.source;

import app.yellowtab.files.Folders;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/** Leaves sources where they are, for a bundle that is produced at once; conversions go to a temporary folder until closed. */
public final class InPlace implements Depot, SourceFiles, Closeable {
    private final Path converted;
    private final List<String> passwords;
    private final AtomicInteger count = new AtomicInteger();
    private final Map<SourceId, Source> sources = new ConcurrentHashMap<>();

    public InPlace() throws IOException {
        this(List.of());
    }

    /** @param passwords to try on locked files, in order */
    public InPlace(List<String> passwords) throws IOException {
        this.passwords = List.copyOf(passwords);
        converted = WorkFolder.newFolder("converted");
    }

    @Override
    public List<String> passwords() {
        return passwords;
    }

    @Override
    public void know(Collection<Source> taken) {
        for (Source source : taken) sources.put(source.id(), source);
    }

    @Override
    public Kept keep(Path file) throws IOException {
        Path path = file.toAbsolutePath().normalize();
        return new Kept(path.toString(), path, Files.size(path), Fingerprint.copying(path, OutputStream.nullOutputStream()));
    }

    @Override
    public Path conversionDraft() {
        return converted.resolve("draft-" + count.getAndIncrement() + ".pdf");
    }

    @Override
    public Path keepConversion(Path draft, ConversionKey key) throws IOException {
        return Conversions.keep(draft, converted, key);
    }

    @Override
    public Path place() {
        return converted;
    }

    @Override
    public Path workFolder() throws IOException {
        return Files.createTempDirectory(converted, "inside-");
    }

    /** They lie nowhere else, and are read when the bundle is produced. */
    @Override
    public void doneWith(Path workFolder) {}

    /** It lies where the user has it. */
    @Override
    public void drop(Kept kept) {}

    @Override
    public Path original(SourceId id) {
        return Path.of(source(id).storedName());
    }

    @Override
    public Path readable(SourceId id) {
        return source(id).conversion().map(key -> Conversions.place(converted, key)).orElseGet(() -> original(id));
    }

    @Override
    public boolean isOriginal(Path file) {
        Path asked = file.toAbsolutePath().normalize();
        return sources.values().stream().anyMatch(source -> isSame(Path.of(source.storedName()), asked));
    }

    private static boolean isSame(Path original, Path asked) {
        try {
            return original.equals(asked) || Files.exists(asked) && Files.isSameFile(original, asked);
        } catch (IOException gone) {
            return false;
        }
    }

    @Override
    public Source source(SourceId id) {
        Source source = sources.get(id);
        if (source == null) throw new IllegalArgumentException("no such source: " + id.value());
        return source;
    }

    @Override
    public Optional<Path> recognisedFolder() {
        return Optional.of(converted.resolve("recognised"));
    }

    @Override
    public void close() throws IOException {
        Folders.delete(converted);
    }
}
