package app.yellowtab.recognise;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.Folders;
import app.yellowtab.files.UserFolder;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.slf4j.LoggerFactory;

/** The languages that can be read: English comes with the program, others as data files in the user's folder. */
public final class Languages {
    /** The one that comes with the program. */
    public static final String ENGLISH = "eng";
    private static final String ENDING = ".traineddata";
    /** Smaller files hold no language. */
    private static final long LEAST_BYTES = 10_000;

    private final Path own;
    private final Path cache;

    /** @param own where the user puts data files; need not exist */
    public Languages(Path own, Path cache) {
        this.own = own;
        this.cache = cache;
    }

    /** {@return those of this computer's user} */
    public static Languages ofUser() {
        return new Languages(UserFolder.path().resolve("languages"), UserFolder.cache().resolve("languages"));
    }

    /** {@return where the user puts further data files, such as deu.traineddata} */
    public Path folder() {
        return own;
    }

    /** {@return the codes of the languages that there are, English first} */
    public List<String> codes() {
        Set<String> more = new TreeSet<>();
        try (Stream<Path> files = Files.list(own)) {
            files.filter(file -> isData(file)).forEach(file -> more.add(code(file)));
        } catch (IOException none) {
            LoggerFactory.getLogger(Languages.class).debug("no languages in {}", own, none);
        }
        more.remove(ENGLISH);
        List<String> all = new ArrayList<>(List.of(ENGLISH));
        all.addAll(more);
        return all;
    }

    private static boolean isData(Path file) {
        try {
            return String.valueOf(file.getFileName()).matches("[A-Za-z][A-Za-z_]{1,30}\\Q" + ENDING + "\\E")
                    && Files.size(file) >= LEAST_BYTES;
        } catch (IOException gone) {
            return false;
        }
    }

    private static String code(Path file) {
        String name = String.valueOf(file.getFileName());
        return name.substring(0, name.length() - ENDING.length());
    }

    /** {@return a language in English, such as "German"; the code itself where it is none that Java knows} */
    public static String named(String code) {
        String plain = code.replaceAll("_.*", "");
        String rest = plain.equals(code) ? "" : " (" + code.substring(plain.length() + 1) + ")";
        return Arrays.stream(Locale.getISOLanguages()).map(Locale::of)
                .filter(language -> language.getISO3Language().equals(plain)).findFirst()
                .map(language -> language.getDisplayLanguage(Locale.UK)).orElse(plain) + rest;
    }

    /**
     * {@return a folder that has the data of languages}
     *
     * @param codes of {@link #codes}
     * @throws IOException if one cannot be had, or the folder not be written
     */
    Path data(List<String> codes) throws IOException {
        Folders.createForUserOnly(cache);
        for (String code : codes) {
            Path target = cache.resolve(code + ENDING);
            Path from = own.resolve(code + ENDING);
            if (Files.exists(from)) {
                if (!Files.exists(target) || Files.size(target) != Files.size(from)
                        || Files.getLastModifiedTime(target).compareTo(Files.getLastModifiedTime(from)) < 0)
                    put(Files.newInputStream(from), target);
            } else if (code.equals(ENGLISH)) {
                if (!Files.exists(target)) put(new GZIPInputStream(
                        Objects.requireNonNull(Languages.class.getResourceAsStream(ENGLISH + ENDING + ".gz"))), target);
            } else {
                throw new IOException("There is no file " + code + ENDING + " in " + own + ".");
            }
        }
        return cache;
    }

    private static void put(InputStream data, Path target) throws IOException {
        Path draft = Drafts.beside(target);
        try (data) {
            Files.copy(data, draft, StandardCopyOption.REPLACE_EXISTING);
            Drafts.move(draft, target);
        } finally {
            Files.deleteIfExists(draft);
        }
    }
}
