package app.yellowtab;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

class ArchitectureTests {
    private static final String ROOT = "app.yellowtab.";

    /** From the ground up, each whole name for itself, as docs/architecture.md lists them; a package may use those before it. */
    private static final List<String> PACKAGES = List.of(
            "finding", "files", "facts", "pdf", "mark", "input", "content", "output", "draw", "table", "ink", "recognise.worker",
            "recognise",
            "model.entry", "model.source", "model.page", "model.run", "model.number", "model.contents", "model.cut", "model",
            "edit.number", "edit.repage", "edit", "edit.page", "edit.cut",
            "leaf", "cover", "index", "plan", "sets", "sheet", "agree", "register",
            "convert.page", "convert.flow", "convert.word", "convert.odf", "convert.rtf", "convert.mail", "convert.picture",
            "convert.slide", "convert.table", "convert",
            "words", "cut", "ledger", "carry.part", "carry.annotation", "carry", "inspect", "source", "intake",
            "redact", "find", "sample.paper", "sample", "json", "store", "keep",
            "write", "fetch", "assemble", "picture", "printed", "clash", "compare", "prove", "deliver", "stamp");
    private static final JavaClasses CLASSES = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("app.yellowtab");

    @Test
    void aPackageUsesOnlyThoseBelowIt() {
        assertThat(CLASSES.stream().flatMap(one -> one.getDirectDependenciesFromSelf().stream())
                .filter(use -> place(use.getTargetClass()) > place(use.getOriginClass())).map(Dependency::getDescription))
                .isEmpty();
    }

    private static int place(JavaClass one) {
        return PACKAGES.indexOf(one.getPackageName().replace(ROOT, ""));
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(CLASSES.stream().map(one -> one.getPackageName().substring(ROOT.length())).distinct())
                .containsExactlyInAnyOrderElementsOf(PACKAGES);
    }

    @Test
    void coreKnowsNoWindow() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("javafx..", "javax.swing..", "java.awt.event..")
                .check(CLASSES);
    }

    @Test
    void whatIsPlannedAndEditedKnowsNothingOfThePdfLibrary() {
        String[] pure = List.of("finding", "model..", "edit..", "leaf", "cover", "index", "plan", "sets", "words", "cut").stream()
                .map(ROOT::concat).toArray(String[]::new);
        noClasses().that().resideInAnyPackage(pure).should().dependOnClassesThat().resideInAPackage("org.apache..")
                .check(CLASSES);
    }
}
