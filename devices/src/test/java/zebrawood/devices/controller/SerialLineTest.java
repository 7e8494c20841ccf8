package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Dialect;

/** The same through the serial code, over a pseudo-terminal where the system has them. */
class SerialLineTest implements ControllerLinkContract {
  private Optional<PseudoTerminal> terminal = Optional.empty();

  @Override
  public ControllerLink linkTo(SimulatedController controller, Dialect dialect) throws IOException {
    terminal = PseudoTerminal.open();
    Assumptions.assumeTrue(terminal.isPresent(), "no pseudo-terminals here");
    SerialLine line = SerialLine.open(terminal.get().name(), 115_200);
    ServedController.over(controller, terminal.get().in(), terminal.get().out());
    return new LineController(line, dialect, () -> false);
  }

  @AfterEach
  void close() {
    terminal.ifPresent(PseudoTerminal::close);
  }

  @Test
  void aPortThatIsNotThereIsSaid() {
    assertThatThrownBy(() -> SerialLine.open("/dev/tty-that-is-not-there", 115_200))
        .isInstanceOf(IOException.class);
    assertThat(SerialLine.names()).doesNotContain("/dev/tty-that-is-not-there");
  }
}
