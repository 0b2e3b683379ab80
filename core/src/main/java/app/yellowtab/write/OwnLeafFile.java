package app.yellowtab.write;

import app.yellowtab.leaf.Leaf;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Way;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Single leaves that are ours, each as a PDF of its own, as they will be produced but for their marks. Stateless. */
public final class OwnLeafFile {
    private OwnLeafFile() {}

    /** {@return a PDF of one page, a leaf that is ours} */
    public static byte[] of(Plan plan, Leaf leaf) throws IOException {
        return make(plan, leaf, OwnLeaves::draw);
    }

    /**
     * {@return a PDF of one page, the slip that stands for a page of a source that cannot be had}
     *
     * @param fileName of the source
     * @param page     the page in it, counted from 1
     */
    public static byte[] slip(Plan plan, Leaf leaf, String fileName, int page) throws IOException {
        return make(plan, leaf, (own, its, taker) -> own.slip(its, fileName, page, taker));
    }

    /** Has a leaf drawn. */
    @FunctionalInterface
    private interface Maker {
        void make(OwnLeaves own, Leaf leaf, OwnLeaves.Taker taker) throws IOException;
    }

    private static byte[] make(Plan plan, Leaf leaf, Maker maker) throws IOException {
        Memory memory = new Memory();
        try (BundleFile bundle = new BundleFile(memory, List.of(""), List.of(), List.of(), any -> 1, Map.of())) {
            maker.make(new OwnLeaves(plan, any -> List.of(), any -> Optional.of(new Way.Within(1)), bundle), leaf,
                    drawn -> bundle.add(1, drawn));
            bundle.writeFonts(0);
            bundle.finish(plan.heading(), "1.7", new byte[16]);
        }
        return memory.bytes.toByteArray();
    }

    /** A draft in memory. */
    private static final class Memory implements DraftFile {
        private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();

        @Override
        public void write(ByteBuffer part) {
            byte[] taken = new byte[part.remaining()];
            part.get(taken);
            bytes.writeBytes(taken);
        }

        @Override
        public void append(FileChannel from, long start, long count) throws IOException {
            from.transferTo(start, count, Channels.newChannel(bytes));
        }

        @Override
        public void read(ByteBuffer into, long offset) {
            byte[] all = bytes.toByteArray();
            int count = (int) Math.min(into.remaining(), Math.max(0, all.length - offset));
            into.put(all, (int) offset, count);
        }

        @Override
        public void close() {
            bytes.reset();
        }
    }
}
