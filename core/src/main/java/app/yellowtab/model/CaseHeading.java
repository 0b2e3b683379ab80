package app.yellowtab.model;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What every bundle says at its head; it feeds cover, index, file names and document properties.
 * Any part may be empty, and what is empty is not printed.
 *
 * @param court       the court, as the heading names it
 * @param caseNumber  the claim or case number
 * @param parties     in the order of the heading
 * @param title       the title of the bundle, such as "Trial bundle"
 * @param hearing     the day of the hearing, if it is known
 * @param preparedBy  the person or firm that made the bundle
 */
public record CaseHeading(String court, String caseNumber, List<Party> parties, String title,
        Optional<LocalDate> hearing, String preparedBy) {
    /** The heading of a bundle of which nothing is known yet. */
    public static final CaseHeading EMPTY = new CaseHeading("", "", List.of(), "", Optional.empty(), "");

    public CaseHeading {
        parties = List.copyOf(parties);
    }

    public CaseHeading withTitle(String newTitle) {
        return new CaseHeading(court, caseNumber, parties, newTitle, hearing, preparedBy);
    }

    /** {@return the first two parties as one line, "A v B"; empty when there is none} */
    public String shortName() {
        return String.join(" v ", parties.stream().limit(2).map(Party::name).toList());
    }

    /** {@return what a table of the bundle is called, such as "Orchards v Stores · Trial bundle · Index"} */
    public String titled(String what) {
        return Stream.of(shortName(), title, what).filter(part -> !part.isBlank()).collect(Collectors.joining(" · "));
    }
}
