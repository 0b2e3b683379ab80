package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Sign;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.redact.AgainList;
import app.yellowtab.desktop.redact.LeakList;
import app.yellowtab.desktop.redact.Leaks;
import app.yellowtab.desktop.work.RunningJob;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.find.RedactedWords.Leak;
import app.yellowtab.finding.Finding;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.Parting;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Plan;
import app.yellowtab.prove.Prover;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** Says what will be written, asks where, and shows how far it is and what came of it. */
public final class ProduceStage extends StackPane implements StageView {
    private final Workspace workspace;
    private final Production production;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final Prover prover = Prover.standard();
    private final Choices choices;
    private final PaperChoices paper;
    private final VolumeChoices volumes;
    private final TextField target = new TextField();
    private final Label replaces = Controls.paragraph("", Styles.SMALL);
    private final Label summary = Controls.paragraph("", Styles.SMALL);
    private final ContentsTable contents = new ContentsTable();
    private final Leaks leaking;
    private final LeakList leaks;
    private final AgainList again;
    private final Region notes;
    private final Button produce;
    private final VBox result = new VBox(8);
    private final ScrollPane scroll = new ScrollPane();
    private Optional<ProofView> proof = Optional.empty();
    private final Subscription subscription;
    private final CheckBox ledger = new CheckBox(Words.of("produce.ledger"));
    private final CheckBox goOn = new CheckBox(Words.of("produce.goOn"));
    private final CheckBox goOnLarge = new CheckBox(Words.of("produce.goOnLarge"));
    private String suggestedBefore = "";
    private Parting parting = Parting.NONE;
    /** What still says what is redacted, beside pages. */
    private List<Finding> gone = List.of();
    /** Whether somebody must look at something first. */
    private boolean waits;

    /** @param notes what else must be known before it is produced */
    public ProduceStage(Workspace workspace, PageRenderer renderer, Region notes, FileDialogs dialogs, Opener opener) {
        this.workspace = workspace;
        BundleWords words = new BundleWords(workspace.folder());
        this.production = new Production(workspace, Assembler.standard(), renderer, words);
        this.dialogs = dialogs;
        this.notes = notes;
        this.opener = opener;
        this.choices = new Choices(workspace);
        this.paper = new PaperChoices(workspace);
        this.volumes = new VolumeChoices(workspace);
        this.produce = Controls.button("produce.start", this::start);
        produce.getStyleClass().add(Styles.MAIN_ACTION);
        produce.setDefaultButton(true);
        result.setId("produce-result");
        this.leaking = new Leaks(workspace, words);
        this.leaks = new LeakList(leaking);
        this.again = new AgainList(workspace);
        goOn.setId("produce-go-on");
        goOn.setWrapText(true);
        goOn.setOnAction(event -> enable());
        goOnLarge.setId("produce-go-on-large");
        goOnLarge.setWrapText(true);
        VBox card =
                new VBox(16, Controls.label(Words.of("produce.title"), Styles.TITLE), summary, again, contents, choices, paper,
                        volumes,
                        file(), notes, produce, leaks, goOn, goOnLarge, result);
        card.getStyleClass().add(Styles.CARD);
        card.setMaxSize(560, Region.USE_PREF_SIZE);
        StackPane room = new StackPane(card);
        StackPane.setAlignment(card, Pos.TOP_CENTER);
        room.getStyleClass().add(Styles.STAGE);
        scroll.setContent(room);
        scroll.setFitToWidth(true);
        getChildren().add(scroll);
        subscription = Subscription.combine(workspace.onPlan(this::show),
                sceneProperty().subscribe(scene -> show(workspace.plan())), production.stateProperty().subscribe(this::show),
                leaking.foundProperty().subscribe(this::showLeaks),
                target.textProperty().subscribe(text -> showReplaced()),
                result.heightProperty().subscribe(this::showEnd));
    }

    /** Puts the keyboard on the main action, so that Enter produces. */
    @Override
    public void begin() {
        Platform.runLater(() -> {
            applyCss();    // what scrolls has its content in the window only then
            produce.requestFocus();
        });
    }

    @Override
    public boolean run(Shortcut shortcut, boolean typing) {
        return false;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        leaks.dispose();
        leaking.dispose();
        proof.ifPresent(ProofView::dispose);
    }

    private VBox file() {
        target.setId("produce-target");
        HBox.setHgrow(target, Priority.ALWAYS);
        HBox row = new HBox(8, target, Controls.button("produce.choose", () -> dialogs.saveAs(Words.of("produce.file"),
                typed().orElse(production.suggested())).ifPresent(path -> target.setText(path.toString()))));
        ledger.setId("produce-ledger");
        ledger.setWrapText(true);
        return new VBox(8, Controls.label(Words.of("produce.file"), Styles.FORM_LABEL), row, replaces, ledger);
    }

    private void show(Plan plan) {
        leaking.look(getScene() != null);
        // What nobody sees is shown when it comes into view.
        if (getScene() == null) return;
        choices.show(workspace.bundle());
        paper.show(workspace.bundle());
        volumes.show(workspace.bundle());
        waits = again.show();
        summary.setText(Words.of("produce.summary", plan.pageCount(), plan.documentCount(), plan.indexSheets().size()));
        contents.show(plan);
        String suggested = production.suggested().toString();
        boolean untouched = target.getText().equals(suggestedBefore);
        suggestedBefore = suggested;
        if (untouched) target.setText(suggested);
        boolean sameFiles = plan.parting().equals(parting);
        parting = plan.parting();
        if (sameFiles) enable();
        else showReplaced();
    }

