package app.yellowtab.output;

import app.yellowtab.input.RawBytes;
import app.yellowtab.pdf.Face;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.function.ToIntFunction;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSStream;

/**
 * Writes a PDF 1.7 from its first byte to its last: streams at once, other objects packed into object streams, the
 * cross-reference stream at the end (ISO 32000-1:2008, 7.5). An object that was written before is not written again.
 * Memory grows by some sixty bytes an object, outside of the heap. For one thread.
 */
public final class PdfWriter implements Closeable {
    /** Streams of up to so many bytes are known by all of them; larger ones by their quick hash, and then compared. */
    private static final int SMALL = 1 << 12;
    private static final byte[] END_OF_STREAM = "\nendstream\nendobj\n".getBytes(StandardCharsets.US_ASCII);

    private final DraftFile file;
    private final BackgroundDraft draft;
    private final Reached.Filler numbers;
    private final RawBytes raw = new Raw();
    private ByteBuffer buffer;
    private long flushed;
    private final XrefTable xref = new XrefTable();
    private final SharedObjects shared = new SharedObjects();
    private final Sha256 sha256 = new Sha256();
    private final ByteSink text = new ByteSink();
    private final ObjectPack waiting = new ObjectPack();
    private int next;

    /**
     * Begins a file.
     *
     * @param reserved    the numbers from 1 to this one are given by the caller
     * @param fontNumbers the reserved number of each of our fonts
     */
    public PdfWriter(DraftFile file, int reserved, ToIntFunction<Face> fontNumbers) throws IOException {
        this.file = file;
        this.draft = new BackgroundDraft(file);
        this.buffer = draft.buffer();
        this.numbers = new Reached.Filler() {
            @Override
            public void reached(Reached object, ByteSink out) {
                reference(object.number, out);
            }

            @Override
            public void leaf(int number, ByteSink out) {
                reference(number, out);
            }

            @Override
            public void font(FontReference font, ByteSink out) {
                reference(fontNumbers.applyAsInt(font.face()), out);
            }
        };
        this.next = reserved + 1;
        // Bytes above 127 say that the file is binary (7.5.2).
        put("%PDF-1.7\n%\u00E2\u00E3\u00CF\u00D3\n".getBytes(StandardCharsets.ISO_8859_1));
    }

    public int newNumber() {
        return next++;
    }

    /** Writes objects that were reached, each after what it is made of. */
    public void write(List<Reached> objects) throws IOException {
        for (Reached object : objects) if (object.isCyclic) object.number = newNumber();
        for (Reached object : objects) {
            text.clear();
            object.write(text, numbers);
            COSStream stream = object.stream();
            if (stream != null) writeStream(object, stream);
            else writeOther(object);
        }
    }

    /** Writes an object, and what it needs, under a reserved number. */
    public void write(int number, ObjectGraph.Reach object) throws IOException {
        write(object.fresh());
        text.clear();
        object.root().write(text, numbers);
        pack(number, text);
    }

    /** Writes a leaf, and what it needs, under its bundle number, below a node of the page tree. */
    public void writeLeaf(int number, ObjectGraph.Reach leaf, int parent) throws IOException {
        write(leaf.fresh());
        text.clear();
        text.text("<</Parent ");
        reference(parent, text);
        int begun = text.size();
        leaf.root().write(text, numbers);
        text.blank(begun, 2);    // its own opening brackets
        pack(number, text);
    }

    /** Writes an object that is given in its written form, in ASCII. */
    public void write(int number, String object) throws IOException {
        text.clear();
        text.text(object);
        pack(number, text);
    }

    private static void reference(int number, ByteSink out) {
        if (number == 0) throw new IllegalStateException("a reference to an object without a number");
        out.number(number);
        out.text(" 0 R");
    }

    private void writeOther(Reached object) throws IOException {
        if (object.isCyclic) {
            pack(object.number, text);
            return;
        }
        byte[] key = sha256.of(text.content());
        object.number = shared.get(key);
        if (object.number != 0) return;
        object.number = newNumber();
        pack(object.number, text);
        shared.put(key, object.number);
    }

    private void writeStream(Reached object, COSStream stream) throws IOException {
        int dictionary = text.size() - 2;    // without its closing brackets
        text.text("/Length ");
        text.number(object.rawLength);
        byte[] head = Arrays.copyOf(text.content().array(), dictionary);
        byte[] length = ("/Length " + object.rawLength + ">>\nstream\n").getBytes(StandardCharsets.US_ASCII);
        boolean small = object.rawLength <= SMALL;
        if (small) RawBytes.of(stream, text::write);
        else text.text(object.rawHash);
        byte[] key = sha256.of(text.content());
        int twin = object.isCyclic ? 0 : shared.get(key);
        if (twin != 0 && (small || isSame(stream, xref.offset(twin) + header(twin).length + head.length + length.length))) {
            object.number = twin;
            return;
        }
        if (!object.isCyclic) object.number = newNumber();
        xref.at(object.number, position());
        put(header(object.number));
        put(head);
        put(length);
        long begun = position();
        RawBytes.of(stream, raw);
        if (position() - begun != object.rawLength) throw new IOException("a stream changed while it was read");
        put(END_OF_STREAM);
        if (twin == 0 && !object.isCyclic) shared.put(key, object.number);
    }

