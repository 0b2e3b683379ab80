package app.yellowtab.intake;

import app.yellowtab.convert.page.Parts;
import app.yellowtab.model.source.SourceKind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.zip.ZipException;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.apache.tika.Tika;
import org.jspecify.annotations.Nullable;

/** Tells the kind of a file by its content, and by its name only where the content leaves it open. Safe to share. */
final class KindReader {
    private static final Map<String, SourceKind> READ = Map.ofEntries(Map.entry("application/pdf", SourceKind.PDF),
            Map.entry("image/jpeg", SourceKind.JPEG), Map.entry("image/png", SourceKind.PNG),
            Map.entry("image/gif", SourceKind.GIF), Map.entry("image/bmp", SourceKind.BMP),
            Map.entry("image/webp", SourceKind.WEBP), Map.entry("image/jp2", SourceKind.JP2),
            Map.entry("image/jpx", SourceKind.JP2), Map.entry("image/x-jp2-codestream", SourceKind.JP2),
            Map.entry("image/tiff", SourceKind.TIFF), Map.entry("text/plain", SourceKind.TEXT),
            Map.entry("text/x-log", SourceKind.TEXT),
            Map.entry("text/csv", SourceKind.CSV), Map.entry("text/tab-separated-values", SourceKind.CSV),
            Map.entry("text/html", SourceKind.HTML),
            Map.entry("application/xhtml+xml", SourceKind.HTML), Map.entry("application/rtf", SourceKind.RTF),
            Map.entry("message/rfc822", SourceKind.EML),
            Map.entry("application/mbox", SourceKind.EML));
    /** Inside an office file, the part that tells what it is (ECMA-376 part 1, 11.3.10, 12.3.23, 13.3.6). */
    private static final Map<String, SourceKind> MAIN_PARTS =
            Map.of("word/document.xml", SourceKind.DOCX, "word/document2.xml", SourceKind.DOCX,
                    "xl/workbook.xml", SourceKind.XLSX, "ppt/presentation.xml", SourceKind.PPTX);
    private static final Map<String, SourceKind> OPEN_DOCUMENTS =
            Map.of("application/vnd.oasis.opendocument.text", SourceKind.ODT,
                    "application/vnd.oasis.opendocument.spreadsheet", SourceKind.ODS,
                    "application/vnd.oasis.opendocument.presentation", SourceKind.ODP);
    private static final Map<String, SourceKind> COMPOUNDS =
            Map.of("WordDocument", SourceKind.DOC, "Workbook", SourceKind.XLS, "Book", SourceKind.XLS,
                    "PowerPoint Document", SourceKind.PPT, "__properties_version1.0", SourceKind.MSG);
    private static final Map<String, String> WORDS =
            Map.of("application/octet-stream", "unknown", "application/zip", "zip archive",
                    "application/x-rar-compressed", "archive", "application/x-7z-compressed", "archive",
                    "application/x-msdownload", "program");

    /** What somebody has saved as plain text is shown as such, even where it begins like an e-mail or a web page. */
    private static final Pattern PLAIN_NAME = Pattern.compile("\\.(txt|text|log)$", Pattern.CASE_INSENSITIVE);

    private static final Pattern MAIL_NAME = Pattern.compile("\\.eml$", Pattern.CASE_INSENSITIVE);

    private final Tika tika = new Tika();

    /** {@return what was found out} */
    public Recognised read(Path file) throws IOException {
        String type = tika.detect(file);
        String name = String.valueOf(file.getFileName());
        if (PLAIN_NAME.matcher(name).find() && (type.startsWith("text/") || type.startsWith("message/")))
            return new Recognised(Optional.of(SourceKind.TEXT), false, "text");
        // Somebody says that it is a mail, and it is text, be it without the header of one.
        if (MAIL_NAME.matcher(name).find() && (type.startsWith("text/") || type.equals("application/octet-stream")))
            return new Recognised(Optional.of(SourceKind.EML), false, "e-mail");
        SourceKind known = READ.get(type);
        if (known != null) return new Recognised(Optional.of(known), false, words(type));
        if (isCompound(file)) return compound(file, name, type);
        if (isZip(file)) return zip(file, type);
        // Text of a kind that nobody has heard of is still text.
        if (type.startsWith("text/")) return new Recognised(Optional.of(SourceKind.TEXT), false, "text");
        return new Recognised(Optional.empty(), false, words(type));
    }

