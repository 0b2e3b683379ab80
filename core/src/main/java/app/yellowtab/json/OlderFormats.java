package app.yellowtab.json;

import app.yellowtab.facts.About;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.Reading;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.source.BookmarkLook;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings bundles of older formats to the form of today. Format 1 knew fewer kinds of file, and said neither how files are read
 * nor what is known of them; up to format 2 a document held stretches of sources, without a name and a look, and what was taken
 * out of the index was forgotten; up to format 3 a number that was given for ever did not say of which reading of its file, and
 * no page waited to be looked at.
 */
public final class OlderFormats {
    private OlderFormats() {}

    /**
     * Changes a bundle of an older format to today's.
     *
     * @throws IllegalArgumentException if a field is missing that every format has
     */
    static void bringUp(ObjectNode root) {
        int format = root.path("format").asInt(0);
        if (format >= BundleJson.FORMAT) return;
        readings(root);
        root.put("format", BundleJson.FORMAT);
        if (format >= 3) return;
        for (JsonNode source : root.path("sources")) if (source instanceof ObjectNode object) source(object);
        bundle(root);
    }

    /** Fills in what today's format leaves unsaid, or says in other files. */
    static void fillIn(ObjectNode root, Function<String, JsonNode> facts) {
        for (JsonNode source : root.path("sources")) {
            if (!(source.get("about") instanceof ObjectNode about)) continue;
            if (!about.has("recognised")) about.put("recognised", "");
            if (!about.has("lengthSeconds")) about.put("lengthSeconds", 0);
            if (!about.has("pages")) about.set("pages", facts.apply(source.path("facts").asString("")));
            if (!(about.get("pages") instanceof ObjectNode pages)) continue;
            fill(pages, "shapes", () -> BundleJson.MAPPER.createArrayNode());
            if (!pages.has("beginnings")) pages.put("beginnings", 0);
            if (!pages.has("printWay")) pages.put("printWay", 1);
        }
        layout(root);
        if (root.get("contents") instanceof ObjectNode contents) looks(contents);
        documents(root.path("setAside"));
        fill(root, "numbering", () -> BundleJson.MAPPER.valueToTree(Numbering.NONE));
        if (root.get("numbering") instanceof ObjectNode numbering) OlderNumbers.fillIn(numbering);
        fill(root, "recognition", () -> BundleJson.MAPPER.valueToTree(RecognitionChoice.STANDARD));
        fill(root, "toLookAt", () -> BundleJson.MAPPER.createArrayNode());
        fill(root, "batches", () -> BundleJson.MAPPER.createArrayNode());
        for (JsonNode batch : root.path("batches")) {
            documents(batch.path("made"));
            for (JsonNode run : batch.path("runs")) if (run instanceof ObjectNode object) {
                fill(object, "look", () -> BundleJson.plainLook());
                shown(object.path("look"));
            }
            for (JsonNode name : batch.path("names"))
                if (name instanceof ObjectNode object) fill(object, "date", () -> BundleJson.MAPPER.nullNode());
        }
    }

    /** Fills in what is left unsaid of the pages that a bundle or a template has beside those of its documents. */
    public static void layout(ObjectNode root) {
        if (!(root.get("layout") instanceof ObjectNode layout)) return;
        if (!layout.has("agreement")) layout.put("agreement", false);
        fill(layout, "paper", () -> BundleJson.MAPPER.valueToTree(PaperSet.STANDARD));
        fill(layout, "volumes", () -> BundleJson.MAPPER.valueToTree(Volumes.NONE));
    }

    /** Numbers were given to pages as their files were read when the bundle was saved. */
    private static void readings(ObjectNode root) {
        Map<String, String> keys = new HashMap<>();
        for (JsonNode source : root.path("sources"))
            keys.put(source.path("id").asString(""), source.path("conversion").asString(source.path("sha256").asString("")));
        for (JsonNode given : root.path("numbering").path("given"))
            if (given instanceof ObjectNode number)
                number.put("pagesKey", keys.getOrDefault(number.path("source").asString(""), ""));
    }

