package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.BundleWords.Found;
import app.yellowtab.find.EntryFinder;
import app.yellowtab.find.WordFinder;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Finds words in the bundle, and steps through what was found. Knows no node. For the JavaFX thread. */
final class FindDesk {
    /** More hits than this are not counted one by one. */
    private static final int MOST = 5_000;
    /** More than this nobody reads through. */
    private static final int MOST_SHOWN = 500;

    /**
     * How a search stands.
     *
     * @param sought   what is looked for; empty for nothing
     * @param found    by now, page by page, in order
     * @param current  the hit that is looked at, counted from 0 among all; -1 for none
     * @param searches whether there are pages to be searched yet
     * @param unread   how many files could not be searched
     */
    record FindState(String sought, List<Found> found, int current, boolean searches, int unread) {
        static final FindState NOTHING = new FindState("", List.of(), -1, false, 0);

        /** {@return how many hits there are} */
        int count() {
            return found.stream().mapToInt(one -> one.hits().size()).sum();
        }

        /** {@return the words around each of the hits on a page} */
        List<String> on(int leaf) {
            return found.stream().filter(one -> one.leaf() == leaf).findFirst().map(Found::hits).orElse(List.of());
        }

        /** {@return the page with a hit, and which of those on it this is} */
        private Optional<At> at(int hit) {
            int before = 0;
            for (Found one : found) {
                if (hit < before + one.hits().size()) return hit < before ? Optional.empty()
                        : Optional.of(new At(one.leaf(), hit - before, one.hits().get(hit - before)));
                before += one.hits().size();
            }
            return Optional.empty();
        }

        /** {@return what is looked at; empty for nothing} */
        Optional<At> looked() {
            return current < 0 ? Optional.empty() : at(current);
        }
    }

    /** A line of what was found. */
    sealed interface Row {
        /** The page that bears the number which was typed. */
        record ToPage(int leaf, String number) implements Row {}

        /** An entry whose title, description or date says it. */
        record Entry(PlannedEntry entry) implements Row {}

        /** A document in whose pages it stands, so many times. */
        record Within(String title, int count) implements Row {}

        /** One place, with the words around; counted from 0 among all. */
        record Place(int hit, String number, String around) implements Row {}
    }

    /** A hit on a page; {@code nth} of those on it, counted from 0, with the words around it. */
    record At(int leaf, int nth, String around) {}

    private final Workspace workspace;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<FindState> state = new ReadOnlyObjectWrapper<>(this, "state", FindState.NOTHING);
    private final Subscription subscription;
    private Jobs.@Nullable Job job;
    private int asked;
    private List<Source> learned = List.of();
    private boolean learns;
    private volatile boolean gone;

    FindDesk(Workspace workspace, BundleWords words) {
        this.workspace = workspace;
        this.words = words;
        // Pages move while one works: what was found stands elsewhere then.
        subscription = workspace.onPlan(plan -> {
            learn();
            again();
        });
        learn();
    }

    void dispose() {
        gone = true;
        subscription.unsubscribe();
        stop();
    }

    ReadOnlyObjectProperty<FindState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    private void stop() {
        asked++;
        if (job != null) job.stop();
        job = null;
    }

    /**
     * {@return what was found, by document: the page of the number that was typed, entries that say it, then the places in the
     * documents}
     */
    List<Row> rows() {
        FindState now = state.get();
        Plan plan = workspace.plan();
        if (now.sought().isEmpty()) return List.of();
        List<Row> rows = new ArrayList<>();
        plan.leafNumbered(now.sought()).ifPresent(leaf -> rows.add(new Row.ToPage(leaf.index(), leaf.label())));
        for (PlannedEntry entry : new EntryFinder(now.sought(), workspace.bundle().reading().monthFirst()).in(plan))
            rows.add(new Row.Entry(entry));
        int hit = 0;
        int head = -1;
        String before = "";
        for (Found one : now.found()) {
            if (one.leaf() >= plan.pageCount()) break;
            String document = plan.entryAt(one.leaf()).map(PlannedEntry::title).orElse("");
            if (head < 0 || !document.equals(before)) {
                head = rows.size();
                rows.add(new Row.Within(document, 0));
            }
            before = document;
            rows.set(head, new Row.Within(document, ((Row.Within) rows.get(head)).count() + one.hits().size()));
            for (String around : one.hits()) rows.add(new Row.Place(hit++, plan.leaf(one.leaf()).label(), around));
            if (hit > MOST_SHOWN) break;
        }
        return rows;
    }

    /** Goes to what a line stands for. */
    void goTo(Row row) {
        FindState now = state.get();
        switch (row) {
            case Row.ToPage page -> workspace.goTo(page.leaf());
            case Row.Entry entry -> workspace.goTo(entry.entry().span().first());
            case Row.Within document -> {}
            case Row.Place place -> {
                state.set(new FindState(now.sought(), now.found(), place.hit(), now.searches(), now.unread()));
                now.at(place.hit()).ifPresent(at -> workspace.goTo(at.leaf()));
            }
        }
    }

