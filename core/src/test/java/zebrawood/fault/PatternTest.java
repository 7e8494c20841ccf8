package zebrawood.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.Pattern.Shape;

/** Scores are made by formulas of their own, not by the shapes that are put through them. */
class PatternTest {
  private static final double WIDE = 700;
  private static final double DEEP = 500;
  private static final double ERROR = 0.05;

  private static Shape of(
      DoubleBinaryOperator score, int side, Random random, Optional<BeamEnters> enters) {
    List<Scored> places = new ArrayList<>();
    for (int i = 0; i < side; i++) {
      for (int k = 0; k < side; k++) {
        double x = WIDE * (0.1 + 0.8 * i / (side - 1));
        double y = DEEP * (0.1 + 0.8 * k / (side - 1));
        double noisy = score.applyAsDouble(x, y) + ERROR * random.nextGaussian();
        places.add(new Scored(x, y, Math.clamp(noisy, 0, 1)));
      }
    }
    return of(places, enters);
  }

  private static Shape of(List<Scored> places, Optional<BeamEnters> enters) {
    return Pattern.of(
        new FaultReadings(
            Optional.of(places),
            List.of(WIDE, DEEP),
            enters,
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of()));
  }

  private static int named(
      Shape shape, int trials, Optional<BeamEnters> enters, Supplier<DoubleBinaryOperator> made) {
    int named = 0;
    Random random = new Random(5);
    for (int i = 0; i < trials; i++) {
      named += of(made.get(), 3, random, enters) == shape ? 1 : 0;
    }
    return named;
  }

  private static double fluence(double offMm, double depthMm) {
    return 1 / (1 + offMm * offMm / (depthMm * depthMm));
  }

  @Test
  void theSameEverywhereIsEvenHoweverWeak() {
    Random random = new Random(2);
    int even =
        named(
            Shape.EVEN,
            60,
            Optional.of(BeamEnters.REAR_LEFT),
            () -> {
              double level = 0.2 + 0.6 * random.nextDouble();
              return (x, y) -> level;
            });
    assertThat(even).isGreaterThan(54);
  }

  @Test
  void aBedThatLeansOutOfFocusFallsFromOneSide() {
    Random random = new Random(3);
    int slope =
        named(
            Shape.SLOPE,
            60,
            Optional.empty(),
            () -> {
              double angle = 2 * Math.PI * random.nextDouble();
              double cos = Math.cos(angle);
              double sin = Math.sin(angle);
              double far = Math.abs(WIDE * cos) + Math.abs(DEEP * sin);
              double fall = 0.4 + 0.4 * random.nextDouble();
              return (x, y) ->
                  0.95 - fall * (0.5 + ((x - WIDE / 2) * cos + (y - DEEP / 2) * sin) / far);
            });
    assertThat(slope).isGreaterThan(52);
  }

  @Test
  void focusLostOnBothSidesOfALineIsABow() {
    Random random = new Random(4);
    int bow =
        named(
            Shape.BOW,
            60,
            Optional.of(BeamEnters.REAR_LEFT),
            () -> {
              double angle = Math.PI * random.nextDouble();
              double ridge = 60 * (random.nextDouble() - 0.5);
              double depth = 120 + 80 * random.nextDouble();
              return (x, y) ->
                  fluence(
                      (x - WIDE / 2) * Math.cos(angle) + (y - DEEP / 2) * Math.sin(angle) - ridge,
                      depth);
            });
    assertThat(bow).isGreaterThan(50);
  }

  @Test
  void aDomeIsABow() {
    int bow =
        named(
            Shape.BOW,
            60,
            Optional.empty(),
            () ->
                (x, y) -> 1 - 0.6 * (Math.pow((x - 350) / 350, 2) + Math.pow((y - 250) / 250, 2)));
    assertThat(bow).isGreaterThan(50);
  }

  @Test
  void whatFallsWithTheBeamsWayIsThePathOnlyWhereItEntersIsKnown() {
    Random random = new Random(6);
    Supplier<DoubleBinaryOperator> made =
        () -> {
          double fall = 0.5 + 0.3 * random.nextDouble();
          return (x, y) -> 0.95 - fall * (x + DEEP - y) / (WIDE + DEEP);
        };
    assertThat(named(Shape.PATH, 60, Optional.of(BeamEnters.REAR_LEFT), made)).isGreaterThan(52);
    assertThat(named(Shape.SLOPE, 60, Optional.empty(), made)).isGreaterThan(50);
    assertThat(named(Shape.PATH, 60, Optional.of(BeamEnters.FRONT_LEFT), made)).isZero();
  }

  @Test
  void fallenOffWhereTheBeamEntersIsNoPath() {
    Random random = new Random(6);
    assertThat(
            named(
                Shape.PATH,
                100,
                Optional.of(BeamEnters.FRONT_RIGHT),
                () -> {
                  double fall = 0.5 + 0.3 * random.nextDouble();
                  return (x, y) -> 0.95 - fall * (x + DEEP - y) / (WIDE + DEEP);
                }))
        .isZero();
  }

  @Test
  void spotsHereAndThereAreMixed() {
    int mixed =
        named(
            Shape.MIXED,
            100,
            Optional.of(BeamEnters.REAR_LEFT),
            () -> (x, y) -> 0.6 + 0.4 * Math.sin(x / 90) * Math.cos(y / 70));
    assertThat(mixed).isGreaterThan(80);
  }

  @Test
  void fivePlacesAreEnoughForAPlainSlope() {
    List<Scored> places =
        List.of(
            new Scored(50, 50, 0.9),
            new Scored(650, 50, 0.4),
            new Scored(350, 250, 0.65),
            new Scored(50, 450, 0.92),
            new Scored(650, 450, 0.38));
    assertThat(of(places, Optional.empty())).isEqualTo(Shape.SLOPE);
    List<Scored> oneLine = places.stream().map(p -> new Scored(p.xMm(), 100, p.score())).toList();
    assertThat(of(oneLine, Optional.empty())).isEqualTo(Shape.SLOPE);
    List<Scored> onePlace = places.stream().map(p -> new Scored(100, 100, p.score())).toList();
    assertThat(of(onePlace, Optional.empty())).isEqualTo(Shape.MIXED);
  }
}
