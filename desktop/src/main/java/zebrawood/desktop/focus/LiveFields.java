package zebrawood.desktop.focus;

import java.util.stream.Stream;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.focus.FocusTask;
import zebrawood.quantity.Quantity;

/** Where it is best while it marks, or the two places at which it fades. */
final class LiveFields {
  final QuantityField best;
  final QuantityField fades;
  final QuantityField fadesAgain;
  final QuantityField sure;

  LiveFields(StationForm form) {
    best = gap(form, "visit.best");
    fades = gap(form, "visit.fades");
    fadesAgain = gap(form, "visit.fadesAgain");
    sure = form.positive("visit.liveSure", Quantity.LENGTH, 1000);
  }

  private static QuantityField gap(StationForm form, String name) {
    return form.quantity(name, Quantity.LENGTH, 0, 5000);
  }

  /** One is enough, or the other two. */
  Ways.Ask asks() {
    return Ways.needs(
        () ->
            best.isEmpty() || !fades.isEmpty() || !fadesAgain.isEmpty()
                ? Stream.of(fades, fadesAgain, best, sure).filter(f -> f != best || !best.isEmpty())
                : Stream.of(best, sure),
        Part.rows(best, fades, fadesAgain, sure));
  }

  FocusTask.ByLive read() {
    return new FocusTask.ByLive(best.value(), fades.value(), fadesAgain.value(), sure.number());
  }
}