    /** Has the words of files that have come made ready in the background, so that they are found at once. */
    private void learn() {
        List<Source> sources = workspace.bundle().sources();
        if (learns || sources.equals(learned)) return;
        learns = true;
        workspace.jobs().quietly(() -> {
            sources.forEach(this::learn);
            return sources;
        }, all -> {
            learns = false;
            learned = all;
            if (!gone) learn();
        }, failure -> {
            learns = false;
            learned = sources;
        });
    }

    private void learn(Source source) {
        if (gone || source.isWithoutPages()) return;
        try {
            words.learn(source.id(), () -> gone);
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(FindDesk.class).info("not made ready to be searched: {}", source.fileName(), unreadable);
        }
    }

    private void again() {
        String sought = state.get().sought();
        if (!sought.isEmpty()) search(sought, false);
    }

    /**
     * Looks for words, and goes to the first hit from the page in view on; where a number is typed, to its page. Nothing typed
     * ends it.
     */
    void search(String typed) {
        String sought = typed.strip();
        Optional<Leaf> numbered = workspace.plan().leafNumbered(sought);
        numbered.ifPresent(leaf -> workspace.goTo(leaf.index()));
        search(sought, numbered.isEmpty());
    }

    private void search(String sought, boolean goes) {
        stop();
        WordFinder finder = new WordFinder(sought);
        if (finder.isEmpty()) {
            state.set(FindState.NOTHING);
            return;
        }
        int mine = asked;
        Plan plan = workspace.plan();
        int from = workspace.leaf();
        Gathered gathered = new Gathered(sought, goes, from, mine);
        state.set(new FindState(sought, List.of(), -1, true, 0));
        job = workspace.jobs().start((progress, stop) -> words.search(plan, finder, gathered::add,
                (done, total) -> progress
                        .accept(new Jobs.JobProgress(Words.of("find.searching", sought, done, total), (double) done / total)),
                () -> stop.getAsBoolean() || gathered.isFull()), searched -> gathered.end(searched.unread()),
                failure -> gathered.end(0));
    }

    /** What one search has found by now. Pages that are found one right after the other come to the JavaFX thread together. */
    private final class Gathered {
        private final String sought;
        private final boolean goes;
        private final int from;
        private final int mine;
        private final List<Found> all = new ArrayList<>();
        private final List<Found> coming = new ArrayList<>();
        private boolean went;
        private int sum;
        private volatile int counted;

        Gathered(String sought, boolean goes, int from, int mine) {
            this.sought = sought;
            this.goes = goes;
            this.from = from;
            this.mine = mine;
        }

        /** {@return whether there is more than anybody counts; asked on any thread} */
        boolean isFull() {
            return counted >= MOST;
        }

        /** Takes a page, on any thread. */
        void add(Found found) {
            boolean first;
            synchronized (coming) {
                counted += found.hits().size();
                first = coming.isEmpty();
                coming.add(found);
            }
            if (first) workspace.jobs().later(() -> take());
        }

        private void take() {
            List<Found> taken;
            synchronized (coming) {
                taken = List.copyOf(coming);
                coming.clear();
            }
            if (mine != asked) return;
            int goesTo = -1;
            int current = state.get().current();
            for (Found one : taken) {
                if (sum >= MOST) break;
                if (goes && !went && one.leaf() >= from) {
                    went = true;
                    current = sum;
                    goesTo = one.leaf();
                }
                all.add(one);
                sum += one.hits().size();
            }
            state.set(new FindState(sought, List.copyOf(all), current, true, 0));
            if (goesTo >= 0) workspace.goTo(goesTo);
        }

        /** Ends the search, on the JavaFX thread. */
        void end(int unread) {
            take();
            if (mine != asked) return;
            // There was nothing behind the page in view: it goes on from the beginning.
            boolean round = goes && !went && !all.isEmpty();
            state.set(new FindState(sought, List.copyOf(all), round ? 0 : state.get().current(), false, unread));
            if (round) workspace.goTo(all.getFirst().leaf());
        }
    }

    /** Goes to the next hit, or the one before, round and round. */
    void step(boolean forward) {
        FindState now = state.get();
        int count = now.count();
        if (count == 0) return;
        int next = now.current() < 0 ? nearest(now) : Math.floorMod(now.current() + (forward ? 1 : -1), count);
        state.set(new FindState(now.sought(), now.found(), next, now.searches(), now.unread()));
        now.at(next).ifPresent(at -> workspace.goTo(at.leaf()));
    }

    /** {@return the first hit from the page in view on} */
    private int nearest(FindState now) {
        int before = 0;
        for (Found one : now.found()) {
            if (one.leaf() >= workspace.leaf()) return before;
            before += one.hits().size();
        }
        return 0;
    }
}
