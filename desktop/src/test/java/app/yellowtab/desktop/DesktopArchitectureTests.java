package app.yellowtab.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class DesktopArchitectureTests {
    private static final JavaClasses CLASSES = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("app.yellowtab.desktop");

    @Test
    void stagesKnowWhatTheyStandOnAndNotEachOther() {
        for (String stage : new String[] {"start", "arrange", "reader", "produce", "work"}) {
            String here = "app.yellowtab.desktop." + stage;
            noClasses().that().resideInAPackage(here).should().dependOnClassesThat(
                    DescribedPredicate.describe("stand higher or beside", other ->
                            other.getPackageName().startsWith("app.yellowtab.desktop") && !other.getPackageName().equals(here)
                                    && !other.getPackageName().equals("app.yellowtab.desktop.work"))).check(CLASSES);
        }
    }

    @Test
    void viewModelsKnowNoNode() {
        classes().that().haveSimpleName("Workspace").or().haveSimpleName("Jobs").or().haveSimpleName("Autosave")
                .or().haveSimpleName("Arrangement").or().haveSimpleName("Production")
                .should().onlyDependOnClassesThat().resideOutsideOfPackages("javafx.scene..", "javafx.stage..", "javafx.application..").check(CLASSES);
    }

    @Test
    void theWindowReadsNoPdfItself() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("org.apache.pdfbox..", "tools.jackson..").check(CLASSES);
    }
}
