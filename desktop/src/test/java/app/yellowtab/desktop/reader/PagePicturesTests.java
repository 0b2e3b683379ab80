package app.yellowtab.desktop.reader;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.yellowtab.edit.Edits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.SourcePages;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.SourceFiles;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A picture that is kept is shown again only where nothing has changed that it shows. */
class PagePicturesTests {
    private final Bundle start = bundle(document("a", 2), document("b", 1));
    private final SourceFiles files = mock(SourceFiles.class);
    private final PagePictures pictures = new PagePictures(files, Runnable::run, Runnable::run);

    private PagePictures.Key key(Bundle bundle, String document, int unlocked) {
        when(files.source(any())).thenAnswer(call -> bundle.sourcesById().get(call.getArgument(0)));
        Plan plan = Planner.plan(bundle);
        return pictures.key(plan, plan.leaf(plan.entry(new EntryId(document)).orElseThrow().span().first()), unlocked, 100);
    }

    @Test
    void itIsAnotherAfterWhateverChangesIt() {
        PagePictures.Key before = key(start, "a", 0);
        assertThat(key(start, "a", 0)).isEqualTo(before);
        assertThat(key(Edits.changeDocument(start, new EntryId("b"), document -> document.withTitle("other")), "a", 0)).as("the others").isEqualTo(before);
        assertThat(key(start, "a", 1)).as("a password").isNotEqualTo(before);
        assertThat(key(start.withFromSources(new FromSources(Comments.DROPPED, 3)), "a", 0)).as("comments").isNotEqualTo(before);
        Source converted = start.sources().getFirst();
        Bundle again = start.withSources(List.of(new Source(converted.id(), converted.fileName(), converted.storedName(), converted.kind(), converted.bytes(), converted.sha256(), converted.checksum(),
                2, List.of(), converted.proposedTitle(), converted.proposedDate(), converted.about(), Optional.of(new ConversionKey("k"))), start.sources().getLast()));
        assertThat(key(again, "a", 0)).as("its conversion").isNotEqualTo(before);
        assertThat(key(Edits.changeDocument(start, new EntryId("a"), document -> document.withRuns(List.of(((SourcePages) document.runs().getFirst())
                .withLook(PageLook.PLAIN.withTurns(1))))), "a", 0)).as("its look").isNotEqualTo(before);
        assertThat(key(Edits.takeOut(start, Set.of(new EntryId("a"))), "b", 0)).as("its number").isNotEqualTo(key(start, "b", 0));
    }
}
