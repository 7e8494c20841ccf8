package zebrawood.cooling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.cooling.CoolingReadings.Item;
import zebrawood.ledger.Figure;
import zebrawood.measure.Verdict;
import zebrawood.station.Proof;

class CoolingTest {
  private static final List<Proof<Item>> PROVEN =
      Stream.of(Item.values()).map(i -> new Proof<>(i, true)).toList();

  private static CoolingReadings read(
      double coolantC, Optional<Bucket.Readings> bucket, List<Proof<Item>> proofs) {
    return new CoolingReadings(
        new Air.Readings(24, 50, coolantC),
        28,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        Coolant.DISTILLED,
        bucket,
        Optional.empty(),
        OptionalDouble.empty(),
        Optional.empty(),
        true,
        proofs,
        Optional.empty(),
        OptionalDouble.empty());
  }

  private static CoolingFinding solve(double coolantC, List<Proof<Item>> proofs) {
    return Cooling.solve(read(coolantC, Optional.empty(), proofs));
  }

  /** A chiller that follows the room at or above it never sweats, whatever the humidity. */
  @Test
  void aChillerThatFollowsTheRoomIsJudgedByTheRoom() {
    CoolingReadings set = read(24, Optional.empty(), PROVEN);
    for (double above : new double[] {1, -8}) {
      CoolingReadings follows =
          new CoolingReadings(
              // So damp that the dew point lies less than its margin below the room.
              new Air.Readings(24, above > 0 ? 97 : 60, 24),
              28,
              set.afterHourC(),
              set.conductivityUsCm(),
              set.coolant(),
              set.bucket(),
              set.chiller(),
              OptionalDouble.empty(),
              set.coldest(),
              true,
              PROVEN,
              Optional.empty(),
              OptionalDouble.of(above));
      CoolingFinding f = Cooling.solve(follows);
      // Dew point of 24 deg C at 60 %: 15.8; with its margin 8 K below the room is too cold.
      assertThat(f.verdict()).isEqualTo(above > 0 ? Verdict.WITHIN : Verdict.ADJUST);
      assertThat(f.warnings(ENGLISH))
          .anyMatch(w ->
              w.contains(above > 0 ? "no dew" : "8.0 K below it")
                  && w.contains(above > 0 ? "27" : "36"));
    }
  }

