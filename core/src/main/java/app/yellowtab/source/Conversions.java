package app.yellowtab.source;

import app.yellowtab.model.source.ConversionKey;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;

/** Converted files in a folder, each under the key of what made it. */
public final class Conversions {
    private Conversions() {}

    /** {@return where a conversion lies in a folder, whether it is there or not} */
    public static Path place(Path folder, ConversionKey key) {
        return folder.resolve(key.value() + ".pdf");
    }

    /** Moves a draft to its place, and deletes it where something is there already; {@return the place} */
    public static Path keep(Path draft, Path folder, ConversionKey key) throws IOException {
        Path place = place(folder, key);
        try {
            Files.move(draft, place);
        } catch (FileAlreadyExistsException sameAsBefore) {
            LoggerFactory.getLogger(Conversions.class).debug("converted before: {}", place);
            Files.deleteIfExists(draft);
        }
        return place;
    }
}
