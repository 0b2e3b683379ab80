package app.yellowtab.desktop.table;

import app.yellowtab.deliver.PageFiles;
import app.yellowtab.deliver.PageName;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.table.PagesDesk.Shown;
import app.yellowtab.desktop.work.BundleState;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.page.PageSpot;
import app.yellowtab.edit.page.Redacting;
import app.yellowtab.edit.page.Spreads;
import app.yellowtab.edit.page.ToSheet;
import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import app.yellowtab.files.FileNames;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.Intake;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.sets.Excerpt;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * What takes more than a word to be done with the pages that are chosen: blanks, pages of files, other sheets, files of their
 * own. Knows no node. For the JavaFX thread.
 */
public final class PagesWork {

    private final Workspace workspace;
    private final Intakes intakes;
    private final PagesDesk desk;

    public PagesWork(Workspace workspace, Intakes intakes, PagesDesk desk) {
        this.workspace = workspace;
        this.intakes = intakes;
        this.desk = desk;
    }

    /** Where pages are put. */
    public enum Where { BEFORE, BEHIND, BEHIND_DOCUMENTS, INSTEAD }

    /** {@return the places of what is chosen, counted from 1, in order} */
    private List<Integer> places() {
        Shown now = desk.shownProperty().get();
        return IntStream.rangeClosed(1, now.leaves().size()).filter(now::isChosen).boxed().toList();
    }

    /** {@return whether anything is chosen} */
    public boolean hasChosen() {
        return !desk.shownProperty().get().chosen().isEmpty();
    }

    /**
     * Puts blank pages before or behind each page that is chosen, or behind each document that has one; each as large as the page
     * it stands beside.
     *
     * @param tint  as {@link BlankLook} has it
     * @param words that stand in their middle; may be empty
     */
    public void blanks(Where where, int count, String tint, String words) {
        Shown now = desk.shownProperty().get();
        Map<SourceId, Source> sources = workspace.bundle().sourcesById();
        List<Integer> at = new ArrayList<>();
        for (int place : places()) {
            boolean goesOn = !at.isEmpty() && now.document(at.getLast()) == now.document(place);
            if (where == Where.BEHIND_DOCUMENTS && goesOn) at.removeLast();
            at.add(place);
        }
        if (at.isEmpty()) return;
        workspace.editSoon("edit.blanks", bundle -> {
            Bundle with = bundle;
            for (int place : at.reversed()) {
                Sheet sheet = LeafSheet.of(now.leaves().get(place - 1), sources).orElse(Sheet.A4);
                PageSpot spot = where == Where.BEHIND_DOCUMENTS
                        ? new PageSpot(now.documents().get(now.document(place)).id(), Optional.empty())
                        : now.spot(place, where == Where.BEFORE);
                with = PageEdits.inserted(with, spot, List
                        .of(new BlankPages(RunId.fresh(), count, new BlankLook(sheet, tint, words), true, BlankPages.Sets.BOTH)));
            }
            return with;
        });
    }

    /**
     * Brings a file in and puts its pages before what is chosen, behind it, or in its place.
     *
     * @param typed the pages, such as "1, 3-5"; blank for all
     * @param said  is told what came of it
     */
    public void insert(Path file, String typed, Where where, Consumer<String> said) {
        List<Integer> places = places();
        if (places.isEmpty()) {
            said.accept(Words.of("insert.none"));
            return;
        }
        Shown now = desk.shownProperty().get();
        PageSpot spot = where == Where.BEFORE ? now.spot(places.getFirst(), true) : now.spot(places.getLast(), false);
        Set<PageKey> instead = now.chosen();
        insert(List.of(file), typed, where == Where.INSTEAD ? (bundle, runs) -> PageEdits.replaced(bundle, instead, runs)
                : (bundle, runs) -> PageEdits.inserted(bundle, spot, runs), said);
    }

    /** Brings files in and puts their pages, in the order of the files, before a page or behind it. */
    public void insertAt(List<Path> files, int place, boolean before) {
        PageSpot spot = desk.shownProperty().get().spot(place, before);
        if (!files.isEmpty()) insert(files, "", (bundle, runs) -> PageEdits.inserted(bundle, spot, runs), words -> {});
    }

    /** Puts pages into a bundle. */
    @FunctionalInterface
    private interface Putting {
        Bundle put(Bundle bundle, List<Run> runs);
    }

