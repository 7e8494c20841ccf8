package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.focus.FeltIfTried;
import zebrawood.desktop.focus.FocusModel;
import zebrawood.desktop.focus.FocusWay;
import zebrawood.desktop.focus.HeightKind;
import zebrawood.desktop.focus.TableScale;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;

/** Every way to find the focus, in the window. */
class FocusWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  @SuppressWarnings("unchecked")
  private void choose(FocusWay way) {
    onInterface(() -> {
      ((ComboBox<FocusWay>) node("#focus-way")).setValue(way);
      return null;
    });
    settle();
  }

  private void typeRamp(Map<String, String> widths) {
    choose(FocusWay.RAMP);
    int row = 1;
    for (var width : widths.entrySet()) {
      fill("#focus-ramp-" + row + "-at", width.getKey());
      fill("#focus-ramp-" + row + "-value", width.getValue());
      row++;
    }
  }

  private Entry last() {
    return onInterface(() ->
        app.model().opened().ledger().entriesOfFitted(FocusModel.DEFINITION.station()).getLast());
  }

  private int entries() {
    return onInterface(
        () -> app.model().opened().ledger().entriesAt(FocusModel.DEFINITION.station()).size());
  }

  private void record() {
    int before = entries();
    goOnWithoutProof();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(
        "it is recorded",
        () ->
            app.model().opened().ledger().entriesAt(FocusModel.DEFINITION.station()).size()
                == before + 1);
    settle();
  }

  /** By hand: root of 0.17^2 (1 + (t / 1.9)^2) with the focus at a gap of 6.4 mm. */
  private static final Map<String, String> WIDTHS =
      new java.util.TreeMap<>(
          Map.of(
              "020", "0.56", "050", "0.36", "075", "0.22", "095", "0.17", "115", "0.22", "140",
              "0.36", "180", "0.64"));

  /** From which place on the head the maker's figure is, once the best focus is found. */
  @Test
  void aMakersFigureIsToldFromWhereItIs() {
    openStation("focus");
    unfold();
    fill("#focus-maker-gap", "40");
    choose(FocusWay.GAUGE);
    fill("#focus-gauge", "7");
    fill("#focus-gauge-read", "0.1");
    assertThat(page()).contains("measure lens ring, line on the head, lower edge of the head");
    fill("#focus-lens-ring", "33");
    assertThat(page()).contains("The maker's 40 mm is from: lens ring");
    choose("#focus-felt", FeltIfTried.LEAVES_GAP);
    assertThat(page()).contains("Make the gap smaller until the gauge slides");
  }

  /** In inches a hundredth of a millimetre has eight signs: all of them are seen. */
  @Test
  void noFigureIsCutInANarrowField() {
    openStation("focus");
    choose(FocusWay.RAMP);
    onInterface(() -> {
      app.model().unitsProperty().set(app.model().units().with(DisplayUnits.Length.INCH));
      return null;
    });
    fill("#focus-resolution", "0.000787");
    TextField field = (TextField) node("#focus-resolution");
    double wide =
        onInterface(() -> {
          javafx.scene.text.Text ruler = new javafx.scene.text.Text(field.getText());
          ruler.setFont(field.getFont());
          return ruler.getLayoutBounds().getWidth();
        });
    double room = field.getWidth() - field.getInsets().getLeft() - field.getInsets().getRight();
    assertThat(wide).as("size " + field.getFont().getSize()).isLessThanOrEqualTo(room);
    double small = field.getFont().getSize();
    fill("#focus-resolution", "0.1");
    until("it is written larger again", () -> field.getFont().getSize() > small);
    assertThat(field.getFont().getSize()).isGreaterThan(small);
  }

  /** One rule for every sheet: what burns waits for today's proof, what only touches does not. */
  @Test
  void onlyWhatBurnsWaitsForTodaysProof() {
    openStation("focus");
    typeRamp(WIDTHS);
    assertThat(page()).contains("Not proven today");
    choose("#focus-way", FocusWay.GAUGE);
    assertThat(page()).doesNotContain("Not proven today");
    openStation("power");
    assertThat(page()).contains("Not proven today");
    goOnWithoutProof();
    assertThat(page()).doesNotContain("Not proven today");
    openStation("bed");
    assertThat(page()).doesNotContain("Not proven today");
  }

  @Test
  void aRampIsReadSetAndLeftWithinTheDepthOfFocus() {
    openStation("focus");
    assertThat(page()).contains("with this lens: 2.5 inch");
    typeRamp(WIDTHS);
    assertThat(page()).contains("Set the gap to 6.").contains("Read the gap it is set to");
    fill("#focus-set-gap", "9.0");
    assertThat(page()).contains("Make the gap smaller by 2.");
    record();
    assertThat(last().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(last().tellingFigure().orElseThrow().overLimit()).isTrue();
    assertThat(words("#focus-ramp-1-at")).as("the ramp stays for the visit").isEqualTo("020");
    assertThat(words("#focus-set-gap")).as("what it is set to is read anew").isEmpty();
    fill("#focus-set-gap", "6.5");
    assertThat(page()).contains("Leave it");
    record();
    assertThat(last().kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(last().subject()).contains("2.5 inch");
  }

  @Test
  void aDefocusThatWasLeftIsNotCountedAgain() {
    openStation("focus");
    typeRamp(WIDTHS);
    unfold();
    fill("#focus-stock", "3");
    fill("#focus-defocus", "2");
    fill("#focus-set-gap", "8.5");
    assertThat(page()).contains("Leave it");
    record();
    unfold();
    assertThat(page())
        .doesNotContain("the table by 2.00 mm")
        .contains("The table stays where it is");
    fill("#focus-defocus", "3");
    assertThat(page()).contains("Lower the table by 1.00 mm");
  }

  @Test
  void whatCannotBeUsedIsSaidAndTheGapOfAnotherReferenceFollows() {
    openStation("focus");
    fill("#focus-set-gap", "-3");
    assertThat(words("#focus-message")).contains("0 mm to 5000 mm");
    fill("#focus-set-gap", "");
    typeRamp(WIDTHS);
    unfold();
    fill("#focus-lens-ring", "42");
    press("#all-figures");
    assertThat(page()).contains("48.4").contains("mm from the lens ring");
  }

  @ParameterizedTest
  @EnumSource(FocusWay.class)
  void everyWayBringsTheStandInToItsFocus(FocusWay way) {
    openStation("focus");
    press("#practise");
    choose(way);
    for (int round = 0; round < 2; round++) {
      press("#read-all");
      until("it is measured", () -> !app.scene().lookup("#primary").isDisabled());
      settle();
      if (round == 0) {
        assertThat(page())
            .containsAnyOf(
                "Make the gap", "Set the autofocus offset", "set pin or button", "Leave ");
        press("#primary");
      }
    }
    assertThat(page()).contains("Leave ").contains("In order");
    assertThat(entries()).as("nothing of it is recorded").isEqualTo(3);
    String told = page();
    double off = Double.parseDouble(told.replaceFirst("(?s).*off focus by ([0-9.]+) mm.*", "$1"));
    assertThat(off).isCloseTo(0, within(0.7));
  }

  /** The column's display is no gap; while nobody said what the heights are, none is advised. */
  @Test
  void heightsOfAColumnAreTiedToOneGap() {
    openStation("focus");
    choose(FocusWay.LADDER_SCORES);
    String[] rungs = {
      "30.5", "2.5", "31.5", "6.5", "32.5", "8.9", "33.5", "8.9", "34.5", "6.5", "35.5", "2.5"
    };
    for (int i = 0; i < rungs.length; i += 2) {
      fill("#focus-rung-score-" + (i / 2 + 1) + "-at", rungs[i]);
      fill("#focus-rung-score-" + (i / 2 + 1) + "-value", rungs[i + 1]);
    }
    assertThat(page()).contains("What the heights are").doesNotContain("Make the gap");
    choose("#focus-heights", HeightKind.SCALE);
    fill("#focus-set-gap", "8");
    assertThat(page()).contains("Go to 33.0").contains("Read the gap there");
    fill("#focus-gap-at-best", "8.1");
    assertThat(page())
        .doesNotContain("33.34")
        .containsAnyOf("Leave it", "more finely", "more rungs");
  }

  /** What is being worked out says how far it is, and the window goes on meanwhile. */
  @Test
  void aPhotographTellsHowFarItIsMeasured() {
    openStation("focus");
    press("#practise");
    choose(FocusWay.PHOTO);
    Set<String> told = new HashSet<>();
    press("#read-all");
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (onInterface(() -> app.scene().lookup("#primary").isDisabled())) {
      told.add(page());
      assertThat(System.nanoTime()).isLessThan(end);
    }
    assertThat(told).anyMatch(page -> page.matches("(?s).*Working it out… [1-9][0-9]? %.*"));
  }

  @Test
  void aFileThatIsNoPictureIsToldAsSoonAsItIsNamed() {
    openStation("focus");
    choose(FocusWay.PHOTO);
    fill("#focus-photo", "gone.jpg");
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains("no file gone.jpg")) {
      assertThat(System.nanoTime()).isLessThan(end);
    }
    assertThat(page()).contains("PNG or JPEG");
  }

  @Test
  void aMarkInThePhotographIsDragged() {
    openStation("focus");
    press("#practise");
    choose(FocusWay.PHOTO);
    press("#read-all");
    until("it is measured", () -> !app.scene().lookup("#primary").isDisabled());
    unfold();
    double before = Double.parseDouble(words("#focus-mark-3-x"));
    Region picture = (Region) node("#focus-picture");
    // The stand-in's photograph is 2040 by 640 pixels and fills the picture's width.
    double scale = (picture.getWidth() - 12) / 2040;
    double x = 6 + before * scale;
    double y = 6 + Double.parseDouble(words("#focus-mark-3-y")) * scale;
    onInterface(() -> {
      mouse(picture, MouseEvent.MOUSE_PRESSED, x, y);
      mouse(picture, MouseEvent.MOUSE_DRAGGED, x - 50, y);
      return null;
    });
    assertThat(Double.parseDouble(words("#focus-mark-3-x")))
        .isCloseTo(before - 50 / scale, within(1.0));
    until("it is measured again", () -> !app.scene().lookup("#primary").isDisabled());
  }

  @Test
  void whatIsOnTheTableMovesIt() {
    openStation("focus");
    unfold();
    fill("#focus-stock", "8");
    assertThat(page()).contains("Lower the table by 5.00 mm");
    fill("#focus-honeycomb", "0");
    assertThat(page()).contains("raise the table by 17.00 mm");
    typeRamp(WIDTHS);
    assertThat(page()).contains("What is on the table changed");
  }

  @Test
  void theTableIsDrivenClearOfTheNozzle() {
    openStation("focus");
    unfold();
    fill("#focus-stock", "8");
    fill("#focus-z-then", "60");
    assertThat(page()).contains("Lower the table by 5.00 mm");
    onInterface(() -> {
      table().setValue(TableScale.DOWN);
      return null;
    });
    settle();
    assertThat(page()).contains("Drive the table to 75.00 mm, put the stock in, then to 65.00 mm");
    onInterface(() -> {
      table().setValue(TableScale.UP);
      return null;
    });
    settle();
    assertThat(page()).contains("Drive the table to 45.00 mm, put the stock in, then to 55.00 mm");
    fill("#focus-stock", "1");
    assertThat(page()).contains("Put the stock in, then drive the table to 62.00 mm");
  }

  @SuppressWarnings("unchecked")
  private ComboBox<TableScale> table() {
    return (ComboBox<TableScale>) node("#focus-z-grows");
  }

  @Test
  void aCuttingHeadProvesItsSensorAndCountsItsStops() {
    Machine anvil =
        new Machine(
            "anvil",
            "Anvil",
            Build.FIBRE_CUTTING_HEAD,
            new Source(SourceKind.FIBRE, 3000, 1070),
            3000,
            1500,
            BedSupport.SCREWS,
            1);
    onInterface(() -> {
      app.model().add(anvil, () -> {}, () -> {});
      return null;
    });
    until("it is open", () -> app.model().opened().machine().name().equals("Anvil"));
    openStation("focus");
    unfold();
    String[][] stages = {{"12", "4", "1.5", "1"}, {"6", "0", "2.5", "1"}};
    for (int i = 0; i < stages.length; i++) {
      fill("#focus-stage-" + (i + 1) + "-stand-off", stages[i][0]);
      fill("#focus-stage-" + (i + 1) + "-focus", stages[i][1]);
      fill("#focus-stage-" + (i + 1) + "-seconds", stages[i][2]);
      fill("#focus-stage-" + (i + 1) + "-bar", stages[i][3]);
    }
    fill("#focus-cut-focus", "-2");
    fill("#focus-pierces", "60");
    // 4 s for each of 60 holes; two changes of the focus at 2 minutes.
    assertThat(page()).contains("A motor head takes 4 min, one turned by hand 8 min with 2 stops");
    choose(FocusWay.GAUGE);
    fill("#focus-gauge", "2");
    fill("#focus-gauge-read", "0.05");
    fill("#focus-depth", "0.5");
    fill("#focus-set-gap", "2");
    assertThat(page()).contains("The height sensor follows a bent sheet");
    press("#proof-sensor");
    assertThat(page()).contains("Leave it");
  }

  @Test
  void aRampIsPlannedFromWhatIsRoughlyKnown() {
    openStation("focus");
    unfold();
    fill("#focus-depth", "1.5");
    fill("#focus-rough-gap", "7");
    fill("#focus-rough-unsure", "2");
    fill("#focus-clearance", "1");
    // Twice the depth and the doubt on both sides: 5 mm each.
    assertThat(page()).contains("Rise 10.0 mm, gap at the start 12.0 mm");
    fill("#focus-clearance", "3");
    assertThat(page()).contains("cut it short");
  }

  @Test
  void aNewLensWasNeverFocused() {
    onInterface(() -> {
      app.model()
          .choose(
              app.model().machinesProperty().get().stream()
                  .filter(m -> m.name().equals("Flint"))
                  .findFirst()
                  .orElseThrow());
      return null;
    });
    until("Flint is open", () -> app.model().opened().machine().name().equals("Flint"));
    openStation("focus");
    assertThat(page()).contains("with this lens: 254 mm").contains("on file: 160 mm");
    assertThat(onInterface(() -> app.model().opened().standing(FocusModel.DEFINITION.station())))
        .isInstanceOf(Standing.Open.class);
  }
}