    /** What has just come of it is at the end, and is brought into sight. */
    private void showEnd() {
        if (!result.getChildren().isEmpty()) Platform.runLater(() -> scroll.setVvalue(scroll.getVmax()));
    }

    private void showReplaced() {
        enable();
        Optional<Path> asked = typed();
        Controls.show(replaces, false);
        // A network drive that does not answer must not hold the window up.
        Plan plan = workspace.plan();
        asked.ifPresent(file -> workspace.jobs().quietly(() -> isThere(plan, file), there -> {
            if (!typed().equals(asked)) return;
            boolean shown = there && !isProduced(file);
            replaces.setText(shown ? Words.of("produce.replaces") : "");
            Controls.show(replaces, shown);
        }));
    }

    /** {@return whether a file is there that would be written} */
    private static boolean isThere(Plan plan, Path file) {
        return Delivery.screen(plan, file, LedgerPlace.NONE).files().stream().map(Delivery.File::target).anyMatch(Files::exists);
    }

    private boolean isProduced(Path file) {
        return production.stateProperty().get() instanceof Production.ProductionState.Written written
                && written.delivery().name().equals(file);
    }

    /** Whoever goes on all the same goes on with what was found then. */
    private void showLeaks(RedactedWords.Found found) {
        if (!found.leaks().stream().map(Leak::finding).toList().equals(gone)) goOn.setSelected(false);
        gone = found.leaks().stream().map(Leak::finding).toList();
        Controls.show(goOn, !gone.isEmpty());
        enable();
    }

    /** {@return whether it was not produced because of something that one can go on with} */
    private boolean isRefused() {
        return production.stateProperty().get() instanceof Production.ProductionState.Failed failed && failed.mayGoOn();
    }

    private void enable() {
        RedactedWords.Found found = leaking.foundProperty().get();
        produce.setDisable(production.stateProperty().get() instanceof Production.ProductionState.Running
                || waits || !found.recurrences().open().isEmpty() || !found.leaks().isEmpty() && !goOn.isSelected()
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
        typed().ifPresent(file -> production.start(file, paper.sets(),
                new Production.Consent(goOn.isSelected(), goOnLarge.isSelected()), ledger.isSelected()));
    }

    private void show(Production.ProductionState state) {
        proof.ifPresent(ProofView::dispose);
        proof = Optional.empty();
        result.getChildren().clear();
        switch (state) {
            case Production.ProductionState.Ready ready -> {}
            case Production.ProductionState.Running running -> result.getChildren().add(new RunningJob(running.job()));
            case Production.ProductionState.Written written -> showWritten(written);
            case Production.ProductionState.Stopped stopped ->
                    result.getChildren().add(Controls.paragraph(Words.of("produce.stopped"), Styles.NOTICE));
            case Production.ProductionState.Failed failed ->
                    result.getChildren().add(Sign.of(Feather.ALERT_TRIANGLE, failed.message(), Styles.WRONG));
        }
        Controls.show(goOnLarge, isRefused());
        goOnLarge.setSelected(false);
        showReplaced();
    }

    private void showWritten(Production.ProductionState.Written written) {
        Outcome.Written outcome = written.outcome();
        ProofView offered = new ProofView(workspace, prover, written.delivery());
        proof = Optional.of(offered);
        result.getChildren().addAll(Sign.of(Feather.CHECK, Words.of("produce.written", outcome.pages(), outcome.documents(),
                Words.size(outcome.bytes()), written.seconds()), Styles.DONE),
                Controls.paragraph(where(written), Styles.SMALL),
                new HBox(8, Controls.button("produce.openFile", () -> opener.open(outcome.file())),
                        Controls.button("produce.openFolder", () -> opener.open(outcome.file().toAbsolutePath().getParent())),
                        offered.button()),
                offered);
        written.paper().ifPresent(files -> result.getChildren().add(Controls.paragraph(Words.of("produce.paperFiles",
                files.file().getFileName(), files.order().getFileName(), files.labels().getFileName()), Styles.SMALL)));
        Stream.concat(written.findings().stream(), outcome.findings().stream())
                .sorted(Comparator.comparing(Finding::severity).reversed())
                .forEach(finding -> result.getChildren().add(finding(finding)));
    }

    private static String where(Production.ProductionState.Written written) {
        Outcome.Written outcome = written.outcome();
        List<Outcome.WrittenFile> files = outcome.files();
        String place = files.size() == 1 ? outcome.file().toString() : Words.of("produce.volumes", files.size(), outcome.file(),
                files.getLast().file().getFileName());
        return outcome.enclosed() == 0 ? place
                : Words.of("produce.withFiles", place, outcome.enclosed(),
                        Ledger.filesBeside(written.delivery().name()).getFileName());
    }

    /** {@return what was found, with a way to the page that it is about} */
    private Region finding(Finding finding) {
        Label message = Controls.paragraph(finding.message(), Styles.NOTICE);
        Optional<Leaf> leaf = workspace.plan().leafOf(finding.subject());
        if (leaf.isEmpty()) return message;
        Button show = Controls.button("produce.showPage",
                () -> workspace.plan().leafOf(finding.subject()).ifPresent(now -> workspace.goTo(now.index())));
        show.getStyleClass().add(Styles.QUIET);
        show.setMinWidth(USE_PREF_SIZE);
        HBox.setHgrow(message, Priority.ALWAYS);
        message.setMaxWidth(Double.MAX_VALUE);
        return new HBox(8, message, show);
    }
}
