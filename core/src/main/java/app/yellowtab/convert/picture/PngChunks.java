package app.yellowtab.convert.picture;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/** What the head of a PNG says (ISO/IEC 15948:2004, 11.2 and 11.3). */
final class PngChunks {
    private static final int SIGNATURE = 8;
    private static final int HEADER = SIGNATURE + 8;
    /** The power that is meant where nothing is said, or the plain colours of screens (11.3.3.2). */
    private static final double USUAL_GAMMA = 2.2;

    private final byte[] png;

    PngChunks(byte[] png) {
        this.png = png;
    }

    /** {@return whether it has no colours: colour type 0 or 4} */
    boolean isGrey() {
        return png.length > HEADER + 9 && (png[HEADER + 9] == 0 || png[HEADER + 9] == 4);
    }

    /** {@return the power by which its values become light, where that is another than usual; otherwise 0} */
    double gamma() {
        double gamma = 0;
        ByteBuffer chunks = ByteBuffer.wrap(png);
        for (int at = SIGNATURE; at + 12 <= png.length;) {
            int length = chunks.getInt(at);
            String type = new String(png, at + 4, 4, StandardCharsets.US_ASCII);
            if (length < 0 || type.equals("IDAT")) break;
            if (type.equals("sRGB") || type.equals("iCCP")) return 0;
            if (type.equals("gAMA") && length == 4 && at + 12 <= png.length && chunks.getInt(at + 8) > 0)
                gamma = 100_000.0 / chunks.getInt(at + 8);
            if (length > png.length - at - 12) break;
            at += 12 + length;
        }
        return gamma > 0.2 && gamma < 5 && Math.abs(gamma - USUAL_GAMMA) > 0.1 ? gamma : 0;
    }
}
