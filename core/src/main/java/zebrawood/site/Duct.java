package zebrawood.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.BrentSolver;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What does the exhaust run cost in pressure, and how much air does this blower move through it?
 *
 * <p>Darcy-Weisbach for each piece, with Colebrook friction above Re 4000, 64/Re below 2300 and a
 * straight line between; 0.3 of a velocity head for each 90 degree bend; changes of bore add
 * nothing. Air at 1.2 kg/m3 and 1.81e-5 Pa s. The working point is where the fan's curve, joined by
 * straight lines, meets the run's loss. Source: F. M. White, Fluid Mechanics, 7th ed., chapter 6;
 * bends after the tables of loss coefficients in the ASHRAE Handbook, Fundamentals.
 *
 * <p>Not for runs so long or hot that the density changes.
 */
public final class Duct {
  static final double AIR_KG_PER_M3 = 1.2;
  static final double AIR_PA_S = 1.81e-5;
  private static final double LAMINAR = 2300;
  private static final double TURBULENT = 4000;
  private static final double BEND_HEADS = 0.3;

  /** Slower than this, dust and soot settle in a horizontal run. */
  public static final double DUST_MOVES_MS = 10;

  /** At a third of the speed of sound the density changes, and the sums end. */
  private static final double FASTEST_MS = 110;

  /** An atmosphere. */
  private static final double MOST_PA = 101_325;

  private static final double NARROWEST_MM = 2;

  /**
   * Smoke is drawn down between the slats of an open bed where air goes down so fast; after the
   * control velocities for smoke released with little motion, ACGIH, Industrial Ventilation.
   */
  private static final double DRAWN_DOWN_MS = 0.5;

  /** Air that keeps dust moving in a port of this bore. */
  public static double throughPortM3H(double boreMm) {
    return 3600 * DUST_MOVES_MS * Math.PI / 4 * boreMm * boreMm * 1e-6;
  }

  /** Air that draws smoke down over a bed of this size while its lid is open. */
  public static double overBedM3H(double acrossMm, double alongMm) {
    return 3600 * DRAWN_DOWN_MS * acrossMm * alongMm * 1e-6;
  }

  private Duct() {}

  /**
   * A length of one bore.
   *
   * @param bends90 bends of 90 degrees; one of 45 counts as half
   * @param sideBySide how many alike share the air, such as two hoses from two ports; one where
   *     empty
   */
  public record Piece(
      double diameterMm,
      double lengthM,
      double bends90,
      double roughnessMm,
      OptionalDouble sideBySide) {
    public Piece {
      var accepts = new Accepts();
      check(accepts, diameterMm, lengthM, bends90, roughnessMm);
      sideBySide.ifPresent(n -> accepts.between("sideBySide", n, 1, 20));
      accepts.orThrow();
    }

    public Piece(double diameterMm, double lengthM, double bends90, double roughnessMm) {
      this(diameterMm, lengthM, bends90, roughnessMm, OptionalDouble.empty());
    }

    private static void check(
        Accepts accepts, double diameterMm, double lengthM, double bends90, double roughnessMm) {
      accepts
          .between("diameterMm", diameterMm, NARROWEST_MM, 5000)
          .between("lengthM", lengthM, 0, 1000)
          .between("bends90", bends90, 0, 100)
          .between("roughnessMm", roughnessMm, 0, 100);
      if (roughnessMm >= diameterMm / 2) {
        accepts.complain("roughnessMm", roughnessMm, Message.of("site.duct.less-than-half"));
      }
    }

    double velocityMS(double flowM3H) {
      double areaM2 = sideBySide.orElse(1) * Math.PI / 4 * diameterMm * diameterMm * 1e-6;
      return flowM3H / 3600 / areaM2;
    }

    double reynolds(double flowM3H) {
      return AIR_KG_PER_M3 * velocityMS(flowM3H) * diameterMm * 1e-3 / AIR_PA_S;
    }

    /** What this piece costs at a flow. */
    public double lossPa(double flowM3H) {
      if (flowM3H <= 0) {
        return 0;
      }
      double v = velocityMS(flowM3H);
      double friction = friction(reynolds(flowM3H), roughnessMm / diameterMm);
      double heads = friction * lengthM / (diameterMm * 1e-3) + BEND_HEADS * bends90;
      return heads * AIR_KG_PER_M3 * v * v / 2;
    }
  }

