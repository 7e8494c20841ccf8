package zebrawood.rotary;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A rotary and the work in it.
 *
 * @param stepsPerTurn of the chuck, or of a driving roller, gear included
 * @param rollerDiameterMm of rollers
 * @param workDiameterMm of a cone at the artwork's middle
 * @param setStepsPerMm what turns a millimetre round the work now; empty where nobody knows
 * @param artworkMm round the work, and along it
 * @param depthMm of focus, whole
 * @param turn a line burnt once round
 * @param length a mark round the work, measured with a tape
 * @param taper of a cone
 * @param seating how the work lies under the beam
 * @param school where it is set; at the controller where nobody said
 */
public record RotaryReadings(
    Kind kind,
    double stepsPerTurn,
    OptionalDouble rollerDiameterMm,
    double workDiameterMm,
    double workDiameterUncertaintyMm,
    OptionalDouble setStepsPerMm,
    List<Double> artworkMm,
    double depthMm,
    double toleranceMm,
    Optional<Turn> turn,
    Optional<Length> length,
    Optional<Taper> taper,
    Optional<Seating> seating,
    Optional<School> school) {
  private static final double MOST_MM = 10_000;
  private static final double LEAST_MM = 0.01;
  private static final double MOST_STEPS = 1e8;

  /** What turns the work. */
  public enum Kind {
    CHUCK,
    ROLLERS
  }

  /**
   * A line burnt once round.
   *
   * @param closesByMm a gap left is positive, an overlap negative
   * @param readMm to what it was read
   */
  public record Turn(double commandedMm, double closesByMm, double readMm) {}

  /** A mark of a length that was commanded. */
  public record Length(double commandedMm, double measuredMm, double readMm) {}

  /** Two diameters of a cone, and how far apart they are along its axis. */
  public record Taper(double largeDiameterMm, double smallDiameterMm, double overMm) {
    /** By how much the diameter shrinks a millimetre along the axis. */
    public double slope() {
      return (largeDiameterMm - smallDiameterMm) / overMm;
    }
  }

  public RotaryReadings {
    artworkMm = List.copyOf(artworkMm);
    var accepts = new Accepts();
    accepts
        .positive("stepsPerTurn", stepsPerTurn, MOST_STEPS)
        .between("workDiameterMm", workDiameterMm, LEAST_MM, MOST_MM)
        .between("workDiameterUncertaintyMm", workDiameterUncertaintyMm, 0, workDiameterMm)
        .between("depthMm", depthMm, LEAST_MM / 10, MOST_MM)
        .positive("toleranceMm", toleranceMm, MOST_MM);
    setStepsPerMm.ifPresent(s -> accepts.positive("setStepsPerMm", s, MOST_STEPS));
    rollerDiameterMm.ifPresent(d -> accepts.between("rollerDiameterMm", d, LEAST_MM, MOST_MM));
    if (artworkMm.size() == 2) {
      accepts
          .between("artworkMm[0]", artworkMm.get(0), LEAST_MM, MOST_MM)
          .between("artworkMm[1]", artworkMm.get(1), LEAST_MM, MOST_MM);
    } else {
      accepts.complain(
          "artworkMm",
          Message.of("accepts.of-them", artworkMm.size()),
          Message.of("rotary.accepts.two"));
    }
    if (kind == Kind.ROLLERS && rollerDiameterMm.isEmpty()) {
      accepts.complain(
          "rollerDiameterMm",
          Message.of("accepts.missing"),
          Message.of("rotary.accepts.roller-diameter"));
    }
    if (setStepsPerMm.isEmpty() && (turn.isPresent() || length.isPresent())) {
      accepts.complain(
          "setStepsPerMm",
          Message.of("accepts.missing"),
          Message.of("rotary.accepts.set-with-marks"));
    }
    double half = Math.PI * workDiameterMm / 2;
    turn.ifPresent(t -> {
      accepts
          .between("turn.commandedMm", t.commandedMm(), LEAST_MM, MOST_MM)
          .between("turn.readMm", t.readMm(), 0, MOST_MM);
      if (!(Math.abs(t.closesByMm()) < half)) {
        accepts.complain(
            "turn.closesByMm",
            t.closesByMm(),
            Message.of("rotary.accepts.closing", Message.number(half)));
      }
    });
    length.ifPresent(l ->
        accepts
            .between("length.commandedMm", l.commandedMm(), LEAST_MM, MOST_MM)
            .between("length.measuredMm", l.measuredMm(), LEAST_MM, MOST_MM)
            .between("length.readMm", l.readMm(), 0, MOST_MM));
    taper.ifPresent(t -> check(accepts, t));
    if (accepts.fine()) {
      seating.ifPresent(lies -> lies.check(accepts, workDiameterMm));
    }
    if (accepts.fine() && taper.isPresent()) {
      double least = workDiameterMm - artworkMm.get(1) * taper.get().slope() / 2;
      if (!(least > 0)) {
        accepts.complain(
            "artworkMm[1]", artworkMm.get(1), Message.of("rotary.accepts.before-the-tip"));
      }
    }
    accepts.orThrow();
  }

  private static void check(Accepts accepts, Taper t) {
    accepts
        .positive("taper.largeDiameterMm", t.largeDiameterMm(), MOST_MM)
        .positive("taper.smallDiameterMm", t.smallDiameterMm(), MOST_MM)
        .between("taper.overMm", t.overMm(), LEAST_MM, MOST_MM);
    if (accepts.fine() && !(t.largeDiameterMm() > t.smallDiameterMm())) {
      accepts.complain(
          "taper.largeDiameterMm",
          t.largeDiameterMm(),
          Message.of("rotary.accepts.above-small", Message.number(t.smallDiameterMm())));
    }
  }

  double roundMm() {
    return artworkMm.get(0);
  }

  double alongMm() {
    return artworkMm.get(1);
  }
}
