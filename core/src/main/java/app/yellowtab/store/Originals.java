package app.yellowtab.store;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot.Kept;
import app.yellowtab.source.Fingerprint;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.LoggerFactory;

/**
 * The copies of the files that were brought in, read-only, beside a list of what was put there: what lies among them besides is
 * somebody else's, and stays. Safe to share between threads.
 */
final class Originals {
    /** A line for each copy: its checksum, or {@link #BEGUN}, a blank, its name. */
    static final String LIST = ".kept";
    private static final String BEGUN = "begun";

    private final Path folder;

    Originals(Path folder) {
        this.folder = folder;
    }

    Path of(String storedName) {
        return folder.resolve(storedName);
    }

    /** Copies a file; it appears under its name whole, or not at all. */
    Kept keep(Path file) throws IOException {
        Path kept = newPlace(String.valueOf(file.getFileName()));
        Path draft = Drafts.beside(kept);
        Fingerprint.Both fingerprint;
        boolean whole = false;
        try {
            try (OutputStream out = Files.newOutputStream(draft)) {
                fingerprint = Fingerprint.copying(file, out);
            }
            remember(fingerprint.checksum(), kept);
            Drafts.move(draft, kept);
            whole = true;
        } finally {
            if (!whole) {
                delete(draft);
                delete(kept);
            }
        }
        kept.toFile().setReadOnly();
        return new Kept(String.valueOf(kept.getFileName()), kept, Files.size(kept), fingerprint);
    }

    /** {@return a new empty file: "lease.pdf", or "lease (2).pdf" where that is taken} */
    private Path newPlace(String fileName) throws IOException {
        String safe = FileNames.safeFile(fileName);
        int dot = safe.lastIndexOf('.') > 0 ? safe.lastIndexOf('.') : safe.length();
        for (int n = 1;; n++) {
            Path place = folder.resolve(safe.substring(0, dot) + (n == 1 ? "" : " (" + n + ")") + safe.substring(dot));
            try {
                Files.createFile(place);
            } catch (FileAlreadyExistsException taken) {
                LoggerFactory.getLogger(Originals.class).debug("name taken: {}", place);
                continue;
            }
            remember(BEGUN, place);
            return place;
        }
    }

    private synchronized void remember(String state, Path kept) throws IOException {
        Files.writeString(folder.resolve(LIST), line(state, String.valueOf(kept.getFileName())) + "\n", StandardOpenOption.CREATE,
                StandardOpenOption.APPEND);
    }

    /**
     * Deletes drafts, and copies that nobody names: only what was put there by {@link #keep} and is still the same.
     *
     * @param named   names that stay
     * @param sources those of the bundle, whose copies are ours, in bundles of older versions too, which have no list
     */
    void sweep(Set<String> named, List<Source> sources) {
        Map<String, Path> there = new HashMap<>();
        for (Path file : Leftovers.files(folder)) {
            if (Drafts.is(file)) delete(file);
            else there.put(String.valueOf(file.getFileName()), file);
        }
        try {
            List<String> lines = there.containsKey(LIST) ? Files.readAllLines(there.get(LIST)) : List.of();
            Set<String> left = new LinkedHashSet<>();
            for (String line : lines) {
                int blank = line.indexOf(' ');
                Path kept = there.get(line.substring(blank + 1));
                if (blank < 0 || kept == null) continue;
                if (!named.contains(line.substring(blank + 1))) {
                    if (isStill(line.substring(0, blank), kept)) delete(kept);
                } else if (!line.startsWith(BEGUN)) {
                    left.add(line);
                }
            }
            for (Source source : sources)
                if (!source.checksum().isEmpty() && there.containsKey(source.storedName()))
                    left.add(line(source.checksum(), source.storedName()));
            String text = left.stream().map(line -> line + "\n").collect(Collectors.joining());
            if (!List.copyOf(left).equals(lines)) Drafts.write(folder.resolve(LIST), text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            LoggerFactory.getLogger(Originals.class).warn("not swept: {}", folder, e);
        }
    }

    private static String line(String state, String name) {
        return state + " " + name;
    }

    private static boolean isStill(String state, Path kept) throws IOException {
        return state.equals(BEGUN) ? Files.size(kept) == 0 : Fingerprint.checksum(kept, () -> {}).equals(state);
    }

    static void delete(Path file) {
        try {
            file.toFile().setWritable(true);
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LoggerFactory.getLogger(Originals.class).warn("not deleted: {}", file, e);
        }
    }
}
