package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.app.Ran.run;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The record from the command line, in this very process. */
class RecordCommandsTest {
  @TempDir Path folder;

  @Test
  void aMachinesRecordGoesFromOneWorkshopToAnother() throws IOException {
    String from = folder.resolve("from.zebrawood").toString();
    String to = folder.resolve("to.zebrawood").toString();
    String passport = folder.resolve("flint.passport").toString();
    String sheet = folder.resolve("flint.pdf").toString();
    assertThat(run("demo", "--workshop", from).code()).isZero();
    assertThat(run("demo", "--workshop", from).code()).isEqualTo(2);
    Ran written = run("passport", "export", "flint", passport, "--workshop", from);
    assertThat(written.err()).isEmpty();
    assertThat(written.code()).isZero();
    ((Opening.Opened) Workshop.open(Path.of(to))).workshop().close();
    Ran taken = run("passport", "import", passport, "--workshop", to);
    assertThat(taken.code()).isZero();
    assertThat(taken.out()).startsWith("Flint: ").contains("taken in");
    assertThat(run("passport", "import", passport, "--workshop", to).out())
        .contains("0 lines taken in");
    Ran sound = run("workshop", "check", to);
    assertThat(sound.code()).isZero();
    assertThat(sound.out()).contains("is sound: 1 machines");
    assertThat(run("sheet", "Flint", sheet, "--workshop", to).code()).isZero();
    assertThat(Files.readAllBytes(Path.of(sheet))).startsWith('%', 'P', 'D', 'F');
    Files.writeString(
        Path.of(passport), Files.readString(Path.of(passport)).replace("Flint", "Flimt"));
    Ran changed = run("passport", "import", passport, "--workshop", to);
    assertThat(changed.code()).isEqualTo(2);
    assertThat(changed.out()).isEmpty();
    assertThat(changed.err().strip().lines()).hasSize(1);
    Ran nobody = run("passport", "export", "Nobody", passport, "--workshop", to);
    assertThat(nobody.err()).contains("Flint").doesNotContain("Exception");
  }

  @Test
  void whatIsNeitherACommandNorAFileIsSaid() {
    Ran ran = run(folder.resolve("nothing.zebrawood").toString());
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err()).contains("nothing.zebrawood", "is not known here", "--help");
    assertThat(run("dcotor").err()).containsIgnoringCase("dcotor is not known here");
  }

  /** As a full disk does it: what was begun is rolled back before anybody asks for it. */
  @Test
  void aFullDiskTakesNothingAndIsSaid() throws Exception {
    String from = folder.resolve("from.zebrawood").toString();
    String to = folder.resolve("to.zebrawood").toString();
    String passport = folder.resolve("flint.passport").toString();
    run("demo", "--workshop", from);
    run("passport", "export", "Flint", passport, "--workshop", from);
    ((Opening.Opened) Workshop.open(Path.of(to))).workshop().close();
    try (var connection = DriverManager.getConnection("jdbc:sqlite:" + to);
        var sql = connection.createStatement()) {
      sql.execute(
          "CREATE TRIGGER full BEFORE INSERT ON entry BEGIN SELECT RAISE(ROLLBACK, 'is full'); END");
    }
    Ran refused = run("passport", "import", passport, "--workshop", to);
    assertThat(refused.code()).isEqualTo(2);
    assertThat(refused.err()).contains("is full", "othing").doesNotContain("transaction");
    assertThat(refused.err().strip().lines()).hasSize(1);
    assertThat(run("workshop", "check", to).out()).contains("0 machines");
  }
}
