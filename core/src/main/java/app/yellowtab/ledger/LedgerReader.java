package app.yellowtab.ledger;

import app.yellowtab.mark.Mark;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.output.Place;
import app.yellowtab.pdf.Face;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads the leaves of a ledger one after the other, so that a ledger of any length can be read. For one thread. */
public final class LedgerReader implements Closeable {
    static final String ALL = "all";
    private static final JsonMapper MAPPER = JsonMapper.builder().build();
    private final InputStream in;
    private final JsonParser json;

    private LedgerReader(Path file) throws IOException {
        in = Files.newInputStream(file);
        json = MAPPER.createParser(in);
    }

    /**
     * Reads what a ledger says of the whole bundle.
     *
     * @throws IOException if the file cannot be read, or is no ledger that this version knows
     */
    public static Ledger read(Path file) throws IOException {
        try (LedgerReader reader = new LedgerReader(file)) {
            return reader.whole();
        } catch (JacksonException | IllegalArgumentException | NullPointerException e) {
            throw new IOException("it is no ledger, or a damaged one", e);
        }
    }

    /** Begins to read the leaves. */
    public static LedgerReader leaves(Path file) throws IOException {
        LedgerReader reader = new LedgerReader(file);
        try {
            while (reader.json.nextToken() != null) {
                if (reader.json.currentToken() == JsonToken.START_ARRAY && "leaves".equals(reader.json.currentName()))
                    return reader;
                if (reader.json.currentToken() == JsonToken.START_ARRAY) reader.json.skipChildren();
            }
        } catch (JacksonException e) {
            reader.close();
            throw new IOException("it is no ledger, or a damaged one", e);
        }
        return reader;
    }

    /** {@return the next leaf, or empty after the last} */
    public Optional<Ledger.Page> next() throws IOException {
        try {
            if (json.nextToken() != JsonToken.START_OBJECT) return Optional.empty();
            JsonNode node = json.readValueAsTree();
            boolean first = node.has("stamp");
            Place place = first ? new Place(0, node.required("number").asInt())
                    : place(node.has("place") ? node.required("place") : node.required("places").required(0));
            String contentPrint = first ? "" : node.required("contentPrint").asString();
            Optional<Ledger.From> from = node.has("source")
                    ? Optional.of(new Ledger.From(node.required("source").asInt(), node.required("page").asInt()))
                    : Optional.empty();
            return Optional.of(new Ledger.Page(place, node.path("name").asString(""),
                    Optional.ofNullable(node.get("number")).map(JsonNode::asString), node.required("label").asString(),
                    node.required("kind").asString(),
                    contentPrint, node.path("shownPrint").asString(contentPrint),
                    node.required(first ? "fingerprint" : "pagePrint").asString(), look(node.path("look")),
                    first ? List.of(number(node)) : each(node.required("marks"), LedgerReader::mark), from,
                    each(node.path("links"), LedgerReader::place),
                    ALL.equals(node.path("resources").asString(""))));
        } catch (JacksonException | IllegalArgumentException e) {
            throw new IOException("it is no ledger, or a damaged one", e);
        }
    }

    /** {@return a place; of older ledgers, one in their only file} */
    private static Place place(JsonNode node) {
        if (node.isMissingNode()) return Place.NOWHERE;
        return node.isArray() ? new Place(node.required(0).asInt(), node.required(1).asInt()) : new Place(0, node.asInt());
    }

    /** {@return what was done to a page; in older ledgers nothing was taken out} */
    private static PageLook look(JsonNode node) {
        if (node.isMissingNode()) return PageLook.PLAIN;
        List<Double> crop = each(node.path("crop"), JsonNode::doubleValue);
        List<Double> sheet = each(node.path("sheet"), JsonNode::doubleValue);
        return new PageLook(node.required("turns").asInt(), node.required("straightenDegrees").doubleValue(),
                crop.size() == 4 ? Optional.of(area(crop)) : Optional.empty(),
                sheet.size() == 2 ? Optional.of(new Sheet(sheet.get(0), sheet.get(1))) : Optional.empty(),
                node.required("scale").doubleValue(),
                each(node.path("redactions"), LedgerReader::redaction));
    }

    private static Redaction redaction(JsonNode node) {
        String printed = node.path("printed").asString("");
        return new Redaction(area(each(node.required("area"), JsonNode::doubleValue)), printed, !printed.isEmpty());
    }

