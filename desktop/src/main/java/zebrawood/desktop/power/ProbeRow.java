package zebrawood.desktop.power;

import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A percentage, and the probe's temperature before and after a pulse of it. */
record ProbeRow(QuantityField percent, QuantityField start, QuantityField end) {
  private static final int MOST_ROWS = 40;

  static Group<ProbeRow> group(StationForm form, String name, int first) {
    return form.group(
        name,
        first,
        MOST_ROWS,
        i ->
            new ProbeRow(
                form.quantity(
                    name + "." + i + ".percent",
                    Message.of("power.probe-row.percent", i),
                    Quantity.PERCENT,
                    0,
                    100),
                form.quantity(
                    name + "." + i + ".start",
                    Message.of("power.probe-row.start", i),
                    Quantity.TEMPERATURE,
                    -20,
                    1000),
                form.quantity(
                    name + "." + i + ".end",
                    Message.of("power.probe-row.end", i),
                    Quantity.TEMPERATURE,
                    -20,
                    1000)));
  }

  boolean read() {
    return percent.value().isPresent() && start.value().isPresent() && end.value().isPresent();
  }
}
