package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/**
 * What stands on a line of the index sheet: tab, title with a description below it, date, page. Plain texts, placed here: a
 * screen has two dozen lines, and labels in boxes would take twice as long to be there when the program starts.
 */
final class SheetLine extends Region {
    static final double TAB_WIDTH = 32;
    /** Room for "12 May 2031"; a range takes two lines. */
    static final double DATE_WIDTH = 92;
    static final double PAGE_WIDTH = 56;
    private static final double GAP = 8;
    private static final double ICON_GAP = 4;
    private static final double ABOVE_GAP = 4;
    private final Text above = new Text();
    private final Text tab = new Text();
    private final Text title = new Text();
    private final Text description = new Text();
    private final Text date = new Text();
    private final Label page = Controls.label("", Styles.PAGE_NUMBER);
    private @Nullable Node beforeDate;
    private boolean isWidePage;

    SheetLine() {
        description.getStyleClass().add(Styles.SMALL);
        above.getStyleClass().add(Styles.SMALL);
        page.setAlignment(Pos.CENTER_RIGHT);
        getStyleClass().add(Styles.SHEET_LINE);
        setPrefWidth(1);
        for (Node part : new Node[] {above, tab, title, description, date, page}) part.setManaged(false);
        getChildren().addAll(above, tab, title, description, date, page);
    }

    /**
     * Shows words.
     *
     * @param aboveWords what stands above the line, such as that a volume begins; empty for nothing
     * @param beforeDate a sign before the date; null for none
     * @param isWidePage whether the page is a range, such as "1012–1145", and takes the room that it needs
     */
    void show(String aboveWords, String tabWords, String titleWords, String descriptionWords, String dateWords,
            @Nullable Node beforeDate,
            String pageWords, boolean isWidePage) {
        above.setText(aboveWords);
        above.setVisible(!aboveWords.isEmpty());
        tab.setText(tabWords);
        title.setText(titleWords);
        description.setText(descriptionWords);
        description.setVisible(!descriptionWords.isEmpty());
        date.setText(dateWords);
        page.setText(pageWords);
        this.isWidePage = isWidePage;
        if (this.beforeDate != null) getChildren().remove(this.beforeDate);
        this.beforeDate = beforeDate;
        if (beforeDate != null) {
            beforeDate.setManaged(false);
            getChildren().add(beforeDate);
        }
        requestLayout();
    }

    String tab() {
        return tab.getText();
    }

    String title() {
        return title.getText();
    }

    String date() {
        return date.getText();
    }

    String page() {
        return page.getText();
    }

    /** {@return the part over which a field is typed} */
    Node part(Field field) {
        return switch (field) {
            case DATE -> beforeDate != null ? beforeDate : date;
            case TITLE, MARK -> title;
            case DESCRIPTION, PAGES, SUPPLIED -> description.isVisible() ? description : title;
        };
    }

    /** {@return how wide a field may be that is typed over it, in pixels} */
    double columnWidth(Field field) {
        return field == Field.DATE ? DATE_WIDTH : middleWidth(getWidth());
    }

    /** {@return where the date begins, in pixels from the left} */
    double dateX() {
        return getWidth() - snappedRightInset() - pageWidth() - GAP - DATE_WIDTH;
    }

    private double pageWidth() {
        return isWidePage ? snapSizeX(Math.max(PAGE_WIDTH, page.prefWidth(-1))) : PAGE_WIDTH;
    }

    private double middleWidth(double width) {
        return Math.max(1, width - snappedLeftInset() - snappedRightInset() - TAB_WIDTH - DATE_WIDTH - pageWidth() - 3 * GAP);
    }

    private double iconWidth() {
        return beforeDate == null ? 0 : beforeDate.prefWidth(-1) + ICON_GAP;
    }

    /** Breaks the texts into lines for a width. */
    private void wrap(double width) {
        double middle = middleWidth(width);
        title.setWrappingWidth(middle);
        description.setWrappingWidth(middle);
        date.setWrappingWidth(DATE_WIDTH - iconWidth());
    }

    private double middleHeight() {
        return height(title) + (description.isVisible() ? height(description) : 0);
    }

    private double aboveHeight() {
        return above.isVisible() ? snapSizeY(height(above)) + ABOVE_GAP : 0;
    }

    private static double height(Text text) {
        return text.getLayoutBounds().getHeight();
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computePrefHeight(double width) {
        wrap(width < 0 ? getWidth() : width);
        return snappedTopInset() + aboveHeight()
                + snapSizeY(Math.max(Math.max(middleHeight(), height(date)), Math.max(height(tab), page.prefHeight(-1))))
                + snappedBottomInset();
    }

    @Override
    protected void layoutChildren() {
        wrap(getWidth());
        double left = snappedLeftInset();
        double begin = snappedTopInset() + aboveHeight();
        double top = begin + (getHeight() - begin - snappedBottomInset()) / 2;
        place(above, left, snappedTopInset());
        place(tab, left, top - height(tab) / 2);
        double middle = top - middleHeight() / 2;
        place(title, left + TAB_WIDTH + GAP, middle);
        place(description, left + TAB_WIDTH + GAP, middle + height(title));
        place(date, dateX() + iconWidth(), top - height(date) / 2);
        if (beforeDate != null) {
            // As wide as the column, so that what it says is told over the date, too.
            double height = height(date);
            beforeDate.resizeRelocate(snapPositionX(dateX()), snapPositionY(top - height / 2), DATE_WIDTH, height);
        }
        double height = page.prefHeight(-1);
        page.resizeRelocate(snapPositionX(getWidth() - snappedRightInset() - pageWidth()), snapPositionY(top - height / 2),
                pageWidth(), height);
    }

    private void place(Text text, double x, double y) {
        text.relocate(snapPositionX(x), snapPositionY(y));
    }
}
