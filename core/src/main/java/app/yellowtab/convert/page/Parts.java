package app.yellowtab.convert.page;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.w3c.dom.Element;

/**
 * The parts of an office file, which is a ZIP archive (ECMA-376 part 2; OpenDocument 1.3 part 2). A part is unpacked when
 * it is asked for, and no further than {@link #MOST_BYTES} in all.
 */
public final class Parts implements Closeable {
    /** Chosen by us: a novel with all its pictures takes less; an archive made to burst takes more. */
    private static final int MOST_BYTES = 256 << 20;
    /** Chosen by us: as a tree it takes some ten times as much memory; the text of two thousand pages is shorter. */
    private static final int MOST_XML_BYTES = 40 << 20;

    private final ZipFile zip;
    private final Map<String, ZipEntry> entries = new HashMap<>();
    private int unpacked;

    public Parts(Path file) throws IOException {
        zip = new ZipFile(file.toFile());
        Enumeration<? extends ZipEntry> all = zip.entries();
        while (all.hasMoreElements()) {
            ZipEntry entry = all.nextElement();
            entries.putIfAbsent(key(entry.getName()), entry);
        }
    }

    /**
     * {@return the bytes of a part; empty where there is none}
     *
     * @throws TooLargeException if the parts read so far hold more than anybody means them to
     */
    public Optional<byte[]> bytes(String name) throws IOException {
        return bytes(name, MOST_BYTES - unpacked);
    }

    private Optional<byte[]> bytes(String name, int most) throws IOException {
        ZipEntry entry = entries.get(key(name));
        if (entry == null) return Optional.empty();
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes(most + 1);
            if (bytes.length > most) throw new TooLargeException("more than " + (most >> 20) + " MB when unpacked");
            unpacked += bytes.length;
            return Optional.of(bytes);
        }
    }

    /** {@return whether there is such a part} */
    public boolean has(String name) {
        return entries.containsKey(key(name));
    }

    public Optional<Element> xml(String name) throws IOException {
        Optional<byte[]> bytes = bytes(name, Math.min(MOST_XML_BYTES, MOST_BYTES - unpacked));
        return bytes.isPresent() ? Optional.of(Xml.read(bytes.get())) : Optional.empty();
    }

    /** {@return by identity, the parts that a part refers to (ECMA-376 part 2, 6.5); those outside of the file are left out} */
    public Map<String, String> relationships(String part) throws IOException {
        int slash = part.lastIndexOf('/');
        String folder = part.substring(0, slash + 1);
        Map<String, String> found = new LinkedHashMap<>();
        Optional<Element> list = xml(folder + "_rels/" + part.substring(slash + 1) + ".rels");
        if (list.isEmpty()) return found;
        for (Element one : Xml.children(list.get(), "Relationship")) {
            if (Xml.attribute(one, "TargetMode").equals("External")) continue;
            String target = Xml.attribute(one, "Target");
            found.put(Xml.attribute(one, "Id"), resolve(target.startsWith("/") ? target.substring(1) : folder + target));
        }
        return found;
    }

    private static String resolve(String path) {
        String resolved = path;
        String before;
        do {
            before = resolved;
            resolved = resolved.replaceFirst("(^|/)(?!\\.\\./)[^/]+/\\.\\./", "$1");
        } while (!resolved.equals(before));
        return resolved;
    }

    private static String key(String name) {
        return name.replace('\\', '/').toLowerCase(Locale.ROOT);
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
