package app.yellowtab.testing;

import app.yellowtab.files.WorkFolder;
import app.yellowtab.sample.SampleMatter;
import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The files of the sample matter, which are dear to make: written once a build for all programs that run tests, under a key of
 * what makes them, to be read only.
 */
public final class SampleFiles {
    private static final List<String> MAKERS = List.of("app/yellowtab/sample", "app/yellowtab/pdf", "app/yellowtab/draw");
    private static @Nullable Path folder;

    private SampleFiles() {}

    /** {@return where they lie} */
    public static synchronized Path folder() throws IOException {
        if (folder == null) folder = made();
        return folder;
    }

    private static Path made() throws IOException {
        Path code = code();
        Path kept = code.resolveSibling("sample-" + key(code));
        try (FileChannel channel = FileChannel.open(code.resolveSibling("sample.lock"), StandardOpenOption.CREATE,
                StandardOpenOption.WRITE); FileLock held = channel.lock()) {
            if (held.isValid() && !Files.isDirectory(kept)) {
                Path draft = WorkFolder.newFolder("sample").resolve("matter");
                SampleMatter.writeFiles(draft);
                Path beside = code.resolveSibling(kept.getFileName() + ".part");
                copy(draft, beside);
                Files.move(beside, kept, StandardCopyOption.ATOMIC_MOVE);
            }
        }
        return kept;
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> all = Files.walk(from)) {
            for (Path file : all.toList())
                Files.copy(file, to.resolve(from.relativize(file).toString()), StandardCopyOption.COPY_ATTRIBUTES,
                        StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** {@return the folder or the jar that the program lies in; both lie in the module's target folder} */
    private static Path code() throws IOException {
        try {
            return Path.of(SampleMatter.class.getProtectionDomain().getCodeSource().getLocation().toURI());
        } catch (URISyntaxException impossible) {
            throw new IOException(impossible);
        }
    }

    private static String key(Path code) throws IOException {
        if (Files.isDirectory(code)) return digest(code);
        try (FileSystem jar = FileSystems.newFileSystem(code)) {
            return digest(jar.getPath("/"));
        }
    }

    private static String digest(Path root) throws IOException {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (String maker : MAKERS) {
                try (Stream<Path> all = Files.walk(root.resolve(maker))) {
                    for (Path file : all.filter(Files::isRegularFile).sorted().toList()) digest.update(Files.readAllBytes(file));
                }
            }
            return HexFormat.of().formatHex(digest.digest(), 0, 8);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IOException(impossible);
        }
    }
}
