package zebrawood.machine;

import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The pulse frequencies that a source gives at its rated power, from its data sheet. */
public record PulseRange(double leastKhz, double mostKhz) {
  public PulseRange {
    var accepts =
        new Accepts().positive("leastKhz", leastKhz, 100_000).positive("mostKhz", mostKhz, 100_000);
    if (leastKhz > mostKhz) {
      accepts.complain("leastKhz", leastKhz, Message.of("machine.accepts.at-most", "mostKhz"));
    }
    accepts.orThrow();
  }

  /** Such as "20 to 60 kHz". */
  public Message said() {
    return Message.of(
        "machine.pulse-range",
        Message.number(leastKhz),
        Amount.plain(mostKhz, Quantity.PULSE_RATE));
  }
}
