package zebrawood.devices.controller;

import java.time.Duration;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.controller.Role;

/**
 * What goes wrong with a simulated controller.
 *
 * @param rejects settings it will not take
 * @param forgets whether a soft reset brings back what it was shipped with
 * @param extra settings of another firmware as well, names among them
 * @param junk whether it greets with bytes that are no text
 */
public record Faults(Wire wire, Set<Role> rejects, boolean forgets, boolean extra, boolean junk) {
  /** As fast as the usual serial line. */
  private static final long USUAL_NANOS_PER_BYTE = 87_000;

  /** Of so many lines one is answered late, where any is. */
  static final int LATE_EVERY = 4;

  /**
   * What goes wrong on the way.
   *
   * @param unplugAfterIn after so many bytes to it the cable is out
   * @param unplugAfterOut after so many bytes from it the cable is out
   * @param garbleIn this byte to it, counted from 0, arrives changed
   * @param garbleOut this byte from it, counted from 0, arrives changed
   * @param nanosPerByte from it
   * @param lateNanos how much later than at once some lines are answered
   */
  public record Wire(
      OptionalInt unplugAfterIn,
      OptionalInt unplugAfterOut,
      OptionalInt garbleIn,
      OptionalInt garbleOut,
      long nanosPerByte,
      long lateNanos) {
    private static final OptionalInt NEVER = OptionalInt.empty();
    private static final Wire SOUND = new Wire(NEVER, NEVER, NEVER, NEVER, USUAL_NANOS_PER_BYTE, 0);
  }

  public static final Faults NONE = new Faults(Wire.SOUND, Set.of(), false, false, false);

  public Faults {
    rejects = Set.copyOf(rejects);
  }

  private Faults with(Wire other) {
    return new Faults(other, rejects, forgets, extra, junk);
  }

  public Faults unpluggedAfterIn(int bytes) {
    return with(
        new Wire(
            OptionalInt.of(bytes),
            wire.unplugAfterOut,
            wire.garbleIn,
            wire.garbleOut,
            wire.nanosPerByte,
            wire.lateNanos));
  }

  public Faults unpluggedAfterOut(int bytes) {
    return with(
        new Wire(
            wire.unplugAfterIn,
            OptionalInt.of(bytes),
            wire.garbleIn,
            wire.garbleOut,
            wire.nanosPerByte,
            wire.lateNanos));
  }

  public Faults garblingIn(int at) {
    return with(
        new Wire(
            wire.unplugAfterIn,
            wire.unplugAfterOut,
            OptionalInt.of(at),
            wire.garbleOut,
            wire.nanosPerByte,
            wire.lateNanos));
  }

  public Faults garblingOut(int at) {
    return with(
        new Wire(
            wire.unplugAfterIn,
            wire.unplugAfterOut,
            wire.garbleIn,
            OptionalInt.of(at),
            wire.nanosPerByte,
            wire.lateNanos));
  }

  public Faults slow(long nanos) {
    return with(
        new Wire(
            wire.unplugAfterIn,
            wire.unplugAfterOut,
            wire.garbleIn,
            wire.garbleOut,
            nanos,
            wire.lateNanos));
  }

  /** Answers one line of a few so much later, and all that follows behind it. */
  public Faults late(Duration by) {
    return with(
        new Wire(
            wire.unplugAfterIn,
            wire.unplugAfterOut,
            wire.garbleIn,
            wire.garbleOut,
            wire.nanosPerByte,
            by.toNanos()));
  }

  public Faults rejecting(Set<Role> roles) {
    return new Faults(wire, roles, forgets, extra, junk);
  }

  /** Forgets at a reset, tells more settings than usual, and greets with junk. */
  public Faults strange(boolean forgetting, boolean telling, boolean noisy) {
    return new Faults(wire, rejects, forgetting, telling, noisy);
  }
}
