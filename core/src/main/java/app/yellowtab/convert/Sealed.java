package app.yellowtab.convert;

import app.yellowtab.files.Drafts;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;

/**
 * What is made of a locked file is locked with the password that opened it, so that nobody who opens the folder can read it
 * (ISO 32000-2:2020, 7.6.4). Stateless.
 */
final class Sealed {
    private static final int KEY_BITS = 256;

    private Sealed() {}

    /** Locks a document when it is saved. */
    static void seal(PDDocument document, String password) throws IOException {
        StandardProtectionPolicy policy = new StandardProtectionPolicy(password, password, new AccessPermission());
        policy.setEncryptionKeyLength(KEY_BITS);
        policy.setPreferAES(true);
        document.protect(policy);
    }

    /** Locks a file that another program has made. */
    static void again(Path file, String password) throws IOException {
        Path draft = Drafts.beside(file);
        try {
            try (PDDocument document = Loader.loadPDF(file.toFile())) {
                seal(document, password);
                document.save(draft.toFile());
            }
            Drafts.move(draft, file);
        } finally {
            Files.deleteIfExists(draft);
        }
    }
}
