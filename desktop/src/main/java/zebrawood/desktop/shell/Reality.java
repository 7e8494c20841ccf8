package zebrawood.desktop.shell;

import java.util.Optional;
import zebrawood.machine.Machine;
import zebrawood.machine.Trial;

/** Whether a machine stands somewhere, or is made up to try things out. */
enum Reality {
  REAL,
  SIMULATED;

  static Reality of(Machine machine) {
    return machine.simulated() ? SIMULATED : REAL;
  }

  /** What of it is kept with the machine. */
  Optional<Trial> trial() {
    return this == REAL ? Optional.empty() : Optional.of(Trial.IN_USE);
  }
}
