package zebrawood.desktop.power;

import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A percentage and what was read there. */
record CurveRow(QuantityField percent, QuantityField value) {
  private static final int MOST_ROWS = 40;

  /**
   * Rows of percentages and values.
   *
   * @param name as they are kept
   * @param percentKey the label of a percentage, with the row's number
   * @param valueKey the label of what is read there, likewise
   */
  static Group<CurveRow> group(
      StationForm form,
      String name,
      String percentKey,
      String valueKey,
      int first,
      Quantity of,
      double most) {
    return form.group(
        name,
        first,
        MOST_ROWS,
        i ->
            new CurveRow(
                form.quantity(
                    name + "." + i + ".percent",
                    Message.of(percentKey, i),
                    Quantity.PERCENT,
                    0,
                    100),
                form.quantity(name + "." + i + ".value", Message.of(valueKey, i), of, 0, most)));
  }

  /** Whether both can be used. */
  boolean read() {
    return percent.value().isPresent() && value.value().isPresent();
  }
}
