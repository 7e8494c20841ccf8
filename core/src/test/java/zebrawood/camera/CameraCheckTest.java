package zebrawood.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.camera.CameraCheckFinding.Moved;
import zebrawood.camera.CameraCheckReadings.FreshMark;
import zebrawood.measure.Verdict;

/** What a few fresh marks tell, of a camera at 350, 250 and 400 mm up that is moved or not. */
class CameraCheckTest {
  private static final double[] CAMERA = {350, 250, 400};
  private static final double[][] PLACES = {{80, 80}, {620, 100}, {350, 430}, {90, 400}};

  /** Where a place is shown by a map of the camera as it was, when it is now turned and aside. */
  private static double[] shown(double[] place, double turn, double aside, double higher) {
    // From the camera: to the right, to the rear, down; turned about the axis to the rear.
    double x = place[0] - CAMERA[0] - aside;
    double y = place[1] - CAMERA[1];
    double down = CAMERA[2] - higher;
    double x2 = x * Math.cos(turn) + down * Math.sin(turn);
    double down2 = down * Math.cos(turn) - x * Math.sin(turn);
    return new double[] {CAMERA[0] + CAMERA[2] * x2 / down2, CAMERA[1] + CAMERA[2] * y / down2};
  }

  private static CameraCheckFinding check(
      int marks, double turn, double aside, double higher, double noise, Random random) {
    List<FreshMark> all = new ArrayList<>();
    for (int i = 0; i < marks; i++) {
      double[] at = shown(PLACES[i], turn, aside, higher);
      all.add(
          new FreshMark(
              PLACES[i][0],
              PLACES[i][1],
              at[0] + noise * (random.nextDouble() - 0.5),
              at[1] + noise * (random.nextDouble() - 0.5)));
    }
    return CameraCheck.solve(
        new CameraCheckReadings(
            all, 0.2, 0.8, Optional.of(List.of(CAMERA[0], CAMERA[1], CAMERA[2]))));
  }

  @Test
  void whatMovedIsToldAndWhatDidNotIsLeft() {
    Random random = new Random(4);
    int lid = 0;
    int height = 0;
    int wrong = 0;
    for (int i = 0; i < 60; i++) {
      assertThat(check(3, 0, 0, 0, 0.2, random).verdict()).isEqualTo(Verdict.WITHIN);
      double sign = i % 2 == 0 ? 1 : -1;
      CameraCheckFinding turned = check(3, sign * 0.006, 0, 0, 0.2, random);
      CameraCheckFinding aside = check(4, 0, sign * 3, 0, 0.2, random);
      CameraCheckFinding raised = check(3, 0, 0, sign * 4, 0.2, random);
      lid += turned.moved().equals(Optional.of(Moved.CAMERA_OR_LID)) ? 1 : 0;
      lid += aside.moved().equals(Optional.of(Moved.CAMERA_OR_LID)) ? 1 : 0;
      height += raised.moved().equals(Optional.of(Moved.HEIGHT)) ? 1 : 0;
      wrong += turned.moved().equals(Optional.of(Moved.HEIGHT)) ? 1 : 0;
      wrong += aside.moved().equals(Optional.of(Moved.HEIGHT)) ? 1 : 0;
      wrong += raised.moved().equals(Optional.of(Moved.CAMERA_OR_LID)) ? 1 : 0;
      raised
          .higherMm()
          .ifPresent(mm ->
              assertThat(mm)
                  .isCloseTo(sign * 4, within(4 * raised.higherMmUncertainty().orElseThrow())));
    }
    assertThat(lid).isGreaterThan(110);
    assertThat(height).isGreaterThan(52);
    assertThat(wrong).isZero();
  }

  @Test
  void aReadingThatDoesNotDecideSaysSo() {
    FreshMark one = new FreshMark(100, 100, 100.5, 100);
    FreshMark two = new FreshMark(400, 300, 400, 300.4);
    CameraCheckFinding coarse =
        CameraCheck.solve(new CameraCheckReadings(List.of(one, two), 0.5, 0.6, Optional.empty()));
    assertThat(coarse.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    CameraCheckFinding nowhere =
        CameraCheck.solve(
            new CameraCheckReadings(
                List.of(new FreshMark(100, 100, 103, 100), new FreshMark(400, 300, 403, 300)),
                0.2,
                0.6,
                Optional.empty()));
    assertThat(nowhere.moved()).contains(Moved.CANNOT_TELL);
    assertThat(nowhere.warnings()).hasSize(1);
    assertThatThrownBy(
            () -> new CameraCheckReadings(List.of(one), 0.1, 0.5, Optional.of(List.of(1.0))))
        .hasMessageContaining("marks")
        .hasMessageContaining("cameraMm");
  }
}
