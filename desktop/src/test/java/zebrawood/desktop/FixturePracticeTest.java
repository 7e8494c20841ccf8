package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.feed.FeedModel;
import zebrawood.desktop.recipe.RecipeModel;
import zebrawood.desktop.rotary.RotaryModel;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.measure.Finding;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** Who does as advised comes to an end, on every stand-in of what is put into the machine. */
class FixturePracticeTest {
  private static final int NUMBERS = 40;

  @TempDir Path folder;

  private static <R, F extends Finding> int rounds(StationModel<R, F> model, long number) {
    Practice<?, ?, R, F> practice = model.practice().orElseThrow();
    practice.start(number);
    practice.readAll();
    while (!model.outcome().within() && practice.roundsProperty().get() < 30) {
      practice.obey(model.outcome().solved().orElseThrow());
      practice.readAll();
    }
    assertThat(model.outcome().within())
        .as("number %s after %s: %s", number, practice.roundsProperty().get(), model.outcome())
        .isTrue();
    assertThat(practice.score().isPresent()).isEqualTo(practice.roundsProperty().get() > 0);
    int rounds = practice.roundsProperty().get();
    practice.end();
    return rounds;
  }

  @Test
  void everyNumberComesToAnEnd() throws IOException {
    Path file = folder.resolve("demo.zebrawood");
    DemoCopy.write(file, Instant.parse("2026-05-04T08:00:00Z"));
    assertThat(Files.size(file)).isPositive();
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      for (StationDefinition definition :
          List.of(RotaryModel.DEFINITION, FeedModel.DEFINITION, RecipeModel.DEFINITION)) {
        Machine machine =
            workshop.machines().readable().stream()
                .filter(definition.station().applies())
                .findFirst()
                .orElseThrow();
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        int most = 0;
        for (long number = 1; number <= NUMBERS; number++) {
          most = Math.max(most, rounds(Models.open(definition, ledger), number));
        }
        assertThat(most).as(definition.station().id()).isBetween(1, 20);
      }
    }
  }
}
