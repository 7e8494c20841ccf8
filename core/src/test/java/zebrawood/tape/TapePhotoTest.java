package zebrawood.tape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.tape.DrawnTape.Burn;
import zebrawood.tape.DrawnTape.Card;
import zebrawood.tape.TapePhotoFinding.Mark;
import zebrawood.tape.TapePhotoFinding.Shape;
import zebrawood.tape.TapePhotoFinding.Target;

/** Targets in photographs that are drawn by code of their own; the truth is in the drawing. */
class TapePhotoTest {
  private static TapePhotoFinding solve(DrawnTape drawn) {
    return solve(drawn, Optional.empty());
  }

  private static TapePhotoFinding solve(
      DrawnTape drawn, Optional<List<TapePhotoReadings.Expected>> expect) {
    return TapePhoto.solve(
        new TapePhotoReadings("tape.jpg", Optional.empty(), OptionalDouble.empty(), expect),
        drawn.picture());
  }

  private static DrawnTape drawn(Card... cards) {
    DrawnTape drawn = new DrawnTape();
    drawn.width = 1000;
    drawn.height = 760;
    drawn.pxPerMm = 13;
    drawn.cards.addAll(List.of(cards));
    return drawn;
  }

  private static Mark only(DrawnTape drawn) {
    return only(solve(drawn));
  }

  private static Mark only(TapePhotoFinding f) {
    assertThat(f.targets()).hasSize(1);
    assertThat(f.targets().getFirst().marks()).hasSize(1);
    return f.targets().getFirst().marks().getFirst();
  }

  private static void isAt(Mark m, Burn burn) {
    assertThat(m.xMm()).isCloseTo(burn.xMm(), within(2.5 * m.xMmUncertainty()));
    assertThat(m.yMm()).isCloseTo(burn.yMm(), within(2.5 * m.yMmUncertainty()));
    assertThat(m.xMmUncertainty()).isLessThan(0.15);
  }

  /** From any side, turned at will, bowed, through a bent lens, under light that is not even. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void aBurnIsReadInMillimetresFromAnySide(long seed) {
    Random random = new Random(seed * 77);
    Card card = new Card();
    card.number = 1 + random.nextInt(8);
    card.turnDeg = 360 * random.nextDouble();
    card.bowMm = 0.3 * random.nextDouble();
    card.bowDeg = 180 * random.nextDouble();
    card.fold = seed % 2 == 0 ? 0.12 : 0;
    card.strayMm = seed % 3 == 0 ? 1 : 0;
    DrawnTape drawn = drawn(card);
    drawn.seed = seed;
    drawn.tiltDeg = 36 * random.nextDouble();
    drawn.tiltTowardsDeg = 360 * random.nextDouble();
    drawn.pxPerMm = 7 + 5 * random.nextDouble();
    drawn.softPx = 0.5 + random.nextDouble();
    drawn.bend = 0.02 * (random.nextDouble() - 0.5) * 2;
    drawn.jpeg = seed % 2 == 0 ? 70 : 0;
    drawn.shadowShare = seed == 3 ? 0.4 : 0;
    drawn.glare = seed == 5 ? 0.2 : 0;
    Burn burn =
        Burn.round(
            -6 + 12 * random.nextDouble(),
            -6 + 12 * random.nextDouble(),
            1.8 + 4 * random.nextDouble(),
            0.4 + 0.5 * random.nextDouble());
    card.burns.add(burn);
    TapePhotoFinding f = solve(drawn);
    Mark m = only(f);
    Target t = f.targets().getFirst();
    assertThat(t.number()).hasValue(card.number);
    assertThat(t.tiltDeg()).isCloseTo(drawn.tiltDeg, within(5.0));
    double[] middle = drawn.at(card, 0, 0);
    assertThat(t.middlePx().get(0)).isCloseTo(middle[0], within(0.5));
    assertThat(t.middlePx().get(1)).isCloseTo(middle[1], within(0.5));
    assertThat(m.shape()).isEqualTo(Shape.ROUND);
    isAt(m, burn);
    assertThat(m.diameterMm()).isCloseTo(burn.diameterMm(), within(3 * m.diameterMmUncertainty()));
    assertThat(m.darkness()).isCloseTo(burn.dark(), within(0.06));
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
  }

  /** Dark places of a patterned ground are as large as a corner's disc, and in shadow as dark. */
  @Test
  void thePatternOfTheGroundIsNoCorner() {
    Card card = new Card();
    card.number = 5;
    card.turnDeg = 299;
    Burn burn = Burn.round(2.4, 5.35, 4.27, 0.63);
    DrawnTape drawn = drawn(card.with(burn));
    drawn.height = 750;
    drawn.seed = 87;
    drawn.tiltDeg = 11.6;
    drawn.tiltTowardsDeg = 181;
    drawn.pxPerMm = 7.57;
    drawn.softPx = 1.06;
    drawn.bend = -0.011;
    drawn.shadowShare = 0.434;
    drawn.glare = 0.137;
    drawn.noise = 3;
    TapePhotoFinding f = solve(drawn);
    isAt(only(f), burn);
    assertThat(f.targets().getFirst().number()).hasValue(5);
    assertThat(f.targets().getFirst().residualRmsMm()).isLessThan(0.02);
  }

