package zebrawood.focus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import zebrawood.focus.LineInPicture.Axis;
import zebrawood.focus.RampPhotoFinding.Sample;
import zebrawood.measure.Estimate;
import zebrawood.measure.Picture;
import zebrawood.measure.PixelScale;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * At which gap is the line on a photographed ramp thinnest?
 *
 * <p>In: an upright picture with two places a known length apart, and the line as clicked, up to 5
 * mm off to the side. The line is found ({@link LineInPicture}) and cut into blocks; in each, every
 * pixel is put to its distance from the line in quarters of a pixel, unresampled, so that the tilt
 * of the line against the pixels makes the profile finer than they are; its width is that of {@link
 * LineProfile}. A block where the line fades or breaks has none. The widths, each with its own
 * uncertainty, are then a ramp's ({@link Ramp}).
 *
 * <p>Accuracy: a tenth of a pixel on even ground, a few tenths over grain. What is thinner than the
 * picture's own blur comes out as wide as the blur.
 */
public final class RampPhoto {
  private static final double ASIDE_MM = 5.5;
  private static final double BESIDE_MM = 1.6;
  private static final int BINS_PER_PX = 4;
  private static final double BLOCK_PX = 24;
  private static final int LEAST_BLOCKS = 24;
  private static final int MOST_BLOCKS = 160;

  /** The line's middle may wander this far off the straight one. */
  private static final double MOST_OFF_MM = 0.5;

  /** No width is known better than this, whatever the fit says. */
  private static final double LEAST_ERROR_PX = 0.03;

  /** How far it is when the line is found. */
  private static final double LINE_FOUND = 0.4;

  private static final int ENOUGH_TO_TELL_ERRORS = 20;

  /**
   * Uneven light and a lens's distortion shift the thinnest place, of which the widths' scatter
   * says nothing: this share of the depth of focus.
   */
  private static final double OF_PICTURE = 0.01;

  /** Of the scale from one end of the line to the other, one standard deviation. */
  private static final double NOT_SQUARE = 0.02;

  /** The same where the board's corners were pressed, each to a few pixels of a thousand. */
  private static final double SQUARED = 0.005;

  /** A line whose edges are softer than it is wide is as wide as the picture makes it. */
  private static final double MOST_SOFT = 1;

  private RampPhoto() {}

  /** The same, where nobody asks how far it is. */
  public static RampPhotoFinding solve(RampPhotoReadings readings, Picture picture) {
    return solve(readings, picture, share -> {});
  }

  /**
   * @param reached told how far it is, from 0 to 1, on any thread
   */
  public static RampPhotoFinding solve(
      RampPhotoReadings readings, Picture picture, DoubleConsumer reached) {
    inside(readings, picture);
    if (readings.board().isEmpty()) {
      return square(readings, picture, reached);
    }
    SquaredBoard board = SquaredBoard.of(readings, picture);
    return board.inPicture(square(board.readings(), board.picture(), reached));
  }

  /** Of a picture that is seen from straight above. */
  private static RampPhotoFinding square(
      RampPhotoReadings readings, Picture picture, DoubleConsumer reached) {
    double pxPerMm = readings.pxPerMm();
    List<Double> start = readings.line().startPx();
    List<Double> end = readings.line().endPx();
    double length = PixelScale.distance(start, end);
    Axis clicked =
        new Axis(
            start.getFirst(),
            start.getLast(),
            (end.getFirst() - start.getFirst()) / length,
            (end.getLast() - start.getLast()) / length,
            length);
    return LineInPicture.find(picture, pxPerMm, clicked, ASIDE_MM)
        .map(line -> beside(measured(readings, picture, line.axis(), reached), line.besideMm()))
        .orElseGet(() ->
            finding(
                readings,
                Ramp.undecided(
                    Advice.read("focus.photo.no-line").because("focus.photo.no-line.why")),
                List.of()));
  }

  private static RampPhotoFinding beside(RampPhotoFinding found, OptionalDouble besideMm) {
    return besideMm.isPresent()
        ? found.warning(Message.of("focus.photo.beside", Amount.mm(besideMm.getAsDouble(), 1)))
        : found;
  }

  private static void inside(RampPhotoReadings readings, Picture picture) {
    check("line.startPx", readings.line().startPx(), picture);
    check("line.endPx", readings.line().endPx(), picture);
  }

