package app.yellowtab.store;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.cut.CutRules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Rules for cutting that are kept under names in the user's folder, to be used again, and read from and written to files that are given
 * away. Their form is described in docs/cut-rules.schema.json. For one thread at a time.
 */
public final class KeptRules {
    private static final int FORMAT = 1;
    private static final String ENDING = ".json";

    private final Path folder;

    /** @param userFolder see {@link app.yellowtab.files.UserFolder}; made when something is first kept */
    public KeptRules(Path userFolder) {
        folder = userFolder.resolve("cut-rules");
    }

    /** Rules, and what they are called; not blank. */
    public record Named(String name, CutRules rules) {
        public Named {
            if (name.isBlank()) throw new IllegalArgumentException("rules that are kept need a name");
        }
    }

    /** {@return all that are kept, by name; those that cannot be read are left out} */
    public List<Named> list() {
        List<Named> all = new ArrayList<>();
        if (!Files.isDirectory(folder)) return all;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(file -> String.valueOf(file.getFileName()).endsWith(ENDING)).toList()) {
                try {
                    all.add(read(file));
                } catch (FindingException damaged) {
                    LoggerFactory.getLogger(KeptRules.class).warn("rules passed over: {}", file, damaged);
                }
            }
        } catch (IOException e) {
            LoggerFactory.getLogger(KeptRules.class).warn("rules cannot be listed", e);
        }
        all.sort(Comparator.comparing(Named::name, String.CASE_INSENSITIVE_ORDER));
        return all;
    }

    /** Keeps rules under a name, in place of those of the same name. */
    public void keep(Named rules) throws FindingException {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw failure(folder, e);
        }
        write(place(rules.name()), rules);
    }

    /** Forgets the rules of a name, if there are any. */
    public void forget(String name) throws FindingException {
        try {
            Files.deleteIfExists(place(name));
        } catch (IOException e) {
            throw failure(place(name), e);
        }
    }

    private Path place(String name) {
        return folder.resolve(FileNames.safe(name) + ENDING);
    }

    /**
     * {@return the rules of a file}
     *
     * @throws FindingException if it cannot be read or holds none; the message names the field that is wrong
     */
    public static Named read(Path file) throws FindingException {
        if (!Files.isReadable(file)) throw new FindingException(Finding.of(Code.RULES_NOT_READ, file, "there is no such file, or you may not read it"), null);
        try {
            if (!(BundleJson.MAPPER.readTree(file) instanceof ObjectNode node) || !node.has("cutRules")) throw new IllegalArgumentException("it holds no rules for cutting");
            JsonNode format = node.path("cutRules");
            if (format.asInt(0) != FORMAT) throw new IllegalArgumentException("it is of a version that this program does not know");
            String name = node.path("called").asString("").strip();
            return new Named(name.isEmpty() ? "Rules" : name, BundleJson.MAPPER.treeToValue(node, CutRules.class));
        } catch (DatabindException wrong) {
            throw new FindingException(Finding.of(Code.RULES_NOT_READ, file, BundleJson.explained(wrong)), wrong);
        } catch (JacksonException | IllegalArgumentException wrong) {
            throw new FindingException(Finding.of(Code.RULES_NOT_READ, file, wrong instanceof JacksonException ? "it breaks off or is no JSON" : String.valueOf(wrong.getMessage())), wrong);
        }
    }

    /** Writes rules to a file in one step, over what is there. */
    public static void write(Path file, Named rules) throws FindingException {
        ObjectNode node = BundleJson.MAPPER.createObjectNode().put("cutRules", FORMAT).put("called", rules.name());
        node.setAll((ObjectNode) BundleJson.MAPPER.valueToTree(rules.rules()));
        try {
            Drafts.write(file, BundleJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(node));
        } catch (IOException e) {
            throw failure(file, e);
        }
    }

    private static FindingException failure(Path file, IOException e) {
        return new FindingException(new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(file, 0), String.valueOf(e.getMessage())), e);
    }
}
