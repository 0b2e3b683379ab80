package app.yellowtab.prove;

import static app.yellowtab.testing.Bundles.ids;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Entries;
import app.yellowtab.edit.PagePick;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What has been done with documents on the index, produced, read back and proved. */
class ArrangedBundleTests {
    @TempDir
    private Path folder;

    private static EntryId id(Bundle bundle, String title) {
        return bundle.contents().allDocuments().stream().filter(document -> document.title().equals(title)).map(Document::id)
                .findFirst().orElseThrow();
    }

    @Test
    void everyPageStandsWhereTheIndexSaysAndTheProofAcceptsIt() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "Statement", 4);
        Pdfs.write(matter, "Photographs", 2);
        Pdfs.write(matter, "Report", 2);
        Path target = folder.resolve("bundle.pdf");
        try (InPlace place = new InPlace(List.of())) {
            Bundle all = Folder.bundle(place, matter);
            Bundle now = Edits.takeOut(all, Set.of(id(all, "Report")));
            Document free = Placeholders.placeholder("Report of the expert", 3);
            now = Edits.insertDocuments(now, List.of(free), new Place(Optional.empty(), 0));
            now = Placeholders.fill(now, free.id(), now.tray().getFirst().id(), Placeholders.Rest.STAYS);
            now = Entries.divide(now, id(now, "Statement"), 3, new EntryId("annex"), "Annex");
            now = PagePick.pick(now, id(now, "Statement"), PageRanges.read("3, 1", 4).ranges());
            now = Entries.tie(now, Set.of(id(now, "Photographs")), id(now, "Statement"));
            now = Entries.withFrontSheet(now, id(now, "Photographs"), "OF1");
            now = Entries.copy(now, ids("annex"), new Place(Optional.empty(), Integer.MAX_VALUE)).bundle();
            now = Edits.changeDocument(now, new EntryId("annex"),
                    document -> document.withAgreement(new Agreement(Agreement.Standing.DISPUTED, "never seen")));
            Assembler.standard().assemble(Planner.plan(now.withLayout(new Layout(false, Separators.NONE).withAgreement(true))),
                    place, target, Progress.NONE, () -> false);
        }
        List<String> pages = Pdfs.pages(target);
        assertThat(pages).hasSize(11);
        assertThat(pages.getFirst()).contains("1 Report of the expert The rest is to follow; 1 page reserved 2")
                .contains("Disputed: never seen");
        assertThat(pages.subList(1, 3)).containsExactly("Report-1 2", "Report-2 3");
        assertThat(pages.get(3)).contains("Reserved for Report of the expert").endsWith(" 4");
        assertThat(pages.stream().filter(page -> page.startsWith("Statement-") || page.startsWith("Photographs-")))
                .contains("Statement-3 8", "Statement-1 9", "Statement-4 10", "Statement-4 11");
        assertThat(pages.get(4)).contains("Exhibit OF1").contains("referred to in: Statement");
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }
}
