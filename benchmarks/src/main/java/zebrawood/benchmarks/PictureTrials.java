package zebrawood.benchmarks;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.BiConsumer;
import zebrawood.marks.DrawnScan;
import zebrawood.marks.MarkGrid;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Picture;
import zebrawood.tape.DrawnTape;
import zebrawood.tape.DrawnTape.Burn;
import zebrawood.tape.DrawnTape.Card;
import zebrawood.tape.TapePhoto;
import zebrawood.tape.TapePhotoFinding.Mark;
import zebrawood.tape.TapePhotoReadings;
import zebrawood.tape.TapeSeen;

/**
 * How well marks are found in pictures that code of its own draws, beside a plain threshold and
 * centroid that is told where each mark is; of a ramp its focus, beside the narrowest of plain
 * widths. Time is told in decodings of the same picture as JPEG. Arguments: how many of each kind,
 * and which kinds.
 */
public final class PictureTrials {
  private static final double AIM_MM = 0.5;

  public static void main(String[] args) {
    int count = args.length > 0 ? Integer.parseInt(args[0]) : 20;
    List<String> only = args.length > 1 ? List.of(args).subList(1, args.length) : List.of();
    PictureScore.heading();
    RampPictureTrials.ramps()
        .forEach((kind, draw) -> {
          if (only.isEmpty() || only.contains(kind)) {
            RampPictureTrials.ramp(kind, count, draw);
          }
        });
    tapes()
        .forEach((kind, draw) -> {
          if (only.isEmpty() || only.contains(kind)) {
            tape(kind, count, draw);
          }
        });
    scans()
        .forEach((kind, draw) -> {
          if (only.isEmpty() || only.contains(kind)) {
            scan(kind, count, draw);
          }
        });
  }

  private static Map<String, BiConsumer<DrawnTape, Random>> tapes() {
    Map<String, BiConsumer<DrawnTape, Random>> all = new LinkedHashMap<>();
    all.put("tape", (t, r) -> {});
    all.put("tape-compressed", (t, r) -> t.jpeg = 60 + r.nextInt(36));
    all.put(
        "tape-poor-light",
        (t, r) -> {
          t.shadowShare = 0.45 * r.nextDouble();
          t.glare = 0.2 * r.nextDouble();
          t.noise = 3;
        });
    all.put(
        "tape-shaken",
        (t, r) -> {
          t.shakePx = 4 * r.nextDouble();
          t.shakeDeg = 180 * r.nextDouble();
        });
    all.put(
        "tape-folds-and-bow",
        (t, r) ->
            t.cards.forEach(c -> {
              c.fold = 0.15 * r.nextDouble();
              c.crepe = 0.02 * r.nextDouble();
              c.bowMm = 0.6 * (r.nextDouble() - 0.5);
              c.bowDeg = 180 * r.nextDouble();
            }));
    all.put("tape-far", (t, r) -> t.pxPerMm = 4 + 2 * r.nextDouble());
    all.put(
        "tape-cut",
        (t, r) ->
            t.cards.forEach(c ->
                c.burns.replaceAll(b -> {
                  double share = 0.2 + 0.5 * r.nextDouble();
                  double bend = r.nextBoolean() ? 0 : b.diameterMm() * (0.8 + r.nextDouble());
                  return b.cut(share * b.diameterMm() / 2, 360 * r.nextDouble(), bend);
                })));
    return all;
  }

