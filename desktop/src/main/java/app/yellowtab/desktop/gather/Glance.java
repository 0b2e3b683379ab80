package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.gather.Gathering.Row;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.facts.Origin;
import app.yellowtab.intake.Likeness;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.PasswordField;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;

/** One source at a glance: its first page, its title and date to be typed over, and all that is known of it. */
final class Glance extends VBox {
    private static final double PICTURE = 300;
    private static final int WIDTH_PX = 440;

    private final Gathering gathering;
    private final SourceList list;
    private final PagePictures pictures;
    private final PagePane picture = new PagePane();
    private final VBox top;
    private PagePictures.Request request = PagePictures.Request.DONE;
    private final Label pageWords = Controls.label("", Styles.SMALL);
    private final Button previous = Controls.iconButton(Feather.CHEVRON_LEFT, "glance.previous", () -> turn(-1));
    private final Button next = Controls.iconButton(Feather.CHEVRON_RIGHT, "glance.next", () -> turn(1));
    private final VBox words = new VBox(10);
    private final Subscription subscription;
    private @Nullable SourceFields typed;
    private Optional<Row.Known> shown = Optional.empty();
    private int page = 1;
    private boolean waiting;

    Glance(Gathering gathering, SourceList list, PagePictures pictures) {
        super(8);
        this.gathering = gathering;
        this.list = list;
        this.pictures = pictures;
        picture.setMinHeight(PICTURE);
        picture.setPrefHeight(PICTURE);
        HBox pager = new HBox(6, previous, pageWords, next);
        pager.setAlignment(Pos.CENTER);
        top = new VBox(4, picture, pager);
        Controls.show(top, false);
        ScrollPane scroll = new ScrollPane(words);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add(Styles.GLANCE_WORDS);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(top, scroll);
        getStyleClass().add(Styles.GLANCE);
        setId("glance");
        list.onChosen(this::showSoon);
        subscription = gathering.rowsProperty().subscribe(rows -> showSoon());
    }

    void dispose() {
        subscription.unsubscribe();
        request.cancel();
    }

    /** Puts the keyboard into the title. */
    void beginTyping() {
        SourceFields fields = typed;
        if (fields != null) fields.begin();
    }

    /** In a frame of its own, once for several changes: the list has its work in the one that they come in. */
    private void showSoon() {
        if (waiting) return;
        waiting = true;
        Platform.runLater(() -> {
            waiting = false;
            show();
        });
    }

    private void show() {
        List<Row.Known> chosen = list.chosenRows();
        Controls.show(this, !list.sources().isEmpty());
        Optional<Row.Known> one = chosen.size() == 1 ? Optional.of(chosen.getFirst()) : Optional.empty();
        if (one.isPresent() && one.equals(shown)) return;
        if (shown.isEmpty() || one.isEmpty() || !one.get().source().id().equals(shown.get().source().id())) page = 1;
        shown = one;
        if (one.isPresent()) {
            showOne(one.get());
        } else {
            typed = null;
            words.getChildren().clear();
            request.cancel();
            showPicture(false);
            if (!chosen.isEmpty()) showSeveral(chosen);
        }
    }

    private void showOne(Row.Known row) {
        Source source = row.source();
        draw(source);
        // The fields stay while their source is shown, so that the keyboard stays in them.
        SourceFields before = typed;
        words.getChildren().removeIf(child -> child != before || !before.isOf(source));
        List<Node> above = new ArrayList<>();
        if (row.locked()) above.add(password(source));
        row.alike().stream().limit(2).forEach(like -> above.add(alike(row, like)));
        words.getChildren().addAll(0, above);
        SourceFields fields = typed;
        if (fields == null || !fields.isOf(source)) typed = fields = new SourceFields(gathering, source);
        fields.show(source);
        if (!words.getChildren().contains(fields)) words.getChildren().add(fields);
        origins(source).ifPresent(words.getChildren()::add);
        made(source).ifPresent(words.getChildren()::add);
        VBox facts = new VBox(4);
        FactWords.all(source, gathering.left(source))
                .forEach(line -> facts.getChildren().add(Controls.paragraph(line, Styles.FACT)));
        words.getChildren().add(facts);
        if (!source.isRead() && !row.placed()) words.getChildren().add(Controls
                .button(source.isWithoutPages() ? "glance.along" : "glance.slip", () -> gathering.putInIndex(List.of(source))));
    }

    private Optional<HBox> origins(Source source) {
        List<String> from = new ArrayList<>();
        if (source.about().titleFrom() != Origin.USER)
            from.add(Words.of("glance.titleFrom." + source.about().titleFrom().name()));
        if (source.about().dateFrom() != Origin.USER && source.proposedDate() != DocumentDate.NOT_GIVEN)
            from.add(Words.of("glance.dateFrom." + source.about().dateFrom().name()));
        if (from.isEmpty()) return Optional.empty();
        return Optional
                .of(offer(String.join("; ", from), Controls.button("glance.confirm", () -> gathering.confirm(List.of(source)))));
    }

