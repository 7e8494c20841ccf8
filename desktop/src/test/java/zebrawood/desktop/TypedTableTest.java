package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedTable;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The readings of every station as a CSV table, and back. */
class TypedTableTest {
  private static final Instant NOW = Instant.parse("2026-05-04T08:00:00Z");

  private static final int MUTATIONS = Integer.getInteger("table.mutations", 400);

  @TempDir private Path folder;

  private static StationForm form(StationDefinition definition, Ledger ledger) {
    StationModel<?, ?> model =
        definition.open(new AtMachine(ledger, DisplayUnits.METRIC, Clock.systemUTC()));
    model.dispose();
    return model.form();
  }

  /** All of the demo's record: what comes back says the same as what was typed. */
  @Test
  void everyEntryOfTheDemoComesBack() {
    Path file = folder.resolve("demo.zebrawood");
    DemoCopy.write(file, NOW);
    int looked = 0;
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      for (Machine machine : workshop.machines().readable()) {
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()), Map.of());
        for (Entry entry : ledger.entries()) {
          StationDefinition definition =
              StationList.ALL.stream()
                  .filter(d -> d.station().id().equals(entry.stationId()))
                  .findFirst()
                  .orElseThrow();
          Map<String, String> typed = KeptReadings.typed(entry).orElseThrow();
          String text =
              TypedTable.text(
                  form(definition, ledger),
                  typed,
                  List.of(new TypedTable.Row("4 May 2026", typed)));
          Map<String, String> back = TypedTable.read(text, form(definition, ledger));
          // What earlier versions kept besides has no column.
          Map<String, String> wanted = new HashMap<>(typed);
          wanted.keySet().retainAll(back.keySet());
          wanted.replaceAll((name, cell) -> cell.strip());
          assertThat(wanted.size()).isGreaterThanOrEqualTo(typed.size() - 3);
          assertThat(back).as("%s of %s", entry.stationId(), machine.name()).isEqualTo(wanted);
          looked++;
        }
      }
    }
    assertThat(looked).isGreaterThan(50);
  }

  private static StationForm bed() {
    StationDefinition bed =
        StationList.ALL.stream()
            .filter(d -> d.station().id().equals("bed"))
            .findFirst()
            .orElseThrow();
    return form(bed, new Ledger(Models.ALDER, List.of()));
  }

  private static void refused(String csv, String... because) {
    assertThatThrownBy(() -> TypedTable.read(csv, bed()))
        .isInstanceOf(UnusableReading.class)
        .satisfies(e -> assertThat(e.getMessage()).contains(because));
  }

  @Test
  void whatIsWrongIsNamedByItsColumn() {
    refused("", "no table");
    refused("reading.0 [mm]\r\n", "0 rows");
    refused("reading.0 [mm]\r\n6.1\r\n6.2\r\n", "2 rows", "now");
    refused("reading.0 [mm],reading.0\r\n6.1,6.2\r\n", "reading.0", "twice");
    refused("reading.0 [kg]\r\n6.1\r\n", "reading.0", "kg", "mm");
    refused("gap [mm]\r\n6.1\r\n", "gap", "no column of this sheet");
    refused("reading.0 [mm]\r\nsix\r\n", "reading.0", "six");
    refused("way\r\nSIDEWAYS\r\n", "way", "SIDEWAYS", "HEAD_HEIGHT");
    refused("a\"b,\"\r\n", "no CSV table");
  }

  @Test
  void spreadsheetsAndOtherUnitsAreUnderstood() {
    assertThat(TypedTable.read("\uFEFFsep=;\nreading.0 [mm];reading.1 [in]\n6,1;0,25\n", bed()))
        .containsEntry("reading.0", "6,1")
        .containsEntry("reading.1", "0,25 in");
  }

  /** A table that was changed anywhere is refused with a sentence, or is one that says the same. */
  @Test
  void everyChangedTableIsRefusedOrUnderstood() {
    String whole =
        TypedTable.text(bed(), Map.of("reading.0", "6.1", "reading.1", "0.25 in"), List.of());
    Random random = new Random(3);
    int refused = 0;
    for (int i = 0; i < MUTATIONS; i++) {
      StringBuilder text = new StringBuilder(whole);
      for (int k = 0; k <= random.nextInt(3) && !text.isEmpty(); k++) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(4)) {
          case 0 -> text.setCharAt(at, (char) random.nextInt(0x300));
          case 1 -> text.deleteCharAt(at);
          case 2 -> text.insert(at, ",\"\r\n;[]'=".charAt(random.nextInt(9)));
          default -> text.setLength(at + 1);
        }
      }
      try {
        Map<String, String> read = TypedTable.read(text.toString(), bed());
        StationForm form = bed();
        form.type(read);
        assertThat(TypedTable.read(TypedTable.text(bed(), read, List.of()), bed())).isEqualTo(read);
      } catch (UnusableReading e) {
        assertThat(e.getMessage()).isNotBlank();
        refused++;
      }
    }
    assertThat(refused).isPositive();
  }
}
