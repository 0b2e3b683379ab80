package app.yellowtab.stamp;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Calendar;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * What a file says of marks that were put on it: in the page-piece dictionary of its catalog (ISO 32000-1:2008, 14.5), how long
 * it was before and what fingerprint that much of it has.
 *
 * @param bytes  how long it was
 * @param sha256 of so many bytes from its beginning, in lower-case hexadecimal
 */
record StampedFile(long bytes, String sha256) {
    private static final COSName PIECE_INFO = COSName.getPDFName("PieceInfo");
    private static final COSName OURS = COSName.getPDFName("YellowTab");
    private static final COSName PRIVATE = COSName.getPDFName("Private");
    private static final COSName LAST_MODIFIED = COSName.getPDFName("LastModified");
    private static final COSName BYTES = COSName.getPDFName("Bytes");
    private static final COSName PRINT = COSName.getPDFName("Sha256");
    private static final int BUFFER = 1 << 16;

    /** {@return what a document says of marks put on it; empty where there are none} */
    static Optional<StampedFile> of(PDDocument document) {
        COSDictionary all = document.getDocumentCatalog().getCOSObject().getCOSDictionary(PIECE_INFO);
        COSDictionary own = all == null ? null : all.getCOSDictionary(OURS);
        COSDictionary data = own == null ? null : own.getCOSDictionary(PRIVATE);
        if (data == null || !(data.getDictionaryObject(BYTES) instanceof COSInteger bytes)
                || !(data.getDictionaryObject(PRINT) instanceof COSString print))
            return Optional.empty();
        return Optional.of(new StampedFile(bytes.longValue(), print.toHexString().toLowerCase(Locale.ROOT)));
    }

    /** Says in a document what it was before. */
    void sayIn(PDDocument document, Calendar now) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary before = catalog.getCOSDictionary(PIECE_INFO);
        COSDictionary all = before == null ? new COSDictionary() : new COSDictionary(before);
        COSDictionary data = new COSDictionary();
        data.setItem(BYTES, COSInteger.get(bytes));
        COSString print = new COSString(HexFormat.of().parseHex(sha256));
        data.setItem(PRINT, print);
        COSDictionary own = new COSDictionary();
        own.setDate(LAST_MODIFIED, now);
        own.setItem(PRIVATE, data);
        all.setItem(OURS, own);
        catalog.setItem(PIECE_INFO, all);
        catalog.setNeedToBeUpdated(true);
    }

    /** Takes it out of a document again. */
    static void forget(PDDocument document) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary before = catalog.getCOSDictionary(PIECE_INFO);
        if (before == null) return;
        COSDictionary left = new COSDictionary(before);
        left.removeItem(OURS);
        if (left.size() > 0) catalog.setItem(PIECE_INFO, left);
        else catalog.removeItem(PIECE_INFO);
        catalog.setNeedToBeUpdated(true);
    }

    /** {@return whether a file still begins with what it was} */
    boolean isBeginOf(Path file) throws IOException {
        return Files.size(file) >= bytes && print(file, bytes).equals(sha256);
    }

    /** {@return the fingerprint of so many bytes of a file from its beginning} */
    static String print(Path file, long bytes) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            byte[] buffer = new byte[BUFFER];
            long left = bytes;
            while (left > 0) {
                int count = in.read(buffer, 0, (int) Math.min(buffer.length, left));
                if (count < 0) throw new IOException("the file is shorter than it was");
                digest.update(Arrays.copyOf(buffer, count));
                left -= count;
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