    /** A file's own word on when it was made is often that of a copy: it is offered, and not taken by itself. */
    private Optional<HBox> made(Source source) {
        Optional<DocumentDate> made =
                source.about().made().<DocumentDate>map(DocumentDate.Day::new).filter(day -> !day.equals(source.proposedDate()));
        return made.map(day -> offer(Words.of("glance.made", day.shown()),
                Controls.button("glance.useMade", () -> gathering.useMade(source))));
    }

    private static HBox offer(String words, Button take) {
        Label label = Controls.paragraph(words, Styles.SMALL);
        HBox.setHgrow(label, Priority.ALWAYS);
        label.setMaxWidth(Double.MAX_VALUE);
        take.setMinWidth(USE_PREF_SIZE);
        HBox row = new HBox(8, label, take);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private VBox alike(Row.Known row, Likeness.Like like) {
        String other = Optional.ofNullable(gathering.workspace().bundle().sourcesById().get(like.other())).map(Source::fileName)
                .orElse("");
        Label notice = Controls.paragraph(Words.of("glance.alike." + like.kind().name(), other, like.pages()), Styles.NOTICE);
        Button both = Controls.button("glance.keepBoth", () -> gathering.keepAlike(row));
        Button out = Controls.button("glance.takeOut", () -> gathering.takeAway(List.of(row.source())));
        Button see = Controls.button("glance.seeOther", () -> list.choose(like.other()));
        for (Button one : List.of(both, out, see)) one.getStyleClass().add(Styles.QUIET);
        return new VBox(6, notice, new HBox(4, both, out, see));
    }

    private VBox password(Source source) {
        PasswordField field = new PasswordField();
        field.setId("glance-password");
        field.setPromptText(Words.of("glance.password"));
        List<Source> others = gathering.lockedBeside(source);
        CheckBox tryAll = new CheckBox(Words.of("glance.tryAll", others.size()));
        tryAll.setSelected(true);
        CheckBox keep = new CheckBox(Words.of("glance.password.remember"));
        keep.setId("glance-remember");
        Label outcome = Controls.paragraph(Words.of("glance.password.kept"), Styles.SMALL);
        Runnable unlock = () -> {
            if (field.getText().isEmpty()) return;
            List<Source> locked = new ArrayList<>(List.of(source));
            if (tryAll.isSelected()) locked.addAll(others);
            gathering.unlock(locked, field.getText(), keep.isSelected(),
                    () -> outcome.setText(Words.of("glance.password.wrong")));
        };
        field.setOnAction(event -> unlock.run());
        HBox.setHgrow(field, Priority.ALWAYS);
        VBox box = new VBox(6, Controls.paragraph(Words.of("glance.locked"), Styles.NOTICE),
                new HBox(6, field, Controls.button("glance.unlock", unlock)), keep, outcome);
        keep.selectedProperty()
                .subscribe(on -> outcome.setText(Words.of(on ? "glance.password.remembered" : "glance.password.kept")));
        if (!others.isEmpty()) box.getChildren().add(2, tryAll);
        return box;
    }

    private void showSeveral(List<Row.Known> chosen) {
        int pages = chosen.stream().filter(row -> row.source().isRead()).mapToInt(row -> row.source().pageCount()).sum();
        List<Source> sources = chosen.stream().map(Row.Known::source).toList();
        words.getChildren().addAll(Controls.label(Words.of("glance.several", chosen.size(), pages), Styles.FORM_LABEL),
                Controls.button("glance.confirmThese", () -> gathering.confirm(sources)));
    }

    private void turn(int by) {
        shown.ifPresent(row -> {
            page = Math.clamp(page + by, 1, row.source().pageCount());
            draw(row.source());
        });
    }

    private void draw(Source source) {
        int number = Math.clamp(page, 1, source.pageCount());
        pageWords.setText(Words.of("glance.page", number, source.pageCount()));
        previous.setDisable(number == 1);
        next.setDisable(number == source.pageCount());
        request.cancel();
        request = pictures.request(pictures.renderer().page(source.id(), number, PageLook.PLAIN,
                gathering.workspace().bundle().fromSources().comments(), WIDTH_PX), Urgency.IN_VIEW, result -> {
                    if (result instanceof PagePictures.Result.Picture drawn) picture.show(drawn, List.of());
                    showPicture(result instanceof PagePictures.Result.Picture);
                    boolean lacks = result instanceof PagePictures.Result.Picture drawn && drawn.missing() > 0;
                    pageWords.setText(Words.of(lacks ? "glance.pageLacks" : "glance.page", number, source.pageCount()));
                });
    }

    private void showPicture(boolean there) {
        if (!there) picture.clear();
        Controls.show(top, there);
    }
}
