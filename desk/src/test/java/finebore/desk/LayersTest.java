package finebore.desk;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** What stands above may use what stands below, never the other way. */
class LayersTest {

  @Test
  void theHouseStandsOneWay() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("desk")
        .definedBy("finebore.desk..")
        .layer("cli")
        .definedBy("finebore.cli..")
        .layer("instruments")
        .definedBy("finebore.instruments..")
        .layer("formats")
        .definedBy("finebore.formats..")
        .layer("core")
        .definedBy(
            "finebore.units..",
            "finebore.section..",
            "finebore.seat..",
            "finebore.valve..",
            "finebore.cutting..",
            "finebore.flow..",
            "finebore.bench..",
            "finebore.found..",
            "finebore.head..",
            "finebore.suggest..",
            "finebore.practice..",
            "finebore.study..",
            "finebore.job..")
        .whereLayer("desk")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("cli")
        .mayOnlyBeAccessedByLayers("desk")
        .whereLayer("instruments")
        .mayOnlyBeAccessedByLayers("desk")
        .whereLayer("formats")
        .mayOnlyBeAccessedByLayers("desk", "cli")
        .check(
            new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("finebore"));
  }
}
