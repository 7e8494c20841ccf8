package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Picture;
import zebrawood.measure.PixelScale;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

class RampPhotoTest {
  private static final double PX_PER_MM = 12;
  private static final double FOCUS = 7;
  private static final double RUN = 120;
  private static final double RISE = 10;
  private static final double START = 12;

  /** A Gaussian beam's line along y = 300 px from x = 60 px on; one of even width beside it. */
  private record Board(double besideMm, double besideDepth, double edgePx, long seed)
      implements Picture {
    @Override
    public int width() {
      return 1560;
    }

    @Override
    public int height() {
      return 600;
    }

    @Override
    public double light(int x, int y) {
      double along = (x + 0.5 - 60) / PX_PER_MM;
      double gap = START - along * RISE / RUN;
      double wide = 0.3 * Math.hypot(1, (gap - FOCUS) / 1.6);
      double burnt = along < 0 || along > RUN ? 0 : dark(y + 0.5 - 300, wide * PX_PER_MM);
      double other = dark(y + 0.5 - 300 - besideMm * PX_PER_MM, 0.35 * PX_PER_MM);
      double grain = new Random(seed + 7919L * x + 104_729L * y).nextGaussian();
      return 200 - 120 * burnt - 120 * besideDepth * other + 2 * grain;
    }

    /** Of a bar so many pixels wide, seen through a logistic blur. */
    private double dark(double off, double widePx) {
      return edge(off + widePx / 2) - edge(off - widePx / 2);
    }

    private double edge(double off) {
      return 1 / (1 + Math.exp(-off / edgePx));
    }
  }

  private static RampPhotoFinding solve(Board board, double asidePx) {
    return RampPhoto.solve(
        new RampPhotoReadings(
            "board.png",
            new PixelScale(List.of(60.0, 500.0), List.of(60 + 100 * PX_PER_MM, 500.0), 100),
            new RampPhotoReadings.Line(
                List.of(60.0, 300 + asidePx), List.of(60 + RUN * PX_PER_MM, 300 + asidePx)),
            RUN,
            RISE,
            START),
        board);
  }

  @Test
  void theLineThatWasClickedIsMeasuredNotAPalerOneBeside() {
    for (double beside : new double[] {-4, -2.5, 2.5, 4}) {
      RampPhotoFinding f = solve(new Board(beside, 0.33, 0.4, 1), 2);
      assertThat(f.verdict()).as("%s mm beside", beside).isEqualTo(Verdict.ADJUST);
      assertThat(f.focusGapMm().orElseThrow().value())
          .isCloseTo(FOCUS, within(2.5 * f.focusGapMm().orElseThrow().uncertainty()));
      assertThat(f.warnings()).extracting(Message::key).contains("focus.photo.beside");
    }
  }

  @Test
  void aSharpLineAloneIsMeasuredWithoutAWord() {
    RampPhotoFinding f = solve(new Board(20, 0, 0.4, 2), -40);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.focusGapMm().orElseThrow().value()).isCloseTo(FOCUS, within(0.15));
    assertThat(f.depthOfFocusMm().getAsDouble()).isCloseTo(2 * 1.6 * 0.458, within(0.2));
    assertThat(f.warnings()).isEmpty();
  }

  @Test
  void aBlurAsWideAsTheLineIsSaid() {
    assertThat(solve(new Board(20, 0, 4, 3), 0).warnings())
        .extracting(Message::key)
        .contains("focus.photo.blurred");
  }
}
