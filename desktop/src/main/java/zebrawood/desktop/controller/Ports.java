package zebrawood.desktop.controller;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.Port;
import zebrawood.devices.controller.SerialLine;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SimulatedPort;
import zebrawood.devices.controller.SocketPort;
import zebrawood.machine.Machine;

/**
 * The ports that can be chosen: what is plugged in and a network address, and in their place a
 * stand-in while somebody practises. A machine that is simulated has a stand-in of its own.
 */
final class Ports {
  private static final Pattern NETWORK = Pattern.compile("([\\w.\\-]{1,120}):(\\d{1,5})");

  private final Optional<SimulatedController> own;
  private volatile Optional<SimulatedController> practisedOn = Optional.empty();

  Ports(Machine machine) {
    own =
        machine.simulated()
            ? Optional.of(StandIn.controllerOf(machine, StandIn.dialect(), Faults.NONE))
            : Optional.empty();
  }

  /** From now on there is this stand-in alone; with none, the machine's own ports again. */
  void practiseOn(Optional<SimulatedController> standIn) {
    practisedOn = standIn;
  }

  List<String> names() {
    List<String> names = new ArrayList<>();
    if (practisedOn.isEmpty()) {
      names.addAll(SerialLine.names());
    }
    if (standIn().isPresent()) {
      names.add(standInName());
    }
    return names;
  }

  private Optional<SimulatedController> standIn() {
    return practisedOn.or(() -> own);
  }

  boolean isStandIn(String name) {
    return standIn().isPresent() && name.equals(standInName());
  }

  static String standInName() {
    return Text.of("controller.port.stand-in");
  }

  /**
   * @param baud of a serial line
   */
  Port open(String name, double baud) throws IOException {
    if (isStandIn(name)) {
      return new SimulatedPort(standIn().orElseThrow(), System.nanoTime());
    }
    if (practisedOn.isPresent()) {
      throw new IOException(Text.of("controller.port.practice"));
    }
    if (name.equals(standInName())) {
      throw new IOException(Text.of("controller.port.no-stand-in"));
    }
    Matcher network = NETWORK.matcher(name.strip());
    return network.matches()
        ? SocketPort.open(network.group(1), Integer.parseInt(network.group(2)))
        : SerialLine.open(name.strip(), (int) Math.round(baud));
  }
}
