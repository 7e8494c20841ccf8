package zebrawood.records.cards;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.records.file.TableFiles;
import zebrawood.records.shapes.Shape;
import zebrawood.records.shapes.ShapeFiles;
import zebrawood.trial.TrialReadings;

/**
 * The trial piece as artwork: a piece that is cut out, with an engraved field, a code to be read by
 * a phone, once dark on light and once light on dark, letters of four sizes, and a comb of strips
 * that tells the kerf.
 *
 * @param xMm of its lower left corner, as {@code yMm}
 * @param cuts whether this machine cuts; without, outline and comb are engraved lines
 */
public record TrialArtwork(double xMm, double yMm, boolean cuts) {
  public static final double WIDE_MM = 70;
  public static final double HIGH_MM = 50;
  private static final double FIELD_MM = 12;
  private static final double CODE_MM = 17;
  private static final double COMB_HIGH_MM = 8;
  private static final double[] LETTERS_MM = {3, 2, 1.5, 1};
  private static final String LETTERS = "FERN 0123";

  /** What the code says: words of our own, no address. */
  public static final String CODE = "FERN 0123";

  public TrialArtwork {
    new Accepts()
        .between("xMm", xMm, -10_000, 10_000)
        .between("yMm", yMm, -10_000, 10_000)
        .orThrow();
  }

  /**
   * How its layers are burnt.
   *
   * @param intervalMm from line to line of what is filled
   */
  public record Settings(
      double engraveSpeedMmS,
      double engraveWord,
      double intervalMm,
      double cutSpeedMmS,
      double cutWord) {
    public Settings {
      new Accepts()
          .positive("engraveSpeedMmS", engraveSpeedMmS, 50_000)
          .positive("engraveWord", engraveWord, 1_000_000)
          .between("intervalMm", intervalMm, 0.01, 10)
          .positive("cutSpeedMmS", cutSpeedMmS, 50_000)
          .positive("cutWord", cutWord, 1_000_000)
          .orThrow();
    }
  }

  private static BitMatrix code() {
    try {
      return new QRCodeWriter()
          .encode(
              CODE,
              BarcodeFormat.QR_CODE,
              1,
              1,
              Map.of(
                  EncodeHintType.ERROR_CORRECTION,
                  ErrorCorrectionLevel.M,
                  EncodeHintType.MARGIN,
                  2));
    } catch (WriterException e) {
      throw new IllegalStateException("these words fit any code", e);
    }
  }

  private void add(List<Shape> into, double x, double y, double w, double h) {
    into.add(
        new Shape(
            List.of(
                new double[] {x, y},
                new double[] {x + w, y},
                new double[] {x + w, y + h},
                new double[] {x, y + h}),
            "engrave",
            1,
            true));
  }

  /** Modules of a row that lie side by side are one bar. */
  private void code(List<Shape> into, double x, double y, boolean lightOnDark) {
    BitMatrix code = code();
    double module = CODE_MM / code.getWidth();
    for (int row = 0; row < code.getHeight(); row++) {
      int from = -1;
      for (int column = 0; column <= code.getWidth(); column++) {
        boolean burnt = column < code.getWidth() && code.get(column, row) != lightOnDark;
        if (burnt && from < 0) {
          from = column;
        } else if (!burnt && from >= 0) {
          add(
              into,
              x + from * module,
              y + CODE_MM - (row + 1) * module,
              (column - from) * module,
              module);
          from = -1;
        }
      }
    }
  }

  private static void line(List<Shape> into, double x0, double y0, double x1, double y1) {
    into.add(new Shape(List.of(new double[] {x0, y0}, new double[] {x1, y1}), "cut", 2, false));
  }

  private static void outline(List<Shape> into, double x, double y, double w, double h) {
    into.add(
        new Shape(
            List.of(
                new double[] {x, y},
                new double[] {x + w, y},
                new double[] {x + w, y + h},
                new double[] {x, y + h},
                new double[] {x, y}),
            "cut",
            2,
            false));
  }

  /** Engraved first, cut last, the outline at the very end: what is cut out moves. */
  List<Shape> shapes() {
    List<Shape> shapes = new ArrayList<>();
    add(shapes, xMm + 4, yMm + 34, FIELD_MM, FIELD_MM);
    code(shapes, xMm + 28, yMm + 29, false);
    code(shapes, xMm + 49, yMm + 29, true);
    double y = yMm + 25;
    for (double height : LETTERS_MM) {
      y -= height + 1.2;
      Strokes.of(LETTERS, xMm + 4, y, height)
          .forEach(s -> shapes.add(new Shape(s.corners(), "letters", 0, false)));
    }
    double left = xMm + 36;
    double low = yMm + 8;
    double wide = TrialReadings.COMB_STRIPS * TrialReadings.STRIP_MM;
    for (int i = 1; i < TrialReadings.COMB_STRIPS; i++) {
      double x = left + i * TrialReadings.STRIP_MM;
      line(shapes, x, low, x, low + COMB_HIGH_MM);
    }
    outline(shapes, left, low, wide, COMB_HIGH_MM);
    outline(shapes, xMm, yMm, WIDE_MM, HIGH_MM);
    return shapes;
  }

  public String svg() {
    return ShapeFiles.svg(shapes());
  }

  public String dxf() {
    return ShapeFiles.dxf(shapes());
  }

  /** Plain words, the beam on with no power, power only where something is burnt. */
  public String gcode(Settings s) {
    StringBuilder out = new StringBuilder("G21\nG90\nM3 S0\n");
    for (Shape shape : shapes()) {
      boolean cut = shape.layer().equals("cut") && cuts;
      double speed = cut ? s.cutSpeedMmS : s.engraveSpeedMmS;
      double word = cut ? s.cutWord : s.engraveWord;
      Burnt.add(out, shape, s.intervalMm, speed, word);
    }
    return out.append("M5\n").toString();
  }

  /**
   * Writes what the name's ending says, never over a file that is there.
   *
   * @param settings only G-code needs them: speeds, words and the interval, all of them
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name, List<OptionalDouble> settings) {
    String plain = name.strip();
    ShapeFiles.write(plain, this::shapes, () -> program(plain, settings));
  }

  private String program(String name, List<OptionalDouble> settings) {
    if (settings.stream().anyMatch(OptionalDouble::isEmpty)) {
      throw TableFiles.refused("trial.file.needs-settings", name);
    }
    double[] s = settings.stream().mapToDouble(OptionalDouble::getAsDouble).toArray();
    return gcode(new Settings(s[0], s[1], s[2], s[3], s[4]));
  }
}
