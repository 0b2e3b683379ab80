package app.yellowtab.stamp;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.FileNames;
import app.yellowtab.files.NaturalOrder;
import app.yellowtab.finding.DiskFull;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.finding.Subject;
import app.yellowtab.inspect.FileEnd;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.mark.Placed;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.SystemFaces;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.GregorianCalendar;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Puts numbers and lines on copies of loose files. A copy is the file itself, byte for byte, with an incremental update behind it
 * (ISO 32000-1:2008, 7.5.6), so that it keeps all that the file has. Stateless.
 */
public final class Stamper {
    private static final String ENDING = ".pdf";
    private static final int HEADER = 5;

    private Stamper() {}

    /**
     * A file that was stamped.
     *
     * @param source as it was
     * @param target the copy
     * @param pages  how many it has
     * @param names  the numbers of its pages, in order; empty words for a page without
     */
    public record Stamped(Path source, Path target, int pages, List<String> names) {
        public Stamped {
            names = List.copyOf(names);
        }
    }

    /**
     * What came of it.
     *
     * @param files    that are whole, in order
     * @param findings what must be known, files that were left out among it
     * @param isWhole  whether that is all; otherwise it was stopped
     */
    public record Outcome(List<Stamped> files, List<Finding> findings, boolean isWhole) {
        public Outcome {
            files = List.copyOf(files);
            findings = List.copyOf(findings);
        }
    }

    /** {@return the PDFs among some files and in some folders, of these in the order of their names, sub-folders included} */
    public static List<Path> pdfs(List<Path> named) throws IOException {
        List<Path> all = new ArrayList<>();
        for (Path one : named) {
            if (!Files.isDirectory(one)) {
                all.add(one);
                continue;
            }
            try (var inside = Files.walk(one)) {
                inside.filter(file -> Files.isRegularFile(file) && file.toString().toLowerCase(Locale.ROOT).endsWith(ENDING)
                        && !Drafts.is(file)).sorted(Comparator.comparing(Path::toString, new NaturalOrder())).forEach(all::add);
            }
        }
        return all;
    }

    /**
     * Stamps files. One that cannot be stamped is left out, takes no numbers, and is named.
     *
     * @param progress counts files
     * @param stop     asked before every file; those that are whole stay
     * @throws FindingException if the folder cannot be written to, or lies where it would write over one of the files
     */
    public static Outcome stamp(StampOrder order, Progress progress, BooleanSupplier stop) throws FindingException {
        try {
            Files.createDirectories(order.folder());
        } catch (IOException e) {
            throw failure(order.folder(), e);
        }
        List<Finding> findings = new ArrayList<>(SystemFaces.missing(order.faces()));
        Map<Path, Integer> pages = new HashMap<>();
        for (Path file : order.files()) pageCount(file, order.passwords(), findings).ifPresent(count -> pages.put(file, count));
        int all = order.files().stream().mapToInt(file -> pages.getOrDefault(file, 0)).sum();
        StampMarks.outgrown(order, order.eachFromStart() ? pages.values().stream().mapToInt(count -> count).max().orElse(0) : all)
                .ifPresent(number -> findings.add(Finding.about(Code.STAMP_DIGITS, number, "")));
        List<Stamped> stamped = new ArrayList<>();
        Set<Path> taken = new HashSet<>();
        int done = 0;
        int n = 0;
        for (Path file : order.files()) {
            if (stop.getAsBoolean()) return new Outcome(stamped, findings, false);
            Integer count = pages.get(file);
            if (count != null) {
                StampMarks marks = new StampMarks(order, String.valueOf(file.getFileName()), count,
                        order.eachFromStart() ? 0 : done, order.eachFromStart() ? count : all);
                Optional<Stamped> one = stamp(file, target(order, file, taken), marks, count, order, findings);
                // "Of 412" counts the files that are stamped, and no other.
                if (one.isEmpty() && !order.eachFromStart()) return without(file, order, findings, progress, stop);
                one.ifPresent(stamped::add);
                done += count;
            }
            progress.report(++n, order.files().size());
        }
        return new Outcome(stamped, findings, true);
    }

    private static Outcome without(Path failed, StampOrder order, List<Finding> findings, Progress progress, BooleanSupplier stop)
            throws FindingException {
        List<Path> left = order.files().stream().filter(file -> !file.equals(failed)).toList();
        Outcome again = stamp(new StampOrder(left, order.folder(), order.before(), order.after(), order.number(), order.series(),
                order.lines(), false, order.produced(), order.passwords()), progress, stop);
        List<Finding> all = new ArrayList<>(
                findings.stream().filter(one -> one.subject().name().equals(String.valueOf(failed.getFileName()))).toList());
        all.addAll(again.findings());
        return new Outcome(again.files(), all, again.isWhole());
    }

