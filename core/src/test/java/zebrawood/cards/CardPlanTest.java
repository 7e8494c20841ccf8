package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.cards.CardPlanFinding.Square;
import zebrawood.cards.CardPlanReadings.CrossAt;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

class CardPlanTest {
  private static CardPlanReadings card(
      List<Double> percents, List<Double> speeds, double gap, double interval, double top) {
    return new CardPlanReadings(
        percents,
        speeds,
        List.of(6.0, 5.0),
        gap,
        List.of(60.0, 50.0),
        interval,
        OptionalDouble.of(1500),
        List.of(600.0, 400.0),
        OptionalDouble.of(top),
        OptionalDouble.of(250),
        OptionalDouble.empty(),
        new CrossAt(20, 40),
        OptionalInt.empty());
  }

  private static final CardPlanReadings USUAL =
      card(List.of(10.0, 20.0, 40.0), List.of(50.0, 100.0, 200.0), 2, 0.25, 1000);

  /** Runs a program as a controller would, and minds what none may do. */
  private static final class Machine {
    double x;
    double y;
    double seconds;
    double leastX = Double.MAX_VALUE;
    double mostX = -Double.MAX_VALUE;
    double leastY = Double.MAX_VALUE;
    double mostY = -Double.MAX_VALUE;
    final List<double[]> burnt = new ArrayList<>();
    private final double acceleration;
    private final double travel;
    private double pendingMm;
    private double pendingSpeed;
    private double pendingAngle;
    private String last = "";

    Machine(double acceleration, double travel) {
      this.acceleration = acceleration;
      this.travel = travel;
    }

    private void rest() {
      if (pendingMm > 0) {
        double full = pendingSpeed * pendingSpeed / acceleration;
        seconds +=
            pendingMm >= full
                ? pendingMm / pendingSpeed + pendingSpeed / acceleration
                : 2 * Math.sqrt(pendingMm / acceleration);
      }
      pendingMm = 0;
    }

    void run(String program) {
      double feed = 0;
      boolean on = false;
      for (String line : program.split("\n")) {
        assertThat(line).matches("[GMXYFS0-9. -]+");
        last = line;
        String[] words = line.split(" ");
        double toX = x;
        double toY = y;
        double power = 0;
        for (String word : words) {
          double value = Double.parseDouble(word.substring(1));
          switch (word.charAt(0)) {
            case 'X' -> toX = value;
            case 'Y' -> toY = value;
            case 'F' -> feed = value / 60;
            case 'S' -> power = value;
            default -> {}
          }
        }
        on |= words[0].equals("M3");
        if (!words[0].startsWith("G0") && !words[0].startsWith("G1")) {
          assertThat(power).isZero();
          continue;
        }
        assertThat(on).as("the beam is on, with no power").isTrue();
        double mm = Math.hypot(toX - x, toY - y);
        double angle = Math.atan2(toY - y, toX - x);
        boolean burns = words[0].equals("G1");
        double speed = burns ? feed : travel;
        if (!burns) {
          assertThat(power).isZero();
        }
        if (power > 0) {
          assertThat(mm).isPositive();
          burnt.add(new double[] {x, y, toX, toY, power, feed});
        }
        boolean goesOn =
            burns
                && pendingMm > 0
                && speed == pendingSpeed
                && Math.abs(angle - pendingAngle) < 1e-6;
        if (!goesOn) {
          rest();
        }
        pendingMm += mm;
        pendingSpeed = speed;
        pendingAngle = angle;
        x = toX;
        y = toY;
        leastX = Math.min(leastX, x);
        mostX = Math.max(mostX, x);
        leastY = Math.min(leastY, y);
        mostY = Math.max(mostY, y);
      }
      rest();
    }
  }

