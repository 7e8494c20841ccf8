package zebrawood.desktop.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Corner;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.Motion;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SimulatedPort;
import zebrawood.devices.controller.TestShot;

/** What the sheet does over a link, without a window: the test is the interface's thread. */
class ControllerSessionTest {
  private static final ControllerSession.Line PORT =
      new ControllerSession.Line("port", StandIn.dialect(), true);

  private final BlockingQueue<Runnable> told = new LinkedBlockingQueue<>();
  private final SimulatedController controller =
      new SimulatedController(
          new SimulatedController.Frame(400, 400, true, Corner.FRONT_LEFT),
          StandIn.dialect(),
          Map.of(
              Role.HOMING, Role.ON,
              Role.HOME_CORNER, "front-left",
              Role.LASER_FOLLOWS_MOTION, Role.ON,
              Role.TRAVEL_X, "400.000",
              Role.TRAVEL_Y, "400.000"),
          Faults.NONE);
  private final List<String> opened = new ArrayList<>();
  private final ControllerSession session =
      new ControllerSession(
          (name, baud) -> {
            opened.add(name);
            if (name.equals("gone")) {
              throw new IOException("gone is not there");
            }
            return new SimulatedPort(controller, 0);
          },
          told::add);

  @AfterEach
  void dispose() {
    session.dispose();
  }

  /** Does what the link tells the interface, until the answer is there. */
  private <T> T await(AtomicReference<T> answer) {
    try {
      while (answer.get() == null) {
        Runnable next = told.poll(10, TimeUnit.SECONDS);
        assertThat(next).as("an answer").isNotNull();
        next.run();
      }
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
    return answer.get();
  }

  private Settings read() {
    AtomicReference<Settings> answer = new AtomicReference<>();
    session.read(PORT, answer::set);
    return await(answer);
  }

  @Test
  void itReadsAndLetsThePortGo() {
    AtomicReference<Settings> answer = new AtomicReference<>();
    session.read(PORT, answer::set);
    assertThat(session.busyProperty().get()).isTrue();
    assertThat(session.wordsProperty().get()).contains("Reading");
    session.read(new ControllerSession.Line("another", StandIn.dialect(), true), s -> {});
    assertThat(await(answer)).isEqualTo(controller.settings());
    assertThat(session.busyProperty().get()).isFalse();
    assertThat(opened).as("one thing at a time").containsExactly("port");
    assertThat(read()).as("the port can be had again").isEqualTo(controller.settings());
  }

  @Test
  void aChangeSaysEachLineAndWhatItCameTo() {
    Settings seen = read();
    AtomicReference<SettingsChange.Outcome> outcome = new AtomicReference<>();
    session.change(
        PORT,
        seen,
        List.of(
            StandIn.dialect().write("beam top", "255"),
            StandIn.dialect().write("stay inside", "yes")),
        outcome::set,
        b -> {});
    assertThat(await(outcome)).isInstanceOf(SettingsChange.Outcome.Done.class);
    assertThat(controller.settings().values())
        .containsEntry("beam top", "255")
        .containsEntry("stay inside", "yes");
  }

  @Test
  void aPortThatCannotBeOpenedIsSaidInWords() {
    AtomicReference<String> because = new AtomicReference<>();
    session.change(
        new ControllerSession.Line("gone", StandIn.dialect(), true),
        controller.settings(),
        List.of(),
        o -> {},
        because::set);
    assertThat(await(because)).contains("gone is not there", "no other program holds");
    assertThat(session.wordsProperty().get()).isEqualTo(because.get());
    assertThat(session.busyProperty().get()).isFalse();
  }

  @Test
  void aShotEndsWithTheModeOn() {
    AtomicReference<TestShot.Outcome> outcome = new AtomicReference<>();
    session.shot(PORT, new TestShot.Order(0.01, Duration.ofMillis(50)), outcome::set, b -> {});
    assertThat(await(outcome)).isEqualTo(new TestShot.Outcome.Fired(6));
    assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
  }

  @Test
  void itHomesFirstAndThenGoesRound() {
    AtomicReference<Motion.Outcome> outcome = new AtomicReference<>();
    session.move(PORT, List.of(), 3000, outcome::set);
    assertThat(await(outcome)).isEqualTo(new Motion.Outcome.There());
    outcome.set(null);
    session.move(PORT, List.of(new Motion.Place(200, 100)), 3000, outcome::set);
    assertThat(await(outcome)).isEqualTo(new Motion.Outcome.There());
    assertThat(controller.placeMm()).containsExactly(200.0, 100.0);
  }

  @Test
  void everyConnectFindsAModeThatWasLeftOff() {
    SimulatedController left =
        new SimulatedController(
            new SimulatedController.Frame(400, 400, true, Corner.FRONT_LEFT),
            StandIn.dialect(),
            Map.of(Role.HOMING, Role.ON, Role.HOME_CORNER, "front-left"),
            Faults.NONE);
    ControllerSession other =
        new ControllerSession((name, baud) -> new SimulatedPort(left, 0), told::add);
    AtomicReference<Motion.Outcome> outcome = new AtomicReference<>();
    other.move(PORT, List.of(), 3000, outcome::set);
    await(outcome);
    assertThat(other.wordsProperty().get()).contains("does not follow its motion");
    other.move(
        new ControllerSession.Line("port", StandIn.dialect(), false),
        List.of(),
        3000,
        outcome::set);
    outcome.set(null);
    await(outcome);
    assertThat(other.wordsProperty().get()).as("a spindle follows nothing").isEmpty();
    other.dispose();
  }

  /** A port that takes four seconds to open stands for any link that is slow to end. */
  @Test
  void closingWaitsOnlyBesideTheWindowAndOnlyForSeconds() throws InterruptedException {
    java.util.concurrent.CountDownLatch opening = new java.util.concurrent.CountDownLatch(1);
    ControllerSession slow =
        new ControllerSession(
            (name, baud) -> {
              opening.countDown();
              try {
                Thread.sleep(4_000);
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
              return new SimulatedPort(controller, 0);
            },
            told::add);
    slow.read(PORT, s -> {});
    assertThat(opening.await(10, TimeUnit.SECONDS)).isTrue();
    long began = System.nanoTime();
    slow.dispose();
    assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofMillis(200));
    slow.awaitEnd();
    assertThat(Duration.ofNanos(System.nanoTime() - began))
        .isBetween(Duration.ofMillis(2_500), Duration.ofMillis(3_800));
  }

  @Test
  void onceDisposedNobodyIsTold() throws InterruptedException {
    AtomicReference<Settings> answer = new AtomicReference<>();
    session.read(PORT, answer::set);
    session.dispose();
    for (Runnable next = told.poll(200, TimeUnit.MILLISECONDS); next != null; next = told.poll()) {
      next.run();
    }
    assertThat(answer.get()).isNull();
  }
}
