package zebrawood.desktop.power;

import zebrawood.quantity.Quantity;

/** How the curve is read. */
public enum CurveWay {
  CURRENT(Unit.CURRENT),
  MARK(Unit.MARK),
  WATTS(Unit.WATTS),
  JOULES(Unit.WATTS),
  PROBE(Unit.WATTS);

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

  CurveWay(Unit unit) {
    this.unit = unit;
  }

  Unit unit() {
    return unit;
  }
}
