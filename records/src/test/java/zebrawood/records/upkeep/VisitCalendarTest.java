package zebrawood.records.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.UnusableReading;
import zebrawood.upkeep.School;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisit;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.upkeep.UpkeepVisitReadings.Watched;
import zebrawood.words.Phrasebook;

class VisitCalendarTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final Machine ALDER =
      new Machine(
          "m-1",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.values()[0],
          0.3);

  @TempDir private Path folder;

  private static UpkeepVisitReadings readings(LocalDate last) {
    return new UpkeepVisitReadings(
        TODAY,
        School.BY_LOOK,
        OptionalDouble.empty(),
        List.of(),
        List.of(
            watched(UpkeepTask.LENS, 14, last),
            watched(UpkeepTask.MIRRORS, 30, last),
            watched(UpkeepTask.FUSES, 365, last)),
        List.of(),
        Optional.empty(),
        List.of());
  }

  private static Watched watched(UpkeepTask task, double days, LocalDate last) {
    return new Watched(
        task,
        OptionalDouble.of(days),
        OptionalDouble.empty(),
        Optional.of(last),
        OptionalDouble.empty(),
        List.of());
  }

  @Test
  void eachVisitIsADayWithWhatIsDoneOnIt() throws Exception {
    UpkeepVisitFinding finding = UpkeepVisit.solve(readings(TODAY.minusDays(4)));
    Path file = folder.resolve("visits.ics");
    new VisitCalendar(ALDER, Phrasebook.ENGLISH).write(file, finding);
    // As RFC 5545 has it: lines end in CR LF and go on behind a space.
    String text =
        Files.readString(file, StandardCharsets.UTF_8).replace("\r\n ", "").replace("\\n", "\n");
    assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
    assertThat(text.split("BEGIN:VEVENT", -1))
        .hasSize(finding.plan().orElseThrow().visits().size() + 1);
    assertThat(text)
        .contains("DTSTART;VALUE=DATE:20261205")
        .contains("SUMMARY:Alder: upkeep\\, 1 task\\, 5 min")
        .contains("Clean the lens")
        .contains("UID:m-1-2026-12-05-upkeep@zebrawood")
        .contains("VERSION:2.0");
  }

  @Test
  void aFileIsNeverWrittenOver() throws Exception {
    UpkeepVisitFinding finding = UpkeepVisit.solve(readings(TODAY.minusDays(4)));
    Path file = folder.resolve("visits.ics");
    Files.writeString(file, "mine");
    VisitCalendar calendar = new VisitCalendar(ALDER, Phrasebook.ENGLISH);
    assertThatThrownBy(() -> calendar.write(file, finding))
        .isInstanceOf(FileAlreadyExistsException.class);
    assertThat(file).hasContent("mine");
    assertThatThrownBy(() -> calendar.write(folder.resolve("visits.txt"), finding))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining(".ics");
  }

  @Test
  void theListSaysWhatToDoAndWhatToBring() throws Exception {
    UpkeepVisitReadings readings = readings(TODAY.minusDays(20));
    String html =
        VisitListPage.of(
                ALDER, readings, UpkeepVisit.solve(readings), "25 Nov 2026", Phrasebook.ENGLISH)
            .html(Phrasebook.ENGLISH);
    assertThat(html)
        .contains("2026-11-25, 5 min")
        .contains("Clean the lens")
        .contains("Bring: tissue")
        .contains("Zinc selenide");
  }
}
