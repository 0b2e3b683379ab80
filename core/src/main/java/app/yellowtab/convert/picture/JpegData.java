package app.yellowtab.convert.picture;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.TreeMap;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * A JPEG file (ITU-T T.81, annex B), whose data a PDF takes over as they are. What keeps readers from opening one, but does
 * not concern its dots, is taken out: a profile that cannot be read, and components with the same name.
 */
final class JpegData {
    private static final int SOI = 0xD8;
    private static final int EOI = 0xD9;
    private static final int SOS = 0xDA;
    private static final int APP2 = 0xE2;
    private static final int APP14 = 0xEE;
    private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] ADOBE = "Adobe".getBytes(StandardCharsets.US_ASCII);

    private final byte[] original;
    private final ByteArrayOutputStream head = new ByteArrayOutputStream();
    private final ByteArrayOutputStream withoutProfile = new ByteArrayOutputStream();
    private final TreeMap<Integer, byte[]> profile = new TreeMap<>();
    private int width;
    private int height;
    private int components;
    private boolean adobe;
    private boolean renamed;
    private boolean unsoundProfile;
    private byte[] data;

    /** @throws IOException if it is no JPEG, or one of a kind that no PDF viewer shows */
    JpegData(byte[] bytes) throws IOException {
        original = bytes;
        data = bytes;
        read();
        if (components == 0 || width == 0 || height == 0) throw new IOException("the picture has no size");
        if (renamed) data = head.toByteArray();
        if (!profile.isEmpty() && !Profiles.isSound(joined(), components)) {
            unsoundProfile = true;
            profile.clear();
            data = withoutProfile.toByteArray();
        }
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    /** {@return what was wrong with it and does not matter for its dots, in a few words; empty for nothing} */
    String mended() {
        if (unsoundProfile) return renamed ? "its colour profile, which cannot be read, and the names of its colours"
                : "its colour profile, which cannot be read";
        return renamed ? "the names of its colours" : "";
    }

    private int u16(int at) throws IOException {
        if (at + 1 >= original.length) throw new IOException("the picture breaks off in its head");
        return (original[at] & 0xFF) << 8 | original[at + 1] & 0xFF;
    }

    private void read() throws IOException {
        if (original.length < 4 || u16(0) != (0xFF00 | SOI)) throw new IOException("it does not begin as a JPEG does");
        keep(0, 2, true);
        int at = 2;
        while (at + 3 < original.length) {
            if ((original[at] & 0xFF) != 0xFF) throw new IOException("its head is damaged");
            int marker = original[at + 1] & 0xFF;
            if (marker == 0xFF) {
                at++;
                continue;
            }
            if (marker == EOI) break;
            int end = at + 2 + u16(at + 2);
            if (end > original.length) throw new IOException("the picture breaks off in its head");
            if (marker == SOS) {
                scan(at, end);
                return;
            }
            segment(marker, at, end);
            at = end;
        }
        throw new IOException("it has no picture in it");
    }

    private void segment(int marker, int at, int end) throws IOException {
        boolean frame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
        if (frame) {
            frame(marker, at, end);
            return;
        }
        boolean icc = marker == APP2 && starts(at + 4, end, ICC) && end - at >= 18;
        if (icc) profile.put(original[at + 16] & 0xFF, Arrays.copyOfRange(original, at + 18, end));
        if (marker == APP14 && starts(at + 4, end, ADOBE)) adobe = true;
        keep(at, end, !icc);
    }

    private void frame(int marker, int at, int end) throws IOException {
        if (marker > 0xC2) throw new IOException("a kind of JPEG that viewers do not show");
        if ((original[at + 4] & 0xFF) != 8)
            throw new IOException("a JPEG with more than 8 bits a colour, which viewers do not show");
        height = u16(at + 5);
        width = u16(at + 7);
        components = original[at + 9] & 0xFF;
        if (components != 1 && components != 3 && components != 4 || end < at + 10 + 3 * components)
            throw new IOException("its head is damaged");
        for (int i = 0; i < components; i++)
            for (int j = 0; j < i; j++) renamed |= original[at + 10 + 3 * i] == original[at + 10 + 3 * j];
        byte[] copy = Arrays.copyOfRange(original, at, end);
        if (renamed) for (int i = 0; i < components; i++) copy[10 + 3 * i] = (byte) (i + 1);
        head.writeBytes(copy);
        withoutProfile.writeBytes(copy);
    }

    /** From the first scan on all stays; only the names that it gives to the components follow theirs. */
    private void scan(int at, int end) throws IOException {
        byte[] copy = Arrays.copyOfRange(original, at, original.length);
        int named = copy.length > 4 ? copy[4] & 0xFF : 0;
        if (renamed && named != components) throw new IOException("its colours cannot be told apart");
        if (renamed) for (int i = 0; i < named && 5 + 2 * i < end - at; i++) copy[5 + 2 * i] = (byte) (i + 1);
        head.writeBytes(copy);
        withoutProfile.writeBytes(copy);
    }

    private void keep(int from, int to, boolean alsoWithoutProfile) {
        head.write(original, from, to - from);
        if (alsoWithoutProfile) withoutProfile.write(original, from, to - from);
    }

    private boolean starts(int at, int end, byte[] with) {
        if (at + with.length > end) return false;
        for (int i = 0; i < with.length; i++) if (original[at + i] != with[i]) return false;
        return true;
    }

    private byte[] joined() {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        profile.values().forEach(all::writeBytes);
        return all.toByteArray();
    }

    /** {@return the picture, its data as they are} */
    PDImageXObject picture(PDDocument document) throws IOException {
        PDColorSpace space =
                components == 1 ? PDDeviceGray.INSTANCE : components == 3 ? PDDeviceRGB.INSTANCE : PDDeviceCMYK.INSTANCE;
        PDImageXObject picture =
                new PDImageXObject(document, new ByteArrayInputStream(data), COSName.DCT_DECODE, width, height, 8, space);
        if (!profile.isEmpty()) picture.setColorSpace(Profiles.space(document, joined(), components));
        if (components == 4 && adobe) {
            // Such files hold ink upside down (Adobe technical note 5116).
            COSArray upsideDown = new COSArray();
            for (int i = 0; i < 8; i++) upsideDown.add(i % 2 == 0 ? COSInteger.ONE : COSInteger.ZERO);
            picture.setDecode(upsideDown);
        }
        return picture;
    }
}
