package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.app.Ran.run;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.app.Doctor.State;
import zebrawood.words.Phrasebook;

class DoctorTest {
  @TempDir Path folder;

  private Path workshop() {
    return folder.resolve("w.zebrawood");
  }

  private static Doctor.Check of(Doctor doctor, String what) {
    return doctor.checks().stream()
        .filter(c -> c.what().key().equals("console.doctor." + what))
        .findFirst()
        .orElseThrow();
  }

  private Doctor doctor(Clock clock, Path... ports) {
    return new Doctor(workshop(), clock, List.of(ports));
  }

  @Test
  void whatIsThereIsFineAndWhatNobodyCanSeeIsUnknown() {
    Doctor doctor = doctor(Clock.systemUTC());
    assertThat(of(doctor, "java").state()).isEqualTo(State.FINE);
    assertThat(of(doctor, "typeface").state()).isEqualTo(State.FINE);
    assertThat(of(doctor, "workshop").state()).isEqualTo(State.UNKNOWN);
    assertThat(of(doctor, "serial").state()).isEqualTo(State.UNKNOWN);
    assertThat(of(doctor, "disk").state()).isEqualTo(State.FINE);
    assertThat(of(doctor, "clock").state()).isEqualTo(State.FINE);
  }

  @Test
  void aDamagedWorkshopAndAClockThatIsBehindAreTold() throws IOException {
    Files.writeString(workshop(), "no workshop at all");
    Doctor doctor =
        doctor(Clock.fixed(Instant.parse("2026-03-01T00:00:00Z"), ZoneOffset.UTC), Path.of("COM3"));
    assertThat(of(doctor, "workshop").state()).isEqualTo(State.LOOK);
    assertThat(of(doctor, "clock").state()).isEqualTo(State.LOOK);
    assertThat(Phrasebook.ENGLISH.say(of(doctor, "serial").said())).isEqualTo("COM3");
    assertThat(Files.readString(workshop())).isEqualTo("no workshop at all");
  }

  @Test
  void theReportHasNoNames() throws IOException {
    String file = workshop().toString();
    run("demo", "--workshop", file);
    String report = folder.resolve("report.txt").toString();
    Ran ran = run("doctor", "--workshop", file, "--report", report);
    assertThat(ran.out()).contains("Workshop: Sound", "Clock");
    String text = Files.readString(Path.of(report));
    assertThat(text)
        .contains("Sound", "Java", "zebrawood")
        .doesNotContain(folder.toString(), "Alder", "Flint");
    assertThat(run("doctor", "--workshop", file, "--report", report).code()).isEqualTo(2);
    assertThat(Files.readString(Path.of(report))).isEqualTo(text);
  }

  @Test
  void namesFoldersAndAddressesAreTakenOut() {
    WithoutNames without = new WithoutNames(List.of("Alder", "Alder of the shed", "EH", ""));
    assertThat(
            without.of(
                "EH read alder's bed in /home/eva/x y.txt, ALDER OF THE SHED; EHLO, e@x.org"))
        .isEqualTo("[name] read [name]'s bed in [path] y.txt, [name]; EHLO, [address]");
    assertThat(without.of("C:\\Users\\eva\\w.zebrawood: 3 mm/s at 5/6"))
        .isEqualTo("[path]: 3 mm/s at 5/6");
  }

  /** A folder that is not there yet is looked for upwards; a port that is a file can be opened. */
  @Test
  void theDiskOfAFolderThatIsNotThereYetIsThatOfTheOneAbove() throws IOException {
    Path port = Files.writeString(folder.resolve("ttyUSB0"), "");
    Doctor doctor =
        new Doctor(folder.resolve("a/b/c/w.zebrawood"), Clock.systemUTC(), List.of(port, port));
    Doctor.Check disk = of(doctor, "disk");
    assertThat(disk.state()).isEqualTo(State.FINE);
    assertThat(Phrasebook.ENGLISH.say(disk.said())).contains(folder.toString(), "MB");
    assertThat(of(doctor, "serial").state()).isEqualTo(State.FINE);
    assertThat(folder.resolve("a")).doesNotExist();
  }

  @Test
  void aClockOfYearsAgoIsBehindWithoutAWorkshopToo() {
    Doctor doctor = doctor(Clock.fixed(Instant.parse("1999-12-31T00:00:00Z"), ZoneOffset.UTC));
    assertThat(of(doctor, "clock").state()).isEqualTo(State.LOOK);
  }

  @Test
  void everyCheckHasASentenceAndAName() {
    for (Doctor.Check check : doctor(Clock.systemUTC()).checks()) {
      assertThat(Phrasebook.ENGLISH.say(check.what())).isNotBlank();
      assertThat(Phrasebook.ENGLISH.sentence(check.said())).endsWith(".").doesNotContain("%s");
    }
  }
}
