package app.yellowtab.register;

import app.yellowtab.files.CsvLine;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.GivenNumber.Half;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.io.File;
import java.io.IOException;
import java.io.StringReader;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Which Bates numbers all bundles of a matter have given, and to which pages, in a file of separated values that each of them
 * names. No number is given to two pages. Nothing that was entered is ever taken out; what is taken back is entered again, with
 * the day. Several programs may write to it at once, each in its turn.
 */
public final class MatterRegister {
    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setIgnoreEmptyLines(true).get();
    private static final String FROM = "From";
    private static final String TO = "To";
    private static final String BUNDLE = "Bundle";
    private static final String ISSUED = "Issued";
    private static final String SERIES = "Series";
    private static final String BUNDLE_ID = "Bundle id";
    private static final String SOURCE = "Source";
    private static final String PAGES = "Pages";
    private static final String PAGE = "Page";
    private static final String HALF = "Half";
    private static final String TAKEN_BACK = "Taken back";
    /** No file has more; a register may hold anything. */
    private static final int MOST_PAGES = 200_000;
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    /** A lock on a file is for the whole program: within it one waits here. */
    private static final Object TURN = new Object();

    private MatterRegister() {}

    /**
     * Numbers that one bundle has given, one after the other.
     *
     * @param from   the first of them
     * @param to     the last of them
     * @param bundle its title
     * @param issued when they were given
     * @param series what tells the series of the bundle from all others
     * @param pages  the pages that bear them; empty in registers of older versions
     * @param takenBack when they were taken back; empty where this says that they were given
     */
    public record Span(SerialNumber from, SerialNumber to, String bundle, LocalDate issued, String series,
            Optional<NumberedPages> pages, Optional<LocalDate> takenBack) {
        /** {@return whether another holds some of the same numbers} */
        boolean meets(Span other) {
            return from.isLike(other.from) && from.value() <= other.to.value() && other.from.value() <= to.value();
        }

        /** {@return whether the numbers that both hold are on the same pages} */
        boolean agrees(Span other) {
            if (pages.isEmpty() || other.pages.isEmpty()) return series.equals(other.series);
            NumberedPages mine = pages.get();
            NumberedPages its = other.pages.get();
            return mine.pagesKey().equals(its.pagesKey()) && mine.half() == its.half()
                    && mine.page() - from.value() == its.page() - other.from.value();
        }

        boolean holds(Span other) {
            return from.isLike(other.from) && from.value() <= other.from.value() && other.to.value() <= to.value();
        }

        /** {@return such as "TH-000101 to TH-000180"} */
        public String shown() {
            return from.shown() + " to " + to.shown();
        }
    }

    /**
     * Pages that bear numbers, one after the other.
     *
     * @param bundleId which bundle gave them
     * @param source   the file, as that bundle names it
     * @param pagesKey which reading of it, as every bundle understands it
     * @param page     the first of them, counted from 1
     */
    public record NumberedPages(String bundleId, SourceId source, String pagesKey, int page, Half half) {}

    /**
     * {@return numbers that are to be entered, in spans} What is no number in figures is left out.
     *
     * @param bundleId which bundle gives them
     * @param title    its title
     */
    public static List<Span> spans(List<GivenNumber> numbers, String bundleId, String title, LocalDate today) {
        List<Span> spans = new ArrayList<>();
        record Numbered(SerialNumber number, GivenNumber given) {}
        List<Numbered> all = numbers.stream()
                .flatMap(given -> SerialNumber.read(given.number()).map(number -> new Numbered(number, given)).stream())
                .sorted(Comparator.<Numbered, String>comparing(one -> one.given().source().value())
                        .thenComparing(one -> one.given().pagesKey()).thenComparing(one -> one.given().half())
                        .thenComparingLong(one -> one.number().value()))
                .toList();
        for (Numbered one : all) {
            GivenNumber given = one.given();
            Span span = new Span(one.number(), one.number(), title, today, given.series().value(), Optional.of(new NumberedPages(
                    bundleId, given.source(), given.pagesKey(), given.page(), given.half())), Optional.empty());
            boolean goesOn = !spans.isEmpty() && given.half() == Half.WHOLE && spans.getLast().to().isLike(one.number())
                    && spans.getLast().to().value() + 1 == one.number().value()
                    && spans.getLast().series().equals(span.series()) && spans.getLast().agrees(span);
            if (!goesOn) {
                spans.add(span);
                continue;
            }
            Span before = spans.removeLast();
            spans.add(new Span(before.from(), one.number(), title, today, before.series(), before.pages(), Optional.empty()));
        }
        return spans;
    }

    /** {@return the register that a bundle names; empty where it names none} */
    public static Optional<Path> of(Bundle bundle, Path folder) {
        String named = bundle.numbering().register();
        return named.isEmpty() ? Optional.empty()
                : Optional.of(folder.resolve(named.replace('/', File.separatorChar)).normalize());
    }

