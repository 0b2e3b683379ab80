package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.mark.NumberWords;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.leaf.NumberRanges;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Party;
import app.yellowtab.model.number.AlikeFiles;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.SystemFace;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.util.Subscription;

/** The numbers and lines of a bundle, and the one that is being set. Knows no node. For the JavaFX thread. */
public final class NumberDesk {
    private static final int LETTERS = 2;

    private final Workspace workspace;
    private final ReadOnlyObjectWrapper<NumberState> state;
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
    private final Subscription subscription;
    private SeriesId chosen = Marking.BUNDLE;
    private final SamePages alike = new SamePages();
    private final Issuing issuing;

    public NumberDesk(Workspace workspace) {
        this.workspace = workspace;
        issuing = new Issuing(this, workspace);
        state = new ReadOnlyObjectWrapper<>(this, "state", made());
        subscription = Subscription.combine(workspace.onPlan(plan -> show()), workspace.onLeaf(leaf -> show()));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<NumberState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what is wrong with what was typed, or what came of what was asked for} */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** {@return what gives numbers for ever, and takes them back} */
    public Issuing issuing() {
        return issuing;
    }

    /** Says something of what is being set. */
    public void say(String words) {
        said.set(words);
    }

    private void show() {
        state.set(made());
    }

    private NumberState made() {
        Bundle bundle = workspace.bundle();
        Plan plan = workspace.plan();
        int leaf = Math.min(workspace.leaf(), plan.pageCount() - 1);
        Optional<Series> series = bundle.numbering().series().stream().filter(one -> one.id().equals(chosen)).findFirst();
        Optional<RunningLine> line = bundle.numbering().lines().stream().filter(one -> one.id().equals(chosen)).findFirst();
        if (series.isEmpty() && line.isEmpty()) chosen = Marking.BUNDLE;
        BundleNumber number = bundle.numbering().bundle();
        PageKey page = plan.leaf(leaf).name();
        boolean moved = bundle.numbering().moves().stream()
                .anyMatch(move -> move.series().equals(chosen) && move.page().equals(page));
        Optional<Marking.PlannedSeries> planned =
                plan.marking().series().stream().filter(one -> one.id().equals(chosen)).findFirst();
        MarkSetting setting = series.map(Series::setting).or(() -> line.map(RunningLine::setting)).orElse(number.setting());
        String notice = series.isEmpty() && line.isEmpty() ? NumberWords.notice(number, plan) : "";
        Face face = setting.look().face();
        if (!face.isPresent()) notice = Words.of("number.noFace", face instanceof SystemFace system ? system.name() : face.key());
        return new NumberState(NumberWords.sentences(bundle, plan, leaf), chosen, setting, number, series, line, moved,
                planned.map(Marking.PlannedSeries::fixed).orElse(0), planned.map(Marking.PlannedSeries::count).orElse(0),
                NumberWords.indexUsed(plan),
                planned.filter(one -> series.isPresent()).flatMap(one -> alike.asked(bundle, plan, one)),
                notice);
    }

    /** Says whether two files with the same pages are one document, whose copies bear the same numbers. */
    public void answerAlike(NumberState.Alike files, boolean oneDocument) {
        said.set("");
        workspace.edit(bundle -> NumberEdits.alike(bundle, new AlikeFiles(files.one(), files.other(), oneDocument)));
    }

    /** Chooses a series or line to be set. */
    public void choose(SeriesId id) {
        chosen = id;
        said.set("");
        show();
    }

    /** Sets the chosen marks in another way. */
    public void set(UnaryOperator<MarkSetting> change) {
        SeriesId id = chosen;
        said.set("");
        workspace.edit(bundle -> NumberEdits.set(bundle, id, change));
    }

    /** Puts the chosen marks elsewhere, on all pages. */
    public void put(Spot spot) {
        set(setting -> setting.withSpot(spot));
    }