  /**
   * What sits in the run beside lengths and bends. Coefficients in velocity heads at the fitting's
   * own bore, after the tables of the ASHRAE Handbook, Fundamentals, and of I. E. Idelchik,
   * Handbook of Hydraulic Resistance.
   */
  public enum FittingKind {
    /** A hood or port with a sharp edge. */
    SHARP_PORT(0.9),
    /** A hood or port with a flange or a cone. */
    FLANGED_PORT(0.5),
    /** A reducer with a gentle slope, at its narrow end. */
    REDUCER(0.1),
    /** A sudden change of bore, at its narrow end. */
    SUDDEN_CHANGE(0.5),
    /** A damper or gate, open. */
    OPEN_DAMPER(0.2),
    /** The open end, with a grille or flap: what leaves takes its velocity head along. */
    OUTLET(1.3);

    private final double heads;

    FittingKind(double heads) {
      this.heads = heads;
    }

    double heads() {
      return heads;
    }
  }

  /** One fitting. */
  public record Fitting(FittingKind kind, double diameterMm) {
    public Fitting {
      new Accepts().between("diameterMm", diameterMm, NARROWEST_MM, 5000).orThrow();
    }

    /** What it costs at a flow. */
    public double lossPa(double flowM3H) {
      double v = flowM3H / 3600 / (Math.PI / 4 * diameterMm * diameterMm * 1e-6);
      return flowM3H <= 0 ? 0 : kind.heads * AIR_KG_PER_M3 * v * v / 2;
    }
  }

  /** A point of the blower's curve. */
  public record FanPoint(double flowM3H, double pressurePa) {
    public FanPoint {
      new Accepts()
          .between("flowM3H", flowM3H, 0, 1_000_000)
          .between("pressurePa", pressurePa, 0, 1_000_000)
          .orThrow();
    }
  }

