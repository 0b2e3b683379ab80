package app.yellowtab.files;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Makes names of files of any words, safe on Windows, macOS and Linux, each only once whatever the case of its letters. For one
 * folder and one thread.
 */
public final class FileNames {
    /** What one of the systems forbids, and what nobody sees: controls, marks of direction, and half letters. */
    private static final Pattern FORBIDDEN =
            Pattern.compile("[<>:\"/\\\\|?*\\p{Cntrl}\\p{Cf}\\p{Cs}\\p{Co}\\p{Cn}\\p{Zl}\\p{Zp}]+");
    private static final Pattern RESERVED =
            Pattern.compile("(?i)(con|prn|aux|nul|conin\\$|conout\\$|com[0-9¹²³]|lpt[0-9¹²³])(\\s*\\..*|\\s*)");
    /** The systems take 255 bytes; the rest is for what makes a name unique, its ending, and the draft that it is written as. */
    private static final int MOST_BYTES = 200;

    /** What is longer behind the last dot is no ending; in letters, with the dot. */
    private static final int LONGEST_ENDING = 12;

    private final Set<String> taken = new HashSet<>();

    /** No name is taken yet. */
    public FileNames() {
        // Nothing is needed.
    }

    /** Takes note of a name that is there already. */
    public void take(String name) {
        taken.add(folded(name));
    }

    /**
     * {@return a name that is safe, and that nothing else has; it is taken from now on}
     *
     * @param words  what it should be
     * @param ending such as ".pdf"
     */
    public String next(String words, String ending) {
        String safe = safe(words);
        String name = safe + ending;
        for (int n = 2; taken.contains(folded(name)); n++) name = safe + " (" + n + ")" + ending;
        take(name);
        return name;
    }

    /** {@return words as a name, without an ending; never empty} */
    public static String safe(String words) {
        String name = FORBIDDEN.matcher(Normalizer.normalize(words, Normalizer.Form.NFC)).replaceAll(" ").replaceAll("\\s+", " ")
                .strip();
        name = shortened(name).replaceFirst("[ .]+$", "").replaceFirst("^[ .]+", "");
        if (name.isEmpty()) return "without a name";
        return RESERVED.matcher(name).matches() ? "_" + name : name;
    }

    /**
     * {@return the name that a file was given, made safe, with its ending} What is forbidden is shown as "_", so that one sees
     * that something stood there; folders before the name are left out.
     */
    public static String safeFile(String given) {
        String last = given.replace('\\', '/').replaceFirst(".*/", "");
        String shown = FORBIDDEN.matcher(Normalizer.normalize(last, Normalizer.Form.NFC)).replaceAll("_").strip()
                .replaceFirst("^\\.+", "_");
        if (shown.isBlank()) return "without a name";
        int dot = shown.lastIndexOf('.');
        int end = dot > 0 && shown.length() - dot < LONGEST_ENDING ? dot : shown.length();
        String name = shortened(shown.substring(0, end)) + shown.substring(end);
        return RESERVED.matcher(name).matches() ? "_" + name : name;
    }

    private static String shortened(String name) {
        int bytes = 0;
        for (int i = 0; i < name.length();) {
            int letter = name.codePointAt(i);
            bytes += Character.toString(letter).getBytes(StandardCharsets.UTF_8).length;
            if (bytes > MOST_BYTES) return name.substring(0, i);
            i += Character.charCount(letter);
        }
        return name;
    }

    /** {@return the same for names that one of the systems takes for the same} */
    private static String folded(String name) {
        return Normalizer.normalize(
                Normalizer.normalize(name, Normalizer.Form.NFKC).toUpperCase(Locale.ROOT).toLowerCase(Locale.ROOT),
                Normalizer.Form.NFC);
    }
}
