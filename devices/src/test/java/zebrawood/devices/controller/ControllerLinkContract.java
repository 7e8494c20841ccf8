package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Corner;
import zebrawood.controller.Settings;
import zebrawood.devices.controller.LinkTrouble.Kind;

/** What every link to a controller keeps, however its bytes travel. */
interface ControllerLinkContract {
  SimulatedController.Frame FRAME =
      new SimulatedController.Frame(400, 300, true, Corner.FRONT_LEFT);
  Map<Integer, String> SET =
      Map.of(20, "1", 21, "1", 22, "1", 23, "3", 32, "1", 130, "400.000", 131, "300.000");
  Duration SOON = Duration.ofSeconds(5);

  /** A link to this controller, opened. */
  ControllerLink linkTo(SimulatedController controller) throws Exception;

  @Test
  default void settingsComeAsTheyAre() throws Exception {
    SimulatedController controller =
        new SimulatedController(FRAME, SET, Faults.NONE.strange(false, true, true));
    try (ControllerLink link = linkTo(controller)) {
      assertThat(link.connect().idle()).isTrue();
      assertThat(link.readSettings()).isEqualTo(controller.settings());
      assertThat(link.readSettings().values()).containsEntry(74, "Workshop net");
    }
  }

  @Test
  default void whatIsSentIsInAndWhatIsRefusedIsSaid() throws Exception {
    SimulatedController controller = new SimulatedController(FRAME, SET, Faults.NONE);
    try (ControllerLink link = linkTo(controller)) {
      link.connect();
      link.send("$30=800", SOON);
      assertThat(link.readSettings().number(30, 0, 1e6)).hasValue(800);
      assertThatThrownBy(() -> link.send("$999=1", SOON))
          .isInstanceOfSatisfying(
              LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(Kind.REJECTED));
      link.send("$22=0", SOON);
      assertThatThrownBy(() -> link.send("$20=1", SOON))
          .hasMessageContaining("soft limits need homing");
    }
  }

  @Test
  default void aTestShotEndsWithTheModeOn() throws Exception {
    SimulatedController controller = new SimulatedController(FRAME, SET, Faults.NONE);
    try (ControllerLink link = linkTo(controller)) {
      link.connect();
      var outcome = TestShot.fire(link, new TestShot.Order(0.02, Duration.ofMillis(150)));
      assertThat(outcome).isEqualTo(new TestShot.Outcome.Fired(20));
      assertThat(controller.settings().number(Settings.LASER_MODE, 0, 9)).hasValue(1);
      assertThat(controller.beamOn()).isFalse();
      assertThat(Duration.ofNanos(controller.longestBeamNanos()))
          .isBetween(Duration.ofMillis(149), Duration.ofMillis(260));
    }
  }

  @Test
  default void aChangeIsReadBackLineByLine() throws Exception {
    SimulatedController controller =
        new SimulatedController(FRAME, SET, Faults.NONE.rejecting(java.util.Set.of(131)));
    try (ControllerLink link = linkTo(controller)) {
      link.connect();
      Settings seen = link.readSettings();
      var done = SettingsChange.run(link, seen, List.of("$30=255", "$130=410"), line -> {});
      assertThat(done).isInstanceOf(SettingsChange.Outcome.Done.class);
      assertThat(controller.settings().values()).containsEntry(130, "410.000");
      var other = SettingsChange.run(link, seen, List.of("$31=1"), line -> {});
      assertThat(other)
          .as("it is not as it was seen")
          .isInstanceOf(SettingsChange.Outcome.Changed.class);
      var stopped =
          SettingsChange.run(link, link.readSettings(), List.of("$131=1", "$31=5"), line -> {});
      assertThat(stopped)
          .isInstanceOfSatisfying(
              SettingsChange.Outcome.Stopped.class,
              s -> {
                assertThat(s.line()).isEqualTo("$131=1");
                assertThat(s.now()).contains(controller.settings());
              });
      assertThat(controller.settings().values()).containsEntry(31, "0");
    }
  }

  @Test
  default void itHomesJogsAndAlarmsInWords() throws Exception {
    SimulatedController controller = new SimulatedController(FRAME, SET, Faults.NONE);
    try (ControllerLink link = linkTo(controller)) {
      link.connect();
      link.send("$23=0", SOON);
      assertThatThrownBy(() -> link.send("$H", Duration.ofSeconds(30)))
          .hasMessageContaining("homing found no switch");
      link.send("$X", SOON);
      link.send("$23=3", SOON);
      link.send("$J=G91G21X40Y30F60000", SOON);
      for (int i = 0; i < 40 && !link.status().idle(); i++) {
        assertThat(link.status().alarm()).isFalse();
      }
      assertThat(link.status().xMm()).isEqualTo(40);
    }
  }
}
