package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.site.WayIn.Box;
import zebrawood.site.WayIn.Kind;
import zebrawood.site.WayIn.Passage;

class WayInTest {
  /** The longest board without width round a corner is (a^(2/3) + b^(2/3))^(3/2). */
  @Test
  void aBoardRoundACornerIsTheTextbooks() {
    double longest = Math.pow(Math.pow(900, 2 / 3.0) + Math.pow(1200, 2 / 3.0), 1.5);
    assertThat(WayIn.spareMm(new Box(longest, 1e-6, 1), new Passage(Kind.CORNER, 900, 1200)))
        .isCloseTo(0, within(0.01));
  }

  /**
   * Independent of the formula: the box is moved through a corner drawn as two rectangles of floor,
   * turning in small steps and sliding as far out as the outer walls let it, and every point of its
   * inner side is looked at.
   */
  @Test
  void aBoxMovedThroughADrawnCornerAgrees() {
    Random random = new Random(11);
    for (int i = 0; i < 300; i++) {
      double before = 600 + 1200 * random.nextDouble();
      double behind = 600 + 1200 * random.nextDouble();
      Box box = new Box(400 + 1800 * random.nextDouble(), 300 + 700 * random.nextDouble(), 500);
      double spare = WayIn.spareMm(box, new Passage(Kind.CORNER, before, behind));
      if (Math.abs(spare) > 3) {
        assertThat(spare > 0)
            .as("%s round %s and %s, spare %s", box, before, behind, spare)
            .isEqualTo(moves(box, before, behind));
      }
    }
  }

  private static boolean moves(Box box, double before, double behind) {
    double longSide = Math.max(box.lengthMm(), box.widthMm());
    double wide = Math.min(box.lengthMm(), box.widthMm());
    for (int step = 0; step <= 900; step++) {
      double t = Math.PI / 2 * step / 900;
      // The long side's ends touch the outer walls x = 0 and y = 0; the box lies towards the
      // corner.
      double ax = longSide * Math.cos(t);
      double by = longSide * Math.sin(t);
      for (int k = 0; k <= 400; k++) {
        double x = ax * (1 - k / 400.0) + wide * Math.sin(t);
        double y = by * k / 400.0 + wide * Math.cos(t);
        // Floor: x below one passage's width, or y below the other's.
        if (x > before && y > behind) {
          return false;
        }
      }
    }
    // Going in and coming out it lies along the passages.
    return wide <= before && wide <= behind;
  }

  @Test
  void theCrateMayHaveToStayOutside() {
    WayIn.Readings r =
        new WayIn.Readings(
            Optional.of(new Box(1500, 980, 1200)),
            new Box(1350, 800, 1050),
            List.of(new Passage(Kind.DOOR, 900, 2000), new Passage(Kind.STEPS, 160, 2)));
    WayIn.Finding f = WayIn.solve(r);
    assertThat(f.spares().getFirst().machineMm()).isEqualTo(100);
    List<PartFinding> parts = WayIn.judge(r, f);
    assertThat(parts.getFirst().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(parts.getFirst().advice(ENGLISH).getFirst())
        .isEqualTo(
            "Unpack before the door 1: the crate lacks 80 mm there, the bare machine has 100 mm to spare.");
    assertThat(parts.get(1).warnings(ENGLISH).getFirst()).contains("2 steps of 160 mm");
    WayIn.Readings stuck =
        new WayIn.Readings(
            Optional.empty(), new Box(1350, 800, 1050), List.of(new Passage(Kind.DOOR, 780, 2000)));
    assertThat(WayIn.judge(stuck, WayIn.solve(stuck)).getFirst().verdict()).isEqualTo(Verdict.STOP);
    assertThatThrownBy(() -> new Passage(Kind.DOOR, 0, Double.NaN))
        .hasMessageContaining("first is 0")
        .hasMessageContaining("second is not a number");
  }

  @Test
  void theFloorCarriesItsMassOverItsFootprintAndUnderEachFoot() {
    Weight.Readings r =
        new Weight.Readings(180, 4, OptionalDouble.of(20), 1400, 900, OptionalDouble.of(150), 25);
    Weight.Finding f = Weight.solve(r);
    assertThat(f.kgPerM2()).isCloseTo(142.857, within(1e-3));
    assertThat(f.kgPerFoot()).isEqualTo(45);
    // 45 kg on 20 cm2: 441.3 N on 0.002 m2.
    assertThat(f.footMPa().orElseThrow()).isCloseTo(0.22065, within(1e-5));
    assertThat(f.people()).isEqualTo(8);
    assertThat(Weight.judge(r, f).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(Weight.judge(r, f).warnings(ENGLISH).getFirst()).contains("lifting gear");
    Weight.Readings weak =
        new Weight.Readings(50, 4, OptionalDouble.empty(), 600, 500, OptionalDouble.of(150), 25);
    assertThat(Weight.judge(weak, Weight.solve(weak)).advice(ENGLISH).getFirst())
        .contains("167 kg/m² on a floor for 150", "0.4 m²");
    assertThat(Weight.judge(weak, Weight.solve(weak)).warnings(ENGLISH).getFirst())
        .contains("2 people lift it");
  }

  /** A beam of 1 mW in the standard's example limits: checked by integrating a Gaussian's peak. */
  @Test
  void atTheHazardDistanceTheBeamsPeakIsTheLimit() {
    double mpe = 25.4;
    double power = 20;
    double phi = 2e-3;
    double a = 4e-3;
    double r =
        HazardDistance.solve(power, a * 1e3, OptionalDouble.of(phi * 1e3), mpe)
            .alongBeamM()
            .orElseThrow();
    double diameter = Math.sqrt(a * a + phi * phi * r * r);
    // A Gaussian whose 63 % diameter is d peaks at the power over the disc of d: add it up in
    // rings.
    double sum = 0;
    double step = diameter / 4000;
    for (double rho = step / 2; rho < 4 * diameter; rho += step) {
      sum += mpe * Math.exp(-4 * rho * rho / (diameter * diameter)) * 2 * Math.PI * rho * step;
    }
    assertThat(sum).isCloseTo(power, within(1e-3 * power));
    double matt = HazardDistance.solve(power, 4, OptionalDouble.empty(), mpe).fromMattM();
    assertThat(power / (Math.PI * matt * matt)).isCloseTo(mpe, within(1e-9));
  }
}
