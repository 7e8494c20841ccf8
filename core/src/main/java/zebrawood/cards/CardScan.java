package zebrawood.cards;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import zebrawood.cards.CrossFinder.CardMap;
import zebrawood.measure.Estimate;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How dark did each square of a card come out?
 *
 * <p>The crosses are found ({@link CrossFinder}) and give the map from the card to the picture, so
 * that a photograph's perspective falls away. Light is the luminance of linear sRGB (IEC
 * 61966-2-1); a square's is the mean over the inner 70 % of each side, the bare stock's that of
 * what lies about it ({@link BareStock}). Bands are the first harmonic at the lines' interval, by
 * least squares across the lines. The uncertainty covers grain, noise and the picture's steps, not
 * what a scanner makes of a colour.
 */
public final class CardScan {
  private static final double INNER = 0.7;

  /** Of a square's pixels: with more of them at an end its mean is a guess. */
  private static final double MOST_LIMITED = 0.01;

  private static final double LEAST_PX_AN_INTERVAL = 4;
  private static final double LEAST_PX = 3;

  /** Standard deviation of a step of the picture's light, in steps. */
  private static final double STEP = 0.29;

  private CardScan() {}

  public static CardScanFinding solve(CardScanReadings r, Picture picture) {
    return solve(r, picture, share -> {});
  }

  /**
   * @param reached told how far it is, from 0 to 1
   * @throws UnusableReading naming a cross that is not found, or where the card is not all in it
   */
  public static CardScanFinding solve(CardScanReadings r, Picture picture, DoubleConsumer reached) {
    CardMap map = CrossFinder.map(r, picture);
    reached.accept(0.2);
    inside(r, picture, map);
    BareStock bare = new BareStock(r, picture, map);
    reached.accept(0.6);
    int n = r.squares().size();
    SquareLight[] lights = new SquareLight[n];
    boolean saturated = bare.limitedShare() > MOST_LIMITED;
    for (int i = 0; i < n; i++) {
      CardScanReadings.Square s = r.squares().get(i);
      double rim = (1 - INNER) / 2;
      lights[i] =
          SquareLight.exactly(
              picture,
              map,
              s.xMm() + rim * s.wMm(),
              s.yMm() + rim * s.hMm(),
              INNER * s.wMm(),
              INNER * s.hMm());
      SquareLight whole = SquareLight.of(picture, map, s.xMm(), s.yMm(), s.wMm(), s.hMm());
      saturated |= whole.limitedShare() > MOST_LIMITED;
      reached.accept(0.6 + 0.4 * (i + 1) / n);
    }
    double usual = usualError(lights);
    List<CardScanFinding.Square> squares = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      squares.add(square(r.squares().get(i), lights[i], bare.light(i), usual, map));
    }
    return new CardScanFinding(
        squares,
        saturated,
        saturated ? Verdict.MEASURE_AGAIN : Verdict.WITHIN,
        List.of(
            saturated
                ? Advice.read("cards.scan.again").because("cards.scan.again.why")
                : Advice.leave("cards.scan.read")),
        saturated ? List.of(Message.of("cards.scan.saturated")) : List.of());
  }

  private static void inside(CardScanReadings r, Picture picture, CardMap map) {
    for (int i = 0; i < r.squares().size(); i++) {
      CardScanReadings.Square s = r.squares().get(i);
      double[] one = map.px(s.xMm(), s.yMm());
      double[] other = map.px(s.xMm() + s.wMm(), s.yMm() + s.hMm());
      boolean in =
          Math.min(one[0], other[0]) >= 0
              && Math.min(one[1], other[1]) >= 0
              && Math.max(one[0], other[0]) <= picture.width()
              && Math.max(one[1], other[1]) <= picture.height();
      double acrossPx = Math.min(s.wMm(), s.hMm()) * map.pxPerMm(s.xMm(), s.yMm());
      if (!in || !(acrossPx >= LEAST_PX)) {
        throw UnusableReading.of(
            "squares[" + i + "]",
            in
                ? Message.of("cards.found.small")
                : Message.of("cards.found.outside", picture.width(), picture.height()),
            Message.of("cards.accepts.inside"));
      }
    }
  }

  /** Of the squares' means, over their light: one square's own stripes tell it badly. */
  private static double usualError(SquareLight[] lights) {
    double[] errors =
        Arrays.stream(lights)
            .mapToDouble(l -> l.meanError() / Math.max(1e-5, l.mean()))
            .sorted()
            .toArray();
    return errors[errors.length / 2];
  }

  private static CardScanFinding.Square square(
      CardScanReadings.Square s, SquareLight light, Estimate bare, double usual, CardMap map) {
    double mean = light.mean();
    double own = light.meanError();
    double error = Math.sqrt((own * own + usual * usual * mean * mean) / 2);
    double step = STEP * stepOfLight(mean, light.spread());
    double bareStep = STEP * stepOfLight(bare.value(), light.spread());
    double ratio = mean / bare.value();
    double ofMean = Math.hypot(error, step) / bare.value();
    double ofBare = Math.hypot(bare.uncertainty(), bareStep) / bare.value() * ratio;
    return new CardScanFinding.Square(
        s.column(),
        s.row(),
        new Estimate(1 - ratio, Math.hypot(ofMean, ofBare)),
        s.intervalMm().isPresent()
            ? banding(s, light, bare.value(), s.intervalMm().getAsDouble(), map)
            : OptionalDouble.empty());
  }

  private static OptionalDouble banding(
      CardScanReadings.Square s, SquareLight light, double bare, double intervalMm, CardMap map) {
    double[] up = map.along(s.xMm() + s.wMm() / 2, s.yMm() + s.hMm() / 2, false);
    return Math.hypot(up[0], up[1]) * intervalMm < LEAST_PX_AN_INTERVAL
        ? OptionalDouble.empty()
        : OptionalDouble.of(light.rhythm(intervalMm) / bare);
  }

  /** How much light one step of the picture is; noise over several steps smooths them. */
  private static double stepOfLight(double light, double spread) {
    double level = light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    double slope =
        level <= 0.04045 ? 1 / 12.92 : 2.4 / 1.055 * Math.pow((level + 0.055) / 1.055, 1.4);
    double step = slope / 255;
    double steps = spread / step;
    return step / Math.sqrt(1 + steps * steps * steps * steps * 16);
  }
}
