package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.files.NaturalOrder;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamesTests {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            3 Lease.pdf                                   | Lease               |
            03. Lease 2031-03-04.pdf                      | Lease               | 4 Mar 2031
            2031-03-04 Lease.pdf                          | Lease               | 4 Mar 2031
            2031-03-04 03 Lease.pdf                       | Lease               | 4 Mar 2031
            12 - 2031-03-04 - Lease.pdf                   | Lease               | 4 Mar 2031
            Letter to store 4 March 2031.docx             | Letter to store     | 4 Mar 2031
            Letter to store (4 March 2031).pdf            | Letter to store     | 4 Mar 2031
            4 March 2031 - Letter to store.pdf            | Letter to store     | 4 Mar 2031
            20310304_Letter_to_store.pdf                  | Letter to store     | 4 Mar 2031
            Minutes March 2031.txt                        | Minutes             | March 2031
            Log, 5 to 13 October 2030.txt                 | Log                 | 5–13 Oct 2030
            0412-Weighbridge.tif                          | Weighbridge         |
            2031 correspondence.pdf                       | 2031 correspondence |
            3rd statement.pdf                             | 3rd statement       |
            Exhibit OF1.pdf                               | Exhibit OF1         |
            Photograph 1 of 3.jpg                         | Photograph 1 of 3   |
            1 of 3 photographs.jpg                        | 1 of 3 photographs  |
            v2.0 draft.pdf                                | v2.0 draft          |
            2031-03-04.pdf                                | 2031-03-04          | 4 Mar 2031
            7.pdf                                         | 7                   |
            Smith v. Jones                                | Smith v. Jones      |
            """)
    void fileNamesGiveTitleAndDate(String fileName, String title, String date) {
        NameReading reading = NameReading.ofFile(fileName);
        assertThat(reading.title()).isEqualTo(title);
        assertThat(reading.date().shown()).isEqualTo(date == null ? "" : date);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            B - Witness statements  | Witness statements
            B. Witness statements   | Witness statements
            b) Witness statements   | Witness statements
            2 Witness statements    | Witness statements
            02_Witness_statements   | Witness statements
            1. A - Statements       | Statements
            A case of apples        | A case of apples
            Witness statements      | Witness statements
            B                       | B
            2030 invoices           | 2030 invoices
            """)
    void folderNamesGiveSectionTitles(String folder, String title) {
        assertThat(NameReading.sectionTitle(folder)).isEqualTo(title);
    }

    @Test
    void naturalOrderCountsAndIgnoresCase() {
        List<String> names = new ArrayList<>(List.of("10 b", "2 b", "02 a", "Beta", "alpha", "1.10", "1.9", "Exhibit 3",
                "exhibit 12", "99999999999999999999 x"));
        names.sort(new NaturalOrder());
        assertThat(names).containsExactly("1.9", "1.10", "02 a", "2 b", "10 b", "99999999999999999999 x", "alpha", "Beta",
                "Exhibit 3", "exhibit 12");
    }
}
