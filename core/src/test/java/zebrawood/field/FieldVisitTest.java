package zebrawood.field;

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
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings.Edges;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldReadings.Square;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.station.Help;
import zebrawood.words.Phrasebook;

class FieldVisitTest {
  private static FieldVisitFinding solve(
      Square square,
      Optional<FieldTask.Diagonals> diagonals,
      Optional<Square> other,
      Optional<Boolean> focus) {
    return FieldVisit.solve(
        new FieldVisitReadings(
            new FieldTask.BySquare(
                new FieldReadings(
                    110, 0.05, 0.1, Optional.of(square), Optional.empty(), OptionalInt.empty()),
                diagonals,
                other,
                Optional.empty()),
            focus,
            Optional.empty(),
            Optional.empty()),
        Help.NONE);
  }

  private static Square square(double size, double across, double up, Edges edges) {
    return new Square(size, across, up, Optional.of(edges), OptionalDouble.empty());
  }

  /** A square sheared by 4 mrad: its corners by hand. */
  @Test
  void diagonalsTellSquareness() {
    double lean = 100 * Math.sin(0.004);
    double rising = Math.hypot(100 + lean, 100 * Math.cos(0.004));
    double falling = Math.hypot(100 - lean, 100 * Math.cos(0.004));
    FieldVisitFinding f =
        solve(
            square(100, 100, 100, Edges.CENTRE),
            Optional.of(new FieldTask.Diagonals(rising, falling)),
            Optional.empty(),
            Optional.of(true));
    assertThat(f.skewMrad().orElseThrow().value()).isCloseTo(4, within(1e-6));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(Phrasebook.ENGLISH.sentence(f.advice().getFirst())).contains("-4.00 mrad");
    assertThat(f.warnings()).isEmpty();
  }

  @Test
  void twoSquaresTellTheLineAndTheSize() {
    // One percent large, lines 0.24 mm wide, outer edges.
    FieldVisitFinding f =
        solve(
            square(100, 101.24, 101.24, Edges.OUTSIDE),
            Optional.empty(),
            Optional.of(square(40, 40.64, 40.64, Edges.OUTSIDE)),
            Optional.of(false));
    assertThat(f.lineWidthMm().getAsDouble()).isCloseTo(0.24, within(1e-9));
    assertThat(f.field().scaleX().value()).isCloseTo(1 / 1.01, within(1e-9));
    assertThat(f.warnings().getFirst().key()).isEqualTo("field.focus-first");
    FieldVisitFinding inside =
        solve(
            square(100, 100.76, 100.76, Edges.INSIDE),
            Optional.empty(),
            Optional.of(square(40, 40.16, 40.16, Edges.INSIDE)),
            Optional.empty());
    assertThat(inside.field().scaleY().value()).isCloseTo(1 / 1.01, within(1e-9));
    assertThatThrownBy(() ->
            solve(
                square(100, 101, 101, Edges.OUTSIDE),
                Optional.empty(),
                Optional.of(square(95, 96, 96, Edges.OUTSIDE)),
                Optional.empty()))
        .isInstanceOf(UnusableReading.class);
  }

