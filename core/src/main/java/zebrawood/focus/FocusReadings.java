package zebrawood.focus;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Moves;
import zebrawood.measure.Accepts;
import zebrawood.measure.Resolution;

/**
 * A visit to the focus of one lens.
 *
 * @param references what gaps are measured from
 * @param setGapMm the gap that the machine is set to now, read after setting it; empty while nobody
 *     read it
 * @param setGapResolutionMm of what that gap is read with; empty where it was not told, as in
 *     entries of earlier versions
 * @param depthMm of focus, where it is known otherwise than by this reading
 * @param stack what is on the table now; empty while nobody said so
 * @param stackThen what was on it when the focus was last left
 * @param defocusMm how far the focus is meant to lie above the surface, less than 0 for below it
 * @param defocusThenMm how far the focus was to lie above the surface when it was left; empty where
 *     that is not known, as in entries of earlier versions
 * @param head of a machine that cuts sheet metal; else empty
 * @param moves what sets the gap; empty while nobody said so
 * @param plumb of a module on the head, where marks at two heights were burnt
 * @param ringHeld whether a module's ring stays where it is; empty where the machine has no module
 */
public record FocusReadings(
    FocusTask task,
    References references,
    OptionalDouble setGapMm,
    OptionalDouble setGapResolutionMm,
    OptionalDouble depthMm,
    Optional<StackUp> stack,
    Optional<StackUp> stackThen,
    double defocusMm,
    OptionalDouble defocusThenMm,
    Optional<CuttingHead> head,
    Optional<Moves> moves,
    Optional<ModulePlumb.Readings> plumb,
    Optional<Focus.Held> ringHeld) {
  public FocusReadings {
    var accepts = new Accepts().between("defocusMm", defocusMm, -200, 200);
    setGapMm.ifPresent(mm -> accepts.between("setGapMm", mm, 0, RampReadings.LONGEST_MM));
    setGapResolutionMm.ifPresent(mm -> accepts.positive("setGapResolutionMm", mm, 50));
    depthMm.ifPresent(mm -> accepts.positive("depthMm", mm, 1000));
    defocusThenMm.ifPresent(mm -> accepts.between("defocusThenMm", mm, -5000, 5000));
    accepts.orThrow();
  }

  /** How far the table goes up for what is on it now; empty while either stack is not known. */
  public OptionalDouble tableUpMm() {
    return stack.isPresent() && stackThen.isPresent()
        ? OptionalDouble.of(
            stackThen.get().tableUpMm(stack.get(), defocusMm - defocusThenMm.orElse(0)))
        : OptionalDouble.empty();
  }

  /** Standard deviation of the gap as it is set; 0 where nobody said how finely it is read. */
  double setGapErrorMm() {
    return setGapResolutionMm.isPresent()
        ? Resolution.standardDeviation(setGapResolutionMm.getAsDouble())
        : 0;
  }

  boolean stackChanged() {
    return stack.isPresent()
        && stackThen.isPresent()
        && Math.abs(stack.get().totalMm() - stackThen.get().totalMm()) > SAME_STACK_MM;
  }

  /** Half of what a caliper tells apart of two sheets. */
  private static final double SAME_STACK_MM = 0.05;
}
