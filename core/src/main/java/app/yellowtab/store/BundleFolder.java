package app.yellowtab.store;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.Folders;
import app.yellowtab.files.Interrupted;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.json.BundleJson;
import app.yellowtab.json.UnknownFields;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.source.Conversions;
import app.yellowtab.source.Depot;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A bundle on disk: a folder with {@code bundle.json}, the sources in {@code originals}, the pages of those that are no PDF in
 * {@code converted}, what pages are like in {@code facts}, their words in {@code words}, those that were read in
 * their pictures in {@code recognised}, and pages from which areas were taken out in {@code redacted}. It holds a lock until
 * closed, so that nobody else saves over it. Safe to share between threads.
 */
public final class BundleFolder implements Depot, SourceFiles, Closeable {
    public static final String FILE = "bundle.json";
    static final String RECOGNISED = "recognised";
    static final String REDACTED = "redacted";
    private static final String DRAFT = ".bundle.json.part";
    private static final String PREVIOUS = "bundle.previous.json";

    private final Path folder;
    private final DraftOpener opener;
    private final FileChannel lock;
    private final FactsFiles facts;
    private final Originals originals;
    private final Map<SourceId, Source> sources = new ConcurrentHashMap<>();
    private final Object saving = new Object();
    private @Nullable UnknownFields unknown;
    private volatile List<String> passwords = List.of();
    private volatile Reading reading = Reading.STANDARD;
    private volatile BundleIdentity identity;
    private boolean identitySaved;

    private BundleFolder(Path folder, DraftOpener opener) throws IOException {
        this.folder = folder.toAbsolutePath().normalize();
        this.opener = opener;
        this.facts = new FactsFiles(this.folder.resolve("facts"));
        this.originals = new Originals(this.folder.resolve("originals"));
        this.identity = BundleIdentity.fresh(this.folder);
        this.lock = locked(this.folder);
    }

    /**
     * Makes a new bundle folder, or takes an empty one.
     *
     * @throws FindingException if the folder cannot be written, or holds a bundle already
     */
    public static BundleFolder create(Path folder, Bundle bundle) throws FindingException {
        try {
            if (Files.exists(folder.resolve(FILE))) {
                throw new FindingException(Finding.of(Code.TARGET_NOT_WRITABLE, folder, "there is a bundle in it already"), null);
            }
            Files.createDirectories(folder.resolve("originals"));
            Files.createDirectories(folder.resolve("converted"));
            BundleFolder created = new BundleFolder(folder, Files::newOutputStream);
            boolean saved = false;
            try {
                created.save(bundle);
                saved = true;
                return created;
            } finally {
                if (!saved) created.close();
            }
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw new FindingException(DiskFull.is(e, folder) ? full(folder, e)
                    : Finding.of(Code.TARGET_NOT_WRITABLE, folder, "you are not allowed to write there"), e);
        }
    }

    /** {@return where the ledgers of what was produced of a bundle folder are kept; need not exist} */
    public static Path produced(Path folder) {
        return folder.resolve("produced");
    }

    /**
     * Opens a bundle folder, and keeps a copy of its bundle as it is now.
     *
     * @throws FindingException if it holds no bundle, or one that is damaged, newer, or open elsewhere; nothing is changed then
     */
    public static Opened open(Path folder) throws FindingException {
        return open(folder, Files::newOutputStream);
    }

    static Opened open(Path folder, DraftOpener opener) throws FindingException {
        Path file = folder.resolve(FILE);
        if (!Files.isRegularFile(file)) throw new FindingException(Finding.of(Code.BUNDLE_MISSING, folder), null);
        try {
            BundleFolder opened = new BundleFolder(folder, opener);
            boolean loaded = false;
            try {
                Bundle bundle = opened.load(file);
                loaded = true;
                return new Opened(opened, bundle);
            } finally {
                // Whatever failed, the next try is not to find the folder in use.
                if (!loaded) opened.close();
            }
        } catch (FindingException known) {
            throw known;
        } catch (IOException e) {
            throw new FindingException(DiskFull.is(e, file) ? full(file, e) : Finding.of(Code.NOT_READABLE, file), e);
        }
    }

