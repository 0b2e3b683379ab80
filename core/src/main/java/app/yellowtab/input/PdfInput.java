package app.yellowtab.input;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.filter.FilterFactory;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.jspecify.annotations.Nullable;

/**
 * An open PDF, repaired as far as the library can. What is read of it is bounded: streams unpack to a limit, page trees
 * are walked without recursion, and reading can be cancelled from any thread. Otherwise for one thread at a time.
 */
public final class PdfInput implements Closeable {
    /** Larger files are read through windows. Two of these are held while a bundle is made. */
    private static final long WHOLE_UP_TO = 12L << 20;

    private final FileBytes bytes;
    private final PDDocument document;
    private final boolean neededPassword;
    private final Allowance allowance;
    private @Nullable PageList pages;

    private PdfInput(FileBytes bytes, PDDocument document, boolean neededPassword) {
        this.bytes = bytes;
        this.document = document;
        this.neededPassword = neededPassword;
        this.allowance = Allowance.ofFile(bytes.length());
    }

    /**
     * Opens a file.
     *
     * @param passwords tried in order, after no password at all
     * @throws InvalidPasswordException if it is locked and none of them opens it
     * @throws OtherLockException       if it is locked with something else than a password
     * @throws IOException              if it cannot be read, or is no PDF
     */
    public static PdfInput open(Path file, List<String> passwords) throws IOException {
        List<String> all = new ArrayList<>(List.of(""));
        all.addAll(passwords);
        InvalidPasswordException locked = null;
        for (KeyLength length : KeyLength.values()) {
            for (int i = 0; i < all.size(); i++) {
                try {
                    return open(file, all.get(i), length, i > 0);
                } catch (InvalidPasswordException wrong) {
                    if (locked == null) locked = wrong;
                }
            }
        }
        throw Objects.requireNonNull(locked);
    }

    private static PdfInput open(Path file, String password, KeyLength length, boolean neededPassword) throws IOException {
        FileBytes bytes = new FileBytes(file, WHOLE_UP_TO);
        boolean opened = false;
        try {
            PdfInput input = new PdfInput(bytes, new DocumentParser(bytes, password, length).parse(), neededPassword);
            opened = true;
            return input;
        } finally {
            if (!opened) bytes.close();
        }
    }

    /** {@return whether it opened with one of the passwords only} */
    public boolean neededPassword() {
        return neededPassword;
    }

    public PDDocument document() {
        return document;
    }

    /** {@return the page dictionaries in order} The page tree is walked when this is first asked for. */
    public PageList pages() {
        PageList known = pages;
        if (known == null) pages = known = new PageList(document);
        return known;
    }

    /**
     * Does something with the file as a whole, within what it may ask for; {@return what comes of it}
     *
     * @throws TooMuchException if it asks for more
     */
    public <T> T whole(ScopedValue.CallableOp<T, IOException> work) throws IOException {
        return allowance.on(work);
    }

    /**
     * Does something with one of its pages, within what a page and the file may ask for; {@return what comes of it}
     *
     * @throws TooMuchException if it asks for more
     */
    public <T> T page(ScopedValue.CallableOp<T, IOException> work) throws IOException {
        return allowance.ofPage().on(work);
    }

    /** {@return the checksum of the file's bytes as they were read, or are being read} */
    public String checksum() throws IOException {
        return bytes.checksum();
    }

    /** {@return a number that grows while something of the file is read; any thread may ask} */
    public long readSoFar() {
        return bytes.readSoFar();
    }

    /** Makes whatever reads it fail at its next read. */
    public void cancel() {
        bytes.cancel();
    }

    /**
     * Unpacks a stream, up to the limit; what is damaged ends it.
     *
     * @throws TooMuchException if it unpacks to more than the limit
     */
    public static byte[] unpacked(COSStream stream) throws IOException {
        return unpacked(stream, () -> {});
    }

    /** Unpacks a stream as above; {@code damaged} is told where its data are no sound packing and something is missing. */
    public static byte[] unpacked(COSStream stream, Runnable damaged) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        COSBase filter = stream.getDictionaryObject(COSName.FILTER);
        if (COSName.FLATE_DECODE.equals(filter) && !stream.containsKey(COSName.DECODE_PARMS)) {
            try (Flate flate = new Flate(all)) {
                RawBytes.of(stream, flate);
                if (flate.isDamaged()) damaged.run();
            }
            return all.toByteArray();
        }
        RawBytes.of(stream, all::write);
        byte[] bytes = all.toByteArray();
        int filters = filter instanceof COSArray several ? several.size() : filter instanceof COSName ? 1 : 0;
        for (int i = 0; i < filters; i++) {
            COSBase name = filter instanceof COSArray several ? several.getObject(i) : filter;
            if (!(name instanceof COSName known)) throw new IOException("a filter has no name");
            BoundedOutput unpacked = new BoundedOutput();
            FilterFactory.INSTANCE.getFilter(known).decode(new ByteArrayInputStream(bytes), unpacked, stream, i);
            bytes = unpacked.toByteArray();
        }
        return bytes;
    }

    /** Takes what unpacks, up to the limit. */
    private static final class BoundedOutput extends FilterOutputStream {
        private final ByteArrayOutputStream all;

        BoundedOutput() {
            this(new ByteArrayOutputStream());
        }

        private BoundedOutput(ByteArrayOutputStream all) {
            super(all);
            this.all = all;
        }

        @Override
        public void write(int value) throws IOException {
            write(new byte[] {(byte) value}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int offset, int length) throws IOException {
            if (all.size() + length > Unpacking.LIMIT) throw new TooMuchException(Unpacking.LIMIT);
            Allowance.spendBytes(length);
            all.write(bytes, offset, length);
        }

        byte[] toByteArray() {
            return all.toByteArray();
        }
    }

    @Override
    public void close() throws IOException {
        document.close();
        bytes.close();
    }
}
