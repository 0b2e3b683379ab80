package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.LetterDate;
import app.yellowtab.words.PrintedPage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds pages that look like the first of a document, by what stands on them and on the page before. Each sign has a weight,
 * chosen by hand: the sum is what is bet for it or against it, so that 0 is even, and each 1 counts as much as the one before.
 */
final class FirstPages {
    private static final Pattern SALUTATION = Pattern.compile("(?i)^(dear\\s+\\S.{0,40}|to whom it may concern)[,:]?$");
    private static final Pattern MAIL_FIELD =
            Pattern.compile("(?i)^(from|sent|date|to|cc|subject|von|gesendet|an|betreff)\\s?:.*");
    private static final Pattern QUOTED =
            Pattern.compile("(?i)\\W*\\w?\\W*([o0]riginal message|forwarded message|on .{6,60} wrote:?)\\W*");
    private static final Pattern NOTE_FIELD =
            Pattern.compile("(?i)^(date|present|attending|to|from|matter|subject|re|our ref|your ref|ref)\\s?[:.].*");
    private static final Pattern COURT =
            Pattern.compile("(?i)^in the .{0,40}\\bcourt\\b.*|.*\\b(claim|case)\\s+(no|number)\\b.*");
    private static final Pattern BILL = Pattern.compile(
            "(?i)(.*\\b(invoice|account|bill|receipt|credit note)\\s*(no|number|date)\\b.*|\\W*(invoice|bill|receipt|credit "
                    + "note)\\W*)");
    private static final Pattern CARRIED = Pattern.compile("(?i)\\W*(carried|brought) (forward|over)\\b.*");
    private static final Pattern GREETING = Pattern
            .compile("^(?:(?i:hi|hello|good (?:morning|afternoon))\\s)?\\p{Lu}\\p{Ll}+(?: \\p{Lu}\\p{Ll}+)?\\s?[,:–—-](\\s.*|$)");
    private static final Pattern CHAPTER = Pattern.compile("^(\\d{1,2}(?:\\.\\d{1,2})*|[A-Z])[.)]?\\s+\\p{Lu}.*");
    private static final Pattern KIND = Pattern.compile(
            "(?i).*\\b(witness statement of|statement of|report of|attendance note|note "
                    + "of|memorandum|minutes|certificate|notice of|application for|request "
                    + "for|agreement|invoice|report|order)\\b.*");
    private static final Pattern END = Pattern.compile(
            "(?i)^(yours (faithfully|sincerely|truly)|(with )?(kind |best )?(regards|wishes)|signed\\b.*|i believe that the "
                    + "facts.*|.*\\btotal due\\b.*|.*\\bdue within\\b.*|thanks)[,.]?.*");
    private static final Pattern NUMBERED = Pattern.compile("^\\(?(?<n>\\d{1,3})[.)]\\s.*");
    private static final Pattern SHEET_NUMBER =
            Pattern.compile("(?i)[\\s\\-–—|]*(?:(?:page|sheet|p)\\.?\\s*)?\\d{1,4}(?:\\s*(?:of|/)\\s*\\d{1,4})?\\W*$");
    private static final Pattern LEADING_NUMBER = Pattern.compile("^\\W*(\\d{1,4}|[ivxlc]{1,6})\\s+");
    private static final double HEAD = 0.45;
    private static final double TOP = 0.17;
    /** A heading's letters are larger than what is usual on the page by so much. */
    private static final double LARGER = 1.18;
    /** Letters, or margins, that differ by so much are another hand's. */
    private static final double OTHER_LETTERS = 0.13;
    private static final double OTHER_MARGIN_MM = 4;
    /** A page whose last line stands higher is the end of something; one whose last line stands lower is full. */
    private static final double SHORT = 0.62;
    private static final double FULL = 0.8;
    private static final double SAME_MM = 3;
    /** What is bet before anything is seen: most pages go on. */
    private static final double USUAL = -2.2;
    private static final int LONGEST_FIELD = 90;
    private static final int LONGEST_HEADING = 70;
    private static final int FEW_LINES = 3;

