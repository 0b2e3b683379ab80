package app.yellowtab.agree;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.Moves;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.Agreement.Standing;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.register.Chronology;
import app.yellowtab.table.TableReader;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AgreedIndexTests {
    @TempDir
    private Path folder;
    private final Bundle start = Edits.changeDocument(
            bundle(section("Statements", dated("Claim form", "4 Mar 2031", 4), dated("Defence", "2 Apr 2031", 7),
                    section("Replies", dated("Reply", "Apr 2031", 3))),
                    section("Letters", dated("First letter", "5–13 Oct 2030", 1), dated("Note", "undated", 2))),
            id("Reply"), document -> Placeholders.placeholder("Reply", 3).withDate(document.date()));

    private static EntryId id(String name) {
        return new EntryId(name);
    }

    private static Document dated(String name, String date, int pages) {
        return document(name, pages).withDate(DateReader.read(date, false).orElseThrow());
    }

    private Path file(String name, String content) throws IOException {
        return Files.writeString(folder.resolve(name), content);
    }

    private static String shown(List<IndexLine> lines) {
        return lines.stream()
                .map(line -> "  ".repeat(line.depth()) + (line.isSection() ? "# " : "") + line.title()
                        + (line.date().map(date -> date.shown()).orElse("").isEmpty() ? "" : ", " + line.date().get().shown())
                        + (line.pages() == 0 ? "" : ", " + line.pages()))
                .collect(Collectors.joining("\n"));
    }

    private List<IndexLine> sent(Bundle bundle, String ending) throws FindingException {
        Path file = folder.resolve("index" + ending);
        IndexFile.write(Planner.plan(bundle), file);
        return AgreedIndex.read(file).lines(false);
    }

    private static List<String> kinds(List<Change> changes) {
        return changes.stream().map(change -> change.getClass().getSimpleName() + " " + change.title()).toList();
    }

    @Test
    void aSpreadsheetWithATitleMergedCellsAndEmptyLinesIsRead() throws IOException {
        try (XSSFWorkbook workbook = new XSSFWorkbook()) {
            Sheet sheet = workbook.createSheet();
            cells(sheet, 0, "Tarn Hollow v Brightwick: draft index");
            sheet.addMergedRegion(new CellRangeAddress(0, 0, 0, 4));
            cells(sheet, 2, "Item", "Description of document", "Dated", "No. of pages", "Agreed?");
            cells(sheet, 3, "Correspondence");
            sheet.addMergedRegion(new CellRangeAddress(3, 3, 0, 4));
            cells(sheet, 4, "1", "Letter before claim", "29/11/2030", "3", "yes");
            cells(sheet, 6, "2", "Letter of response", "14 January 2031", "", "not agreed");
            cells(sheet, 7, "", "", "", "", "");
            cells(sheet, 8, "B", "Records");
            Row last = sheet.createRow(9);
            last.createCell(1).setCellValue("Weighbridge slips");
            last.createCell(2).setCellValue(LocalDate.of(2030, 10, 7));
            var style = workbook.createCellStyle();
            style.setDataFormat(workbook.createDataFormat().getFormat("dd/mm/yyyy"));
            last.getCell(2).setCellStyle(style);
            last.createCell(3).setCellValue(8);
            try (OutputStream out = Files.newOutputStream(folder.resolve("draft.xlsx"))) {
                workbook.write(out);
            }
        }
        List<IndexLine> lines = AgreedIndex.read(folder.resolve("draft.xlsx")).lines(false);
        assertThat(shown(lines)).isEqualTo("""
                # Correspondence
                  Letter before claim, 29 Nov 2030, 3
                  Letter of response, 14 Jan 2031
                # Records
                  Weighbridge slips, 7 Oct 2030, 8""");
        assertThat(lines.get(1).agreement()).contains(new Agreement(Standing.AGREED, ""));
        assertThat(lines.get(2).agreement()).contains(new Agreement(Standing.DISPUTED, ""));
        assertThat(order(Bundle.EMPTY.withContents(AgreedIndex.contents(lines))))
                .isEqualTo("Correspondence(Letter before claim Letter of response) Records(Weighbridge slips)");
    }

    private static void cells(Sheet sheet, int number, String... words) {
        Row row = sheet.createRow(number);
        for (int column = 0; column < words.length; column++) row.createCell(column).setCellValue(words[column]);
    }

    @Test
    void separatedValuesOfOlderProgramsAndWithASectionColumnAreRead() throws IOException {
        Path older = folder.resolve("older.csv");
        Files.write(older,
                "Section;Document;Page\r\nLetters;Café receipts;3–8\r\n\r\nLetters;=Sum;9-9\r\nPlans;Plan of the store;\r\n"
                        .getBytes(Charset.forName("windows-1252")));
        assertThat(shown(AgreedIndex.read(older).lines(false))).isEqualTo("""
                # Letters
                  Café receipts, 6
                  =Sum, 1
                # Plans
                  Plan of the store""");
    }

    @Test
    void columnsWithOtherHeadsAreCorrected() throws IOException {
        AgreedIndex index = AgreedIndex.read(file("odd.csv", "Bezeichnung,Umfang\nA long description of the lease,12\nB,3\n"));
        assertThat(index.columns().where()).containsOnly(Map.entry(Columns.Role.TITLE, 0));
        AgreedIndex corrected = index.with(Columns.Role.PAGES, Optional.of(1));
        assertThat(corrected.lines(false)).extracting(IndexLine::pages).containsExactly(0, 12, 3);
        assertThat(corrected.with(Columns.Role.PAGES, Optional.empty()).columns()).isEqualTo(index.columns());
    }

    @Test
    void whatIsNoTableIsToldWithItsFile() throws IOException {
        for (Path file : List.of(file("bad.xlsx", "no workbook"), file("bad.docx", "PK no document"),
                file("empty.csv", "\n , \n"), file("index.pdf", "x"), folder.resolve("gone.csv"))) {
            assertThatThrownBy(() -> AgreedIndex.read(file)).isInstanceOf(FindingException.class)
                    .hasMessageContaining(String.valueOf(file.getFileName())).hasMessageContaining("cannot be read as an index");
        }
    }

    @Test
    void fiveThousandRowsAreRead() throws IOException {
        String rows = IntStream.rangeClosed(1, 5_000).mapToObj(n -> n + ",Letter " + n + ",1 May 2031,2")
                .collect(Collectors.joining("\n"));
        List<IndexLine> lines = AgreedIndex.read(file("long.csv", "No,Title,Date,Pages\n" + rows)).lines(false);
        assertThat(lines).hasSize(5_000);
        Bundle all = Bundle.EMPTY.withContents(AgreedIndex.contents(lines));
        assertThat(Planner.plan(all).documentCount()).isEqualTo(5_000);
        assertThat(IndexChanges.of(all, lines)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {".xlsx", ".csv", ".docx"})
    void whatIsSentOutComesBackWithoutADifference(String ending) throws IOException {
        Bundle said = Edits.changeDocument(start, id("Note"),
                document -> document.withAgreement(new Agreement(Standing.DISPUTED, "=never seen, \"not\" ours"))
                        .withTitle("Note, \"draft\"; ätzend"));
        List<IndexLine> lines = sent(said, ending);
        assertThat(IndexChanges.of(said, lines)).isEmpty();
        assertThat(IndexChanges.isOurs(said, lines)).isTrue();
        assertThat(IndexChanges.isOurs(Bundle.EMPTY, lines)).isFalse();
    }

    @Test
    void whatTheOtherSideHasChangedIsShownAndTakenOverOneByOne() throws IOException {
        Path file = folder.resolve("index.csv");
        IndexFile.write(Planner.plan(start), file);
        String back = Files.readString(file).replace("Defence,2 Apr 2031", "Defence and counterclaim,3 Apr 2031")
                .replace("Reply,April 2031,3", "Reply,April 2031,5")
                .replaceAll("Claim form,(.*),,", "Claim form,$1,agreed,");
        List<String> lines = new ArrayList<>(back.lines().toList());
        String first = lines.stream().filter(line -> line.contains("First letter")).findFirst().orElseThrow();
        lines.remove(first);
        lines.add(lines.size(), first);
        lines.add(",,Annexes,,,,,");
        lines.add(",Z,Plans,,,,,");
        lines.add(",9,Plan of the store,1 May 2031,2,,awaited,to be drawn");
        List<IndexLine> theirs = AgreedIndex.read(file("back.csv", String.join("\n", lines))).lines(false);
        List<Change> changes = IndexChanges.of(start, theirs);
        assertThat(kinds(changes)).containsExactlyInAnyOrder("Stands Claim form", "Retitled Defence", "Redated Defence",
                "Resized Reply", "Moved Note", "Added Annexes", "Added Plans", "Added Plan of the store");
        Bundle now = start;
        while (!changes.isEmpty()) {
            now = IndexChanges.accept(now, changes.getLast(), theirs);
            List<Change> left = IndexChanges.of(now, theirs);
            assertThat(left.size()).isLessThan(changes.size());
            changes = left;
        }
        assertThat(order(now)).isEqualTo(
                "Statements(Claim form Defence and counterclaim Replies(Reply)) Letters(Note First letter Annexes) Plans(Plan "
                        + "of the store)");
        assertThat(now.contents().allDocuments().getFirst().agreement().standing()).isEqualTo(Standing.AGREED);
    }

    @Test
    void whatTheyHaveTakenOutGoesToTheTrayAndComesBackIfTheyPutItIn() throws FindingException {
        List<IndexLine> all = sent(start, ".csv");
        Bundle shorter = Edits.takeOut(start, Set.of(id("Note"), id("Statements")));
        List<IndexLine> theirs = sent(shorter, ".csv");
        List<Change> changes = IndexChanges.of(start, theirs);
        assertThat(kinds(changes)).containsExactly("TakenOut Claim form", "TakenOut Defence", "TakenOut Reply", "TakenOut Note",
                "TakenOut Statements", "TakenOut Replies");
        Bundle now = start;
        for (Change change : changes) now = IndexChanges.accept(now, change, theirs);
        assertThat(order(now)).isEqualTo("Letters(First letter)");
        assertThat(now.setAside()).hasSize(4);
        for (List<Change> back = IndexChanges.of(now, all); !back.isEmpty(); back = IndexChanges.of(now, all))
            now = IndexChanges.accept(now, back.getFirst(), all);
        assertThat(order(now)).isEqualTo(order(start));
        assertThat(now.setAside()).isEmpty();
        assertThat(now.contents().allDocuments().getFirst()).as("with its pages")
                .isEqualTo(start.contents().allDocuments().getFirst());
    }

    @Test
    void movesOfDocumentsAndSectionsAreSeenAndTakenOver() throws FindingException {
        Bundle other =
                Entries.moveTo(Moves.down(start, Set.of(id("Statements"))), Set.of(id("Defence")), Optional.of(id("Letters")));
        List<IndexLine> theirs = sent(other, ".docx");
        Bundle now = start;
        for (List<Change> changes = IndexChanges.of(now, theirs); !changes.isEmpty(); changes = IndexChanges.of(now, theirs))
            now = IndexChanges.accept(now, changes.getFirst(), theirs);
        assertThat(order(now)).isEqualTo(order(other));
    }

    @Test
    void anIndexThatHasLostItsReferencesIsKnownByItsTitles() throws IOException {
        String table =
                "Tab,Title,Date,Pages\nA,Statements,,\n1,Claim form,4 Mar 2031,4\n2,Defence,2 Apr "
                        + "2031,7\nA.1,Replies,,\n3,Reply,Apr 2031,3\nB,Letters,,\n4,First letter,5–13 Oct "
                        + "2030,1\n5,Note,undated,2\n6,Invoice,,\n";
        assertThat(kinds(IndexChanges.of(start, AgreedIndex.read(file("retyped.csv", table)).lines(false))))
                .containsExactly("Added Invoice");
    }

    @Test
    void theIndexPrintsHowEntriesStandIfWanted() {
        Bundle said = Edits.changeDocument(start, id("Note"),
                document -> document.withAgreement(new Agreement(Standing.DISPUTED, "never seen")));
        Plan plain = Planner.plan(said);
        Plan printed = Planner.plan(said.withLayout(new Layout(true, Separators.NONE).withAgreement(true)), plain);
        assertThat(plain.indexSheets().getFirst().getLast().descriptionLines()).isEmpty();
        assertThat(printed.indexSheets().getFirst().getLast().descriptionLines()).containsExactly("Disputed: never seen");
    }

    @Test
    void theChronologyIsInTheOrderOfDatesWithReferences() throws FindingException {
        Plan plan = Planner.plan(start);
        assertThat(Chronology.rows(plan, ReferenceForm.STANDARD)).containsExactly(
                List.of("5–13 Oct 2030", "First letter", "[B/20]"), List.of("4 March 2031", "Claim form", "[A/4]"),
                List.of("April 2031", "Reply", "[A/16]"), List.of("2 April 2031", "Defence", "[A/8]"));
        Chronology.write(plan, ReferenceForm.STANDARD, folder.resolve("chronology.docx"));
        assertThat(TableReader.read(folder.resolve("chronology.docx")).getFirst().rows()).hasSize(5);
    }
}
