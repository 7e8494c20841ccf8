package zebrawood.desktop.cards;

import java.util.List;
import java.util.stream.Stream;
import zebrawood.cards.BookLine;
import zebrawood.cards.CardGrid;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What the squares of a card are burnt with: power from column to column, speed from row to row.
 */
final class GridFields {
  static final int MOST_A_SIDE = 30;
  private static final double FASTEST_MM_S = 50_000;

  /** About a setting that is known. */
  private static final double AROUND = 1.6;

  final QuantityField powerLeast;
  final QuantityField powerMost;
  final QuantityField columns;
  final QuantityField speedLeast;
  final QuantityField speedMost;
  final QuantityField rows;
  final QuantityField interval;

  GridFields(StationForm form) {
    powerLeast = power(form, "powerLeast", "cards.from");
    powerMost = power(form, "powerMost", "cards.to");
    columns = form.quantity("columns", Quantity.NUMBER, 1, MOST_A_SIDE);
    speedLeast = speed(form, "speedLeast", "cards.from");
    speedMost = speed(form, "speedMost", "cards.to");
    rows = form.quantity("rows", Quantity.NUMBER, 1, MOST_A_SIDE);
    interval = form.positive("interval", Quantity.LINE_INTERVAL, 10);
  }

  private static QuantityField power(StationForm form, String name, String end) {
    return form.positive(
        name, Message.of("cards.field.power", Message.of(end)), Quantity.PERCENT, 100);
  }

  private static QuantityField speed(StationForm form, String name, String end) {
    return form.positive(
        name, Message.of("cards.field.speed", Message.of(end)), Quantity.SPEED, FASTEST_MM_S);
  }

  Part part() {
    return new Part.Table(
        List.of(
            Message.NONE,
            Message.of("cards.from"),
            Message.of("cards.to"),
            Message.of("cards.steps")),
        List.of(
            new Part.TableRow(
                Message.of("cards.row.power"), List.of(powerLeast, powerMost, columns)),
            new Part.TableRow(
                Message.of("cards.row.speed"), List.of(speedLeast, speedMost, rows))));
  }

  Stream<Field> needed() {
    return Stream.of(powerLeast, powerMost, columns, speedLeast, speedMost, rows);
  }

  boolean known() {
    return needed().allMatch(f -> ((QuantityField) f).value().isPresent());
  }

  int columnCount() {
    return (int) Math.round(columns.number());
  }

  int rowCount() {
    return (int) Math.round(rows.number());
  }

  CardGrid grid() {
    return new CardGrid(
        CardGrid.evenly(powerLeast.number(), powerMost.number(), columnCount()),
        CardGrid.steps(speedLeast.number(), speedMost.number(), rowCount()),
        interval.value());
  }

  private void set(double p0, double p1, double v0, double v1, double intervalMm) {
    powerLeast.set(p0);
    powerMost.set(p1);
    columns.set(7);
    speedLeast.set(v0);
    speedMost.set(v1);
    rows.set(6);
    interval.set(intervalMm);
  }

  /** A first card for such a machine. */
  void usual(Machine machine) {
    SourceKind kind = machine.source().kind();
    switch (kind) {
      case CO2_GLASS_TUBE, CO2_RF_TUBE -> set(10, 58, 60, 450, 0.1);
      case DIODE -> set(20, 100, 15, 120, 0.1);
      default -> set(10, 100, 200, 2000, 0.03);
    }
  }

  /** About a setting of the book. */
  void around(BookLine line) {
    double p = line.percent().orElse(30);
    double v = line.speedMmS().orElse(150);
    set(
        p / AROUND,
        Math.min(100, p * AROUND),
        v / AROUND,
        Math.min(FASTEST_MM_S, v * AROUND),
        line.intervalMm().orElse(interval.value().orElse(0.1)));
  }
}
