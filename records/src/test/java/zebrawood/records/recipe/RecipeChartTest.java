package zebrawood.records.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.UnusableReading;
import zebrawood.recipe.Recipe;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Nozzle;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.recipe.Recipe.Stage;

class RecipeChartTest {
  private static final String HEADER =
      "sheet,thicknessMm,gas,pressureBar,nozzleMm,nozzle,standOffMm,focusMm,focusFrom,"
          + "powerPercent,speedMmS,frequencyKhz,dutyPercent,piercing,supplier,coolingS";
  private static final String STEEL =
      "\"Mild steel, S235\",6,oxygen,0.7,1.5,double,1,2.5,nozzle tip,90,40,,,"
          + "\"0.4 s 30 %; 0.3 s 70 %\",made up,0.5";
  private static final String BRASS =
      "brass,1,Nitrogen,14,2,single,0.6,-0.4,sheet top,100,90,5,60,,made up,";

  @TempDir private Path folder;

  private String chart(String... lines) throws IOException {
    Path file = folder.resolve("chart.csv");
    Files.writeString(file, String.join("\r\n", lines) + "\r\n");
    return file.toString();
  }

  @Test
  void aSheetIsFoundByItsNameAndThickness() throws IOException {
    RecipeChart chart = RecipeChart.read(chart(HEADER, STEEL, BRASS));
    RecipeChart.Row row = chart.of("mild STEEL, s235", 6);
    assertThat(row.number()).isOne();
    assertThat(row.recipe())
        .isEqualTo(
            new Recipe(
                "Mild steel, S235",
                6,
                Gas.OXYGEN,
                0.7,
                1.5,
                Nozzle.DOUBLE,
                1,
                2.5,
                FocusFrom.NOZZLE_TIP,
                90,
                40,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(new Stage(0.4, 30), new Stage(0.3, 70)),
                OptionalDouble.of(0.5),
                Origin.COPIED));
    Recipe brass = chart.of("brass", 1).recipe();
    assertThat(brass.frequencyKhz()).hasValue(5);
    assertThat(brass.dutyPercent()).hasValue(60);
    assertThat(brass.piercing()).isEmpty();
  }

  @Test
  void aSpreadsheetsOwnWaysAreUnderstood() throws IOException {
    String[] lines = {
      "\uFEFFsep=;",
      "Sheet;THICKNESSMM;gas;pressureBar;nozzleMm;nozzle;standOffMm;focusMm;focusFrom;"
          + "powerPercent;speedMmS",
      "brass;1,5;air;12,5;2;single;0,6;'-0,4;sheet top;100;90"
    };
    Recipe brass = RecipeChart.read(chart(lines)).of("brass", 1.5).recipe();
    assertThat(brass.pressureBar()).isEqualTo(12.5);
    assertThat(brass.focusMm()).isEqualTo(-0.4);
  }

  private void refused(String sheet, double mm, String because, String... lines)
      throws IOException {
    String file = chart(lines);
    assertThatThrownBy(() -> RecipeChart.read(file).of(sheet, mm))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining(because);
  }

  @Test
  void whatIsWrongIsNamedWithItsRowAndColumn() throws IOException {
    refused("brass", 3, "no row for brass, 3", HEADER, BRASS);
    refused("brass", 1, "no column nozzle", HEADER.replace(",nozzle,", ",x,"), BRASS);
    refused(
        "brass",
        1,
        "fast in row 2, column speedMmS",
        HEADER,
        STEEL,
        BRASS.replace(",90,5,", ",fast,5,"));
    refused("brass", 1, "helium in row 1, column gas", HEADER, BRASS.replace("Nitrogen", "helium"));
    refused("brass", 1, "pressureBar", HEADER, BRASS.replace(",14,", ",99,"));
    refused(
        "brass",
        1,
        "in row 1, column piercing",
        HEADER,
        BRASS.replace("5,60,,", "5,60,a while at full,"));
    assertThatThrownBy(() -> RecipeChart.read(folder.resolve("none.csv").toString()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("cannot be read as CSV");
  }
}
