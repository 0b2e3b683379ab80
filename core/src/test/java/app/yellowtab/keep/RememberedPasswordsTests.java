package app.yellowtab.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RememberedPasswordsTests {
    @TempDir
    private Path temp;

    @Test
    void whatWasRememberedIsThereTheNextTimeAndOnce() throws IOException {
        RememberedPasswords passwords = new RememberedPasswords(temp.resolve("user"));
        assertThat(passwords.list()).isEmpty();
        passwords.remember("tarn \"14°\"");
        passwords.remember("orchard");
        passwords.remember("tarn \"14°\"");
        assertThat(new RememberedPasswords(temp.resolve("user")).list()).containsExactly("tarn \"14°\"", "orchard");
        passwords.forget();
        assertThat(passwords.list()).isEmpty();
        passwords.forget();
    }

    @Test
    void onlyTheUserMayReadThem() throws IOException {
        assumeTrue(FileSystems.getDefault().supportedFileAttributeViews().contains("posix"));
        new RememberedPasswords(temp).remember("tarn");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(temp.resolve("passwords.json"))))
                .isEqualTo("rw-------");
    }

    @Test
    void aDamagedFileIsAsIfThereWereNone() throws IOException {
        Files.writeString(temp.resolve("passwords.json"), "[\"ta");
        RememberedPasswords passwords = new RememberedPasswords(temp);
        assertThat(passwords.list()).isEmpty();
        passwords.remember("tarn");
        assertThat(passwords.list()).containsExactly("tarn");
    }
}
