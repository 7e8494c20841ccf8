package zebrawood.devices.focus;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.devices.picture.PictureFile;
import zebrawood.focus.Ramp;
import zebrawood.focus.RampFinding;
import zebrawood.focus.RampPhoto;
import zebrawood.focus.RampPhotoFinding;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.focus.RampReadings;
import zebrawood.measure.PixelScale;
import zebrawood.measure.Verdict;

/** The burn's own law is not the solver's: it widens by dose as well as by the beam. */
class StandInBoardTest {
  private static final StandInBeam BEAM = new StandInBeam(0.2, 1.6, 7.2, 8);

  @Test
  void aBeamBehindALensIsThatOfItsOptics() {
    // By hand: 4 * 1.2 * 0.0106 * 50.8 / (pi * 16), and that times 50.8 / 16.
    StandInBeam beam = StandInBeam.behind(10_600, 50.8, 16, 1.2, 7, 6);
    assertThat(beam.waistMm()).isBetween(0.05142, 0.05143);
    assertThat(beam.rayleighMm()).isBetween(0.1632, 0.1633);
    assertThat(beam.diameterMm(7 + beam.rayleighMm()))
        .isBetween(1.414 * beam.waistMm(), 1.415 * beam.waistMm());
  }

  @Test
  void aLineFadesWhereTheDoseNoLongerMarks() {
    double fades = 7.2 + 1.6 * Math.sqrt(63);
    assertThat(BEAM.burntMm(fades - 0.05)).isPositive();
    assertThat(BEAM.burntMm(fades + 0.05)).isZero();
  }

  private static RampReadings readings(StandInBoard board, int places, double resolution) {
    return new RampReadings(
        board.read(places, resolution).stream()
            .map(w -> new RampReadings.Sample(w.alongMm(), w.lineWidthMm()))
            .toList(),
        200,
        12,
        13,
        resolution);
  }

  @Test
  void theFocusOfABurntBoardIsFoundWithinWhatIsSaid() {
    Random random = new Random(8);
    int held = 0;
    int decided = 0;
    for (int i = 0; i < 200; i++) {
      double focus = 5.5 + 3 * random.nextDouble();
      StandInBoard board = new StandInBoard(BEAM.at(focus), 200, 12, 13, 0.04, 0.1, i);
      RampFinding f = Ramp.solve(readings(board, 25, 0.02));
      if (f.verdict() == Verdict.ADJUST) {
        decided++;
        double off = Math.abs(f.focusGapMm().orElseThrow().value() - focus);
        held += off <= 2 * f.focusGapMm().orElseThrow().uncertainty() ? 1 : 0;
      }
    }
    assertThat(decided).isGreaterThan(180);
    assertThat(100.0 * held / decided).isBetween(90.0, 99.0);
  }

  private static RampPhotoReadings clicked(
      String path, StandInBoard.Photograph photo, double pxPerMm, double startOff, double endOff) {
    double sx = photo.startPx().getFirst();
    double sy = photo.startPx().getLast();
    double ex = photo.endPx().getFirst();
    double ey = photo.endPx().getLast();
    double length = Math.hypot(ex - sx, ey - sy);
    double nx = -(ey - sy) / length * pxPerMm;
    double ny = (ex - sx) / length * pxPerMm;
    return new RampPhotoReadings(
        path,
        Optional.of(new PixelScale(List.of(10.0, 10.0), List.of(10.0 + 100 * pxPerMm, 10.0), 100)),
        new RampPhotoReadings.Line(
            List.of(sx + startOff * nx, sy + startOff * ny),
            List.of(ex + endOff * nx, ey + endOff * ny)),
        120,
        10,
        12,
        Optional.empty());
  }

  private static StandInBoard.Camera camera(int width, int height, double tilt) {
    return new StandInBoard.Camera(width, height, 11, tilt, 0.9, 2);
  }

