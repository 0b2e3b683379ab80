package app.yellowtab.testing;

import app.yellowtab.convert.Converter;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;

/** Converts a test's file. */
public final class Conversions {
    private Conversions() {}

    /**
     * What came of it.
     *
     * @param pages the words of each page, as a reader would read them
     */
    public record Result(Path pdf, List<String> pages, List<Finding> findings) {
        public String page(int number) {
            return pages.get(number - 1);
        }

        public List<Finding.Code> codes() {
            return findings.stream().map(Finding::code).toList();
        }

        /** {@return what a finding says of details; empty where there is none of the code} */
        public String detail(Finding.Code code) {
            return findings.stream().filter(finding -> finding.code() == code).map(Finding::detail).findFirst().orElse("");
        }
    }

    public static Result of(Path file, SourceKind kind) throws IOException {
        return of(file, kind, Reading.STANDARD);
    }

    public static Result of(Path file, SourceKind kind, Reading reading, String... passwords) throws IOException {
        Path pdf = file.resolveSibling(file.getFileName() + ".converted.pdf");
        List<Finding> findings = new ArrayList<>();
        Converter.convert(file, file, kind, pdf, List.of(passwords), reading, findings);
        unlock(pdf, passwords);
        return new Result(pdf, Pdfs.pages(pdf).stream().map(page -> page.replaceAll("[\\s\\u00A0]+", " ").strip()).toList(),
                findings);
    }

    /** Takes the lock off that a conversion of a locked file has. */
    private static void unlock(Path pdf, String... passwords) throws IOException {
        for (String password : passwords) {
            try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf), password)) {
                document.setAllSecurityToBeRemoved(true);
                document.save(pdf.toFile());
                return;
            } catch (InvalidPasswordException wrong) {
                // The next may be the one.
            }
        }
    }
}
