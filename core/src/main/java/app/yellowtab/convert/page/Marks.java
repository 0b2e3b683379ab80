package app.yellowtab.convert.page;

/** The bytes that files of a kind begin with. */
final class Marks {
    private Marks() {}

    /** {@return whether bytes begin with a mark, given as values from 0 to 255} */
    static boolean starts(byte[] bytes, int... mark) {
        if (bytes.length < mark.length) return false;
        for (int i = 0; i < mark.length; i++) if ((bytes[i] & 0xFF) != mark[i]) return false;
        return true;
    }
}