    /** Puts the chosen mark elsewhere on the page in view alone; where the others have it for an empty place. */
    public void putHere(Optional<Spot> spot) {
        SeriesId id = chosen;
        PageKey page = workspace.plan().leaf(workspace.leaf()).name();
        workspace.edit(bundle -> NumberEdits.moved(bundle, page, id, spot));
    }

    /** Gives the chosen marks another look. */
    public void look(UnaryOperator<MarkLook> change) {
        set(setting -> setting.withLook(change.apply(setting.look())));
    }

    /** Says which pages bear the chosen marks. */
    public void pages(MarkedPages pages) {
        if (pages.equals(state.get().setting().pages())) return;
        Optional<String> mistake = NumberRanges.read(pages.numbers(), workspace.plan().leaves()).mistake();
        if (mistake.isPresent()) {
            said.set(Words.of("number.noPages", mistake.get()));
            return;
        }
        set(setting -> setting.withPages(pages));
        roomLeft();
    }

    /** Changes how the numbers are counted and written that run through the bundle. */
    public void number(UnaryOperator<BundleNumber> change) {
        said.set("");
        workspace.edit(bundle -> NumberEdits.withNumber(bundle, change.apply(bundle.numbering().bundle())));
    }

    /** Takes the first number of the bundle as it is typed. */
    public void start(String typed) {
        BundleNumber number = state.get().number();
        Optional<Integer> start =
                typed.strip().matches("\\d{1,7}") ? Optional.of(Integer.parseInt(typed.strip())) : Optional.empty();
        if (start.isEmpty() || start.get() < number.style().least()) said.set(Words.of("number.noStart", typed.strip(),
                String.valueOf(number.style().least()), String.valueOf(BundleNumber.LARGEST_START)));
        else number(its -> its.withStart(start.get()));
    }

    /** Takes the first number of the chosen series as it is typed. */
    public void first(String typed) {
        Optional<Series> series = state.get().series();
        if (series.isEmpty() || typed.strip().equals(series.get().first())) return;
        Optional<String> wrong = wrong(typed, series.get());
        if (wrong.isPresent()) {
            said.set(wrong.get());
            return;
        }
        said.set("");
        workspace.edit(bundle -> NumberEdits.with(bundle, series.get().withFirst(typed.strip())));
        roomLeft();
    }

    private Optional<String> wrong(String typed, Series series) {
        Optional<SerialNumber> number = SerialNumber.read(typed);
        if (number.isEmpty()) return Optional.of(Words.of("number.noNumber", typed.strip()));
        if (!series.setting().look().hasLettersOf(typed.strip())) return Optional.of(Words.of("number.noLetters", typed.strip()));
        if (state.get().fixed() > 0) return Optional.of(Words.of("number.isFixed", state.get().fixed()));
        for (Marking.PlannedSeries other : workspace.plan().marking().series()) {
            if (other.id().equals(series.id())) continue;
            Optional<SerialNumber> its = other.first().flatMap(SerialNumber::read);
            Optional<SerialNumber> last = SerialNumber.read(other.highest());
            boolean both = its.isPresent() && last.isPresent() && its.get().isLike(number.get())
                    && number.get().value() <= last.get().value()
                    && its.get().value() <= number.get().value() + Math.max(0, state.get().count() - 1);
            if (both) return Optional.of(Words.of("number.twice", other.first().orElse(""), other.highest()));
        }
        return Optional.empty();
    }

    /** Says when there are more numbers than the digits that were typed have room for. */
    private void roomLeft() {
        Optional<SerialNumber> first = state.get().series().flatMap(series -> SerialNumber.read(series.first()));
        if (first.isPresent() && state.get().count() > first.get().room())
            said.set(Words.of("number.digits", first.get().digits(), first.get().room()));
    }

