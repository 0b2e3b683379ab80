package app.yellowtab.inspect;

import app.yellowtab.facts.PageText;
import app.yellowtab.files.Drafts;
import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonEncoding;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The words of a file's pages, kept so that they need not be read again: JSON packed with gzip, one page a line, described in
 * docs/words.schema.json. Bookmarks are not in it.
 */
public final class WordsFile {
    /** Raised when words are read or written another way, so that older files are not taken for new ones. */
    private static final int FORMAT = 2;
    private static final double HUNDREDTHS = 100;
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private WordsFile() {}

    /**
     * What is kept.
     *
     * @param pages    in order, without bookmarks
     * @param hasCodes whether it was looked for separator sheets too
     */
    public record Kept(List<BatchPage> pages, boolean hasCodes) {
        public Kept {
            pages = List.copyOf(pages);
        }
    }

    /** {@return what a file holds; empty where there is none, or it is of another format or damaged} */
    public static Optional<Kept> read(Path file) {
        if (!Files.exists(file)) return Optional.empty();
        try (InputStream in = new GZIPInputStream(Files.newInputStream(file), 1 << 16);
                JsonParser json = MAPPER.createParser(in)) {
            List<BatchPage> pages = new ArrayList<>();
            boolean codes = false;
            int format = 0;
            json.nextToken();
            while (json.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = json.currentName();
                json.nextToken();
                switch (name) {
                    case "words" -> format = json.getIntValue();
                    case "codes" -> codes = json.getBooleanValue();
                    case "pages" -> {
                        while (json.nextToken() == JsonToken.START_OBJECT) pages.add(page(json.readValueAsTree()));
                    }
                    default -> json.skipChildren();
                }
            }
            // The packing ends with a check of all that is in it.
            in.transferTo(OutputStream.nullOutputStream());
            return format == FORMAT ? Optional.of(new Kept(pages, codes)) : Optional.empty();
        } catch (IOException | JacksonException | IllegalArgumentException damaged) {
            LoggerFactory.getLogger(WordsFile.class).warn("the words are read anew: {}", file, damaged);
            return Optional.empty();
        }
    }

    private static BatchPage page(JsonNode node) {
        JsonNode numbers = node.required("sides");
        float[] sides = new float[numbers.size()];
        for (int i = 0; i < sides.length; i++) sides[i] = (float) (numbers.get(i).asInt() / HUNDREDTHS);
        JsonNode code = node.path("code");
        return new BatchPage(PageText.of(node.required("text").asString(), sides), node.path("blank").asBoolean(false),
                node.required("size").required(0).asDouble(), node.required("size").required(1).asDouble(),
                List.of()).withSheet(code.isMissingNode() ? Optional.empty() : SheetCode.read(code.asString()));
    }

    /** Writes what is to be kept, in one step. */
    public static void write(Path file, Kept kept) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Path draft = Drafts.beside(file);
        try {
            try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(draft), 1 << 16);
                    JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), out, JsonEncoding.UTF8)) {
                json.writeStartObject();
                json.writeNumberProperty("words", FORMAT);
                json.writeBooleanProperty("codes", kept.hasCodes());
                json.writeArrayPropertyStart("pages");
                for (BatchPage page : kept.pages()) {
                    json.writeRaw('\n');
                    write(json, page);
                }
                json.writeEndArray();
                json.writeEndObject();
            }
            Drafts.move(draft, file);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private static void write(JsonGenerator json, BatchPage page) {
        json.writeStartObject();
        json.writeStringProperty("text", page.text().text());
        json.writeArrayPropertyStart("sides");
        for (float side : page.text().sides()) json.writeNumber(Math.round(side * HUNDREDTHS));
        json.writeEndArray();
        json.writeArrayPropertyStart("size");
        json.writeNumber(page.widthMm());
        json.writeNumber(page.heightMm());
        json.writeEndArray();
        if (page.isBlank()) json.writeBooleanProperty("blank", true);
        page.sheet().ifPresent(sheet -> json.writeStringProperty("code", sheet.text()));
        json.writeEndObject();
    }
}
