package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Figure;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.site.Breathing.AirAssist;
import zebrawood.site.Breathing.AirSource;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.SiteReadings.Item;
import zebrawood.station.Proof;

class SiteTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Duct.Readings DUCT =
      Duct.Readings.of(List.of(new Duct.Piece(150, 3, 2, 0.15)), List.of(), 700, Optional.empty());
  private static final Breathing STILL =
      new Breathing(Optional.of(DUCT), BlowerAt.OUTLET, Outlet.OUTDOORS, Optional.empty());
  private static final Arrival ROOM =
      new Arrival(
          Optional.of(new Room.Readings(21, 45, 10, 35, NONE, NONE, 0, OptionalDouble.empty())),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          NONE,
          NONE);
  private static final Optional<Eyewear.Readings> EYEWEAR =
      Optional.of(
          new Eyewear.Readings(
              1064, 50, 5, 10, List.of(new Eyewear.Filter(900, 1100, 9)), Optional.empty()));
  private static final Optional<Circuit.Readings> CIRCUIT =
      Optional.of(new Circuit.Readings(230, 16, 0.8, List.of(new Circuit.Load("all", 900))));

  private static Machine machine(Build build) {
    return new Machine(
        "id",
        "Alder",
        build,
        new Source(SourceKind.FIBRE, 50, 1064),
        400,
        400,
        BedSupport.SHIMS,
        0.3);
  }

  private static final Machine ENCLOSED = machine(Build.GANTRY_WITH_MIRRORS);
  private static final Machine OPEN = machine(Build.GALVO);

  private static List<Proof<Item>> proofs(Machine machine) {
    List<Proof<Item>> proofs = new ArrayList<>();
    for (Item item : Item.values()) {
      if (item.appliesTo(machine)) {
        proofs.add(new Proof<>(item, true));
      }
    }
    return proofs;
  }

  private static Feed feed(OptionalDouble earthOhm) {
    return new Feed(
        earthOhm,
        0.5,
        CIRCUIT,
        NONE,
        NONE,
        NONE,
        NONE,
        OptionalDouble.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static SiteFinding solve(Arrival arrival, Feed feed, Breathing breathing) {
    return Site.solve(
        ENCLOSED,
        new SiteReadings(
            inTheRoom(arrival), feed, inTheDuct(breathing), EYEWEAR, NONE, proofs(ENCLOSED)));
  }

  private static SiteFinding earthed(
      OptionalDouble earthOhm, Machine machine, List<Proof<Item>> proofs) {
    return Site.solve(
        machine, new SiteReadings(ROOM, feed(earthOhm), STILL, EYEWEAR, NONE, proofs));
  }

  /** What a test does not read is in order. */
  private static Arrival inTheRoom(Arrival a) {
    return new Arrival(
        a.room().or(ROOM::room),
        a.wayIn(),
        a.weight(),
        a.packingList(),
        a.fibreBendMm(),
        a.fibreLeastMm());
  }

  private static Breathing inTheDuct(Breathing b) {
    return new Breathing(
        b.duct().or(() -> Optional.of(DUCT)), b.blowerAt(), b.outlet(), b.airAssist());
  }

  private static List<PartFinding> judged(
      OptionalDouble asked,
      Optional<Boolean> noPin,
      Optional<Boolean> whole,
      OptionalDouble earth) {
    Feed feed = new Feed(earth, 0.5, CIRCUIT, NONE, NONE, NONE, NONE, asked, noPin, whole);
    return feed.judge(CIRCUIT.map(Circuit::solve));
  }

  @Test
  void anAdapterWithoutAPinIsNotAskedForItsEarth() {
    Optional<Boolean> yes = Optional.of(true);
    assertThat(judged(NONE, Optional.empty(), Optional.empty(), NONE))
        .anyMatch(p -> p.verdict() == Verdict.MEASURE_AGAIN);
    assertThat(judged(NONE, yes, Optional.empty(), NONE))
        .as("nobody looked at its insulation")
        .anyMatch(p -> p.verdict() == Verdict.MEASURE_AGAIN);
    assertThat(judged(NONE, yes, Optional.of(false), NONE))
        .anyMatch(p -> p.verdict() == Verdict.STOP);
    assertThat(judged(NONE, yes, yes, NONE))
        .allMatch(p -> p.verdict() == Verdict.WITHIN)
        .anyMatch(p -> !p.warnings().isEmpty());
    assertThat(judged(NONE, yes, yes, OptionalDouble.of(40)))
        .as("what was read counts")
        .anyMatch(p -> p.verdict() == Verdict.STOP);
  }

  @Test
  void aBreakerBelowWhatTheMakerAsksForIsSaid() {
    double breaker = CIRCUIT.orElseThrow().breakerA();
    assertThat(judged(OptionalDouble.of(breaker), Optional.of(true), Optional.of(true), NONE))
        .allMatch(p -> p.verdict() == Verdict.WITHIN);
    assertThat(judged(OptionalDouble.of(2 * breaker), Optional.of(true), Optional.of(true), NONE))
        .anyMatch(p -> p.verdict() == Verdict.ADJUST);
  }

  @Test
  void airThatIsTooDryIsAsWrongAsTooDamp() {
    Room.Readings dry =
        new Room.Readings(21, 18, 10, 35, OptionalDouble.of(80), NONE, 0, OptionalDouble.of(30));
    assertThat(Room.judge(dry)).singleElement().matches(p -> p.verdict() == Verdict.ADJUST);
    assertThatThrownBy(() ->
            new Room.Readings(
                21, 18, 10, 35, OptionalDouble.of(30), NONE, 0, OptionalDouble.of(40)))
        .hasMessageContaining("leastHumidityPercent");
  }

  @Test
  void nothingHoldsWhoseFiguresWereNeverRead() {
    SiteReadings earthOnly =
        new SiteReadings(
            Arrival.NOTHING_READ,
            new Feed(
                OptionalDouble.of(0.1),
                0.5,
                Optional.empty(),
                NONE,
                NONE,
                NONE,
                NONE,
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty()),
            new Breathing(Optional.empty(), BlowerAt.OUTLET, Outlet.OUTDOORS, Optional.empty()),
            Optional.empty(),
            NONE,
            proofs(ENCLOSED));
    SiteFinding f = Site.solve(ENCLOSED, earthOnly);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH))
        .extracting(sentence -> sentence.substring(0, 12))
        .containsExactly("Read what ha", "Read bore an", "Read the roo", "Read the fil");
    Machine airy =
        new Machine(
            "id",
            "Sedge",
            Build.GALVO,
            new Source(SourceKind.FIBRE, 50, 1064),
            400,
            400,
            BedSupport.SHIMS,
            0.3,
            Optional.of(List.of()),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    assertThat(
            Site.solve(
                    airy,
                    new SiteReadings(
                        ROOM,
                        feed(OptionalDouble.of(0.1)),
                        earthOnly.breathing(),
                        EYEWEAR,
                        NONE,
                        proofs(airy)))
                .verdict())
        .as("a machine without exhaust is not asked for a duct")
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void earthAndProofsAreEnoughToSwitchOn() {
    assertThat(earthed(OptionalDouble.of(0.1), ENCLOSED, proofs(ENCLOSED)).verdict())
        .isEqualTo(Verdict.WITHIN);
    assertThat(earthed(OptionalDouble.of(0.1), OPEN, proofs(OPEN)).verdict())
        .isEqualTo(Verdict.WITHIN);
    assertThat(Item.DOOR.appliesTo(OPEN)).isTrue();
    assertThat(Item.DOOR.appliesTo(ENCLOSED)).isFalse();
    assertThat(Item.AIR_OFF.appliesTo(OPEN)).as("no air assist on a galvo head").isFalse();
  }

  @Test
  void theEarthIsNeverWaived() {
    SiteFinding unread = earthed(NONE, ENCLOSED, proofs(ENCLOSED));
    assertThat(unread.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(unread.advice(ENGLISH).getFirst()).contains("never waived");
    SiteFinding bad = earthed(OptionalDouble.of(3), ENCLOSED, proofs(ENCLOSED));
    assertThat(bad.verdict()).isEqualTo(Verdict.STOP);
    assertThat(bad.advice(ENGLISH).getFirst()).contains("licensed electrician");
    assertThatThrownBy(() -> feed(OptionalDouble.of(-1))).hasMessageContaining("earthOhm is -1");
  }

  @Test
  void whatIsNotProvenIsAskedForInTheOrderOfTheWork() {
    SiteFinding f = earthed(OptionalDouble.of(0.1), ENCLOSED, List.of());
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH).getFirst()).contains("shipping straps");
    SiteFinding failed =
        earthed(OptionalDouble.of(0.1), ENCLOSED, List.of(new Proof<>(Item.AIR_OFF, false)));
    assertThat(failed.verdict()).isEqualTo(Verdict.STOP);
    assertThat(failed.advice(ENGLISH).getFirst()).contains("silent when it should be");
    assertThatThrownBy(() ->
            earthed(
                NONE,
                ENCLOSED,
                List.of(new Proof<>(Item.EYEWEAR, true), new Proof<>(Item.EYEWEAR, true))))
        .hasMessageContaining("each item once");
  }

  @Test
  void everyPartReadIsJudgedAndShown() {
    SiteReadings r =
        new SiteReadings(
            new Arrival(
                Optional.of(
                    new Room.Readings(
                        21, 45, 10, 35, OptionalDouble.of(70), NONE, 0, OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                NONE,
                NONE),
            new Feed(
                OptionalDouble.of(0.1),
                0.5,
                Optional.of(
                    new Circuit.Readings(230, 10, 0.8, List.of(new Circuit.Load("all", 2200)))),
                NONE,
                NONE,
                NONE,
                NONE,
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty()),
            new Breathing(
                Optional.of(
                    Duct.Readings.of(
                        List.of(new Duct.Piece(125, 3, 1, 1)),
                        List.of(),
                        300,
                        Optional.of(
                            List.of(new Duct.FanPoint(0, 400), new Duct.FanPoint(700, 0))))),
                BlowerAt.OUTLET,
                Outlet.OUTDOORS,
                Optional.empty()),
            Optional.of(
                new Eyewear.Readings(
                    450, 20, 3, 10, List.of(new Eyewear.Filter(400, 540, 6)), Optional.empty())),
            OptionalDouble.of(2),
            proofs(ENCLOSED));
    SiteFinding f = Site.solve(ENCLOSED, r);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH)).hasSize(1);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Take 360 W off");
    assertThat(Site.figures(r, f))
        .extracting(Figure::id)
        .containsExactly(
            "earth",
            "breaker",
            "exhaust",
            "density",
            "densityThere",
            "room",
            "humidity",
            "hazardDistance");
  }

  @Test
  void plugFuseAndRushAreJudgedAgainstWhatIsDrawn() {
    Optional<Circuit.Readings> circuit =
        Optional.of(new Circuit.Readings(230, 16, 0.8, List.of(new Circuit.Load("all", 2600))));
    SiteFinding plug =
        solve(
            Arrival.NOTHING_READ,
            new Feed(
                OptionalDouble.of(0.1),
                0.5,
                circuit,
                OptionalDouble.of(10),
                OptionalDouble.of(60),
                OptionalDouble.of(6.3),
                NONE,
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty()),
            STILL);
    assertThat(plug.verdict()).isEqualTo(Verdict.STOP);
    assertThat(plug.advice(ENGLISH).getFirst()).contains("11.3 A through a plug for 10 A");
    assertThat(plug.advice(ENGLISH)).anyMatch(a -> a.startsWith("Read the fuse"));
    assertThat(plug.warnings(ENGLISH)).anyMatch(w -> w.contains("rush of 60 A"));
    SiteFinding fuse =
        solve(
            Arrival.NOTHING_READ,
            new Feed(
                OptionalDouble.of(0.1),
                0.5,
                Optional.empty(),
                NONE,
                NONE,
                OptionalDouble.of(6.3),
                OptionalDouble.of(16),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty()),
            STILL);
    assertThat(fuse.advice(ENGLISH).getFirst()).contains("a fuse of 16 A is in it", "6.3 A");
  }

  @Test
  void theRunLeaksInwardsOnlyWithItsBlowerAtTheEnd() {
    Duct.Readings duct =
        Duct.Readings.of(List.of(new Duct.Piece(150, 3, 1, 1)), List.of(), 350, Optional.empty());
    SiteFinding f =
        solve(
            Arrival.NOTHING_READ,
            feed(OptionalDouble.of(0.1)),
            new Breathing(
                Optional.of(duct),
                BlowerAt.MACHINE,
                Outlet.OUTDOORS,
                Optional.of(
                    new AirAssist(
                        AirSource.COMPRESSOR, OptionalDouble.of(1), OptionalDouble.of(2)))));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH))
        .anyMatch(a -> a.startsWith("Move the blower to the outlet"))
        .anyMatch(a -> a.contains("1 bar, 2 bar asked for"));
  }

  @Test
  void roomPartsAndFibreAreComparedWithTheDataSheet() {
    Arrival arrival =
        new Arrival(
            Optional.of(
                new Room.Readings(
                    8,
                    81,
                    10,
                    35,
                    OptionalDouble.of(70),
                    OptionalDouble.of(120),
                    200,
                    OptionalDouble.empty())),
            Optional.empty(),
            Optional.empty(),
            Optional.of(PackingList.parse("hose clamp, 4, 3\n\nlens 2 in;1;1\nmanual\t1")),
            OptionalDouble.of(60),
            OptionalDouble.of(100));
    SiteFinding f = solve(arrival, feed(OptionalDouble.of(0.1)), STILL);
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    assertThat(f.advice(ENGLISH).getFirst()).contains("bend of 60 mm radius, 100 mm is the least");
    assertThat(f.advice(ENGLISH))
        .contains(
            "Warm the room: 8 °C, window 10 to 35 °C.",
            "Dry the room: 81 % humidity, limit 70 %.",
            "Move it 80 mm further from the wall: 120 mm are free, 200 mm needed.",
            "Ask the maker for 1 × hose clamp: the list has 4, found are 3.",
            "Count it against the packing list: manual.");
    assertThatThrownBy(() -> PackingList.parse("lens, 1\nclamps"))
        .hasMessageContaining("packingList[2] is \"clamps\"");
    assertThatThrownBy(
            () -> new Room.Readings(20, 101, 30, 10, NONE, NONE, 0, OptionalDouble.empty()))
        .hasMessageContaining("humidityPercent is 101")
        .hasMessageContaining("mostC is 10");
  }
}
