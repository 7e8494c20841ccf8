package zebrawood.devices.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Dialect;
import zebrawood.controller.Difference;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;
import zebrawood.devices.controller.LinkTrouble.Kind;

class SimulatedControllerTest implements ControllerLinkContract {
  @Override
  public ControllerLink linkTo(SimulatedController controller, Dialect dialect) {
    return new LineController(new SimulatedPort(controller, 0), dialect, () -> false);
  }

  /** More of them with -Dzebrawood.scripts. */
  private static final int SCRIPTS = Integer.getInteger("zebrawood.scripts", 1500);

  private int fired;
  private int unknown;
  private int stopped;

  /**
   * Random faults in random places of a change, a test shot and a motion, in random dialects. What
   * must never happen: the mode is left off and the outcome does not say so; the controller has
   * other settings than the outcome tells; it moves after it was stopped; a wait without end; a
   * beam that stays on.
   */
  @Test
  void noFaultEndsUnreported() {
    Random random = new Random(12);
    RandomDialects dialects = new RandomDialects(random);
    for (int script = 0; script < SCRIPTS; script++) {
      Dialect dialect = dialects.next();
      Faults faults = faults(random);
      SimulatedController controller = new SimulatedController(FRAME, dialect, SET, faults);
      SimulatedPort port = new SimulatedPort(controller, 0);
      AtomicInteger polls = new AtomicInteger();
      int cancelledAt = random.nextInt(3) == 0 ? random.nextInt(700) : Integer.MAX_VALUE;
      LineController link =
          new LineController(port, dialect, () -> polls.incrementAndGet() > cancelledAt);
      try {
        link.connect();
      } catch (LinkTrouble e) {
        assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
        continue;
      }
      switch (random.nextInt(3)) {
        case 0 -> unknown += changes(controller, link, random) ? 0 : 1;
        case 1 -> fired += fires(controller, port, link) ? 1 : 0;
        default -> stopped += moves(controller, port, link, random) ? 1 : 0;
      }
      assertThat(port.nanos()).as("half an hour is no bound").isLessThan(1_800_000_000_000L);
    }
    assertThat(fired).isGreaterThan(SCRIPTS / 30);
    assertThat(unknown).isGreaterThan(SCRIPTS / 200);
    assertThat(stopped).isGreaterThan(SCRIPTS / 100);
  }

