package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Replay;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.measure.Finding;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.station.Help;

/** All that is kept comes back equal, and what is printed is what was recorded. */
class KeptTest {
  private static final Instant NOW = Instant.parse("2026-05-04T08:00:00Z");
  private static final int PRACTICES = 12;

  @TempDir private Path folder;

  @BeforeEach
  void write() {
    DemoCopy.write(folder.resolve("demo.zebrawood"), NOW);
  }

  private Workshop opened() {
    return ((Opening.Opened) Workshop.open(folder.resolve("demo.zebrawood"))).workshop();
  }

  static List<String> stations() {
    return StationList.ALL.stream().map(d -> d.station().id()).toList();
  }

  private static StationDefinition definition(String id) {
    return StationList.ALL.stream()
        .filter(d -> d.station().id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  /** An entry with the machine's record. */
  private record Of(Ledger ledger, Entry entry) {}

  private static List<Of> entries(Workshop workshop, String station) {
    List<Of> all = new ArrayList<>();
    for (Machine machine : workshop.machines().readable()) {
      Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
      ledger.entriesAt(definition(station).station()).forEach(e -> all.add(new Of(ledger, e)));
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("stations")
  void everyEntryOfTheDemoReadsBackEqual(String station) {
    try (Workshop workshop = opened()) {
      List<Of> all = entries(workshop, station);
      // What a file says cannot be typed: the demo has no job file.
      assertThat(all.isEmpty()).isEqualTo(station.equals("jobfile"));
      for (Of of : all) {
        StationModel<?, ?> model = Models.open(definition(station), of.ledger());
        readBack(model, of.entry());
      }
    }
  }

  /** From the text alone: its readings, its finding, and the figures that follow from both. */
  private static <R, F extends Finding> void readBack(StationModel<R, F> model, Entry entry) {
    R readings = KeptReadings.read(entry, model.visit().readings()).orElseThrow();
    F finding = RecordJson.read(entry.finding(), model.visit().finding());
    assertThat(
            KeptReadings.write(
                KeptReadings.typed(entry).orElseThrow(),
                (Record) readings,
                model.visit().readings()))
        .isEqualTo(entry.readings());
    assertThat(RecordJson.write((Record) finding, model.visit().finding()))
        .isEqualTo(entry.finding());
    assertThat(finding.verdict()).isEqualTo(entry.verdict());
    assertThat(model.visit().figures(readings, finding)).isEqualTo(entry.figures());
  }

  @ParameterizedTest
  @MethodSource("stations")
  void whatAStandInGivesReadsBackEqualAndSolvesTheSameWithProgress(String station) {
    int offered = 0;
    int solved = 0;
    try (Workshop workshop = opened()) {
      for (Machine machine : workshop.machines().readable()) {
        if (!definition(station).station().applies().test(machine)) {
          continue;
        }
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        for (long number = 1; number <= PRACTICES; number++) {
          StationModel<?, ?> model = Models.open(definition(station), ledger);
          long of = number;
          Models.readWithoutPictures(model);
          Optional<? extends Practice<?, ?, ?, ?>> practice =
              model.practice().filter(Practice::offered);
          practice.ifPresent(p -> {
            p.start(of);
            p.readAll();
          });
          offered += practice.isPresent() ? 1 : 0;
          solved += practice.isPresent() && solvedReadsBack(model) ? 1 : 0;
        }
      }
    }
    assertThat(solved).as("of %s", offered).isGreaterThanOrEqualTo(Math.min(offered, PRACTICES));
  }

  private static <R, F extends Finding> boolean solvedReadsBack(StationModel<R, F> model) {
    if (model.solved().isEmpty()) {
      return false;
    }
    Outcome.Solved<R, F> solved = model.solved().get();
    Class<R> readings = model.visit().readings();
    Class<F> finding = model.visit().finding();
    R read = RecordJson.read(RecordJson.write((Record) solved.readings(), readings), readings);
    assertThat(read).isEqualTo(solved.readings());
    assertThat(RecordJson.read(RecordJson.write((Record) solved.finding(), finding), finding))
        .isEqualTo(solved.finding());
    List<Double> told = new ArrayList<>();
    Help help = new Help(Help.NONE.pictures(), told::add);
    assertThat(model.visit().solve(read, help)).isEqualTo(solved.finding());
    assertThat(told).allMatch(share -> share >= 0 && share <= 1);
    return true;
  }

  @ParameterizedTest
  @MethodSource("stations")
  void whatIsPrintedOfTheDemoIsWhatWasRecorded(String station) {
    try (Workshop workshop = opened()) {
      for (Of of : entries(workshop, station)) {
        StationPaper kept = workshop.paperOf(of.entry().id()).orElseThrow();
        // The station as it is today, on the record of that day, has nothing to add.
        assertThat(
                Replay.paperOf(
                    of.entry(),
                    definition(station),
                    of.ledger(),
                    DisplayUnits.METRIC,
                    StationList.stations()))
            .as("%s %s", of.ledger().machine().name(), of.entry().time())
            .contains(kept);
        assertThat(kept.drawing()).doesNotContain("NaN");
      }
    }
  }

  @Test
  void everyStationWithAPictureOnPaperHasOneInTheDemo() {
    try (Workshop workshop = opened()) {
      assertThat(
              Stream.of("bed", "mirrors", "focus", "lens", "power", "field", "controller")
                  .filter(s ->
                      entries(workshop, s).stream()
                          .noneMatch(of ->
                              workshop
                                  .paperOf(of.entry().id())
                                  .orElseThrow()
                                  .drawing()
                                  .startsWith("<svg"))))
          .isEmpty();
    }
  }
}
