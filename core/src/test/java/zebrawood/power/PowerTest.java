package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.machine.PulseRange;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.power.CeilingReadings.Sample;
import zebrawood.power.PowerFinding.Better;
import zebrawood.power.PowerReadings.Output;
import zebrawood.power.PowerTask.Item;
import zebrawood.station.Proof;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

class PowerTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static OptionalDouble of(double value) {
    return OptionalDouble.of(value);
  }

  private static PowerFinding tube(PowerTask task) {
    return tube(task, of(4), Output.NOT_READ);
  }

  private static PowerFinding tube(PowerTask task, OptionalDouble low, Output output) {
    return Power.solve(
        new PowerReadings(
            task, true, low, Optional.empty(), output, Optional.empty(), Optional.empty()));
  }

  private static PowerTask.ByMeter meter(OptionalDouble atTop, double highest) {
    return new PowerTask.ByMeter(
        new CeilingReadings(
            30,
            of(0.85),
            NONE,
            0.5,
            List.of(new Sample(20, 8), new Sample(40, 16), new Sample(80, highest))),
        atTop);
  }

  private static String first(PowerFinding f) {
    return Phrasebook.ENGLISH.sentence(f.advice().getFirst());
  }

  @Test
  void theDialIsSetThenReadAgain() {
    PowerFinding before = tube(meter(NONE, 28));
    assertThat(before.verdict()).isEqualTo(Verdict.ADJUST);
    // 25.5 of 16 to 28 mA, from 40 to 80 %.
    assertThat(before.dialPercent().orElseThrow().value()).isCloseTo(71.667, within(0.001));
    assertThat(before.slopeMaPerPercent().getAsDouble()).isCloseTo(0.3, within(1e-9));
    assertThat(tube(meter(of(25.5), 28)).verdict()).isEqualTo(Verdict.WITHIN);
    PowerFinding off = tube(meter(of(27), 28));
    assertThat(off.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(first(off)).contains("down to 66.7 %").contains("1.5 mA");
    assertThat(off.better()).contains(Better.TURN_THE_DIAL);
  }

  @Test
  void aReadingAboveTheMaximumStopsUntilItIsBack() {
    assertThat(tube(meter(NONE, 31)).verdict()).isEqualTo(Verdict.STOP);
    assertThat(tube(meter(of(30.5), 28)).verdict()).isEqualTo(Verdict.STOP);
    PowerFinding back = tube(meter(of(25.5), 31));
    assertThat(back.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(back.warnings()).extracting(Message::key).containsExactly("power.was-over");
  }

  @Test
  void aLowPulseThatIsNotKnownHoldsUpNothing() {
    PowerFinding f = tube(meter(of(25.5), 28), NONE, Output.NOT_READ);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.warnings(ENGLISH)).anyMatch(w -> w.contains("low pulse for mirror work"));
  }

  @Test
  void aCheckTurnsTheDialBackByTheLastSlope() {
    var drifted = new PowerTask.ByCheck(30, 0.5, 25.5, 23, of(70), of(0.3));
    PowerFinding f = tube(drifted);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(first(f)).contains("up to 78.3 %");
    PowerFinding without = tube(new PowerTask.ByCheck(30, 0.5, 25.5, 23, NONE, NONE));
    assertThat(first(without)).contains("up a little");
    PowerFinding beyond = tube(new PowerTask.ByCheck(30, 0.5, 25.5, 15, of(95), of(0.3)));
    assertThat(first(beyond)).contains("does not reach");
    PowerFinding stays = tube(new PowerTask.ByCheck(30, 0.5, 25.5, 25.2, of(70), of(0.3)));
    assertThat(stays.dialPercent().orElseThrow().value()).isEqualTo(70);
    assertThat(tube(new PowerTask.ByCheck(30, 0.5, 25.5, 25.2, NONE, NONE)).verdict())
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void theFactoryIsTrustedAfterOneReading() {
    assertThat(tube(new PowerTask.ByFactory(30, 0.5, NONE)).verdict())
        .isEqualTo(Verdict.MEASURE_AGAIN);
    PowerFinding read = tube(new PowerTask.ByFactory(30, 0.5, of(27)));
    assertThat(read.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(read.top().orElseThrow().agreedMa()).isEqualTo(27);
    assertThat(tube(new PowerTask.ByFactory(30, 0.5, of(31))).verdict()).isEqualTo(Verdict.STOP);
  }

  private static Output output(double now, double first, OptionalDouble limit) {
    return new Output(
        true,
        of(now),
        of(first),
        limit,
        List.of(),
        100,
        true,
        of(100),
        Optional.empty(),
        OptionalInt.empty());
  }

  @Test
  void aLossIsJudgedOnlyAgainstALimitThatSomebodyGave() {
    PowerTask fine = meter(of(25.5), 28);
    PowerFinding unknown = tube(fine, of(4), output(60, 90, NONE));
    assertThat(unknown.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(unknown.better()).contains(Better.RESCALE);
    assertThat(unknown.warnings()).extracting(Message::key).containsExactly("power.limit-unknown");
    PowerFinding once = tube(fine, of(4), output(60, 90, of(30)));
    assertThat(once.verdict()).as("one reading alone").isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(once.better()).isEmpty();
    PowerFinding worn =
        tube(
            fine,
            of(4),
            new Output(
                true,
                of(60),
                of(90),
                of(30),
                List.of(new Ageing.Reading(0, 90), new Ageing.Reading(90, 61)),
                100,
                true,
                of(100),
                Optional.empty(),
                OptionalInt.empty()));
    assertThat(worn.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(worn.better()).contains(Better.REPLACE);
    assertThat(worn.lossPercent().getAsDouble()).isCloseTo(33.33, within(0.01));
    assertThat(tube(fine, of(4), output(89, 90, of(30))).better()).isEmpty();
  }

  @Test
  void oneBadReadingReplacesNoTube() {
    List<Ageing.Reading> history = new java.util.ArrayList<>();
    for (int i = 0; i < 8; i++) {
      history.add(new Ageing.Reading(200 * i, 60 - 0.25 * i + (i % 2 == 0 ? 0.1 : -0.1)));
    }
    Output bad =
        new Output(
            true,
            of(44),
            of(60),
            of(20),
            history,
            1600,
            true,
            of(1600),
            Optional.empty(),
            OptionalInt.empty());
    PowerFinding f = tube(meter(of(25.5), 28), of(4), bad);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.better()).isEmpty();
    assertThat(f.advice(zebrawood.words.Phrasebook.ENGLISH)).anyMatch(a -> a.contains("once more"));
    assertThat(f.trend().orElseThrow().lastAlone()).isTrue();
  }

  @Test
  void anotherMetersReadingIsNoLoss() {
    Output alone =
        new Output(
            true,
            of(50),
            of(60),
            of(10),
            List.of(new Ageing.Reading(0, 60)),
            100,
            true,
            of(100),
            Optional.of("the new one"),
            OptionalInt.of(1));
    PowerFinding f = tube(meter(of(25.5), 28), of(4), alone);
    assertThat(f.lossPercent()).isEmpty();
    assertThat(f.better()).isEmpty();
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.warnings()).extracting(Message::key).contains("power.output.other-alone");
  }

  /** Less current gives less light, which is no ageing. */
  @Test
  void anOutputAtAnotherCurrentIsNotCompared() {
    PowerFinding f = tube(meter(of(23), 28), of(4), output(60, 90, of(30)));
    assertThat(f.lossPercent()).isEmpty();
    assertThat(f.better()).contains(Better.TURN_THE_DIAL);
    assertThat(f.warnings()).extracting(w -> w.key()).contains("power.output.not-agreed");
    var readings =
        new PowerReadings(
            meter(of(23), 28),
            true,
            of(4),
            Optional.empty(),
            output(60, 90, of(30)),
            Optional.empty(),
            Optional.empty());
    assertThat(Power.figures(readings, f)).extracting(g -> g.id()).doesNotContain("output");
  }

  private static PowerFinding words(
      OptionalDouble job, OptionalDouble controller, OptionalDouble firing, OptionalDouble khz) {
    return words(job, controller, firing, khz, true);
  }

  private static PowerFinding words(
      OptionalDouble job,
      OptionalDouble controller,
      OptionalDouble firing,
      OptionalDouble khz,
      boolean pulsed) {
    return Power.solve(
        new PowerReadings(
            new PowerTask.ByWords(
                job,
                controller,
                firing,
                List.of(new Proof<>(Item.TOP_DARKER, true), new Proof<>(Item.NOT_BACKWARDS, true)),
                pulsed,
                new PowerTask.Pulse(of(100), khz),
                Optional.of(new PulseRange(20, 60)),
                Optional.empty()),
            false,
            NONE,
            Optional.empty(),
            Output.NOT_READ,
            Optional.empty(),
            Optional.empty()));
  }

  private static PowerFinding behindDriver(PowerTask.Card card, OptionalDouble firing) {
    return Power.solve(
        new PowerReadings(
            new PowerTask.ByWords(
                NONE,
                NONE,
                firing,
                List.of(new Proof<>(Item.TOP_DARKER, true), new Proof<>(Item.NOT_BACKWARDS, true)),
                false,
                new PowerTask.Pulse(NONE, NONE),
                Optional.empty(),
                Optional.of(card)),
            false,
            NONE,
            Optional.empty(),
            Output.NOT_READ,
            Optional.empty(),
            Optional.empty()));
  }

  /** A source behind a driver is asked for no words and no pulses: what marks, and a card. */
  @Test
  void behindADriverAThresholdMarksAndACardAreAllThatIsAsked() {
    assertThat(behindDriver(PowerTask.Card.KEPT, of(8)).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(behindDriver(PowerTask.Card.KEPT, of(8)).advice(ENGLISH))
        .noneMatch(a -> a.contains("word"));
    assertThat(behindDriver(PowerTask.Card.NOT_BURNT, of(8)).verdict())
        .isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(behindDriver(PowerTask.Card.ALIKE, NONE).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(behindDriver(PowerTask.Card.DARKER, of(8)).verdict()).isEqualTo(Verdict.ADJUST);
  }

  /** A card never says how much, and never lets anything be raised. */
  @Test
  void aTubeWithoutAMeterIsHeldAgainstItsCard() {
    assertThat(tube(new PowerTask.ByCard(70, PowerTask.Card.NOT_BURNT)).verdict())
        .isEqualTo(Verdict.MEASURE_AGAIN);
    PowerFinding kept = tube(new PowerTask.ByCard(70, PowerTask.Card.KEPT));
    assertThat(kept.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(kept.warnings(ENGLISH)).singleElement().asString().contains("not how much current");
    PowerFinding lighter = tube(new PowerTask.ByCard(70, PowerTask.Card.LIGHTER));
    assertThat(lighter.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(lighter.advice(ENGLISH)).noneMatch(a -> a.toLowerCase().contains("raise"));
    assertThat(tube(new PowerTask.ByCard(70, PowerTask.Card.DARKER)).verdict())
        .isEqualTo(Verdict.ADJUST);
    assertThatThrownBy(() -> new PowerTask.ByCard(120, PowerTask.Card.KEPT))
        .isInstanceOf(UnusableReading.class);
  }

  @Test
  void aPowerWordIsAllOfTheSource() {
    assertThat(words(of(1000), of(1000), of(4), of(30)).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(words(of(1000), of(1000), of(4), NONE, false).verdict()).isEqualTo(Verdict.WITHIN);
    PowerFinding part = words(of(255), of(1000), of(4), of(30));
    assertThat(part.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(first(part)).contains("every percentage times 0.255").contains("burns harder");
    assertThat(part.advice(ENGLISH).get(1)).contains("1000").contains("only 26 %");
    assertThat(words(of(1000), of(255), of(4), of(30)).advice(ENGLISH).get(1))
        .contains("everything above 26 %");
    assertThat(words(NONE, of(1000), of(4), of(30)).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(words(of(1000), of(1000), NONE, of(30)).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(words(of(1000), of(1000), of(4), of(80)).verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(words(of(1000), of(1000), of(4), NONE).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  @Test
  void aLifeRuleIsTheLineThroughItsTwoPoints() {
    LifeRule rule = new LifeRule(26, 10_000, 30, 4000);
    assertThat(rule.hoursAt(26)).isCloseTo(10_000, within(1e-6));
    assertThat(rule.hoursAt(30)).isCloseTo(4000, within(1e-6));
    assertThat(rule.hoursAt(28)).isBetween(6000.0, 6600.0);
    assertThatThrownBy(() -> new LifeRule(30, 10_000, 26, 4000))
        .isInstanceOf(UnusableReading.class);
  }

  /** Against steps of a thousandth of a second. */
  @Test
  void theProbesOwnCoolingIsReckonedWith() {
    double watts = 60;
    double capacity = 180;
    double perSecond = 1 / 90.0;
    double celsius = 31;
    for (int i = 0; i < 20_000; i++) {
      celsius += (watts / capacity - perSecond * (celsius - 22)) * 0.001;
    }
    double later = 22 + (celsius - 22) * Math.exp(-30 * perSecond);
    var cooling = new EnergyProbe.Cooling(22, celsius, later, 30);
    assertThat(EnergyProbe.watts(capacity, 31, celsius, 20, cooling))
        .isCloseTo(watts, within(0.02));
    assertThatThrownBy(() -> new EnergyProbe.Cooling(22, 30, 35, 30))
        .isInstanceOf(UnusableReading.class);
  }
}
