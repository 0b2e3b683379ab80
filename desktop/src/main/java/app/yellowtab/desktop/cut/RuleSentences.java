package app.yellowtab.desktop.cut;

import app.yellowtab.cut.Cutting;
import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.RuleKind;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** The rules, as sentences with gaps to fill in. What is filled in holds at once. */
final class RuleSentences extends VBox {
    private static final double MEGA = 1e6;

    private final CutDesk desk;
    private final Map<RuleKind, Sentence> sentences = new EnumMap<>(RuleKind.class);
    private final TextField least = new TextField();
    private final BiConsumer<RuleKind, Boolean> step;
    private boolean showing;

    /** One rule. */
    private record Sentence(CheckBox on, List<Gap> gaps, Label count, HBox steps) {}

    /** Something to fill in, and what it is as part of the rule. */
    private record Gap(Node node, Runnable show) {}

    /**
     * @param printing leads to where separator sheets are made
     * @param step     goes to the next cut of a rule, or to the one before
     */
    RuleSentences(CutDesk desk, Button printing, BiConsumer<RuleKind, Boolean> step) {
        super(10);
        this.desk = desk;
        this.step = step;
        add(RuleKind.EVERY,
                number("cut.every", rule -> ((CutRule.EveryPages) rule).count(),
                        (rule, value) -> new CutRule.EveryPages(value, ((CutRule.EveryPages) rule).from())),
                number("cut.everyFrom", rule -> ((CutRule.EveryPages) rule).from(),
                        (rule, value) -> new CutRule.EveryPages(((CutRule.EveryPages) rule).count(), value)));
        add(RuleKind.SIZE, megabytes());
        add(RuleKind.BOOKMARKS, number("cut.bookmarks", rule -> ((CutRule.Bookmarks) rule).level(),
                (rule, value) -> new CutRule.Bookmarks(value)));
        add(RuleKind.BLANKS, choice("cut.blanks", rule -> ((CutRule.BlankSheets) rule).dropped(),
                (rule, dropped) -> new CutRule.BlankSheets(dropped)));
        add(RuleKind.FIRST, number("cut.first", rule -> ((CutRule.FirstPages) rule).leastPercent(),
                (rule, value) -> new CutRule.FirstPages(Math.min(100, value))));
        add(RuleKind.SHEETS, (kind, gaps) -> List.of(printing));
        add(RuleKind.WORDS, choice("cut.wordsWhere", rule -> !((CutRule.WordsFound) rule).after(), (rule, before) -> {
            CutRule.WordsFound old = (CutRule.WordsFound) rule;
            return new CutRule.WordsFound(old.words(), old.isPattern(), old.caseMatters(), old.spacesMatter(), old.area(),
                    !before);
        }), choice("cut.wordsKind", rule -> !((CutRule.WordsFound) rule).isPattern(), (rule, plain) -> {
            CutRule.WordsFound old = (CutRule.WordsFound) rule;
            return new CutRule.WordsFound(old.words(), !plain, old.caseMatters(), old.spacesMatter(), old.area(), old.after());
        }), text("cut.words", rule -> ((CutRule.WordsFound) rule).words(), (rule, words) -> {
            CutRule.WordsFound old = (CutRule.WordsFound) rule;
            return new CutRule.WordsFound(words, old.isPattern(), old.caseMatters(), old.spacesMatter(), old.area(), old.after());
        }), choice("cut.wordsCase", rule -> !((CutRule.WordsFound) rule).caseMatters(), (rule, any) -> {
            CutRule.WordsFound old = (CutRule.WordsFound) rule;
            return new CutRule.WordsFound(old.words(), old.isPattern(), !any, old.spacesMatter(), old.area(), old.after());
        }), choice("cut.wordsSpaces", rule -> ((CutRule.WordsFound) rule).spacesMatter(), (rule, matter) -> {
            CutRule.WordsFound old = (CutRule.WordsFound) rule;
            return new CutRule.WordsFound(old.words(), old.isPattern(), old.caseMatters(), matter, old.area(), old.after());
        }), area(rule -> ((CutRule.WordsFound) rule).area(), () -> desk.rules().lookForWordsIn(Optional.empty())));
        add(RuleKind.VALUE,
                text("cut.value",
                        rule -> ((CutRule.ValueChanges) rule).place() instanceof ValuePlace.AfterWords after ? after.words() : "",
                        (rule, words) -> new CutRule.ValueChanges(new ValuePlace.AfterWords(words,
                                ((CutRule.ValueChanges) rule).place() instanceof ValuePlace.AfterWords old ? old.until() : ""))),
                until(), area(rule -> ((CutRule.ValueChanges) rule).place() instanceof ValuePlace.InArea in
                        ? Optional.of(in.area()) : Optional.empty(), () -> desk.rules().set(RuleKind.VALUE.usual(), true)));
        add(RuleKind.NUMBERING);
        add(RuleKind.SIZES);
        least.setId("cut-least");
        least.setPrefColumnCount(3);
        least.setAccessibleText(Words.of("cut.least"));
        commit(least, () -> whole(least).ifPresentOrElse(desk.rules()::setLeast, () -> least.getStyleClass().add(Styles.WRONG)));
        FlowPane few = flow();
        few.getChildren().addAll(Controls.label(Words.of("cut.least"), Styles.SENTENCE), least,
                Controls.label(Words.of("cut.least.end"), Styles.SENTENCE));
        getChildren().addAll(few, Controls.label(Words.of("cut.orElse"), Styles.SMALL));
        add(RuleKind.RANGES,
                text("cut.ranges", rule -> ((CutRule.Ranges) rule).typed(),
                        (rule, typed) -> new CutRule.Ranges(typed, ((CutRule.Ranges) rule).restStays())),
                choice("cut.rest", rule -> ((CutRule.Ranges) rule).restStays(),
                        (rule, stays) -> new CutRule.Ranges(((CutRule.Ranges) rule).typed(), stays)));
        add(RuleKind.SIDES, choice("cut.sides", rule -> !((CutRule.OddAndEven) rule).evenFromBack(),
                (rule, forward) -> new CutRule.OddAndEven(!forward)));
    }

