package app.yellowtab.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import org.junit.jupiter.api.Test;

class DesktopArchitectureTests {
    private static final String ROOT = "app.yellowtab.desktop";
    private static final JavaClasses CLASSES =
            new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages(ROOT);

    /** What each package may use of the others, as docs/architecture.md draws it. The window itself may use all. */
    private static final Map<String, String> BELOW = new TreeMap<>(Map.ofEntries(
            Map.entry("look", ""), Map.entry("work", "look"), Map.entry("pages", "look work"), Map.entry("start", "look work"),
            Map.entry("mark", "look work"), Map.entry("loose", "look work mark pages"), Map.entry("agree", "look work"),
            Map.entry("entry", "look work"), Map.entry("replace", "look work pages"), Map.entry("table", "look work pages"),
            Map.entry("arrange", "look work pages entry agree replace table"), Map.entry("gather", "look work pages"),
            Map.entry("clash", "look work mark pages"), Map.entry("number", "look work mark pages clash"),
            Map.entry("batch", "look work"), Map.entry("pieces", "look work batch"),
            Map.entry("sheets", "look work pages batch"), Map.entry("cut", "look work pages batch pieces sheets"),
            Map.entry("redact", "look work pages"), Map.entry("produce", "look work redact"),
            Map.entry("reader", "look work pages redact")));

    /** Holds what it shows as values that can be watched, and is no node itself; the window itself puts nodes together. */
    private static final DescribedPredicate<JavaClass> VIEW_MODEL = DescribedPredicate.describe("are view models",
            one -> one.getFields().stream().anyMatch(field -> field.getRawType().isAssignableTo(ObservableValue.class))
                    && !one.isAssignableTo(Node.class) && !one.getPackageName().equals(ROOT)
                    && !one.isAssignableTo("app.yellowtab.desktop.work.StagePart"));

    @Test
    void stagesKnowWhatTheyStandOnAndNotEachOther() {
        BELOW.forEach((name, below) -> {
            String here = ROOT + "." + name;
            List<String> allowed =
                    Stream.concat(Stream.of(here), Stream.of(below.split(" ")).map(lower -> ROOT + "." + lower)).toList();
            noClasses().that().resideInAPackage(here).should().dependOnClassesThat(DescribedPredicate.<JavaClass>describe(
                    "stand higher or beside",
                    other -> other.getPackageName().startsWith(ROOT) && !allowed.contains(other.getPackageName())))
                    .check(CLASSES);
        });
    }

    @Test
    void everyPackageHasItsPlace() {
        assertThat(CLASSES.stream().map(JavaClass::getPackageName).filter(name -> !name.equals(ROOT))
                .map(name -> name.substring(ROOT.length() + 1)).collect(Collectors.toSet()))
                .containsExactlyInAnyOrderElementsOf(BELOW.keySet());
    }

    @Test
    void viewModelsKnowNoNode() {
        classes().that(VIEW_MODEL).should().onlyDependOnClassesThat()
                .resideOutsideOfPackages("javafx.scene..", "javafx.stage..", "javafx.application..").check(CLASSES);
    }

    @Test
    void theViewModelsAreFound() {
        assertThat(CLASSES.stream().filter(VIEW_MODEL).map(JavaClass::getSimpleName))
                .contains("Workspace", "CutDesk", "Arrangement", "PagesDesk", "RedactDesk", "NumberDesk",
                        "Production", "Recognising", "Gathering");
    }

    @Test
    void theWindowReadsNoPdfItself() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("org.apache.pdfbox..", "tools.jackson..").check(CLASSES);
    }
}
