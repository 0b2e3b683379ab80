package app.yellowtab.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Moves;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Party;
import app.yellowtab.model.Reading;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot;
import app.yellowtab.testing.Bundles;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BundleFolderTests {
    @TempDir
    private Path temp;
    private Path folder;
    private Path file;
    private final Bundle bundle = Bundles.bundle(Bundles.document("x", 2), Bundles.section("A", Bundles.document("a", 1),
            Bundles.section("B", Bundles.document("b", 3)))).withLayout(new Layout(false, Separators.TITLED))
            .withHeading(new CaseHeading("Court", "1/2", Party.parseAll("P (Claimant); Q"), "Title",
                    Optional.of(LocalDate.of(2031, 10, 6)), "Me"));

    @BeforeEach
    void name() {
        folder = temp.resolve("bundle");
        file = folder.resolve("bundle.json");
    }

    private void create(Bundle created) throws FindingException {
        BundleFolder.create(folder, created).close();
    }

    private Bundle reopened() throws FindingException {
        BundleFolder.Opened opened = BundleFolder.open(folder);
        opened.folder().close();
        return opened.bundle();
    }

    private Code refusal() {
        try {
            BundleFolder.open(folder).folder().close();
        } catch (FindingException e) {
            return e.finding().code();
        }
        throw new AssertionError("opened");
    }

    @Test
    void whatIsSavedIsOpenedAgain() throws IOException {
        create(bundle);
        assertThat(reopened()).isEqualTo(bundle);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "undated", "4 March 2031", "March 2031", "1 to 14 October 2031"})
    void everyKindOfDateSurvives(String date) throws IOException {
        Bundle dated = Edits.changeDocument(bundle, new EntryId("b"), d -> d.withDate(DateReader.read(date).orElseThrow())
                .withDescription("copy").withInIndex(false));
        create(dated);
        assertThat(reopened()).isEqualTo(dated);
    }

    @Test
    void fieldsOfAnotherProgramAreKeptWhereTheyBelong() throws IOException {
        create(bundle);
        String text = Files.readString(file);
        text = text.replaceFirst("\\{", "{ \"future\" : {\"a\": [1]},");
        text = text.replaceFirst("\"heading\" : \\{", "\"heading\" : { \"judge\" : \"Pellworth\",");
        text = text.replaceFirst("\"id\" : \"b\",(?=\\s+\"title\")", "\"id\" : \"b\", \"colour\" : \"blue\",");
        text = text.replaceFirst("\"name\" : \"Q\",", "\"name\" : \"Q\", \"address\" : \"Wharf Road\",");
        Files.writeString(file, text);
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (BundleFolder place = opened.folder()) {
            place.save(Moves.out(opened.bundle(), Set.of(new EntryId("b"))));
        }
        assertThat(Files.readString(file)).contains("\"future\"", "Pellworth", "Wharf Road")
                .containsPattern("\"id\" : \"b\",[^}]*\"agreement\" : [^}]*},\\s+\"runs\" : [^]]*\\],\\s+\"colour\" : \"blue\"");
        assertThat(Bundles.order(reopened())).isEqualTo("x A(a b B())");
    }

    @Test
    void aFileThatBreaksOffIsNamedAndLeftAlone() throws IOException {
        create(bundle);
        String whole = Files.readString(file);
        String cut = whole.substring(0, whole.length() / 2);
        Files.writeString(file, cut);
        assertThatThrownBy(() -> BundleFolder.open(folder)).isInstanceOf(FindingException.class)
                .hasMessageContaining("bundle.json cannot be read").hasMessageContaining("bundle.previous.json");
        assertThat(file).hasContent(cut);
    }

    @Test
    void theStateOfTheLastOpeningCanBeTakenBack() throws IOException {
        create(bundle);
        assertThat(reopened()).isEqualTo(bundle);
        Files.writeString(file, "{");
        assertThat(refusal()).isEqualTo(Code.BUNDLE_DAMAGED);
        Files.move(folder.resolve("bundle.previous.json"), file, StandardCopyOption.REPLACE_EXISTING);
        assertThat(reopened()).isEqualTo(bundle);
    }

    @Test
    void aMissingFieldIsNamed() throws IOException {
        create(bundle);
        Files.writeString(file, Files.readString(file).replace("\"layout\"", "\"lay\""));
        assertThatThrownBy(() -> BundleFolder.open(folder)).hasMessageContaining("\"layout\" is missing");
    }

    @Test
    void aNewerFormatIsRefused() throws IOException {
        create(bundle);
        String newer = Files.readString(file).replaceFirst("\"format\" : 4", "\"format\" : 5");
        Files.writeString(file, newer);
        assertThatThrownBy(() -> BundleFolder.open(folder)).hasMessageContaining("saved by a newer Yellow Tab (format 5)");
        assertThat(file).hasContent(newer);
    }

    @Test
    void aFolderWithoutABundleIsNamed() {
        assertThat(refusal()).isEqualTo(Code.BUNDLE_MISSING);
    }

    @Test
    void aBundleIsOpenOnlyOnce() throws IOException {
        create(bundle);
        try (BundleFolder first = BundleFolder.open(folder).folder()) {
            assertThat(first.path()).isEqualTo(folder);
            assertThat(refusal()).isEqualTo(Code.BUNDLE_IN_USE);
        }
        assertThat(reopened()).isEqualTo(bundle);
    }

    @Test
    void aFullDiskLosesNothingThatWasSaved() throws IOException {
        create(bundle);
        String before = Files.readString(file);
        BundleFolder.Opened opened = BundleFolder.open(folder, draft -> new OutputStream() {
            @Override
            public void write(int b) throws IOException {
                throw new IOException("No space left on device");
            }
        });
        try (BundleFolder place = opened.folder()) {
            assertThatThrownBy(() -> place.save(Bundle.EMPTY))
                    .hasMessageContaining("could not be saved: No space left on device");
        }
        assertThat(file).hasContent(before);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).doesNotContain(".bundle.json.part");
        }
    }

    @Test
    void aConversionThatIsMissingIsMadeAgainAsItWasReadAndNotAsOneReadsToday() throws IOException {
        Path letter = new WordFile(WordFile.p("The store was cold.")
                + "<w:p><w:del w:id=\"1\" w:author=\"A\"><w:r><w:delText>Our client knew.</w:delText></w:r></w:del></w:p>")
                .write(temp, "letter.docx");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Source source = new Intake(place)
                    .bringIn(FoundFolder.of(List.of(letter), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            place.save(Bundle.EMPTY.withSources(List.of(source)).withReading(new Reading(false, true, true)));
            Path pages = place.readable(source.id());
            assertThat(Pdfs.pages(pages)).containsExactly("The store was cold.");
            Files.delete(pages);
            assertThat(Pdfs.pages(place.readable(source.id()))).as("no deleted words").containsExactly("The store was cold.");
            Source older = new Source(source.id(), source.fileName(), source.storedName(), source.kind(), source.bytes(),
                    source.sha256(), source.checksum(), source.pageCount(), source.bookmarks(), source.proposedTitle(),
                    source.proposedDate(), source.about(), Optional.of(new ConversionKey("of another version")));
            place.know(List.of(older));
            assertThatThrownBy(() -> place.readable(older.id())).isInstanceOfSatisfying(FindingException.class,
                    e -> assertThat(e.finding().code()).isEqualTo(Code.PAGES_MISSING));
            place.save(Bundle.EMPTY.withSources(List.of(older)));
            assertThat(Pdfs.pages(place.readable(older.id()))).as("the same pages").containsExactly("The store was cold.");
        }
    }

    @Test
    void aBundleIsNeverCreatedOverAnother() throws IOException {
        create(bundle);
        assertThatThrownBy(() -> create(Bundle.EMPTY)).hasMessageContaining("there is a bundle in it already");
        assertThat(reopened()).isEqualTo(bundle);
    }

    @Test
    void originalsAreKeptReadOnlyUnderNamesOfTheirOwn() throws IOException {
        Path first = Pdfs.write(Files.createDirectories(temp.resolve("1")), "lease", 1);
        Path second = Pdfs.write(Files.createDirectories(temp.resolve("2")), "lease", 2);
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(first, second), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.know(taken.sources());
            assertThat(taken.sources()).extracting(Source::storedName).containsExactlyInAnyOrder("lease.pdf", "lease (2).pdf");
            Path kept = place.original(taken.sources().get(1).id());
            assertThat(kept).hasSameBinaryContentAs(second).hasParent(folder.resolve("originals"));
            // Not whether it can be written, which root always can.
            assertThat(Files.getPosixFilePermissions(kept)).doesNotContain(PosixFilePermission.OWNER_WRITE,
                    PosixFilePermission.GROUP_WRITE, PosixFilePermission.OTHERS_WRITE);
            assertThat(place.isOriginal(kept)).isTrue();
            assertThat(place.isOriginal(file)).isTrue();
            assertThat(place.isOriginal(folder.resolve("Trial bundle.pdf"))).isFalse();
        }
        assertThat(first).exists();
    }

    @Test
    void aFileThatCannotBeReadIsKeptAndAPageThatNamesItStandsForIt() throws IOException {
        Path damaged = Files.writeString(temp.resolve("damaged.pdf"), "%PDF-1.7 nothing");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(damaged), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.save(Bundle.EMPTY.withSources(taken.sources()));
            Source source = taken.sources().getFirst();
            assertThat(place.original(source.id())).hasSameBinaryContentAs(damaged);
            Files.delete(place.readable(source.id()));
            assertThat(Pdfs.pages(place.readable(source.id()))).singleElement().asString().contains("damaged.pdf");
        }
        assertThat(reopened().sources().getFirst().about().trouble().orElseThrow().code()).isEqualTo(Finding.Code.DAMAGED);
    }

    @Test
    void aConversionThatIsMadeAnewAndHasOtherPagesIsRefused() throws IOException {
        Path letter = Files.writeString(temp.resolve("letter.txt"), "one page");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Source taken = new Intake(place)
                    .bringIn(FoundFolder.of(List.of(letter), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            Source longer = new Source(taken.id(), taken.fileName(), taken.storedName(), taken.kind(), taken.bytes(),
                    taken.sha256(), taken.checksum(), 2, List.of(),
                    taken.proposedTitle(), taken.proposedDate(), taken.about(), taken.conversion());
            place.know(List.of(taken));
            Path made = place.readable(taken.id());
            Files.delete(made);
            assertThat(Pdfs.pages(place.readable(taken.id()))).containsExactly("one page");
            Files.delete(made);
            place.know(List.of(longer));
            assertThatThrownBy(() -> place.readable(taken.id()))
                    .hasMessageContaining("other pages than the bundle was planned with (1 instead of 2)");
            assertThat(made).doesNotExist();
        }
    }

    @Test
    void aBundleThatNeedsMoreThanThisProgramCanIsLeftAlone() throws IOException {
        create(bundle);
        String more = Files.readString(file).replaceFirst("\"needs\" : \\[ *]", "\"needs\" : [ \"bates series\" ]");
        Files.writeString(file, more);
        assertThatThrownBy(() -> BundleFolder.open(folder))
                .hasMessageContaining("saved by a newer Yellow Tab (format 4, bates series)");
        assertThat(file).hasContent(more);
    }

    @Test
    void whatPagesAreLikeLiesBesideAndIsFoundAgain() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 3, document -> document.getPage(2).setRotation(270));
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            place.save(Bundle.EMPTY.withSources(new Intake(place)
                    .bringIn(FoundFolder.of(List.of(lease), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()));
        }
        assertThat(Files.readString(file)).doesNotContain("prints", "widthPt");
        Source again = reopened().sources().getFirst();
        assertThat(again.about().pages().shape(2).orElseThrow().seenHeightPt()).isGreaterThan(800);
        assertThat(again.about().pages().shape(3).orElseThrow().seenWidthPt()).isGreaterThan(800);
        assertThat(again.about().pages().shape(4)).isEmpty();
        assertThat(folder.resolve("facts")).isDirectoryContaining("glob:**.json");
        Path stray = Files.writeString(folder.resolve("facts/0123.json"), "{}");
        try (Stream<Path> known = Files.list(folder.resolve("facts"))) {
            for (Path facts : known.filter(path -> !path.equals(stray)).toList()) Files.writeString(facts, "damaged");
        }
        assertThat(reopened().sources().getFirst().about().pages()).as("nothing is known, and nothing else is lost")
                .isEqualTo(PageFacts.UNKNOWN);
        assertThat(stray).doesNotExist();
    }

    @Test
    void theSameFileTwiceHasOneConversion() throws IOException {
        Path letter = Files.writeString(temp.resolve("letter.txt"), "one page");
        Path copy = Files.copy(letter, temp.resolve("copy.txt"));
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            List<Source> taken = new Intake(place)
                    .bringIn(FoundFolder.of(List.of(letter, copy), new ArrayList<>()), Intake.Listener.NONE, () -> false)
                    .sources();
            assertThat(taken).extracting(Source::conversion).containsOnly(taken.getFirst().conversion());
            assertThat(folder.resolve("converted")).isDirectoryNotContaining(file -> !file.toString().endsWith(".pdf"))
                    .isDirectoryContaining("glob:**.pdf");
        }
    }

    @Test
    void aFullDiskDuringIntakeIsSaidAsSuch() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 1);
        Depot full = mock(Depot.class);
        when(full.keep(any())).thenThrow(new IOException("No space left on device"));
        Intake.Taken taken =
                new Intake(full).bringIn(FoundFolder.of(List.of(lease), new ArrayList<>()), Intake.Listener.NONE, () -> false);
        assertThat(taken.findings()).extracting(Finding::message)
                .containsExactly(
                        "lease.pdf was left out: there is no room on the disk for a copy of it. Free some space, then add it "
                                + "again.");
    }

    @Test
    void aCopiedBundleOpensElsewhereAndConvertsAgain() throws IOException {
        Path text = Files.writeString(temp.resolve("note.txt"), "hello\n");
        Bundle saved;
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(text), new ArrayList<>()), Intake.Listener.NONE,
                    () -> false);
            saved = Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
            place.save(saved);
        }
        Path moved = Files.move(folder, temp.resolve("elsewhere"));
        BundleFolder.Opened opened = BundleFolder.open(moved);
        try (BundleFolder place = opened.folder()) {
            Document note = opened.bundle().contents().documents().getFirst();
            Files.delete(place.readable(note.sources().getFirst()));
            assertThat(Pdfs.pages(place.readable(note.sources().getFirst()))).containsExactly("hello");
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "storedName" : "x.pdf"   | "storedName" : "../x.pdf"          | storedName
            "storedName" : "x.pdf"   | "storedName" : "/etc/passwd"       | storedName
            "storedName" : "x.pdf"   | "storedName" : "a/../../x.pdf"     | storedName
            "storedName" : "x.pdf"   | "storedName" : "..\\\\x.pdf"       | storedName
            "storedName" : "x.pdf"   | "storedName" : "C:x.pdf"           | storedName
            "storedName" : "x.pdf"   | "storedName" : ".."                | storedName
            "storedName" : "x.pdf"   | "storedName" : "x\\u0000.pdf"      | storedName
            "pageCount" : 2          | "pageCount" : 2000000000           | pageCount
            "pageCount" : 2          | "pageCount" : 1e300                | pageCount
            "pageCount" : 2          | "pageCount" : -2                   | at least one page
            "last" : 2               | "last" : 2147483647                | last
            "last" : 2               | "last" : 99999999999999999999      | last
            "source" : "x"           | "source" : "y"                     | source
            "id" : "a"               | "id" : "x"                         | twice
            "id" : "b"               | "id" : ""                          | id must not be blank
            "attachedTo" : ""        | "attachedTo" : "x"                 | leads back to itself
            "format" : 4             | "format" : "two"                   | format
            "hearing" : "2031-10-06" | "hearing" : "+999999999-13-45"     | 45
            "sections" : [           | "sections" : {"a":[                | damaged or cut
            """)
    void hostileValuesAreRefusedWithTheirField(String sound, String hostile, String words) throws IOException {
        create(bundle);
        String json = Files.readString(file);
        assertThat(json).contains(sound);
        Files.writeString(file, json.replaceFirst(Pattern.quote(sound), Matcher.quoteReplacement(hostile)));
        String before = Files.readString(file);
        try {
            BundleFolder.open(folder).folder().close();
            assertThat(words).as("it was opened").isEqualTo("format");
        } catch (FindingException refused) {
            assertThat(refused.finding().code()).isEqualTo(Code.BUNDLE_DAMAGED);
            if (!words.equals("damaged or cut")) assertThat(refused).hasMessageContaining(words);
        }
        assertThat(file).hasContent(before);
    }

    @Test
    void sectionsInSectionsWithoutEndAreRefused() throws IOException {
        create(bundle);
        String json = Files.readString(file);
        StringBuilder deep = new StringBuilder();
        for (int i = 0; i < 300; i++)
            deep.append("{\"id\":\"d").append(i).append("\",\"title\":\"D\",\"documents\":[],\"sections\":[");
        deep.append("]}".repeat(300));
        Files.writeString(file,
                json.replaceFirst("\"sections\" : \\[", Matcher.quoteReplacement("\"sections\" : [" + deep + ",")));
        assertThat(refusal()).isEqualTo(Code.BUNDLE_DAMAGED);
    }

    @Test
    void whatAKilledProgramLeftIsSweptAndNothingElse() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 1);
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake intake = new Intake(place);
            Intake.Taken taken =
                    intake.bringIn(FoundFolder.of(List.of(lease), new ArrayList<>()), Intake.Listener.NONE, () -> false);
            place.save(Bundle.EMPTY.withSources(taken.sources()));
            for (int again = 0; again < 2; again++)
                intake.bringIn(FoundFolder.of(List.of(lease), new ArrayList<>()), Intake.Listener.NONE, () -> false);
            Files.delete(folder.resolve("originals/lease (3).pdf"));
        }
        Path originals = folder.resolve("originals");
        Files.createFile(originals.resolve("begun.pdf"));
        Files.writeString(originals.resolve(Originals.LIST), "begun begun.pdf\n", StandardOpenOption.APPEND);
        Files.writeString(originals.resolve(".yellowtab-1.part"), "half a file");
        Files.writeString(folder.resolve("converted/lost.docx.pdf"), "pages");
        Path notes = Files.writeString(originals.resolve("my notes.txt"), "put there by hand");
        Path locked = Files.writeString(originals.resolve("my list.txt"), "read-only, and put there by hand");
        locked.toFile().setReadOnly();
        Path other = Files.writeString(originals.resolve("lease (3).pdf"), "put where one of ours was");
        assertThat(originals.resolve("lease (2).pdf")).exists();
        assertThat(reopened().sources()).hasSize(1);
        try (Stream<Path> left = Files.list(originals)) {
            assertThat(left.filter(one -> !one.endsWith(Originals.LIST)))
                    .containsExactlyInAnyOrder(originals.resolve("lease.pdf"), notes, locked, other);
        }
        assertThat(folder.resolve("converted")).isEmptyDirectory();
    }

    @Test
    void whereOpeningOrMakingFailedTheNextTryDoesNotFindTheFolderInUse() throws IOException {
        create(bundle);
        Path inTheWay = Files.createDirectories(folder.resolve("bundle.previous.json/full"));
        assertThatThrownBy(() -> BundleFolder.open(folder)).isInstanceOf(FindingException.class);
        Files.delete(inTheWay);
        Files.delete(inTheWay.getParent());
        assertThat(reopened()).isEqualTo(bundle);
        Path begun = Files.createDirectories(temp.resolve("new"));
        Path draft = Files.createDirectories(begun.resolve(".bundle.json.part/full"));
        assertThatThrownBy(() -> BundleFolder.create(begun, bundle)).isInstanceOf(FindingException.class);
        Files.delete(draft);
        Files.delete(draft.getParent());
        BundleFolder.create(begun, bundle).close();
    }

    @Test
    void copiesThatTheStateBeforeNamesStay() throws IOException {
        Path lease = Pdfs.write(temp, "lease", 1);
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(lease), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.save(Bundle.EMPTY.withSources(taken.sources()));
        }
        Files.delete(folder.resolve("originals").resolve(Originals.LIST));
        reopened();
        BundleFolder.Opened opened = BundleFolder.open(folder);
        opened.folder().save(Bundle.EMPTY);
        opened.folder().close();
        reopened();
        assertThat(folder.resolve("originals/lease.pdf")).as("bundle.previous.json was the one that names it").exists();
        reopened();
        assertThat(folder.resolve("originals/lease.pdf")).doesNotExist();
    }
}
