package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.power.CurveWay;
import zebrawood.desktop.power.PowerModel;
import zebrawood.desktop.power.PowerWay;
import zebrawood.desktop.workshop.Happening;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.measure.Verdict;

/** The ceiling, the check, the curve, a list of settings and the ageing, in the window. */
class PowerWindowTest extends WindowTest {
  @TempDir private Path folder;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() ->
        app.model().opened().ledger().entries().stream()
            .filter(e -> e.stationId().equals("power"))
            .toList());
  }

  private String typed(String selector) {
    return onInterface(() -> ((TextField) node(selector)).getText());
  }

  @ParameterizedTest
  @EnumSource(PowerWay.class)
  void everyWayBringsTheStandInToItsCurrent(PowerWay way) {
    open("Alder", "power");
    choose("#power-way", way);
    press("#practise");
    for (int round = 0; round < 4 && !page().contains("In order. Rounds"); round++) {
      press("#read-all");
      if (!page().contains("In order. Rounds")) {
        press("#primary");
      }
    }
    assertThat(page()).contains("Leave ").contains("In order. Rounds");
    if (way != PowerWay.FACTORY) {
      double off =
          Double.parseDouble(page().replaceFirst("(?s).*current is off by ([0-9.]+) mA.*", "$1"));
      assertThat(off).isCloseTo(0, within(1.0));
    }
    assertThat(entries()).as("nothing of it is recorded").isEmpty();
  }

  @Test
  void aReadingAboveTheMaximumStopsAndNothingIsExtrapolated() {
    open("Alder", "power");
    assertThat(page()).contains("up to 40 kV").contains("stays on the tube");
    fill("#power-low-pulse", "4");
    fill("#power-tube-maximum", "28");
    fill("#power-meter", "0.5");
    fill("#power-share", "85");
    assertThat(page()).contains("3 more readings of the current");
    String[] dial = {"20", "40", "60"};
    String[] ma = {"6", "13", "20"};
    for (int i = 0; i < 3; i++) {
      fill("#power-dial-" + (i + 1) + "-percent", dial[i]);
      fill("#power-dial-" + (i + 1) + "-value", ma[i]);
    }
    // 23.8 mA lie above the highest that was read.
    assertThat(page()).contains("Read the current above 60 %").doesNotContain("Set the dial");
    fill("#power-dial-4-percent", "75");
    fill("#power-dial-4-value", "28.5");
    assertThat(page()).contains("Turn the dial down at once");
    fill("#power-dial-4-value", "26");
    assertThat(page()).contains("Set the dial to 69.5 %");
    fill("#power-at-top", "24");
    assertThat(page()).contains("Leave the dial");
    record();
    assertThat(entries().getLast().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(entries().getLast().figures().getFirst().id()).isEqualTo("off");
    assertThat(typed("#power-at-top")).as("read anew next time").isEmpty();
    choose("#power-way", PowerWay.CHECK);
    assertThat(typed("#power-agreed")).as("from the record").isEqualTo("23.8");
    assertThat(Double.parseDouble(typed("#power-slope"))).isCloseTo(0.4, within(0.001));
  }

  private void record() {
    int before = entries().size();
    goOnWithoutProof();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(
        "it is recorded",
        () ->
            app.model().opened().ledger().entriesAt(PowerModel.DEFINITION.station()).size()
                == before + 1);
    settle();
  }

  /** Eighteen months of one tube: overdue, worn, one bad reading, an end in sight. */
  @Test
  void theDemosTubeIsEighteenMonthsOldAndItsCheckOverdue() {
    open("Madder", "power");
    assertThat(page()).contains("not read for 30 days");
    unfold();
    fill("#power-at-top", "22");
    fill("#power-dial-now", "66.5");
    fill("#power-output", "66.8");
    fill("#power-hours", "1102");
    assertThat(page())
        .contains("Turn the dial up to 71.0 %")
        .contains("not read at the agreed current");
    fill("#power-at-top", "23.5");
    assertThat(page())
        .contains("Leave the dial")
        .contains("far off the others are left out: 1")
        .containsPattern("reaches the limit around 1[4-6][0-9][0-9] h")
        .contains("eight times in ten between")
        .contains("Planning rule by this data sheet, no promise")
        .contains("Output lost");
    fill("#power-output", "58");
    assertThat(page())
        .as("one reading alone")
        .contains("Read the output once more")
        .doesNotContain("Replace the tube.");
    fill("#power-loss-limit", "");
    assertThat(page()).contains("nobody said").doesNotContain("Replace the tube.");
  }

  /** What the old tube gave is no measure for the new one, and stays in the record. */
  @Test
  void aNewTubeHasItsOwnBaseline() {
    open("Madder", "power");
    unfold();
    fill("#power-at-top", "23.5");
    fill("#power-output", "80");
    assertThat(page()).contains("Output lost");
    fill("#power-label", "glass tube 80 W, no. 3007");
    assertThat(page()).doesNotContain("Output lost").contains("Four readings on different days");
    fill("#power-label", "glass tube 80 W, no. 2291");
    assertThat(page()).contains("Output lost");
    onInterface(() -> {
      app.model()
          .happened(Happening.now(EventKind.SOURCE_REPLACED, "new tube"), () -> {}, () -> {});
      return null;
    });
    until(
        "it is in the record",
        () ->
            app.model().opened().ledger().events().stream()
                .anyMatch(e -> e.kind() == EventKind.SOURCE_REPLACED));
    settle();
    fill("#power-output", "81");
    assertThat(page()).doesNotContain("Output lost").contains("Four readings on different days");
    assertThat(entries()).as("the old one is kept").hasSize(9);
  }

  /** A meter of the customer's, read twice on one day, is no wear; hours are added up. */
  @Test
  void anotherMeterIsToldByItsNameAndHoursAreAddedUp() {
    open("Madder", "power");
    unfold();
    fill("#power-at-top", "23.5");
    fill("#power-output", "60");
    fill("#power-hours-more", "12");
    assertThat(page()).contains("Output lost").contains("Read the output once more");
    fill("#power-meter-name", "Borrowed, no. 7");
    assertThat(page()).contains("Output lost").doesNotContain("another meter than at first");
    fill("#power-output", "67");
    record();
    assertThat(figure("hours")).isEqualTo(1001);
    fill("#power-at-top", "23.5");
    fill("#power-output", "62");
    fill("#power-hours-more", "0");
    fill("#power-meter-name", "Workshop's");
    assertThat(page())
        .contains("another meter than at first: its scale is fitted")
        .doesNotContain("Replace the tube.");
    record();
    assertThat(figure("hours")).isEqualTo(1001);
    onInterface(() -> {
      app.model().happened(Happening.now(EventKind.METER_CHANGED, "repaired"), () -> {}, () -> {});
      return null;
    });
    until(
        "it is in doubt",
        () ->
            app.model().opened().ledger().events().stream()
                .anyMatch(e -> e.kind() == EventKind.METER_CHANGED));
    settle();
    fill("#power-at-top", "23.5");
    fill("#power-output", "70");
    fill("#power-hours-more", "1");
    assertThat(page()).contains("another meter than at first: its scale is fitted");
  }

  private double figure(String id) {
    return entries().getLast().figures().stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElseThrow()
        .value();
  }

  @ParameterizedTest
  @CsvSource({"CURRENT, 1", "MARK, 4", "WATTS, 1", "JOULES, 10000"})
  void aCurveIsReadByWhatIsThere(CurveWay way, double perUnit) {
    open("Madder", "power");
    unfold();
    choose("#power-curve-way", way);
    unfold();
    String name =
        switch (way) {
          case CURRENT -> "current";
          case MARK -> "mark";
          case JOULES -> "joules";
          default -> "watts";
        };
    if (way == CurveWay.JOULES) {
      fill("#power-pulse-seconds", "10");
    }
    fill("#power-curve-resolution", "0.1");
    for (int i = 1; i <= 5; i++) {
      // A straight line from a tenth on.
      double value = 0.25 * (20 * i - 10) * perUnit;
      fill("#power-curve-" + name + "-" + i + "-percent", String.valueOf(20 * i));
      fill("#power-curve-" + name + "-" + i + "-value", String.valueOf(value));
    }
    fill("#power-wanted-percent", "50");
    String unit = way == CurveWay.CURRENT ? "mA" : way == CurveWay.MARK ? "%" : "W";
    String half = way == CurveWay.MARK ? "40.0" : "10.0";
    assertThat(page())
        .contains("Light begins at 10.0")
        .containsPattern("50.0 % gives " + half + " ± [0-9.]+ " + unit);
    fill("#power-wanted-output", way == CurveWay.MARK ? "60" : "15");
    assertThat(page()).containsPattern("takes 70.0 ± [0-9.]+ %");
    fill("#power-wanted-output", "1000");
    assertThat(page()).contains("lies beyond what was read");
  }

  @Test
  void aProbeThatWarmsGivesWatts() {
    open("Madder", "power");
    unfold();
    choose("#power-curve-way", CurveWay.PROBE);
    unfold();
    String[][] typed = {
      {"heat-capacity", "180"}, {"pulse-seconds", "20"}, {"probe-room", "22"},
      {"cools-from", "30"}, {"cools-to", "29.2"}, {"cools-seconds", "60"},
      {"curve-resolution", "1"}
    };
    for (String[] each : typed) {
      fill("#power-" + each[0], each[1]);
    }
    double perSecond = Math.log(8 / 7.2) / 60;
    for (int i = 1; i <= 4; i++) {
      double watts = 0.8 * (25 * i - 5);
      double end = 22 + watts / 180 / perSecond * (1 - Math.exp(-20 * perSecond));
      fill("#power-curve-probe-" + i + "-percent", String.valueOf(25 * i));
      fill("#power-curve-probe-" + i + "-start", "22");
      fill("#power-curve-probe-" + i + "-end", String.format("%.3f", end));
    }
    fill("#power-wanted-percent", "100");
    assertThat(page()).contains("100.0 % gives 76.0").contains("Light begins at 5.0");
  }

  @Test
  void aListOfSettingsIsRemadeAndTheOldOneStays() throws IOException {
    Path list = folder.resolve("jobs.csv");
    Files.writeString(
        list, "name,percent,speedMmS,stock\nedge,50,20,birch\ncut,98,10,\"birch, thick\"\n");
    open("Madder", "power");
    unfold();
    fill("#power-settings-file", list.toString());
    press("#power-settings-make");
    assertThat(page()).contains("This needs the curve as it is now");
    String[] now = {"4.2", "22.0", "38.5", "53.5", "66.6"};
    for (int i = 0; i < now.length; i++) {
      fill("#power-curve-watts-" + (i + 1) + "-percent", String.valueOf(20 * (i + 1)));
      fill("#power-curve-watts-" + (i + 1) + "-value", now[i]);
    }
    press("#power-settings-make");
    until("it is made", () -> Files.exists(folder.resolve("jobs-new.csv")));
    until("it is told", () -> told("2 settings are in"));
    assertThat(page()).contains("1 keeps its watts, 1 does not").contains("cut no longer has");
    List<String> lines = Files.readAllLines(folder.resolve("jobs-new.csv"));
    assertThat(lines.getFirst()).isEqualTo("name,percent,speedMmS,stock,reachable");
    assertThat(lines.get(1)).matches("edge,58[.0-9]*,20,birch,true");
    assertThat(lines.get(2)).startsWith("cut,100,8.").endsWith(",\"birch, thick\",false");
    assertThat(Files.readString(list)).contains("edge,50,20,birch");
    press("#power-settings-make");
    until("it is told", () -> told("is there already"));
    fill("#power-settings-file", folder.resolve("gone.csv").toString());
    press("#power-settings-make");
    until("it is told", () -> told("there is no file"));
  }

  private boolean told(String words) {
    return app.scene().getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Labeled label && label.getText().contains(words));
  }

  @Test
  void theTableToStickOnTheMachineIsWritten() throws IOException {
    open("Madder", "power");
    unfold();
    press("#power-print");
    assertThat(page()).contains("Three readings well above the threshold");
    for (int i = 1; i <= 5; i++) {
      fill("#power-curve-watts-" + i + "-percent", String.valueOf(20 * i));
      fill("#power-curve-watts-" + i + "-value", String.valueOf(16 * i - 8));
    }
    press("#power-print");
    fill("#handover-folder", folder.resolve("paper").toString());
    press("#handover-write");
    until(
        "it is written",
        () -> {
          try (var files = Files.list(folder.resolve("paper"))) {
            return files.anyMatch(f -> f.toString().endsWith(".pdf"));
          } catch (IOException e) {
            return false;
          }
        });
    try (var files = Files.list(folder.resolve("paper"))) {
      Path html = files.filter(f -> f.toString().endsWith(".html")).findFirst().orElseThrow();
      assertThat(Files.readString(html))
          .contains("<td>50 %</td><td class=\"much\">32.0 W</td>")
          .contains("strip at 100 %, 20 mm/s")
          .contains("Madder");
    }
  }

  @Test
  void aSourceToldByAWordIsBroughtToItsWholeScale() {
    open("Flint", "power");
    assertThat(page()).contains("test marks burn").doesNotContain("High voltage");
    press("#practise");
    press("#read-all");
    assertThat(page()).contains("Set the job software's top power word");
    press("#primary");
    press("#read-all");
    assertThat(page()).contains("Leave the power scale").contains("In order");
  }
}
