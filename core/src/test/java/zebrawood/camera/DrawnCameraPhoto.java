package zebrawood.camera;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import zebrawood.marks.MarkKind;
import zebrawood.measure.Picture;

/**
 * A photograph of a target by an {@link ImaginedCamera}, drawn place by place: for every pixel the
 * place of the bed that shows there is looked for by Newton's steps, and what lies there is drawn.
 */
public final class DrawnCameraPhoto implements Picture {
  public final ImaginedCamera camera;
  public final CameraPhotoReadings.Target target;
  public final Set<List<Integer>> hidden = new HashSet<>();
  public double lineMm;
  public double armMm;
  public double radiusMm;
  public boolean lightOnDark;
  public boolean glare;
  public boolean grain;
  public boolean specks;
  public boolean uneven;
  private final Random random;
  private final double phase;
  private double[][] dirt = {};
  private final double[] glareAt = new double[2];
  private float[] light;

  public DrawnCameraPhoto(ImaginedCamera camera, CameraPhotoReadings.Target target, Random random) {
    this.camera = camera;
    this.target = target;
    this.random = random;
    phase = 10 * random.nextDouble();
    lineMm = 0.025 * target.pitchMm();
    armMm = 0.22 * target.pitchMm();
    radiusMm = 0.1 * target.pitchMm();
  }

  public static CameraPhotoReadings.Target target(
      ImaginedCamera camera, int columns, int rows, MarkKind kind, double margin, double heightMm) {
    double pitch =
        Math.min(
            camera.bedMm[0] * (1 - 2 * margin) / (columns - 1),
            camera.bedMm[1] * (1 - 2 * margin) / (rows - 1));
    return new CameraPhotoReadings.Target(
        columns,
        rows,
        pitch,
        List.of(
            (camera.bedMm[0] - pitch * (columns - 1)) / 2,
            (camera.bedMm[1] - pitch * (rows - 1)) / 2),
        kind,
        heightMm == 0 ? OptionalDouble.empty() : OptionalDouble.of(heightMm));
  }

  private double sheetMm() {
    return target.heightMm().orElse(0);
  }

  public double x(int column) {
    return target.originMm().get(0) + column * target.pitchMm();
  }

  public double y(int row) {
    return target.originMm().get(1) + row * target.pitchMm();
  }

  public double[] truePx(int column, int row) {
    return camera.px(x(column), y(row), sheetMm());
  }

  /** Some marks that are no corner are covered. */
  public void hide(int marks) {
    while (hidden.size() < marks) {
      int column = random.nextInt(target.columns());
      int row = random.nextInt(target.rows());
      boolean corner =
          (column == 0 || column == target.columns() - 1) && (row == 0 || row == target.rows() - 1);
      if (!corner) {
        hidden.add(List.of(column, row));
      }
    }
  }

