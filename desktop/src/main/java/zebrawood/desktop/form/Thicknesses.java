package zebrawood.desktop.form;

import java.util.ArrayList;
import java.util.List;
import zebrawood.desktop.text.Text;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;
import zebrawood.words.Message;

/** Thicknesses of what is at hand for shims, typed in one line. */
public final class Thicknesses {
  private static final double THINNEST_MM = 0.01;
  private static final double THICKEST_MM = 20;

  private Thicknesses() {}

  /**
   * Lengths with commas or spaces between; one without a unit is in millimetres.
   *
   * @param label the key of the field's label, for the refusal
   */
  public static List<Double> read(String label, String words) {
    List<Double> read = new ArrayList<>();
    for (String word : words.strip().split("[;\\s]+(?=[\\d.,])|,\\s+|,(?=\\D|$)")) {
      if (word.isBlank()) {
        continue;
      }
      if (TypedQuantity.read(word, Quantity.LENGTH, Quantity.LENGTH.units().getFirst())
              instanceof TypedQuantity.Understood u
          && u.canonical() >= THINNEST_MM
          && u.canonical() <= THICKEST_MM) {
        read.add(u.canonical());
      } else {
        throw none(label, word);
      }
    }
    if (read.isEmpty()) {
      throw none(label, words);
    }
    return read;
  }

  private static UnusableReading none(String label, String words) {
    return UnusableReading.of(
        Text.of(label), Message.quoted(words), Message.of("measure.accepts.thicknesses"));
  }
}
