package zebrawood.records.kept;

import java.util.List;
import zebrawood.words.Message;

/**
 * What paper shows of one entry beside its figures. It is made once, when the entry is recorded,
 * and kept with it: paper prints it and works nothing out.
 *
 * @param drawing SVG of the readings, in the language and the units of the day it was made;
 *     possibly empty
 * @param proven what was proven by hand and eye, in the order it stood on the sheet
 * @param settings what a device was left with
 * @param caution what could hurt there; possibly empty
 */
public record StationPaper(
    String drawing, List<Answered> proven, List<Setting> settings, Message caution) {
  public static final StationPaper NOTHING =
      new StationPaper("", List.of(), List.of(), Message.NONE);

  public StationPaper {
    proven = List.copyOf(proven);
    settings = List.copyOf(settings);
  }

  /** One thing to prove, answered. */
  public record Answered(Message what, boolean so) {}

  /** A setting as it was left. */
  public record Setting(String name, String value) {}
}
