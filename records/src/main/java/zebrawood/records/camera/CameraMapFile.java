package zebrawood.records.camera;

import java.io.IOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.camera.BedView;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraLens;
import zebrawood.records.field.Decimals;
import zebrawood.records.file.TableFiles;
import zebrawood.records.json.RecordJson;

/**
 * Where each place of the bed shows in the picture, in even steps, row by row from the front: the
 * part of the bed that is in the picture.
 *
 * @param onlyHeightMm the one height at which it holds; empty where lens and place of the camera
 *     tell any
 */
public record CameraMapFile(
    String format,
    int widthPx,
    int heightPx,
    double heightMm,
    OptionalDouble onlyHeightMm,
    CameraLens lens,
    Optional<List<Double>> cameraMm,
    List<Shown> places) {
  private static final String FORMAT = "camera map 1";
  private static final int STEPS = 32;

  /** A place of the bed, and where it shows. */
  public record Shown(double xMm, double yMm, double xPx, double yPx) {}

  /**
   * @param heightMm of the surface above the bed
   */
  public static CameraMapFile of(CameraFinding found, List<Double> bedMm, double heightMm) {
    BedView.Places view = found.view().places();
    double height = found.view().onlyMm().orElse(heightMm);
    List<Shown> places = new ArrayList<>();
    for (int row = 0; row <= STEPS; row++) {
      for (int column = 0; column <= STEPS; column++) {
        double x = bedMm.get(0) * column / STEPS;
        double y = bedMm.get(1) * row / STEPS;
        if (view.shows(x, y, height)) {
          double[] px = view.px(x, y, height);
          places.add(new Shown(x, y, px[0], px[1]));
        }
      }
    }
    return new CameraMapFile(
        FORMAT,
        found.view().image().widthPx(),
        found.view().image().heightPx(),
        height,
        found.view().onlyMm(),
        found.lens(),
        found.cameraMm().mm(),
        places);
  }

  /**
   * Writes both files, never over one that is there.
   *
   * @param name a path without ending; an ending of either kind is taken off
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name) {
    TableFiles.write(name, this::csv, out -> out.write(RecordJson.write(this) + "\n"));
  }

  private void csv(Writer out) throws IOException {
    CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
    printer.printRecord("xMm", "yMm", "heightMm", "xPx", "yPx");
    for (Shown p : places) {
      printer.printRecord(
          Decimals.of(p.xMm),
          Decimals.of(p.yMm),
          Decimals.of(heightMm),
          Decimals.of(p.xPx),
          Decimals.of(p.yPx));
    }
    printer.flush();
  }
}