  private static DrawnTape tape(long seed, BiConsumer<DrawnTape, Random> draw) {
    Random r = new Random(seed * 0x9E3779B97F4A7C15L);
    DrawnTape t = new DrawnTape();
    t.seed = seed;
    t.tiltDeg = 38 * r.nextDouble();
    t.tiltTowardsDeg = 360 * r.nextDouble();
    t.width = 1000;
    t.height = 750;
    t.pxPerMm = 6.5 + 3.5 * r.nextDouble();
    t.softPx = 0.5 + r.nextDouble();
    t.bend = 0.04 * (r.nextDouble() - 0.5);
    Card card = new Card();
    card.number = 1 + r.nextInt(8);
    card.turnDeg = 360 * r.nextDouble();
    double diameter = 2.4 + 3 * r.nextDouble();
    card.with(
        Burn.round(
            14 * (r.nextDouble() - 0.5),
            14 * (r.nextDouble() - 0.5),
            diameter,
            0.25 + 0.6 * r.nextDouble()));
    t.cards.add(card);
    draw.accept(t, r);
    return t;
  }

  private static void tape(String kind, int count, BiConsumer<DrawnTape, Random> draw) {
    PictureScore score = new PictureScore();
    for (int seed = 1; seed <= count; seed++) {
      DrawnTape t = tape(seed, draw);
      Picture picture = t.picture();
      Card card = t.cards.getFirst();
      Burn burn = card.burns.getFirst();
      score.marks++;
      Optional<TapeSeen> seen = score.timed(picture, () -> read(picture));
      double[] at = t.at(card, burn.xMm(), burn.yMm());
      double pxPerMm = seen.map(s -> s.finding().targets().getFirst().pxPerMm()).orElse(t.pxPerMm);
      score.plain.add(plainOff(picture, at, (burn.diameterMm() / 2 + 1) * pxPerMm) / pxPerMm);
      if (seen.isEmpty()) {
        score.refused++;
        continue;
      }
      int before = score.errors.size();
      for (Mark m : seen.get().finding().targets().getFirst().marks()) {
        double dx = m.xMm() - burn.xMm();
        double dy = m.yMm() - burn.yMm();
        if (Math.hypot(dx, dy) > AIM_MM || score.errors.size() > before) {
          score.wrong++;
          continue;
        }
        score.errors.add(Math.hypot(dx, dy));
        score.told(dx, m.xMmUncertainty());
        score.told(dy, m.yMmUncertainty());
      }
    }
    score.say(kind, count);
  }

  private static TapeSeen read(Picture picture) {
    return TapePhoto.read(
        new TapePhotoReadings("drawn", Optional.empty(), OptionalDouble.empty(), Optional.empty()),
        picture);
  }

  private static Map<String, BiConsumer<DrawnScan, Random>> scans() {
    Map<String, BiConsumer<DrawnScan, Random>> all = new LinkedHashMap<>();
    all.put("scan", (s, r) -> s.toneLevels = 4);
    all.put("scan-uneven-light", (s, r) -> s.unevenShare = 0.5 * r.nextDouble());
    all.put("scan-wood", (s, r) -> s.grainLevels = 4 + 10 * r.nextDouble());
    all.put("scan-leather", (s, r) -> s.creaseShare = 0.1 + 0.25 * r.nextDouble());
    all.put("scan-seams", (s, r) -> s.seams = 1 + r.nextInt(6));
    all.put("scan-glare", (s, r) -> s.glare = 0.3 + 0.5 * r.nextDouble());
    all.put(
        "scan-fine-and-coarse",
        (s, r) -> {
          s.dpi = List.of(200, 200, 400, 600, 600, 1200).get(r.nextInt(6));
          s.columns = 5;
          s.rows = 5;
        });
    all.put("scan-specks", (s, r) -> s.specks = 200 + r.nextInt(1200));
    all.put(
        "scan-pen-and-rule",
        (s, r) -> {
          s.writing = true;
          s.rule = true;
          s.toneLevels = 4;
        });
    all.put("scan-faint", (s, r) -> s.depth = 0.12 + 0.1 * r.nextDouble());
    all.put(
        "scan-stretched",
        (s, r) -> {
          s.stretchX = 0.85 + 0.3 * r.nextDouble();
          s.stretchY = 0.85 + 0.3 * r.nextDouble();
        });
    all.put("scan-compressed", (s, r) -> s.jpeg = 60 + r.nextInt(36));
    all.put("scan-light-on-dark", (s, r) -> s.lightOnDark = true);
    all.put(
        "scan-missing",
        (s, r) -> {
          s.missing = 1 + r.nextInt(6);
          s.turnDeg = 16 * (r.nextDouble() - 0.5);
        });
    return all;
  }

