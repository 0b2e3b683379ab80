package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.Recents;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the program begins with, without a window. */
class FirstBundleTests {
    @TempDir
    private Path temp;
    private Path user;
    private Path folder;

    @BeforeEach
    void write() throws FindingException {
        user = temp.resolve("user");
        folder = temp.resolve("bundle");
        BundleFolder.create(folder, Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle("Trial bundle"))).close();
    }

    private void remember(boolean open) {
        new Recents(user).remember(
                new Recents.Recent(folder, "Trial bundle", "", 2, Optional.of(LocalDate.of(2031, 3, 4)), "NUMBER", 2, open));
    }

    @Test
    void aFolderThatIsNamedIsOpenedAndPlannedWithWhatIsRemembered() throws Exception {
        remember(false);
        LoadedBundle loaded = FirstBundle.of(user, "open", folder.toString()).await().orElseThrow();
        assertThat(loaded.bundle().heading().title()).isEqualTo("Trial bundle");
        assertThat(loaded.plan().pageCount()).isEqualTo(2);
        assertThat(loaded.recent().orElseThrow().stage()).isEqualTo("NUMBER");
        loaded.folder().close();
    }

    @Test
    void withoutAnythingOneGoesOnWithWhatWasOpen() throws Exception {
        assertThat(FirstBundle.of(user).await()).isEmpty();
        remember(false);
        assertThat(FirstBundle.of(user).await()).isEmpty();
        remember(true);
        LoadedBundle loaded = FirstBundle.of(user).await().orElseThrow();
        assertThat(loaded.folder().path()).isEqualTo(folder);
        loaded.folder().close();
    }

    @Test
    void theSampleMatterIsBegunWhereItIsNotThere() throws Exception {
        LoadedBundle loaded = FirstBundle.of(user, "demo").await().orElseThrow();
        assertThat(loaded.folder().path()).isEqualTo(user.resolve("sample-matter"));
        assertThat(loaded.bundle().heading().title()).isEqualTo("Trial bundle");
        loaded.folder().close();
    }

    @Test
    void whyABundleCannotBeOpenedIsSaidAsItIs() throws Exception {
        Files.writeString(folder.resolve(BundleFolder.FILE), "{\"format\": 1, \"head");
        assertThatThrownBy(FirstBundle.of(user, "open", folder.toString())::await).isInstanceOf(FindingException.class)
                .hasMessageContaining("bundle.json cannot be read");
        assertThatThrownBy(FirstBundle.of(user, "open", temp.resolve("gone").toString())::await)
                .isInstanceOf(FindingException.class);
    }
}
