package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Resolution;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What one mark at two heights tells of a camera on the head: its offset from the beam is the
 * opposite of how far the head was driven; a camera that does not look along the beam has another
 * offset at another height.
 *
 * @param offsetXMm of the camera from the beam, as {@code offsetYMm}
 * @param offsetMmUncertainty one standard deviation of each
 * @param driftMmPerMm by how much the offset changes for each mm that the head is higher; empty
 *     where one height was read
 * @param pxPerMm of its picture; empty where the head was not moved
 */
public record CloseUp(
    double offsetXMm,
    double offsetYMm,
    double offsetMmUncertainty,
    OptionalDouble driftMmPerMm,
    OptionalDouble driftMmPerMmUncertainty,
    OptionalDouble pxPerMm,
    OptionalDouble pxPerMmUncertainty) {

  static CloseUp of(CloseUpReadings r) {
    double read = Resolution.standardDeviation(r.resolutionMm());
    OptionalDouble drift = OptionalDouble.empty();
    OptionalDouble unsure = OptionalDouble.empty();
    if (r.twoHeights()) {
      double higher = r.higherMm().getAsDouble();
      drift =
          OptionalDouble.of(
              Math.hypot(
                      r.otherOffsetXMm().getAsDouble() - r.offsetXMm(),
                      r.otherOffsetYMm().getAsDouble() - r.offsetYMm())
                  / higher);
      unsure = OptionalDouble.of(Math.sqrt(2) * read / higher);
    }
    OptionalDouble scale = OptionalDouble.empty();
    OptionalDouble scaleUnsure = OptionalDouble.empty();
    if (r.movedMm().isPresent() && r.movedPx().isPresent()) {
      double moved = r.movedMm().getAsDouble();
      scale = OptionalDouble.of(r.movedPx().getAsDouble() / moved);
      scaleUnsure = OptionalDouble.of(scale.getAsDouble() * Math.sqrt(2) * read / moved);
    }
    return new CloseUp(-r.offsetXMm(), -r.offsetYMm(), read, drift, unsure, scale, scaleUnsure);
  }

  /** In sentences. */
  public Message said() {
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "camera.close-up.offset",
            Message.bare(Amount.mm(offsetXMm, 2)),
            Amount.mm(offsetYMm, 2),
            Message.bare(Amount.mm(offsetMmUncertainty, 2))));
    if (driftMmPerMm.isPresent()) {
      double drift = driftMmPerMm.getAsDouble();
      boolean told = drift > 2 * driftMmPerMmUncertainty.getAsDouble();
      said.add(
          Message.of(
              told ? "camera.close-up.drift" : "camera.close-up.no-drift",
              Amount.mm(told ? drift : 2 * driftMmPerMmUncertainty.getAsDouble(), 3)));
    } else {
      said.add(Message.of("camera.close-up.one-height"));
    }
    pxPerMm.ifPresent(scale ->
        said.add(
            Message.of(
                "camera.close-up.scale",
                Amount.of(scale, Quantity.NUMBER, 1),
                Amount.of(pxPerMmUncertainty.orElse(0), Quantity.NUMBER, 1))));
    return Message.sentences(said);
  }
}
