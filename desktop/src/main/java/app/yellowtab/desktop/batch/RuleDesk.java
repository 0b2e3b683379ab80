package app.yellowtab.desktop.batch;

import app.yellowtab.cut.Cutting;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.TextFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** The rules by which the chosen batches are cut, and by which their pieces are named. For the JavaFX thread. */
public final class RuleDesk {
    private final Workspace workspace;
    private final CutDesk desk;

    RuleDesk(Workspace workspace, CutDesk desk) {
        this.workspace = workspace;
        this.desk = desk;
    }

    /** Changes the rules of all batches that are chosen, in one step. */
    private void changeRules(UnaryOperator<Batch> change) {
        List<Shown> all = desk.openProperty().get();
        if (all.isEmpty()) return;
        workspace.edit(bundle -> {
            Bundle now = CutEdits.change(bundle, all.getFirst().source(), change);
            Batch first = CutEdits.batchOf(now, all.getFirst().source());
            for (Shown other : all.subList(1, all.size()))
                now = CutEdits.change(now, other.source(), batch -> batch.withRules(first.rules(), first.resting()));
            return now;
        });
    }

    /** Cuts all chosen batches by rules that were kept. */
    public void useRules(CutRules rules) {
        changeRules(batch -> batch.withRules(rules,
                batch.resting().stream()
                        .filter(resting -> rules.rules().stream().noneMatch(rule -> RuleKind.of(rule) == RuleKind.of(resting)))
                        .toList()));
    }

    /** {@return a rule as it was filled in last, whether it is on or not} */
    public CutRule rule(RuleKind kind) {
        return desk.shownProperty().get()
                .flatMap(now -> Stream.concat(now.batch().rules().rules().stream(), now.batch().resting().stream())
                        .filter(rule -> RuleKind.of(rule) == kind).findFirst())
                .orElse(kind.usual());
    }

    public boolean isOn(RuleKind kind) {
        return desk.shownProperty().get()
                .map(now -> now.batch().rules().rules().stream().anyMatch(rule -> RuleKind.of(rule) == kind))
                .orElse(false);
    }

    /** Fills a rule in, and switches it on or off; one that stands alone switches off the others, and is switched off by them. */
    public void set(CutRule rule, boolean on) {
        changeRules(batch -> {
            RuleKind kind = RuleKind.of(rule);
            List<CutRule> rules = new ArrayList<>();
            List<CutRule> resting = new ArrayList<>();
            batch.resting().stream().filter(other -> RuleKind.of(other) != kind).forEach(resting::add);
            for (CutRule other : batch.rules().rules()) {
                if (RuleKind.of(other) == kind) continue;
                (on && (rule.isAlone() || other.isAlone()) ? resting : rules).add(other);
            }
            (on ? rules : resting).add(rule);
            return batch.withRules(new CutRules(rules, batch.rules().leastPages(), batch.rules().name()), resting);
        });
    }

    /** {@return the areas that the rules and the names look at} */
    public List<Area> areas() {
        List<Area> areas = new ArrayList<>();
        desk.shownProperty().get().ifPresent(now -> {
            for (CutRule rule : now.batch().rules().rules()) {
                if (rule instanceof CutRule.WordsFound words) words.area().ifPresent(areas::add);
                if (rule instanceof CutRule.ValueChanges value && value.place() instanceof ValuePlace.InArea in)
                    areas.add(in.area());
            }
            for (NamePart part : now.batch().rules().name())
                if (part instanceof NamePart.Value value && value.place() instanceof ValuePlace.InArea in) areas.add(in.area());
        });
        return areas.stream().distinct().toList();
    }

    /** Finds what stands in an area on each of some pages, in the background: there may be thousands. */
    public void wordsIn(Area area, List<BatchPage> pages, Consumer<List<String>> found) {
        workspace.jobs().quietly(() -> pages.stream().map(page -> TextFinder.in(page.text(), area).replace('\n', ' ')).toList(),
                found);
    }

    /** Cuts where the words in an area change. */
    public void cutByValueIn(Area area) {
        set(new CutRule.ValueChanges(new ValuePlace.InArea(area)), true);
    }

    /** Looks for the words of the rule of words in an area only; anywhere for none. */
    public void lookForWordsIn(Optional<Area> area) {
        CutRule.WordsFound old = (CutRule.WordsFound) rule(RuleKind.WORDS);
        set(new CutRule.WordsFound(old.words(), old.isPattern(), old.caseMatters(), old.spacesMatter(), area, old.after()), true);
    }

    /** Names the pieces by the words in an area, behind the parts that there are. */
    public void nameByWordsIn(Area area) {
        desk.shownProperty().get().ifPresent(now -> {
            List<NamePart> parts = new ArrayList<>(now.batch().rules().name());
            parts.add(new NamePart.Value(new ValuePlace.InArea(area)));
            setNameParts(parts);
        });
    }

    public void setLeast(int pages) {
        changeRules(batch -> batch.withRules(new CutRules(batch.rules().rules(), pages, batch.rules().name()), batch.resting()));
    }

    public void setNameParts(List<NamePart> parts) {
        changeRules(batch -> batch.withRules(new CutRules(batch.rules().rules(), batch.rules().leastPages(), parts),
                batch.resting()));
    }

    /**
     * {@return the page of the next cut that a rule makes, after a page or before it, going round; the page itself where it makes
     * none}
     */
    public int cutBy(RuleKind kind, int page, boolean forward) {
        List<Integer> firsts = desk.shownProperty().get()
                .map(now -> now.cutting().pieces().stream()
                        .filter(piece -> piece.reasons().stream()
                                .anyMatch(reason -> reason.rule().filter(rule -> RuleKind.of(rule) == kind).isPresent()))
                        .map(Cutting.Piece::first).sorted().toList())
                .orElse(List.of());
        if (firsts.isEmpty()) return page;
        if (forward) return firsts.stream().filter(first -> first > page).findFirst().orElse(firsts.getFirst());
        return firsts.reversed().stream().filter(first -> first < page).findFirst().orElse(firsts.getLast());
    }
}
