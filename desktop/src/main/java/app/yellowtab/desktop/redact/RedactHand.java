package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.facts.PageText;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.util.Subscription;

/** The mouse and the keys on a page that is redacted: areas are drawn, words clicked on, areas chosen and taken back. */
public final class RedactHand {
    private final RedactDesk desk;
    private final PagePane page;
    private final Supplier<PageText> words;
    private final Subscription subscription;

    /** @param words those of the page that is shown, where they are known already */
    public RedactHand(RedactDesk desk, PagePane page, Supplier<PageText> words) {
        this.desk = desk;
        this.page = page;
        this.words = words;
        page.onDrawn(() -> desk.stateProperty().get().isOn(), area -> {
            page.mark(List.of());
            desk.draw(List.of(area));
        });
        page.addEventHandler(MouseEvent.MOUSE_CLICKED, this::click);
        page.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        subscription = desk.stateProperty().subscribe(state -> {
            boolean on = state.isOn();
            page.mark(Styles.GLASS, on ? desk.seenAreas() : List.of());
            page.mark(Styles.GLASS_CHOSEN, on ? desk.chosenArea() : List.of());
            page.mark(Styles.HIT_AREA, on ? desk.hitAreas() : List.of());
        });
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void click(MouseEvent event) {
        if (!desk.stateProperty().get().isOn() || event.getButton() != MouseButton.PRIMARY || !event.isStillSincePress()) return;
        page.requestFocus();
        Point2D at = page.placeMm(event.getX(), event.getY());
        if (desk.chooseAt(at.getX(), at.getY())) return;
        Hit.wordAt(words.get(), at.getX(), at.getY()).ifPresentOrElse(word -> desk.drawWords(List.of(List.of(word))),
                () -> desk.choose(-1));
    }

    private void key(KeyEvent event) {
        if (!desk.stateProperty().get().isOn()) return;
        if (Shortcut.TAKE_OUT.matches(event)) desk.takeBack();
        else if (event.getCode() == KeyCode.RIGHT) desk.step(true);
        else if (event.getCode() == KeyCode.LEFT) desk.step(false);
        else if (event.getCode() == KeyCode.ESCAPE) desk.turnOn(false);
        else return;
        event.consume();
    }
}
