package app.yellowtab.deliver;

import app.yellowtab.cut.Pieces;
import app.yellowtab.edit.CutEdits;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.PiecePlace;
import app.yellowtab.edit.Place;
import app.yellowtab.files.Folders;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.FoundFolder;
import app.yellowtab.source.Intake;
import app.yellowtab.source.NameReading;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;

/** Pieces of batches as the beginning of a bundle of their own. */
public final class NewBundle {
    private NewBundle() {}

    /**
     * A batch, and how it is cut.
     *
     * @param batch as the bundle has it that it lies in
     * @param place where its documents are put
     */
    public record Part(CutReport report, Batch batch, PiecePlace place) {}

    /**
     * Begins a bundle: the batches are copied into it, and their pieces are its documents. Where that cannot be done to its end, nothing
     * of it is left.
     *
     * @param folder made if it is not there; must not hold a bundle
     * @return whether it was done, and not stopped
     * @throws FindingException if it cannot be written, or a batch cannot be read there or has other pages than here
     */
    public static boolean begin(Path folder, SourceFiles from, List<Part> parts, Reading reading, BooleanSupplier stop) throws FindingException {
        Bundle bundle = Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle(NameReading.sectionTitle(String.valueOf(folder.toAbsolutePath().getFileName())))).withReading(reading);
        boolean isOurs = isEmpty(folder);
        boolean done = false;
        try (BundleFolder made = BundleFolder.create(folder, bundle)) {
            made.tryPasswords(from.passwords());
            for (Part part : parts) {
                Path original = from.original(part.report().batch().id());
                List<Finding> findings = new ArrayList<>();
                Intake.Taken taken = new Intake(made, from.passwords(), reading).bringIn(FoundFolder.of(List.of(original), findings), Intake.Listener.NONE, stop);
                findings.addAll(taken.findings());
                if (stop.getAsBoolean()) return false;
                if (taken.sources().isEmpty() || !taken.sources().getFirst().isRead()) throw new FindingException(findings.isEmpty() ? Finding.of(Code.NOT_READABLE, original) : findings.getFirst(), null);
                Source source = taken.sources().getFirst();
                if (source.pageCount() != part.report().batch().pageCount()) throw new FindingException(Finding.of(Code.PAGES_MISSING, original, source.pageCount() + " instead of " + part.report().batch().pageCount()), null);
                bundle = with(Edits.addSources(bundle, taken.sources()), source, part);
                made.save(bundle);
            }
            done = true;
        } finally {
            if (!done && isOurs) clear(folder);
        }
        return true;
    }

    /** {@return whether there is no such folder yet, or one with nothing in it} */
    private static boolean isEmpty(Path folder) {
        try (Stream<Path> there = Files.list(folder)) {
            return there.findAny().isEmpty();
        } catch (IOException notThere) {
            return !Files.exists(folder);
        }
    }

    private static void clear(Path folder) {
        try {
            Folders.delete(folder);
        } catch (IOException e) {
            LoggerFactory.getLogger(NewBundle.class).warn("not deleted: {}", folder, e);
        }
    }

    private static Bundle with(Bundle bundle, Source source, Part part) {
        Bundle cut = CutEdits.change(bundle, source, fresh -> {
            Batch changed = fresh.withRules(part.batch().rules(), part.batch().resting());
            List<PageKey> keys = fresh.keys();
            Map<PageKey, PageLook> looks = new HashMap<>();
            int place = 0;
            for (SourcePages run : part.batch().runs()) for (int page = run.first(); page <= run.last(); page++) looks.put(keys.get(place++), run.look());
            changed = changed.withLooks(looks);
            Map<PageKey, Integer> places = part.batch().places();
            for (var hand : part.batch().cuts()) if (places.containsKey(hand.before())) changed = changed.withCut(keys.get(places.get(hand.before()) - 1), hand.there());
            for (var hand : part.batch().drops()) if (places.containsKey(hand.page())) changed = changed.withDrop(keys.get(places.get(hand.page()) - 1), hand.dropped());
            for (var name : part.batch().names()) if (places.containsKey(name.first())) changed = changed.withName(keys.get(places.get(name.first()) - 1), name.words()).withDate(keys.get(places.get(name.first()) - 1), name.date());
            return changed;
        });
        Bundle done = CutEdits.make(cut, source, Pieces.documents(CutEdits.batchOf(cut, source), part.report().cutting(), part.report().names()), part.place(), true);
        // What has no section stands before the sections: a bundle begins with an index, not with a tray.
        return Edits.putInIndex(done, done.setAside().stream().map(document -> document.id().value()).toList(), new Place(Optional.empty(), Integer.MAX_VALUE));
    }
}
