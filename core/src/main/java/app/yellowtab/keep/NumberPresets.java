package app.yellowtab.keep;

import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/**
 * Ways of setting numbers and lines that are kept under names in the user's folder, one of them for new bundles, and read from
 * and written to files that are given away. Their form is described in docs/numbers.schema.json. For one thread at a time.
 */
public final class NumberPresets {
    private static final KeptJson.Form<NumberPreset> FORM = new KeptJson.Form<>(NumberPreset.class, "numberPreset", "Numbers",
            "it holds no numbers and lines", Code.PRESET_NOT_READ, node -> {});

    private final Path folder;
    private final KeptJson<NumberPreset> kept;

    /** @param userFolder see {@link app.yellowtab.files.UserFolder}; made when something is first kept */
    public NumberPresets(Path userFolder) {
        folder = userFolder.resolve("numbers");
        kept = new KeptJson<>(folder, FORM);
    }

    /** A preset, and what it is called; not blank. */
    public record Named(String name, NumberPreset preset) {
        public Named {
            if (name.isBlank()) throw new IllegalArgumentException("a preset needs a name");
        }
    }

    /** {@return all that are kept, by name; those that cannot be read are left out} */
    public List<Named> list() {
        return kept.list().stream().map(one -> new Named(one.name(), one.value())).toList();
    }

    /** Keeps a preset, in place of one of the same name. */
    public void keep(Named preset) throws FindingException {
        kept.keep(preset.name(), preset.preset());
    }

    /** Forgets the preset of a name, if there is one. */
    public void forget(String name) throws FindingException {
        kept.forget(name);
    }

    /** {@return the name of the preset that new bundles begin with; empty for none} */
    public Optional<String> standardName() {
        try {
            return Files.exists(standard()) ? Optional.of(Files.readString(standard()).strip()).filter(name -> !name.isEmpty())
                    : Optional.empty();
        } catch (IOException unreadable) {
            LoggerFactory.getLogger(NumberPresets.class).warn("not read: {}", standard(), unreadable);
            return Optional.empty();
        }
    }

    /** {@return how numbers and lines of new bundles are set} */
    public NumberPreset ofNewBundles() {
        Optional<String> name = standardName();
        return list().stream().filter(one -> name.filter(one.name()::equals).isPresent()).findFirst().map(Named::preset)
                .orElse(NumberPreset.STANDARD);
    }

    /** Makes a preset the one that new bundles begin with; none for an empty name. */
    public void makeStandard(Optional<String> name) throws FindingException {
        try {
            Files.createDirectories(folder);
            Drafts.write(standard(), name.orElse("").getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw KeptJson.failure(standard(), e);
        }
    }

    private Path standard() {
        return folder.resolve("standard.txt");
    }

    /**
     * {@return the preset of a file}
     *
     * @throws FindingException if it cannot be read or holds none; the message names the field that is wrong
     */
    public static Named read(Path file) throws FindingException {
        KeptJson.Named<NumberPreset> read = KeptJson.read(file, FORM);
        return new Named(read.name(), read.value());
    }

    /** Writes a preset to a file in one step, over what is there. */
    public static void write(Path file, Named preset) throws FindingException {
        KeptJson.write(file, preset.name(), preset.preset(), FORM);
    }
}
