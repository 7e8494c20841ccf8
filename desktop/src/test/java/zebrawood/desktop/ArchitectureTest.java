package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "zebrawood", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  private static final String[] STATIONS = {
    "zebrawood.desktop.site",
    "zebrawood.desktop.cooling",
    "zebrawood.desktop.start",
    "zebrawood.desktop.controller",
    "zebrawood.desktop.mirrors",
    "zebrawood.desktop.bed"
  };

  @ArchTest
  static final ArchRule onlyTheDesktopHasAScreen =
      noClasses()
          .that()
          .resideOutsideOfPackage("zebrawood.desktop..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("javafx..")
          .because("records and devices serve without a window");

  @ArchTest
  static final ArchRule modelsKnowNoScene =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Model")
          .or()
          .haveSimpleNameEndingWith("Form")
          .or()
          .resideInAPackage("zebrawood.desktop.form..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx.scene..", "javafx.stage..")
          .because("view-models are tested without a window");

  @ArchTest
  static final ArchRule onlyRecordsKnowTheStore =
      noClasses()
          .that()
          .resideOutsideOfPackage("zebrawood.records..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.sql..", "org.flywaydb..", "com.fasterxml..")
          .because("how a workshop is kept is decided in one module");

  @ArchTest
  static final ArchRule stationsDoNotKnowTheShell =
      noClasses()
          .that()
          .resideInAnyPackage(STATIONS)
          .or()
          .resideInAnyPackage("zebrawood.desktop.sheet..", "zebrawood.desktop.form..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "zebrawood.desktop.shell..", "zebrawood.desktop.app..", "zebrawood.desktop.demo..")
          .because("a sheet stands in any window that hosts it");

  @ArchTest
  static final ArchRule stationsDoNotKnowOneAnother =
      com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices()
          .assignedFrom(new Stations())
          .should()
          .notDependOnEachOther()
          .because("a station knows the others through the ledger only");

  private static final class Stations
      implements com.tngtech.archunit.library.dependencies.SliceAssignment {
    @Override
    public com.tngtech.archunit.library.dependencies.SliceIdentifier getIdentifierOf(
        com.tngtech.archunit.core.domain.JavaClass type) {
      for (String station : STATIONS) {
        if (type.getPackageName().equals(station)) {
          return com.tngtech.archunit.library.dependencies.SliceIdentifier.of(station);
        }
      }
      return com.tngtech.archunit.library.dependencies.SliceIdentifier.ignore();
    }

    @Override
    public String getDescription() {
      return "stations of the desktop";
    }
  }

  @ArchTest
  static final ArchRule onlyMainEndsTheProcess =
      classes()
          .that()
          .doNotHaveSimpleName("Zebrawood")
          .should(
              com.tngtech.archunit.lang.conditions.ArchConditions.not(
                  com.tngtech.archunit.lang.conditions.ArchConditions.callMethod(
                      System.class, "exit", int.class)))
          .because("main wires and launches, nothing else ends the process");
}
