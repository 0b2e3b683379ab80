package app.yellowtab.desktop.sheets;

import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.page.Area;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.TextFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** An area of a page: drawn elsewhere, or typed here in millimetres; what stands in it on every page, and what it is good for. */
final class AreaPanel extends VBox {
    private static final double LEAST_MM = 1;
    private static final int LIST_PX = 132;
    private static final double HERE_PX = 90;
    private static final int ROW_PX = 21;

    private final CutDesk desk;
    private final Consumer<Area> typed;
    private final List<TextField> sides = Stream.of("left", "top", "width", "height").map(AreaPanel::side).toList();
    private final Label here = Controls.paragraph("", Styles.NOTICE);
    private final ListView<String> everywhere = new ListView<>();
    private final VBox found = new VBox(6);
    private final SheetDesk sheets;
    private final Button whole;
    private Optional<Area> area = Optional.empty();
    private List<BatchPage> listed = List.of();
    private int current = 1;

    /**
     * @param typed  is given an area that is typed or moved
     * @param toPage goes to a page
     */
    AreaPanel(CutDesk desk, SheetDesk sheets, Consumer<Area> typed, IntConsumer toPage) {
        super(6);
        this.desk = desk;
        this.typed = typed;
        here.setId("area-words");
        everywhere.setId("area-pages");
        everywhere.setFixedCellSize(ROW_PX);
        everywhere.setPrefHeight(LIST_PX);
        everywhere.setMinHeight(LIST_PX / 2.0);
        everywhere.getStyleClass().add(Styles.AREA_PAGES);
        everywhere.setAccessibleText(Words.of("cut.area.everywhere"));
        everywhere.setOnMouseClicked(event -> toPage.accept(everywhere.getSelectionModel().getSelectedIndex() + 1));
        HBox fields = new HBox(4);
        fields.setAlignment(Pos.CENTER_LEFT);
        for (TextField side : sides) {
            fields.getChildren().add(side);
            side.setOnAction(event -> take());
            side.focusedProperty().subscribe((was, focused) -> {
                if (!focused) take();
            });
        }
        fields.getChildren().add(Controls.label("mm", Styles.SMALL));
        whole = Controls.button("cut.area.whole", () -> sheets.undivide(current));
        this.sheets = sheets;
        found.getChildren().addAll(here, Controls.label(Words.of("cut.area.everywhere"), Styles.SMALL), everywhere,
                Controls.button("cut.area.value", () -> area.ifPresent(desk.rules()::cutByValueIn)),
                Controls.button("cut.area.words", () -> desk.rules().lookForWordsIn(area)),
                Controls.button("cut.area.name", () -> area.ifPresent(desk.rules()::nameByWordsIn)),
                Controls.button("cut.area.divide",
                        () -> area.ifPresent(its -> sheets.divideAt(current, its.leftMm() + its.widthMm(), false))),
                Controls.button("cut.area.divideAll",
                        () -> area.ifPresent(its -> sheets.divideAt(current, its.leftMm() + its.widthMm(), true))));
        Label how = Controls.paragraph(Words.of("cut.area.how"), Styles.SMALL);
        // The words of the page give way, not what is said of them.
        how.setMinHeight(USE_PREF_SIZE);
        here.setMinHeight(USE_PREF_SIZE);
        here.setMaxHeight(HERE_PX);
        getChildren().addAll(how, fields, found, whole);
        Controls.show(found, false);
    }

    private static TextField side(String name) {
        TextField field = new TextField();
        field.setId("area-" + name);
        field.setPrefColumnCount(3);
        field.setPromptText(Words.of("cut.area." + name));
        field.setAccessibleText(Words.of("cut.area." + name));
        return field;
    }

    /** {@return the area, if there is one} */
    Optional<Area> area() {
        return area;
    }

    /** Takes another area, or none. */
    void set(Optional<Area> newArea) {
        area = newArea;
        listed = List.of();
        List<Double> values =
                area.map(its -> List.of(its.leftMm(), its.topMm(), its.widthMm(), its.heightMm())).orElse(List.of());
        for (int i = 0; i < sides.size(); i++) {
            sides.get(i)
                    .setText(values.isEmpty() ? "" : String.format(Locale.ROOT, "%.1f", values.get(i)).replaceFirst("\\.0$", ""));
            sides.get(i).getStyleClass().remove(Styles.WRONG);
        }
    }

    /** Moves the area, or its lower right corner, by millimetres. */
    void move(double acrossMm, double downMm, boolean corner) {
        area.map(its -> corner
                ? new Area(its.leftMm(), its.topMm(), Math.max(LEAST_MM, its.widthMm() + acrossMm),
                        Math.max(LEAST_MM, its.heightMm() + downMm))
                : new Area(Math.max(0, its.leftMm() + acrossMm), Math.max(0, its.topMm() + downMm), its.widthMm(),
                        its.heightMm()))
                .ifPresent(typed);
    }

    /** Takes what is typed, as soon as all four sides are there. */
    private void take() {
        List<Double> values = new ArrayList<>();
        for (TextField side : sides) {
            side.getStyleClass().remove(Styles.WRONG);
            String text = side.getText().strip().replace(',', '.');
            if (text.matches("\\d{1,4}(\\.\\d{1,2})?")) values.add(Double.parseDouble(text));
            else if (!text.isEmpty()) side.getStyleClass().add(Styles.WRONG);
        }
        if (values.size() < sides.size()) return;
        for (TextField extent : sides.subList(2, sides.size()))
            if (Double.parseDouble(extent.getText().strip().replace(',', '.')) <= 0) extent.getStyleClass().add(Styles.WRONG);
        if (values.get(2) <= 0 || values.get(3) <= 0) return;
        Area now = new Area(values.get(0), values.get(1), values.get(2), values.get(3));
        if (!area.equals(Optional.of(now))) typed.accept(now);
    }

    /** Shows what stands in the area, on one page and on all. */
    void show(Shown shown, int page) {
        Controls.show(found, area.isPresent());
        Controls.show(whole, sheets.isHalf(page));
        if (area.isEmpty()) return;
        Area its = area.get();
        BatchPage on = shown.pages().get(page - 1);
        String in = in(on, its);
        boolean off = shown.isRead() && (its.leftMm() >= on.widthMm() || its.topMm() >= on.heightMm());
        here.setText(off ? Words.of("cut.area.off", on.widthMm(), on.heightMm())
                : in.isEmpty() ? Words.of("cut.area.empty") : Words.of("cut.area.holds", in));
        current = page;
        if (listed == shown.pages()) {
            select();
            return;
        }
        List<BatchPage> asked = shown.pages();
        listed = asked;
        desk.rules().wordsIn(its, asked, all -> {
            if (listed == asked && area.equals(Optional.of(its))) list(all);
        });
    }

    private void list(List<String> all) {
        List<String> lines = new ArrayList<>();
        for (String words : all) lines.add(words.isEmpty() ? Words.of("cut.area.none", lines.size() + 1)
                : Words.of("cut.area.line", lines.size() + 1, words));
        everywhere.getItems().setAll(lines);
        select();
    }

    private void select() {
        everywhere.getSelectionModel().select(current - 1);
        everywhere.scrollTo(Math.max(0, current - 2));
    }

    private static String in(BatchPage page, Area area) {
        return TextFinder.in(page.text(), area).replace('\n', ' ');
    }
}
