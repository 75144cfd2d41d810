package finebore;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.simpleName;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The core computes and does nothing else, and its rooms stand on each other one way. */
class ArchitectureTest {

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("finebore");

  @Test
  void noInterfaceNoFilesNoClockNoThreadsNoLogging() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "javafx..",
            "java.awt..",
            "javax.swing..",
            "java.io..",
            "java.nio..",
            "java.net..",
            "java.util.concurrent..",
            "java.util.logging..",
            "finebore.formats..",
            "finebore.cli..",
            "finebore.desk..")
        .check(CORE);
    // A day or a moment is a value; what time it is now is the desk's to know.
    noClasses()
        .should()
        .dependOnClassesThat(
            resideInAPackage("java.time..")
                .and(DescribedPredicate.not(simpleName("LocalDate").or(simpleName("Instant")))))
        .orShould()
        .callMethod(java.time.LocalDate.class, "now")
        .orShould()
        .callMethod(java.time.Instant.class, "now")
        .check(CORE);
    noClasses().should().accessClassesThat().haveFullyQualifiedName("java.lang.System").check(CORE);
    noClasses().should().accessClassesThat().haveFullyQualifiedName("java.lang.Thread").check(CORE);
  }

  @Test
  void roomsHaveNoCircles() {
    slices().matching("finebore.(*)..").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void theSectionKnowsNothingAboveIt() {
    classes()
        .that()
        .resideInAPackage("finebore.section..")
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "finebore.section..", "finebore.code..", "java..", "org.locationtech.jts..")
        .check(CORE);
    noClasses()
        .that()
        .resideInAnyPackage(
            "finebore.flow..",
            "finebore.bench..",
            "finebore.cutting..",
            "finebore.found..",
            "finebore.seat..",
            "finebore.valve..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("finebore.job..", "finebore.study..", "finebore.practice..")
        .check(CORE);
  }

  @Test
  void namesSayWhatTheyAre() {
    noClasses()
        .should()
        .haveSimpleNameEndingWith("Util")
        .orShould()
        .haveSimpleNameEndingWith("Helper")
        .orShould()
        .haveSimpleNameEndingWith("Manager")
        .check(CORE);
  }

  /**
   * A literal with two words beside each other is a sentence, and sentences live in words; what a
   * bench answers in its protocol is none.
   */
  @Test
  void nobodySpeaksEnglishDownHere() throws IOException {
    Pattern sentence = Pattern.compile("\"(?!ERR |OK )[^\"]*[a-z]{2,} [a-z]{2,}[^\"]*\"");
    List<String> spoken = new ArrayList<>();
    for (String module : List.of("../core", "../instruments")) {
      try (Stream<Path> files = Files.walk(Path.of(module, "src", "main", "java"))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          for (String line : Files.readAllLines(file)) {
            boolean comment = line.strip().matches("(\\*|/\\*|//).*");
            if (!comment && sentence.matcher(line).find()) {
              spoken.add(file.getFileName() + ": " + line.strip());
            }
          }
        }
      }
    }
    assertThat(spoken).isEmpty();
  }

  /** How a unit is written is for words to know: the core has units, and systems of them by key. */
  @Test
  void theCoreKnowsNoUnitSystem() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("finebore.words..", "com.ibm.icu..")
        .check(CORE);
    noClasses().should().haveSimpleName("UnitSystem").check(CORE);
  }

  @Test
  void theStudyOfASeatKnowsNoJob() {
    noClasses()
        .that()
        .resideInAnyPackage("finebore.study..", "finebore.flow..", "finebore.cutting..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "finebore.job..", "finebore.planning..", "finebore.calibration..", "finebore.rules..")
        .check(CORE);
  }
}
