package app.yellowtab.assemble;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.fetch.ReadAhead;
import app.yellowtab.fetch.ReadySource;
import app.yellowtab.fetch.SourceSessions;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerWriter;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.output.DraftFile;
import app.yellowtab.output.PdfWriter;
import app.yellowtab.output.Place;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.SystemFaces;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.sets.Ways;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.write.BundleFile;
import app.yellowtab.write.OwnLeaves;
import java.io.Closeable;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * One assembly: leaves are written in order, those of sources as they come ready on other threads. Memory does not grow
 * with the number of leaves, but for some tables outside of the heap. Works on the calling thread.
 */
final class AssemblyRun implements Closeable {
    private final Plan plan;
    private final Output output;
    private final int number;
    private final Shared shared;
    private final Progress progress;
    private final BundleFile bundle;
    private final OwnLeaves own;
    private final ReadAhead ahead;
    private final MessageDigest identity;
    private final String fileName;
    private final List<String> names;
    /** Of the marks. */
    private final Set<Face> faces;
    private Taker taker = (leaf, page) -> {};
    private String version = "1.7";
    /** The run before, whose pages may still be on their way from file to file. */
    private Optional<Underway> before = Optional.empty();

    private record Underway(ReadySource run, PdfWriter.Begun written) {
        void finish() throws IOException {
            try (run) {
                written.await();
                run.finish();
            }
        }
    }

    /**
     * What the files of one delivery have in common.
     *
     * @param sessions     the sources; not closed by an assembly
     * @param report       takes what must be known of them
     * @param progress     is told of each leaf of all files
     * @param ledger       not closed by an assembly
     * @param sourcePlaces where each source stands in it
     * @param limit        how long nothing may come from a source before it is given up
     */
    record Shared(SourceSessions sessions, Report report, Progress progress, BooleanSupplier stop, LedgerWriter ledger,
            Map<SourceId, Integer> sourcePlaces, Duration limit) {}

    /** Looks at leaves as they are written. */
    @FunctionalInterface
    interface Taker {
        void take(Leaf leaf, CarriedPage page);
    }

    /**
     * Begins a file.
     *
     * @param number which it is in the delivery, counted from 0
     * @param before how many leaves were written in the files before
     */
    AssemblyRun(Delivery delivery, int number, int before, DraftFile pdf, Shared shared) throws IOException {
        Delivery.File file = delivery.files().get(number);
        this.plan = file.plan();
        this.output = file.output();
        this.number = number;
        this.shared = shared;
        this.progress = (done, total) -> shared.progress().report(before + done, delivery.pages());
        this.identity = begunWith(plan.heading(), output.bookmarks());
        Map<Face, Set<Integer>> letters = plan.markLetters();
        this.faces = letters.keySet();
        Ways ways = delivery.ways(number);
        this.names = ways.names();
        this.bundle = new BundleFile(pdf, output.leaves().stream().map(Leaf::label).toList(), names, output.bookmarks(),
                output::position, letters);
        this.own = new OwnLeaves(plan, plan::marksOn, ways::to, bundle);
        this.ahead = new ReadAhead(plan, output, ways, shared.sessions(), bundle.markSetter(), shared.stop(), shared.limit());
        this.fileName = file.name();
    }

    /**
     * Lets nothing out of which somebody must see first what has become of it.
     *
     * @throws FindingException if there is such a page among what would be written; it names the first
     */
    static void refuseUnseen(Plan plan, Output output, SourceFiles sources) throws FindingException {
        List<LookAgain> toLookAt = plan.toLookAt(output.leaves());
        if (toLookAt.isEmpty()) return;
        LookAgain first = toLookAt.getFirst();
        throw new FindingException(new Finding(Finding.Code.TO_LOOK_AT, sources.subject(first.before().source(), first.was()),
                String.valueOf(toLookAt.size())), null);
    }

    /**
     * A file as it was written.
     *
     * @param file  as the ledger has it
     * @param fonts our own
     */
    record Made(Ledger.ProducedFile file, List<Ledger.Font> fonts) {}

    /** Has each leaf looked at as it is written. */
    AssemblyRun lookedAt(Taker by) {
        taker = by;
        return this;
    }

    /** Writes the file, and its leaves into the ledger; {@return what it is, or empty when it was stopped} */
    Optional<Made> write() throws IOException {
        if (!writeLeaves()) return Optional.empty();
        List<Ledger.Font> fonts = bundle.writeFonts(number);
        byte[] id = Arrays.copyOf(identity.digest(), Ledger.IDENTITY_BYTES);
        bundle.finish(plan.heading(), version, id);
        if (number == 0) reportLetters();
        return Optional.of(new Made(new Ledger.ProducedFile(fileName, output.kind().name().toLowerCase(Locale.ROOT),
                HexFormat.of().formatHex(id), output.size()), fonts));
    }

