package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.facts.Origin;
import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.Properties;
import app.yellowtab.inspect.Inspection;
import app.yellowtab.inspect.Inspection.FirstLine;
import app.yellowtab.model.entry.DateReader;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Titles and dates that are proposed, and where they come from. */
class ProposalsTests {
    private static Inspection page(String title, FirstLine... lines) {
        return new Inspection(1, List.of(), PageFacts.UNKNOWN, List.of(lines), new Properties(title, Optional.empty()),
                PageSet.NONE, PageSet.NONE);
    }

    private static FirstLine line(double height, String text) {
        return new FirstLine(text, height, 11);
    }

    private static Proposals of(String name, FirstLine... lines) {
        return Proposals.of(name, page("", lines), false);
    }

    @Test
    void aNameThatSomebodyChoseGoesFirst() {
        Proposals proposed = of("3 Defence 2031-04-02.pdf", new FirstLine("Something else", 0.9, 20));
        assertThat(proposed.title()).isEqualTo("Defence");
        assertThat(proposed.date().shown()).isEqualTo("2 Apr 2031");
        assertThat(proposed.titleFrom()).isEqualTo(Origin.FILE_NAME);
        assertThat(proposed.dateFrom()).isEqualTo(Origin.FILE_NAME);
    }

    @ParameterizedTest
    @ValueSource(strings = {"scan0412.pdf", "IMG_20310612.jpg", "Document (2).docx", "untitled.pdf", "20310612_101500.pdf",
            "DSC_0042.jpg", "attachment.pdf"})
    void aNameThatADeviceGaveSaysNothing(String name) {
        Proposals proposed = of(name, line(0.95, "Reedmoor & Vale"), new FirstLine("Witness statement of Orla Fennick", 0.8, 16),
                line(0.6, "I say as follows"));
        assertThat(proposed.title()).isEqualTo("Witness statement of Orla Fennick");
        assertThat(proposed.titleFrom()).isEqualTo(Origin.FIRST_PAGE);
    }

    @Test
    void propertiesHelpWhereTheNameSaysNothing() {
        assertThat(Proposals.of("scan.pdf", page("Store agreement"), false))
                .matches(p -> p.title().equals("Store agreement") && p.titleFrom() == Origin.PROPERTIES);
        assertThat(Proposals.of("scan.pdf", page("Microsoft Word - lease.doc"), false).titleFrom()).isEqualTo(Origin.FILE_NAME);
    }

    @Test
    void theDateOfALettersHeadIsItsDate() {
        Proposals letter = of("Letter.pdf", line(0.93, "Tarn Hollow Farm"), line(0.9, "9 June 2031"),
                line(0.7, "Your letter of 2 May 2031 has come to hand, and we have read it with care and attention."));
        assertThat(letter.date().shown()).isEqualTo("9 Jun 2031");
        assertThat(letter.dateFrom()).isEqualTo(Origin.FIRST_PAGE);
    }

    @Test
    void aDayThatIsMerelySpokenOfIsNotTheDate() {
        assertThat(of("Letter.pdf",
                line(0.4, "The cooling of chamber 3 failed on 6 October 2030 and was not mended before the twelfth.")).date()
                .shown()).isEmpty();
        assertThat(
                of("Statement.pdf", line(0.9, "I was there on 6 October 2030"), line(0.2, "Dated 17 June 2031")).date().shown())
                .isEqualTo("17 Jun 2031");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            4/3/2031 | 4 Mar 2031 | 3 Apr 2031
            13/3/2031 | 13 Mar 2031 |
            2031-03-04 | 4 Mar 2031 | 4 Mar 2031
            4 March 2031 | 4 Mar 2031 | 4 Mar 2031
            """)
    void theOrderOfDayAndMonthIsChosenOnce(String text, String dayFirst, String monthFirst) {
        assertThat(DateReader.read(text, false).orElseThrow().shown()).isEqualTo(dayFirst);
        assertThat(DateReader.read(text, true).map(date -> date.shown()).orElse(null)).isEqualTo(monthFirst);
    }

    @ParameterizedTest
    @ValueSource(strings = {"4th March 2031", "4th of March 2031", "4th day of March 2031", "March 4, 2031", "4.3.2031",
            "Mar 4th, 2031", "04 MAR 2031"})
    void datesAreReadInAllUsualForms(String text) {
        assertThat(DateReader.read(text).orElseThrow().shown()).isEqualTo("4 Mar 2031");
        assertThat(of("Letter.pdf", line(0.9, "Dated " + text)).date().shown()).isEqualTo("4 Mar 2031");
    }

    private static Mail mail(String subject, boolean dated) {
        return new Mail(subject, dated ? Optional.of(LocalDate.of(2031, 9, 3)) : Optional.empty(), Map.of(), "", false, Map.of(),
                List.of());
    }

    @Test
    void aMailIsNamedAndDatedByItsHeader() {
        Proposals proposed = Proposals.ofMail("RE_ RE_ Fan.eml", mail("RE: Re: Fan motor", true), false);
        assertThat(proposed.title()).isEqualTo("E-mail: Re: Fan motor");
        assertThat(proposed.date().shown()).isEqualTo("3 Sep 2031");
        assertThat(List.of(proposed.titleFrom(), proposed.dateFrom())).containsExactly(Origin.MAIL, Origin.MAIL);
        assertThat(Proposals.ofMail("x.eml", mail("FW: Fan", true), false).title()).isEqualTo("E-mail: Fwd: Fan");
    }

    @Test
    void aMailWithoutSubjectKeepsItsFilesName() {
        Proposals proposed = Proposals.ofMail("To the insurer 2031-08-14.eml", mail("", false), false);
        assertThat(proposed.title()).isEqualTo("To the insurer");
        assertThat(proposed.date().shown()).isEqualTo("14 Aug 2031");
    }
}