    private final BatchPage page;
    private final List<PageText.Line> lines;
    private final Optional<BatchPage> before;
    private final List<PageText.Line> linesBefore;
    /** What runs along the heads of the pages of one document says nothing of a new one. */
    private final Set<PageText.Line> running = new HashSet<>();
    private final List<String> reasons = new ArrayList<>();
    private double sum = USUAL;

    private FirstPages(BatchPage page, Optional<BatchPage> before) {
        this.page = page;
        this.lines = page.text().textLines();
        this.before = before;
        this.linesBefore = before.map(its -> its.text().textLines()).orElse(List.of());
    }

    /**
     * How much a page looks like a first one.
     *
     * @param percent from 0 to 100
     * @param reasons in words, the weightiest first
     */
    record Look(int percent, List<String> reasons) {
        String words() {
            return (reasons.isEmpty() ? "it is" : String.join(", ", reasons) + ":") + " like a first page, sure to " + percent
                    + " %";
        }
    }

    /** {@return how each page of a batch looks; blank sheets and pages without words look like nothing} */
    static List<Look> of(List<BatchPage> pages) {
        List<Look> looks = new ArrayList<>();
        Optional<BatchPage> before = Optional.empty();
        for (BatchPage page : pages) {
            boolean empty = page.isBlank() || page.text().isEmpty();
            looks.add(empty ? new Look(0, List.of()) : new FirstPages(page, before).look());
            if (!page.isBlank()) before = Optional.of(page);
        }
        return looks;
    }

    private Look look() {
        runningHeads();
        numbering();
        head();
        words();
        otherHand();
        goesOn();
        endedBefore();
        return new Look((int) Math.round(100 / (1 + Math.exp(-sum))), reasons);
    }

    private void weigh(double weight, String words) {
        sum += weight;
        if (weight > 0) reasons.add(words);
    }

    private void numbering() {
        Optional<PrintedPage> now = PrintedPage.of(page);
        Optional<PrintedPage> last = before.flatMap(PrintedPage::of);
        if (now.isPresent() && now.get().number() == 1) weigh(2.5, "“" + now.get().words() + "”");
        if (now.isPresent() && now.get().number() > 1)
            weigh(last.isPresent() && now.get().number() == last.get().number() + 1 ? -4 : -2, "");
        if (last.isPresent() && last.get().of() > 0)
            weigh(last.get().number() == last.get().of() ? 1.5 : -2.5, "the numbering before ends");
    }

    private void runningHeads() {
        boolean other = false;
        for (PageText.Line line : lines.subList(0, Math.min(FEW_LINES, lines.size()))) {
            if (top(page, line) > TOP || line.text().length() > LONGEST_HEADING) continue;
            List<String> its = words(line.text());
            boolean again =
                    its.size() > 1 && linesBefore.stream().limit(FEW_LINES).anyMatch(before -> words(before.text()).equals(its));
            // On its second page, what was the title of the first.
            boolean said = its.size() > 2 && linesBefore.size() > 1 && saidBefore().containsAll(its);
            if (again || said) running.add(line);
            else if (linesBefore.stream().limit(FEW_LINES).anyMatch(before -> isOther(words(before.text()), its))) other = true;
        }
        if (!running.isEmpty() && !other) weigh(-2.2, "");
        if (other) weigh(0.8, "another date or number at its head");
    }

    private Set<String> saidBefore() {
        Set<String> said = new HashSet<>();
        linesBefore.stream().limit(2 * FEW_LINES).forEach(line -> said.addAll(words(line.text())));
        return said;
    }

    /** {@return the words of a line, without the number of a page at either end} */
    private static List<String> words(String line) {
        List<String> words = new ArrayList<>();
        for (String word : LEADING_NUMBER.matcher(SHEET_NUMBER.matcher(line).replaceFirst("")).replaceFirst("")
                .toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{Nd}]+"))
            if (!word.isEmpty()) words.add(word);
        return words;
    }

