package app.yellowtab.desktop.agree;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.agree.Change;
import app.yellowtab.agree.Columns;
import app.yellowtab.desktop.agree.Agreeing.AgreeState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.Templates;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AgreeingTests {
    private final Bundle start = Edits.addSources(bundle(section("A", document("Claim", 4), document("Defence", 7))),
            List.of(source("Reply of the claimant", 3), source("Photograph", 1)));
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Agreeing agreeing;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start);
        agreeing = new Agreeing(workspace, () -> ReferenceForm.STANDARD, () -> {});
    }

    @AfterEach
    void close() {
        agreeing.dispose();
        folder.close();
    }

    private Path file(String content) throws IOException {
        return Files.writeString(temp.resolve("index.csv"), content);
    }

    private <T extends AgreeState> T now(Class<T> kind) {
        assertThat(agreeing.stateProperty().get()).isInstanceOf(kind);
        return kind.cast(agreeing.stateProperty().get());
    }

    @Test
    void aNewIndexBecomesPlaceholdersAndFilesAreMatchedWithThem() throws IOException {
        agreeing.begin(file("Tab,Title,Pages\nB,Pleadings,\n1,Reply of the claimant,3\n2,Costs budget,5\n"));
        assertThat(agreeing.isBack()).isFalse();
        agreeing.goOn();
        assertThat(order(workspace.bundle())).isEqualTo("A(Claim Defence) Pleadings(Reply of the claimant Costs budget)");
        AgreeState.Matching matching = now(AgreeState.Matching.class);
        assertThat(matching.matches().matches()).singleElement().satisfies(match -> {
            assertThat(match.isSure()).isTrue();
            assertThat(AgreeWords.of(match)).isEqualTo("Reply of the claimant.pdf · 3 pages, as reserved");
        });
        agreeing.takeSure();
        assertThat(now(AgreeState.Matching.class).matches().waiting()).extracting(Document::title)
                .containsExactly("Costs budget");
        assertThat(workspace.bundle().tray()).hasSize(1);
        workspace.undo();
        assertThat(now(AgreeState.Matching.class).matches().matches()).as("taken all at once, undone all at once").hasSize(1);
        agreeing.refuse(now(AgreeState.Matching.class).matches().matches().getFirst());
        assertThat(now(AgreeState.Matching.class).matches().matches()).isEmpty();
        agreeing.close();
        now(AgreeState.None.class);
    }

    @Test
    void columnsAreCorrectedBeforeAnythingIsDone() throws IOException {
        agreeing.begin(file("Bezeichnung,Umfang\nA long description of the lease,12\n"));
        assertThat(now(AgreeState.Reading.class).lines().getLast().pages()).isZero();
        agreeing.correct(Columns.Role.PAGES, Optional.of(1));
        assertThat(now(AgreeState.Reading.class).lines().getLast().pages()).isEqualTo(12);
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void anIndexThatComesBackIsTakenOverOneByOneAndTheRestIsLeft() throws IOException {
        Path out = temp.resolve("out.csv");
        agreeing.writeIndex(out);
        assertThat(agreeing.saidProperty().get()).isEqualTo("Written: " + out);
        agreeing.begin(file(Files.readString(out).replace("Defence,,7,", "Defence and counterclaim,2 Apr 2031,7,")
                .replaceFirst("(?m)^Claim,.*\\R", "")));
        assertThat(agreeing.isBack()).isTrue();
        agreeing.goOn();
        AgreeState.Back back = now(AgreeState.Back.class);
        assertThat(back.changes()).extracting(change -> change.getClass().getSimpleName() + ": " + AgreeWords.of(change))
                .containsExactly("Retitled: now: Defence and counterclaim",
                        "Redated: no date → 2 Apr 2031",
                        "TakenOut: They have it no more. Accepting puts ours in the tray, as it is.");
        agreeing.accept(back.changes().get(0));
        agreeing.leave(back.changes().get(2));
        assertThat(now(AgreeState.Back.class).changes()).singleElement().isInstanceOf(Change.Redated.class);
        workspace.undo();
        assertThat(now(AgreeState.Back.class).changes()).as("what is undone differs again").hasSize(2);
        agreeing.acceptAll();
        assertThat(now(AgreeState.Back.class).changes()).isEmpty();
        assertThat(order(workspace.bundle())).as("what was left is as it was").isEqualTo("A(Claim Defence and counterclaim)");
        assertThat(workspace.plan().entry(new EntryId("Defence"))).isPresent();
    }

    @Test
    void whatCannotBeReadOrWrittenIsToldInWords() throws IOException {
        agreeing.begin(Files.writeString(temp.resolve("index.xlsx"), "no workbook"));
        assertThat(now(AgreeState.Failed.class).words()).contains("index.xlsx").contains("cannot be read as an index");
        agreeing.goOn();
        assertThat(workspace.bundle()).isEqualTo(start);
        agreeing.writeIndex(temp.resolve("no such folder/index.xlsx"));
        assertThat(agreeing.saidProperty().get()).contains("could not be written");
    }

    @Test
    void theChronologyIsMadeAnewWhenNumbersMoveUnlessSomebodyHasChangedIt() throws IOException {
        Path target = temp.resolve("chronology.csv");
        workspace.edit(bundle -> Edits.changeDocument(bundle, new EntryId("Defence"),
                document -> document.withDate(DateReader.read("2 April 2031", false).orElseThrow())));
        agreeing.writeChronology(target);
        assertThat(target).content().contains("2 April 2031,Defence,[A/8]");
        workspace.edit(bundle -> Edits.insertDocuments(bundle, List.of(Placeholders.placeholder("Letter", 3)),
                new Place(Optional.empty(), 0)));
        assertThat(target).content().contains("2 April 2031,Defence,[A/11]");
        assertThat(agreeing.saidProperty().get()).isEqualTo("chronology.csv was made anew");
        agreeing.dispose();
        Files.writeString(target, "by hand");
        workspace.undo();
        agreeing = new Agreeing(workspace, () -> ReferenceForm.STANDARD, () -> {});
        assertThat(target).as("what somebody has changed stays").hasContent("by hand");
        assertThat(agreeing.saidProperty().get()).contains("chronology.csv has old page numbers");
        Files.delete(target);
        workspace.redo();
        assertThat(target).as("what was taken away is not wanted").doesNotExist();
    }

    @Test
    void theChronologyIsWritten() {
        agreeing.writeChronology(temp.resolve("chronology.docx"));
        assertThat(temp.resolve("chronology.docx")).isNotEmptyFile();
    }

    @Test
    void theStructureIsKeptAsATemplateAndGivenAway() throws FindingException {
        workspace.edit(bundle -> bundle.withHeading(bundle.heading().withTitle("Trial of the orchards")));
        Templates templates = new Templates(temp.resolve("user"));
        agreeing.keepStructure(templates);
        assertThat(agreeing.saidProperty().get()).isEqualTo("Kept as the template “Trial of the orchards”");
        assertThat(order(templates.list().getLast().begun("new"))).isEqualTo("A()");
        agreeing.giveStructure(temp.resolve("For the others.json"));
        assertThat(Templates.read(temp.resolve("For the others.json")).called()).isEqualTo("For the others");
    }
}
