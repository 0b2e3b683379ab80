package app.yellowtab.convert;

import app.yellowtab.files.WorkFolder;
import app.yellowtab.model.source.SourceKind;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.GeneralSecurityException;
import java.util.List;
import java.util.Optional;
import org.apache.poi.EncryptedDocumentException;
import org.apache.poi.poifs.crypt.Decryptor;
import org.apache.poi.poifs.crypt.EncryptionInfo;
import org.apache.poi.poifs.filesystem.FileMagic;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;

/** A file that can be read, its lock taken off in a temporary copy if it had one ([MS-OFFCRYPTO]). */
final class Unlocked implements Closeable {
    private final Path file;
    private final Optional<String> password;

    private Unlocked(Path file, Optional<String> password) {
        this.file = file;
        this.password = password;
    }

    /** {@return the file, or its unlocked copy} */
    Path file() {
        return file;
    }

    /** {@return what opened it; empty where it had no lock, or takes it off as it is read} */
    Optional<String> password() {
        return password;
    }

    /**
     * Opens a file.
     *
     * @throws LockedException if none of the passwords opens it
     */
    static Unlocked open(Path file, SourceKind kind, List<String> passwords) throws IOException {
        return switch (kind) {
            case DOCX, XLSX, PPTX ->
                    FileMagic.valueOf(file.toFile()) == FileMagic.OLE2 ? decrypted(file, passwords)
                            : new Unlocked(file, Optional.empty());
            default -> new Unlocked(file, Optional.empty());
        };
    }

    private static Unlocked decrypted(Path file, List<String> passwords) throws IOException {
        try (POIFSFileSystem system = new POIFSFileSystem(file.toFile(), true)) {
            Decryptor decryptor = Decryptor.getInstance(new EncryptionInfo(system));
            for (String password : passwords) {
                if (!decryptor.verifyPassword(password)) continue;
                Path copy = WorkFolder.newFile("unlocked", ".copy");
                try (InputStream in = decryptor.getDataStream(system)) {
                    Files.copy(in, copy, StandardCopyOption.REPLACE_EXISTING);
                    return new Unlocked(copy, Optional.of(password));
                } catch (IOException | RuntimeException e) {
                    Files.deleteIfExists(copy);
                    throw e;
                }
            }
            throw new LockedException(String.valueOf(file.getFileName()));
        } catch (GeneralSecurityException | EncryptedDocumentException e) {
            throw new IOException("locked in a way that is not known", e);
        }
    }

    @Override
    public void close() throws IOException {
        if (password.isPresent()) Files.deleteIfExists(file);
    }
}
