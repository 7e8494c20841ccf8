package zebrawood.desktop.controller;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.machine.Machine;
import zebrawood.records.json.RecordJson;

/** The simulated controller that ships with the program, and how it talks. */
final class StandIn {
  private static final String FILE = "/zebrawood/desktop/controller/stand-in.json";

  private StandIn() {}

  /** The only dialect that is built in. */
  static Dialect dialect() {
    try (InputStream in = StandIn.class.getResourceAsStream(FILE)) {
      return RecordJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8), Dialect.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** As such machines come: top word four times too large, the laser not following. */
  static SimulatedController controllerOf(Machine machine, Dialect dialect, Faults faults) {
    return new SimulatedController(
        new SimulatedController.Frame(
            machine.areaXMm(), machine.areaYMm(), true, Corner.FRONT_LEFT),
        dialect,
        Map.of(Role.TOP_POWER_WORD, "4000"),
        faults);
  }
}
