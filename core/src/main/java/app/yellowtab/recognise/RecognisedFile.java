package app.yellowtab.recognise;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.facts.SheetState.DarkEdges;
import app.yellowtab.files.Drafts;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was read in the picture of one page, kept so that it need not be read again: JSON packed with gzip, described in
 * docs/recognised.schema.json.
 */
public final class RecognisedFile {
    private static final int FORMAT = 2;
    private static final int BEFORE_MEASURES = 1;
    private static final double HUNDREDTHS = 100;
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private RecognisedFile() {}

    /** {@return what a file holds; empty where there is none, or it is of another format or damaged} */
    public static Optional<RecognisedPage> read(Path file) {
        if (!Files.exists(file)) return Optional.empty();
        try {
            Optional<RecognisedPage> read = read(Files.readAllBytes(file));
            if (read.isEmpty()) LoggerFactory.getLogger(RecognisedFile.class).warn("the page is read anew: {}", file);
            return read;
        } catch (IOException unreadable) {
            LoggerFactory.getLogger(RecognisedFile.class).warn("the page is read anew: {}", file, unreadable);
            return Optional.empty();
        }
    }

    /** {@return what a file's bytes hold; empty where they are of another format or damaged} */
    public static Optional<RecognisedPage> read(byte[] bytes) {
        try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            JsonNode root = MAPPER.readTree(in.readAllBytes());
            int format = root.path("recognised").asInt(0);
            if (format != FORMAT && format != BEFORE_MEASURES) return Optional.empty();
            JsonNode numbers = root.required("sides");
            float[] sides = new float[numbers.size()];
            for (int i = 0; i < sides.length; i++) sides[i] = (float) (numbers.get(i).asInt() / HUNDREDTHS);
            List<Integer> certainties = new ArrayList<>();
            root.required("certainties").forEach(one -> certainties.add(one.asInt()));
            return Optional.of(new RecognisedPage(PageText.of(root.required("text").asString(), sides), certainties,
                    root.required("languages").asString(), root.required("engine").asString(),
                    format == FORMAT ? state(root) : oldState(root)));
        } catch (IOException | JacksonException | IllegalArgumentException damaged) {
            LoggerFactory.getLogger(RecognisedFile.class).info("no words of a page", damaged);
            return Optional.empty();
        }
    }

    /** What was told before marks, edges and folds were measured. */
    private static SheetState oldState(JsonNode root) {
        SheetState state = root.required("blank").asBoolean() ? SheetState.BLANK : SheetState.SOUND;
        return state.withTurns(root.required("turns").asInt()).withSlant(root.required("slant").asDouble());
    }

    private static SheetState state(JsonNode root) {
        JsonNode edges = root.required("edges");
        return new SheetState(root.required("turns").asInt(), root.required("perhapsTurns").asInt(),
                root.required("slant").asDouble(), root.required("marks").asDouble(),
                new DarkEdges(edges.required(0).asDouble(), edges.required(1).asDouble(), edges.required(2).asDouble(),
                        edges.required(3).asDouble()),
                root.required("fold").asDouble());
    }

    /** {@return what a file of it holds} */
    public static byte[] bytes(RecognisedPage page) throws IOException {
        SheetState state = page.state();
        ObjectNode root = MAPPER.createObjectNode().put("recognised", FORMAT).put("engine", page.engine())
                .put("languages", page.languages())
                .put("turns", state.turns()).put("perhapsTurns", state.perhapsTurns()).put("slant", state.slantDegrees())
                .put("marks", state.markMm()).put("fold", state.foldShare());
        root.putArray("edges").add(state.edges().leftMm()).add(state.edges().topMm()).add(state.edges().rightMm())
                .add(state.edges().bottomMm());
        root.put("text", page.text().text());
        ArrayNode sides = root.putArray("sides");
        for (float side : page.text().sides()) sides.add(Math.round(side * HUNDREDTHS));
        ArrayNode certainties = root.putArray("certainties");
        page.certainties().forEach(certainties::add);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (OutputStream out = new GZIPOutputStream(bytes)) {
            out.write(MAPPER.writeValueAsBytes(root));
        }
        return bytes.toByteArray();
    }

    /** Writes what was read, in one step. */
    public static void write(Path file, RecognisedPage page) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Drafts.write(file, bytes(page));
    }
}
