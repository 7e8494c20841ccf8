package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import javafx.scene.control.ComboBox;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.field.FieldWay;
import zebrawood.desktop.focus.FocusWay;
import zebrawood.focus.DrawnRamp;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.marks.DrawnScan;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.Picture;

/** Pictures drawn by code that shares nothing with stand-ins and finders, read in the window. */
class DrawnPicturesWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private Path written(Picture picture, String name) throws IOException {
    Path file = this.file.resolveSibling(name);
    Files.write(file, DrawnPicture.coded(((DrawnPicture) picture).image(), 80));
    return file;
  }

  private void mark(String station, int number, List<Double> px) {
    fill("#%s-mark-%d-x".formatted(station, number), String.valueOf(px.getFirst()));
    fill("#%s-mark-%d-y".formatted(station, number), String.valueOf(px.getLast()));
  }

  private double found(String words) {
    MatchResult found =
        Pattern.compile(words + "([0-9.]+)").matcher(page()).results().findFirst().orElseThrow();
    return Double.parseDouble(found.group(1));
  }

  private void measured() {
    until("it is measured", () -> !app.scene().lookup("#primary").isDisabled());
    settle();
  }

  /** A scan with a pen's strokes, a rule, specks, uneven light and two marks that did not burn. */
  @Test
  void aScanThatWasWrittenOnTellsTheScaleOfBothAxes() throws IOException {
    DrawnScan scan = new DrawnScan();
    scan.bow = 0;
    scan.stretchX = 1.06;
    scan.stretchY = 0.95;
    scan.pitchMm = 14;
    scan.unevenShare = 0.3;
    scan.writing = true;
    scan.rule = true;
    scan.specks = 200;
    scan.missing = 2;
    Path file = written(scan.picture(), "grid.jpg");
    open("Bryony", "field");
    goOnWithoutProof();
    choose("#field-way", FieldWay.SCAN);
    unfold();
    fill("#field-photo", file.toString());
    fill("#field-columns", "7");
    fill("#field-rows", "7");
    fill("#field-pitch", "14");
    fill("#field-rule-mm", "80");
    fill("#field-upright-mm", "80");
    double px = 80 * scan.pxPerMm();
    mark("field", 0, List.of(40.0, 30.0));
    mark("field", 1, List.of(40 + px, 30.0));
    mark("field", 2, List.of(40.0, 30.0));
    mark("field", 3, List.of(40.0, 30 + px));
    measured();
    assertThat(found("Multiply the scale of x by ")).isCloseTo(1 / 1.06, within(0.001));
    assertThat(found("and that of y by ")).isCloseTo(1 / 0.95, within(0.001));
  }

  /** Wood along the line, a second line beside it, from a phone at an angle with poor light. */
  @Test
  void aRampFromAPhoneAtAnAngleTellsItsFocus() throws IOException {
    DrawnRamp board = new DrawnRamp();
    board.focusMm = 6.4;
    board.grainLevels = 5;
    board.besideShare = 0.3;
    board.tiltDeg = 28;
    board.towardsDeg = 20;
    board.unevenShare = 0.25;
    Path file = written(board.picture(), "board.jpg");
    RampPhotoReadings pressed = board.readings(0.4);
    openStation("focus");
    goOnWithoutProof();
    choose("#focus-way", FocusWay.PHOTO);
    chooseCorners();
    unfold();
    fill("#focus-photo", file.toString());
    fill("#focus-run", "120");
    fill("#focus-rise", "10");
    fill("#focus-start", "12");
    fill("#focus-board-across", "136");
    fill("#focus-board-down", "50");
    mark("focus", 2, pressed.line().startPx());
    mark("focus", 3, pressed.line().endPx());
    List<List<Double>> corners = pressed.board().orElseThrow().cornersPx();
    for (int i = 0; i < 4; i++) {
      mark("focus", 4 + i, corners.get(i));
    }
    measured();
    assertThat(found("Set the gap to ")).isCloseTo(6.4, within(0.15));
  }

  private void chooseCorners() {
    onInterface(() -> {
      ((ComboBox<?>) node("#focus-photo-scale")).getSelectionModel().select(1);
      return null;
    });
    settle();
  }
}
