package zebrawood.fault;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;

/**
 * What is looked at where nothing happens at all: what takes no tool first, what needs the plug
 * pulled later; never anything behind covers.
 */
public enum DeadCheck {
  STOP_RELEASED(m -> m.has(Fitting.EMERGENCY_STOP)),
  KEY_TURNED(m -> m.has(Fitting.KEY_SWITCH)),
  LID_SHUT(m -> m.has(Fitting.LID_SWITCH)),
  SOCKET_LIVE(m -> true),
  NO_ALARM(m -> true),
  COOLANT_FLOWS(m -> m.has(Fitting.FLOW_SWITCH)),
  ARMED(m -> m.has(Fitting.ARM_SWITCH)),
  SHUTTER_OPEN(m -> m.has(Fitting.SHUTTER) || m.has(Fitting.LENS_CAP)),
  MOVES(m -> true),
  FUSE_WHOLE(m -> true),
  SOURCE_WAKES(m -> true);

  private final Predicate<Machine> fitted;

  DeadCheck(Predicate<Machine> fitted) {
    this.fitted = fitted;
  }

  /** What there is to look at on a machine, in order. */
  public static List<DeadCheck> of(Machine machine) {
    return Stream.of(values()).filter(c -> c.fitted.test(machine)).toList();
  }
}