    private static byte[] header(int number) {
        return (number + " 0 obj\n").getBytes(StandardCharsets.US_ASCII);
    }

    /** Two streams of one quick hash are compared byte by byte: a hash that can be forged must not decide what is seen. */
    private boolean isSame(COSStream stream, long offset) throws IOException {
        flush();
        Comparison comparison = new Comparison(offset);
        RawBytes.of(stream, comparison);
        return comparison.same;
    }

    /** Compares bytes with what was written at an offset. */
    private final class Comparison implements RawBytes {
        private final ByteBuffer written = ByteBuffer.allocate(1 << 16);
        private long at;
        private boolean same = true;

        Comparison(long offset) {
            at = offset;
        }

        @Override
        public void take(byte[] bytes, int offset, int length) throws IOException {
            for (int done = 0; same && done < length; done += written.position()) {
                written.clear().limit(Math.min(written.capacity(), length - done));
                file.read(written, at);
                same = written.position() == written.limit()
                        && Arrays.equals(bytes, offset + done, offset + done + written.position(), written.array(), 0,
                                written.position());
                at += written.position();
            }
        }
    }

    private void pack(int number, ByteSink object) throws IOException {
        if (waiting.isFull()) writePack();
        waiting.add(number, object);
    }

    private void writePack() throws IOException {
        if (waiting.isEmpty()) return;
        int number = newNumber();
        ObjectPack.Packed packed = waiting.take(number, xref);
        writeOwnStream(number, packed.dictionary(), packed.deflated());
    }

    private void writeOwnStream(int number, String dictionary, byte[] deflated) throws IOException {
        xref.at(number, position());
        put(header(number));
        put((dictionary + "/Filter/FlateDecode/Length " + deflated.length + ">>\nstream\n").getBytes(StandardCharsets.US_ASCII));
        put(deflated);
        put(END_OF_STREAM);
    }

    /**
     * Writes what is left, and the cross-reference stream.
     *
     * @param catalog     the number of the document catalog
     * @param information the number of the document information
     * @param identity    16 bytes, both identifiers of the file (14.4)
     * @return the length of the file in bytes
     */
    public long finish(int catalog, int information, byte[] identity) throws IOException {
        writePack();
        int number = newNumber();
        long start = position();
        xref.at(number, start);
        ByteArrayOutputStream deflated = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(deflated)) {
            xref.write(next, out);
        }
        String id = "<" + HexFormat.of().formatHex(identity) + ">";
        writeOwnStream(number,
                "<</Type/XRef/Size " + next + "/W" + XrefTable.WIDTHS + "/Root " + catalog + " 0 R/Info " + information
                        + " 0 R/ID[" + id + id + "]",
                deflated.toByteArray());
        put(("startxref\n" + start + "\n%%EOF\n").getBytes(StandardCharsets.US_ASCII));
        flush();
        return flushed;
    }

    private long position() {
        return flushed + buffer.position();
    }

    private void put(byte[] bytes) throws IOException {
        put(bytes, 0, bytes.length);
    }

    private void put(byte[] bytes, int offset, int count) throws IOException {
        for (int done = 0; done < count;) {
            if (!buffer.hasRemaining()) handOver();
            int part = Math.min(count - done, buffer.remaining());
            buffer.put(bytes, offset + done, part);
            done += part;
        }
    }

    /** Takes the stored bytes of a stream; large ones straight from file to file. */
    private final class Raw implements RawBytes {
        @Override
        public void take(byte[] bytes, int offset, int length) throws IOException {
            put(bytes, offset, length);
        }

        @Override
        public boolean takeFromFile(FileChannel from, long start, long count) throws IOException {
            if (buffer.position() > 0) handOver();
            draft.append(from, start, count);
            flushed += count;
            return true;
        }
    }

    /** Something that is being written. */
    @FunctionalInterface
    public interface Begun {
        /** Waits until it is written. */
        void await() throws IOException;
    }

    /** {@return what waits until all is written by now that sources must stay open for} */
    public Begun begun() {
        return draft.begun();
    }

    private void handOver() throws IOException {
        flushed += buffer.position();
        draft.write(buffer);
        buffer = draft.buffer();
    }

    private void flush() throws IOException {
        handOver();
        draft.drain();
    }

    /** Frees its tables; the file stays open. */
    @Override
    public void close() {
        draft.end();
        xref.close();
        shared.close();
    }
}
