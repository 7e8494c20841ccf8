package zebrawood.desktop.mirrors;

import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.words.Message;

/**
 * One screw, and what was typed of its trial.
 *
 * @param clockwise which way clockwise moves the beam, where it was not tried
 * @param turned on trial, in turns
 * @param moved how far the mark went
 */
record TrialFields(
    int mirror,
    boolean sideways,
    ChoiceField<Towards> clockwise,
    QuantityField turned,
    MarkFields moved) {
  boolean tried() {
    return moved.begun();
  }

  Stream<Field> fields() {
    return Stream.of(turned, moved.right(), moved.up());
  }

  Message name() {
    return Message.of(sideways ? "mirrors.trial.sideways" : "mirrors.trial.up-down", mirror);
  }
}
