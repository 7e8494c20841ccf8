package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Settings;
import zebrawood.devices.controller.LinkTrouble.Kind;

class SimulatedControllerTest implements ControllerLinkContract {
  @Override
  public ControllerLink linkTo(SimulatedController controller) {
    return new LineController(new SimulatedPort(controller, 0), () -> false);
  }

  /** More of them with -Dzebrawood.scripts. */
  private static final int SCRIPTS = Integer.getInteger("zebrawood.scripts", 1500);

  /**
   * Random faults in random places of a change and a test shot. What must never happen: the mode is
   * left off and the outcome does not say so; the controller has other settings than the outcome
   * tells; a wait without end; a beam longer than the pulse when its end was sent.
   */
  @Test
  void noFaultEndsUnreported() {
    Random random = new Random(12);
    int fired = 0;
    int unknown = 0;
    for (int script = 0; script < SCRIPTS; script++) {
      Faults faults = faults(random);
      SimulatedController controller = new SimulatedController(FRAME, SET, faults);
      SimulatedPort port = new SimulatedPort(controller, 0);
      AtomicInteger polls = new AtomicInteger();
      int cancelledAt = random.nextInt(3) == 0 ? random.nextInt(700) : Integer.MAX_VALUE;
      LineController link = new LineController(port, () -> polls.incrementAndGet() > cancelledAt);
      try {
        link.connect();
      } catch (LinkTrouble e) {
        assertThat(controller.settings().number(Settings.LASER_MODE, 0, 9)).hasValue(1);
        continue;
      }
      if (random.nextBoolean()) {
        unknown += changes(controller, link, random) ? 0 : 1;
      } else {
        fired += fires(controller, port, link) ? 1 : 0;
      }
      assertThat(port.nanos()).as("an hour is no bound").isLessThan(3_600_000_000_000L);
    }
    assertThat(fired).isGreaterThan(SCRIPTS / 20);
    assertThat(unknown).isGreaterThan(SCRIPTS / 100);
  }

  private static Faults faults(Random random) {
    Faults faults = Faults.NONE;
    if (random.nextInt(3) == 0) {
      faults = faults.unpluggedAfterIn(random.nextInt(120));
    }
    if (random.nextInt(4) == 0) {
      faults = faults.unpluggedAfterOut(random.nextInt(3000));
    }
    if (random.nextInt(3) == 0) {
      faults = faults.garblingIn(random.nextInt(120));
    }
    if (random.nextInt(3) == 0) {
      faults = faults.garblingOut(random.nextInt(3000));
    }
    if (random.nextInt(6) == 0) {
      faults = faults.slow(1_000_000L * (1 + random.nextInt(50)));
    }
    if (random.nextInt(4) == 0) {
      faults = faults.rejecting(Set.of(List.of(30, 31, 130, 32).get(random.nextInt(4))));
    }
    return faults.strange(random.nextBoolean(), random.nextBoolean(), random.nextBoolean());
  }

  /** Whether the outcome knows what is in the controller. */
  private static boolean changes(
      SimulatedController controller, LineController link, Random random) {
    Settings seen;
    try {
      seen = link.readSettings();
    } catch (LinkTrouble e) {
      return true;
    }
    assertThat(seen).isEqualTo(controller.settings());
    List<String> lines = new ArrayList<>(List.of("$31=0", "$30=255", "$130=410", "$13=1"));
    java.util.Collections.shuffle(lines, random);
    return switch (SettingsChange.run(link, seen, lines, line -> {})) {
      case SettingsChange.Outcome.Done done -> {
        assertThat(done.after()).isEqualTo(controller.settings());
        yield true;
      }
      case SettingsChange.Outcome.Changed changed -> {
        assertThat(changed.snapshot()).isEqualTo(controller.settings());
        yield true;
      }
      case SettingsChange.Outcome.Stopped stopped -> {
        stopped.now().ifPresent(now -> assertThat(now).isEqualTo(controller.settings()));
        yield stopped.now().isPresent() || stopped.line().isEmpty();
      }
    };
  }

  private static boolean fires(
      SimulatedController controller, SimulatedPort port, LineController link) {
    var outcome = TestShot.fire(link, new TestShot.Order(0.05, Duration.ofMillis(100)));
    // Whatever was sent is done by the controller itself.
    controller.advanceTo(port.nanos() + 10_000_000_000L);
    boolean on = controller.settings().number(Settings.LASER_MODE, 0, 9).orElse(0) == 1;
    if (!(outcome instanceof TestShot.Outcome.ModeUnknown)) {
      assertThat(on).as("%s with %s", outcome, controller.faults()).isTrue();
      assertThat(controller.beamOn()).isFalse();
    }
    return outcome instanceof TestShot.Outcome.Fired;
  }

  @Test
  void aShotThatNobodyWaitsForEndsByItself() throws Exception {
    SimulatedController controller = new SimulatedController(FRAME, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    AtomicInteger asked = new AtomicInteger();
    LineController link = new LineController(port, () -> asked.incrementAndGet() > 60);
    assertThatThrownBy(
            () -> {
              link.connect();
              while (true) {
                link.sendTogether(
                    TestShot.lines(20, Duration.ofMillis(300)), Duration.ofSeconds(3));
              }
            })
        .isInstanceOfSatisfying(
            LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(Kind.CANCELLED));
    controller.advanceTo(port.nanos() + 2_000_000_000L);
    assertThat(controller.beamOn()).isFalse();
    assertThat(controller.settings().values()).containsEntry(32, "1");
  }

  @Test
  void aControllerThatAnswersOneByteASecondIsReadToTheEndOrCancelled() throws Exception {
    SimulatedController controller =
        new SimulatedController(FRAME, SET, Faults.NONE.slow(1_000_000_000L));
    AtomicInteger asked = new AtomicInteger();
    LineController link =
        new LineController(new SimulatedPort(controller, 0), () -> asked.incrementAndGet() > 2000);
    assertThatThrownBy(
            () -> {
              link.connect();
              link.readSettings();
            })
        .isInstanceOf(LinkTrouble.class);
  }

  @Test
  void aResetThatForgetsIsFound() throws Exception {
    SimulatedController controller =
        new SimulatedController(FRAME, SET, Faults.NONE.strange(true, false, false));
    ControllerLink link = linkTo(controller);
    link.connect();
    Settings left = link.readSettings();
    link.softReset();
    Settings now = link.readSettings();
    var differences = zebrawood.controller.Difference.between(left, now);
    assertThat(zebrawood.controller.Difference.looksLikeReset(differences)).isTrue();
    List<String> lines = SettingsChange.restore(now, left);
    assertThat(lines.getFirst()).isEqualTo("$32=1");
    assertThat(lines.getLast()).isEqualTo("$20=1");
    assertThat(SettingsChange.run(link, now, lines, line -> {}))
        .isInstanceOf(SettingsChange.Outcome.Done.class);
    assertThat(zebrawood.controller.Difference.between(left, link.readSettings())).isEmpty();
  }

  @Test
  void itsBufferHoldsWhatARealOneHolds() {
    SimulatedController controller = new SimulatedController(FRAME, SET, Faults.NONE);
    byte[] flood = "G4P1\n".repeat(60).getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    for (byte b : flood) {
      controller.take(b, 1_000);
    }
    controller.advanceTo(20_000_000_000L);
    assertThat(controller.nextWorkAt()).isGreaterThan(20_000_000_000L - 1);
    Map<Integer, String> before = new TreeMap<>(controller.settings().values());
    assertThat(before).containsEntry(32, "1");
  }
}
