package app.yellowtab.desktop.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import app.yellowtab.desktop.gather.Gathering.Filter;
import app.yellowtab.desktop.gather.Gathering.Order;
import app.yellowtab.desktop.gather.Gathering.Row;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.facts.Origin;
import app.yellowtab.facts.Way;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;
import java.util.concurrent.ScheduledExecutorService;
import java.util.function.Consumer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.ArgumentCaptor;

class GatheringTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Intakes intakes;
    private Gathering gathering;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        intakes = new Intakes(workspace, new RememberedPasswords(temp.resolve("user")));
        gathering = new Gathering(workspace, intakes, new Recognising(workspace, languages -> mock()));
    }

    @AfterEach
    void close() {
        gathering.dispose();
        folder.close();
    }

    private List<String> names() {
        return gathering.rowsProperty().get().stream().map(row -> switch (row) {
            case Row.Known known -> (known.attached() ? "> " : "") + known.source().fileName();
            case Row.Arriving arriving -> "… " + arriving.coming().name();
        }).toList();
    }

    private Source source(String name) {
        return workspace.bundle().sources().stream().filter(source -> source.fileName().equals(name)).findFirst().orElseThrow();
    }

    private Path mail(String subject) throws IOException {
        return Files.writeString(temp.resolve(subject + ".eml"), "Subject: " + subject
                + "\r\nDate: Mon, 7 Oct 2030 08:00:00 +0100\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\n"
                + "Content-Type: text/plain\r\n\r\nsee\r\n--b\r\nContent-Disposition: attachment; filename=\"a "
                + "log.txt\"\r\n\r\nlog\r\n--b--\r\n");
    }

    @Test
    void whatCameWithAMailStaysBelowItInEveryOrder() throws IOException {
        gathering.bringIn(List.of(Pdfs.write(temp, "b 10", 1), mail("zebra"), Pdfs.write(temp, "b 2", 5)));
        assertThat(names()).containsExactly("b 10.pdf", "zebra.eml", "> a log.txt", "b 2.pdf");
        gathering.orderProperty().set(Order.NAME);
        assertThat(names()).containsExactly("b 2.pdf", "b 10.pdf", "zebra.eml", "> a log.txt");
        gathering.orderProperty().set(Order.PAGES);
        assertThat(names().getFirst()).isEqualTo("b 2.pdf");
        gathering.orderProperty().set(Order.DOCUMENT_DATE);
        assertThat(names().getFirst()).isEqualTo("zebra.eml");
    }

    @Test
    void filtersCountWhatTheyWouldShow() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 2);
        gathering.bringIn(List.of(lease, Files.copy(lease, temp.resolve("again.pdf")),
                Files.write(temp.resolve("x.bin"), new byte[] {1, 2, 3, 0, 0, 1}), Pdfs.write(temp, "other", 1)));
        gathering.putInIndex(List.of(source("other.pdf")));
        assertThat(gathering.countsProperty().get()).containsEntry(Filter.ALL, 4).containsEntry(Filter.ALIKE, 2)
                .containsEntry(Filter.UNREAD, 1)
                .containsEntry(Filter.UNPLACED, 3).containsEntry(Filter.LOOK, 3).containsEntry(Filter.SCANNED, 0);
        gathering.filterProperty().set(Filter.ALIKE);
        assertThat(names()).containsExactly("lease.pdf", "again.pdf");
        gathering.searchProperty().set("AGA");
        assertThat(names()).containsExactly("again.pdf");
    }

    @Test
    void bothAreKeptOrOneIsTakenOut() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 2);
        gathering.bringIn(List.of(lease, Files.copy(lease, temp.resolve("again.pdf"))));
        gathering.keepAlike((Row.Known) gathering.rowsProperty().get().getFirst());
        assertThat(gathering.countsProperty().get()).containsEntry(Filter.ALIKE, 0);
        workspace.undo();
        gathering.takeAway(List.of(source("again.pdf")));
        assertThat(names()).containsExactly("lease.pdf");
        assertThat(gathering.countsProperty().get()).containsEntry(Filter.ALIKE, 0);
    }

    @Test
    void aTypedTitleGoesToTheIndexUnlessThatWasChangedThere() throws IOException {
        gathering.bringIn(List.of(Pdfs.write(temp, "scan", 2)));
        gathering.putInIndex(workspace.bundle().sources());
        gathering.type(source("scan.pdf").id(), "Defence");
        assertThat(Bundles.order(workspace.bundle())).isEqualTo("Defence");
        assertThat(source("scan.pdf").about().titleFrom()).isEqualTo(Origin.USER);
        assertThat(gathering.typeDate(source("scan.pdf").id(), "4/3/2031")).isTrue();
        assertThat(workspace.bundle().contents().documents().getFirst().date().shown()).isEqualTo("4 Mar 2031");
        assertThat(gathering.typeDate(source("scan.pdf").id(), "soon")).isFalse();
        gathering.type(source("scan.pdf").id(), "  ");
        assertThat(source("scan.pdf").proposedTitle()).isEqualTo("Defence");
    }

    @Test
    void confirmedInBulkTheyAreTheUsersOwn() throws IOException {
        gathering.bringIn(List.of(Pdfs.write(temp, "a 2031-03-04", 1), Pdfs.write(temp, "b", 1)));
        gathering.confirm(workspace.bundle().sources());
        assertThat(workspace.bundle().sources())
                .allMatch(source -> source.about().titleFrom() == Origin.USER && source.about().dateFrom() == Origin.USER);
        workspace.undo();
        assertThat(workspace.bundle().sources()).allMatch(source -> source.about().titleFrom() == Origin.FILE_NAME);
    }

    @Test
    void changesShowWhereThatIsChosenAndAreReadAnew() throws IOException {
        String changed =
                "<w:p><w:del><w:r><w:delText>two</w:delText></w:r></w:del><w:ins>" + WordFile.run("three") + "</w:ins></w:p>";
        gathering.bringIn(List.of(new WordFile(changed).write(temp, "draft.docx")));
        Source before = source("draft.docx");
        assertThat(Pdfs.pages(folder.readable(before.id()))).containsExactly("three");
        gathering.type(before.id(), "Draft");
        gathering.read(new Reading(false, true, false));
        assertThat(Pdfs.pages(folder.readable(before.id()))).containsExactly("twothree");
        assertThat(source("draft.docx").id()).isEqualTo(before.id());
        assertThat(source("draft.docx").proposedTitle()).isEqualTo("Draft");
        assertThat(source("draft.docx").about().way()).isEqualTo(Way.BUILT_IN);
    }

    @Test
    void oneFileThatCannotBeReadAnewKeepsNoOtherBack() throws IOException {
        String changed =
                "<w:p><w:del><w:r><w:delText>two</w:delText></w:r></w:del><w:ins>" + WordFile.run("three") + "</w:ins></w:p>";
        gathering.bringIn(
                List.of(new WordFile(changed).write(temp, "gone.docx"), new WordFile(changed).write(temp, "draft.docx")));
        Source gone = source("gone.docx");
        Path original = folder.original(gone.id());
        original.toFile().setWritable(true);
        Files.delete(original);
        gathering.read(new Reading(false, true, false));
        assertThat(Pdfs.pages(folder.readable(source("draft.docx").id()))).containsExactly("twothree");
        assertThat(source("gone.docx")).as("as it was read before").isEqualTo(gone);
        assertThat(workspace.findings()).filteredOn(finding -> finding.code() == Finding.Code.NOT_READ_ANEW)
                .extracting(Finding::message).singleElement().asString().startsWith("gone.docx could not be read in another way");
    }

    private Document document() {
        return workspace.bundle().contents().allDocuments().getFirst();
    }

    @Test
    void whatIsRedactedIsToBeLookedAtAgainWhereTheFileIsReadInAnotherWay() throws IOException {
        String changed =
                "<w:p><w:del><w:r><w:delText>two</w:delText></w:r></w:del><w:ins>" + WordFile.run("three") + "</w:ins></w:p>";
        gathering.bringIn(List.of(new WordFile(changed).write(temp, "draft.docx")));
        SourceId id = source("draft.docx").id();
        workspace.edit(bundle -> Edits.putInIndex(bundle, List.of(id.value()), new Place(Optional.empty(), 0)));
        PageKey page = workspace.bundle().contents().allDocuments().getFirst().runs().getFirst().key(1);
        Redaction redaction = new Redaction(new Area(10, 10, 50, 10), "private", false);
        workspace.edit(bundle -> PageEdits.looked(bundle, Set.of(page), look -> look.withRedactions(List.of(redaction))));
        gathering.read(new Reading(false, true, false));
        assertThat(workspace.findings()).filteredOn(finding -> finding.code() == Finding.Code.LOOK_AGAIN)
                .singleElement().satisfies(finding -> assertThat(finding.message()).startsWith("draft.docx: "));
        assertThat(workspace.bundle().toLookAt()).singleElement()
                .satisfies(again -> assertThat(again.page()).contains(document().runs().getFirst().key(1)));
        assertThat(document().runs().getFirst()).isInstanceOfSatisfying(SourcePages.class,
                pages -> assertThat(pages.look().redactions()).containsExactly(redaction));
        workspace.undo();
        assertThat(workspace.bundle().toLookAt()).as("read as it was").isEmpty();
    }

    @Test
    void undoneChangesOfReadingHaveTheirPagesBack() throws IOException {
        String page = "<w:p>" + WordFile.run("kept")
                + "</w:p><w:p><w:del><w:r><w:br w:type=\"page\"/><w:delText>gone</w:delText></w:r></w:del></w:p>";
        gathering.bringIn(List.of(new WordFile(page).write(temp, "draft.docx")));
        SourceId id = source("draft.docx").id();
        gathering.read(new Reading(false, true, false));
        assertThat(String.join(" ", Pdfs.pages(folder.readable(id)))).contains("gone");
        workspace.undo();
        assertThat(String.join(" ", Pdfs.pages(folder.readable(id)))).startsWith("kept").doesNotContain("gone");
        workspace.redo();
        assertThat(String.join(" ", Pdfs.pages(folder.readable(id)))).contains("gone");
    }

    @Test
    void theOrderOfDayAndMonthHoldsForWhatIsThereAlready() throws IOException {
        gathering.bringIn(List.of(Pdfs.write(temp, "Letter 4.3.2031", 1)));
        assertThat(source("Letter 4.3.2031.pdf").proposedDate().shown()).isEqualTo("4 Mar 2031");
        gathering.read(new Reading(true, false, false));
        assertThat(source("Letter 4.3.2031.pdf").proposedDate().shown()).isEqualTo("3 Apr 2031");
    }

    @Test
    void filesShowWithTheirNamesWhileTheyCome() throws IOException {
        List<String> seen = new ArrayList<>();
        intakes.comingProperty().subscribe(coming -> {
            if (!coming.isEmpty()) seen.add(coming.getFirst().name());
        });
        gathering.bringIn(List.of(Pdfs.write(temp, "lease", 1)));
        assertThat(seen).contains("lease.pdf");
        assertThat(names()).containsExactly("lease.pdf");
    }

    @Test
    void theDayOnWhichAFileWasMadeIsOfferedAndTakenOnlyWhenAsked() throws IOException {
        Path file = Pdfs.write(temp, "terms", 1, document -> {
            Calendar made = Calendar.getInstance(TimeZone.getTimeZone("GMT"), Locale.ROOT);
            made.setTimeInMillis(Instant.parse("2031-06-09T12:00:00Z").toEpochMilli());
            PDDocumentInformation information = new PDDocumentInformation();
            information.setCreationDate(made);
            document.setDocumentInformation(information);
        });
        gathering.bringIn(List.of(file));
        assertThat(source("terms.pdf").proposedDate().shown()).isEmpty();
        gathering.useMade(source("terms.pdf"));
        assertThat(source("terms.pdf").proposedDate().shown()).isEqualTo("9 Jun 2031");
        assertThat(source("terms.pdf").about().dateFrom()).isEqualTo(Origin.PROPERTIES);
        gathering.read(new Reading(true, false, false));
        assertThat(source("terms.pdf").proposedDate().shown()).as("reading it again keeps what was taken")
                .isEqualTo("9 Jun 2031");
    }

    @Test
    void foldersAreNoLongerOfferedWhenAllIsPlaced() throws IOException {
        Path folderOfFiles = Files.createDirectories(temp.resolve("Letters"));
        Pdfs.write(folderOfFiles, "first", 1);
        Pdfs.write(folderOfFiles, "second", 1);
        gathering.bringIn(List.of(folderOfFiles));
        assertThat(gathering.foldersProperty().get()).isPresent();
        gathering.putInIndex(List.of(source("first.pdf")));
        assertThat(gathering.foldersProperty().get()).isPresent();
        gathering.putInIndex(List.of(source("second.pdf")));
        assertThat(gathering.foldersProperty().get()).isEmpty();
    }

    private Path locked(String name, String password) throws IOException {
        return locked(name, password, document -> {});
    }

    private Path locked(String name, String password, Consumer<PDDocument> content) throws IOException {
        return Pdfs.write(temp, name, 2, document -> {
            content.accept(document);
            try {
                document.protect(new StandardProtectionPolicy("owner", password, new AccessPermission()));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private boolean asks(String name) {
        return gathering.rowsProperty().get().stream()
                .anyMatch(row -> row instanceof Row.Known known && known.locked() && known.source().fileName().equals(name));
    }

    /** Closes the bundle, and opens it anew as the program would. */
    private void reopen() throws IOException {
        gathering.dispose();
        folder.save(workspace.bundle());
        folder.close();
        BundleFolder.Opened opened = BundleFolder.open(temp.resolve("bundle"));
        folder = opened.folder();
        RememberedPasswords remembered = new RememberedPasswords(temp.resolve("user"));
        folder.tryPasswords(remembered.list());
        workspace = Workspaces.of(folder, opened.bundle());
        intakes = new Intakes(workspace, remembered);
        gathering = new Gathering(workspace, intakes, new Recognising(workspace, languages -> mock()));
    }

    @Test
    void aPasswordIsAskedForAgainWhenTheBundleWasClosed() throws IOException {
        gathering.bringIn(List.of(locked("terms", "tarn"), locked("other", "orchard")));
        List<String> wrong = new ArrayList<>();
        gathering.unlock(List.of(source("terms.pdf")), "trn", false, () -> wrong.add("trn"));
        assertThat(wrong).containsExactly("trn");
        assertThat(asks("terms.pdf")).isTrue();
        gathering.unlock(List.of(source("terms.pdf"), source("other.pdf")), "tarn", false, () -> wrong.add("tarn"));
        assertThat(wrong).containsExactly("trn");
        assertThat(asks("terms.pdf")).isFalse();
        assertThat(source("terms.pdf").pageCount()).isEqualTo(2);
        assertThat(asks("other.pdf")).isTrue();
        reopen();
        assertThat(asks("terms.pdf")).isTrue();
        gathering.read(new Reading(true, false, false));
        assertThat(source("terms.pdf").pageCount()).as("its pages are still known").isEqualTo(2);
        assertThatThrownBy(() -> folder.open(source("terms.pdf").id())).isInstanceOf(FindingException.class)
                .hasMessageContaining("terms").hasMessageContaining("Type it again");
        gathering.unlock(List.of(source("terms.pdf")), "tarn", false, () -> wrong.add("tarn"));
        assertThat(asks("terms.pdf")).isFalse();
        folder.open(source("terms.pdf").id()).close();
    }

    @Test
    void whatLiesInALockedFileFollowsItWhenItIsUnlocked() throws IOException {
        gathering.bringIn(List.of(
                locked("terms", "tarn",
                        document -> Pdfs.attach(document, "parts.txt", "fan motor".getBytes(StandardCharsets.UTF_8))),
                Pdfs.write(temp, "other", 1)));
        assertThat(names()).containsExactly("terms.pdf", "other.pdf");
        workspace.edit(bundle -> Edits.putInIndex(bundle, bundle.tray().stream().map(InTray::id).toList(),
                new Place(Optional.empty(), 0)));
        gathering.unlock(List.of(source("terms.pdf")), "tarn", false, () -> {});
        assertThat(Bundles.order(workspace.bundle())).isEqualTo("terms parts other");
        assertThat(workspace.bundle().contents().documents().get(1).belongsTo()).contains(document().id());
        assertThat(document().pageCount()).isEqualTo(2);
        reopen();
        gathering.unlock(List.of(source("terms.pdf")), "tarn", false, () -> {});
        assertThat(names()).as("it comes once").containsExactly("terms.pdf", "> parts.txt", "other.pdf");
    }

    @Test
    void aRememberedPasswordIsNotAskedForAgainUntilItIsForgotten() throws IOException {
        gathering.bringIn(List.of(locked("terms", "tarn")));
        gathering.unlock(List.of(source("terms.pdf")), "tarn", true, () -> {});
        assertThat(intakes.remembersPasswords()).isTrue();
        reopen();
        assertThat(asks("terms.pdf")).isFalse();
        intakes.forgetPasswords();
        assertThat(intakes.remembersPasswords()).isFalse();
        reopen();
        assertThat(asks("terms.pdf")).isTrue();
        assertThat(Files.readString(temp.resolve("bundle/bundle.json"))).as("the folder may be given to others")
                .doesNotContain("tarn\"");
    }

    @Test
    void aPasswordThatCannotBeKeptOpensTheFileAllTheSameAndIsSaid() throws IOException {
        Files.writeString(temp.resolve("user"), "a file where the user's folder should be");
        gathering.bringIn(List.of(locked("terms", "tarn")));
        gathering.unlock(List.of(source("terms.pdf")), "tarn", true, () -> {});
        assertThat(asks("terms.pdf")).isFalse();
        assertThat(workspace.findings().getLast().message()).startsWith("passwords.json").contains("could not be changed",
                "try again");
    }

    @Test
    void aWatchedFolderDeliversOnceUntilItIsStopped() throws IOException {
        Path watched = Files.createDirectories(temp.resolve("watched"));
        ScheduledExecutorService clock = mock(ScheduledExecutorService.class);
        Watching watching = new Watching(workspace, gathering::bringIn, () -> clock);
        watching.start(watched);
        Pdfs.write(watched, "scan", 1);
        tick(clock);
        assertThat(names()).as("it may still be growing").isEmpty();
        tick(clock);
        assertThat(names()).containsExactly("scan.pdf");
        watching.stop();
        verify(clock).shutdownNow();
        assertThat(watching.folderProperty().get()).isEmpty();
        watching.start(watched);
        tick(clock);
        tick(clock);
        assertThat(names()).as("it is in the bundle already").containsExactly("scan.pdf");
    }

    /** Looks once into the folder that was last begun to be watched. */
    private static void tick(ScheduledExecutorService clock) {
        ArgumentCaptor<Runnable> look = ArgumentCaptor.forClass(Runnable.class);
        verify(clock, atLeastOnce()).scheduleWithFixedDelay(look.capture(), anyLong(), anyLong(), any());
        look.getValue().run();
    }
}
