package app.yellowtab.sample.paper;

import app.yellowtab.pdf.BilevelPicture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Writes scanned sides as a PDF, in any of the forms in which devices pack their pictures. */
public final class RehearsalFile {
    private static final int PT_AN_INCH = 72;
    private static final float QUALITY = 0.6f;
    /** Types of segments (ITU-T T.88, 7.3). */
    private static final int PAGE_INFORMATION = 48;
    private static final int GENERIC_REGION = 38;

    private RehearsalFile() {}

    /** How a picture is packed; the first two take black and white ones alone. */
    public enum Packing {
        CCITT, JBIG2, JPEG, JPEG_2000
    }

    /**
     * Writes sides, a page each.
     *
     * @param dpi of the pictures
     */
    public static void write(List<BufferedImage> sides, Packing packing, int dpi, Path target) throws IOException {
        try (PDDocument document = new PDDocument()) {
            // What is the same picture is packed once.
            Map<BufferedImage, PDImageXObject> packed = new IdentityHashMap<>();
            for (BufferedImage side : sides) {
                if (!packed.containsKey(side)) packed.put(side, pack(document, side, packing, dpi));
                add(document, side, Objects.requireNonNull(packed.get(side)), dpi);
            }
            document.setDocumentId(0L);
            document.save(target.toFile());
        }
    }

    static void add(PDDocument document, BufferedImage side, Packing packing, int dpi) throws IOException {
        add(document, side, pack(document, side, packing, dpi), dpi);
    }

    private static PDImageXObject pack(PDDocument document, BufferedImage side, Packing packing, int dpi) throws IOException {
        return switch (packing) {
            case CCITT -> BilevelPicture.of(document, side);
            case JBIG2 -> jbig2(document, side);
            case JPEG -> JPEGFactory.createFromImage(document, side, QUALITY, dpi);
            case JPEG_2000 -> jpeg2000(document, side);
        };
    }

    private static void add(PDDocument document, BufferedImage side, PDImageXObject picture, int dpi) throws IOException {
        PDRectangle size =
                new PDRectangle(side.getWidth() * (float) PT_AN_INCH / dpi, side.getHeight() * (float) PT_AN_INCH / dpi);
        PDPage page = new PDPage(size);
        document.addPage(page);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.drawImage(picture, 0, 0, size.getWidth(), size.getHeight());
        }
    }

    /**
     * A page of one generic region, coded as a fax is (ITU-T T.88, 6.2.6), without the file's own header (ISO 32000-1:2008,
     * 7.4.7).
     */
    private static PDImageXObject jbig2(PDDocument document, BufferedImage side) throws IOException {
        byte[] fax;
        try (InputStream coded = BilevelPicture.of(document, side).getStream()
                .createInputStream(List.of(COSName.CCITTFAX_DECODE.getName()))) {
            fax = coded.readAllBytes();
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        segment(out, 0, PAGE_INFORMATION, 19);
        for (int field : new int[] {side.getWidth(), side.getHeight(), 0, 0}) out.writeInt(field);
        out.writeByte(0);
        out.writeShort(0);
        segment(out, 1, GENERIC_REGION, 18 + fax.length);
        for (int field : new int[] {side.getWidth(), side.getHeight(), 0, 0}) out.writeInt(field);
        out.writeByte(0);
        out.writeByte(1);
        out.write(fax);
        return new PDImageXObject(document, new ByteArrayInputStream(bytes.toByteArray()), COSName.JBIG2_DECODE, side.getWidth(),
                side.getHeight(), 1, PDDeviceGray.INSTANCE);
    }

    private static void segment(DataOutputStream out, int number, int type, int length) throws IOException {
        out.writeInt(number);
        out.writeByte(type);
        out.writeByte(0);
        out.writeByte(1);
        out.writeInt(length);
    }

    private static PDImageXObject jpeg2000(PDDocument document, BufferedImage side) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg 2000").next();
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageWriteParam way = writer.getDefaultWriteParam();
            way.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            way.setCompressionType("JPEG2000");
            way.setCompressionQuality(QUALITY);
            try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
                writer.setOutput(out);
                writer.write(null, new IIOImage(side, null, null), way);
            }
            boolean grey = side.getRaster().getNumBands() == 1;
            return new PDImageXObject(document, new ByteArrayInputStream(bytes.toByteArray()), COSName.JPX_DECODE,
                    side.getWidth(), side.getHeight(), 8, grey ? PDDeviceGray.INSTANCE : PDDeviceRGB.INSTANCE);
        } finally {
            writer.dispose();
        }
    }
}
