package app.yellowtab.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DesktopArchitectureTests {
    private static final JavaClasses CLASSES = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("app.yellowtab.desktop");

    @Test
    void stagesKnowWhatTheyStandOnAndNotEachOther() {
        Map<String, List<String>> below = new HashMap<>(Map.of("work", List.of(), "pages", List.of("work"), "reader",
                List.of("pages", "work", "redact"), "start", List.of("work"),
                "gather", List.of("pages", "work"), "cut", List.of("pages", "work"), "replace", List.of("pages", "work"), "agree",
                List.of("work"), "arrange", List.of("agree", "replace", "table", "pages", "work"), "produce",
                List.of("redact", "work")));
        below.put("table", List.of("pages", "work"));
        below.put("number", List.of("pages", "work"));
        below.put("loose", List.of("number", "pages", "work"));
        below.put("redact", List.of("pages", "work"));
        below.forEach((name, allowed) -> {
            String here = "app.yellowtab.desktop." + name;
            noClasses().that().resideInAPackage(here).should().dependOnClassesThat(
                    DescribedPredicate.describe("stand higher or beside",
                            other -> other.getPackageName().startsWith("app.yellowtab.desktop")
                                    && !other.getPackageName().equals(here)
                                    && allowed.stream()
                                            .noneMatch(lower -> other.getPackageName().equals("app.yellowtab.desktop." + lower))))
                    .check(CLASSES);
        });
    }

    @Test
    void viewModelsKnowNoNode() {
        classes().that().haveSimpleName("Workspace").or().haveSimpleName("Jobs").or().haveSimpleName("Autosave")
                .or().haveSimpleName("Arrangement").or().haveSimpleName("CutDesk").or().haveSimpleName("EntryDesk").or()
                .haveSimpleName("Filling").or().haveSimpleName("Replacement").or().haveSimpleName("Agreeing").or()
                .haveSimpleName("PagesDesk").or().haveSimpleName("RedactDesk").or().haveSimpleName("NumberDesk").or()
                .haveSimpleName("ClashDesk").or().haveSimpleName("OldDesk").or().haveSimpleName("PageSteps").or()
                .haveSimpleName("LooseDesk").or().haveSimpleName("PagesWork").or().haveSimpleName("FrameWish").or()
                .haveSimpleName("Leaks").or().haveSimpleName("Production")
                .should().onlyDependOnClassesThat()
                .resideOutsideOfPackages("javafx.scene..", "javafx.stage..", "javafx.application..").check(CLASSES);
    }

    @Test
    void theWindowReadsNoPdfItself() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("org.apache.pdfbox..", "tools.jackson..").check(CLASSES);
    }
}
