package app.yellowtab.desktop.number;

import app.yellowtab.agree.NumberRegister;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.MarkClashes;
import app.yellowtab.finding.FindingException;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.Party;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.LeafSheet;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry.PlannedSection;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.util.Subscription;
import org.slf4j.LoggerFactory;

/** The series of numbers of a bundle, and the one that is being set. Knows no node. For the JavaFX thread. */
public final class NumberDesk {
    private static final int LETTERS = 2;

    /**
     * A series, as a sentence.
     *
     * @param id {@link Marking#BUNDLE} for the numbers that run through the bundle
     */
    public record Line(SeriesId id, String sentence) {}

    /**
     * Which pages may bear the numbers of a series.
     *
     * @param section empty for all pages of files
     */
    public record Scope(Optional<EntryId> section, String words) {
        @Override
        public String toString() {
            return words;
        }
    }

    /**
     * How it stands.
     *
     * @param spot    where the numbers of the chosen series stand
     * @param first   as it was typed; empty for the bundle's own
     * @param scope   whose pages bear them
     * @param scopes  all that can be chosen
     * @param onCover whether the cover shows its number
     * @param isMoved whether a number of the series stands elsewhere on the page in view
     * @param fixed   how many numbers were issued
     * @param count   how many there are
     */
    public record State(List<Line> lines, SeriesId chosen, Spot spot, MarkLook look, String first, Scope scope, List<Scope> scopes, boolean onCover, boolean isMoved, int fixed, int count) {
        public State {
            lines = List.copyOf(lines);
            scopes = List.copyOf(scopes);
        }

        /** {@return whether the numbers that run through the bundle are chosen} */
        public boolean isBundle() {
            return chosen.equals(Marking.BUNDLE);
        }
    }

    private final Workspace workspace;
    private final BundleWords words;
    private final ReadOnlyObjectWrapper<State> state;
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
    private final Subscription subscription;
    private SeriesId chosen = Marking.BUNDLE;

    public NumberDesk(Workspace workspace) {
        this.workspace = workspace;
        this.words = new BundleWords(workspace.folder());
        state = new ReadOnlyObjectWrapper<>(this, "state", made());
        subscription = Subscription.combine(workspace.onPlan(plan -> show()), workspace.onLeaf(leaf -> show()));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what is wrong with what was typed, or what came of what was asked for} */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    private void show() {
        state.set(made());
    }

    private State made() {
        Bundle bundle = workspace.bundle();
        Plan plan = workspace.plan();
        List<Line> lines = new ArrayList<>();
        BundleNumber number = bundle.numbering().bundle();
        lines.add(new Line(Marking.BUNDLE, Words.of("number.bundleLine", plan.leaf(0).label(), plan.lastNumber(), place(number.spot()))));
        for (Marking.PlannedSeries series : plan.marking().series()) {
            lines.add(new Line(series.id(), series.count() == 0 ? Words.of("number.seriesNone", first(bundle, series.id()), place(series.spot()))
                    : Words.of("number.seriesLine", series.first().orElse(""), series.highest(), place(series.spot()))));
        }
        Optional<Series> its = series(bundle);
        if (its.isEmpty()) chosen = Marking.BUNDLE;
        List<Scope> scopes = new ArrayList<>(List.of(new Scope(Optional.empty(), Words.of("number.allPages"))));
        plan.entries().stream().filter(PlannedSection.class::isInstance).map(PlannedSection.class::cast).forEach(section -> scopes.add(new Scope(Optional.of(section.id()), section.label() + ". " + section.title())));
        Optional<EntryId> of = its.flatMap(series -> series.entries().stream().findFirst());
        Scope scope = scopes.stream().filter(one -> one.section().equals(of)).findFirst().orElse(scopes.getFirst());
        Optional<PageKey> page = plan.leaf(Math.min(workspace.leaf(), plan.pageCount() - 1)).key();
        boolean moved = bundle.numbering().moves().stream().anyMatch(move -> move.series().equals(chosen) && page.filter(move.page()::equals).isPresent());
        Optional<Marking.PlannedSeries> planned = plan.marking().series().stream().filter(one -> one.id().equals(chosen)).findFirst();
        return new State(lines, chosen, its.map(Series::spot).orElse(number.spot()), its.map(Series::look).orElse(number.look()), its.map(Series::first).orElse(""), scope, scopes, number.onCover(), moved,
                planned.map(Marking.PlannedSeries::fixed).orElse(0), planned.map(Marking.PlannedSeries::count).orElse(0));
    }

    private static String first(Bundle bundle, SeriesId id) {
        return bundle.numbering().series().stream().filter(one -> one.id().equals(id)).map(Series::first).findFirst().orElse("");
    }

