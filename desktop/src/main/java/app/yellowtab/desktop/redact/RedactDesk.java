package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.register.RedactionSchedule;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.util.Subscription;

/**
 * What is redacted on the page in view, and what is redacted next: areas that are drawn, words that are chosen, hits of a search
 * one after the other. Knows no node. For the JavaFX thread.
 */
public final class RedactDesk {
    /**
     * How it stands.
     *
     * @param isOn       whether pages are seen through the glass, and can be drawn on
     * @param page       the page in view, if areas of it can be redacted
     * @param redactions of it
     * @param chosen     which of them is chosen, counted from 0; -1 for none
     * @param reason     for what is redacted next, or of what is chosen
     * @param printed    whether the reason stands in the area
     * @param walk       the hits of a search that are gone through; empty for none
     */
    public record RedactState(boolean isOn, Optional<Leaf> page, List<Redaction> redactions, int chosen, String reason,
            boolean printed,
            Optional<Walk> walk) {
        static final RedactState OFF = new RedactState(false, Optional.empty(), List.of(), -1, "", false, Optional.empty());

        public RedactState {
            redactions = List.copyOf(redactions);
        }
    }

    /**
     * Hits that are gone through one by one.
     *
     * @param at       which of them is looked at, counted from 0
     * @param redacted how many were redacted by now
     */
    public record Walk(List<Hit> hits, int at, int redacted) {
        public Walk {
            hits = List.copyOf(hits);
        }

        public Hit hit() {
            return hits.get(at);
        }
    }

    private final Workspace workspace;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<RedactState> state = new ReadOnlyObjectWrapper<>(this, "state", RedactState.OFF);
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
    private final Subscription subscription;

    public RedactDesk(Workspace workspace, BundleWords words) {
        this.workspace = workspace;
        this.words = words;
        subscription = Subscription.combine(workspace.onPlan(plan -> look()), workspace.onLeaf(leaf -> look()));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<RedactState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what came of what was asked for last} */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    private RedactState now() {
        return state.get();
    }

    private Leaf leaf() {
        return workspace.plan().leaf(workspace.leaf());
    }

    /** {@return the page in view, if it is one of a source} */
    private Optional<Content.SourcePage> page() {
        return leaf().content() instanceof Content.SourcePage page && leaf().key().isPresent() ? Optional.of(page)
                : Optional.empty();
    }

    private void look() {
        RedactState now = now();
        List<Redaction> redactions = page().map(page -> page.look().redactions()).orElse(List.of());
        int chosen = redactions.equals(now.redactions()) && page().map(page -> leaf().key()).equals(now.page().map(Leaf::key))
                ? now.chosen() : -1;
        state.set(new RedactState(now.isOn(), page().map(page -> leaf()), redactions, chosen, now.reason(), now.printed(),
                now.walk()));
    }

    /** Puts the glass over the pages, or takes it away. */
    public void turnOn(boolean on) {
        RedactState now = now();
        said.set("");
        state.set(
                new RedactState(on, now.page(), now.redactions(), -1, now.reason(), now.printed(),
                        on ? now.walk() : Optional.empty()));
    }

    /** {@return a page as it is seen through the glass: with what will be taken out of it} */
    public Leaf seen(Leaf leaf) {
        if (!now().isOn() || !(leaf.content() instanceof Content.SourcePage page) || page.look().redactions().isEmpty())
            return leaf;
        return new Leaf(leaf.index(), leaf.key(), leaf.number(), leaf.onlyPaper(),
                new Content.SourcePage(page.document(), page.source(), page.page(), page.look().withRedactions(List.of())));
    }

    /** {@return where the areas of the page in view are seen on it; those that are not seen are left out} */
    public List<Area> seenAreas() {
        return page().map(page -> now().redactions().stream()
                .flatMap(one -> shape(page).flatMap(shape -> Redacting.seen(shape, page.look(), one.area())).stream()).toList())
                .orElse(List.of());
    }

    /** {@return where the area that is chosen is seen} */
    public List<Area> chosenArea() {
        if (now().chosen() < 0 || page().isEmpty()) return List.of();
        Content.SourcePage page = page().get();
        return shape(page).flatMap(shape -> Redacting.seen(shape, page.look(), now().redactions().get(now().chosen()).area()))
                .stream().toList();
    }

