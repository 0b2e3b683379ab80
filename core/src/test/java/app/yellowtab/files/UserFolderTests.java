package app.yellowtab.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class UserFolderTests {
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

    @Test
    void whatCanBeMadeAnewHasAPlaceOfItsOwn() {
        assertThat(cache("Linux", Map.of())).isEqualTo(Path.of("/home/me/.cache/yellowtab"));
        assertThat(cache("Linux", Map.of("XDG_CACHE_HOME", "/cache"))).isEqualTo(Path.of("/cache/yellowtab"));
        assertThat(cache("Windows 11", Map.of("LOCALAPPDATA", "/local"))).isEqualTo(Path.of("/local/Yellow Tab/Cache"));
        assertThat(cache("Mac OS X", Map.of())).isEqualTo(Path.of("/home/me/Library/Caches/Yellow Tab"));
        assertThat(cache("Linux", Map.of("YELLOWTAB_HOME", "/mine"))).isEqualTo(Path.of("/mine/cache"));
    }

    private static Path cache(String system, Map<String, String> environment) {
        return UserFolder.cache(system, "/home/me", name -> Optional.ofNullable(environment.get(name)));
    }
}
