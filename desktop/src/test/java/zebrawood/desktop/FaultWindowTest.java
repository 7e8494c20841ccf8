package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.devices.fault.StandInCase;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.CauseTest;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.FaultStation;
import zebrawood.fault.Fitted;
import zebrawood.fault.Seen;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Standing;

/** A hidden fault is found by keys alone, mended, and closed by the same piece burnt again. */
class FaultWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
    }
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(FaultStation.STATION));
  }

  private int chosen(String selector) {
    return ((ComboBox<?>) node(selector)).getSelectionModel().getSelectedIndex();
  }

  private void tabTo(String id) {
    for (int i = 0; i < 80 && !focused().startsWith(id); i++) {
      keys(KeyCode.TAB);
    }
    assertThat(focused()).startsWith(id);
  }

  private static Optional<CauseTest> testOf(String focused) {
    return Stream.of(CauseTest.values())
        .filter(t -> focused.equals("proof-" + t.name().toLowerCase(Locale.ROOT)))
        .findFirst();
  }

  /** A machine like Alder without a meter, with one fault that a test shows. */
  private static StandInCase hidden(Cause cause) {
    EnumSet<Fitted> fitted = EnumSet.allOf(Fitted.class);
    fitted.remove(Fitted.METER);
    for (long number = 0; ; number++) {
      StandInCase on = new StandInCase(number, fitted, 700, 500, BeamEnters.REAR_LEFT);
      if (on.began().equals(EnumSet.of(cause))) {
        return on;
      }
    }
  }

  @Test
  void aBedThatLeansIsFoundMendedAndProvenByKeysAlone() {
    StandInCase on = hidden(Cause.BED_NOT_LEVEL);
    open("Alder", "fault");
    tabTo("fault-seen");
    keys(KeyCode.DOWN);
    until("it is uneven", () -> chosen("#fault-seen") == 1);
    tabTo("fault-note");
    typeWords("labels");
    // The rear row stands first, as it is seen from above.
    List<Scored> squares = on.squares();
    for (int i : List.of(7, 8, 9, 4, 5, 6, 1, 2, 3)) {
      tabTo("fault-score-" + i);
      typeWords(String.valueOf(Math.round(10 * squares.get(i - 1).score())));
    }
    tabTo("proof-");
    for (int tests = 0; tests < 30 && !page().contains("No test tells more"); tests++) {
      Optional<CauseTest> test = testOf(focused());
      assertThat(test).as(focused()).isPresent();
      var good = test.get().outcomes().getFirst();
      typeWords(on.answer(test.get()) == good ? "y" : "n");
      settle();
    }
    says("Level the bed");
    tabTo("fault-mended-bed-not-level");
    keys(KeyCode.SPACE);
    says("mended: bed not level");
    on.mend(Cause.BED_NOT_LEVEL);
    assertThat(on.good()).isTrue();
    tabTo("proof-same_piece_good");
    typeWords("y");
    says("Close the case: the same piece is good again");
    tabTo("primary");
    keys(KeyCode.SPACE);
    signIfAsked();
    until(
        "it is closed",
        () -> app.model().opened().ledger().entriesAt(FaultStation.STATION).size() == 2);
    assertThat(standing()).isInstanceOf(Standing.Holds.class);
  }

  @Test
  void aCaseThatWasClosedOnAnotherMachineCounts() {
    open("Sedge", "fault");
    says("1 closed here before");
  }

  @Test
  void anOpenCaseWaitsAndGoesOn() {
    open("Sedge", "fault");
    assertThat(standing()).isInstanceOf(Standing.Idle.class);
    fill("#fault-note", "tags");
    press("#proof-look_at_lens");
    says("Tried so far");
    press("#primary");
    signIfAsked();
    until(
        "it is open",
        () -> app.model().opened().standing(FaultStation.STATION) instanceof Standing.Out);
    reopen();
    open("Sedge", "fault");
    says("Tried so far");
    assertThat(words("#fault-note")).isEqualTo("tags");
    // Whoever comes from a sign finds the case as it is.
    int seen = chosen("#fault-seen");
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("why slanted");
    keys(KeyCode.ENTER);
    settle();
    assertThat(chosen("#fault-seen")).isEqualTo(seen).isNotEqualTo(Seen.SLANTED.ordinal());
    Entry open =
        onInterface(() -> app.model().opened().ledger().entriesAt(FaultStation.STATION).getLast());
    assertThat(open.figure("spent").orElseThrow().value()).isEqualTo(2);
  }

  @Test
  void aDeadMachineIsLookedAtInOrderAndNeverOpened() {
    open("Alder", "fault");
    tabTo("fault-seen");
    for (int i = 0; i < 6; i++) {
      keys(KeyCode.DOWN);
    }
    until("it is dead", () -> chosen("#fault-seen") == 6);
    says("Dead: look in this order");
    says("Look at the emergency stop");
    press("#proof-stop_released");
    says("Turn the key");
    press("#proof-key_turned");
    press("#proof-key_turned");
    says("where it does not light");
    press("#proof-key_turned");
    for (String check :
        List.of("key_turned", "lid_shut", "socket_live", "no_alarm", "coolant_flows", "moves")) {
      press("#proof-" + check);
    }
    press("#proof-fuse_whole");
    press("#proof-source_wakes");
    says("leave it to qualified hands");
  }
}
