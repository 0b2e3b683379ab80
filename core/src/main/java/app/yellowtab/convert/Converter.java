package app.yellowtab.convert;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.convert.mail.MailPages;
import app.yellowtab.convert.odf.OdpPages;
import app.yellowtab.convert.odf.OdtPages;
import app.yellowtab.convert.page.Charsets;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.TooLargeException;
import app.yellowtab.convert.picture.PicturePages;
import app.yellowtab.convert.rtf.RtfPages;
import app.yellowtab.convert.slide.SlidePages;
import app.yellowtab.convert.table.TablePages;
import app.yellowtab.convert.word.WordPages;
import app.yellowtab.facts.Way;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.SourceKind;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.poi.EncryptedDocumentException;
import org.apache.poi.hssf.record.crypto.Biff8EncryptionKey;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Makes pages of files that are no PDF. What is set by this program itself comes out the same every time. Safe to share
 * between threads; a conversion works on the calling thread, and the office suite serves one at a time.
 */
public final class Converter {
    /** Chosen by us: some 25,000 pages of text. */
    private static final long MOST_TEXT = 64L * 1024 * 1024;
    /** Chosen by us: larger ones do not unpack into the memory that a small computer has. */
    private static final long MOST_OFFICE = 300L * 1024 * 1024;

    /** Of files from this size on, which take some ten times as much memory while they are set, one is set at a time. */
    private static final long DEAR_BYTES = 3L * 1024 * 1024;
    /** Of our own conversions: raised when one of them sets pages otherwise than before. */
    private static final int VERSION = 1;
    private static final int KEY_BYTES = 16;
    private static final Semaphore DEAR = new Semaphore(1);

    private static final Logger LOG = LoggerFactory.getLogger(Converter.class);

    private Converter() {}

    /**
     * Converts a file; the target appears whole or not at all.
     *
     * @param file      the file to read
     * @param named     the file as the user knows it, for findings
     * @param kind      what it is; not PDF
     * @param target    the PDF to write
     * @param passwords to try on locked files, in order
     * @param reading   what the user has chosen
     * @param notes     takes what the user must know of the result
     * @return how it was done
     * @throws LockedException if none of the passwords opens it
     */
    public static Way convert(Path file, Path named, SourceKind kind, Path target, List<String> passwords, Reading reading,
            Collection<Finding> notes)
            throws IOException {
        boolean dear = Files.size(file) > DEAR_BYTES;
        if (dear) DEAR.acquireUninterruptibly();
        try {
            return convertNow(file, named, kind, target, passwords, reading, notes);
        } finally {
            if (dear) DEAR.release();
        }
    }

    private static Way convertNow(Path file, Path named, SourceKind kind, Path target, List<String> passwords, Reading reading,
            Collection<Finding> notes)
            throws IOException {
        try (Unlocked unlocked = Unlocked.open(file, kind, passwords)) {
            Path open = unlocked.file();
            Optional<OfficeSuite> office = OfficeSuites.used();
            Notes said = new Notes(named);
            if (kind.isOffice() && office.isPresent() && office.get().convert(open, kind, target, reading, said)) {
                if (unlocked.password().isPresent()) Sealed.again(target, unlocked.password().get());
                notes.addAll(said.findings());
                return Way.OFFICE_SUITE;
            }
            if (kind == SourceKind.DOC || kind == SourceKind.XLS || kind == SourceKind.PPT) {
                writeUnlocking(target, isLarge(file, kind), passwords, named,
                        document -> add(document, open, named, kind, reading, said, notes));
            } else {
                write(target, isLarge(file, kind), unlocked.password(),
                        document -> add(document, open, named, kind, reading, said, notes));
            }
            notes.addAll(said.findings());
            return Way.BUILT_IN;
        }
    }

    /**
     * {@return the key of a conversion: the same file, read with the same choices in the same way, gives the same pages}
     *
     * @param sha256 of the file's bytes
     * @param way    how it was done
     */
    public static ConversionKey key(String sha256, SourceKind kind, Way way, Reading reading) {
        String by =
                way == Way.OFFICE_SUITE ? OfficeSuites.used().map(OfficeSuite::version).orElse("gone") : "built-in " + VERSION;
        boolean isTable = kind == SourceKind.XLSX || kind == SourceKind.XLS;
        return key(String.join("|", sha256, kind.name(), by,
                kind.isOffice() ? reading.showChanges() + " " + reading.showComments() : "",
                isTable ? String.valueOf(reading.monthFirst()) : "",
                kind == SourceKind.MSG ? reading.zoneInUse().getId() : ""));
    }

    /**
     * {@return the choices that a conversion was made with, found by trying all there are; empty where its key is of another
     * version of what converts}
     *
     * @param sha256 of the file's bytes
     * @param way    how it was done
     */
    public static Optional<Reading> choices(ConversionKey key, String sha256, SourceKind kind, Way way) {
        Stream<ZoneId> zones = Stream.of(ZoneId.systemDefault());
        if (kind == SourceKind.MSG) zones = Stream.concat(zones, ZoneId.getAvailableZoneIds().stream().map(ZoneId::of));
        return zones.flatMap(zone -> IntStream.range(0, 8)
                .mapToObj(bits -> new Reading((bits & 1) > 0, (bits & 2) > 0, (bits & 4) > 0, Optional.of(zone))))
                .filter(reading -> key(sha256, kind, way, reading).equals(key)).findFirst();
    }

