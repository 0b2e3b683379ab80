package app.yellowtab.input;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessRead;
import org.apache.pdfbox.pdfparser.PDFObjectStreamParser;
import org.apache.pdfbox.pdfparser.PDFParser;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * The library's parser, but for object streams (ISO 32000-1:2008, 7.5.7): the library makes a table of all objects of the
 * file for each of them, which in a file of a thousand object streams takes most of the time. Here they share one.
 */
final class DocumentParser extends PDFParser {
    /** Objects that were unpacked and not asked for yet, by the number of their stream. */
    private final Map<Long, Map<COSObjectKey, COSBase>> waiting = new HashMap<>();

    private final KeyLength keyLength;

    DocumentParser(RandomAccessRead source, String password, KeyLength keyLength) throws IOException {
        super(source, password, null, null, IOUtils.createMemoryOnlyStreamCache());
        this.keyLength = keyLength;
    }

    /** Locks that no password opens are told from those that one does (ISO 32000-1:2008, 7.6.1 and 7.6.5). */
    @Override
    protected void prepareDecryption() throws IOException {
        COSDictionary encryption = document.getEncryptionDictionary();
        String handler = encryption == null ? null : encryption.getNameAsString(COSName.FILTER);
        if (handler != null && !handler.equals("Standard")) throw new OtherLockException(handler);
        if (encryption != null) keyLength.state(encryption);
        super.prepareDecryption();
    }

    @Override
    protected @Nullable COSBase parseObjectStreamObject(long streamNumber, COSObjectKey key) throws IOException {
        Map<COSObjectKey, COSBase> known = waiting.get(streamNumber);
        COSBase ready = known == null ? null : known.remove(key);
        if (ready != null) return ready;
        if (!(document.getObjectFromPool(getObjectKey(streamNumber, 0)).getObject() instanceof COSStream stream)) return null;
        try {
            Map<COSObjectKey, COSBase> all = new Packed(stream).parseAllObjects();
            ready = all.remove(key);
            if (known == null) waiting.put(streamNumber, all);
            else all.forEach(known::putIfAbsent);
            return ready;
        } catch (IOException damaged) {
            if (!isLenient()) throw damaged;
            LoggerFactory.getLogger(DocumentParser.class).warn("object stream {} cannot be read", streamNumber, damaged);
            return null;
        }
    }

    /** One object stream, with this parser's table. */
    private final class Packed extends PDFObjectStreamParser {
        Packed(COSStream stream) throws IOException {
            super(stream, DocumentParser.this.document);
        }

        @Override
        protected COSObjectKey getObjectKey(long number, int generation) {
            return DocumentParser.this.getObjectKey(number, generation);
        }
    }
}
