package app.yellowtab.assemble;

import app.yellowtab.input.BoundedRenderer;
import app.yellowtab.input.DrawnPage;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Draws single leaves that are ours as they will be produced, but for their marks: each is written as a bundle of one, and that is drawn. Stateless. */
public final class OwnLeafPicture {
    private OwnLeafPicture() {}

    /**
     * Draws a leaf that is ours.
     *
     * @param widthPx the width of the picture in pixels; its height follows from the page
     */
    public static DrawnPage draw(Plan plan, Leaf leaf, int widthPx) throws IOException {
        return draw(plan, leaf, widthPx, OwnLeaves::draw);
    }

    /**
     * Draws the slip that stands for a page of a source that cannot be had.
     *
     * @param fileName of the source
     * @param page     the page in it, counted from 1
     * @param widthPx  the width of the picture in pixels; its height follows from the page
     */
    public static DrawnPage slip(Plan plan, Leaf leaf, String fileName, int page, int widthPx) throws IOException {
        return draw(plan, leaf, widthPx, (own, its, taker) -> own.slip(its, fileName, page, taker));
    }

    /** Has a leaf drawn. */
    @FunctionalInterface
    private interface Maker {
        void make(OwnLeaves own, Leaf leaf, OwnLeaves.Taker taker) throws IOException;
    }

    private static DrawnPage draw(Plan plan, Leaf leaf, int widthPx, Maker maker) throws IOException {
        Memory memory = new Memory();
        try (BundleFile bundle = new BundleFile(memory, List.of(""), List.of(), any -> 1, Map.of())) {
            maker.make(new OwnLeaves(plan, any -> List.of(), any -> 1, bundle), leaf, drawn -> bundle.add(1, drawn));
            bundle.writeFonts();
            bundle.finish(plan.heading(), "1.7", new byte[16]);
        }
        byte[] alone = memory.bytes.toByteArray();
        try (PDDocument document = Loader.loadPDF(alone)) {
            return BoundedRenderer.within(alone.length, () -> new BoundedRenderer(document).draw(0, widthPx));
        }
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
