package app.yellowtab.convert.picture;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.jspecify.annotations.Nullable;

/**
 * Grey pictures with the very values that their file has. Java takes those for linear light and makes them brighter when
 * asked for a colour; so does the PDF library.
 */
final class GreyPicture {
    private GreyPicture() {}

    static boolean is(BufferedImage image) {
        return image.getColorModel().getColorSpace().getType() == ColorSpace.TYPE_GRAY
                && !(image.getColorModel() instanceof IndexColorModel);
    }

    /**
     * {@return the picture}
     *
     * @param gamma the power by which its values become light, where the file says that it is another than usual; otherwise 0
     */
    static PDImageXObject of(PDDocument document, BufferedImage image, double gamma) throws IOException {
        Raster raster = image.getRaster();
        int sampleBits = raster.getSampleModel().getSampleSize(0);
        int bits = sampleBits > 8 ? 16 : 8;
        if (sampleBits > 16) throw new IOException("a grey picture of " + sampleBits + " bits, which viewers do not show");
        PDImageXObject picture = picture(document, raster, 0, bits, shades(sampleBits, bits, gamma));
        byte[] profile = ownProfile(image);
        if (gamma == 0 && profile != null) picture.setColorSpace(Profiles.space(document, profile, 1));
        if (image.getColorModel().hasAlpha()) picture.getCOSObject().setItem(COSName.SMASK,
                picture(document, raster, raster.getNumBands() - 1, bits, shades(sampleBits, bits, 0)));
        return picture;
    }

    /** {@return the profile that came with the picture; null where it has the plain grey that Java gives to all} */
    private static byte @Nullable [] ownProfile(BufferedImage image) {
        ColorSpace space = image.getColorModel().getColorSpace();
        return space instanceof ICC_ColorSpace icc && !space.equals(ColorSpace.getInstance(ColorSpace.CS_GRAY))
                ? icc.getProfile().getData() : null;
    }

    /** @param shades what is shown for each value; 8 or 16 bits of it */
    private static PDImageXObject picture(PDDocument document, Raster raster, int band, int bits, int[] shades)
            throws IOException {
        int width = raster.getWidth();
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        Deflater deflater = new Deflater();
        try (DeflaterOutputStream out = new DeflaterOutputStream(packed, deflater)) {
            int[] samples = new int[width];
            byte[] row = new byte[width * bits / 8];
            for (int y = 0; y < raster.getHeight(); y++) {
                raster.getSamples(raster.getMinX(), raster.getMinY() + y, width, 1, band, samples);
                for (int x = 0; x < width; x++) {
                    int shade = shades[samples[x]];
                    if (bits == 8) {
                        row[x] = (byte) shade;
                    } else {
                        row[2 * x] = (byte) (shade >> 8);
                        row[2 * x + 1] = (byte) shade;
                    }
                }
                out.write(row);
            }
        } finally {
            deflater.end();
        }
        return new PDImageXObject(document, new ByteArrayInputStream(packed.toByteArray()), COSName.FLATE_DECODE, width,
                raster.getHeight(), bits, PDDeviceGray.INSTANCE);
    }

    /**
     * {@return for each value of so many bits what is shown: itself, or with another power the same light as a screen shows it
     * (IEC 61966-2-1)}
     */
    private static int[] shades(int sampleBits, int bits, double gamma) {
        int[] shades = new int[1 << sampleBits];
        int most = shades.length - 1;
        int white = (1 << bits) - 1;
        for (int i = 0; i <= most; i++) {
            double light = Math.pow((double) i / most, gamma);
            double shown = light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
            shades[i] = gamma == 0 ? (int) ((long) i * white / most) : (int) Math.round(shown * white);
        }
        return shades;
    }
}