  @Test
  void theTableIsMadeWhenItIsAskedFor() {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 25; i++) {
      double u = 25 * (i % 5 - 2);
      double v = 25 * (i / 5 - 2);
      points.add(new Point(u, v, 1.1 * u + 1e-4 * v * v, v - 2e-4 * u * v));
    }
    var grid =
        new FieldReadings(110, 0.01, 0.1, Optional.empty(), Optional.of(points), OptionalInt.of(7));
    var readings =
        new FieldVisitReadings(
            new FieldTask.ByGrid(grid), Optional.empty(), Optional.empty(), Optional.empty());
    FieldVisitFinding f = FieldVisit.solve(readings, Help.NONE);
    assertThat(((OfGrid) f.field()).table()).isEmpty();
    assertThat(FieldVisit.table(readings.task(), f.field()))
        .isEqualTo(((OfGrid) FieldCorrection.solve(grid)).table().orElseThrow())
        .hasSize(49);
  }

  /** A head that leans over a plane, by central projection. */
  @Test
  void aTrapezoidIsALeanAndBecomesAShim() {
    double distance = 200;
    double lean = 0.01;
    List<Point> points = new ArrayList<>();
    for (int i = -4; i <= 4; i++) {
      for (int k = -4; k <= 4; k++) {
        double u = 12.5 * i;
        double v = 12.5 * k;
        // Further away by the lean times y: everything there is larger by as much.
        double further = 1 + lean * v / distance;
        points.add(new Point(u, v, u * further, v * further));
      }
    }
    ControllerCoefficients plain = ControllerCoefficients.of(points, 100);
    assertThat(plain.trapezoidXPercent()).isCloseTo(100 * 100 * lean / distance, within(0.01));
    HeadTilt tilt = HeadTilt.of(Keystone.of(points, 100), 100, distance);
    assertThat(tilt.leans()).hasSize(1);
    assertThat(tilt.leans().getFirst().side()).isEqualTo(Side.FRONT);
    assertThat(tilt.leans().getFirst().shimMm(80).value()).isCloseTo(0.8, within(0.01));
    assertThat(tilt.otherwise()).isFalse();
  }

  @Test
  void aTrapezoidOfOneAxisAloneIsNoLean() {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 81; i++) {
      double u = 12.5 * (i % 9 - 4);
      double v = 12.5 * (i / 9 - 4);
      points.add(new Point(u, v, u * (1 + 0.0069 * v / 50), v));
    }
    HeadTilt tilt = HeadTilt.of(Keystone.of(points, 100), 100, 200);
    assertThat(tilt.leans()).isEmpty();
    assertThat(tilt.otherwise()).isTrue();
    assertThat(
            Phrasebook.ENGLISH.say(
                tilt.said(OptionalDouble.of(80), OptionalDouble.empty(), Optional.empty())
                    .getFirst()))
        .contains("not by shims");
  }

  @Test
  void scatterIsNoLean() {
    Random random = new Random(6);
    int shims = 0;
    int found = 0;
    for (int i = 0; i < 200; i++) {
      double lean = i % 2 == 0 ? 0 : 0.02;
      List<Point> points = new ArrayList<>();
      for (int k = 0; k < 25; k++) {
        double u = 25 * (k % 5 - 2);
        double v = 25 * (k / 5 - 2);
        double further = 1 + lean * v / 200;
        points.add(
            new Point(
                u,
                v,
                Math.round((u * further + 0.03 * random.nextGaussian()) / 0.05) * 0.05,
                Math.round((v * further + 0.03 * random.nextGaussian()) / 0.05) * 0.05));
      }
      HeadTilt tilt = HeadTilt.of(Keystone.of(points, 100), 100, 200);
      boolean front =
          tilt.leans().stream().anyMatch(l -> l.side() == Side.FRONT && !tilt.otherwise());
      shims += lean == 0 && !tilt.leans().isEmpty() ? 1 : 0;
      found += lean > 0 && front ? 1 : 0;
    }
    assertThat(shims).as("of 100 heads that stand straight").isLessThan(16);
    assertThat(found).as("of 100 that lean by 20 mrad").isGreaterThan(84);
  }

  @Test
  void bowIsToldForAPlainController() {
    List<Point> points = new ArrayList<>();
    for (int i = -3; i <= 3; i++) {
      for (int k = -3; k <= 3; k++) {
        double u = 15 * i;
        double v = 15 * k;
        points.add(new Point(u, v, 1.02 * u - 2e-4 * v * v, v));
      }
    }
    ControllerCoefficients plain = ControllerCoefficients.of(points, 90);
    assertThat(plain.scaleX()).isCloseTo(1 / 1.02, within(1e-9));
    assertThat(plain.bowXMm()).isCloseTo(2e-4 * 45 * 45, within(1e-9));
    assertThat(plain.leftRmsMm()).isLessThan(1e-9);
  }

  @Test
  void overlapIsToldForTheSpot() {
    assertThat(Phrasebook.ENGLISH.say(Hatch.ofInterval(0.1, 0.05))).contains("50 %");
    assertThat(Phrasebook.ENGLISH.say(Hatch.ofInterval(0.1, 0.2))).contains("gaps");
    assertThat(Phrasebook.ENGLISH.say(Hatch.ofInterval(0.1, 0.01))).contains("90 %");
    // 1000 mm/s at 20 kHz: every 0.05 mm.
    assertThat(Phrasebook.ENGLISH.say(Hatch.ofPulses(0.1, 1000, 20))).contains("0.0500 mm");
    assertThat(Phrasebook.ENGLISH.say(Hatch.ofPulses(0.1, 4000, 20))).contains("single dots");
  }

  /** 115 for 100, read with a tape: the figure to type stands before what is to be read. */
  @Test
  void theFigureToTypeStandsBehindTheSureStep() {
    FieldVisitFinding f =
        FieldVisit.solve(
            new FieldVisitReadings(
                new FieldTask.BySquare(
                    new FieldReadings(
                        110,
                        1,
                        0.1,
                        Optional.of(square(100, 115, 100.5, Edges.CENTRE)),
                        Optional.empty(),
                        OptionalInt.empty()),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(new FieldTask.ScaleNow(100, 100))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()),
            Help.NONE);
    assertThat(f.advice())
        .extracting(a -> a.what().key())
        .startsWith("field.scale.first", "field.scale.type")
        .hasSize(3);
  }
}
