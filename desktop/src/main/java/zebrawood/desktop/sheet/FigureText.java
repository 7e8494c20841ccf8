package zebrawood.desktop.sheet;

import zebrawood.ledger.Figure;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;

/** Figures of entries as shown, in the unit of length on display. */
public final class FigureText {
  private FigureText() {}

  public static String value(Figure figure, LengthUnit unit) {
    return value(figure, figure.value(), unit);
  }

  /** Another value of the same kind, such as the figure's limit. */
  public static String value(Figure figure, double value, LengthUnit unit) {
    return figure.unit().equals("mm")
        ? unit.show(value, 2)
        : Numbers.fixed(value, figure.decimals());
  }

  public static String unit(Figure figure, LengthUnit unit) {
    return figure.unit().equals("mm") ? unit.symbol() : figure.unit();
  }

  public static String withUnit(Figure figure, LengthUnit unit) {
    return value(figure, unit) + " " + unit(figure, unit);
  }

  /** With its uncertainty where it has one. */
  public static String full(Figure figure, LengthUnit unit) {
    return figure.uncertainty().isPresent()
        ? value(figure, unit) + " ± " + value(figure, figure.uncertainty().getAsDouble(), unit)
        : value(figure, unit);
  }
}
