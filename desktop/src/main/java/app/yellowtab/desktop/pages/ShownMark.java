package app.yellowtab.desktop.pages;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.mark.Box;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Placed;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.transform.Rotate;

/** A mark over the picture of its page: its words, and what they stand on. For the JavaFX thread. */
final class ShownMark {
    private static final double FRAME_PT = 0.5;
    /** How far the frame of a mark is from it, in pixels. */
    private static final double ALARM = 4;

    private final Placed placed;
    private final Text text = new Text();
    private final Optional<Rectangle> ground;
    private final Rectangle alarm = new Rectangle();
    private final Rotate turn = new Rotate();

    ShownMark(Placed placed) {
        this.placed = placed;
        MarkLook look = placed.mark().look();
        boolean covers = placed.mark().covers().isPresent();
        text.setText(placed.mark().words());
        text.setTextOrigin(VPos.BASELINE);
        text.setFill(Color.rgb(look.ink().rgb() >> 16, look.ink().rgb() >> 8 & 255, look.ink().rgb() & 255));
        text.setManaged(false);
        text.setOpacity(look.opacity());
        text.setMouseTransparent(covers);
        alarm.getStyleClass().add(Styles.OLD_NUMBER);
        alarm.setManaged(false);
        alarm.setMouseTransparent(true);
        alarm.setVisible(false);
        ground = look.hasGround() || covers ? Optional.of(ground(look)) : Optional.empty();
        turn.setAngle(look.turn());
        if (look.turn() == 0) return;
        text.getTransforms().add(turn);
        ground.ifPresent(its -> its.getTransforms().add(turn));
    }

    private static Rectangle ground(MarkLook look) {
        Rectangle ground = new Rectangle();
        ground.setFill(Color.WHITE);
        ground.setOpacity(look.opacity());
        ground.setManaged(false);
        ground.setMouseTransparent(true);
        if (look.ground() == Ground.FRAME) ground.setStroke(Color.BLACK);
        return ground;
    }

    Placed placed() {
        return placed;
    }

    Text text() {
        return text;
    }

    /** Frames it, or not. */
    void alarm(boolean on) {
        alarm.setVisible(on);
    }

    /** {@return what it is made of, from below} */
    List<Node> nodes() {
        List<Node> nodes = new ArrayList<>(ground.stream().toList());
        nodes.add(text);
        nodes.add(alarm);
        return nodes;
    }

    /**
     * Puts it where it stands.
     *
     * @param left   of the page
     * @param bottom of the page
     * @param scale  pixels to a point
     */
    void layout(double left, double bottom, double scale) {
        Box box = placed.box();
        turn.setPivotX(left + (box.left() + box.width() / 2) * scale);
        turn.setPivotY(bottom - (box.bottom() + box.height() / 2) * scale);
        Box whole = box.grown(placed.reachPt());
        ground.ifPresent(its -> {
            its.setX(left + whole.left() * scale);
            its.setY(bottom - whole.top() * scale);
            its.setWidth(whole.width() * scale);
            its.setHeight(whole.height() * scale);
            its.setStrokeWidth(FRAME_PT * scale);
        });
        Box ink = placed.wholePt();
        alarm.setX(left + ink.left() * scale - ALARM);
        alarm.setY(bottom - ink.top() * scale - ALARM);
        alarm.setWidth(ink.width() * scale + 2 * ALARM);
        alarm.setHeight(ink.height() * scale + 2 * ALARM);
        if (placed.mark().covers().isPresent()) return;
        Font font = MarkFonts.font(placed.mark().look().face(), placed.sizePt() * scale);
        text.setFont(font);
        // The style sheet has a say in fonts too, whenever a page is marked another way.
        text.setStyle(MarkFonts.style(font));
        text.setX(left + box.left() * scale);
        text.setY(bottom - box.bottom() * scale);
    }
}
