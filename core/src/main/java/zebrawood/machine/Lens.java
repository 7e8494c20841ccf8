package zebrawood.machine;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A lens that belongs to the machine.
 *
 * @param name as people there call it, where they do
 * @param focalLengthMm as engraved on its ring
 * @param fieldMm side of the square it covers, for a galvo head; empty on others
 * @param beamMm diameter of the beam that enters it, 1/e², where somebody measured it
 * @param focalAssumed whether its focal length was worked out from its field, because only that is
 *     engraved on it
 */
public record Lens(
    Optional<String> name,
    double focalLengthMm,
    OptionalDouble fieldMm,
    OptionalDouble beamMm,
    Optional<Boolean> focalAssumed) {
  public static final double SHORTEST_MM = 5;
  public static final double LONGEST_MM = 2000;
  public static final double THINNEST_BEAM_MM = 0.1;
  public static final double WIDEST_BEAM_MM = 100;

  public Lens {
    var accepts = new Accepts().between("focalLengthMm", focalLengthMm, SHORTEST_MM, LONGEST_MM);
    fieldMm.ifPresent(mm -> accepts.between("fieldMm", mm, SHORTEST_MM, LONGEST_MM));
    beamMm.ifPresent(mm -> accepts.between("beamMm", mm, THINNEST_BEAM_MM, WIDEST_BEAM_MM));
    accepts.orThrow();
  }

  /**
   * Side of the field over focal length of an f-theta lens behind mirrors that turn the beam by 20
   * degrees either way: twice 20 degrees in radians.
   */
  private static final double FIELD_PER_FOCAL = 2 * Math.toRadians(20);

  public Lens(
      Optional<String> name, double focalLengthMm, OptionalDouble fieldMm, OptionalDouble beamMm) {
    this(name, focalLengthMm, fieldMm, beamMm, Optional.empty());
  }

  /** One that is known by its field alone: its focal length is about what such a field needs. */
  public static Lens byField(Optional<String> name, double fieldMm, OptionalDouble beamMm) {
    return new Lens(
        name, focalForField(fieldMm), OptionalDouble.of(fieldMm), beamMm, Optional.of(true));
  }

  /** The focal length that a field of this side usually needs. */
  public static double focalForField(double fieldMm) {
    return Math.round(fieldMm / FIELD_PER_FOCAL);
  }

  /** Whether nobody read its focal length. */
  public boolean knownByField() {
    return focalAssumed.orElse(false);
  }

  /** One without a name, of whose beam nobody knows. */
  public Lens(double focalLengthMm, OptionalDouble fieldMm) {
    this(Optional.empty(), focalLengthMm, fieldMm, OptionalDouble.empty());
  }

  /** Its name, else what is engraved on it, such as "160 mm". */
  public String called() {
    return name.orElseGet(() ->
        knownByField()
            ? Numbers.plain(fieldMm.orElseThrow()) + " x " + Numbers.plain(fieldMm.getAsDouble())
            : Numbers.plain(focalLengthMm) + " mm");
  }

  /** Such as "160 mm lens, field 110 mm", behind its name where it has one. */
  public Message said() {
    Message measures = measures();
    return name.map(n -> Message.of("words.comma", Message.verbatim(n), measures)).orElse(measures);
  }

  private Message measures() {
    if (knownByField()) {
      return Message.of(
          "machine.lens.field-alone",
          Amount.plain(fieldMm.orElseThrow(), Quantity.LENGTH),
          Amount.plain(focalLengthMm, Quantity.LENGTH));
    }
    Amount focal = Amount.plain(focalLengthMm, Quantity.LENGTH);
    return fieldMm.isPresent()
        ? Message.of(
            "machine.lens.field", focal, Amount.plain(fieldMm.getAsDouble(), Quantity.LENGTH))
        : Message.of("machine.lens", focal);
  }
}