  @Test
  void aPhotographIsMeasuredThoughItIsClickedAside(@TempDir Path folder) throws Exception {
    for (int i = 0; i < 3; i++) {
      StandInBeam beam = new StandInBeam(0.25, 1.6, 7.2 - i * 0.6, 8);
      StandInBoard board = new StandInBoard(beam, 120, 10, 12, 0.03, 0.05, i);
      var photo = board.photograph(camera(1600, 700, 0.05 * (i - 1)));
      Path file = folder.resolve("board" + i + ".jpg");
      ImageIO.write(photo.image(), "jpg", file.toFile());
      RampPhotoFinding f =
          RampPhoto.solve(
              clicked(file.toString(), photo, 11, 4.5 - 4 * i, -3 + 3 * i),
              PictureFile.read("imagePath", file.toString()));
      assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
      assertThat(Math.abs(f.focusGapMm().orElseThrow().value() - beam.focusGapMm()))
          .isLessThan(0.08 * beam.rayleighMm())
          .isLessThan(4 * f.focusGapMm().orElseThrow().uncertainty());
      double[] off =
          f.samples().stream()
              .mapToDouble(s -> 11 * (s.lineWidthMm() - beam.burntMm(board.gapMm(s.alongMm()))))
              .sorted()
              .toArray();
      assertThat(Math.abs(off[off.length / 2])).as("pixels").isLessThan(0.5);
    }
  }

  /**
   * Smoke and char lie beside the line in blots, on one side more, and darkest where it is wide.
   */
  @Test
  void charBesideTheLineIsInItsUncertainty(@TempDir Path folder) throws Exception {
    int decided = 0;
    for (int i = 0; i < 6; i++) {
      StandInBeam beam = new StandInBeam(0.25, 1.6, 7.2 - i * 0.4, 8);
      StandInBoard board = new StandInBoard(beam, 120, 10, 12, 0.03, 0.05, i);
      var photo = board.photograph(camera(1600, 700, 0.03));
      blots(photo, new Random(i));
      Path file = folder.resolve("char" + i + ".jpg");
      ImageIO.write(photo.image(), "jpg", file.toFile());
      List<Double> shares = Collections.synchronizedList(new ArrayList<>());
      RampPhotoFinding f =
          RampPhoto.solve(
              clicked(file.toString(), photo, 11, 2, -2),
              PictureFile.read("imagePath", file.toString()),
              shares::add);
      if (f.verdict() == Verdict.ADJUST) {
        decided++;
        assertThat(Math.abs(f.focusGapMm().orElseThrow().value() - beam.focusGapMm()))
            .isLessThan(0.4 * beam.rayleighMm())
            .isLessThan(4 * f.focusGapMm().orElseThrow().uncertainty());
      }
      assertThat(Collections.max(shares)).isEqualTo(1.0);
    }
    assertThat(decided).isGreaterThan(3);
  }

  private static void blots(StandInBoard.Photograph photo, Random random) {
    Graphics2D g = photo.image().createGraphics();
    for (int i = 0; i < 160; i++) {
      double along = random.nextDouble();
      double side = random.nextInt(3) == 0 ? -1 : 1;
      double size = 4 + 30 * random.nextDouble();
      double x = photo.startPx().getFirst() * (1 - along) + photo.endPx().getFirst() * along;
      double y = photo.startPx().getLast() * (1 - along) + photo.endPx().getLast() * along;
      g.setColor(new Color(50, 30, 15, 10 + random.nextInt(50)));
      g.fill(new Ellipse2D.Double(x - size, y + side * size * 0.4 - size / 2, 2 * size, size));
    }
    g.dispose();
  }

  @Test
  void aBoardWithoutALineIsNotMeasured() {
    StandInBeam faint = new StandInBeam(0.2, 1.6, 7.2, 1.0001);
    var photo = new StandInBoard(faint, 120, 10, 12, 0.03, 0, 1).photograph(camera(1500, 500, 0));
    RampPhotoFinding f =
        RampPhoto.solve(
            clicked("none", photo, 11, 1, 1),
            new zebrawood.measure.Picture() {
              @Override
              public int width() {
                return photo.image().getWidth();
              }

              @Override
              public int height() {
                return photo.image().getHeight();
              }

              @Override
              public double light(int x, int y) {
                return photo.image().getRaster().getSample(x, y, 1);
              }
            });
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.focusGapMm()).isEmpty();
    assertThat(f.advice()).isNotEmpty();
  }

  @Test
  void theHeightAxisIsSetFromOneSideWhateverItsBacklash() {
    StandInFocus focus = new StandInFocus(BEAM, 9, 0, 0.6, 0.4, 5);
    focus.moveMm(-0.5);
    assertThat(focus.readGapMm()).as("lost in the backlash").isBetween(8.7, 8.9);
    IntStream.of(5, 11, 7)
        .forEach(gap -> {
          focus.setGapMm(gap);
          assertThat(focus.readGapMm()).isBetween(gap - 0.03, gap + 0.03);
        });
    assertThat(focus.probe(20)).allMatch(mm -> Math.abs(mm - 6.8) < 0.25);
    focus.setOffsetMm(0.4);
    assertThat(focus.autofocusOffMm()).isZero();
  }
}
