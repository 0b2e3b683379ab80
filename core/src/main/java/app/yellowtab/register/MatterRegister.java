package app.yellowtab.register;

import app.yellowtab.files.CsvLine;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import app.yellowtab.model.number.SerialNumber;
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
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Which Bates numbers all bundles of a matter have given, in a file of separated values that each of them names. No number is
 * given twice. Several programs may write to it at once, each in its turn.
 */
public final class MatterRegister {
    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setIgnoreEmptyLines(true).get();
    private static final String FROM = "From";
    private static final String TO = "To";
    private static final String BUNDLE = "Bundle";
    private static final String ISSUED = "Issued";
    private static final String SERIES = "Series";
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    /** A lock on a file is for the whole program: within it one waits here. */
    private static final Object TURN = new Object();

    private MatterRegister() {}

    /**
     * Numbers that one bundle has given.
     *
     * @param from   the first of them
     * @param to     the last of them
     * @param bundle its title
     * @param issued when they were given last
     * @param series what tells the series of the bundle from all others
     */
    public record Span(SerialNumber from, SerialNumber to, String bundle, LocalDate issued, String series) {
        /** {@return whether another holds some of the same numbers} */
        boolean meets(Span other) {
            return from.isLike(other.from) && from.value() <= other.to.value() && other.from.value() <= to.value();
        }

        /** {@return such as "TH-000101 to TH-000180"} */
        public String shown() {
            return from.shown() + " to " + to.shown();
        }
    }

    /**
     * {@return what a register holds; nothing where there is no such file yet}
     *
     * @throws FindingException if it cannot be read or is none
     */
    public static List<Span> read(Path file) throws FindingException {
        if (!Files.exists(file)) return List.of();
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
        return new Span(from, to, row.get(BUNDLE), LocalDate.parse(row.get(ISSUED)), row.get(SERIES));
    }

    /**
     * {@return the number that follows the last one which any bundle has given, written like another; empty where none like it
     * was given}
     */
    public static Optional<SerialNumber> next(List<Span> spans, SerialNumber like) {
        return spans.stream().filter(span -> span.from().isLike(like)).mapToLong(span -> span.to().value()).max().stream()
                .mapToObj(last -> new SerialNumber(like.prefix(), last + 1, like.digits(), like.suffix())).findFirst();
    }

    /** {@return the numbers of another bundle that hold some of those of one; empty where they are free} */
    public static Optional<Span> taken(List<Span> spans, Span mine) {
        return spans.stream().filter(span -> !span.series().equals(mine.series()) && span.meets(mine)).findFirst();
    }

    /**
     * Enters numbers that a bundle gives, in the place of what it has entered before.
     *
     * @throws FindingException if another bundle has given some of them, or the register cannot be read or written; nothing is
     *         entered then
     */
    public static void enter(Path file, Span mine) throws FindingException {
        // It stays: where it were deleted, one program would hold the old one and another a new one of the same name.
        Path lock = file.toAbsolutePath().resolveSibling(".yellowtab-" + file.getFileName() + ".lock");
        synchronized (TURN) {
            enter(file, lock, mine);
        }
    }

    private static void enter(Path file, Path lock, Span mine) throws FindingException {
        try (FileChannel channel = FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Held until the channel is closed.
            channel.lock();
            List<Span> spans = new ArrayList<>(read(file));
            Optional<Span> other = taken(spans, mine);
            if (other.isPresent()) throw new FindingException(
                    new Finding(Code.NUMBERS_TAKEN, new Subject.OfThing(other.get().shown()), other.get().bundle()), null);
            spans.removeIf(span -> span.series().equals(mine.series()));
            spans.add(mine);
            StringBuilder text = new StringBuilder().append(BYTE_ORDER_MARK).append(CsvLine.of(FROM, TO, BUNDLE, ISSUED, SERIES));
            for (Span span : spans)
                text.append(CsvLine.of(span.from().shown(), span.to().shown(), span.bundle(), span.issued(), span.series()));
            Drafts.write(file, text.toString().getBytes(StandardCharsets.UTF_8));
        } catch (FindingException known) {
            throw known;
        } catch (IOException | RuntimeException e) {
            throw new FindingException(
                    new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(file, 0), String.valueOf(e.getMessage())), e);
        }
    }
}
