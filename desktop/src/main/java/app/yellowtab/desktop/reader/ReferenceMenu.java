package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.leaf.ReferenceForm;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/**
 * The reference of the page in view, as the user writes references; copies it, and learns from an example how it is to be
 * written.
 */
final class ReferenceMenu extends MenuButton {
    private static final Duration SAID = Duration.millis(1_200);
    private final Workspace workspace;
    private final KeptReference kept;
    private final PauseTransition saying = new PauseTransition(SAID);
    private ReferenceForm form = ReferenceForm.STANDARD;

    ReferenceMenu(Workspace workspace, KeptReference kept) {
        this.workspace = workspace;
        this.kept = kept;
        setId("reference");
        getStyleClass().addAll(Styles.REFERENCE, Styles.QUIET);
        Controls.describe(this, Words.of("reference.tip", Shortcut.COPY_REFERENCE.shown()));
        // A menu without items is not shown at all.
        getItems().add(new MenuItem());
        setOnShowing(event -> getItems().setAll(items()));
        saying.setOnFinished(event -> showReference());
        workspace.jobs().quietly(kept::form, this::use);
    }

    private void use(ReferenceForm newForm) {
        form = newForm;
        showReference();
    }

    /** Shows the reference of the page in view. */
    void showReference() {
        if (saying.getStatus() == PauseTransition.Status.RUNNING) return;
        setText(page().isEmpty() ? Words.of("reference.none") : form.of(letter(), page()));
        setDisable(page().isEmpty());
    }

    private String page() {
        return workspace.plan().leaf(workspace.leaf()).label();
    }

    private String letter() {
        return workspace.plan().letterAt(workspace.leaf());
    }

    /** Copies the reference, and says so for a moment. */
    void copy() {
        if (page().isEmpty()) return;
        ClipboardContent content = new ClipboardContent();
        content.putString(form.of(letter(), page()));
        Clipboard.getSystemClipboard().setContent(content);
        setText(Words.of("reference.copied"));
        saying.playFromStart();
    }

    void dispose() {
        saying.stop();
    }

    private List<MenuItem> items() {
        List<MenuItem> items = new ArrayList<>();
        items.add(item(Words.of("reference.copy", form.of(letter(), page())), this::copy));
        items.add(new SeparatorMenuItem());
        Set<ReferenceForm> forms = new LinkedHashSet<>(
                List.of(ReferenceForm.STANDARD, new ReferenceForm("", "/", "", ReferenceForm.Order.SECTION_PAGE),
                        new ReferenceForm("(tab ", ", page ", ")", ReferenceForm.Order.SECTION_PAGE),
                        new ReferenceForm("[", "", "]", ReferenceForm.Order.PAGE)));
        forms.remove(form);
        for (ReferenceForm other : forms)
            items.add(item(Words.of("reference.like", other.of(letter(), page())), () -> keep(other)));
        items.add(new CustomMenuItem(example(), false));
        return items;
    }

    private VBox example() {
        TextField typed = new TextField(form.of(letter(), page()));
        typed.setId("reference-example");
        var wrong = Controls.paragraph("", Styles.WRONG);
        Controls.show(wrong, false);
        typed.setAccessibleText(Words.of("reference.own"));
        typed.setOnAction(event -> {
            Optional<ReferenceForm> learned = ReferenceForm.of(typed.getText(), letter(), page());
            wrong.setText(learned.isPresent() ? "" : Words.of("reference.wrong", page()));
            Controls.show(wrong, learned.isEmpty());
            if (learned.isEmpty()) return;
            keep(learned.get());
            hide();
        });
        return new VBox(4, Controls.label(Words.of("reference.own"), Styles.SMALL), typed, wrong);
    }

    private void keep(ReferenceForm chosen) {
        use(chosen);
        workspace.jobs().quietly(() -> {
            kept.keep(chosen);
            return chosen;
        }, done -> {});
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        return item;
    }
}