    private static void bundle(ObjectNode root) {
        if (root.path("heading") instanceof ObjectNode heading && heading.path("hearing").asString("x").isEmpty())
            heading.putNull("hearing");
        fill(root, "fromSources", () -> BundleJson.MAPPER.valueToTree(FromSources.STANDARD));
        fill(root, "reading", () -> BundleJson.MAPPER.valueToTree(Reading.STANDARD));
        if (root.get("reading") instanceof ObjectNode reading) fill(reading, "zone", () -> BundleJson.MAPPER.nullNode());
        fill(root, "needs", () -> BundleJson.MAPPER.createArrayNode());
        fill(root, "setAside", () -> BundleJson.MAPPER.createArrayNode());
        ObjectNode contents = BundleJson.MAPPER.createObjectNode();
        move(root, contents);
        root.set("contents", contents);
    }

    private static void source(ObjectNode source) {
        fill(source, "checksum", () -> BundleJson.MAPPER.getNodeFactory().stringNode(""));
        fill(source, "about", () -> BundleJson.MAPPER.valueToTree(About.UNKNOWN));
        if (source.get("about") instanceof ObjectNode about) fill(about, "made", () -> BundleJson.MAPPER.nullNode());
        // Conversions lay under the name of what they were made of.
        boolean converted =
                !source.path("kind").asString("").equalsIgnoreCase("pdf") || !source.path("about").path("trouble").isNull();
        if (converted) source.put("conversion", source.path("storedName").asString(""));
        else source.putNull("conversion");
        for (JsonNode bookmark : source.path("bookmarks")) {
            if (!(bookmark instanceof ObjectNode from)) continue;
            ObjectNode look = BundleJson.MAPPER.valueToTree(BookmarkLook.PLAIN);
            for (String name : List.copyOf(look.propertyNames())) {
                JsonNode value = from.remove(name);
                if (value != null) look.set(name, value);
            }
            from.set("look", look);
        }
    }

    /** Moves documents and sections, at every depth, into what an entry holds. */
    private static void move(ObjectNode from, ObjectNode contents) {
        for (String name : new String[] {"documents", "sections"}) {
            JsonNode list = from.remove(name);
            if (list == null) throw new IllegalArgumentException("\"" + name + "\" is missing");
            contents.set(name, list);
        }
        for (JsonNode document : contents.path("documents")) {
            if (document instanceof ObjectNode object) document(object);
        }
        for (JsonNode section : contents.path("sections")) {
            if (!(section instanceof ObjectNode object)) continue;
            ObjectNode inner = BundleJson.MAPPER.createObjectNode();
            move(object, inner);
            object.set("contents", inner);
        }
    }

    private static void document(ObjectNode document) {
        JsonNode pages = document.remove("pages");
        if (pages == null) throw new IllegalArgumentException("\"pages\" is missing");
        for (JsonNode run : pages) {
            if (run instanceof ObjectNode object) object.put("kind", "source").put("id", RunId.fresh().value());
        }
        document.set("runs", pages);
        document.putNull("belongsTo");
    }

    /** Gives pages that came as they are the look that says so. */
    private static void looks(ObjectNode contents) {
        documents(contents.path("documents"));
        for (JsonNode section : contents.path("sections")) if (section.get("contents") instanceof ObjectNode inner) looks(inner);
    }

    private static void documents(JsonNode documents) {
        for (JsonNode document : documents) {
            if (document instanceof ObjectNode object)
                fill(object, "agreement", () -> BundleJson.MAPPER.valueToTree(Agreement.OPEN));
            for (JsonNode run : document.path("runs")) {
                if (!(run instanceof ObjectNode object) || !object.path("kind").asString("").equals("source")) continue;
                fill(object, "look", () -> BundleJson.plainLook());
                shown(object.path("look"));
                for (JsonNode redaction : object.path("look").path("redactions"))
                    if (redaction instanceof ObjectNode one && !one.has("printed")) one.put("printed", false);
            }
        }
    }

    /** Pages were not withheld, and nothing was left to be seen. */
    private static void shown(JsonNode look) {
        if (!(look instanceof ObjectNode object)) return;
        fill(object, "withheld", () -> BundleJson.MAPPER.nullNode());
        fill(object, "spared", () -> BundleJson.MAPPER.createArrayNode());
    }

    /**
     * @param otherwise is made only where something is missing: most bundles say it all, and two thousand documents are read at
     *         once
     */
    public static void fill(ObjectNode node, String name, Supplier<JsonNode> otherwise) {
        if (!node.has(name)) node.set(name, otherwise.get());
    }
}
