package zebrawood.records.field;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.picture.SvgWriter;
import zebrawood.words.Message;

/**
 * A grid of crosses to burn or to print.
 *
 * @param crossMm from end to end of a bar
 * @param middleXMm of the grid, as {@code middleYMm}; a field's grid lies about 0
 * @param checkBar whether a bar of 100 mm, drawn below it, shows that a printer keeps the size
 */
public record BurnGrid(
    int columns,
    int rows,
    double pitchMm,
    double crossMm,
    double middleXMm,
    double middleYMm,
    boolean checkBar) {
  private static final double BAR_MM = 100;
  private static final double BAR_END_MM = 4;
  private static final int MOST_A_SIDE = 200;
  private static final double LARGEST_MM = 10_000;
  private static final double SECONDS_A_MINUTE = 60;

  public BurnGrid {
    var accepts =
        new Accepts()
            .between("columns", columns, 3, MOST_A_SIDE)
            .between("rows", rows, 3, MOST_A_SIDE)
            .positive("pitchMm", pitchMm, LARGEST_MM)
            .positive("crossMm", crossMm, LARGEST_MM)
            .between("middleXMm", middleXMm, -LARGEST_MM, LARGEST_MM)
            .between("middleYMm", middleYMm, -LARGEST_MM, LARGEST_MM);
    if (accepts.fine() && crossMm > 0.6 * pitchMm) {
      accepts.complain("crossMm", crossMm, Message.of("field.accepts.cross"));
    }
    accepts.orThrow();
  }

  /** About the field's centre, to be burnt. */
  public BurnGrid(int columns, int rows, double pitchMm, double crossMm) {
    this(columns, rows, pitchMm, crossMm, 0, 0, false);
  }

  /** A bar from one end to the other, in mm, y up. */
  record Bar(double fromX, double fromY, double toX, double toY) {}

  List<Bar> bars() {
    List<Bar> bars = new ArrayList<>();
    double arm = crossMm / 2;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        double x = middleXMm + (column - (columns - 1) / 2.0) * pitchMm;
        double y = middleYMm + (row - (rows - 1) / 2.0) * pitchMm;
        bars.add(new Bar(x - arm, y, x + arm, y));
        bars.add(new Bar(x, y - arm, x, y + arm));
      }
    }
    return bars;
  }

  double halfWidthMm() {
    return (columns - 1) * pitchMm / 2 + crossMm / 2;
  }

  double halfHeightMm() {
    return (rows - 1) * pitchMm / 2 + crossMm / 2;
  }

  /** With the bar where there is one, which lies below the grid and begins at its left. */
  private List<Bar> drawn() {
    List<Bar> drawn = new ArrayList<>(bars());
    if (checkBar) {
      double left = middleXMm - halfWidthMm();
      double y = middleYMm - halfHeightMm() - 2 * BAR_END_MM;
      drawn.add(new Bar(left, y, left + BAR_MM, y));
      drawn.add(new Bar(left, y - BAR_END_MM / 2, left, y + BAR_END_MM / 2));
      drawn.add(new Bar(left + BAR_MM, y - BAR_END_MM / 2, left + BAR_MM, y + BAR_END_MM / 2));
    }
    return drawn;
  }

  /** SVG in millimetres, y downwards as SVG has it. */
  public String svg() {
    double below = checkBar ? 3 * BAR_END_MM : 0;
    double wide = Math.max(2 * halfWidthMm(), checkBar ? BAR_MM : 0);
    double high = 2 * halfHeightMm() + below;
    double left = middleXMm - halfWidthMm();
    double top = -middleYMm - halfHeightMm();
    SvgWriter svg =
        new SvgWriter(
            "width",
            Decimals.of(wide) + "mm",
            "height",
            Decimals.of(high) + "mm",
            "viewBox",
            Decimals.of(left)
                + " "
                + Decimals.of(top)
                + " "
                + Decimals.of(wide)
                + " "
                + Decimals.of(high));
    svg.begin("g", "stroke", "black", "stroke-width", "0.1", "fill", "none");
    for (Bar bar : drawn()) {
      String from = Decimals.of(bar.fromX) + " " + Decimals.of(-bar.fromY);
      String to = Decimals.of(bar.toX) + " " + Decimals.of(-bar.toY);
      svg.element("path", "d", "M" + from + " L" + to);
    }
    return svg.end().svg();
  }

  /** DXF of lines alone, in millimetres, as every reader takes it. */
  public String dxf() {
    StringBuilder out = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
    for (Bar bar : drawn()) {
      out.append("0\nLINE\n8\n0\n10\n")
          .append(Decimals.of(bar.fromX))
          .append("\n20\n")
          .append(Decimals.of(bar.fromY))
          .append("\n11\n")
          .append(Decimals.of(bar.toX))
          .append("\n21\n")
          .append(Decimals.of(bar.toY))
          .append('\n');
    }
    return out.append("0\nENDSEC\n0\nEOF\n").toString();
  }

  /**
   * G-code in millimetres, absolute, the laser off between bars.
   *
   * @param powerWord at which it burns
   */
  public String gcode(double speedMmS, double powerWord) {
    new Accepts()
        .positive("speedMmS", speedMmS, 100_000)
        .positive("powerWord", powerWord, 1_000_000)
        .orThrow();
    StringBuilder out = new StringBuilder("G21\nG90\nM5\n");
    for (Bar bar : bars()) {
      out.append("G0 X" + Decimals.of(bar.fromX) + " Y" + Decimals.of(bar.fromY) + "\n")
          .append("M3 S" + Decimals.of(powerWord) + "\n")
          .append("G1 X" + Decimals.of(bar.toX) + " Y" + Decimals.of(bar.toY))
          .append(" F" + Decimals.of(speedMmS * SECONDS_A_MINUTE) + "\nM5\n");
    }
    return out.append("M5\n").toString();
  }

  /**
   * Writes what the name's ending says, never over a file that is there.
   *
   * @param speedMmS and {@code powerWord}: only G-code needs them
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name, OptionalDouble speedMmS, OptionalDouble powerWord) {
    String plain = name.strip();
    String text;
    if (plain.endsWith(".svg")) {
      text = svg();
    } else if (plain.endsWith(".dxf")) {
      text = dxf();
    } else if (plain.endsWith(".gcode") || plain.endsWith(".nc")) {
      if (speedMmS.isEmpty() || powerWord.isEmpty()) {
        throw TableFiles.refused("field.file.needs-speed", plain);
      }
      text = gcode(speedMmS.getAsDouble(), powerWord.getAsDouble());
    } else {
      throw TableFiles.refused("field.file.ending", plain);
    }
    try {
      WholeFile.write(Path.of(plain), out -> out.write(text));
    } catch (FileAlreadyExistsException e) {
      throw TableFiles.refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw TableFiles.refused("field.file.not-written", plain);
    }
  }
}