    /** Puts another series on, which counts on from one that nothing else has, and chooses it. */
    public void add() {
        Bundle bundle = workspace.bundle();
        String prefix = bundle.heading().parties().stream().findFirst().map(Party::name).map(NumberDesk::initials).orElse("A");
        String first = prefix + "-000001";
        for (int n = 2; isTaken(bundle, first); n++) first = prefix + n + "-000001";
        Series series = new Series(SeriesId.fresh(), first, new MarkSetting(free(bundle), MarkLook.SERIES));
        chosen = series.id();
        said.set("");
        workspace.edit(now -> NumberEdits.with(now, series));
    }

    /** {@return a corner or edge at which nothing stands yet} */
    private static Spot free(Bundle bundle) {
        List<Spot> taken = Stream
                .of(Stream.of(bundle.numbering().bundle().setting()), bundle.numbering().series().stream().map(Series::setting),
                        bundle.numbering().lines().stream().map(RunningLine::setting))
                .flatMap(settings -> settings).map(MarkSetting::spot).toList();
        for (Spot.Row row : List.of(Spot.Row.FOOT, Spot.Row.HEAD)) {
            for (Spot.Column column : Spot.Column.values()) {
                if (taken.stream().noneMatch(spot -> spot.row() == row && spot.column() == column))
                    return new Spot(row, column, Spot.OPPOSITE.across(), Spot.OPPOSITE.down());
            }
        }
        return Spot.OPPOSITE;
    }

    private static boolean isTaken(Bundle bundle, String first) {
        return bundle.numbering().series().stream().anyMatch(one -> SerialNumber.read(one.first())
                .filter(its -> its.isLike(SerialNumber.read(first).orElseThrow())).isPresent());
    }

    private static String initials(String name) {
        StringBuilder initials = new StringBuilder();
        for (String word : name.strip().split("\\s+"))
            if (!word.isEmpty() && initials.length() < LETTERS && Character.isLetter(word.charAt(0)) && word.charAt(0) < 128)
                initials.append(Character.toUpperCase(word.charAt(0)));
        return initials.isEmpty() ? "A" : initials.toString();
    }

    /** Puts a line on that says whose bundle it is, where none stands yet, and chooses it. */
    public void addLine() {
        List<RunningLine> lines = workspace.bundle().numbering().lines();
        Spot spot = Spot.LINE;
        if (lines.stream().anyMatch(line -> line.setting().spot().equals(Spot.LINE)))
            spot = new Spot(Spot.Row.FOOT, Spot.Column.MIDDLE, Spot.LINE.across(), Spot.LINE.down());
        RunningLine line = new RunningLine(SeriesId.fresh(), new MarkSetting(spot, MarkLook.LINE),
                List.of(LinePart.Field.of(LineField.BUNDLE_TITLE)));
        chosen = line.id();
        said.set("");
        workspace.edit(now -> NumberEdits.with(now, line));
    }

    /** Gives the chosen line other words. */
    public void parts(List<LinePart> parts) {
        Optional<RunningLine> line = state.get().line();
        if (line.isEmpty() || line.get().parts().equals(parts)) return;
        said.set("");
        boolean missing = parts.stream().anyMatch(
                part -> part instanceof LinePart.Typed typed && !line.get().setting().look().hasLettersOf(typed.words()));
        workspace.edit(bundle -> NumberEdits.with(bundle, line.get().withParts(parts)));
        if (missing) said.set(Words.of("line.noLetters"));
    }

    /** Sets numbers and lines as they were kept. */
    public void use(NumberPreset preset) {
        chosen = Marking.BUNDLE;
        said.set("");
        workspace.edit(preset::on);
    }

    /** Takes the chosen series or line off again. */
    public void takeOff() {
        SeriesId id = chosen;
        int issued = state.get().fixed();
        chosen = Marking.BUNDLE;
        workspace.edit(bundle -> NumberEdits.without(bundle, id));
        if (issued > 0) said.set(Words.of("number.stayIssued", issued));
    }
}
