package zebrawood.desktop.controller;

import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;

/** How one test shot is ordered over the link. Of a form of its own: it is given, not kept. */
final class ShotOrder {
  final QuantityField share;
  final QuantityField pulse;

  ShotOrder(DisplayUnits units) {
    StationForm orders = new StationForm("controller", units);
    share = orders.quantity("share", Quantity.PERCENT, 0.1, 30);
    pulse = orders.quantity("pulse", Quantity.PULSE_TIME, 5, 1000);
    share.set(1);
    pulse.set(100);
  }
}
