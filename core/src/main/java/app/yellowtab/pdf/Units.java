package app.yellowtab.pdf;

/** Lengths. */
public final class Units {
    /** Points in a millimetre: 72 points make an inch of 25.4 mm (ISO 32000-1:2008, 8.3.2.3). */
    private static final float PT_PER_MM = 72 / 25.4f;
    /** A4, upright (ISO 216: 210 by 297 mm). */
    public static final float A4_WIDTH_PT = 210 * PT_PER_MM;
    public static final float A4_HEIGHT_PT = 297 * PT_PER_MM;

    private Units() {}

    /** {@return a length in points} */
    public static float mm(float millimetres) {
        return millimetres * PT_PER_MM;
    }
}
