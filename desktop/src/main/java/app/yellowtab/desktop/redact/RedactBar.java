package app.yellowtab.desktop.redact;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.redact.RedactDesk.RedactState;
import app.yellowtab.desktop.work.Workspace;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** What can be done while pages are redacted: the reason, taking back, going through hits, the schedule. */
public final class RedactBar extends VBox {
    private final RedactDesk desk;
    private final TextField reason = new TextField();
    private final CheckBox printed = new CheckBox(Words.of("redact.printed"));
    private final Label counted = Controls.label("", Styles.SMALL);
    private final Label whole = Controls.label("", Styles.SMALL);
    private final Button back = Controls.button("redact.takeBack", () -> {});
    private final Label hit = Controls.paragraph("", Styles.SMALL);
    private final Button redact = Controls.button("redact.hit", () -> {});
    private final VBox walk;
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private final Subscription subscription;

    public RedactBar(RedactDesk desk, Workspace workspace, FileDialogs dialogs) {
        super(6);
        this.desk = desk;
        setId("redact-bar");
        getStyleClass().add(Styles.REDACT_BAR);
        reason.setId("redact-reason");
        reason.setPromptText(Words.of("redact.reason"));
        reason.setAccessibleText(Words.of("redact.reason"));
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.setOnAction(event -> take());
        reason.focusedProperty().subscribe(focused -> {
            if (!focused) take();
        });
        printed.setId("redact-printed");
        printed.setMinWidth(USE_PREF_SIZE);
        printed.setOnAction(event -> take());
        HBox why = new HBox(8, reason, printed);
        why.setAlignment(Pos.CENTER_LEFT);
        back.setOnAction(event -> desk.takeBack());
        counted.setId("redact-counted");
        MenuButton more = new MenuButton(Words.of("redact.more"));
        more.setId("redact-more");
        more.getItems().setAll(Controls.menuItem("redact.takeBackPage", desk::takeBackPage),
                Controls.menuItem("redact.takeBackAll", desk::takeBackAll),
                Controls.menuItem("redact.schedule",
                        () -> dialogs
                                .saveAs(Words.of("redact.schedule"),
                                        workspace.folder().path().resolve(Words.of("redact.scheduleFile") + ".docx"))
                                .ifPresent(desk::writeSchedule)));
        HBox acts = new HBox(8, counted, Controls.spring(), back, more);
        acts.setAlignment(Pos.CENTER_LEFT);
        redact.setOnAction(event -> desk.decide(true));
        hit.setId("redact-hitWords");
        walk = new VBox(4, hit, new FlowPane(6, 6, redact, Controls.button("redact.leave", () -> desk.decide(false)),
                Controls.button("redact.end", desk::endWalk)));
        said.setId("redact-said");
        Button done = Controls.button("redact.done", () -> desk.turnOn(false));
        whole.setId("redact-whole");
        HBox pages = new HBox(6, whole, Controls.spring(),
                Controls.iconButton(Feather.CHEVRON_UP, "redact.pageBefore", () -> desk.goToRedacted(false)),
                Controls.iconButton(Feather.CHEVRON_DOWN, "redact.pageBehind", () -> desk.goToRedacted(true)), done);
        pages.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(Controls.paragraph(Words.of("redact.how"), Styles.SMALL), why, acts, walk, said, pages);
        subscription = Subscription.combine(desk.stateProperty().subscribe(this::show),
                workspace.onPlan(plan -> show(desk.stateProperty().get())), desk.saidProperty().subscribe(words -> {
                    said.setText(words);
                    Controls.show(said, !words.isEmpty());
                }));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void take() {
        desk.reason(reason.getText(), printed.isSelected());
    }

    private void show(RedactState state) {
        Controls.show(this, state.isOn());
        if (!reason.isFocused() && !reason.getText().equals(state.reason())) reason.setText(state.reason());
        printed.setSelected(state.printed());
        counted.setText(
                Words.of(state.chosen() < 0 ? "redact.counted" : "redact.chosen", state.redactions().size(), state.chosen() + 1));
        whole.setText(state.isOn() ? Words.of("redact.whole", desk.redactedAreas(), desk.redactedPages()) : "");
        back.setDisable(state.redactions().isEmpty());
        Controls.show(walk, state.walk().isPresent());
        boolean begins = state.walk().isPresent() && hit.getText().isEmpty();
        hit.setText(
                state.walk().map(its -> Words.of("redact.at", its.at() + 1, its.hits().size(), its.hit().around())).orElse(""));
        if (begins) redact.requestFocus();
    }
}
