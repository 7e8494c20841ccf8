package zebrawood.benchmarks;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiConsumer;
import zebrawood.focus.DrawnRamp;
import zebrawood.focus.RampPhoto;
import zebrawood.focus.RampPhotoFinding;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.measure.Estimate;
import zebrawood.measure.Picture;

/** Boards of a ramp in photographs, for {@link PictureTrials}. */
final class RampPictureTrials {
  private RampPictureTrials() {}

  static Map<String, BiConsumer<DrawnRamp, Random>> ramps() {
    Map<String, BiConsumer<DrawnRamp, Random>> all = new LinkedHashMap<>();
    all.put("ramp", (b, r) -> {});
    all.put("ramp-grain", (b, r) -> b.grainLevels = 4 + 8 * r.nextDouble());
    all.put("ramp-blurred", (b, r) -> b.blurPx = 1 + 2 * r.nextDouble());
    all.put("ramp-faint", (b, r) -> b.depth = 0.06 + 0.1 * r.nextDouble());
    all.put("ramp-bowed", (b, r) -> b.bendMm = 4 * (r.nextDouble() - 0.5));
    all.put(
        "ramp-second-line",
        (b, r) -> {
          b.besideMm = (r.nextBoolean() ? 1 : -1) * (2 + 2 * r.nextDouble());
          b.besideShare = 0.2 + 0.5 * r.nextDouble();
        });
    all.put(
        "ramp-angle",
        (b, r) -> {
          b.tiltDeg = 5 + 33 * r.nextDouble();
          b.towardsDeg = 360 * r.nextDouble();
        });
    all.put(
        "ramp-light-compressed",
        (b, r) -> {
          b.unevenShare = 0.6 * r.nextDouble();
          b.jpeg = 60 + r.nextInt(36);
        });
    return all;
  }

  /** Wrong is a focus that is stated and off by more than half of the depth of focus. */
  static void ramp(String kind, int count, BiConsumer<DrawnRamp, Random> draw) {
    PictureScore score = new PictureScore();
    for (int seed = 1; seed <= count; seed++) {
      Random r = new Random(seed * 0x9E3779B97F4A7C15L);
      DrawnRamp board = new DrawnRamp();
      board.seed = seed;
      board.focusMm = 5 + 4 * r.nextDouble();
      board.spotMm = 0.15 + 0.25 * r.nextDouble();
      board.rayleighMm = 0.8 + 1.7 * r.nextDouble();
      board.pxPerMm = 11 + 4 * r.nextDouble();
      draw.accept(board, r);
      Picture picture = board.picture();
      RampPhotoReadings readings = board.readings(2 * (r.nextDouble() - 0.5));
      score.marks++;
      score.plain.add(Math.abs(plainFocus(board, picture) - board.focusMm));
      Optional<Estimate> gap =
          score
              .timed(picture, () -> RampPhoto.solve(readings, picture))
              .flatMap(RampPhotoFinding::focusGapMm);
      if (gap.isEmpty()) {
        score.refused++;
        continue;
      }
      double off = Math.abs(gap.get().value() - board.focusMm);
      if (off > 0.458 * board.rayleighMm) {
        score.wrong++;
        continue;
      }
      score.errors.add(off);
      score.told(off, gap.get().uncertainty());
    }
    score.say(kind, count);
  }

  /** Gap where the line is narrowest: pixels across it below half of the way, at 40 places. */
  private static double plainFocus(DrawnRamp board, Picture picture) {
    double least = Double.MAX_VALUE;
    double focus = Double.NaN;
    for (int place = 1; place < 40; place++) {
      double along = DrawnRamp.RUN_MM * place / 40;
      int n = (int) (6 * board.pxPerMm);
      double[] light = new double[n];
      for (int i = 0; i < n; i++) {
        List<Double> at =
            board.at(
                DrawnRamp.MARGIN_MM + along, DrawnRamp.DOWN_MM / 2 + (i - n / 2.0) / board.pxPerMm);
        light[i] = picture.light(at.getFirst().intValue(), at.getLast().intValue());
      }
      double[] sorted = light.clone();
      Arrays.sort(sorted);
      double half = (sorted[0] + sorted[n / 2]) / 2;
      double wide = Arrays.stream(light).filter(l -> l < half).count();
      if (wide < least) {
        least = wide;
        focus = DrawnRamp.START_GAP_MM - along * DrawnRamp.RISE_MM / DrawnRamp.RUN_MM;
      }
    }
    return focus;
  }
}
