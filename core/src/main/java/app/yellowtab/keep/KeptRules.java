package app.yellowtab.keep;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.cut.CutRules;
import java.nio.file.Path;
import java.util.List;

/**
 * Rules for cutting that are kept under names in the user's folder, to be used again, and read from and written to files that are
 * given away. Their form is described in docs/cut-rules.schema.json. For one thread at a time.
 */
public final class KeptRules {
    private static final KeptJson.Form<CutRules> FORM = new KeptJson.Form<>(CutRules.class, "cutRules", "Rules",
            "it holds no rules for cutting", Code.RULES_NOT_READ, node -> {});

    private final KeptJson<CutRules> kept;

    /** @param userFolder see {@link app.yellowtab.files.UserFolder}; made when something is first kept */
    public KeptRules(Path userFolder) {
        kept = new KeptJson<>(userFolder.resolve("cut-rules"), FORM);
    }

    /** Rules, and what they are called; not blank. */
    public record Named(String name, CutRules rules) {
        public Named {
            if (name.isBlank()) throw new IllegalArgumentException("rules that are kept need a name");
        }
    }

    /** {@return all that are kept, by name; those that cannot be read are left out} */
    public List<Named> list() {
        return kept.list().stream().map(one -> new Named(one.name(), one.value())).toList();
    }

    /** Keeps rules under a name, in place of those of the same name. */
    public void keep(Named rules) throws FindingException {
        kept.keep(rules.name(), rules.rules());
    }

    /** Forgets the rules of a name, if there are any. */
    public void forget(String name) throws FindingException {
        kept.forget(name);
    }

    /**
     * {@return the rules of a file}
     *
     * @throws FindingException if it cannot be read or holds none; the message names the field that is wrong
     */
    public static Named read(Path file) throws FindingException {
        KeptJson.Named<CutRules> read = KeptJson.read(file, FORM);
        return new Named(read.name(), read.value());
    }

    /** Writes rules to a file in one step, over what is there. */
    public static void write(Path file, Named rules) throws FindingException {
        KeptJson.write(file, rules.name(), rules.rules(), FORM);
    }
}
