package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.testing.Bundles;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystem;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.spi.FileSystemProvider;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.junit.jupiter.api.Test;

class IntakeTests extends TakingIn {
    private Code refusal(Path file) {
        Intake.Taken taken = take(file);
        assertThat(taken.sources()).noneMatch(Source::isRead);
        assertThat(taken.contents().allDocuments()).isEmpty();
        assertThat(taken.findings()).hasSize(1);
        assertThat(taken.findings().getFirst().message()).contains(file.getFileName().toString());
        return taken.findings().getFirst().code();
    }

    @Test
    void foldersBecomeSectionsInNaturalOrder() throws IOException {
        Path inner = Files.createDirectories(folder.resolve("case/2 - Letters/Enclosures"));
        Path first = Files.createDirectories(folder.resolve("case/1 - Claims"));
        Pdfs.write(folder.resolve("case"), "loose", 1);
        Pdfs.write(first, "10 reply", 1);
        Pdfs.write(first, "2 defence", 1);
        Pdfs.write(inner, "plan", 1);
        Files.createDirectories(folder.resolve("case/3 - Empty"));
        Files.writeString(folder.resolve("case/.hidden"), "x");
        Files.writeString(folder.resolve("case/Thumbs.db"), "x");
        Intake.Taken taken = take(folder.resolve("case"));
        assertThat(Bundles.order(Bundle.EMPTY.withContents(taken.contents())))
                .isEqualTo("case(loose Claims(defence reply) Letters(Enclosures(plan)))");
        assertThat(taken.findings()).isEmpty();
    }

    @Test
    void aPdfIsKnownByItsContentNotItsName() throws IOException {
        Path disguised = Files.move(Pdfs.write(folder, "claim", 3), folder.resolve("claim.dat"));
        Source source = take(disguised).sources().getFirst();
        assertThat(source.kind()).isEqualTo(SourceKind.PDF);
        assertThat(source.pageCount()).isEqualTo(3);
        assertThat(source.sha256()).isEqualTo(Fingerprint.of(disguised)).hasSize(64);
    }

    @Test
    void bookmarksAreReadWithTheirLevels() throws IOException {
        Path marked = Pdfs.write(folder, "marked", 3, document -> {
            PDDocumentOutline outline = new PDDocumentOutline();
            document.getDocumentCatalog().setDocumentOutline(outline);
            PDOutlineItem outer = item(document, "Outer", 1);
            outline.addLast(outer);
            outer.addLast(item(document, "Inner", 2));
            outline.addLast(item(document, " ", 2));
        });
        assertThat(take(marked).sources().getFirst().bookmarks()).extracting(b -> b.level() + " " + b.title() + " " + b.page())
                .containsExactly("1 Outer 2", "2 Inner 3");
    }

    private static PDOutlineItem item(PDDocument document, String title, int index) {
        PDPageFitDestination destination = new PDPageFitDestination();
        destination.setPage(document.getPage(index));
        PDOutlineItem item = new PDOutlineItem();
        item.setTitle(title);
        item.setDestination(destination);
        return item;
    }

