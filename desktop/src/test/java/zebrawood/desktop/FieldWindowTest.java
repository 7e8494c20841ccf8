package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.field.BurntThrough;
import zebrawood.desktop.field.FieldModel;
import zebrawood.desktop.field.FieldWay;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.measure.Verdict;
import zebrawood.records.field.FieldTable;

/** Square, grid and scan of a galvo head, in the window. */
class FieldWindowTest extends WindowTest {
  @TempDir private Path folder;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private boolean told(String words) {
    return app.scene().getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Labeled label && label.getText().contains(words));
  }

  private void measured() {
    until("it is measured", () -> !app.scene().lookup("#primary").isDisabled());
    settle();
  }

  private double figureBehind(String words) {
    return Double.parseDouble(page().replaceFirst("(?s).*" + words + "([0-9.]+) mm.*", "$1"));
  }

  @ParameterizedTest
  @EnumSource(FieldWay.class)
  void everyWayBringsTheStandInToTrueSize(FieldWay way) {
    open("Bryony", "field");
    choose("#field-way", way);
    // Which head it is, the clock says: one whose errors a first reading decides.
    clock.advance(Duration.ofMinutes(3));
    press("#practise");
    press("#read-all");
    measured();
    assertThat(page()).contains("Multiply the scale").contains("Move the pointer by");
    for (int round = 0; round < 2 && !page().contains("In order. Rounds"); round++) {
      press("#primary");
      press("#read-all");
      measured();
    }
    assertThat(page()).contains("Leave the field").contains("In order. Rounds");
    assertThat(figureBehind("the edge is off by ")).isCloseTo(0, within(0.3));
    assertThat(figureBehind(", the pointer by ")).isCloseTo(0, within(0.1));
  }

  @Test
  void theDemosHeadIsTwelvePercentLargeAndSkewed() {
    open("Bryony", "field");
    assertThat(page()).contains("with this lens: 100 mm");
    Entry found =
        onInterface(() ->
            app.model()
                .opened()
                .ledger()
                .entriesOfFitted(FieldModel.DEFINITION.station())
                .getLast());
    assertThat(found.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(found.figures().getFirst().value()).isCloseTo(0.12 * 55, within(0.01));
  }

  @Test
  void aSquareIsMeasuredCorrectedAndRecorded() {
    open("Bryony", "field");
    fill("#field-tolerance", "0.1");
    fill("#field-resolution", "0.5");
    fill("#field-commanded", "50");
    fill("#field-across", "56");
    fill("#field-up", "50");
    assertThat(page()).contains("even the largest square of this field does not decide");
    fill("#field-resolution", "0.05");
    fill("#field-commanded", "100");
    fill("#field-across", "112");
    fill("#field-up", "100");
    assertThat(page())
        .contains("Multiply the scale of x by 0.89286 and that of y by 1.00000")
        .contains("The focus of this lens does not hold");
    fill("#field-across", "100.02");
    assertThat(page()).contains("Leave the field");
    recordASecond();
  }

  private void recordASecond() {
    goOnWithoutProof();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(
        "it is recorded",
        () ->
            app.model().opened().ledger().entriesOfFitted(FieldModel.DEFINITION.station()).size()
                == 2);
  }

  @Test
  void practiceLeavesTheRecordAlone() {
    open("Bryony", "field");
    press("#practise");
    press("#read-all");
    measured();
    press("#field-shimmed");
    assertThat(shows("#event-kinds")).isFalse();
    assertThat(told("nothing is put down while you practise")).isTrue();
    press("#secondary");
    fill("#field-tolerance", "0.1");
    fill("#field-resolution", "0.05");
    fill("#field-commanded", "100");
    fill("#field-across", "112");
    fill("#field-up", "100");
    assertThat(page()).contains("The focus of this lens does not hold");
    unfold();
    press("#field-shimmed");
    assertThat(shows("#event-kinds")).isTrue();
  }

  private double middleOf(List<Line> lines, double height) {
    return lines.stream()
        .filter(l -> Math.abs(l.getStartY() - height) < 1 && Math.abs(l.getEndY() - height) < 1)
        .mapToDouble(l -> (l.getStartX() + l.getEndX()) / 2)
        .average()
        .orElseThrow();
  }

  /** The diagonal that rises to the right is the longer one: the top leans to the right. */
  @Test
  void theSquareIsDrawnAsItCameOutBesideTheOneOfTheRecord() {
    open("Bryony", "field");
    fill("#field-tolerance", "0.1");
    fill("#field-resolution", "0.05");
    fill("#field-commanded", "90");
    fill("#field-across", "90");
    fill("#field-up", "90");
    unfold();
    fill("#field-rising", "128.3");
    fill("#field-falling", "126.3");
    assertThat(page()).contains("Change the squareness by -15.72 mrad");
    List<Line> all =
        app.scene().getRoot().lookupAll(".field-error").stream().map(Line.class::cast).toList();
    // Two squares, one below the other: that of the record, and the one of now.
    double half = all.stream().mapToDouble(Line::getStartY).average().orElseThrow();
    List<Line> now = all.stream().filter(l -> l.getStartY() > half).toList();
    double top = now.stream().mapToDouble(Line::getStartY).min().orElseThrow();
    double bottom = now.stream().mapToDouble(Line::getStartY).max().orElseThrow();
    assertThat(middleOf(now, top)).isGreaterThan(middleOf(now, bottom) + 2);
    assertThat(
            app.scene().getRoot().lookupAll(".plan-side").stream().map(n -> ((Text) n).getText()))
        .contains("as recorded last: errors × 1, 6.60 mm off at the edge");
  }

  private void paste(List<String> lines) {
    onInterface(() -> {
      ((TextArea) node("#field-grid")).setText(String.join("\n", lines));
      return null;
    });
    settle();
  }

  @Test
  void slipsOfTypingInAGridAreNamed() {
    open("Bryony", "field");
    choose("#field-way", FieldWay.GRID);
    fill("#field-tolerance", "0.1");
    fill("#field-resolution", "0.05");
    List<String> right = new ArrayList<>();
    List<String> exchanged = new ArrayList<>();
    for (int i = 0; i < 49; i++) {
      double u = 18 * (i % 7 - 3);
      double v = 18 * (i / 7 - 3);
      double x = 1.02 * u + 0.01 * (i % 3);
      double y = 0.99 * v - 0.01 * (i % 2);
      right.add(String.format(Locale.ROOT, "%.0f;%.0f;%.2f;%.2f", u, v, x, y));
      exchanged.add(String.format(Locale.ROOT, "%.0f;%.0f;%.2f;%.2f", u, v, y, x));
    }
    paste(right);
    assertThat(page()).contains("Or load the table").doesNotContain("left out");
    List<String> misread = new ArrayList<>(right);
    misread.set(10, right.get(10).replaceFirst("[^;]*$", "-37.36"));
    paste(misread);
    assertThat(page()).contains("The mark at 0.0, -36.0 mm does not belong to the others");
    assertThat(app.scene().getRoot().lookupAll(".field-left")).hasSize(48 + 2);
    List<String> swapped = new ArrayList<>();
    for (int i = 0; i < 49; i++) {
      int from = i < 7 ? i + 7 : i < 14 ? i - 7 : i;
      String its = right.get(i).replaceFirst(";[^;]*;[^;]*$", "");
      swapped.add(its + right.get(from).replaceFirst("^[^;]*;[^;]*", ""));
    }
    paste(swapped);
    assertThat(page())
        .contains("the rows at y -54.0 and -36.0 mm each in the other's place")
        .doesNotContain("load the table");
    paste(exchanged);
    assertThat(page()).contains("x and y of the measured places exchanged");
  }

  /** It is made again of what was kept, joined to the file that was named. */
  private void theRecordedTableIsTheSame() {
    recordASecond();
    settle();
    fill("#field-table-file", folder.resolve("third").toString());
    press("#field-write-recorded");
    until("it is told", () -> told("joined to what it was burnt through"));
    assertThat(FieldTable.read(folder.resolve("third").toString()))
        .isEqualTo(FieldTable.read(folder.resolve("second").toString()));
  }

  @Test
  void aPastedGridGivesCoefficientsTableShimsAndFiles() throws IOException {
    open("Bryony", "field");
    choose("#field-way", FieldWay.GRID);
    unfold();
    fill("#field-tolerance", "0.1");
    fill("#field-resolution", "0.05");
    StringBuilder grid = new StringBuilder("x;y;mx;my\n");
    for (int i = -3; i <= 3; i++) {
      for (int k = -3; k <= 3; k++) {
        double u = 18 * i;
        double v = 18 * k;
        double further = 1 + 1e-4 * v;
        grid.append(String.format("%.0f;%.0f;%.2f;%.2f%n", u, v, 1.1 * u * further, v * further));
      }
    }
    onInterface(() -> {
      ((TextArea) node("#field-grid")).setText("1;2;three;4");
      return null;
    });
    settle();
    assertThat(page()).contains("line 1").contains("three");
    onInterface(() -> {
      ((TextArea) node("#field-grid")).setText(grid.toString());
      return null;
    });
    settle();
    fill("#field-distance", "170");
    fill("#field-column-base", "100");
    fill("#field-at-hand", "0.5, 0.2, 0.1");
    assertThat(page())
        .contains("Or load the table of 65 by 65")
        .contains("scale x 0.909")
        .contains("top wider than bottom by 1.09")
        .contains("under the column's edge at the front, as 3 × 0.5 + 0.2 mm");
    press("#field-shimmed");
    assertThat(page()).contains("Field");
    press("#event-confirm");
    signIfAsked();
    until(
        "it is an event",
        () -> app.model().opened().ledger().events().getLast().kind() == EventKind.HEAD_SHIMMED);
    settle();
    fill("#field-table-size", "33");
    assertThat(page()).contains("Or load the table of 33 by 33");
    fill("#field-table-file", folder.resolve("lens100").toString());
    press("#field-write-table");
    until("it is written", () -> Files.exists(folder.resolve("lens100.json")));
    assertThat(Files.readAllLines(folder.resolve("lens100.csv"))).hasSize(33 * 33 + 1);
    until("it is told", () -> told("It holds where no table was loaded"));
    press("#field-write-recorded");
    until("it is told", () -> told("No measured grid of this lens is recorded"));
    choose("#field-burnt", BurntThrough.FILE);
    fill("#field-loaded-table", folder.resolve("none").toString());
    fill("#field-table-file", folder.resolve("second").toString());
    press("#field-write-table");
    until("it is told", () -> told("there is no such file"));
    fill("#field-loaded-table", folder.resolve("lens100.json").toString());
    press("#field-write-table");
    until("it is told", () -> told("joined to the table"));
    assertThat(folder.resolve("second.json")).exists();
    theRecordedTableIsTheSame();
    press("#field-size-grid");
    assertThat(words("#field-pitch")).as("crosses and all in the field").isEqualTo("10.5");
    assertThat(words("#field-cross-size")).isEqualTo("5");
    fill("#field-burn-file", folder.resolve("grid.svg").toString());
    press("#field-write-grid");
    until("it is written", () -> Files.exists(folder.resolve("grid.svg")));
    settle();
    press("#field-write-grid");
    until("it is told", () -> told("is there already"));
    String[] marks = {"-50", "-50", "-49", "-51", "50", "50", "51", "49"};
    String[] names = {"x", "y", "px", "py"};
    for (int i = 0; i < marks.length; i++) {
      fill("#field-pointer-" + (i / 4 + 1) + "-" + names[i % 4], marks[i]);
    }
    assertThat(page()).contains("Move the pointer by -1.00 to the right and 1.00 mm up");
    fill("#field-spot", "0.1");
    fill("#field-interval", "0.05");
    assertThat(page()).contains("Lines overlap by 50 %");
  }
}
