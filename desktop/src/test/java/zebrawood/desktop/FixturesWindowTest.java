package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import zebrawood.feed.FeedStation;
import zebrawood.ledger.Standing;
import zebrawood.rotary.RotaryStation;

/** A rotary and a long piece in the real window. */
class FixturesWindowTest extends WindowTest {
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

  private void record() {
    goOnWithoutProof();
    until("it can be recorded", () -> !node("#primary").isDisabled());
    press("#primary");
    signIfAsked();
  }

  @Test
  void aGearThatNobodyKnewIsFoundByALineOnceRound() {
    open("Alder", "rotary");
    unfold();
    String[] typed = {
      "steps-per-turn",
      "6400",
      "diameter",
      "60",
      "set",
      "33.953",
      "round",
      "100",
      "along",
      "50",
      "depth",
      "2",
      "tolerance",
      "0.5",
      "turn-sent",
      "188.5",
      "closes-by",
      "-1"
    };
    for (int i = 0; i < typed.length; i += 2) {
      fill("#rotary-" + typed[i], typed[i + 1]);
    }
    says("The line once round says");
    says("steps a millimetre round the work");
    fill("#rotary-closes-by", "100");
    says("less than half the circumference");
    fill("#rotary-closes-by", "0");
    says("Leave it as it is set");
    record();
    until("it holds", () -> app.model().opened().standing(RotaryStation.STATION).holds());
  }

  @Test
  void slippingIsToldFromAFactor() {
    open("Alder", "feed");
    assertThat(onInterface(() -> app.model().opened().standing(FeedStation.STATION)))
        .isInstanceOf(Standing.Idle.class);
    String[] measured = {"297", "302", "299"};
    for (int i = 0; i < measured.length; i++) {
      fill("#feed-feed-" + (i + 1) + "-commanded", "300");
      fill("#feed-feed-" + (i + 1) + "-measured", measured[i]);
    }
    fill("#feed-piece", "1500");
    fill("#feed-window", "400");
    says("Stop the slipping first");
    for (int i = 0; i < measured.length; i++) {
      fill("#feed-feed-" + (i + 1) + "-measured", "297");
    }
    says("Command 404.04 mm a section");
    fill("#feed-overlap", "400");
    says("less than the window");
  }
}
