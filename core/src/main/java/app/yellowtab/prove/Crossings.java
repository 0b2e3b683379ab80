package app.yellowtab.prove;

import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.output.Place;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;

/**
 * Where links from one file into others lead, by the names of file and destination (ISO 32000-1:2008, 12.6.4.3), as the ledger of
 * all of them has it. Immutable.
 */
final class Crossings {
    private final List<String> files;
    private final List<Map<String, Integer>> positions;

    private Crossings(List<String> files, List<Map<String, Integer>> positions) {
        this.files = files;
        this.positions = positions;
    }

    /** @param own the file that is proved, counted from 0 */
    static Crossings of(int own, Ledger ledger, Path ledgerFile) throws IOException {
        List<Map<String, Integer>> positions = new ArrayList<>();
        ledger.files().forEach(file -> positions.add(new HashMap<>()));
        if (ledger.files().size() > 1) {
            try (LedgerReader leaves = LedgerReader.leaves(ledgerFile)) {
                for (Optional<Ledger.Page> leaf; (leaf = leaves.next()).isPresent();) {
                    Ledger.Page page = leaf.get();
                    if (page.file() != own && !page.name().isEmpty())
                        positions.get(page.file()).put(page.name(), page.position());
                }
            }
        }
        return new Crossings(ledger.files().stream().map(Ledger.ProducedFile::name).toList(), positions);
    }

    static boolean is(COSDictionary action) {
        return "GoToR".equals(action.getNameAsString(COSName.S));
    }

    /** {@return where an action leads; nowhere where that is no page of one of the files} */
    Place of(COSDictionary action) {
        int file = action.getDictionaryObject(COSName.F) instanceof COSDictionary beside
                ? files.indexOf(beside.getString(COSName.UF, "")) : -1;
        if (file < 0 || !(action.getDictionaryObject(COSName.D) instanceof COSString name)) return Place.NOWHERE;
        Integer position = positions.get(file).get(name.getString());
        return position == null ? Place.NOWHERE : new Place(file, position);
    }
}
