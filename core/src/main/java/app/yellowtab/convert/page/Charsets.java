package app.yellowtab.convert.page;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import org.jspecify.annotations.Nullable;
import org.mozilla.universalchardet.UniversalDetector;

/** Makes letters of bytes whose encoding nobody has stated for certain. */
public final class Charsets {
    private static final Charset WESTERN = Charset.forName("windows-1252");

    private Charsets() {}

    /**
     * Decodes a text. A byte order mark decides; then the stated encoding, if the text is valid in it; then UTF-8, if the
     * text is valid in that; then what the frequency of letters suggests; then the western code page of Windows.
     *
     * @param stated the encoding's name; empty where none is stated
     */
    public static String decode(byte[] bytes, String stated) {
        if (Marks.starts(bytes, 0xFF, 0xFE, 0, 0)) return new String(bytes, 4, bytes.length - 4, Charset.forName("UTF-32LE"));
        if (Marks.starts(bytes, 0xFF, 0xFE)) return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        if (Marks.starts(bytes, 0xFE, 0xFF)) return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        Charset wide = wide(bytes);
        if (wide != null) return new String(bytes, wide);
        int start = Marks.starts(bytes, 0xEF, 0xBB, 0xBF) ? 3 : 0;
        for (String name : new String[] {stated, "UTF-8"}) {
            try {
                if (!name.isBlank()) return Charset.forName(name).newDecoder()
                        .decode(ByteBuffer.wrap(bytes, start, bytes.length - start)).toString();
            } catch (CharacterCodingException | IllegalCharsetNameException | UnsupportedCharsetException notThatOne) {
                continue;
            }
        }
        return new String(bytes, likely(bytes));
    }

    /**
     * {@return the encoding of text in which every other byte is nought, as of western letters in two bytes each; null for any
     * other}
     */
    private static @Nullable Charset wide(byte[] bytes) {
        int looked = Math.min(bytes.length, 4000) & ~1;
        int even = 0;
        int odd = 0;
        for (int i = 0; i < looked; i += 2) {
            if (bytes[i] == 0) even++;
            if (bytes[i + 1] == 0) odd++;
        }
        if (looked < 4 || Math.max(even, odd) * 10 < looked * 3 || Math.min(even, odd) * 20 > looked) return null;
        return odd > even ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_16BE;
    }

    private static Charset likely(byte[] bytes) {
        UniversalDetector detector = new UniversalDetector();
        detector.handleData(bytes, 0, Math.min(bytes.length, 1 << 20));
        detector.dataEnd();
        String name = detector.getDetectedCharset();
        try {
            return name == null ? WESTERN : Charset.forName(name);
        } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
            return WESTERN;
        }
    }
}
