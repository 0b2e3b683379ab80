package app.yellowtab.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.FileSystem;
import java.nio.file.Path;
import java.nio.file.spi.FileSystemProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;

class DiskFullTests {
    @TempDir
    private Path folder;

    @Test
    void knowsItByTheSystemsWords() {
        assertThat(DiskFull.is(new IOException("No space left on device"), folder.resolve("x"))).isTrue();
        assertThat(DiskFull.is(new IOException("Permission denied"), folder.resolve("x"))).isFalse();
        assertThat(DiskFull.is(new IOException(), folder.resolve("x"))).isFalse();
    }

    @Test
    void knowsItByTheRoomThatIsLeftWhateverTheSystemSpeaks() throws IOException {
        Path full = Mockito.mock(Path.class);
        FileSystem system = Mockito.mock(FileSystem.class);
        FileSystemProvider provider = Mockito.mock(FileSystemProvider.class);
        FileStore store = Mockito.mock(FileStore.class);
        Mockito.when(full.toAbsolutePath()).thenReturn(full);
        Mockito.when(full.getParent()).thenReturn(full);
        Mockito.when(full.getFileSystem()).thenReturn(system);
        Mockito.when(system.provider()).thenReturn(provider);
        Mockito.when(provider.getFileStore(full)).thenReturn(store);
        Mockito.when(store.getUsableSpace()).thenReturn(100L);
        assertThat(DiskFull.is(new IOException("Auf dem Datentr\u00E4ger ist nicht gen\u00FCgend Speicherplatz"), full)).isTrue();
        Mockito.when(store.getUsableSpace()).thenReturn(1L << 30);
        assertThat(DiskFull.is(new IOException("Zugriff verweigert"), full)).isFalse();
    }
}
