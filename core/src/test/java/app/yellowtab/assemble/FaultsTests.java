package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.files.Handover;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Content;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.source.Source;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever goes wrong: no half file is left, the old target stays, and the message is plain. */
class FaultsTests {
    private static final Duration LONG = Duration.ofSeconds(60);
    @TempDir
    private Path folder;
    private Path target;
    private InPlace place;
    private Plan plan;

    @BeforeEach
    void gather() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "P", 2);
        Pdfs.write(matter, "Q", 2);
        target = folder.resolve("bundle.pdf");
        place = new InPlace();
        plan = Planner.plan(Folder.bundle(place, matter));
        Files.writeString(target, "old");
        Files.writeString(Ledger.beside(target), "old");
    }

    @AfterEach
    void theOldFilesAreThereAndNoOthers() throws IOException {
        place.close();
        assertThat(target).hasContent("old");
        assertThat(Ledger.beside(target)).hasContent("old");
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(file -> file.getFileName().toString())).containsExactlyInAnyOrder("bundle.pdf",
                    "bundle.ledger.json", "matter");
        }
    }

    private static StreamingAssembler moving(Handover.Mover mover) {
        return new StreamingAssembler(DraftFile::open, mover, LONG);
    }

    private void assertFails(Assembler assembler, SourceFiles sources, Code code, String... words) {
        assertThatThrownBy(() -> assembler.assemble(plan, sources, target, Progress.NONE, () -> false))
                .isInstanceOfSatisfying(FindingException.class, e -> assertThat(e.finding().code()).isEqualTo(code))
                .hasMessageContainingAll(words);
    }

    @Test
    void theTargetIsOpenElsewhere() {
        assertFails(moving((draft, to) -> {
            throw new FileSystemException(to.toString(), null,
                    "The process cannot access the file because it is being used by another process");
        }), place, Code.TARGET_NOT_WRITABLE, "bundle.pdf", "being used by another process", "close the program that has it open");
    }

    @Test
    void theLedgerIsOpenElsewhereAndTheBundleStaysTheOldOne() {
        assertFails(moving((draft, to) -> {
            if (draft.equals(Ledger.beside(target))) throw new AccessDeniedException(to.toString());
            Files.move(draft, to, StandardCopyOption.REPLACE_EXISTING);
        }), place, Code.TARGET_NOT_WRITABLE, "you are not allowed to write there");
    }

    @Test
    void twoAtOnce() throws Exception {
        CountDownLatch first = new CountDownLatch(1);
        CountDownLatch second = new CountDownLatch(1);
        Assembler waiting = moving((draft, to) -> {
            first.countDown();
            try {
                second.await();
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
            if (to.equals(target)) throw new AccessDeniedException("the old file stays");
            Files.move(draft, to, StandardCopyOption.REPLACE_EXISTING);
        });
        try (var threads = Executors.newSingleThreadExecutor()) {
            var running = threads.submit(() -> waiting.assemble(plan, place, target, Progress.NONE, () -> false));
            first.await();
            assertFails(Assembler.standard(), place, Code.TARGET_BUSY, "bundle.pdf is being produced already");
            second.countDown();
            assertThatThrownBy(running::get).hasMessageContaining("you are not allowed to write there");
        }
    }

    /** Meddles with one of the two. */
    private Meddling withQ(Change change) {
        return new Meddling(place, (original, input) -> {
            if (original.endsWith("Q.pdf")) change.on(original);
        });
    }

    @FunctionalInterface
    private interface Change {
        void on(Path original) throws IOException;
    }

    @Test
    void aSourceWithMorePagesThanWerePlannedIsNamed() {
        Source q = plan.leaves().stream().map(leaf -> leaf.content()).filter(Content.SourcePage.class::isInstance)
                .map(page -> place.source(((Content.SourcePage) page).source()))
                .filter(source -> source.fileName().equals("Q.pdf")).findFirst().orElseThrow();
        place.know(List.of(new Source(q.id(), q.fileName(), q.storedName(), q.kind(), q.bytes(), q.sha256(), q.checksum(),
                q.pageCount() - 1, q.bookmarks(),
                q.proposedTitle(), q.proposedDate(), q.about(), q.conversion())));
        assertFails(Assembler.standard(), place, Code.PAGES_MISSING,
                "Q.pdf has other pages than the bundle was planned with (" + q.pageCount() + " instead of");
    }

    @Test
    void aSourceVanishesWhileItIsRead() {
        assertFails(Assembler.standard(), withQ(Files::delete), Code.SOURCE_MISSING, "Q.pdf is no longer where it was");
    }

    @Test
    void aSourceChangesWhileItIsRead() {
        assertFails(Assembler.standard(), withQ(original -> {
            Files.write(original, new byte[3000]);
            Files.setLastModifiedTime(original, FileTime.from(Instant.now().plusSeconds(5)));
        }), Code.SOURCE_CHANGED, "Q.pdf is not the file any more that was brought in");
    }

    @Test
    void aSourceFromWhichNothingComesIsNamed() {
        CountDownLatch ended = new CountDownLatch(1);
        Assembler impatient = new StreamingAssembler(DraftFile::open, Files::move, Duration.ofMillis(150));
        assertFails(impatient, withQ(original -> {
            try {
                ended.await();
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
        }), Code.SOURCE_STUCK, "Q.pdf could not be read", "nothing came");
        ended.countDown();
    }

    /** A page's content that takes its time. */
    private static COSStream slow(int millis) {
        return new COSStream() {
            @Override
            public boolean hasData() {
                return true;
            }

            @Override
            public InputStream createRawInputStream() throws IOException {
                try {
                    Thread.sleep(millis);
                } catch (InterruptedException e) {
                    throw new IOException(e);
                }
                return new ByteArrayInputStream("0 0 50 50 re f".getBytes());
            }
        };
    }

    private SourceFiles withSlowPages(int millis) {
        return new Meddling(place, (original, input) -> {
            if (original.endsWith("Q.pdf")) for (COSDictionary page : input.pages()) page.setItem(COSName.CONTENTS, slow(millis));
        });
    }

    @Test
    void aSourceThatIsSlowIsWhole() throws IOException {
        Path matter = folder.resolve("matter");
        Pdfs.write(matter, "Q", 8);
        plan = Planner.plan(Folder.bundle(place, matter));
        Path other = matter.resolve("out.pdf");
        Assembler impatient = new StreamingAssembler(DraftFile::open, Files::move, Duration.ofMillis(1300));
        var outcome = (Outcome.Written) impatient.assemble(plan, withSlowPages(120), other, Progress.NONE, () -> false);
        assertThat(outcome.findings()).isEmpty();
    }

    @Test
    void aPageThatDoesNotEndIsGivenUpAndTheRestIsProduced() throws IOException {
        Path other = Files.createDirectories(folder.resolve("matter")).resolve("out.pdf");
        Assembler impatient = new StreamingAssembler(DraftFile::open, Files::move, Duration.ofMillis(1300));
        var outcome = (Outcome.Written) impatient.assemble(plan, withSlowPages(8000), other, Progress.NONE, () -> false);
        assertThat(outcome.findings()).extracting("code").containsExactly(Code.PAGE_LOST, Code.PAGE_LOST);
        assertThat(Pdfs.pages(other))
                .endsWith("This page could not be read Page 1 of Q.pdf is damaged. 5",
                        "This page could not be read Page 2 of Q.pdf is damaged. 6")
                .contains("P-1 3", "P-2 4");
    }
}