  /**
   * Either one bore by itself or pieces in series.
   *
   * @param fittings beside the pieces, if any
   * @param flowM3H what the machine asks for
   * @param fanCurve falling: more flow, less pressure
   */
  public record Readings(
      OptionalDouble diameterMm,
      OptionalDouble lengthM,
      OptionalDouble bends90,
      OptionalDouble roughnessMm,
      Optional<List<Piece>> pieces,
      Optional<List<Fitting>> fittings,
      double flowM3H,
      Optional<List<FanPoint>> fanCurve) {
    public Readings {
      pieces = pieces.map(List::copyOf);
      fittings = fittings.map(List::copyOf);
      fanCurve = fanCurve.map(Readings::sorted);
      var accepts = new Accepts().between("flowM3H", flowM3H, 0.1, 1_000_000);
      boolean single =
          diameterMm.isPresent()
              || lengthM.isPresent()
              || bends90.isPresent()
              || roughnessMm.isPresent();
      if (single && pieces.isPresent()) {
        accepts.complain(
            "pieces",
            Message.of("site.duct.given-beside-single"),
            Message.of("site.duct.either-pieces-single"));
      } else if (pieces.isPresent()) {
        accepts.atLeast("pieces", pieces.get(), 1, "site.count.piece");
      } else {
        present(accepts, "diameterMm", diameterMm);
        present(accepts, "lengthM", lengthM);
        present(accepts, "bends90", bends90);
        present(accepts, "roughnessMm", roughnessMm);
        if (diameterMm.isPresent()
            && lengthM.isPresent()
            && bends90.isPresent()
            && roughnessMm.isPresent()) {
          Piece.check(
              accepts,
              diameterMm.getAsDouble(),
              lengthM.getAsDouble(),
              bends90.getAsDouble(),
              roughnessMm.getAsDouble());
        }
      }
      fanCurve.ifPresent(curve -> checkFalling(accepts, curve));
      accepts.orThrow();
    }

    public static Readings of(
        List<Piece> pieces, List<Fitting> fittings, double flowM3H, Optional<List<FanPoint>> fan) {
      OptionalDouble none = OptionalDouble.empty();
      return new Readings(
          none, none, none, none, Optional.of(pieces), Optional.of(fittings), flowM3H, fan);
    }

    /** What the whole run costs at a flow. */
    public double lossPa(double flowAt) {
      return run().stream().mapToDouble(p -> p.lossPa(flowAt)).sum()
          + fittings.orElse(List.of()).stream().mapToDouble(f -> f.lossPa(flowAt)).sum();
    }

    private static void present(Accepts accepts, String field, OptionalDouble value) {
      if (value.isEmpty()) {
        accepts.complain(
            field, Message.of("accepts.missing"), Message.of("site.duct.this-field-pieces"));
      }
    }

    private static List<FanPoint> sorted(List<FanPoint> curve) {
      List<FanPoint> sorted = new ArrayList<>(curve);
      sorted.sort(Comparator.comparingDouble(FanPoint::flowM3H));
      return List.copyOf(sorted);
    }

    private static void checkFalling(Accepts accepts, List<FanPoint> curve) {
      accepts.atLeast("fanCurve", curve, 2, "site.count.points");
      for (int i = 1; i < curve.size(); i++) {
        FanPoint before = curve.get(i - 1);
        FanPoint now = curve.get(i);
        if (now.flowM3H == before.flowM3H || now.pressurePa > before.pressurePa) {
          accepts.complain(
              "fanCurve",
              Message.of(
                  "site.duct.after",
                  Amount.plain(now.pressurePa, Quantity.PRESSURE),
                  Amount.plain(now.flowM3H, Quantity.FLOW),
                  Amount.plain(before.pressurePa, Quantity.PRESSURE),
                  Amount.plain(before.flowM3H, Quantity.FLOW)),
              Message.of("site.duct.curve-falls-as"));
          return;
        }
      }
    }

    /** The run as pieces, whichever way it was given. */
    public List<Piece> run() {
      return pieces.orElseGet(() ->
          List.of(
              new Piece(
                  diameterMm.getAsDouble(),
                  lengthM.getAsDouble(),
                  bends90.getAsDouble(),
                  roughnessMm.getAsDouble())));
    }
  }

  /**
   * @param velocityMS in the narrowest piece, at the flow asked for
   * @param lossPa of the whole run at the flow asked for
   * @param reynolds in the narrowest piece
   * @param operatingFlowM3H what this blower moves through this run; empty without a curve, and
   *     where the curve given does not reach so far
   * @param costliest the piece that costs most; empty in what earlier versions found
   */
  public record Finding(
      double velocityMS,
      double lossPa,
      double reynolds,
      OptionalDouble operatingFlowM3H,
      Optional<Costliest> costliest) {}

  /**
   * What one piece costs at the flow asked for.
   *
   * @param piece counted from 1, as given
   */
  public record Costliest(int piece, double lossPa) {}

  public static Finding solve(Readings r) {
    List<Piece> run = r.run();
    Piece narrowest = run.stream().min(Comparator.comparingDouble(Piece::diameterMm)).orElseThrow();
    OptionalDouble operating =
        r.fanCurve.isPresent() ? operatingFlow(r, r.fanCurve.get()) : OptionalDouble.empty();
    double velocity = narrowest.velocityMS(r.flowM3H);
    double loss = r.lossPa(r.flowM3H);
    Accepts.canExist("flowM3H", "site.duct.velocity", velocity, FASTEST_MS);
    Accepts.canExist("flowM3H", "site.duct.loss", loss, MOST_PA);
    int costliest = 0;
    for (int i = 1; i < run.size(); i++) {
      costliest =
          run.get(i).lossPa(r.flowM3H) > run.get(costliest).lossPa(r.flowM3H) ? i : costliest;
    }
    return new Finding(
        velocity,
        loss,
        narrowest.reynolds(r.flowM3H),
        operating,
        Optional.of(new Costliest(costliest + 1, run.get(costliest).lossPa(r.flowM3H))));
  }

