package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.feed.FeedStation;
import zebrawood.jobfile.FileUnit;
import zebrawood.ledger.Standing;
import zebrawood.rotary.RotaryIn;
import zebrawood.rotary.RotaryStation;
import zebrawood.rotary.School;
import zebrawood.rotary.TakenOut;

/** A rotary and a long piece in the real window. */
class FixturesWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
      sleep(20);
    }
  }

  private void record() {
    goOnWithoutProof();
    until("it can be recorded", () -> !node("#primary").isDisabled());
    press("#primary");
    signIfAsked();
  }

  @Test
  void aGearThatNobodyKnewIsFoundByALineOnceRound() {
    open("Alder", "rotary");
    unfold();
    String[] typed = {
      "steps-per-turn",
      "6400",
      "diameter",
      "60",
      "set",
      "33.953",
      "round",
      "100",
      "along",
      "50",
      "depth",
      "2",
      "tolerance",
      "0.5",
      "turn-sent",
      "188.5",
      "closes-by",
      "-1"
    };
    for (int i = 0; i < typed.length; i += 2) {
      fill("#rotary-" + typed[i], typed[i + 1]);
    }
    says("The line once round says");
    says("steps a millimetre round the work");
    fill("#rotary-closes-by", "100");
    says("less than half the circumference");
    fill("#rotary-closes-by", "0");
    says("Leave it as it is set");
    record();
    until("it holds", () -> app.model().opened().standing(RotaryStation.STATION).holds());
  }

  @Test
  void slippingIsToldFromAFactor() {
    open("Alder", "feed");
    assertThat(onInterface(() -> app.model().opened().standing(FeedStation.STATION)))
        .isInstanceOf(Standing.Idle.class);
    String[] measured = {"297", "302", "299"};
    for (int i = 0; i < measured.length; i++) {
      fill("#feed-feed-" + (i + 1) + "-commanded", "300");
      fill("#feed-feed-" + (i + 1) + "-measured", measured[i]);
    }
    fill("#feed-piece", "1500");
    fill("#feed-window", "400");
    says("Stop the slipping first");
    for (int i = 0; i < measured.length; i++) {
      fill("#feed-feed-" + (i + 1) + "-measured", "297");
    }
    says("Command 404.04 mm a section");
    fill("#feed-overlap", "400");
    says("less than the window");
  }

  @Test
  void howTheWorkLiesIsReadAndEachSchoolHasItsWords() {
    open("Alder", "rotary");
    unfold();
    String[] typed = {
      "steps-per-turn", "6400", "diameter", "60", "round", "100", "along", "80", "depth", "1",
      "apart", "100", "off", "1.5", "aside", "20", "front", "11", "rear", "4.8"
    };
    for (int i = 0; i < typed.length; i += 2) {
      fill("#rotary-" + typed[i], typed[i + 1]);
    }
    says("Move the far end of the rotary 1.5 mm to the rear");
    says("to the front");
    choose("#rotary-school", School.DIAMETER);
    fill("#rotary-typed", "50");
    says("Type 60.000 mm as the work's diameter in the job software");
    choose("#rotary-school", School.SCALE);
    fill("#rotary-set", "30");
    says("Scale the artwork round the work");
    fill("#rotary-front", "29");
    fill("#rotary-rear", "0");
    says("a gap that differs from the rear one");
  }

  @Test
  void jointsAreLaidWhereTheJobHasNothing() throws IOException {
    Path job = Files.writeString(file.resolveSibling("banner.nc"), BANNER);
    open("Alder", "feed");
    unfold();
    for (int i = 1; i <= 3; i++) {
      fill("#feed-feed-" + i + "-commanded", "300");
      fill("#feed-feed-" + i + "-measured", "297");
    }
    fill("#feed-read-to", "0.1");
    fill("#feed-piece", "1000");
    fill("#feed-window", "400");
    fill("#feed-job", job.toString());
    press("#feed-read-job");
    until("it was read", () -> !((TextInputControl) node("#feed-free")).getText().isEmpty());
    assertThat(words("#feed-free")).contains("320.1-360.0");
    says("joint 1 at 359.9 mm");
    says("joint 2 at");
    fill("#feed-width", "200");
    Path marks = file.resolveSibling("marks.svg");
    fill("#feed-marks-file", marks.toString());
    press("#feed-write-marks");
    says("marks.svg");
    String svg = Files.readString(marks);
    assertThat(svg.split("<path", -1)).hasSize(1 + 4 + 2 * 2 * 2);
    assertThat(svg)
        .contains("M356.9269 -5")
        .contains("viewBox=\"0 -200 1000 200\"")
        .contains("-195");
    fill("#feed-marks-file", marks.resolveSibling("marks.nc").toString());
    press("#feed-write-marks");
    says("a drawing that ends with svg or dxf");
    fill("#feed-free", "300 to 340");
    says("as 300-340; 500-510");
  }

  private static final String BANNER =
      """
      G21
      G90
      M4
      G0 X5 Y20
      G1 X320 S500 F6000
      G0 X360
      G1 X690
      G0 X730
      G1 X990
      M5
      """;

  private static final String SIGN =
      """
      ; a sign
      G90
      M4 S0
      G0 X20 Y20
      G1 X80 S%s F6000
      G1 Y60
      G1 X20
      G1 Y20 S0
      %s
      M2
      """;

  @Test
  void aJobFileIsLookedIntoBeforeItBurns() throws IOException {
    Path job = Files.writeString(file.resolveSibling("sign.nc"), SIGN.formatted("1500", "M5"));
    open("Alder", "jobfile");
    fill("#jobfile-file", job.toString());
    says("Press the button that reads it");
    press("#jobfile-look");
    says("10 lines, 5 moves");
    says("It says no unit");
    choose("#jobfile-unit", FileUnit.MM);
    fill("#jobfile-top-word", "1000");
    says("Set the largest power word to 1000");
    Files.writeString(
        job, SIGN.replace("Y20 S0", "Y20").formatted("900", "; nothing switches it off"));
    press("#jobfile-look");
    says("Have the job software switch the beam off at the end");
    Files.writeString(job, SIGN.formatted("900", "M5"));
    press("#jobfile-look");
    says("Leave it: nothing in it is wrong for this machine");
    record();
    until(
        "it is kept",
        () ->
            app.model().opened().ledger().entries().stream()
                .anyMatch(e -> e.stationId().equals("jobfile")));
    Files.writeString(job, "Dear aunt,\nno motion here.\n");
    fill("#jobfile-file", job.toString());
    press("#jobfile-look");
    says("no motion in 2 lines");
    fill("#jobfile-file", file.resolveSibling("none.nc").toString());
    press("#jobfile-look");
    says("no such file");
  }

  @Test
  void aRotaryThatIsInIsShownUntilAllIsUndone() {
    open("Madder", "rotary");
    until("it is shown", () -> ((Button) node("#fixture")).getText().contains("Rotary in since"));
    unfold();
    press("#rotary-is-out");
    says("Still to undo");
    assertThat(onInterface(() -> RotaryIn.since(app.model().opened().ledger()))).isPresent();
    onInterface(() -> {
      app.shell()
          .shownSheet()
          .orElseThrow()
          .model()
          .form()
          .proofs()
          .filter(p ->
              List.of(TakenOut.values()).stream()
                  .anyMatch(t -> t.name().equalsIgnoreCase(p.item())))
          .toList()
          .forEach(p -> p.set(true));
      return null;
    });
    press("#rotary-is-out");
    until("it is asked", () -> app.scene().lookup("#event-kinds") != null);
    keys(KeyCode.ENTER);
    signIfAsked();
    until("it is out", () -> RotaryIn.since(app.model().opened().ledger()).isEmpty());
    settle();
    assertThat(node("#fixture").isVisible()).isFalse();
    press("#rotary-is-in");
    until("it is asked", () -> app.scene().lookup("#event-kinds") != null);
    keys(KeyCode.ENTER);
    until("it is in", () -> RotaryIn.since(app.model().opened().ledger()).isPresent());
    until("it is shown", () -> ((Button) node("#fixture")).getText().contains("Rotary in since"));
  }

  @Test
  void aCopiedRecipeIsChangedOverCutAndTrusted() throws IOException {
    Path chart =
        Files.writeString(
            file.resolveSibling("chart.csv"),
            """
            sheet;thicknessMm;gas;pressureBar;nozzleMm;nozzle;standOffMm;focusMm;focusFrom;powerPercent;speedMmS;piercing;coolingS
            "brass, 1 mm";1;nitrogen;14;1,5;single;0,5;-0,4;sheet top;100;90;0.1 s 40 %;0,3
            """);
    open("Teasel", "recipe");
    unfold();
    fill("#recipe-sheet", "brass, 1 mm");
    fill("#recipe-thickness", "1");
    fill("#recipe-chart", chart.toString());
    press("#recipe-chart-take");
    says("Taken from the chart, row 1");
    says("Change the gas to nitrogen");
    says("Put in the nozzle of 1.50 mm, single");
    says("Set cooling points at sharp corners: beam off for 0.30 s");
    says("Cut a small square");
    assertThat(words("#recipe-cooling")).isEqualTo("0.3");
    choose("#recipe-cut", cutConstant());
    says("Leave it: this recipe cuts clean");
    fill("#recipe-thickness", "4");
    press("#recipe-chart-take");
    says("no row for brass, 1 mm, 4");
  }

  @SuppressWarnings("unchecked")
  private Object cutConstant() {
    return onInterface(
        () -> ((javafx.scene.control.ComboBox<Object>) node("#recipe-cut")).getItems().getLast());
  }
}
