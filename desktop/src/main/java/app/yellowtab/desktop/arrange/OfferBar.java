package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Filling;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** Says above the sheet what has happened to a placeholder, and offers what can be done about it. */
final class OfferBar extends HBox {
    private final Label words = Controls.paragraph("", Styles.FACT);
    private final Button action = Controls.button("fill.shorter.do", () -> {});
    private final Subscription subscription;

    OfferBar(Filling filling) {
        super(8);
        setId("offer");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add(Styles.OFFER);
        words.setMaxWidth(Double.MAX_VALUE);
        words.setMinWidth(0);
        setPrefWidth(1);    // it takes what width there is, and does not widen the sheet
        HBox.setHgrow(words, Priority.ALWAYS);
        action.setId("offer-accept");
        action.setMinWidth(USE_PREF_SIZE);
        action.setOnAction(event -> filling.accept());
        getChildren().addAll(words, action, Controls.iconButton(Feather.X, "fill.close", filling::dismiss));
        subscription = filling.offerProperty().subscribe(this::show);
    }

    private void show(Optional<Filling.Offer> offer) {
        words.setText(offer.map(Filling.Offer::words).orElse(""));
        action.setText(offer.map(Filling.Offer::action).orElse(""));
        Controls.show(action, !action.getText().isEmpty());
        Controls.show(this, offer.isPresent());
    }

    void dispose() {
        subscription.unsubscribe();
    }
}
