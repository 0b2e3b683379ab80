package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SeriesId;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cover, index, title page of section A, and its document "a" of three pages: leaves 0 to 5. */
class LineWordsTests {
    private static final LocalDateTime PRODUCED = LocalDateTime.of(2031, 3, 4, 9, 5);
    private static final Bundle START =
            bundle(section("A", document("a", 3))).withHeading(new CaseHeading("County Court at Aldermere", "AL-2031-00417",
                    List.of(new Party("Tarn Hollow Orchards Ltd", "Claimant"),
                            new Party("Brightwick Cold Stores Ltd", "Defendant")),
                    "Trial bundle", Optional.empty(), "Ashgrove & Pike"));

    private static String line(String typed, int leaf) {
        RunningLine line =
                new RunningLine(new SeriesId("line"), new MarkSetting(Spot.LINE, MarkLook.LINE), LineEdits.read(typed));
        Plan plan = Planner.plan(NumberEdits.with(START, line), PRODUCED);
        return plan.marksOn(plan.leaf(leaf)).stream().filter(Mark::line).map(Mark::words).findFirst().orElse("");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '"', value = {"{title}, {case number}; 0; Trial bundle, AL-2031-00417",
            "{parties}; 0; Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd", "Page {page} of {pages}; 4; Page 5 of 6",
            "{section}; 4; A. A", "{section}; 0; \"\"", "Tab {tab}: {document}; 5; Tab 1: a", "Tab {tab}; 1; \"\"",
            "{document page}/{document pages}; 5; 3/3", "{file}; 3; a.pdf",
            "{court} {prepared by}; 2; County Court at Aldermere Ashgrove & Pike",
            "{date}; 3; 4 March 2031", "{date:dd/MM/yy HH:mm}; 3; 04/03/31 09:05", "Without prejudice; 1; Without prejudice"})
    void aLineSaysWhatIsPutIn(String typed, int leaf, String words) {
        assertThat(line(typed, leaf)).isEqualTo(words);
    }

    @Test
    void anUnknownFieldAndAFormThatIsNoneAreRefused() {
        assertThatThrownBy(() -> LineEdits.read("{moon}")).hasMessageContaining("{moon}").hasMessageContaining("{page}");
        assertThatThrownBy(() -> LineEdits.read("{date:bbb}")).hasMessageContaining("\"bbb\" is no form of a date");
    }

    @Test
    void partsArePutInMovedAndTakenOutWhole() {
        LinePart page = LinePart.Field.of(LineField.PAGE);
        LinePart title = LinePart.Field.of(LineField.BUNDLE_TITLE);
        List<LinePart> parts = LineEdits.inserted(List.of(new LinePart.Typed("Page , file")), 0, 5, page);
        assertThat(parts).containsExactly(new LinePart.Typed("Page "), page, new LinePart.Typed(", file"));
        parts = LineEdits.inserted(parts, 3, 0, title);
        assertThat(LineEdits.moved(parts, 3, 0)).containsExactly(title, new LinePart.Typed("Page "), page,
                new LinePart.Typed(", file"));
        assertThat(LineEdits.without(parts, 1)).as("words beside each other become one")
                .containsExactly(new LinePart.Typed("Page , file"), title);
        assertThat(LineEdits.changed(parts, 0, Optional.empty())).containsExactly(page, new LinePart.Typed(", file"), title);
    }
}
