package zebrawood.desktop.bed;

import zebrawood.bed.Clockwise;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.WordsField;

/**
 * A levelling screw or a foot as it is typed.
 *
 * @param pitch how far one turn moves the bed; of no meaning for a foot
 */
record Support(
    WordsField id,
    QuantityField x,
    QuantityField y,
    QuantityField pitch,
    ChoiceField<Clockwise> clockwise) {
  String name() {
    return id.text().strip();
  }
}