    /**
     * {@return the key of the page that stands for a file}
     *
     * @param lines what it says
     */
    public static ConversionKey slipKey(List<String> lines) {
        return key("slip " + VERSION + "|" + lines);
    }

    private static ConversionKey key(String madeOf) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(madeOf.getBytes(StandardCharsets.UTF_8));
            return new ConversionKey(HexFormat.of().formatHex(digest, 0, KEY_BYTES));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    /**
     * Writes the page that stands for a file whose own pages cannot be had.
     *
     * @param lines what it says, the file's name first
     */
    public static void writeSlip(Path target, List<String> lines) throws IOException {
        write(target, false, Optional.empty(), document -> SlipPage.add(document, lines));
    }

    /** {@return whether what is made of a file takes many times its size: pictures, unpacked, and what is full of them} */
    private static boolean isLarge(Path file, SourceKind kind) throws IOException {
        boolean slides = kind == SourceKind.PPTX || kind == SourceKind.PPT || kind == SourceKind.ODP;
        return kind.isPicture() || slides || Files.size(file) > DEAR_BYTES;
    }

    /** Adds pages. */
    @FunctionalInterface
    private interface Adding {
        void to(PDDocument document) throws IOException;
    }

    /** The older office kinds are unlocked as they are read, by a password that the library looks for on the thread. */
    private static void writeUnlocking(Path target, boolean large, List<String> passwords, Path named, Adding adding)
            throws IOException {
        List<@Nullable String> keys = new ArrayList<>();
        keys.add(null);
        keys.addAll(passwords);
        for (String key : keys) {
            try {
                Biff8EncryptionKey.setCurrentUserPassword(key);
                write(target, large, Optional.ofNullable(key), adding);
                return;
            } catch (EncryptedDocumentException wrong) {
                LOG.debug("not opened by this password: {}", named, wrong);
            } finally {
                Biff8EncryptionKey.setCurrentUserPassword(null);
            }
        }
        throw new LockedException(String.valueOf(named.getFileName()));
    }

    /**
     * @param large    whether what is made goes to a file as it comes: of a long scan only the page at hand is in memory then
     * @param password that opened the file; what is made of it is locked with the same
     */
    private static void write(Path target, boolean large, Optional<String> password, Adding adding) throws IOException {
        Path draft = Drafts.beside(target);
        try (PDDocument document =
                large && password.isEmpty() ? new PDDocument(IOUtils.createTempFileOnlyStreamCache()) : new PDDocument()) {
            adding.to(document);
            // Times of day that libraries note would make every conversion another file.
            document.setDocumentInformation(new PDDocumentInformation());
            document.setDocumentId(0L);
            if (password.isPresent()) Sealed.seal(document, password.get());
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(draft))) {
                document.save(out);
            }
            Drafts.move(draft, target);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private static void add(PDDocument document, Path file, Path named, SourceKind kind, Reading reading, Notes said,
            Collection<Finding> notes) throws IOException {
        if (kind.isOffice() && Files.size(file) > MOST_OFFICE)
            throw new TooLargeException(Files.size(file) / 1024 / 1024 + " MB");
        switch (kind) {
            case JPEG -> PicturePages.addJpeg(document, file, named, notes);
            case PNG -> PicturePages.addPng(document, file);
            case GIF, BMP, WEBP, JP2 -> PicturePages.addFirst(document, file, named, notes);
            case TIFF -> PicturePages.addAll(document, file);
            case TEXT -> TextPages.add(document, text(file), named, notes);
            case DOCX -> WordPages.addDocx(document, file, reading.showChanges(), reading.showComments(), said);
            case DOC -> WordPages.addDoc(document, file, reading.showChanges(), said);
            case RTF -> RtfPages.add(document, file, reading.showChanges(), reading.showComments(), said);
            case ODT -> OdtPages.add(document, file, reading.showChanges(), reading.showComments(), said);
            case ODP -> OdpPages.add(document, file, said);
            case XLSX, XLS -> TablePages.addWorkbook(document, file, reading.monthFirst(), said);
            case ODS -> TablePages.addOds(document, file, said);
            case CSV -> TablePages.addValues(document, text(file), said);
            case PPTX, PPT -> SlidePages.add(document, file, said);
            case HTML -> MailPages.addWebPage(document, bytes(file), said);
            case EML -> MailPages.add(document, Mail.readEml(file), said);
            case MSG -> MailPages.add(document, Mail.readMsg(file, reading.zoneInUse()), said);
            case PDF, OTHER -> throw new IllegalArgumentException("no conversion for " + kind + ": " + file);
        }
    }

    private static byte[] bytes(Path file) throws IOException {
        if (Files.size(file) > MOST_TEXT) throw new TooLargeException(Files.size(file) / 1024 / 1024 + " MB of text");
        return Files.readAllBytes(file);
    }

    private static String text(Path file) throws IOException {
        return Charsets.decode(bytes(file), "");
    }
}