  @Test
  void theProgramBurnsEverySquareAndNothingElse() {
    CardPlanFinding plan = CardPlan.solve(USUAL);
    String program = plan.gcode().text().orElseThrow();
    assertThat(program).startsWith("G21\nG90\nM3 S0\n").endsWith("M5\n");
    Machine machine = new Machine(1500, 250);
    machine.run(program);
    assertThat(machine.last).isEqualTo("M5");
    assertThat(machine.seconds).isCloseTo(plan.seconds().orElseThrow(), within(0.01));
    assertThat(machine.leastX).isCloseTo(plan.extentMm().get(0), within(0.001));
    assertThat(machine.leastY).isCloseTo(plan.extentMm().get(1), within(0.001));
    assertThat(machine.mostX).isCloseTo(plan.extentMm().get(2), within(0.001));
    assertThat(machine.mostY).isCloseTo(plan.extentMm().get(3), within(0.001));
    int lines = 0;
    for (Square s : plan.squares()) {
      List<double[]> its =
          machine.burnt.stream()
              .filter(b ->
                  Math.min(b[0], b[2]) >= s.xMm() - 0.001
                      && Math.max(b[0], b[2]) <= s.xMm() + s.wMm() + 0.001
                      && b[1] >= s.yMm() - 0.001
                      && b[1] <= s.yMm() + s.hMm() + 0.001)
              .toList();
      assertThat(its).hasSize(21).hasSize(s.lines());
      assertThat(its)
          .allSatisfy(b -> {
            assertThat(Math.abs(b[2] - b[0])).isCloseTo(6, within(0.002));
            assertThat(b[4]).isEqualTo(s.percent() * 10);
            assertThat(b[5]).isCloseTo(s.speedMmS(), within(0.001));
          });
      assertThat(its.getFirst()[1]).isCloseTo(s.yMm(), within(0.001));
      lines += its.size();
    }
    assertThat(machine.burnt).hasSize(lines + 8);
  }

  @Test
  void gentlestSquaresAreBurntFirst() {
    CardPlanFinding plan = CardPlan.solve(USUAL);
    Machine machine = new Machine(1500, 250);
    machine.run(plan.gcode().text().orElseThrow());
    double before = 0;
    for (double[] b : machine.burnt.subList(0, machine.burnt.size() - 8)) {
      double energy = b[4] / b[5];
      assertThat(energy).isGreaterThanOrEqualTo(before - 1e-9);
      before = energy;
    }
  }

