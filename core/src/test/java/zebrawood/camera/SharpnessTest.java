package zebrawood.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import zebrawood.camera.SharpnessReadings.Rung;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.UnusableReading;

class SharpnessTest {
  private static Sharpness solve(List<Rung> rungs) {
    return Sharpness.of(new SharpnessReadings(rungs, OptionalDouble.empty()));
  }

  /** Laws that are not the fitted one: bells, with a floor, wider above than below. */
  private static double share(int law, double z, double wide) {
    double w = law == 2 && z > 0 ? 1.3 * wide : wide;
    return switch (law) {
      case 0 -> Math.exp(-z * z / (2 * w * w));
      case 1 -> 0.15 + 0.85 / (1 + z * z / (w * w));
      default -> Math.exp(-Math.pow(Math.abs(z) / w, 1.8) / 2);
    };
  }

  @Test
  void twoDeviationsHoldTheSharpestHeight() {
    Random random = new Random(11);
    int told = 0;
    int held = 0;
    for (int trial = 0; trial < 600; trial++) {
      double truth = 20 + random.nextDouble();
      double wide = 1.5 + 2 * random.nextDouble();
      double scatter = 0.01 + 0.05 * random.nextDouble();
      double step = (0.3 + 0.4 * random.nextDouble()) * wide;
      int n = 7 + random.nextInt(6);
      int law = trial % 2;
      List<Rung> rungs = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        double z = 20.5 + step * (i - (n - 1) / 2.0);
        rungs.add(
            new Rung(z, 340 * share(law, z - truth, wide) * (1 + scatter * random.nextGaussian())));
      }
      Sharpness s = solve(rungs);
      if (s.sharpestMm().isPresent()) {
        told++;
        double off = Math.abs(s.sharpestMm().get().value() - truth);
        held += off <= 2 * s.sharpestMm().get().uncertainty() ? 1 : 0;
      }
    }
    assertThat(told).isGreaterThan(500);
    assertThat((double) held / told).isBetween(0.92, 1.0);
  }

  /** A top that is wider above than below is told within a tenth of its width. */
  @Test
  void aTopThatLeansIsStillNear() {
    List<Rung> rungs = new ArrayList<>();
    for (double z = -4; z <= 4; z += 0.5) {
      rungs.add(new Rung(30 + z, 50 * share(2, z, 2)));
    }
    assertThat(solve(rungs).sharpestMm().orElseThrow().value()).isCloseTo(30, within(0.4));
  }

  /** Scrap of random tones, photographed from 14 heights; 12.4 is where it was in focus. */
  @Test
  void picturesTellWhereTheyAreSharpest() {
    Random random = new Random(3);
    int side = 400;
    BufferedImage scrap = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
    for (int y = 0; y < side; y++) {
      for (int x = 0; x < side; x++) {
        boolean line = (x / 7 + y / 11) % 3 == 0;
        scrap
            .getRaster()
            .setSample(x, y, 0, Math.clamp((line ? 90 : 190) + random.nextInt(20), 0, 255));
      }
    }
    List<Rung> rungs = new ArrayList<>();
    for (int i = 0; i < 14; i++) {
      double z = 10.7 + 0.25 * i;
      double exposure = 0.8 + 0.3 * random.nextDouble();
      BufferedImage seen = blurred(scrap, Math.hypot(0.8, 1.1 * (z - 12.4)), exposure, random);
      rungs.add(new Rung(z, PictureSharpness.of(DrawnPicture.of(seen, 0))));
    }
    var found = solve(rungs).sharpestMm().orElseThrow();
    assertThat(found.value()).isCloseTo(12.4, within(2.5 * found.uncertainty()));
    assertThat(found.uncertainty()).isLessThan(0.25);
  }

  private static BufferedImage blurred(
      BufferedImage of, double sigma, double exposure, Random random) {
    int reach = (int) Math.ceil(3 * sigma);
    float[] bell = new float[2 * reach + 1];
    float sum = 0;
    for (int i = -reach; i <= reach; i++) {
      bell[i + reach] = (float) Math.exp(-i * i / (2 * sigma * sigma));
      sum += bell[i + reach];
    }
    for (int i = 0; i < bell.length; i++) {
      bell[i] /= sum;
    }
    BufferedImage across =
        new ConvolveOp(new Kernel(bell.length, 1, bell), ConvolveOp.EDGE_NO_OP, null)
            .filter(of, null);
    BufferedImage both =
        new ConvolveOp(new Kernel(1, bell.length, bell), ConvolveOp.EDGE_NO_OP, null)
            .filter(across, null);
    for (int y = 0; y < both.getHeight(); y++) {
      for (int x = 0; x < both.getWidth(); x++) {
        double light = exposure * both.getRaster().getSample(x, y, 0) + random.nextGaussian();
        both.getRaster().setSample(x, y, 0, Math.clamp(Math.round(light), 0, 255));
      }
    }
    return both;
  }

  private static List<Rung> along(double from, double step, int n, DoubleUnaryOperator sharp) {
    List<Rung> rungs = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      rungs.add(new Rung(from + i * step, sharp.applyAsDouble(from + i * step)));
    }
    return rungs;
  }

  @Test
  void whatDoesNotTellItSaysWhatToRead() {
    DoubleUnaryOperator bell = z -> 100 * Math.exp(-z * z / 2);
    assertThat(ENGLISH.sentence(solve(along(-3.1, 1, 3 + 4, bell)).said()))
        .contains("Read it at finer steps");
    assertThat(ENGLISH.sentence(solve(along(0.2, 0.2, 6, bell)).said())).contains("on both sides");
    Sharpness known =
        Sharpness.of(new SharpnessReadings(along(-2, 0.3, 14, bell), OptionalDouble.of(1.5)));
    assertThat(known.offsetMm().getAsDouble()).isCloseTo(1.5, within(0.05));
    assertThat(ENGLISH.sentence(known.said())).contains("type that as the offset");
    Sharpness near =
        Sharpness.of(new SharpnessReadings(along(-2, 0.3, 14, bell), OptionalDouble.of(0.01)));
    assertThat(ENGLISH.sentence(near.said())).contains("no offset shows");
    assertThat(ENGLISH.sentence(solve(along(-2, 0.3, 14, bell)).said()))
        .contains("where the beam is smallest");
    assertThatThrownBy(() -> solve(List.of(new Rung(1, 2), new Rung(2, 3))))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> solve(along(0, 1, 5, z -> -1)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("sharpness");
  }
}
