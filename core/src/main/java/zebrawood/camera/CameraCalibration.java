package zebrawood.camera;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.camera.CameraFinding.PlaceOnBed;
import zebrawood.camera.CameraFinding.WorstMark;
import zebrawood.camera.CameraReadings.Asked;
import zebrawood.camera.CameraStart.Start;
import zebrawood.camera.MisreadMarks.Kept;
import zebrawood.measure.Resolution;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Lens, place and map of a camera over a bed, out of marks at known places: misread ones are left
 * out, each other one is held against the map of the rest, and what a place is sure to is told over
 * the whole bed.
 */
public final class CameraCalibration {
  /** Heights that differ by less count as one. */
  private static final double APART_MM = 5;

  /** Of the bed: marks that span less leave the rest to guesswork. */
  private static final double LEAST_SPAN = 0.5;

  /** A focal length that is told no better than this is the one that suits these marks. */
  private static final double TOLD_FOCAL = 0.02;

  /** A picture whose mirror image leaves less than this of its misfit was mirrored. */
  private static final double MIRRORED = 0.1;

  /** Of the picture's width: a smaller misfit needs no other reason than the reading's. */
  private static final double POOR = 0.002;

  private static final double POOR_TIMES = 4;
  private static final double MOST_OF_BED = 0.98;

  private CameraCalibration() {}

  /**
   * A finding with the map it came from.
   *
   * @param kept the marks that count, by number
   */
  record Solved(CameraFinding finding, List<Integer> kept) {}

  /**
   * @throws UnusableReading where no camera above the bed can see the marks so
   */
  public static CameraFinding solve(CameraReadings readings) {
    return solved(readings, 0).finding();
  }

  /**
   * @param nearPx a mark that lies no further off is not misread, however well the others agree
   */
  static Solved solved(CameraReadings readings, double nearPx) {
    double resolutionPx = readings.markResolutionPx();
    List<CameraMark> marks = readings.marks();
    int misread = marks.size() / 10;
    List<Start> starts = CameraStart.of(marks, readings.image(), readings.lens(), misread);
    CameraFit fit =
        readings
            .lens()
            .map(lens -> CameraFit.given(marks, lens))
            .orElseGet(() -> CameraFit.unknown(marks, readings.image()));
    Optional<Kept> found =
        MisreadMarks.of(fit, starts, Resolution.standardDeviation(resolutionPx), nearPx);
    if (found.isEmpty() || poor(readings, found.get(), resolutionPx)) {
      notMirrored(readings, found, misread);
    }
    Kept kept = found.orElseThrow(CameraCalibration::noCamera);
    return told(readings, kept, resolutionPx);
  }

  private static UnusableReading noCamera() {
    return UnusableReading.of(
        "marks", Message.of("camera.found.no-camera"), Message.of("camera.accepts.seen-so"));
  }

  private static double rms(List<CameraMark> marks, Kept kept) {
    CameraView view = kept.fitted().view();
    double sum = 0;
    for (int i : kept.kept()) {
      CameraMark m = marks.get(i);
      double[] px = view.px(m.xMm(), m.yMm(), m.height());
      sum += Math.pow(px[0] - m.xPx(), 2) + Math.pow(px[1] - m.yPx(), 2);
    }
    return Math.sqrt(sum / (2 * kept.kept().length));
  }

  private static boolean poor(CameraReadings readings, Kept kept, double resolutionPx) {
    return rms(readings.marks(), kept)
        > Math.max(
            POOR * readings.image().widthPx(),
            POOR_TIMES * Resolution.standardDeviation(resolutionPx));
  }

  /** A mirrored picture is seen by no camera above the bed, but its mirror image is. */
  private static void notMirrored(CameraReadings readings, Optional<Kept> found, int misread) {
    List<CameraMark> turned =
        readings.marks().stream()
            .map(m ->
                new CameraMark(
                    m.xMm(), m.yMm(), m.heightMm(), readings.image().widthPx() - m.xPx(), m.yPx()))
            .toList();
    List<Start> starts = CameraStart.of(turned, readings.image(), readings.lens(), misread);
    if (starts.isEmpty()) {
      return;
    }
    double mirrored = Math.sqrt(starts.getFirst().cost() / (2.0 * (turned.size() - misread)));
    double now = found.map(k -> rms(readings.marks(), k)).orElse(Double.MAX_VALUE);
    if (mirrored < MIRRORED * now) {
      throw UnusableReading.of(
          "marks", Message.of("camera.found.mirrored"), Message.of("camera.accepts.not-mirrored"));
    }
  }

  /** The mean height of the marks where all count as one height, and no lens tells others. */
  private static OptionalDouble only(CameraReadings readings) {
    double lowest = readings.marks().stream().mapToDouble(CameraMark::height).min().orElseThrow();
    double highest = readings.marks().stream().mapToDouble(CameraMark::height).max().orElseThrow();
    return readings.lens().isPresent() || highest - lowest >= APART_MM
        ? OptionalDouble.empty()
        : readings.marks().stream().mapToDouble(CameraMark::height).average();
  }