  private static void scan(String kind, int count, BiConsumer<DrawnScan, Random> draw) {
    PictureScore score = new PictureScore();
    for (int seed = 1; seed <= count; seed++) {
      Random r = new Random(seed * 0x9E3779B97F4A7C15L);
      DrawnScan s = new DrawnScan();
      s.seed = seed;
      s.columns = 5 + r.nextInt(5);
      s.rows = 5 + r.nextInt(5);
      s.pitchMm = 10 + 6 * r.nextDouble();
      s.sizeMm = 2 + 2 * r.nextDouble();
      s.turnDeg = 4 * (r.nextDouble() - 0.5);
      s.dots = r.nextInt(3) == 0;
      draw.accept(s, r);
      Picture picture = s.picture();
      Optional<MarkGrid.Found> seen = score.timed(picture, () -> grid(picture, s));
      double px = s.pxPerMm();
      int drawn = s.columns * s.rows - s.without.size();
      score.marks += drawn;
      for (int i = 0; i < s.columns * s.rows; i++) {
        if (!s.without.contains(i)) {
          double[] at = s.truth(i % s.columns, i / s.columns);
          score.plain.add(plainOff(picture, at, 0.35 * s.pitchMm * px) / px);
        }
      }
      if (seen.isEmpty()) {
        score.refused += drawn;
        continue;
      }
      for (MarkGrid.Mark m : seen.get().marks()) {
        double[] at = s.truth(m.column(), m.row());
        double off = Math.hypot(m.xPx() - at[0], m.yPx() - at[1]) / px;
        if (off > AIM_MM || s.without.contains(m.row() * s.columns + m.column())) {
          score.wrong++;
        } else {
          score.errors.add(off);
          score.told(m.xPx() - at[0], m.uncertaintyPx());
          score.told(m.yPx() - at[1], m.uncertaintyPx());
        }
      }
    }
    score.say(kind, count);
  }

  private static MarkGrid.Found grid(Picture picture, DrawnScan s) {
    return MarkGrid.find(
        picture,
        s.dots ? MarkKind.DOT : MarkKind.CROSS,
        s.columns,
        s.rows,
        s.pitchMm * s.pxPerMm(),
        s.pxPerMm(),
        share -> {});
  }

  /** How far the centroid of what is darker than half of the way lies from the truth, in pixels. */
  private static double plainOff(Picture picture, double[] truth, double reach) {
    int left = (int) Math.max(0, truth[0] - reach);
    int top = (int) Math.max(0, truth[1] - reach);
    int right = (int) Math.min(picture.width() - 1, truth[0] + reach);
    int below = (int) Math.min(picture.height() - 1, truth[1] + reach);
    double[] all = new double[Math.max(1, (right - left + 1) * (below - top + 1))];
    int n = 0;
    for (int y = top; y <= below; y++) {
      for (int x = left; x <= right; x++) {
        all[n++] = picture.light(x, y);
      }
    }
    double[] sorted = Arrays.copyOf(all, n);
    Arrays.sort(sorted);
    double half = (sorted[n / 100] + sorted[n / 2]) / 2;
    double sx = 0;
    double sy = 0;
    int dark = 0;
    for (int i = 0; i < n; i++) {
      if (all[i] < half) {
        dark++;
        sx += left + i % (right - left + 1) + 0.5;
        sy += top + i / (right - left + 1) + 0.5;
      }
    }
    return dark == 0 ? reach : Math.hypot(sx / dark - truth[0], sy / dark - truth[1]);
  }
}
