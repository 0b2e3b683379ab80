package app.yellowtab.stamp;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.table.TableWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Writes which page of which loose file bears which number. */
public final class StampRegister {
    private static final List<String> HEADS =
            List.of("Number", "File", "Page of the file", "Stamped copy", "SHA-256 of the file");
    private static final List<Integer> WIDTHS = List.of(16, 40, 10, 40, 66);

    private StampRegister() {}

    /**
     * Writes it page by page.
     *
     * @param target its ending says how: .csv, .xlsx or .docx
     * @throws FindingException if it cannot be written, or a file is gone
     */
    public static void write(List<Stamper.Stamped> files, Path target) throws FindingException {
        List<List<String>> rows = new ArrayList<>();
        for (Stamper.Stamped file : files) {
            String print;
            try {
                print = StampedFile.print(file.source(), Files.size(file.source()));
            } catch (IOException gone) {
                throw new FindingException(Finding.of(Code.NOT_READABLE, file.source()), gone);
            }
            for (int page = 1; page <= file.pages(); page++)
                rows.add(List.of(file.names().get(page - 1), String.valueOf(file.source().getFileName()), String.valueOf(page),
                        String.valueOf(file.target().getFileName()), print));
        }
        new TableWriter("Register of numbers", HEADS, WIDTHS, rows, Set.of()).write(target);
    }
}
