package zebrawood.camera;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import zebrawood.camera.SharpnessReadings.Rung;
import zebrawood.measure.Estimate;
import zebrawood.measure.SmallSystem;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * At which height is the picture of a camera on the head sharpest, and how far is that from where
 * the beam is smallest?
 *
 * <p>Near its top sharpness falls as one over a parabola, so that a parabola goes through one over
 * the figures that are at least half of the largest, weighted by their squares: each is taken to be
 * as uncertain as a share of itself, and how uncertain their scatter tells. With few of them that
 * is Student's t in place of a normal deviation.
 *
 * @param sharpestMm on the scale on which heights are read; empty where they do not tell it
 * @param offsetMm from there to where the beam is smallest; empty where that was not read
 * @param next what is still to be read; empty where nothing is
 */
public record Sharpness(
    Optional<Estimate> sharpestMm, OptionalDouble offsetMm, Optional<Message> next) {
  /** Of the largest: less sharp pictures follow another law. */
  private static final double NEAR_THE_TOP = 0.5;

  private static final double TWO_SIDED = 0.977;

  /** Of the width at half of the top: lenses are not the same above and below. */
  private static final double LEAST_OF_WIDTH = 0.01;

  public static Sharpness of(SharpnessReadings r) {
    double top = r.rungs().stream().mapToDouble(Rung::sharpness).max().orElseThrow();
    List<Rung> near =
        r.rungs().stream()
            .filter(g -> g.sharpness() >= NEAR_THE_TOP * top)
            .sorted(Comparator.comparingDouble(Rung::heightMm))
            .toList();
    long heights = near.stream().mapToDouble(Rung::heightMm).distinct().count();
    if (heights < SharpnessReadings.LEAST) {
      return unknown("camera.sharp.finer");
    }
    double from = near.getFirst().heightMm();
    double half = (near.getLast().heightMm() - from) / 2;
    double middle = from + half;
    double[][] normal = new double[3][4];
    for (Rung g : near) {
      double z = (g.heightMm() - middle) / half;
      double share = g.sharpness() / top;
      SmallSystem.add(normal, new double[] {1, z, z * z}, 1 / share, share * share);
    }
    RealMatrix inverse =
        new LUDecomposition(new Array2DRowRealMatrix(normal).getSubMatrix(0, 2, 0, 2))
            .getSolver()
            .getInverse();
    double[] c = SmallSystem.solve(normal).orElseThrow();
    if (c[2] <= 0) {
      return unknown("camera.sharp.both-sides");
    }
    double squares = 0;
    for (Rung g : near) {
      double z = (g.heightMm() - middle) / half;
      double off = g.sharpness() / top * (c[0] + c[1] * z + c[2] * z * z) - 1;
      squares += off * off;
    }
    int free = near.size() - 3;
    double at = -c[1] / (2 * c[2]);
    double[] slope = {0, -1 / (2 * c[2]), c[1] / (2 * c[2] * c[2])};
    double variance = 0;
    for (int i = 0; i < 3; i++) {
      for (int k = 0; k < 3; k++) {
        variance += slope[i] * slope[k] * inverse.getEntry(i, k);
      }
    }
    double lowest = Math.max(1e-9, c[0] - c[1] * c[1] / (4 * c[2]));
    double width = 2 * half * Math.sqrt(lowest / c[2]);
    double student = new TDistribution(free).inverseCumulativeProbability(TWO_SIDED) / 2;
    double uncertainty =
        Math.hypot(half * student * Math.sqrt(variance * squares / free), LEAST_OF_WIDTH * width);
    double mm = middle + half * at;
    if (mm < near.get(1).heightMm() || mm > near.get(near.size() - 2).heightMm()) {
      return unknown("camera.sharp.both-sides");
    }
    return new Sharpness(
        Optional.of(new Estimate(mm, uncertainty)),
        r.beamAtMm().isPresent()
            ? OptionalDouble.of(r.beamAtMm().getAsDouble() - mm)
            : OptionalDouble.empty(),
        Optional.empty());
  }

  private static Sharpness unknown(String next) {
    return new Sharpness(Optional.empty(), OptionalDouble.empty(), Optional.of(Message.of(next)));
  }

  /** In sentences. */
  public Message said() {
    List<Message> said = new ArrayList<>();
    next.ifPresent(said::add);
    sharpestMm.ifPresent(e -> {
      said.add(
          Message.of(
              "camera.sharp.at",
              Message.bare(Amount.mm(e.value(), 2)),
              Amount.mm(e.uncertainty(), 2)));
      if (offsetMm.isPresent()) {
        double off = offsetMm.getAsDouble();
        said.add(
            Message.of(
                Math.abs(off) <= 2 * e.uncertainty() ? "camera.sharp.same" : "camera.sharp.offset",
                Message.bare(Amount.mm(off, 2)),
                Amount.mm(e.uncertainty(), 2)));
      } else {
        said.add(Message.of("camera.sharp.beam"));
      }
    });
    return Message.sentences(said);
  }
}