    /** {@return whether two lines have the same words, but for their figures} */
    private static boolean isOther(List<String> one, List<String> other) {
        boolean words = false;
        for (int i = 0; i < one.size() && one.size() == other.size(); i++) {
            boolean figures = Character.isDigit(one.get(i).charAt(0)) && Character.isDigit(other.get(i).charAt(0));
            if (!figures && !one.get(i).equals(other.get(i))) return false;
            words |= !figures;
        }
        return words && one.size() == other.size() && !one.equals(other);
    }

    private void head() {
        double usual = usualHeight(page);
        Optional<PageText.Line> heading = lines.stream().filter(line -> top(page, line) < TOP * 1.6
                && line.text().length() <= LONGEST_HEADING && height(page, line) > LARGER * usual).findFirst();
        if (lines.stream().limit(6).anyMatch(line -> CARRIED.matcher(line.text()).matches())) weigh(-2.5, "");
        if (heading.isEmpty() || running.contains(heading.get())) return;
        Matcher chapter = CHAPTER.matcher(heading.get().text());
        if (chapter.matches() && !chapter.group(1).equals("1")) weigh(-1.2, "");
        else weigh(1.8, before.isPresent() && linesBefore.stream().anyMatch(line -> top(before.get(), line) < TOP)
                ? "new letterhead or heading" : "letterhead or heading");
    }

    private void words() {
        List<PageText.Line> lines = this.lines.stream().filter(line -> !running.contains(line)).toList();
        boolean salutation = any(SALUTATION.asMatchPredicate(), HEAD + 0.1);
        boolean date = lines.stream()
                .anyMatch(line -> top(page, line) < HEAD && line.text().length() < LONGEST_HEADING && isDate(line.text()));
        if (salutation && date) weigh(4, "date and salutation");
        else if (salutation) weigh(3, "salutation");
        else if (date) weigh(1.2, "date");
        long fields = lines.stream().limit(7)
                .filter(line -> line.text().length() <= LONGEST_FIELD && MAIL_FIELD.matcher(line.text()).matches()).count();
        // A head further down, or behind such a line, is of what is answered to.
        boolean quoted = lines.stream().limit(FEW_LINES).anyMatch(line -> QUOTED.matcher(line.text()).matches());
        boolean atOnce = !quoted && lines.stream().limit(2).anyMatch(line -> MAIL_FIELD.matcher(line.text()).matches())
                && lines.getFirst().text().length() < LONGEST_HEADING;
        if (!salutation && lines.stream().limit(1)
                .anyMatch(line -> line.text().length() < LONGEST_HEADING && GREETING.matcher(line.text()).matches()))
            weigh(1.6, "greeting");
        if (fields >= 3) weigh(atOnce ? 3.4 : -1, "head of an e-mail");
        else if (lines.stream().limit(9)
                .filter(line -> line.text().length() <= LONGEST_FIELD && NOTE_FIELD.matcher(line.text()).matches()).count() >= 2)
            weigh(2, "lines that say to whom and about what");
        if (any(COURT.asMatchPredicate(), 0.25)) weigh(2.5, "heading of a case");
        boolean bill = lines.stream().anyMatch(
                line -> top(page, line) < 0.35 && line.text().length() < LONGEST_HEADING && BILL.matcher(line.text()).matches());
        if (bill && date) weigh(1, "number and date of an invoice");
        Optional<String> kind = lines.stream().filter(line -> top(page, line) < HEAD && line.text().length() < LONGEST_HEADING
                && KIND.matcher(line.text()).matches() && isHeading(line)).map(PageText.Line::text).findFirst();
        if (kind.isPresent() && linesBefore.stream().limit(FEW_LINES).noneMatch(line -> line.text().equalsIgnoreCase(kind.get())))
            weigh(2, "“" + kind.get() + "”");
    }

    private static boolean isDate(String text) {
        return LetterDate.of(List.of(new LetterDate.Line(text, 1)), false).isPresent();
    }

