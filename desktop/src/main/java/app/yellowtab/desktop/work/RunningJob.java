package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** How far a job is, with a stop. It follows the job until that is gone, and so ends with it. */
public final class RunningJob extends VBox {
    public RunningJob(Jobs.Job job) {
        super(8);
        ProgressBar bar = new ProgressBar(0);
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        Label words = Controls.label("", Styles.SMALL);
        HBox row = new HBox(8, bar, Controls.button("produce.stop", job::stop));
        row.setAlignment(Pos.CENTER);
        getChildren().addAll(row, words);
        job.stateProperty().subscribe(state -> {
            bar.setProgress(state.fraction());
            words.setText(state.words());
        });
    }
}
