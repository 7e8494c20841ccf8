package zebrawood.desktop.power;

import zebrawood.quantity.Quantity;

/** How the curve is read. */
public enum CurveWay {
  CURRENT(Unit.CURRENT, "power.heading.current"),
  MARK(Unit.MARK, "power.heading.alike"),
  WATTS(Unit.WATTS, "power.heading.watts"),
  JOULES(Unit.WATTS, "power.heading.energy"),
  PROBE(Unit.WATTS, "power.heading.watts");

  /** What a curve is in; curves in different units are not compared. */
  public enum Unit {
    NONE(Quantity.NUMBER),
    CURRENT(Quantity.SMALL_CURRENT),
    MARK(Quantity.PERCENT),
    WATTS(Quantity.POWER);

    private final Quantity quantity;

    Unit(Quantity quantity) {
      this.quantity = quantity;
    }

    Quantity quantity() {
      return quantity;
    }
  }

  private final Unit unit;
  private final String heading;

  /**
   * @param heading the key of what its values are called
   */
  CurveWay(Unit unit, String heading) {
    this.unit = unit;
    this.heading = heading;
  }

  String heading() {
    return heading;
  }

  Unit unit() {
    return unit;
  }
}
