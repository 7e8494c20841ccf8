package zebrawood.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.marks.MarkKind;
import zebrawood.measure.UnusableReading;

/** Photographs of targets, drawn by code that shares nothing with their reader. */
class CameraPhotoTest {
  private static final int WIDTH_PX = 1120;

  private static DrawnCameraPhoto drawn(
      ImaginedCamera.Kind kind, MarkKind mark, long seed, Consumer<DrawnCameraPhoto> how) {
    Random random = new Random(seed);
    ImaginedCamera camera = ImaginedCamera.of(kind, random, WIDTH_PX);
    DrawnCameraPhoto photo =
        new DrawnCameraPhoto(camera, DrawnCameraPhoto.target(camera, 8, 5, mark, 0.08, 3), random);
    how.accept(photo);
    photo.draw(0.8, 2);
    return photo;
  }

  private static CameraPhotoReadings readings(DrawnCameraPhoto photo, double offPx, Random random) {
    List<List<Double>> corners = new ArrayList<>();
    int right = photo.target.columns() - 1;
    int rear = photo.target.rows() - 1;
    for (int[] c : new int[][] {{0, 0}, {right, 0}, {right, rear}, {0, rear}}) {
      double[] px = photo.truePx(c[0], c[1]);
      double towards = 2 * Math.PI * random.nextDouble();
      corners.add(
          List.of(
              Math.clamp(px[0] + offPx * Math.cos(towards), 0, photo.width()),
              Math.clamp(px[1] + offPx * Math.sin(towards), 0, photo.height())));
    }
    return new CameraPhotoReadings(
        "photo.png",
        photo.target,
        corners,
        0.5,
        List.of(photo.camera.bedMm[0], photo.camera.bedMm[1]),
        Optional.empty(),
        Optional.empty());
  }

  @ParameterizedTest
  @ValueSource(strings = {"plain", "uneven", "glare", "grain", "specks", "hidden", "jpeg", "light"})
  void marksAreFoundToAFractionOfAPixelAndNothingElseIs(String how) throws IOException {
    int of = 0;
    int found = 0;
    double worst = 0;
    for (ImaginedCamera.Kind kind : ImaginedCamera.Kind.values()) {
      MarkKind mark = kind == ImaginedCamera.Kind.POST ? MarkKind.DOT : MarkKind.CROSS;
      DrawnCameraPhoto photo =
          drawn(
              kind,
              mark,
              31L * kind.ordinal() + how.hashCode(),
              p -> {
                p.uneven = how.equals("uneven");
                p.glare = how.equals("glare");
                p.grain = how.equals("grain");
                p.specks = how.equals("specks");
                p.lightOnDark = how.equals("light");
                if (how.equals("hidden")) {
                  p.hide(8);
                }
              });
      if (how.equals("jpeg")) {
        photo.throughJpeg(0.6);
      }
      CameraPhotoFinding f =
          CameraPhoto.solve(readings(photo, 10, new Random(kind.ordinal())), photo);
      of += photo.target.marks() - photo.hidden.size();
      for (Point p : f.points()) {
        assertThat(photo.hidden).doesNotContain(List.of(p.column(), p.row()));
        double[] px = photo.truePx(p.column(), p.row());
        worst = Math.max(worst, Math.hypot(p.xPx() - px[0], p.yPx() - px[1]));
        found++;
      }
      assertThat(f.points().size() + f.missing().size()).isEqualTo(photo.target.marks());
    }
    assertThat(found).isGreaterThan((int) ((how.equals("specks") ? 0.87 : 0.93) * of));
    assertThat(worst).isLessThan(how.equals("specks") ? 1.5 : 0.5);
  }

  @Test
  void marksMayBeTakenOutAndPutIn() {
    DrawnCameraPhoto photo = drawn(ImaginedCamera.Kind.LID, MarkKind.CROSS, 5, p -> p.hide(1));
    List<Integer> hidden = photo.hidden.iterator().next();
    double[] px = photo.truePx(hidden.get(0), hidden.get(1));
    CameraPhoto.Solved by =
        CameraPhoto.solved(
            new CameraTask.ByPhoto(
                readings(photo, 5, new Random(1)),
                Optional.of(List.of(new CameraPhotoFinding.Missing(1, 1))),
                Optional.of(List.of(new Point(hidden.get(0), hidden.get(1), px[0], px[1])))),
            photo,
            share -> {});
    assertThat(by.missing()).containsExactly(new CameraPhotoFinding.Missing(1, 1));
    assertThat(by.points()).contains(new Point(hidden.get(0), hidden.get(1), px[0], px[1]));
  }

  @Test
  void aPictureThatIsOutOfFocusIsSaidToBe() {
    for (double blurPx : new double[] {0.8, 6}) {
      Random random = new Random(3);
      ImaginedCamera camera = ImaginedCamera.of(ImaginedCamera.Kind.LID, random, WIDTH_PX);
      DrawnCameraPhoto photo =
          new DrawnCameraPhoto(
              camera, DrawnCameraPhoto.target(camera, 6, 4, MarkKind.DOT, 0.08, 0), random);
      photo.radiusMm = 0.16 * photo.target.pitchMm();
      photo.draw(blurPx, 1.5);
      CameraPhotoFinding f = CameraPhoto.solve(readings(photo, 3, random), photo);
      assertThat(f.warnings().stream().anyMatch(w -> w.key().equals("camera.blurred")))
          .isEqualTo(blurPx > 3);
    }
  }

  @Test
  void whatIsNoTargetIsRefusedInWords() {
    DrawnCameraPhoto photo = drawn(ImaginedCamera.Kind.POST, MarkKind.DOT, 9, p -> p.radiusMm = 0);
    CameraPhotoReadings r = readings(photo, 3, new Random(2));
    assertThatThrownBy(() -> CameraPhoto.solve(r, photo))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("40 marks found");
    List<List<Double>> turned = new ArrayList<>(r.cornersPx());
    java.util.Collections.reverse(turned);
    assertThatThrownBy(() -> with(r, turned)).hasMessageContaining("mirrored");
    List<List<Double>> outside = new ArrayList<>(r.cornersPx());
    List<Double> corner = outside.get(0);
    outside.set(0, List.of(560 + 4 * (corner.get(0) - 560), 420 + 4 * (corner.get(1) - 420)));
    assertThatThrownBy(() -> CameraPhoto.solve(with(r, outside), photo))
        .hasMessageContaining("outside of a picture of 1120 by 840 pixels");
  }

  private static CameraPhotoReadings with(CameraPhotoReadings r, List<List<Double>> corners) {
    return new CameraPhotoReadings(
        r.imagePath(), r.target(), corners, r.toleranceMm(), r.bedMm(), r.lens(), r.at());
  }
}
