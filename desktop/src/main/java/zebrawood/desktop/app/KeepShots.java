package zebrawood.desktop.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import zebrawood.devices.jobfile.StandInJob;

/** Pictures of what keeps a machine as it was left: upkeep, and a case. */
final class KeepShots {
  private final Shots shots;

  KeepShots(Shots shots) {
    this.shots = shots;
  }

  void take() throws InterruptedException, IOException {
    shots.choose("Alder");
    rotary();
    jobFile();
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

  /** A job with something wrong, in a file that goes again. */
  private void jobFile() throws InterruptedException, IOException {
    Path file = Files.createTempFile("sign", ".nc");
    Files.writeString(file, new StandInJob(2, 700, 500, 1000).text());
    shots.show("jobfile");
    Shots.onInterface(() -> {
      shots.type("#jobfile-file", file.toString());
      shots.type("#jobfile-rapid", "300");
      choose("#jobfile-origin", 1);
      ((Button) shots.node("#jobfile-look")).fire();
    });
    shots.awaitPrimary();
    shots.press("#jobfile-top-word");
    shots.take("job-file");
    Files.delete(file);
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
