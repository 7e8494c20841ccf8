package zebrawood.benchmarks;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javax.imageio.ImageIO;
import zebrawood.camera.CameraCalibration;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraFinding.PlaceOnBed;
import zebrawood.camera.CameraMark;
import zebrawood.camera.CameraPhoto;
import zebrawood.camera.CameraPhotoFinding;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings;
import zebrawood.camera.DrawnCameraPhoto;
import zebrawood.camera.ImaginedCamera;
import zebrawood.camera.ImaginedCamera.Kind;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Projective;
import zebrawood.measure.UnusableReading;

/**
 * How true a camera's map is over the bed, against what is stated, beside a plain homography
 * through the same marks and the vision library's own fisheye calibration of them; and how well
 * marks of photographs are found. Arguments: how many cameras, how many photographs, how wide these
 * are in pixels.
 */
public final class CameraTrials {
  private static final double UNIFORM = Math.sqrt(12);
  private static final int ASKED = 20;

  private CameraTrials() {}

  public static void main(String[] args) throws IOException {
    int cameras = args.length > 0 ? Integer.parseInt(args[0]) : 60;
    int photographs = args.length > 1 ? Integer.parseInt(args[1]) : 9;
    int width = args.length > 2 ? Integer.parseInt(args[2]) : 1600;
    for (Kind kind : Kind.values()) {
      for (boolean misread : new boolean[] {false, true}) {
        for (double height : new double[] {0, 30}) {
          if (cameras > 0) {
            new Cameras(kind, misread, height).run(cameras);
          }
        }
      }
    }
    for (String how :
        new String[] {"plain", "uneven", "glare", "grain", "specks", "hidden", "JPEG 60"}) {
      if (photographs > 0) {
        new Photographs(how, width).run(photographs);
      }
    }
  }

  /** Cameras of one kind, their marks read to 0.05 to 0.65 px. */
  private static final class Cameras {
    private final Kind kind;
    private final boolean misread;
    private final double height;
    private final List<Double> errors = new ArrayList<>();
    private final List<Double> flat = new ArrayList<>();
    private final List<Double> millis = new ArrayList<>();
    private final List<Double> flatMillis = new ArrayList<>();
    private final List<Double> library = new ArrayList<>();
    private final List<Double> libraryMillis = new ArrayList<>();
    private int libraryFailed;
    private int within;
    private int inMargin;
    private int told;
    private int bad;
    private int missed;
    private int falsely;
    private int refused;

    Cameras(Kind kind, boolean misread, double height) {
      this.kind = kind;
      this.misread = misread;
      this.height = height;
    }

    void run(int count) {
      for (int i = 0; i < count; i++) {
        one(new Random(7919L * i + kind.ordinal()));
      }
      System.out.printf(
          Locale.ROOT,
          "%-8s %s %s, %d cameras: error median %.3f 99 %% %.3f mm (homography %.2f, %.2f), within"
              + " 2 u %.3f, within margin %.3f; misread %d, missed %d, falsely out %d, refused %d;"
              + " %.1f ms (homography %.2f); library %.3f, %.3f mm, failed %d, %.1f ms%n",
          kind,
          height > 0 ? "two heights" : "one height ",
          misread ? "a tenth misread" : "none misread   ",
          count,
          PictureScore.at(errors, 0.5),
          PictureScore.at(errors, 0.99),
          PictureScore.at(flat, 0.5),
          PictureScore.at(flat, 0.99),
          (double) within / told,
          (double) inMargin / told,
          bad,
          missed,
          falsely,
          refused,
          PictureScore.at(millis, 0.5),
          PictureScore.at(flatMillis, 0.5),
          PictureScore.at(library, 0.5),
          PictureScore.at(library, 0.99),
          libraryFailed,
          PictureScore.at(libraryMillis, 0.5));
    }