    private Optional<PageShape> shape(Content.SourcePage page) {
        Source source = workspace.bundle().sourcesById().get(page.source());
        return source == null ? Optional.empty() : source.about().pages().shape(page.page());
    }

    /** Redacts areas of the page in view, as they are seen. */
    public void draw(List<Area> areas) {
        Optional<PageKey> key = page().flatMap(page -> leaf().key());
        if (key.isEmpty()) {
            said.set(Words.of("redact.ours"));
            return;
        }
        RedactState now = now();
        workspace.edit(bundle -> Redacting.redacted(bundle, key.get(), areas, now.reason().strip(), now.printed()));
        said.set("");
    }

    /** Redacts words of the page in view, as they are seen, line by line. */
    public void drawWords(List<List<Word>> lines) {
        List<Area> areas = Hit.areas(lines);
        if (!areas.isEmpty()) draw(areas);
    }

    /** Chooses the area at a place of the page in view, in millimetres; {@return whether there is one} */
    public boolean chooseAt(double leftMm, double topMm) {
        if (page().isEmpty()) return false;
        Content.SourcePage page = page().get();
        Optional<PageShape> shape = shape(page);
        List<Redaction> all = now().redactions();
        for (int i = all.size() - 1; i >= 0 && shape.isPresent(); i--) {
            Optional<Area> seen = Redacting.seen(shape.get(), page.look(), all.get(i).area());
            if (seen.isEmpty() || leftMm < seen.get().leftMm() || leftMm > seen.get().leftMm() + seen.get().widthMm()
                    || topMm < seen.get().topMm() || topMm > seen.get().topMm() + seen.get().heightMm())
                continue;
            choose(i);
            return true;
        }
        return false;
    }

    /** Chooses the next area of the page in view, or the one before, round and round. */
    public void step(boolean forward) {
        int count = now().redactions().size();
        if (count > 0)
            choose(now().chosen() < 0 ? (forward ? 0 : count - 1) : Math.floorMod(now().chosen() + (forward ? 1 : -1), count));
    }

    /** Chooses an area of the page in view; -1 for none. */
    public void choose(int at) {
        RedactState now = now();
        Optional<Redaction> one = at < 0 ? Optional.empty() : Optional.of(now.redactions().get(at));
        state.set(new RedactState(now.isOn(), now.page(), now.redactions(), at, one.map(Redaction::reason).orElse(now.reason()),
                one.map(Redaction::printed).orElse(now.printed()), now.walk()));
    }

    /** Takes the reason for what is redacted next, and gives it to the area that is chosen. */
    public void reason(String words, boolean printed) {
        RedactState now = now();
        if (words.equals(now.reason()) && printed == now.printed()) return;
        state.set(new RedactState(now.isOn(), now.page(), now.redactions(), now.chosen(), words, printed, now.walk()));
        Optional<PageKey> key = leaf().key();
        if (now.chosen() < 0 || key.isEmpty()) return;
        int chosen = now.chosen();
        Area area = now.redactions().get(chosen).area();
        workspace.edit(bundle -> Redacting.reasoned(bundle, key.get(), area, words.strip(), printed));
        if (chosen < now().redactions().size()) choose(chosen);
    }

    /** Takes back the area that is chosen, or the one that was redacted last where none is. */
    public void takeBack() {
        RedactState now = now();
        Optional<PageKey> key = leaf().key();
        if (now.redactions().isEmpty() || key.isEmpty()) return;
        Area area = (now.chosen() < 0 ? now.redactions().getLast() : now.redactions().get(now.chosen())).area();
        workspace.edit(bundle -> Redacting.takenBack(bundle, key.get(), area));
    }

    /** {@return how many areas are redacted in the bundle} */
    public int redactedAreas() {
        return workspace.plan().leaves().stream()
                .mapToInt(leaf -> leaf.content() instanceof Content.SourcePage page ? page.look().redactions().size() : 0).sum();
    }

    /** {@return on how many pages} */
    public int redactedPages() {
        return (int) workspace.plan().leaves().stream().filter(RedactDesk::isRedacted).count();
    }

    private static boolean isRedacted(Leaf leaf) {
        return leaf.content() instanceof Content.SourcePage page && !page.look().redactions().isEmpty();
    }

