package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.InWords;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.mark.NumberWords;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.model.number.BundleNumber;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How the numbers are counted and written that run through a bundle. */
final class BundlePanel extends VBox {
    private final NumberDesk desk;
    private final ChoiceBox<NumberStyle> style = new ChoiceBox<>();
    private final TextField start = new TextField();
    private final CheckBox bySection = new CheckBox(Words.of("number.bySection"));
    private final CheckBox total = new CheckBox(Words.of("number.total"));
    private final ChoiceBox<Optional<NumberStyle>> front = new ChoiceBox<>();
    private final Spinner<Integer> indexPages = new Spinner<>(0, BundleNumber.MOST_INDEX_PAGES, 0);
    private final Label used = Controls.label("", Styles.SMALL);
    private final Label notice = Controls.paragraph("", Styles.SMALL);
    private boolean showing;

    BundlePanel(NumberDesk desk) {
        super(10);
        this.desk = desk;
        style.setId("number-style");
        style.getItems().setAll(NumberStyle.values());
        style.setConverter(new InWords<>(NumberWords::style));
        style.setOnAction(event -> {
            if (!showing && style.getValue() != null) desk.number(number -> number.withStyle(style.getValue()));
        });
        start.setId("number-start");
        start.setPrefColumnCount(6);
        start.setAccessibleText(Words.of("number.from"));
        start.setOnAction(event -> desk.start(start.getText()));
        start.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing && !start.getText().equals(String.valueOf(desk.stateProperty().get().number().start())))
                desk.start(start.getText());
        });
        bySection.setId("number-bySection");
        bySection.setOnAction(event -> desk.number(number -> number.withBySection(bySection.isSelected())));
        total.setId("number-total");
        total.setOnAction(event -> desk.number(number -> number.withTotal(total.isSelected())));
        front.setId("number-front");
        front.setConverter(new InWords<>(own -> own.map(NumberWords::style).orElse(Words.of("number.frontNone"))));
        front.setOnAction(event -> {
            if (!showing && front.getValue() != null) desk.number(number -> number.withFront(front.getValue()));
        });
        indexPages.setId("number-indexPages");
        indexPages.setEditable(true);
        indexPages.setPrefWidth(76);
        indexPages.valueProperty().addListener((value, before, now) -> {
            if (!showing && now != null) desk.number(number -> number.withIndexPages(now));
        });
        notice.setId("number-notice");
        getChildren().addAll(row(new Label(Words.of("number.written")), style, new Label(Words.of("number.from")), start),
                bySection, total, row(new Label(Words.of("number.front")), front),
                row(new Label(Words.of("number.indexPages")), indexPages, used), notice);
    }

    private static HBox row(Node... nodes) {
        HBox row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    void show(NumberState state) {
        showing = true;
        BundleNumber number = state.number();
        style.setValue(number.style());
        style.setDisable(number.bySection());
        if (!start.isFocused() || !desk.saidProperty().get().isEmpty()) start.setText(String.valueOf(number.start()));
        bySection.setSelected(number.bySection());
        total.setSelected(number.total());
        List<Optional<NumberStyle>> fronts = new ArrayList<>(List.of(Optional.empty()));
        for (NumberStyle each : NumberStyle.values())
            if (BundleNumber.goTogether(each, number.style())) fronts.add(Optional.of(each));
        if (!front.getItems().equals(fronts)) front.getItems().setAll(fronts);
        front.setValue(number.front());
        indexPages.getValueFactory().setValue(number.indexPages());
        used.setText(number.indexPages() == 0 ? Words.of("number.indexAsNeeded", state.indexUsed())
                : Words.of("number.indexUsed", state.indexUsed()));
        notice.setText(state.notice());
        Controls.show(notice, !state.notice().isEmpty());
        showing = false;
    }
}
