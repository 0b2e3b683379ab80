package app.yellowtab.json;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.number.Series;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Numbers as older versions have saved them. */
class OlderNumbersTests {
    private static Numbering read(String numbering) {
        ObjectNode root = BundleJson.write(Bundle.EMPTY, Map.of());
        root.set("numbering", BundleJson.MAPPER.readTree(numbering));
        return BundleJson.read(root, key -> BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN)).numbering();
    }

    @Test
    void placeLookAndPagesAreFoundWhereTheyStoodBesideEachOther() {
        Numbering numbering = read("""
                {"bundle": {"spot": {"row": "head", "column": "middle", "across": 0, "down": 12}, \
                "look": {"face": "sans_bold", "sizePt": 13, "ground": true}, "onCover": false},
                 "series": [{"id": "bates", "style": "figures", "first": "TH-000101", \
                 "spot": {"row": "foot", "column": "left", "across": 10, "down": 10}, \
                 "look": {"face": "sans", "sizePt": 10},
                             "entries": ["a"], "sources": []}],
                 "moves": [], "given": [], "served": []}""");
        BundleNumber number = numbering.bundle();
        assertThat(number.setting().spot()).isEqualTo(new Spot(Spot.Row.HEAD, Spot.Column.MIDDLE, 0, 12));
        assertThat(number.setting().look().ground()).isEqualTo(Ground.WHITE);
        assertThat(number.setting().look().sizePt()).isEqualTo(13);
        assertThat(number.setting().pages().not()).containsExactly(PageKind.COVER);
        assertThat(number.style()).isEqualTo(NumberStyle.FIGURES);
        assertThat(number.start()).isEqualTo(1);
        Series series = numbering.series().getFirst();
        assertThat(series.setting().spot()).isEqualTo(Spot.OPPOSITE);
        assertThat(series.setting().look().ground()).isEqualTo(Ground.NONE);
        assertThat(series.setting().pages().entries()).containsExactly(new EntryId("a"));
    }

    @Test
    void whereNothingWasSaidOfThemTheyAreAsUsual() {
        assertThat(read("{\"series\": [], \"moves\": [], \"given\": [], \"served\": []}")).isEqualTo(Numbering.NONE);
    }
}
