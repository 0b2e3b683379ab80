package app.yellowtab.carry.part;

import app.yellowtab.input.PdfInput;
import app.yellowtab.input.RawBytes;
import app.yellowtab.input.TooMuchException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.slf4j.LoggerFactory;

/** The content streams of a page (ISO 32000-1:2008, 7.8.2). */
public final class PageContents {
    private PageContents() {}

    /**
     * {@return the streams in order}
     *
     * @throws IOException if one is named and cannot be read: the page would be blank without a word, and so counts as lost
     */
    public static List<COSStream> of(COSDictionary page) throws IOException {
        List<COSStream> streams = new ArrayList<>();
        COSBase item = page.getItem(COSName.CONTENTS);
        COSBase contents = page.getDictionaryObject(COSName.CONTENTS);
        if (item instanceof COSObject reference && reference.getObject() == null)
            throw new IOException("its content cannot be read");
        if (contents instanceof COSStream stream) streams.add(stream);
        if (contents instanceof COSArray parts) {
            for (int i = 0; i < parts.size(); i++) {
                if (parts.getObject(i) instanceof COSStream part) streams.add(part);
                else if (parts.get(i) instanceof COSObject reference && reference.getObject() == null)
                    throw new IOException("part of its content cannot be read");
            }
        }
        return streams;
    }

    /**
     * {@return all operators of some streams} A stream that cannot be unpacked to its end is there as far as it goes, which is as
     * far as a viewer draws it.
     */
    public static byte[] unpacked(List<COSStream> streams) throws IOException {
        return unpacked(streams, () -> {});
    }

    /**
     * Unpacks streams as above; {@code damaged} is told where one cannot be unpacked to its end.
     *
     * @throws IOException if one cannot even be read as it is stored: there is nothing of it to carry, and the page counts as
     *         lost
     */
    public static byte[] unpacked(List<COSStream> streams, Runnable damaged) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (COSStream stream : streams) {
            try {
                all.write(PdfInput.unpacked(stream, damaged));
            } catch (TooMuchException hostile) {
                throw hostile;
            } catch (IOException cut) {
                LoggerFactory.getLogger(PageContents.class).warn("content stream cut off", cut);
                RawBytes.of(stream, (bytes, offset, length) -> {});
                damaged.run();
            }
            all.write('\n');
        }
        return all.toByteArray();
    }
}
