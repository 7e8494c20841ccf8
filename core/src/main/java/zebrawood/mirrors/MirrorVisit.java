package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Accepts;

/**
 * One visit to the mirrors.
 *
 * @param readings marks and mounts
 * @param beamMm 1/e^2 diameter of the beam at the head, when it is known
 * @param leastPulse the least current or power that marks, in words
 */
public record MirrorVisit(MirrorReadings readings, OptionalDouble beamMm, String leastPulse) {
  public MirrorVisit {
    var accepts = new Accepts();
    beamMm.ifPresent(mm -> accepts.positive("beamMm", mm, 1000));
    accepts.orThrow();
  }

  public MirrorFinding solve() {
    return Alignment.solve(readings);
  }

  /** The share that the head's opening cuts off now, for the mark that is furthest off. */
  public OptionalDouble lostShareNow() {
    if (beamMm.isEmpty()) {
      return OptionalDouble.empty();
    }
    Optional<Double> furthest =
        readings.marks().stream()
            .filter(MirrorReadings.Mark::atHead)
            .map(m -> Math.hypot(m.rightMm(), m.upMm()))
            .max(Double::compare);
    return furthest.isPresent()
        ? OptionalDouble.of(
            Opening.lostShare(readings.apertureMm(), beamMm.getAsDouble(), furthest.get()))
        : OptionalDouble.empty();
  }

  /** What the notebook shows; the wander is the telling figure. */
  public List<Figure> figures(MirrorFinding f) {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        figure(
            "wander", "Wander", f.wanderNowMm(), "mm", OptionalDouble.of(readings.toleranceMm())));
    figures.add(
        figure(
            "offset",
            "Offset",
            Math.hypot(f.headShiftRightMm(), f.headShiftUpMm()),
            "mm",
            OptionalDouble.empty()));
    figures.add(figure("misfit", "Misfit", f.residualRmsMm(), "mm", OptionalDouble.empty()));
    return figures;
  }

  private static Figure figure(
      String id, String label, double value, String unit, OptionalDouble limit) {
    return new Figure(id, label, value, unit, OptionalDouble.empty(), limit);
  }
}
