package zebrawood.desktop.controller;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.controller.Corner;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.Port;
import zebrawood.devices.controller.SerialLine;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SimulatedPort;
import zebrawood.devices.controller.SocketPort;
import zebrawood.machine.Machine;

/** The ports that can be chosen: what is plugged in, a network address, and the stand-in. */
final class Ports {
  private static final Pattern NETWORK = Pattern.compile("([\\w.\\-]{1,120}):(\\d{1,5})");

  private final SimulatedController standIn;

  Ports(Machine machine) {
    // As such machines come: top word four times too large, homing off, the laser not following.
    standIn =
        new SimulatedController(
            new SimulatedController.Frame(
                machine.areaXMm(), machine.areaYMm(), true, Corner.FRONT_LEFT),
            Map.of(30, "4000", 23, "0"),
            Faults.NONE);
  }

  List<String> names() {
    List<String> names = new ArrayList<>(SerialLine.names());
    names.add(standInName());
    return names;
  }

  static String standInName() {
    return Text.of("controller.port.stand-in");
  }

  Port open(String name) throws IOException {
    if (name.equals(standInName())) {
      return new SimulatedPort(standIn, System.nanoTime());
    }
    Matcher network = NETWORK.matcher(name.strip());
    return network.matches()
        ? SocketPort.open(network.group(1), Integer.parseInt(network.group(2)))
        : SerialLine.open(name.strip(), SerialLine.USUAL_BAUD);
  }
}
