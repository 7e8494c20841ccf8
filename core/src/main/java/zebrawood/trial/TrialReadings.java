package zebrawood.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A trial piece as it was measured, with caliper and eye. What was not looked at is empty, and
 * counts as not known.
 *
 * @param drawnMm as it was drawn, in x and y
 * @param measuredXMm from edge to edge, as {@code measuredYMm}
 * @param readToMm of the caliper
 * @param toleranceMm by how much the size may be off
 * @param combMm all strips of the kerf comb pushed together
 * @param kerfMostMm widest kerf that is allowed; empty where any will do
 * @param slantMm by how much the upper face is wider than the lower one
 * @param slantMostMm empty where any will do
 * @param cuts where it was looked at whether it is cut through
 * @param seconds that it took, and {@code mostSeconds} that it may take
 */
public record TrialReadings(
    List<Double> drawnMm,
    OptionalDouble measuredXMm,
    OptionalDouble measuredYMm,
    double readToMm,
    double toleranceMm,
    OptionalDouble combMm,
    OptionalDouble kerfMostMm,
    OptionalDouble slantMm,
    OptionalDouble slantMostMm,
    List<Cut> cuts,
    Optional<Boolean> lettersLegible,
    Optional<Boolean> codeReads,
    Optional<Boolean> lightCodeReads,
    Optional<Boolean> fieldEven,
    OptionalDouble seconds,
    OptionalDouble mostSeconds,
    Optional<String> photo) {
  /** Strips of the comb, and how wide each was drawn. */
  public static final int COMB_STRIPS = 10;

  public static final double STRIP_MM = 3;
  private static final double LARGEST_MM = 2000;
  private static final double LONGEST_S = 360_000;

  /** Where it was cut. */
  public enum Where {
    CENTRE,
    FRONT_LEFT,
    FRONT_RIGHT,
    REAR_LEFT,
    REAR_RIGHT
  }

  /** Whether it came through there. */
  public record Cut(Where where, boolean through) {}

  public TrialReadings {
    drawnMm = List.copyOf(drawnMm);
    cuts = List.copyOf(cuts);
    var accepts = new Accepts();
    if (drawnMm.size() != 2) {
      accepts.complain(
          "drawnMm",
          Message.of("accepts.of-them", drawnMm.size()),
          Message.of("trial.accepts.two"));
    } else {
      accepts
          .positive("drawnMm[0]", drawnMm.get(0), LARGEST_MM)
          .positive("drawnMm[1]", drawnMm.get(1), LARGEST_MM);
    }
    measuredXMm.ifPresent(v -> accepts.positive("measuredXMm", v, LARGEST_MM));
    measuredYMm.ifPresent(v -> accepts.positive("measuredYMm", v, LARGEST_MM));
    accepts.positive("readToMm", readToMm, 10).positive("toleranceMm", toleranceMm, 100);
    combMm.ifPresent(v -> accepts.positive("combMm", v, COMB_STRIPS * STRIP_MM));
    kerfMostMm.ifPresent(v -> accepts.positive("kerfMostMm", v, 10));
    slantMm.ifPresent(v -> accepts.between("slantMm", v, -50, 50));
    slantMostMm.ifPresent(v -> accepts.positive("slantMostMm", v, 50));
    seconds.ifPresent(v -> accepts.positive("seconds", v, LONGEST_S));
    mostSeconds.ifPresent(v -> accepts.positive("mostSeconds", v, LONGEST_S));
    accepts.orThrow();
  }
}
