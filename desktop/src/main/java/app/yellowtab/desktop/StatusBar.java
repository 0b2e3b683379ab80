package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.Finding;
import java.util.Comparator;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.util.Subscription;

/** Facts of the bundle, whether it is saved, what wants a look, work under way, and the way to producing. */
final class StatusBar extends HBox {
    private final Workspace workspace;
    private final Recognising recognising;
    private final Label facts = new Label();
    private final Label saved = new Label();
    private final HBox work = new HBox(8);
    private final Label scanned = new Label();
    private final Button pause = Controls.button("status.recognitionPause", () -> {});
    private final HBox scans = new HBox(8, scanned, pause);
    private final Button findings = Controls.button("status.findings", this::showFindings);
    private final Button produce;
    private final ListChangeListener<Jobs.Job> onJobs = change -> showJob();
    private final ListChangeListener<Finding> onFindings = change -> countFindings();
    private Subscription job = Subscription.EMPTY;
    private final Subscription subscriptions;

    StatusBar(Workspace workspace, Recognising recognising) {
        super(16);
        this.workspace = workspace;
        this.recognising = recognising;
        this.produce = Controls.button("status.produce", () -> workspace.stageProperty().set(Stage.PRODUCE));
        findings.getStyleClass().add(Styles.QUIET);
        produce.getStyleClass().add(Styles.MAIN_ACTION);
        work.setAlignment(Pos.CENTER_LEFT);
        scans.setAlignment(Pos.CENTER_LEFT);
        scans.setId("recognising");
        pause.setId("recognising-pause");
        produce.setMinWidth(USE_PREF_SIZE);
        findings.setMinWidth(USE_PREF_SIZE);
        facts.setMinWidth(USE_PREF_SIZE);
        saved.setId("saved");
        facts.setId("facts");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add(Styles.STATUS);
        getChildren().addAll(facts, saved, work, scans, Controls.spring(), findings, produce);
        subscriptions = Subscription.combine(
                workspace.onPlan(plan -> facts.setText(Words.of("status.facts", plan.pageCount(),
                        plan.documentCount(), sizeOfSources()))),
                workspace.saveStateProperty().subscribe(this::showSaved),
                recognising.stateProperty().subscribe(this::showRecognising),
                workspace.stageProperty().subscribe(stage -> Controls.show(produce, stage != Stage.PRODUCE)));
        workspace.jobs().running().addListener(onJobs);
        workspace.findings().addListener(onFindings);
        showJob();
        countFindings();
    }

    void dispose() {
        subscriptions.unsubscribe();
        job.unsubscribe();
        workspace.jobs().running().removeListener(onJobs);
        workspace.findings().removeListener(onFindings);
    }

    /** {@return how much the files hold that are in the index, and a bundle of them near enough; nothing where none is} */
    private String sizeOfSources() {
        long bytes = workspace.placement().placedBytes();
        return bytes == 0 ? "" : Words.of("status.bytes", Words.size(bytes));
    }

    private void showSaved(Autosave.SaveState state) {
        saved.setText(switch (state) {
            case Autosave.SaveState.Saved s -> Words.of("status.saved");
            case Autosave.SaveState.Saving s -> Words.of("status.saving");
            case Autosave.SaveState.Failed failed -> failed.message();
        });
        saved.setTooltip(state instanceof Autosave.SaveState.Failed ? new Tooltip(saved.getText()) : null);
        saved.getStyleClass().removeAll(Styles.WRONG);
        if (state instanceof Autosave.SaveState.Failed) saved.getStyleClass().add(Styles.WRONG);
    }

    private void showJob() {
        job.unsubscribe();
        work.getChildren().clear();
        if (workspace.jobs().running().isEmpty()) return;
        Jobs.Job shown = workspace.jobs().running().getFirst();
        ProgressBar bar = new ProgressBar();
        bar.setPrefWidth(120);
        Label words = new Label();
        work.getChildren().addAll(bar, words, Controls.button("status.stop", shown::stop));
        job = shown.stateProperty().subscribe(state -> {
            bar.setProgress(state.fraction());
            words.setText(state.words());
        });
    }

    /** The button stays where it is while pages are counted down, so that it can be pressed. */
    private void showRecognising(Recognising.RecognitionState state) {
        boolean running = state instanceof Recognising.RecognitionState.Running;
        pause.setText(Words.of(running ? "status.recognitionPause" : "status.recognitionGoOn"));
        pause.setOnAction(event -> {
            if (running) recognising.pause();
            else recognising.goOn();
        });
        scanned.setText(switch (state) {
            case Recognising.RecognitionState.Idle idle -> "";
            case Recognising.RecognitionState.Running now -> Words.of("status.recognising", now.left());
            case Recognising.RecognitionState.Paused paused -> Words.of("status.recognitionPaused", paused.left());
            case Recognising.RecognitionState.Unavailable unavailable -> Words.of("status.noRecognition");
        });
        scanned.setTooltip(state instanceof Recognising.RecognitionState.Unavailable unavailable
                ? new Tooltip(Words.of("status.noRecognitionTip", unavailable.message())) : null);
        Controls.show(pause, running || state instanceof Recognising.RecognitionState.Paused);
        Controls.show(scans, !(state instanceof Recognising.RecognitionState.Idle));
    }

    private void countFindings() {
        int count = workspace.findings().size();
        Controls.show(findings, count > 0);
        findings.setText(Words.of("status.findings", count));
    }

    private void showFindings() {
        ContextMenu menu = new ContextMenu();
        for (Finding finding : workspace.findings().sorted(Comparator.comparing(Finding::severity).reversed())) {
            Label message = Controls.paragraph(finding.message(), Styles.NOTICE);
            message.setPrefWidth(520);
            menu.getItems().add(new CustomMenuItem(message, false));
        }
        MenuItem clear = new MenuItem(Words.of("status.clear"));
        clear.setOnAction(event -> workspace.findings().clear());
        menu.getItems().add(clear);
        menu.show(findings, Side.TOP, 0, 0);
    }
}
