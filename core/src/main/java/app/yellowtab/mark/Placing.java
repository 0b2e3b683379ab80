package app.yellowtab.mark;

import app.yellowtab.pdf.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds the places of the marks on a page, within what is seen of it. On very small pages all shrink to fit; on very large ones
 * they grow, so that they can still be read when the page is brought to A4. Numbers are set whole; lines give way to them and to
 * each other.
 */
public final class Placing {
    /** Of our typefaces, in em. */
    private static final float HEIGHT_OF_FIGURES = 0.67f;
    /** What is smaller on A4 is not read; chosen by us. */
    private static final float LEAST_READ_PT = 8;
    /** Lines are set no smaller than this, but cut. */
    private static final float LEAST_LINE_PT = 6;
    /** Between marks beside each other. */
    private static final float GAP_PT = 8;
    /** A line with less room than this is not squeezed into it; it is found as a clash. */
    private static final float LEAST_ROOM_PT = 28;
    private static final int COLUMNS = 3;
    private static final String ELLIPSIS = "…";

    private final float wide;
    private final float high;
    /** How much smaller the page becomes when it is brought to A4. */
    private final float larger;
    private final List<Placed> placed = new ArrayList<>();

    private Placing(float wide, float high) {
        this.wide = wide;
        this.high = high;
        this.larger = Math.max(1, Math.max(Math.min(wide, high) / Units.A4_WIDTH_PT, Math.max(wide, high) / Units.A4_HEIGHT_PT));
    }

