package app.yellowtab.input;

import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;

/**
 * How long a file's key is (ISO 32000-1:2008, table 20). Some files state another length than they were locked with, and
 * other readers open them all the same.
 */
enum KeyLength {
    AS_STATED(0), LONG(128), SHORT(40);

    private final int bits;

    KeyLength(int bits) {
        this.bits = bits;
    }

    /** Sets the length in the encryption dictionary of an open document. */
    void state(COSDictionary encryption) {
        if (bits == 0 || encryption.getInt(COSName.V, 0) > 3) return;
        encryption.setInt(COSName.LENGTH, bits);
        // With a key of 40 bits the first kind of lock is meant, whatever else is said (algorithm 1).
        encryption.setInt(COSName.V, bits == 40 ? 1 : 2);
    }
}