    /** Makes a gap for a rule. */
    @FunctionalInterface
    private interface GapMaker {
        List<Node> make(RuleKind kind, List<Gap> gaps);
    }

    /** Fills a value into a rule. */
    @FunctionalInterface
    private interface Filler<T> {
        CutRule fill(CutRule rule, T value);
    }

    private static FlowPane flow() {
        FlowPane flow = new FlowPane(5, 4);
        flow.setAlignment(Pos.CENTER_LEFT);
        flow.setPrefWrapLength(266);
        return flow;
    }

    private void add(RuleKind kind, GapMaker... makers) {
        CheckBox on = new CheckBox();
        on.setId("rule-" + kind.name().toLowerCase(Locale.ROOT));
        on.setAccessibleText(Words.of("cut.rule." + kind.name()));
        on.setOnAction(event -> desk.rules().set(desk.rules().rule(kind), on.isSelected()));
        List<Gap> gaps = new ArrayList<>();
        FlowPane flow = flow();
        Label begin = Controls.label(Words.of("cut.rule." + kind.name()), Styles.SENTENCE);
        begin.setOnMouseClicked(event -> on.fire());
        flow.getChildren().addAll(on, begin);
        for (GapMaker maker : makers) flow.getChildren().addAll(maker.make(kind, gaps));
        Label count = Controls.label("", Styles.SMALL);
        HBox steps =
                new HBox(2, count, Controls.iconButton(Feather.CHEVRON_LEFT, "cut.step.back", () -> step.accept(kind, false)),
                        Controls.iconButton(Feather.CHEVRON_RIGHT, "cut.step.on", () -> step.accept(kind, true)));
        steps.setAlignment(Pos.CENTER_LEFT);
        sentences.put(kind, new Sentence(on, gaps, count, steps));
        VBox box = new VBox(2, flow, steps);
        box.getStyleClass().add(Styles.RULE);
        getChildren().add(box);
    }

    private GapMaker number(String key, Function<CutRule, Integer> value, Filler<Integer> fill) {
        return (kind, gaps) -> {
            TextField field = field(key, 3);
            commit(field,
                    () -> whole(field).ifPresentOrElse(
                            number -> desk.rules().set(fill.fill(desk.rules().rule(kind), number), true),
                            () -> field.getStyleClass().add(Styles.WRONG)));
            gaps.add(new Gap(field, () -> put(field, String.valueOf(value.apply(desk.rules().rule(kind))))));
            return inSentence(key, field);
        };
    }

    /** {@return where a value ends that stands behind words; nothing for the end of the line} */
    private GapMaker until() {
        return (kind, gaps) -> {
            TextField field = field("cut.until", 3);
            commit(field, () -> {
                if (desk.rules().rule(kind) instanceof CutRule.ValueChanges(ValuePlace.AfterWords after))
                    desk.rules().set(new CutRule.ValueChanges(new ValuePlace.AfterWords(after.words(), field.getText())), true);
            });
            gaps.add(new Gap(field, () -> put(field,
                    desk.rules().rule(kind) instanceof CutRule.ValueChanges(ValuePlace.AfterWords after) ? after.until() : "")));
            return inSentence("cut.until", field);
        };
    }

    /** {@return the most that a piece may take, in MB} */
    private GapMaker megabytes() {
        return (kind, gaps) -> {
            TextField field = field("cut.size", 4);
            commit(field, () -> {
                String typed = field.getText().strip().replace(',', '.');
                if (typed.matches("\\d{1,6}(\\.\\d{1,3})?") && Double.parseDouble(typed) > 0)
                    desk.rules().set(new CutRule.UpTo(Math.round(Double.parseDouble(typed) * MEGA)), true);
                else field.getStyleClass().add(Styles.WRONG);
            });
            gaps.add(new Gap(field, () -> put(field, new DecimalFormat("0.###", DecimalFormatSymbols.getInstance(Locale.UK))
                    .format(((CutRule.UpTo) desk.rules().rule(kind)).bytes() / MEGA))));
            return inSentence("cut.size", field);
        };
    }

