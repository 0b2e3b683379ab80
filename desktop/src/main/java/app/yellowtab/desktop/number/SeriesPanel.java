package app.yellowtab.desktop.number;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Marking;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What a series of Bates numbers has: where it begins, and giving its numbers for ever. */
final class SeriesPanel extends VBox {
    private final TextField first = new TextField();
    private final Label fixed = Controls.paragraph("", Styles.SMALL);
    private final Label register = Controls.label("", Styles.SMALL);
    private final Button forget = Controls.button("number.forgetMatter", () -> {});
    private final Button goOn;
    private final Label alike = Controls.paragraph("", Styles.NOTICE);
    private final FlowPane answers;
    private final Button takeBack = Controls.button("number.takeBack", this::askWhich);
    private final Label gap = Controls.paragraph(Words.of("number.gap"), Styles.NOTICE);
    private final Map<Issuing.Of, Button> which = new EnumMap<>(Issuing.Of.class);
    private final FlowPane whose;
    private final Issuing issuing;
    private boolean asking;
    private SeriesId shown = Marking.BUNDLE;
    private Optional<NumberState.Alike> asked = Optional.empty();
    private boolean showing;

    SeriesPanel(NumberDesk desk, Workspace workspace, FileDialogs dialogs) {
        super(10);
        issuing = desk.issuing();
        goOn = Controls.button("number.goOn", issuing::goOn);
        first.setId("number-first");
        first.setPrefColumnCount(14);
        first.setAccessibleText(Words.of("number.firstNumber"));
        first.setOnAction(event -> desk.first(first.getText()));
        first.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing) desk.first(first.getText());
        });
        HBox begin = new HBox(8, new Label(Words.of("number.firstNumber")), first);
        begin.setAlignment(Pos.CENTER_LEFT);
        fixed.setId("number-fixed");
        FlowPane acts = new FlowPane(6, 6, Controls.button("number.issue", issuing::issue), takeBack,
                Controls.button("number.register",
                        () -> dialogs
                                .saveAs(Words.of("number.register"),
                                        workspace.folder().path().resolve(Words.of("number.registerFile") + ".csv"))
                                .ifPresent(issuing::writeRegister)));
        register.setId("number-matter");
        register.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(register, Priority.ALWAYS);
        HBox named = new HBox(8, register,
                Controls.button("number.chooseMatter",
                        () -> dialogs
                                .saveAs(Words.of("number.chooseMatter"),
                                        workspace.folder().path().toAbsolutePath()
                                                .resolveSibling(Words.of("number.matterFile") + ".csv"))
                                .ifPresent(file -> issuing.register(Optional.of(file)))),
                forget);
        named.setAlignment(Pos.CENTER_LEFT);
        forget.setOnAction(event -> issuing.register(Optional.empty()));
        alike.setId("number-alike");
        answers = new FlowPane(6, 6, Controls.button("number.oneDocument", () -> answer(desk, true)),
                Controls.button("number.twoDocuments", () -> answer(desk, false)));
        gap.setId("number-gap");
        for (Issuing.Of of : Issuing.Of.values())
            which.put(of, Controls.button("number.takeBack." + of.name().toLowerCase(Locale.ROOT), () -> answer(of)));
        whose = new FlowPane(6, 6);
        whose.getChildren().addAll(which.values());
        whose.getChildren().add(Controls.button("number.takeBack.none", this::leave));
        getChildren().addAll(begin, goOn, fixed, alike, answers, acts, gap, whose,
                Controls.label(Words.of("number.matter"), Styles.FORM_LABEL), named);
    }

    private void answer(NumberDesk desk, boolean oneDocument) {
        asked.ifPresent(files -> desk.answerAlike(files, oneDocument));
    }

    private void askWhich() {
        asking = true;
        showAsked();
    }

    private void leave() {
        asking = false;
        showAsked();
    }

    private void answer(Issuing.Of of) {
        leave();
        issuing.takeBack(of);
    }

    /** Shows whose numbers can be taken back, each choice only where it says another thing than the one before. */
    void showAsked() {
        Controls.show(gap, asking);
        Controls.show(whose, asking);
        if (!asking) return;
        long before = 0;
        for (Map.Entry<Issuing.Of, Button> one : which.entrySet()) {
            List<String> numbers = issuing.issued(one.getKey()).stream().map(GivenNumber::number).distinct().toList();
            Controls.show(one.getValue(), numbers.size() > before);
            one.getValue().setText(Words.of("number.takeBack." + one.getKey().name().toLowerCase(Locale.ROOT), numbers.size(),
                    numbers.isEmpty() ? "" : numbers.getFirst()));
            before = numbers.size();
        }
    }

    void show(NumberState state, String matter) {
        showing = true;
        if (state.fixed() == 0 || !state.chosen().equals(shown)) asking = false;
        shown = state.chosen();
        Controls.show(takeBack, state.fixed() > 0);
        showAsked();
        asked = state.alike();
        alike.setText(asked.map(files -> Words.of("number.alike", files.oneName(), files.otherName())).orElse(""));
        Controls.show(alike, asked.isPresent());
        Controls.show(answers, asked.isPresent());
        register.setText(matter.isEmpty() ? Words.of("number.noMatter") : String.valueOf(Path.of(matter).getFileName()));
        register.setTooltip(matter.isEmpty() ? null : new Tooltip(matter));
        Controls.show(forget, !matter.isEmpty());
        Controls.show(goOn, !matter.isEmpty() && state.fixed() == 0);
        if (!first.isFocused()) first.setText(state.series().map(Series::first).orElse(""));
        first.setDisable(state.fixed() > 0);
        fixed.setText(Words.of("number.fixed", state.fixed(), state.count()));
        showing = false;
    }
}
