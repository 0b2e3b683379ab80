package app.yellowtab.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.FindingException;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.register.MatterRegister.Span;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MatterRegisterTests {
    @TempDir
    private Path temp;

    private static Span span(String from, String to, String bundle) {
        return new Span(SerialNumber.read(from).orElseThrow(), SerialNumber.read(to).orElseThrow(), bundle,
                LocalDate.of(2031, 3, 4), bundle + " series");
    }

    private static SerialNumber number(String words) {
        return SerialNumber.read(words).orElseThrow();
    }

    @Test
    void oneGoesOnFromTheLastNumberThatAnyBundleGave() throws IOException {
        Path register = temp.resolve("numbers of the matter.csv");
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
        Path register = temp.resolve("r.csv");
        MatterRegister.enter(register, span("TH-000101", "TH-000180", "Trial"));
        String before = Files.readString(register);
        assertThatThrownBy(() -> MatterRegister.enter(register, span("th-180", "TH-200", "Appeal")))
                .hasMessageContaining("TH-000101 to TH-000180").hasMessageContaining("\"Trial\"");
        assertThat(Files.readString(register)).isEqualTo(before);
        MatterRegister.enter(register, span("TH-000101", "TH-000240", "Trial"));
        assertThat(MatterRegister.read(register)).as("a bundle that gives more takes the place of what it gave").hasSize(1);
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
        Path register = temp.resolve("r.csv");
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
    void whatIsNoRegisterIsNamed() throws IOException {
        Path other = Files.writeString(temp.resolve("other.csv"), "Name,Age\r\nx,3\r\n");
        assertThatThrownBy(() -> MatterRegister.read(other)).hasMessageContaining("other.csv")
                .hasMessageContaining("no register of numbers");
        String before = Files.readString(other);
        assertThatThrownBy(() -> MatterRegister.enter(other, span("A-1", "A-2", "Trial"))).isInstanceOf(IOException.class);
        assertThat(Files.readString(other)).isEqualTo(before);
    }
}
