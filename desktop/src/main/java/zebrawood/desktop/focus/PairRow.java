package zebrawood.desktop.focus;

import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A row of a place and what is read there. */
record PairRow(QuantityField at, QuantityField value) {
  private static final int MOST_ROWS = 60;

  /**
   * Rows of places and values.
   *
   * @param name of the readings, as they are kept
   * @param atKey the label of a place
   * @param valueKey the label of what is read there
   */
  static Group<PairRow> group(
      StationForm form,
      String name,
      String atKey,
      String valueKey,
      int first,
      Quantity of,
      double most) {
    return form.group(
        name,
        first,
        MOST_ROWS,
        i ->
            new PairRow(
                form.quantity(
                    name + "." + i + ".at", Message.of(atKey, i), Quantity.LENGTH, -5000, 5000),
                of == Quantity.LENGTH
                    ? form.positive(name + "." + i + ".value", Message.of(valueKey, i), of, most)
                    : form.quantity(
                        name + "." + i + ".value", Message.of(valueKey, i), of, -most, most)));
  }
}
