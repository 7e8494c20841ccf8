package zebrawood.rotary;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * How the work lies under the beam, as far as it was read.
 *
 * @param axis by the beam's spot at both ends
 * @param gaps beside the crown
 * @param gauge heights across the crown
 */
public record Seating(Optional<Axis> axis, Optional<Gaps> gaps, Optional<Gauge> gauge) {
  private static final double MOST_MM = 10_000;
  private static final double LEAST_MM = 0.01;
  private static final int LEAST_HEIGHTS = 3;
  private static final int MOST_HEIGHTS = 100;

  /**
   * The spot is put on the work's top line at one end, and driven along to the other.
   *
   * @param offMm of the spot there from the top line, to the rear positive
   * @param readMm to what the spot was put and read
   */
  public record Axis(double apartMm, double offMm, double readMm) {}

  /**
   * Below a level edge that lies across the work with its middle under the beam.
   *
   * @param asideMm from the beam to each place where a gap was read
   */
  public record Gaps(double asideMm, double frontMm, double rearMm, double readMm) {}

  /** Heights of the surface at places across the work; the beam is at place 0. */
  public record Gauge(List<Height> heights, double readMm) {
    public Gauge {
      heights = List.copyOf(heights);
    }
  }

  /**
   * @param atMm to the rear positive
   * @param heightMm up is positive, from anywhere
   */
  public record Height(double atMm, double heightMm) {}

  /** Names what cannot be of a round work of this diameter. */
  void check(Accepts accepts, double diameterMm) {
    axis.ifPresent(a ->
        accepts
            .between("seating.axis.apartMm", a.apartMm(), LEAST_MM, MOST_MM)
            .between("seating.axis.offMm", a.offMm(), -a.apartMm(), a.apartMm())
            .between("seating.axis.readMm", a.readMm(), 0, MOST_MM));
    gaps.ifPresent(g -> {
      accepts
          .between("seating.gaps.asideMm", g.asideMm(), LEAST_MM, MOST_MM)
          .between("seating.gaps.frontMm", g.frontMm(), 0, MOST_MM)
          .between("seating.gaps.rearMm", g.rearMm(), 0, MOST_MM)
          .between("seating.gaps.readMm", g.readMm(), 0, MOST_MM);
      if (!(g.asideMm() < diameterMm / 2)) {
        accepts.complain(
            "seating.gaps.asideMm",
            g.asideMm(),
            Message.of("rotary.accepts.on-the-work", Message.number(diameterMm / 2)));
      }
    });
    gauge.ifPresent(g -> check(accepts, g, diameterMm));
  }

  private static void check(Accepts accepts, Gauge gauge, double diameterMm) {
    accepts
        .atLeast("seating.gauge.heights", gauge.heights(), LEAST_HEIGHTS, "rotary.count.heights")
        .atMost("seating.gauge.heights", gauge.heights(), MOST_HEIGHTS)
        .between("seating.gauge.readMm", gauge.readMm(), 0, MOST_MM);
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < gauge.heights().size(); i++) {
      Height h = gauge.heights().get(i);
      String at = "seating.gauge.heights[" + i + "].";
      accepts
          .between(at + "atMm", h.atMm(), -MOST_MM, MOST_MM)
          .between(at + "heightMm", h.heightMm(), -MOST_MM, MOST_MM);
      least = Math.min(least, h.atMm());
      most = Math.max(most, h.atMm());
    }
    if (accepts.fine() && !(most > least && most - least < diameterMm)) {
      accepts.complain(
          "seating.gauge.heights",
          most - least,
          Message.of("rotary.accepts.across", Message.number(diameterMm)));
    }
  }
}
