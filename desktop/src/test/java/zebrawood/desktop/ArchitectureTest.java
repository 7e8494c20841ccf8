package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "zebrawood", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
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
          .haveSimpleNameEndingWith("Entry")
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
          .resideInAnyPackage("java.sql..", "org.jdbi..", "org.flywaydb..", "com.fasterxml..")
          .because("how a workshop is kept is decided in one module");

  @ArchTest
  static final ArchRule stationsDoNotKnowTheShell =
      noClasses()
          .that()
          .resideInAnyPackage("zebrawood.desktop.bed..", "zebrawood.desktop.sheet..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "zebrawood.desktop.shell..",
              "zebrawood.desktop.app..",
              "zebrawood.desktop.stations..")
          .because("a sheet stands in any window that hosts it");

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
