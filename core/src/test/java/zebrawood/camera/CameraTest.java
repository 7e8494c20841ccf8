package zebrawood.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.camera.CameraFinding.PlaceOnBed;
import zebrawood.camera.CameraReadings.Image;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

/** The camera out of marks, against cameras made up by code that shares nothing with it. */
class CameraTest {
  private static final double UNIFORM = Math.sqrt(12);

  /** How often a place lies within twice its uncertainty. */
  private record Held(int within, int of, int wronglyOut, int missed) {
    double share() {
      return (double) within / of;
    }

    Held and(Held more) {
      return new Held(
          within + more.within, of + more.of, wronglyOut + more.wronglyOut, missed + more.missed);
    }
  }

  private static Held held(
      ImaginedCamera camera, List<CameraMark> marks, double noise, double highest, Random random) {
    return held(camera, marks, List.of(), noise, highest, Optional.empty(), random);
  }

  private static Held held(
      ImaginedCamera camera,
      List<CameraMark> marks,
      List<Integer> bad,
      double noise,
      double highest,
      Optional<CameraLens> lens,
      Random random) {
    double[][] at = new double[12][];
    for (int i = 0; i < at.length; i++) {
      at[i] =
          new double[] {
            camera.bedMm[0] * random.nextDouble(),
            camera.bedMm[1] * random.nextDouble(),
            highest * random.nextDouble()
          };
    }
    CameraFinding f = CameraCalibration.solve(camera.readings(marks, UNIFORM * noise, lens, at));
    int within = 0;
    int of = 0;
    for (int i = 0; i < at.length; i++) {
      Optional<PlaceOnBed> place = f.at().get(i);
      if (place.isPresent()) {
        double off = Math.hypot(place.get().xMm() - at[i][0], place.get().yMm() - at[i][1]);
        within += off <= 2 * place.get().uncertaintyMm() ? 1 : 0;
        of++;
      }
    }
    return new Held(
        within,
        of,
        (int) f.misread().stream().filter(i -> !bad.contains(i)).count(),
        (int) bad.stream().filter(i -> !f.misread().contains(i)).count());
  }

  @ParameterizedTest
  @EnumSource
  void placesLieWithinTwiceTheirUncertainty(ImaginedCamera.Kind kind) {
    Held flat = new Held(0, 0, 0, 0);
    Held two = flat;
    Held given = flat;
    for (int seed = 0; seed < 12; seed++) {
      Random random = new Random(seed);
      ImaginedCamera camera = ImaginedCamera.of(kind, random);
      double noise = 0.1 + 0.5 * random.nextDouble();
      double[] heights = {0, 30};
      flat =
          flat.and(
              held(
                  camera,
                  camera.marks(6, 5, 0.06, new double[] {0}, noise, random),
                  noise,
                  0,
                  random));
      two =
          two.and(
              held(camera, camera.marks(6, 5, 0.06, heights, noise, random), noise, 30, random));
      given =
          given.and(
              held(
                  camera,
                  camera.marks(4, 3, 0.06, new double[] {0}, noise, random),
                  List.of(),
                  noise,
                  30,
                  Optional.of(camera.lens()),
                  random));
    }
    assertThat(flat.of).isGreaterThan(120);
    assertThat(flat.share()).isBetween(0.9, 1.0);
    assertThat(two.share()).isBetween(0.9, 1.0);
    assertThat(given.share()).isBetween(0.88, 1.0);
    assertThat(flat.wronglyOut + two.wronglyOut + given.wronglyOut).isLessThanOrEqualTo(1);
  }

