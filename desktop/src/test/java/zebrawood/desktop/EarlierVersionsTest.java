package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.desktop.station.Replay;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Phrasebook;

/** Workshops that earlier versions wrote, with the standings that they then showed. */
class EarlierVersionsTest {
  private static final Instant THEN = Instant.parse("2026-05-04T08:00:00Z");

  /**
   * What these ask for changed since, or how it is said; their entries count as they were judged
   * then.
   */
  private static final Set<String> ASK_MORE_NOW = Set.of("site", "start", "controller");

  @TempDir private Path folder;

  private Workshop opened(String version) throws IOException {
    Path file = folder.resolve(version + ".zebrawood");
    try (InputStream in =
        new GZIPInputStream(
            EarlierVersionsTest.class.getResourceAsStream(version + ".zebrawood.gz"))) {
      Files.copy(in, file);
    }
    return ((Opening.Opened) Workshop.open(file)).workshop();
  }

  private static List<String> expected(String version) throws IOException {
    try (InputStream in =
        EarlierVersionsTest.class.getResourceAsStream(version + "-standings.txt")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"first-version", "second-version"})
  void standingsAndFiguresAreTheSame(String version) throws IOException {
    List<String> found = new ArrayList<>();
    try (Workshop workshop = opened(version)) {
      assertThat(workshop.machines().unread()).isEmpty();
      for (Machine machine : workshop.machines().readable()) {
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        assertThat(ledger.unread()).isEmpty();
        ledger
            .standings(StationList.stations(), THEN)
            .forEach((station, standing) -> {
              List<Entry> entries = ledger.entriesAt(station);
              String figure =
                  entries.isEmpty()
                      ? "-"
                      : entries
                          .getLast()
                          .tellingFigure()
                          .map(f -> String.valueOf(f.value()))
                          .orElse("-");
              found.add(
                  String.join(
                      " ",
                      machine.name(),
                      station.id(),
                      standing.getClass().getSimpleName(),
                      String.valueOf(entries.size()),
                      figure));
            });
      }
    }
    List<String> known =
        expected(version).stream().map(line -> line.split(" ")[1]).distinct().toList();
    found.removeIf(line -> !known.contains(line.split(" ")[1]));
    assertThat(found).containsExactlyElementsOf(expected(version));
  }

  @ParameterizedTest
  @ValueSource(strings = {"first-version", "second-version"})
  void whatWasTypedForAnEntryStillGivesItsFigure(String version) throws IOException {
    int again = 0;
    try (Workshop workshop = opened(version)) {
      for (Machine machine : workshop.machines().readable()) {
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        for (StationDefinition definition : StationList.ALL) {
          for (Entry entry : ledger.entriesAt(definition.station())) {
            assertThat(Phrasebook.ENGLISH.sayKept(entry.because())).isNotBlank();
            assertThat(workshop.paperOf(entry.id())).as("kept since the third").isEmpty();
            assertThat(
                    Replay.paperOf(
                        entry, definition, ledger, DisplayUnits.METRIC, StationList.stations()))
                .isPresent();
            Map<String, String> typed = KeptReadings.typed(entry).orElseThrow();
            StationModel<?, ?> work = Models.open(definition, new Ledger(machine, List.of()));
            work.form().type(typed);
            if (version.equals("second-version")) {
              assertThat(KeptReadings.read(entry, work.visit().readings()))
                  .as(definition.station().id())
                  .isPresent();
            }
            if (!ASK_MORE_NOW.contains(definition.station().id())) {
              assertThat(Models.finding(work).verdict()).isEqualTo(entry.verdict());
              again += figures(work, entry);
            }
          }
        }
        assertThat(workshop.draft(machine.id(), "bed").isEmpty())
            .isEqualTo(!machine.name().equals("Alder"));
      }
    }
    assertThat(again).isGreaterThan(15);
  }

  private static <R, F extends zebrawood.measure.Finding> int figures(
      StationModel<R, F> work, Entry entry) {
    var found = Models.found(work);
    var figures = work.figures(found);
    if (entry.figures().isEmpty()) {
      return 0;
    }
    assertThat(figures.getFirst().value())
        .isCloseTo(entry.figures().getFirst().value(), within(1e-12));
    return 1;
  }
}