    private void insert(List<Path> files, String typed, Putting putting, Consumer<String> said) {
        AtomicReference<String> result = new AtomicReference<>("");
        String name = String.valueOf(files.getFirst().getFileName());
        intakes.bringIn(files, taken -> putting(taken, typed, putting, name, result),
                taken -> said.accept(result.get()));
    }

    private static UnaryOperator<Bundle> putting(Intake.Taken taken, String typed, Putting putting, String name,
            AtomicReference<String> said) {
        List<Source> sources = taken.sources().stream().filter(source -> !source.isWithoutPages()).toList();
        if (sources.isEmpty()) {
            said.set(Words.of("insert.nothing", name));
            return bundle -> Edits.addSources(bundle, taken.sources());
        }
        List<Run> runs = new ArrayList<>();
        for (Source source : sources) {
            PageRanges ranges = PageRanges.read(typed.isBlank() ? "1-" : typed, source.pageCount());
            if (ranges.mistake().isPresent()) {
                said.set(Words.of("insert.mistake", typed.strip(), name, ranges.mistake().get().expected()));
                return bundle -> Edits.addSources(bundle, taken.sources());
            }
            for (PageRanges.Range range : ranges.ranges()) runs.add(SourcePages.of(source.id(), range.first(), range.last()));
        }
        said.set(Words.of("insert.done", runs.stream().mapToInt(Run::pageCount).sum(), name));
        return bundle -> putting.put(Edits.addSources(bundle, taken.sources()), runs);
    }

    /** Brings what is chosen to sheets of a size, in the background; see {@link ToSheet}. */
    public void toSheet(Sheet sheet, boolean enlarges, boolean drawings, Consumer<ToSheet.Fitted> done) {
        Set<PageKey> pages = desk.shownProperty().get().chosen();
        AtomicReference<ToSheet.Fitted> fitted = new AtomicReference<>(new ToSheet.Fitted(workspace.bundle(), 0, 0, 1));
        workspace.editSoon("edit.sheet", bundle -> {
            ToSheet.Fitted its = ToSheet.fitted(bundle, pages, sheet, enlarges, drawings);
            fitted.set(its);
            return its.bundle();
        }, worked -> {
            if (worked) done.accept(fitted.get());
        });
    }

    /** Puts what is chosen on sheets of its own size again. */
    public void sheetOff() {
        Set<PageKey> pages = desk.shownProperty().get().chosen();
        workspace.editSoon("edit.sheet", bundle -> ToSheet.takenOff(bundle, pages));
    }

    /** Divides what is chosen in two, where it lies; {@code done} is told how many pages were left as they are. */
    public void divide(Consumer<Integer> done) {
        Set<PageKey> pages = desk.shownProperty().get().chosen();
        AtomicReference<Integer> left = new AtomicReference<>(0);
        workspace.editSoon("edit.divide", bundle -> {
            Spreads.Divided divided = Spreads.divided(bundle, pages);
            left.set(divided.left());
            return divided.bundle();
        }, worked -> {
            if (worked) done.accept(left.get());
        });
    }

    /** {@return what must be cut off at the edges of the page in view so that a frame on it is left; empty for pages of ours} */
    public Optional<Margins> margins(Area frame) {
        Leaf leaf = workspace.plan().leaf(workspace.leaf());
        if (!(leaf.content() instanceof Content.SourcePage page)) return Optional.empty();
        Source source = workspace.bundle().sourcesById().get(page.source());
        Optional<PageShape> shape = source == null ? Optional.empty() : source.about().pages().shape(page.page());
        PageLook bare = new PageLook(page.look().turns(), page.look().straightenDegrees(), Optional.empty(), Optional.empty(), 1,
                List.of());
        return shape.flatMap(known -> Redacting.came(known, page.look(), frame).flatMap(came -> Redacting.seen(known, bare, came))
                .map(seen -> {
                    LookedPage whole = LookedPage.of(known.seenWidthPt(), known.seenHeightPt(), bare);
                    return new Margins(Math.max(0, seen.leftMm()), Math.max(0, seen.topMm()),
                            Math.max(0, whole.widthPt() * Length.MM_PER_PT - seen.leftMm() - seen.widthMm()),
                            Math.max(0, whole.heightPt() * Length.MM_PER_PT - seen.topMm() - seen.heightMm()));
                }));
    }

