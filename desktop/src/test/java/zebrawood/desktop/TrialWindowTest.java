package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Sedge's trial piece in the real window: written, measured, judged. */
class TrialWindowTest extends WindowTest {
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

  /** An answer goes from open to yes, to no, and round again. */
  private void answer(String proof, int times) {
    for (int i = 0; i < times; i++) {
      press("#proof-" + proof);
    }
    settle();
  }

  @Test
  void aPieceIsWrittenMeasuredAndJudged() throws IOException {
    open("Sedge", "trial");
    goOnWithoutProof();
    unfold();
    Path piece = file.resolveSibling("piece.gcode");
    fill("#trial-piece-file", piece.toString());
    press("#trial-write");
    says("Say where the piece lies first");
    String[] typed = {
      "at-x",
      "20",
      "at-y",
      "30",
      "engrave-speed",
      "100",
      "engrave-word",
      "300",
      "interval",
      "0.1",
      "cut-speed",
      "5",
      "cut-word",
      "900"
    };
    for (int i = 0; i < typed.length; i += 2) {
      fill("#trial-" + typed[i], typed[i + 1]);
    }
    press("#trial-write");
    until("the piece is written", () -> Files.exists(piece));
    assertThat(Files.readString(piece)).startsWith("G21").contains("S900");

    fill("#trial-tolerance", "0.2");
    fill("#trial-read-to", "0.02");
    fill("#trial-comb", "28");
    fill("#trial-measured-x", "69.2");
    fill("#trial-measured-y", "49.8");
    says("Across it is off by -0.60 mm");
    says("the controller station");
    fill("#trial-measured-x", "69.8");
    says("Look at five places whether it is cut through");
    for (String where :
        new String[] {"centre", "front_left", "front_right", "rear_left", "rear_right"}) {
      answer(where, 1);
    }
    for (String looked : new String[] {"field", "letters", "code"}) {
      answer(looked, 1);
    }
    says("Read the light code with a phone");
    answer("light_code", 2);
    says("No phone reads the light code");
    answer("light_code", 2);
    says("The machine is ready to be handed over");
  }
}