  @Test
  void provenAndBetweenDewPointAndLimitIsWithin() {
    CoolingFinding f = solve(19, PROVEN);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.advice(ENGLISH)).hasSize(1);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Leave it");
  }

  @Test
  void whatIsNotProvenIsAskedForAndWhatFailedStops() {
    CoolingFinding open = solve(19, PROVEN.subList(0, 1));
    assertThat(open.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(open.advice(ENGLISH)).hasSize(3).allMatch(a -> a.startsWith("Prove it"));
    CoolingFinding failed =
        solve(
            19,
            List.of(
                PROVEN.get(0),
                PROVEN.get(1),
                PROVEN.get(2),
                new Proof<>(Item.FLOW_INTERLOCK, false)));
    assertThat(failed.verdict()).isEqualTo(Verdict.STOP);
    assertThat(failed.advice(ENGLISH).getFirst()).contains("pinching the hose");
  }

  @Test
  void tooColdStopsAndTooWarmIsToBeCooled() {
    assertThat(solve(11, PROVEN).verdict()).isEqualTo(Verdict.STOP);
    assertThat(solve(29, PROVEN).verdict()).isEqualTo(Verdict.ADJUST);
    CoolingReadings warmLater =
        new CoolingReadings(
            new Air.Readings(24, 50, 20),
            28,
            OptionalDouble.of(30.5),
            OptionalDouble.of(400),
            Coolant.DISTILLED,
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.of(13),
            Optional.of(new Coldest.Readings(-10, Coldest.Glycol.PROPYLENE, 12)),
            true,
            PROVEN,
            Optional.empty(),
            OptionalDouble.empty());
    CoolingFinding f = Cooling.solve(warmLater);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH).getFirst()).contains("it was at 30.5");
    assertThat(f.advice(ENGLISH)).anyMatch(a -> a.startsWith("Mix 3.01 l"));
    assertThat(f.warnings(ENGLISH))
        .anyMatch(w -> w.contains("400 µS/cm"))
        .anyMatch(w -> w.contains("no antifreeze in it"));
    assertThat(f.advice(ENGLISH))
        .as("12.9 °C is the dew point of 24 °C and 50 %; an hour warms it by 10.5 K")
        .anyMatch(a -> a.equals("Set the chiller between 14.9 and 17.5 °C: it stands at 13.0."));
    assertThat(Cooling.figures(warmLater, f))
        .extracting(Figure::id)
        .containsExactly("coolantStart", "afterHour", "dewMargin", "conductivity");
  }

  @Test
  void aBucketSaysHowLongHowLongToCoolAndHowManyLitresWouldDo() {
    Bucket.Readings bucket = new Bucket.Readings(20, 20, 28, 18, 600, 6);
    CoolingFinding f = Cooling.solve(read(20, Optional.of(bucket), PROVEN));
    double minutes = f.bucket().orElseThrow().minutesToLimit().orElseThrow();
    assertThat(f.advice(ENGLISH).getFirst())
        .startsWith("Pause after " + (int) minutes + " minutes");
    assertThat(f.minutesToCool()).isPresent();
    double litres = f.litresEnough().orElseThrow();
    assertThat(
            Bucket.solve(new Bucket.Readings(litres, 20, 28, 18, 600, 6))
                .minutesToLimit()
                .orElseThrow())
        .isCloseTo(480, within(1e-6));
  }

  @Test
  void aChillersCapacityComesFromItsPullDown() {
    Chiller.Readings r = new Chiller.Readings(10, 28, 20, 10, 500);
    assertThat(Chiller.solve(r).capacityW()).isCloseTo(10 * 4186 * 8 / 600.0, within(1e-9));
    assertThat(Chiller.solve(r).enough()).isTrue();
    assertThat(Chiller.solve(new Chiller.Readings(10, 28, 20, 10, 600)).enough()).isFalse();
    assertThatThrownBy(() -> new Chiller.Readings(10, 20, 28, 0, 500))
        .hasMessageContaining("a pull-down cools")
        .hasMessageContaining("minutes is 0");
  }

  @Test
  void withoutAFlowSwitchTheFlowItselfIsLookedAt() {
    CoolingReadings bare =
        new CoolingReadings(
            new Air.Readings(24, 50, 19),
            28,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Coolant.DISTILLED,
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            false,
            PROVEN.subList(0, 3),
            Optional.empty(),
            OptionalDouble.empty());
    assertThat(Cooling.solve(bare).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Cooling.solve(bare).warnings(ENGLISH).getFirst()).contains("flow switch");
  }

  @Test
  void aRoomTooDampForAnySetPointStops() {
    CoolingReadings damp =
        new CoolingReadings(
            new Air.Readings(30, 90, 29),
            28,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Coolant.SURFACTANT,
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            true,
            PROVEN,
            Optional.empty(),
            OptionalDouble.empty());
    assertThat(Cooling.solve(damp).advice(ENGLISH)).anyMatch(a -> a.startsWith("Dry the room"));
  }

  @Test
  void refusesAnItemTwice() {
    assertThatThrownBy(() -> read(20, Optional.empty(), List.of(PROVEN.get(0), PROVEN.get(0))))
        .hasMessageContaining("each item once");
  }

  /** Coolant that is not below the room is dry however damp the room is; below it nobody knows. */
  @Test
  void withoutAHygrometerTheWorstIsSupposed() {
    assertThat(damp(24, 25).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(damp(24, 24).advice(ENGLISH).getFirst()).contains("above the room");
    CoolingFinding below = damp(24, 19);
    assertThat(below.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    // 17 °C is the dew point of 24 °C and 65 %.
    assertThat(below.advice(ENGLISH).getFirst()).contains("hygrometer").contains("65 %");
    assertThat(below.setPoint()).isEmpty();
  }

  private static CoolingFinding damp(double roomC, double coolantC) {
    return Cooling.solve(
        new CoolingReadings(
            new Air.Readings(roomC, 100, coolantC),
            28,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Coolant.DISTILLED,
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            true,
            PROVEN,
            Optional.of(true),
            OptionalDouble.empty()));
  }
}
