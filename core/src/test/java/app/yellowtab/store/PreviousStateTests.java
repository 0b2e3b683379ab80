package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mockStatic;

import app.yellowtab.files.Drafts;
import app.yellowtab.model.Bundle;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.MockedStatic;

/** What a bundle was when it was opened last, in {@code bundle.previous.json}. */
class PreviousStateTests {
    private final Bundle first = Bundles.bundle(Bundles.document("x", 2));
    private final Bundle second = Bundles.bundle(Bundles.document("x", 2), Bundles.document("y", 1));
    @TempDir
    private Path temp;
    private Path folder;
    private Path previous;

    @BeforeEach
    void saveTwice() throws IOException {
        folder = temp.resolve("bundle");
        previous = folder.resolve("bundle.previous.json");
        BundleFolder.create(folder, first).close();
        try (BundleFolder opened = BundleFolder.open(folder).folder()) {
            opened.save(second);
        }
    }

    @Test
    void itIsWhatWasThereAtTheLastOpeningUntilTheNext() throws IOException {
        assertThat(previous).content().contains("\"x\"").doesNotContain("\"y\"");
        BundleFolder.open(folder).folder().close();
        assertThat(previous).hasContent(Files.readString(folder.resolve("bundle.json")));
    }

    @Test
    void onAFullDiskBothStatesStayAndTheNextOpeningFindsThem() throws IOException {
        String before = Files.readString(previous);
        try (MockedStatic<Drafts> full = mockStatic(Drafts.class)) {
            full.when(() -> Drafts.write(any(), any())).thenThrow(new IOException("No space left on device"));
            assertThatThrownBy(() -> BundleFolder.open(folder))
                    .hasMessageContaining("bundle.json could not be written: the disk is full")
                    .hasMessageContaining("what was there before is untouched");
        }
        assertThat(previous).hasContent(before);
        BundleFolder.Opened opened = BundleFolder.open(folder);
        opened.folder().close();
        assertThat(opened.bundle()).isEqualTo(second);
    }
}
