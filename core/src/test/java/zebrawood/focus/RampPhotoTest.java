package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
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
            Optional.of(
                new PixelScale(List.of(60.0, 500.0), List.of(60 + 100 * PX_PER_MM, 500.0), 100)),
            new RampPhotoReadings.Line(
                List.of(60.0, 300 + asidePx), List.of(60 + RUN * PX_PER_MM, 300 + asidePx)),
            RUN,
            RISE,
            START,
            Optional.empty()),
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

  /** The board of these tests as a camera at an angle sees it: followed pixel by pixel. */
  private record AtAnAngle(Board board, double perspective, double shear) implements Picture {
    /** Where a place of the board's own picture falls. */
    List<Double> at(double x, double y) {
      double w = 1 + perspective * x / board.width();
      return List.of(20 + (x + shear * y) / w, 40 + 0.8 * y / w);
    }

    @Override
    public int width() {
      return board.width() + 200;
    }

    @Override
    public int height() {
      return board.height();
    }

    @Override
    public double light(int px, int py) {
      // Backwards: y / w and x / w are linear in each other.
      double v = (py + 0.5 - 40) / 0.8;
      double u = px + 0.5 - 20 - shear * v;
      double x = u / (1 - perspective * u / board.width());
      double y = v * (1 + perspective * x / board.width());
      int ix = (int) Math.floor(x);
      int iy = (int) Math.floor(y);
      return ix < 0 || iy < 0 || ix >= board.width() || iy >= board.height()
          ? 90
          : board.light(ix, iy);
    }
  }

  @Test
  void aPhotographAtAnAngleIsSquaredByTheBoardsCorners() {
    Board flat = new Board(0, 0, 0.4, 1);
    AtAnAngle seen = new AtAnAngle(flat, 0.35, 0.15);
    double left = 40;
    double right = 60 + (RUN + 5) * PX_PER_MM;
    double top = 60;
    double below = 540;
    RampPhotoReadings.Board corners =
        new RampPhotoReadings.Board(
            List.of(
                seen.at(left, top),
                seen.at(right, top),
                seen.at(right, below),
                seen.at(left, below)),
            (right - left) / PX_PER_MM,
            (below - top) / PX_PER_MM);
    RampPhotoFinding f =
        RampPhoto.solve(
            new RampPhotoReadings(
                "board.png",
                Optional.empty(),
                new RampPhotoReadings.Line(seen.at(60, 302), seen.at(60 + RUN * PX_PER_MM, 302)),
                RUN,
                RISE,
                START,
                Optional.of(corners)),
            seen);
    assertThat(f.focusGapMm().orElseThrow().value())
        .isCloseTo(FOCUS, within(2.5 * f.focusGapMm().orElseThrow().uncertainty()));
    assertThat(f.samples()).allMatch(s -> Math.abs(seen.at(0, 300).getLast() - s.yPx()) < 80);
  }
}
