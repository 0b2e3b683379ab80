package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.model.page.Area;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** The words of a page that are chosen with the mouse: from one to another as they are read, or one by a double click. */
final class PageSelection {
    /** So far from a word the mouse is still at it, in millimetres. */
    private static final double NEAR_MM = 12;

    private final PagePane page;
    private final Consumer<String> chosen;
    private List<List<Word>> lines = List.of();
    private List<Word> words = List.of();
    private PageText text = PageText.NONE;
    private boolean enabled = true;
    private int from = -1;
    private int to = -1;

    /** @param chosen is given the words that are chosen; an empty text for none */
    PageSelection(PagePane page, Consumer<String> chosen) {
        this.page = page;
        this.chosen = chosen;
        page.addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        page.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
    }

    /** Lets words be chosen with the mouse, or not. */
    void enable(boolean on) {
        enabled = on;
        page.setCursor(on ? words.isEmpty() ? Cursor.DEFAULT : Cursor.TEXT : Cursor.CROSSHAIR);
        if (!on) choose(-1, -1);
    }

    /** {@return the words of the page} */
    PageText text() {
        return text;
    }

    /** {@return the words that are chosen, line by line} */
    List<List<Word>> chosenLines() {
        List<List<Word>> chosen = new ArrayList<>();
        int at = 0;
        for (List<Word> line : lines) {
            List<Word> its = new ArrayList<>();
            for (Word word : line) if (isChosen(at++)) its.add(word);
            if (!its.isEmpty()) chosen.add(its);
        }
        return chosen;
    }

    /** Takes the words of another page; none are chosen then. */
    void show(PageText newText) {
        text = newText;
        lines = newText.lines();
        words = lines.stream().flatMap(List::stream).toList();
        if (enabled) page.setCursor(words.isEmpty() ? Cursor.DEFAULT : Cursor.TEXT);
        choose(-1, -1);
    }

    /** Chooses all words of the page; {@return whether there are any} */
    boolean chooseAll() {
        choose(0, words.size() - 1);
        return !words.isEmpty();
    }

    private void press(MouseEvent event) {
        if (!enabled || event.getButton() != MouseButton.PRIMARY) return;
        page.requestFocus();
        int at = nearest(event);
        boolean word = event.getClickCount() == 2;
        if (event.isShiftDown() && from >= 0) choose(from, at);
        else {
            from = at;
            choose(word ? at : -1, word ? at : -1);
            from = at;
        }
    }

    private void drag(MouseEvent event) {
        if (!enabled) return;
        int at = nearest(event);
        if (from < 0) from = at;
        if (from >= 0 && at >= 0) choose(from, at);
    }

    private void choose(int first, int last) {
        from = first;
        to = last;
        page.mark(Styles.CHOSEN_WORDS, chosenLines().stream().map(PageSelection::around).toList());
        chosen.accept(chosenText());
    }

    private boolean isChosen(int word) {
        return to >= 0 && word >= Math.min(from, to) && word <= Math.max(from, to);
    }

    /** {@return the words that are chosen, line by line} */
    String chosenText() {
        return chosenLines().stream().map(line -> line.stream().map(Word::text).collect(Collectors.joining(" ")))
                .collect(Collectors.joining("\n"));
    }

    /** Copies what is chosen; {@return whether anything is} */
    boolean copy() {
        String text = chosenText();
        if (text.isEmpty()) return false;
        ClipboardContent content = new ClipboardContent();
        content.putString(text);
        Clipboard.getSystemClipboard().setContent(content);
        return true;
    }

    /** {@return the area around words of one line} */
    static Area around(List<Word> words) {
        double left = words.stream().mapToDouble(Word::leftMm).min().orElse(0);
        double top = words.stream().mapToDouble(Word::topMm).min().orElse(0);
        double right = words.stream().mapToDouble(Word::rightMm).max().orElse(0);
        double bottom = words.stream().mapToDouble(word -> word.topMm() + word.heightMm()).max().orElse(0);
        return new Area(left, top, Math.max(0.1, right - left), Math.max(0.1, bottom - top));
    }

    /** {@return the word that the mouse is nearest to, lines before columns; -1 where it is at none} */
    private int nearest(MouseEvent event) {
        Point2D at = page.placeMm(event.getX(), event.getY());
        int best = -1;
        double least = NEAR_MM;
        for (int i = 0; i < words.size(); i++) {
            Word word = words.get(i);
            double across = Math.max(0, Math.max(word.leftMm() - at.getX(), at.getX() - word.rightMm()));
            double down = Math.max(0, Math.max(word.topMm() - at.getY(), at.getY() - word.topMm() - word.heightMm()));
            double far = across / 4 + down;
            if (far >= least) continue;
            least = far;
            best = i;
        }
        return best;
    }
}
