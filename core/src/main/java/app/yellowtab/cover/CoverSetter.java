package app.yellowtab.cover;

import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Sets the cover: on one page, with its title in the middle, where that has room; otherwise it flows on over as many as it takes.
 */
public final class CoverSetter {
    /** How wide its lines may be. */
    public static final float MEASURE = Units.mm(150);
    private static final float TOP = Units.A4_HEIGHT_PT - Units.mm(40);
    private static final float BOTTOM = Units.mm(34);
    private static final float TITLE_AT_MOST = Units.A4_HEIGHT_PT * 0.46f;
    private static final float LEADING = 1.3f;

    private static final float VOLUME_PT = 15;

    private final CaseHeading heading;
    private final Optional<String> volume;
    private final boolean flows;
    private final List<List<CoverPart>> sheets = new ArrayList<>(List.of(new ArrayList<>()));
    private float y = TOP;
    private float lowest = TOP;

    private CoverSetter(CaseHeading heading, Optional<String> volume, boolean flows) {
        this.heading = heading;
        this.volume = volume;
        this.flows = flows;
    }

    /**
     * {@return the lines of each cover page, at least one page} As many whatever is said of the volume.
     *
     * @param volume which volume it is; without words where it is the only one and might not be; empty where there are none
     */
    public static List<List<CoverPart>> sheets(CaseHeading heading, Optional<String> volume) {
        CoverSetter single = new CoverSetter(heading, volume, false);
        single.set();
        if (single.lowest >= BOTTOM + (heading.preparedBy().isBlank() ? 0 : 18)) return single.result();
        CoverSetter flowing = new CoverSetter(heading, volume, true);
        flowing.set();
        return flowing.result();
    }

    private List<List<CoverPart>> result() {
        return sheets.stream().map(List::copyOf).toList();
    }

    private void set() {
        lines(heading.court(), Typeface.SERIF_BOLD, 13);
        if (!heading.caseNumber().isBlank()) {
            y -= 8;
            line("Case no. " + heading.caseNumber(), Typeface.SERIF, 12, true);
            y -= 20;
        }
        y -= Units.mm(14);
        parties();
        y -= Units.mm(16);
        if (!flows) y = Math.min(y, TITLE_AT_MOST);
        rule(34);
        y -= 4;
        lines(heading.title().isBlank() ? "Bundle" : heading.title(), Typeface.SERIF_BOLD, 26);
        rule(10);
        y -= 24;
        volume.ifPresent(this::volume);
        if (heading.hearing().isPresent())
            lines("Hearing: " + DocumentDate.Formats.full(heading.hearing().get()), Typeface.SERIF, 12);
        lowest = Math.min(lowest, y);
        if (heading.preparedBy().isBlank()) return;
        if (!flows) y = BOTTOM;
        lines("Prepared by " + heading.preparedBy(), Typeface.SERIF_ITALIC, 11);
    }

    /** One line, whatever it says, so that no cover has more pages than another. */
    private void volume(String words) {
        float size = Math.min(VOLUME_PT, VOLUME_PT * MEASURE / Math.max(1, Typeface.SERIF_BOLD.width(words, VOLUME_PT)));
        if (words.isEmpty() && flows && y < BOTTOM) turn();
        if (!words.isEmpty()) line(words, Typeface.SERIF_BOLD, size, false);
        y -= 2 * VOLUME_PT;
    }

    private void parties() {
        List<Party> parties = heading.parties();
        for (int i = 0; i < parties.size(); i++) {
            Party party = parties.get(i);
            if (i > 0 && !party.role().equals(parties.get(i - 1).role())) {
                y -= 6;
                lines("– and –", Typeface.SERIF_ITALIC, 11);
                y -= 6;
            }
            lines(party.name(), Typeface.SERIF_BOLD, 15);
            boolean lastOfItsSide = i == parties.size() - 1 || !party.role().equals(parties.get(i + 1).role());
            if (lastOfItsSide && !party.role().isBlank()) {
                y += 2;
                line(party.role(), Typeface.SERIF_ITALIC, 11, true);
                y -= 18;
            }
        }
    }

    private void lines(String text, Typeface face, float sizePt) {
        if (text.isBlank()) return;
        for (String line : face.wrap(text, sizePt, MEASURE)) {
            line(line, face, sizePt, false);
            y -= sizePt * LEADING;
        }
    }

    private void line(String text, Typeface face, float sizePt, boolean right) {
        if (flows && y < BOTTOM) turn();
        sheets.getLast().add(new CoverPart(text, face, sizePt, right, y));
    }

    private void turn() {
        sheets.add(new ArrayList<>());
        y = TOP;
    }

    private void rule(float above) {
        if (flows && y < BOTTOM) turn();
        sheets.getLast().add(new CoverPart("", Typeface.SERIF, 0, false, y + above));
    }
}
