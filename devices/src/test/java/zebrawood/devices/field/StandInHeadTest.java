package zebrawood.devices.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.devices.picture.PictureFile;
import zebrawood.field.FieldCorrection;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldFinding.Missing;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldScan;
import zebrawood.field.FieldScanReadings;
import zebrawood.field.PointerFinding;
import zebrawood.field.PointerReadings;
import zebrawood.field.RedPointer;
import zebrawood.marks.MarkKind;
import zebrawood.measure.PixelScale;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** The head is mirrors and a lens, of which the solver knows nothing. */
class StandInHeadTest {
  private static final double FIELD_MM = 110;

  private static final StandInHead HEAD =
      new StandInHead(160, 12, 1.12, 1.05, 0.04, 0.02, 3, 5, -4, 6, 0.4, -0.3, 0.3);

  private static List<Point> burnt(StandInHead head, int n, double step, Random random) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        double u = FIELD_MM * ((double) k / (n - 1) - 0.5);
        double v = FIELD_MM * ((double) i / (n - 1) - 0.5);
        double[] at = head.place(u, v);
        points.add(
            new Point(u, v, Math.round(at[0] / step) * step, Math.round(at[1] / step) * step));
      }
    }
    return points;
  }

  private static double worst(StandInHead head, OfGrid f) {
    double worst = 0;
    for (FieldFinding.Row row : f.table().orElseThrow()) {
      double[] at = head.place(row.commandXMm(), row.commandYMm());
      worst = Math.max(worst, Math.hypot(at[0] - row.xMm(), at[1] - row.yMm()));
    }
    return worst;
  }

  @Test
  void aTableMakesAnyHeadMarkTrue() {
    Random random = new Random(3);
    for (int i = 0; i < 12; i++) {
      StandInHead head = StandInHead.any(FIELD_MM, random);
      OfGrid f =
          (OfGrid)
              FieldCorrection.solve(
                  new FieldReadings(
                      FIELD_MM,
                      0.05,
                      0.1,
                      Optional.empty(),
                      Optional.of(burnt(head, 13, 0.05, random)),
                      OptionalInt.of(17)));
      assertThat(worst(head, f)).as("head " + i).isLessThan(0.1);
      assertThat(f.edgeErrorNowMm()).isGreaterThan(10 * worst(head, f));
    }
  }

  private record Case(Path file, StandInScan.Sheet sheet, FieldScanReadings readings) {}

  private static Case scanned(
      Path folder, StandInScan scan, int columns, int rows, double pitch, boolean up)
      throws Exception {
    StandInScan.Sheet sheet = scan.of(HEAD::place, columns, rows, pitch, 7);
    Path file = folder.resolve("scan.png");
    ImageIO.write(sheet.image(), "png", file.toFile());
    return new Case(
        file,
        sheet,
        new FieldScanReadings(
            file.toString(),
            new PixelScale(List.of(20.0, 20.0), List.of(20.0 + 100 * scan.pxPerMmX(), 20.0), 100),
            up
                ? Optional.of(
                    new PixelScale(
                        List.of(20.0, 20.0), List.of(20.0, 20.0 + 100 * scan.pxPerMmY()), 100))
                : Optional.empty(),
            columns,
            rows,
            pitch,
            scan.crosses() ? MarkKind.CROSS : MarkKind.DOT,
            FIELD_MM,
            0.1,
            OptionalInt.of(9),
            Optional.empty()));
  }

  @Test
  void marksAreFoundInAScanAndMissingOnesNamed(@TempDir Path folder) throws Exception {
    for (boolean crosses : new boolean[] {true, false}) {
      StandInScan scan =
          new StandInScan(
              12, 12.06, crosses ? 7 : -5, crosses ? 5 : 2, 0.35, crosses, 0.8, 6, 0.05, 0);
      Case c = scanned(folder, scan, 11, 10, 10, true);
      OfGrid f = FieldScan.solve(c.readings, PictureFile.read("imagePath", c.file.toString()));
      Set<Missing> gone = new HashSet<>();
      for (int row = 0; row < 10; row++) {
        for (int column = 0; column < 11; column++) {
          gone.add(new Missing(column, row));
        }
      }
      c.sheet.marks().forEach(m -> gone.remove(new Missing(m.column(), m.row())));
      assertThat(gone).isNotEmpty();
      assertThat(new HashSet<>(f.missing().orElseThrow())).isEqualTo(gone);
      assertThat(f.residualRmsAfterMm()).isLessThan(0.02);
      OfGrid exact =
          (OfGrid)
              FieldCorrection.solve(
                  new FieldReadings(
                      FIELD_MM,
                      0.001,
                      0.1,
                      Optional.empty(),
                      Optional.of(truth(c)),
                      OptionalInt.of(9)));
      assertThat(f.scaleX().value()).isCloseTo(exact.scaleX().value(), within(2e-4));
      assertThat(f.scaleY().value()).isCloseTo(exact.scaleY().value(), within(2e-4));
      assertThat(f.skewMrad().value()).isCloseTo(exact.skewMrad().value(), within(0.2));
      assertThat(f.shiftXMm()).isEmpty();
      assertThat(f.rotationMrad()).isEmpty();
      assertThat(f.warnings()).isEmpty();
    }
  }

  private static List<Point> truth(Case c) {
    return c.sheet.marks().stream()
        .map(m -> {
          double u = (m.column() - 5) * 10.0;
          double v = (m.row() - 4.5) * 10.0;
          double[] at = HEAD.place(u, v);
          return new Point(u, v, at[0], at[1]);
        })
        .toList();
  }

  @Test
  void doubledMarksAreLeftOutAndOneRuleIsTold(@TempDir Path folder) throws Exception {
    StandInScan scan = new StandInScan(12, 12, 2, 3, 0.35, true, 0.8, 6, 0, 0.04);
    Case c = scanned(folder, scan, 11, 11, 10, false);
    OfGrid f = FieldScan.solve(c.readings, PictureFile.read("imagePath", c.file.toString()));
    long twice = c.sheet.marks().stream().filter(StandInScan.Mark::twice).count();
    assertThat(twice).isGreaterThan(2);
    assertThat(f.missing().orElseThrow().size()).isLessThanOrEqualTo((int) twice);
    assertThat(f.residualRmsAfterMm()).isLessThan(0.08);
    assertThat(f.warnings()).extracting(Message::key).contains("field.scan.one-rule");
  }

  @Test
  void aPointerIsBroughtBackToTheMarks() {
    StandInGalvo galvo = new StandInGalvo(HEAD, 0.02, 0.01, 5);
    galvo.putPointerOut(1.02, 6, 0.8, -0.5);
    List<PointerReadings.Mark> marks = new ArrayList<>();
    for (double[] at : new double[][] {{-40, -40}, {40, -40}, {40, 40}, {-40, 40}}) {
      double[] mark = galvo.place(at[0], at[1]);
      double[] pointed = galvo.pointed(at[0], at[1]);
      marks.add(new PointerReadings.Mark(mark[0], mark[1], pointed[0], pointed[1]));
    }
    PointerFinding f = RedPointer.solve(new PointerReadings(marks, 0.02));
    // What undoes it: turned back, scaled back, then moved by what is left.
    assertThat(f.scale()).isCloseTo(1 / 1.02, within(5e-4));
    assertThat(f.rotationMrad()).isCloseTo(-6, within(0.5));
    assertThat(f.offsetXMm()).isCloseTo(-0.8 / 1.02, within(0.03));
    assertThat(f.offsetYMm()).isCloseTo(0.5 / 1.02, within(0.03));
    assertThat(f.residualRmsMm()).isLessThan(0.03);
    assertThat(galvo.pointerOffMm(80)).isGreaterThan(0.5);
    galvo.movePointer(f.scale(), f.rotationMrad(), f.offsetXMm(), f.offsetYMm());
    assertThat(galvo.pointerOffMm(80)).isLessThan(0.04);
  }

  /** A rule's lines are many, dark and evenly apart, and no marks. */
  @Test
  void aRuleInTheScanIsNoGrid(@TempDir Path folder) throws Exception {
    StandInScan scan = new StandInScan(12, 12, -8, 4, 0.35, true, 0.8, 6, 0, 0);
    StandInScan.Sheet sheet = scan.of(HEAD::place, 5, 4, 20, 3);
    Graphics2D g = sheet.image().createGraphics();
    g.setColor(new Color(20, 20, 20));
    for (int mm = 0; mm < sheet.image().getWidth() / 12 - 4; mm++) {
      int x = 24 + 12 * mm;
      g.fillRect(x, 20, 3, mm % 10 == 0 ? 100 : mm % 5 == 0 ? 70 : 40);
      if (mm % 10 == 0) {
        g.drawString(String.valueOf(mm / 10), x + 4, 118);
      }
    }
    g.dispose();
    Path file = folder.resolve("rule.png");
    ImageIO.write(sheet.image(), "png", file.toFile());
    OfGrid f =
        FieldScan.solve(
            new FieldScanReadings(
                file.toString(),
                new PixelScale(List.of(24.0, 20.0), List.of(1224.0, 20.0), 100),
                Optional.empty(),
                5,
                4,
                20,
                MarkKind.CROSS,
                FIELD_MM,
                0.1,
                OptionalInt.of(5),
                Optional.empty()),
            PictureFile.read("imagePath", file.toString()));
    assertThat(f.missing().orElseThrow()).isEmpty();
    assertThat(f.residualRmsAfterMm()).isLessThan(0.15);
  }

  @Test
  void aGridWithoutItsOuterRowIsRefused(@TempDir Path folder) throws Exception {
    StandInScan scan = new StandInScan(10, 10, 1, 4, 0.4, true, 0.8, 4, 0, 0);
    Case c = scanned(folder, scan, 9, 8, 10, true);
    FieldScanReadings more =
        new FieldScanReadings(
            c.readings.imagePath(),
            c.readings.scale(),
            c.readings.scaleUp(),
            9,
            9,
            10,
            MarkKind.CROSS,
            FIELD_MM,
            0.1,
            OptionalInt.empty(),
            Optional.empty());
    var picture = PictureFile.read("imagePath", c.file.toString());
    assertThatThrownBy(() -> FieldScan.solve(more, picture))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("9 columns and 8 rows");
  }
}