  @ParameterizedTest
  @EnumSource
  void aTenthOfTheMarksMayBeMisreadByAnyAmount(ImaginedCamera.Kind kind) {
    Held all = new Held(0, 0, 0, 0);
    int bad = 0;
    for (int seed = 0; seed < 12; seed++) {
      Random random = new Random(100 + seed);
      ImaginedCamera camera = ImaginedCamera.of(kind, random);
      double noise = 0.1 + 0.4 * random.nextDouble();
      List<CameraMark> marks =
          new ArrayList<>(camera.marks(8, 6, 0.06, new double[] {0}, noise, random));
      TreeSet<Integer> misread = new TreeSet<>();
      while (misread.size() < marks.size() / 10) {
        misread.add(random.nextInt(marks.size()));
      }
      for (int i : misread) {
        CameraMark m = marks.get(i);
        double off = 15 * noise + 300 * Math.pow(random.nextDouble(), 2);
        double towards = 2 * Math.PI * random.nextDouble();
        marks.set(
            i,
            new CameraMark(
                m.xMm(),
                m.yMm(),
                m.heightMm(),
                Math.clamp(m.xPx() + off * Math.cos(towards), 0, camera.widthPx),
                Math.clamp(m.yPx() + off * Math.sin(towards), 0, camera.heightPx)));
      }
      bad += misread.size();
      all = all.and(held(camera, marks, List.copyOf(misread), noise, 0, Optional.empty(), random));
    }
    assertThat(bad).isGreaterThan(36);
    assertThat(all.missed).isLessThanOrEqualTo(1);
    assertThat(all.wronglyOut).isLessThanOrEqualTo(1);
    assertThat(all.share()).isGreaterThan(0.9);
  }

  private static CameraReadings lid(long seed, double[] heights, double[][] at) {
    Random random = new Random(seed);
    ImaginedCamera camera = ImaginedCamera.of(ImaginedCamera.Kind.LID, random);
    return camera.readings(
        camera.marks(6, 5, 0.05, heights, 0.2, random), 0.7, Optional.empty(), at);
  }