    @Test
    void aDamagedFileNeverStopsTheRest() throws IOException {
        Path damaged = Files.writeString(folder.resolve("1 damaged.pdf"), "%PDF-1.7\nnothing more");
        Path good = Pdfs.write(folder, "2 good", 1);
        Intake.Taken taken = take(damaged, good);
        assertThat(taken.sources()).extracting(Source::fileName).containsExactly("1 damaged.pdf", "2 good.pdf");
        assertThat(taken.contents().allDocuments()).extracting(Document::title).containsExactly("good");
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.DAMAGED);
    }

    @Test
    void eachKindOfTroubleHasItsOwnMessage() throws IOException {
        assertThat(refusal(Files.createFile(folder.resolve("empty.pdf")))).isEqualTo(Code.EMPTY_FILE);
        assertThat(refusal(folder.resolve("gone.pdf"))).isEqualTo(Code.NOT_READABLE);
        assertThat(refusal(
                Files.write(folder.resolve("film.mp4"), new byte[] {0, 0, 0, 24, 'f', 't', 'y', 'p', 'm', 'p', '4', '2', 0, 0})))
                .isEqualTo(Code.KIND_NOT_READ);
        assertThat(refusal(Files.write(folder.resolve("cut.png"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0})))
                .isEqualTo(Code.DAMAGED);
        Path locked = Pdfs.write(folder, "locked", 1, document -> {
            try {
                document.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(refusal(locked)).isEqualTo(Code.PASSWORD_NEEDED);
    }

    @Test
    void anEncryptedFileWithAnEmptyPasswordIsOpened() throws IOException {
        Path open = Pdfs.write(folder, "open", 2, document -> {
            try {
                document.protect(new StandardProtectionPolicy("owner", "", new AccessPermission()));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(take(open).sources()).extracting(Source::pageCount).containsExactly(2);
    }

    @Test
    void aFolderThatMayNotBeReadIsNamed() throws IOException {
        Path closed = folder.resolve("closed");
        FoundFolder found;
        List<Finding> findings = new ArrayList<>();
        // As root every folder may be read, so one is used that is gone between listing and reading.
        Files.createDirectory(closed);
        closed.toFile().setReadable(false);
        if (Files.isReadable(closed)) {
            found = FoundFolder.of(List.of(goneOnceSeen(closed)), findings);
        } else {
            found = FoundFolder.of(List.of(closed), findings);
        }
        assertThat(found.fileCount()).isZero();
        assertThat(findings).extracting(Finding::code).containsExactly(Code.FOLDER_NOT_READABLE);
        assertThat(findings.getFirst().message()).contains("closed").contains("permissions");
    }

    /** A folder whose file system answers "not allowed" to whoever wants to look into it. */
    @SuppressWarnings("unchecked")    // the class token of readAttributes
    private static Path goneOnceSeen(Path real) throws IOException {
        var provider = mock(FileSystemProvider.class);
        var system = mock(FileSystem.class);
        when(system.provider()).thenReturn(provider);
        Path path = mock(Path.class);
        when(path.getFileSystem()).thenReturn(system);
        when(path.getFileName()).thenReturn(real.getFileName());
        when(path.toString()).thenReturn(real.toString());
        when(path.toAbsolutePath()).thenReturn(path);
        when(path.normalize()).thenReturn(path);
        var attributes = mock(BasicFileAttributes.class);
        when(attributes.isDirectory()).thenReturn(true);
        when(provider.readAttributesIfExists(any(), any(), any(LinkOption[].class))).thenReturn(attributes);
        when(provider.readAttributes(any(Path.class), any(Class.class), any(LinkOption[].class))).thenReturn(attributes);
        when(provider.newDirectoryStream(any(), any())).thenThrow(new AccessDeniedException(real.toString()));
        return path;
    }

    @Test
    void textKeepsItsColumnsItsPagesAndItsLetters() throws IOException {
        Path text = Files.write(folder.resolve("log.txt"), "a\tb £5\nlast\fsecond page\n".getBytes(StandardCharsets.ISO_8859_1));
        Source source = take(text).sources().getFirst();
        assertThat(source.kind()).isEqualTo(SourceKind.TEXT);
        assertThat(Pdfs.pages(place.readable(source.id()))).containsExactly("a b £5 last", "second page");
    }

    @Test
    void textInUtf16IsReadAndMissingLettersAreReported() throws IOException {
        Path text = Files.write(folder.resolve("note.txt"), "\uFEFFZoë 合\n".getBytes(StandardCharsets.UTF_16LE));
        Intake.Taken taken = take(text);
        assertThat(Pdfs.pages(place.readable(taken.sources().getFirst().id())).getFirst()).startsWith("Zoë");
        assertThat(taken.findings()).extracting(f -> f.code() + " " + f.detail()).containsExactly("CHARACTERS_NOT_SHOWN 1");
    }

    @Test
    void longTextRunsOverSeveralPages() throws IOException {
        Path text = Files.writeString(folder.resolve("long.txt"),
                "a line that is fairly long, so that it must be broken, since no page is as wide as this\n".repeat(100));
        assertThat(take(text).sources().getFirst().pageCount()).isEqualTo(4);
    }

    @Test
    void anEmailSavedAsTextIsReadAsText() throws IOException {
        Path mail = Files.writeString(folder.resolve("mail.txt"),
                "From: A <a@x.example>\nTo: B <b@x.example>\nSubject: Chamber 3\nDate: Mon, 7 Oct 2030 08:12\n\nHello\n");
        assertThat(take(mail).sources()).extracting(Source::kind).containsExactly(SourceKind.TEXT);
    }

    @Test
    void stoppingKeepsWhatWasReadByThen() throws IOException {
        List<Path> files = List.of(Pdfs.write(folder, "1", 1), Pdfs.write(folder, "2", 1), Pdfs.write(folder, "3", 1));
        List<String> seen = Collections.synchronizedList(new ArrayList<>());
        Intake.Taken taken =
                new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), (done, total, name) -> seen.add(name),
                        () -> seen.size() >= 2);
        assertThat(taken.sources()).extracting(Source::fileName).as("what was begun")
                .containsExactlyElementsOf(seen.stream().sorted().toList()).hasSizeGreaterThanOrEqualTo(2);
    }
}
