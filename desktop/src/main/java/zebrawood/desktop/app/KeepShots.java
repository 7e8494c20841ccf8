package zebrawood.desktop.app;

import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;

/** Pictures of what keeps a machine as it was left: upkeep, and a case. */
final class KeepShots {
  private final Shots shots;

  KeepShots(Shots shots) {
    this.shots = shots;
  }

  void take() throws InterruptedException {
    shots.choose("Alder");
    rotary();
    upkeep();
    fault();
  }

  private void choose(String selector, int which) {
    ((ComboBox<?>) shots.node(selector)).getSelectionModel().select(which);
  }

  private void rotary() throws InterruptedException {
    shots.show("rotary");
    Shots.onInterface(() -> {
      String[] typed = {
        "diameter", "62.4", "set", "32.4", "round", "120", "along", "60",
        "turn-sent", "196.04", "closes-by", "-1.5", "length-sent", "100", "measured", "100.5"
      };
      for (int i = 0; i < typed.length; i += 2) {
        shots.type("#rotary-" + typed[i], typed[i + 1]);
      }
    });
    shots.press("#rotary-measured");
    shots.take("rotary");
  }

  private void upkeep() throws InterruptedException {
    shots.show("upkeep");
    Shots.onInterface(() -> shots.type("#upkeep-counter", "1214"));
    shots.press("#upkeep-counter");
    shots.take("upkeep");
  }

  private void fault() throws InterruptedException {
    shots.show("fault");
    Shots.onInterface(() -> {
      choose("#fault-seen", 1);
      shots.type("#fault-note", "labels");
    });
    Shots.frames(2);
    Shots.onInterface(() -> {
      String[] scores = {"9", "9", "10", "7", "8", "8", "5", "6", "7"};
      for (int i = 0; i < scores.length; i++) {
        shots.type("#fault-score-" + (i + 1), scores[i]);
      }
    });
    Shots.frames(2);
    Shots.onInterface(() -> ((Button) shots.node("#proof-stock_on_straight_edge")).fire());
    Shots.frames(2);
    shots.take("find-a-fault");
  }
}
