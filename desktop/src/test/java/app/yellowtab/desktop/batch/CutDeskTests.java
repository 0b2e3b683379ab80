package app.yellowtab.desktop.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.cut.PieceNames;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.words.PageWeight;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A batch on the table: pages say "post-1", "post-2" and so on. */
class CutDeskTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private CutDesk desk;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user")))
                .bringIn(List.of(Pdfs.write(temp, "letter", 1), Pdfs.write(temp, "two", 2), Pdfs.write(temp, "post", 6)));
        workspace.stageProperty().set(Stage.CUT);
        desk = new CutDesk(workspace);
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private SourceId source(String name) {
        return workspace.bundle().sources().stream().filter(source -> source.fileName().equals(name)).findFirst().orElseThrow()
                .id();
    }

    private Shown shown() {
        return desk.shownProperty().get().orElseThrow();
    }

    private String pieces() {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < shown().names().size(); i++) all.append(all.isEmpty() ? "" : ", ")
                .append(shown().names().get(i).words()).append(' ').append(shown().cutting().pieces().get(i).pages());
        return all.toString();
    }

    @Test
    void filesOfOnePageAreNoBatches() {
        assertThat(desk.rowsProperty().get()).extracting(row -> row.source().fileName()).containsExactly("two.pdf", "post.pdf");
        assertThat(desk.shownProperty().get()).isEmpty();
    }

    @Test
    void aRuleShowsAtOnceIsUndoneInOneStepAndKeepsWhatWasFilledIn() {
        desk.choose(source("post.pdf"));
        assertThat(pieces()).isEqualTo("post 001 [1, 2, 3, 4, 5, 6]");
        desk.rules().set(new CutRule.EveryPages(4, 1), true);
        assertThat(pieces()).isEqualTo("post 001 [1, 2, 3, 4], post 002 [5, 6]");
        workspace.undo();
        assertThat(pieces()).isEqualTo("post 001 [1, 2, 3, 4, 5, 6]");
        workspace.redo();
        desk.rules().set(desk.rules().rule(RuleKind.EVERY), false);
        assertThat(desk.rules().isOn(RuleKind.EVERY)).isFalse();
        assertThat(desk.rules().rule(RuleKind.EVERY)).isEqualTo(new CutRule.EveryPages(4, 1));
    }

    @Test
    void wordsAreReadWhenABatchComesOnTheTable() {
        desk.choose(source("post.pdf"));
        assertThat(shown().isRead()).isTrue();
        desk.rules().set(new CutRule.ValueChanges(new ValuePlace.AfterWords("post", "")), true);
        desk.rules().setNameParts(List.of(new NamePart.Typed("No."), new NamePart.Value(new ValuePlace.AfterWords("post", ""))));
        assertThat(pieces()).startsWith("No. 1 [1], No. 2 [2], ");
    }

    @Test
    void whatStandsAloneSwitchesTheOthersOff() {
        desk.choose(source("post.pdf"));
        desk.rules().set(new CutRule.EveryPages(2, 1), true);
        desk.rules().set(new CutRule.Ranges("5-6, 1", false), true);
        assertThat(pieces()).isEqualTo("post 001 [5, 6], post 002 [1]");
        assertThat(desk.rules().isOn(RuleKind.EVERY)).isFalse();
        desk.rules().set(desk.rules().rule(RuleKind.EVERY), true);
        assertThat(desk.rules().isOn(RuleKind.RANGES)).isFalse();
        assertThat(desk.rules().rule(RuleKind.RANGES)).isEqualTo(new CutRule.Ranges("5-6, 1", false));
    }

    @Test
    void aRuleThatCannotBeFollowedSaysWhyAndCutsNothing() {
        desk.choose(source("post.pdf"));
        desk.rules().set(new CutRule.Ranges("1-9", true), true);
        assertThat(shown().trouble()).contains("should stand a page up to 6");
        assertThat(desk.openProperty().get().getFirst().trouble()).as("nothing is made of it").isNotEmpty();
    }

    @Test
    void rulesCutAllFilesThatAreChosen() {
        desk.choose(List.of(source("post.pdf"), source("two.pdf")));
        desk.rules().set(new CutRule.EveryPages(1, 1), true);
        assertThat(desk.openProperty().get()).extracting(one -> one.source().fileName() + " " + one.names().size())
                .containsExactly("post.pdf 6", "two.pdf 2");
        desk.hand().toggleCut(3);
        assertThat(desk.openProperty().get()).extracting(one -> one.names().size()).as("the hand is at one").containsExactly(5,
                2);
        desk.rules().useRules(new CutRules(List.of(new CutRule.EveryPages(5, 1)), 1, List.of(new NamePart.Typed("P"))));
        assertThat(desk.openProperty().get().get(1).names()).extracting(named -> named.words()).containsExactly("P");
        assertThat(desk.rules().rule(RuleKind.EVERY)).isEqualTo(new CutRule.EveryPages(5, 1));
    }

    @Test
    void sizesAreMeasuredWhenARuleOrTheListAsksForThem() {
        desk.choose(source("post.pdf"));
        assertThat(shown().pages().getFirst().weight()).isSameAs(PageWeight.UNKNOWN);
        desk.rules().set(new CutRule.UpTo(2_600), true);
        assertThat(shown().pages().getFirst().weight()).isNotSameAs(PageWeight.UNKNOWN);
        assertThat(shown().cutting().pieces()).hasSizeGreaterThan(1);
        desk.rules().set(new CutRule.UpTo(1_000_000), true);
        assertThat(shown().cutting().pieces()).hasSize(1);
    }

    @Test
    void oneStepsThroughTheCutsOfOneRuleAndRound() {
        desk.choose(source("post.pdf"));
        desk.rules().set(new CutRule.EveryPages(2, 1), true);
        desk.rules().set(new CutRule.EveryPages(2, 2), true);
        desk.hand().toggleCut(3);
        assertThat(desk.rules().cutBy(RuleKind.EVERY, 1, true)).isEqualTo(2);
        assertThat(desk.rules().cutBy(RuleKind.EVERY, 2, true)).isEqualTo(4);
        assertThat(desk.rules().cutBy(RuleKind.EVERY, 6, true)).isEqualTo(2);
        assertThat(desk.rules().cutBy(RuleKind.EVERY, 2, false)).isEqualTo(6);
        assertThat(desk.rules().cutBy(RuleKind.WORDS, 3, true)).isEqualTo(3);
    }

    @Test
    void theHandCutsDropsNamesAndSteps() {
        desk.choose(source("post.pdf"));
        desk.hand().toggleCut(3);
        desk.hand().toggleCut(5);
        desk.hand().toggleDrop(4);
        desk.hand().name(1, "Letter of claim");
        assertThat(pieces()).isEqualTo("post 001 [1, 2], Letter of claim [3], post 003 [5, 6]");
        assertThat(shown().dropped(4)).contains("by hand");
        assertThat(desk.hand().cutFrom(1, true)).isEqualTo(3);
        assertThat(desk.hand().cutFrom(5, true)).isEqualTo(5);
        assertThat(desk.hand().cutFrom(5, false)).isEqualTo(3);
        desk.hand().toggleCut(3);
        desk.hand().toggleDrop(4);
        desk.rules().set(new CutRule.EveryPages(2, 1), true);
        assertThat(pieces()).as("no cut before 3, whatever the rule says").isEqualTo("post 001 [1, 2, 3, 4], post 002 [5, 6]");
        desk.hand().toggleCut(1);
        assertThat(shown().cutting().pieces()).hasSize(2);
    }

    @Test
    void aDateTypedOverThatOfThePageGoesWithThePiece() {
        desk.choose(source("post.pdf"));
        desk.rules().set(new CutRule.EveryPages(3, 1), true);
        assertThat(desk.hand().date(shown(), 1, "4 March 2031")).isTrue();
        assertThat(shown().names()).extracting(named -> named.date().shown()).containsExactly("", "4 Mar 2031");
        assertThat(desk.hand().date(shown(), 1, "next week")).as("no date").isFalse();
        desk.hand().name(1, "Letter of claim");
        desk.hand().name(1, " ");
        assertThat(shown().names()).extracting(PieceNames.Named::words, named -> named.date().shown())
                .containsExactly(tuple("post 001", ""), tuple("post 002", "4 Mar 2031"));
        desk.hand().date(shown(), 1, "");
        assertThat(shown().batch().names()).as("nothing is typed any more").isEmpty();
    }

    @Test
    void aSourceThatGoesLeavesTheTable() {
        desk.choose(source("post.pdf"));
        workspace.edit(bundle -> Edits.removeSources(bundle, Set.of(source("post.pdf"))));
        assertThat(desk.shownProperty().get()).isEmpty();
        assertThat(desk.rowsProperty().get()).hasSize(1);
    }
}
