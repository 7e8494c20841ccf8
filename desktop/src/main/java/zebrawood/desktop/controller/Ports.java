package zebrawood.desktop.controller;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.Port;
import zebrawood.devices.controller.SerialLine;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SimulatedPort;
import zebrawood.devices.controller.SocketPort;
import zebrawood.machine.Machine;

/** The ports that can be chosen: what is plugged in, a network address, and the stand-in. */
final class Ports {
  private static final Pattern NETWORK = Pattern.compile("([\\w.\\-]{1,120}):(\\d{1,5})");

  private final Machine machine;
  private volatile SimulatedController standIn;

  Ports(Machine machine) {
    this.machine = machine;
    breakWith(StandInFault.NONE);
  }

  /** The stand-in is another one from now on, with this fault. */
  void breakWith(StandInFault fault) {
    standIn = StandIn.controllerOf(machine, StandIn.dialect(), fault.faults());
  }

  List<String> names() {
    List<String> names = new ArrayList<>(SerialLine.names());
    names.add(standInName());
    return names;
  }

  static String standInName() {
    return Text.of("controller.port.stand-in");
  }

  /**
   * @param baud of a serial line
   */
  Port open(String name, double baud) throws IOException {
    if (name.equals(standInName())) {
      return new SimulatedPort(standIn, System.nanoTime());
    }
    Matcher network = NETWORK.matcher(name.strip());
    return network.matches()
        ? SocketPort.open(network.group(1), Integer.parseInt(network.group(2)))
        : SerialLine.open(name.strip(), (int) Math.round(baud));
  }
}
