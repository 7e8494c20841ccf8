package zebrawood.desktop.form;

import java.util.List;
import java.util.function.ToDoubleFunction;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A row of two numbers: where something was read, and what was read there. */
public record PairRow(QuantityField first, QuantityField second) {
  /**
   * One of the two columns.
   *
   * @param name under which a row's number is kept
   * @param label the key of a row's label, with the row's number
   * @param least that is accepted, in the canonical unit
   * @param excluded whether {@code least} itself is not accepted
   */
  public record Column(
      String name, String label, Quantity quantity, double least, double most, boolean excluded) {
    public static Column of(
        String name, String label, Quantity quantity, double least, double most) {
      return new Column(name, label, quantity, least, most, false);
    }

    /** Of numbers more than 0. */
    public static Column positive(String name, String label, Quantity quantity, double most) {
      return new Column(name, label, quantity, 0, most, true);
    }

    private QuantityField field(StationForm form, String group, int row) {
      String kept = group + "." + row + "." + name;
      Message said = Message.of(label, row);
      return excluded
          ? form.positive(kept, said, quantity, most)
          : form.quantity(kept, said, quantity, least, most);
    }
  }

  /**
   * @param name of the rows, as they are kept
   * @param rows how many there are at first, and {@code most} at most
   */
  public static Group<PairRow> group(
      StationForm form, String name, int rows, int most, Column first, Column second) {
    return form.group(
        name,
        rows,
        most,
        i -> new PairRow(first.field(form, name, i), second.field(form, name, i)));
  }

  /** Types these pairs into rows, as many as there are. */
  public static <T> void type(
      Group<PairRow> rows, List<T> pairs, ToDoubleFunction<T> first, ToDoubleFunction<T> second) {
    rows.resize(pairs.size());
    for (int i = 0; i < Math.min(rows.size(), pairs.size()); i++) {
      rows.rows().get(i).first.set(first.applyAsDouble(pairs.get(i)));
      rows.rows().get(i).second.set(second.applyAsDouble(pairs.get(i)));
    }
  }

  /** Whether both can be used. */
  public boolean read() {
    return first.value().isPresent() && second.value().isPresent();
  }

  public List<QuantityField> fields() {
    return List.of(first, second);
  }
}
