package app.yellowtab.json;

import app.yellowtab.facts.About;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.mark.Ink;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.BatchId;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.Typeface;
import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.ValueInstantiationException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * The form of {@code bundle.json}, described in docs/bundle.schema.json: the model's records as they are, with ids and dates as
 * words. Every field is always written, but for looks of pages as they came.
 */
public final class BundleJson {
    /** Raised when a program that knows only the older form would lose or misread something. */
    public static final int FORMAT = 4;
    private static final String FRONT_SHEETS = "front_sheets";
    private static final String ENCLOSED_FILES = "enclosed_files";
    /** Of bundles whose series had places of their own, and which had no lines. */
    private static final String NUMBERS = "numbers";
    private static final String MARKS = "marks";
    private static final String TAKEN_BACK = "taken_back";
    /** Abilities that a program must have so as not to misread a bundle that says so; those that this one has. */
    public static final Set<String> ABILITIES = Set.of(FRONT_SHEETS, ENCLOSED_FILES, NUMBERS, MARKS, TAKEN_BACK);
    public static final JsonMapper MAPPER = JsonMapper.builder().enable(EnumFeature.WRITE_ENUMS_TO_LOWERCASE)
            .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS).disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT).disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .changeDefaultVisibility(visible -> visible.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
            .addMixIn(Run.class, AnyRun.class).addMixIn(CutRule.class, AnyCutRule.class)
            .addMixIn(ValuePlace.class, AnyValuePlace.class).addMixIn(NamePart.class, AnyNamePart.class)
            .addMixIn(LinePart.class, AnyLinePart.class).addMixIn(SourcePages.class, OfSource.class)
            .addMixIn(About.class, BesideBundle.class).addModule(words()).build();

    private static final int LONGEST_SHOWN = 60;

    private BundleJson() {}

    /** @param facts the key of what is known of each source's pages */
    public static ObjectNode write(Bundle bundle, Map<PageFacts, String> facts) {
        ObjectNode root = MAPPER.createObjectNode().put("format", FORMAT);
        ArrayNode needs = root.putArray("needs");
        List<Document> documents = Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream()).toList();
        if (documents.stream().flatMap(document -> document.runs().stream()).anyMatch(FrontSheet.class::isInstance))
            needs.add(FRONT_SHEETS);
        if (documents.stream().anyMatch(document -> document.enclosed().isPresent())) needs.add(ENCLOSED_FILES);
        if (!bundle.numbering().equals(Numbering.NONE)) needs.add(MARKS);
        if (!bundle.numbering().takenBack().isEmpty()) needs.add(TAKEN_BACK);
        root.setAll((ObjectNode) MAPPER.valueToTree(bundle));
        for (int i = 0; i < bundle.sources().size(); i++) {
            ((ObjectNode) root.path("sources").path(i)).put("facts",
                    Objects.requireNonNull(facts.get(bundle.sources().get(i).about().pages())));
        }
        return root;
    }

    /**
     * Reads a bundle of this or an older format.
     *
     * @param root  is brought to this format, if it is of an older one
     * @param facts gives what is known of pages by its key
     * @throws IllegalArgumentException if the tree is not a bundle; its message names the field that is missing or wrong
     */
    public static Bundle read(JsonNode root, Function<String, JsonNode> facts) {
        if (!(root instanceof ObjectNode object)) throw new IllegalArgumentException("it is no bundle");
        JsonNode format = object.get("format");
        if (format == null || !format.isInt() || format.intValue() < 1)
            throw new IllegalArgumentException("\"format\" is no number that a bundle has");
        OlderFormats.bringUp(object);
        ObjectNode complete = object.deepCopy();
        OlderFormats.fillIn(complete, facts);
        for (JsonNode source : object.path("sources"))
            if (source.path("about") instanceof ObjectNode about) about.remove("pages");
        try {
            return MAPPER.treeToValue(complete, Bundle.class);
        } catch (DatabindException e) {
            throw new IllegalArgumentException(explained(e), e);
        } catch (JacksonException e) {
            throw new IllegalArgumentException(e.getOriginalMessage(), e);
        }
    }

    /** {@return which field is wrong, and why} */
    public static String explained(DatabindException e) {
        return place(e) + why(e);
    }

    private static String why(DatabindException e) {
        if (e instanceof ValueInstantiationException && e.getCause() != null) return "is refused: " + e.getCause().getMessage();
        if (e.getOriginalMessage().startsWith("Missing")) return "is missing";
        String value =
                e instanceof InvalidFormatException wrong ? String.valueOf(wrong.getValue()).replaceAll("\\p{Cntrl}", "?") : "";
        return "holds what a bundle does not have there" + (value.isEmpty() ? ""
                : ": " + (value.length() > LONGEST_SHOWN ? value.substring(0, LONGEST_SHOWN) + "…" : value));
    }

    /** {@return such as "sources[3].pageCount", counted from 1} */
    private static String place(DatabindException e) {
        StringBuilder place = new StringBuilder();
        for (JacksonException.Reference step : e.getPath()) {
            if (step.getPropertyName() == null) place.append('[').append(step.getIndex() + 1).append(']');
            else place.append(place.isEmpty() ? "" : ".").append(step.getPropertyName());
        }
        return "\"" + place + "\" ";
    }

    /** {@return a look that stands in the file for none} */
    static JsonNode plainLook() {
        return MAPPER.valueToTree(PageLook.PLAIN);
    }

    private static SimpleModule words() {
        SimpleModule module = new SimpleModule() {
            @Override
            public void setupModule(SetupContext context) {
                super.setupModule(context);
                context.addValueInstantiators(new RecordMaking());
            }
        };
        add(module, EntryId.class, EntryId::value, EntryId::new);
        add(module, SourceId.class, SourceId::value, SourceId::new);
        add(module, ConversionKey.class, ConversionKey::value, ConversionKey::new);
        add(module, RunId.class, RunId::value, RunId::new);
        add(module, SeriesId.class, SeriesId::value, SeriesId::new);
        add(module, Face.class, face -> face instanceof Typeface ? face.key().toLowerCase(Locale.ROOT) : face.key(), Face::of);
        add(module, Ink.class, Ink::written, Ink::read);
        add(module, BatchId.class, BatchId::value, BatchId::new);
        add(module, DocumentDate.class, DateCode::write, DateCode::read);
        return module;
    }

    private static <T> void add(SimpleModule module, Class<T> type, Function<T, String> write, Function<String, T> read) {
        module.addSerializer(new WordsWriter<>(type, write));
        module.addDeserializer(type, new WordsReader<>(type, read));
    }

    /** The kinds of run, told apart by a word. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = SourcePages.class, name = "source"),
            @JsonSubTypes.Type(value = BlankPages.class, name = "blank"),
            @JsonSubTypes.Type(value = ReservedPages.class, name = "reserved"),
            @JsonSubTypes.Type(value = FrontSheet.class, name = "front_sheet"),
            @JsonSubTypes.Type(value = EnclosedFile.class, name = "enclosed_file")})
    private interface AnyRun {}

    /** The rules by which batches are cut, told apart by a word. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = CutRule.EveryPages.class, name = "every_pages"),
            @JsonSubTypes.Type(value = CutRule.Ranges.class, name = "ranges"),
            @JsonSubTypes.Type(value = CutRule.OddAndEven.class, name = "odd_and_even"),
            @JsonSubTypes.Type(value = CutRule.Bookmarks.class, name = "bookmarks"),
            @JsonSubTypes.Type(value = CutRule.BlankSheets.class, name = "blank_sheets"),
            @JsonSubTypes.Type(value = CutRule.WordsFound.class, name = "words"),
            @JsonSubTypes.Type(value = CutRule.ValueChanges.class, name = "value"),
            @JsonSubTypes.Type(value = CutRule.NumberingRestarts.class, name = "numbering"),
            @JsonSubTypes.Type(value = CutRule.SizeChanges.class, name = "size"),
            @JsonSubTypes.Type(value = CutRule.SeparatorSheets.class, name = "separator_sheets"),
            @JsonSubTypes.Type(value = CutRule.UpTo.class, name = "up_to"),
            @JsonSubTypes.Type(value = CutRule.FirstPages.class, name = "first_pages")})
    private interface AnyCutRule {}

    /** Where values stand, told apart by a word. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = ValuePlace.InArea.class, name = "area"),
            @JsonSubTypes.Type(value = ValuePlace.AfterWords.class, name = "after")})
    private interface AnyValuePlace {}

    /** The parts of names, told apart by a word. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = NamePart.Bookmark.class, name = "bookmark"),
            @JsonSubTypes.Type(value = NamePart.Value.class, name = "value"),
            @JsonSubTypes.Type(value = NamePart.FileName.class, name = "file_name"),
            @JsonSubTypes.Type(value = NamePart.Number.class, name = "number"),
            @JsonSubTypes.Type(value = NamePart.FirstDate.class, name = "date"),
            @JsonSubTypes.Type(value = NamePart.Typed.class, name = "typed")})
    private interface AnyNamePart {}

    /** The parts of lines at head and foot, told apart by a word. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = LinePart.Typed.class, name = "typed"),
            @JsonSubTypes.Type(value = LinePart.Field.class, name = "field")})
    private interface AnyLinePart {}

    /** Most pages are as they came, and nothing is said of them. */
    private interface OfSource {
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = IsPlain.class)
        PageLook look();
    }

    /** What pages are like lies in a file of its own. */
    private interface BesideBundle {
        @JsonProperty(access = JsonProperty.Access.WRITE_ONLY)
        PageFacts pages();
    }

    /** Equal to the look that says nothing. */
    private static final class IsPlain {
        @Override
        public boolean equals(Object other) {
            return PageLook.PLAIN.equals(other);
        }

        @Override
        public int hashCode() {
            return PageLook.PLAIN.hashCode();
        }
    }

    /** Writes a value as a text. */
    private static final class WordsWriter<T> extends StdSerializer<T> {
        private final Function<T, String> write;

        WordsWriter(Class<T> type, Function<T, String> write) {
            super(type);
            this.write = write;
        }

        @Override
        public void serialize(T value, JsonGenerator out, SerializationContext context) {
            out.writeString(write.apply(value));
        }
    }

    /** Reads a value from a text. */
    private static final class WordsReader<T> extends StdDeserializer<T> {
        private final Function<String, T> read;

        WordsReader(Class<T> type, Function<String, T> read) {
            super(type);
            this.read = read;
        }

        @Override
        public T deserialize(JsonParser in, DeserializationContext context) {
            if (in.currentToken() != JsonToken.VALUE_STRING)
                throw context.wrongTokenException(in, handledType(), JsonToken.VALUE_STRING, "it is no text");
            try {
                return read.apply(in.getString());
            } catch (RuntimeException wrong) {
                throw context.instantiationException(handledType(), wrong);
            }
        }
    }
}
