package zebrawood.desktop.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import zebrawood.camera.CameraCalibration;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.ImaginedCamera;
import zebrawood.camera.ImaginedCamera.Kind;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;

/** What another height costs, of a camera whose marks were read at two. */
class ThicknessSectionTest {
  private final ImaginedCamera camera = ImaginedCamera.of(Kind.LID, new Random(5));
  private final StationForm form = new StationForm("camera", DisplayUnits.METRIC);
  private final QuantityField sheet = form.quantity("sheetHeight", Quantity.LENGTH, 0, 1000);
  private final QuantityField tolerance = form.positive("tolerance", Quantity.LENGTH, 1000);
  private final ThicknessSection section =
      new ThicknessSection(form, sheet, tolerance, () -> Optional.of(found()));

  private CameraFinding found() {
    Random random = new Random(6);
    return CameraCalibration.solve(
        camera.readings(
            camera.marks(8, 6, 0.06, new double[] {0, 30}, 0.1, random),
            0.35,
            Optional.empty(),
            new double[0][]));
  }

  /** How far a place at the bed's corners moves in the picture's map, by the camera itself. */
  private double movesMm(double higherMm) {
    double most = 0;
    for (double x : new double[] {0, camera.bedMm[0]}) {
      for (double y : new double[] {0, camera.bedMm[1]}) {
        double[] shown = camera.px(x, y, higherMm);
        double[] bed = camera.px(x, y, 0);
        double[] beside = camera.px(x + 1, y, 0);
        double[] behind = camera.px(x, y + 1, 0);
        double[] u = {beside[0] - bed[0], beside[1] - bed[1]};
        double[] v = {behind[0] - bed[0], behind[1] - bed[1]};
        double[] by = {shown[0] - bed[0], shown[1] - bed[1]};
        double area = u[0] * v[1] - u[1] * v[0];
        most =
            Math.max(
                most,
                Math.hypot(by[0] * v[1] - by[1] * v[0], u[0] * by[1] - u[1] * by[0])
                    / Math.abs(area));
      }
    }
    return most;
  }

  private String said(String thickness, String allowed) {
    form.type(Map.of("sheetHeight", "0", "thickness", thickness, "tolerance", allowed));
    return Text.words().sentence(section.words());
  }

  @Test
  void whetherOneCalibrationServesIsToldByWhatIsAllowed() {
    String told = said("6", "100");
    assertThat(told)
        .contains(
            "Type 6.0 mm",
            "With the margin of",
            "within the 100.0 mm allowed: one calibration serves");
    var costs = Pattern.compile("off by up to ([0-9.]+) mm").matcher(told);
    assertThat(costs.find()).isTrue();
    assertThat(Double.parseDouble(costs.group(1))).isCloseTo(movesMm(6), within(0.15 * movesMm(6)));
    assertThat(said("6", "0.5"))
        .contains("more than the 0.5 mm allowed", "a calibration for each height");
    double margin = found().marginMm();
    double alone = Double.parseDouble(costs.group(1)) + margin / 2;
    assertThat(said("6", String.valueOf(alone))).contains("a calibration for each height");
    assertThat(said("0", "0.5")).contains("nothing to type beyond what was read");
  }
}
