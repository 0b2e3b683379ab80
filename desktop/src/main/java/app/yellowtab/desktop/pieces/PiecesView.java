package app.yellowtab.desktop.pieces;

import app.yellowtab.deliver.CutReport;
import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.Making;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Sign;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.RunningJob;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.Finding;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** The list of the pieces before anything is made, what becomes of them, and the report afterwards. */
public final class PiecesView extends VBox {
    private static final int MOST_FINDINGS = 12;

    private final CutDesk desk;
    private final Making making;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final Workspace workspace;
    private final Label heading = Controls.label("", Styles.FORM_LABEL);
    private final PiecesTable table;
    private final PieceChoices choices;
    private final Button make = Controls.button("cut.make", this::start);
    private final Label lacking = Controls.paragraph("", Styles.SMALL);
    private final HBox action;
    private final VBox result = new VBox(8);
    private final ScrollPane results = new ScrollPane(result);
    private final Subscription subscription;

    /**
     * @param back goes back to the pages
     * @param toPage goes back to a page of the batch on the table
     */
    public PiecesView(CutDesk desk, Making making, Workspace workspace, FileDialogs dialogs, Opener opener, Runnable back,
            IntConsumer toPage) {
        super(8);
        this.desk = desk;
        this.making = making;
        this.workspace = workspace;
        this.dialogs = dialogs;
        this.opener = opener;
        setId("pieces-view");
        table = new PiecesTable(desk, typed -> lacking.setText(Words.of("cut.noDate", typed)));
        VBox.setVgrow(table, Priority.ALWAYS);
        choices = new PieceChoices(workspace, dialogs, this::showLacking);
        Button pages = Controls.button("cut.back", back);
        Button page = Controls.button("cut.toPage", () -> {
            PiecesTable.Line line = table.getSelectionModel().getSelectedItem();
            if (line != null) toPage.accept(line.first());
        });
        page.disableProperty().bind(table.getSelectionModel().selectedItemProperty()
                .map(line -> !line.batch().source().id().equals(desk.chosen().getFirst())).orElse(true));
        Button join = Controls.button("cut.join", () -> {
            PiecesTable.Line line = table.getSelectionModel().getSelectedItem();
            if (line != null) desk.hand().toggleCut(line.first());
        });
        Controls.describe(join, Words.of("cut.joinTip"));
        join.disableProperty().bind(table.getSelectionModel().selectedItemProperty()
                .map(line -> line.piece() == 0 || !desk.chosen().getFirst().equals(line.batch().source().id())).orElse(true));
        HBox head = new HBox(10, heading, Controls.spring(), join, page, pages);
        head.setAlignment(Pos.CENTER_LEFT);
        // A long name of a file gives way, not what is to be pressed.
        heading.setMinWidth(0);
        heading.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        for (Button button : List.of(join, page, pages)) button.setMinWidth(USE_PREF_SIZE);
        make.getStyleClass().add(Styles.MAIN_ACTION);
        make.setMinWidth(USE_PREF_SIZE);
        HBox.setHgrow(lacking, Priority.ALWAYS);
        lacking.setMaxWidth(Double.MAX_VALUE);
        action = new HBox(10, lacking, make);
        action.setAlignment(Pos.CENTER_LEFT);
        result.setId("cut-result");
        results.setFitToWidth(true);
        results.setMaxHeight(190);
        results.setMinHeight(40);
        results.getStyleClass().add(Styles.GLANCE_WORDS);
        getChildren().addAll(head, table, choices, action, results);
        getStyleClass().add(Styles.CUT_WORK);
        subscription =
                Subscription.combine(desk.openProperty().subscribe(this::show), making.stateProperty().subscribe(this::show));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    /** Puts the keyboard where one goes on. */
    public void begin() {
        show(desk.openProperty().get());
        table.requestFocus();
        if (!table.getItems().isEmpty()) table.getSelectionModel().selectFirst();
    }

    private void show(List<Shown> batches) {
        int pieces = batches.stream().mapToInt(shown -> shown.names().size()).sum();
        heading.setText(batches.size() == 1 ? Words.of("cut.list.one", pieces, batches.getFirst().source().fileName())
                : Words.of("cut.list.many", pieces, batches.size()));
        make.setText(Words.of("cut.make", pieces));
        if (!isVisible()) return;
        table.show(batches);
        choices.show(batches);
        showLacking();
    }

    private void showLacking() {
        List<Shown> batches = desk.openProperty().get();
        String trouble = batches.stream().map(Shown::trouble).filter(words -> !words.isEmpty()).collect(Collectors.joining("; "));
        String lacks = !trouble.isEmpty() ? trouble
                : batches.stream().anyMatch(Shown::waits) ? Words.of("cut.waits") : choices.lacking();
        long nameless =
                batches.stream().flatMap(shown -> shown.names().stream()).filter(named -> !named.missing().isEmpty()).count();
        lacking.setText(!lacks.isEmpty() ? lacks : Words.of("cut.lacking", nameless));
        make.setDisable(!lacks.isEmpty() || making.stateProperty().get() instanceof Making.MakingState.Running
                || batches.stream().allMatch(shown -> shown.names().isEmpty()));
    }

    private void start() {
        making.start(desk.openProperty().get(), choices.choice());
    }

    private void show(Making.MakingState state) {
        result.getChildren().clear();
        switch (state) {
            case Making.MakingState.Ready ready -> {}
            case Making.MakingState.Running running -> result.getChildren().add(new RunningJob(running.job()));
            case Making.MakingState.Done done -> showDone(done);
            case Making.MakingState.Undecided undecided -> showUndecided(undecided);
            case Making.MakingState.Failed failed ->
                    result.getChildren().add(Sign.of(Feather.ALERT_TRIANGLE, failed.message(), Styles.WRONG));
        }
        Controls.show(results, !result.getChildren().isEmpty());
        boolean ready = !(state instanceof Making.MakingState.Done || state instanceof Making.MakingState.Undecided);
        Controls.show(choices, ready);
        Controls.show(action, ready);
        showLacking();
    }

    private void showUndecided(Making.MakingState.Undecided undecided) {
        result.getChildren().add(Sign.of(Feather.ALERT_TRIANGLE, Words.of("cut.undecided"), Styles.WRONG));
        result.getChildren().add(
                new HBox(8, Controls.button("cut.goOn", undecided.goOn()), Controls.button("cut.again", making::reset)));
        showFindings(undecided.findings());
    }

    private void showDone(Making.MakingState.Done done) {
        int documents = done.isWhole() ? done.reports().stream().mapToInt(report -> report.places().size()).sum() : 0;
        int files = done.reports().stream()
                .mapToInt(report -> (int) report.made().stream().filter(its -> !its.file().isEmpty()).count()).sum();
        long mails = done.reports().stream().flatMap(report -> report.made().stream()).map(CutReport.Made::mail)
                .filter(mail -> !mail.isEmpty()).distinct().count();
        long bytes = done.reports().stream().flatMap(report -> report.made().stream()).mapToLong(CutReport.Made::bytes).sum();
        int dropped = done.reports().stream().mapToInt(report -> report.cutting().dropped().size()).sum();
        if (documents > 0) {
            List<String> places = done.reports().stream().flatMap(report -> report.places().stream()).distinct().toList();
            result.getChildren()
                    .add(Sign.of(Feather.CHECK,
                            Words.of("cut.done.documents", documents,
                                    places.size() == 1 ? places.getFirst() : Words.of("cut.done.several", places.size())),
                            Styles.DONE));
        }
        if (files + mails > 0) result.getChildren()
                .add(Sign.of(Feather.CHECK, Words.of("cut.done.files", written(files, mails), Words.size(bytes)), Styles.DONE));
        for (Path folder : done.folders()) result.getChildren().add(Controls.paragraph(folder.toString(), Styles.SMALL));
        if (!done.isWhole()) result.getChildren().add(Controls.paragraph(Words.of("cut.done.stopped"), Styles.NOTICE));
        if (dropped > 0) result.getChildren().add(Controls.paragraph(Words.of("cut.done.dropped", dropped), Styles.SMALL));
        HBox buttons = new HBox(8, Controls.button("cut.report", () -> keepReport(done.reports())));
        if (!done.folders().isEmpty()) buttons.getChildren()
                .add(Controls.button("cut.openFolder", () -> opener.open(done.folders().getFirst().toAbsolutePath())));
        buttons.getChildren().add(Controls.button("cut.again", making::reset));
        result.getChildren().add(buttons);
        showFindings(done.findings().stream().sorted(Comparator.comparing(Finding::severity).reversed()).toList());
    }

    private void showFindings(List<Finding> findings) {
        findings.stream().limit(MOST_FINDINGS)
                .forEach(finding -> result.getChildren().add(Controls.paragraph(finding.message(), Styles.NOTICE)));
        if (findings.size() > MOST_FINDINGS) result.getChildren()
                .add(Controls.paragraph(Words.of("cut.done.more", findings.size() - MOST_FINDINGS), Styles.SMALL));
    }

    private static String written(int files, long mails) {
        if (mails == 0) return Words.of("cut.done.fileCount", files);
        String mailed = Words.of("cut.done.mailCount", mails);
        return files == 0 ? mailed : Words.of("cut.done.and", Words.of("cut.done.fileCount", files), mailed);
    }

    private void keepReport(List<CutReport> reports) {
        Path suggested = workspace.folder().path().resolve(Words.of("cut.report.name") + ".csv");
        dialogs.saveAs(Words.of("cut.report"), suggested).ifPresent(file -> workspace.jobs().quietly(() -> {
            try {
                Files.writeString(file, CutReport.table(reports));
                return Words.of("cut.report.kept", file);
            } catch (IOException | UncheckedIOException failure) {
                return Words.of("cut.report.failed", file, String.valueOf(failure.getMessage()));
            }
        }, said -> result.getChildren().add(Controls.paragraph(said, Styles.SMALL))));
    }
}
