package zebrawood.measure;

/** A unit of length as shown and typed. */
public enum LengthUnit {
  MILLIMETRE("mm", 1),
  INCH("in", 25.4);

  private final String symbol;
  private final double millimetres;

  LengthUnit(String symbol, double millimetres) {
    this.symbol = symbol;
    this.millimetres = millimetres;
  }

  public String symbol() {
    return symbol;
  }

  public double fromMm(double mm) {
    return mm / millimetres;
  }

  public double toMm(double value) {
    return value * millimetres;
  }

  /** The length in this unit without its symbol; an inch carries one and a half decimals more. */
  public String show(double mm, int decimalsInMm) {
    return Numbers.fixed(fromMm(mm), this == INCH ? decimalsInMm + 2 : decimalsInMm);
  }

  /** The length in this unit with its symbol. */
  public String showWithUnit(double mm, int decimalsInMm) {
    return show(mm, decimalsInMm) + " " + symbol;
  }
}
