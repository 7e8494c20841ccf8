package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.controller.Settings;
import zebrawood.words.Phrasebook;

class ProtocolTest {
  @Test
  void aStateIsReadWithOrWithoutItsRest() {
    assertThat(Status.parse("<Idle|MPos:0.000,-12.500,0.000|FS:0,0>"))
        .contains(new Status("Idle", 0, -12.5));
    assertThat(Status.parse("<Hold:1|WPos:1,2,3>")).contains(new Status("Hold", 1, 2));
    assertThat(Status.parse("<Hold:1|WPos:1,2,3>").orElseThrow().busy()).isTrue();
    assertThat(Status.parse("<Alarm|MPos:1.0,2.0,3.0|Pn:XY>").orElseThrow().alarm()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"ok", "", "<Idle>", "<Idle|MPos:a,b,c>", "<Idle|MPos:1", "[MSG:x]", "<>"})
  void whatIsNoStateIsNone(String line) {
    assertThat(Status.parse(line)).isEmpty();
  }

  @Test
  void numbersOfAlarmsAreSaidInWords() {
    assertThat(Phrasebook.ENGLISH.say(Alarms.said("ALARM:9")))
        .startsWith("homing found no switch")
        .endsWith("(ALARM:9)");
    assertThat(Phrasebook.ENGLISH.say(Alarms.said("error:10"))).contains("soft limits need homing");
    assertThat(Phrasebook.ENGLISH.say(Alarms.said("error:777"))).isEqualTo("error:777");
    assertThat(Phrasebook.ENGLISH.say(Alarms.said("something else"))).isEqualTo("something else");
  }

  @Test
  void aRestoreIsSafeAtEveryStep() {
    Settings now = Settings.parse("$20=1\n$22=1\n$30=1000\n$31=0\n$32=0\n$130=400");
    Settings then = Settings.parse("$20=0\n$22=0\n$30=250\n$31=20\n$32=1\n$130=400.0");
    assertThat(SettingsChange.restore(now, then))
        .containsExactly("$20=0", "$32=1", "$22=0", "$30=250", "$31=20");
    assertThat(SettingsChange.restore(then, now))
        .containsExactly("$32=0", "$22=1", "$31=0", "$30=1000", "$20=1");
    assertThat(SettingsChange.restore(now, now)).isEmpty();
    assertThat(SettingsChange.restore(Settings.parse("$1=1\n$77=2"), Settings.parse("$1=2")))
        .as("what the snapshot does not have is left")
        .containsExactly("$1=2");
  }

  @Test
  void aShotIsShortFaintAndFitsTheBuffer() {
    assertThatThrownBy(() -> new TestShot.Order(0.5, Duration.ofMillis(100)))
        .hasMessageContaining("share is 0.5");
    assertThatThrownBy(() -> new TestShot.Order(0.01, Duration.ofSeconds(20)))
        .hasMessageContaining("pulseMs is 20000");
    List<String> lines =
        TestShot.lines(
            new TestShot.Order(0.01, Duration.ofMillis(1000)), Settings.parse("$30=999999"));
    assertThat(lines).containsExactly("$32=0", "M3S10000", "G4P1.000", "M5S0", "$32=1");
    assertThat(String.join("\n", lines).length()).isLessThan(64);
  }

  @Test
  void nothingIsFiredWhereTheModeIsNotToldOrItMoves() throws LinkTrouble {
    SimulatedController moving =
        new SimulatedController(
            ControllerLinkContract.FRAME, ControllerLinkContract.SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(moving, 0);
    LineController link = new LineController(port, () -> false);
    link.connect();
    link.send("$J=G91G21X100F60", Duration.ofSeconds(5));
    assertThat(TestShot.fire(link, new TestShot.Order(0.01, Duration.ofMillis(50))))
        .isInstanceOfSatisfying(
            TestShot.Outcome.NotFired.class,
            n -> assertThat(Phrasebook.ENGLISH.say(n.because())).contains("Jog"));
    SimulatedController off =
        new SimulatedController(ControllerLinkContract.FRAME, Map.of(32, "0"), Faults.NONE);
    LineController other = new LineController(new SimulatedPort(off, 0), () -> false);
    other.connect();
    assertThat(TestShot.fire(other, new TestShot.Order(0.01, Duration.ofMillis(50))))
        .as("the mode is put right first")
        .isInstanceOf(TestShot.Outcome.NotFired.class);
    assertThat(off.settings().values()).containsEntry(32, "1");
    assertThat(off.longestBeamNanos()).isZero();
  }

  @Test
  void aJobThatRunsIsNotDisturbed() throws LinkTrouble {
    SimulatedController busy =
        new SimulatedController(
            ControllerLinkContract.FRAME, ControllerLinkContract.SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(busy, 0);
    LineController first = new LineController(port, () -> false);
    first.connect();
    first.send("$J=G91G21X300F60", Duration.ofSeconds(5));
    assertThatThrownBy(() -> new LineController(port, () -> false).connect())
        .isInstanceOfSatisfying(
            LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(LinkTrouble.Kind.BUSY));
  }
}
