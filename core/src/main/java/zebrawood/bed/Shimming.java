package zebrawood.bed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Place;
import zebrawood.measure.PlaneFit;
import zebrawood.measure.ShimStacks;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How thick a shim does each foot need for bed and head to be parallel?
 *
 * <p>In: gaps in mm at three places or more, feet with positions in mm. Out: slopes in mm per m and
 * a thickness in mm for each foot, the smallest 0, since a shim only adds. A bed is raised where it
 * is low, that is where the gap is large; a fixed head is raised where it is low, that is where the
 * gap is small, since its ring tilts with the feet of its column. Method and accuracy as in {@link
 * Levelling}; bed, column and head are taken as stiff.
 */
public final class Shimming {
  private Shimming() {}

  /** Shims under a bed that has no screws. */
  public static ShimFinding underBed(ShimReadings readings) {
    return solve(readings, 1, Message.of("bed.shimming.bed"));
  }

  /** Shims under the feet of a fixed head's column. */
  public static ShimFinding underHead(ShimReadings readings) {
    return solve(readings, -1, Message.of("bed.shimming.column"));
  }

  private static ShimFinding solve(ShimReadings readings, int sign, Message what) {
    LevelFit level =
        new LevelFit(readings.points(), readings.gaugeResolutionMm(), readings.toleranceMm());
    var surface = level.surface();
    Foot highest =
        readings.feet().stream()
            .max(Comparator.comparingDouble(f -> sign * surface.heightMm(f.xMm(), f.yMm())))
            .orElseThrow();
    List<Shim> shims = new ArrayList<>();
    for (Foot foot : readings.feet()) {
      Estimate lower = surface.differenceMm(highest.xMm(), highest.yMm(), foot.xMm(), foot.yMm());
      double thickness = Math.max(0, Numbers.snap(sign * lower.value(), LevelFit.NOTHING_MM));
      Accepts.canExist("feet", "bed.rise", thickness, LevelFit.HIGHEST_MM);
      Accepts.canExist("feet", "bed.rise", lower.uncertainty(), LevelFit.HIGHEST_MM);
      shims.add(new Shim(foot.id(), new Estimate(thickness, lower.uncertainty())));
    }
    Verdict verdict = level.verdict();
    return new ShimFinding(
        Levelling.perMetre(surface.slopeX(), sign),
        Levelling.perMetre(surface.slopeY(), sign),
        shims,
        level.nowMm,
        level.warpMm,
        level.warpMm,
        level.highest(),
        level.lowest(),
        verdict,
        advice(verdict, shims, level, what),
        level.warnings());
  }

  private static List<Advice> advice(
      Verdict verdict, List<Shim> shims, LevelFit level, Message what) {
    List<Advice> advice = new ArrayList<>();
    switch (verdict) {
      case WITHIN -> advice.add(level.alreadyWithin());
      case MEASURE_AGAIN -> advice.add(level.finerGauge());
      case STOP -> {
        advice.add(level.noCure(Message.of("bed.shimming.shims")));
        addShims(advice, shims, what);
      }
      case ADJUST -> {
        addShims(advice, shims, what);
        advice.add(Advice.act("bed.shimming.tighten-feet-read"));
      }
    }
    return advice;
  }

  private static void addShims(List<Advice> advice, List<Shim> shims, Message what) {
    shims.stream()
        .filter(s -> s.thicknessMm().told())
        .sorted(Comparator.comparingDouble((Shim s) -> s.thicknessMm().value()).reversed())
        .map(s ->
            Advice.act(
                "bed.shimming.put-under-foot",
                Amount.of(s.thicknessMm().value(), Quantity.LENGTH, 2),
                s.id(),
                what))
        .forEach(advice::add);
  }

  /** Highest to lowest of the bed or head when these stacks are under its feet. */
  public static double afterStacksMm(
      ShimReadings readings, List<ShimStacks.Stack> stacks, boolean underHead) {
    List<FootRise> rises = new ArrayList<>();
    for (int i = 0; i < stacks.size(); i++) {
      Foot foot = readings.feet().get(i);
      rises.add(new FootRise(foot.xMm(), foot.yMm(), stacks.get(i).totalMm()));
    }
    var moved = PlaneFit.of(rises, FootRise::riseMm, 1);
    double sign = underHead ? -1 : 1;
    return new LevelFit(readings.points(), readings.gaugeResolutionMm(), readings.toleranceMm())
        .afterMm(p -> sign * moved.heightMm(p.xMm(), p.yMm()));
  }

  private record FootRise(double xMm, double yMm, double riseMm) implements Place {}
}