  private static void check(String field, List<Double> px, Picture picture) {
    if (px.getFirst() > picture.width() || px.getLast() > picture.height()) {
      throw UnusableReading.of(
          field,
          Message.of(
              "focus.found.place", Message.number(px.getFirst()), Message.number(px.getLast())),
          Message.of("focus.accepts.inside", picture.width(), picture.height()));
    }
  }

  private static RampPhotoFinding measured(
      RampPhotoReadings readings, Picture picture, Axis axis, DoubleConsumer reached) {
    reached.accept(LINE_FOUND);
    double pxPerMm = readings.pxPerMm();
    int blocks = Math.clamp(Math.round(axis.lengthPx() / BLOCK_PX), LEAST_BLOCKS, MOST_BLOCKS);
    double blockPx = axis.lengthPx() / blocks;
    AtomicInteger done = new AtomicInteger();
    List<Block> read =
        IntStream.range(0, blocks)
            .parallel()
            .mapToObj(b -> {
              var width = block(picture, axis, pxPerMm, b * blockPx, (b + 1) * blockPx);
              reached.accept(LINE_FOUND + (1 - LINE_FOUND) * done.incrementAndGet() / blocks);
              return width;
            })
            .flatMap(Optional::stream)
            .toList();
    List<Sample> told = read.stream().map(Block::sample).toList();
    if (told.size() < RampReadings.LEAST_SAMPLES) {
      return finding(
          readings,
          Ramp.undecided(
              Advice.read("focus.photo.faint")
                  .because("focus.photo.faint.why", told.size(), RampReadings.LEAST_SAMPLES)),
          told);
    }
    List<RampReadings.Sample> widths =
        told.stream().map(s -> new RampReadings.Sample(s.alongMm(), s.lineWidthMm())).toList();
    List<Sample> honest = asScattered(readings.slope(), widths, told);
    List<Double> errors = honest.stream().map(Sample::widthUncertaintyMm).toList();
    double middle = errors.stream().sorted().skip(errors.size() / 2).findFirst().orElseThrow();
    RampFinding ramp = Ramp.solve(readings.slope(), widths, errors, middle * Math.sqrt(12));
    RampPhotoFinding found = finding(readings, ramp, honest);
    return softness(read) > MOST_SOFT ? found.warning(Message.of("focus.photo.blurred")) : found;
  }

  /** Of the thinnest third, the middle one: wide lines are soft by themselves. */
  private static double softness(List<Block> read) {
    return read.stream()
        .sorted(Comparator.comparingDouble(b -> b.sample.lineWidthMm()))
        .limit(Math.max(1, read.size() / 3))
        .map(Block::softness)
        .sorted()
        .skip(Math.max(1, read.size() / 3) / 2)
        .findFirst()
        .orElse(0.0);
  }

  /** One width, and how soft its edges are. */
  private record Block(Sample sample, double softness) {}

  /**
   * With so many widths their scatter about the law tells their errors better than the grain in
   * each profile does: where they lie nearer, the errors are made smaller. Neighbours that are off
   * alike count as fewer.
   */
  private static List<Sample> asScattered(
      RampReadings.Slope slope, List<RampReadings.Sample> widths, List<Sample> told) {
    if (told.size() < ENOUGH_TO_TELL_ERRORS) {
      return told;
    }
    List<Double> errors = told.stream().map(Sample::widthUncertaintyMm).toList();
    List<WaistFit.Reading> readings = Ramp.readings(slope, widths, errors);
    return WaistFit.ofWidths(readings)
        .map(waist -> {
          double[] off =
              IntStream.range(0, readings.size())
                  .filter(i -> !waist.leftOut().contains(i))
                  .mapToObj(readings::get)
                  .mapToDouble(r -> (r.value() - waist.law().valueAt(r.heightMm())) / r.error())
                  .toArray();
          double sum = Arrays.stream(off).map(d -> d * d).sum();
          double alike = LineProfile.likeness(off, sum);
          double scatter = Math.min(1, waist.misfit() * Math.sqrt(alike));
          return told.stream().map(s -> s.withError(scatter)).toList();
        })
        .orElse(told);
  }