    /** {@return how a bundle in a folder names a register: from there on where it can be, so that both may be moved together} */
    public static String named(Path register, Path folder) {
        try {
            return folder.toAbsolutePath().normalize().relativize(register.toAbsolutePath().normalize()).toString()
                    .replace(File.separatorChar, '/');
        } catch (IllegalArgumentException otherDrive) {
            return register.toAbsolutePath().toString();
        }
    }

    /**
     * Makes a register in which nothing is entered, where there is no such file yet.
     *
     * @throws FindingException if it cannot be written
     */
    public static void begin(Path file) throws FindingException {
        inTurn(file, () -> {
            if (!Files.exists(file)) write(file, List.of());
        });
    }

    /**
     * {@return what a register holds}
     *
     * @throws FindingException if it is not there, cannot be read or is none
     */
    public static List<Span> read(Path file) throws FindingException {
        if (!Files.exists(file)) throw new FindingException(Finding.of(Code.REGISTER_NOT_READ, file, "it is not there"), null);
        try {
            return parse(Files.readString(file), file);
        } catch (IOException unreadable) {
            throw new FindingException(Finding.of(Code.REGISTER_NOT_READ, file, String.valueOf(unreadable.getMessage())),
                    unreadable);
        }
    }

    private static List<Span> parse(String text, Path file) throws FindingException {
        List<Span> spans = new ArrayList<>();
        String plain = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), FORMAT)) {
            for (CSVRecord row : parser) spans.add(span(row));
        } catch (IOException | IllegalArgumentException | DateTimeParseException wrong) {
            throw new FindingException(
                    Finding.of(Code.REGISTER_NOT_READ, file, "it is no register of numbers: " + wrong.getMessage()), wrong);
        }
        return spans;
    }

    private static Span span(CSVRecord row) {
        SerialNumber from = SerialNumber.read(row.get(FROM))
                .orElseThrow(() -> new IllegalArgumentException("line " + row.getRecordNumber() + " begins with no number"));
        SerialNumber to = SerialNumber.read(row.get(TO))
                .orElseThrow(() -> new IllegalArgumentException("line " + row.getRecordNumber() + " ends with no number"));
        return new Span(from, to, row.get(BUNDLE), LocalDate.parse(row.get(ISSUED)), row.get(SERIES), pages(row),
                takenBack(row));
    }

    private static Optional<NumberedPages> pages(CSVRecord row) {
        if (!row.isSet(PAGES) || row.get(PAGES).isEmpty()) return Optional.empty();
        return Optional.of(new NumberedPages(row.get(BUNDLE_ID), new SourceId(row.get(SOURCE)), row.get(PAGES),
                Integer.parseInt(row.get(PAGE)), Half.valueOf(row.get(HALF).toUpperCase(Locale.ROOT))));
    }

    /** Registers of older versions do not have it. */
    private static Optional<LocalDate> takenBack(CSVRecord row) {
        if (!row.isSet(TAKEN_BACK) || row.get(TAKEN_BACK).isEmpty()) return Optional.empty();
        return Optional.of(LocalDate.parse(row.get(TAKEN_BACK)));
    }

    /**
     * {@return the number that follows the last one which any bundle has given, written like another; empty where none like it
     * was given}
     */
    public static Optional<SerialNumber> next(List<Span> spans, SerialNumber like) {
        return spans.stream().filter(span -> span.from().isLike(like)).mapToLong(span -> span.to().value()).max().stream()
                .mapToObj(last -> new SerialNumber(like.prefix(), last + 1, like.digits(), like.suffix())).findFirst();
    }

    /**
     * {@return numbers that a bundle has entered and does not know of, since it was not saved any more then}
     *
     * @param bundleId which bundle it is
     */
    public static List<GivenNumber> forgotten(List<Span> spans, Bundle bundle, String bundleId) {
        Set<GivenNumber> known = new HashSet<>(bundle.numbering().given());
        known.addAll(bundle.numbering().takenBack());
        known.addAll(numbers(spans, true, bundle, bundleId));
        return numbers(spans, false, bundle, bundleId).stream().filter(given -> !known.contains(given)).toList();
    }

    /**
     * {@return numbers that a bundle has entered as taken back and still holds for given, since it was not saved any more then}
     *
     * @param bundleId which bundle it is
     */
    public static List<GivenNumber> takenBack(List<Span> spans, Bundle bundle, String bundleId) {
        Set<GivenNumber> given = new HashSet<>(bundle.numbering().given());
        return numbers(spans, true, bundle, bundleId).stream().filter(given::contains).toList();
    }

    /** {@return what a bundle has entered of pages and series that it has} */
    private static List<GivenNumber> numbers(List<Span> spans, boolean takenBack, Bundle bundle, String bundleId) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        List<GivenNumber> numbers = new ArrayList<>();
        for (Span span : spans) {
            Optional<NumberedPages> pages = span.pages().filter(its -> its.bundleId().equals(bundleId));
            Source source = pages.map(its -> sources.get(its.source())).orElse(null);
            SeriesId series = new SeriesId(span.series());
            if (span.takenBack().isPresent() != takenBack || source == null
                    || bundle.numbering().series().stream().noneMatch(one -> one.id().equals(series)))
                continue;
            long count = Math.min(MOST_PAGES, span.to().value() - span.from().value() + 1);
            for (int n = 0; n < count; n++) numbers.add(new GivenNumber(series, source.id(), pages.get().pagesKey(),
                    pages.get().page() + n, pages.get().half(), span.from().plus(n).shown()));
        }
        return numbers;
    }

    /**
     * Enters numbers that a bundle gives; those that stand there for the same pages are not entered again.
     *
     * @throws FindingException if other pages bear some of them, or the register is not there, or cannot be read or written;
     *         nothing is entered then
     */
    public static void enter(Path file, List<Span> mine) throws FindingException {
        inTurn(file, () -> {
            List<Span> entered = new ArrayList<>(read(file));
            List<Span> spans = List.copyOf(entered);
            for (Span span : mine) {
                List<Span> met = spans.stream().filter(span::meets).toList();
                Optional<Span> other = met.stream().filter(its -> isTaken(its, span, mine)).findFirst();
                if (other.isPresent()) throw new FindingException(
                        new Finding(Code.NUMBERS_TAKEN, new Subject.OfThing(other.get().shown()), other.get().bundle()), null);
                if (met.stream().noneMatch(its -> its.takenBack().isEmpty() && its.holds(span) && its.agrees(span)))
                    entered.add(span);
            }
            write(file, entered);
        });
    }

    /**
     * Enters that a bundle takes numbers back; they stay used.
     *
     * @throws FindingException if the register is not there, or cannot be read or written
     */
    public static void takeBack(Path file, List<Span> mine, LocalDate today) throws FindingException {
        inTurn(file, () -> {
            List<Span> entered = new ArrayList<>(read(file));
            for (Span span : mine) {
                List<Span> known = entered.stream().filter(its -> its.holds(span) && its.agrees(span)).toList();
                LocalDate issued = known.stream().map(Span::issued).findFirst().orElse(span.issued());
                if (known.stream().noneMatch(its -> its.takenBack().isPresent())) entered.add(new Span(span.from(), span.to(),
                        span.bundle(), issued, span.series(), span.pages(), Optional.of(today)));
            }
            write(file, entered);
        });
    }

    /**
     * {@return whether others bear numbers of a span} Not where a bundle knows of those pages itself: a better copy of a page
     * has its number too.
     */
    private static boolean isTaken(Span other, Span span, List<Span> mine) {
        if (other.agrees(span)) return false;
        for (long n = Math.max(other.from().value(), span.from().value()); n <= Math.min(other.to().value(),
                span.to().value()); n++) {
            long number = n;
            boolean known = mine.stream().anyMatch(own -> own.from().isLike(other.from()) && own.from().value() <= number
                    && number <= own.to().value() && own.agrees(other));
            if (!known) return true;
        }
        return false;
    }

    private static void write(Path file, List<Span> spans) throws IOException {
        StringBuilder text = new StringBuilder().append(BYTE_ORDER_MARK)
                .append(CsvLine.of(FROM, TO, BUNDLE, ISSUED, SERIES, BUNDLE_ID, SOURCE, PAGES, PAGE, HALF, TAKEN_BACK));
        for (Span span : spans) {
            Optional<NumberedPages> pages = span.pages();
            text.append(CsvLine.of(span.from().shown(), span.to().shown(), span.bundle(), span.issued(), span.series(),
                    pages.map(NumberedPages::bundleId).orElse(""), pages.map(its -> its.source().value()).orElse(""),
                    pages.map(NumberedPages::pagesKey).orElse(""), pages.map(its -> String.valueOf(its.page())).orElse(""),
                    pages.map(its -> its.half().name().toLowerCase(Locale.ROOT)).orElse(""),
                    span.takenBack().map(LocalDate::toString).orElse("")));
        }
        Drafts.write(file, text.toString().getBytes(StandardCharsets.UTF_8));
    }

    /** Something that is done to a register by one at a time. */
    @FunctionalInterface
    private interface Turn {
        void take() throws IOException;
    }

    private static void inTurn(Path file, Turn turn) throws FindingException {
        // It stays: where it were deleted, one program would hold the old one and another a new one of the same name.
        Path lock = file.toAbsolutePath().resolveSibling(".yellowtab-" + file.getFileName() + ".lock");
        synchronized (TURN) {
            try (FileChannel channel = FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
                // Held until the channel is closed.
                channel.lock();
                turn.take();
            } catch (FindingException known) {
                throw known;
            } catch (IOException | RuntimeException e) {
                boolean full = e instanceof IOException io && DiskFull.is(io, file);
                throw new FindingException(
                        new Finding(full ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(file, 0),
                                String.valueOf(e.getMessage())),
                        e);
            }
        }
    }
}
