package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.devices.controller.ControllerLinkContract.FRAME;
import static zebrawood.devices.controller.ControllerLinkContract.SET;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.controller.Dialect;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

class ProtocolTest {
  private static final Dialect STAND_IN = StandInDialect.DIALECT;
  private static final WireSyntax TALK = STAND_IN.talk().orElseThrow();
  private static final LinePattern STATE = LinePattern.of(TALK.stateLine().orElseThrow());

  @Test
  void aStateIsReadAsTheDialectSaysIt() {
    assertThat(Status.read("is still at 0.000 / -12.500", STATE, TALK))
        .contains(new Status(Status.Kind.STANDING, "still", 0, -12.5));
    assertThat(Status.read("is going at 1 /  2", STATE, TALK).orElseThrow().busy()).isTrue();
    assertThat(Status.read("is alarmed at 1 / 2", STATE, TALK).orElseThrow().alarm()).isTrue();
    Status strange = Status.read("is asleep at 1 / 2", STATE, TALK).orElseThrow();
    assertThat(strange.busy()).as("what nobody named may move").isTrue();
    assertThat(strange.standing()).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"done", "", "is still", "is still at a / b", "still at 1 / 2"})
  void whatIsNoStateIsNone(String line) {
    assertThat(Status.read(line, STATE, TALK)).isEmpty();
  }

  private static Settings settings(String... lines) {
    return Settings.parse(String.join("\n", lines), STAND_IN);
  }

  private static List<String> restored(Settings from, Settings to) {
    return SettingsChange.restore(from, to).stream().map(Write::line).toList();
  }

  @Test
  void aRestoreIsSafeAtEveryStep() {
    Settings now =
        settings(
            "par stay inside = yes",
            "par corner search = yes",
            "par beam top = 1000",
            "par beam least = 0",
            "par beam follows = no",
            "par reach across = 400");
    Settings then =
        settings(
            "par stay inside = no",
            "par corner search = no",
            "par beam top = 250",
            "par beam least = 20",
            "par beam follows = yes",
            "par reach across = 400.0");
    assertThat(restored(now, then))
        .containsExactly(
            "put beam follows := yes",
            "put stay inside := no",
            "put corner search := no",
            "put beam top := 250",
            "put beam least := 20");
    assertThat(restored(then, now))
        .containsExactly(
            "put beam least := 0",
            "put beam top := 1000",
            "put beam follows := no",
            "put corner search := yes",
            "put stay inside := yes");
    assertThat(restored(now, now)).isEmpty();
    assertThat(restored(settings("par a = 1", "par b = 2"), settings("par a = 2")))
        .as("what the snapshot does not have is left")
        .containsExactly("put a := 2");
  }

  @Test
  void aShotIsShortFaintAndFitsTheBuffer() {
    assertThatThrownBy(() -> new TestShot.Order(0.5, Duration.ofMillis(100)))
        .hasMessageContaining("share is 0.5");
    assertThatThrownBy(() -> new TestShot.Order(0.01, Duration.ofSeconds(20)))
        .hasMessageContaining("pulseMs is 20000");
    List<String> lines =
        TestShot.lines(
            new TestShot.Order(0.01, Duration.ofMillis(1000)), settings("par beam top = 999999"));
    assertThat(lines)
        .containsExactly(
            "put beam follows := no",
            "light 10000",
            "pause 1.000",
            "dark",
            "put beam follows := yes");
    assertThat(LineController.fits(lines)).isTrue();
  }

  @Test
  void whereNobodySaidHowAPulseEndsNothingIsFired() throws LinkTrouble {
    WireSyntax t = TALK;
    Dialect mute =
        STAND_IN.withTalk(
            new WireSyntax(
                t.endOfLine(),
                t.baud(),
                t.longestAnswerS(),
                false,
                true,
                t.askSettings(),
                t.ends(),
                t.refusals(),
                t.alarms(),
                t.askState(),
                t.stateLine(),
                t.states(),
                t.home(),
                t.jog(),
                t.hold(),
                t.cancelMotion(),
                t.stopNow(),
                t.clearAlarm(),
                t.beamOn(),
                t.beamOff(),
                java.util.Optional.empty(),
                t.idleHolds()));
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    LineController link = new LineController(new SimulatedPort(controller, 0), mute, () -> false);
    link.connect();
    assertThat(TestShot.fire(link, new TestShot.Order(0.01, Duration.ofMillis(50))))
        .isInstanceOf(TestShot.Outcome.NotFired.class);
    assertThat(controller.longestBeamNanos()).isZero();
  }

  private static LineController connected(SimulatedController controller) throws LinkTrouble {
    LineController link =
        new LineController(new SimulatedPort(controller, 0), STAND_IN, () -> false);
    link.connect();
    return link;
  }

  private static String jog(double x, double speed) {
    return TALK.sent(
        TALK.jog().orElseThrow(),
        Map.of("x", String.valueOf(x), "y", "0", "speed", String.valueOf(speed)));
  }

  @Test
  void nothingIsFiredWhereItMovesOrTheModeIsOff() throws LinkTrouble {
    LineController link = connected(new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE));
    link.send(List.of(jog(100, 60)), Duration.ofSeconds(5));
    assertThat(TestShot.fire(link, new TestShot.Order(0.01, Duration.ofMillis(50))))
        .isInstanceOfSatisfying(
            TestShot.Outcome.NotFired.class,
            n -> assertThat(Phrasebook.ENGLISH.say(n.because())).contains("going"));
    SimulatedController off =
        new SimulatedController(
            FRAME, STAND_IN, Map.of(Role.LASER_FOLLOWS_MOTION, Role.OFF), Faults.NONE);
    assertThat(TestShot.fire(connected(off), new TestShot.Order(0.01, Duration.ofMillis(50))))
        .as("the mode is put right first")
        .isInstanceOf(TestShot.Outcome.NotFired.class);
    assertThat(off.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
    assertThat(off.longestBeamNanos()).isZero();
  }

  @Test
  void aJobThatRunsIsNotDisturbed() throws LinkTrouble {
    SimulatedController busy = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(busy, 0);
    LineController first = new LineController(port, STAND_IN, () -> false);
    first.connect();
    first.send(List.of(jog(300, 60)), Duration.ofSeconds(5));
    assertThatThrownBy(() -> new LineController(port, STAND_IN, () -> false).connect())
        .isInstanceOfSatisfying(
            LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(LinkTrouble.Kind.BUSY));
  }

  /** Cancelling stops the machine, not only the waiting. */
  @Test
  void aCancelledMotionIsHeldAndCancelled() throws LinkTrouble {
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    AtomicInteger asked = new AtomicInteger();
    SimulatedPort port = new SimulatedPort(controller, 0);
    boolean[] cancelled = {false};
    LineController link =
        new LineController(port, STAND_IN, () -> cancelled[0] && asked.incrementAndGet() > 3);
    link.connect();
    assertThat(Motion.home(link)).isEqualTo(new Motion.Outcome.There());
    cancelled[0] = true;
    assertThat(
            Motion.drive(link, List.of(new Motion.Place(300, 0), new Motion.Place(300, 200)), 600))
        .isEqualTo(new Motion.Outcome.Stopped());
    controller.advanceTo(port.nanos() + 60_000_000_000L);
    assertThat(controller.moves()).isFalse();
    assertThat(controller.placeMm().getFirst()).as("it stopped on its way").isLessThan(299.0);
    assertThat(controller.motions()).as("homing and one leg").isEqualTo(2);
  }

  @Test
  void aMotionThatTakesTooLongIsStopped() throws LinkTrouble {
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    LineController link = new LineController(port, STAND_IN, () -> false);
    link.connect();
    Motion.home(link);
    long begun = port.nanos();
    assertThat(Motion.drive(link, List.of(new Motion.Place(300, 0)), 60))
        .isEqualTo(new Motion.Outcome.NotThere(Message.of("controller.motion.too-long")));
    assertThat(Duration.ofNanos(port.nanos() - begun))
        .isBetween(Duration.ofMinutes(3), Duration.ofSeconds(192));
    controller.advanceTo(port.nanos() + 3_600_000_000_000L);
    assertThat(controller.placeMm().getFirst()).as("a millimetre a second").isBetween(179.0, 192.0);
  }

  /** What came unasked while its state was asked is told, in the words of the dialect. */
  @Test
  void anAlarmOnALegIsToldInTheDialectsWords() throws LinkTrouble {
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    AtomicInteger asked = new AtomicInteger();
    int[] stopsAt = {Integer.MAX_VALUE};
    LineController link =
        new LineController(
            port,
            STAND_IN,
            () -> {
              if (asked.incrementAndGet() == stopsAt[0]) {
                for (char c : TALK.sent(TALK.stopNow().orElseThrow(), Map.of()).toCharArray()) {
                  controller.take((byte) c, port.nanos());
                }
              }
              return false;
            });
    link.connect();
    Motion.home(link);
    stopsAt[0] = asked.get() + 40;
    assertThat(Motion.drive(link, List.of(new Motion.Place(300, 0)), 600))
        .isInstanceOfSatisfying(
            Motion.Outcome.NotThere.class,
            t ->
                assertThat(Phrasebook.ENGLISH.say(t.because()))
                    .contains(TALK.alarms().getLast().meaning()));
  }

  /** Behind the answer to its state comes what ends any answer. */
  @Test
  void aStateThatIsAcknowledgedTooEndsNoListOfSettings() throws LinkTrouble {
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    String ends = TALK.ends().getFirst() + TALK.endOfLine().sent();
    Port acknowledging =
        new Port() {
          private final StringBuilder line = new StringBuilder();

          @Override
          public void write(byte[] bytes) throws IOException {
            port.write(bytes);
          }

          @Override
          public byte[] read(Duration wait) throws IOException {
            StringBuilder told = new StringBuilder();
            for (byte b : port.read(wait)) {
              told.append((char) (b & 0xff));
              line.append((char) (b & 0xff));
              if (b == '\n') {
                told.append(
                    Status.read(line.toString().strip(), STATE, TALK).isPresent() ? ends : "");
                line.setLength(0);
              }
            }
            return told.toString().getBytes(StandardCharsets.ISO_8859_1);
          }

          @Override
          public long nanos() {
            return port.nanos();
          }

          @Override
          public void close() {
            port.close();
          }
        };
    LineController link = new LineController(acknowledging, STAND_IN, () -> false);
    link.connect();
    assertThat(link.readSettings()).isEqualTo(controller.settings());
    assertThat(Motion.home(link)).isEqualTo(new Motion.Outcome.There());
  }

  /** A peer that floods without an end of line, or lets one byte come now and then. */
  @ParameterizedTest
  @ValueSource(longs = {0, 2_900_000_000L})
  void aPeerThatNeverEndsHoldsNothingUp(long nanosPerByte) {
    long[] now = {0};
    Port peer =
        new Port() {
          @Override
          public void write(byte[] bytes) {}

          @Override
          public byte[] read(Duration wait) {
            now[0] += nanosPerByte == 0 ? 1_000_000 : nanosPerByte;
            return new byte[nanosPerByte == 0 ? 4096 : 1];
          }

          @Override
          public long nanos() {
            return now[0];
          }

          @Override
          public void close() {}
        };
    LineController link = new LineController(peer, STAND_IN, () -> false);
    assertThatThrownBy(link::status).isInstanceOf(LinkTrouble.class);
    assertThat(Duration.ofNanos(now[0]))
        .isLessThan(Duration.ofSeconds(Math.round(TALK.longestAnswerS()) + 5));
    now[0] = 0;
    assertThatThrownBy(link::readSettings).isInstanceOf(LinkTrouble.class);
    assertThat(Duration.ofNanos(now[0]))
        .isLessThan(Duration.ofSeconds(4 * Math.round(TALK.longestAnswerS())));
    now[0] = 0;
    assertThatThrownBy(link::connect).isInstanceOf(LinkTrouble.class);
    assertThat(Duration.ofNanos(now[0]))
        .as("all tries of connecting together")
        .isLessThan(Duration.ofSeconds(66));
  }

  /** A line was sent and is never answered: cancelling does not wait for its longest answer. */
  @Test
  void aCancelledChangeEndsInSecondsAndSaysThatNobodyKnows() throws LinkTrouble {
    SimulatedController controller = new SimulatedController(FRAME, STAND_IN, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    long[] mute = {0};
    Port peer =
        new Port() {
          @Override
          public void write(byte[] bytes) throws IOException {
            port.write(bytes);
          }

          @Override
          public byte[] read(Duration wait) throws IOException {
            byte[] told = port.read(wait);
            return mute[0] == 0 ? told : told.length > 0 ? new byte[] {'x'} : told;
          }

          @Override
          public long nanos() {
            return port.nanos();
          }

          @Override
          public void close() {
            port.close();
          }
        };
    LineController link = new LineController(peer, STAND_IN, () -> mute[0] > 0);
    link.connect();
    Settings seen = link.readSettings();
    SettingsChange.Outcome outcome =
        SettingsChange.run(
            link,
            seen,
            List.of(
                STAND_IN.write(STAND_IN.key(Role.TRAVEL_X).orElseThrow(), "390"),
                STAND_IN.write(STAND_IN.key(Role.TRAVEL_Y).orElseThrow(), "390")),
            write -> mute[0] = port.nanos());
    assertThat(outcome)
        .isInstanceOfSatisfying(
            SettingsChange.Outcome.Stopped.class,
            stopped -> {
              assertThat(stopped.now()).as("nobody knows").isEmpty();
              assertThat(stopped.at()).isPresent();
            });
    assertThat(Duration.ofNanos(port.nanos() - mute[0])).isLessThan(Duration.ofSeconds(14));
  }
}
