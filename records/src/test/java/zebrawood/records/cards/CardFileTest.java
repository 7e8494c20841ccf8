package zebrawood.records.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.cards.BookLine;
import zebrawood.cards.BookLine.Air;
import zebrawood.cards.BookLine.Origin;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanReadings;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Phrasebook;

class CardFileTest {
  @TempDir Path folder;

  private static CardPlanReadings plan(OptionalDouble top) {
    return new CardPlanReadings(
        List.of(20.0, 40.0),
        List.of(50.0, 100.0, 200.0),
        List.of(6.0, 5.0),
        2,
        List.of(60.0, 50.0),
        0.5,
        OptionalDouble.of(1500),
        List.of(600.0, 400.0),
        top,
        OptionalDouble.of(250),
        OptionalDouble.empty(),
        new CardPlanReadings.CrossAt(20, 40),
        OptionalInt.of(4));
  }

  private String written(String name, OptionalDouble top) throws IOException {
    Path to = folder.resolve(name);
    new CardFile(plan(top)).write(to.toString(), Phrasebook.ENGLISH);
    return Files.readString(to);
  }

  @Test
  void everySettingHasAColourAndALayerOfItsOwn() throws IOException {
    String svg = written("card.svg", OptionalDouble.of(1000));
    assertThat(
            Pattern.compile("class=\"(p[^\"]*)\"[^>]*stroke=\"(#[0-9a-f]{6})\"")
                .matcher(svg)
                .results()
                .map(m -> m.group(1) + " " + m.group(2))
                .distinct())
        .hasSize(6);
    assertThat(
            Pattern.compile("class=\"p[^\"]*\"[^>]*stroke=\"(#[0-9a-f]{6})\"")
                .matcher(svg)
                .results()
                .map(m -> m.group(1))
                .distinct())
        .hasSize(6);
    assertThat(svg).contains("class=\"p20-v50\"").contains("M60 -50 L66 -50 L66 -55 L60 -55 Z");
    String dxf = written("card.dxf", OptionalDouble.of(1000));
    assertThat(dxf.lines().filter("p40-v200"::equals)).hasSize(4);
    assertThat(dxf).contains("labels").contains("crosses");
  }

  @Test
  void aTableSaysWhatIsTypedForEachRun() throws IOException {
    List<String> lines = written("card.csv", OptionalDouble.empty()).lines().toList();
    assertThat(lines).hasSize(7);
    assertThat(lines.get(1)).startsWith("1,").contains(",p20-v50,1,1,20,50,0.5");
    assertThat(lines.get(5)).startsWith("2,");
  }

  @Test
  void theLegendNamesPowersAndSpeeds() throws IOException {
    Path to = folder.resolve("legend.pdf");
    new CardFile(plan(OptionalDouble.empty())).write(to.toString(), Phrasebook.ENGLISH);
    try (var document = Loader.loadPDF(to.toFile())) {
      assertThat(new PDFTextStripper().getText(document))
          .contains("20, 40 per cent", "50, 100, 200 mm/s");
    }
  }

  @Test
  void withoutATopWordThereIsNoProgramAndNothingIsWrittenOver() throws IOException {
    assertThat(written("card.gcode", OptionalDouble.of(1000))).startsWith("G21");
    assertThatThrownBy(() -> written("card.gcode", OptionalDouble.of(1000)))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> written("other.gcode", OptionalDouble.empty()))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> written("card.txt", OptionalDouble.of(1000)))
        .isInstanceOf(UnusableReading.class);
    assertThat(folder.toFile().list()).containsExactly("card.gcode");
  }

  /** A label is wider than the crosses reach, and stands where nobody looked whether it fits. */
  @Test
  void aProgramNeverLeavesTheBedForALabel() throws IOException {
    CardPlanReadings corner =
        new CardPlanReadings(
            List.of(20.0, 40.0),
            List.of(100.125, 200.125),
            List.of(6.0, 5.0),
            2,
            List.of(7.0, 7.0),
            0.5,
            OptionalDouble.of(1_000_000),
            List.of(600.0, 400.0),
            OptionalDouble.of(1000),
            OptionalDouble.of(250),
            OptionalDouble.empty(),
            new CardPlanReadings.CrossAt(20, 40),
            OptionalInt.empty());
    Path to = folder.resolve("corner.gcode");
    new CardFile(corner).write(to.toString(), Phrasebook.ENGLISH);
    String program = Files.readString(to);
    assertThat(program).doesNotContain("X-").doesNotContain("Y-").endsWith("M5\n");
    // The powers have room below, and are burnt behind the last cross.
    assertThat(program.lines().count())
        .isGreaterThan(CardPlan.solve(corner).gcode().text().orElseThrow().lines().count());
  }

  @Test
  void aBookComesBackAsItWentAndCountsAsCopied() throws IOException {
    BookLine line =
        new BookLine(
            "plates, \"large\"",
            OptionalDouble.of(152.5),
            OptionalDouble.empty(),
            OptionalDouble.of(34),
            OptionalDouble.of(0.1),
            OptionalDouble.of(2),
            OptionalDouble.of(30),
            OptionalDouble.of(-1.5),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.of(0.05),
            Optional.of(Air.LEAST),
            Origin.CARD);
    String name = folder.resolve("book").toString();
    BookFile.of("laminate, 2.5 inch", List.of(line)).write(name, Phrasebook.ENGLISH);
    for (String ending : List.of(".csv", ".json")) {
      List<BookLine> read = BookFile.read(name + ending);
      assertThat(read).hasSize(1);
      assertThat(read.getFirst()).usingRecursiveComparison().ignoringFields("from").isEqualTo(line);
      assertThat(read.getFirst().from()).isEqualTo(Origin.COPIED);
    }
    Path shelf = folder.resolve("shelf.pdf");
    BookFile.of("laminate, 2.5 inch", List.of(line)).write(shelf.toString(), Phrasebook.ENGLISH);
    try (var document = Loader.loadPDF(shelf.toFile())) {
      assertThat(new PDFTextStripper().getText(document))
          .contains("laminate, 2.5 inch", "152.5", "least", "card");
    }
    Path bad = folder.resolve("bad.csv");
    Files.writeString(bad, "work,percent\nplates,much\n");
    assertThatThrownBy(() -> BookFile.read(bad.toString()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("percent");
    Files.writeString(folder.resolve("none.csv"), "a,b\n1,2\n");
    assertThatThrownBy(() -> BookFile.read(folder.resolve("none.csv").toString()))
        .isInstanceOf(UnusableReading.class);
  }
}
