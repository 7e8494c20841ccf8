package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.field.FieldFinding.Missing;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the field came to.
 *
 * @param field what the square or grid says, without the table: {@link #table} makes that
 * @param skewMrad of a square with diagonals or of a grid
 * @param lineWidthMm by two squares
 * @param keystone of a grid: what of a trapezoid is a head's lean
 * @param offTheMap what is left of each mark, x and y in mm, in the order of the marks
 */
public record FieldVisitFinding(
    FieldFinding field,
    Optional<Estimate> skewMrad,
    OptionalDouble lineWidthMm,
    Optional<ControllerCoefficients> plain,
    Optional<Keystone> keystone,
    Optional<List<List<Double>>> offTheMap,
    Optional<PointerFinding> pointer,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /**
   * How sure the edge is, what a plain controller can be told, the line's width, marks not found.
   */
  List<Message> said(FieldTask task) {
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "field.summary.unsure",
            Amount.mm(field.edgeUncertaintyMm(), 3),
            field.advisedSquareMm().isPresent()
                ? Message.of(
                    "field.summary.advised", Amount.mm(field.advisedSquareMm().getAsDouble(), 0))
                : Message.of("field.summary.no-square")));
    plain.map(ControllerCoefficients::said).ifPresent(said::add);
    lineWidthMm.ifPresent(mm -> said.add(Message.of("field.summary.line", Amount.mm(mm, 3))));
    if (field instanceof OfGrid grid) {
      grid.pointUncertaintiesMm().filter(u -> !u.isEmpty()).ifPresent(u -> said.add(readTo(u)));
      grid.missing().filter(m -> !m.isEmpty()).ifPresent(m -> said.add(notFound(m)));
      if (task instanceof FieldTask.ByScan(FieldScanReadings scan) && scan.diagonals().isEmpty()) {
        said.add(Message.of("field.scan.skew"));
      }
    }
    return said;
  }

  private static Message readTo(List<Double> uncertaintiesMm) {
    double[] sorted = uncertaintiesMm.stream().mapToDouble(u -> u).sorted().toArray();
    return Message.of(
        "field.summary.read-to",
        Amount.mm(sorted[sorted.length / 2], 3),
        Amount.mm(sorted[sorted.length - 1], 3));
  }

  private static Message notFound(List<Missing> missing) {
    return Message.of(
        "field.summary.missing",
        missing.size(),
        Message.list(
            missing.stream()
                .limit(MOST_NAMED)
                .map(c -> Message.of("field.summary.cell", c.column() + 1, c.row() + 1))
                .toList()));
  }

  /** Further marks that were not found are counted only. */
  private static final int MOST_NAMED = 12;
}
