package app.yellowtab.files;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/**
 * Where the program keeps what it remembers of its user: recent bundles, the log, the sample matter; and what it can make anew at
 * any time.
 */
public final class UserFolder {
    private UserFolder() {}

    /**
     * {@return the folder, which need not exist yet: {@code YELLOWTAB_HOME} if that is set, otherwise the place that the
     * operating system has for application data}
     */
    public static Path path() {
        return path(System.getProperty("os.name"), System.getProperty("user.home"),
                name -> Optional.ofNullable(System.getenv(name)));
    }

    /**
     * {@return the folder for what can be made anew, which need not exist yet: below {@code YELLOWTAB_HOME} if that is set,
     * otherwise the place that the operating system has for caches}
     */
    public static Path cache() {
        return cache(System.getProperty("os.name"), System.getProperty("user.home"),
                name -> Optional.ofNullable(System.getenv(name)));
    }

    static Path cache(String system, String home, Function<String, Optional<String>> environment) {
        String os = system.toLowerCase(Locale.ROOT);
        Optional<Path> chosen = environment.apply("YELLOWTAB_HOME").filter(value -> !value.isBlank()).map(Path::of);
        if (chosen.isPresent()) return chosen.get().resolve("cache");
        if (os.contains("win"))
            return environment.apply("LOCALAPPDATA").map(Path::of).orElse(Path.of(home)).resolve("Yellow Tab").resolve("Cache");
        if (os.contains("mac")) return Path.of(home, "Library", "Caches", "Yellow Tab");
        return environment.apply("XDG_CACHE_HOME").filter(value -> !value.isBlank()).map(Path::of).orElse(Path.of(home, ".cache"))
                .resolve("yellowtab");
    }

    static Path path(String system, String home, Function<String, Optional<String>> environment) {
        String os = system.toLowerCase(Locale.ROOT);
        Optional<Path> chosen = environment.apply("YELLOWTAB_HOME").filter(value -> !value.isBlank()).map(Path::of);
        if (chosen.isPresent()) return chosen.get();
        if (os.contains("win")) return environment.apply("APPDATA").map(Path::of).orElse(Path.of(home)).resolve("Yellow Tab");
        if (os.contains("mac")) return Path.of(home, "Library", "Application Support", "Yellow Tab");
        return environment.apply("XDG_DATA_HOME").filter(value -> !value.isBlank()).map(Path::of)
                .orElse(Path.of(home, ".local", "share")).resolve("yellowtab");
    }
}
