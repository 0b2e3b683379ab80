package app.yellowtab.desktop.pages;

import app.yellowtab.pdf.Face;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import javafx.scene.text.Font;

/** The fonts that marks are set in on the screen: those that they are produced with. For the JavaFX thread. */
final class MarkFonts {
    private static final Map<Face, String> NAMES = new HashMap<>();

    private MarkFonts() {}

    static Font font(Face face, double sizePx) {
        return new Font(NAMES.computeIfAbsent(face, MarkFonts::load), sizePx);
    }

    /** {@return a font as a style} */
    static String style(Font font) {
        return String.format(Locale.ROOT,
                "-fx-font-family: \"%s\"; -fx-font-size: %.3fpx; -fx-font-weight: %s; -fx-font-style: %s;", font.getFamily(),
                font.getSize(),
                font.getStyle().contains("Bold") ? "bold" : "normal", font.getStyle().contains("Italic") ? "italic" : "normal");
    }

    private static String load(Face face) {
        try (InputStream in = face.open()) {
            return Font.loadFont(in, 13).getName();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
