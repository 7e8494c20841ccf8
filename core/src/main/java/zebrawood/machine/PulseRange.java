package zebrawood.machine;

import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

/** The pulse frequencies that a source gives at its rated power, from its data sheet. */
public record PulseRange(double leastKhz, double mostKhz) {
  public PulseRange {
    var accepts =
        new Accepts().positive("leastKhz", leastKhz, 100_000).positive("mostKhz", mostKhz, 100_000);
    if (leastKhz > mostKhz) {
      accepts.complain("leastKhz", leastKhz, "at most mostKhz");
    }
    accepts.orThrow();
  }

  /** Such as "20 to 60 kHz". */
  public String words() {
    return Numbers.plain(leastKhz) + " to " + Numbers.plain(mostKhz) + " kHz";
  }
}