  /** Circles cut off along a straight or an arched rim, 0.4 of the radius from the middle. */
  @ParameterizedTest
  @CsvSource({"20, 0, on the right", "100, 0, above", "200, 3.5, on the left", "280, 5, below"})
  void aCutBeamIsCompletedAndItsSideIsTold(double towards, double arch, String side) {
    Burn whole = Burn.round(3.5, -4.5, 4.4, 0.7);
    TapePhotoFinding f = solve(drawn(new Card().with(whole.cut(0.9, towards, arch))));
    Mark m = only(f);
    assertThat(m.shape()).isEqualTo(Shape.CLIPPED);
    isAt(m, whole);
    assertThat(m.diameterMm()).isCloseTo(4.4, within(0.1));
    double turned = m.clipped().by().orElseThrow().towardsDeg() - towards;
    assertThat(Math.abs(Math.IEEEremainder(turned, 360))).isLessThan(4);
    if (arch == 0) {
      // Beyond 0.9 of 2.2: a segment of half angle acos(0.41).
      double half = Math.acos(0.9 / 2.2);
      double share = (half - Math.sin(half) * Math.cos(half)) / Math.PI;
      assertThat(m.clipped().by().orElseThrow().share()).isCloseTo(share, within(0.02));
    }
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH)).singleElement().asString().contains(side);
  }

  @Test
  void ovalsAndOverlappingBurnsAreCalledWhatTheyAre() {
    Card card = new Card();
    Burn oval = Burn.round(5, 3, 3, 0.6).oval(1.5, 30);
    card.with(oval).with(Burn.round(-6, -3, 2.2, 0.8).through(1.2));
    List<Mark> marks = solve(drawn(card)).targets().getFirst().marks();
    assertThat(marks).extracting(Mark::shape).containsExactly(Shape.ROUND, Shape.OVAL);
    assertThat(marks.get(1).greatestMm() / marks.get(1).leastMm()).isCloseTo(1.5, within(0.06));
    isAt(marks.get(1), oval);
    Card twice = new Card().with(Burn.round(4, 4, 3, 0.7)).with(Burn.round(6.1, 5, 3, 0.7));
    TapePhotoFinding f = solve(drawn(twice));
    assertThat(only(f).shape()).isEqualTo(Shape.IRREGULAR);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH)).singleElement().asString().contains("fresh target");
  }

  /** Soot is under half as dark; a burn on a small disc hides it. */
  @Test
  void sootIsNoBurnAndADiscMayBeCovered() {
    Burn sooty = Burn.round(-3, 6, 2.4, 0.8).soot(0.45);
    Burn covering = Burn.round(12.6, -6, 7.6, 0.85);
    Card card = new Card().with(sooty).with(covering);
    TapePhotoFinding f = solve(drawn(card));
    List<Mark> marks = f.targets().getFirst().marks();
    assertThat(f.targets().getFirst().number()).hasValue(3);
    isAt(marks.getFirst(), sooty);
    assertThat(marks.getFirst().diameterMm()).isCloseTo(2.4, within(0.1));
    isAt(marks.getLast(), covering);
  }

  @Test
  void severalTargetsComeByNumberAndTheSameNumberTwiceIsSaid() {
    Card[] cards = {new Card(), new Card(), new Card()};
    for (int i = 0; i < 3; i++) {
      cards[i].number = i == 2 ? 2 : 5 - 3 * i;
      cards[i].xMm = 44 * (i - 1);
      cards[i].turnDeg = 100 * i;
      cards[i].with(Burn.round(2 + i, -3, 2.5, 0.7));
    }
    DrawnTape drawn = drawn(cards);
    drawn.pxPerMm = 6.5;
    TapePhotoFinding f = solve(drawn);
    assertThat(f.targets()).extracting(t -> t.number().getAsInt()).containsExactly(2, 2, 5);
    assertThat(f.targets().get(0).middlePx().getFirst())
        .isLessThan(f.targets().get(1).middlePx().getFirst());
    assertThat(f.warnings(ENGLISH)).singleElement().asString().contains("the number 2");
    isAt(f.targets().get(2).marks().getFirst(), cards[0].burns.getFirst());
  }

  @Test
  void aStretchedPrintIsMeasuredByItsSpans() {
    Burn burn = Burn.round(8, -6, 3, 0.7);
    Card card = new Card().with(burn);
    card.stretchX = 1.02;
    card.stretchY = 0.99;
    TapePhotoFinding f =
        TapePhoto.solve(
            new TapePhotoReadings(
                "tape.jpg",
                Optional.of(List.of(32 * 1.02, 32 * 0.99)),
                OptionalDouble.empty(),
                Optional.empty()),
            drawn(card).picture());
    isAt(only(f), burn);
  }

  @Test
  void whatIsExpectedAndNotThereIsAsked() {
    TapePhotoFinding f =
        solve(
            drawn(new Card().with(Burn.round(4, 4, 3, 0.8))),
            Optional.of(
                List.of(
                    new TapePhotoReadings.Expected(3, 1), new TapePhotoReadings.Expected(5, 1))));
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH)).singleElement().asString().contains("target 5");
    assertThat(solve(drawn(new Card())).verdict()).as("no mark").isEqualTo(Verdict.MEASURE_AGAIN);
  }

  private static void refused(String why, Consumer<DrawnTape> spoil) {
    DrawnTape drawn = drawn(new Card().with(Burn.round(4, 4, 3, 0.8)));
    spoil.accept(drawn);
    assertThatThrownBy(() -> solve(drawn))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("imagePath")
        .hasMessageContaining(why);
  }

  @Test
  void whatCannotBeReadIsRefusedWithTheReason() {
    refused("without a target", d -> d.cards.clear());
    refused("mirrored", d -> d.cards.getFirst().mirrored = true);
    refused("cut off", d -> d.cards.getFirst().xMm = 32);
    refused("too small", d -> d.pxPerMm = 2.5);
    refused(
        "too blurred",
        d -> {
          d.pxPerMm = 9;
          d.softPx = 9;
        });
  }

  /** One that lies half outside is left out beside one that can be read, and said. */
  @Test
  void besideAReadableOneAnotherIsLeftOut() {
    Card outside = new Card();
    outside.xMm = 52;
    DrawnTape drawn = drawn(new Card().with(Burn.round(4, 4, 3, 0.8)), outside);
    drawn.pxPerMm = 9;
    drawn.cards.getFirst().xMm = -12;
    TapePhotoFinding f = solve(drawn);
    only(f);
    assertThat(f.warnings(ENGLISH)).singleElement().asString().contains("cut off");
  }
}
