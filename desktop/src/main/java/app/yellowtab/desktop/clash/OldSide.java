package app.yellowtab.desktop.clash;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.plan.Plan;
import app.yellowtab.printed.OldSeries;
import java.util.List;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The numbers that pages carried before, each series with what can be done about it. */
public final class OldSide extends VBox {
    private final OldDesk desk;
    private final Workspace workspace;
    private final Label how = Controls.paragraph("", Styles.SMALL);
    private final VBox all = new VBox(14);
    private final Button table;
    private final Subscription subscription;

    public OldSide(OldDesk desk, Workspace workspace, FileDialogs dialogs, ReadOnlyStringProperty words) {
        super(10);
        this.desk = desk;
        this.workspace = workspace;
        all.setId("old-numbers");
        ScrollPane scroll = new ScrollPane(all);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Label said = Controls.paragraph("", Styles.NOTICE);
        table = Controls.button("old.table",
                () -> dialogs
                        .saveAs(Words.of("old.table"), workspace.folder().path().resolve(Words.of("old.tableFile") + ".docx"))
                        .ifPresent(desk::writeTable));
        getChildren().addAll(how, scroll, table, said);
        subscription = Subscription.combine(desk.foundProperty().subscribe(this::show), words.subscribe(text -> {
            said.setText(text);
            Controls.show(said, !text.isEmpty());
        }));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show(List<OldSeries> found) {
        how.setText(Words.of("old.how", found.size()));
        all.getChildren().clear();
        Controls.show(table,
                found.stream().anyMatch(series -> series.isDecided() && series.numbers().handling() == Handling.IDENTITY));
        for (OldSeries series : found) all.getChildren().add(one(series));
    }

    private VBox one(OldSeries series) {
        Plan plan = workspace.plan();
        String from = plan.leaf(series.leaves().getFirst()).label();
        String to = plan.leaf(series.leaves().getLast()).label();
        Hyperlink where = new Hyperlink(Words.of("old.pages", from, to, series.fileName()));
        where.setWrapText(true);
        where.setOnAction(event -> desk.goTo(series));
        Label what =
                Controls.paragraph(Words.of(series.differing() == 0 ? "old.same" : "old.differ", series.first(), series.last()),
                        series.differing() == 0 ? Styles.SMALL : Styles.NOTICE);
        ChoiceBox<Handling> handling = new ChoiceBox<>();
        handling.getItems().setAll(Handling.values());
        handling.setConverter(new InWords<>(value -> Words.of("old." + value.name()), Words.of("old.undecided")));
        if (series.isDecided()) handling.setValue(series.numbers().handling());
        handling.setMaxWidth(Double.MAX_VALUE);
        handling.setOnAction(event -> {
            if (handling.getValue() != null) desk.decide(series, handling.getValue());
        });
        return new VBox(4, where, what, handling);
    }
}
