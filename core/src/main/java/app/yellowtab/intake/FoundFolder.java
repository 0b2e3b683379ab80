package app.yellowtab.intake;

import app.yellowtab.files.NaturalOrder;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Files and folders as they were found, in natural order.
 *
 * @param name    the folder's name; empty where single files were given
 * @param files   the files directly in it
 * @param folders the folders in it
 */
public record FoundFolder(String name, List<Path> files, List<FoundFolder> folders) {
    /** What systems and offices leave lying about: nobody means to put it in a bundle. */
    private static final Pattern CLUTTER = Pattern
            .compile("\\..*|~\\$.*|.*\\.(?:part|tmp|crdownload)|Thumbs\\.db|desktop\\.ini|__MACOSX", Pattern.CASE_INSENSITIVE);

    public FoundFolder {
        files = List.copyOf(files);
        folders = List.copyOf(folders);
    }

    /**
     * Looks through the given files and folders, sub-folders included. Links to folders are not followed.
     *
     * @param given    in the order given
     * @param findings takes a finding for each folder that may not be looked into
     */
    public static FoundFolder of(List<Path> given, Collection<Finding> findings) {
        return sorted("", given, findings);
    }

    /** {@return how many files there are at every depth} */
    public int fileCount() {
        return files.size() + folders.stream().mapToInt(FoundFolder::fileCount).sum();
    }

    /** {@return the same without one file, which is to be written and so cannot be read} */
    public FoundFolder without(Path file) {
        Path left = file.toAbsolutePath().normalize();
        return new FoundFolder(name, files.stream().filter(f -> !f.toAbsolutePath().normalize().equals(left)).toList(),
                folders.stream().map(folder -> folder.without(file)).toList());
    }

    private static FoundFolder sorted(String name, List<Path> given, Collection<Finding> findings) {
        List<Path> files = new ArrayList<>();
        List<FoundFolder> folders = new ArrayList<>();
        for (Path path : given) {
            if (Files.isDirectory(path, LinkOption.NOFOLLOW_LINKS)) folders.add(scan(path, findings));
            else if (!Files.isDirectory(path)) files.add(path);
        }
        return new FoundFolder(name, files, folders);
    }

    private static FoundFolder scan(Path folder, Collection<Finding> findings) {
        List<Path> entries = new ArrayList<>();
        try (DirectoryStream<Path> stream = Files.newDirectoryStream(folder, entry -> !isClutter(entry))) {
            stream.forEach(entries::add);
        } catch (IOException e) {
            findings.add(Finding.of(Code.FOLDER_NOT_READABLE, folder));
        }
        entries.sort(Comparator.comparing(FoundFolder::nameOf, new NaturalOrder()));
        return sorted(nameOf(folder.toAbsolutePath().normalize()), entries, findings);
    }

    /** {@return whether a file or folder is what systems and programs leave lying about} */
    static boolean isClutter(Path entry) {
        return CLUTTER.matcher(nameOf(entry)).matches();
    }

    private static String nameOf(Path path) {
        return String.valueOf(path.getFileName());
    }
}
