package app.yellowtab.deliver;

import app.yellowtab.cut.Pieces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.files.Folders;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.intake.NameReading;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
     * @param place where its documents are put
     */
    public record Part(CutReport report, PiecePlace place) {}

    /**
     * Begins a bundle: the batches are copied into it, and their pieces are its documents. Where that cannot be done to its end,
     * nothing of it is left.
     *
     * @param folder made if it is not there; must not hold a bundle
     * @return whether it was done, and not stopped
     * @throws FindingException if it cannot be written, or a batch cannot be read there or has other pages than here
     */
    public static boolean begin(Path folder, SourceFiles from, List<Part> parts, Reading reading, BooleanSupplier stop)
            throws FindingException {
        Bundle bundle = Bundle.EMPTY
                .withHeading(CaseHeading.EMPTY
                        .withTitle(NameReading.sectionTitle(String.valueOf(folder.toAbsolutePath().getFileName()))))
                .withReading(reading);
        boolean isOurs = isEmpty(folder);
        boolean done = false;
        try (BundleFolder made = BundleFolder.create(folder, bundle)) {
            made.tryPasswords(from.passwords());
            for (Part part : parts) {
                Map<SourceId, Source> copies = new LinkedHashMap<>();
                for (Source source : part.report().sources()) {
                    Optional<List<Source>> brought = bringIn(made, from, source, reading, stop);
                    if (brought.isEmpty()) return false;
                    bundle = Edits.addSources(bundle, brought.get());
                    copies.put(source.id(), brought.get().getFirst());
                }
                bundle = with(bundle, copies, part);
                made.save(bundle);
            }
            done = true;
        } finally {
            if (!done && isOurs) clear(folder);
        }
        return true;
    }

    /** {@return a source that was brought in anew, and what came with it; empty where it was stopped} */
    private static Optional<List<Source>> bringIn(BundleFolder made, SourceFiles from, Source source, Reading reading,
            BooleanSupplier stop) throws FindingException {
        Path original = from.original(source.id());
        List<Finding> findings = new ArrayList<>();
        Intake.Taken taken = new Intake(made, from.passwords(), reading).bringIn(FoundFolder.of(List.of(original), findings),
                Intake.Listener.NONE, stop);
        findings.addAll(taken.findings());
        if (stop.getAsBoolean()) return Optional.empty();
        if (taken.sources().isEmpty() || !taken.sources().getFirst().isRead())
            throw new FindingException(findings.isEmpty() ? Finding.of(Code.NOT_READABLE, original) : findings.getFirst(), null);
        if (taken.sources().getFirst().pageCount() != source.pageCount())
            throw new FindingException(Finding.of(Code.PAGES_MISSING, original,
                    taken.sources().getFirst().pageCount() + " instead of " + source.pageCount()), null);
        return Optional.of(taken.sources());
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

    /** The batch is as it was, but of the copies: all that is known of its pages goes by their names. */
    private static Bundle with(Bundle bundle, Map<SourceId, Source> copies, Part part) {
        Source source = Objects.requireNonNull(copies.get(part.report().batch().id()));
        Bundle cut = CutEdits.change(bundle, source, fresh -> {
            Batch its = part.report().cut();
            List<SourcePages> runs = its.runs().stream().map(run -> new SourcePages(run.id(),
                    Objects.requireNonNull(copies.get(run.source())).id(), run.first(), run.last(), run.look())).toList();
            return new Batch(fresh.id(), runs, its.rules(), its.resting(), its.cuts(), its.drops(), its.names(), List.of());
        });
        Bundle done = CutEdits.make(cut, source,
                Pieces.documents(CutEdits.batchOf(cut, source), part.report().cutting(), part.report().names()), part.place(),
                true);
        // What has no section stands before the sections: a bundle begins with an index, not with a tray.
        return Edits.putInIndex(done, done.setAside().stream().map(document -> document.id().value()).toList(),
                new Place(Optional.empty(), Integer.MAX_VALUE));
    }
}
