package app.yellowtab.assemble;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.carry.Changes;
import app.yellowtab.carry.PageCarrier;
import app.yellowtab.carry.Targets;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.input.BoundedRenderer;
import app.yellowtab.input.DrawnPage;
import app.yellowtab.input.PdfInput;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.source.SourceFiles;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.slf4j.LoggerFactory;

/** Draws single leaves as they will be produced: each is written as a bundle of one, and that is drawn. Stateless. */
public final class LeafPreview {
    private LeafPreview() {}

    /**
     * Draws a leaf.
     *
     * @param index   its place in the plan, counted from 0
     * @param widthPx the width of the picture in pixels; its height follows from the page
     * @throws IOException if the source is gone or cannot be read
     */
    public static DrawnPage draw(Plan plan, SourceFiles sources, int index, int widthPx) throws IOException {
        byte[] alone = alone(plan, sources, plan.leaf(index));
        try (PDDocument document = Loader.loadPDF(alone)) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            renderer.setSubsamplingAllowed(true);
            PDPage page = document.getPage(0);
            float widthPt = page.getRotation() % 180 == 0 ? page.getCropBox().getWidth() : page.getCropBox().getHeight();
            return BoundedRenderer.within(alone.length, () -> renderer.draw(0, widthPx / widthPt));
        } catch (Error e) {
            // A picture that does not fit into the memory, or a part of the library that is missing.
            throw new IOException("the page cannot be drawn", e);
        }
    }

    private static byte[] alone(Plan plan, SourceFiles sources, Leaf leaf) throws IOException {
        Memory memory = new Memory();
        try (BundleFile bundle = new BundleFile(memory, List.of(leaf.label()), List.of(), any -> 1, plan.markLetters())) {
            OwnLeaves own = new OwnLeaves(plan, any -> 1, bundle);
            if (leaf.content() instanceof Content.SourcePage page) write(leaf, page, plan, sources, bundle, own);
            else own.draw(leaf, drawn -> bundle.add(1, drawn));
            bundle.writeFonts();
            bundle.finish(plan.heading(), "1.7", new byte[16]);
        }
        return memory.bytes.toByteArray();
    }

    private static void write(Leaf leaf, Content.SourcePage wanted, Plan plan, SourceFiles sources, BundleFile bundle, OwnLeaves own) throws IOException {
        if (!wanted.look().redactions().isEmpty()) throw new FindingException(new Finding(Code.REDACTION_NOT_MADE, sources.original(wanted.source()), wanted.page(), ""), null);
        try (PdfInput input = sources.open(wanted.source())) {
            if (wanted.page() > input.pages().size()) throw new IOException("page " + wanted.page() + " is missing");
            CarriedPage carried;
            try {
                PageCarrier carrier = input.whole(() -> new PageCarrier(input, Targets.NONE, plan.comments(), bundle.markSetter()));
                carried = input.page(() -> carrier.carry(wanted.page(), wanted.look(), plan.marksOn(leaf), new Changes()));
            } catch (IOException | RuntimeException | Error e) {
                LoggerFactory.getLogger(LeafPreview.class).warn("page lost: {} {}", wanted.source(), wanted.page(), e);
                own.slip(leaf, String.valueOf(sources.original(wanted.source()).getFileName()), wanted.page(), slip -> bundle.add(1, slip));
                return;
            }
            bundle.add(1, carried);
            bundle.settle();
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
