package zebrawood.devices.controller;

import java.util.OptionalInt;
import java.util.Set;
import zebrawood.controller.Role;

/**
 * What goes wrong with a simulated controller.
 *
 * @param unplugAfterIn after so many bytes to it the cable is out
 * @param unplugAfterOut after so many bytes from it the cable is out
 * @param garbleIn this byte to it, counted from 0, arrives changed
 * @param garbleOut this byte from it, counted from 0, arrives changed
 * @param nanosPerByte from it
 * @param rejects settings it will not take
 * @param forgets whether a soft reset brings back what it was shipped with
 * @param extra settings of another firmware as well, names among them
 * @param junk whether it greets with bytes that are no text
 */
public record Faults(
    OptionalInt unplugAfterIn,
    OptionalInt unplugAfterOut,
    OptionalInt garbleIn,
    OptionalInt garbleOut,
    long nanosPerByte,
    Set<Role> rejects,
    boolean forgets,
    boolean extra,
    boolean junk) {
  /** As fast as the usual serial line. */
  private static final long USUAL_NANOS_PER_BYTE = 87_000;

  public static final Faults NONE =
      new Faults(
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          USUAL_NANOS_PER_BYTE,
          Set.of(),
          false,
          false,
          false);

  public Faults {
    rejects = Set.copyOf(rejects);
  }

  public Faults unpluggedAfterIn(int bytes) {
    return new Faults(
        OptionalInt.of(bytes),
        unplugAfterOut,
        garbleIn,
        garbleOut,
        nanosPerByte,
        rejects,
        forgets,
        extra,
        junk);
  }

  public Faults unpluggedAfterOut(int bytes) {
    return new Faults(
        unplugAfterIn,
        OptionalInt.of(bytes),
        garbleIn,
        garbleOut,
        nanosPerByte,
        rejects,
        forgets,
        extra,
        junk);
  }

  public Faults garblingIn(int at) {
    return new Faults(
        unplugAfterIn,
        unplugAfterOut,
        OptionalInt.of(at),
        garbleOut,
        nanosPerByte,
        rejects,
        forgets,
        extra,
        junk);
  }

  public Faults garblingOut(int at) {
    return new Faults(
        unplugAfterIn,
        unplugAfterOut,
        garbleIn,
        OptionalInt.of(at),
        nanosPerByte,
        rejects,
        forgets,
        extra,
        junk);
  }

  public Faults slow(long nanos) {
    return new Faults(
        unplugAfterIn, unplugAfterOut, garbleIn, garbleOut, nanos, rejects, forgets, extra, junk);
  }

  public Faults rejecting(Set<Role> roles) {
    return new Faults(
        unplugAfterIn,
        unplugAfterOut,
        garbleIn,
        garbleOut,
        nanosPerByte,
        roles,
        forgets,
        extra,
        junk);
  }

  /** Forgets at a reset, tells more settings than usual, and greets with junk. */
  public Faults strange(boolean forgetting, boolean telling, boolean noisy) {
    return new Faults(
        unplugAfterIn,
        unplugAfterOut,
        garbleIn,
        garbleOut,
        nanosPerByte,
        rejects,
        forgetting,
        telling,
        noisy);
  }
}