    private static Path target(StampOrder order, Path file, Set<Path> taken) throws FindingException {
        String name = String.valueOf(file.getFileName());
        String stem = name.toLowerCase(Locale.ROOT).endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name;
        for (int n = 1;; n++) {
            Path target = order.folder()
                    .resolve(FileNames.safe(order.before() + stem + order.after() + (n == 1 ? "" : " (" + n + ")")) + ENDING);
            if (!taken.add(target)) continue;
            for (Path source : order.files()) if (isSame(source, target))
                throw new FindingException(new Finding(Code.TARGET_IS_SOURCE, Subject.OfProduced.of(target, 0), ""), null);
            return target;
        }
    }

    private static boolean isSame(Path one, Path other) {
        try {
            return Files.exists(other) && Files.isSameFile(one, other);
        } catch (IOException gone) {
            return false;
        }
    }

    /** {@return how many pages a file has; empty, with the reason among the findings, where it cannot be stamped} */
    static Optional<Integer> pageCount(Path file, List<String> passwords, List<Finding> findings) {
        try {
            if (!Files.isReadable(file)) {
                findings.add(Finding.of(Code.NOT_READABLE, file));
                return Optional.empty();
            }
            if (!isPdf(file)) {
                findings.add(Finding.of(Code.STAMP_NO_PDF, file));
                return Optional.empty();
            }
            if (FileEnd.of(file) != FileEnd.WHOLE) {
                findings.add(Finding.of(Code.STAMP_DAMAGED, file));
                return Optional.empty();
            }
            try (PDDocument document = open(file, passwords)) {
                return Optional.of(document.getNumberOfPages());
            }
        } catch (InvalidPasswordException locked) {
            findings.add(Finding.of(Code.PASSWORD_NEEDED, file));
        } catch (IOException | RuntimeException | Error e) {
            LoggerFactory.getLogger(Stamper.class).warn("not opened: {}", file, e);
            findings.add(Finding.of(Code.STAMP_DAMAGED, file));
        }
        return Optional.empty();
    }

    private static boolean isPdf(Path file) throws IOException {
        try (var in = Files.newInputStream(file)) {
            return Arrays.equals(in.readNBytes(HEADER), "%PDF-".getBytes(StandardCharsets.US_ASCII));
        }
    }

    static PDDocument open(Path file, List<String> passwords) throws IOException {
        InvalidPasswordException locked = null;
        List<String> all = new ArrayList<>(List.of(""));
        all.addAll(passwords);
        for (String password : all) {
            try {
                return Loader.loadPDF(file.toFile(), password);
            } catch (InvalidPasswordException wrong) {
                locked = wrong;
            }
        }
        throw locked == null ? new IOException("no password was tried") : locked;
    }

    private static Optional<Stamped> stamp(Path file, Path target, StampMarks marks, int pages, StampOrder order,
            List<Finding> findings) throws FindingException {
        @Nullable Path draft = null;
        Path from = file;
        try {
            from = withoutStamp(file, order, findings);
            draft = Drafts.beside(target);
            List<String> names = new ArrayList<>();
            boolean cut = write(from, draft, marks, order, names);
            if (cut) findings.add(Finding.of(Code.LINE_CUT, file));
            check(from, draft, pages, order);
            Drafts.move(draft, target);
            return Optional.of(new Stamped(file, target, pages, names));
        } catch (IOException | RuntimeException | Error e) {
            if (e instanceof IOException io && (DiskFull.is(io, target) || draft == null)) throw failure(target, io);
            LoggerFactory.getLogger(Stamper.class).warn("not stamped: {}", file, e);
            findings.add(Finding.of(Code.STAMP_FAILED, file));
            return Optional.empty();
        } finally {
            forget(draft);
            if (!from.equals(file)) forget(from);
        }
    }

    /** {@return a file without marks that were put on it earlier: those that are put on now take their place} */
    private static Path withoutStamp(Path file, StampOrder order, List<Finding> findings) throws IOException {
        try (PDDocument document = open(file, order.passwords())) {
            if (!document.getSignatureDictionaries().isEmpty()) findings.add(Finding.of(Code.STAMP_SIGNED, file));
            if (StampedFile.of(document).isEmpty()) return file;
        }
        Path bare = Drafts.beside(order.folder().resolve(file.getFileName()));
        takeOff(file, bare, order.passwords());
        findings.add(Finding.of(Code.STAMP_REPLACED, file));
        return bare;
    }

