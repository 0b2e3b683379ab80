package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Tests of one source, {@code S.pdf}, and the bundle made of it, in which its first page is leaf 3. */
abstract class OneSource {
    @TempDir
    Path folder;
    Path matter;
    Path target;
    InPlace place;
    UnaryOperator<Bundle> choices = bundle -> bundle;

    @BeforeEach
    void open() throws IOException {
        matter = Files.createDirectories(folder.resolve("matter"));
        target = folder.resolve("bundle.pdf");
        place = new InPlace(List.of("orchard"));
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    /** Changes a source before it is saved. */
    @FunctionalInterface
    interface Change {
        void to(PDDocument document) throws IOException;
    }

    Outcome.Written produce(int pages, Change change) throws IOException {
        Pdfs.write(matter, "S", pages, document -> {
            try {
                change.to(document);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        return produce();
    }

    Outcome.Written produce() throws IOException {
        Bundle bundle = choices.apply(Folder.bundle(place, matter));
        return (Outcome.Written) Assembler.standard().assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> false);
    }

    static List<Code> codes(Outcome.Written written) {
        return written.findings().stream().map(Finding::code).toList();
    }

    /** Asserts that all pages of the source look as the leaves do that they have become, but for the corner with the number. */
    void assertLooksTheSame() throws IOException {
        assertLooksTheSame(matter.resolve("S.pdf"), "");
    }

    void assertLooksTheSame(Path source, String password) throws IOException {
        try (PDDocument before = Loader.loadPDF(source.toFile(), password); PDDocument after = Loader.loadPDF(target.toFile())) {
            assertThat(after.getNumberOfPages()).isEqualTo(before.getNumberOfPages() + 2);
            for (int i = 0; i < before.getNumberOfPages(); i++) Pdfs.assertSamePage(before, i + 1, after, i + 3);
        }
    }

    static void content(PDDocument document, String operators) throws IOException {
        PDStream stream = new PDStream(document);
        try (var out = stream.createOutputStream()) {
            out.write(operators.getBytes(StandardCharsets.ISO_8859_1));
        }
        document.getPage(0).setContents(stream);
    }

    /** {@return all that the produced file holds, unpacked} */
    String allObjects() throws IOException {
        StringBuilder all = new StringBuilder();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            for (var key : document.getDocument().getXrefTable().keySet()) {
                var object = document.getDocument().getObjectFromPool(key).getObject();
                all.append(object).append('\n');
                if (object instanceof COSStream stream && !stream.containsKey("Width")) {
                    try (var in = stream.createInputStream()) {
                        all.append(new String(in.readAllBytes(), StandardCharsets.ISO_8859_1));
                    }
                }
            }
        }
        return all.toString();
    }

    PDPage leaf(PDDocument produced, int number) {
        return produced.getPage(number - 1);
    }
}