    /**
     * {@return the places of marks, in their order}
     *
     * @param pageWidthPt  what is seen of the page, in points
     * @param pageHeightPt what is seen of the page, in points
     */
    public static List<Placed> of(List<Mark> marks, float pageWidthPt, float pageHeightPt) {
        Placing placing = new Placing(pageWidthPt, pageHeightPt);
        if (marks.stream().noneMatch(Mark::line)) return marks.stream().map(placing::whole).toList();
        List<Optional<Placed>> places = new ArrayList<>();
        for (Mark mark : marks) places.add(mark.line() ? Optional.empty() : Optional.of(placing.whole(mark)));
        places.forEach(known -> known.filter(its -> its.mark().covers().isEmpty()).ifPresent(placing.placed::add));
        List<Placed> lines = marks.stream().filter(Mark::line).map(placing::whole).toList();
        List<Placed> all = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++)
            all.add(places.get(i).isPresent() ? places.get(i).get() : placing.line(marks.get(i), lines));
        return all;
    }

    /** {@return the place of one mark alone} */
    public static Placed of(Mark mark, float pageWidthPt, float pageHeightPt) {
        return of(List.of(mark), pageWidthPt, pageHeightPt).getFirst();
    }

    /** {@return the size of a mark on the page, before it is fitted into it} */
    private float size(Mark mark) {
        return Math.max(mark.look().sizePt(), Math.min(mark.look().sizePt(), LEAST_READ_PT) * larger);
    }

    private float inward(double mm) {
        return Math.min(Units.mm((float) mm), Math.min(wide, high) / 8);
    }

    private Placed whole(Mark mark) {
        if (mark.covers().isPresent()) return new Placed(mark, mark.covers().get(), 0, false);
        float across = inward(mark.spot().across());
        float down = inward(mark.spot().down());
        double turn = Math.toRadians(mark.look().turn());
        float perPoint = mark.look().face().width(mark.words(), 1);
        float acrossPerPoint = (float) (perPoint * Math.abs(Math.cos(turn)) + HEIGHT_OF_FIGURES * Math.abs(Math.sin(turn)));
        float upPerPoint = (float) (perPoint * Math.abs(Math.sin(turn)) + HEIGHT_OF_FIGURES * Math.abs(Math.cos(turn)));
        float most = mark.look().turn() == 0 ? high / 3 : (high - 2 * down) / upPerPoint;
        return at(mark, Math.min(size(mark), Math.min((wide - 2 * across) / acrossPerPoint, most)), false);
    }

    /** Puts words of a size where their spot is. */
    private Placed at(Mark mark, float size, boolean cut) {
        float across = inward(mark.spot().across());
        float down = inward(mark.spot().down());
        float width = mark.look().face().width(mark.words(), 1) * size;
        float height = HEIGHT_OF_FIGURES * size;
        double turn = Math.toRadians(mark.look().turn());
        float seenWidth =
                mark.look().turn() == 0 ? width : (float) (width * Math.abs(Math.cos(turn)) + height * Math.abs(Math.sin(turn)));
        float seenHeight =
                mark.look().turn() == 0 ? height : (float) (width * Math.abs(Math.sin(turn)) + height * Math.abs(Math.cos(turn)));
        float x = switch (mark.spot().column()) {
            case LEFT -> across;
            case MIDDLE -> (wide - seenWidth) / 2;
            case RIGHT -> wide - across - seenWidth;
        };
        float y = switch (mark.spot().row()) {
            case HEAD -> high - down - seenHeight;
            case MIDDLE -> (high - seenHeight) / 2;
            case FOOT -> down;
        };
        return new Placed(mark, new Box(rounded(x + (seenWidth - width) / 2), rounded(y + (seenHeight - height) / 2),
                rounded(width), rounded(height)), rounded(size), cut);
    }

    /** Sets a line smaller, and cuts it, where others stand beside it. */
    private Placed line(Mark mark, List<Placed> lines) {
        Placed wished = whole(mark);
        float room = Math.min(roomBeside(wished), roomAmong(wished, lines));
        boolean fits = wished.box().width() <= room && wished.sizePt() >= Math.min(size(mark), LEAST_LINE_PT * larger);
        if (mark.look().turn() != 0 || fits) return wished;
        float least = Math.min(size(mark), LEAST_LINE_PT * larger);
        float perPoint = mark.look().face().width(mark.words(), 1);
        float size = Math.max(least, Math.min(size(mark), room / perPoint));
        if (perPoint * size <= room + 0.01f) return at(mark, size, false);
        return at(mark.withWords(cut(mark, size, room)), size, true);
    }

    /** {@return how wide a line may be so as not to reach the numbers that stand at its height} */
    private float roomBeside(Placed wished) {
        float across = inward(wished.mark().spot().across());
        float left = across;
        float right = wide - across;
        float middle = wide / 2;
        for (Placed other : placed) {
            Box box = other.wholePt();
            if (box.bottom() >= wished.box().top() || box.top() <= wished.box().bottom()) continue;
            float centre = box.left() + box.width() / 2;
            boolean isBehind = switch (wished.mark().spot().column()) {
                case LEFT -> true;
                case MIDDLE -> centre > middle;
                case RIGHT -> false;
            };
            if (isBehind) right = Math.min(right, box.left() - GAP_PT);
            else left = Math.max(left, box.right() + GAP_PT);
        }
        float room =
                wished.mark().spot().column() == Spot.Column.MIDDLE ? 2 * Math.min(middle - left, right - middle) : right - left;
        return room < LEAST_ROOM_PT ? wide - 2 * across : room;
    }

    /**
     * {@return how wide a line may be among the other lines at its height: as wide as it is if none of them meets it, its share
     * if one does}
     */
    private float roomAmong(Placed wished, List<Placed> lines) {
        List<Placed> beside = lines.stream()
                .filter(other -> other.mark() != wished.mark() && other.mark().spot().column() != wished.mark().spot().column()
                        && other.box().bottom() < wished.box().top() && wished.box().bottom() < other.box().top())
                .toList();
        float all = wide - 2 * inward(wished.mark().spot().across());
        if (beside.stream().noneMatch(other -> other.box().grown(GAP_PT / 2).meets(wished.box().grown(GAP_PT / 2)))) return all;
        boolean inMiddle = wished.mark().spot().column() == Spot.Column.MIDDLE
                || beside.stream().anyMatch(other -> other.mark().spot().column() == Spot.Column.MIDDLE);
        int shares = inMiddle ? COLUMNS : 2;
        return all / shares - GAP_PT;
    }

    private static String cut(Mark mark, float size, float room) {
        String words = mark.words();
        int end = words.length();
        while (end > 0 && mark.look().face().width(words.substring(0, end).stripTrailing() + " " + ELLIPSIS, size) > room) {
            int space = words.lastIndexOf(' ', end - 1);
            end = space > 0 ? space : end - 1;
        }
        String kept = words.substring(0, end).stripTrailing();
        return kept.isEmpty() ? ELLIPSIS : kept + " " + ELLIPSIS;
    }

    /** Four places behind the point are far finer than any printer. */
    private static float rounded(float value) {
        return Math.round(value * 1e4) / 1e4f;
    }
}
