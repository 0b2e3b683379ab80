package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.Way;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files inside files, and files that mean harm. */
class InsidesTests extends TakingIn {
    private Path zip(String name, String... entries) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        for (String entry : entries) parts.put(entry, bytes("words of " + entry));
        return WordFile.zip(folder.resolve(name), parts);
    }

    @Test
    void anArchiveIsOpenedLikeAFolder() throws IOException {
        Intake.Taken taken =
                take(zip("From the insurer.zip", "Letters/2 second.txt", "Letters/1 first.txt", "list.txt", "__MACOSX/x.txt"));
        assertThat(taken.contents().sections()).singleElement().satisfies(section -> {
            assertThat(section.title()).isEqualTo("From the insurer");
            assertThat(section.contents().documents()).extracting(Document::title).containsExactly("list");
            assertThat(section.contents().sections()).extracting(Section::title).containsExactly("Letters");
            assertThat(section.contents().sections().getFirst().contents().documents()).extracting(Document::title)
                    .containsExactly("first", "second");
        });
        assertThat(taken.findings()).isEmpty();
    }

    /** Three ways in which one file in an archive is broken: its bytes, their end, its name. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void oneBadFileInAnArchiveIsNamedAndTheOthersComeIn(int way) throws IOException {
        Path archive = zip("post.zip", "a.txt", "bad.txt", "c.txt");
        byte[] bytes = Files.readAllBytes(archive);
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        int data = text.indexOf("bad.txt") + "bad.txt".length();
        int entry = text.lastIndexOf("bad.txt");
        switch (way) {
            case 0 -> bytes[data + 3] ^= 0x10;
            case 1 -> bytes[data] = (byte) 0xFF;
            default -> bytes[entry + 1] = 0;
        }
        Files.write(archive, bytes);
        Intake.Taken taken = take(archive);
        assertThat(taken.sources()).extracting(Source::fileName).contains("a.txt", "c.txt").doesNotContain("bad.txt");
        if (way < 2) assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.NOT_TAKEN_OUT);
    }

    @Test
    void nothingIsWrittenOutsideOfTheFolder() throws IOException {
        Path outside = Files.createDirectories(folder.resolve("outside"));
        Intake.Taken taken =
                take(zip("evil.zip", "../../outside/a.txt", "/etc/b.txt", "C:\\windows\\c.txt", "..\\d.txt", "deep/../../e.txt"));
        assertThat(taken.sources()).extracting(Source::fileName).containsExactlyInAnyOrder("a.txt", "b.txt", "c.txt", "d.txt",
                "e.txt");
        try (Stream<Path> all = Files.list(outside)) {
            assertThat(all).isEmpty();
        }
        assertThat(Path.of("/etc/b.txt")).doesNotExist();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a/b/c.txt | c.txt
            ..\\..\\x.doc | x.doc
            .hidden | _hidden
            a:b*c?.pdf | a_b_c_.pdf
            '' | without a name
            ... | _
            """)
    void namesAreMadeSafe(String given, String safe) {
        assertThat(FileNames.safeFile(given)).isEqualTo(safe);
    }

    @Test
    void signsThatTurnTheWritingRoundAndEndlessNamesAreCutDown() {
        assertThat(FileNames.safeFile("invoice\u202Efdp.exe")).isEqualTo("invoice_fdp.exe");
        assertThat(FileNames.safeFile("tab\tline\n.txt")).isEqualTo("tab_line_.txt");
        assertThat(FileNames.safeFile("x".repeat(300) + ".pdf")).hasSize(204).endsWith(".pdf");
    }

    /** A file system counts bytes: 120 letters of three bytes each are 360, more than the 255 that it takes. */
    @Test
    void aMailKeepsAnAttachmentWhoseNameIsLongInBytes() throws IOException {
        String name = "\u20ac".repeat(120);
        Path mail = Files.writeString(folder.resolve("mail.eml"), "From: a@b.example\nSubject: Bins\n"
                + "Content-Type: multipart/mixed; boundary=b\n\n--b\nContent-Type: text/plain\n\nSee below.\n--b\n"
                + "Content-Type: text/plain\nContent-Disposition: attachment; filename*=UTF-8''"
                + URLEncoder.encode(name, StandardCharsets.UTF_8) + ".txt\n\nThe list.\n--b--\n");
        Intake.Taken taken = take(mail);
        assertThat(taken.findings()).isEmpty();
        assertThat(taken.sources()).extracting(Source::fileName).containsExactly("mail.eml", "\u20ac".repeat(66) + ".txt");
    }

    @Test
    void archivesInArchivesEndSomewhere() throws IOException {
        byte[] inner = bytes("at the bottom");
        String name = "bottom.txt";
        for (int i = 0; i < 12; i++) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try (ZipOutputStream zip = new ZipOutputStream(out)) {
                zip.putNextEntry(new ZipEntry(name));
                zip.write(inner);
            }
            inner = out.toByteArray();
            name = "level " + i + ".zip";
        }
        Intake.Taken taken = take(Files.write(folder.resolve("deep.zip"), inner), Pdfs.write(folder, "after", 1));
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.NESTED_TOO_DEEP);
        assertThat(taken.sources()).extracting(Source::fileName).containsExactly("after.pdf");
    }

    @Test
    void whatCameWithAMailFollowsItAndBelongsToIt() throws IOException {
        String inner =
                "Subject: inner\r\nContent-Type: multipart/mixed; boundary=i\r\n\r\n--i\r\nContent-Type: "
                        + "text/plain\r\n\r\nhello\r\n--i\r\nContent-Disposition: attachment; "
                        + "filename=\"deep.txt\"\r\n\r\ndeep\r\n--i--\r\n";
        Path mail = Files.writeString(folder.resolve("m.eml"),
                "From: a@b.example\r\nSubject: outer\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\nContent-Type: "
                        + "text/plain\r\n\r\nsee\r\n"
                        + "--b\r\nContent-Type: message/rfc822\r\n\r\n" + inner
                        + "\r\n--b\r\nContent-Disposition: attachment; filename=\"log.csv\"\r\n\r\na,b\r\n--b--\r\n");
        List<Source> sources = take(mail).sources();
        assertThat(sources).extracting(Source::fileName).containsExactly("m.eml", "forwarded message.eml", "deep.txt", "log.csv");
        assertThat(sources.get(1).about().attachedTo()).isEqualTo(sources.get(0).id().value());
        assertThat(sources.get(2).about().attachedTo()).isEqualTo(sources.get(1).id().value());
        assertThat(sources.get(3).about().attachedTo()).isEqualTo(sources.get(0).id().value());
        assertThat(sources.get(0).proposedTitle()).isEqualTo("E-mail: outer");
    }

    @Test
    void filesInAPdfAreTakenOut() throws IOException {
        Path pdf = Pdfs.write(folder, "file", 2, document -> Pdfs.attach(document, "../parts list.txt", bytes("fan motor")));
        List<Source> sources = take(pdf).sources();
        assertThat(sources).extracting(Source::fileName).containsExactly("file.pdf", "parts list.txt");
        assertThat(sources.getFirst().about().pages().attachments()).containsExactly("../parts list.txt");
    }

    @Test
    void aDocumentThatNamesAFileOfTheMachineShowsNothingOfIt() throws IOException {
        Path secret = Files.writeString(folder.resolve("secret.txt"), "the secret words");
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("word/document.xml",
                bytes("<!DOCTYPE x [<!ENTITY e SYSTEM \"" + secret.toUri()
                        + "\">]><w:document xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\">"
                        + "<w:body><w:p><w:r><w:t>&e;</w:t></w:r></w:p></w:body></w:document>"));
        Intake.Taken taken = take(WordFile.zip(folder.resolve("x.docx"), parts), Pdfs.write(folder, "after", 1));
        assertThat(taken.findings()).extracting(Finding::code).singleElement().isEqualTo(Code.NOT_CONVERTED);
        assertThat(taken.sources()).extracting(source -> source.about().way()).containsExactly(Way.SLIP, Way.AS_IT_IS);
    }

    @Test
    void aDocumentThatUnpacksWithoutEndIsRefused() throws IOException {
        byte[] much = new byte[41 << 20];
        Arrays.fill(much, (byte) ' ');
        Map<String, byte[]> parts = new LinkedHashMap<>();
        ByteArrayOutputStream document = new ByteArrayOutputStream();
        document.writeBytes(bytes("<w:document xmlns:w=\"x\">"));
        document.writeBytes(much);
        parts.put("word/document.xml", document.toByteArray());
        Intake.Taken taken = take(WordFile.zip(folder.resolve("bomb.docx"), parts));
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.TOO_LARGE);
        assertThat(taken.findings().getFirst().message()).contains("bomb.docx", "40 MB");
    }

    @ParameterizedTest
    @CsvSource({"docx, DOCX, DAMAGED", "xlsx, XLSX, NOT_CONVERTED", "pptx, PPTX, NOT_CONVERTED", "odt, ODT, DAMAGED",
            "ods, ODS, DAMAGED", "odp, ODP, DAMAGED", "doc, DOC, NOT_CONVERTED", "xls, XLS, NOT_CONVERTED",
            "ppt, PPT, NOT_CONVERTED", "msg, MSG, NOT_CONVERTED", "rtf, RTF,"})
    void aDamagedFileOfEveryKindIsNamedAndStopsNothing(String extension, SourceKind kind, @Nullable Code said)
            throws IOException {
        byte[] start = switch (extension) {
            case "doc", "xls", "ppt", "msg" -> new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, (byte) 0xA1, (byte) 0xB1,
                    0x1A, (byte) 0xE1, 1, 2, 3};
            case "rtf" -> bytes("{\\rtf1 {\\pict\\pngblip 89504e47");
            default -> bytes("PK\3\4 cut off");
        };
        Intake.Taken taken = take(Files.write(folder.resolve("cut." + extension), start), Pdfs.write(folder, "good", 1));
        assertThat(taken.sources()).hasSize(2);
        assertThat(taken.sources().getFirst().kind()).isEqualTo(kind);
        assertThat(taken.contents().allDocuments()).extracting(Document::title).contains("good");
        if (said != null) assertThat(taken.findings()).extracting(Finding::code).containsExactly(said);
    }

    @Test
    void aFileIsWhatItHoldsWhateverItsName() throws IOException {
        Path renamed = new WordFile(WordFile.p("a letter")).write(folder, "letter.zip");
        Path nameless = Files.copy(Pdfs.write(folder, "a", 1), folder.resolve("nameless"));
        assertThat(take(renamed, nameless).sources()).extracting(Source::kind).containsExactly(SourceKind.DOCX, SourceKind.PDF);
    }

    @Test
    void aLinkToAFolderIsNotFollowed() throws IOException {
        Path real = Files.createDirectories(folder.resolve("real"));
        Pdfs.write(real, "inside", 1);
        Path given = Files.createDirectories(folder.resolve("given"));
        Files.createSymbolicLink(given.resolve("link"), real);
        assertThat(take(given).sources()).isEmpty();
    }
}