    private GapMaker text(String key, Function<CutRule, String> value, Filler<String> fill) {
        return (kind, gaps) -> {
            TextField field = field(key, 14);
            commit(field, () -> {
                if (!field.getText().isBlank())
                    desk.rules().set(fill.fill(desk.rules().rule(kind), field.getText().strip()), true);
            });
            gaps.add(new Gap(field, () -> put(field, value.apply(desk.rules().rule(kind)))));
            return inSentence(key, field);
        };
    }

    /** {@return a gap with two things to choose from; the first is "yes"} */
    private GapMaker choice(String key, Function<CutRule, Boolean> value, Filler<Boolean> fill) {
        return (kind, gaps) -> {
            ChoiceBox<String> box = new ChoiceBox<>();
            box.setId(key.replace('.', '-'));
            box.getItems().addAll(Words.of(key + ".yes"), Words.of(key + ".no"));
            box.setAccessibleText(Words.of("cut.rule." + kind.name()));
            box.getSelectionModel().selectedIndexProperty().subscribe((before, now) -> {
                if (!showing && now.intValue() >= 0)
                    desk.rules().set(fill.fill(desk.rules().rule(kind), now.intValue() == 0), true);
            });
            gaps.add(new Gap(box, () -> box.getSelectionModel().select(value.apply(desk.rules().rule(kind)) ? 0 : 1)));
            return inSentence(key, box);
        };
    }

    /** {@return the area that a rule looks at, with a way to take it away; not seen where there is none} */
    private GapMaker area(Function<CutRule, Optional<Area>> value, Runnable away) {
        return (kind, gaps) -> {
            Label words = Controls.label("", Styles.SENTENCE);
            HBox chip = new HBox(2, words, Controls.iconButton(Feather.X, "cut.area.away", away));
            chip.setAlignment(Pos.CENTER_LEFT);
            chip.getStyleClass().add(Styles.CHIP);
            gaps.add(new Gap(chip, () -> {
                Optional<Area> area = value.apply(desk.rules().rule(kind));
                area.ifPresent(
                        its -> words.setText(Words.of("cut.area", its.leftMm(), its.topMm(), its.widthMm(), its.heightMm())));
                Controls.show(chip, area.isPresent());
            }));
            return List.of(chip);
        };
    }

    private static List<Node> inSentence(String key, Node gap) {
        List<Node> parts = new ArrayList<>();
        String before = Words.of(key + ".before");
        if (!before.isEmpty()) parts.add(Controls.label(before, Styles.SENTENCE));
        parts.add(gap);
        String after = Words.of(key + ".after");
        if (!after.isEmpty()) parts.add(Controls.label(after, Styles.SENTENCE));
        return parts;
    }

    private static TextField field(String key, int columns) {
        TextField field = new TextField();
        field.setId(key.replace('.', '-'));
        field.setPrefColumnCount(columns);
        field.setAccessibleText(Words.of(key + ".before"));
        return field;
    }

    /** What is typed holds when the keyboard leaves the field, or at Enter. */
    private void commit(TextField field, Runnable take) {
        Runnable changed = () -> {
            field.getStyleClass().remove(Styles.WRONG);
            if (!showing && !field.getText().equals(field.getUserData())) take.run();
        };
        field.setOnAction(event -> changed.run());
        field.focusedProperty().subscribe(focused -> {
            if (!focused) changed.run();
        });
    }

    private static void put(TextField field, String text) {
        field.setUserData(text);
        if (!field.isFocused() || !field.getText().strip().equals(text)) field.setText(text);
        field.getStyleClass().remove(Styles.WRONG);
    }

    private static Optional<Integer> whole(TextField field) {
        String digits = field.getText().strip();
        return digits.matches("[1-9]\\d{0,5}") ? Optional.of(Integer.parseInt(digits)) : Optional.empty();
    }

    /** Shows how a batch is cut now. */
    void show(Shown now) {
        showing = true;
        sentences.forEach((kind, sentence) -> {
            boolean on = desk.rules().isOn(kind);
            sentence.on.setSelected(on);
            sentence.gaps.forEach(gap -> gap.show.run());
            Cutting.Count count = now.cutting().counts().get(desk.rules().rule(kind));
            sentence.count.setText(on && count != null ? Words.of("cut.count", count.cuts(), count.alone()) : "");
            Controls.show(sentence.steps, !sentence.count.getText().isEmpty());
            boolean any = count != null && count.cuts() > 0;
            sentence.steps.getChildren().subList(1, 3).forEach(button -> Controls.show(button, any));
        });
        put(least, String.valueOf(now.batch().rules().leastPages()));
        showing = false;
    }

    /** Marks what was filled into a rule that cannot be followed. */
    void markWrong(RuleKind kind) {
        Objects.requireNonNull(sentences.get(kind)).gaps.stream().map(Gap::node).filter(TextField.class::isInstance).findFirst()
                .ifPresent(field -> field.getStyleClass().add(Styles.WRONG));
    }
}
