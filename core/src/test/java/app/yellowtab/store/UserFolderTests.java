package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class UserFolderTests {
    @TempDir
    private Path temp;

    private static Path path(String system, Map<String, String> environment) {
        return UserFolder.path(system, "/home/me", name -> Optional.ofNullable(environment.get(name)));
    }

    @Test
    void eachSystemHasItsPlace() {
        assertThat(path("Linux", Map.of())).isEqualTo(Path.of("/home/me/.local/share/yellowtab"));
        assertThat(path("Linux", Map.of("XDG_DATA_HOME", "/data"))).isEqualTo(Path.of("/data/yellowtab"));
        assertThat(path("Windows 11", Map.of("APPDATA", "/roaming"))).isEqualTo(Path.of("/roaming/Yellow Tab"));
        assertThat(path("Mac OS X", Map.of())).isEqualTo(Path.of("/home/me/Library/Application Support/Yellow Tab"));
        assertThat(path("Linux", Map.of("YELLOWTAB_HOME", "/mine"))).isEqualTo(Path.of("/mine"));
    }

    private Recents.Recent recent(String name, boolean open) throws IOException {
        Path folder = Files.createDirectories(temp.resolve(name));
        Files.writeString(folder.resolve("bundle.json"), "{}");
        return new Recents.Recent(folder, name, "ARRANGE", 7, open);
    }

    @Test
    void recentBundlesComeNewestFirstAndOnlyTheLastCanBeOpen() throws IOException {
        Recents recents = new Recents(temp.resolve("user"));
        recents.remember(recent("one", true));
        recents.remember(recent("two", true));
        recents.remember(recent("one", true));
        assertThat(recents.list()).extracting(r -> r.title() + " " + r.open() + " " + r.leaf()).containsExactly("one true 7", "two false 7");
    }

    @Test
    void bundlesThatAreGoneAreNotOffered() throws IOException {
        Recents recents = new Recents(temp);
        recents.remember(recent("one", false));
        Files.delete(temp.resolve("one/bundle.json"));
        assertThat(recents.list()).isEmpty();
    }

    @Test
    void aDamagedListBeginsAnew() throws IOException {
        Recents recents = new Recents(temp);
        Files.writeString(temp.resolve("recent.json"), "[{");
        assertThat(recents.list()).isEmpty();
        recents.remember(recent("one", false));
        assertThat(recents.list()).hasSize(1);
    }
}