    private static Finding full(Path place, IOException e) {
        return new Finding(Code.NO_SPACE, Subject.OfProduced.of(place, 0), String.valueOf(e.getMessage()));
    }

    /** Takes passwords to try on locked files, in order. They are kept in memory only. */
    public void tryPasswords(List<String> given) {
        passwords = List.copyOf(given);
    }

    @Override
    public List<String> passwords() {
        return passwords;
    }

    /** A folder and the bundle that was in it. */
    public record Opened(BundleFolder folder, Bundle bundle) {}

    /** Opens a new draft for writing. */
    @FunctionalInterface
    interface DraftOpener {
        OutputStream open(Path draft) throws IOException;
    }

    public Path path() {
        return folder;
    }

    /** {@return what tells the bundle from all others} */
    public String id() {
        return identity.id();
    }

    /**
     * Saves the bundle in one step: a crash leaves either the state before or this one.
     *
     * @throws FindingException if it could not be written; the state before is still there
     */
    public void save(Bundle bundle) throws FindingException {
        know(bundle.sources());
        reading = bundle.reading();
        Path file = folder.resolve(FILE);
        synchronized (saving) {
            Path draft = folder.resolve(DRAFT);
            try {
                ObjectNode root = BundleJson.write(bundle, facts.write(bundle.sources()));
                if (unknown != null) unknown.putBack(root);
                write(root, draft, file);
            } catch (IOException e) {
                Originals.delete(draft);
                throw new FindingException(Finding.of(Code.BUNDLE_NOT_SAVED, file, String.valueOf(e.getMessage())), e);
            }
        }
    }

