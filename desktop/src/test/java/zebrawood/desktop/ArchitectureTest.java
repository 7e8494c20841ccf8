package zebrawood.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.stations.StationList;

@AnalyzeClasses(packages = "zebrawood", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  private static final String[] STATIONS =
      StationList.ALL.stream()
          .map(d -> "zebrawood.desktop." + d.station().id())
          .toArray(String[]::new);

  /** More lines of one class are two classes. */
  private static final int MOST_LINES = 450;

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
          .resideInAnyPackage("zebrawood.desktop.form..", "zebrawood.desktop.station..")
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
  static final ArchRule packagesKnowOneAnotherInOneDirection =
      com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices()
          .matching("zebrawood.desktop.(*)..")
          .should()
          .beFreeOfCycles()
          .because("a newcomer reads one package without the next");

  @Test
  void everyStationHasItsPackage() {
    assertThat(STATIONS)
        .hasSameSizeAs(StationList.ALL)
        .allSatisfy(name -> assertThat(Path.of("src/main/java", name.split("\\."))).isDirectory());
  }

  @Test
  void noClassIsLong() throws IOException {
    List<String> tooLong = new ArrayList<>();
    for (String module : List.of("core", "records", "devices", "desktop")) {
      try (Stream<Path> all = Files.walk(Path.of("../" + module + "/src/main/java"))) {
        for (Path file : all.filter(f -> f.toString().endsWith(".java")).toList()) {
          if (Files.readAllLines(file).size() > MOST_LINES) {
            tooLong.add(file.getFileName().toString());
          }
        }
      }
    }
    assertThat(tooLong).isEmpty();
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
