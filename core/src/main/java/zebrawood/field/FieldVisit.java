package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings.Edges;
import zebrawood.field.FieldReadings.Square;
import zebrawood.field.FieldTask.ByGrid;
import zebrawood.field.FieldTask.ByScan;
import zebrawood.field.FieldTask.BySquare;
import zebrawood.field.FieldTask.Diagonals;
import zebrawood.ledger.Figure;
import zebrawood.measure.Estimate;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Help;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** One visit to a head's field: what was burnt and measured, and where the pointer points. */
public final class FieldVisit {
  public static final Visit<FieldVisitReadings, FieldVisitFinding> VISIT =
      Visit.helped(
              FieldVisitReadings.class,
              FieldVisitFinding.class,
              FieldVisit::solve,
              FieldVisit::figures)
          .saying((r, f) -> f.said(r.task()));

  private FieldVisit() {}

  /**
   * @param help reads the scan, and is told how far it is measured
   */
  public static FieldVisitFinding solve(FieldVisitReadings readings, Help help) {
    OptionalDouble width =
        readings.task() instanceof BySquare square ? lineWidth(square) : OptionalDouble.empty();
    Optional<FieldCorrection.Grid> grid =
        switch (readings.task()) {
          case BySquare square -> Optional.empty();
          case ByGrid(FieldReadings typed) -> Optional.of(FieldCorrection.ofGrid(typed));
          case ByScan(FieldScanReadings scan) ->
              Optional.of(
                  FieldScan.grid(scan, help.pictures().apply(scan.imagePath()), help.reached()));
        };
    FieldFinding field =
        grid.<FieldFinding>map(FieldCorrection.Grid::finding)
            .orElseGet(() -> FieldCorrection.solve(withWidth((BySquare) readings.task(), width)));
    Optional<Estimate> skew = skew(readings.task(), field);
    Optional<PointerFinding> pointer = readings.pointer().map(RedPointer::of);
    List<PartFinding> parts = new ArrayList<>();
    parts.add(new PartFinding(field.verdict(), field.advice(), field.warnings()));
    if (readings.task() instanceof BySquare square) {
      skew.flatMap(s -> squareness(square, s)).ifPresent(parts::add);
    }
    pointer.ifPresent(p -> parts.add(new PartFinding(p.verdict(), p.advice(), p.warnings())));
    List<Advice> advice = new ArrayList<>();
    List<Message> warnings = new ArrayList<>();
    readings
        .focusHolds()
        .filter(holds -> !holds)
        .ifPresent(not -> warnings.add(Message.of("field.focus-first")));
    parts.forEach(p -> warnings.addAll(p.warnings()));
    advice.addAll(PartFinding.toDo(parts));
    if (advice.isEmpty()) {
      advice.addAll(field.advice());
    }
    if (field.verdict() != Verdict.WITHIN && readings.task() instanceof BySquare square) {
      // Right behind what is to be done with the scale.
      long before = advice.stream().takeWhile(a -> a.kind() == Advice.Kind.DO).count();
      advice.addAll((int) before, square.now().map(now -> typed(now, field)).orElse(List.of()));
    }
    if (field.verdict() == Verdict.ADJUST) {
      advice.add(Advice.act("field.save").because("field.save.why"));
    }
    return new FieldVisitFinding(
        field,
        skew,
        width,
        grid.map(g -> ControllerCoefficients.of(g.kept(), fieldMm(readings.task()))),
        grid.map(g -> Keystone.of(g.kept(), fieldMm(readings.task()))),
        grid.map(FieldCorrection.Grid::offTheMap),
        pointer,
        PartFinding.worst(parts),
        advice,
        warnings);
  }

  private static List<Advice> typed(FieldTask.ScaleNow now, FieldFinding field) {
    List<Advice> typed = new ArrayList<>();
    type(typed, "field.axis.x", now.x(), field.scaleX());
    type(typed, "field.axis.y", now.y(), field.scaleY());
    return typed;
  }

  /** The figure to type, where it differs from what stands there by more than it is unsure. */
  private static void type(List<Advice> advice, String axis, double now, Estimate scale) {
    double unsure = now * scale.uncertainty();
    if (Math.abs(scale.value() - 1) > 2 * scale.uncertainty() && unsure > 0) {
      int decimals = Math.clamp((int) Math.ceil(-Math.log10(unsure)), 0, 6);
      advice.add(
          Advice.act(
              "field.scale.type",
              Amount.of(now * scale.value(), Quantity.NUMBER, decimals),
              Message.of(axis)));
    }
  }

  /**
   * What lies behind a grid's coefficients: row by row from the lowest y.
   *
   * @param found of a scan, with its marks
   * @throws IllegalArgumentException of a square
   */
  public static List<FieldFinding.Row> table(FieldTask task, FieldFinding found) {
    return switch (task) {
      case BySquare square -> throw new IllegalArgumentException("a square has no table");
      case ByGrid(FieldReadings typed) -> FieldCorrection.ofGrid(typed).table();
      case ByScan(FieldScanReadings scan) ->
          FieldCorrection.ofGrid(
                  scan.head(),
                  points(task, found).orElseThrow(),
                  new FieldCorrection.Errors(0, 0, 0))
              .table();
    };
  }

