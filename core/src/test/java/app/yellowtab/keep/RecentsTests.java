package app.yellowtab.keep;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RecentsTests {
    @TempDir
    private Path temp;

    private Recents.Recent recent(String name, boolean open) throws IOException {
        Path folder = Files.createDirectories(temp.resolve(name));
        Files.writeString(folder.resolve("bundle.json"), "{}");
        return new Recents.Recent(folder, name, "A v B", 412, Optional.of(LocalDate.of(2031, 10, 6)), "ARRANGE", 7, open);
    }

    @Test
    void recentBundlesComeNewestFirstAndOnlyTheLastCanBeOpen() throws IOException {
        Recents recents = new Recents(temp.resolve("user"));
        recents.remember(recent("one", true));
        recents.remember(recent("two", true));
        recents.remember(recent("one", true));
        assertThat(recents.list()).extracting(r -> r.title() + " " + r.open() + " " + r.leaf()).containsExactly("one true 7",
                "two false 7");
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
