package zebrawood.records.power;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zebrawood.machine.Machine;
import zebrawood.power.FittedCurve;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.paper.Paper;
import zebrawood.words.Phrasebook;

/**
 * What the scale gives, as a table to stick on the machine: in steps of five percent, as far as it
 * was read.
 */
public record PowerTablePage(
    String machine,
    String description,
    String written,
    String testJob,
    String caution,
    String unit,
    List<Line> lines) {
  private static final int STEP_PERCENT = 5;

  /** One row. */
  public record Line(String percent, String output, String giveOrTake) {}

  /**
   * @param in what the curve is in
   * @param testJob what the saved test job is called; possibly empty
   * @param day when it was written, in words
   */
  public static PowerTablePage of(
      Machine machine,
      FittedCurve curve,
      Quantity in,
      String testJob,
      String day,
      Phrasebook words) {
    List<Line> lines = new ArrayList<>();
    for (int percent = 0; percent <= 100; percent += STEP_PERCENT) {
      if (curve.covers(percent)) {
        var at = curve.at(percent);
        lines.add(
            new Line(
                words.say(Amount.plain(percent, Quantity.PERCENT)),
                words.say(Amount.of(at.value(), in, 1)),
                words.say(Amount.of(2 * at.uncertainty(), in, 1))));
      }
    }
    return new PowerTablePage(
        machine.name(),
        words.say(machine.inOneLine()),
        day,
        testJob,
        words.say(machine.standingCaution()),
        in.canonical().symbol(),
        lines);
  }

  public boolean hasTestJob() {
    return !testJob.isBlank();
  }

  /** As one well-formed HTML page. */
  public String html(Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/power/power-table.html", Map.of("table", this), words);
  }
}