  /** The marks as they were measured; empty of a square. */
  public static Optional<List<FieldReadings.Point>> points(FieldTask task, FieldFinding field) {
    return task instanceof ByGrid(FieldReadings grid)
        ? grid.points()
        : field instanceof OfGrid found ? found.points() : Optional.empty();
  }

  public static double fieldMm(FieldTask task) {
    return switch (task) {
      case BySquare square -> square.readings().fieldMm();
      case ByGrid grid -> grid.readings().fieldMm();
      case ByScan scan -> scan.readings().fieldMm();
    };
  }

  /** Two sizes, one line: {@code measured = size * commanded ± width}. */
  private static OptionalDouble lineWidth(BySquare task) {
    if (task.other().isEmpty()) {
      return OptionalDouble.empty();
    }
    Square one = task.readings().square().orElseThrow();
    Square two = task.other().get();
    int sign = one.edges().orElse(Edges.CENTRE) == Edges.INSIDE ? -1 : 1;
    double apart = one.commandedMm() - two.commandedMm();
    double across =
        one.measuredAcrossMm()
            - one.commandedMm() * (one.measuredAcrossMm() - two.measuredAcrossMm()) / apart;
    double up =
        one.measuredUpMm() - one.commandedMm() * (one.measuredUpMm() - two.measuredUpMm()) / apart;
    return OptionalDouble.of(Math.max(0, sign * (across + up) / 2));
  }

  /** With two squares the reading error counts for what their sizes differ. */
  private static FieldReadings withWidth(BySquare task, OptionalDouble width) {
    FieldReadings r = task.readings();
    if (width.isEmpty()) {
      return r;
    }
    Square s = r.square().orElseThrow();
    double apart = Math.abs(s.commandedMm() - task.other().get().commandedMm());
    return new FieldReadings(
        r.fieldMm(),
        r.resolutionMm() * Math.max(1, Math.sqrt(2) * s.commandedMm() / apart),
        r.toleranceMm(),
        Optional.of(
            new Square(
                s.commandedMm(),
                s.measuredAcrossMm(),
                s.measuredUpMm(),
                s.edges(),
                OptionalDouble.of(Math.min(width.getAsDouble(), s.commandedMm() / 4)))),
        Optional.empty(),
        r.tableSize());
  }

  /**
   * A parallelogram's diagonals differ by its skew: the difference of their squares is four times
   * both sides times its sine.
   */
  private static Optional<Estimate> skew(FieldTask task, FieldFinding field) {
    if (!(task instanceof BySquare square)) {
      return field instanceof OfGrid grid ? Optional.of(grid.skewMrad()) : Optional.empty();
    }
    Square s = square.readings().square().orElseThrow();
    return square
        .diagonals()
        .map((Diagonals d) -> {
          double sides = 4 * s.measuredAcrossMm() * s.measuredUpMm();
          double sine = (d.risingMm() * d.risingMm() - d.fallingMm() * d.fallingMm()) / sides;
          double error = Resolution.standardDeviation(square.readings().resolutionMm());
          return new Estimate(
              1000 * Math.asin(Math.clamp(sine, -1, 1)),
              1000 * 2 * error * Math.hypot(d.risingMm(), d.fallingMm()) / sides);
        });
  }

  /** A skew moves the top edge over the bottom one. */
  private static Optional<PartFinding> squareness(BySquare square, Estimate skew) {
    double half = square.readings().fieldMm() / 2;
    double off = half * Math.abs(skew.value()) / 1000;
    double unsure = half * skew.uncertainty() / 1000;
    double tolerance = square.readings().toleranceMm();
    if (unsure > tolerance / 2) {
      return Optional.of(
          PartFinding.again(
              Advice.read("field.skew.finer")
                  .because("field.skew.finer.why", Amount.mm(unsure, 3))));
    }
    return off > tolerance
        ? Optional.of(
            PartFinding.adjust(
                Advice.act("field.skew", Amount.of(-skew.value(), Quantity.ANGLE, 2))
                    .because("field.skew.why", Amount.mm(off, 3))))
        : Optional.of(PartFinding.within());
  }

  /** What the notebook shows; how far off the edge is first. */
  public static List<Figure> figures(FieldVisitReadings r, FieldVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    double tolerance =
        switch (r.task()) {
          case BySquare square -> square.readings().toleranceMm();
          case ByGrid grid -> grid.readings().toleranceMm();
          case ByScan scan -> scan.readings().toleranceMm();
        };
    figures.add(
        Figure.of("edge", f.field().edgeErrorNowMm(), Quantity.LENGTH)
            .uncertain(f.field().edgeUncertaintyMm())
            .limited(tolerance));
    figures.add(Figure.of("scaleX", f.field().scaleX(), Quantity.NUMBER));
    figures.add(Figure.of("scaleY", f.field().scaleY(), Quantity.NUMBER));
    f.skewMrad().ifPresent(s -> figures.add(Figure.of("skew", s, Quantity.ANGLE)));
    if (f.field() instanceof OfGrid grid) {
      figures.add(Figure.of("after", grid.residualRmsAfterMm(), Quantity.LENGTH));
    }
    f.pointer()
        .ifPresent(p -> figures.add(Figure.of("pointer", p.farthestOffMm(), Quantity.LENGTH)));
    return figures;
  }
}
