package app.yellowtab.intake;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.input.PdfInput;
import app.yellowtab.inspect.EmbeddedFiles;
import app.yellowtab.model.source.SourceKind;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.slf4j.LoggerFactory;

/**
 * Takes files out of others: out of archives, e-mails and PDFs. Nothing is ever written outside of the folder given. The
 * limits are for all that one of these takes out, however deep it lies. Safe to share between threads.
 */
final class Insides {
    /** Chosen by us: more than any set of papers; an archive made to burst holds more. */
    private static final long MOST_BYTES = 4L << 30;
    private static final int MOST_FILES = 20_000;
    private static final int DEEPEST_FOLDER = 30;

    private final long mostBytes;
    private final AtomicLong bytes = new AtomicLong();
    private final AtomicInteger files = new AtomicInteger();

    Insides() {
        this(MOST_BYTES);
    }

    /** @param mostBytes so many bytes may come out in all */
    Insides(long mostBytes) {
        this.mostBytes = mostBytes;
    }

    /**
     * Unpacks an archive.
     *
     * @param named    the archive as the user knows it
     * @param findings takes what could not be unpacked
     */
    public void unpack(Path archive, Path named, Path into, Collection<Finding> findings) throws IOException {
        try (ZipFile zip = open(archive)) {
            Enumeration<? extends ZipEntry> entries = zip.entries();
            while (entries.hasMoreElements()) {
                ZipEntry entry = entries.nextElement();
                if (!entry.isDirectory()) unpack(zip, entry, named, into, findings);
            }
        } catch (Burst tooMuch) {
            findings.add(Finding.of(Code.TOO_LARGE, named, tooMuch.getMessage()));
        }
    }

    /** What is wrong with one takes no other down: locked, broken off, not what its checksum says, under a name that is none. */
    private void unpack(ZipFile zip, ZipEntry entry, Path named, Path into, Collection<Finding> findings) throws Burst {
        try (CheckedInputStream in = new CheckedInputStream(zip.getInputStream(entry), new CRC32())) {
            Path place = place(into, entry.getName());
            write(in, place);
            if (entry.getCrc() < 0 || entry.getCrc() == in.getChecksum().getValue()) return;
            Files.delete(place);
        } catch (Burst tooMuch) {
            throw tooMuch;
        } catch (IOException | RuntimeException | Error wrong) {
            LoggerFactory.getLogger(Insides.class).info("not unpacked: {} in {}", entry, named, wrong);
        }
        findings.add(Finding.about(Code.NOT_TAKEN_OUT, FileNames.safeFile(entry.getName()), String.valueOf(named.getFileName())));
    }

    private static ZipFile open(Path archive) throws IOException {
        try {
            return new ZipFile(archive.toFile(), StandardCharsets.UTF_8);
        } catch (ZipException | IllegalArgumentException olderNames) {
            return new ZipFile(archive.toFile(), Charset.forName("IBM437"));
        }
    }

    /** {@return the files that came with a mail or lie in a PDF, written into a folder, in order} */
    List<Path> attachments(Path file, SourceKind kind, List<String> passwords, Path into) throws IOException {
        List<Path> taken = new ArrayList<>();
        if (kind.isMail()) {
            Mail mail = kind == SourceKind.EML ? Mail.readEml(file) : Mail.readMsg(file, ZoneOffset.UTC);
            for (Mail.Attachment attachment : mail.attachments()) {
                Path place = unused(into, FileNames.safeFile(attachment.name()));
                try (InputStream in = attachment.content().open()) {
                    write(in, place);
                }
                taken.add(place);
            }
        } else if (kind == SourceKind.PDF) {
            try (PdfInput input = PdfInput.open(file, passwords)) {
                for (EmbeddedFiles.Embedded inside : EmbeddedFiles.of(input)) {
                    Path place = unused(into, FileNames.safeFile(inside.name()));
                    write(new ByteArrayInputStream(PdfInput.unpacked(inside.content())), place);
                    taken.add(place);
                }
            }
        }
        return taken;
    }

    private void write(InputStream in, Path place) throws IOException {
        if (files.incrementAndGet() > MOST_FILES) throw new Burst("more than " + MOST_FILES + " files");
        boolean whole = false;
        try (OutputStream out = Files.newOutputStream(place)) {
            byte[] buffer = new byte[1 << 16];
            for (int count; (count = in.read(buffer)) > 0;) {
                if (bytes.addAndGet(count) > mostBytes) throw new Burst(
                        "more than " + (MOST_BYTES >> 30) + " GB when unpacked, with all else that was taken out of files");
                out.write(buffer, 0, count);
            }
            whole = true;
        } finally {
            if (!whole) Files.deleteIfExists(place);
        }
    }

    /** Folders above, and roots, are taken out of a path. */
    private static Path place(Path into, String entry) throws IOException {
        Path folder = into;
        String[] steps = entry.replace('\\', '/').split("/");
        for (int i = 0; i < Math.min(steps.length - 1, DEEPEST_FOLDER); i++) {
            if (!steps[i].isBlank() && !steps[i].matches("\\.+")) folder = folder.resolve(FileNames.safeFile(steps[i]));
        }
        Files.createDirectories(folder);
        return unused(folder, FileNames.safeFile(steps[steps.length - 1]));
    }

    private static Path unused(Path folder, String name) {
        int dot = name.lastIndexOf('.') > 0 ? name.lastIndexOf('.') : name.length();
        Path place = folder.resolve(name);
        for (int n = 2; Files.exists(place); n++)
            place = folder.resolve(String.format(Locale.ROOT, "%s (%d)%s", name.substring(0, dot), n, name.substring(dot)));
        return place;
    }

    /** What unpacks without an end in sight. */
    static final class Burst extends IOException {
        private static final long serialVersionUID = 1L;

        private Burst(String how) {
            super(how);
        }
    }
}