    /** {@return whether a line was cut} */
    private static boolean write(Path file, Path draft, StampMarks marks, StampOrder order, List<String> names)
            throws IOException {
        boolean cut = false;
        try (PDDocument document = open(file, order.passwords());
                OutputStream out = new BufferedOutputStream(Files.newOutputStream(draft))) {
            FontSet fonts = FontSet.forSaving(document);
            PageStamper stamper = new PageStamper(document, fonts, new MarkSetter(fonts, marks.letters()));
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                cut |= stamper.stamp(document.getPage(page - 1), marks.on(page)).stream().anyMatch(Placed::cut);
                names.add(marks.name(page));
            }
            fonts.complete();
            new StampedFile(Files.size(file), StampedFile.print(file, Files.size(file))).sayIn(document,
                    GregorianCalendar.from(order.produced().atZone(ZoneId.systemDefault())));
            document.saveIncremental(out);
        }
        return cut;
    }

    /** @throws IOException if a copy does not begin with all of its file, or has other pages */
    private static void check(Path file, Path draft, int pages, StampOrder order) throws IOException {
        try (PDDocument document = open(draft, order.passwords())) {
            StampedFile said = StampedFile.of(document).orElseThrow(() -> new IOException("the copy does not say what it was"));
            if (said.bytes() != Files.size(file) || !said.isBeginOf(draft) || document.getNumberOfPages() != pages)
                throw new IOException("the copy does not keep all that the file has");
        }
    }

    /**
     * Takes marks off that were put on a file like this.
     *
     * @param target the file without them; another one than the file itself
     * @return whether there were any; otherwise nothing is written
     * @throws FindingException if the file cannot be read, or the target not be written
     */
    public static boolean takenOff(Path file, Path target, List<String> passwords) throws FindingException {
        if (isSame(file, target))
            throw new FindingException(new Finding(Code.TARGET_IS_SOURCE, Subject.OfProduced.of(target, 0), ""), null);
        @Nullable Path draft = null;
        try {
            if (!Files.isReadable(file)) throw new FindingException(Finding.of(Code.NOT_READABLE, file), null);
            if (!isPdf(file)) throw new FindingException(Finding.of(Code.STAMP_NO_PDF, file), null);
            try (PDDocument document = open(file, passwords)) {
                if (StampedFile.of(document).isEmpty()) return false;
            }
            Files.createDirectories(target.toAbsolutePath().getParent());
            draft = Drafts.beside(target);
            takeOff(file, draft, passwords);
            Drafts.move(draft, target);
            return true;
        } catch (InvalidPasswordException locked) {
            throw new FindingException(Finding.of(Code.PASSWORD_NEEDED, file), locked);
        } catch (FindingException known) {
            throw known;
        } catch (IOException | RuntimeException | Error e) {
            if (e instanceof IOException io && draft != null) throw failure(target, io);
            LoggerFactory.getLogger(Stamper.class).warn("not taken off: {}", file, e);
            throw new FindingException(Finding.of(Code.STAMP_DAMAGED, file), e);
        } finally {
            forget(draft);
        }
    }

    /**
     * Where nothing came behind the marks, what was before them is the file as it was, byte for byte; otherwise they are taken
     * out of its pages.
     */
    private static void takeOff(Path file, Path target, List<String> passwords) throws IOException {
        try (PDDocument document = open(file, passwords);
                OutputStream out = new BufferedOutputStream(Files.newOutputStream(target))) {
            StampedFile said = StampedFile.of(document).orElseThrow();
            if (said.isBeginOf(file) && isLast(file, said)) {
                try (var in = Files.newInputStream(file)) {
                    byte[] buffer = new byte[1 << 16];
                    for (long left = said.bytes(); left > 0;) {
                        int count = in.read(buffer, 0, (int) Math.min(buffer.length, left));
                        out.write(buffer, 0, count);
                        left -= count;
                    }
                }
                return;
            }
            for (int page = 0; page < document.getNumberOfPages(); page++) PageStamper.takeOff(document.getPage(page));
            StampedFile.forget(document);
            document.saveIncremental(out);
        }
    }

    /** {@return whether the update that put the marks on is the last one: it is the only one behind what the file was} */
    private static boolean isLast(Path file, StampedFile said) throws IOException {
        try (var channel = Files.newByteChannel(file)) {
            channel.position(said.bytes());
            ByteBuffer behind = ByteBuffer.allocate((int) Math.min(Integer.MAX_VALUE - 8, channel.size() - said.bytes()));
            while (behind.hasRemaining() && channel.read(behind) > 0) {}
            String text = new String(behind.array(), 0, behind.position(), StandardCharsets.ISO_8859_1);
            return text.indexOf("startxref") == text.lastIndexOf("startxref");
        }
    }

    private static FindingException failure(Path target, IOException e) {
        return new FindingException(new Finding(DiskFull.is(e, target) ? Code.NO_SPACE : Code.TARGET_NOT_WRITABLE,
                Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
    }

    private static void forget(@Nullable Path draft) {
        if (draft == null) return;
        try {
            Files.deleteIfExists(draft);
        } catch (IOException stays) {
            LoggerFactory.getLogger(Stamper.class).warn("a draft stays: {}", draft, stays);
        }
    }
}
