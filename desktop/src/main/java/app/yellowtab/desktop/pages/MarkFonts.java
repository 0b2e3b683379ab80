package app.yellowtab.desktop.pages;

import app.yellowtab.pdf.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import javafx.scene.text.Font;

/** The fonts that marks are set in on the screen: those that they are produced with. For the JavaFX thread. */
final class MarkFonts {
    private static final Map<Typeface, String> NAMES = new EnumMap<>(Typeface.class);

    private MarkFonts() {}

    static Font font(Typeface face, double sizePx) {
        return new Font(NAMES.computeIfAbsent(face, MarkFonts::load), sizePx);
    }

    private static String load(Typeface face) {
        try (InputStream in = face.open()) {
            return Font.loadFont(in, 13).getName();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
