package app.yellowtab.keep;

import app.yellowtab.files.Drafts;
import app.yellowtab.json.BundleJson;
import app.yellowtab.leaf.ReferenceForm;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;

/** How the user writes references to pages, kept in the user's folder. For one thread at a time. */
public final class KeptReference {
    private final Path file;

    /** @param userFolder see {@link app.yellowtab.files.UserFolder}; made when something is first kept */
    public KeptReference(Path userFolder) {
        file = userFolder.resolve("reference.json");
    }

    /** {@return the form that is kept; the standard one where there is none that can be read} */
    public ReferenceForm form() {
        if (!Files.isRegularFile(file)) return ReferenceForm.STANDARD;
        try {
            return BundleJson.MAPPER.readValue(file, ReferenceForm.class);
        } catch (JacksonException damaged) {
            LoggerFactory.getLogger(KeptReference.class).warn("form of references passed over: {}", file, damaged);
            return ReferenceForm.STANDARD;
        }
    }

    /** Keeps a form. Where that fails, it is used until the program ends. */
    public void keep(ReferenceForm form) {
        try {
            Files.createDirectories(file.getParent());
            Drafts.write(file, BundleJson.MAPPER.writeValueAsBytes(form));
        } catch (IOException e) {
            LoggerFactory.getLogger(KeptReference.class).warn("form of references not kept: {}", file, e);
        }
    }
}
