package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.function.Predicate;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Title and date of one source, to be typed over. What is typed is taken over for that source, whichever is shown by then. */
final class SourceFields extends VBox {
    private final SourceId source;
    private final Field title;
    private final Field date;

    SourceFields(Gathering gathering, Source source) {
        super(10);
        this.source = source.id();
        this.title = new Field("glance-title", typed -> {
            gathering.type(this.source, typed);
            return true;
        });
        this.date = new Field("glance-date", typed -> gathering.typeDate(this.source, typed));
        date.setPromptText(Words.of("glance.datePrompt"));
        getChildren().addAll(new VBox(3, Controls.label(Words.of("glance.title"), Styles.FORM_LABEL), title),
                new VBox(3, Controls.label(Words.of("glance.date"), Styles.FORM_LABEL), date));
    }

    boolean isOf(Source other) {
        return source.equals(other.id());
    }

    /** Shows what the source is called now; what is being typed stays. */
    void show(Source now) {
        title.show(now.proposedTitle());
        date.show(now.proposedDate().shown());
    }

    /** Puts the keyboard into the title. */
    void begin() {
        title.requestFocus();
    }

    /** A field whose words are taken over when the keyboard leaves it, or at the Enter key, if they were changed. */
    private static final class Field extends TextField {
        private final Predicate<String> take;
        private String shown = "";

        Field(String id, Predicate<String> take) {
            this.take = take;
            setId(id);
            setOnAction(event -> commit());
            focusedProperty().subscribe(focused -> {
                if (!focused) commit();
            });
        }

        void show(String words) {
            boolean untouched = getText().equals(shown);
            shown = words;
            if (untouched && !getText().equals(words)) setText(words);
        }

        private void commit() {
            boolean taken = getText().equals(shown) || take.test(getText());
            getStyleClass().remove(Styles.WRONG);
            if (!taken) getStyleClass().add(Styles.WRONG);
        }
    }
}
