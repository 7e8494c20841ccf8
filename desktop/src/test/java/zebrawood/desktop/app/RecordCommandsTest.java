package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.app.Ran.run;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Language;
import zebrawood.words.Phrasebook;

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

  @ParameterizedTest
  @EnumSource
  void noWordOfAHandOverSheetRunsOutOfThePage(Language language) throws IOException {
    String from = folder.resolve("from.zebrawood").toString();
    String sheet = folder.resolve("sheet.pdf").toString();
    Text.use(Phrasebook.of(language, DisplayUnits.METRIC));
    try {
      run("demo", "--workshop", from);
      for (String machine : List.of("Alder", "Bryony", "Flint", "Madder")) {
        Files.deleteIfExists(Path.of(sheet));
        assertThat(run("sheet", machine, sheet, "--workshop", from).code()).isZero();
        assertThat(outside(Path.of(sheet))).as(machine).isEmpty();
      }
    } finally {
      Text.use(Phrasebook.ENGLISH);
    }
  }

  /** The lines that reach into the margin at the right, which is 16 mm wide. */
  private static List<String> outside(Path pdf) throws IOException {
    double marginPt = 15.5 / 25.4 * 72;
    List<String> outside = new ArrayList<>();
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      PDFTextStripper lines =
          new PDFTextStripper() {
            @Override
            protected void writeString(String line, List<TextPosition> letters) throws IOException {
              if (letters.stream()
                  .anyMatch(
                      l -> l.getXDirAdj() + l.getWidthDirAdj() > l.getPageWidth() - marginPt)) {
                outside.add(line);
              }
              super.writeString(line, letters);
            }
          };
      assertThat(lines.getText(document)).isNotBlank();
    }
    return outside;
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
