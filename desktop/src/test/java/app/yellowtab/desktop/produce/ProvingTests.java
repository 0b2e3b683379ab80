package app.yellowtab.desktop.produce;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;

class ProvingTests {
    private static final Path FILE = Path.of("bundle.pdf");
    private final Deque<Runnable> background = new ArrayDeque<>();
    private final Prover prover = mock(Prover.class);
    private final Proving proving = new Proving(new Jobs(background::add, Runnable::run), prover);

    @Test
    void whatWasProvedIsShownOnceItIsKnown() throws FindingException {
        Proof proof = new Proof(FILE, 412, 38, 57, 60, 0, List.of());
        when(prover.proveAll(any(), any(), any(), any())).thenAnswer(call -> {
            call.<Progress>getArgument(2).report(250, 412);
            return Optional.of(proof);
        });
        proving.start(List.of(FILE), FILE);
        Jobs.Job job = ((Proving.ProvingState.Running) proving.stateProperty().get()).job();
        proving.start(List.of(FILE), FILE);
        background.poll().run();
        assertThat(job.stateProperty().get().words()).isEqualTo("Proving page 250 of 412");
        assertThat(proving.stateProperty().get()).isEqualTo(new Proving.ProvingState.Done(proof));
        verify(prover, times(1)).proveAll(eq(List.of(FILE)), any(), any(), any());
    }

    @Test
    void stoppedItIsOfferedAgain() throws FindingException {
        when(prover.proveAll(any(), any(), any(), any()))
                .thenAnswer(call -> call.<BooleanSupplier>getArgument(3).getAsBoolean() ? Optional.empty() : null);
        proving.start(List.of(FILE), FILE);
        ((Proving.ProvingState.Running) proving.stateProperty().get()).job().stop();
        background.poll().run();
        assertThat(proving.stateProperty().get()).isInstanceOf(Proving.ProvingState.Offered.class);
    }

    @Test
    void whyItCannotBeProvedIsSaid() throws FindingException {
        when(prover.proveAll(any(), any(), any(), any()))
                .thenThrow(new FindingException(Finding.of(Code.LEDGER_DAMAGED, Path.of("bundle.ledger.json")), null))
                .thenThrow(new IllegalStateException("secret"));
        for (String expected : List.of("bundle.ledger.json is damaged", "The file could not be proved. The log")) {
            proving.start(List.of(FILE), FILE);
            background.poll().run();
            assertThat(proving.stateProperty().get()).isInstanceOfSatisfying(Proving.ProvingState.Failed.class,
                    state -> assertThat(state.message()).startsWith(expected));
        }
    }
}
