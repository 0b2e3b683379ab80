package app.yellowtab.assemble;

import app.yellowtab.fetch.SourceSessions;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.ledger.LedgerWriter;
import app.yellowtab.output.DraftFile;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.PageWeight;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** What each leaf of a plan takes in a file, measured by making it ready for it. */
public final class VolumeWeights {
    /** What our fonts, and the catalog, take in a file; chosen by us, at what the largest have. */
    private static final long OF_FILE = 90_000;
    /** What the page tree, a bookmark, a name and the table of objects take for a leaf. */
    private static final long OF_LEAF = 160;

    private final Plan plan;
    /** By the leaf's index; without weight for one that only paper has. */
    private final PageWeight[] sizes;

    private VolumeWeights(Plan plan, PageWeight[] sizes) {
        this.plan = plan;
        this.sizes = sizes;
    }

    /**
     * {@return what leaves take; empty where it was stopped}
     *
     * @throws IOException if a source is gone or unreadable
     */
    public static Optional<VolumeWeights> of(Plan plan, SourceFiles sources, Progress progress, BooleanSupplier stop)
            throws IOException {
        PageWeight[] sizes = new PageWeight[plan.leaves().size()];
        Arrays.fill(sizes, PageWeight.UNKNOWN);
        Delivery delivery = Delivery.of(plan, Output.screen(plan), Path.of("weighed.pdf"), LedgerPlace.NONE);
        List<Delivery.File> files = delivery.files();
        try (LedgerWriter none = new LedgerWriter(OutputStream.nullOutputStream(), 0, List.of(), List.of(), List.of());
                SourceSessions sessions = new SourceSessions(sources, List.of(files.getFirst().output().leaves()));
                AssemblyRun run = new AssemblyRun(delivery, 0, 0, new Nowhere(), new AssemblyRun.Shared(sessions, new Report(),
                        progress, stop, none, Map.of(), StreamingAssembler.LIMIT))) {
            boolean whole = run.weigh((leaf, page) -> sizes[leaf.index()] = weight(page.leaf().sizes(OF_LEAF)));
            return whole ? Optional.of(new VolumeWeights(plan, sizes)) : Optional.empty();
        }
    }

    /**
     * {@return the index of the first leaf that has no room in a volume of so many bytes that begins with a leaf, behind cover
     * and index}
     */
    public int fits(int first, long most) {
        PageWeight.Sum sum = front(new PageWeight.Sum());
        for (int at = first; at < sizes.length; at++) {
            sum.add(sizes[at]);
            if (OF_FILE + sum.bytes() > most) return at;
        }
        return sizes.length;
    }

    /** {@return what a volume without a page takes, in bytes: cover and index} */
    public long front() {
        return OF_FILE + front(new PageWeight.Sum()).bytes();
    }

    private PageWeight.Sum front(PageWeight.Sum sum) {
        for (int at = 0; at < sizes.length && plan.entryAt(at).isEmpty(); at++) sum.add(sizes[at]);
        return sum;
    }

    private static PageWeight weight(ObjectGraph.Sizes sizes) {
        return new PageWeight(sizes.things(), sizes.bytes());
    }

    /** Takes nothing. */
    private static final class Nowhere implements DraftFile {
        @Override
        public void write(ByteBuffer bytes) {
            bytes.position(bytes.limit());
        }

        @Override
        public void append(FileChannel from, long start, long count) {
            throw new UnsupportedOperationException("nothing is written where leaves are weighed");
        }

        @Override
        public void read(ByteBuffer into, long offset) {
            throw new UnsupportedOperationException("nothing is written where leaves are weighed");
        }

        @Override
        public void close() {
            // Nothing was opened.
        }
    }
}