  private static OptionalDouble operatingFlow(Readings run, List<FanPoint> curve) {
    for (int i = 1; i < curve.size(); i++) {
      FanPoint from = curve.get(i - 1);
      FanPoint to = curve.get(i);
      double over = from.pressurePa - run.lossPa(from.flowM3H);
      double under = to.pressurePa - run.lossPa(to.flowM3H);
      if (over >= 0 && under <= 0) {
        if (over == 0) {
          return OptionalDouble.of(from.flowM3H);
        }
        double slope = (to.pressurePa - from.pressurePa) / (to.flowM3H - from.flowM3H);
        return OptionalDouble.of(
            new BrentSolver(1e-12, 1e-9)
                .solve(
                    200,
                    q -> from.pressurePa + slope * (q - from.flowM3H) - run.lossPa(q),
                    from.flowM3H,
                    to.flowM3H));
      }
    }
    return OptionalDouble.empty();
  }

  /** Darcy's friction factor. */
  static double friction(double reynolds, double relativeRoughness) {
    if (reynolds <= LAMINAR) {
      return 64 / reynolds;
    }
    if (reynolds < TURBULENT) {
      double laminar = 64 / LAMINAR;
      double share = (reynolds - LAMINAR) / (TURBULENT - LAMINAR);
      return laminar + share * (colebrook(TURBULENT, relativeRoughness) - laminar);
    }
    return colebrook(reynolds, relativeRoughness);
  }

  /**
   * Fixed-point iteration on one over the root of f, which contracts by about a tenth each time.
   */
  private static double colebrook(double reynolds, double relativeRoughness) {
    double x = 8;
    for (int i = 0; i < 60; i++) {
      double next = -2 * Math.log10(relativeRoughness / 3.7 + 2.51 * x / reynolds);
      if (Math.abs(next - x) < 1e-14 * next) {
        x = next;
        break;
      }
      x = next;
    }
    return 1 / (x * x);
  }

  /**
   * Where the air is slowest, in m/s: in the widest piece, at the flow that the blower really
   * moves, or at the one asked for while no blower is known. There dust settles first.
   */
  public static double dustMs(Readings r, Finding f) {
    double flow = f.operatingFlowM3H.orElse(r.flowM3H);
    return r.run().stream().mapToDouble(p -> p.velocityMS(flow)).min().orElseThrow();
  }

  /** First what costs most. */
  private static Advice widen(Readings r, Finding f) {
    return f.costliest
        .filter(c -> r.run().size() > 1)
        .map(c ->
            Advice.act(
                "site.duct.widen-piece",
                c.piece,
                Amount.of(c.lossPa, Quantity.PRESSURE, 0),
                Amount.of(f.lossPa, Quantity.PRESSURE, 0)))
        .orElse(Advice.act("site.duct.widen"));
  }

  static PartFinding judge(Readings r, Finding f) {
    List<Message> warnings = new ArrayList<>();
    double slowest = dustMs(r, f);
    if (slowest < DUST_MOVES_MS) {
      warnings.add(
          Message.of(
              "site.duct.dust-soot-settle",
              Amount.of(slowest, Quantity.AIR_SPEED, 1),
              Amount.of(DUST_MOVES_MS, Quantity.AIR_SPEED, 0)));
    }
    if (r.fanCurve.isEmpty()) {
      return PartFinding.within(
              Advice.act(
                  "site.duct.choose-blower-gives",
                  Amount.of(f.lossPa, Quantity.PRESSURE, 0),
                  Amount.plain(r.flowM3H, Quantity.FLOW)))
          .warning(warnings);
    }
    if (f.operatingFlowM3H.isEmpty()) {
      return new PartFinding(
          zebrawood.measure.Verdict.MEASURE_AGAIN,
          List.of(Advice.read("site.duct.read-more-blower").because("site.duct.does-not-meet")),
          warnings);
    }
    double flow = f.operatingFlowM3H.getAsDouble();
    Message moved =
        Message.of(
            "site.duct.moves",
            Amount.of(flow, Quantity.FLOW, 0),
            Amount.plain(r.flowM3H, Quantity.FLOW));
    return (flow < r.flowM3H * (1 - 1e-9)
            ? PartFinding.adjust(widen(r, f).because(moved))
            : PartFinding.within(Advice.leave("site.duct.leave").because(moved)))
        .warning(warnings);
  }
}
