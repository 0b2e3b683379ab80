package app.yellowtab.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WorkFolderTests {
    @TempDir
    private Path folder;

    @Test
    void onlyTheUserMayLookInside() throws IOException {
        Path all = folder.resolve("work");
        WorkFolder work = WorkFolder.under(all);
        for (Path made : new Path[] {all, work.folder()})
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(made))).isEqualTo("rwx------");
        work.delete();
    }

    @Test
    void whatDeadProgramsLeftIsSweptAndTheLivingAreLeftAlone() throws IOException {
        WorkFolder living = WorkFolder.under(folder);
        Path dead = Files.createDirectories(folder.resolve("4711-1/inside-2"));
        Files.createFile(folder.resolve("4711-1/.lock"));
        Files.writeString(dead.resolve("client's page.pdf"), "a page");
        Path older = Files.createDirectories(folder.resolve("older"));
        Files.setLastModifiedTime(older, FileTime.fromMillis(0));
        WorkFolder next = WorkFolder.under(folder);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(living.folder(), next.folder());
        }
        living.delete();
        next.delete();
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void whatIsMadeLiesInTheUsersFolder() throws IOException {
        assertThat(WorkFolder.newFolder("inside")).isEmptyDirectory().startsWith(UserFolder.path().resolve("work"));
        assertThat(WorkFolder.newFile("copy", ".odt")).isEmptyFile().startsWith(UserFolder.path().resolve("work"));
    }
}
