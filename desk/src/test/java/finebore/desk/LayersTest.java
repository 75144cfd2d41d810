package finebore.desk;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackages;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** What stands above may use what stands below, never the other way. */
class LayersTest {

  private static final String[] ABOVE_THE_CORE = {
    "finebore.desk..",
    "finebore.cli..",
    "finebore.reports..",
    "finebore.card..",
    "finebore.drawing..",
    "finebore.words..",
    "finebore.instruments..",
    "finebore.formats.."
  };

  @Test
  void theHouseStandsOneWay() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("desk")
        .definedBy("finebore.desk..")
        .layer("cli")
        .definedBy("finebore.cli..")
        .layer("reports")
        .definedBy("finebore.reports..", "finebore.card..", "finebore.drawing..")
        .layer("words")
        .definedBy("finebore.words..")
        .layer("instruments")
        .definedBy("finebore.instruments..")
        .layer("formats")
        .definedBy("finebore.formats..")
        .layer("core")
        .definedBy(resideInAPackage("finebore..").and(resideOutsideOfPackages(ABOVE_THE_CORE)))
        .whereLayer("desk")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("cli")
        .mayOnlyBeAccessedByLayers("desk")
        .whereLayer("reports")
        .mayOnlyBeAccessedByLayers("cli", "desk")
        .whereLayer("words")
        .mayOnlyBeAccessedByLayers("reports", "cli", "desk")
        .whereLayer("instruments")
        .mayOnlyBeAccessedByLayers("words", "desk")
        .whereLayer("formats")
        .mayOnlyBeAccessedByLayers("words", "reports", "cli", "desk")
        .check(
            new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("finebore"));
  }
}