  private static Faults faults(Random random) {
    Faults faults = Faults.NONE;
    if (random.nextInt(3) == 0) {
      faults = faults.unpluggedAfterIn(random.nextInt(160));
    }
    if (random.nextInt(4) == 0) {
      faults = faults.unpluggedAfterOut(random.nextInt(3000));
    }
    if (random.nextInt(3) == 0) {
      faults = faults.garblingIn(random.nextInt(160));
    }
    if (random.nextInt(3) == 0) {
      faults = faults.garblingOut(random.nextInt(3000));
    }
    if (random.nextInt(6) == 0) {
      faults = faults.slow(1_000_000L * (1 + random.nextInt(5)));
    }
    if (random.nextInt(6) == 0) {
      faults = faults.late(Duration.ofMillis(random.nextInt(25_000)));
    }
    if (random.nextInt(4) == 0) {
      faults =
          faults.rejecting(
              Set.of(
                  List.of(
                          Role.TOP_POWER_WORD,
                          Role.LEAST_POWER_WORD,
                          Role.TRAVEL_X,
                          Role.LASER_FOLLOWS_MOTION)
                      .get(random.nextInt(4))));
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
    Dialect dialect = link.dialect();
    List<Write> writes =
        new ArrayList<>(
            List.of(
                ControllerLinkContract.write(dialect, Role.LEAST_POWER_WORD, "0"),
                ControllerLinkContract.write(dialect, Role.TOP_POWER_WORD, "255"),
                ControllerLinkContract.write(dialect, Role.TRAVEL_X, "410"),
                ControllerLinkContract.means(dialect, Role.REPORT_UNITS, "inch")));
    Collections.shuffle(writes, random);
    return switch (SettingsChange.run(link, seen, writes, line -> {})) {
      case SettingsChange.Outcome.Done done -> {
        assertThat(done.after()).isEqualTo(controller.settings());
        yield true;
      }
      case SettingsChange.Outcome.Changed changed -> {
        assertThat(changed.snapshot()).isEqualTo(controller.settings());
        yield true;
      }
      case SettingsChange.Outcome.Stopped stopped -> {
        stopped
            .now()
            .ifPresent(now ->
                assertThat(Difference.between(now, controller.settings()))
                    .as("%s", stopped.because())
                    .isEmpty());
        yield stopped.now().isPresent() || stopped.at().isEmpty();
      }
    };
  }

  private static boolean fires(
      SimulatedController controller, SimulatedPort port, LineController link) {
    var outcome = TestShot.fire(link, new TestShot.Order(0.05, Duration.ofMillis(100)));
    // Whatever was sent is done by the controller itself.
    controller.advanceTo(port.nanos() + 10_000_000_000L);
    if (!(outcome instanceof TestShot.Outcome.ModeUnknown)) {
      assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON))
          .as("%s with %s in %s", outcome, controller.faults(), link.dialect())
          .isTrue();
    }
    if (outcome instanceof TestShot.Outcome.Fired || outcome instanceof TestShot.Outcome.NotFired) {
      assertThat(controller.beamOn()).isFalse();
    }
    return outcome instanceof TestShot.Outcome.Fired;
  }

  /** Whether it was stopped on its way. */
  private static boolean moves(
      SimulatedController controller, SimulatedPort port, LineController link, Random random) {
    Motion.Outcome outcome = Motion.home(link);
    if (outcome instanceof Motion.Outcome.There) {
      outcome =
          Motion.drive(
              link,
              List.of(
                  new Motion.Place(random.nextInt(390), random.nextInt(290)),
                  new Motion.Place(random.nextInt(390), random.nextInt(290))),
              1_000 + random.nextInt(5_000));
    }
    int motions = controller.motions();
    boolean ended =
        outcome instanceof Motion.Outcome.There || outcome instanceof Motion.Outcome.Stopped;
    controller.advanceTo(port.nanos() + 1_000_000_000L);
    if (ended) {
      assertThat(controller.moves()).as("%s with %s", outcome, controller.faults()).isFalse();
    }
    controller.advanceTo(port.nanos() + 600_000_000_000L);
    if (ended) {
      assertThat(controller.motions()).as("nothing moves later").isEqualTo(motions);
    }
    return outcome instanceof Motion.Outcome.Stopped;
  }

  @Test
  void aShotThatNobodyWaitsForEndsByItself() throws Exception {
    Dialect dialect = StandInDialect.DIALECT;
    SimulatedController controller = new SimulatedController(FRAME, dialect, SET, Faults.NONE);
    SimulatedPort port = new SimulatedPort(controller, 0);
    AtomicInteger asked = new AtomicInteger();
    LineController link = new LineController(port, dialect, () -> asked.incrementAndGet() > 60);
    List<String> lines =
        TestShot.lines(new TestShot.Order(0.02, Duration.ofMillis(300)), controller.settings())
            .stream()
            .map(line -> line + "\n")
            .toList();
    assertThatThrownBy(
            () -> {
              link.connect();
              while (true) {
                link.send(lines, Duration.ofSeconds(3));
              }
            })
        .isInstanceOfSatisfying(
            LinkTrouble.class, t -> assertThat(t.kind()).isEqualTo(Kind.CANCELLED));
    controller.advanceTo(port.nanos() + 2_000_000_000L);
    assertThat(controller.beamOn()).isFalse();
    assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
  }

  /** Lines of an answer that was cut off come later; they are of no list of settings. */
  @Test
  void lateAnswersOfAnEarlierQuestionNeverCount() throws Exception {
    Dialect dialect = StandInDialect.DIALECT;
    Random random = new Random(5);
    for (int n = 0; n < 300; n++) {
      SimulatedController controller = new SimulatedController(FRAME, dialect, SET, Faults.NONE);
      SimulatedPort port = new SimulatedPort(controller, 0);
      LineController link = new LineController(port, dialect, () -> false);
      link.connect();
      // Somebody asked before, and went away in the middle of the answer.
      port.write("list\n".repeat(1 + random.nextInt(3)).getBytes(StandardCharsets.US_ASCII));
      port.read(Duration.ofMillis(random.nextInt(30)));
      assertThat(link.readSettings()).isEqualTo(controller.settings());
    }
  }

  /** More of them with -Dzebrawood.changes. */
  private static final int CHANGES = Integer.getInteger("zebrawood.changes", 500);

  /**
   * Says lines of earlier answers once more, in between: acknowledgements, settings with values
   * that they have no more, whole lists.
   */
  private static final class StrayPort implements Port {
    private final Port port;
    private final Random random;
    private final List<String> said = new ArrayList<>();
    private final StringBuilder line = new StringBuilder();

    StrayPort(Port port, Random random) {
      this.port = port;
      this.random = random;
    }

    @Override
    public void write(byte[] bytes) throws IOException {
      port.write(bytes);
    }

    @Override
    public byte[] read(Duration wait) throws IOException {
      ByteArrayOutputStream told = new ByteArrayOutputStream();
      for (byte b : port.read(wait)) {
        told.write(b);
        if (b == '\n' || b == '\r') {
          said.add(line.toString() + (char) b);
          line.setLength(0);
          if (random.nextInt(40) == 0) {
            int from = random.nextInt(said.size());
            int lines = 1 + random.nextInt(random.nextBoolean() ? 1 : 40);
            for (String again : said.subList(from, Math.min(said.size(), from + lines))) {
              told.writeBytes(again.getBytes(StandardCharsets.ISO_8859_1));
            }
          }
        } else {
          line.append((char) (b & 0xff));
        }
      }
      return told.toByteArray();
    }

    @Override
    public long nanos() {
      return port.nanos();
    }

    @Override
    public void close() {
      port.close();
    }
  }

  /** No list of settings is kept that is not what is in the controller. */
  @Test
  void noWrongListIsKeptWhereAnswersComeLateOrTwice() {
    Random random = new Random(31);
    RandomDialects dialects = new RandomDialects(random);
    int known = 0;
    for (int n = 0; n < CHANGES; n++) {
      Dialect dialect = dialects.next();
      Faults faults =
          n % 2 == 0 ? Faults.NONE : Faults.NONE.late(Duration.ofMillis(random.nextInt(20_000)));
      SimulatedController controller = new SimulatedController(FRAME, dialect, SET, faults);
      Port port = new SimulatedPort(controller, 0);
      LineController link =
          new LineController(
              random.nextInt(4) == 0 ? port : new StrayPort(port, random), dialect, () -> false);
      try {
        link.connect();
      } catch (LinkTrouble e) {
        continue;
      }
      known += changes(controller, link, random) ? 1 : 0;
      assertThat(port.nanos()).isLessThan(1_800_000_000_000L);
    }
    assertThat(known).isGreaterThan(CHANGES / 4);
  }

  @Test
  void aResetThatForgetsIsFound() throws Exception {
    Dialect dialect = StandInDialect.DIALECT;
    SimulatedController controller =
        new SimulatedController(FRAME, dialect, SET, Faults.NONE.strange(true, false, false));
    ControllerLink link = linkTo(controller, dialect);
    link.connect();
    Settings left = link.readSettings();
    // It starts anew and greets, which is no answer.
    assertThatThrownBy(() -> link.send(List.of("stop\n"), Duration.ofSeconds(1)))
        .isInstanceOf(LinkTrouble.class);
    Settings now = link.readSettings();
    var differences = Difference.between(left, now);
    assertThat(Difference.looksLikeReset(differences)).isTrue();
    List<Write> writes = SettingsChange.restore(now, left);
    assertThat(writes.getFirst().line()).isEqualTo("put beam follows := yes");
    assertThat(writes.getLast().line()).isEqualTo("put stay inside := yes");
    assertThat(SettingsChange.run(link, now, writes, line -> {}))
        .isInstanceOf(SettingsChange.Outcome.Done.class);
    assertThat(Difference.between(left, link.readSettings())).isEmpty();
  }

  @Test
  void itsBufferHoldsWhatARealOneHolds() {
    SimulatedController controller =
        new SimulatedController(FRAME, StandInDialect.DIALECT, SET, Faults.NONE);
    for (byte b : "pause 1\n".repeat(60).getBytes(StandardCharsets.US_ASCII)) {
      controller.take(b, 1_000);
    }
    controller.advanceTo(20_000_000_000L);
    assertThat(controller.nextWorkAt()).isGreaterThan(20_000_000_000L - 1);
    assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
  }
}
