package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;
import zebrawood.devices.controller.LinkTrouble.Kind;

/** What every link to a controller keeps, however its bytes travel and whatever it speaks. */
interface ControllerLinkContract {
  SimulatedController.Frame FRAME =
      new SimulatedController.Frame(400, 300, true, Corner.FRONT_LEFT);
  Map<Role, String> SET =
      Map.of(
          Role.SOFT_LIMITS, Role.ON,
          Role.HARD_LIMITS, Role.ON,
          Role.HOMING, Role.ON,
          Role.HOME_CORNER, "front-left",
          Role.LASER_FOLLOWS_MOTION, Role.ON,
          Role.TRAVEL_X, "400.000",
          Role.TRAVEL_Y, "300.000");

  /** The stand-in's own, and others that are made up by number. */
  static Dialect dialect(int number) {
    return number == 0 ? StandInDialect.DIALECT : new RandomDialects(new Random(number)).next();
  }

  static Write write(Dialect dialect, Role role, String value) {
    return dialect.write(dialect.key(role).orElseThrow(), value);
  }

  static Write means(Dialect dialect, Role role, String meaning) {
    return Settings.line(dialect, role, meaning).orElseThrow();
  }

  /** A link to this controller, opened. */
  ControllerLink linkTo(SimulatedController controller, Dialect dialect) throws Exception;

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2})
  default void settingsComeAsTheyAre(int number) throws Exception {
    Dialect dialect = dialect(number);
    SimulatedController controller =
        new SimulatedController(FRAME, dialect, SET, Faults.NONE.strange(false, true, true));
    try (ControllerLink link = linkTo(controller, dialect)) {
      assertThat(link.connect().standing()).isTrue();
      assertThat(link.readSettings()).isEqualTo(controller.settings());
      assertThat(link.readSettings().is(Role.HOMING, Role.ON)).isTrue();
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 3})
  default void whatIsSentIsInAndWhatIsRefusedIsSaid(int number) throws Exception {
    Dialect dialect = dialect(number);
    SimulatedController controller =
        new SimulatedController(FRAME, dialect, SET, Faults.NONE.rejecting(Set.of(Role.TRAVEL_Y)));
    try (ControllerLink link = linkTo(controller, dialect)) {
      link.connect();
      link.write(write(dialect, Role.TOP_POWER_WORD, "800"));
      assertThat(link.readSettings().number(Role.TOP_POWER_WORD, 0, 1e6)).hasValue(800);
      assertThatThrownBy(() -> link.write(write(dialect, Role.TRAVEL_Y, "1")))
          .isInstanceOfSatisfying(
              LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(Kind.REJECTED));
      link.write(means(dialect, Role.HOMING, Role.OFF));
      assertThatThrownBy(() -> link.write(means(dialect, Role.SOFT_LIMITS, Role.ON)))
          .hasMessageContaining("soft limits need homing");
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 4, 5})
  default void aTestShotEndsWithTheModeOn(int number) throws Exception {
    Dialect dialect = dialect(number);
    SimulatedController controller = new SimulatedController(FRAME, dialect, SET, Faults.NONE);
    try (ControllerLink link = linkTo(controller, dialect)) {
      link.connect();
      var outcome = TestShot.fire(link, new TestShot.Order(0.02, Duration.ofMillis(150)));
      assertThat(outcome).isEqualTo(new TestShot.Outcome.Fired(12));
      assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
      assertThat(controller.beamOn()).isFalse();
      assertThat(Duration.ofNanos(controller.longestBeamNanos()))
          .isBetween(Duration.ofMillis(149), Duration.ofMillis(260));
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 6})
  default void aChangeIsReadBackLineByLine(int number) throws Exception {
    Dialect dialect = dialect(number);
    SimulatedController controller =
        new SimulatedController(FRAME, dialect, SET, Faults.NONE.rejecting(Set.of(Role.TRAVEL_Y)));
    try (ControllerLink link = linkTo(controller, dialect)) {
      link.connect();
      Settings seen = link.readSettings();
      var done =
          SettingsChange.run(
              link,
              seen,
              List.of(
                  write(dialect, Role.TOP_POWER_WORD, "255"), write(dialect, Role.TRAVEL_X, "410")),
              w -> {});
      assertThat(done).isInstanceOf(SettingsChange.Outcome.Done.class);
      assertThat(controller.settings().printed(Role.TRAVEL_X)).contains("410.000");
      var other =
          SettingsChange.run(
              link, seen, List.of(write(dialect, Role.LEAST_POWER_WORD, "1")), w -> {});
      assertThat(other)
          .as("it is not as it was seen")
          .isInstanceOf(SettingsChange.Outcome.Changed.class);
      Write refused = write(dialect, Role.TRAVEL_Y, "1");
      var stopped =
          SettingsChange.run(
              link,
              link.readSettings(),
              List.of(refused, write(dialect, Role.LEAST_POWER_WORD, "5")),
              w -> {});
      assertThat(stopped)
          .isInstanceOfSatisfying(
              SettingsChange.Outcome.Stopped.class,
              s -> {
                assertThat(s.at()).contains(refused);
                assertThat(s.now()).contains(controller.settings());
              });
      assertThat(controller.settings().printed(Role.LEAST_POWER_WORD)).contains("0");
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 7})
  default void itHomesDrivesAndAlarmsInWords(int number) throws Exception {
    Dialect dialect = dialect(number);
    SimulatedController controller = new SimulatedController(FRAME, dialect, SET, Faults.NONE);
    try (ControllerLink link = linkTo(controller, dialect)) {
      link.connect();
      link.write(means(dialect, Role.HOME_CORNER, "rear-right"));
      assertThat(Motion.home(link))
          .isInstanceOfSatisfying(
              Motion.Outcome.NotThere.class,
              n ->
                  assertThat(zebrawood.words.Phrasebook.ENGLISH.say(n.because()))
                      .contains("homing found no switch"));
      link.send(
          List.of(dialect.talk().get().sent(dialect.talk().get().clearAlarm().get(), Map.of())),
          Duration.ofSeconds(5));
      link.write(means(dialect, Role.HOME_CORNER, "front-left"));
      assertThat(Motion.home(link)).isEqualTo(new Motion.Outcome.There());
      assertThat(Motion.drive(link, List.of(new Motion.Place(40, 30)), 60_000))
          .isEqualTo(new Motion.Outcome.There());
      assertThat(link.status().xMm()).isEqualTo(40);
      assertThat(Motion.drive(link, List.of(new Motion.Place(4_000, 30)), 60_000))
          .as("outside of its travel")
          .isInstanceOf(Motion.Outcome.NotThere.class);
    }
  }
}
