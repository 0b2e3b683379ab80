package app.yellowtab.assemble;

import app.yellowtab.files.Drafts;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;

/** A draft beside its target; what is still there when it is closed is deleted. */
record Draft(Path path) implements AutoCloseable {
    static Draft beside(Path target) throws IOException {
        return new Draft(Drafts.beside(target));
    }

    @Override
    public void close() {
        try {
            Files.deleteIfExists(path);
        } catch (IOException e) {
            LoggerFactory.getLogger(Draft.class).warn("draft not deleted: {}", path, e);
        }
    }
}
