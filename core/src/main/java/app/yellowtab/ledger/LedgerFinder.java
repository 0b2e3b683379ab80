package app.yellowtab.ledger;

import app.yellowtab.input.PdfInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSString;
import org.slf4j.LoggerFactory;

/** Finds the ledger of a produced PDF by the PDF's identifier. */
public final class LedgerFinder {
    private LedgerFinder() {}

    /**
     * {@return the ledger of a PDF: beside it, or in a folder; where none belongs to it, that which should be beside it}
     *
     * @param folders in which ledgers are kept; need not exist
     */
    public static Path find(Path pdf, List<Path> folders) {
        Path beside = Ledger.beside(pdf);
        Optional<String> identity = identity(pdf);
        if (identity.isEmpty() || isOf(beside, identity.get())) return beside;
        for (Path folder : folders) {
            if (!Files.isDirectory(folder)) continue;
            try (Stream<Path> files = Files.list(folder)) {
                String ending = LedgerPlace.House.mark(identity.get()) + Ledger.ENDING;
                Optional<Path> its = files.filter(file -> String.valueOf(file.getFileName()).endsWith(ending)).sorted()
                        .filter(file -> isOf(file, identity.get())).reduce((older, newer) -> newer);
                if (its.isPresent()) return its.get();
            } catch (IOException unreadable) {
                LoggerFactory.getLogger(LedgerFinder.class).warn("no ledgers can be listed in {}", folder, unreadable);
            }
        }
        return beside;
    }

    private static boolean isOf(Path ledger, String identity) {
        try {
            return Files.isRegularFile(ledger) && LedgerReader.read(ledger).files().getFirst().identity().equals(identity);
        } catch (IOException damaged) {
            return false;
        }
    }

    private static Optional<String> identity(Path pdf) {
        if (!Files.isRegularFile(pdf)) return Optional.empty();
        try (PdfInput input = PdfInput.open(pdf, List.of())) {
            COSArray identity = input.document().getDocument().getDocumentID();
            return identity != null && identity.size() > 0 && identity.getObject(0) instanceof COSString first
                    && first.getBytes().length >= Ledger.IDENTITY_BYTES ? Optional.of(HexFormat.of().formatHex(first.getBytes()))
                            : Optional.empty();
        } catch (IOException | RuntimeException | Error noPdf) {
            LoggerFactory.getLogger(LedgerFinder.class).info("no identifier in {}", pdf, noPdf);
            return Optional.empty();
        }
    }
}