    private void write(ObjectNode root, Path draft, Path file) throws IOException {
        identity.putIn(root);
        byte[] bytes = BundleJson.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
        try (OutputStream out = opener.open(draft)) {
            out.write(bytes);
        }
        try (FileChannel channel = FileChannel.open(draft, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
        Drafts.move(draft, file);
        identitySaved = true;
    }

    /**
     * Writes down what tells the bundle from all others, where that was not done yet, and leaves all else as it was saved last:
     * who gives the identity away must find it again.
     *
     * @throws FindingException if it could not be written; the state before is still there
     */
    public void keepId() throws FindingException {
        Path file = folder.resolve(FILE);
        synchronized (saving) {
            if (identitySaved) return;
            Path draft = folder.resolve(DRAFT);
            try {
                write((ObjectNode) BundleJson.MAPPER.readTree(file), draft, file);
            } catch (IOException | JacksonException | ClassCastException e) {
                Originals.delete(draft);
                throw new FindingException(Finding.of(Code.BUNDLE_NOT_SAVED, file, String.valueOf(e.getMessage())), e);
            }
        }
    }

    /** Does what nobody who opens a bundle needs to wait for; the first saving does it, if nobody has before. */
    public void settle() {
        synchronized (saving) {
            if (unknown != null) unknown.settle();
        }
    }

    /** They need not be saved yet. */
    @Override
    public void know(Collection<Source> taken) {
        for (Source source : taken) sources.put(source.id(), source);
    }

    @Override
    public Kept keep(Path file) throws IOException {
        return originals.keep(file);
    }

    @Override
    public Path conversionDraft() throws IOException {
        Files.createDirectories(converted());
        return Drafts.beside(converted().resolve("conversion.pdf"));
    }

    @Override
    public Path keepConversion(Path draft, ConversionKey key) throws IOException {
        return Conversions.keep(draft, converted(), key);
    }

    @Override
    public Path place() {
        return folder.resolve(FILE);
    }

    @Override
    public Path workFolder() throws IOException {
        return WorkFolder.newFolder("inside");
    }

    @Override
    public void doneWith(Path workFolder) throws IOException {
        Folders.delete(workFolder);
    }

    @Override
    public void drop(Kept kept) {
        Originals.delete(kept.path());
    }

    @Override
    public Path original(SourceId id) {
        return originals.of(source(id).storedName());
    }

    @Override
    public Path readable(SourceId id) throws IOException {
        Source source = source(id);
        Path original = original(id);
        if (source.conversion().isEmpty()) return original;
        Path converted = Conversions.place(converted(), source.conversion().get());
        if (!Files.exists(converted) && Files.exists(original))
            MissingConversion.makeAgain(this, source, original, passwords, reading);
        return converted;
    }

    /** Those of locked files are not kept, since nobody who opens the folder should read them. */
    @Override
    public Optional<Path> wordsFile(SourceId id) {
        Source source = source(id);
        return source.about().pages().locked() || !BundleBounds.isPlain(source.pagesKey()) ? Optional.empty()
                : Optional.of(folder.resolve("words").resolve(source.pagesKey() + ".json.gz"));
    }

    @Override
    public Optional<Path> linesFile(SourceId id) {
        return wordsFile(id).map(words -> words.resolveSibling(linesName(source(id))));
    }

    /** {@return the name of the file of lines, which are others when other words were recognised} */
    static String linesName(Source source) {
        String recognised = source.about().recognised();
        return source.pagesKey() + (recognised.isEmpty() ? "" : "." + recognised) + ".lines";
    }

    @Override
    public Optional<Path> redactedFolder() {
        return Optional.of(folder.resolve(REDACTED));
    }

    @Override
    public Optional<Path> recognisedFolder() {
        return Optional.of(folder.resolve(RECOGNISED));
    }

    @Override
    public boolean isOriginal(Path file) {
        Path asked = file.toAbsolutePath().normalize();
        return asked.startsWith(folder.resolve("originals")) || asked.startsWith(folder.resolve("converted"))
                || asked.equals(folder.resolve(FILE));
    }

    @Override
    public void close() {
        try {
            lock.close();
        } catch (IOException e) {
            LoggerFactory.getLogger(BundleFolder.class).warn("lock not released: {}", folder, e);
        }
    }

    private Bundle load(Path file) throws FindingException, IOException {
        JsonNode root;
        try {
            root = BundleJson.MAPPER.readTree(file);
        } catch (JacksonException e) {
            throw new FindingException(Finding.of(Code.BUNDLE_DAMAGED, file, "it breaks off or is no JSON"), e);
        }
        int format = root.path("format").asInt(0);
        if (format > BundleJson.FORMAT) {
            throw new FindingException(Finding.of(Code.BUNDLE_NEWER, file, String.valueOf(format)), null);
        }
        for (JsonNode need : root.path("needs")) {
            if (BundleJson.ABILITIES.contains(need.asString("?"))) continue;
            throw new FindingException(
                    Finding.of(Code.BUNDLE_NEWER, file, format + ", " + need.asString("?").replaceAll("[^\\w ]", "?")), null);
        }
        Bundle bundle;
        try {
            bundle = BundleJson.read(root, facts::read);
            BundleBounds.check(bundle);
        } catch (RuntimeException | StackOverflowError e) {
            throw new FindingException(Finding.of(Code.BUNDLE_DAMAGED, file, String.valueOf(e.getMessage())), e);
        }
        for (int i = 0; i < bundle.sources().size(); i++)
            facts.know(bundle.sources().get(i), root.path("sources").path(i).path("facts").asString(""));
        Map<PageFacts, String> known = facts.write(bundle.sources());
        unknown = new UnknownFields(root, () -> BundleJson.write(bundle, known));
        know(bundle.sources());
        reading = bundle.reading();
        identity = BundleIdentity.read(root, folder);
        identitySaved = identity.isIn(root);
        Interrupted.finishIn(List.of(folder, produced(folder)));
        Leftovers.sweep(folder, originals, bundle, known.values(), folder.resolve(PREVIOUS));
        Drafts.write(folder.resolve(PREVIOUS), Files.readAllBytes(file));
        return bundle;
    }

    private static FileChannel locked(Path folder) throws IOException {
        FileChannel channel = FileChannel.open(folder.resolve(".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            FileLock lock = channel.tryLock();
            if (lock != null) return channel;
        } catch (OverlappingFileLockException heldByUs) {
            LoggerFactory.getLogger(BundleFolder.class).info("already open: {}", folder);
        }
        channel.close();
        throw new FindingException(Finding.of(Code.BUNDLE_IN_USE, folder), null);
    }

    private Path converted() {
        return folder.resolve("converted");
    }

    @Override
    public Source source(SourceId id) {
        Source source = sources.get(id);
        if (source == null) throw new IllegalArgumentException("no such source: " + id.value());
        return source;
    }
}