  private static Solved told(CameraReadings readings, Kept kept, double resolutionPx) {
    CameraView view = kept.fitted().view();
    CameraMap map =
        new CameraMap(view, kept.fitted().covariance(), readings.image(), only(readings));
    List<CameraMark> marks = readings.marks();
    double heldOut = 0;
    WorstMark worstMark = new WorstMark(0, 0, -1);
    for (int i : kept.kept()) {
      CameraMark m = marks.get(i);
      double[] held = map.onPlane(m.xMm(), m.yMm(), m.height(), kept.heldOut()[i]);
      heldOut += held[0] * held[0] + held[1] * held[1];
      double miss = miss(map, m);
      if (miss > worstMark.missMm()) {
        worstMark = new WorstMark(m.xMm(), m.yMm(), miss);
      }
    }
    CameraMap.Worst worst = map.worst(readings.bedMm(), marks);
    List<Optional<PlaceOnBed>> at =
        readings.at().orElse(List.of()).stream()
            .map(a -> map.at(a.xPx(), a.yPx(), a.heightMm()))
            .toList();
    List<Integer> misread =
        IntStream.range(0, marks.size())
            .filter(i -> Arrays.binarySearch(kept.kept(), i) < 0)
            .boxed()
            .toList();
    List<Advice> again = again(readings, map, kept);
    Verdict verdict =
        !again.isEmpty()
            ? Verdict.MEASURE_AGAIN
            : worst.marginMm() > readings.toleranceMm() ? Verdict.ADJUST : Verdict.WITHIN;
    List<Advice> advice = new ArrayList<>(again);
    if (worst.marginMm() > readings.toleranceMm()) {
      advice.add(
          Advice.act(
                  "camera.leave-margin",
                  Amount.mm(worst.marginMm(), 1),
                  Amount.mm(worst.atMm().get(0), 0),
                  Amount.mm(worst.atMm().get(1), 0))
              .because("camera.leave-margin.why", Amount.mm(readings.toleranceMm(), 2)));
    } else if (again.isEmpty()) {
      advice.add(
          Advice.leave("camera.leave").because("camera.leave.why", Amount.mm(worst.marginMm(), 2)));
    }
    CameraFinding finding =
        new CameraFinding(
            readings.lens().orElse(view.lens()),
            map.only().isPresent()
                ? new KnownPlace(Optional.empty())
                : new KnownPlace(Optional.of(List.of(view.x(), view.y(), view.z()))),
            rms(marks, kept),
            Math.sqrt(heldOut / kept.kept().length),
            worstMark,
            worst.marginMm(),
            map.only().isPresent()
                ? OptionalDouble.empty()
                : OptionalDouble.of(worst.heightSlope()),
            at,
            misread,
            BedView.of(map),
            map.margins(readings.bedMm()),
            verdict,
            advice,
            warnings(readings, kept, worst, misread, resolutionPx));
    return new Solved(finding, Arrays.stream(kept.kept()).boxed().toList());
  }

  /** From where a mark is to where the map has it, on its plane. */
  private static double miss(CameraMap map, CameraMark m) {
    double[] px = map.view().px(m.xMm(), m.yMm(), m.height());
    return map.view()
        .place(m.xPx(), m.yPx(), m.height())
        .map(p -> Math.hypot(p[0] - m.xMm(), p[1] - m.yMm()))
        .orElseGet(() -> {
          double[] off =
              map.onPlane(
                  m.xMm(), m.yMm(), m.height(), new double[] {m.xPx() - px[0], m.yPx() - px[1]});
          return Math.hypot(off[0], off[1]);
        });
  }

  private static List<Advice> again(CameraReadings readings, CameraMap map, Kept kept) {
    List<Advice> again = new ArrayList<>();
    List<CameraMark> marks = Arrays.stream(kept.kept()).mapToObj(readings.marks()::get).toList();
    if (narrow(marks.stream().mapToDouble(CameraMark::xMm).toArray(), readings.bedX())
        || narrow(marks.stream().mapToDouble(CameraMark::yMm).toArray(), readings.bedY())) {
      again.add(Advice.read("camera.wider").because("camera.wider.why"));
    }
    boolean otherHeight =
        readings.at().orElse(List.of()).stream()
            .mapToDouble(Asked::heightMm)
            .anyMatch(h -> !map.tells(h));
    if (otherHeight) {
      again.add(
          Advice.read("camera.other-height", Amount.mm(APART_MM, 0))
              .because("camera.other-height.why"));
    }
    if (kept.more()) {
      again.add(Advice.read("camera.more-misread").because("camera.more-misread.why"));
    }
    return again;
  }

  private static boolean narrow(double[] places, double bed) {
    double least = Arrays.stream(places).min().orElseThrow();
    double most = Arrays.stream(places).max().orElseThrow();
    return most - least < LEAST_SPAN * bed;
  }

  private static List<Message> warnings(
      CameraReadings readings,
      Kept kept,
      CameraMap.Worst worst,
      List<Integer> misread,
      double resolutionPx) {
    List<Message> warnings = new ArrayList<>();
    for (int i : misread) {
      CameraMark m = readings.marks().get(i);
      warnings.add(Message.of("camera.misread", Amount.mm(m.xMm(), 1), Amount.mm(m.yMm(), 1)));
    }
    double focal =
        Math.sqrt(kept.fitted().covariance().getEntry(CameraView.FOCAL, CameraView.FOCAL));
    if (readings.lens().isEmpty() && focal > TOLD_FOCAL) {
      warnings.add(Message.of("camera.effective-lens"));
    }
    if (worst.share() < MOST_OF_BED) {
      warnings.add(
          Message.of("camera.part-of-bed", Amount.of(100 * worst.share(), Quantity.PERCENT, 0)));
    }
    if (poor(readings, kept, resolutionPx)) {
      warnings.add(
          Message.of(
              "camera.poor-fit",
              Amount.of(rms(readings.marks(), kept), Quantity.NUMBER, 1),
              Message.number(resolutionPx)));
    }
    return warnings;
  }
}
