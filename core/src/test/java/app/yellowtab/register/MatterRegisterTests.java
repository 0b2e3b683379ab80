package app.yellowtab.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mockStatic;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.FindingException;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.register.MatterRegister.Span;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.MockedStatic;

class MatterRegisterTests {
    @TempDir
    private Path temp;

    private static List<Span> span(String from, String to, String bundle) {
        return List.of(new Span(SerialNumber.read(from).orElseThrow(), SerialNumber.read(to).orElseThrow(), bundle,
                LocalDate.of(2031, 3, 4), bundle + " series", Optional.empty(), Optional.empty()));
    }

    /** {@return numbers of pages of a file, as a bundle enters them} */
    private static List<Span> spans(String bundle, String file, int first, String... numbers) {
        return MatterRegister.spans(given(file, first, numbers), bundle, bundle, LocalDate.of(2031, 3, 4));
    }

    private static List<GivenNumber> given(String file, int first, String... numbers) {
        return IntStream.range(0, numbers.length).mapToObj(n -> new GivenNumber(new SeriesId("bates"), new SourceId(file),
                file + " key", first + n, GivenNumber.Half.WHOLE, numbers[n])).toList();
    }

    private static SerialNumber number(String words) {
        return SerialNumber.read(words).orElseThrow();
    }

    @Test
    void oneGoesOnFromTheLastNumberThatAnyBundleGave() throws IOException {
        Path register = temp.resolve("numbers of the matter.csv");
        assertThatThrownBy(() -> MatterRegister.read(register)).hasMessageContaining("it is not there");
        MatterRegister.begin(register);
        assertThat(MatterRegister.read(register)).isEmpty();
        MatterRegister.enter(register, span("TH-000101", "TH-000180", "Trial bundle, \"A\""));
        MatterRegister.enter(register, span("TH-000181", "TH-000190", "Appeal"));
        MatterRegister.enter(register, span("BC-1", "BC-900", "Other"));
        assertThat(MatterRegister.next(MatterRegister.read(register), number("TH-000001")).orElseThrow().shown())
                .isEqualTo("TH-000191");
        assertThat(MatterRegister.next(MatterRegister.read(register), number("XX-1"))).isEmpty();
        assertThat(Files.readString(register)).contains("TH-000101,TH-000180,\"Trial bundle, \"\"A\"\"\"");
    }

    @Test
    void noNumberIsGivenTwice() throws IOException {
        Path register = begun();
        MatterRegister.enter(register, span("TH-000101", "TH-000180", "Trial"));
        String before = Files.readString(register);
        assertThatThrownBy(() -> MatterRegister.enter(register, span("th-180", "TH-200", "Appeal")))
                .hasMessageContaining("TH-000101 to TH-000180").hasMessageContaining("\"Trial\"");
        assertThat(Files.readString(register)).isEqualTo(before);
    }

    @Test
    void pagesBearTheirNumbersInAllBundlesAndOthersDoNot() throws IOException {
        Path register = begun();
        List<Span> trial = spans("Trial", "lease", 1, "TH-1", "TH-2", "TH-3");
        assertThat(trial).extracting(Span::shown).containsExactly("TH-1 to TH-3");
        MatterRegister.enter(register, trial);
        MatterRegister.enter(register, spans("Appeal", "letter", 1, "TH-4", "TH-5"));
        MatterRegister.enter(register, spans("Trial", "lease", 4, "TH-6"));
        MatterRegister.enter(register, trial);
        assertThat(MatterRegister.read(register)).as("later numbers beyond those of another, and nothing twice")
                .extracting(Span::shown)
                .containsExactly("TH-1 to TH-3", "TH-4 to TH-5", "TH-6 to TH-6");
        MatterRegister.enter(register, spans("Copy of the trial bundle", "lease", 2, "TH-2", "TH-3"));
        assertThatThrownBy(() -> MatterRegister.enter(register, spans("Copy of the trial bundle", "plan", 1, "TH-7", "TH-6")))
                .hasMessageContaining("TH-6 to TH-6").hasMessageContaining("\"Trial\"");
        assertThat(MatterRegister.read(register)).as("nothing is entered").hasSize(3);
        List<GivenNumber> better = new ArrayList<>(given("better scan", 1, "TH-1"));
        better.addAll(given("lease", 1, "TH-1"));
        MatterRegister.enter(register, MatterRegister.spans(better, "Trial", "Trial", LocalDate.of(2031, 3, 5)));
        assertThat(MatterRegister.read(register)).last().extracting(Span::shown).isEqualTo("TH-1 to TH-1");
    }

