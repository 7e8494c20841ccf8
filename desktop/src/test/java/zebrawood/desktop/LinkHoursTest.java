package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.controller.ControllerModel;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.EntryRecorder;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.upkeep.UpkeepModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.measure.Finding;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepVisitReadings;

/** Beam hours that a controller prints among its settings turn hours into days. */
class LinkHoursTest {
  private static final Instant NOW = Instant.parse("2026-05-04T08:00:00Z");

  @TempDir private Path folder;

  private static <R, F extends Finding> Entry again(
      Entry before, StationModel<R, F> model, int number, Instant at) {
    EntryRecorder.Reading made = EntryRecorder.Reading.of(model, model.solved().orElseThrow());
    return new Entry(
        "hours " + number,
        before.machineId(),
        before.stationId(),
        before.subject(),
        before.kind(),
        at,
        at,
        before.by(),
        before.because(),
        made.readings(),
        made.finding(),
        made.verdict(),
        made.figures(),
        Optional.empty());
  }

  @Test
  void hoursComeWithTheSettings() {
    Path file = folder.resolve("demo.zebrawood");
    DemoCopy.write(file, NOW);
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      Machine sedge =
          workshop.machines().readable().stream()
              .filter(m -> m.name().equals("Sedge"))
              .findFirst()
              .orElseThrow();
      List<Recorded> lines = new ArrayList<>(workshop.history(sedge.id()));
      Entry before =
          new Ledger(sedge, lines).entriesAt(ControllerModel.DEFINITION.station()).getLast();
      double[] told = {100, 130};
      for (int i = 0; i < told.length; i++) {
        Map<String, String> typed = new HashMap<>(KeptReadings.typed(before).orElseThrow());
        typed.merge("reading.dump", "par lit for = " + told[i] + "\n", String::concat);
        typed.put("role.beam-hours", "lit for");
        StationModel<?, ?> controller =
            Models.open(ControllerModel.DEFINITION, new Ledger(sedge, lines));
        controller.form().type(typed);
        lines.add(again(before, controller, i, NOW.minus(Duration.ofDays(20 - 10L * i))));
      }
      UpkeepModel upkeep =
          (UpkeepModel)
              UpkeepModel.DEFINITION.open(
                  new AtMachine(
                          new Ledger(sedge, lines),
                          DisplayUnits.METRIC,
                          Clock.fixed(NOW, ZoneOffset.UTC))
                      .among(StationList.stations()));
      UpkeepVisitReadings read = upkeep.solved().orElseThrow().readings();
      assertThat(read.counterBefore())
          .contains(
              new CounterReading(LocalDate.of(2026, 4, 14), 100),
              new CounterReading(LocalDate.of(2026, 4, 24), 130));
    }
  }
}
