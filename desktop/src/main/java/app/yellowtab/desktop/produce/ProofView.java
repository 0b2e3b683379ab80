package app.yellowtab.desktop.produce;

import app.yellowtab.assemble.Delivery;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Sign;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.RunningJob;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.Finding;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import app.yellowtab.store.BundleFolder;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;

/** Offers to prove a produced file, and shows what came of it; what is wrong leads to its page. */
final class ProofView extends VBox {
    private static final double ROW = 44;
    private static final int MOST_ROWS = 5;

    private final Workspace workspace;
    private final Delivery delivery;
    private final Proving proving;
    private final Button button;
    private final Subscription subscription;

    ProofView(Workspace workspace, Prover prover, Delivery delivery) {
        super(8);
        this.workspace = workspace;
        this.delivery = delivery;
        this.proving = new Proving(workspace.jobs(), prover);
        this.button =
                Controls.button("produce.prove", () -> proving.start(
                        delivery.files().stream().map(Delivery.File::target).toList(),
                        BundleFolder.produced(workspace.folder().path())));
        setId("proof");
        subscription = proving.stateProperty().subscribe(this::show);
    }

    /** {@return what starts it, to stand beside what else can be done with the file; it is there as long as it is of use} */
    Button button() {
        return button;
    }

    void dispose() {
        subscription.unsubscribe();
        getChildren().clear();
    }

    private void show(Proving.ProvingState state) {
        getChildren().clear();
        Controls.show(button, state instanceof Proving.ProvingState.Offered);
        switch (state) {
            case Proving.ProvingState.Offered offered ->
                    getChildren().add(Controls.paragraph(Words.of("produce.prove.why"), Styles.SMALL));
            case Proving.ProvingState.Running running -> getChildren().add(new RunningJob(running.job()));
            case Proving.ProvingState.Failed failed ->
                    getChildren().add(Sign.of(Feather.ALERT_TRIANGLE, failed.message(), Styles.WRONG));
            case Proving.ProvingState.Done done -> show(done.proof());
        }
    }

    private void show(Proof proof) {
        if (proof.holds()) {
            getChildren().addAll(Sign.of(Feather.CHECK, Words.of("produce.proved", proof.pages()), Styles.DONE),
                    Controls.paragraph(Words.of("produce.proved.what", proof.rows(), proof.bookmarks(), proof.links()),
                            Styles.SMALL));
            return;
        }
        ListView<Finding> list = new ListView<>();
        list.setId("proof-findings");
        list.getItems().setAll(proof.findings());
        list.setCellFactory(view -> new FindingCell());
        list.setFixedCellSize(ROW);
        list.setPrefHeight(ROW * Math.min(MOST_ROWS, proof.findings().size()) + 2);
        list.setOnMouseClicked(event -> goToSelected(list));
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) goToSelected(list);
        });
        getChildren().addAll(
                Sign.of(Feather.ALERT_TRIANGLE, Words.of("produce.notProved", proof.findings().size()), Styles.WRONG), list);
    }

    private void goToSelected(ListView<Finding> list) {
        @Nullable Finding chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) delivery.leafOf(chosen.subject()).ifPresent(leaf -> workspace.goTo(leaf.index()));
    }

    private static final class FindingCell extends ListCell<Finding> {
        FindingCell() {
            setWrapText(true);
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(@Nullable Finding finding, boolean empty) {
            super.updateItem(finding, empty);
            setText(empty || finding == null ? "" : finding.message());
        }
    }
}
