package app.yellowtab.model.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DateReaderTests {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            2031-03-04                     | 4 Mar 2031
            2031_03_04                     | 4 Mar 2031
            20310304                       | 4 Mar 2031
            4 March 2031                   | 4 Mar 2031
            4th March 2031                 | 4 Mar 2031
            04 mar. 2031                   | 4 Mar 2031
            March 4, 2031                  | 4 Mar 2031
            04/03/2031                     | 4 Mar 2031
            4.3.2031                       | 4 Mar 2031
            1 Sept 2030                    | 1 Sep 2030
            March 2031                     | March 2031
            2031-03                        | March 2031
            Undated                        | undated
            1 to 14 October 2031           | 1–14 Oct 2031
            1 – 14 October 2031            | 1–14 Oct 2031
            28 September to 3 October 2031 | 28 Sep – 3 Oct 2031
            30 December 2030 to 2 January 2031 | 30 Dec 2030 – 2 Jan 2031
            2031-03-04 – 2031-06-09        | 4 Mar – 9 Jun 2031
            """)
    void readsDatesAsPeopleTypeThem(String typed, String shown) {
        assertThat(DateReader.read(typed).map(DocumentDate::shown)).contains(shown);
    }

    @ParameterizedTest
    @ValueSource(strings = {"32 March 2031", "30 February 2031", "soon", "13/13/2031", "4 Smarch 2031", "14 to 1 October 2031",
            "2031"})
    void refusesWhatIsNoDate(String typed) {
        assertThat(DateReader.read(typed)).isEmpty();
    }

    @Test
    void blankMeansNotGiven() {
        assertThat(DateReader.read("  ")).contains(DocumentDate.NOT_GIVEN);
        assertThat(DocumentDate.NOT_GIVEN.shown()).isEmpty();
    }

    @Test
    void whatIsShownCanBeTypedAgain() {
        for (String typed : new String[] {"4 March 2031", "March 2031", "undated", "1 to 14 October 2031",
                "28 September to 3 October 2031"}) {
            DocumentDate date = DateReader.read(typed).orElseThrow();
            assertThat(DateReader.read(date.shown())).contains(date);
        }
    }

    @Test
    void readsTheSameInTurkish() {
        Locale before = Locale.getDefault();
        Locale.setDefault(Locale.of("tr", "TR"));
        try {
            assertThat(DateReader.read("4 APRIL 2031").map(DocumentDate::shown)).contains("4 Apr 2031");
        } finally {
            Locale.setDefault(before);
        }
    }
}
