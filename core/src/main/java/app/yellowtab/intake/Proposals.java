package app.yellowtab.intake;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.facts.Length;
import app.yellowtab.facts.Origin;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.inspect.Inspection;
import app.yellowtab.inspect.Inspection.FirstLine;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.words.LetterDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Proposes a title and a date, and says where they come from. The file's name goes first, since somebody chose it; a mail's
 * header tells its subject and day; a name that a camera or a scanner gave says nothing, and then the first page is asked.
 *
 * @param title     never blank
 * @param dateFrom  where the date comes from; no matter where none is proposed
 */
record Proposals(String title, Origin titleFrom, DocumentDate date, Origin dateFrom) {
    /** Names that devices and programs give of themselves. */
    private static final Pattern SAYS_NOTHING = Pattern.compile(
            "(?i)(scan|img|image|photo|dsc|dscn|pict?|doc|document|file|untitled|unbenannt|new|print|fax|page|attachment|"
                    + "forwarded message|without a name|output|copy|microsoft word)?"
                    + "[\\s_\\-.()#]*[\\dT:_\\-.\\s()x]*");
    private static final Pattern PROGRAM_TITLE = Pattern.compile(
            "(?i)(microsoft (word|excel|powerpoint)|untitled|document\\s*\\d*|slide\\s*\\d*|powerpoint presentation|[^ "
                    + "]+\\.(docx?|xlsx?|pptx?|rtf|odt|pdf|indd|qxd))( - .*)?.*");
    private static final Pattern REPLY = Pattern.compile("(?i)^((re|fwd?|aw|wg)\\s*:\\s*)+");
    private static final int LONGEST_TITLE = 120;
    /** Of 100; below it lines are often misread. */
    private static final int LEAST_CERTAINTY = 75;

    /** {@return the proposals for a mail} */
    static Proposals ofMail(String fileName, Mail mail, boolean monthFirst) {
        NameReading name = NameReading.ofFile(fileName, monthFirst);
        boolean named = !SAYS_NOTHING.matcher(name.title()).matches();
        String subject = mail.subject().strip();
        String title = subject.isEmpty() ? name.title() : "E-mail: "
                + REPLY.matcher(subject).replaceFirst(m -> m.group().toLowerCase(Locale.ROOT).startsWith("f") ? "Fwd: " : "Re: ");
        boolean own = !subject.isEmpty();
        DocumentDate date = mail.sent().<DocumentDate>map(DocumentDate.Day::new).orElse(name.date());
        if (!own && named)
            return new Proposals(name.title(), Origin.FILE_NAME, date, mail.sent().isPresent() ? Origin.MAIL : Origin.FILE_NAME);
        return new Proposals(shortened(title), own ? Origin.MAIL : Origin.FILE_NAME, date,
                mail.sent().isPresent() ? Origin.MAIL : Origin.FILE_NAME);
    }

    /** {@return the proposals for a file whose pages are known} */
    static Proposals of(String fileName, Inspection inspection, boolean monthFirst) {
        NameReading name = NameReading.ofFile(fileName, monthFirst);
        String title = name.title();
        Origin titleFrom = Origin.FILE_NAME;
        if (SAYS_NOTHING.matcher(title).matches()) {
            Optional<String> heading = heading(inspection.firstPage());
            String stated = inspection.properties().title();
            if (!stated.isBlank() && !PROGRAM_TITLE.matcher(stated).matches()) {
                title = stated;
                titleFrom = Origin.PROPERTIES;
            } else if (heading.isPresent()) {
                title = heading.get();
                titleFrom = Origin.FIRST_PAGE;
            }
        }
        if (name.date() != DocumentDate.NOT_GIVEN)
            return new Proposals(shortened(title), titleFrom, name.date(), Origin.FILE_NAME);
        Optional<DocumentDate> date = LetterDate.of(
                inspection.firstPage().stream().map(line -> new LetterDate.Line(line.text(), line.heightShare())).toList(),
                monthFirst);
        return new Proposals(shortened(title), titleFrom, date.orElse(DocumentDate.NOT_GIVEN),
                date.isPresent() ? Origin.FIRST_PAGE : Origin.FILE_NAME);
    }

    /** {@return a scan with what its first page says, where nothing better is known of it} */
    static Source ofRecognised(Source source, RecognisedPage first, boolean monthFirst) {
        double heightMm = source.about().pages().shape(1).orElse(PageShape.A4).seenHeightPt() * Length.MM_PER_PT;
        List<FirstLine> lines = certain(first).stream()
                .map(line -> new FirstLine(line.stream().map(PageText.Word::text).collect(Collectors.joining(" ")),
                        1 - line.getFirst().topMm() / heightMm,
                        line.stream().mapToDouble(PageText.Word::heightMm).max().orElse(0) / Length.MM_PER_PT))
                .toList();
        Source told = source;
        if (source.about().titleFrom() == Origin.FILE_NAME && SAYS_NOTHING.matcher(source.proposedTitle()).matches()) {
            told = heading(lines).map(title -> source.withTitle(shortened(title), Origin.FIRST_PAGE)).orElse(source);
        }
        if (source.proposedDate() != DocumentDate.NOT_GIVEN) return told;
        Source titled = told;
        return LetterDate
                .of(lines.stream().map(line -> new LetterDate.Line(line.text(), line.heightShare())).toList(), monthFirst)
                .map(date -> titled.withDate(date, Origin.FIRST_PAGE)).orElse(titled);
    }

    /** {@return the lines that were read with some certainty: what is proposed must not be made up} */
    private static List<List<PageText.Word>> certain(RecognisedPage page) {
        List<List<PageText.Word>> certain = new ArrayList<>();
        int word = 0;
        for (List<PageText.Word> line : page.text().lines()) {
            int sum = 0;
            for (int i = 0; i < line.size(); i++) sum += page.certainties().get(word++);
            if (sum >= LEAST_CERTAINTY * line.size()) certain.add(line);
        }
        return certain;
    }

    /** {@return the largest line in the upper half that reads like a title, and the line below it if that goes on} */
    private static Optional<String> heading(List<FirstLine> lines) {
        List<FirstLine> upper = lines.stream()
                .filter(line -> line.heightShare() > 0.4 && line.text().codePoints().filter(Character::isLetter).count() >= 4
                        && line.text().length() <= LONGEST_TITLE)
                .toList();
        double usual = lines.stream().mapToDouble(FirstLine::sizePt).sorted().skip(lines.size() / 2).findFirst().orElse(0);
        return upper.stream().filter(line -> line.sizePt() > usual * 1.12).max(Comparator.comparingDouble(FirstLine::sizePt))
                .map(FirstLine::text);
    }

    private static String shortened(String title) {
        String one = title.replaceAll("[\\s\\p{Cntrl}]+", " ").strip();
        if (one.isEmpty()) return "Untitled";
        return one.length() <= LONGEST_TITLE ? one : one.substring(0, LONGEST_TITLE).replaceFirst("\\s+\\S*$", "") + " …";
    }
}
