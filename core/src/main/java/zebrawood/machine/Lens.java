package zebrawood.machine;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A lens that belongs to the machine.
 *
 * @param focalLengthMm as engraved on its ring
 * @param fieldMm side of the square it covers, for a galvo head; empty on others
 */
public record Lens(double focalLengthMm, OptionalDouble fieldMm) {
  public Lens {
    var accepts = new Accepts().between("focalLengthMm", focalLengthMm, 5, 2000);
    fieldMm.ifPresent(mm -> accepts.between("fieldMm", mm, 5, 2000));
    accepts.orThrow();
  }

  /** Such as "160 mm lens, field 110 mm". */
  public Message said() {
    Amount focal = Amount.plain(focalLengthMm, Quantity.LENGTH);
    return fieldMm.isPresent()
        ? Message.of(
            "machine.lens.field", focal, Amount.plain(fieldMm.getAsDouble(), Quantity.LENGTH))
        : Message.of("machine.lens", focal);
  }
}