    private boolean isHeading(PageText.Line line) {
        return height(page, line) > LARGER * usualHeight(page) || line.text().equals(line.text().toUpperCase(Locale.ROOT));
    }

    private boolean any(Predicate<String> test, double above) {
        return lines.stream().anyMatch(line -> top(page, line) < above && test.test(line.text().strip()));
    }

    private void otherHand() {
        if (before.isEmpty()) return;
        BatchPage last = before.get();
        if (Math.abs(last.widthMm() - page.widthMm()) > SAME_MM || Math.abs(last.heightMm() - page.heightMm()) > SAME_MM)
            weigh(1, "another size of paper");
        double now = usualHeight(page);
        double then = usualHeight(last);
        if (lines.size() < FEW_LINES || linesBefore.size() < FEW_LINES || now == 0 || then == 0) return;
        boolean other = Math.abs(now - then) > OTHER_LETTERS * then
                || Math.abs(margin(page, lines) - margin(last, linesBefore)) > OTHER_MARGIN_MM;
        weigh(other ? 1 : -0.4, "other letters or margins than before");
    }

    /** What begins in the middle of a sentence, or of a list, goes on. */
    private void goesOn() {
        Optional<PageText.Line> body = lines.stream().filter(line -> line.text().length() > 25).findFirst();
        if (body.isEmpty()) return;
        String text = body.get().text();
        if (Character.isLowerCase(text.codePointAt(0))) weigh(-2, "");
        int number = numbered(text);
        if (number > 1) weigh(top(page, body.get()) < HEAD ? -1.8 : 0, "");
        int last = linesBefore.stream().mapToInt(line -> numbered(line.text())).max().orElse(0);
        int first = lines.stream().mapToInt(line -> numbered(line.text())).filter(n -> n > 0).findFirst().orElse(0);
        if (first > 1 && first == last + 1) weigh(-2.5, "");
        if (first == 1 && last > 1) weigh(1.3, "a list begins anew");
    }

    private static int numbered(String text) {
        Matcher matcher = NUMBERED.matcher(text);
        return matcher.matches() ? Integer.parseInt(matcher.group("n")) : 0;
    }

    private void endedBefore() {
        if (before.isEmpty() || linesBefore.isEmpty()) return;
        int from = Math.max(0, linesBefore.size() - 6);
        boolean ended = linesBefore.subList(from, linesBefore.size()).stream()
                .anyMatch(line -> line.text().length() < LONGEST_HEADING && END.matcher(line.text().strip()).matches());
        if (ended) weigh(1.7, "the page before ends as documents do");
        List<PageText.Line> body = linesBefore.stream().filter(line -> top(before.get(), line) < 0.93).toList();
        double end = body.stream().mapToDouble(line -> top(before.get(), line)).max().orElse(1);
        if (end < SHORT) weigh(1.2, "the page before is not full");
        else if (end > FULL && !ended) weigh(-1, "");
    }

    private static double top(BatchPage page, PageText.Line line) {
        return page.text().topMm(line) / page.heightMm();
    }

    /** {@return how high the words of lines mostly are, in millimetres} */
    private static double usualHeight(BatchPage page) {
        double[] heights = page.text().textLines().stream().mapToDouble(line -> height(page, line)).sorted().toArray();
        return heights.length == 0 ? 0 : heights[heights.length / 2];
    }

    /** {@return how high the words of a line are, in the mean: in a picture it depends on the letters of each} */
    private static double height(BatchPage page, PageText.Line line) {
        float[] sides = page.text().sides();
        int words = 1 + (int) line.text().chars().filter(letter -> letter == ' ').count();
        double sum = 0;
        for (int word = line.firstWord(); word < line.firstWord() + words; word++) sum += sides[word * 4 + 3];
        return sum / words;
    }

    private static double margin(BatchPage page, List<PageText.Line> lines) {
        float[] sides = page.text().sides();
        return lines.stream().mapToDouble(line -> sides[line.firstWord() * 4]).sorted().skip(lines.size() / 4).findFirst()
                .orElse(0);
    }
}
