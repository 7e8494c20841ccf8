package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Confirmed means kept: nothing that was typed goes while the disk takes nothing. */
class FullDiskWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void run(String statement) {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        var sql = other.createStatement()) {
      sql.execute("PRAGMA busy_timeout = 5000");
      sql.execute(statement);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private void fillUp(String table) {
    run(
        "CREATE TRIGGER full BEFORE INSERT ON "
            + table
            + " BEGIN SELECT RAISE(ABORT, 'disk full'); END");
  }

  private int events() {
    return app.model().opened().ledger().events().size();
  }

  @Test
  void anEventsCardStaysUntilItIsWritten() {
    int before = onInterface(this::events);
    fillUp("event");
    tellThatItWasMoved();
    until("it is refused in the card", () -> app.model().messageProperty().get().contains("Not"));
    settle();
    assertThat(words("#event-note")).isEqualTo("moved to the north wall");
    assertThat(page()).contains("Not recorded");
    assertThat(onInterface(this::events)).isEqualTo(before);

    run("DROP TRIGGER full");
    onInterface(() -> {
      node("#event-kinds").requestFocus();
      return null;
    });
    keys(KeyCode.ENTER);
    until("it is kept", () -> events() == before + 1);
    until("the card is closed", () -> app.scene().lookup("#event-note") == null);
    assertThat(onInterface(() -> app.model().opened().ledger().events().getLast().note()))
        .isEqualTo("moved to the north wall");
  }

  @Test
  void whatIsTypedIsSaidNotToBeKeptAndIsKeptWithTheNextChange() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    fill("#reading-0-0", "6.1");
    settle();
    fillUp("draft");
    fill("#reading-1-0", "6.2");
    until("it is said", () -> app.model().messageProperty().get().contains("not kept"));
    assertThat(words("#reading-1-0")).isEqualTo("6.2");
    run("DROP TRIGGER full");
    fill("#reading-0-1", "6.3");
    settle();
    reopen();
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    assertThat(words("#reading-1-0")).isEqualTo("6.2");
    assertThat(words("#reading-0-1")).isEqualTo("6.3");
  }
}