    @Test
    void aBundleThatWasNotSavedAnyMoreTakesOverWhatItHasEntered() throws IOException {
        Path register = begun();
        MatterRegister.enter(register, spans("b1", "lease", 1, "TH-1", "TH-2"));
        MatterRegister.enter(register, spans("b2", "lease", 3, "TH-3"));
        Bundle bundle = NumberEdits.with(Bundles.bundle(Bundles.document("lease", 4)),
                new Series(new SeriesId("bates"), "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        List<Span> spans = MatterRegister.read(register);
        List<GivenNumber> forgotten = MatterRegister.forgotten(spans, bundle, "b1");
        assertThat(forgotten).isEqualTo(given("lease", 1, "TH-1", "TH-2"));
        assertThat(MatterRegister.forgotten(spans, NumberEdits.issued(bundle, forgotten), "b1")).isEmpty();
    }

    @Test
    void whatIsTakenBackStaysUsedAndIsNeverForgotten() throws IOException {
        Path register = begun();
        MatterRegister.enter(register, spans("b1", "lease", 1, "TH-1", "TH-2", "TH-3"));
        Bundle bundle = NumberEdits.issued(NumberEdits.with(Bundles.bundle(Bundles.document("lease", 4)),
                new Series(new SeriesId("bates"), "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES))),
                given("lease", 1, "TH-1", "TH-2", "TH-3"));
        MatterRegister.takeBack(register, spans("b1", "lease", 2, "TH-2"), LocalDate.of(2031, 4, 5));
        MatterRegister.takeBack(register, spans("b1", "lease", 2, "TH-2"), LocalDate.of(2031, 4, 6));
        assertThat(Files.readAllLines(register)).hasSize(3).last().asString().startsWith("TH-2,TH-2,b1,2031-03-04,")
                .endsWith(",2031-04-05");
        List<Span> spans = MatterRegister.read(register);
        List<GivenNumber> back = MatterRegister.takenBack(spans, bundle, "b1");
        assertThat(back).as("by a bundle that was not saved any more").isEqualTo(given("lease", 2, "TH-2"));
        Bundle now = NumberEdits.takenBack(bundle, back);
        assertThat(MatterRegister.takenBack(spans, now, "b1")).isEmpty();
        assertThat(MatterRegister.forgotten(spans, now, "b1")).isEmpty();
        assertThat(MatterRegister.next(spans, number("TH-1"))).contains(number("TH-4"));
        assertThatThrownBy(() -> MatterRegister.enter(register, spans("b2", "letter", 1, "TH-2")))
                .hasMessageContaining("TH-1 to TH-3");
    }

    @Test
    void whatWasGivenBeforeThereWasARegisterAndIsTakenBackIsUsedToo() throws IOException {
        Path register = begun();
        MatterRegister.takeBack(register, spans("b1", "lease", 1, "TH-1", "TH-2"), LocalDate.of(2031, 4, 5));
        assertThatThrownBy(() -> MatterRegister.enter(register, spans("b2", "letter", 1, "TH-2")))
                .hasMessageContaining("TH-1 to TH-2");
        MatterRegister.enter(register, spans("b2", "letter", 1, "TH-3"));
        assertThat(MatterRegister.read(register)).hasSize(2);
    }

    @Test
    void aRegisterIsNamedFromTheBundleOnSoThatBothMayBeMoved() {
        Path folder = temp.resolve("matter/trial");
        Path register = temp.resolve("matter/numbers/all.csv");
        String named = MatterRegister.named(register, folder);
        assertThat(named).isEqualTo("../numbers/all.csv");
        Bundle bundle = Bundle.EMPTY.withNumbering(Numbering.NONE.withRegister(named));
        assertThat(MatterRegister.of(bundle, temp.resolve("elsewhere/trial")))
                .contains(temp.resolve("elsewhere/numbers/all.csv"));
        assertThat(MatterRegister.of(bundle.withNumbering(Numbering.NONE.withRegister(register.toString())), folder))
                .contains(register);
        assertThat(MatterRegister.of(Bundle.EMPTY, folder)).isEmpty();
    }

    private Path begun() throws IOException {
        Path register = temp.resolve("r.csv");
        MatterRegister.begin(register);
        return register;
    }

    /** Enters so many numbers, each for a bundle of its own: another program that writes at the same time. */
    public static void main(String[] args) throws IOException {
        enterMany(Path.of(args[0]), args[1], Integer.parseInt(args[2]));
    }

    private static void enterMany(Path register, String prefix, int count) throws FindingException {
        for (int i = 1; i <= count; i++)
            MatterRegister.enter(register, span(prefix + "-" + i, prefix + "-" + i, prefix + i));
    }

    @Test
    void severalProgramsEnterNumbersAtOnceAndNoneIsLost() throws Exception {
        Path register = begun();
        List<Process> others = new ArrayList<>();
        for (String prefix : List.of("A", "B")) {
            others.add(new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                    System.getProperty("java.class.path"), MatterRegisterTests.class.getName(), register.toString(), prefix, "60")
                    .redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start());
        }
        try (ExecutorService here = Executors.newFixedThreadPool(2)) {
            List<Future<?>> entered = new ArrayList<>();
            for (String prefix : List.of("C", "D")) entered.add(here.submit(() -> {
                enterMany(register, prefix, 60);
                return prefix;
            }));
            for (Future<?> one : entered) one.get();
        }
        for (Process other : others) assertThat(other.waitFor()).isZero();
        assertThat(MatterRegister.read(register)).hasSize(240);
    }

    @Test
    void onAFullDiskAllStaysAsItWas() throws IOException {
        Path register = begun();
        MatterRegister.enter(register, spans("b1", "lease", 1, "TH-1"));
        String before = Files.readString(register);
        try (MockedStatic<Drafts> full = mockStatic(Drafts.class)) {
            full.when(() -> Drafts.write(any(), any())).thenThrow(new IOException("No space left on device"));
            assertThatThrownBy(() -> MatterRegister.enter(register, spans("b1", "lease", 2, "TH-2")))
                    .hasMessageContaining("r.csv could not be written: the disk is full");
        }
        assertThat(register).hasContent(before);
    }

    @Test
    void whatIsNoRegisterIsNamed() throws IOException {
        Path other = Files.writeString(temp.resolve("other.csv"), "Name,Age\r\nx,3\r\n");
        assertThatThrownBy(() -> MatterRegister.read(other)).hasMessageContaining("other.csv")
                .hasMessageContaining("no register of numbers");
        String before = Files.readString(other);
        assertThatThrownBy(() -> MatterRegister.enter(other, span("A-1", "A-2", "Trial"))).isInstanceOf(IOException.class);
        assertThat(Files.readString(other)).isEqualTo(before);
    }
}
