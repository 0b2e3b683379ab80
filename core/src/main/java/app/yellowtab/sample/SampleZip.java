package app.yellowtab.sample;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** Writes ZIP archives that come out the same every time: the packages that office files are, and plain ones. */
final class SampleZip {
    private static final LocalDateTime WRITTEN = LocalDateTime.of(2031, 6, 1, 9, 0);

    private SampleZip() {}

    /** @param parts in order; one named "mimetype" is stored as OpenDocument asks (part 2, 3.3) */
    static void write(Path target, Map<String, byte[]> parts) throws IOException {
        try (OutputStream file = Files.newOutputStream(target); ZipOutputStream zip = new ZipOutputStream(file)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                ZipEntry entry = new ZipEntry(part.getKey());
                entry.setTimeLocal(WRITTEN);
                if (part.getKey().equals("mimetype")) {
                    CRC32 checksum = new CRC32();
                    checksum.update(part.getValue());
                    entry.setMethod(ZipEntry.STORED);
                    entry.setSize(part.getValue().length);
                    entry.setCrc(checksum.getValue());
                }
                zip.putNextEntry(entry);
                zip.write(part.getValue());
            }
        }
    }

    /** Writes something. */
    @FunctionalInterface
    interface Writing {
        void to(OutputStream out) throws IOException;
    }

    /** Writes an archive that a library makes, with its times of day taken out. */
    static void writeAgain(Writing writing, Path target) throws IOException {
        ByteArrayOutputStream made = new ByteArrayOutputStream();
        writing.to(made);
        Map<String, byte[]> parts = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(made.toByteArray()))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] bytes = in.readAllBytes();
                if (entry.getName().endsWith("core.xml")) {
                    bytes = new String(bytes, StandardCharsets.UTF_8)
                            .replaceAll("\\d{4}-\\d{2}-\\d{2}T[\\d:]+Z", "2031-06-01T09:00:00Z").getBytes(StandardCharsets.UTF_8);
                }
                parts.put(entry.getName(), bytes);
            }
        }
        write(target, parts);
    }

    static byte[] xml(String body) {
        return ("<?xml version=\"1.0\" encoding=\"UTF-8\" standalone=\"yes\"?>\n" + body).getBytes(StandardCharsets.UTF_8);
    }

    static String escape(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;").replace("\"", "&quot;");
    }
}
