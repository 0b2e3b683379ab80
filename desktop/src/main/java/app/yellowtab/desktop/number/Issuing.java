package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.register.MatterRegister;
import app.yellowtab.register.NumberRegister;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Gives the numbers of the chosen series for ever, and takes them back. For the JavaFX thread. */
public final class Issuing {
    /** Whose numbers are taken back. */
    public enum Of { PAGE, DOCUMENT, ALL }

    private final NumberDesk desk;
    private final Workspace workspace;

    Issuing(NumberDesk desk, Workspace workspace) {
        this.desk = desk;
        this.workspace = workspace;
    }

    /**
     * Gives the pages the numbers that they bear at present for ever, and enters them in the matter's register where there is
     * one.
     */
    public void issue() {
        NumberState state = desk.stateProperty().get();
        SeriesId id = state.chosen();
        if (state.alike().isPresent()) {
            desk.say(Words.of("number.alikeFirst"));
            return;
        }
        int count = state.count();
        Plan plan = workspace.plan();
        Bundle bundle = workspace.bundle();
        Optional<Path> register = register(bundle);
        if (register.isEmpty()) {
            workspace.promiseSoon("edit.issue", now -> NumberEdits.issued(now, plan.numbersOf(bundle, id)),
                    worked -> desk.say(Words.of(worked ? "number.issued" : "cut.unexpected", count)));
            return;
        }
        String bundleId = workspace.folder().id();
        workspace.jobs().start((progress, stop) -> {
            List<GivenNumber> numbers = plan.numbersOf(bundle, id);
            workspace.folder().keepId();
            MatterRegister.enter(register.get(), MatterRegister.spans(numbers, bundleId, title(bundle), LocalDate.now()));
            return numbers;
        }, numbers -> workspace.promiseSoon("edit.issue", now -> NumberEdits.issued(now, numbers),
                worked -> desk.say(Words.of(worked ? "number.issued" : "cut.unexpected", count))), this::failed);
    }

    private static String title(Bundle bundle) {
        return bundle.heading().title().isBlank() ? Words.of("produce.defaultName") : bundle.heading().title();
    }

    /** {@return numbers of the chosen series that pages have for ever} */
    public List<GivenNumber> issued(Of of) {
        SeriesId id = desk.stateProperty().get().chosen();
        Set<String> words = of == Of.ALL ? Set.of() : words(id, of);
        return workspace.bundle().numbering().given().stream()
                .filter(given -> given.series().equals(id) && (of == Of.ALL || words.contains(given.number()))).toList();
    }

    /** {@return the numbers of a series on the page in view, or on those of its document} */
    private Set<String> words(SeriesId id, Of of) {
        Plan plan = workspace.plan();
        int leaf = Math.min(workspace.leaf(), plan.pageCount() - 1);
        Optional<PlannedEntry.Span> document = of == Of.PAGE ? Optional.empty()
                : plan.entryAt(leaf).filter(PlannedEntry.PlannedDocument.class::isInstance).map(PlannedEntry::span);
        int last = document.map(PlannedEntry.Span::last).orElse(leaf);
        Set<String> words = new HashSet<>();
        for (Marking.PlannedSeries series : plan.marking().series()) {
            if (!series.id().equals(id)) continue;
            for (int at = document.map(PlannedEntry.Span::first).orElse(leaf); at <= last; at++) words.add(series.words(at));
        }
        return words;
    }

    /** Takes numbers back that pages have for ever, in the matter's register first; no page gets them again. */
    public void takeBack(Of of) {
        List<GivenNumber> numbers = issued(of);
        if (numbers.isEmpty()) return;
        Bundle bundle = workspace.bundle();
        String bundleId = workspace.folder().id();
        workspace.jobs().start((progress, stop) -> {
            Optional<Path> register = register(bundle);
            if (register.isPresent()) {
                workspace.folder().keepId();
                MatterRegister.takeBack(register.get(),
                        MatterRegister.spans(numbers, bundleId, title(bundle), LocalDate.now()), LocalDate.now());
            }
            return numbers.stream().map(GivenNumber::number).distinct().count();
        }, count -> workspace.promiseSoon("edit.takeBack", now -> NumberEdits.takenBack(now, numbers),
                worked -> desk.say(Words.of(worked ? "number.takenBack" : "cut.unexpected", count))), this::failed);
    }

    /** {@return the file in which all bundles of the matter keep which numbers they gave; empty for none} */
    private Optional<Path> register(Bundle bundle) {
        return MatterRegister.of(bundle, workspace.folder().path());
    }

    private void failed(Throwable failure) {
        desk.say(failure instanceof FindingException ? String.valueOf(failure.getMessage()) : Words.of("cut.unexpected"));
    }

    /**
     * Names the file in which all bundles of the matter keep which numbers they gave, and makes it where there is none; no file
     * for an empty one.
     */
    public void register(Optional<Path> file) {
        desk.say("");
        if (file.isEmpty()) {
            workspace.edit(bundle -> bundle.withNumbering(bundle.numbering().withRegister("")));
            return;
        }
        Path named = file.get();
        workspace.jobs().start((progress, stop) -> {
            MatterRegister.begin(named);
            return MatterRegister.named(named, workspace.folder().path());
        }, name -> workspace.edit(bundle -> bundle.withNumbering(bundle.numbering().withRegister(name))), this::failed);
    }

    /** Begins the chosen series behind the last number that any bundle of the matter gave. */
    public void goOn() {
        Optional<Path> register = register(workspace.bundle());
        Optional<SerialNumber> like = desk.stateProperty().get().series().flatMap(series -> SerialNumber.read(series.first()));
        if (register.isEmpty() || like.isEmpty()) return;
        workspace.jobs().start((progress, stop) -> MatterRegister.next(MatterRegister.read(register.get()), like.get()),
                next -> next.ifPresentOrElse(number -> desk.first(number.shown()),
                        () -> desk.say(Words.of("number.noneGiven", like.get().prefix() + "…" + like.get().suffix()))),
                this::failed);
    }

    /** Writes which page bears which number, in the background. */
    public void writeRegister(Path target) {
        Plan plan = workspace.plan();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        SeriesId id = desk.stateProperty().get().chosen();
        workspace.jobs().quietly(() -> {
            try {
                return Words.of("number.registered", NumberRegister.write(plan, sources, id, target),
                        String.valueOf(target.getFileName()));
            } catch (FindingException refused) {
                return String.valueOf(refused.getMessage());
            }
        }, desk::say);
    }
}
