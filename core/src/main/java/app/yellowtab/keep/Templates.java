package app.yellowtab.keep;

import app.yellowtab.edit.Template;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.json.BundleJson;
import app.yellowtab.json.OlderFormats;
import app.yellowtab.json.OlderNumbers;
import app.yellowtab.model.number.BundleNumber;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Templates: those that ship with the program, and those that are kept in the user's folder, which can be given away as files.
 * Their form is described in docs/template.schema.json. For one thread at a time.
 */
public final class Templates {
    private static final int FORMAT = 1;
    private static final String ENDING = ".json";
    private static final List<String> OURS = List.of("trial", "application", "appeal");

    private final Path folder;

    /** @param userFolder see {@link app.yellowtab.files.UserFolder}; made when something is first kept */
    public Templates(Path userFolder) {
        folder = userFolder.resolve("templates");
    }

    /** {@return those that ship with the program, then those that are kept, by name; what cannot be read is left out} */
    public List<Template> list() {
        List<Template> all = new ArrayList<>();
        for (String name : OURS) all.add(ours(name));
        if (!Files.isDirectory(folder)) return all;
        List<Template> kept = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(file -> String.valueOf(file.getFileName()).endsWith(ENDING)).toList()) {
                try {
                    kept.add(read(file));
                } catch (FindingException damaged) {
                    LoggerFactory.getLogger(Templates.class).warn("template passed over: {}", file, damaged);
                }
            }
        } catch (IOException e) {
            LoggerFactory.getLogger(Templates.class).warn("templates cannot be listed", e);
        }
        kept.sort(Comparator.comparing(Template::called, String.CASE_INSENSITIVE_ORDER));
        all.addAll(kept);
        return all;
    }

    private static Template ours(String name) {
        try (InputStream in = Objects.requireNonNull(Templates.class.getResourceAsStream("templates/" + name + ENDING), name)) {
            return of(BundleJson.MAPPER.readTree(in));
        } catch (IOException e) {
            throw new IllegalStateException(name, e);
        }
    }

    /** Keeps a template, in place of one of the same name. */
    public void keep(Template template) throws FindingException {
        Path file = folder.resolve(FileNames.safe(template.called()) + ENDING);
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw failure(file, e);
        }
        write(file, template);
    }

    /** Keeps a template that was given away as a file; {@return it} */
    public Template bringIn(Path file) throws FindingException {
        Template template = read(file);
        keep(template);
        return template;
    }

    /**
     * {@return the template of a file}
     *
     * @throws FindingException if it cannot be read, is of another version, or is none; the message names the field that is wrong
     */
    public static Template read(Path file) throws FindingException {
        if (!Files.isReadable(file))
            throw new FindingException(Finding.of(Code.TEMPLATE_NOT_READ, file, "there is no such file, or you may not read it"),
                    null);
        try {
            return of(BundleJson.MAPPER.readTree(file));
        } catch (DatabindException wrong) {
            throw new FindingException(Finding.of(Code.TEMPLATE_NOT_READ, file, BundleJson.explained(wrong)), wrong);
        } catch (JacksonException | IllegalArgumentException wrong) {
            throw new FindingException(Finding.of(Code.TEMPLATE_NOT_READ, file,
                    wrong instanceof JacksonException ? "it breaks off or is no JSON" : String.valueOf(wrong.getMessage())),
                    wrong);
        }
    }

    private static Template of(JsonNode root) {
        if (!(root instanceof ObjectNode node) || !node.has("bundleTemplate"))
            throw new IllegalArgumentException("it holds no template");
        if (node.path("bundleTemplate").asInt(0) != FORMAT)
            throw new IllegalArgumentException("it is of a version that this program does not know");
        // Templates of the first days said nothing of numbers.
        if (!node.has("series")) node.putArray("series");
        OlderFormats.layout(node);
        if (!node.has("lines")) node.putArray("lines");
        OlderFormats.fill(node, "number", () -> BundleJson.MAPPER.valueToTree(BundleNumber.STANDARD));
        OlderNumbers.series(node.path("series"));
        return BundleJson.MAPPER.treeToValue(node, Template.class);
    }

    /** Writes a template to a file in one step, over what is there. */
    public static void write(Path file, Template template) throws FindingException {
        ObjectNode node = BundleJson.MAPPER.createObjectNode().put("bundleTemplate", FORMAT);
        node.setAll((ObjectNode) BundleJson.MAPPER.valueToTree(template));
        try {
            Drafts.write(file, BundleJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(node));
        } catch (IOException e) {
            throw failure(file, e);
        }
    }

    private static FindingException failure(Path file, IOException e) {
        return new FindingException(
                new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(file, 0), String.valueOf(e.getMessage())), e);
    }
}