    private static Area area(List<Double> sides) {
        return new Area(sides.get(0), sides.get(1), sides.get(2), sides.get(3));
    }

    private static Ledger.Mark mark(JsonNode node) {
        return new Ledger.Mark(node.required("series").asString(), node.required("words").asString(), area(node.required("box")),
                node.required("size").floatValue(), node.path("turn").asInt(0));
    }

    /** {@return the only mark that leaves of format 1 have} */
    private static Ledger.Mark number(JsonNode leaf) {
        JsonNode stamp = leaf.required("stamp");
        float x = stamp.required("x").floatValue();
        float y = stamp.required("y").floatValue();
        return new Ledger.Mark(Mark.BUNDLE_NUMBER, leaf.required("number").asString(), new Ledger.Area(x, y, x, y),
                stamp.required("size").floatValue(), 0);
    }

    private Ledger whole() {
        int format = 0;
        int pages = 0;
        String identity = "";
        String folder = "";
        List<Ledger.ProducedFile> files = List.of();
        List<Ledger.SourceFile> sources = List.of();
        List<Ledger.IndexPage> index = List.of();
        List<Ledger.Bookmark> bookmarks = List.of();
        List<Ledger.Font> fonts = List.of();
        List<Ledger.Enclosed> enclosed = List.of();
        json.nextToken();
        while (json.nextToken() == JsonToken.PROPERTY_NAME) {
            String name = json.currentName();
            json.nextToken();
            switch (name) {
                case "ledger" -> format = json.getIntValue();
                case "pages" -> pages = json.getIntValue();
                case "identity" -> identity = json.getString();
                case "files" -> files =
                        each(tree(), f -> new Ledger.ProducedFile(f.required("name").asString(), f.required("output").asString(),
                                f.required("identity").asString(), f.required("pages").asInt()));
                case "sources" -> sources = each(tree(), s -> new Ledger.SourceFile(s.required("file").asString(),
                        s.required("sha256").asString(), s.required("pages").asInt()));
                case "index" -> index =
                        each(tree(), p -> new Ledger.IndexPage(
                                place(p.required(p.has("number") ? "number" : p.has("position") ? "position" : "place")),
                                each(p.required("rows"), LedgerReader::row)));
                case "bookmarks" -> bookmarks = each(tree(), b -> new Ledger.Bookmark(b.path("file").asInt(0),
                        b.required("level").asInt(), b.required("title").asString(), place(b.required("to"))));
                case "folder" -> folder = json.getString();
                case "enclosed" -> enclosed = each(tree(), f -> new Ledger.Enclosed(f.required("name").asString(),
                        f.required("bytes").asLong(), f.required("sha256").asString()));
                case "fonts" -> fonts = each(tree(), LedgerReader::font);
                default -> json.skipChildren();
            }
        }
        if (format < 1 || format > LedgerWriter.FORMAT) throw new IllegalArgumentException("format " + format);
        if (format == 1) files = List.of(new Ledger.ProducedFile("", "screen", identity, pages));
        if (files.isEmpty() || files.stream().mapToInt(Ledger.ProducedFile::pages).sum() != pages)
            throw new IllegalArgumentException("files");
        return new Ledger(pages, sources, index, bookmarks, fonts, files, enclosed, folder);
    }

    private JsonNode tree() {
        return json.readValueAsTree();
    }

    private static Ledger.Row row(JsonNode node) {
        return new Ledger.Row(node.required("text").asString(), node.required("pages").asString(), place(node.path("to")),
                area(node.required("area")));
    }

    private static Ledger.Area area(JsonNode sides) {
        return new Ledger.Area(sides.required(0).floatValue(), sides.required(1).floatValue(), sides.required(2).floatValue(),
                sides.required(3).floatValue());
    }

    private static Ledger.Font font(JsonNode node) {
        return new Ledger.Font(node.path("file").asInt(0), Face.of(node.required("face").asString()),
                node.required("name").asString(),
                node.required("object").asInt(),
                node.required(node.has("print") ? "print" : "fingerprint").asString());
    }

    private static <T> List<T> each(JsonNode array, Function<JsonNode, T> read) {
        List<T> all = new ArrayList<>();
        for (JsonNode element : array) all.add(read.apply(element));
        return all;
    }

    @Override
    public void close() throws IOException {
        json.close();
        in.close();
    }
}
