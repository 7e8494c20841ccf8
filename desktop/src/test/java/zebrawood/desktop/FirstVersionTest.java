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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Phrasebook;

/** A workshop that the first version wrote, with the standings that it then showed. */
class FirstVersionTest {
  private static final Instant THEN = Instant.parse("2026-05-04T08:00:00Z");

  /**
   * What these ask for changed since, or how it is said; their entries count as they were judged
   * then.
   */
  private static final Set<String> ASK_MORE_NOW = Set.of("site", "start", "controller");

  @TempDir private Path folder;

  private Workshop opened() throws IOException {
    Path file = folder.resolve("first.zebrawood");
    try (InputStream in =
        new GZIPInputStream(
            FirstVersionTest.class.getResourceAsStream("first-version.zebrawood.gz"))) {
      Files.copy(in, file);
    }
    return ((Opening.Opened) Workshop.open(file)).workshop();
  }

  private static List<String> expected() throws IOException {
    try (InputStream in =
        FirstVersionTest.class.getResourceAsStream("first-version-standings.txt")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  @Test
  void itsStandingsAndFiguresAreTheSame() throws IOException {
    List<String> found = new ArrayList<>();
    try (Workshop workshop = opened()) {
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
    List<String> known = expected().stream().map(line -> line.split(" ")[1]).distinct().toList();
    found.removeIf(line -> !known.contains(line.split(" ")[1]));
    assertThat(found).containsExactlyElementsOf(expected());
  }

  @Test
  void whatWasTypedForAnEntryStillGivesItsFigure() throws IOException {
    int again = 0;
    try (Workshop workshop = opened()) {
      for (Machine machine : workshop.machines().readable()) {
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        for (StationDefinition definition : StationList.ALL) {
          for (Entry entry : ledger.entriesAt(definition.station())) {
            assertThat(Phrasebook.ENGLISH.sayKept(entry.because())).isNotBlank();
            Map<String, String> typed = KeptReadings.typed(entry).orElseThrow();
            StationModel<?, ?> work = Models.open(definition, new Ledger(machine, List.of()));
            work.form().type(typed);
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