  /**
   * @param blurPx standard deviation of the lens's blur
   * @param noise of a level
   */
  public void draw(double blurPx, double noise) {
    int w = camera.widthPx;
    int h = camera.heightPx;
    if (specks) {
      dirt = new double[40][3];
      for (double[] d : dirt) {
        d[0] = camera.bedMm[0] * random.nextDouble();
        d[1] = camera.bedMm[1] * random.nextDouble();
        d[2] = 0.06 * target.pitchMm() * random.nextDouble();
      }
    }
    glareAt[0] = camera.bedMm[0] * (0.3 + 0.4 * random.nextDouble());
    glareAt[1] = camera.bedMm[1] * (0.3 + 0.4 * random.nextDouble());
    float[][][] places = places(w, h);
    float[] sharp = new float[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        sharp[y * w + x] = (float) pixel(places, x, y);
      }
    }
    float[] soft = blurred(sharp, w, h, blurPx);
    light = new float[w * h];
    for (int i = 0; i < light.length; i++) {
      light[i] = (float) Math.clamp(Math.rint(soft[i] + noise * random.nextGaussian()), 0, 255);
    }
  }

  /** Where the corners of every second pixel lie on the bed; NaN where no place shows there. */
  private float[][][] places(int w, int h) {
    int columns = w / 2 + 2;
    int rows = h / 2 + 2;
    float[][][] places = new float[rows][columns][2];
    double[] start = {camera.bedMm[0] / 2, camera.bedMm[1] / 2};
    for (int row = 0; row < rows; row++) {
      double[] at = start.clone();
      for (int column = 0; column < columns; column++) {
        double[] found = place(2 * column, 2 * row, at);
        if (found == null) {
          found =
              place(2 * column, 2 * row, new double[] {camera.bedMm[0] / 2, camera.bedMm[1] / 2});
        }
        places[row][column][0] = found == null ? Float.NaN : (float) found[0];
        places[row][column][1] = found == null ? Float.NaN : (float) found[1];
        if (found != null) {
          at = found;
          if (column == 0) {
            start = found.clone();
          }
        }
      }
    }
    return places;
  }

  private double[] place(double px, double py, double[] from) {
    double x = from[0];
    double y = from[1];
    for (int i = 0; i < 40; i++) {
      double[] p = camera.px(x, y, sheetMm());
      double ex = px - p[0];
      double ey = py - p[1];
      if (Math.hypot(ex, ey) < 1e-4) {
        return new double[] {x, y};
      }
      double step = 1e-3;
      double[] a = camera.px(x + step, y, sheetMm());
      double[] b = camera.px(x, y + step, sheetMm());
      double xx = (a[0] - p[0]) / step;
      double yx = (a[1] - p[1]) / step;
      double xy = (b[0] - p[0]) / step;
      double yy = (b[1] - p[1]) / step;
      double det = xx * yy - xy * yx;
      double dx = (yy * ex - xy * ey) / det;
      double dy = (xx * ey - yx * ex) / det;
      double most = 0.3 * Math.max(camera.bedMm[0], camera.bedMm[1]);
      double cut = Math.min(1, most / Math.max(1e-9, Math.hypot(dx, dy)));
      x += cut * dx;
      y += cut * dy;
      if (!(Math.abs(x) < 20 * camera.bedMm[0] && Math.abs(y) < 20 * camera.bedMm[0])) {
        return null;
      }
    }
    return null;
  }

  private double pixel(float[][][] places, int x, int y) {
    int n = nearMark(at(places, x + 0.5, y + 0.5)) ? 5 : 1;
    double sum = 0;
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        sum += lit(at(places, x + (i + 0.5) / n, y + (k + 0.5) / n));
      }
    }
    return sum / (n * n);
  }

  private static double[] at(float[][][] places, double px, double py) {
    int column = (int) (px / 2);
    int row = (int) (py / 2);
    double u = px / 2 - column;
    double v = py / 2 - row;
    double[] at = new double[2];
    for (int i = 0; i < 2; i++) {
      at[i] =
          (1 - v) * ((1 - u) * places[row][column][i] + u * places[row][column + 1][i])
              + v * ((1 - u) * places[row + 1][column][i] + u * places[row + 1][column + 1][i]);
    }
    return at;
  }

  private boolean nearMark(double[] at) {
    int column = (int) Math.rint((at[0] - target.originMm().get(0)) / target.pitchMm());
    int row = (int) Math.rint((at[1] - target.originMm().get(1)) / target.pitchMm());
    double dx = Math.abs(at[0] - x(column));
    double dy = Math.abs(at[1] - y(row));
    double reach = target.mark() == MarkKind.CROSS ? armMm + lineMm : radiusMm + lineMm;
    return dx < reach
        && dy < reach
        && (target.mark() == MarkKind.DOT || Math.min(dx, dy) < 2 * lineMm);
  }

  private double lit(double[] at) {
    if (Double.isNaN(at[0])) {
      return 20;
    }
    double across = at[0] / camera.bedMm[0];
    double up = at[1] / camera.bedMm[1];
    boolean onSheet = across > -0.03 && across < 1.03 && up > -0.03 && up < 1.03;
    double paper = onSheet ? (lightOnDark ? 60 : 205) : 95 + 15 * Math.sin(at[0] / 3);
    if (grain && onSheet) {
      double rings = Math.sin(at[1] / 4 + 3 * Math.sin(at[0] / 60 + phase) + phase);
      paper *=
          1 - 0.12 * Math.pow(Math.max(0, rings), 6) - 0.04 * Math.sin(at[1] / 1.7 + at[0] / 40);
    }
    for (double[] d : dirt) {
      if (Math.hypot(at[0] - d[0], at[1] - d[1]) < d[2]) {
        paper *= 0.35;
      }
    }
    if (ink(at)) {
      paper = lightOnDark ? 190 : 45;
    }
    if (uneven) {
      paper *= 0.6 + 0.5 * across - 0.15 * up + 0.15 * Math.sin(3 * up + phase);
    }
    if (glare) {
      double far = Math.hypot(at[0] - glareAt[0], at[1] - glareAt[1]) / (1.2 * target.pitchMm());
      paper += 140 * Math.exp(-far * far);
    }
    return Math.min(255, paper);
  }

  private boolean ink(double[] at) {
    int column = (int) Math.rint((at[0] - target.originMm().get(0)) / target.pitchMm());
    int row = (int) Math.rint((at[1] - target.originMm().get(1)) / target.pitchMm());
    if (column < 0 || row < 0 || column >= target.columns() || row >= target.rows()) {
      return false;
    }
    double dx = Math.abs(at[0] - x(column));
    double dy = Math.abs(at[1] - y(row));
    boolean in =
        target.mark() == MarkKind.CROSS
            ? Math.min(dx, dy) < lineMm / 2 && Math.max(dx, dy) < armMm
            : Math.hypot(dx, dy) < radiusMm;
    return in && !hidden.contains(List.of(column, row));
  }

  private static float[] blurred(float[] from, int w, int h, double deviation) {
    int reach = (int) Math.ceil(3 * deviation);
    double[] kernel = new double[2 * reach + 1];
    double sum = 0;
    for (int i = -reach; i <= reach; i++) {
      kernel[i + reach] = Math.exp(-i * i / (2 * deviation * deviation));
      sum += kernel[i + reach];
    }
    float[] rows = new float[from.length];
    float[] both = new float[from.length];
    for (int pass = 0; pass < 2; pass++) {
      float[] source = pass == 0 ? from : rows;
      float[] to = pass == 0 ? rows : both;
      for (int y = 0; y < h; y++) {
        for (int x = 0; x < w; x++) {
          double here = 0;
          for (int i = -reach; i <= reach; i++) {
            int u = pass == 0 ? Math.clamp(x + i, 0, w - 1) : x;
            int v = pass == 1 ? Math.clamp(y + i, 0, h - 1) : y;
            here += kernel[i + reach] * source[v * w + u];
          }
          to[y * w + x] = (float) (here / sum);
        }
      }
    }
    return both;
  }

  public BufferedImage image() {
    BufferedImage image = new BufferedImage(width(), height(), BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height(); y++) {
      for (int x = 0; x < width(); x++) {
        int l = (int) light[y * width() + x];
        image.setRGB(x, y, l << 16 | l << 8 | l);
      }
    }
    return image;
  }

  /** As a file of this quality, 0 to 1. */
  public byte[] jpeg(double quality) throws IOException {
    var writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    param.setCompressionQuality((float) quality);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (var out = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image(), null, null), param);
    }
    writer.dispose();
    return bytes.toByteArray();
  }

  /** What is left of it after it was kept as a JPEG. */
  public void throughJpeg(double quality) throws IOException {
    BufferedImage back = ImageIO.read(new ByteArrayInputStream(jpeg(quality)));
    for (int y = 0; y < height(); y++) {
      for (int x = 0; x < width(); x++) {
        int rgb = back.getRGB(x, y);
        light[y * width() + x] =
            (float) (0.2126 * (rgb >> 16 & 255) + 0.7152 * (rgb >> 8 & 255) + 0.0722 * (rgb & 255));
      }
    }
  }

  @Override
  public int width() {
    return camera.widthPx;
  }

  @Override
  public int height() {
    return camera.heightPx;
  }

  @Override
  public double light(int x, int y) {
    return light[y * width() + x];
  }
}
