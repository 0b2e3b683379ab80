package app.yellowtab.recognise;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.PlanarYUVLuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/** Reads the QR code (ISO/IEC 18004) on a picture of a page, however the page lies. */
public final class CodeReader {
    /** A page should be so many pixels wide, so that the small squares of a code of ours are told apart. Chosen by us. */
    public static final int WIDTH_PX = 900;
    private static final Map<DecodeHintType, ?> HINTS =
            Map.of(DecodeHintType.TRY_HARDER, true, DecodeHintType.POSSIBLE_FORMATS, List.of(BarcodeFormat.QR_CODE));

    private static final int NINE = 9;

    private CodeReader() {}

    /** {@return what the code on a picture says; empty where none can be made out} */
    public static Optional<String> read(BufferedImage picture) {
        int width = picture.getWidth();
        int height = picture.getHeight();
        byte[] dots = new RGBLuminanceSource(width, height, picture.getRGB(0, 0, width, height, null, 0, width)).getMatrix();
        return read(dots, width, height).or(() -> read(withoutSpecks(dots, width, height), width, height));
    }

    private static Optional<String> read(byte[] dots, int width, int height) {
        LuminanceSource light = new PlanarYUVLuminanceSource(dots, width, height, 0, 0, width, height, false);
        return read(new BinaryBitmap(new HybridBinarizer(light)))
                .or(() -> read(new BinaryBitmap(new GlobalHistogramBinarizer(light))));
    }

    /** {@return each dot as the middle one of the nine around it, by their light} */
    private static byte[] withoutSpecks(byte[] dots, int width, int height) {
        byte[] smooth = dots.clone();
        int[] around = new int[NINE];
        for (int y = 1; y < height - 1; y++) {
            for (int x = 1; x < width - 1; x++) {
                int count = 0;
                for (int row = -1; row <= 1; row++)
                    for (int at = -1; at <= 1; at++) around[count++] = dots[(y + row) * width + x + at] & 0xFF;
                Arrays.sort(around);
                smooth[y * width + x] = (byte) around[NINE / 2];
            }
        }
        return smooth;
    }

    private static Optional<String> read(BinaryBitmap dots) {
        try {
            return Optional.of(new QRCodeReader().decode(dots, HINTS).getText());
        } catch (ReaderException none) {
            return Optional.empty();
        } catch (RuntimeException broken) {
            LoggerFactory.getLogger(CodeReader.class).debug("no code", broken);
            return Optional.empty();
        }
    }
}