    /** Goes to the next page of which something is redacted, or to the one before; round and round. */
    public void goToRedacted(boolean forward) {
        int count = workspace.plan().pageCount();
        for (int far = 1; far <= count; far++) {
            int at = Math.floorMod(workspace.leaf() + (forward ? far : -far), count);
            if (!isRedacted(workspace.plan().leaf(at))) continue;
            workspace.goTo(at);
            return;
        }
    }

    /** Takes back all areas of the page in view. */
    public void takeBackPage() {
        leaf().key().ifPresent(key -> workspace.edit(bundle -> Redacting.allTakenBack(bundle, Set.of(key))));
    }

    /** Takes back all areas of the bundle. */
    public void takeBackAll() {
        Set<PageKey> keys = new HashSet<>();
        for (Leaf leaf : workspace.plan().leaves()) if (isRedacted(leaf)) leaf.key().ifPresent(keys::add);
        workspace.editSoon("edit.redactionsOff", bundle -> Redacting.allTakenBack(bundle, keys));
    }

    /**
     * Begins to go through the places where words stand, so that each is seen before it is redacted.
     *
     * @param sought the words
     * @param leaves the pages on which they stand, counted from 0
     */
    public void walk(String sought, List<Integer> leaves) {
        Plan plan = workspace.plan();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        said.set(Words.of("redact.gathering"));
        workspace.jobs().quietly(() -> Hit.all(words, sought,
                leaves.stream().filter(at -> at < plan.pageCount()).map(plan::leaf).toList(), sources), hits -> {
                    said.set(hits.isEmpty() ? Words.of("redact.noHits", sought) : "");
                    RedactState now = now();
                    state.set(new RedactState(true, now.page(), now.redactions(), -1, now.reason(), now.printed(),
                            hits.isEmpty() ? Optional.empty() : Optional.of(new Walk(hits, 0, 0))));
                    goToHit();
                }, failure -> said.set(""));
    }

    private void goToHit() {
        now().walk().ifPresent(walk -> {
            for (Leaf leaf : workspace.plan().leaves()) {
                if (leaf.key().filter(walk.hit().page()::equals).isEmpty()) continue;
                workspace.goTo(leaf.index());
                return;
            }
        });
    }

    /** {@return where the hit that is looked at is seen, if its page is in view} */
    public List<Area> hitAreas() {
        return now().walk().filter(walk -> leaf().key().filter(walk.hit().page()::equals).isPresent())
                .map(walk -> walk.hit().areas()).orElse(List.of());
    }

    /** Redacts the hit that is looked at, or leaves it, and goes on to the next; after the last it says what came of it. */
    public void decide(boolean redact) {
        Optional<Walk> walk = now().walk();
        if (walk.isEmpty()) return;
        Walk its = walk.get();
        // What nobody sees is not redacted.
        if (redact && hitAreas().isEmpty()) {
            goToHit();
            return;
        }
        if (redact) {
            String reason = now().reason().strip();
            boolean printed = now().printed();
            workspace.edit(bundle -> Redacting.redacted(bundle, its.hit().page(), its.hit().areas(), reason, printed));
        }
        int redacted = its.redacted() + (redact ? 1 : 0);
        boolean isLast = its.at() + 1 == its.hits().size();
        RedactState now = now();
        state.set(new RedactState(now.isOn(), now.page(), now.redactions(), now.chosen(), now.reason(), now.printed(),
                isLast ? Optional.empty() : Optional.of(new Walk(its.hits(), its.at() + 1, redacted))));
        if (isLast) said.set(Words.of("redact.walked", redacted, its.hits().size()));
        goToHit();
    }

    /** Ends going through hits. */
    public void endWalk() {
        RedactState now = now();
        state.set(
                new RedactState(now.isOn(), now.page(), now.redactions(), now.chosen(), now.reason(), now.printed(),
                        Optional.empty()));
    }

    /** Writes the schedule of redactions, in the background. */
    public void writeSchedule(Path target) {
        Plan plan = workspace.plan();
        workspace.jobs().quietly(() -> {
            try {
                return Words.of("redact.scheduled", RedactionSchedule.write(plan, target), String.valueOf(target.getFileName()));
            } catch (FindingException refused) {
                return String.valueOf(refused.getMessage());
            }
        }, said::set);
    }
}
