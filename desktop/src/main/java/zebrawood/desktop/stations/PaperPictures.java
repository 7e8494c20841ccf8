package zebrawood.desktop.stations;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import zebrawood.desktop.sheet.EntryRecorder;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.SvgCanvas;

/**
 * The pictures of entries as they stand on paper: the sheet's own, drawn from what was typed for
 * the entry.
 */
public final class PaperPictures {
  private static final double WIDTH = 330;
  private static final double HEIGHT = 300;

  private PaperPictures() {}

  /** What draws the picture of an entry, by station id; it draws nothing where there is none. */
  public static Map<String, Function<Entry, String>> of(Ledger ledger, DisplayUnits units) {
    Map<String, Function<Entry, String>> pictures = new HashMap<>();
    for (StationDefinition definition : StationList.ALL) {
      pictures.put(definition.station().id(), entry -> draw(definition, ledger, units, entry));
    }
    return pictures;
  }

  private static String draw(
      StationDefinition definition, Ledger ledger, DisplayUnits units, Entry entry) {
    return EntryRecorder.typedOf(entry)
        .map(typed -> {
          StationWork<?, ?> work = definition.work().apply(ledger, units);
          work.form().type(typed);
          if (!work.hasPaperPicture()) {
            return "";
          }
          SvgCanvas on = new SvgCanvas(WIDTH, HEIGHT);
          work.draw(on);
          return on.svg();
        })
        .orElse("");
  }
}