  private static Optional<Block> block(
      Picture picture, Axis axis, double pxPerMm, double fromPx, double toPx) {
    int halfBins = (int) Math.ceil(BESIDE_MM * pxPerMm * BINS_PER_PX);
    double[] light = profile(picture, axis, fromPx, toPx, halfBins);
    return LineProfile.of(light, MOST_OFF_MM * pxPerMm * BINS_PER_PX)
        .map(width -> {
          double px = width.steps() / BINS_PER_PX;
          double errorPx = Math.max(LEAST_ERROR_PX, width.uncertaintySteps() / BINS_PER_PX);
          double along = (fromPx + toPx) / 2;
          double aside = width.middleSteps() / BINS_PER_PX;
          return new Block(
              new Sample(
                  along / pxPerMm,
                  px / pxPerMm,
                  errorPx / pxPerMm,
                  axis.x(along, aside),
                  axis.y(along, aside)),
              width.softness());
        });
  }

  /** The mean light of the block's pixels by their distance from the line. */
  private static double[] profile(
      Picture picture, Axis axis, double fromPx, double toPx, int halfBins) {
    double reach = (halfBins + 0.5) / BINS_PER_PX;
    double[] xs = new double[4];
    double[] ys = new double[4];
    for (int corner = 0; corner < 4; corner++) {
      double along = corner < 2 ? fromPx : toPx;
      double aside = corner % 2 == 0 ? -reach : reach;
      xs[corner] = axis.x(along, aside);
      ys[corner] = axis.y(along, aside);
    }
    int left = Math.max(0, (int) Math.floor(Arrays.stream(xs).min().orElseThrow()));
    int right =
        Math.min(picture.width() - 1, (int) Math.ceil(Arrays.stream(xs).max().orElseThrow()));
    int top = Math.max(0, (int) Math.floor(Arrays.stream(ys).min().orElseThrow()));
    int bottom =
        Math.min(picture.height() - 1, (int) Math.ceil(Arrays.stream(ys).max().orElseThrow()));
    double[] sums = new double[2 * halfBins + 1];
    int[] counts = new int[sums.length];
    for (int y = top; y <= bottom; y++) {
      for (int x = left; x <= right; x++) {
        double dx = x + 0.5 - axis.startX();
        double dy = y + 0.5 - axis.startY();
        double along = dx * axis.alongX() + dy * axis.alongY();
        if (along < fromPx || along >= toPx) {
          continue;
        }
        double aside = dy * axis.alongX() - dx * axis.alongY();
        int bin = (int) Math.floor(aside * BINS_PER_PX + halfBins + 0.5);
        if (bin >= 0 && bin < sums.length) {
          sums[bin] += picture.light(x, y);
          counts[bin]++;
        }
      }
    }
    for (int i = 0; i < sums.length; i++) {
      sums[i] = counts[i] == 0 ? Double.NaN : sums[i] / counts[i];
    }
    return sums;
  }

  private static RampPhotoFinding finding(
      RampPhotoReadings readings, RampFinding ramp, List<Sample> samples) {
    return new RampPhotoFinding(
        ofPicture(readings, ramp),
        ramp.thinnestAlongMm(),
        ramp.lineWidthAtFocusMm(),
        ramp.depthOfFocusMm(),
        ramp.higherLaw(),
        ramp.law(),
        samples,
        ramp.leftOut(),
        ramp.verdict(),
        ramp.advice(),
        new ArrayList<>(ramp.warnings()));
  }

  /**
   * With what the camera adds. Held by hand it is not square to the board, so that a millimetre is
   * not as long at one end as at the other: with the scale true on the average, a place at the
   * share f of the line is off by the difference times its length times f (1 - f).
   */
  private static Optional<Estimate> ofPicture(RampPhotoReadings readings, RampFinding ramp) {
    if (ramp.focusGapMm().isEmpty()) {
      return Optional.empty();
    }
    Estimate gap = ramp.focusGapMm().get();
    double lengthMm =
        PixelScale.distance(readings.line().startPx(), readings.line().endPx())
            / readings.pxPerMm();
    double share = Math.clamp(ramp.thinnestAlongMm().orElse(0) / lengthMm, 0, 1);
    double askew =
        (readings.board().isPresent() ? SQUARED : NOT_SQUARE)
            * lengthMm
            * share
            * (1 - share)
            * readings.riseMm()
            / readings.runMm();
    double uneven = OF_PICTURE * ramp.depthOfFocusMm().orElse(0);
    return Optional.of(
        new Estimate(gap.value(), Math.hypot(gap.uncertainty(), Math.hypot(uneven, askew))));
  }
}