  @Test
  void oneHeightTellsPlacesAtThatHeightAlone() {
    double[][] at = {{100, 100, 0}, {100, 100, 0.4}, {100, 100, 12}};
    CameraFinding f = CameraCalibration.solve(lid(3, new double[] {0}, at));
    assertThat(f.cameraMm().mm()).isEmpty();
    assertThat(f.heightSlopeMmPerMm()).isEmpty();
    assertThat(f.at().get(0)).isPresent();
    assertThat(f.at().get(1)).isPresent();
    assertThat(f.at().get(2)).isEmpty();
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(zebrawood.words.Phrasebook.ENGLISH).getFirst()).contains("second height");
  }

  @Test
  void twoHeightsTellWhereTheCameraIs() {
    Random random = new Random(8);
    ImaginedCamera camera = ImaginedCamera.of(ImaginedCamera.Kind.LID, random);
    List<CameraMark> marks = camera.marks(8, 6, 0.05, new double[] {2, 40}, 0.1, random);
    CameraFinding f =
        CameraCalibration.solve(
            camera.readings(marks, 0.35, Optional.empty(), new double[][] {{50, 50, 20}}));
    assertThat(f.cameraMm().mm().orElseThrow().get(2)).isCloseTo(camera.place()[2], within(6.0));
    double[] foot = camera.place();
    double farthest = 0;
    for (double x : new double[] {0, camera.bedMm[0]}) {
      for (double y : new double[] {0, camera.bedMm[1]}) {
        farthest = Math.max(farthest, Math.hypot(x - foot[0], y - foot[1]));
      }
    }
    assertThat(f.heightSlopeMmPerMm().orElseThrow()).isCloseTo(farthest / foot[2], within(0.05));
    assertThat(f.verdict()).isNotEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.heldOutRmsMm()).isPositive();
    assertThat(f.worstMark().missMm()).isPositive();
  }

  /** Each mark left out by its own weight is the same as fitting without it. */
  @Test
  void heldBackMarksAreWhatAFitWithoutThemLeaves() {
    CameraReadings readings = lid(5, new double[] {0}, new double[0][]);
    CameraFinding all = CameraCalibration.solve(readings);
    double squares = 0;
    for (int i = 0; i < readings.marks().size(); i++) {
      List<CameraMark> others = new ArrayList<>(readings.marks());
      CameraMark m = others.remove(i);
      CameraFinding without =
          CameraCalibration.solve(
              new CameraReadings(
                  readings.image(),
                  others,
                  readings.markResolutionPx(),
                  0.5,
                  readings.bedMm(),
                  Optional.empty(),
                  Optional.of(List.of(new CameraReadings.Asked(m.xPx(), m.yPx(), 0)))));
      PlaceOnBed at = without.at().getFirst().orElseThrow();
      squares += Math.pow(at.xMm() - m.xMm(), 2) + Math.pow(at.yMm() - m.yMm(), 2);
    }
    double refitted = Math.sqrt(squares / readings.marks().size());
    assertThat(all.heldOutRmsMm()).isCloseTo(refitted, within(0.1 * refitted));
  }

  @Test
  void whatNoCameraSeesIsRefusedInWords() {
    CameraReadings r = lid(11, new double[] {0}, new double[0][]);
    List<CameraMark> mirrored =
        r.marks().stream()
            .map(m ->
                new CameraMark(
                    m.xMm(), m.yMm(), m.heightMm(), r.image().widthPx() - m.xPx(), m.yPx()))
            .toList();
    assertThatThrownBy(() -> CameraCalibration.solve(with(r, mirrored)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("mirrored");
    List<CameraMark> line =
        r.marks().stream()
            .map(
                m -> new CameraMark(m.xMm(), 100 + 0.001 * m.yMm(), m.heightMm(), m.xPx(), m.yPx()))
            .toList();
    assertThatThrownBy(() -> with(r, line)).hasMessageContaining("marks");
    assertThatThrownBy(() -> with(r, r.marks().subList(0, 7))).hasMessageContaining("at least 8");
    assertThatThrownBy(() ->
            new CameraReadings(
                new Image(0, 0),
                r.marks(),
                0,
                -1,
                List.of(1.0),
                Optional.empty(),
                Optional.empty()))
        .hasMessageContaining("image.widthPx")
        .hasMessageContaining("bedMm");
    assertThatThrownBy(() -> new CameraLens(-1, List.of(1.0), 0, 0, 0, 0))
        .hasMessageContaining("focalPx");
  }

  private static CameraReadings with(CameraReadings r, List<CameraMark> marks) {
    return new CameraReadings(
        r.image(), marks, r.markResolutionPx(), 0.5, r.bedMm(), r.lens(), r.at());
  }

  @Test
  void marksOverLessThanHalfOfTheBedAreToBeReadAgain() {
    CameraReadings r = lid(13, new double[] {0}, new double[0][]);
    List<CameraMark> left =
        r.marks().stream().filter(m -> m.xMm() < 0.45 * r.bedMm().get(0)).toList();
    CameraFinding f = CameraCalibration.solve(with(r, left));
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  @Test
  void aLensIsFollowedToItsRimAndNoFurther() {
    CameraLens pinhole =
        new CameraLens(800, List.of(640.0, 480.0), 1 / 3.0, 2 / 15.0, 0.054, 0.022);
    assertThat(pinhole.radius(0.5)).isCloseTo(Math.tan(0.5), within(1e-4));
    double farthest = pinhole.farthest();
    for (double angle = 0; angle < farthest; angle += 0.1) {
      assertThat(pinhole.angle(pinhole.radius(angle), farthest)).isCloseTo(angle, within(1e-9));
    }
    CameraLens turnsBack = new CameraLens(800, List.of(640.0, 480.0), -0.4, 0, 0, 0);
    assertThat(turnsBack.farthest()).isLessThan(Math.sqrt(1 / 1.2));
    assertThat(turnsBack.angle(2, turnsBack.farthest())).isNaN();
  }

  @Test
  void aCameraOnTheHeadLooksAlongTheBeamOrNot() {
    CloseUp one =
        CloseUp.of(
            new CloseUpReadings(
                -30,
                12,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(5),
                OptionalDouble.of(400),
                0.1));
    assertThat(one.offsetXMm()).isEqualTo(30);
    assertThat(one.offsetYMm()).isEqualTo(-12);
    assertThat(one.driftMmPerMm()).isEmpty();
    assertThat(one.pxPerMm().orElseThrow()).isCloseTo(80, within(1e-9));
    CloseUp two =
        CloseUp.of(
            new CloseUpReadings(
                -30,
                12,
                OptionalDouble.of(-29.4),
                OptionalDouble.of(12.8),
                OptionalDouble.of(20),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                0.1));
    assertThat(two.driftMmPerMm().orElseThrow()).isCloseTo(0.05, within(1e-9));
    assertThat(two.driftMmPerMmUncertainty().orElseThrow()).isBetween(0.001, 0.004);
  }
}
