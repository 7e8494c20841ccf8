package zebrawood.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.jobfile.BurntAlong.Axis;
import zebrawood.jobfile.BurntAlong.Stretch;

class BurntAlongTest {
  private static boolean isIn(List<Stretch> free, double mm) {
    return free.stream().anyMatch(s -> mm > s.fromMm() && mm < s.toMm());
  }

  /** Every place is asked for by itself of the lines that were burnt. */
  @Test
  void nothingThatIsBurntIsFreeAndLittleElseIsNot() {
    Random random = new Random(12);
    for (int job = 0; job < 100; job++) {
      BurntAlong along = new BurntAlong();
      double[][] lines = new double[1 + random.nextInt(12)][];
      for (int i = 0; i < lines.length; i++) {
        double from = -50 + 600 * random.nextDouble();
        double to = from + 60 * random.nextGaussian();
        lines[i] = new double[] {Math.min(from, to), Math.max(from, to)};
        along.add(from, 0, to, 0);
      }
      List<Stretch> free = along.free(Axis.X, 0, 500, 0.5);
      for (double mm = 0.05; mm < 500; mm += 0.37) {
        double at = mm;
        double nearest = 1e9;
        boolean burnt = false;
        for (double[] line : lines) {
          burnt |= at >= line[0] && at <= line[1];
          nearest = Math.min(nearest, Math.min(Math.abs(at - line[0]), Math.abs(at - line[1])));
        }
        if (burnt) {
          assertThat(isIn(free, at)).as("job %s at %s", job, at).isFalse();
        } else if (nearest > 0.8) {
          assertThat(isIn(free, at)).as("job %s at %s", job, at).isTrue();
        }
      }
    }
  }

  @Test
  void stretchesEndWithThePieceAndFarAwayCountsAsThere() {
    BurntAlong along = new BurntAlong();
    assertThat(along.free(Axis.Y, 0, 80, 1)).containsExactly(new Stretch(0, 80));
    along.add(0, 5e6, 0, 6e6);
    assertThat(along.free(Axis.Y, 0, 80, 1)).containsExactly(new Stretch(0, 80));
    along.add(0, 79.5, 0, 200);
    assertThat(along.free(Axis.Y, 0, 80, 1).getLast().toMm()).isLessThanOrEqualTo(79.5);
    assertThat(along.free(Axis.Y, 0, 80, 90)).isEmpty();
  }
}
