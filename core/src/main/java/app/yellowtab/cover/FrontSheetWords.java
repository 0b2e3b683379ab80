package app.yellowtab.cover;

import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.contents.Document;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the sheet before an exhibit says, from what the index knows. */
public final class FrontSheetWords {
    private FrontSheetWords() {}

    /** {@return the case, line by line} */
    public static List<String> above(CaseHeading heading) {
        List<String> lines = new ArrayList<>();
        if (!heading.court().isBlank()) lines.add(heading.court());
        if (!heading.caseNumber().isBlank()) lines.add("Case no. " + heading.caseNumber());
        if (!heading.shortName().isEmpty()) lines.add(heading.shortName());
        return lines;
    }

    /** {@return whose exhibit it is, line by line} */
    public static List<String> below(Document exhibit, String mark, Optional<Document> owner) {
        List<String> lines = new ArrayList<>();
        if (!exhibit.title().replaceFirst("^Exhibit\\s+", "").equals(mark)) lines.add(exhibit.title());
        if (!exhibit.date().shown().isEmpty()) lines.add(exhibit.date().shown());
        owner.ifPresent(
                statement -> lines.add("This is the exhibit marked " + mark + " that is referred to in: " + statement.title()
                        + (statement.date().shown().isEmpty() ? "" : ", " + statement.date().shown())));
        return lines;
    }
}
