package app.yellowtab.source;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.files.Drafts;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.recognise.RecognisedFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.slf4j.LoggerFactory;

/**
 * The words that were read in the pictures of a source's pages. Each page's lie in a file under the fingerprint of what the page
 * shows, so that the same page is read once; which of them belong to a source is said by a list, a file of its own that the
 * source names and that never changes.
 */
public final class RecognisedPages {
    private static final int KEY_BYTES = 8;
    private static final int LIST_BYTES = 16;
    /** Raised when pages are drawn or read another way, so that they are read anew. */
    private static final int WAY = 1;
    private static final String ENDING = ".json.gz";
    private static final String LIST_ENDING = ".list";
    private static final Pattern KEY = Pattern.compile("([0-9a-f]{16}-[0-9a-f]{16})?");
    private static final Pattern LIST = Pattern.compile("[0-9a-f]{32}");

    private final Path folder;
    private final List<String> keys;

    private RecognisedPages(Path folder, List<String> keys) {
        this.folder = folder;
        this.keys = keys;
    }

    /**
     * {@return the pages of a source that are pictures of paper without words of their own, counted from 1; none of one that is
     * locked, since nothing of it is kept}
     */
    public static BitSet wanted(Source source) {
        PageFacts facts = source.about().pages();
        if (facts.scanned().ranges().isEmpty() || !source.isRead() || facts.locked()
                || facts.printCount() != source.pageCount())
            return new BitSet();
        BitSet pages = facts.scanned().pages();
        pages.andNot(facts.searchable().pages());
        return pages;
    }

    /**
     * {@return the key of what is read on a page: the fingerprint of what it shows, and that of its shape and of how it is read}
     *
     * @param page      counted from 1
     * @param languages that are read
     */
    public static String key(Source source, int page, String languages) {
        PageShape shape = source.about().pages().shape(page).orElse(PageShape.A4);
        return source.about().pages().likePrint(page).orElseThrow() + "-"
                + digest(shape + " " + languages + " " + WAY, KEY_BYTES);
    }

    /** {@return the fingerprints of what a source's pages show, as the names of files with their words begin} */
    public static Set<String> prints(Source source) {
        Set<String> all = new HashSet<>();
        for (int page = 1; page <= source.pageCount(); page++) source.about().pages().likePrint(page).ifPresent(all::add);
        return all;
    }

    /** {@return the fingerprint that the name of a file with a page's words begins with; empty where it is another file} */
    public static Optional<String> printIn(String fileName) {
        int dash = fileName.indexOf('-');
        return fileName.endsWith(ENDING) && dash > 0 ? Optional.of(fileName.substring(0, dash)) : Optional.empty();
    }

    /** {@return where a page's words lie, whether they are there or not} */
    public static Path file(Path folder, String key) {
        return folder.resolve(key + ENDING);
    }

    /**
     * Keeps which words belong to a source.
     *
     * @param keys of each of its pages, in order; empty for those that have none
     * @return the key of the list, for the source to name
     */
    public static String keep(Path folder, List<String> keys) throws IOException {
        String all = String.join("\n", keys) + "\n";
        String key = digest(all, LIST_BYTES);
        Path file = folder.resolve(key + LIST_ENDING);
        Files.createDirectories(folder);
        if (Files.exists(file)) return key;
        Path draft = Drafts.beside(file);
        try {
            Files.writeString(draft, all);
            Drafts.move(draft, file);
        } finally {
            Files.deleteIfExists(draft);
        }
        return key;
    }

    /** {@return those that a source names; empty where it names none} */
    public static Optional<RecognisedPages> of(SourceFiles files, SourceId id) {
        return of(files, files.source(id).about().recognised());
    }

    /** {@return those of a list; empty where there is none} */
    public static Optional<RecognisedPages> of(SourceFiles files, String list) {
        Optional<Path> folder = files.recognisedFolder();
        if (folder.isEmpty() || !LIST.matcher(list).matches()) return Optional.empty();
        List<String> keys = new ArrayList<>();
        try {
            for (String line : Files.readAllLines(folder.get().resolve(list + LIST_ENDING)))
                keys.add(KEY.matcher(line).matches() ? line : "");
        } catch (IOException gone) {
            LoggerFactory.getLogger(RecognisedPages.class).warn("the list of recognised words is gone: {}", list, gone);
        }
        return Optional.of(new RecognisedPages(folder.get(), keys));
    }

    /**
     * {@return the words of a page; empty where none were read there, or they are gone}
     *
     * @param page counted from 1
     */
    public Optional<RecognisedPage> page(int page) {
        return has(page) ? RecognisedFile.read(file(folder, keys.get(page - 1))) : Optional.empty();
    }

    /** {@return whether words of a page are named, whether they can be read or not} */
    public boolean has(int page) {
        return page <= keys.size() && !keys.get(page - 1).isEmpty();
    }

    private static String digest(String words, int bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(words.getBytes(StandardCharsets.UTF_8)),
                    0, bytes);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
