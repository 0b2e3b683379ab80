package app.yellowtab.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.agree.IndexFile;
import app.yellowtab.assemble.Assembler;
import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerCsv;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.Source;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.register.Chronology;
import app.yellowtab.register.RedactionSchedule;
import app.yellowtab.sets.Excerpt;
import app.yellowtab.sets.Output;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.BatchPage;
import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever is written of a bundle, by whichever door: a redacted word is nowhere in it. */
class EveryDoorTests {
    private static final String SECRET = "Quillfeather";
    @TempDir
    private Path temp;

    private static void say(PDDocument document, int page, String words) {
        try (PDPageContentStream content =
                new PDPageContentStream(document, document.getPage(page), PDPageContentStream.AppendMode.OVERWRITE, true)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
            content.newLineAtOffset(60, 180);
            content.showText(words);
            content.endText();
            PDAnnotationText comment = new PDAnnotationText();
            comment.setRectangle(new PDRectangle(60, 175, 60, 20));
            comment.setContents(words);
            document.getPage(page).getAnnotations().add(comment);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aRedactedWordIsInNothingThatIsWritten() throws Exception {
        Path matter = Files.createDirectories(temp.resolve("matter"));
        Path out = Files.createDirectories(temp.resolve("out"));
        Pdfs.write(matter, "S", 4, document -> {
            document.getPages().forEach(page -> page.setMediaBox(new PDRectangle(300, 220)));
            say(document, 1, SECRET + " said");
            say(document, 3, "It was " + SECRET);
        });
        try (InPlace place = new InPlace(); PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            Bundle came = Folder.bundle(place, matter);
            Bundle bundle = Redacting.redacted(came, came.contents().allDocuments().getFirst().runs().getFirst().key(2),
                    List.of(new Area(15, 9, 80, 8)), "privileged", true);
            RedactedWords.Found found =
                    RedactedWords.in(bundle, Planner.plan(bundle), new BundleWords(place), () -> false);
            assertThat(found.open()).as("on the page that quotes it").isNotEmpty();
            for (RedactedWords.Leak leak : found.open()) if (leak.fix().isPresent()) bundle = leak.fix().get().apply(bundle);
            Plan plan = Planner.plan(bundle);
            assertThat(RedactedWords.in(bundle, plan, new BundleWords(place), () -> false).open())
                    .as("the comment has gone with the words that it touches").isEmpty();
            Path screen = out.resolve("bundle.pdf");
            Assembler.standard().assemble(plan, place, screen, Progress.NONE, () -> false);
            LedgerCsv.write(screen, Ledger.beside(screen));
            PaperFiles paper = PaperFiles.beside(screen);
            Plan printed = Planner.paper(bundle, LocalDateTime.now());
            Assembler.standard().assemble(printed, Output.paper(printed), place, paper.file(), Progress.NONE, () -> false);
            paper.writeOthers(bundle, printed, renderer, Progress.NONE, () -> false);
            List<Leaf> leaves = plan.leaves().stream().filter(leaf -> leaf.key().isPresent()).toList();
            PageFiles pages = new PageFiles(place);
            pages.one(new Excerpt(plan, true).of(leaves, "all"), out.resolve("all.pdf"), Progress.NONE, () -> false);
            pages.each(plan, leaves, true, PageName.USUAL, out.resolve("each"), Progress.NONE, () -> false);
            pieces(bundle, place, out.resolve("pieces"));
            for (String ending : List.of("docx", "xlsx", "csv")) {
                IndexFile.write(plan, out.resolve("index." + ending));
                Chronology.write(plan, ReferenceForm.STANDARD, out.resolve("chronology." + ending));
                RedactionSchedule.write(plan, out.resolve("schedule." + ending));
            }
        }
        int files = 0;
        try (Stream<Path> all = Files.walk(out)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                assertNothingIn(String.valueOf(file.getFileName()), Files.readAllBytes(file));
                files++;
            }
        }
        assertThat(files).isGreaterThan(20);
    }

    private static void pieces(Bundle bundle, InPlace place, Path to) throws IOException {
        Source source = bundle.sources().getFirst();
        List<BatchPage> read = BatchPages.read(place, source.id(), false, Progress.NONE, () -> false);
        CutRules rules = new CutRules(List.of(new CutRule.EveryPages(2, 1)), 1, List.of());
        Cutting cutting = Cutter.cut(read, rules, ByHand.NONE);
        CutRules telling = new CutRules(rules.rules(), 1, List.of(new NamePart.Typed("What " + SECRET + " said")));
        PieceFiles named = new PieceFiles(place, new CutReport(List.of(source), Batch.of(source), cutting,
                PieceNames.of(read, cutting, telling, "S.pdf", false), List.of(), List.of()), read, Comments.KEPT,
                new Wanted(true, Optional.of(Wanted.Mails.usual(true))));
        assertThat(named.leaks(Planner.plan(bundle), new BundleWords(place), () -> false)).extracting(Finding::message)
                .anyMatch(said -> said.startsWith("The name of piece 1 of S.pdf repeats"))
                .anyMatch(said -> said.startsWith("The e-mail with piece 1 of S.pdf repeats"))
                .anyMatch(said -> said.startsWith("Page 4 of S.pdf says \"" + SECRET));
        new PieceFiles(place, new CutReport(List.of(source), Redacting.alsoIn(bundle, Batch.of(source)), cutting,
                PieceNames.of(read, cutting, rules, "S.pdf", false), List.of(), List.of()), read, Comments.KEPT,
                new Wanted(true, Optional.of(Wanted.Mails.usual(true)))).write(to, Progress.NONE, () -> false);
    }

    private static void assertNothingIn(String name, byte[] bytes) throws IOException, MessagingException {
        for (Charset set : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16BE, StandardCharsets.UTF_16LE))
            assertThat(new String(bytes, StandardCharsets.ISO_8859_1)).as(name + " in " + set)
                    .doesNotContain(new String(SECRET.getBytes(set), StandardCharsets.ISO_8859_1));
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        switch (ending) {
            case "pdf" -> inPdf(name, bytes);
            case "docx", "xlsx" -> {
                try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
                    for (ZipEntry entry; (entry = zip.getNextEntry()) != null;)
                        assertNothingIn(name + " " + entry.getName(), zip.readAllBytes());
                }
            }
            case "eml" -> {
                MimeMessage mail = new MimeMessage(null, new ByteArrayInputStream(bytes));
                assertThat(mail.getSubject()).doesNotContain(SECRET);
                Multipart parts = (Multipart) mail.getContent();
                for (int i = 0; i < parts.getCount(); i++) {
                    BodyPart part = parts.getBodyPart(i);
                    assertNothingIn(Optional.ofNullable(part.getFileName()).orElse("words of a mail"),
                            part.getInputStream().readAllBytes());
                }
            }
            default -> {}
        }
    }

    private static void inPdf(String name, byte[] bytes) throws IOException {
        try (PDDocument document = Loader.loadPDF(bytes)) {
            List<COSObjectKey> keys = new ArrayList<>(document.getDocument().getXrefTable().keySet());
            for (COSObjectKey key : keys) {
                COSObject object = document.getDocument().getObjectFromPool(key);
                String said = String.valueOf(object.getObject());
                if (object.getObject() instanceof COSStream stream) {
                    try (var in = stream.createInputStream()) {
                        said += new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
                    }
                }
                assertThat(said).as(name + " " + key).doesNotContain(SECRET);
            }
            assertThat(new PDFTextStripper().getText(document)).as(name).doesNotContain(SECRET);
        }
    }
}
