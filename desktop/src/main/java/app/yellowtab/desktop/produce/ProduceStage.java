package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Opener;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.plan.Plan;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.RadioButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Says what will be written, asks where, and shows how far it is and what came of it. */
public final class ProduceStage extends StackPane {
    private final Workspace workspace;
    private final Production production;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final CheckBox cover = new CheckBox(Words.of("produce.cover"));
    private final Map<Separators, RadioButton> separators = new EnumMap<>(Separators.class);
    private final TextField target = new TextField();
    private final Label replaces = Controls.label("", Styles.SMALL);
    private final Label summary = Controls.label("", Styles.SMALL);
    private final ContentsTable contents = new ContentsTable();
    private final Button produce;
    private final VBox result = new VBox(8);
    private Subscription job = Subscription.EMPTY;
    private final Subscription subscription;
    private String suggestedBefore = "";

    public ProduceStage(Workspace workspace, FileDialogs dialogs, Opener opener) {
        this.workspace = workspace;
        this.production = new Production(workspace, Assembler.standard());
        this.dialogs = dialogs;
        this.opener = opener;
        this.produce = Controls.button("produce.start", this::start);
        produce.getStyleClass().add(Styles.MAIN_ACTION);
        produce.setDefaultButton(true);
        result.setId("produce-result");
        VBox card = new VBox(16, Controls.label(Words.of("produce.title"), Styles.TITLE), summary, contents, pages(), file(), produce, result);
        card.getStyleClass().add(Styles.CARD);
        card.setMaxSize(560, Region.USE_PREF_SIZE);
        StackPane.setAlignment(card, Pos.TOP_CENTER);
        getChildren().add(card);
        getStyleClass().add(Styles.STAGE);
        subscription = Subscription.combine(workspace.planProperty().subscribe(this::show),
                production.stateProperty().subscribe(this::show), target.textProperty().subscribe(text -> showReplaced()));
    }

    /** Puts the keyboard on the main action, so that Enter produces. */
    public void begin() {
        Platform.runLater(produce::requestFocus);
    }

    public void dispose() {
        subscription.unsubscribe();
        job.unsubscribe();
    }

    private VBox pages() {
        cover.setId("produce-cover");
        cover.setOnAction(event -> production.setLayout(new Layout(cover.isSelected(), workspace.bundle().layout().separators())));
        ToggleGroup group = new ToggleGroup();
        HBox choices = new HBox(16);
        for (Separators kind : Separators.values()) {
            RadioButton choice = new RadioButton(Words.of("produce.separators." + kind));
            choice.setId("separators-" + kind);
            choice.setToggleGroup(group);
            choice.setOnAction(event -> production.setLayout(new Layout(workspace.bundle().layout().cover(), kind)));
            separators.put(kind, choice);
            choices.getChildren().add(choice);
        }
        return new VBox(8, Controls.label(Words.of("produce.pages"), Styles.FORM_LABEL), cover,
                Controls.label(Words.of("produce.separators"), Styles.SMALL), choices);
    }

    private VBox file() {
        target.setId("produce-target");
        HBox.setHgrow(target, Priority.ALWAYS);
        HBox row = new HBox(8, target, Controls.button("produce.choose", () -> dialogs.saveAs(Words.of("produce.file"),
                typed().orElse(production.suggested())).ifPresent(path -> target.setText(path.toString()))));
        return new VBox(8, Controls.label(Words.of("produce.file"), Styles.FORM_LABEL), row, replaces);
    }

    private void show(Plan plan) {
        Layout layout = workspace.bundle().layout();
        cover.setSelected(layout.cover());
        separators.forEach((kind, choice) -> choice.setSelected(kind == layout.separators()));
        summary.setText(Words.of("produce.summary", plan.pageCount(), plan.documentCount(), plan.indexSheets().size()));
        contents.show(plan);
        String suggested = production.suggested().toString();
        boolean untouched = target.getText().equals(suggestedBefore);
        suggestedBefore = suggested;
        if (untouched) target.setText(suggested);
        enable();
    }

    private void showReplaced() {
        boolean there = typed().map(Files::exists).orElse(false);
        replaces.setText(there ? Words.of("produce.replaces") : "");
        Controls.show(replaces, there);
        enable();
    }

    private void enable() {
        produce.setDisable(production.stateProperty().get() instanceof Production.State.Running
                || workspace.plan().documentCount() == 0 || typed().isEmpty());
    }

    private Optional<Path> typed() {
        try {
            String text = target.getText().strip();
            if (text.isEmpty()) return Optional.empty();
            return Optional.of(Path.of(text.toLowerCase(Locale.ROOT).endsWith(".pdf") ? text : text + ".pdf"));
        } catch (InvalidPathException e) {
            return Optional.empty();
        }
    }

    private void start() {
        typed().ifPresent(production::start);
    }

    private void show(Production.State state) {
        job.unsubscribe();
        job = Subscription.EMPTY;
        result.getChildren().clear();
        switch (state) {
            case Production.State.Ready ready -> { }
            case Production.State.Running running -> showRunning(running.job());
            case Production.State.Written written -> showWritten(written);
            case Production.State.Stopped stopped -> result.getChildren().add(Controls.paragraph(Words.of("produce.stopped"), Styles.NOTICE));
            case Production.State.Failed failed -> result.getChildren().add(sign(Feather.ALERT_TRIANGLE, failed.message(), Styles.WRONG));
        }
        showReplaced();
    }

    private void showRunning(Jobs.Job running) {
        ProgressBar bar = new ProgressBar(0);
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        Label words = Controls.label("", Styles.SMALL);
        HBox row = new HBox(8, bar, Controls.button("produce.stop", running::stop));
        row.setAlignment(Pos.CENTER);
        result.getChildren().addAll(row, words);
        job = running.stateProperty().subscribe(state -> {
            bar.setProgress(state.fraction());
            words.setText(state.words());
        });
    }

    private void showWritten(Production.State.Written written) {
        Outcome.Written outcome = written.outcome();
        result.getChildren().addAll(sign(Feather.CHECK, Words.of("produce.written", outcome.pages(), outcome.documents(),
                Words.size(outcome.bytes()), written.seconds()), Styles.DONE),
                Controls.paragraph(outcome.file().toString(), Styles.SMALL),
                new HBox(8, Controls.button("produce.openFile", () -> opener.open(outcome.file())),
                        Controls.button("produce.openFolder", () -> opener.open(outcome.file().toAbsolutePath().getParent()))));
        for (Finding finding : outcome.findings()) result.getChildren().add(Controls.paragraph(finding.message(), Styles.NOTICE));
    }

    private static HBox sign(Feather icon, String words, String style) {
        FontIcon sign = new FontIcon(icon);
        Label text = Controls.paragraph(words, style);
        HBox row = new HBox(8, sign, text);
        row.getStyleClass().add(style);
        return row;
    }
}
