package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.Bundle;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** By what the register of a matter knows a bundle. */
class BundleIdentityTests {
    private final Bundle bundle = Bundles.bundle(Bundles.document("lease", 2));
    @TempDir
    private Path temp;
    private Path folder;
    private Path file;

    @BeforeEach
    void create() throws IOException {
        folder = temp.resolve("bundle");
        file = folder.resolve(BundleFolder.FILE);
        BundleFolder.create(folder, bundle).close();
    }

    private static String id(Path folder, boolean saved) throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (BundleFolder place = opened.folder()) {
            if (saved) place.save(opened.bundle());
            return place.id();
        }
    }

    @Test
    void aCopiedFolderIsAnotherBundleAndAMovedOneIsTheSame() throws IOException {
        String first = id(folder, true);
        assertThat(id(folder, true)).isEqualTo(first);
        Path copy = Files.createDirectories(folder.resolveSibling("copy"));
        Files.copy(file, copy.resolve(BundleFolder.FILE));
        String second = id(copy, true);
        assertThat(second).isNotEqualTo(first);
        assertThat(id(copy, false)).isEqualTo(second);
        Path moved = Files.move(folder, folder.resolveSibling("moved"));
        assertThat(id(moved, true)).isEqualTo(first);
        assertThat(Files.readString(moved.resolve(BundleFolder.FILE))).containsOnlyOnce("\"identity\"");
    }

    @Test
    void whoGivesTheIdentityAwayFindsItAgainAlthoughNothingWasSaved() throws IOException {
        String old = Files.readString(file).replaceFirst("(?s),\\s*\"identity\" : \\{.*?\\}", "");
        assertThat(old).doesNotContain("identity");
        Files.writeString(file, old);
        String given;
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (BundleFolder place = opened.folder()) {
            place.keepId();
            given = place.id();
        }
        assertThat(id(folder, false)).isEqualTo(given);
        BundleFolder.Opened again = BundleFolder.open(folder);
        again.folder().close();
        assertThat(again.bundle()).isEqualTo(bundle);
    }
}
