package zebrawood;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import java.util.Set;

@AnalyzeClasses(packages = "zebrawood", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  private static final Set<String> SHARED =
      Set.of(
          "quantity",
          "words",
          "measure",
          "machine",
          "ledger",
          "station",
          "climate",
          "marks",
          "tape");

  @ArchTest
  static final ArchRule noScreen =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
          .because("the core runs without a screen");

  @ArchTest
  static final ArchRule noStore =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.sql..", "javax.sql..", "com.fasterxml..")
          .because("the core does not know how readings are kept or sent");

  @ArchTest
  static final ArchRule noFiles =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.nio..", "java.net..")
          .orShould()
          .dependOnClassesThat()
          .haveNameMatching("java\\.io\\.(File|FileInputStream|FileOutputStream|Reader|Writer).*")
          .because("the core reads readings, not files");

  @ArchTest
  static final ArchRule noClock =
      noClasses()
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.time.Clock")
          .orShould()
          .callMethod(java.time.Instant.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis")
          .because("the same readings and date give the same finding");

  @ArchTest
  static final ArchRule stationsStandAlone =
      slices()
          .assignedFrom(new StationPackages())
          .should()
          .notDependOnEachOther()
          .because("stations meet in what is shared only");

  @ArchTest
  static final ArchRule sharedKnowNoStation =
      noClasses()
          .that()
          .resideInAnyPackage(
              SHARED.stream().map(name -> "zebrawood." + name + "..").toArray(String[]::new))
          .should()
          .dependOnClassesThat(
              com.tngtech.archunit.base.DescribedPredicate.describe(
                  "are of a station", c -> !StationPackages.station(c).isEmpty()))
          .because("a new station changes nothing that is shared");

  private static final class StationPackages implements SliceAssignment {
    static String station(JavaClass type) {
      String[] parts = type.getPackageName().split("\\.");
      boolean ours = parts.length > 1 && parts[0].equals("zebrawood");
      return ours && !SHARED.contains(parts[1]) ? parts[1] : "";
    }

    @Override
    public SliceIdentifier getIdentifierOf(JavaClass type) {
      String station = station(type);
      return station.isEmpty() ? SliceIdentifier.ignore() : SliceIdentifier.of(station);
    }

    @Override
    public String getDescription() {
      return "stations";
    }
  }
}
