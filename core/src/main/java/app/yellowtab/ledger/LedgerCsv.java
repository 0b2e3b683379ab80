package app.yellowtab.ledger;

import app.yellowtab.files.CsvLine;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.mark.Mark;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/** The leaves of a ledger as a table (RFC 4180), for those who want to look at them in a spreadsheet. */
public final class LedgerCsv {
    private LedgerCsv() {}

    /** {@return where the table of a bundle lies: "Trial bundle.ledger.csv" for "Trial bundle.pdf"} */
    public static Path beside(Path bundle) {
        String json = String.valueOf(Ledger.beside(bundle).getFileName());
        return bundle.resolveSibling(json.substring(0, json.length() - ".json".length()) + ".csv");
    }

    /**
     * Writes the table of a bundle's ledger beside the bundle, leaf by leaf, and moves it into place.
     *
     * @throws FindingException if the ledger cannot be read or the table not be written; a table that was there is there still
     */
    public static void write(Path bundle, Path ledger) throws FindingException {
        try {
            draftAndMove(bundle, ledger);
        } catch (IndexOutOfBoundsException noSuchSource) {
            throw new FindingException(Finding.of(Code.LEDGER_DAMAGED, ledger), noSuchSource);
        } catch (IOException e) {
            Code code = DiskFull.is(e, bundle) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE;
            throw new FindingException(Finding.of(code, beside(bundle), String.valueOf(e.getMessage())), e);
        }
    }

    private static void draftAndMove(Path bundle, Path ledgerFile) throws IOException {
        Ledger ledger = LedgerReader.read(ledgerFile);
        Path draft = Drafts.beside(beside(bundle));
        try {
            try (LedgerReader leaves = LedgerReader.leaves(ledgerFile); BufferedWriter out = Files.newBufferedWriter(draft)) {
                out.write("position,number,label,kind,file,file sha256,page,fingerprint,"
                        + "stamp x,stamp y,stamp size,produced file\r\n");
                for (Optional<Ledger.Page> leaf; (leaf = leaves.next()).isPresent();) out.write(line(leaf.get(), ledger));
            }
            Drafts.move(draft, beside(bundle));
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    private static String line(Ledger.Page leaf, Ledger ledger) {
        Ledger.SourceFile source =
                leaf.from().map(from -> ledger.sources().get(from.source())).orElse(new Ledger.SourceFile("", "", 0));
        Optional<Ledger.Mark> number = leaf.marks().stream().filter(mark -> mark.series().equals(Mark.BUNDLE_NUMBER)).findFirst();
        return String.format(Locale.ROOT, "%d,%s,%s,%s,%s,%s,%s,%s,%s,%s\r\n", leaf.position(),
                CsvLine.quoted(leaf.number().orElse("")), CsvLine.quoted(leaf.label()), leaf.kind(),
                CsvLine.quoted(source.file()),
                source.sha256(), leaf.from().map(from -> String.valueOf(from.page())).orElse(""), leaf.pagePrint(),
                number.map(mark -> String.format(Locale.ROOT, "%.2f,%.2f,%.2f", mark.box().left(), mark.box().bottom(),
                        mark.sizePt())).orElse(",,"),
                CsvLine.quoted(ledger.files().get(leaf.file()).name()));
    }
}
