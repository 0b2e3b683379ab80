package app.yellowtab.intake;

import app.yellowtab.files.NaturalOrder;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * A folder that a scanner, or another program, writes into. A file is taken when it has stopped growing, which is when two
 * looks in a row find it the same, and never twice. Asked from one thread at a time.
 */
public final class WatchedFolder {
    private final Path folder;
    private final Predicate<Path> known;
    private final Map<Path, Stamp> seen = new HashMap<>();
    private final Set<String> taken = new HashSet<>();

    /** A file's size and time at one look. */
    private record Stamp(long bytes, long modifiedMillis) {}

    /**
     * @param known tells whether a file was brought in at another time, so that it is left
     */
    public WatchedFolder(Path folder, Predicate<Path> known) {
        this.folder = folder;
        this.known = known;
    }

    public Path folder() {
        return folder;
    }

    /**
     * Looks once; to be called every second or two.
     *
     * @return the files that are complete and were not taken before, in natural order
     * @throws IOException if the folder cannot be looked into
     */
    public List<Path> look() throws IOException {
        List<Path> ready = new ArrayList<>();
        Set<Path> present = new HashSet<>();
        try (DirectoryStream<Path> entries =
                Files.newDirectoryStream(folder, entry -> !FoundFolder.isClutter(entry) && Files.isRegularFile(entry))) {
            for (Path file : entries) {
                present.add(file);
                BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
                Stamp now = new Stamp(attributes.size(), attributes.lastModifiedTime().toMillis());
                Stamp before = seen.put(file, now);
                if (now.equals(before) && now.bytes() > 0 && taken.add(file + "\n" + now) && !known.test(file)) ready.add(file);
            }
        }
        seen.keySet().retainAll(present);
        ready.sort(Comparator.comparing(file -> String.valueOf(file.getFileName()), new NaturalOrder()));
        return ready;
    }
}
