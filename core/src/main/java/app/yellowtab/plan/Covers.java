package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.mark.Box;
import app.yellowtab.mark.Mark;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Numbers that the pages of files carried before: what is covered with white of them, and those that pages are found by.
 *
 * @param areas  what is covered, by file, then by page, as the page came
 * @param theirs numbers of the other side, by their words in lower case, with the file and the page that carries each
 */
record Covers(Map<SourceId, Map<Integer, List<Area>>> areas, Map<String, Carrier> theirs, Map<SourceId, Source> sources) {
    static final Covers NONE = new Covers(Map.of(), Map.of(), Map.of());

    /** A page of a file. */
    record Carrier(SourceId source, int page) {}

    static Covers of(List<OldNumbers> old, Map<SourceId, Source> sources) {
        Map<SourceId, Map<Integer, List<Area>>> areas = new HashMap<>();
        Map<String, Carrier> theirs = new HashMap<>();
        Map<SourceId, Source> own = new HashMap<>();
        for (OldNumbers numbers : old) {
            Source source = sources.get(numbers.source());
            if (numbers.handling() == Handling.IDENTITY) for (OldNumbers.Place place : numbers.places())
                theirs.putIfAbsent(place.words().toLowerCase(Locale.ROOT), new Carrier(numbers.source(), place.page()));
            if (numbers.handling() != Handling.COVERED || source == null) continue;
            own.put(source.id(), source);
            for (OldNumbers.Place place : numbers.places()) areas.computeIfAbsent(source.id(), id -> new HashMap<>())
                    .computeIfAbsent(place.page(), page -> new ArrayList<>()).add(place.area());
        }
        return areas.isEmpty() && theirs.isEmpty() ? NONE : new Covers(areas, theirs, own);
    }

    List<Mark> on(Content.SourcePage page) {
        List<Area> own = areas.getOrDefault(page.source(), Map.of()).getOrDefault(page.page(), List.of());
        if (own.isEmpty()) return List.of();
        return sources.get(page.source()).about().pages().shape(page.page()).map(shape -> {
            LookedPage looked = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), page.look());
            List<Mark> covers = new ArrayList<>();
            for (Area area : own) {
                Rectangle2D box = looked.matrix().createTransformedShape(LookedPage.asCame(area, shape.seenHeightPt()))
                        .getBounds2D().createIntersection(looked.shown());
                if (box.getWidth() > 0 && box.getHeight() > 0) covers.add(Mark
                        .cover(new Box((float) box.getX(), (float) box.getY(), (float) box.getWidth(), (float) box.getHeight())));
            }
            return covers;
        }).orElse(List.of());
    }
}
