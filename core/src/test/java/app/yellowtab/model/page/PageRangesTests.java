package app.yellowtab.model.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PageRangesTests {
    @Test
    void whatIsTypedIsRead() {
        assertThat(PageRanges.read(" 9-12,13–29 , 40-, 5", 44).ranges()).containsExactly(new PageRanges.Range(9, 12),
                new PageRanges.Range(13, 29), new PageRanges.Range(40, 44), new PageRanges.Range(5, 5));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            ~~          | 0 | a page, such as 5
            ~1, ~       | 3 | a page, such as 5
            ~1, two~    | 3 | a page or a stretch of pages, such as 5 or 9-12
            ~1-2-3~     | 0 | a page or a stretch of pages, such as 5 or 9-12
            ~3, 0~      | 3 | a page from 1 to 44
            ~45~        | 0 | a page from 1 to 44
            ~4 - 45~    | 4 | a page up to 44
            ~9-5~       | 2 | a page from 9 on
            ~1-99999999999999~ | 2 | a page up to 44
            """)
    void aMistakeIsShownAtItsPlaceWithWhatWasExpected(String typed, int at, String expected) {
        assertThat(PageRanges.read(typed, 44).mistake()).contains(new PageRanges.Mistake(at, expected));
    }
}