    private Optional<Series> series(Bundle bundle) {
        return bundle.numbering().series().stream().filter(one -> one.id().equals(chosen)).findFirst();
    }

    /** {@return a place in words, such as "bottom right"} */
    static String place(Spot spot) {
        return Words.of("number.place." + spot.row().name() + "." + spot.column().name());
    }

    /** Chooses a series to be set. */
    public void choose(SeriesId id) {
        chosen = id;
        said.set("");
        show();
    }

    private void change(UnaryOperator<BundleNumber> number, UnaryOperator<Series> others) {
        said.set("");
        workspace.edit(bundle -> series(bundle).map(series -> NumberEdits.with(bundle, others.apply(series))).orElseGet(() -> NumberEdits.withNumber(bundle, number.apply(bundle.numbering().bundle()))));
    }

    /** Puts the numbers of the chosen series elsewhere, on all pages. */
    public void put(Spot spot) {
        change(number -> new BundleNumber(spot, number.look(), number.onCover()), series -> new Series(series.id(), series.style(), series.first(), spot, series.look(), series.entries(), series.sources()));
    }

    /** Puts the number of the chosen series elsewhere on the page in view alone; where the others have it for an empty place. */
    public void putHere(Optional<Spot> spot) {
        SeriesId id = chosen;
        workspace.plan().leaf(workspace.leaf()).key().ifPresentOrElse(page -> workspace.edit(bundle -> NumberEdits.moved(bundle, page, id, spot)), () -> said.set(Words.of("number.ours")));
    }

    /** Sets the chosen series in another size, in points. */
    public void size(double points) {
        change(number -> new BundleNumber(number.spot(), number.look().withSize((float) points), number.onCover()),
                series -> new Series(series.id(), series.style(), series.first(), series.spot(), series.look().withSize((float) points), series.entries(), series.sources()));
    }

    /** Sets the chosen series on a white ground, or not. */
    public void ground(boolean white) {
        change(number -> new BundleNumber(number.spot(), number.look().withGround(white), number.onCover()),
                series -> new Series(series.id(), series.style(), series.first(), series.spot(), series.look().withGround(white), series.entries(), series.sources()));
    }

    /** Says whether the cover shows its number. */
    public void onCover(boolean shown) {
        workspace.edit(bundle -> NumberEdits.withNumber(bundle, new BundleNumber(bundle.numbering().bundle().spot(), bundle.numbering().bundle().look(), shown)));
    }

    /** Takes the first number of the chosen series as it is typed. */
    public void first(String typed) {
        Optional<Series> series = series(workspace.bundle());
        if (series.isEmpty() || typed.strip().equals(series.get().first())) return;
        Optional<String> wrong = wrong(typed, series.get());
        if (wrong.isPresent()) {
            said.set(wrong.get());
            return;
        }
        change(number -> number, its -> new Series(its.id(), its.style(), typed.strip(), its.spot(), its.look(), its.entries(), its.sources()));
        roomLeft();
    }

    private Optional<String> wrong(String typed, Series series) {
        Optional<SerialNumber> number = SerialNumber.read(typed);
        if (number.isEmpty()) return Optional.of(Words.of("number.noNumber", typed.strip()));
        if (!series.look().hasLettersOf(typed.strip())) return Optional.of(Words.of("number.noLetters", typed.strip()));
        if (state.get().fixed() > 0) return Optional.of(Words.of("number.isFixed", state.get().fixed()));
        Plan plan = workspace.plan();
        for (Marking.PlannedSeries other : plan.marking().series()) {
            if (other.id().equals(series.id())) continue;
            Optional<SerialNumber> its = other.first().flatMap(SerialNumber::read);
            Optional<SerialNumber> last = SerialNumber.read(other.highest());
            boolean both = its.isPresent() && last.isPresent() && its.get().isLike(number.get()) && number.get().value() <= last.get().value() && its.get().value() <= number.get().value() + Math.max(0, state.get().count() - 1);
            if (both) return Optional.of(Words.of("number.twice", other.first().orElse(""), other.highest()));
        }
        return Optional.empty();
    }

    /** Says when there are more numbers than the digits that were typed have room for. */
    private void roomLeft() {
        Optional<SerialNumber> first = SerialNumber.read(state.get().first());
        if (first.isPresent() && state.get().count() > first.get().room()) said.set(Words.of("number.digits", first.get().digits(), first.get().room()));
    }

    /** Says whose pages bear the numbers of the chosen series. */
    public void scope(Scope scope) {
        if (scope.equals(state.get().scope())) return;
        change(number -> number, series -> new Series(series.id(), series.style(), series.first(), series.spot(), series.look(), scope.section().stream().toList(), List.of()));
        roomLeft();
    }

