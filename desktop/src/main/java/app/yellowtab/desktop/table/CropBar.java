package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.model.page.Area;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/**
 * A sentence with gaps for what is cut off at each edge of the pages that are chosen; a frame drawn on the page in view fills
 * them.
 */
final class CropBar extends TableBar {
    private static final List<String> EDGES = List.of("left", "top", "right", "bottom");
    private static final int LENGTH_COLUMNS = 4;

    private final PagesDesk desk;
    private final PagesWork work;
    private final FrameWish frame;
    private final List<TextField> lengths = new ArrayList<>();
    private final CheckBox mirrored = new CheckBox(Words.of("crop.mirrored"));

    CropBar(PagesDesk desk, PagesWork work, FrameWish frame) {
        super("crop", Words.of("crop.hidden"));
        this.desk = desk;
        this.work = work;
        this.frame = frame;
        mirrored.setId("crop-mirrored");
        List<Node> parts = new ArrayList<>(List.of(new Label(Words.of("crop.hide"))));
        for (String edge : EDGES) parts.add(gap(edge));
        parts.add(mirrored);
        parts.add(Controls.button("crop.crop", this::crop));
        parts.add(Controls.button("crop.off", () -> {
            desk.cropOff();
            say("");
        }));
        lay(parts.toArray(Node[]::new));
    }

    private Node gap(String edge) {
        TextField length = new TextField();
        length.setId("crop-" + edge);
        length.setPrefColumnCount(LENGTH_COLUMNS);
        length.setPromptText(Words.of("crop.nothing"));
        length.setAccessibleText(Words.of("crop.edge." + edge));
        length.setOnAction(event -> crop());
        lengths.add(length);
        HBox gap = new HBox(4, new Label(Words.of("crop.edge." + edge)), length);
        gap.setAlignment(Pos.CENTER_LEFT);
        return gap;
    }

    @Override
    Node first() {
        return lengths.getFirst();
    }

    @Override
    void open(boolean shows) {
        super.open(shows);
        if (shows) frame.want(this::take);
        else frame.end();
    }

    /** Takes a frame from the page in view. */
    private void take(Area drawn) {
        Optional<Margins> margins = work.margins(drawn);
        if (margins.isEmpty()) {
            say(Words.of("crop.ours"));
            return;
        }
        Margins its = margins.get();
        double[] each = {its.leftMm(), its.topMm(), its.rightMm(), its.bottomMm()};
        for (int i = 0; i < each.length; i++) lengths.get(i).setText(String.format(Locale.ROOT, "%.1f", each[i]));
        say(Words.of("crop.drawn"));
    }

    private void crop() {
        List<Double> typed = new ArrayList<>();
        for (TextField length : lengths) {
            Optional<Double> read = Margins.read(length.getText());
            if (read.isEmpty()) {
                say(Words.of("crop.noLength", length.getText().strip()));
                length.requestFocus();
                return;
            }
            typed.add(read.get());
        }
        if (desk.shownProperty().get().chosen().isEmpty()) {
            say(Words.of("crop.none"));
            return;
        }
        desk.crop(new Margins(typed.get(0), typed.get(1), typed.get(2), typed.get(3)), mirrored.isSelected(),
                left -> say(left == 0 ? Words.of("crop.hidden") : Words.of("crop.left", left)));
    }
}
