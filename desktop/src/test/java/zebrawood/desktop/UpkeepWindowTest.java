package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Standing;
import zebrawood.upkeep.UpkeepStation;

/** Alder's upkeep in the real window: what is late, whether cleaning helped, the calendar. */
class UpkeepWindowTest extends WindowTest {
  private static final int DIRTY = 3;
  private static final int CLEAN = 1;

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

  private void found(String task, int how) {
    onInterface(() -> {
      ((ComboBox<?>) node("#upkeep-found-" + task)).getSelectionModel().select(how);
      return null;
    });
    settle();
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(UpkeepStation.STATION));
  }

  private Entry last() {
    return onInterface(
        () -> app.model().opened().ledger().entriesAt(UpkeepStation.STATION).getLast());
  }

  @Test
  void anOverdueLensIsCleanedProvenAndComesSooner() throws IOException {
    open("Alder", "upkeep");
    assertThat(standing()).isInstanceOf(Standing.Stale.class);
    says("Clean the lens");
    says("late");
    fill("#upkeep-counter", "1214");
    String[] tries = {"18", "18.5", "18", "21.5", "21", "21.5"};
    for (int i = 0; i < tries.length; i++) {
      fill((i < 3 ? "#upkeep-before-" : "#upkeep-after-") + (i % 3 + 1), tries[i]);
    }
    says("Cleaning gave 17 %");
    says("better");
    found("lens", DIRTY);
    says("Take along: Honeycomb");
    found("honeycomb", CLEAN);

    unfold();
    Path calendar = file.resolveSibling("alder.ics");
    fill("#upkeep-calendar-file", calendar.toString());
    press("#upkeep-write-calendar");
    until("the calendar is written", () -> Files.exists(calendar));
    assertThat(Files.readString(calendar)).contains("BEGIN:VEVENT").contains("Clean the lens");
    fill("#upkeep-calendar-file", calendar.toString());
    press("#upkeep-write-calendar");
    says("alder.ics");

    until("it can be recorded", () -> !node("#primary").isDisabled());
    press("#primary");
    signIfAsked();
    until(
        "it is kept",
        () -> app.model().opened().ledger().entriesAt(UpkeepStation.STATION).size() == 4);
    assertThat(last().verdict()).as(last().finding()).isEqualTo(zebrawood.measure.Verdict.WITHIN);
    until("it holds", () -> app.model().opened().standing(UpkeepStation.STATION).holds());
    assertThat(last().figure("gain").orElseThrow().value()).isBetween(15.0, 20.0);
    // Three times dirty: as short as it gets, half of fourteen days.
    assertThat(last().figure("lens").orElseThrow().value()).isLessThanOrEqualTo(7);
  }

  @Test
  void theDaysThatNobodyWroteDownAreTypedOnce() {
    open("Sedge", "upkeep");
    says("Nobody noted when it was done last");
    unfold();
    fill("#upkeep-last-fans", "2020-13-40");
    says("a day such as 2026-11-25");
    fill("#upkeep-last-fans", "2020-01-02");
    keys(KeyCode.ENTER);
    says("days late");
  }
}