    private void one(Random random) {
      ImaginedCamera camera = ImaginedCamera.of(kind, random);
      double noise = 0.05 + 0.6 * random.nextDouble();
      double[] heights = height > 0 ? new double[] {0, height} : new double[] {0};
      List<CameraMark> marks =
          new ArrayList<>(
              camera.marks(
                  5 + random.nextInt(5), 4 + random.nextInt(4), 0.06, heights, noise, random));
      Set<Integer> wrong = misread ? spoil(camera, marks, noise, random) : Set.of();
      double[][] at = new double[ASKED][];
      for (int i = 0; i < ASKED; i++) {
        at[i] =
            new double[] {
              camera.bedMm[0] * random.nextDouble(),
              camera.bedMm[1] * random.nextDouble(),
              height * random.nextDouble()
            };
      }
      CameraFinding found;
      long start = System.nanoTime();
      try {
        found =
            CameraCalibration.solve(camera.readings(marks, UNIFORM * noise, Optional.empty(), at));
      } catch (UnusableReading e) {
        refused++;
        return;
      }
      millis.add((System.nanoTime() - start) / 1e6);
      bad += wrong.size();
      missed += (int) wrong.stream().filter(i -> !found.misread().contains(i)).count();
      falsely += (int) found.misread().stream().filter(i -> !wrong.contains(i)).count();
      long flatStart = System.nanoTime();
      Projective plain =
          Projective.through(
              marks.stream().map(m -> new double[] {m.xPx(), m.yPx()}).toArray(double[][]::new),
              marks.stream().map(m -> new double[] {m.xMm(), m.yMm()}).toArray(double[][]::new));
      flatMillis.add((System.nanoTime() - flatStart) / 1e6);
      long libraryStart = System.nanoTime();
      Optional<LibraryFisheye> theirs = LibraryFisheye.of(marks, camera.widthPx, camera.heightPx);
      libraryMillis.add((System.nanoTime() - libraryStart) / 1e6);
      libraryFailed += theirs.isEmpty() ? 1 : 0;
      for (int i = 0; i < ASKED; i++) {
        Optional<PlaceOnBed> place = found.at().get(i);
        if (place.isEmpty()) {
          continue;
        }
        double off = Math.hypot(place.get().xMm() - at[i][0], place.get().yMm() - at[i][1]);
        errors.add(off);
        told++;
        within += off <= 2 * place.get().uncertaintyMm() ? 1 : 0;
        inMargin += off <= found.marginMm() ? 1 : 0;
        double[] px = camera.px(at[i][0], at[i][1], at[i][2]);
        double[] by = plain.at(px[0], px[1]);
        flat.add(Math.hypot(by[0] - at[i][0], by[1] - at[i][1]));
        if (theirs.isPresent()) {
          double[] shown = theirs.get().px(at[i][0], at[i][1], at[i][2]);
          library.add(Math.hypot(shown[0] - px[0], shown[1] - px[1]) / pxPerMm(camera, at[i]));
        }
      }
    }

    /** About a place, of the root of an area. */
    private static double pxPerMm(ImaginedCamera camera, double[] at) {
      double[] here = camera.px(at[0], at[1], at[2]);
      double[] beside = camera.px(at[0] + 1, at[1], at[2]);
      double[] behind = camera.px(at[0], at[1] + 1, at[2]);
      return Math.sqrt(
          Math.abs(
              (beside[0] - here[0]) * (behind[1] - here[1])
                  - (beside[1] - here[1]) * (behind[0] - here[0])));
    }

    private static Set<Integer> spoil(
        ImaginedCamera camera, List<CameraMark> marks, double noise, Random random) {
      Set<Integer> wrong = new HashSet<>();
      while (wrong.size() < marks.size() / 10) {
        wrong.add(random.nextInt(marks.size()));
      }
      for (int i : wrong) {
        CameraMark m = marks.get(i);
        double far = random.nextBoolean() ? 10 * noise : 20 + 400 * random.nextDouble();
        double towards = 2 * Math.PI * random.nextDouble();
        marks.set(
            i,
            new CameraMark(
                m.xMm(),
                m.yMm(),
                m.heightMm(),
                Math.clamp(m.xPx() + far * Math.cos(towards), 0, camera.widthPx),
                Math.clamp(m.yPx() + far * Math.sin(towards), 0, camera.heightPx)));
      }
      return wrong;
    }
  }

