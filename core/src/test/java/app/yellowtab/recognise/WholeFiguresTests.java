package app.yellowtab.recognise;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Words are 20 pixels high here, and letters 10 wide. */
class WholeFiguresTests {
    private static List<String> whole(int room, String... words) {
        List<ReadWord> line = new ArrayList<>();
        int left = 0;
        for (String word : words) {
            line.add(new ReadWord(0, word, left, 0, 10 * word.length(), 20, 90));
            left += 10 * word.length() + room;
        }
        return WholeFigures.in(line).stream().map(ReadWord::text).toList();
    }

    @Test
    void figuresPartedAtTheirPointAreWhole() {
        assertThat(whole(8, "£4,582.", "20")).containsExactly("£4,582.20");
        assertThat(whole(8, "£946", ".28", "due")).containsExactly("£946.28", "due");
        assertThat(whole(8, "1.", "234,", "5")).containsExactly("1.234,5");
    }

    @Test
    void whatStandsApartStaysApart() {
        assertThat(whole(20, "clause", "4.", "20", "bins")).as("as wide as a space").containsExactly("clause", "4.", "20",
                "bins");
        assertThat(whole(8, "end.", "20")).containsExactly("end.", "20");
        assertThat(whole(8, "20", "bins")).containsExactly("20", "bins");
    }

    @Test
    void aFigureIsAsUncertainAsItsWorsePart() {
        List<ReadWord> read =
                WholeFigures.in(List.of(new ReadWord(0, "4.", 0, 2, 20, 18, 91), new ReadWord(0, "20", 25, 0, 20, 20, 40)));
        assertThat(read).containsExactly(new ReadWord(0, "4.20", 0, 0, 45, 20, 40));
        assertThat(WholeFigures.in(List.of(new ReadWord(0, "4.", 0, 2, 20, 18, 91), new ReadWord(1, "20", 25, 0, 20, 20, 40))))
                .as("of two lines").hasSize(2);
    }
}
