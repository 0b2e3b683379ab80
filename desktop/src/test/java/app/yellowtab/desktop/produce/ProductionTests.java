package app.yellowtab.desktop.produce;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.deliver.BundleSets;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.Separators;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.ArgumentCaptor;

class ProductionTests {
    private final Bundle start = bundle(document("x", 2)).withHeading(CaseHeading.EMPTY.withTitle("Hearing: 1/2"));
    private final Deque<Runnable> background = new ArrayDeque<>();
    private final Assembler assembler = mock(Assembler.class);
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Production production;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start, saved -> {}, background::add);
        production = new Production(workspace, assembler, new PageRenderer(folder, PictureFiles.NONE), new BundleWords(folder));
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private void finish() {
        while (!background.isEmpty()) background.poll().run();
    }

    @Test
    void theFileIsNamedAfterTheBundleInLettersThatEveryDiskTakes() {
        assertThat(production.suggested()).isEqualTo(folder.path().resolve("Hearing 1 2.pdf"));
        workspace.edit(bundle -> bundle.withHeading(CaseHeading.EMPTY));
        assertThat(production.suggested()).isEqualTo(folder.path().resolve("Bundle.pdf"));
    }

    private static Outcome.Written written(Path target, int pages) {
        return new Outcome.Written(List.of(new Outcome.WrittenFile(target, pages, 900)), 1, 0, List.of(),
                Optional.of(target.resolveSibling("ledger")));
    }

    @Test
    void whatWasPlannedAtTheStartIsProduced() throws FindingException {
        Path target = temp.resolve("out.pdf");
        Outcome.Written written = written(target, 5);
        when(assembler.deliver(any(), any(), any(), any())).thenReturn(written);
        Plan planned = workspace.plan();
        production.start(target, BundleSets.SCREEN, Production.Consent.NONE, true);
        assertThat(production.stateProperty().get()).isInstanceOf(Production.ProductionState.Running.class);
        workspace.edit(bundle -> bundle.withLayout(new Layout(false, Separators.TITLED)));
        production.start(temp.resolve("second.pdf"), BundleSets.SCREEN, Production.Consent.NONE, true);
        finish();
        ArgumentCaptor<Delivery> asked = ArgumentCaptor.forClass(Delivery.class);
        verify(assembler).deliver(asked.capture(), any(), any(), any());
        assertThat(asked.getValue().files()).singleElement().satisfies(file -> {
            assertThat(file.plan()).isEqualTo(planned);
            assertThat(file.target()).isEqualTo(target);
        });
        assertThat(production.stateProperty().get()).isInstanceOfSatisfying(Production.ProductionState.Written.class,
                state -> assertThat(state.outcome()).isEqualTo(written));
    }

    @Test
    void theStopButtonStops() throws FindingException {
        when(assembler.deliver(any(), any(), any(), any())).thenAnswer(call -> {
            call.<Progress>getArgument(2).report(3, 5);
            return call.<BooleanSupplier>getArgument(3).getAsBoolean() ? new Outcome.Stopped(3) : null;
        });
        production.start(temp.resolve("out.pdf"), BundleSets.SCREEN, Production.Consent.NONE, true);
        Jobs.Job job = ((Production.ProductionState.Running) production.stateProperty().get()).job();
        job.stop();
        finish();
        assertThat(job.stateProperty().get()).isEqualTo(new Jobs.JobProgress("Page 3 of 5", 0.6));
        assertThat(production.stateProperty().get()).isEqualTo(new Production.ProductionState.Stopped());
    }

    @Test
    void aFailureSaysWhatAndWhy() throws FindingException {
        when(assembler.deliver(any(), any(), any(), any())).thenThrow(
                new FindingException(Finding.of(Finding.Code.NO_SPACE, temp.resolve("out.pdf")), null));
        production.start(temp.resolve("out.pdf"), BundleSets.SCREEN, Production.Consent.NONE, true);
        finish();
        assertThat(production.stateProperty().get()).isInstanceOfSatisfying(Production.ProductionState.Failed.class,
                failed -> assertThat(failed.message()).contains("out.pdf could not be written: the disk is full"));
    }

    @Test
    void aSurpriseIsNoStackTrace() throws FindingException {
        when(assembler.deliver(any(), any(), any(), any()))
                .thenThrow(new IllegalStateException("at com.example"));
        production.start(temp.resolve("out.pdf"), BundleSets.SCREEN, Production.Consent.NONE, true);
        finish();
        assertThat(production.stateProperty().get()).isInstanceOfSatisfying(Production.ProductionState.Failed.class,
                failed -> assertThat(failed.message()).contains("nothing was written").doesNotContain("com.example"));
    }

    @Test
    void theSetToBePrintedComesWithAllThatThePrinterMustKnow() throws FindingException {
        when(assembler.deliver(any(), any(), any(), any())).thenAnswer(call -> {
            Delivery.File file = call.<Delivery>getArgument(0).files().getFirst();
            return written(file.target(), file.output().size());
        });
        workspace.edit(bundle -> bundle
                .withLayout(bundle.layout().withPaper(bundle.layout().paper().withTabs(PaperSet.Beginning.DOCUMENTS))));
        production.start(temp.resolve("out.pdf"), BundleSets.PAPER, Production.Consent.NONE, true);
        finish();
        assertThat(production.stateProperty().get()).isInstanceOfSatisfying(Production.ProductionState.Written.class, written -> {
            assertThat(written.outcome().file()).isEqualTo(temp.resolve("out (paper).pdf"));
            assertThat(written.paper().orElseThrow().order()).exists();
            assertThat(written.paper().orElseThrow().labels()).exists();
        });
    }
}