    /** Puts another series on, which counts on from one that nothing else has, and chooses it. */
    public void add() {
        Bundle bundle = workspace.bundle();
        String prefix = bundle.heading().parties().stream().findFirst().map(Party::name).map(NumberDesk::initials).orElse("A");
        String first = prefix + "-000001";
        for (int n = 2; isTaken(bundle, first); n++) first = prefix + n + "-000001";
        Series series = new Series(SeriesId.fresh(), NumberStyle.FIGURES, first, Spot.OPPOSITE, MarkLook.SERIES, List.of(), List.of());
        chosen = series.id();
        said.set("");
        workspace.edit(now -> NumberEdits.with(now, series));
    }

    private static boolean isTaken(Bundle bundle, String first) {
        return bundle.numbering().series().stream().anyMatch(one -> SerialNumber.read(one.first()).filter(its -> its.isLike(SerialNumber.read(first).orElseThrow())).isPresent());
    }

    private static String initials(String name) {
        StringBuilder initials = new StringBuilder();
        for (String word : name.strip().split("\\s+")) if (!word.isEmpty() && initials.length() < LETTERS && Character.isLetter(word.charAt(0)) && word.charAt(0) < 128) initials.append(Character.toUpperCase(word.charAt(0)));
        return initials.isEmpty() ? "A" : initials.toString();
    }

    /** Takes the chosen series off again. */
    public void takeOff() {
        SeriesId id = chosen;
        chosen = Marking.BUNDLE;
        workspace.edit(bundle -> NumberEdits.without(bundle, id));
    }

    /** Gives the pages the numbers that they bear at present for ever. */
    public void issue() {
        SeriesId id = chosen;
        int count = state.get().count();
        Plan plan = workspace.plan();
        workspace.editSoon(bundle -> NumberEdits.issued(bundle, id, plan.numbersOf(bundle, id)), () -> said.set(Words.of("number.issued", count)));
    }

    /** Writes which page bears which number, in the background. */
    public void writeRegister(Path target) {
        Plan plan = workspace.plan();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        SeriesId id = chosen;
        workspace.jobs().quietly(() -> {
            try {
                return Words.of("number.registered", NumberRegister.write(plan, sources, id, target), String.valueOf(target.getFileName()));
            } catch (FindingException refused) {
                return String.valueOf(refused.getMessage());
            }
        }, said::set);
    }

    /** Goes to the next page on which a number stands on words, round and round; what pages say is read in the background. */
    public void nextClash() {
        Plan plan = workspace.plan();
        int from = workspace.leaf();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        said.set("");
        workspace.jobs().start((progress, stop) -> {
            for (int far = 1; far <= plan.pageCount() && !stop.getAsBoolean(); far++) {
                Leaf leaf = plan.leaf((from + far) % plan.pageCount());
                progress.accept(new Jobs.State(Words.of("number.looking", far, plan.pageCount()), (double) far / plan.pageCount()));
                Optional<Found> found = clash(plan, leaf, sources);
                if (found.isPresent()) return found;
            }
            return Optional.<Found>empty();
        }, found -> {
            found.ifPresent(clash -> workspace.goTo(clash.leaf()));
            said.set(found.map(clash -> Words.of("number.clash", clash.number(), clash.words())).orElse(Words.of("number.noClash")));
        }, failure -> said.set(String.valueOf(failure.getMessage())));
    }

    /** A number that stands on words. */
    private record Found(int leaf, String number, String words) {}

    private Optional<Found> clash(Plan plan, Leaf leaf, Map<SourceId, Source> sources) {
        try {
            return MarkClashes.on(plan, leaf, sources, words).map(clash -> new Found(leaf.index(), clash.mark().words(), clash.words()));
        } catch (IOException | RuntimeException | Error unreadable) {
            LoggerFactory.getLogger(NumberDesk.class).info("not looked at: {}", leaf.index(), unreadable);
            return Optional.empty();
        }
    }

    /** Goes to the next landscape page, round and round. */
    public void nextLandscape() {
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        next(leaf -> LeafSheet.of(leaf, sources).filter(NumberDesk::isLandscape).isPresent(), "number.noLandscape");
    }

    /** Goes to the next page that was turned, straightened, cropped or brought to another sheet, round and round. */
    public void nextLooked() {
        next(leaf -> leaf.content() instanceof Content.SourcePage page && !page.look().isPlain(), "number.noLooked");
    }

    private static boolean isLandscape(Sheet sheet) {
        return sheet.widthMm() > sheet.heightMm();
    }

    private void next(Predicate<Leaf> wanted, String none) {
        Plan plan = workspace.plan();
        for (int far = 1; far <= plan.pageCount(); far++) {
            int at = (workspace.leaf() + far) % plan.pageCount();
            if (!wanted.test(plan.leaf(at))) continue;
            workspace.goTo(at);
            return;
        }
        said.set(Words.of(none));
    }
}
