package zebrawood.desktop.field;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import zebrawood.field.FieldVisitFinding;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;

/**
 * How a commanded square came out.
 *
 * @param wide of what was commanded, and {@code high}
 * @param measuredLean how far the top stands to the right, over half of the height; empty without
 *     diagonals
 */
record SquareShape(double wide, double high, Optional<Double> measuredLean) {
  private static final double SAME = 1e-9;

  static SquareShape of(FieldVisitFinding found) {
    return new SquareShape(
        1 / found.field().scaleX().value(),
        1 / found.field().scaleY().value(),
        found.skewMrad().map(s -> s.value() / 1000));
  }

  /** The last one of the record that is another than this; empty where there is none. */
  static Optional<SquareShape> before(List<Entry> entries, SquareShape now) {
    return entries.reversed().stream()
        .filter(Entry::decided)
        .flatMap(e -> of(e).stream())
        .filter(shape -> !shape.isAbout(now))
        .findFirst();
  }

  private static Optional<SquareShape> of(Entry entry) {
    Map<String, Figure> figures =
        entry.figures().stream()
            .collect(Collectors.toMap(Figure::id, Function.identity(), (one, other) -> one));
    return figures.containsKey("scaleX") && figures.containsKey("scaleY")
        ? Optional.of(
            new SquareShape(
                1 / figures.get("scaleX").value(),
                1 / figures.get("scaleY").value(),
                Optional.ofNullable(figures.get("skew")).map(s -> s.value() / 1000)))
        : Optional.empty();
  }

  double lean() {
    return measuredLean.orElse(0.0);
  }

  private boolean isAbout(SquareShape other) {
    return Math.abs(wide - other.wide) < SAME
        && Math.abs(high - other.high) < SAME
        && (measuredLean.isEmpty()
            || other.measuredLean.isEmpty()
            || Math.abs(lean() - other.lean()) < SAME);
  }

  /** Of a square of twice this side, where it is most. */
  double mostOffMm(double halfMm) {
    return Math.max(edgeOffMm(2 * halfMm), halfMm * Math.abs(lean()));
  }

  /** At the edge of a field of this side, the worse axis. */
  double edgeOffMm(double fieldMm) {
    return fieldMm / 2 * Math.max(Math.abs(wide - 1), Math.abs(high - 1));
  }
}