    /**
     * How pages are saved.
     *
     * @param each     whether each becomes a file of its own
     * @param numbered whether they keep the numbers that they have in the bundle
     * @param takesOut whether they are taken out of the bundle when they are saved
     * @param name     of single files
     */
    public record Saving(boolean each, boolean numbered, boolean takesOut, PageName name) {}

    /** {@return where what lies in the tray is saved if nobody says otherwise} */
    public Path suggested(InTray item) {
        return suggested(document(item).title());
    }

    private static Document document(InTray item) {
        return switch (item) {
            case InTray.File file -> Document.of(file.source());
            case InTray.SetAside aside -> aside.document();
        };
    }

    /**
     * Saves what lies in the tray as a file, with its pages as they are and without numbers. What is redacted or withheld in
     * the index is so here too.
     *
     * @param said is told what came of it
     */
    public void save(InTray item, Path target, Consumer<String> said) {
        Document document = document(item);
        Bundle alone = Bundle.EMPTY.withSources(workspace.bundle().sources()).withFromSources(workspace.bundle().fromSources())
                .withContents(new Contents(List.of(Redacting.alsoIn(workspace.bundle(), document)), List.of()));
        PageFiles writer = new PageFiles(workspace.folder());
        workspace.jobs().start((progress, stop) -> {
            Plan plan = Planner.plan(alone);
            List<Leaf> leaves = plan.leaves().stream().filter(leaf -> leaf.key().isPresent()).toList();
            if (leaves.isEmpty())
                throw new FindingException(Finding.about(Finding.Code.NOTHING_TO_PRODUCE, document.title(), ""), null);
            return writer.one(new Excerpt(plan, false).of(leaves, document.title()), target,
                    (done, of) -> progress.accept(new Jobs.JobProgress(Words.of("save.saving", done, of), (double) done / of)),
                    stop);
        }, saved -> {
            workspace.findings().addAll(saved.findings());
            said.accept(saved.isWhole() ? Words.of("save.one", document.pageCount(), target.getFileName())
                    : Words.of("save.stopped", 0));
        }, failure -> said.accept(String.valueOf(failure.getMessage())));
    }

    /** {@return where what is chosen is saved if nobody says otherwise} */
    public Path suggested() {
        Shown now = desk.shownProperty().get();
        List<Integer> places = places();
        return suggested(places.isEmpty() ? "" : now.documents().get(now.document(places.getFirst())).title());
    }

    private Path suggested(String title) {
        return workspace.folder().path().resolve(FileNames.safe(title) + ".pdf");
    }

    /**
     * Saves what is chosen. Where words on it are redacted elsewhere, that must be decided before.
     *
     * @param target the file, or the folder for single files
     * @param files  is given what was written
     * @param said   is told what came of it
     */
    public void save(Saving how, Path target, Consumer<List<Path>> files, Consumer<String> said) {
        Shown now = desk.shownProperty().get();
        Plan plan = now.plan();
        List<Leaf> leaves = places().stream().map(place -> now.leaves().get(place - 1)).toList();
        Set<PageKey> pages = now.chosen();
        if (leaves.isEmpty()) return;
        PageFiles writer = new PageFiles(workspace.folder());
        BundleState state = workspace.stateProperty().get();
        workspace.jobs().start((progress, stop) -> {
            RedactedWords.in(state.bundle(), state.plan(), new BundleWords(workspace.folder()), stop)
                    .refuseUndecided(pages, target);
            Progress each =
                    (done, of) -> progress.accept(new Jobs.JobProgress(Words.of("save.saving", done, of), (double) done / of));
            if (how.each()) return writer.each(plan, leaves, how.numbered(), how.name(), target, each, stop);
            return writer.one(new Excerpt(plan, how.numbered()).of(leaves,
                    String.valueOf(target.getFileName()).replaceFirst("(?i)\\.pdf$", "")), target, each, stop);
        }, saved -> {
            workspace.findings().addAll(saved.findings());
            files.accept(saved.files());
            said.accept(!saved.isWhole() ? Words.of("save.stopped", saved.files().size())
                    : how.each() ? Words.of("save.each", saved.files().size(), target)
                            : Words.of("save.one", leaves.size(), target.getFileName()));
            if (saved.isWhole() && how.takesOut())
                workspace.editSoon("edit.takeOut", bundle -> PageEdits.takenOut(bundle, pages));
        }, failure -> said.accept(String.valueOf(failure.getMessage())));
    }
}
