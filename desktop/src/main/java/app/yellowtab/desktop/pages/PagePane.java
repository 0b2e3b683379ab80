package app.yellowtab.desktop.pages;

import app.yellowtab.desktop.work.Styles;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/**
 * A page as large as there is room for, at the top of that room, with its marks set over the picture: when they change, nothing is
 * drawn anew.
 */
public final class PagePane extends Region {
    /** For the line around a page. */
    private static final double EDGE = 1;

    private final ImageView picture = new ImageView();
    private final List<MarkSetter.Placed> placed = new ArrayList<>();
    private final List<Text> marks = new ArrayList<>();
    private PagePictures.Result.@Nullable Picture shown;

    public PagePane() {
        picture.setSmooth(true);
        picture.setManaged(false);
        getChildren().add(picture);
        getStyleClass().add(Styles.PAGE);
        setMinSize(0, 0);
    }

    /** Shows a page. */
    public void show(PagePictures.Result.Picture page, List<Mark> itsMarks) {
        shown = page;
        picture.setImage(page.image());
        placed.clear();
        for (Mark mark : itsMarks) placed.add(MarkSetter.Placed.of(mark, page.widthPt(), page.heightPt()));
        getChildren().removeAll(marks);
        marks.clear();
        for (MarkSetter.Placed mark : placed) {
            Text text = new Text(mark.mark().words());
            text.setTextOrigin(VPos.BASELINE);
            text.setFill(Color.BLACK);
            text.setManaged(false);
            marks.add(text);
        }
        getChildren().addAll(marks);
        requestLayout();
    }

    /** Shows nothing. */
    public void clear() {
        shown = null;
        picture.setImage(null);
        getChildren().removeAll(marks);
        marks.clear();
        placed.clear();
    }

    /** {@return the words that are set on the page that is shown} */
    public List<String> marksShown() {
        return marks.stream().map(Text::getText).toList();
    }

    /** {@return whether a page is shown} */
    public boolean isShowing() {
        return shown != null;
    }

    @Override
    protected void layoutChildren() {
        PagePictures.Result.Picture page = shown;
        if (page == null) return;
        double room = Math.max(1, getWidth() - 2 * EDGE);
        double scale = Math.min(room / page.widthPt(), Math.max(1, getHeight() - 2 * EDGE) / page.heightPt());
        double width = snapSizeX(page.widthPt() * scale);
        double height = snapSizeY(page.heightPt() * scale);
        double left = snapPositionX((getWidth() - width) / 2);
        picture.setFitWidth(width);
        picture.setFitHeight(height);
        picture.relocate(left, EDGE);
        for (int i = 0; i < marks.size(); i++) {
            MarkSetter.Placed mark = placed.get(i);
            marks.get(i).setFont(MarkFonts.font(mark.mark().look().face(), mark.sizePt() * scale));
            marks.get(i).setX(left + mark.x() * scale);
            marks.get(i).setY(EDGE + height - mark.y() * scale);
        }
    }
}
