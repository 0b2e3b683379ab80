package app.yellowtab.keep;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.json.BundleJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Things that are kept under names in a folder of the user's, each in a file of its own, and given away as such files.
 *
 * @param <T> what is kept
 */
final class KeptJson<T> {
    private static final int FORMAT = 1;
    private static final String ENDING = ".json";
    private static final String CALLED = "called";

    private final Path folder;
    private final Form<T> form;

    KeptJson(Path folder, Form<T> form) {
        this.folder = folder;
        this.form = form;
    }

    /**
     * What the files are like.
     *
     * @param field   that tells them from others, and holds the version of their form
     * @param unnamed what one is called that does not say it
     * @param none    what is said of a file that is another
     * @param code    of a file that cannot be read
     * @param bringUp fills in what older files leave unsaid
     */
    record Form<T>(Class<T> type, String field, String unnamed, String none, Code code, Consumer<ObjectNode> bringUp) {}

    /** Something, and what it is called. */
    record Named<T>(String name, T value) {}

    /** {@return all that are kept, by name; those that cannot be read are left out} */
    List<Named<T>> list() {
        List<Named<T>> all = new ArrayList<>();
        if (!Files.isDirectory(folder)) return all;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(file -> String.valueOf(file.getFileName()).endsWith(ENDING)).toList()) {
                try {
                    all.add(read(file, form));
                } catch (FindingException damaged) {
                    LoggerFactory.getLogger(KeptJson.class).warn("passed over: {}", file, damaged);
                }
            }
        } catch (IOException e) {
            LoggerFactory.getLogger(KeptJson.class).warn("cannot be listed: {}", folder, e);
        }
        all.sort(Comparator.comparing(Named::name, String.CASE_INSENSITIVE_ORDER));
        return all;
    }

    /** Keeps something under a name, in place of what has it. */
    void keep(String name, T value) throws FindingException {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw failure(folder, e);
        }
        write(place(name), name, value, form);
    }

    /** Forgets what has a name, if there is any. */
    void forget(String name) throws FindingException {
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
     * {@return what a file holds}
     *
     * @throws FindingException if it cannot be read or holds something else; the message names the field that is wrong
     */
    static <T> Named<T> read(Path file, Form<T> form) throws FindingException {
        if (!Files.isReadable(file))
            throw new FindingException(Finding.of(form.code(), file, "there is no such file, or you may not read it"), null);
        try {
            if (!(BundleJson.MAPPER.readTree(file) instanceof ObjectNode node) || !node.has(form.field()))
                throw new IllegalArgumentException(form.none());
            JsonNode format = node.path(form.field());
            if (format.asInt(0) != FORMAT)
                throw new IllegalArgumentException("it is of a version that this program does not know");
            form.bringUp().accept(node);
            String name = node.path(CALLED).asString("").strip();
            return new Named<>(name.isEmpty() ? form.unnamed() : name, BundleJson.MAPPER.treeToValue(node, form.type()));
        } catch (DatabindException wrong) {
            throw new FindingException(Finding.of(form.code(), file, BundleJson.explained(wrong)), wrong);
        } catch (JacksonException | IllegalArgumentException wrong) {
            throw new FindingException(Finding.of(form.code(), file,
                    wrong instanceof JacksonException ? "it breaks off or is no JSON" : String.valueOf(wrong.getMessage())),
                    wrong);
        }
    }

    /** Writes something to a file in one step, over what is there. */
    static <T> void write(Path file, String name, T value, Form<T> form) throws FindingException {
        ObjectNode node = BundleJson.MAPPER.createObjectNode().put(form.field(), FORMAT).put(CALLED, name);
        node.setAll((ObjectNode) BundleJson.MAPPER.valueToTree(value));
        try {
            Drafts.write(file, BundleJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(node));
        } catch (IOException e) {
            throw failure(file, e);
        }
    }

    static FindingException failure(Path file, IOException e) {
        return new FindingException(
                new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(file, 0), String.valueOf(e.getMessage())), e);
    }
}
