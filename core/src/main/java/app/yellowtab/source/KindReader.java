package app.yellowtab.source;

import app.yellowtab.model.SourceKind;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.tika.Tika;

/** Tells the kind of a file by its content, and by its name only where the content leaves it open. Safe to share. */
final class KindReader {
    private static final Map<String, SourceKind> READ = Map.of("application/pdf", SourceKind.PDF,
            "image/jpeg", SourceKind.JPEG, "image/png", SourceKind.PNG, "image/gif", SourceKind.GIF, "image/bmp", SourceKind.BMP,
            "image/webp", SourceKind.WEBP, "image/tiff", SourceKind.TIFF, "text/plain", SourceKind.TEXT, "text/x-log", SourceKind.TEXT);
    private static final Map<String, String> WORDS = Map.of("message/rfc822", "e-mail",
            "application/vnd.ms-outlook", "e-mail", "text/html", "web page", "text/csv", "table of values",
            "application/zip", "zip archive", "application/msword", "text document", "application/rtf", "text document",
            "application/octet-stream", "unknown");

    /** What somebody has saved as plain text is shown as such, even where it begins like an e-mail or a web page. */
    private static final Pattern PLAIN_NAME = Pattern.compile("\\.(txt|text|log)$", Pattern.CASE_INSENSITIVE);

    private final Tika tika = new Tika();

    /** {@return what was found out} */
    Reading read(Path file) throws IOException {
        String type = tika.detect(file);
        boolean savedAsText = PLAIN_NAME.matcher(String.valueOf(file.getFileName())).find()
                && (type.startsWith("text/") || type.startsWith("message/"));
        return new Reading(Optional.ofNullable(savedAsText ? SourceKind.TEXT : READ.get(type)), words(type));
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
     * @param kind  empty where it is of no kind that becomes pages
     * @param words the kind in plain words
     */
    record Reading(Optional<SourceKind> kind, String words) {}
}
