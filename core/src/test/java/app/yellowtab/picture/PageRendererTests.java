package app.yellowtab.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;

/** Pictures on the disk, and which picture is which. */
class PageRendererTests {
    @TempDir
    private Path folder;
    private Path matter;
    private Path cache;
    private InPlace place;

    @BeforeEach
    void begin() throws IOException {
        matter = Files.createDirectories(folder.resolve("matter"));
        cache = folder.resolve("cache");
        place = new InPlace(List.of("orchard"));
    }

    @AfterEach
    void end() throws IOException {
        place.close();
    }

    private Plan plan() {
        return Planner.plan(Folder.bundle(place, matter));
    }

    private List<Path> files() throws IOException {
        if (!Files.exists(cache)) return List.of();
        try (Stream<Path> all = Files.walk(cache)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    private static DrawnPage draw(PageRenderer renderer, Plan plan, int index) throws IOException {
        return renderer.draw(renderer.leaf(plan, plan.leaf(index), 200));
    }

    private static int[] dots(DrawnPage page) {
        BufferedImage image = page.image();
        return image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    }

    @Test
    void aPictureIsTakenFromTheDiskTheNextTimeDotForDot() throws IOException {
        Pdfs.write(matter, "P", 2);
        Plan plan = plan();
        DrawnPage drawn;
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(cache, 1 << 20))) {
            drawn = draw(renderer, plan, 2);
        }
        assertThat(files()).hasSize(1);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(cache))).as("for the user alone")
                .isEqualTo("rwx------");
        SourceFiles shut = Mockito.spy(place);
        try (PageRenderer again = new PageRenderer(shut, new PictureFiles(cache, 1 << 20))) {
            DrawnPage read = draw(again, plan, 2);
            assertThat(dots(read)).isEqualTo(dots(drawn));
            assertThat(read.widthPt()).isEqualTo(drawn.widthPt());
            assertThat(read.heightPt()).isEqualTo(drawn.heightPt());
        }
        Mockito.verify(shut, Mockito.never()).open(Mockito.any());
    }

    @Test
    void aDamagedOneIsDrawnAnew() throws IOException {
        Pdfs.write(matter, "P", 1);
        Plan plan = plan();
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(cache, 1 << 20))) {
            DrawnPage drawn = draw(renderer, plan, 2);
            byte[] bytes = Files.readAllBytes(files().getFirst());
            for (int i = bytes.length / 2; i < bytes.length; i++) bytes[i] ^= 0x55;
            Files.write(files().getFirst(), bytes);
            assertThat(dots(draw(renderer, plan, 2))).isEqualTo(dots(drawn));
        }
    }

    @Test
    void pagesOfLockedFilesAndOurOwnAreNotOnTheDisk() throws IOException {
        Pdfs.write(matter, "P", 1, document -> {
            try {
                document.protect(new StandardProtectionPolicy("other", "orchard", new AccessPermission()));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        Plan plan = plan();
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(cache, 1 << 20))) {
            for (int index = 0; index < plan.pageCount(); index++) draw(renderer, plan, index);
        }
        assertThat(plan.pageCount()).isEqualTo(3);
        assertThat(files()).isEmpty();
    }

    @Test
    void theOldestGoWhenThereIsNoRoom() throws IOException {
        Pdfs.write(matter, "P", 3);
        Plan plan = plan();
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(cache, 1 << 20))) {
            for (int index = 2; index < 5; index++) draw(renderer, plan, index);
        }
        long each = Files.size(files().getFirst());
        Path oldest = files().getFirst();
        Files.setLastModifiedTime(oldest, FileTime.from(Instant.now().minus(Duration.ofDays(3))));
        Path left = Files.createFile(oldest.resolveSibling(".yellowtab-1.part"));
        Files.setLastModifiedTime(left, FileTime.from(Instant.now().minus(Duration.ofDays(3))));
        new PictureFiles(cache, 3 * each).sweep();
        assertThat(files()).hasSize(2).doesNotContain(oldest, left);
    }

    @Test
    void whereNothingCanBeKeptItIsDrawnAllTheSame() throws IOException {
        Pdfs.write(matter, "P", 1);
        Path file = Files.writeString(folder.resolve("file"), "in the way");
        Plan plan = plan();
        try (PageRenderer renderer = new PageRenderer(place, new PictureFiles(file, 1 << 20))) {
            assertThat(draw(renderer, plan, 2).image().getWidth()).isBetween(199, 201);
        }
    }

    @Test
    void manyPagesOfOneFileOpenItOnce() throws IOException {
        Pdfs.write(matter, "P", 20);
        Plan plan = plan();
        SourceFiles files = Mockito.spy(place);
        try (PageRenderer renderer = new PageRenderer(files, PictureFiles.NONE)) {
            for (int index = 2; index < 22; index++) draw(renderer, plan, index);
            Mockito.verify(files, Mockito.times(1)).open(Mockito.any());
            renderer.rest();
            draw(renderer, plan, 2);
            Mockito.verify(files, Mockito.times(2)).open(Mockito.any());
        }
    }

    @Test
    void aPageThatIsNotThereSaysSo() throws IOException {
        Pdfs.write(matter, "P", 1);
        SourceId id = Folder.bundle(place, matter).sources().getFirst().id();
        try (PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            assertThatThrownBy(() -> renderer.draw(renderer.page(id, 2, PageLook.PLAIN, Comments.KEPT, 100)))
                    .isInstanceOf(IOException.class).hasMessageContaining("page 2 is missing");
        }
    }

    @Test
    void aVeryHighPageIsDrawnNarrower() throws IOException {
        Pdfs.write(matter, "P", 1, document -> document.getPage(0).setMediaBox(new PDRectangle(10, 5000)));
        Plan plan = plan();
        try (PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            DrawnPage drawn = draw(renderer, plan, 2);
            assertThat(drawn.image().getHeight()).isEqualTo(800);
            assertThat(drawn.widthPt()).isEqualTo(10);
        }
    }

    @Test
    void itIsAnotherPictureAfterWhateverChangesIt() throws IOException {
        Pdfs.write(matter, "P", 2);
        Pdfs.write(matter, "Q", 1);
        Bundle bundle = Folder.bundle(place, matter);
        try (PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            Plan plan = Planner.plan(bundle);
            PictureKey before = renderer.leaf(plan, plan.leaf(2), 100).key();
            Plan noComments = Planner.plan(bundle.withFromSources(new FromSources(Comments.DROPPED, 3)));
            assertThat(renderer.leaf(noComments, noComments.leaf(2), 100).key()).as("comments").isNotEqualTo(before);
            assertThat(renderer.leaf(plan, plan.leaf(3), 100).key()).as("its page").isNotEqualTo(before);
            assertThat(renderer.leaf(plan, plan.leaf(2), 101).key()).as("its size").isNotEqualTo(before);
            assertThat(renderer.page(bundle.sources().getFirst().id(), 1, PageLook.PLAIN, bundle.fromSources().comments(), 100)
                    .key()).as("wherever it is seen").isEqualTo(before);
            assertThat(renderer
                    .page(bundle.sources().getFirst().id(), 1, PageLook.PLAIN.withTurns(1), bundle.fromSources().comments(), 100)
                    .key()).as("its look").isNotEqualTo(before);
            Plan turnedAround =
                    Planner.plan(bundle.withContents(bundle.contents().withDocuments(bundle.contents().documents().reversed())));
            assertThat(renderer.leaf(turnedAround, turnedAround.leaf(3), 100).key()).as("its number is no part of it")
                    .isEqualTo(before);
            assertThat(renderer.leaf(turnedAround, turnedAround.leaf(1), 100).key()).as("the index's words are")
                    .isNotEqualTo(renderer.leaf(plan, plan.leaf(1), 100).key());
        }
    }
}
