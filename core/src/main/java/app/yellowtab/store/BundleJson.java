package app.yellowtab.store;

import app.yellowtab.facts.About;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Comments;
import app.yellowtab.model.Contents;
import app.yellowtab.model.Document;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Layout;
import app.yellowtab.model.PageRun;
import app.yellowtab.model.Party;
import app.yellowtab.model.Reading;
import app.yellowtab.model.Section;
import app.yellowtab.model.Separators;
import app.yellowtab.model.source.BookmarkLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The form of {@code bundle.json}, described in docs/bundle.schema.json. Every field is always written. */
final class BundleJson {
    /** Raised when a program that knows only the older form would lose or misread something. */
    static final int FORMAT = 2;
    static final JsonMapper MAPPER = JsonMapper.builder().enable(EnumFeature.WRITE_ENUMS_TO_LOWERCASE).enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS).build();

    private BundleJson() {}

    static ObjectNode write(Bundle bundle) {
        ObjectNode root = MAPPER.createObjectNode().put("format", FORMAT);
        CaseHeading heading = bundle.heading();
        ObjectNode head = root.putObject("heading").put("court", heading.court()).put("caseNumber", heading.caseNumber())
                .put("title", heading.title()).put("hearing", heading.hearing().map(LocalDate::toString).orElse(""))
                .put("preparedBy", heading.preparedBy());
        ArrayNode parties = head.putArray("parties");
        for (Party party : heading.parties()) parties.addObject().put("name", party.name()).put("role", party.role());
        root.putObject("layout").put("cover", bundle.layout().cover())
                .put("separators", bundle.layout().separators().name().toLowerCase(Locale.ROOT));
        root.putObject("fromSources").put("comments", bundle.fromSources().comments().name().toLowerCase(Locale.ROOT))
                .put("bookmarkLevels", bundle.fromSources().bookmarkLevels());
        root.set("reading", MAPPER.valueToTree(bundle.reading()));
        ArrayNode sources = root.putArray("sources");
        for (Source source : bundle.sources()) write(source, sources.addObject());
        write(bundle.contents(), root);
        return root;
    }

    private static void write(Source source, ObjectNode to) {
        to.put("id", source.id().value()).put("fileName", source.fileName()).put("storedName", source.storedName())
                .put("kind", source.kind().name().toLowerCase(Locale.ROOT)).put("bytes", source.bytes())
                .put("sha256", source.sha256()).put("checksum", source.checksum()).put("pageCount", source.pageCount())
                .put("proposedTitle", source.proposedTitle()).put("proposedDate", DateCode.write(source.proposedDate()));
        to.set("about", MAPPER.valueToTree(source.about()));
        ArrayNode bookmarks = to.putArray("bookmarks");
        for (SourceBookmark b : source.bookmarks()) {
            BookmarkLook look = b.look();
            bookmarks.addObject().put("level", b.level()).put("title", b.title()).put("page", b.page()).put("bold", look.bold())
                    .put("italic", look.italic()).put("colour", look.colour()).put("view", look.view());
        }
    }

    private static void write(Contents contents, ObjectNode to) {
        ArrayNode documents = to.putArray("documents");
        for (Document document : contents.documents()) {
            ObjectNode node = documents.addObject().put("id", document.id().value()).put("title", document.title())
                    .put("description", document.description()).put("date", DateCode.write(document.date()))
                    .put("inIndex", document.inIndex());
            ArrayNode pages = node.putArray("pages");
            for (PageRun run : document.runs()) {
                pages.addObject().put("source", run.source().value()).put("first", run.firstPage()).put("last", run.lastPage());
            }
        }
        ArrayNode sections = to.putArray("sections");
        for (Section section : contents.sections()) {
            write(section.contents(), sections.addObject().put("id", section.id().value()).put("title", section.title()));
        }
    }

    /**
     * Reads a bundle.
     *
     * @throws RuntimeException of many kinds, if the tree is not a bundle; its message says what is missing or wrong
     */
    static Bundle read(JsonNode root) {
        JsonNode head = field(root, "heading");
        CaseHeading heading = new CaseHeading(text(head, "court"), text(head, "caseNumber"),
                each(head, "parties", p -> new Party(text(p, "name"), text(p, "role"))), text(head, "title"),
                Optional.of(text(head, "hearing")).filter(day -> !day.isEmpty()).map(LocalDate::parse), text(head, "preparedBy"));
        JsonNode look = field(root, "layout");
        Layout layout = new Layout(field(look, "cover").asBoolean(), word(Separators.class, text(look, "separators")));
        return new Bundle(heading, layout, fromSources(root), part(root, "reading", Reading.class, Reading.STANDARD), each(root, "sources", BundleJson::source), contents(root));
    }

    private static Source source(JsonNode node) {
        return new Source(new SourceId(text(node, "id")), text(node, "fileName"), text(node, "storedName"),
                word(SourceKind.class, text(node, "kind")), field(node, "bytes").asLong(), text(node, "sha256"), node.path("checksum").asString(""),
                number(node, "pageCount"),
                each(node, "bookmarks", b -> new SourceBookmark(number(b, "level"), text(b, "title"), number(b, "page"), look(b))),
                text(node, "proposedTitle"), DateCode.read(text(node, "proposedDate")),
                part(node, "about", About.class, About.UNKNOWN));
    }

    /** Bundles of older versions lack what was not known then. */
    private static <T> T part(JsonNode node, String name, Class<T> type, T otherwise) {
        JsonNode value = node.get(name);
        return value == null ? otherwise : MAPPER.treeToValue(value, type);
    }

    /** Bundles of older versions do not say what comes over from sources, nor how bookmarks look. */
    private static FromSources fromSources(JsonNode root) {
        JsonNode node = root.get("fromSources");
        return node == null ? FromSources.STANDARD : new FromSources(word(Comments.class, text(node, "comments")), number(node, "bookmarkLevels"));
    }

    private static BookmarkLook look(JsonNode node) {
        return new BookmarkLook(node.path("bold").asBoolean(false), node.path("italic").asBoolean(false), node.path("colour").asString(""),
                node.path("view").asString(""));
    }

    private static Contents contents(JsonNode node) {
        return new Contents(each(node, "documents", BundleJson::document), each(node, "sections",
                section -> new Section(new EntryId(text(section, "id")), text(section, "title"), contents(section))));
    }

    private static Document document(JsonNode node) {
        return new Document(new EntryId(text(node, "id")), text(node, "title"), text(node, "description"),
                DateCode.read(text(node, "date")), field(node, "inIndex").asBoolean(), each(node, "pages",
                run -> new PageRun(new SourceId(text(run, "source")), number(run, "first"), number(run, "last"))));
    }

    private static <T> List<T> each(JsonNode node, String name, Function<JsonNode, T> read) {
        List<T> all = new ArrayList<>();
        for (JsonNode element : field(node, name)) all.add(read.apply(element));
        return all;
    }

    private static <E extends Enum<E>> E word(Class<E> type, String value) {
        return Enum.valueOf(type, value.toUpperCase(Locale.ROOT));
    }

    private static String text(JsonNode node, String name) {
        return field(node, name).asString();
    }

    private static int number(JsonNode node, String name) {
        JsonNode value = field(node, name);
        if (!value.isIntegralNumber() || !value.canConvertToInt()) throw new IllegalArgumentException("\"" + name + "\" is no number that a bundle has");
        return value.intValue();
    }

    private static JsonNode field(JsonNode node, String name) {
        JsonNode value = node.get(name);
        if (value == null) throw new IllegalArgumentException("\"" + name + "\" is missing");
        return value;
    }
}
