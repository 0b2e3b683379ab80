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
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/** What each leaf of a plan takes in a file, measured by writing all of them into nothing. */
public final class VolumeWeights {
    /** What our fonts, the catalog and the like take in a file; chosen by us, at what the largest have. */
    private static final long OF_FILE = 60_000;
    /** What the page tree, a bookmark, a name and the table of objects take for a leaf. */
    private static final long OF_LEAF = 60;

    private final Plan plan;
    /** By the leaf's index; without weight for one that only paper has. */
    private final PageWeight[] weights;

    private VolumeWeights(Plan plan, PageWeight[] weights) {
        this.plan = plan;
        this.weights = weights;
    }

    /**
     * {@return what leaves take; empty where it was stopped}
     *
     * @throws IOException if a source is gone or unreadable
     */
    public static Optional<VolumeWeights> of(Plan plan, SourceFiles sources, Progress progress, BooleanSupplier stop)
            throws IOException {
        ObjectGraph.@Nullable Sizes[] sizes = new ObjectGraph.Sizes[plan.leaves().size()];
        Nowhere nowhere = new Nowhere();
        Delivery delivery = Delivery.of(plan, Output.screen(plan), Path.of("weighed.pdf"), LedgerPlace.NONE);
        List<Delivery.File> files = delivery.files();
        try (LedgerWriter none = new LedgerWriter(OutputStream.nullOutputStream(), 0, List.of(), List.of(), List.of());
                SourceSessions sessions = new SourceSessions(sources, List.of(files.getFirst().output().leaves()));
                AssemblyRun run =
                        new AssemblyRun(delivery, 0, 0, nowhere, new AssemblyRun.Shared(sessions, new Report(), progress,
                                stop, none, LedgerParts.sourcePlaces(files), StreamingAssembler.LIMIT))) {
            boolean whole = run.lookedAt((leaf, page) -> sizes[leaf.index()] = page.leaf().sizes(0)).write().isPresent();
            return whole ? Optional.of(new VolumeWeights(plan, weights(sizes, nowhere.bytes))) : Optional.empty();
        }
    }

    /**
     * {@return the leaves' weights} What is packed takes so much less than its written form as it did in the file of all of them.
     *
     * @param written the bytes of that
     */
    private static PageWeight[] weights(ObjectGraph.@Nullable Sizes[] sizes, long written) {
        Set<Long> counted = new HashSet<>();
        long unpacked = 0;
        long packed = 0;
        for (ObjectGraph.@Nullable Sizes its : sizes) {
            for (int i = 0; its != null && i < its.things().length; i++) {
                if (!counted.add(its.things()[i])) continue;
                if (its.packed()[i]) packed += its.bytes()[i];
                else unpacked += its.bytes()[i];
            }
        }
        double share = Math.clamp((double) (written - unpacked) / Math.max(1, packed), 0, 1);
        PageWeight[] weights = new PageWeight[sizes.length];
        for (int leaf = 0; leaf < sizes.length; leaf++) {
            ObjectGraph.Sizes its = sizes[leaf];
            weights[leaf] = its == null ? PageWeight.UNKNOWN : weight(its, share, OF_LEAF);
        }
        return weights;
    }

    private static PageWeight weight(ObjectGraph.Sizes its, double share, long ofLeaf) {
        long[] bytes = its.bytes().clone();
        for (int i = 0; i < bytes.length; i++) if (its.packed()[i]) bytes[i] = (long) Math.ceil(share * bytes[i]);
        if (bytes.length > 0) bytes[0] += ofLeaf;
        return new PageWeight(its.things(), bytes);
    }

    /**
     * {@return the index of the first leaf that has no room in a volume of so many bytes that begins with a leaf, behind cover
     * and index}
     */
    public int fits(int first, long most) {
        PageWeight.Sum sum = front(new PageWeight.Sum());
        for (int at = first; at < weights.length; at++) {
            sum.add(weights[at]);
            if (OF_FILE + sum.bytes() > most) return at;
        }
        return weights.length;
    }

    /** {@return what a volume without a page takes, in bytes: cover and index} */
    public long front() {
        return OF_FILE + front(new PageWeight.Sum()).bytes();
    }

    private PageWeight.Sum front(PageWeight.Sum sum) {
        for (int at = 0; at < weights.length && plan.entryAt(at).isEmpty(); at++) sum.add(weights[at]);
        return sum;
    }

    /** Counts what is written into it, and keeps nothing. */
    private static final class Nowhere implements DraftFile {
        private volatile long bytes;

        @Override
        public void write(ByteBuffer part) {
            add(part.remaining());
            part.position(part.limit());
        }

        @Override
        public void append(FileChannel from, long start, long count) {
            add(count);
        }

        private void add(long more) {
            bytes = bytes + more;
        }

        @Override
        public void read(ByteBuffer into, long offset) {
            // Nothing is there.
        }

        @Override
        public void close() {
            // Nothing was opened.
        }
    }
}