  /** Photographs of one kind, crosses and dots in turn, corners pressed to 12 px. */
  private static final class Photographs {
    private final String how;
    private final int width;
    private final List<Double> errors = new ArrayList<>();
    private final List<Double> millis = new ArrayList<>();
    private final List<Double> ratios = new ArrayList<>();
    private int marks;
    private int found;
    private int wrong;
    private int refused;

    Photographs(String how, int width) {
      this.how = how;
      this.width = width;
    }

    void run(int count) throws IOException {
      for (int i = 0; i < count; i++) {
        one(i, new Random(104_729L * i + how.hashCode()));
      }
      System.out.printf(
          Locale.ROOT,
          "photographs, %s, %d of %d px: marks %d, found %d, wrong %d, refused %d; error median %.3f"
              + " 99 %% %.3f px; %.0f ms, most %.0f; over decoding its JPEG: %.1f, most %.1f%n",
          how,
          count,
          width,
          marks,
          found,
          wrong,
          refused,
          PictureScore.at(errors, 0.5),
          PictureScore.at(errors, 0.99),
          PictureScore.at(millis, 0.5),
          PictureScore.at(millis, 1),
          PictureScore.at(ratios, 0.5),
          PictureScore.at(ratios, 1));
    }

    private void one(int number, Random random) throws IOException {
      ImaginedCamera camera = ImaginedCamera.of(Kind.values()[number % 3], random, width);
      int columns = 6 + random.nextInt(6);
      int rows = 5 + random.nextInt(3);
      MarkKind mark = number % 2 == 0 ? MarkKind.CROSS : MarkKind.DOT;
      DrawnCameraPhoto photo =
          new DrawnCameraPhoto(
              camera, DrawnCameraPhoto.target(camera, columns, rows, mark, 0.08, 3), random);
      photo.uneven = how.equals("uneven");
      photo.glare = how.equals("glare");
      photo.grain = how.equals("grain");
      photo.specks = how.equals("specks");
      if (how.equals("hidden")) {
        photo.hide(columns * rows / 5);
      }
      photo.draw(0.5 + 0.8 * random.nextDouble(), 1.5 + random.nextDouble());
      byte[] jpeg = photo.jpeg(how.startsWith("JPEG") ? 0.6 : 0.92);
      if (how.startsWith("JPEG")) {
        photo.throughJpeg(0.6);
      }
      List<List<Double>> corners = new ArrayList<>();
      for (int[] c :
          new int[][] {{0, 0}, {columns - 1, 0}, {columns - 1, rows - 1}, {0, rows - 1}}) {
        double[] px = photo.truePx(c[0], c[1]);
        double towards = 2 * Math.PI * random.nextDouble();
        double far = 12 * random.nextDouble();
        corners.add(
            List.of(
                Math.clamp(px[0] + far * Math.cos(towards), 0, camera.widthPx),
                Math.clamp(px[1] + far * Math.sin(towards), 0, camera.heightPx)));
      }
      marks += columns * rows - photo.hidden.size();
      long start = System.nanoTime();
      ImageIO.read(new ByteArrayInputStream(jpeg));
      double decoding = (System.nanoTime() - start) / 1e6;
      start = System.nanoTime();
      CameraPhotoFinding f;
      try {
        f =
            CameraPhoto.solve(
                new CameraPhotoReadings(
                    "photo.jpg",
                    photo.target,
                    corners,
                    0.5,
                    List.of(camera.bedMm[0], camera.bedMm[1]),
                    Optional.empty(),
                    Optional.empty()),
                photo);
      } catch (UnusableReading e) {
        refused++;
        return;
      }
      double took = (System.nanoTime() - start) / 1e6;
      millis.add(took);
      ratios.add(took / decoding);
      for (Point p : f.points()) {
        double[] px = photo.truePx(p.column(), p.row());
        double off = Math.hypot(px[0] - p.xPx(), px[1] - p.yPx());
        if (off > 2 || photo.hidden.contains(List.of(p.column(), p.row()))) {
          wrong++;
        } else {
          found++;
          errors.add(off);
        }
      }
    }
  }
}
