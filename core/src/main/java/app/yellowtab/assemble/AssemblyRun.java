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
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.SystemFaces;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.write.BundleFile;
import app.yellowtab.write.OwnLeaves;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
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
    private final SourceFiles sources;
    private final Progress progress;
    private final BooleanSupplier stop;
    private final BundleFile bundle;
    private final OwnLeaves own;
    private final ReadAhead ahead;
    private final LedgerWriter ledger;
    private final Map<SourceId, Integer> sourcePlaces;
    private final Report report;
    private final MessageDigest identity;
    private final String fileName;
    /** Of the marks. */
    private final Set<Face> faces;
    private String version = "1.7";
    private String written = "";
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
     * Begins an assembly.
     *
     * @param fileName of the bundle, as the ledger names it
     * @param sessions the sources; not closed by this
     * @param report   takes what must be known of them
     * @param limit how long nothing may come from a source before it is given up
     */
    AssemblyRun(Plan plan, Output output, String fileName, SourceSessions sessions, Report report, Progress progress,
            BooleanSupplier stop, DraftFile pdf, OutputStream ledger, Duration limit)
            throws IOException {
        this.plan = plan;
        this.output = output;
        this.sources = sessions.sources();
        this.report = report;
        this.progress = progress;
        this.stop = stop;
        this.identity = begunWith(plan.heading(), output.bookmarks());
        Map<Face, Set<Integer>> letters = plan.markLetters();
        this.faces = letters.keySet();
        this.bundle = new BundleFile(pdf, output.leaves().stream().map(Leaf::label).toList(), output.bookmarks(),
                output::position, letters);
        this.own = new OwnLeaves(plan, plan::marksOn, output::position, bundle);
        this.ahead = new ReadAhead(plan, output, sessions, bundle.markSetter(), stop, limit);
        this.sourcePlaces = LedgerParts.sourcePlaces(output);
        this.ledger = new LedgerWriter(ledger, output.size(), LedgerParts.sources(sourcePlaces.keySet(), sources),
                LedgerParts.index(plan, output),
                LedgerParts.bookmarks(output));
        this.fileName = fileName;
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

    /** Writes the bundle and its ledger; {@return where it was stopped, or empty when it was not} */
    Optional<Outcome.Stopped> write() throws IOException {
        for (int at = 0; at < output.size();) {
            Leaf leaf = output.leaves().get(at);
            int done = at;
            if (stop.getAsBoolean()) return Optional.of(new Outcome.Stopped(done));
            if (leaf.content() instanceof Content.SourcePage) {
                int written = writeRun();
                if (written < 0) return Optional.of(new Outcome.Stopped(done + ~written));
                at += written;
            } else {
                own.draw(leaf, page -> add(leaf, page, LedgerParts.kind(leaf)));
                at++;
            }
        }
        finishBefore();
        List<Ledger.Font> fonts = bundle.writeFonts();
        byte[] id = Arrays.copyOf(identity.digest(), Ledger.IDENTITY_BYTES);
        bundle.finish(plan.heading(), version, id);
        written = HexFormat.of().formatHex(id);
        ledger.end(fonts,
                List.of(new Ledger.ProducedFile(fileName, output.kind().name().toLowerCase(Locale.ROOT), written, output.size())),
                LedgerParts.enclosed(plan));
        SystemFaces.missing(faces).forEach(report::add);
        // A piece has no page of ours that its title would stand on.
        if (!plan.indexSheets().isEmpty()) reportMissingLetters();
        return Optional.empty();
    }

    /** {@return the identifier of the file that was written, as the ledger has it} */
    String identity() {
        return written;
    }

    /** Writes the next run; {@return how many leaves, or the complement of that if it was stopped} */
    private int writeRun() throws IOException {
        ReadySource ready = ahead.take();
        boolean isUnderway = false;
        try {
            List<Leaf> leaves = ready.run().leaves();
            Path original = sources.original(ready.run().source());
            Subject.OfSource source = sources.subject(ready.run().source(), 0);
            for (int i = 0; i < leaves.size(); i++) {
                if (stop.getAsBoolean()) return ~i;
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
        bundle.add(position, page);
        report.add(leaf.label(), page.marks());
        identity.update(page.pagePrint().getBytes(StandardCharsets.US_ASCII));
        ledger.add(LedgerParts.leaf(leaf, position, page, kind, sourcePlaces));
        progress.report(position, output.size());
    }

    private void reportMissingLetters() {
        CaseHeading heading = plan.heading();
        List<String> words =
                new ArrayList<>(List.of(heading.court(), heading.caseNumber(), heading.title(), heading.preparedBy()));
        heading.parties().forEach(party -> words.addAll(List.of(party.name(), party.role())));
        int ofHeading = words.stream().mapToInt(Typeface.SERIF::missingIn).sum();
        if (ofHeading > 0)
            report.add(Finding.about(Code.CHARACTERS_NOT_SHOWN, "The heading of the bundle", String.valueOf(ofHeading)));
        for (PlannedEntry entry : plan.entries()) {
            int missing = Typeface.SERIF.missingIn(entry.title());
            if (missing > 0) report.add(new Finding(Code.CHARACTERS_NOT_SHOWN,
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
        try (bundle; ledger; ahead) {
            if (before.isPresent()) before.get().run().close();
        }
    }
}