    private static boolean isZip(Path file) throws IOException {
        byte[] start = start(file);
        return start.length >= 4 && start[0] == 'P' && start[1] == 'K' && (start[2] == 3 || start[2] == 5);
    }

    private static boolean isCompound(Path file) throws IOException {
        byte[] start = start(file);
        return start.length >= 4 && (start[0] & 0xFF) == 0xD0 && (start[1] & 0xFF) == 0xCF && (start[2] & 0xFF) == 0x11
                && (start[3] & 0xFF) == 0xE0;
    }

    private static byte[] start(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return in.readNBytes(8);
        }
    }

    private static Recognised zip(Path file, String type) throws IOException {
        try (Parts parts = new Parts(file)) {
            for (Map.Entry<String, SourceKind> main : MAIN_PARTS.entrySet()) {
                if (parts.has(main.getKey())) return new Recognised(Optional.of(main.getValue()), false, words(type));
            }
            Optional<byte[]> stated = parts.bytes("mimetype");
            SourceKind open =
                    stated.map(bytes -> OPEN_DOCUMENTS.get(new String(bytes, StandardCharsets.US_ASCII).strip())).orElse(null);
            if (open != null) return new Recognised(Optional.of(open), false, words(type));
            // An archive for a program, such as a book or a drawing, is no folder of documents.
            boolean plain = type.equals("application/zip") || type.equals("application/octet-stream");
            return new Recognised(Optional.empty(), plain, words(type));
        } catch (ZipException damaged) {
            return new Recognised(Optional.ofNullable(byName(String.valueOf(file.getFileName()))), false, "damaged archive");
        }
    }

    /** A file that is locked tells no more than its name says. */
    private static Recognised compound(Path file, String name, String type) {
        try (POIFSFileSystem system = new POIFSFileSystem(file.toFile(), true)) {
            for (Map.Entry<String, SourceKind> stream : COMPOUNDS.entrySet()) {
                if (system.getRoot().hasEntryCaseInsensitive(stream.getKey()))
                    return new Recognised(Optional.of(stream.getValue()), false, words(type));
            }
            if (system.getRoot().hasEntryCaseInsensitive("EncryptedPackage"))
                return new Recognised(Optional.ofNullable(byName(name)).or(() -> Optional.of(SourceKind.DOCX)), false,
                        words(type));
            return new Recognised(Optional.empty(), false, words(type));
        } catch (IOException | RuntimeException damaged) {
            return new Recognised(Optional.ofNullable(byName(name)), false, words(type));
        }
    }

    private static @Nullable SourceKind byName(String name) {
        return switch (name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT)) {
            case "docx" -> SourceKind.DOCX;
            case "xlsx" -> SourceKind.XLSX;
            case "pptx" -> SourceKind.PPTX;
            case "odt" -> SourceKind.ODT;
            case "ods" -> SourceKind.ODS;
            case "odp" -> SourceKind.ODP;
            case "doc" -> SourceKind.DOC;
            case "xls" -> SourceKind.XLS;
            case "ppt" -> SourceKind.PPT;
            case "msg" -> SourceKind.MSG;
            default -> null;
        };
    }

    private static String words(String type) {
        String known = WORDS.get(type);
        if (known != null) return known;
        if (type.contains("word") || type.contains("opendocument.text")) return "text document";
        if (type.contains("excel") || type.contains("spreadsheet")) return "spreadsheet";
        if (type.contains("powerpoint") || type.contains("presentation")) return "slides";
        if (type.startsWith("image/")) return type.substring("image/".length()) + " picture";
        if (type.startsWith("video/")) return "video";
        if (type.startsWith("audio/")) return "sound recording";
        return type;
    }

    /**
     * What a file is.
     *
     * @param kind    empty where it is of no kind that becomes pages
     * @param archive whether it is opened like a folder
     * @param words   the kind in plain words
     */
    record Recognised(Optional<SourceKind> kind, boolean archive, String words) {}
}
