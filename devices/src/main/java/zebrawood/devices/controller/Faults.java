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
   * One way of the line.
   *
   * @param unplugAfter after so many bytes the cable is out
   * @param garbleAt this byte, counted from 0, arrives changed
   */
  public record Way(OptionalInt unplugAfter, OptionalInt garbleAt) {
    private static final Way SOUND = new Way(OptionalInt.empty(), OptionalInt.empty());

    private Way unpluggedAfter(int bytes) {
      return new Way(OptionalInt.of(bytes), garbleAt);
    }

    private Way garblingAt(int at) {
      return new Way(unplugAfter, OptionalInt.of(at));
    }
  }

  /**
   * What goes wrong on the way.
   *
   * @param in to it
   * @param out from it
   * @param nanosPerByte from it
   * @param lateNanos how much later than at once some lines are answered
   */
  public record Wire(Way in, Way out, long nanosPerByte, long lateNanos) {
    private static final Wire SOUND = new Wire(Way.SOUND, Way.SOUND, USUAL_NANOS_PER_BYTE, 0);
  }

  public static final Faults NONE = new Faults(Wire.SOUND, Set.of(), false, false, false);

  public Faults {
    rejects = Set.copyOf(rejects);
  }

  private Faults with(Way in, Way out, long nanosPerByte, long lateNanos) {
    return new Faults(new Wire(in, out, nanosPerByte, lateNanos), rejects, forgets, extra, junk);
  }

  public Faults unpluggedAfterIn(int bytes) {
    return with(wire.in.unpluggedAfter(bytes), wire.out, wire.nanosPerByte, wire.lateNanos);
  }

  public Faults unpluggedAfterOut(int bytes) {
    return with(wire.in, wire.out.unpluggedAfter(bytes), wire.nanosPerByte, wire.lateNanos);
  }

  public Faults garblingIn(int at) {
    return with(wire.in.garblingAt(at), wire.out, wire.nanosPerByte, wire.lateNanos);
  }

  public Faults garblingOut(int at) {
    return with(wire.in, wire.out.garblingAt(at), wire.nanosPerByte, wire.lateNanos);
  }

  public Faults slow(long nanos) {
    return with(wire.in, wire.out, nanos, wire.lateNanos);
  }

  /** Answers one line of a few so much later, and all that follows behind it. */
  public Faults late(Duration by) {
    return with(wire.in, wire.out, wire.nanosPerByte, by.toNanos());
  }

  public Faults rejecting(Set<Role> roles) {
    return new Faults(wire, roles, forgets, extra, junk);
  }

  /** Forgets at a reset, tells more settings than usual, and greets with junk. */
  public Faults strange(boolean forgetting, boolean telling, boolean noisy) {
    return new Faults(wire, rejects, forgetting, telling, noisy);
  }
}
