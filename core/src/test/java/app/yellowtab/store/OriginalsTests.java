package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.source.Depot;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Scanners call their files the same, in every folder. */
class OriginalsTests {
    private static final int FILES = 400;

    @TempDir
    private Path temp;

    @Test
    void filesOfOneNameThatComeAtOnceAreAllKept() throws Exception {
        Originals originals = new Originals(Files.createDirectories(temp.resolve("originals")));
        List<Future<Depot.Kept>> kept = new ArrayList<>();
        try (ExecutorService readers = Executors.newFixedThreadPool(6)) {
            for (int n = 0; n < FILES; n++) {
                Path file = Files.createDirectories(temp.resolve("" + n)).resolve("scan.pdf");
                Files.writeString(file, "pages of " + n);
                kept.add(readers.submit(() -> originals.keep(file)));
            }
        }
        List<String> held = new ArrayList<>();
        for (Future<Depot.Kept> one : kept) held.add(words(one.get().path()));
        assertThat(held).hasSize(FILES).doesNotHaveDuplicates();
    }

    private static String words(Path file) throws IOException {
        return Files.readString(file);
    }
}
