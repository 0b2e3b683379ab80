package app.yellowtab.redact;

import app.yellowtab.carry.RedactedPicture;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.files.Drafts;
import app.yellowtab.output.MadeStream;
import app.yellowtab.recognise.RecognisedFile;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A page from which areas were taken out, kept: a ZIP file with the picture as a PDF holds it, its entries and its measures as
 * JSON, and the words that are left as {@link RecognisedFile} writes them. It holds nothing of what was taken out.
 */
final class RedactedFile {
    private static final String ENDING = ".zip";
    private static final String PAGE = "page.json";
    private static final String PICTURE = "picture";
    private static final String WORDS = "words.json.gz";
    private static final int FORMAT = 1;
    private static final long MOST_BYTES = 256L << 20;
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private RedactedFile() {}

    /** {@return the name of the file of a page} */
    static String name(String key) {
        return key + ENDING;
    }

    /** {@return what a file holds; empty where there is none, or it is of another format or damaged} */
    static Optional<RedactedPages.Made> read(Path file) {
        if (!Files.exists(file)) return Optional.empty();
        try (ZipInputStream zip = new ZipInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            Map<String, byte[]> parts = new HashMap<>();
            for (ZipEntry entry; (entry = zip.getNextEntry()) != null;) parts.put(entry.getName(), within(zip));
            JsonNode page = MAPPER.readTree(parts.get(PAGE));
            if (page.required("redacted").asInt() != FORMAT || !parts.containsKey(PICTURE)) return Optional.empty();
            Optional<RecognisedPage> words = RecognisedFile.read(parts.get(WORDS));
            MadeStream picture = new MadeStream(parts.get(PICTURE));
            picture.addAll(dictionary(page.required("image")));
            return words.map(left -> new RedactedPages.Made(new RedactedPicture(picture, left), page.required("dpi").asDouble(),
                    page.required("picturesMissing").asInt(), false));
        } catch (IOException | JacksonException | IllegalArgumentException | NullPointerException damaged) {
            LoggerFactory.getLogger(RedactedFile.class).warn("the page is made anew: {}", file, damaged);
            return Optional.empty();
        }
    }

    private static byte[] within(InputStream in) throws IOException {
        byte[] bytes = in.readNBytes((int) MOST_BYTES);
        if (in.read() >= 0) throw new IOException("too large");
        return bytes;
    }

    /** Writes a page, in one step. */
    static void write(Path file, RedactedPages.Made made) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Path draft = Drafts.beside(file);
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(draft));
                    ZipOutputStream zip = new ZipOutputStream(out);
                    InputStream raw = made.picture().picture().createRawInputStream()) {
                ObjectNode page = MAPPER.createObjectNode().put("redacted", FORMAT).put("dpi", made.dpi()).put("picturesMissing",
                        made.picturesMissing());
                page.set("image", json(made.picture().picture()));
                put(zip, PAGE, MAPPER.writeValueAsBytes(page));
                put(zip, WORDS, RecognisedFile.bytes(made.picture().words()));
                put(zip, PICTURE, raw.readAllBytes());
            }
            Drafts.move(draft, file);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(bytes);
        zip.closeEntry();
    }

    /** Images of ours have names and whole numbers, and these once more inside. */
    private static ObjectNode json(COSDictionary dictionary) {
        ObjectNode node = MAPPER.createObjectNode();
        for (COSName name : dictionary.keySet()) {
            if (name.equals(COSName.LENGTH)) continue;
            COSBase value = dictionary.getDictionaryObject(name);
            if (value instanceof COSName word) node.put(name.getName(), word.getName());
            else if (value instanceof COSInteger number) node.put(name.getName(), number.intValue());
            else if (value instanceof COSDictionary inner && !(value instanceof COSStream)) node.set(name.getName(), json(inner));
            else throw new IllegalStateException("an image of ours has no " + name.getName() + " such as " + value);
        }
        return node;
    }

    private static COSDictionary dictionary(JsonNode node) {
        COSDictionary dictionary = new COSDictionary();
        for (Map.Entry<String, JsonNode> entry : node.properties()) {
            JsonNode value = entry.getValue();
            if (value.isString()) dictionary.setName(COSName.getPDFName(entry.getKey()), value.asString());
            else if (value.isObject()) dictionary.setItem(COSName.getPDFName(entry.getKey()), dictionary(value));
            else dictionary.setInt(COSName.getPDFName(entry.getKey()), value.asInt());
        }
        return dictionary;
    }
}