    /** {@return whether it came to the end} */
    private boolean writeLeaves() throws IOException {
        for (int at = 0; at < output.size();) {
            Leaf leaf = output.leaves().get(at);
            if (shared.stop().getAsBoolean()) return false;
            if (leaf.content() instanceof Content.SourcePage) {
                int written = writeRun();
                if (written < 0) return false;
                at += written;
            } else {
                own.draw(leaf, page -> add(leaf, page, LedgerParts.kind(leaf)));
                at++;
            }
        }
        finishBefore();
        return true;
    }

    private void reportLetters() {
        SystemFaces.missing(faces).forEach(shared.report()::add);
        // A piece has no page of ours that its title would stand on.
        if (!plan.indexSheets().isEmpty()) reportMissingLetters();
    }

    /** Writes the next run; {@return how many leaves, or less than none if it was stopped} */
    private int writeRun() throws IOException {
        ReadySource ready = ahead.take();
        boolean isUnderway = false;
        try {
            List<Leaf> leaves = ready.run().leaves();
            SourceFiles sources = shared.sessions().sources();
            Report report = shared.report();
            Path original = sources.original(ready.run().source());
            Subject.OfSource source = sources.subject(ready.run().source(), 0);
            for (int i = 0; i < leaves.size(); i++) {
                if (shared.stop().getAsBoolean()) return -1;
                Leaf leaf = leaves.get(i);
                int wanted = ready.run().page(i).page();
                Optional<CarriedPage> page = ready.page(i);
                if (page.isPresent()) {
                    add(leaf, page.get(), "page");
                    report.add(source, wanted, ready.notes(i));
                } else {
                    own.slip(leaf, String.valueOf(original.getFileName()), wanted, slip -> add(leaf, slip, "slip"));
                    report.add(new Finding(ready.lost(i), source.onPage(wanted), ""));
                }
            }
            report.add(source, ready.ofFile());
            if (ready.needsPdf2()) version = "2.0";
            finishBefore();
            before = Optional.of(new Underway(ready, bundle.begun()));
            isUnderway = true;
            return leaves.size();
        } finally {
            if (!isUnderway) ready.close();
        }
    }

    private void finishBefore() throws IOException {
        Optional<Underway> underway = before;
        before = Optional.empty();
        if (underway.isPresent()) underway.get().finish();
    }

    private void add(Leaf leaf, CarriedPage page, String kind) throws IOException {
        int position = output.position(leaf.index());
        taker.take(leaf, page);
        bundle.add(position, page);
        // Cover and index stand in every volume, and what is to be said of them is said once.
        if (number == 0 || leaf.key().isPresent()) shared.report().add(leaf.label(), page.marks());
        identity.update(page.pagePrint().getBytes(StandardCharsets.US_ASCII));
        shared.ledger().add(LedgerParts.leaf(leaf, new Place(number, position), names.isEmpty() ? "" : names.get(position - 1),
                page, kind, shared.sourcePlaces()));
        progress.report(position, output.size());
    }

    private void reportMissingLetters() {
        CaseHeading heading = plan.heading();
        List<String> words =
                new ArrayList<>(List.of(heading.court(), heading.caseNumber(), heading.title(), heading.preparedBy()));
        heading.parties().forEach(party -> words.addAll(List.of(party.name(), party.role())));
        int ofHeading = words.stream().mapToInt(Typeface.SERIF::missingIn).sum();
        if (ofHeading > 0)
            shared.report().add(Finding.about(Code.CHARACTERS_NOT_SHOWN, "The heading of the bundle", String.valueOf(ofHeading)));
        for (PlannedEntry entry : plan.entries()) {
            int missing = Typeface.SERIF.missingIn(entry.title());
            if (missing > 0) shared.report().add(new Finding(Code.CHARACTERS_NOT_SHOWN,
                    new Subject.OfEntry(entry.id().value(), entry.title()), String.valueOf(missing)));
        }
    }

    /**
     * The file's identifier is made of what is printed and not of our ids, so that the same files give the same bytes whenever
     * they are brought in.
     */
    private static MessageDigest begunWith(CaseHeading heading, List<PlannedBookmark> bookmarks) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update((heading + " " + bookmarks).getBytes(StandardCharsets.UTF_8));
            return digest;
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    @Override
    public void close() throws IOException {
        try (bundle; ahead) {
            if (before.isPresent()) before.get().run().close();
        }
    }
}
