package app.yellowtab.testing;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.poifs.crypt.EncryptionInfo;
import org.apache.poi.poifs.crypt.EncryptionMode;
import org.apache.poi.poifs.crypt.Encryptor;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;

/** Writes small word-processor documents (ECMA-376) for tests, part by part. */
public final class WordFile {
    private static final String SPACES = "xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\" "
            + "xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\" "
            + "xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\" "
            + "xmlns:wp=\"http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing\"";

    private final Map<String, byte[]> parts = new LinkedHashMap<>();
    private final StringBuilder relationships = new StringBuilder();

    /** @param body what stands in the document's body */
    public WordFile(String body) {
        xml("word/document.xml", "document", "<w:body>" + body + "</w:body>");
    }

    /** {@return a paragraph, with properties such as {@code <w:jc w:val="right"/>}} */
    public static String p(String properties, String words) {
        return "<w:p><w:pPr>" + properties + "</w:pPr>" + run(words) + "</w:p>";
    }

    public static String p(String words) {
        return p("", words);
    }

    public static String run(String words) {
        return "<w:r><w:t xml:space=\"preserve\">" + words + "</w:t></w:r>";
    }

    /** {@return the end of a section, with what its layout says} */
    public static String section(String layout) {
        return "<w:p><w:pPr><w:sectPr>" + layout + "</w:sectPr></w:pPr></w:p>";
    }

    /** {@return a table of rows of cells; each cell may begin with its properties in braces} */
    public static String table(String... rows) {
        StringBuilder table = new StringBuilder("<w:tbl><w:tblGrid>");
        for (int i = 0; i < rows[0].split("\\|").length; i++) table.append("<w:gridCol w:w=\"2000\"/>");
        table.append("</w:tblGrid>");
        for (String row : rows) {
            table.append("<w:tr>");
            for (String cell : row.split("\\|")) {
                int end = cell.startsWith("{") ? cell.indexOf('}') : 0;
                table.append("<w:tc><w:tcPr>").append(end > 0 ? cell.substring(1, end) : "").append("</w:tcPr>")
                        .append(p(cell.substring(end > 0 ? end + 1 : 0))).append("</w:tc>");
            }
            table.append("</w:tr>");
        }
        return table.append("</w:tbl>").toString();
    }

    /** Adds a part below the root element of a name, referred to under the part's name. */
    public WordFile part(String name, String root, String content) {
        xml("word/" + name + ".xml", root, content);
        return relationship(name, name + ".xml", false);
    }

    public WordFile relationship(String id, String target, boolean outside) {
        relationships.append("<Relationship Id=\"").append(id)
                .append("\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/x\" Target=\"")
                .append(target)
                .append(outside ? "\" TargetMode=\"External\"/>" : "\"/>");
        return this;
    }

    public WordFile bytes(String name, byte[] bytes) {
        parts.put(name, bytes);
        return this;
    }

    private void xml(String name, String root, String content) {
        parts.put(name, ("<w:" + root + " " + SPACES + ">" + content + "</w:" + root + ">").getBytes(StandardCharsets.UTF_8));
    }

    public Path write(Path folder, String name) throws IOException {
        parts.put("word/_rels/document.xml.rels",
                ("<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">" + relationships
                        + "</Relationships>")
                        .getBytes(StandardCharsets.UTF_8));
        return zip(folder.resolve(name), parts);
    }

    /** Writes an archive. */
    public static Path zip(Path target, Map<String, byte[]> parts) throws IOException {
        try (OutputStream file = Files.newOutputStream(target); ZipOutputStream zip = new ZipOutputStream(file)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        }
        return target;
    }

    /** {@return the file, locked with a password} */
    public Path writeLocked(Path folder, String name, String password) throws IOException, GeneralSecurityException {
        Path plain = write(folder, "plain " + name);
        Path locked = folder.resolve(name);
        try (POIFSFileSystem system = new POIFSFileSystem()) {
            Encryptor encryptor = new EncryptionInfo(EncryptionMode.agile).getEncryptor();
            encryptor.confirmPassword(password);
            try (OutputStream out = encryptor.getDataStream(system)) {
                Files.copy(plain, out);
            }
            try (OutputStream out = Files.newOutputStream(locked)) {
                system.writeFilesystem(out);
            }
        } finally {
            Files.delete(plain);
        }
        return locked;
    }
}
