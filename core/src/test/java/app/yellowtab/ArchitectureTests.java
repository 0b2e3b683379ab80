package app.yellowtab;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

class ArchitectureTests {
    /** From the ground up, as architecture.md lists them; a package may use those before it. */
    private static final List<String> PACKAGES = List.of("finding", "files", "facts", "pdf", "mark", "input", "content", "output",
            "model", "ledger", "convert", "carry", "edit", "plan", "agree", "sheet",
            "cut", "draw", "inspect", "recognise", "source", "redact", "find", "sample", "store", "assemble", "picture", "clash",
            "compare", "prove", "deliver", "stamp");
    private static final JavaClasses CLASSES = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("app.yellowtab");

    @Test
    void lowerPackagesKnowNothingOfHigherOnes() {
        for (int i = 0; i < PACKAGES.size() - 1; i++) {
            assertThat(classesIn(PACKAGES.get(i))).as("no class looked at in " + PACKAGES.get(i)).isPositive();
            String[] higher =
                    PACKAGES.subList(i + 1, PACKAGES.size()).stream().map(ArchitectureTests::inside).toArray(String[]::new);
            noClasses().that().resideInAPackage(inside(PACKAGES.get(i))).should().dependOnClassesThat().resideInAnyPackage(higher)
                    .check(CLASSES);
        }
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(CLASSES.stream().map(c -> c.getPackageName().split("\\.")[2]).distinct())
                .containsExactlyInAnyOrderElementsOf(PACKAGES);
    }

    @Test
    void coreKnowsNoWindow() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("javafx..", "javax.swing..", "java.awt.event..")
                .check(CLASSES);
    }

    @Test
    void modelAndPlanKnowNothingOfThePdfLibrary() {
        noClasses().that().resideInAnyPackage(inside("finding"), inside("model"), inside("edit"), inside("plan")).should()
                .dependOnClassesThat().resideInAPackage("org.apache..").check(CLASSES);
    }

    private static String inside(String name) {
        return "app.yellowtab." + name + "..";
    }

    private static long classesIn(String name) {
        return CLASSES.stream().filter(c -> c.getPackageName().equals("app.yellowtab." + name)).count();
    }
}
