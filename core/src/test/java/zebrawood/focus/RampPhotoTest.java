package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

/** Boards that are drawn by code of their own; the truth is in the drawing. */
class RampPhotoTest {
  private static final double MIDDLE = DrawnRamp.DOWN_MM / 2;

  private static RampPhotoFinding solve(DrawnRamp board, double asideMm) {
    return RampPhoto.solve(board.readings(asideMm), board.picture());
  }

  @Test
  void theLineThatWasClickedIsMeasuredNotAPalerOneBeside() {
    for (double beside : new double[] {-4, -2.5, 2.5, 4}) {
      DrawnRamp board = new DrawnRamp();
      board.besideMm = beside;
      board.besideShare = 0.33;
      RampPhotoFinding f = solve(board, 0.2);
      assertThat(f.verdict()).as("%s mm beside", beside).isEqualTo(Verdict.ADJUST);
      assertThat(f.focusGapMm().orElseThrow().value())
          .isCloseTo(board.focusMm, within(2.5 * f.focusGapMm().orElseThrow().uncertainty()));
      assertThat(f.warnings()).extracting(Message::key).contains("focus.photo.beside");
    }
  }

  @Test
  void aSharpLineAloneIsMeasuredWithoutAWord() {
    DrawnRamp board = new DrawnRamp();
    RampPhotoFinding f = solve(board, -3.5);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(board.focusMm, within(0.15));
    assertThat(f.depthOfFocusMm().getAsDouble()).isCloseTo(2 * 1.6 * 0.458, within(0.2));
    assertThat(f.warnings()).isEmpty();
  }

  @Test
  void aBlurAsWideAsTheLineIsSaid() {
    DrawnRamp board = new DrawnRamp();
    board.blurPx = 7;
    assertThat(solve(board, 0).warnings()).extracting(Message::key).contains("focus.photo.blurred");
  }

  private static final Map<String, Consumer<DrawnRamp>> HARD = hard();

  private static Map<String, Consumer<DrawnRamp>> hard() {
    Map<String, Consumer<DrawnRamp>> all = new LinkedHashMap<>();
    all.put("grain along the line", b -> b.grainLevels = 8);
    all.put("low contrast", b -> b.depth = 0.1);
    all.put("a line that bows", b -> b.bendMm = 1.5);
    all.put(
        "uneven light, compressed",
        b -> {
          b.unevenShare = 0.5;
          b.jpeg = 60;
        });
    all.put(
        "at an angle",
        b -> {
          b.tiltDeg = 35;
          b.towardsDeg = 30;
        });
    all.put(
        "at an angle, along",
        b -> {
          b.tiltDeg = 38;
          b.towardsDeg = 180;
          b.grainLevels = 4;
        });
    return all;
  }

  static Stream<String> hardOnes() {
    return HARD.keySet().stream();
  }

  @ParameterizedTest
  @MethodSource("hardOnes")
  void theFocusIsFoundInWhatIsHardToRead(String name) {
    for (double focus : new double[] {5.2, 8.4}) {
      DrawnRamp board = new DrawnRamp();
      board.focusMm = focus;
      HARD.get(name).accept(board);
      RampPhotoFinding f = solve(board, 0.3);
      assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
      double uncertainty = f.focusGapMm().orElseThrow().uncertainty();
      assertThat(uncertainty).isLessThan(0.35);
      assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(focus, within(3 * uncertainty));
      // Each width is shown where it was read in the picture as it is.
      assertThat(f.samples())
          .allSatisfy(s -> {
            List<Double> there = board.at(DrawnRamp.MARGIN_MM + s.alongMm(), MIDDLE);
            assertThat(Math.hypot(s.xPx() - there.getFirst(), s.yPx() - there.getLast()))
                .isLessThan(3 * board.pxPerMm);
          });
    }
  }
}
