package app.yellowtab.ledger;

import app.yellowtab.input.PdfInput;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
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

    /** In so much at its end a ledger says which files it is of. */
    private static final int END_BYTES = 1 << 16;

    /**
     * {@return the ledger of a PDF: beside it, in its folder under another name, or in one of some folders; where none belongs to
     * it, that which should be beside it}
     *
     * @param folders in which ledgers are kept; need not exist
     */
    public static Path find(Path pdf, List<Path> folders) {
        Path beside = Ledger.beside(pdf);
        Optional<String> identity = identity(pdf);
        if (identity.isEmpty() || isOf(beside, identity.get())) return beside;
        String ending = LedgerPlace.House.mark(identity.get()) + Ledger.ENDING;
        for (Path folder : folders) {
            Optional<Path> named = in(folder).filter(file -> String.valueOf(file.getFileName()).endsWith(ending))
                    .filter(file -> isOf(file, identity.get())).reduce((older, newer) -> newer);
            if (named.isPresent()) return named.get();
        }
        List<Path> all = new ArrayList<>(folders);
        Path own = pdf.toAbsolutePath().getParent();
        if (own != null) all.addFirst(own);
        return all.stream().flatMap(LedgerFinder::in).filter(file -> endsWith(file, identity.get()))
                .reduce((older, newer) -> newer).orElse(beside);
    }

    /** {@return the ledgers in a folder, by name} */
    private static Stream<Path> in(Path folder) {
        if (!Files.isDirectory(folder)) return Stream.of();
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> String.valueOf(file.getFileName()).endsWith(Ledger.ENDING)).sorted().toList().stream();
        } catch (IOException unreadable) {
            LoggerFactory.getLogger(LedgerFinder.class).warn("no ledgers can be listed in {}", folder, unreadable);
            return Stream.of();
        }
    }

    private static boolean isOf(Path ledger, String identity) {
        try {
            return Files.isRegularFile(ledger)
                    && LedgerReader.read(ledger).files().stream().anyMatch(file -> file.identity().equals(identity));
        } catch (IOException damaged) {
            return false;
        }
    }

    /** {@return whether a ledger says at its end that it is of a file; it may be long, and there may be many} */
    private static boolean endsWith(Path ledger, String identity) {
        try (FileChannel channel = FileChannel.open(ledger)) {
            ByteBuffer end = ByteBuffer.allocate((int) Math.min(END_BYTES, channel.size()));
            channel.position(channel.size() - end.capacity());
            while (end.hasRemaining() && channel.read(end) >= 0);
            return new String(end.array(), StandardCharsets.ISO_8859_1).contains("\"identity\":\"" + identity + "\"");
        } catch (IOException unreadable) {
            return false;
        }
    }

    /** {@return the identifier of a PDF that was not saved by another program since it was written; empty for any other} */
    public static Optional<String> asWritten(Path pdf) {
        List<String> both = identifiers(pdf);
        return both.size() == 2 && both.getFirst().equals(both.getLast()) ? Optional.of(both.getFirst()) : Optional.empty();
    }

    private static Optional<String> identity(Path pdf) {
        return identifiers(pdf).stream().findFirst().filter(first -> first.length() >= 2 * Ledger.IDENTITY_BYTES);
    }

    /** {@return that of the file for ever, and that of its last saving (ISO 32000-1:2008, 14.4)} */
    private static List<String> identifiers(Path pdf) {
        List<String> found = new ArrayList<>();
        if (!Files.isRegularFile(pdf)) return found;
        try (PdfInput input = PdfInput.open(pdf, List.of())) {
            COSArray identity = input.document().getDocument().getDocumentID();
            for (int i = 0; identity != null && i < identity.size(); i++)
                if (identity.getObject(i) instanceof COSString part) found.add(HexFormat.of().formatHex(part.getBytes()));
        } catch (IOException | RuntimeException | Error noPdf) {
            LoggerFactory.getLogger(LedgerFinder.class).info("no identifier in {}", pdf, noPdf);
        }
        return found;
    }
}
