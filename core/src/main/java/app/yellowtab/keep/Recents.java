package app.yellowtab.keep;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.UserFolder;
import app.yellowtab.json.BundleJson;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The bundles that were opened last, newest first, and where one was in each. Losing it loses only convenience. */
public final class Recents {
    private static final int MOST = 12;
    private final Path file;

    /** @param userFolder see {@link UserFolder}; made when something is first remembered */
    public Recents(Path userFolder) {
        file = userFolder.resolve("recent.json");
    }

    /**
     * A bundle that was opened.
     *
     * @param folder  its folder, absolute
     * @param title   how it was called
     * @param parties who against whom, in short; may be empty
     * @param pages   how many it had; 0 where that is not known
     * @param worked  the day on which it was last open; empty where that is not known
     * @param stage   the stage of work that was shown
     * @param leaf    the bundle number that was read
     * @param open    whether it was open when the program ended
     */
    public record Recent(Path folder, String title, String parties, int pages, Optional<LocalDate> worked, String stage, int leaf,
            boolean open) {}

    /** {@return the bundles that are still there} */
    public List<Recent> list() {
        List<Recent> recents = new ArrayList<>();
        if (!Files.exists(file)) return recents;
        try {
            for (JsonNode node : BundleJson.MAPPER.readTree(file)) {
                Path folder = Path.of(node.path("folder").asString(""));
                if (!Files.exists(folder.resolve(BundleFolder.FILE))) continue;
                String worked = node.path("worked").asString("");
                recents.add(new Recent(folder, node.path("title").asString(""), node.path("parties").asString(""),
                        node.path("pages").asInt(0),
                        worked.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(worked)),
                        node.path("stage").asString(""), node.path("leaf").asInt(1), node.path("open").asBoolean(false)));
            }
        } catch (JacksonException | IllegalArgumentException | DateTimeParseException e) {
            LoggerFactory.getLogger(Recents.class).warn("recent bundles cannot be read, and begin anew", e);
        }
        return recents;
    }

    /** Puts a bundle first, with where one is in it. */
    public void remember(Recent recent) {
        List<Recent> all = new ArrayList<>(List.of(recent));
        list().stream().filter(other -> !other.folder().equals(recent.folder())).limit(MOST - 1)
                .map(other -> new Recent(other.folder(), other.title(), other.parties(), other.pages(), other.worked(),
                        other.stage(), other.leaf(), false))
                .forEach(all::add);
        write(all);
    }

    private void write(List<Recent> recents) {
        ArrayNode list = BundleJson.MAPPER.createArrayNode();
        for (Recent recent : recents) {
            ObjectNode node = list.addObject();
            node.put("folder", recent.folder().toString()).put("title", recent.title()).put("parties", recent.parties())
                    .put("pages", recent.pages())
                    .put("worked", recent.worked().map(LocalDate::toString).orElse("")).put("stage", recent.stage())
                    .put("leaf", recent.leaf()).put("open", recent.open());
        }
        try {
            Files.createDirectories(file.getParent());
            Path draft = file.resolveSibling("recent.json.part");
            Files.write(draft, BundleJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(list));
            Drafts.move(draft, file);
        } catch (IOException e) {
            LoggerFactory.getLogger(Recents.class).warn("recent bundles not kept", e);
        }
    }
}
