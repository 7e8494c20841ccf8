package zebrawood.desktop.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Audit;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Settings;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;

/** Damaged dumps and dialect files: refused in a sentence, or read to the same again. */
class DialectMutationTest {
  /** More of them with -Dzebrawood.mutations. */
  private static final int MUTATIONS = Integer.getInteger("zebrawood.mutations", 3_000);

  private static final String LETTERS =
      " \t=:{}[]()\"'\\,.;-+0123456789abcxyz\n\u0000\u00e9%$#<>|/";

  private static String mutated(String text, Random random) {
    StringBuilder now = new StringBuilder(text);
    for (int i = 1 + random.nextInt(4); i > 0 && !now.isEmpty(); i--) {
      int at = random.nextInt(now.length());
      char letter = LETTERS.charAt(random.nextInt(LETTERS.length()));
      switch (random.nextInt(5)) {
        case 0 -> now.setCharAt(at, letter);
        case 1 -> now.insert(at, letter);
        case 2 -> now.deleteCharAt(at);
        case 3 -> now.setLength(at);
        default -> {
          int from = random.nextInt(now.length());
          int to = Math.min(now.length(), from + random.nextInt(30));
          now.insert(at, now.substring(from, to));
        }
      }
    }
    return now.toString();
  }

  private static String dump() {
    return StandIn.controllerOf(
            zebrawood.desktop.Models.ALDER,
            StandIn.dialect(),
            zebrawood.devices.controller.Faults.NONE)
        .settings()
        .dump();
  }

  @Test
  void aDamagedDumpIsRefusedInASentenceOrReadToTheSame() {
    Random random = new Random(7);
    Dialect dialect = StandIn.dialect();
    String whole = dump();
    int read = 0;
    for (int n = 0; n < MUTATIONS; n++) {
      String text = mutated(whole, random);
      try {
        Settings settings = Settings.parse(text, dialect);
        assertThat(Settings.parse(settings.dump(), dialect).values()).isEqualTo(settings.values());
        Audit.solve(
            new ControllerReadings(
                dialect,
                text,
                new MachineFacts(List.of(700.0, 500.0), Corner.FRONT_LEFT, true, Laser.CO2),
                new JobSoftware(1000, "M8", Units.MM, Optional.empty(), Optional.empty()),
                "M8",
                Policy.MATCH_SOFTWARE));
        read++;
      } catch (UnusableReading e) {
        assertThat(e.getMessage()).isNotBlank().hasSizeLessThan(2_000).contains("accepted is");
      }
    }
    assertThat(read).isGreaterThan(MUTATIONS / 2);
  }

  @Test
  void aDamagedDialectFileIsRefusedInASentenceOrReadToTheSame() {
    Random random = new Random(8);
    String whole = RecordJson.write(StandIn.dialect());
    int read = 0;
    int count = MUTATIONS / 10;
    for (int n = 0; n < count; n++) {
      try {
        Dialect dialect = RecordJson.read(mutated(whole, random), Dialect.class);
        assertThat(RecordJson.read(RecordJson.write(dialect), Dialect.class)).isEqualTo(dialect);
        Settings.parse("par beam top = 1\n" + dump(), dialect);
        read++;
      } catch (UnusableReading e) {
        assertThat(e.getMessage()).isNotBlank().contains("accepted is");
      }
    }
    assertThat(read).isGreaterThan(count / 100);
  }
}