  @Test
  void placesAreAsTheContractHasThem() {
    CardPlanFinding plan = CardPlan.solve(USUAL);
    Square last = plan.squares().getLast();
    assertThat(last.column()).isEqualTo(2);
    assertThat(last.row()).isEqualTo(2);
    assertThat(last.xMm()).isEqualTo(60 + 2 * 8);
    assertThat(last.yMm()).isEqualTo(50 + 2 * 7);
    assertThat(last.runUpMm().orElseThrow()).isCloseTo(200.0 * 200 / 3000, within(1e-9));
    assertThat(last.powerWord()).hasValue(400);
    assertThat(plan.crossesMm().getFirst()).containsExactly(56.0, 46.0);
    assertThat(plan.crossesMm().get(2)).containsExactly(86.0, 73.0);
    assertThat(plan.verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aCardOffTheBedStopsAndHasNoProgram() {
    CardPlanReadings off =
        new CardPlanReadings(
            USUAL.percents(),
            USUAL.speedsMmS(),
            USUAL.squareMm(),
            2,
            List.of(10.0, 50.0),
            0.25,
            USUAL.accelerationMmS2(),
            USUAL.travelMm(),
            USUAL.topPowerWord(),
            USUAL.travelSpeedMmS(),
            USUAL.crossMm(),
            USUAL.crossAt(),
            OptionalInt.empty());
    CardPlanFinding plan = CardPlan.solve(off);
    assertThat(plan.fits()).isFalse();
    assertThat(plan.verdict()).isEqualTo(Verdict.STOP);
    assertThat(plan.gcode().text()).isEmpty();
  }

  @Test
  void whatIsNotKnownIsLeftOutWithAWarning() {
    CardPlanReadings bare =
        new CardPlanReadings(
            USUAL.percents(),
            USUAL.speedsMmS(),
            USUAL.squareMm(),
            2,
            USUAL.atMm(),
            0.25,
            OptionalDouble.empty(),
            USUAL.travelMm(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            USUAL.crossAt(),
            OptionalInt.of(2));
    CardPlanFinding plan = CardPlan.solve(bare);
    assertThat(plan.warnings()).hasSize(3);
    assertThat(plan.seconds()).isEmpty();
    assertThat(plan.gcode().text()).isEmpty();
    assertThat(plan.squares())
        .allSatisfy(s -> {
          assertThat(s.powerWord()).isEmpty();
          assertThat(s.runUpMm()).isEmpty();
          assertThat(s.seconds()).isEmpty();
        });
    assertThat(plan.runs().orElseThrow()).hasSize(5);
    assertThat(plan.runs().orElseThrow().getFirst().squares())
        .containsExactly(List.of(0, 0), List.of(1, 0));
  }

  @Test
  void aSettingThatComesTwiceTakesOnePlaceOfARun() {
    CardPlanReadings twice = card(List.of(10.0, 10.0, 20.0), List.of(50.0), 2, 0.25, 1000);
    CardPlanFinding plan =
        CardPlan.solve(
            new CardPlanReadings(
                twice.percents(),
                twice.speedsMmS(),
                twice.squareMm(),
                2,
                twice.atMm(),
                0.25,
                twice.accelerationMmS2(),
                twice.travelMm(),
                twice.topPowerWord(),
                twice.travelSpeedMmS(),
                twice.crossMm(),
                twice.crossAt(),
                OptionalInt.of(2)));
    assertThat(plan.runs().orElseThrow()).hasSize(1);
  }

  private static CardPlanReadings stepped(
      Optional<CardSteps> across, Optional<CardSteps> up, CardFill fill) {
    return new CardPlanReadings(
        across.isPresent() ? List.of(30.0) : USUAL.percents(),
        up.isPresent() ? List.of(100.0) : USUAL.speedsMmS(),
        USUAL.squareMm(),
        USUAL.gapMm(),
        USUAL.atMm(),
        0.25,
        USUAL.accelerationMmS2(),
        USUAL.travelMm(),
        USUAL.topPowerWord(),
        USUAL.travelSpeedMmS(),
        USUAL.crossMm(),
        USUAL.crossAt(),
        OptionalInt.of(2),
        across,
        up,
        Optional.of(fill));
  }

  /** What is burnt of a square, from the program alone. */
  private static List<double[]> of(Square s, Machine machine) {
    return machine.burnt.stream()
        .filter(b ->
            Math.min(b[0], b[2]) >= s.xMm() - 0.001
                && Math.max(b[0], b[2]) <= s.xMm() + s.wMm() + 0.001
                && Math.min(b[1], b[3]) >= s.yMm() - 0.001
                && Math.max(b[1], b[3]) <= s.yMm() + s.hMm() + 0.001)
        .toList();
  }

  private static Machine run(CardPlanFinding plan) {
    Machine machine = new Machine(1500, 250);
    machine.run(plan.gcode().text().orElseThrow());
    assertThat(machine.seconds).isCloseTo(plan.seconds().orElseThrow(), within(0.02));
    assertThat(machine.leastX).isGreaterThanOrEqualTo(plan.extentMm().get(0) - 0.001);
    assertThat(machine.leastY).isGreaterThanOrEqualTo(plan.extentMm().get(1) - 0.001);
    assertThat(machine.mostX).isLessThanOrEqualTo(plan.extentMm().get(2) + 0.001);
    assertThat(machine.mostY).isLessThanOrEqualTo(plan.extentMm().get(3) + 0.001);
    return machine;
  }

  @Test
  void intervalsAcrossAndPassesUpAreBurntAsPlanned() {
    CardSteps intervals = new CardSteps(CardSteps.Step.INTERVAL, List.of(0.1, 0.25, 0.5));
    CardSteps passes = new CardSteps(CardSteps.Step.PASSES, List.of(1.0, 3.0));
    CardPlanFinding plan =
        CardPlan.solve(stepped(Optional.of(intervals), Optional.of(passes), CardFill.USUAL));
    assertThat(plan.squares()).hasSize(6);
    Machine machine = run(plan);
    for (Square s : plan.squares()) {
      double apart = intervals.values().get(s.column());
      int often = passes.values().get(s.row()).intValue();
      List<double[]> its = of(s, machine);
      assertThat(its).hasSize(often * (int) Math.round(5 / apart + 1)).hasSize(s.lines());
      assertThat(its)
          .allSatisfy(b -> {
            assertThat(b[1]).isEqualTo(b[3]);
            assertThat(b[4]).isEqualTo(300);
            assertThat(b[5]).isCloseTo(100, within(0.001));
          });
      assertThat(its.get(1)[1] - its.get(0)[1]).isCloseTo(apart, within(0.001));
      assertThat(s.setting().orElseThrow().passes()).hasValue(often);
    }
    // Two settings a run, each square a setting of its own.
    assertThat(plan.runs().orElseThrow()).hasSize(3);
  }

  @Test
  void fillsAreBurntAsTheySay() {
    OptionalInt once = OptionalInt.empty();
    for (CardFill.Lines lines : CardFill.Lines.values()) {
      boolean outline = lines == CardFill.Lines.ONE_WAY;
      CardPlanFinding plan =
          CardPlan.solve(
              stepped(Optional.empty(), Optional.empty(), new CardFill(lines, outline, once)));
      Machine machine = run(plan);
      for (Square s : plan.squares()) {
        List<double[]> its = of(s, machine);
        long along = its.stream().filter(b -> b[1] == b[3]).count();
        long upright = its.stream().filter(b -> b[0] == b[2]).count();
        long leftwards = its.stream().filter(b -> b[2] < b[0]).count();
        assertThat(its).as(lines.name()).hasSize(s.lines());
        switch (lines) {
          case BOTH_WAYS ->
              assertThat(List.of(along, upright, leftwards)).containsExactly(21L, 0L, 10L);
          // An outline has two lines each way, one of them leftwards.
          case ONE_WAY ->
              assertThat(List.of(along, upright, leftwards)).containsExactly(23L, 2L, 1L);
          case CROSSED ->
              assertThat(List.of(along, upright, leftwards)).containsExactly(21L, 25L, 10L);
          case NONE -> assertThat(List.of(along, upright, leftwards)).containsExactly(2L, 2L, 1L);
        }
      }
    }
  }

  @Test
  void whatAProgramCannotSayIsTypedFromTheTable() {
    CardSteps khz = new CardSteps(CardSteps.Step.FREQUENCY, List.of(20.0, 40.0, 80.0));
    CardPlanFinding plan =
        CardPlan.solve(stepped(Optional.of(khz), Optional.empty(), CardFill.USUAL));
    assertThat(plan.gcode().text()).isEmpty();
    assertThat(plan.warnings()).extracting(Message::key).contains("cards.plan.not-in-program");
    assertThat(plan.squares().get(1).setting().orElseThrow().khz()).hasValue(40);
  }

  @Test
  void stepsThatCannotBeAreRefused() {
    CardSteps half = new CardSteps(CardSteps.Step.PASSES, List.of(1.0, 1.5));
    CardSteps some = new CardSteps(CardSteps.Step.INTERVAL, List.of(0.1, 0.2));
    CardSteps none = new CardSteps(CardSteps.Step.INTERVAL, List.of());
    CardSteps fine = new CardSteps(CardSteps.Step.INTERVAL, List.of(0.001, 0.002));
    CardFill often = new CardFill(CardFill.Lines.CROSSED, true, OptionalInt.of(100));
    assertThatThrownBy(() -> stepped(Optional.of(half), Optional.empty(), CardFill.USUAL))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> stepped(Optional.of(some), Optional.of(some), CardFill.USUAL))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> stepped(Optional.of(none), Optional.empty(), CardFill.USUAL))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> stepped(Optional.of(fine), Optional.empty(), often))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() ->
            new CardGrid(
                List.of(10.0, 20.0),
                List.of(50.0),
                OptionalDouble.empty(),
                Optional.of(some),
                Optional.empty()))
        .isInstanceOf(UnusableReading.class);
  }

  @Test
  void randomCardsRunAsLongAsTold() {
    Random random = new Random(4);
    for (int i = 0; i < 60; i++) {
      List<Double> percents = new ArrayList<>();
      List<Double> speeds = new ArrayList<>();
      for (int n = 0; n < 1 + random.nextInt(5); n++) {
        percents.add(1 + 90 * random.nextDouble());
        speeds.add(5 + 195 * random.nextDouble());
      }
      CardPlanFinding plan =
          CardPlan.solve(
              card(percents, speeds, 4 * random.nextDouble(), 0.05 + random.nextDouble(), 255));
      Machine machine = new Machine(1500, 250);
      machine.run(plan.gcode().text().orElseThrow());
      assertThat(machine.seconds)
          .isCloseTo(plan.seconds().orElseThrow(), within(0.002 * machine.seconds));
    }
  }

  @Test
  void whatBurnsNothingOrNeverEndsIsRefused() {
    assertThatThrownBy(() -> CardPlan.solve(card(List.of(0.1), List.of(50.0), 2, 0.25, 255)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("percents[0]");
    assertThatThrownBy(() -> card(List.of(10.0), List.of(50.0), 2, 0, 255))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("intervalMm");
    assertThatThrownBy(() -> card(List.of(10.0), List.of(50.0, Double.NaN), 2, 0.25, 255))
        .hasMessageContaining("speedsMmS[1]");
    List<Double> many = new ArrayList<>();
    for (int i = 0; i < 90; i++) {
      many.add(10.0 + i);
    }
    assertThatThrownBy(() -> card(many, many, 2, 0.005, 255)).hasMessageContaining("intervalMm");
  }
}
