package zebrawood.desktop.focus;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.takes;

import java.util.List;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.desktop.station.Ways.Ask;
import zebrawood.focus.FocusTask;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What an autofocus probe shows over one spot, beside a gap that a ramp found. */
final class ProbeFields {
  private static final double LONGEST_MM = 5000;
  private static final int LEAST = 3;
  private static final int FIRST = 4;
  private static final int MOST = 30;

  private final StationForm form;
  private final QuantityField resolution;
  final QuantityField rampGap;
  final QuantityField rampUnsure;
  final QuantityField offsetSet;
  final Group<QuantityField> readings;

  /**
   * @param resolution as typed elsewhere on the sheet
   */
  ProbeFields(StationForm form, QuantityField resolution) {
    this.form = form;
    this.resolution = resolution;
    rampGap = form.quantity("visit.rampGap", Quantity.LENGTH, 0, LONGEST_MM);
    rampUnsure = form.quantity("visit.rampUnsure", Quantity.LENGTH, 0, 100);
    offsetSet = form.quantity("offsetSet", Quantity.LENGTH, -1000, 1000);
    readings = form.group("visit.probe", FIRST, MOST, this::reading);
  }

  private QuantityField reading(int i) {
    return form.quantity(
        "visit.probe." + i, Message.of("focus.probe-row", i), Quantity.LENGTH, 0, LONGEST_MM);
  }

  Ask[] asks() {
    return new Ask[] {
      needs(rampGap, rampUnsure, resolution),
      Ways.rows(
          readings,
          LEAST,
          "focus.wait.probes",
          new Part.GrowingRows(
              readings, List.of(Message.of("focus.probed")), Message.of("focus.another-probe"))),
      takes(offsetSet)
    };
  }

  FocusTask read() {
    return new FocusTask.ByProbe(
        readings.begun().stream().map(QuantityField::number).toList(),
        resolution.number(),
        rampGap.number(),
        rampUnsure.number(),
        offsetSet.value());
  }
}
