package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Dialect;

/** The same over a socket, the controller's clock four times as fast. */
class SocketPortTest implements ControllerLinkContract {
  private final List<AutoCloseable> open = new ArrayList<>();

  @Override
  public ControllerLink linkTo(SimulatedController controller, Dialect dialect) throws IOException {
    ServedController served = ServedController.onSocket(controller, 4);
    open.add(served);
    return new LineController(SocketPort.open("127.0.0.1", served.port()), dialect, () -> false);
  }

  @AfterEach
  void close() throws Exception {
    for (AutoCloseable one : open) {
      one.close();
    }
  }

  @Test
  void aPortThatNobodyListensAtIsRefused() {
    // A port that was just let go of may be another test's by now; below 1024 none of them listens.
    assertThatThrownBy(() -> SocketPort.open("127.0.0.1", 1)).isInstanceOf(IOException.class);
  }
}
